import { byte, int, num, over, runningSums } from './columns.js';
import { fillsUnder, type LimitedFills } from './fills.js';
import {
  arrivalFill,
  arrivalStart,
  bit,
  departureFill,
  type Limits,
  type Marks,
  type Path,
  type PathStep,
  type Problem,
} from './problem.js';

/** A move counts 1 in a tie, after everything that passes and levels count. */
const moveTie = 1;

/** Everything one search looks up again and again. */
interface Ground {
  readonly problem: Problem;
  readonly last: number;
  readonly levels: number;
  readonly fills: LimitedFills;
  /** For each option, how many cells before each one may not take it. */
  readonly barred: readonly Float64Array[];
  /** Splits at the stops before each one. */
  readonly splits: Float64Array | undefined;
  /** Marks that no pass at each stop may bear. */
  readonly barredMarks: Uint8Array;
  /** Least cost from each state to the end, and its tie. */
  readonly value: Float64Array;
  readonly ties: Float64Array;
  state: (stop: number, arrival: number, level: number) => number;
}

/**
 * The exact search: a dynamic program from the last stop back. A state is a stop, what arrived there and the level; what
 * a stop costs depends on both sides of it, so passes are weighed after everything that departs. The walk forward then
 * settles ties: cost, the packed tie, the move that starts and then ends furthest upstream, the option's number.
 * Undefined where no path satisfies the limits.
 */
export function search(problem: Problem, limits: Limits): Path | undefined {
  const allowed = limits.allowed.map((options) => options & limits.options);
  const unsuited = limits.unsuited.map((options) => options & limits.options);
  const ground = groundOf(problem, { ...limits, allowed, unsuited });
  const { last, value, ties, fills } = ground;
  if (last <= 0)
    return {
      steps: [],
      lastMarks: 0,
      cost: 0,
      tie: 0,
      used: 0,
      second: fills.second,
      unsuited: fills.unsuited,
    };
  solveBack(ground);
  const start = ground.state(0, arrivalStart, 0);
  if (!Number.isFinite(num(value, start))) return undefined;
  const { steps, used, lastMarks } = walkForward(ground);
  return {
    steps,
    lastMarks,
    used,
    cost: num(value, start),
    tie: num(ties, start),
    second: fills.second,
    unsuited: fills.unsuited,
  };
}

function groundOf(problem: Problem, limits: Limits): Ground {
  const { passes, options, cellOf, levels } = problem;
  const last = cellOf.length - 1;
  const { allowed, splits } = limits;
  const states = (last + 1) * passes.arrivals * levels.length;
  const splitAt = new Set(splits);
  return {
    problem,
    last,
    levels: levels.length,
    fills: fillsUnder(problem, limits),
    barred: Array.from({ length: options }, (_, option) =>
      runningSums(allowed.length, (i) => ((int(allowed, i) & bit(option)) !== 0 ? 0 : 1)),
    ),
    barredMarks: limits.barredMarks ?? new Uint8Array(last + 1),
    splits: splits.length > 0 ? runningSums(last + 1, (stop) => (splitAt.has(stop) ? 1 : 0)) : undefined,
    value: new Float64Array(states).fill(Infinity),
    ties: new Float64Array(states).fill(Infinity),
    state: (stop, arrival, level) => (stop * passes.arrivals + arrival) * levels.length + level,
  };
}

/** Best of everything that departs from one stop, by departure and the level it leaves on. */
interface Ahead {
  readonly cost: Float64Array;
  readonly tie: Float64Array;
}

function solveBack(ground: Ground): void {
  const { problem, last, levels, fills } = ground;
  const { moves, departures } = problem;
  const count = departures.length * levels;
  const ahead: Ahead = { cost: new Float64Array(count), tie: new Float64Array(count) };
  const end = (departures.length - 1) * levels;
  for (let stop = last; stop >= 0; stop--) {
    ahead.cost.fill(Infinity);
    ahead.tie.fill(Infinity);
    if (stop === last) {
      ahead.cost[end] = 0;
      ahead.tie[end] = 0;
    } else {
      for (let to = stop + 1; to <= last && fills.mayReach(stop, to); to++) {
        if (!fills.isLongEnough(stop, to)) continue;
        offer(ground, ahead, stop, to, departureFill, arrivalFill, fills.cost(stop, to), 0);
      }
      for (let row = int(moves.start, stop); row < int(moves.start, stop + 1); row++) {
        if (!mayMove(ground, stop, row)) continue;
        const [to, departs, arrives] = [
          int(moves.to, row),
          byte(moves.departs, row),
          byte(moves.arrives, row),
        ];
        offer(ground, ahead, stop, to, departs, arrives, num(moves.cost, row), moveTie);
      }
    }
    settle(ground, ahead, stop);
  }
}

