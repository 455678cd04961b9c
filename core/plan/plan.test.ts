import { addBusinessDays, format, isWeekend, parseISO } from 'date-fns';
import fc from 'fast-check';
import type { PlanRules, Spent } from '../job/plan-schema.js';
import { machines } from '../job/vocabulary.js';
import { defaultPlanRules } from './rules.js';
import { readJob } from '../files/read.js';
import { readyJob } from '../solve/ready.js';
import { ownScope } from '../test/own-scope.js';
import { fieldJobs } from '../test/forty-jobs.js';
import { randomJob } from '../test/random-job.js';
import { spokenJob } from '../test/spoken-job.js';
import { factorOf, quantile, rateChecks } from './actuals.js';
import { calendarOf, slotsPerHour } from './calendar.js';
import { cureHours } from './cure.js';
import { planDays } from './day.js';
import { taskKindRow } from './kinds.js';
import { planOf, sayMoment, sayTime, type Plan, type PlannedTask, type PlanOptions } from './plan.js';
import { hoursOf, tasksOf } from './tasks.js';

const startOn = '2026-12-01';

/** Scopes of random jobs with some work in them, the quickest to compute first. */
const worked = Array.from({ length: 40 }, (_, seed) => randomJob(seed, { lines: 1 + (seed % 2) }))
  .map((job) => ownScope(readyJob(job)))
  .filter(({ lines }) => lines.some(({ actions, segments }) => actions.length + segments.length > 0))
  .filter((scope) => tasksOf(optionsFor(scope)).tasks.length > 1);

function optionsFor(scope: PlanOptions['scope'], rules: Partial<PlanRules> = {}): PlanOptions {
  return { scope, names: {}, rules: { ...defaultPlanRules, ...rules }, temperature_F: 70, startOn };
}

function planned(options: PlanOptions): Plan {
  const answer = planOf(options);
  if ('refused' in answer) throw new Error(answer.refused);
  return answer.plan;
}

const refusal = (options: PlanOptions): string => {
  const answer = planOf(options);
  return 'refused' in answer ? answer.refused : '';
};

test('the calendar counts working days as another library does, and knows no hour nobody works in', () => {
  // Reference: date-fns, addBusinessDays.
  const calendar = calendarOf(defaultPlanRules, startOn);
  const perDay = calendar.slotsPerDay;
  expect(perDay).toBe(8 * slotsPerHour);
  for (let day = 0; day < 60; day++) {
    const expected = addBusinessDays(new Date(`${startOn}T00:00:00Z`), day)
      .toISOString()
      .slice(0, 10);
    expect(calendar.dayOf(day * perDay)).toBe(expected);
    expect(isWeekend(new Date(`${expected}T12:00:00Z`))).toBe(false);
    // Called in the morning, cleared after three whole working days.
    const answered = calendar.dayOf(calendar.afterDays(day * perDay + 1, 3));
    expect(answered).toBe(
      addBusinessDays(new Date(`${expected}T00:00:00Z`), 4)
        .toISOString()
        .slice(0, 10),
    );
  }
  fc.assert(
    fc.property(fc.nat({ max: 2000 }), fc.double({ min: 0, max: 80, noNaN: true }), (slot, hours) => {
      expect(calendar.slotAt(calendar.startOf(slot))).toBe(slot);
      const next = calendar.afterHours(slot + 1, hours);
      const clock = (moment: { day: string; time: string }) =>
        Date.parse(`${moment.day}T${moment.time}:00Z`) / 3.6e6;
      const waited = clock(calendar.startOf(next)) - clock(calendar.endOf(slot + 1));
      expect(waited).toBeGreaterThanOrEqual(hours - 1e-9);
      // The slot before would be too soon.
      if (next > slot + 1)
        expect(clock(calendar.startOf(next - 1)) - clock(calendar.endOf(slot + 1))).toBeLessThan(hours);
    }),
  );
  // Sunday is not a working day.
  expect(calendarOf(defaultPlanRules, '2026-12-06').startOf(0)).toEqual({ day: '2026-12-07', time: '07:00' });
  expect(calendar.slotAt({ day: '2026-12-05', time: '09:00' })).toBeUndefined();
  expect(calendar.slotAt({ day: '2026-12-04', time: '15:00' })).toBeUndefined();
  expect(calendar.endOf(perDay)).toEqual({ day: startOn, time: '15:00' });
});

