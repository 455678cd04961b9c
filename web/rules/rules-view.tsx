import { Box, Flex, Grid, Heading, Text } from '@chakra-ui/react';
import { defaultGradeTable } from '../../core/condition/grade-table.js';
import { jobHead } from '../../core/job/edit.js';
import { defaultPrices, type PricesOverride } from '../../core/job/prices-schema.js';
import { defaultRules, type RulesOverride } from '../../core/job/rules-schema.js';
import type { JobHead } from '../../core/job/schema.js';
import { findingWords } from '../../core/logline/say.js';
import { ChoiceCell, NumberCell } from '../site/cells';
import { useJobContext } from '../shell/job-layout';
import { rateFields, ruleFields, tableFields, type RuleField } from './fields';

/** The house's rules and price book as this job uses them: what is changed here is changed for this job alone. */
export function RulesView() {
  const { job, change } = useJobContext();
  const rules = job.rules ?? {};
  const prices = job.prices ?? {};
  const set = (patch: Partial<JobHead>) =>
    void change.edit([{ kind: 'job', set: { ...jobHead(job), ...patch } }]).catch(() => undefined);
  const setRules = (patch: RulesOverride) => {
    set({ rules: without({ ...rules, ...patch }) });
  };
  const setPrices = (patch: PricesOverride) => {
    set({ prices: without({ ...prices, ...patch }) });
  };
  return (
    <Box height="100%" overflowY="auto" p="4">
      <Text maxWidth="780px" mb="4">
        What stands here in grey is the house’s own figure. A figure of your own changes this job alone; empty
        the field to go back. Every reason and every price follows at once.
      </Text>
      <Grid templateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap="8" alignItems="start">
        <Box>
          <Heading as="h2" fontSize="20px">
            Rules
          </Heading>
          {ruleFields.map(({ title, fields }) => (
            <Group key={title} title={title}>
              {fields.map((field) => (
                <RuleRow key={field.key} field={field} rules={rules} onChange={setRules} />
              ))}
            </Group>
          ))}
          <Grades rules={rules} onChange={setRules} />
        </Box>
        <Box>
          <Heading as="h2" fontSize="20px">
            Price book
          </Heading>
          <Text color="soft" fontSize="14px">
            {defaultPrices.currency}, dated {prices.dated ?? defaultPrices.dated}
          </Text>
          <Group title="Rates">
            {rateFields.map(({ key, label, unit }) => (
              <Row key={key} label={label} unit={unit} own={prices[key] !== undefined}>
                <NumberCell
                  label={label}
                  least={0}
                  value={prices[key] as number | undefined}
                  placeholder={plainWord(defaultPrices[key])}
                  onChange={(value) => {
                    setPrices({ [key]: value });
                  }}
                />
              </Row>
            ))}
          </Group>
          {tableFields.map(({ key, label }) => (
            <RateTable
              key={key}
              label={label}
              house={defaultPrices[key]}
              own={prices[key] ?? {}}
              onChange={(table) => {
                setPrices({ [key]: table });
              }}
            />
          ))}
          {(['0.118', '0.177', '0.236'] as const).map((thickness) => (
            <RateTable
              key={thickness}
              label={`Liner of ${thickness} in, a foot, by bore in inches`}
              house={defaultPrices.liner_per_ft[thickness]}
              own={prices.liner_per_ft?.[thickness] ?? {}}
              onChange={(table) => {
                // The file asks for all three thicknesses at once: the others stay as they are in force.
                const whole = { ...defaultPrices.liner_per_ft, ...prices.liner_per_ft };
                setPrices({
                  liner_per_ft: {
                    ...whole,
                    [thickness]: { ...defaultPrices.liner_per_ft[thickness], ...table },
                  },
                });
              }}
            />
          ))}
        </Box>
      </Grid>
    </Box>
  );
}

function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Box mt="4">
      <Heading as="h3" fontSize="15px" color="soft" borderBottom="1px solid" borderColor="rule" pb="1">
        {title}
      </Heading>
      {children}
    </Box>
  );
}

function Row({
  label,
  unit,
  own,
  children,
}: {
  label: string;
  unit: string;
  own: boolean;
  children: React.ReactNode;
}) {
  return (
    <Flex align="center" gap="3" py="1" borderBottom="1px solid" borderColor="rule">
      <Text flex="1" fontWeight={own ? 700 : 400}>
        {label}
      </Text>
      <Box width="190px" flexShrink={0}>
        {children}
      </Box>
      <Text width="104px" flexShrink={0} fontSize="13.5px" color={own ? 'signalInk' : 'soft'}>
        {unit}
        {own && <br />}
        {own && 'this job’s own'}
      </Text>
    </Flex>
  );
}

