import { tolerance } from '../job/units.js';
import type { Interval } from '../line/intervals.js';
import { cellIndexAt, holeKinds, type Ground, type HoleKind } from './ground.js';
import { costOf, endOf, footOf } from './parts.js';

/** One piece of a hole's cost at one boundary: opening it, closing it, or widening it for a pit. */
export interface HolePiece {
  readonly cost: number;
  readonly public_ft: number;
}

/**
 * What holes cost, in parts that add up along the line, so that a search can open one here and close it there. Rates are
 * raw: markup and tax come at the end. Indexes are of fine breaks.
 */
export interface HoleCosts {
  /** Running cost and public feet of a trench up to each fine break. */
  readonly through: Float64Array;
  readonly publicThrough: Float64Array;
  /** Running number of cells in which no hole can be open. */
  readonly closedThrough: Float64Array;
  /** Opening a trench that starts at a fine break, with its room to work; closing one that ends there. */
  openDig: (index: number) => HolePiece;
  closeDig: (index: number) => HolePiece;
  /** Ends of the hole of new pipe that starts or ends at a fine break, its working room included, ft. */
  digFrom: (index: number) => number;
  digTo: (index: number) => number;
  /** A pit at a fine break: undefined where none can be dug. */
  pit: (index: number, kind: PitKind) => PitPieces | undefined;
}

export type PitKind = Exclude<HoleKind, 'dig'>;

export interface PitPieces extends Interval {
  /** Alone: both halves and ends. */
  readonly open: HolePiece;
  readonly close: HolePiece;
  /** More than a trench over the same reach, upstream and downstream of the boundary. */
  readonly widerUpstream: number;
  readonly widerDownstream: number;
}

const pitHalf_ft = 2;
const workingRoom_ft = 1;

/** Running sums over the cells of a ground, and how they are read between two stations. */
interface Sums {
  readonly ground: Ground;
  readonly cost: Readonly<Record<HoleKind, Float64Array>>;
  /** Cost of a hole's end in each cell. */
  readonly ends: Readonly<Record<HoleKind, Float64Array>>;
  readonly publicThrough: Float64Array;
  readonly closedThrough: Float64Array;
  between: (sums: Float64Array, from_ft: number, to_ft: number) => number;
  endCost: (kind: HoleKind, x: number, side: 'upstream' | 'downstream') => number;
}

/** Every piece of every hole that may be dug over a line. */
export function holeCosts(ground: Ground): HoleCosts {
  const sums = sumsOf(ground);
  const { breaks } = ground;
  const [from, to] = [(index: number) => digFrom(ground, index), (index: number) => digTo(ground, index)];
  const pits = {
    launch: memo((index) => pitPieces(sums, index, 'launch')),
    burst: memo((index) => pitPieces(sums, index, 'burst')),
  };
  return {
    through: sums.cost.dig,
    publicThrough: sums.publicThrough,
    closedThrough: sums.closedThrough,
    digFrom: from,
    digTo: to,
    openDig: memo((index) => {
      const [end, x] = [from(index), breaks[index] ?? 0];
      return {
        cost: sums.endCost('dig', end, 'downstream') + (end < x ? sums.between(sums.cost.dig, end, x) : 0),
        public_ft: end < x ? sums.between(sums.publicThrough, end, x) : 0,
      };
    }),
    closeDig: memo((index) => {
      const [end, x] = [to(index), breaks[index] ?? 0];
      return {
        cost: sums.endCost('dig', end, 'upstream') + (end > x ? sums.between(sums.cost.dig, x, end) : 0),
        public_ft: end > x ? sums.between(sums.publicThrough, x, end) : 0,
      };
    }),
    pit: (index, kind) => pits[kind](index),
  };
}

