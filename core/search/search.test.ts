import fc from 'fast-check';
import highsLoader from 'highs';
import { linearProgramme, type Programme } from '../test/book/linear-programme.js';
import { cheapestWithCharges } from './fixed-charges.js';
import {
  arrivalFill,
  arrivalStart,
  bit,
  departureFill,
  type Level,
  type Limits,
  type Marks,
  type Problem,
} from './problem.js';
import { buildProblem } from './build-problem.js';
import type { Pass } from './passes.js';
import { search } from './search.js';

// The search and HiGHS, a general solver, get the same numbers; HiGHS as a flow through every possible state. Each
// arc is written from the definitions in problem.ts, one stretch at a time, without the search's running sums or
// states.

const solver = highsLoader();

/**
 * One arrival after moves of option 2 and one after option 3: start, fill, and those two. Departures: fill, the two,
 * the end.
 */
const counts = { arrivals: 4, levels: 3, departures: 4 };
const endDeparture = counts.departures - 1;

interface Numbers {
  readonly cells: readonly {
    readonly allowed: number;
    readonly fill: number;
    readonly marked: boolean;
    /**
     * Penalty for filling it although no option suits it, and the options it would take; 0 means it is not filled.
     */
    readonly unsuited: number;
    readonly would: number;
    readonly excused: boolean;
    readonly second: boolean;
  }[];
  readonly levels: readonly {
    readonly cost: readonly number[];
    readonly closed: readonly boolean[];
    readonly barred: readonly boolean[];
    readonly marks: readonly boolean[];
    readonly rise: number;
  }[];
  readonly moves: readonly {
    readonly from: number;
    readonly to: number;
    readonly option: 2 | 3;
    readonly cost: number;
  }[];
  readonly pass: readonly (number | undefined)[];
  readonly splits: readonly number[];
  readonly mayMark: boolean;
  readonly least: number;
  /** Marks of passes, and those barred at each stop. */
  readonly marks: readonly number[];
  readonly barredMarks: readonly number[];
}

const cellsCount = 6;
const whole = (max: number) => fc.integer({ min: 0, max });
const perCell = <T>(each: fc.Arbitrary<T>) =>
  fc.array(each, { minLength: cellsCount, maxLength: cellsCount });

const numbers: fc.Arbitrary<Numbers> = fc.record({
  cells: perCell(
    fc.record({
      allowed: fc.constantFrom(15, 15, 15, 15, 14, 13, 7, 12),
      fill: whole(9),
      marked: fc.boolean(),
      unsuited: fc.constantFrom(0, 0, 30),
      would: fc.constantFrom(3, 2, 12),
      excused: fc.constantFrom(false, false, false, true),
      second: fc.constantFrom(true, true, true, false),
    }),
  ),
  levels: fc.array(
    fc.record({
      cost: perCell(whole(5)),
      closed: perCell(fc.constantFrom(false, false, false, true)),
      barred: perCell(fc.constantFrom(false, false, false, false, true)),
      marks: perCell(fc.constantFrom(false, false, true)),
      rise: whole(4),
    }),
    { minLength: counts.levels, maxLength: counts.levels },
  ),
  moves: fc.array(
    fc
      .record({
        from: whole(cellsCount - 1),
        length: fc.integer({ min: 1, max: 4 }),
        option: fc.constantFrom<2 | 3>(2, 3),
        cost: whole(20),
      })
      .map(({ from, length, ...rest }) => ({ ...rest, from, to: Math.min(cellsCount, from + length) })),
    { maxLength: 14 },
  ),
  pass: fc.array(fc.option(whole(6), { nil: undefined, freq: 20 }), { minLength: 36, maxLength: 36 }),
  splits: fc.array(fc.integer({ min: 1, max: cellsCount - 1 }), { maxLength: 1 }),
  mayMark: fc.constantFrom(true, true, false),
  least: whole(3),
  marks: fc.array(fc.constantFrom(0, 0, 1, 2, 3), { minLength: 36, maxLength: 36 }),
  barredMarks: fc.array(fc.constantFrom(0, 0, 0, 1, 2), {
    minLength: cellsCount + 1,
    maxLength: cellsCount + 1,
  }),
});