test('a plan never starts before what it needs, and never has more people or machines than there are', () => {
  const met = { sameDay: 0, liner: 0, public: 0, open: 0, pipe: 0 };
  for (const scope of worked) {
    const options = optionsFor(scope);
    const { tasks, sameDay } = tasksOf(options);
    const plan = planned(options);
    const { calendar } = plan;
    const byId = new Map(plan.tasks.map((task) => [task.id, task]));
    expect([...byId.keys()].sort()).toEqual(tasks.map(({ id }) => id).sort());
    for (const task of plan.tasks) {
      expect(task.to - task.from).toBe(Math.max(1, Math.ceil(task.hours.value * slotsPerHour - 1e-9)));
      for (const { task: before, days, hours } of task.after) {
        const end = (byId.get(before) as PlannedTask).to;
        const opens =
          days !== undefined
            ? calendar.afterDays(end, days)
            : hours !== undefined
              ? calendar.afterHours(end, hours)
              : end;
        expect(task.from).toBeGreaterThanOrEqual(opens);
      }
    }
    const last = Math.max(...plan.tasks.map(({ to }) => to));
    for (let slot = 0; slot < last; slot++) {
      const now = plan.tasks.filter(
        ({ from, to, kind }) => from <= slot && slot < to && !taskKindRow(kind).office,
      );
      expect(now.reduce((sum, { crew }) => sum + crew, 0)).toBeLessThanOrEqual(defaultPlanRules.crew);
      for (const machine of machines)
        expect(now.filter(({ kind }) => taskKindRow(kind).machine === machine).length).toBeLessThanOrEqual(1);
    }
    // What may not stay open overnight is closed the same day, or listed as not possible.
    for (const group of sameDay) {
      const days = new Set(
        group.tasks.flatMap((id) => {
          const task = byId.get(id) as PlannedTask;
          return [calendar.dayOf(task.from), calendar.dayOf(task.to - 1)];
        }),
      );
      if (days.size > 1) expect(plan.warnings.some((words) => words.startsWith(group.why))).toBe(true);
      else met.sameDay++;
    }
    // Resin cannot wait; the water stays off until it has cured.
    for (const { id, to, line } of plan.tasks.filter(({ kind }) => kind === 'insert')) {
      const cure = byId.get(id.replace('insert', 'cure')) as PlannedTask;
      expect(calendar.dayOf(cure.to - 1)).toBe(calendar.dayOf(to - 1));
      expect(
        plan.water.some(
          (off) =>
            off.line === line &&
            off.from.day === cure.starts.day &&
            off.from.time <= cure.starts.time &&
            off.to.time >= cure.ends.time,
        ),
      ).toBe(true);
      met.liner++;
    }
    for (const { kind, from } of plan.tasks)
      if (kind === 'dig') expect(from).toBeGreaterThanOrEqual(calendar.slotsPerDay * 4);
    const hours = plan.tasks.reduce((sum, { crew, hours: each }) => sum + crew * each.value, 0);
    expect(plan.labor_h).toBeCloseTo(hours, 9);
    expect(plan.labor).toBeCloseTo(hours * defaultPlanRules.labor_per_hour, 1);
    if (byId.has('permit')) met.public++;
    if (plan.warnings.some((words) => words.includes('stands open for'))) met.open++;
    if (plan.tasks.some(({ kind }) => kind === 'lay')) met.pipe++;
  }
  expect(Math.min(...Object.values(met))).toBeGreaterThan(1);
});

