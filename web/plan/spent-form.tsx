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

/** What was really spent on a task, in one short form; what was told before stands under it. */
export function SpentForm({
  task,
  spent,
  rules,
  currency,
  onChange,
}: {
  task: PlannedTask;
  spent: readonly Spent[];
  rules: PlanRules;
  currency: string;
  onChange: (spent: Spent[]) => void;
}) {
  const { unit } = taskKindRow(task.kind);
  const [hours, setHours] = useState('');
  const [amount, setAmount] = useState(unit ? String(Number(task.amount.toFixed(1))) : '');
  const [people, setPeople] = useState(String(task.crew));
  const [cost, setCost] = useState('');
  const [on, setOn] = useState(() => (task.starts.day < today() ? task.starts.day : today()));
  const own = spent.filter((each) => each.task === task.id);
  const read = {
    hours: typedNumber(hours, 'number'),
    amount: unit ? typedNumber(amount, 'number') : undefined,
    people: typedNumber(people, 'number'),
    money: cost.trim() === '' ? undefined : typedNumber(cost, 'money'),
  };
  const wrong = !(read.hours !== undefined && read.hours > 0 && read.hours <= 24)
    ? 'hours of one day, such as 2.5'
    : unit && !(read.amount !== undefined && read.amount > 0)
      ? `how much was done, in ${unit}`
      : !(read.people !== undefined && Number.isInteger(read.people) && read.people >= 1 && read.people <= 20)
        ? 'how many people, a whole number'
        : cost.trim() !== '' && !(read.money !== undefined && read.money >= 0)
          ? 'what it cost, or nothing'
          : on === ''
            ? 'the day'
            : undefined;
  const write = () => {
    if (wrong !== undefined || read.hours === undefined) return;
    onChange([
      ...spent,
      {
        id: freeId(
          spent.map(({ id }) => id),
          'S',
        ),
        on,
        task: task.id,
        kind: task.kind,
        hours: read.hours,
        ...(read.amount === undefined ? {} : { amount: read.amount }),
        ...(read.people === undefined ? {} : { people: read.people }),
        ...(read.money === undefined ? {} : { money: read.money }),
      },
    ]);
    setHours('');
    setCost('');
  };
  const field = (label: string, value: string, set: (text: string) => void, type = 'text') => (
    <Box flex="1" minWidth="92px">
      <Label mb="0">
        {label}
        <Field
          type={type}
          inputMode={type === 'text' ? 'decimal' : undefined}
          value={value}
          onChange={(event) => {
            set(event.target.value);
          }}
        />
      </Label>
    </Box>
  );
  return (
    <Box
      as="form"
      aria-label={`What was really spent on: ${task.what}`}
      onSubmit={(event: React.SyntheticEvent) => {
        event.preventDefault();
        write();
      }}
    >
      <Flex gap="2" wrap="wrap" align="end">
        {field('Hours it took', hours, setHours)}
        {unit && field(`Done, ${unit}`, amount, setAmount)}
        {field('People', people, setPeople)}
        {field(`Bought, ${currency}`, cost, setCost)}
        {field('Day', on, setOn, 'date')}
      </Flex>
      <Press type="submit" mt="2" disabled={wrong !== undefined} look="signal">
        Write it down
      </Press>
      {hours !== '' && wrong && (
        <Text role="alert" color="signalInk" fontSize="14px">
          Still to be said: {wrong}.
        </Text>
      )}
      <Box as="ul" listStyleType="none" p="0" mt="2" data-testid="spent">
        {own.map((each) => (
          <Flex
            as="li"
            key={each.id}
            justify="space-between"
            align="center"
            borderTop="1px solid"
            borderColor="rule"
          >
            <Text fontSize="14.5px">
              {each.on}: {each.hours} h{each.amount === undefined ? '' : `, ${each.amount} ${unit ?? ''}`}
              {each.people === undefined ? '' : `, ${sayPeople(each.people)}`}
              {each.money === undefined ? '' : `, ${money(each.money, currency)}`}
              {': '}
              <strong>{sayFactor(factorOf(each, rules))}</strong>
            </Text>
            <Press
              type="button"
              look="quiet"
              aria-label={`Delete what was spent on ${each.on}`}
              onClick={() => {
                onChange(spent.filter(({ id }) => id !== each.id));
              }}
            >
              Delete
            </Press>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

/** 1.25: "25 % more hours than planned". */
export const sayFactor = (factor: number): string =>
  Math.abs(factor - 1) < 0.005
    ? 'as planned'
    : `${Math.round(Math.abs(factor - 1) * 100)} % ${factor > 1 ? 'more' : 'fewer'} hours than planned`;