function sumsOf(ground: Ground): Sums {
  const { cells, breaks, prices } = ground;
  const running = (value: (cell: Ground['cells'][number]) => number) => {
    const sums = new Float64Array(breaks.length);
    cells.forEach((cell, index) => {
      sums[index + 1] = (sums[index] ?? 0) + value(cell);
    });
    return sums;
  };
  const byKind = <T>(make: (kind: HoleKind) => T) =>
    Object.fromEntries(holeKinds.map((kind) => [kind, make(kind)])) as Record<HoleKind, T>;
  const ends = byKind((kind) => Float64Array.from(cells, (cell) => costOf(endOf(cell, kind), prices)));
  const at = (sum: Float64Array, x: number): number => {
    const index = cellIndexAt(ground, x, 'upstream');
    const [from, to] = [breaks[index] ?? 0, breaks[index + 1] ?? 0];
    const [low, high] = [sum[index] ?? 0, sum[index + 1] ?? 0];
    return to > from ? low + ((high - low) * (x - from)) / (to - from) : low;
  };
  return {
    ground,
    cost: byKind((kind) =>
      running((cell) => costOf(footOf(cell, kind), prices) * (cell.to_ft - cell.from_ft)),
    ),
    ends,
    publicThrough: running((cell) =>
      cell.owner === 'public' && !cell.closedTo ? cell.to_ft - cell.from_ft : 0,
    ),
    closedThrough: running((cell) => (cell.closedTo ? 1 : 0)),
    between: (sum, from_ft, to_ft) => at(sum, to_ft) - at(sum, from_ft),
    endCost: (kind, x, side) => ends[kind][cellIndexAt(ground, x, side)] ?? 0,
  };
}

const closedAt = ({ cells }: Ground, index: number) => cells[index]?.closedTo !== undefined;

/** Where the hole of new pipe starts: working room upstream, but never into closed ground; under a building, at its edge. */
function digFrom(ground: Ground, index: number): number {
  const { breaks, cells, plusMinus } = ground;
  const [first, last] = [breaks[0] ?? 0, breaks.at(-1) ?? 0];
  let inside = index;
  while (inside < cells.length && closedAt(ground, inside)) inside++;
  if (inside > index) return breaks[inside] ?? last;
  const wanted = Math.max(first, (breaks[index] ?? 0) - workingRoom_ft - (plusMinus[index] ?? 0));
  let open = index;
  while (open > 0 && !closedAt(ground, open - 1) && (breaks[open] ?? 0) > wanted) open--;
  return Math.max(wanted, breaks[open] ?? first);
}

/** Where it ends: the same, downstream. */
function digTo(ground: Ground, index: number): number {
  const { breaks, cells, plusMinus } = ground;
  const [first, last] = [breaks[0] ?? 0, breaks.at(-1) ?? 0];
  let inside = index;
  while (inside > 0 && closedAt(ground, inside - 1)) inside--;
  if (inside < index) return breaks[inside] ?? first;
  const wanted = Math.min(last, (breaks[index] ?? 0) + workingRoom_ft + (plusMinus[index] ?? 0));
  let open = index;
  while (open < cells.length && !closedAt(ground, open) && (breaks[open] ?? 0) < wanted) open++;
  return Math.min(wanted, breaks[open] ?? last);
}

/** A pit 4 ft long at a boundary, moved inside the line; none in no-dig ground, under a building or where we do not act. */
function pitPieces(sums: Sums, index: number, kind: PitKind): PitPieces | undefined {
  const { breaks, cells } = sums.ground;
  const [first, last] = [breaks[0] ?? 0, breaks.at(-1) ?? 0];
  const x = breaks[index] ?? 0;
  const from_ft = Math.max(first, Math.min(x - pitHalf_ft, last - 2 * pitHalf_ft));
  const to_ft = Math.min(last, Math.max(x + pitHalf_ft, first + 2 * pitHalf_ft));
  const barred = cells.some(
    (cell) =>
      (cell.closedTo === 'building' || cell.closedTo === 'no-dig' || !cell.ours) &&
      cell.from_ft < to_ft - tolerance.exact &&
      cell.to_ft > from_ft + tolerance.exact,
  );
  if (barred) return undefined;
  const cost = sums.cost[kind];
  const wider = (a: number, b: number) => sums.between(cost, a, b) - sums.between(sums.cost.dig, a, b);
  return {
    from_ft,
    to_ft,
    open: {
      cost: sums.between(cost, from_ft, x) + sums.endCost(kind, from_ft, 'downstream'),
      public_ft: sums.between(sums.publicThrough, from_ft, x),
    },
    close: {
      cost: sums.between(cost, x, to_ft) + sums.endCost(kind, to_ft, 'upstream'),
      public_ft: sums.between(sums.publicThrough, x, to_ft),
    },
    widerUpstream: wider(from_ft, x),
    widerDownstream: wider(x, to_ft),
  };
}

function memo<T>(make: (index: number) => T): (index: number) => T {
  const known = new Map<number, T>();
  return (index) => {
    if (!known.has(index)) known.set(index, make(index));
    return known.get(index) as T;
  };
}