/** Cost of joining an arrival on a level to a departure on another; none where not allowed. */
function passCost(of: Numbers, stop: number, arrival: number, level: number, departure: number, to: number) {
  if (departure === endDeparture) return to === 0 ? 0 : undefined;
  return of.pass[(stop * 31 + arrival * 13 + level * 7 + departure * 3 + to) % of.pass.length];
}

/** Marks of that pass; the end of the path has none. */
function marksOf(of: Numbers, stop: number, arrival: number, level: number, departure: number, to: number) {
  if (departure === endDeparture) return 0;
  return of.marks[(stop * 17 + arrival * 11 + level * 5 + departure * 3 + to) % of.marks.length] ?? 0;
}

const sums = (all: readonly number[]): Float64Array =>
  Float64Array.from([0, ...all.map((_, i) => all.slice(0, i + 1).reduce((sum, each) => sum + each, 0))]);

function problemOf(of: Numbers): { problem: Problem; limits: Limits } {
  const moves = [...of.moves].sort((a, b) => a.from - b.from || a.to - b.to);
  const level = (each: Numbers['levels'][number], i: number): Level => ({
    cost: i === 0 ? sums(each.cost.map(() => 0)) : sums(each.cost),
    closed: i === 0 ? sums(each.cost.map(() => 0)) : sums(each.closed.map(Number)),
    barred: i === 0 ? sums(each.cost.map(() => 0)) : sums(each.barred.map(Number)),
    tie: () => 0,
    rises: i === 1 ? { to: 2, cost: each.rise, marked: sums(each.marks.map(Number)) } : undefined,
  });
  const allowed = Int32Array.from(of.cells, (cell) => cell.allowed);
  const problem: Problem = buildProblem({
    cellOf: Int32Array.from({ length: cellsCount + 1 }, (_, i) => i),
    moves: {
      start: Int32Array.from(
        { length: cellsCount + 2 },
        (_, stop) => moves.filter(({ from }) => from < stop).length,
      ),
      to: Int32Array.from(moves, ({ to }) => to),
      option: Uint8Array.from(moves, ({ option }) => option),
      departs: Uint8Array.from(moves, ({ option }) => option - 1),
      arrives: Uint8Array.from(moves, ({ option }) => option),
      cost: Float64Array.from(moves, ({ cost }) => cost),
    },
    arrivals: counts.arrivals,
    pass: (stop, arrival, from, departure) =>
      [0, 1, 2].flatMap((to): Pass[] => {
        const cost = passCost(of, stop, arrival, from, departure, to);
        const marks = marksOf(of, stop, arrival, from, departure, to) as Marks;
        return cost === undefined ? [] : [{ level: to, cost, tie: 0, marks }];
      }),
    departures: [
      { least: 0, most: 2 },
      { least: 0, most: 1 },
      { least: 1, most: 2, crossesClosed: true },
      { least: 0, most: 0 },
    ],
    levels: of.levels.map(level),
    fills: {
      options: [0, 1],
      cost: Float64Array.from(of.cells, ({ fill }) => fill),
      marked: Uint8Array.from(of.cells, ({ marked }) => (marked ? 1 : 0)),
      unsuited: Float64Array.from(of.cells, ({ unsuited }) => unsuited),
      unsuitedOptions: Int32Array.from(of.cells, ({ would }) => would),
      markedCharge: 0,
      least: {
        length: of.least,
        at: sums(of.cells.map(() => 1)),
        counted: Uint8Array.from(of.cells, ({ allowed: own }) => own & 1),
        excused: Uint8Array.from(of.cells, ({ excused }) => (excused ? 1 : 0)),
      },
    },
    allowed,
    options: 4,
  });
  const limits = {
    options: 15,
    allowed,
    unsuited: Int32Array.from(of.cells, () => 15),
    secondMay: Uint8Array.from(of.cells, ({ second }) => (second ? 1 : 0)),
    splits: of.splits,
    marked: of.mayMark,
    barredMarks: Uint8Array.from(of.barredMarks),
  };
  return { problem, limits };
}

