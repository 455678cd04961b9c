import { tolerance } from '../units.js';
import type { Interval } from '../line/intervals.js';
import { oncePerIndex } from '../once-per.js';
import { num, runningSums } from '../search/columns.js';
import { cellIndexAt, type Ground, type GroundCell, type HoleKind } from './ground.js';
import { costOf, endOf, footOf } from './parts.js';
import { protections, topOut, type Protection } from './section.js';

/** One component of an excavation's cost at a boundary: opening it, closing it, or widening it for a pit. */
export interface HolePiece {
  readonly cost: number;
  readonly public_ft: number;
}

type ByProtection<T> = Readonly<Record<Protection, T>>;

/**
 * Excavation costs in parts that add up along the line, so that the search can open an excavation at one boundary and
 * close it at another. One excavation uses one protection throughout, so every part has a value per protection. Rates
 * are raw: markup and tax come at the end. Indexes are of fine breaks.
 */
export interface HoleCosts {
  /** The protections that can be cheapest somewhere on this line. */
  readonly protections: readonly Protection[];
  /** Running cost of a trench up to each fine break, and its feet in public ground. */
  through: (held: Protection) => Float64Array;
  readonly publicThrough: Float64Array;
  /**
   * Running count of cells where no excavation with this protection can be open, and of those that cannot be dug by
   * hand either.
   */
  closedThrough: (held: Protection) => Float64Array;
  barredThrough: (held: Protection) => Float64Array;
  /** Opening a trench that starts at a fine break, including its working room; closing one that ends there. */
  openDig: (index: number, held: Protection) => HolePiece | undefined;
  closeDig: (index: number, held: Protection) => HolePiece | undefined;
  /** Ends of the excavation for new pipe that starts or ends at a fine break, including working room, ft. */
  digFrom: (index: number) => number;
  digTo: (index: number) => number;
  /** A pit at a fine break; undefined where none can be dug. */
  pit: (index: number, kind: PitKind) => PitPieces | undefined;
  /** A pit over any reach with its cheapest protection; undefined where none can be dug. */
  aloneOver: (reach: Interval, kind: PitKind) => AlonePit | undefined;
  /**
   * Whether an excavation ending at one fine break and one starting at another are far enough apart to stay separate.
   */
  areApart: (ended: number, begins: number) => boolean;
}

/** A pit that shares nothing with another excavation, and its protection. */
export interface AlonePit extends HolePiece {
  readonly held: Protection;
}

export type PitKind = Exclude<HoleKind, 'dig'>;

export interface PitPieces extends Interval {
  /**
   * Its upstream half including that end, and its downstream half including the other; undefined where this protection
   * is not possible.
   */
  readonly open: ByProtection<HolePiece | undefined>;
  readonly close: ByProtection<HolePiece | undefined>;
  /** Extra cost over a trench of the same reach, upstream and downstream of the boundary. */
  widerUpstream: (held: Protection) => number;
  widerDownstream: (held: Protection) => number;
  /** Cheapest protection when it stands alone. */
  readonly alone: AlonePit | undefined;
}

/** Half the length of a pit along the pipe, ft. */
export const pitHalf_ft = 2;
const workingRoom_ft = 1;

/** One value per protection. */
export const byProtection = <T>(make: (held: Protection) => T): ByProtection<T> => ({
  none: make('none'),
  slope: make('slope'),
  shore: make('shore'),
  shield: make('shield'),
});

/** Running sums over the cells of the ground, and reading them between two stations. */
interface Sums {
  readonly ground: Ground;
  readonly cost: (kind: HoleKind, held: Protection) => Float64Array;
  /** Cost of an excavation's end in each cell. */
  readonly ends: (kind: HoleKind, held: Protection) => Float64Array;
  readonly publicThrough: Float64Array;
  /** Running count of cells where an excavation with this protection cannot be. */
  readonly refusing: ByProtection<Float64Array>;
  /** Running count of cells that a slope may not extend over. */
  readonly flat: Float64Array;
  /** Running count of cells where no pit is dug. */
  readonly pitless: Float64Array;
  between: (sums: Float64Array, from_ft: number, to_ft: number) => number;
}