function RuleRow({
  field,
  rules,
  onChange,
}: {
  field: RuleField;
  rules: RulesOverride;
  onChange: (patch: RulesOverride) => void;
}) {
  const { key, label } = field;
  const house = defaultRules[key];
  const own = rules[key];
  if ('words' in field) {
    const word = field.words.find(([value]) => value === plainWord(house))?.[1] ?? '';
    return (
      <Row label={label} unit="" own={own !== undefined}>
        <ChoiceCell
          label={label}
          value={own === undefined ? undefined : plainWord(own)}
          options={field.words}
          empty={`${word} (house)`}
          onChange={(value) => {
            onChange({ [key]: value === 'true' ? true : value === 'false' ? false : value });
          }}
        />
      </Row>
    );
  }
  return (
    <Row label={label} unit={field.unit} own={own !== undefined}>
      <NumberCell
        label={label}
        least={0}
        value={own as number | undefined}
        placeholder={plainWord(house)}
        onChange={(value) => {
          onChange({ [key]: value });
        }}
      />
    </Row>
  );
}

/** The limits between the grades, for what is graded by a measure. */
function Grades({ rules, onChange }: { rules: RulesOverride; onChange: (patch: RulesOverride) => void }) {
  const graded = Object.entries(defaultGradeTable).flatMap(([kind, row]) =>
    row.bounds ? [{ kind: kind as keyof typeof defaultGradeTable, bounds: row.bounds }] : [],
  );
  return (
    <Group title="From which size on it is to watch, to fix, failed">
      {graded.map(({ kind, bounds }) => {
        const own = rules.findings?.[kind]?.bounds;
        return (
          <Flex key={kind} align="center" gap="2" py="1" borderBottom="1px solid" borderColor="rule">
            <Text flex="1" fontWeight={own ? 700 : 400}>
              {findingWords[kind]}
            </Text>
            {bounds.map((house, index) => (
              <Box key={index} width="84px">
                <NumberCell
                  label={`${findingWords[kind]}, ${['to watch', 'to fix', 'failed'][index] ?? ''}`}
                  least={0}
                  value={own?.[index]}
                  placeholder={plainWord(house)}
                  onChange={(value) => {
                    const next = bounds.map((each, i) =>
                      i === index ? (value ?? each) : (own?.[i] ?? each),
                    );
                    const { [kind]: row, ...others } = rules.findings ?? {};
                    const { bounds: _old, ...kept } = row ?? {};
                    const changed = next.some((each, i) => each !== bounds[i]);
                    const mine = { ...kept, ...(changed ? { bounds: next } : {}) };
                    onChange({
                      findings: Object.keys(mine).length > 0 ? { ...others, [kind]: mine } : others,
                    });
                  }}
                />
              </Box>
            ))}
          </Flex>
        );
      })}
    </Group>
  );
}

function RateTable({
  label,
  house,
  own,
  onChange,
}: {
  label: string;
  house: Readonly<Record<string, number | string>>;
  own: Readonly<Record<string, number | string | undefined>>;
  onChange: (table: Record<string, number | string>) => void;
}) {
  return (
    <Group title={label}>
      <Grid templateColumns="repeat(auto-fill, minmax(150px, 1fr))" gap="2" pt="2">
        {Object.entries(house).map(([key, rate]) => {
          const mine = own[key];
          return (
            <Box key={key}>
              <Text fontSize="13.5px" color={mine !== undefined && mine !== rate ? 'signalInk' : 'soft'}>
                {key.replaceAll('-', ' ')}
                {rate === 'by-others' && mine === undefined && ': put back by others'}
              </Text>
              <NumberCell
                label={`${label}: ${key.replaceAll('-', ' ')}`}
                least={0}
                value={typeof mine === 'number' && mine !== rate ? mine : undefined}
                placeholder={rate === 'by-others' ? 'by others' : String(rate)}
                onChange={(value) => {
                  const rest = Object.entries(own).filter(([each]) => each !== key);
                  const next = value === undefined ? rest : [...rest, [key, value] as const];
                  onChange(
                    Object.fromEntries(
                      next.flatMap(([each, kept]) => (kept === undefined ? [] : [[each, kept]])),
                    ),
                  );
                }}
              />
            </Box>
          );
        })}
      </Grid>
    </Group>
  );
}

const plainWord = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? String(value) : '';

/** Fields that were emptied are gone from the file. */
const without = <T extends object>(item: T): T =>
  Object.fromEntries(
    Object.entries(item).filter(
      ([, value]) =>
        value !== undefined && !(typeof value === 'object' && Object.keys(value as object).length === 0),
    ),
  ) as T;