type FilledCell = Numbers['cells'][number];
/** Options that may fill a cell. */
const takenBy = ({ allowed, unsuited, would }: FilledCell) =>
  allowed & 3 ? allowed : unsuited > 0 ? would : 0;
/** The run of counted cells at an end of the fill is too short, with none to exempt it. */
function isStub(cells: readonly FilledCell[], least: number): boolean {
  const end = cells.findIndex(({ allowed }) => !(allowed & 1));
  const run = end < 0 ? cells : cells.slice(0, end);
  return run.length > 0 && run.length < least && !run.some(({ excused }) => excused);
}

/** The same numbers as a unit flow from start to end; returns the arcs that use each option. */
function writeFlow(of: Numbers, lp: Programme, prefix: string): Map<number, string[]> {
  const into = new Map<string, string[]>();
  const out = new Map<string, string[]>();
  const using = new Map<number, string[]>();
  const note = <K>(map: Map<K, string[]>, key: K, name: string) =>
    map.set(key, [...(map.get(key) ?? []), name]);
  let arcs = 0;
  const arc = (from: string, to: string, cost: number, options: readonly number[]) => {
    const name = lp.use(`${prefix}x${arcs++}`, cost);
    note(out, from, name);
    note(into, to, name);
    for (const option of new Set(options)) note(using, option, name);
  };
  const ranges = [
    [0, 2],
    [0, 1],
    [1, 2],
  ] as const;
  const stretch = (from: number, to: number) => of.cells.slice(from, to);
  const step = (
    here: { stop: number; arrival: number; level: number },
    go: { to: number; departure: number; arrives: number; cost: number; options: readonly number[] },
  ) => {
    const [least, most] = ranges[go.departure] ?? [0, 0];
    for (let level = least; level <= most; level++) {
      const pass = passCost(of, here.stop, here.arrival, here.level, go.departure, level);
      const own = of.levels[level];
      const marks = marksOf(of, here.stop, here.arrival, here.level, go.departure, level);
      if (pass === undefined || !own || (marks & (of.barredMarks[here.stop] ?? 0)) !== 0) continue;
      const crossed = Array.from({ length: go.to - here.stop }, (_, i) => here.stop + i);
      if (level > 0 && crossed.some((i) => (go.departure === 2 ? own.barred : own.closed)[i])) continue;
      const rises = level === 1 && crossed.some((i) => own.marks[i]);
      const running = level === 0 ? 0 : crossed.reduce((sum, i) => sum + (own.cost[i] ?? 0), 0);
      const to = `${go.to}/${go.arrives}/${rises ? 2 : level}`;
      const from = `${here.stop}/${here.arrival}/${here.level}`;
      arc(from, to, pass + go.cost + running + (rises ? own.rise : 0), go.options);
    }
  };
  for (let stop = 0; stop < cellsCount; stop++) {
    const arrivals = stop === 0 ? [arrivalStart] : [arrivalFill, 2, 3];
    for (const arrival of arrivals) {
      for (const level of stop === 0 ? [0] : [0, 1, 2]) {
        const here = { stop, arrival, level };
        for (let to = stop + 1; to <= cellsCount && arrival !== arrivalFill; to++) {
          const cells = stretch(stop, to);
          if (cells.some((cell) => !(takenBy(cell) & 3) || (cell.marked && !of.mayMark))) break;
          const second = cells.filter((cell) => !(takenBy(cell) & 1));
          if (second.some((cell) => !cell.second)) break;
          if (stop > 0 && isStub(cells, of.least)) continue;
          if (to < cellsCount && isStub([...cells].reverse(), of.least)) continue;
          const unsuited = cells.filter(({ allowed }) => !(allowed & 3));
          const cost =
            second.reduce((sum, { fill }) => sum + fill, 0) +
            unsuited.reduce((sum, each) => sum + each.unsuited, 0);
          const options = second.length > 0 ? [1] : [];
          step(here, { to, departure: departureFill, arrives: arrivalFill, cost, options });
        }
        for (const { from, to, option, cost } of of.moves) {
          if (from !== stop || stretch(from, to).some(({ allowed }) => !(allowed & bit(option)))) continue;
          if (of.splits.some((split) => split > from && split < to)) continue;
          step(here, { to, departure: option - 1, arrives: option, cost, options: [option] });
        }
      }
    }
  }
  const states = new Set([...into.keys(), ...out.keys()]);
  for (const state of states) {
    if (state === `0/${arrivalStart}/0` || state.startsWith(`${cellsCount}/`)) continue;
    lp.equal(`${lp.sum(into.get(state) ?? [])}${lp.sum(out.get(state) ?? [], '-')}`, 0);
  }
  const onePasses = (names: readonly string[]) => {
    const none = lp.use(`${prefix}none`, 0);
    lp.equal(none, 0);
    lp.equal(lp.sum([...names, none]), 1);
  };
  onePasses(out.get(`0/${arrivalStart}/0`) ?? []);
  onePasses([...into].flatMap(([state, names]) => (state.startsWith(`${cellsCount}/`) ? names : [])));
  return using;
}