/** Every cell that a move covers allows its option, and it runs past no split. */
function mayMove({ problem, barred, splits }: Ground, stop: number, row: number): boolean {
  const { moves, cellOf } = problem;
  const to = int(moves.to, row);
  const sums = barred[byte(moves.option, row)] as Float64Array;
  if (num(sums, int(cellOf, to)) > num(sums, int(cellOf, stop))) return false;
  return !splits || num(splits, to) <= num(splits, stop + 1);
}

/** Offers what departs to the best of its kind, on every level it may run on. */
function offer(
  ground: Ground,
  ahead: Ahead,
  stop: number,
  to: number,
  departs: number,
  arrives: number,
  cost: number,
  tie: number,
): void {
  const { problem, levels, value, ties } = ground;
  const { least, most, crossesClosed } = problem.departures[departs] as Problem['departures'][number];
  const [start, end] = [int(problem.cellOf, stop), int(problem.cellOf, to)];
  const at = ground.state(to, arrives, 0);
  for (let level = least; level <= most; level++) {
    const own = problem.levels[level] as Problem['levels'][number];
    if (over(crossesClosed ? own.barred : own.closed, start, end) !== 0) continue;
    const { rises } = own;
    const lifts = rises !== undefined && over(rises.marked, start, end) > marked;
    const after = at + (lifts ? rises.to : level);
    const total = cost + over(own.cost, start, end) + (lifts ? rises.cost : 0) + num(value, after);
    const k = departs * levels + level;
    if (total > num(ahead.cost, k) || total === Infinity) continue;
    const totalTie = num(ties, after) + tie + own.tie(start, end);
    if (total < num(ahead.cost, k) || totalTie < num(ahead.tie, k)) {
      ahead.cost[k] = total;
      ahead.tie[k] = totalTie;
    }
  }
}

/** Less of a marked measure than this is none. */
const marked = 1e-6;

/** The states of one stop, by every pass from what arrived to what departs. */
function settle({ problem, value, ties, state, barredMarks }: Ground, ahead: Ahead, stop: number): void {
  const { flat, arrivals } = problem.passes;
  const first = state(stop, stop === 0 ? arrivalStart : arrivalFill, 0);
  const end = stop === 0 ? state(stop, arrivalStart + 1, 0) : state(stop, arrivals, 0);
  const barred = byte(barredMarks, stop);
  for (let at = first; at < end; at++) {
    for (let row = int(flat.start, at); row < int(flat.start, at + 1); row++) {
      if ((byte(flat.marks, row) & barred) !== 0) continue;
      const k = byte(flat.ahead, row);
      const cost = num(flat.cost, row) + num(ahead.cost, k);
      if (cost > num(value, at) || cost === Infinity) continue;
      const tie = num(flat.tie, row) + num(ahead.tie, k);
      if (cost < num(value, at) || tie < num(ties, at)) {
        value[at] = cost;
        ties[at] = tie;
      }
    }
  }
}

/** Forward along optimal choices only. */
function walkForward(ground: Ground): { steps: PathStep[]; used: number; lastMarks: Marks } {
  const { problem, last, fills } = ground;
  const { moves, cellOf } = problem;
  const steps: PathStep[] = [];
  let used = 0;
  let here = { stop: 0, arrival: arrivalStart, level: 0 };
  while (here.stop < last) {
    const next = nextStep(ground, here.stop, here.arrival, here.level);
    if (!next) throw new Error('the search lost its own path');
    const { step, after } = next;
    steps.push(step);
    if (step.move >= 0) used |= bit(byte(moves.option, step.move));
    else if (fills.second.subarray(int(cellOf, step.from), int(cellOf, step.to)).includes(1)) {
      used |= bit(problem.fills.options[1]);
    }
    here = { stop: step.to, arrival: step.arrives, level: after };
  }
  return { steps, used, lastMarks: lastPass(ground, here) };
}

