import { plain } from '../figure.js';
import type { Day } from '../days.js';
import type { JobPlan, PlanRules } from '../job/plan-schema.js';
import { machines } from '../job/vocabulary.js';
import { earliestSchedule, type Schedule, type ScheduleTask } from '../search/schedule.js';
import { calendarOf, slotsPerHour, type Calendar, type Moment } from './calendar.js';
import { machineWords, taskKindRow } from './kinds.js';
import { tasksOf, type PlanInput, type SameDay, type Task, type Tasks, type Wait } from './tasks.js';

/** A scheduled task. */
export interface PlannedTask extends Task {
  readonly starts: Moment;
  readonly ends: Moment;
  /** Slots of working time it occupies; `to` is exclusive. */
  readonly from: number;
  readonly to: number;
  /** The user set its start. */
  readonly set: boolean;
}

/** Hours on one day when no water may run down a line. */
export interface WaterOff {
  readonly line: string;
  readonly from: Moment;
  readonly to: Moment;
  /** It was off the evening before, or stays off the following night. */
  readonly overnight: boolean;
}

/** The repair day by day: who does what when, when the water is off, and the total effort. */
export interface Plan {
  readonly tasks: readonly PlannedTask[];
  /** Working days with work on them, in order. */
  readonly days: readonly Day[];
  readonly starts: Moment;
  readonly ends: Moment;
  /** Proven: no plan with these people and machines ends sooner. */
  readonly proven: boolean;
  readonly water: readonly WaterOff[];
  /** Total person-hours. */
  readonly labor_h: number;
  readonly labor: number;
  /** What to know before following it, in sentences. */
  readonly warnings: readonly string[];
  readonly calendar: Calendar;
}

/** A plan, or why there is none. */
export type Planned = { readonly plan: Plan } | { readonly refused: string };

export interface PlanOptions extends PlanInput {
  /** The earliest date for any work. */
  readonly startOn: Day;
  /** Start times set by the user, by task; a task that no longer exists is ignored. */
  readonly starts?: JobPlan['starts'];
}

/**
 * The plan that ends first with the available people and machines, respecting the starts that were set. What cannot be
 * closed within one day is planned open, with a warning. Times are in quarter hours, longer tasks rounded up.
 */
export function planOf(options: PlanOptions): Planned {
  const { rules } = options;
  const tasks = tasksOf(options);
  const calendar = calendarOf(rules, options.startOn);
  const short = shortOf(tasks, rules);
  if (short !== undefined) return { refused: short };
  const set = startsOf(tasks, options.starts, calendar);
  if ('refused' in set) return set;
  const shut = tasks.sameDay.filter((group) => fitsInDay(group, tasks.tasks, rules));
  const left = tasks.sameDay.filter((group) => !shut.includes(group));
  const schedule = solve(tasks.tasks, shut, { rules, calendar, set: set.slots });
  if (schedule) return { plan: laid(tasks, schedule, { rules, calendar, left, set: set.slots }) };
  if (set.slots.size > 0) return { refused: whyNot(tasks.tasks, shut, { rules, calendar, set: set.slots }) };
  // Each fits in a day alone but not together with the others: they are no longer kept in one day, with a warning.
  const open = solve(tasks.tasks, [], { rules, calendar, set: set.slots });
  return open
    ? { plan: laid(tasks, open, { rules, calendar, left: tasks.sameDay, set: set.slots }) }
    : {
        refused: 'No plan fits these working days: a task takes longer than a day. Give the day more hours.',
      };
}

interface Setting {
  readonly rules: PlanRules;
  readonly calendar: Calendar;
  /** Slots set by the user, by task. */
  readonly set: ReadonlyMap<string, number>;
}

/** First slot after a wait, by the slot in which its task is finished. */
function opensAfter({ days, hours }: Wait, end: number, calendar: Calendar): number {
  if (days !== undefined) return calendar.afterDays(end, days);
  return hours === undefined ? end : calendar.afterHours(end, hours);
}

const durationOf = ({ hours }: Pick<Task, 'hours'>): number =>
  Math.max(1, Math.ceil(hours.value * slotsPerHour - 1e-9));

