import { byte, int, isEqual, num, over, runningSums } from './columns.js';
import { bit, type Limits, type Problem } from './problem.js';

/** Fills under one search's limits: which are allowed, their cost, and the option that fills each cell. */
export interface LimitedFills {
  readonly second: Uint8Array;
  readonly unsuited: Uint8Array;
  /** The farthest stop a fill from each stop may reach: the next cell may not be filled. */
  readonly reach: Int32Array;
  /** The nearest stop a fill from each stop may reach without being too short; past the last where there is none. */
  readonly nearest: Int32Array;
  /** The last stop from which a fill may reach each stop without being too short. */
  readonly lastFrom: Int32Array;
  /** Running cost over cells. */
  readonly through: Float64Array;
}

/** The cells that a fill takes with its second option, if it takes them. */
export function takenSecond({ fills }: Problem, limits: Limits): Int32Array {
  const [first, other] = fills.options.map(bit) as [number, number];
  return Int32Array.from(limits.allowed.keys()).filter(
    (i) => (takenAt(fills, limits, i) & (first | other)) === other,
  );
}

/** Options that may fill a cell; a cell that neither suits is taken by the fallback option. */
function takenAt(fills: Problem['fills'], { allowed, unsuited, options }: Limits, i: number): number {
  const suiting = int(allowed, i) & options;
  if ((suiting & (bit(fills.options[0]) | bit(fills.options[1]))) !== 0) return suiting;
  return num(fills.unsuited, i) > 0 ? int(fills.unsuitedOptions, i) & int(unsuited, i) & options : 0;
}

export function fillsUnder({ fills, cellOf }: Problem, limits: Limits): LimitedFills {
  const { allowed, secondMay, marked } = limits;
  const cells = allowed.length;
  const [first, other] = fills.options.map(bit) as [number, number];
  const [second, unsuited] = [new Uint8Array(cells), new Uint8Array(cells)];
  const [refused, through] = [new Float64Array(cells + 1), new Float64Array(cells + 1)];
  for (let i = 0; i < cells; i++) {
    const taken = takenAt(fills, limits, i);
    const isSecond = (taken & first) === 0;
    const isUnsuited = (int(allowed, i) & (first | other)) === 0;
    const none = (taken & (first | other)) === 0;
    const barred = isSecond && secondMay !== undefined && byte(secondMay, i) === 0;
    second[i] = isSecond ? 1 : 0;
    unsuited[i] = isUnsuited ? 1 : 0;
    refused[i + 1] = num(refused, i) + (none || barred || (byte(fills.marked, i) !== 0 && !marked) ? 1 : 0);
    through[i + 1] =
      num(through, i) + (isSecond ? num(fills.cost, i) : 0) + (isUnsuited ? num(fills.unsuited, i) : 0);
  }
  return {
    second,
    unsuited,
    reach: reachOf(refused, cellOf),
    through,
    ...endsOf(fills.least, unsuited, cellOf),
  };
}

function reachOf(refused: Float64Array, cellOf: Int32Array): Int32Array {
  const last = cellOf.length - 1;
  const reach = new Int32Array(last + 1);
  let to = 0;
  for (let from = 0; from <= last; from++) {
    to = Math.max(to, from);
    while (to < last && over(refused, int(cellOf, from), int(cellOf, to + 1)) === 0) to++;
    reach[from] = to;
  }
  return reach;
}

type Ends = Pick<LimitedFills, 'nearest' | 'lastFrom'>;
type Least = NonNullable<Problem['fills']['least']>;

/** The last answer for each problem: most searches leave the same cells unsuited. */
const lastEnds = new WeakMap<Least, { readonly unsuited: Uint8Array; readonly ends: Ends }>();

function endsOf(least: Least | undefined, unsuited: Uint8Array, cellOf: Int32Array): Ends {
  if (!least) {
    return {
      nearest: Int32Array.from(cellOf, (_, stop) => stop + 1),
      lastFrom: Int32Array.from(cellOf, (_, stop) => stop - 1),
    };
  }
  const known = lastEnds.get(least);
  if (known && isEqual(known.unsuited, unsuited)) return known.ends;
  const ends = longEnough(least, unsuited, cellOf);
  lastEnds.set(least, { unsuited, ends });
  return ends;
}

/**
 * How close the ends of a fill may be so that the counted cells it leaves next to a move make a long enough run,
 * measured from either end at which a move lies. A run with an excused or unsuited cell may have any length. A longer
 * fill never has a shorter run, so one stop in each direction is enough.
 */
function longEnough({ at, counted, excused, length }: Least, unsuited: Uint8Array, cellOf: Int32Array): Ends {
  const last = cellOf.length - 1;
  const nearest = Int32Array.from(cellOf, (_, stop) => stop + 1);
  const lastFrom = Int32Array.from(cellOf, (_, stop) => stop - 1);
  const { runStart, runEnd } = runsOf(counted);
  const excuses = runningSums(counted.length, (i) =>
    byte(excused, i) !== 0 || byte(unsuited, i) !== 0 ? 1 : 0,
  );
  const isShort = (start: number, end: number) =>
    end > start && num(at, end) - num(at, start) < length && over(excuses, start, end) === 0;
  for (let from = 1; from < last; from++) {
    const start = int(cellOf, from);
    const end = int(runEnd, start);
    let to = from + 1;
    while (to <= last && isShort(start, Math.min(int(cellOf, to), end)))
      to = int(cellOf, to) >= end ? last + 1 : to + 1;
    nearest[from] = to;
  }
  for (let to = 1; to < last; to++) {
    const end = int(cellOf, to);
    const start = int(runStart, end);
    let from = to - 1;
    while (from >= 0 && isShort(Math.max(int(cellOf, from), start), end))
      from = int(cellOf, from) <= start ? -1 : from - 1;
    lastFrom[to] = from;
  }
  return { nearest, lastFrom };
}

/** End of the counted run that starts at each cell, and start of the run that ends before it. */
function runsOf(counted: Uint8Array): { runStart: Int32Array; runEnd: Int32Array } {
  const cells = counted.length;
  const runEnd = new Int32Array(cells + 1);
  const runStart = new Int32Array(cells + 1);
  runEnd[cells] = cells;
  for (let i = cells - 1; i >= 0; i--)
    runEnd[i] =
      byte(counted, i) === 0 ? i : i + 1 < cells && byte(counted, i + 1) !== 0 ? int(runEnd, i + 1) : i + 1;
  for (let i = 1; i <= cells; i++)
    runStart[i] =
      byte(counted, i - 1) === 0 ? i : i >= 2 && byte(counted, i - 2) !== 0 ? int(runStart, i - 1) : i - 1;
  return { runStart, runEnd };
}
