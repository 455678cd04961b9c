import { Box, Grid, Text } from '@chakra-ui/react';
import { capital } from '../../core/capital.js';
import { gradingInForce } from '../../core/findings/grades.js';
import type { Grading } from '../../core/findings/row.js';
import type { MadeThickness, Prices } from '../../core/job/prices.js';
import type { PricesOverride } from '../../core/job/prices-schema.js';
import type { Rules } from '../../core/job/rules.js';
import type { RulesOverride } from '../../core/job/rules-schema.js';
import { findingName, gradedKinds } from '../../core/findings/kinds.js';
import type { FindingKind } from '../../core/job/vocabulary.js';
import { ChoiceCell, NumberCell, TextCell } from '../site/cells';
import { withoutEmpty } from '../controls/without-empty';
import {
  measureOf,
  plainWord,
  rateFields,
  rateName,
  ruleFields,
  tableFields,
  type RuleField,
} from '../../core/offer/labels.js';
import { FigureBox, FigureLine, FigureName, Group, RateTable, Row } from './rows';
import { SheetRows } from './sheet-rows';
import { UpkeepRules } from './upkeep-rules';
import { materialWords } from '../../core/catalog/materials.js';
import { Title } from '../controls/text';

export interface Edited {
  readonly rules: RulesOverride;
  readonly prices: PricesOverride;
}

interface Props extends Edited {
  readonly beneath: { readonly rules: Rules; readonly prices: Prices };
  /** Marks a value as this one's own: "this job’s own". */
  readonly ownWords: string;
  readonly onChange: (patch: Partial<Edited>) => void;
}

/** House rules and price book: values entered here, over the inherited ones in gray. */
export const RulesEditor = (props: Props) => (
  <Grid
    templateColumns={{ base: 'minmax(0, 1fr)', lg: 'repeat(2, minmax(0, 1fr))' }}
    gap="8"
    alignItems="start"
  >
    <HouseRules {...props} />
    <PriceBook {...props} />
  </Grid>
);

function HouseRules({ rules, beneath, ownWords, onChange }: Props) {
  const setRules = (patch: RulesOverride) => {
    onChange({ rules: withoutEmpty({ ...rules, ...patch }) });
  };
  return (
    <Box>
      <Title size="section">Rules</Title>
      {ruleFields.map(({ title, fields }) => (
        <Group key={title} title={title}>
          {fields.map((field) => (
            <RuleRow
              key={field.key}
              field={field}
              rules={rules}
              beneath={beneath.rules}
              ownWords={ownWords}
              onChange={setRules}
            />
          ))}
        </Group>
      ))}
      <SheetRows
        title="Minutes the resin can be worked, from its data sheet"
        name="Resin row"
        unit={{ short: 'min', word: 'minutes' }}
        own={rules.potLife?.map(({ at_F, min }) => [at_F, min] as const)}
        beneath={beneath.rules.potLife.map(({ at_F, min }) => [at_F, min] as const)}
        onChange={(rows) => {
          setRules({ potLife: rows?.map(([at_F, min]) => ({ at_F, min })) });
        }}
      />
      <UpkeepRules rules={rules} beneath={beneath.rules} ownWords={ownWords} onChange={setRules} />
      <Grades rules={rules} beneath={beneath.rules} onChange={setRules} />
    </Box>
  );
}

function PriceBook({ prices, beneath, ownWords, onChange }: Props) {
  const setPrices = (patch: PricesOverride) => {
    onChange({ prices: withoutEmpty({ ...prices, ...patch }) });
  };
  const own = (key: keyof PricesOverride) => (prices[key] === undefined ? undefined : ownWords);
  const tables = { prices, house: beneath.prices, onChange: setPrices };
  return (
    <Box>
      <Title size="section">Price book</Title>
      <Group title="The book">
        {(['dated', 'currency'] as const).map((key) => (
          <Row key={key} label={capital(key)} unit="" own={own(key)}>
            <TextCell
              label={capital(key)}
              placeholder={beneath.prices[key]}
              value={prices[key]}
              onChange={(value) => {
                setPrices({ [key]: value });
              }}
            />
          </Row>
        ))}
      </Group>
      <Group title="Rates">
        {rateFields.map(({ key, label, unit }) => (
          <Row key={key} label={label} unit={unit} own={own(key)}>
            <NumberCell
              label={label}
              measure={measureOf(key) === 'share' ? 'share' : 'money'}
              least={0}
              value={prices[key] as number | undefined}
              placeholder={plainWord(beneath.prices[key])}
              onChange={(value) => {
                setPrices({ [key]: value });
              }}
            />
          </Row>
        ))}
      </Group>
      <RateTables {...tables} />
    </Box>
  );
}

interface RateTablesProps {
  readonly prices: PricesOverride;
  readonly house: Prices;
  readonly onChange: (patch: PricesOverride) => void;
}

/** Rates by surface, by diameter, by material. */
const RateTables = ({ prices, house, onChange }: RateTablesProps) => (
  <>
    {tableFields.map(({ key, label }) => (
      <RateTable
        key={key}
        label={label}
        house={house[key]}
        own={prices[key] ?? {}}
        byOthers={key === 'restore_per_ft2'}
        nameOf={(rate) => rateName(key, rate)}
        onChange={(rates) => {
          onChange({ [key]: rates });
        }}
      />
    ))}
    {(['0.118', '0.177', '0.236'] as const satisfies readonly MadeThickness[]).map((thickness) => (
      <NestedTable
        key={thickness}
        {...{ prices, house, onChange }}
        field="liner_per_ft"
        of={thickness}
        label={`Liner of ${thickness} in, a foot, by diameter in inches`}
      />
    ))}
    {(['pvc-sch40', 'pvc-sdr35', 'abs', 'hdpe'] as const).map((material) => (
      <NestedTable
        key={material}
        {...{ prices, house, onChange }}
        field="pipe_per_ft"
        of={material}
        label={`New ${materialWords(material)}, a foot laid, by diameter in inches`}
      />
    ))}
  </>
);