// What is priced takes hours: each rate of work with the kinds of task it is done by.
const doneBy: readonly (readonly [rates: RegExp, kinds: RegExp])[] = [
  [/^cutBack_each/, /^cut-back$/],
  [/^dig(To|Below)5_per_yd3/, /^(hand-)?dig$/],
  [/^(support|shield)_per_ft2/, /^protect$/],
  [/^handDug_per_ft/, /^reach$/],
  [/^reinstatement_each/, /^reinstate$/],
  [/^backfill_per_yd3/, /^backfill$/],
  [/^restore_per_ft2/, /^restore-/],
];

test('all work that is priced is planned, as much of it as is priced', () => {
  const met = doneBy.map(() => 0);
  const jobs = [
    ...Array.from({ length: 60 }, (_, seed) => randomJob(seed, { lines: 1 + (seed % 2) })),
    spokenJob('A tap that sticks in', ['80 main', '30 tap sticks in 30%'], {
      pipe: { material: 'clay', diameter_in: 4 },
      rules: undefined,
      prices: undefined,
    }),
    ...fieldJobs.flatMap(({ title, log, more }) => readJob(spokenJob(title, log, more)).job ?? []),
  ];
  for (const job of jobs) {
    const scope = ownScope(readyJob(job));
    const { tasks } = tasksOf(optionsFor(scope));
    for (const [i, [rates, kinds]] of doneBy.entries()) {
      const priced = [
        ...scope.prices.lines,
        ...scope.lines.flatMap(({ cleanouts }) => cleanouts.flatMap(({ prices }) => prices)),
      ]
        .filter(({ from, rate }) => rates.test(from) && rate > 0)
        .reduce((sum, { quantity }) => sum + quantity, 0);
      const planned = tasks
        .filter(({ kind }) => kinds.test(kind))
        .reduce((sum, { amount }) => sum + amount, 0);
      // Priced quantities are rounded to a hundredth, line by line.
      expect([
        job.title,
        String(kinds),
        Math.abs(planned - priced) <= 0.005 * scope.prices.lines.length,
      ]).toEqual([job.title, String(kinds), true]);
      if (priced > 0) met[i] = (met[i] ?? 0) + 1;
    }
  }
  expect(doneBy.filter((_, i) => met[i] === 0)).toEqual([]);
});

