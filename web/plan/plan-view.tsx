import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { capital } from '../../core/capital.js';
import { planDays } from '../../core/plan/day.js';
import {
  sayMoment,
  sayPeople,
  sayTime,
  sayWeekday,
  type Plan,
  type PlannedTask,
} from '../../core/plan/plan.js';
import { Field, Label, Press } from '../controls/controls';
import { money } from '../controls/format';
import { fileName } from '../files/save';
import { SaveButton } from '../controls/save-button';
import { today } from '../controls/today';
import { SaveCrewSheet } from '../documents/save-buttons';
import { OpenFigure } from '../figure/open-figure';
import { NumberCell } from '../site/cells';
import { useJobContext } from '../shell/job-layout';
import { SidePanel, Split } from '../shell/side-panel';
import { WorkingOut } from '../shell/working-out';
import { PlanChart } from './plan-chart';
import { SpentForm } from './spent-form';
import { sayWhen, usePlan, type PlanEditing } from './use-plan';
import { Note, Title } from '../controls/text';
import { nothingSeen } from '../view/nothing-seen';

/**
 * The repair day by day: who does what when, the order of tasks, when the water is off, and the time actually spent.
 */
export function PlanView() {
  const { view } = useJobContext();
  const hand = usePlan();
  const [chosen, setChosen] = useState<string>();
  if (!hand || !view) return <WorkingOut />;
  const { plan, refused, said } = hand;
  const task = plan?.tasks.find(({ id }) => id === chosen);
  return (
    <Split>
      <Box flex="1" minWidth={0} flexShrink={0} overflowY={{ lg: 'auto' }} px={{ base: '4', md: '5' }} py="4">
        <Flex align="baseline" gap="4" wrap="wrap">
          <Title size="view" as="h1">
            Plan
          </Title>
          {plan && plan.tasks.length > 0 && (
            <Totals plan={plan} price={view.scope.prices.total} currency={view.scope.prices.currency} />
          )}
        </Flex>
        <Settings hand={hand} />
        {said && <Refusal words={said} onClose={hand.forget} />}
        {refused && (
          <Refusal
            words={refused}
            {...(plan
              ? {
                  lift: () => {
                    hand.set({ starts: {} });
                  },
                }
              : {})}
          />
        )}
        {plan?.tasks.length === 0 && (
          <Text data-testid="no-tasks">
            {nothingSeen(view)
              ? 'Nothing seen yet: run the camera first. The plan follows from the scope.'
              : 'The scope has no work in it, so there is nothing to plan.'}
          </Text>
        )}
        {plan && plan.tasks.length > 0 && (
          <>
            <PlanChart plan={plan} chosen={chosen} onChoose={setChosen} onMove={hand.move} />
            <Legend />
            <Days plan={plan} onChoose={setChosen} />
          </>
        )}
      </Box>
      <SidePanel aria-label="The chosen task" py="4">
        {task ? (
          <Chosen task={task} hand={hand} currency={view.scope.prices.currency} />
        ) : (
          <Note>Press a bar to see its hours, set its start, or record the actual time.</Note>
        )}
        {plan && plan.warnings.length > 0 && <ToKnow warnings={plan.warnings} />}
      </SidePanel>
    </Split>
  );
}

const ToKnow = ({ warnings }: Pick<Plan, 'warnings'>) => (
  <Box mt="4">
    <Title size="thing" mb="1">
      To know
    </Title>
    {warnings.map((words) => (
      <Text key={words} borderLeft="5px solid" borderColor="signal" pl="3" mb="2" fontSize="15px">
        {capital(words)}.
      </Text>
    ))}
  </Box>
);

function Totals({ plan, price, currency }: { plan: Plan; price: number; currency: string }) {
  const onSite = planDays(plan).filter(({ office }) => !office).length;
  return (
    <Text data-testid="plan-total">
      Done <strong>{sayMoment(plan.ends)}</strong> · {onSite} {onSite === 1 ? 'day' : 'days'} on site ·{' '}
      {plan.labor_h.toFixed(1)} labor hours, {money(plan.labor, currency)} of the price of{' '}
      {money(price, currency)}
    </Text>
  );
}

function Settings({ hand }: { hand: PlanEditing }) {
  const { job } = useJobContext();
  const { rules, set } = hand;
  return (
    <Flex gap="3" wrap="wrap" align="end" my="3">
      <Box>
        <Label htmlFor="first-day">First day</Label>
        <Field
          id="first-day"
          type="date"
          value={job.plan?.startOn ?? today()}
          onChange={(event) => {
            set({ startOn: event.target.value === '' ? undefined : event.target.value });
          }}
        />
      </Box>
      <Box width="90px">
        <Label as="div">People</Label>
        <NumberCell
          label="People on this job"
          least={1}
          placeholder={String(rules.crew)}
          value={job.plan?.rules?.crew}
          onChange={(crew) => {
            set({ rules: { ...job.plan?.rules, crew } });
          }}
        />
      </Box>
      <Box width="90px">
        <Label as="div">Hours a day</Label>
        <NumberCell
          label="Hours a day on this job"
          least={1}
          placeholder={String(rules.hours)}
          value={job.plan?.rules?.hours}
          onChange={(hours) => {
            set({ rules: { ...job.plan?.rules, hours: hours && Math.round(hours * 4) / 4 } });
          }}
        />
      </Box>
      <SaveDays hand={hand} />
      <SaveCrewSheet />
    </Flex>
  );
}

