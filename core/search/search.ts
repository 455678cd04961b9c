import { byte, int, num, over } from './columns.js';
import {
  arrivalFill,
  arrivalStart,
  bit,
  departureFill,
  type Departure,
  type Level,
  type Limits,
  type Marks,
  type Path,
  type PathStep,
  type Problem,
} from './problem.js';
import { isMarked, moveTie } from './legs.js';
import {
  searchRunOf,
  findDepartures,
  noDepartures,
  solveBack,
  type Departures,
  type SearchRun,
} from './values.js';

/**
 * The exact search: a dynamic program from the last stop back. A state is a stop, what arrived there and the level; the
 * cost of a stop depends on both sides of it, so passes are evaluated after all departures. A forward walk then breaks
 * ties: cost, the packed tie, the move that starts and then ends farthest upstream, the option number. Undefined where
 * no path satisfies the limits.
 */
export function search(problem: Problem, limits: Limits): Path | undefined {
  const allowed = limits.allowed.map((options) => options & limits.options);
  const unsuited = limits.unsuited.map((options) => options & limits.options);
  const run = searchRunOf(problem, { ...limits, allowed, unsuited });
  const { last, value, ties, fills } = run;
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
  solveBack(run);
  const start = run.state(0, arrivalStart, 0);
  if (!Number.isFinite(num(value, start))) return undefined;
  const { steps, used, lastMarks } = walkForward(run);
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

/** Forward along optimal choices only. */
function walkForward(run: SearchRun): { steps: PathStep[]; used: number; lastMarks: Marks } {
  const { problem, last, fills } = run;
  const { moves, cellOf } = problem;
  const steps: PathStep[] = [];
  const ahead = noDepartures(run);
  let used = 0;
  let state = run.state(0, arrivalStart, 0);
  let stop = 0;
  while (stop < last) {
    findDepartures(run, ahead, stop);
    const { step, after } = nextStep(run, ahead, stop, state);
    steps.push(step);
    if (step.move >= 0) used |= bit(byte(moves.option, step.move));
    else if (fills.second.subarray(int(cellOf, step.from), int(cellOf, step.to)).includes(1)) {
      used |= bit(problem.fills.options[1]);
    }
    state = after;
    stop = step.to;
  }
  findDepartures(run, ahead, last);
  const row = optimalPasses(run, ahead, last, state).find((each) => each >= 0);
  return { steps, used, lastMarks: row === undefined ? 0 : (byte(problem.passes.marks, row) as Marks) };
}

/** By departure and level ahead, the first pass by which a state reaches its optimum; -1 where none does. */
function optimalPasses(
  { problem, value, ties, barredMarks }: SearchRun,
  ahead: Departures,
  stop: number,
  state: number,
): Int32Array {
  const { start, ahead: aheadOf, cost, tie, marks } = problem.passes;
  const found = new Int32Array(ahead.cost.length).fill(-1);
  for (let row = int(start, state); row < int(start, state + 1); row++) {
    const k = byte(aheadOf, row);
    const holds =
      (byte(marks, row) & byte(barredMarks, stop)) === 0 &&
      num(cost, row) + num(ahead.cost, k) === num(value, state) &&
      num(tie, row) + num(ahead.tie, k) === num(ties, state);
    if (holds && int(found, k) < 0) found[k] = row;
  }
  return found;
}

interface Next {
  readonly step: PathStep;
  readonly after: number;
}

/** A departure on an optimal path: its departure class and level, and where it leads. */
interface Departing {
  readonly k: number;
  readonly to: number;
  /** -1 for a fill. */
  readonly move: number;
  readonly after: number;
}

/** Of all optimal steps, the one that wins the tie: by rank, then by its move, then by its pass. */
function nextStep(run: SearchRun, ahead: Departures, stop: number, state: number): Next {
  const { problem } = run;
  const { moves, options, passes } = problem;
  const rows = optimalPasses(run, ahead, stop, state);
  let best: (Departing & { order: readonly number[] }) | undefined;
  const offer = (each: Departing): void => {
    const { k, to, move } = each;
    const rank = move < 0 ? (run.last + 1 + to) * options : to * options + byte(moves.option, move);
    const order = [rank, move, int(rows, k)];
    if (!best || isBefore(order, best.order)) best = { ...each, order };
  };
  optimalFills(run, ahead, stop, rows, offer);
  optimalMoves(run, ahead, stop, rows, offer);
  if (!best) throw new Error('the search lost its own path');
  const { k, to, move, after } = best;
  return {
    step: {
      from: stop,
      to,
      move,
      departs: Math.floor(k / run.levels),
      arrives: move < 0 ? arrivalFill : byte(moves.arrives, move),
      level: k % run.levels,
      marks: byte(passes.marks, int(rows, k)) as Marks,
    },
    after,
  };
}

const isBefore = (one: readonly number[], other: readonly number[]): boolean => {
  const at = one.findIndex((each, i) => each !== other[i]);
  return at >= 0 && (one[at] ?? 0) < (other[at] ?? 0);
};

/** Every fill from a stop that equals the best of its level, where the state may go on with a fill on that level. */
function optimalFills(
  { problem, fills, value, ties, state, levels }: SearchRun,
  ahead: Departures,
  stop: number,
  rows: Int32Array,
  offer: (each: Departing) => void,
): void {
  const { cellOf, departures } = problem;
  const { least, most } = departures[departureFill] as Departure;
  const start = int(cellOf, stop);
  for (let level = least; level <= most; level++) {
    const k = departureFill * levels + level;
    if (int(rows, k) < 0) continue;
    const { closed, cost: costOf, tie: tieOf, rises } = problem.levels[level] as Level;
    for (let to = int(fills.nearest, stop); to <= int(fills.reach, stop); to++) {
      const end = int(cellOf, to);
      if (stop > int(fills.lastFrom, to) || over(closed, start, end) !== 0) continue;
      const lifts = rises !== undefined && isMarked(rises.marked, start, end);
      const after = state(to, arrivalFill, lifts ? rises.to : level);
      const own = over(fills.through, start, end) + over(costOf, start, end) + (lifts ? rises.cost : 0);
      if (own + num(value, after) !== num(ahead.cost, k)) continue;
      const tie = num(ties, after) + tieOf(start, end);
      if (tie === num(ahead.tie, k)) offer({ k, to, move: -1, after });
    }
  }
}

/** Every move from a stop that equals the best of its class, where the state may go on with that class. */
function optimalMoves(
  { problem, reach, value, ties, levels }: SearchRun,
  ahead: Departures,
  stop: number,
  rows: Int32Array,
  offer: (each: Departing) => void,
): void {
  const { legs, cellOf, moves } = problem;
  const end = int(legs.start, stop + 1);
  for (let leg = int(legs.start, stop); leg < end; leg++) {
    const k = byte(legs.ahead, leg);
    if (int(rows, k) < 0) continue;
    const after = int(legs.after, leg);
    if (num(legs.cost, leg) + num(value, after) !== num(ahead.cost, k)) continue;
    const move = int(legs.move, leg);
    const to = int(moves.to, move);
    if (to > int(reach, byte(moves.option, move) * cellOf.length + stop)) continue;
    const { tie: tieOf } = problem.levels[k % levels] as Level;
    const tie = moveTie + tieOf(int(cellOf, stop), int(cellOf, to)) + num(ties, after);
    if (tie === num(ahead.tie, k)) offer({ k, to, move, after });
  }
}
