import { byte, int, num, over, runningSums } from './columns.js';
import { bit, type Limits, type Problem } from './problem.js';

/** Fills under one search's limits: which may be, what they cost, and by which option each cell is filled. */
export interface LimitedFills {
  readonly second: Uint8Array;
  readonly unsuited: Uint8Array;
  /** No cell between the two stops refuses to be filled; once false it stays false further on. */
  mayReach: (from: number, to: number) => boolean;
  isLongEnough: (from: number, to: number) => boolean;
  cost: (from: number, to: number) => number;
}

/** Cells side by side that a fill would take by its second option. */
export interface Cluster {
  readonly start: number;
  readonly end: number;
}

/** Every longest stretch of cells that a fill takes by its second option, if it takes them. */
export function clustersOf({ fills }: Problem, limits: Limits): Cluster[] {
  const [first, other] = fills.options.map(bit) as [number, number];
  const found: { start: number; end: number }[] = [];
  for (let i = 0; i < limits.allowed.length; i++) {
    if ((takenAt(fills, limits, i) & (first | other)) !== other) continue;
    const last = found.at(-1);
    if (last?.end === i) last.end = i + 1;
    else found.push({ start: i, end: i + 1 });
  }
  return found;
}

/** Options by which a fill may take a cell: one that neither option suits is taken by what it would take else. */
function takenAt(fills: Problem['fills'], { allowed, unsuited, options }: Limits, i: number): number {
  const [first, other] = fills.options.map(bit) as [number, number];
  if ((int(allowed, i) & options & (first | other)) !== 0) return int(allowed, i) & options;
  return num(fills.unsuited, i) > 0 ? int(fills.unsuitedOptions, i) & int(unsuited, i) & options : 0;
}

export function fillsUnder({ fills, cellOf }: Problem, limits: Limits): LimitedFills {
  const { allowed, secondMay } = limits;
  const cells = allowed.length;
  const [first, other] = fills.options.map(bit) as [number, number];
  const suits = (i: number) => (int(allowed, i) & (first | other)) !== 0;
  const taken = (i: number) => takenAt(fills, limits, i);
  const second = Uint8Array.from({ length: cells }, (_, i) => ((taken(i) & first) !== 0 ? 0 : 1));
  const unsuited = Uint8Array.from({ length: cells }, (_, i) => (suits(i) ? 0 : 1));
  const refused = runningSums(cells, (i) => {
    const none = (taken(i) & (first | other)) === 0;
    const barred = byte(second, i) !== 0 && secondMay !== undefined && byte(secondMay, i) === 0;
    return none || barred || (byte(fills.marked, i) !== 0 && !limits.marked) ? 1 : 0;
  });
  const cost = runningSums(
    cells,
    (i) =>
      (byte(second, i) === 0 ? 0 : num(fills.cost, i)) +
      (byte(unsuited, i) === 0 ? 0 : num(fills.unsuited, i)),
  );
  const last = cellOf.length - 1;
  const between = (sums: Float64Array, from: number, to: number) =>
    over(sums, int(cellOf, from), int(cellOf, to));
  return {
    second,
    unsuited,
    mayReach: (from, to) => between(refused, from, to) === 0,
    isLongEnough: longEnough(fills.least, unsuited, cellOf, last),
    cost: (from, to) => between(cost, from, to),
  };
}

/**
 * Whether what a fill leaves of counted cells beside a move is long enough: its run of counted cells from either end that
 * a move stands at, as far as it goes. A run that holds an excused or unsuited cell may be of any length.
 */
function longEnough(
  least: Problem['fills']['least'],
  unsuited: Uint8Array,
  cellOf: Int32Array,
  last: number,
): (from: number, to: number) => boolean {
  if (!least) return () => true;
  const { at, counted, excused, length } = least;
  const cells = counted.length;
  /** Cell at which the counted run from each cell on ends, and from which the one up to each cell begins. */
  const runEnd = new Int32Array(cells + 1);
  const runStart = new Int32Array(cells + 1);
  runEnd[cells] = cells;
  for (let i = cells - 1; i >= 0; i--)
    runEnd[i] =
      byte(counted, i) === 0 ? i : i + 1 < cells && byte(counted, i + 1) !== 0 ? int(runEnd, i + 1) : i + 1;
  for (let i = 1; i <= cells; i++)
    runStart[i] =
      byte(counted, i - 1) === 0 ? i : i >= 2 && byte(counted, i - 2) !== 0 ? int(runStart, i - 1) : i - 1;
  const excuses = runningSums(cells, (i) => (byte(excused, i) !== 0 || byte(unsuited, i) !== 0 ? 1 : 0));
  const isShort = (start: number, end: number) =>
    end > start && num(at, end) - num(at, start) < length && over(excuses, start, end) === 0;
  return (from, to) => {
    const [start, end] = [int(cellOf, from), int(cellOf, to)];
    if (from > 0 && isShort(start, Math.min(end, int(runEnd, start)))) return false;
    return to === last || !isShort(Math.max(start, int(runStart, end)), end);
  };
}