test('every excavation of a cleanout is opened, held, covered and restored, by as much as its price says', () => {
  const met = { own: 0, held: 0, inOther: 0, repaired: 0 };
  for (let seed = 0; seed < 60; seed++) {
    const job = randomJob(seed, { lines: 1 });
    // Where nobody can use a cleanout a new one is set; where one is buried it is exposed and raised.
    const points = job.lines[0]?.points.map((point) =>
      point.kind !== 'cleanout'
        ? point
        : seed % 3 === 0
          ? { ...point, state: 'buried' as const }
          : { id: point.id, kind: 'access' as const, through: 'pulled-toilet' as const },
    );
    const lines = job.lines.map((line) => ({ ...line, points: points ?? [] }));
    const scope = ownScope(readyJob({ ...job, lines, rules: { ...job.rules, addCleanout: 'every-job' } }));
    const { tasks, sameDay } = tasksOf(optionsFor(scope));
    // Also where a cleanout is all there is to do.
    expect(tasks.filter(({ hours, amount }) => !(hours.value >= 0 && amount >= 0))).toEqual([]);
    const id = (name: string) => `${scope.lines[0]?.id ?? ''} ${name}`;
    const task = (name: string) => tasks.find((each) => each.id === id(name));
    const before = (name: string) => task(name)?.after.map((each) => each.task) ?? [];
    for (const [i, { in: excavation, prices }] of (scope.lines[0]?.cleanouts ?? []).entries()) {
      const name = `cleanout ${i + 1}`;
      const priced = (rates: RegExp) =>
        prices.filter(({ from }) => rates.test(from)).reduce((sum, { quantity }) => sum + quantity, 0);
      const amount = (kind: string) => task(`${kind} ${name}`)?.amount ?? 0;
      expect(amount('dig')).toBeCloseTo(priced(/^dig/), 9);
      expect(amount('protect')).toBeCloseTo(priced(/^(support|shield)/), 9);
      expect(amount('backfill')).toBeCloseTo(priced(/^backfill/), 9);
      expect(amount('restore soft') + amount('restore hard')).toBeCloseTo(priced(/^restore/), 9);
      if (excavation !== null) {
        // Set while that excavation is open.
        expect(
          before(name).some((each) => [`dig ${excavation}`, `protect ${excavation}`].map(id).includes(each)),
        ).toBe(true);
        expect(before(`backfill ${excavation}`)).toContain(id(name));
        met.inOther++;
      } else if (task(`dig ${name}`) === undefined) met.repaired++;
      else {
        const opened = task(`protect ${name}`) ? `protect ${name}` : `dig ${name}`;
        if (opened !== `dig ${name}`) met.held++;
        expect(before(name)).toContain(id(opened));
        expect(before(`backfill ${name}`)).toEqual([id(name)]);
        expect(before('inspect after')).toContain(id(`backfill ${name}`));
        const inPavement = prices.some(({ from }) =>
          /\.(street|concrete|asphalt|pavers|sidewalk|gravel)$/.test(from),
        );
        expect(sameDay.some(({ tasks: together }) => together.includes(id(`backfill ${name}`)))).toBe(
          inPavement,
        );
        met.own++;
      }
    }
  }
  expect(Math.min(...Object.values(met))).toBeGreaterThan(2);
});

test('more people, more hours and faster work never end later', () => {
  for (const scope of worked.slice(0, 25)) {
    const end = (rules: Partial<PlanRules>) => {
      const plan = planned(optionsFor(scope, rules));
      // Only a proven plan is called the shortest.
      return plan.proven ? Math.max(...plan.tasks.map(({ to }) => to)) : undefined;
    };
    const own = end({});
    const more = end({ crew: 6, machines: { ...defaultPlanRules.machines, excavator: 2 } });
    const faster = end({
      rates: Object.fromEntries(
        Object.entries(defaultPlanRules.rates).map(([kind, rate]) => [
          kind,
          { ...rate, perHour: rate.perHour * 1.5 },
        ]),
      ) as PlanRules['rates'],
    });
    const open = end({ closeOvernight: false });
    if (own === undefined) continue;
    for (const other of [more, faster, open]) if (other !== undefined) expect(other).toBeLessThanOrEqual(own);
  }
});

