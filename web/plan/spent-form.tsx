import { Box, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { freeId } from '../../core/job/free-id.js';
import type { PlanRules, Spent } from '../../core/job/plan-schema.js';
import { factorOf } from '../../core/plan/actuals.js';
import { taskKindRow } from '../../core/plan/kinds.js';
import { sayPeople, type PlannedTask } from '../../core/plan/plan.js';
import { typedNumber } from '../../core/speech/typed-number.js';
import { money } from '../controls/format';
import { Field, Label, Press } from '../controls/controls';
import { today } from '../controls/today';
import { withoutEmpty } from '../controls/without-empty';
import { Alarm } from '../controls/text';

interface Props {
  readonly task: PlannedTask;
  readonly spent: readonly Spent[];
  readonly rules: PlanRules;
  readonly currency: string;
  readonly onChange: (spent: Spent[]) => void;
}

/** Records the time spent on a task; earlier records are listed below. */
export function SpentForm(props: Props) {
  const { task, currency } = props;
  const { unit } = taskKindRow(task.kind);
  const { typed, set, wrong, write } = useSpent(props);
  const field = (label: string, name: keyof Typed, type?: string) => (
    <SpentField
      label={label}
      type={type}
      value={typed[name]}
      onChange={(text) => {
        set({ ...typed, [name]: text });
      }}
    />
  );
  return (
    <Box
      as="form"
      aria-label={`Time spent on: ${task.what}`}
      onSubmit={(event: React.SyntheticEvent) => {
        event.preventDefault();
        write();
      }}
    >
      <Flex gap="2" wrap="wrap" align="end">
        {field('Hours it took', 'hours')}
        {unit && field(`Done, ${unit}`, 'amount')}
        {field('People', 'people')}
        {field(`Bought, ${currency}`, 'cost')}
        {field('Day', 'on', 'date')}
      </Flex>
      <Press type="submit" mt="2" disabled={wrong !== undefined} look="signal">
        Write it down
      </Press>
      {typed.hours !== '' && wrong && (
        <Alarm role="alert" fontSize="14px">
          Still missing: {wrong}.
        </Alarm>
      )}
      <Told {...props} />
    </Box>
  );
}

/** The form's current input. */
interface Typed {
  readonly hours: string;
  readonly amount: string;
  readonly people: string;
  readonly cost: string;
  readonly on: string;
}

function useSpent({ task, spent, onChange }: Props) {
  const { unit } = taskKindRow(task.kind);
  const [typed, set] = useState<Typed>(() => ({
    hours: '',
    amount: unit ? String(Number(task.amount.toFixed(1))) : '',
    people: String(task.crew),
    cost: '',
    on: task.starts.day < today() ? task.starts.day : today(),
  }));
  const read = {
    hours: typedNumber(typed.hours, 'number'),
    amount: unit ? typedNumber(typed.amount, 'number') : undefined,
    people: typedNumber(typed.people, 'number'),
    money: typed.cost.trim() === '' ? undefined : typedNumber(typed.cost, 'money'),
  };
  const wrong = wrongIn(typed, read, unit);
  const write = () => {
    const { hours, amount, people, money: cost } = read;
    if (wrong !== undefined || hours === undefined) return;
    const said = { amount, people, money: cost };
    const id = freeId(
      spent.map((each) => each.id),
      'S',
    );
    onChange([...spent, { id, on: typed.on, task: task.id, kind: task.kind, hours, ...withoutEmpty(said) }]);
    set({ ...typed, hours: '', cost: '' });
  };
  return { typed, set, wrong, write };
}

type Read = { readonly [K in 'hours' | 'amount' | 'people' | 'money']: number | undefined };

/** What is missing or unreadable; undefined where the form is complete. */
function wrongIn({ cost, on }: Typed, read: Read, unit: string | undefined): string | undefined {
  const { hours = 0, amount = 0, people = 0, money: paid = -1 } = read;
  if (!(hours > 0 && hours <= 24)) return 'hours of one day, such as 2.5';
  if (unit && !(amount > 0)) return `how much was done, in ${unit}`;
  if (!(Number.isInteger(people) && people >= 1 && people <= 20)) return 'how many people, a whole number';
  if (cost.trim() !== '' && !(paid >= 0)) return 'what it cost, or nothing';
  return on === '' ? 'the day' : undefined;
}

interface SpentFieldProps {
  readonly label: string;
  readonly type: string | undefined;
  readonly value: string;
  readonly onChange: (text: string) => void;
}

const SpentField = ({ label, type = 'text', value, onChange }: SpentFieldProps) => (
  <Box flex="1" minWidth="92px">
    <Label mb="0">
      {label}
      <Field
        type={type}
        inputMode={type === 'text' ? 'decimal' : undefined}
        value={value}
        onChange={(event) => {
          onChange(event.target.value);
        }}
      />
    </Label>
  </Box>
);

/** Earlier records of a task. */
const Told = ({ task, spent, rules, currency, onChange }: Props) => (
  <Box as="ul" listStyleType="none" p="0" mt="2" data-testid="spent">
    {spent
      .filter((each) => each.task === task.id)
      .map((each) => (
        <Flex
          as="li"
          key={each.id}
          justify="space-between"
          align="center"
          borderTop="1px solid"
          borderColor="rule"
        >
          <Text fontSize="14.5px">
            {each.on}: {each.hours} h
            {each.amount === undefined ? '' : `, ${each.amount} ${taskKindRow(task.kind).unit ?? ''}`}
            {each.people === undefined ? '' : `, ${sayPeople(each.people)}`}
            {each.money === undefined ? '' : `, ${money(each.money, currency)}`}
            {': '}
            <strong>{sayFactor(factorOf(each, rules))}</strong>
          </Text>
          <Press
            type="button"
            look="quiet"
            aria-label={`Delete the time spent on ${each.on}`}
            onClick={() => {
              onChange(spent.filter(({ id }) => id !== each.id));
            }}
          >
            Delete
          </Press>
        </Flex>
      ))}
  </Box>
);

/** 1.25: "25 % more hours than planned". */
export const sayFactor = (factor: number): string =>
  Math.abs(factor - 1) < 0.005
    ? 'as planned'
    : `${Math.round(Math.abs(factor - 1) * 100)} % ${factor > 1 ? 'more' : 'fewer'} hours than planned`;