/** Cost parts of every excavation that may be dug over a line. */
export function holeCosts(ground: Ground): HoleCosts {
  const sums = sumsOf(ground);
  const [from, to] = [(index: number) => digFrom(ground, index), (index: number) => digTo(ground, index)];
  const pits = {
    launch: oncePerIndex((index) => pitPieces(sums, index, 'launch')),
    burst: oncePerIndex((index) => pitPieces(sums, index, 'burst')),
  };
  const opens = byProtection((held) => oncePerIndex((index) => openDig(sums, index, held)));
  const closes = byProtection((held) => oncePerIndex((index) => closeDig(sums, index, held)));
  const pit = (index: number, kind: PitKind) => pits[kind](index);
  // A pit can extend past a trench's working room: the longer of the two counts.
  const endsAt = oncePerIndex((index) => Math.max(to(index), pit(index, 'launch')?.to_ft ?? -Infinity));
  const beginsAt = oncePerIndex((index) => Math.min(from(index), pit(index, 'launch')?.from_ft ?? Infinity));
  const refusals = perProtection((which: 'closed' | 'barred', held) =>
    count(
      ground,
      which === 'closed'
        ? (cell) => cell.closedTo !== undefined || !cell.mayHold[held]
        : (cell) => (cell.closedTo === undefined ? !cell.mayHold[held] : held === 'slope'),
    ),
  );
  return {
    protections: usableProtections(ground),
    through: (held) => sums.cost('dig', held),
    publicThrough: sums.publicThrough,
    closedThrough: (held) => refusals('closed', held),
    // Sides whose slope would undermine ground that has to be dug by hand.
    barredThrough: (held) => refusals('barred', held),
    digFrom: from,
    digTo: to,
    openDig: (index, held) => opens[held](index),
    closeDig: (index, held) => closes[held](index),
    pit,
    aloneOver: (reach, kind) => aloneOver(sums, reach, kind),
    areApart: (ended, begins) => beginsAt(begins) - endsAt(ended) >= ground.holesApart_ft - tolerance.ft,
  };
}

/** The more expensive of shoring and shield matters only where the cheaper one is not possible. */
function usableProtections({ cells, prices }: Ground): Protection[] {
  const open = cells.filter(({ closedTo }) => closedTo === undefined);
  const some = (held: Protection) => open.some(({ mayHold }) => mayHold[held]);
  if (open.every(({ mayHold }) => mayHold.none)) return ['none'];
  const [cheaper, dearer]: [Protection, Protection] =
    prices.shield_per_ft2 < prices.support_per_ft2 ? ['shield', 'shore'] : ['shore', 'shield'];
  const asked = new Set<Protection>([
    ...(some('none') ? ['none' as const] : []),
    ...(some('slope') ? ['slope' as const] : []),
    ...(some(cheaper) ? [cheaper] : []),
    ...(open.some(({ mayHold }) => mayHold[dearer] && !mayHold[cheaper]) ? [dearer] : []),
  ]);
  return protections.filter((held) => asked.has(held));
}

const count = ({ cells }: Ground, is: (cell: GroundCell) => boolean): Float64Array =>
  runningSums(cells.length, (i) => (is(cells[i] as GroundCell) ? 1 : 0));

function sumsOf(ground: Ground): Sums {
  const { cells, breaks, prices } = ground;
  const running = (value: (cell: GroundCell) => number) =>
    runningSums(cells.length, (i) => value(cells[i] as GroundCell));
  const at = (sum: Float64Array, x: number): number => {
    const index = cellIndexAt(ground, x, 'upstream');
    const [from, to] = [breaks[index] ?? 0, breaks[index + 1] ?? 0];
    const [low, high] = [sum[index] ?? 0, sum[index + 1] ?? 0];
    return to > from ? low + ((high - low) * (x - from)) / (to - from) : low;
  };
  return {
    ground,
    cost: perProtection((kind: HoleKind, held) =>
      running((cell) => costOf(footOf(cell, kind, held), prices) * (cell.to_ft - cell.from_ft)),
    ),
    ends: perProtection((kind: HoleKind, held) =>
      Float64Array.from(cells, (cell) => costOf(endOf(cell, kind, held), prices)),
    ),
    publicThrough: running((cell) =>
      cell.owner === 'public' && !cell.closedTo ? cell.to_ft - cell.from_ft : 0,
    ),
    refusing: byProtection((held) =>
      count(ground, (cell) => cell.closedTo === undefined && !cell.mayHold[held]),
    ),
    flat: count(ground, ({ mayHold }) => !mayHold.slope),
    pitless: count(ground, ({ closedTo, ours }) => closedTo === 'building' || closedTo === 'no-dig' || !ours),
    between: (sum, from_ft, to_ft) => at(sum, to_ft) - at(sum, from_ft),
  };
}