test('a start that is set is kept and the rest follows; one that cannot be is refused with what holds it', () => {
  const scope = worked.find(
    (each) => tasksOf(optionsFor(each)).tasks.filter(({ kind }) => kind === 'lay').length > 0,
  );
  if (!scope) throw new Error('no job lays pipe');
  const options = optionsFor(scope);
  const plan = planned(options);
  const lay = plan.tasks.find(({ kind }) => kind === 'lay') as PlannedTask;
  const at = (slot: number) => {
    const { day, time } = plan.calendar.startOf(slot);
    return `${day}T${time}`;
  };
  const dig = plan.tasks.find(({ id }) => lay.after.some(({ task }) => task === id)) as PlannedTask;
  const later = plan.calendar.slotsPerDay * 8;
  const moved = planned({ ...options, starts: { [dig.id]: at(later) } });
  const now = new Map(moved.tasks.map((task) => [task.id, task]));
  expect(now.get(dig.id)).toMatchObject({ from: later, set: true });
  expect(now.get(lay.id)?.from).toBeGreaterThanOrEqual(later + (dig.to - dig.from));
  expect(refusal({ ...options, starts: { [lay.id]: at(1) } })).toMatch(
    new RegExp(`^“${lay.what}” cannot start at .*: “.*” comes first`),
  );
  const first = planned(options).tasks.find(({ kind }) => kind === 'dig') as PlannedTask;
  expect(refusal({ ...options, starts: { [first.id]: at(2) } })).toMatch(
    /“Call for the utility locate” comes first and takes 3 working days/,
  );
  expect(refusal({ ...options, starts: { [lay.id]: '2026-12-06T09:00' } })).toMatch(
    /^Nobody works at that time: .*Sun, Dec 6, 9:00 AM/,
  );
  expect(refusal({ ...options, starts: { [lay.id]: at(later + plan.calendar.slotsPerDay - 2) } })).toMatch(
    /in one go and would run past the end of the day: start it by/,
  );
  expect(refusal({ ...options, starts: { [dig.id]: at(later), [lay.id]: at(later) } })).toMatch(
    /cannot start at .* while “/,
  );
  // A task that no longer exists is skipped: the scope changed since.
  expect(planned({ ...options, starts: { 'house dig P99': at(1) } }).tasks).toEqual(plan.tasks);
  expect(refusal(optionsFor(scope, { crew: 1 }))).toMatch(/takes 2 people and there is 1/);
  expect(refusal(optionsFor(scope, { machines: { ...defaultPlanRules.machines, camera: 0 } }))).toMatch(
    /needs a camera and there is none/,
  );
  // Without an excavator it is dug by hand, in the same order with more hours.
  const byHand = optionsFor(scope, { machines: { ...defaultPlanRules.machines, excavator: 0 } });
  expect(tasksOf(byHand).tasks.some(({ kind }) => kind === 'hand-dig')).toBe(true);
});

test('hours are set-up and amount by rate; a cure follows the resin’s sheet', () => {
  // About one labor-hour for half a cubic yard of trench by hand: an estimating handbook's figure, from memory.
  const { crew } = defaultPlanRules.rates['hand-dig'];
  const labor = (yards: number) => hoursOf('hand-dig', yards, defaultPlanRules).value * crew;
  expect(labor(2) - labor(1)).toBeCloseTo(2, 9);
  expect(hoursOf('lay', 16, defaultPlanRules).value).toBeCloseTo(0.75 + 2, 9);
  const { cure } = defaultPlanRules;
  for (const { at_F, hours } of cure) expect(cureHours(cure, at_F).hours.value).toBe(hours);
  expect(cureHours(cure, 65).hours.value).toBeCloseTo((6.5 + 4.5) / 2, 9);
  expect(cureHours(cure, 120)).toMatchObject({ hours: { value: 1.75 }, doubt: undefined });
  expect(cureHours(cure, 40).doubt).toMatch(/starts at 50 °F; at 40 °F it cures longer/);
  expect(cureHours(cure, undefined).doubt).toMatch(/temperature was not entered/);
});