interface NestedTableProps {
  readonly prices: PricesOverride;
  readonly house: Prices;
  readonly field: 'liner_per_ft' | 'pipe_per_ft';
  /** The thickness or material of the rates shown. */
  readonly of: string;
  readonly label: string;
  readonly onChange: (patch: PricesOverride) => void;
}

/** Rates by diameter, of one thickness of liner or one material of pipe. */
function NestedTable({ prices, house, field, of, label, onChange }: NestedTableProps) {
  const all = (prices[field] ?? {}) as Readonly<Record<string, Record<string, number>>>;
  return (
    <RateTable
      label={label}
      house={(house[field] as Readonly<Record<string, Record<string, number>>>)[of] ?? {}}
      own={all[of] ?? {}}
      onChange={(rates) => {
        onChange({ [field]: withoutEmpty({ ...all, [of]: rates }) });
      }}
    />
  );
}

function RuleRow({
  field,
  rules,
  beneath,
  ownWords,
  onChange,
}: {
  field: RuleField;
  rules: RulesOverride;
  beneath: Rules;
  ownWords: string;
  onChange: (patch: RulesOverride) => void;
}) {
  const { key, label } = field;
  const house = beneath[key];
  const own = rules[key];
  const mark = own === undefined ? undefined : ownWords;
  if ('words' in field) {
    const word = field.words.find(([value]) => value === plainWord(house))?.[1] ?? '';
    return (
      <Row label={label} unit="" own={mark}>
        <ChoiceCell
          label={label}
          value={own === undefined ? undefined : plainWord(own)}
          options={field.words}
          empty={`${word} (as it is)`}
          onChange={(value) => {
            onChange({ [key]: value === 'true' ? true : value === 'false' ? false : value });
          }}
        />
      </Row>
    );
  }
  return (
    <Row label={label} unit={field.unit} own={mark}>
      <NumberCell
        label={label}
        measure={measureOf(key)}
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

const gradeColumns = ['to watch', 'to fix', 'failed'] as const;

interface GradesProps {
  readonly rules: RulesOverride;
  readonly beneath: Rules;
  readonly onChange: (patch: RulesOverride) => void;
}

/** The limits between the grades, and what stops a liner, for findings graded by a measure. */
function Grades({ rules, beneath, onChange }: GradesProps) {
  const set = (kind: FindingKind, patch: NonNullable<RulesOverride['findings']>[FindingKind]) => {
    const { [kind]: row, ...others } = rules.findings ?? {};
    const mine = withoutEmpty({ ...row, ...patch });
    onChange({ findings: Object.keys(mine).length > 0 ? { ...others, [kind]: mine } : others });
  };
  const kinds = gradedKinds().filter(({ grading }) => grading.bounds);
  return (
    <Group title="From which size on it is to watch, to fix, failed; and what stops a liner">
      <FigureLine pt="1" fontSize="13.5px" color="soft" aria-hidden>
        <FigureName display={{ base: 'none', md: 'block' }} />
        {[...gradeColumns, 'no liner'].map((word) => (
          <FigureBox key={word}>{word}</FigureBox>
        ))}
      </FigureLine>
      {kinds.map(({ id: kind, grading }) => (
        <GradeRow
          key={kind}
          kind={kind}
          house={gradingInForce(kind, beneath.findings[kind]) ?? grading}
          own={rules.findings?.[kind]}
          onChange={(patch) => {
            set(kind, patch);
          }}
        />
      ))}
    </Group>
  );
}

type KindRules = NonNullable<NonNullable<RulesOverride['findings']>[FindingKind]>;

interface GradeRowProps {
  readonly kind: FindingKind;
  readonly house: Grading;
  readonly own: KindRules | undefined;
  readonly onChange: (patch: KindRules) => void;
}

function GradeRow({ kind, house, own, onChange }: GradeRowProps) {
  const bounds = house.bounds ?? [];
  return (
    <FigureLine py="1" borderBottom="1px solid" borderColor="rule">
      <FigureName fontWeight={own ? 700 : 400}>
        {findingName(kind)}
        <Text as="span" color="soft" fontSize="13.5px">
          {' '}
          {house.measure === 'inches' ? 'in' : house.measure === 'of-bore' ? '% of the diameter' : '%'}
        </Text>
      </FigureName>
      {gradeColumns.map((word, index) => (
        <FigureBox key={word}>
          {bounds[index] !== undefined && (
            <NumberCell
              label={`${findingName(kind)}, ${word}`}
              least={0}
              value={own?.bounds?.[index] === bounds[index] ? undefined : own?.bounds?.[index]}
              placeholder={plainWord(bounds[index])}
              onChange={(value) => {
                const next = bounds.map((each, i) =>
                  i === index ? (value ?? each) : (own?.bounds?.[i] ?? each),
                );
                const changed = next.some((each, i) => each !== bounds[i]);
                onChange({ bounds: changed ? next : undefined });
              }}
            />
          )}
        </FigureBox>
      ))}
      <FigureBox>
        {house.stopsLinerAt !== undefined && (
          <NumberCell
            label={`${findingName(kind)}, stops a liner`}
            least={0}
            value={own?.stopsLinerAt}
            placeholder={plainWord(house.stopsLinerAt)}
            onChange={(stopsLinerAt) => {
              onChange({ stopsLinerAt });
            }}
          />
        )}
      </FigureBox>
    </FigureLine>
  );
}
