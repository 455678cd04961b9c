import { rateForBore, type Prices } from '../job/prices-schema.js';
import {
  earthOfEnd,
  earthPerFoot,
  isPavement,
  protectFrom_ft,
  topOut,
  type Section,
} from '../trench/section.js';
import type { Cell, Track } from './track.js';

/**
 * What a hole costs, in parts that add up along the line, so that a search can open it here and close it there.
 * Rates are raw: markup and tax come at the end. Quantities of the same parts make the price lines, so that the
 * price found is the price offered.
 */
export type HoleKind = 'dig' | 'launch' | 'burst';

export interface HoleQuantities {
  readonly earthTo5_yd3: number;
  readonly earthBelow5_yd3: number;
  readonly support_ft2: number;
  /** Surface to put back by kind, ft². */
  readonly restore_ft2: ReadonlyMap<string, number>;
  readonly public_ft: number;
  /** The same earth before it is turned into yards, along the hole and at its two ends, ft³. */
  readonly earth_ft3: Readonly<Record<'to5' | 'below5', { along: number; ends: number }>>;
}

export const cubicFeetPerYard = 27;
/** Put back past the edge of the opening in pavement, ft each side. */
const pavementMargin_ft = 1;

export function sectionOf(cell: Cell, kind: HoleKind): Section {
  if (kind === 'dig') return cell.section;
  return kind === 'launch' ? cell.launchSection : cell.burstSection;
}

interface Part {
  earth_ft3: number;
  deep: boolean;
  support_ft2: number;
  restore_ft2: number;
  surface: Cell['surface'];
}

/** One foot of hole through a cell. Nothing where the pipe is exposed or reached by hand under a building. */
function footOf(cell: Cell, kind: HoleKind): Part | undefined {
  if (cell.closedTo) return undefined;
  const section = sectionOf(cell, kind);
  const margin_ft = isPavement(cell.surface) ? pavementMargin_ft : 0;
  return {
    earth_ft3: earthPerFoot(section),
    deep: section.depth_ft > protectFrom_ft,
    support_ft2: section.shored ? 2 * section.depth_ft : 0,
    restore_ft2: section.width_ft + 2 * topOut(section) + 2 * margin_ft,
    surface: cell.surface,
  };
}

/** One end of a hole, in the cell it ends in. */
function endOf(cell: Cell, kind: HoleKind): Part | undefined {
  if (cell.closedTo) return undefined;
  const section = sectionOf(cell, kind);
  const margin_ft = isPavement(cell.surface) ? pavementMargin_ft : 0;
  const out_ft = topOut(section) + margin_ft;
  return {
    earth_ft3: earthOfEnd(section),
    deep: section.depth_ft > protectFrom_ft,
    support_ft2: section.shored ? section.width_ft * section.depth_ft : 0,
    restore_ft2: out_ft * (section.width_ft + 2 * out_ft),
    surface: cell.surface,
  };
}

function costOf(part: Part | undefined, prices: Prices): number {
  if (!part) return 0;
  const yards = part.earth_ft3 / cubicFeetPerYard;
  const restore = prices.restore_per_ft2[part.surface] ?? 0;
  return (
    yards * ((part.deep ? prices.digBelow5_per_yd3 : prices.digTo5_per_yd3) + prices.backfill_per_yd3) +
    part.support_ft2 * prices.support_per_ft2 +
    part.restore_ft2 * (restore === 'by-others' ? 0 : restore)
  );
}

