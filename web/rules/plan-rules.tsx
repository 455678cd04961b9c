import { Box, Flex, Text } from '@chakra-ui/react';
import type { PlanRules, PlanRulesOverride } from '../../core/job/plan-schema.js';
import { machines, type TaskKind } from '../../core/job/vocabulary.js';
import { machineWords, taskKindRows } from '../../core/plan/kinds.js';
import { capital } from '../../core/capital.js';
import { Press } from '../controls/controls';
import { withoutEmpty } from '../controls/without-empty';
import { ChoiceCell, NumberCell, TextCell } from '../site/cells';
import { FigureBox, FigureLine, FigureName, Group, Row } from './rows';
import { SheetRows } from './sheet-rows';
import { Note, Title } from '../controls/text';

interface Props {
  readonly own: PlanRulesOverride;
  readonly beneath: PlanRules;
  readonly ownWords: string;
  readonly onChange: (own: PlanRulesOverride) => void;
}

/** Working days and production rates: values entered here, over the inherited ones in gray. */
export function PlanRulesEditor({ own, beneath, ownWords, onChange }: Props) {
  const set = (patch: PlanRulesOverride) => {
    onChange(withoutEmpty({ ...own, ...patch }));
  };
  const parts = { own, beneath, ownWords, set };
  return (
    <Box id="plan" mt="8">
      <Title size="section">Days and crews</Title>
      <Note maxWidth="780px">
        The plan is made from these. The defaults are invented, close to estimating handbooks; replace them as
        you record actual times.
      </Note>
      <Flex gap="8" wrap="wrap" align="flex-start">
        <Box flex="1 1 420px" minWidth={0}>
          <Day {...parts} />
          <SheetRows
            title="Hours a liner takes to cure, from the resin’s data sheet"
            name="Cure row"
            unit={{ short: 'h', word: 'hours' }}
            own={own.cure?.map(({ at_F, hours }) => [at_F, hours] as const)}
            beneath={beneath.cure.map(({ at_F, hours }) => [at_F, hours] as const)}
            onChange={(rows) => {
              set({ cure: rows?.map(([at_F, hours]) => ({ at_F, hours })) });
            }}
          />
        </Box>
        <Box flex="1 1 420px" minWidth={0}>
          <Rates own={own} beneath={beneath} onChange={set} />
        </Box>
      </Flex>
    </Box>
  );
}

interface PartProps extends Omit<Props, 'onChange'> {
  readonly set: (patch: PlanRulesOverride) => void;
}

/** Start and length of the day, people and machines, and waiting times. */
function Day({ own, beneath, ownWords, set }: PartProps) {
  const mark = (key: keyof PlanRulesOverride) => (own[key] === undefined ? undefined : ownWords);
  const overnight = 'No excavation stays open overnight in pavement and driveways';
  const row = (field: keyof typeof figures) => (
    <FigureRow field={field} own={own} beneath={beneath} ownWords={mark(field)} set={set} />
  );
  return (
    <Group title="The day">
      <Row label="Starts at" unit="24-hour clock" own={mark('startsAt')}>
        <TextCell
          label="The day starts at"
          accepts={/^([01]\d|2[0-3]):(00|15|30|45)$/}
          placeholder={beneath.startsAt}
          value={own.startsAt}
          onChange={(startsAt) => {
            set({ startsAt });
          }}
        />
      </Row>
      {row('hours')}
      <Workdays
        days={own.workdays ?? beneath.workdays}
        onChange={(workdays) => {
          set({ workdays: workdays.length > 0 ? workdays : undefined });
        }}
      />
      {row('crew')}
      <Machines {...{ own, beneath, ownWords, set }} />
      {row('locate_days')}
      {row('permit_days')}
      {row('labor_per_hour')}
      <Row label={overnight} unit="" own={mark('closeOvernight')}>
        <ChoiceCell
          label={overnight}
          value={own.closeOvernight === undefined ? undefined : String(own.closeOvernight)}
          options={[
            ['true', 'yes'],
            ['false', 'no: it is plated'],
          ]}
          empty={`${beneath.closeOvernight ? 'yes' : 'no: it is plated'} (as it is)`}
          onChange={(value) => {
            set({ closeOvernight: value === undefined ? undefined : value === 'true' });
          }}
        />
      </Row>
    </Group>
  );
}

const figures = {
  hours: { label: 'Hours worked a day, breaks not counted', unit: 'h', least: 1 },
  crew: { label: 'People available for a job', unit: '', least: 1 },
  locate_days: { label: 'Working days from the utility call to the marks', unit: 'days', least: 0 },
  permit_days: {
    label: 'Working days from applying for a permit to getting it',
    unit: 'days',
    least: 0,
  },
  labor_per_hour: { label: 'An hour of one person costs the company', unit: '', least: 0 },
} as const;

