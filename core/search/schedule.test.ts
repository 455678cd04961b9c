import fc from 'fast-check';
import highsLoader from 'highs';
import { linearProgramme } from '../test/book/linear-programme.js';
import { earliestSchedule, type ScheduleProblem, type ScheduleTask } from './schedule.js';

// Reference: HiGHS, on the same problem written as a time-indexed integer program: one binary per task and first slot
// (Pritsker, Waters and Wolfe 1969, from memory).
const solver = highsLoader();

const slotsPerDay = 6;
const days = 4;
const horizon = slotsPerDay * days;
/** A night between two days is as long as four slots of clock time. */
const lagged = (lag: number) => (end: number) => {
  const clock = (slot: number) => slot + Math.floor(slot / slotsPerDay) * 4;
  let slot = end;
  const finished = end === 0 ? 0 : clock(end - 1) + 1;
  while (clock(slot) < finished + lag) slot++;
  return slot;
};

interface Written {
  readonly problem: ScheduleProblem;
  readonly lags: readonly number[][];
}

const written: fc.Arbitrary<Written> = fc
  .record({
    tasks: fc.array(
      fc.record({
        duration: fc.integer({ min: 1, max: 5 }),
        needs: fc.tuple(fc.integer({ min: 0, max: 2 }), fc.integer({ min: 0, max: 1 })),
        before: fc.array(fc.nat(), { maxLength: 2 }),
        lag: fc.constantFrom(0, 0, 0, 2, 5),
        oneGo: fc.boolean(),
        at: fc.option(fc.integer({ min: 0, max: slotsPerDay * 2 }), { nil: undefined, freq: 8 }),
      }),
      { minLength: 3, maxLength: 6 },
    ),
    crew: fc.integer({ min: 2, max: 3 }),
    together: fc.array(fc.nat(), { maxLength: 3 }),
  })
  .map(({ tasks, crew, together }) => ({
    lags: tasks.map(({ lag, before }) => before.map(() => lag)),
    problem: {
      tasks: tasks.map(({ duration, needs, before, lag, oneGo, at }, i): ScheduleTask => ({
        duration,
        needs,
        after: i === 0 ? [] : before.map((each) => ({ task: each % i, opens: lagged(lag) })),
        oneGo,
        ...(at === undefined ? {} : { at }),
      })),
      capacity: [crew, 1],
      slotsPerDay,
      sameDay: together.length > 1 ? [[...new Set(together.map((each) => each % tasks.length))]] : [],
    },
  }));

async function byHighs({ tasks, capacity, sameDay }: ScheduleProblem): Promise<number | undefined> {
  const programme = linearProgramme();
  const name = (task: number, slot: number) => programme.use(`x${task}_${slot}`, 0);
  const day = (slot: number) => Math.floor(slot / slotsPerDay);
  const may = tasks.map((task, i) => {
    const grouped = sameDay.some((group) => group.includes(i));
    return Array.from({ length: horizon - task.duration + 1 }, (_, slot) => slot).filter(
      (slot) =>
        (task.at === undefined || slot === task.at) &&
        (!(task.oneGo || grouped) || day(slot) === day(slot + task.duration - 1)),
    );
  });
  tasks.forEach((task, i) => {
    programme.equal(programme.sum((may[i] ?? []).map((slot) => name(i, slot))), 1);
    for (const { task: before, opens } of task.after)
      for (const first of may[before] ?? [])
        for (const slot of may[i] ?? [])
          if (slot < opens(first + (tasks[before]?.duration ?? 0)))
            programme.most(programme.sum([name(before, first), name(i, slot)]), 1);
  });
  for (const group of sameDay)
    for (const one of group)
      for (const other of group)
        if (one < other)
          for (const first of may[one] ?? [])
            for (const slot of may[other] ?? [])
              if (day(first) !== day(slot))
                programme.most(programme.sum([name(one, first), name(other, slot)]), 1);
  for (let now = 0; now < horizon; now++)
    capacity.forEach((most, resource) => {
      const running = tasks.flatMap((task, i) =>
        (may[i] ?? [])
          .filter((slot) => slot <= now && now < slot + task.duration)
          .map((slot) => [name(i, slot), task.needs[resource] ?? 0] as const),
      );
      if (running.length > 0) programme.most(programme.weigh(running), most);
    });
  // It ends by a slot: one binary a slot, those from the end on.
  const ends = Array.from({ length: horizon + 1 }, (_, slot) => programme.use(`end${slot}`, slot));
  programme.equal(programme.sum(ends), 1);
  tasks.forEach((task, i) => {
    for (const slot of may[i] ?? [])
      programme.most(programme.sum([name(i, slot), ...ends.slice(0, slot + task.duration)]), 1);
  });
  const answer = (await solver).solve(programme.text(), { mip_rel_gap: 0 });
  return answer.Status === 'Optimal' ? Math.round(answer.ObjectiveValue) : undefined;
}

