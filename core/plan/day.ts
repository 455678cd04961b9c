import type { Day } from '../days.js';
import { taskKindRow } from './kinds.js';
import type { Plan, PlannedTask, WaterOff } from './plan.js';

/** The part of a task done on one day. */
export interface DayTask {
  readonly task: PlannedTask;
  /** Times of day. */
  readonly from: string;
  readonly to: string;
  /** It started on an earlier day, or ends on a later one. */
  readonly begun: boolean;
  readonly goesOn: boolean;
}

export interface PlanDay {
  readonly day: Day;
  readonly tasks: readonly DayTask[];
  readonly water: readonly WaterOff[];
  /** Person-hours on that day. */
  readonly labor_h: number;
  /** Nobody is on site: phone calls only. */
  readonly office: boolean;
}

/** A plan day by day, for the crew. */
export function planDays({ days, tasks, water, calendar }: Plan): PlanDay[] {
  const { slotsPerDay } = calendar;
  return days.map((day) => {
    const own = tasks.flatMap((task): (DayTask & { readonly share: number })[] => {
      const first = firstOn(task, day, calendar.dayOf);
      if (first === undefined) return [];
      const evening = (Math.floor(first / slotsPerDay) + 1) * slotsPerDay;
      const end = Math.min(task.to, evening);
      return [
        {
          task,
          from: calendar.startOf(first).time,
          to: calendar.endOf(end).time,
          begun: first > task.from,
          goesOn: end < task.to,
          share: (end - first) / (task.to - task.from),
        },
      ];
    });
    return {
      day,
      tasks: own.map(({ share: _share, ...each }) => each),
      water: water.filter(({ from }) => from.day === day),
      labor_h: own.reduce((sum, { task, share }) => sum + share * task.crew * task.hours.value, 0),
      office: own.every(({ task }) => taskKindRow(task.kind).office ?? false),
    };
  });
}

/** The first slot of a task on a day. */
function firstOn({ from, to }: PlannedTask, day: Day, dayOf: (slot: number) => Day): number | undefined {
  for (let slot = from; slot < to; slot++) if (dayOf(slot) === day) return slot;
  return undefined;
}