/** Index of the cell that holds a station; `side` chooses at a break. */
export function cellIndexAt(track: Track, x: number, side: 'upstream' | 'downstream'): number {
  const { breaks } = track;
  let [low, high] = [0, track.cells.length - 1];
  const target = side === 'upstream' ? x - 1e-9 : x + 1e-9;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((breaks[middle + 1] ?? Infinity) >= target) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** A hole's ends, ft. */
export interface Reach {
  readonly from_ft: number;
  readonly to_ft: number;
}

/** Quantities of a hole over a reach; `launch` and `burst` parts inside a dig's hole widen it where they lie. */
export function holeQuantities(
  track: Track,
  hole: Reach,
  kind: HoleKind,
  widened: readonly (Reach & { kind: HoleKind })[] = [],
): HoleQuantities {
  const quantities = {
    earthTo5_yd3: 0,
    earthBelow5_yd3: 0,
    support_ft2: 0,
    restore_ft2: new Map<string, number>(),
    public_ft: 0,
    earth_ft3: { to5: { along: 0, ends: 0 }, below5: { along: 0, ends: 0 } },
  };
  const add = (part: Part | undefined, times: number, where: 'along' | 'ends') => {
    if (!part) return;
    const yards = (part.earth_ft3 * times) / cubicFeetPerYard;
    if (part.deep) quantities.earthBelow5_yd3 += yards;
    else quantities.earthTo5_yd3 += yards;
    quantities.earth_ft3[part.deep ? 'below5' : 'to5'][where] += part.earth_ft3 * times;
    quantities.support_ft2 += part.support_ft2 * times;
    quantities.restore_ft2.set(
      part.surface,
      (quantities.restore_ft2.get(part.surface) ?? 0) + part.restore_ft2 * times,
    );
  };
  for (const cell of track.cells) {
    const within = (reach: Reach) =>
      Math.max(0, Math.min(cell.to_ft, reach.to_ft) - Math.max(cell.from_ft, reach.from_ft));
    const length = within(hole);
    add(footOf(cell, kind), length, 'along');
    if (cell.owner === 'public' && !cell.closedTo) quantities.public_ft += length;
    for (const wide of widened) {
      add(footOf(cell, wide.kind), within(wide), 'along');
      add(footOf(cell, kind), -within(wide), 'along');
    }
  }
  const ends = [
    { x: hole.from_ft, side: 'downstream' as const },
    { x: hole.to_ft, side: 'upstream' as const },
  ];
  for (const { x, side } of ends) {
    const cell = track.cells[cellIndexAt(track, x, side)];
    const wide = widened.find(
      ({ from_ft, to_ft }) => Math.abs((side === 'downstream' ? from_ft : to_ft) - x) < 1e-9,
    );
    if (cell) add(endOf(cell, wide?.kind ?? kind), 1, 'ends');
  }
  return quantities;
}

/** One piece of a hole's cost at one boundary: opening it, closing it, or widening it for a pit. */
export interface HolePiece {
  readonly cost: number;
  readonly public_ft: number;
}

export interface HoleCosts {
  /** Cost and public feet of a dig's hole up to each fine break. */
  readonly through: Float64Array;
  readonly publicThrough: Float64Array;
  /** Number of cells no hole can be open in, up to each fine break. */
  readonly closedThrough: Float64Array;
  /** Opening a dig that starts at a fine break, with its room to work; closing one that ends there. */
  openDig(index: number): HolePiece;
  closeDig(index: number): HolePiece;
  /** The hole of a dig that starts or ends at a fine break, its working room included. */
  digFrom(index: number): number;
  digTo(index: number): number;
  /** A pit at a fine break: undefined where none can be dug. */
  pit(index: number, kind: 'launch' | 'burst'): PitPieces | undefined;
}

export interface PitPieces extends Reach {
  /** Alone: both halves and ends. */
  readonly open: HolePiece;
  readonly close: HolePiece;
  /** More than a dig's hole over the same reach, upstream and downstream of the boundary. */
  readonly widerUpstream: number;
  readonly widerDownstream: number;
}

const pitHalf_ft = 2;
const workingRoom_ft = 1;

/** Prefix sums and boundary pieces of every hole on a track. */
export function holeCosts(track: Track): HoleCosts {
  const { cells, breaks, prices } = track;
  const kinds: readonly HoleKind[] = ['dig', 'launch', 'burst'];
  const sums: Record<HoleKind, Float64Array> = {
    dig: new Float64Array(breaks.length),
    launch: new Float64Array(breaks.length),
    burst: new Float64Array(breaks.length),
  };
  const ends: Record<HoleKind, Float64Array> = {
    dig: new Float64Array(cells.length),
    launch: new Float64Array(cells.length),
    burst: new Float64Array(cells.length),
  };
  const publicThrough = new Float64Array(breaks.length);
  const closedThrough = new Float64Array(breaks.length);
  cells.forEach((cell, index) => {
    const length = cell.to_ft - cell.from_ft;
    for (const kind of kinds) {
      sums[kind][index + 1] = (sums[kind][index] ?? 0) + costOf(footOf(cell, kind), prices) * length;
      ends[kind][index] = costOf(endOf(cell, kind), prices);
    }
    publicThrough[index + 1] =
      (publicThrough[index] ?? 0) + (cell.owner === 'public' && !cell.closedTo ? length : 0);
    closedThrough[index + 1] = (closedThrough[index] ?? 0) + (cell.closedTo ? 1 : 0);
  });

  const at = (sum: Float64Array, x: number): number => {
    const index = cellIndexAt(track, x, 'upstream');
    const [from, to] = [breaks[index] ?? 0, breaks[index + 1] ?? 0];
    const [low, high] = [sum[index] ?? 0, sum[index + 1] ?? 0];
    return to > from ? low + ((high - low) * (x - from)) / (to - from) : low;
  };
  const stretchCost = (sum: Float64Array, from: number, to: number) => at(sum, to) - at(sum, from);
  const endCost = (kind: HoleKind, x: number, side: 'upstream' | 'downstream') =>
    ends[kind][cellIndexAt(track, x, side)] ?? 0;
  const first = breaks[0] ?? 0;
  const last = breaks.at(-1) ?? 0;
  const closedAt = (index: number) => cells[index]?.closedTo !== undefined;

  /** Where a dig's hole starts: working room upstream, but never into closed ground; under a building, at its edge. */
  const digFrom = (index: number): number => {
    let inside = index;
    while (inside < cells.length && closedAt(inside)) inside++;
    if (inside > index) return breaks[inside] ?? last;
    const wanted = Math.max(first, (breaks[index] ?? 0) - workingRoom_ft - (track.plusMinus[index] ?? 0));
    let open = index;
    while (open > 0 && !closedAt(open - 1) && (breaks[open] ?? 0) > wanted) open--;
    return Math.max(wanted, breaks[open] ?? first);
  };
  const digTo = (index: number): number => {
    let inside = index;
    while (inside > 0 && closedAt(inside - 1)) inside--;
    if (inside < index) return breaks[inside] ?? first;
    const wanted = Math.min(last, (breaks[index] ?? 0) + workingRoom_ft + (track.plusMinus[index] ?? 0));
    let open = index;
    while (open < cells.length && !closedAt(open) && (breaks[open] ?? 0) < wanted) open++;
    return Math.min(wanted, breaks[open] ?? last);
  };
  const memo = <T>(make: (index: number) => T) => {
    const known = new Map<number, T>();
    return (index: number): T => {
      if (!known.has(index)) known.set(index, make(index));
      return known.get(index) as T;
    };
  };
  const pits = {
    launch: memo((index) => pitPieces(index, 'launch')),
    burst: memo((index) => pitPieces(index, 'burst')),
  };

  function pitPieces(index: number, kind: 'launch' | 'burst'): PitPieces | undefined {
    const x = breaks[index] ?? 0;
    const from_ft = Math.max(first, Math.min(x - pitHalf_ft, last - 2 * pitHalf_ft));
    const to_ft = Math.min(last, Math.max(x + pitHalf_ft, first + 2 * pitHalf_ft));
    const barred = cells.some(
      (cell) =>
        (cell.closedTo === 'building' || cell.closedTo === 'no-dig' || !cell.ours) &&
        cell.from_ft < to_ft - 1e-9 &&
        cell.to_ft > from_ft + 1e-9,
    );
    if (barred) return undefined;
    const wider = (a: number, b: number) => stretchCost(sums[kind], a, b) - stretchCost(sums.dig, a, b);
    return {
      from_ft,
      to_ft,
      open: {
        cost: stretchCost(sums[kind], from_ft, x) + endCost(kind, from_ft, 'downstream'),
        public_ft: stretchCost(publicThrough, from_ft, x),
      },
      close: {
        cost: stretchCost(sums[kind], x, to_ft) + endCost(kind, to_ft, 'upstream'),
        public_ft: stretchCost(publicThrough, x, to_ft),
      },
      widerUpstream: wider(from_ft, x),
      widerDownstream: wider(x, to_ft),
    };
  }

  return {
    through: sums.dig,
    publicThrough,
    closedThrough,
    digFrom,
    digTo,
    openDig: memo((index) => {
      const from_ft = digFrom(index);
      const x = breaks[index] ?? 0;
      return {
        cost: endCost('dig', from_ft, 'downstream') + (from_ft < x ? stretchCost(sums.dig, from_ft, x) : 0),
        public_ft: from_ft < x ? stretchCost(publicThrough, from_ft, x) : 0,
      };
    }),
    closeDig: memo((index) => {
      const to_ft = digTo(index);
      const x = breaks[index] ?? 0;
      return {
        cost: endCost('dig', to_ft, 'upstream') + (to_ft > x ? stretchCost(sums.dig, x, to_ft) : 0),
        public_ft: to_ft > x ? stretchCost(publicThrough, x, to_ft) : 0,
      };
    }),
    pit: (index, kind) => pits[kind](index),
  };
}

/** Pipe and couplings that close a launch pit again. */
export function closingCost(track: Track, index: number): number {
  const bore = boreAtBreak(track, index);
  return closingPipe_ft * pipeRate(track, bore) + 2 * couplingRate(track, bore);
}

/** The larger bore of the two cells that meet at a fine break, in. */
export function boreAtBreak(track: Track, index: number): number {
  return Math.max(...[track.cells[index - 1], track.cells[index]].map((cell) => cell?.pipe.diameter_in ?? 0));
}

export const closingPipe_ft = 4;
export const pipeRate = (track: Track, bore_in: number): number =>
  rateForBore(track.prices.pipe_per_ft[track.rules.newPipe], bore_in) ?? 0;
export const couplingRate = (track: Track, bore_in: number): number =>
  rateForBore(track.prices.coupling_each, bore_in) ?? 0;
