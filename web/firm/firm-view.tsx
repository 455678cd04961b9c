import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useEffect, type ReactNode } from 'react';
import { defaultPlanRules } from '../../core/plan/rules.js';
import { defaultPrices } from '../../core/job/prices.js';
import { defaultRules } from '../../core/job/rules.js';
import type { Firm } from '../../core/job/firm.js';
import { useFirm } from '../api/firm';
import { useMe } from '../api/me';
import { PeoplePanel } from '../people/people-panel';
import { Backups } from './backups';
import { RateChecks } from './rate-checks';
import { FirmFile } from './firm-file';
import { LogoField } from './logo-field';
import { PlanRulesEditor } from '../rules/plan-rules';
import { RulesEditor } from '../rules/rules-editor';
import { Group } from '../rules/rows';
import { usualValidity_days } from '../../core/offer/offer.js';
import { LongCell, NumberCell, TextCell } from '../site/cells';
import { Header, ToJobs } from '../shell/header';
import { Faults } from '../shell/faults';
import { withoutEmpty } from '../controls/without-empty';
import { Title } from '../controls/text';

/** The company's settings for all its jobs: contact details, rules, price book, exclusions. */
export function FirmView() {
  const { firm, waiting, error, forgetError, change } = useFirm();
  const { person } = useMe();
  const isOwner = person === null || person.role === 'owner';
  useEffect(() => {
    document.title = 'Company · Open Trench';
  }, []);
  return (
    <Flex direction="column" height="100%">
      <Header>
        <ToJobs />
      </Header>
      <Box as="main" flex="1" minHeight={0} overflowY="auto" px={{ base: '4', md: '6' }} py="5">
        <Box maxWidth="1180px" mx="auto">
          <Flex align="baseline" gap="4" wrap="wrap">
            <Title size="page" as="h1">
              Company
            </Title>
            <Text role="status" color={waiting ? 'signalInk' : 'soft'} data-testid="firm-saved">
              {firm ? (waiting ? 'Waiting for the server' : 'Saved') : 'Reading it…'}
            </Text>
          </Flex>
          <Text maxWidth="780px" my="3">
            These settings apply to every job. Values in gray are invented defaults: replace them with your
            own. A job can still override any of them.
          </Text>
          {error && <Faults error={error} onClose={forgetError} />}
          {isOwner && <PeoplePanel />}
          {!isOwner && <Text fontWeight={700}>Only an owner can change this.</Text>}
          <Company disabled={!isOwner}>
            <Backups />
            {firm && <FirmFile firm={firm} onTake={change} />}
            {firm && <Editor firm={firm} onChange={change} />}
          </Company>
        </Box>
      </Box>
    </Flex>
  );
}

/** Fields only an owner may change; a fieldset is disabled as a whole. */
const Company = chakra('fieldset', { base: { border: 'none', m: '0', p: '0', minWidth: 0 } });

interface EditorProps {
  readonly firm: Firm;
  readonly onChange: (firm: Firm) => void;
}

function Editor({ firm, onChange }: EditorProps) {
  const set = (patch: Partial<Firm>) => {
    onChange(withoutEmpty({ ...firm, ...patch }));
  };
  return (
    <>
      <Box maxWidth="760px" mb="6">
        <Title size="section">On every offer</Title>
        <WhoWeAre firm={firm} set={set} />
        <Terms firm={firm} set={set} />
        <Exclusions firm={firm} set={set} />
      </Box>
      <RulesEditor
        rules={firm.rules ?? {}}
        prices={firm.prices ?? {}}
        beneath={{ rules: defaultRules, prices: defaultPrices }}
        ownWords="our own"
        onChange={set}
      />
      <RateChecks
        firm={firm}
        onTake={(plan) => {
          set({ plan });
        }}
      />
      <PlanRulesEditor
        own={firm.plan ?? {}}
        beneath={defaultPlanRules}
        ownWords="our own"
        onChange={(plan) => {
          set({ plan });
        }}
      />
    </>
  );
}

interface PartProps {
  readonly firm: Firm;
  readonly set: (patch: Partial<Firm>) => void;
}

const Row = ({ label, children }: { label: string; children: ReactNode }) => (
  <Flex align="center" gap="3" py="1" wrap="wrap">
    <Text width="300px">{label}</Text>
    {children}
  </Flex>
);

const who = [
  ['name', 'Name'],
  ['licence', 'License line, as printed on an offer'],
  ['phone', 'Phone'],
  ['email', 'E-mail'],
] as const;

const WhoWeAre = ({ firm, set }: PartProps) => (
  <Group title="Who we are">
    {who.map(([field, label]) => (
      <Row key={field} label={label}>
        <Box flex="1" minWidth="240px">
          <TextCell
            label={label}
            value={firm[field]}
            onChange={(value) => {
              set({ [field]: value });
            }}
          />
        </Box>
      </Row>
    ))}
    <LogoField
      logo={firm.logo}
      onChange={(logo) => {
        set({ logo });
      }}
    />
  </Group>
);

const Terms = ({ firm, set }: PartProps) => (
  <Group title="Terms">
    <Row label="Days for which prices hold">
      <Box width="120px">
        <NumberCell
          label="Days for which prices hold"
          least={1}
          placeholder={String(usualValidity_days)}
          value={firm.validity_days}
          onChange={(validity_days) => {
            set({ validity_days });
          }}
        />
      </Box>
    </Row>
    <Box py="1">
      <LongCell
        label="Terms on every offer"
        placeholder="such as: half on the day we start, the rest when the line runs"
        value={firm.terms}
        onChange={(terms) => {
          set({ terms });
        }}
      />
    </Box>
  </Group>
);

function Exclusions({ firm: { exclusions = [] }, set }: PartProps) {
  return (
    <Group title="Never included in our prices">
      {[...exclusions, undefined].map((sentence, index) => (
        <Box key={`${index} ${sentence ?? ''}`} py="1">
          <TextCell
            label={sentence === undefined ? 'Another exclusion' : `Exclusion ${index + 1}`}
            placeholder="such as: finishes inside the house"
            value={sentence}
            onChange={(value) => {
              const next = exclusions.flatMap((each, i) => (i === index ? (value ?? []) : each));
              set({ exclusions: index === exclusions.length && value ? [...exclusions, value] : next });
            }}
          />
        </Box>
      ))}
    </Group>
  );
}