test('what was really spent says how far a rate is off; under the better rate it is not', () => {
  // R's own example of type 7: quantile(c(1, 2, 3, 4, 10), 0.25 and 0.9), from memory.
  expect(quantile([1, 2, 3, 4, 10], 0.25)).toBe(2);
  expect(quantile([1, 2, 3, 4, 10], 0.9)).toBeCloseTo(7.6, 9);
  const spent = fc.array(
    fc.record({
      amount: fc.double({ min: 1, max: 40, noNaN: true }),
      hours: fc.double({ min: 0.25, max: 20, noNaN: true }),
    }),
    { minLength: 1, maxLength: 9 },
  );
  fc.assert(
    fc.property(spent, (rows) => {
      const items = rows.map((row, i): Spent => ({
        id: `S${i}`,
        on: startOn,
        task: `house dig P${i}`,
        kind: 'dig',
        ...row,
      }));
      const [check] = rateChecks(items, defaultPlanRules);
      expect(check?.factors).toHaveLength(items.length);
      if (!check) return;
      expect(check.middle[0]).toBeLessThanOrEqual(check.median);
      expect(check.middle[1]).toBeGreaterThanOrEqual(check.median);
      const taken = { rates: { ...defaultPlanRules.rates, dig: check.better } };
      // The suggested rate is kept to three digits.
      expect(rateChecks(items, taken)[0]?.median).toBeCloseTo(1, 1);
    }),
  );
  // Twice the people for half the hours are the same person-hours, and matching the rate exactly is a factor of 1.
  fc.assert(
    fc.property(
      fc.constantFrom('dig', 'lay', 'backfill'),
      fc.double({ min: 1, max: 40, noNaN: true }),
      (kind, amount) => {
        const { crew } = defaultPlanRules.rates[kind];
        const { value } = hoursOf(kind, amount, defaultPlanRules);
        const spent = (people: number, hours: number): Spent => ({
          ...{ id: 'S1', on: startOn, task: 't', kind, amount, people, hours },
        });
        expect(factorOf(spent(crew, value), defaultPlanRules)).toBeCloseTo(1, 9);
        expect(factorOf(spent(2 * crew, value / 2), defaultPlanRules)).toBeCloseTo(1, 9);
        expect(factorOf(spent(crew + 1, value), defaultPlanRules)).toBeCloseTo((crew + 1) / crew, 9);
      },
    ),
  );
  const twoOnOne: Spent = { id: 'S1', on: startOn, task: 't', kind: 'test', hours: 0.75, people: 2 };
  expect(rateChecks([twoOnOne], defaultPlanRules)[0]?.median).toBeCloseTo(2, 9);
  // A rate by the foot learns nothing from hours alone.
  expect(rateChecks([{ ...twoOnOne, kind: 'lay' }], defaultPlanRules)).toEqual([]);
});

test('day by day a plan holds every task whole, inside working hours, and adds up to its labor', () => {
  for (const scope of worked.slice(0, 20)) {
    const plan = planned(optionsFor(scope));
    const days = planDays(plan);
    expect(days.map(({ day }) => day)).toEqual([...plan.days]);
    expect(days.reduce((sum, { labor_h }) => sum + labor_h, 0)).toBeCloseTo(plan.labor_h, 6);
    const minutes = new Map<string, number>();
    for (const { tasks, water } of days) {
      for (const { task, from, to, begun, goesOn } of tasks) {
        expect(from >= '07:00' && to <= '15:00' && from < to).toBe(true);
        if (begun) expect(from).toBe('07:00');
        if (goesOn) expect(to).toBe('15:00');
        minutes.set(task.id, (minutes.get(task.id) ?? 0) + minutesOf(to) - minutesOf(from));
      }
      for (const off of water) expect(off.from.time < off.to.time).toBe(true);
    }
    for (const { id, from, to } of plan.tasks) expect(minutes.get(id)).toBe((to - from) * 15);
    // Every hour without water is one of work on the pipe, or between two of those.
    for (const { kind, line, from, to } of plan.tasks)
      if (taskKindRow(kind).waterOff)
        for (let slot = from; slot < to; slot++) {
          const { day, time } = plan.calendar.startOf(slot);
          expect(
            plan.water.some(
              (off) =>
                off.line === line && off.from.day === day && off.from.time <= time && time < off.to.time,
            ),
          ).toBe(true);
        }
  }
});

const minutesOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));

const anyRules: fc.Arbitrary<Partial<PlanRules>> = fc.record({
  startsAt: fc.constantFrom('06:00', '07:30', '08:15'),
  hours: fc.integer({ min: 4, max: 48 }).map((quarters) => quarters / 4),
  workdays: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 7 }),
  crew: fc.integer({ min: 1, max: 8 }),
  machines: fc.record(
    Object.fromEntries(machines.map((each) => [each, fc.integer({ min: 0, max: 2 })])) as Record<
      (typeof machines)[number],
      fc.Arbitrary<number>
    >,
  ),
  locate_days: fc.integer({ min: 0, max: 12 }),
  permit_days: fc.integer({ min: 0, max: 40 }),
  closeOvernight: fc.boolean(),
});