interface FigureRowProps extends Omit<PartProps, 'ownWords'> {
  readonly field: keyof typeof figures;
  readonly ownWords: string | undefined;
}

function FigureRow({ field, own, beneath, ownWords, set }: FigureRowProps) {
  const { label, unit, least } = figures[field];
  return (
    <Row label={label} unit={unit} own={ownWords}>
      <NumberCell
        label={label}
        least={least}
        measure={field === 'labor_per_hour' ? 'money' : 'number'}
        value={own[field]}
        placeholder={String(beneath[field])}
        onChange={(value) => {
          set({ [field]: field === 'hours' && value !== undefined ? Math.round(value * 4) / 4 : value });
        }}
      />
    </Row>
  );
}

const Machines = ({ own, beneath, ownWords, set }: PartProps) =>
  machines.map((machine) => {
    const label = `${capital(machineWords[machine])}, how many`;
    return (
      <Row
        key={machine}
        label={label}
        unit=""
        own={own.machines?.[machine] === undefined ? undefined : ownWords}
      >
        <NumberCell
          label={label}
          least={0}
          value={own.machines?.[machine]}
          placeholder={String(beneath.machines[machine])}
          onChange={(count) => {
            set({ machines: withoutEmpty({ ...own.machines, [machine]: count && Math.round(count) }) });
          }}
        />
      </Row>
    );
  });

const weekdays = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;

const Workdays = ({ days, onChange }: { days: readonly number[]; onChange: (days: number[]) => void }) => (
  <Flex gap="1" wrap="wrap" py="2" role="group" aria-label="Days worked">
    {weekdays.map((word, day) => (
      <Press
        key={word}
        type="button"
        px="2.5"
        look={days.includes(day) ? 'chosen' : 'plain'}
        aria-pressed={days.includes(day)}
        onClick={() => {
          onChange(
            days.includes(day) ? days.filter((each) => each !== day) : [...days, day].sort((a, b) => a - b),
          );
        }}
      >
        {word}
      </Press>
    ))}
  </Flex>
);

/** How much a crew does in an hour, by kind of task. */
function Rates({
  own,
  beneath,
  onChange,
}: Pick<Props, 'own' | 'beneath'> & { onChange: (patch: PlanRulesOverride) => void }) {
  const put = (kind: TaskKind, patch: NonNullable<PlanRulesOverride['rates']>[TaskKind]) => {
    const { [kind]: row, ...others } = own.rates ?? {};
    const mine = withoutEmpty({ ...row, ...patch });
    onChange({ rates: Object.keys(mine).length > 0 ? { ...others, [kind]: mine } : others });
  };
  const cell = (kind: TaskKind, field: 'perHour' | 'setUp_h' | 'crew', label: string) => (
    <FigureBox>
      <NumberCell
        label={label}
        least={field === 'setUp_h' ? 0 : 0.01}
        value={own.rates?.[kind]?.[field]}
        placeholder={String(beneath.rates[kind][field])}
        onChange={(value) => {
          put(kind, {
            [field]: field === 'crew' && value !== undefined ? Math.max(1, Math.round(value)) : value,
          });
        }}
      />
    </FigureBox>
  );
  return (
    <Group title="What a crew does in an hour">
      <FigureLine pt="1" fontSize="13.5px" color="soft" aria-hidden>
        <FigureName display={{ base: 'none', md: 'block' }} />
        {['an hour', 'set up, h', 'people'].map((word) => (
          <FigureBox key={word}>{word}</FigureBox>
        ))}
      </FigureLine>
      {taskKindRows
        // Values from a data sheet or a rule have no rate of their own.
        .filter(({ id }) => id !== 'cure' && id !== 'insert')
        .map(({ id, rateWords, unit }) => (
          <FigureLine key={id} py="1" borderBottom="1px solid" borderColor="rule">
            <FigureName fontWeight={own.rates?.[id] ? 700 : 400}>
              {rateWords}
              {unit && (
                <Text as="span" color="soft" fontSize="13.5px">
                  {' '}
                  {unit}
                </Text>
              )}
            </FigureName>
            {unit ? cell(id, 'perHour', `${rateWords}, ${unit} an hour`) : <FigureBox />}
            {cell(id, 'setUp_h', `${rateWords}, hours to set up`)}
            {cell(id, 'crew', `${rateWords}, people`)}
          </FigureLine>
        ))}
    </Group>
  );
}
