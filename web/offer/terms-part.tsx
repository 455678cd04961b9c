import { Box, chakra, Flex } from '@chakra-ui/react';
import { jobHead } from '../../core/edits/index.js';
import type { OfferTerms } from '../../core/job/schema.js';
import { schools } from '../../core/job/vocabulary.js';
import { usualValidity_days } from '../../core/offer/offer.js';
import { Press } from '../controls/controls';
import { schoolWords } from '../../core/job/school-words.js';
import { useJobContext } from '../shell/job-layout';
import { today } from '../controls/today';
import { withoutEmpty } from '../controls/without-empty';
import { LongCell, NumberCell, TextCell } from '../site/cells';
import { Title } from '../controls/text';

/** Settings of this offer: options, date, validity, terms. Gray values are the company's. */
export function TermsPart() {
  const { job, firm, change } = useJobContext();
  const said = job.offer ?? {};
  const set = (patch: Partial<OfferTerms>) => {
    const offer = withoutEmpty({ ...said, ...patch });
    void change.say([{ kind: 'job', set: withoutEmpty({ ...jobHead(job), offer }) }]);
  };
  return (
    <Box mt="6">
      <Offered said={said} set={set} />
      <Flex gap="4" wrap="wrap" mb="3">
        <Flex align="center" gap="3">
          <Words width="118px">Day of the offer</Words>
          <Box width="150px">
            <TextCell
              label="Day of the offer, such as 2026-03-04"
              placeholder={today()}
              value={said.on}
              accepts={/^\d{4}-\d{2}-\d{2}$/}
              onChange={(on) => {
                set({ on });
              }}
            />
          </Box>
        </Flex>
        <Flex align="center" gap="3">
          <Words>Days for which prices hold</Words>
          <Box width="96px">
            <NumberCell
              label="Days for which prices hold"
              least={1}
              placeholder={String(firm.validity_days ?? usualValidity_days)}
              value={said.validity_days}
              onChange={(validity_days) => {
                set({ validity_days });
              }}
            />
          </Box>
        </Flex>
      </Flex>
      <Flex gap="3" align="flex-start" wrap={{ base: 'wrap', md: 'nowrap' }}>
        <Words width="118px" flexShrink={0}>
          Terms
        </Words>
        <LongCell
          label="Terms of this offer"
          placeholder={
            firm.terms ?? 'The company has no terms yet: enter them once under Company, or here for this job.'
          }
          value={said.terms}
          onChange={(terms) => {
            set({ terms });
          }}
        />
      </Flex>
    </Box>
  );
}

const Words = chakra('p', { base: { fontSize: '13.5px', color: 'soft' } });

interface OfferedProps {
  readonly said: OfferTerms;
  readonly set: (patch: Partial<OfferTerms>) => void;
}

/** The options the customer is shown: at least one. */
function Offered({ said, set }: OfferedProps) {
  const ways = said.ways ?? schools;
  return (
    <>
      <Title size="part" mb="2">
        How it is presented to the customer
      </Title>
      <Flex gap="2" wrap="wrap" align="center" mb="3" role="group" aria-label="Options that are offered">
        <Words width="118px">Offered</Words>
        {schools.map((school) => {
          const on = ways.includes(school);
          return (
            <Press
              key={school}
              type="button"
              px="3"
              look={on ? 'chosen' : 'plain'}
              aria-pressed={on}
              disabled={on && ways.length === 1}
              onClick={() => {
                const next = schools.filter((each) => (each === school ? !on : ways.includes(each)));
                set({ ways: next.length === schools.length ? undefined : next });
              }}
            >
              {schoolWords[school].name}
            </Press>
          );
        })}
      </Flex>
    </>
  );
}