test('whatever days a company works, there is a plan that keeps them or a sentence that says why not', () => {
  const met = { plan: 0, refused: 0 };
  fc.assert(
    fc.property(
      fc.nat({ max: worked.length - 1 }),
      anyRules,
      fc.integer({ min: 30, max: 110 }),
      (which, rules, at_F) => {
        const scope = worked[which];
        if (!scope) return;
        const options = { ...optionsFor(scope, rules), temperature_F: at_F };
        const answer = planOf(options);
        if ('refused' in answer) {
          expect(answer.refused).toMatch(/^[“N].*[.]$/);
          met.refused++;
          return;
        }
        met.plan++;
        const { plan } = answer;
        const { startsAt, hours, workdays, crew } = options.rules;
        const evening = minutesOf(startsAt) + hours * 60;
        for (const { starts, ends, crew: own } of plan.tasks) {
          for (const { day, time } of [starts, ends]) {
            expect(workdays).toContain(new Date(`${day}T00:00:00Z`).getUTCDay());
            expect(minutesOf(time)).toBeGreaterThanOrEqual(minutesOf(startsAt));
            expect(minutesOf(time)).toBeLessThanOrEqual(evening);
          }
          expect(own).toBeLessThanOrEqual(Math.max(crew, 1));
        }
        expect(plan.warnings.every((words) => !/undefined|NaN/.test(words))).toBe(true);
        // Planning again gives the same plan.
        expect(planned(options).tasks).toEqual(plan.tasks);
      },
    ),
    { numRuns: 60 },
  );
  expect(Math.min(met.plan, met.refused)).toBeGreaterThan(5);
}, 120_000);

test('a job file says what is wrong with a plan, and where', () => {
  const bad = (plan: unknown) => {
    const read = readJob({ ...JSON.parse(JSON.stringify(randomJob(1))), plan });
    return read.faults?.map(({ path }) => path) ?? [];
  };
  expect(bad({ rules: { hours: 8.1 } })).toEqual(['plan.rules.hours']);
  expect(bad({ rules: { startsAt: '7am' } })).toEqual(['plan.rules.startsAt']);
  expect(bad({ rules: { workdays: [] } })).toEqual(['plan.rules.workdays']);
  expect(bad({ rules: { rates: { dig: { perHour: 0 } } } })).toEqual(['plan.rules.rates.dig.perHour']);
  expect(
    bad({
      rules: {
        cure: [
          { at_F: 70, hours: 4 },
          { at_F: 60, hours: 6 },
        ],
      },
    }),
  ).toEqual(['plan.rules.cure']);
  expect(bad({ starts: { 'house dig P1': 'tomorrow' } })).toEqual(['plan.starts.house dig P1']);
  expect(bad({ spent: [{ id: 'S1', on: '2026-02-30', task: 't', kind: 'dig', hours: 2 }] })).toEqual([
    'plan.spent[0].on',
  ]);
  expect(
    bad({ startOn: '2026-12-01', rules: { crew: 4, rates: { dig: { perHour: 5 } } }, starts: {}, spent: [] }),
  ).toEqual([]);
});

test('moments are said as Americans say them', () => {
  // Reference: date-fns, format.
  const times = ['00:00', '00:15', '07:30', '11:45', '12:00', '12:30', '15:00', '23:45'];
  for (const time of times)
    for (const day of ['2026-01-01', '2026-02-28', '2026-12-31', '2028-02-29']) {
      const date = parseISO(`${day}T${time}`);
      expect(sayMoment({ day, time })).toBe(format(date, 'EEE, MMM d, h:mm a'));
      expect(sayTime(time)).toBe(format(date, 'h:mm a'));
    }
});