function SaveDays({ hand: { plan } }: { hand: PlanEditing }) {
  const { id, job } = useJobContext();
  const calendar =
    plan &&
    plan.tasks.length > 0 &&
    (async () => {
      const { planCalendar } = await import('./plan-calendar');
      const text = planCalendar({ id, title: job.title, address: job.site?.address }, plan);
      return new Blob([text], { type: 'text/calendar' });
    });
  return (
    <SaveButton name={`${fileName(job.title)}-days.ics`} make={calendar}>
      Days as a calendar file
    </SaveButton>
  );
}

function Refusal({ words, lift, onClose }: { words: string; lift?: () => void; onClose?: () => void }) {
  return (
    <Flex
      role="alert"
      gap="3"
      align="center"
      wrap="wrap"
      borderLeft="6px solid"
      borderColor="signal"
      bg="sheet"
      px="3"
      py="2"
      mb="3"
    >
      <Text flex="1" minWidth="220px">
        {words}
      </Text>
      {lift && (
        <Press type="button" onClick={lift}>
          Remove all starts set by hand
        </Press>
      )}
      {onClose && (
        <Press type="button" look="quiet" onClick={onClose}>
          Close
        </Press>
      )}
    </Flex>
  );
}

const Legend = () => (
  <Flex gap="4" wrap="wrap" my="2" fontSize="13.5px" color="soft">
    {(
      [
        ['water', 'water off'],
        ['liner', 'water may run'],
        ['keep', 'from the office'],
      ] as const
    ).map(([fill, words]) => (
      <Flex key={fill} align="center" gap="2">
        <Box width="22px" height="12px" bg={fill} border="1.5px solid" borderColor="ink" />
        {words}
      </Flex>
    ))}
    <span>
      Drag a bar
      <Box as="span" hideBelow="md">
        , or move it with ← → (Shift: a day); Delete removes its start
      </Box>
      . Later tasks move with it.
    </span>
  </Flex>
);

function Days({ plan, onChoose }: { plan: Plan; onChoose: (task: string) => void }) {
  return (
    <Box data-testid="plan-days">
      {planDays(plan).map(({ day, tasks, water, labor_h, office }) => (
        <Box key={day} mt="4">
          <Flex
            justify="space-between"
            borderBottom="2px solid"
            borderColor="ink"
            align="baseline"
            wrap="wrap"
            gap="2"
          >
            <Title size="part">{sayWeekday(day)}</Title>
            <Note>{office ? 'from the office' : `${labor_h.toFixed(1)} labor hours`}</Note>
          </Flex>
          {tasks.map(({ task, from, to, begun, goesOn }) => (
            <Flex key={task.id} gap="3" py="1.5" borderBottom="1px solid" borderColor="rule" align="baseline">
              <Note width="150px" flexShrink={0} fontSize="14.5px">
                {sayTime(from)} to {sayTime(to)}
              </Note>
              <Press
                type="button"
                look="quiet"
                textAlign="left"
                flex="1"
                minHeight="32px"
                color="ink"
                onClick={() => {
                  onChoose(task.id);
                }}
              >
                {task.what}
                {begun ? ', goes on' : ''}
                {goesOn ? ', goes on the next day' : ''}
              </Press>
              <Note fontSize="14.5px" whiteSpace="nowrap">
                {sayPeople(task.crew)}
              </Note>
            </Flex>
          ))}
          {water.map(({ line, from, to, overnight }) => (
            <Text key={`${line} ${from.time}`} fontWeight={700} color="water" pt="1">
              Water off {sayTime(from.time)} to {sayTime(to.time)}
              {overnight ? ', and over the night' : ''}
            </Text>
          ))}
        </Box>
      ))}
    </Box>
  );
}

function Chosen({ task, hand, currency }: { task: PlannedTask; hand: PlanEditing; currency: string }) {
  const { job } = useJobContext();
  const { rules, set } = hand;
  return (
    <Box data-testid="chosen-task">
      <Heading as="h2" fontSize="19px">
        {task.what}
      </Heading>
      <Text>{sayWhen(task)}</Text>
      <Text mb="3">
        <OpenFigure figure={task.hours} label="Hours">
          {task.hours.value.toFixed(2)} h
        </OpenFigure>
        , {sayPeople(task.crew)}
      </Text>
      <StartForm task={task} move={hand.move} />
      <Heading as="h3" fontSize="16px" mt="4" mb="1">
        Actual time
      </Heading>
      <SpentForm
        key={task.id}
        task={task}
        rules={rules}
        currency={currency}
        spent={job.plan?.spent ?? []}
        onChange={(spent) => {
          set({ spent });
        }}
      />
    </Box>
  );
}

/** Sets the start of a task by hand, and removes one that was set. */
function StartForm({ task, move }: { task: PlannedTask } & Pick<PlanEditing, 'move'>) {
  const [day, setDay] = useState<string>();
  const [time, setTime] = useState<string>();
  return (
    <Flex
      as="form"
      gap="2"
      align="end"
      wrap="wrap"
      aria-label="When it starts"
      onSubmit={(event: React.SyntheticEvent) => {
        event.preventDefault();
        move(task.id, { day: day ?? task.starts.day, time: time ?? task.starts.time });
        setDay(undefined);
        setTime(undefined);
      }}
    >
      <Label mb="0" flex="1" minWidth="140px">
        Starts on
        <Field
          type="date"
          value={day ?? task.starts.day}
          onChange={(event) => {
            setDay(event.target.value);
          }}
        />
      </Label>
      <Label mb="0" flex="1" minWidth="110px">
        at
        <Field
          type="time"
          step={900}
          value={time ?? task.starts.time}
          onChange={(event) => {
            setTime(event.target.value);
          }}
        />
      </Label>
      <Press type="submit">Set its start</Press>
      {task.set && (
        <Press
          type="button"
          look="quiet"
          onClick={() => {
            move(task.id, undefined);
          }}
        >
          Lift it
        </Press>
      )}
    </Flex>
  );
}