/** People, then machines. */
const resourcesOf = (rules: PlanRules): number[] => [
  rules.crew,
  ...machines.map((each) => rules.machines[each]),
];

function solve(
  tasks: readonly Task[],
  sameDay: readonly SameDay[],
  { rules, calendar, set }: Setting,
): Schedule | undefined {
  const index = new Map(tasks.map(({ id }, i) => [id, i]));
  return earliestSchedule({
    tasks: tasks.map((task): ScheduleTask => {
      const row = taskKindRow(task.kind);
      const duration = durationOf(task);
      const at = set.get(task.id);
      return {
        duration,
        needs: [row.office ? 0 : task.crew, ...machines.map((each) => (row.machine === each ? 1 : 0))],
        after: task.after.flatMap((wait) => {
          const of = index.get(wait.task);
          return of === undefined
            ? []
            : [{ task: of, opens: (end: number) => opensAfter(wait, end, calendar) }];
        }),
        // A task longer than a day runs past its end in any case.
        oneGo: (row.oneGo ?? false) && duration <= calendar.slotsPerDay,
        ...(at === undefined ? {} : { at }),
      };
    }),
    capacity: resourcesOf(rules),
    slotsPerDay: calendar.slotsPerDay,
    sameDay: sameDay.map((group) => group.tasks.flatMap((id) => index.get(id) ?? [])),
  });
}

/** People or machines that a task needs more of than are available. */
function shortOf({ tasks }: Tasks, rules: PlanRules): string | undefined {
  for (const task of tasks) {
    const { machine, office } = taskKindRow(task.kind);
    if (!office && task.crew > rules.crew)
      return `“${task.what}” takes ${task.crew} people and there ${rules.crew === 1 ? 'is 1' : `are ${rules.crew}`}: add people, or change its crew in the rates.`;
    if (machine && rules.machines[machine] < 1)
      return `“${task.what}” needs ${aWord(machineWords[machine])} and there is none: rent one and count it, for this job or for the company.`;
  }
  return undefined;
}

const aWord = (words: string): string =>
  /^[aeiou]/.test(words)
    ? `an ${words}`
    : words === 'liner inserting gear' || words === 'bursting gear'
      ? words
      : `a ${words}`;

/** Whether a group would fit within one day on its own: its longest chain, and its people. */
function fitsInDay(group: SameDay, tasks: readonly Task[], rules: PlanRules): boolean {
  const most = Math.round(rules.hours * slotsPerHour);
  const own = new Map(tasks.filter(({ id }) => group.tasks.includes(id)).map((task) => [task.id, task]));
  const ends = new Map<string, number>();
  const endOf = (task: Task): number => {
    const known = ends.get(task.id);
    if (known !== undefined) return known;
    const start = Math.max(
      0,
      ...task.after.flatMap(({ task: before, hours = 0 }) => {
        const other = own.get(before);
        return other ? [endOf(other) + Math.ceil(hours * slotsPerHour)] : [];
      }),
    );
    ends.set(task.id, start + durationOf(task));
    return start + durationOf(task);
  };
  const people = [...own.values()].reduce((sum, task) => sum + durationOf(task) * task.crew, 0);
  return Math.max(0, ...[...own.values()].map(endOf)) <= most && people <= most * rules.crew;
}

function startsOf(
  { tasks }: Tasks,
  starts: JobPlan['starts'] = {},
  calendar: Calendar,
): { readonly slots: ReadonlyMap<string, number> } | { readonly refused: string } {
  const slots = new Map<string, number>();
  for (const task of tasks) {
    const said = starts[task.id];
    if (said === undefined) continue;
    const [day = '', time = ''] = said.split('T');
    const slot = calendar.slotAt({ day, time });
    if (slot === undefined)
      return { refused: `Nobody works at that time: “${task.what}” was set to ${sayMoment({ day, time })}.` };
    slots.set(task.id, slot);
  }
  return { slots };
}

/** `Tue, Mar 3` */
export const sayWeekday = (day: Day): string =>
  new Date(`${day}T00:00:00Z`).toLocaleDateString('en-US', {
    weekday: 'short',
    month: 'short',
    day: 'numeric',
    timeZone: 'UTC',
  });