test('over any numbers, shared charges included, the search finds what HiGHS finds on the flow', async () => {
  const highs = await solver;
  let [found, none] = [0, 0];
  fc.assert(
    fc.property(
      fc.array(numbers, { minLength: 1, maxLength: 2 }),
      fc.tuple(whole(12), whole(25), whole(25)),
      (all, [second, one, other]) => {
        const charges = [0, second, one, other];
        const lp = linearProgramme();
        const paid = charges.map((charge, option) => lp.use(`pay${option}`, charge));
        all.forEach((each, i) => {
          for (const [option, arcs] of writeFlow(each, lp, `p${i}`))
            for (const arc of arcs) lp.most(`${arc}${lp.sum([paid[option] ?? ''], '-')}`, 0);
        });
        const { Status, ObjectiveValue } = highs.solve(lp.text());
        const problems = all.map(problemOf);
        const cheapest = cheapestWithCharges(problems.length, charges, (i, options, most) => {
          const each = problems[i];
          const path = each && search(each.problem, { ...each.limits, options });
          // Paths above the budget need not be found.
          return path && path.cost <= most ? path : undefined;
        });
        if (Status !== 'Optimal') {
          expect(cheapest).toBeUndefined();
          none++;
          return;
        }
        found++;
        expect(cheapest?.cost).toBeCloseTo(ObjectiveValue, 6);
        // The result is a path: every step starts where the one before ended, and its options are paid for.
        for (const { steps, used } of cheapest?.paths ?? []) {
          expect([0, ...steps.map(({ to }) => to)]).toEqual([...steps.map(({ from }) => from), cellsCount]);
          expect(used & ~(cheapest?.used ?? 0)).toBe(0);
        }
      },
    ),
    { numRuns: 250 },
  );
  expect(found).toBeGreaterThan(40);
  expect(none).toBeGreaterThan(10);
});

test('a search that takes values from earlier ones finds the same path as one on a problem nobody searched yet', () => {
  fc.assert(
    fc.property(
      numbers,
      fc.array(numbers, { maxLength: 2 }),
      fc.array(
        fc.record({
          stop: whole(cellsCount),
          allowed: fc.option(whole(15), { nil: undefined }),
          unsuited: whole(15),
          marks: whole(3),
          split: whole(1),
        }),
        {
          minLength: 1,
          maxLength: 6,
        },
      ),
      (of, others, changes) => {
        const own = problemOf(of).limits;
        // Mostly limits that differ in one place, so that what lies past it stays the same.
        const limits = [
          own,
          ...others.map((other) => problemOf(other).limits),
          ...changes.map(({ stop, allowed, unsuited, marks, split }): Limits => ({
            ...own,
            allowed: own.allowed.map((each, cell) => (cell === stop ? (allowed ?? each) : each)),
            unsuited: own.unsuited.map((each, cell) => (cell === stop ? unsuited : each)),
            barredMarks: Uint8Array.from({ length: cellsCount + 1 }, (_, at) => (at === stop ? marks : 0)),
            splits: split === 1 ? [...own.splits, stop] : own.splits,
          })),
        ];
        const { problem } = problemOf(of);
        expect(limits.map((each) => search(problem, each))).toEqual(
          limits.map((each) => search(problemOf(of).problem, each)),
        );
      },
    ),
    { numRuns: 300 },
  );
});
