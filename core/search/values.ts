import { byte, int, num } from './columns.js';
import { fillsUnder, type LimitedFills } from './fills.js';
import { storeValues, reusableValues } from './stored-values.js';
import { isMarked, moveTie, stateAt } from './legs.js';
import {
  arrivalFill,
  arrivalStart,
  bit,
  departureFill,
  type Level,
  type Limits,
  type Problem,
} from './problem.js';

/** Everything one search looks up repeatedly. */
export interface SearchRun {
  readonly problem: Problem;
  readonly last: number;
  readonly levels: number;
  readonly fills: LimitedFills;
  /** The farthest stop a move of each option may reach from each stop: option × stops + stop. */
  readonly reach: Int32Array;
  /** Marks barred for passes at each stop. */
  readonly barredMarks: Uint8Array;
  /** Least cost from each state to the end, with its tie. */
  readonly value: Float64Array;
  readonly ties: Float64Array;
  /** The values of all stops past this one were taken from an earlier search that had the same limits there. */
  readonly unknownUpTo: number;
  /** By level, the least value of any stop so far where a fill may arrive: no longer fill gains more than this. */
  readonly leastFilled: Float64Array;
  state: (stop: number, arrival: number, level: number) => number;
}

export function searchRunOf(problem: Problem, limits: Limits): SearchRun {
  const { passes, cellOf, levels } = problem;
  const last = cellOf.length - 1;
  const limited = {
    fills: fillsUnder(problem, limits),
    reach: reachOf(problem, limits),
    barredMarks: limits.barredMarks ?? new Uint8Array(last + 1),
  };
  const perStop = passes.arrivals * levels.length;
  const [value, ties] = room((last + 1) * perStop);
  const known = reusableValues(problem, limited);
  if (known) {
    value.set(known.values.value.subarray(known.from * perStop), known.from * perStop);
    ties.set(known.values.ties.subarray(known.from * perStop), known.from * perStop);
  }
  return {
    ...limited,
    problem,
    last,
    levels: levels.length,
    value,
    ties,
    unknownUpTo: known ? known.from - 1 : last,
    leastFilled: new Float64Array(levels.length).fill(Infinity),
    state: (stop, arrival, level) => stateAt(problem, stop, arrival, level),
  };
}

let [valueRoom, tieRoom] = [new Float64Array(), new Float64Array()];

/** Room for the values of one search and their ties, taken again by the next: nothing is read once a search is done. */
function room(states: number): [Float64Array, Float64Array] {
  if (valueRoom.length < states)
    [valueRoom, tieRoom] = [new Float64Array(2 * states), new Float64Array(2 * states)];
  return [valueRoom.subarray(0, states).fill(Infinity), tieRoom.subarray(0, states).fill(Infinity)];
}

/** Reach of moves: every covered cell allows the option, and no split is passed. */
function reachOf({ cellOf, options }: Problem, { allowed, splits }: Limits): Int32Array {
  const stops = cellOf.length;
  const reach = new Int32Array(options * stops);
  const splitAt = new Set(splits);
  for (let option = 0; option < options; option++) {
    let furthest = stops - 1;
    let clear = int(cellOf, stops - 1);
    for (let stop = stops - 1; stop >= 0; stop--) {
      if (splitAt.has(stop + 1)) furthest = stop + 1;
      for (let cell = clear - 1; cell >= int(cellOf, stop); cell--) {
        if ((int(allowed, cell) & bit(option)) === 0) {
          while (int(cellOf, furthest) > cell) furthest--;
        }
      }
      clear = int(cellOf, stop);
      reach[option * stops + stop] = Math.max(furthest, stop);
    }
  }
  return reach;
}

/** The best departure from one stop, by departure class and level. */
export interface Departures {
  readonly cost: Float64Array;
  readonly tie: Float64Array;
}

/** Computes the least cost from every state to the end, from the last stop back. */
export function solveBack(run: SearchRun): void {
  const ahead = noDepartures(run);
  for (let stop = run.last; stop >= 0; stop--) {
    if (stop <= run.unknownUpTo) {
      findDepartures(run, ahead, stop);
      settle(run, ahead, stop);
    }
    for (let level = 0; level < run.levels; level++) {
      const filled = num(run.value, run.state(stop, arrivalFill, level));
      run.leastFilled[level] = Math.min(num(run.leastFilled, level), filled);
    }
  }
  if (run.unknownUpTo >= 0) storeValues(run);
}

export function noDepartures({ problem, levels }: SearchRun): Departures {
  const count = problem.departures.length * levels;
  return { cost: new Float64Array(count), tie: new Float64Array(count) };
}