/** Marks of the pass by which the path ends. */
function lastPass(
  { problem, value, ties, state, barredMarks, last }: Ground,
  here: { readonly arrival: number; readonly level: number },
): Marks {
  const at = state(last, here.arrival, here.level);
  const end = problem.departures.length - 1;
  const taken = problem.passes
    .at(last, here.arrival, here.level, end)
    .find(
      ({ level, cost, tie, marks = 0 }) =>
        level === 0 &&
        (marks & byte(barredMarks, last)) === 0 &&
        cost === num(value, at) &&
        tie === num(ties, at),
    );
  return taken?.marks ?? 0;
}

interface Ranked {
  readonly step: PathStep;
  readonly after: number;
  readonly rank: number;
}

/** Of all steps that keep to the optimum, the one that settles a tie. */
function nextStep(ground: Ground, stop: number, arrival: number, level: number): Ranked | undefined {
  const { problem, last, fills } = ground;
  const { moves, options } = problem;
  let best: Ranked | undefined;
  const consider = (each: Considered, rank: number) => {
    if (best && best.rank <= rank) return;
    const found = onOptimum(ground, { stop, arrival, level }, each);
    if (found) best = { ...found, rank };
  };
  if (arrival !== arrivalFill) {
    for (let to = stop + 1; to <= last && fills.mayReach(stop, to); to++) {
      if (!fills.isLongEnough(stop, to)) continue;
      const cost = fills.cost(stop, to);
      const fill = { to, move: -1, departs: departureFill, arrives: arrivalFill, cost, tie: 0 };
      consider(fill, (last + 1 + to) * options);
    }
  }
  for (let move = int(moves.start, stop); move < int(moves.start, stop + 1); move++) {
    if (!mayMove(ground, stop, move)) continue;
    const to = int(moves.to, move);
    const [departs, arrives] = [byte(moves.departs, move), byte(moves.arrives, move)];
    const each = { to, move, departs, arrives, cost: num(moves.cost, move), tie: moveTie };
    consider(each, to * options + byte(moves.option, move));
  }
  return best;
}

interface Considered {
  readonly to: number;
  readonly move: number;
  readonly departs: number;
  readonly arrives: number;
  readonly cost: number;
  readonly tie: number;
}

/** The first pass by which a step comes to just the optimum of the state it starts in. */
function onOptimum(
  { problem, value, ties, state, barredMarks }: Ground,
  here: { readonly stop: number; readonly arrival: number; readonly level: number },
  { to, move, departs, arrives, cost, tie }: Considered,
): Omit<Ranked, 'rank'> | undefined {
  const at = state(here.stop, here.arrival, here.level);
  const { least, most, crossesClosed } = problem.departures[departs] as Problem['departures'][number];
  const [start, end] = [int(problem.cellOf, here.stop), int(problem.cellOf, to)];
  for (const pass of problem.passes.at(here.stop, here.arrival, here.level, departs)) {
    const { level, marks = 0 } = pass;
    if (level < least || level > most || (marks & byte(barredMarks, here.stop)) !== 0) continue;
    const own = problem.levels[level] as Problem['levels'][number];
    if (over(crossesClosed ? own.barred : own.closed, start, end) !== 0) continue;
    const { rises } = own;
    const lifts = rises !== undefined && over(rises.marked, start, end) > marked;
    const after = lifts ? rises.to : level;
    const next = state(to, arrives, after);
    const total = pass.cost + cost + over(own.cost, start, end) + (lifts ? rises.cost : 0) + num(value, next);
    if (total !== num(value, at)) continue;
    if (pass.tie + num(ties, next) + tie + own.tie(start, end) !== num(ties, at)) continue;
    return { step: { from: here.stop, to, move, departs, arrives, level, marks }, after };
  }
  return undefined;
}