/** `Tue, Mar 3, 7:30 AM` */
export const sayMoment = ({ day, time }: Moment): string => `${sayWeekday(day)}, ${sayTime(time)}`;

/** `1 person`, `2 people` */
export const sayPeople = (count: number): string => `${count} ${count === 1 ? 'person' : 'people'}`;

/** `7:30 AM` */
export function sayTime(time: string): string {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return `${hours % 12 === 0 ? 12 : hours % 12}:${String(minutes).padStart(2, '0')} ${hours < 12 ? 'AM' : 'PM'}`;
}

/** Why no plan keeps the starts that were set: what blocks the requested one, else those that conflict. */
function whyNot(tasks: readonly Task[], sameDay: readonly SameDay[], setting: Setting): string {
  const { rules, calendar, set } = setting;
  const named = (id: string) => tasks.find((task) => task.id === id)?.what ?? id;
  // With nothing set and enough people: what has to be finished first.
  const free = solve(tasks, [], { calendar, rules: plenty(rules), set: new Map() });
  for (const [id, slot] of set) {
    const others = new Map([...set].filter(([each]) => each !== id));
    const task = tasks.find((each) => each.id === id);
    if (!task) continue;
    const before = task.after
      .map((wait) => ({ wait, opens: opensAfter(wait, endIn(free, tasks, wait.task), calendar) }))
      .sort((a, b) => b.opens - a.opens)[0];
    if (before && before.opens > slot)
      return `“${task.what}” cannot start at ${sayMoment(calendar.startOf(slot))}: “${named(before.wait.task)}” comes first${before.wait.days === undefined ? '' : ` and takes ${before.wait.days} working days to be answered`}, which leaves ${sayMoment(calendar.startOf(before.opens))} at the earliest.`;
    const duration = durationOf(task);
    const inDay = slot % calendar.slotsPerDay;
    if (taskKindRow(task.kind).oneGo && inDay + duration > calendar.slotsPerDay)
      return `“${task.what}” takes ${plain(duration / slotsPerHour)} h in one go and would run past the end of the day: start it by ${sayTime(calendar.startOf(slot - inDay + Math.max(0, calendar.slotsPerDay - duration)).time)}.`;
    if (solve(tasks, sameDay, { ...setting, set: new Map([[id, slot]]) }) === undefined) {
      const group = sameDay.find(
        (each) =>
          each.tasks.includes(id) &&
          !solve(tasks, [each], { ...setting, rules: plenty(rules), set: new Map([[id, slot]]) }),
      );
      return group
        ? `“${task.what}” cannot start at ${sayMoment(calendar.startOf(slot))}: ${group.why}, and what belongs to it would not be done by the end of the day.`
        : `“${task.what}” cannot start at ${sayMoment(calendar.startOf(slot))} with ${rules.crew} people and the machines there are.`;
    }
    if (solve(tasks, sameDay, { ...setting, set: others }) !== undefined && others.size > 0) {
      const [other] = [...others].find(
        ([each, at]) =>
          solve(tasks, sameDay, {
            ...setting,
            set: new Map([
              [each, at],
              [id, slot],
            ]),
          }) === undefined,
      ) ??
        [...others][0] ?? [''];
      return `“${task.what}” cannot start at ${sayMoment(calendar.startOf(slot))} while “${named(other)}” is set to ${sayMoment(calendar.startOf(others.get(other) ?? 0))}.`;
    }
  }
  return 'The starts that were set conflict: remove one of them.';
}

const plenty = (rules: PlanRules): PlanRules => ({
  ...rules,
  crew: 1000,
  machines: Object.fromEntries(machines.map((each) => [each, 1000])) as PlanRules['machines'],
});

function endIn(schedule: Schedule | undefined, tasks: readonly Task[], id: string): number {
  const i = tasks.findIndex((task) => task.id === id);
  const task = tasks[i];
  return task ? (schedule?.starts[i] ?? 0) + durationOf(task) : 0;
}