/** Many lines need few of these: each is computed when it is first asked for. */
function perProtection<K extends string>(
  make: (kind: K, held: Protection) => Float64Array,
): (kind: K, held: Protection) => Float64Array {
  const known: Partial<Record<K, Partial<Record<Protection, Float64Array>>>> = {};
  return (kind, held) => ((known[kind] ??= {})[held] ??= make(kind, held));
}

/** Whether no cell that a stretch overlaps is counted. */
function isFree({ ground }: Sums, counted: Float64Array, from_ft: number, to_ft: number): boolean {
  if (to_ft - from_ft <= tolerance.exact) return true;
  const first = cellIndexAt(ground, from_ft, 'downstream');
  const last = cellIndexAt(ground, to_ft, 'upstream');
  return num(counted, last + 1) - num(counted, first) === 0;
}

/**
 * Cost of one end of an excavation with this protection; undefined where its slope may not extend over the ground.
 */
function endCost(
  sums: Sums,
  kind: HoleKind,
  x: number,
  lies: 'upstream' | 'downstream',
  held: Protection,
): number | undefined {
  const { ground, ends } = sums;
  const index = cellIndexAt(ground, x, lies);
  const cell = ground.cells[index];
  if (held === 'slope' && cell && cell.closedTo === undefined) {
    const out_ft = topOut(cell.sections[kind], held);
    const top = lies === 'downstream' ? x - out_ft : x + out_ft;
    const [first, last] = [ground.breaks[0] ?? 0, ground.breaks.at(-1) ?? 0];
    // Nothing is known beyond the line's ends: the house, or the street.
    if (top < first - tolerance.exact || top > last + tolerance.exact) return undefined;
    if (!isFree(sums, sums.flat, Math.min(top, x), Math.max(top, x))) return undefined;
  }
  return num(ends(kind, held), index);
}

function openDig(sums: Sums, index: number, held: Protection): HolePiece | undefined {
  const { ground, cost, publicThrough, between, refusing } = sums;
  const [end, x] = [digFrom(ground, index), ground.breaks[index] ?? 0];
  if (!isFree(sums, refusing[held], end, Math.max(end, x))) return undefined;
  const own = endCost(sums, 'dig', end, 'downstream', held);
  if (own === undefined) return undefined;
  return {
    cost: own + (end < x ? between(cost('dig', held), end, x) : 0),
    public_ft: end < x ? between(publicThrough, end, x) : 0,
  };
}

function closeDig(sums: Sums, index: number, held: Protection): HolePiece | undefined {
  const { ground, cost, publicThrough, between, refusing } = sums;
  const [end, x] = [digTo(ground, index), ground.breaks[index] ?? 0];
  if (!isFree(sums, refusing[held], Math.min(end, x), end)) return undefined;
  const own = endCost(sums, 'dig', end, 'upstream', held);
  if (own === undefined) return undefined;
  return {
    cost: own + (end > x ? between(cost('dig', held), x, end) : 0),
    public_ft: end > x ? between(publicThrough, x, end) : 0,
  };
}

const closedAt = ({ cells }: Ground, index: number) => cells[index]?.closedTo !== undefined;

/**
 * Where the excavation for new pipe from this break begins: upstream by working room and ±, but not into ground that is
 * off limits.
 */
function digFrom(ground: Ground, index: number): number {
  const { breaks, cells, plusMinus } = ground;
  const [first, last] = [breaks[0] ?? 0, breaks.at(-1) ?? 0];
  let inside = index;
  while (inside < cells.length && closedAt(ground, inside)) inside++;
  if (inside > index) return breaks[inside] ?? last;
  const wanted = Math.max(first, (breaks[index] ?? 0) - workingRoom_ft - (plusMinus.from[index] ?? 0));
  let open = index;
  while (open > 0 && !closedAt(ground, open - 1) && (breaks[open] ?? 0) > wanted) open--;
  return Math.max(wanted, breaks[open] ?? first);
}