function keepsTheRules({ tasks, capacity, sameDay }: ScheduleProblem, starts: readonly number[]): void {
  const end = (i: number) => (starts[i] ?? 0) + (tasks[i]?.duration ?? 0);
  const day = (slot: number) => Math.floor(slot / slotsPerDay);
  tasks.forEach((task, i) => {
    const start = starts[i] ?? -1;
    if (task.at !== undefined) expect(start).toBe(task.at);
    for (const { task: before, opens } of task.after)
      expect(start).toBeGreaterThanOrEqual(opens(end(before)));
    if (task.oneGo) expect(day(start)).toBe(day(end(i) - 1));
  });
  for (const group of sameDay)
    expect(new Set(group.flatMap((i) => [day(starts[i] ?? 0), day(end(i) - 1)])).size).toBeLessThanOrEqual(1);
  for (let now = 0; now < Math.max(0, ...tasks.map((_, i) => end(i))); now++)
    capacity.forEach((most, resource) => {
      const taken = tasks
        .filter((_, i) => (starts[i] ?? 0) <= now && now < end(i))
        .reduce((sum, task) => sum + (task.needs[resource] ?? 0), 0);
      expect(taken).toBeLessThanOrEqual(most);
    });
}

test('no schedule ends sooner: HiGHS agrees on small plans with days, lags, crews, a machine and set starts', async () => {
  const met = { agreed: 0, none: 0, sameDay: 0, set: 0, lag: 0 };
  await fc.assert(
    fc.asyncProperty(written, async ({ problem, lags }) => {
      const own = earliestSchedule(problem);
      // The program covers four days; longer schedules are outside it.
      if (own && own.finish > horizon) return;
      const reference = await byHighs(problem);
      expect(own?.finish).toBe(reference);
      if (!own) {
        met.none++;
        return;
      }
      expect(own.proven).toBe(true);
      keepsTheRules(problem, own.starts);
      met.agreed++;
      if (problem.sameDay.length > 0) met.sameDay++;
      if (problem.tasks.some(({ at }) => at !== undefined)) met.set++;
      if (lags.flat().some((lag) => lag > 0)) met.lag++;
    }),
    { numRuns: 400 },
  );
  expect(Math.min(...Object.values(met))).toBeGreaterThan(3);
}, 240_000);

test('more people never end later, and one more rule never sooner', () => {
  fc.assert(
    fc.property(written, ({ problem }) => {
      const ends = (each: ScheduleProblem) => earliestSchedule(each)?.finish ?? Infinity;
      const own = ends(problem);
      expect(ends({ ...problem, capacity: problem.capacity.map((most) => most + 1) })).toBeLessThanOrEqual(
        own,
      );
      const all = problem.tasks.map((_, i) => i);
      expect(ends({ ...problem, sameDay: [...problem.sameDay, all.slice(0, 2)] })).toBeGreaterThanOrEqual(
        own,
      );
      expect(
        ends({ ...problem, tasks: problem.tasks.map((task) => ({ ...task, oneGo: true })) }),
      ).toBeGreaterThanOrEqual(own);
    }),
  );
});

test('it says when it has not proven its schedule, and how soon it could be at best', () => {
  const task: ScheduleTask = { duration: 4, needs: [1], after: [], oneGo: true };
  const problem = {
    tasks: Array.from({ length: 9 }, () => task),
    capacity: [2],
    slotsPerDay: 6,
    sameDay: [],
  };
  const hurried = earliestSchedule(problem, 12);
  expect(hurried).toMatchObject({ proven: false });
  expect(hurried?.least).toBeLessThan(hurried?.finish ?? 0);
  // Nine tasks of four slots, two at a time, one each per day: five days, the last one half full.
  expect(earliestSchedule(problem)).toMatchObject({ finish: 4 * 6 + 4, proven: true });
});

test('what cannot be scheduled has no schedule, and ends; tasks that wait for each other are an error', () => {
  const task: ScheduleTask = { duration: 4, needs: [1], after: [], oneGo: false };
  const problem = (tasks: readonly ScheduleTask[], sameDay: readonly (readonly number[])[] = []) =>
    earliestSchedule({ tasks, capacity: [1], slotsPerDay: 6, sameDay });
  expect(problem([])).toEqual({ starts: [], finish: 0, least: 0, proven: true });
  // More people than available; longer than a day without a break; two that must share one day too short for both.
  expect(problem([{ ...task, needs: [2] }])).toBeUndefined();
  expect(problem([{ ...task, duration: 7, oneGo: true }])).toBeUndefined();
  expect(problem([task, task], [[0, 1]])).toBeUndefined();
  // Set to start before its predecessor is finished.
  const waits = { ...task, after: [{ task: 0, opens: (end: number) => end }] };
  expect(problem([task, { ...waits, at: 3 }])).toBeUndefined();
  expect(problem([task, { ...waits, at: 4 }])).toMatchObject({ starts: [0, 4], finish: 8 });
  // Set to start days later: the other tasks do not wait for it.
  expect(problem([task, { ...task, at: 24 }])).toMatchObject({ starts: [0, 24], finish: 28, proven: true });
  expect(() => problem([{ ...waits, after: [{ task: 1, opens: (end) => end }] }, waits])).toThrow(
    'waits for itself',
  );
});