function laid(
  { tasks, doubts }: Tasks,
  schedule: Schedule,
  { rules, calendar, set, left }: Setting & { readonly left: readonly SameDay[] },
): Plan {
  const planned = tasks.map((task, i): PlannedTask => {
    const from = schedule.starts[i] ?? 0;
    const to = from + durationOf(task);
    return {
      ...task,
      from,
      to,
      starts: calendar.startOf(from),
      ends: calendar.endOf(to),
      set: set.has(task.id),
    };
  });
  const ordered = [...planned].sort((a, b) => a.from - b.from || a.to - b.to);
  const days = new Set<Day>();
  for (const { from, to } of ordered) for (let slot = from; slot < to; slot++) days.add(calendar.dayOf(slot));
  const labor_h = planned.reduce((sum, { crew, hours }) => sum + crew * hours.value, 0);
  return {
    tasks: ordered,
    days: [...days].sort(),
    starts: calendar.startOf(0),
    ends: calendar.endOf(schedule.finish),
    proven: schedule.proven,
    water: waterOff(ordered, calendar),
    labor_h,
    labor: Math.round(labor_h * rules.labor_per_hour * 100) / 100,
    warnings: [
      ...doubts,
      ...left
        .filter(({ excavation }) => excavation !== undefined)
        .map(
          ({ excavation, why }) =>
            `${why}, yet the work in it does not fit in a day of ${plain(rules.hours)} h: plate or cover ${excavation ?? 'it'}, fence and light it, or give it more people`,
        ),
      ...standOpen(ordered, calendar),
      ...(schedule.proven
        ? []
        : [
            `this plan may not be the shortest: none ends before ${sayMoment(calendar.endOf(schedule.least))}`,
          ]),
    ],
    calendar,
  };
}

/** Excavations open overnight, with nobody near them. */
function standOpen(tasks: readonly PlannedTask[], calendar: Calendar): string[] {
  return tasks.flatMap((dig) => {
    const hole = /^(.*) dig (P\S+|cleanout \d+)$/.exec(dig.id);
    const shut = hole && tasks.find(({ id }) => id === `${hole[1] ?? ''} backfill ${hole[2] ?? ''}`);
    if (!shut) return [];
    const nights =
      Math.floor((shut.to - 1) / calendar.slotsPerDay) - Math.floor((dig.to - 1) / calendar.slotsPerDay);
    const where = dig.what.replace(/^Dig (by hand )?/, '').replace(/^for /, 'the excavation for ');
    return nights > 0
      ? [
          `${where} stands open for ${nights === 1 ? 'a night' : `${nights} nights`}: cover or fence it, light it, and have the competent person look at it before anyone goes in again`,
        ]
      : [];
  });
}

/**
 * When no water may run down each line: from the first task that stops it on a piece of pipe to the last, day by day.
 */
function waterOff(tasks: readonly PlannedTask[], calendar: Calendar): WaterOff[] {
  const stretches = new Map<string, { line: string; from: number; to: number }>();
  for (const { kind, on, line, from, to } of tasks) {
    if (on === undefined || line === undefined || !taskKindRow(kind).waterOff) continue;
    const known = stretches.get(on);
    stretches.set(on, {
      line,
      from: Math.min(known?.from ?? from, from),
      to: Math.max(known?.to ?? to, to),
    });
  }
  const merged: { line: string; from: number; to: number }[] = [];
  for (const each of [...stretches.values()].sort((a, b) => a.from - b.from)) {
    const last = merged.findLast(({ line }) => line === each.line);
    if (last && each.from <= last.to) last.to = Math.max(last.to, each.to);
    else merged.push({ ...each });
  }
  const { slotsPerDay } = calendar;
  return merged.flatMap(({ line, from, to }) => {
    const out: WaterOff[] = [];
    for (let start = from; start < to;) {
      const end = Math.min(to, (Math.floor(start / slotsPerDay) + 1) * slotsPerDay);
      out.push({
        line,
        from: calendar.startOf(start),
        to: calendar.endOf(end),
        overnight: start > from || end < to,
      });
      start = end;
    }
    return out;
  });
}