/** Where it ends, downstream likewise. */
function digTo(ground: Ground, index: number): number {
  const { breaks, cells, plusMinus } = ground;
  const [first, last] = [breaks[0] ?? 0, breaks.at(-1) ?? 0];
  let inside = index;
  while (inside > 0 && closedAt(ground, inside - 1)) inside--;
  if (inside < index) return breaks[inside] ?? first;
  const wanted = Math.min(last, (breaks[index] ?? 0) + workingRoom_ft + (plusMinus.to[index] ?? 0));
  let open = index;
  while (open < cells.length && !closedAt(ground, open) && (breaks[open] ?? 0) < wanted) open++;
  return Math.min(wanted, breaks[open] ?? last);
}

/** The larger ± of the two actions' ends that can meet at a break, ft: a pit can serve either. */
export const pitPlusMinus = ({ plusMinus }: Ground, index: number): number =>
  Math.max(plusMinus.from[index] ?? 0, plusMinus.to[index] ?? 0);

/** Extent of a pit at a break: 4 ft centered on it plus its ± either side, shifted to stay inside the line. */
export function pitReach(ground: Ground, index: number): Interval {
  const { breaks } = ground;
  const [first, last] = [breaks[0] ?? 0, breaks.at(-1) ?? 0];
  const x = breaks[index] ?? 0;
  const half_ft = pitHalf_ft + pitPlusMinus(ground, index);
  return {
    from_ft: Math.max(first, Math.min(x - half_ft, last - 2 * pitHalf_ft)),
    to_ft: Math.min(last, Math.max(x + half_ft, first + 2 * pitHalf_ft)),
  };
}

/** No pit is dug in no-dig ground, under a building or outside the ground we work in. */
const mayPit = (sums: Sums, { from_ft, to_ft }: Interval): boolean =>
  isFree(sums, sums.pitless, from_ft, to_ft);

/** The upstream or downstream part of a pit with its end, for each protection. */
const pitPart = (
  sums: Sums,
  kind: PitKind,
  from_ft: number,
  to_ft: number,
  part: 'upstream' | 'downstream',
) =>
  byProtection((held): HolePiece | undefined => {
    const { between, refusing, cost, publicThrough } = sums;
    const [end_ft, lies] =
      part === 'upstream' ? ([from_ft, 'downstream'] as const) : ([to_ft, 'upstream'] as const);
    const own = isFree(sums, refusing[held], from_ft, to_ft)
      ? endCost(sums, kind, end_ft, lies, held)
      : undefined;
    return own === undefined
      ? undefined
      : {
          cost: between(cost(kind, held), from_ft, to_ft) + own,
          public_ft: between(publicThrough, from_ft, to_ft),
        };
  });

/** The cheapest protection that two parts of a pit can share. */
const cheapestAlone = (
  open: ByProtection<HolePiece | undefined>,
  close: ByProtection<HolePiece | undefined>,
): AlonePit | undefined =>
  protections
    .flatMap((held): AlonePit[] => {
      const [up, down] = [open[held], close[held]];
      return up && down
        ? [{ held, cost: up.cost + down.cost, public_ft: up.public_ft + down.public_ft }]
        : [];
    })
    .reduce<AlonePit | undefined>((best, each) => (best && best.cost <= each.cost ? best : each), undefined);

function aloneOver(sums: Sums, reach: Interval, kind: PitKind): AlonePit | undefined {
  if (!mayPit(sums, reach)) return undefined;
  const middle = (reach.from_ft + reach.to_ft) / 2;
  return cheapestAlone(
    pitPart(sums, kind, reach.from_ft, middle, 'upstream'),
    pitPart(sums, kind, middle, reach.to_ft, 'downstream'),
  );
}

/** A pit at a boundary. */
function pitPieces(sums: Sums, index: number, kind: PitKind): PitPieces | undefined {
  const { ground, between } = sums;
  const x = ground.breaks[index] ?? 0;
  const { from_ft, to_ft } = pitReach(ground, index);
  if (!mayPit(sums, { from_ft, to_ft })) return undefined;
  const wider = (a: number, b: number) => (held: Protection) =>
    between(sums.cost(kind, held), a, b) - between(sums.cost('dig', held), a, b);
  const open = pitPart(sums, kind, from_ft, x, 'upstream');
  const close = pitPart(sums, kind, x, to_ft, 'downstream');
  return {
    from_ft,
    to_ft,
    open,
    close,
    widerUpstream: wider(from_ft, x),
    widerDownstream: wider(x, to_ft),
    alone: cheapestAlone(open, close),
  };
}
