import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Moment } from '../../core/plan/calendar.js';
import { taskKindRow } from '../../core/plan/kinds.js';
import { sayPeople, sayTime, sayWeekday, type Plan, type PlannedTask } from '../../core/plan/plan.js';
import { axisOf, type Axis } from './axis';
import { sayWhen } from './use-plan';
import { Note } from '../controls/text';
import { useDrag } from '../drawing/use-gestures';

const row_px = 52;

const Bar = chakra('button', {
  base: {
    position: 'absolute',
    top: '24px',
    height: '22px',
    minWidth: '8px',
    border: '1.5px solid',
    borderColor: 'ink',
    cursor: 'grab',
    touchAction: 'none',
    p: 0,
    // The touch target is larger than what is drawn.
    _before: { content: '""', position: 'absolute', inset: '-22px -10px -4px -10px' },
  },
  variants: {
    of: {
      office: { bg: 'keep' },
      water: { bg: 'water' },
      site: { bg: 'liner' },
    },
  },
});

interface Props {
  readonly plan: Plan;
  readonly chosen: string | undefined;
  readonly onChoose: (task: string) => void;
  /** A task was dropped at another time; undefined removes the start that was set. */
  readonly onMove: (task: string, to: Moment | undefined) => void;
}

/** The tasks as bars over the working hours of the days; a bar is dragged, or moved by the arrow keys. */
export function PlanChart({ plan, chosen, onChoose, onMove }: Props) {
  const axis = axisOf(plan);
  const { calendar } = plan;
  return (
    <Box
      overflowX="auto"
      position="relative"
      tabIndex={0}
      role="region"
      aria-label="The days as bars"
      border="1px solid"
      borderColor="rule"
    >
      <Box position="relative" width={`${axis.width}px`} minWidth="100%">
        <Flex height="52px" borderBottom="2px solid" borderColor="ink" aria-hidden>
          {axis.columns.map(({ index, width, gap }) => {
            const { day, time } = calendar.startOf(index * calendar.slotsPerDay);
            return (
              <Box
                key={index}
                width={`${width}px`}
                flexShrink={0}
                pl="2"
                pt="1"
                borderLeft={gap ? '4px double' : '1px solid'}
                borderColor={gap ? 'ink' : 'rule'}
              >
                <Text fontFamily="heading" fontWeight={700} fontSize="15px" whiteSpace="nowrap">
                  {sayWeekday(day)}
                </Text>
                <Note fontSize="12.5px" whiteSpace="nowrap">
                  {sayTime(time)}
                </Note>
              </Box>
            );
          })}
        </Flex>
        <Box role="list" aria-label="Tasks">
          {plan.tasks.map((task) => (
            <Row
              key={task.id}
              {...{ task, axis, plan, onMove }}
              chosen={task.id === chosen}
              onChoose={() => {
                onChoose(task.id);
              }}
            />
          ))}
        </Box>
      </Box>
    </Box>
  );
}

interface RowProps extends Pick<Props, 'plan' | 'onMove'> {
  readonly task: PlannedTask;
  readonly axis: Axis;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

function Row({ task, axis, plan, chosen, onChoose, onMove }: RowProps) {
  const { calendar } = plan;
  const left = axis.x(task.from);
  // An end in the evening is at the right edge of that day.
  const right = Math.max(
    left + 8,
    axis.x(task.to - 1) + (axis.columns.at(-1)?.width ?? 0) / calendar.slotsPerDay,
  );
  const { moved_px, bar } = useBar({ task, axis, plan, onMove, onChoose }, left);
  const { office, waterOff } = taskKindRow(task.kind);
  const at = moved_px === undefined ? undefined : calendar.startOf(axis.slotAt(left + moved_px));
  return (
    <Box
      role="listitem"
      position="relative"
      height={`${row_px}px`}
      borderBottom="1px solid"
      borderColor="rule"
      bg={chosen ? 'keep' : undefined}
    >
      <DayLines axis={axis} />
      <Text
        position="absolute"
        top="2px"
        left={`${Math.max(6, Math.min(left, axis.width - 330))}px`}
        fontSize="13.5px"
        whiteSpace="nowrap"
        fontWeight={chosen ? 700 : 400}
        pointerEvents="none"
        bg={chosen ? 'keep' : 'paper'}
        px="1"
      >
        {at ? `${sayWeekday(at.day)}, ${sayTime(at.time)}` : task.what}
        {task.set && !at && <chakra.span color="signalInk"> · start set by hand</chakra.span>}
      </Text>
      <Bar
        {...bar}
        type="button"
        of={office ? 'office' : waterOff ? 'water' : 'site'}
        left={`${left + (moved_px ?? 0)}px`}
        width={`${right - left}px`}
        borderLeftWidth={task.set ? '6px' : undefined}
        borderLeftColor={task.set ? 'signal' : undefined}
        aria-label={`${task.what}: ${sayWhen(task)}, ${sayPeople(task.crew)}${task.set ? ', start set by hand' : ''}`}
        aria-pressed={chosen}
        onFocus={onChoose}
      />
    </Box>
  );
}

const DayLines = ({ axis }: { axis: Axis }) =>
  axis.columns.map(({ index, x, gap }) => (
    <Box
      key={index}
      position="absolute"
      top="0"
      bottom="0"
      left={`${x}px`}
      borderLeft={gap ? '4px double' : '1px solid'}
      borderColor={gap ? 'soft' : 'rule'}
      aria-hidden
    />
  ));

/** A bar moved by pointer or arrow keys, and its current shift, px. */
function useBar(
  { task, axis, plan: { calendar }, onMove, onChoose }: Omit<RowProps, 'chosen'>,
  left: number,
) {
  const [moved_px, setMoved] = useState<number>();
  const draggable = useDrag(({ movement: [dx], first, last, tap, event }) => {
    if (first) onChoose();
    if (tap) return;
    event.preventDefault();
    if (!last) {
      setMoved(dx);
      return;
    }
    setMoved(undefined);
    const slot = axis.slotAt(left + dx);
    if (slot !== task.from) onMove(task.id, calendar.startOf(slot));
  });
  const onKeyDown = (event: React.KeyboardEvent) => {
    const step = event.shiftKey ? calendar.slotsPerDay : 1;
    if (event.key === 'ArrowRight') onMove(task.id, calendar.startOf(task.from + step));
    else if (event.key === 'ArrowLeft' && task.from - step >= 0)
      onMove(task.id, calendar.startOf(task.from - step));
    else if (event.key === 'Delete' || event.key === 'Backspace') onMove(task.id, undefined);
    else return;
    event.preventDefault();
  };
  return { moved_px, bar: { ref: draggable, onKeyDown } };
}