/** The best departure of each class from a stop, once the stops after it are done. */
export function findDepartures(run: SearchRun, ahead: Departures, stop: number): void {
  ahead.cost.fill(Infinity);
  ahead.tie.fill(Infinity);
  if (stop === run.last) {
    const end = (run.problem.departures.length - 1) * run.levels;
    ahead.cost[end] = 0;
    ahead.tie[end] = 0;
  } else {
    relaxFills(run, ahead, stop);
    relaxMoves(run, ahead, stop);
  }
}

// The three loops below are the hot loops. They read columns from local constants and index them
// directly: a shared reader, or a property read inside the loop, made each of them half as slow again.

/** Considers every move from a stop, on every level it may run on. */
function relaxMoves(
  { problem, reach, value, ties, levels }: SearchRun,
  best: Departures,
  stop: number,
): void {
  const { legs, cellOf, moves } = problem;
  const { ahead, after: afterOf, cost, move } = legs;
  const { to: toOf, option: optionOf } = moves;
  const { cost: bestCost, tie: bestTie } = best;
  const stops = cellOf.length;
  const start = int(cellOf, stop);
  const end = int(legs.start, stop + 1);
  for (let leg = int(legs.start, stop); leg < end; leg++) {
    const k = ahead[leg] as number;
    const after = afterOf[leg] as number;
    const total = (cost[leg] as number) + (value[after] as number);
    if (total > (bestCost[k] as number) || total === Infinity) continue;
    const row = move[leg] as number;
    const to = toOf[row] as number;
    if (to > (reach[(optionOf[row] as number) * stops + stop] as number)) continue;
    const { tie: tieOf } = problem.levels[k % levels] as Level;
    const tie = moveTie + tieOf(start, cellOf[to] as number) + (ties[after] as number);
    if (total < (bestCost[k] as number) || tie < (bestTie[k] as number)) {
      bestCost[k] = total;
      bestTie[k] = tie;
    }
  }
}

/** Considers every fill from a stop, on every level it may run on. */
function relaxFills(
  { problem, levels, value, ties, fills, leastFilled }: SearchRun,
  best: Departures,
  stop: number,
): void {
  const { cellOf } = problem;
  const { lastFrom, through } = fills;
  const { least, most } = problem.departures[departureFill] as Problem['departures'][number];
  const start = int(cellOf, stop);
  const reach = int(fills.reach, stop);
  const perStop = problem.passes.arrivals * levels;
  for (let level = least; level <= most; level++) {
    const { cost, closed, tie: tieOf, rises } = problem.levels[level] as Problem['levels'][number];
    const k = departureFill * levels + level;
    const before = num(through, start) + num(cost, start);
    const open = num(closed, start);
    const leastAfter = Math.min(num(leastFilled, level), rises ? num(leastFilled, rises.to) : Infinity);
    for (let to = int(fills.nearest, stop); to <= reach; to++) {
      const end = cellOf[to] as number;
      if (closed[end] !== open) break;
      if (stop > (lastFrom[to] as number)) continue;
      const lifts = rises !== undefined && isMarked(rises.marked, start, end);
      const after = to * perStop + arrivalFill * levels + (lifts ? rises.to : level);
      const own = (through[end] as number) + (cost[end] as number) - before + (lifts ? rises.cost : 0);
      // A longer fill costs no less, and nothing after it is cheaper than the cheapest.
      if (own + leastAfter > num(best.cost, k)) break;
      const total = own + (value[after] as number);
      if (total > num(best.cost, k) || total === Infinity) continue;
      const tie = num(ties, after) + tieOf(start, end);
      if (total < num(best.cost, k) || tie < num(best.tie, k)) {
        best.cost[k] = total;
        best.tie[k] = tie;
      }
    }
  }
}

/** The states of one stop, over every pass from an arrival to a departure. */
function settle(
  { problem, value, ties, state, barredMarks }: SearchRun,
  best: Departures,
  stop: number,
): void {
  const { arrivals, start, ahead, cost: costOf, tie: tieOf, marks } = problem.passes;
  const { cost: bestCost, tie: bestTie } = best;
  const first = state(stop, stop === 0 ? arrivalStart : arrivalFill, 0);
  const end = stop === 0 ? state(stop, arrivalStart + 1, 0) : state(stop, arrivals, 0);
  const barred = byte(barredMarks, stop);
  for (let at = first; at < end; at++) {
    const rowEnd = int(start, at + 1);
    let [least, leastTie] = [Infinity, Infinity];
    for (let row = int(start, at); row < rowEnd; row++) {
      const k = ahead[row] as number;
      const cost = (costOf[row] as number) + (bestCost[k] as number);
      if (cost > least || cost === Infinity || ((marks[row] as number) & barred) !== 0) continue;
      const tie = (tieOf[row] as number) + (bestTie[k] as number);
      if (cost < least || tie < leastTie) {
        least = cost;
        leastTie = tie;
      }
    }
    value[at] = least;
    ties[at] = leastTie;
  }
}
