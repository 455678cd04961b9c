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
  /** Cheapest protection for a separate excavation. */
  readonly alone: AlonePit | undefined;
}

/** Half the length of a pit along the pipe, ft. */
export const pitHalf_ft = 2;
const workingRoom_ft = 1;

/** A station's place among the cells, at which any running sum is read. */
interface Place {
  readonly station_ft: number;
  /** Cell that contains it, and the one just past it: they differ at a break. */
  readonly cell: number;
  readonly next: number;
}

function placeOf(ground: Ground, station_ft: number): Place {
  return {
    station_ft,
    cell: cellIndexAt(ground, station_ft, 'upstream'),
    next: cellIndexAt(ground, station_ft, 'downstream'),
  };
}

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
  /**
   * Running count of cells where an excavation with this protection cannot be: in open ground, anywhere, or not even dug
   * by hand.
   */
  refusing: (where: 'open' | 'closed' | 'barred', held: Protection) => Float64Array;
  /** Running count of cells that a slope may not extend over. */
  readonly flat: Float64Array;
  /** Running count of cells where no pit is dug. */
  readonly pitless: Float64Array;
  between: (sums: Float64Array, from: Place, to: Place) => number;
  /** Protections that can be cheapest somewhere on the line. */
  readonly usable: readonly Protection[];
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
  return {
    protections: sums.usable,
    through: (held) => sums.cost('dig', held),
    publicThrough: sums.publicThrough,
    closedThrough: (held) => sums.refusing('closed', held),
    barredThrough: (held) => sums.refusing('barred', held),
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
  const at = (sum: Float64Array, { cell, station_ft }: Place): number => {
    const [from, to] = [num(breaks, cell), num(breaks, cell + 1)];
    const [low, high] = [num(sum, cell), num(sum, cell + 1)];
    return to > from ? low + ((high - low) * (station_ft - from)) / (to - from) : low;
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
    refusing: perProtection((where: 'open' | 'closed' | 'barred', held) =>
      count(ground, ({ closedTo, mayHold }) => {
        if (closedTo === undefined) return !mayHold[held];
        // Sides whose slope would undermine ground that has to be dug by hand.
        return where === 'closed' || (where === 'barred' && held === 'slope');
      }),
    ),
    flat: count(ground, ({ mayHold }) => !mayHold.slope),
    pitless: count(ground, ({ closedTo, ours }) => closedTo === 'building' || closedTo === 'no-dig' || !ours),
    between: (sum, from, to) => at(sum, to) - at(sum, from),
    usable: usableProtections(ground),
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
const isFree = (counted: Float64Array, from: Place, to: Place): boolean =>
  to.station_ft - from.station_ft <= tolerance.exact ||
  num(counted, to.cell + 1) - num(counted, from.next) === 0;

/**
 * Cost of one end of an excavation with this protection; undefined where its slope may not extend over the ground.
 */
function endCost(
  { ground, ends, flat }: Sums,
  kind: HoleKind,
  at: Place,
  lies: 'upstream' | 'downstream',
  held: Protection,
): number | undefined {
  const index = lies === 'upstream' ? at.cell : at.next;
  const cell = ground.cells[index];
  if (held === 'slope' && cell && cell.closedTo === undefined) {
    const out_ft = topOut(cell.sections[kind], held);
    const top = at.station_ft + (lies === 'downstream' ? -out_ft : out_ft);
    const [first, last] = [ground.breaks[0] ?? 0, ground.breaks.at(-1) ?? 0];
    // Nothing is known beyond the line's ends: the house, or the street.
    if (top < first - tolerance.exact || top > last + tolerance.exact) return undefined;
    const topAt = placeOf(ground, top);
    if (!(lies === 'downstream' ? isFree(flat, topAt, at) : isFree(flat, at, topAt))) return undefined;
  }
  return num(ends(kind, held), index);
}

function openDig(sums: Sums, index: number, held: Protection): HolePiece | undefined {
  const { ground, cost, publicThrough, between, refusing } = sums;
  const [end_ft, station_ft] = [digFrom(ground, index), ground.breaks[index] ?? 0];
  const [end, at] = [placeOf(ground, end_ft), placeOf(ground, station_ft)];
  if (!isFree(refusing('open', held), end, at)) return undefined;
  const own = endCost(sums, 'dig', end, 'downstream', held);
  if (own === undefined) return undefined;
  return {
    cost: own + (end_ft < station_ft ? between(cost('dig', held), end, at) : 0),
    public_ft: end_ft < station_ft ? between(publicThrough, end, at) : 0,
  };
}

function closeDig(sums: Sums, index: number, held: Protection): HolePiece | undefined {
  const { ground, cost, publicThrough, between, refusing } = sums;
  const [end_ft, station_ft] = [digTo(ground, index), ground.breaks[index] ?? 0];
  const [end, at] = [placeOf(ground, end_ft), placeOf(ground, station_ft)];
  if (!isFree(refusing('open', held), at, end)) return undefined;
  const own = endCost(sums, 'dig', end, 'upstream', held);
  if (own === undefined) return undefined;
  return {
    cost: own + (end_ft > station_ft ? between(cost('dig', held), at, end) : 0),
    public_ft: end_ft > station_ft ? between(publicThrough, at, end) : 0,
  };
}

const closedAt = ({ cells }: Ground, index: number) => cells[index]?.closedTo !== undefined;

/**
 * Where the excavation for new pipe from this break begins: upstream by working room and ±, but not into ground that is
 * off limits.
 */
export function digFrom(ground: Ground, index: number): number {
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
export function digTo(ground: Ground, index: number): number {
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

/** The upstream or downstream part of a pit with its end, for each protection; none where it cannot have that one. */
function pitPart(
  sums: Sums,
  kind: PitKind,
  from: Place,
  to: Place,
  part: 'upstream' | 'downstream',
): ByProtection<HolePiece | undefined> {
  const { between, refusing, cost, publicThrough, usable } = sums;
  const [end, lies] = part === 'upstream' ? ([from, 'downstream'] as const) : ([to, 'upstream'] as const);
  const public_ft = between(publicThrough, from, to);
  return byProtection((held): HolePiece | undefined => {
    if (!usable.includes(held) || !isFree(refusing('open', held), from, to)) return undefined;
    const own = endCost(sums, kind, end, lies, held);
    return own === undefined ? undefined : { cost: between(cost(kind, held), from, to) + own, public_ft };
  });
}

/** The cheapest protection that two parts of a pit can share. */
function cheapestAlone(
  open: ByProtection<HolePiece | undefined>,
  close: ByProtection<HolePiece | undefined>,
): AlonePit | undefined {
  let best: AlonePit | undefined;
  for (const held of protections) {
    const [up, down] = [open[held], close[held]];
    if (!up || !down) continue;
    const cost = up.cost + down.cost;
    if (!best || cost < best.cost) best = { held, cost, public_ft: up.public_ft + down.public_ft };
  }
  return best;
}

function aloneOver(sums: Sums, { from_ft, to_ft }: Interval, kind: PitKind): AlonePit | undefined {
  const { ground, pitless } = sums;
  const [from, to] = [placeOf(ground, from_ft), placeOf(ground, to_ft)];
  if (!isFree(pitless, from, to)) return undefined;
  const middle = placeOf(ground, (from_ft + to_ft) / 2);
  return cheapestAlone(
    pitPart(sums, kind, from, middle, 'upstream'),
    pitPart(sums, kind, middle, to, 'downstream'),
  );
}

/** A pit at a boundary; none in no-dig ground, under a building or outside the ground we work in. */
function pitPieces(sums: Sums, index: number, kind: PitKind): PitPieces | undefined {
  const { ground, between, pitless } = sums;
  const { from_ft, to_ft } = pitReach(ground, index);
  const [from, to] = [placeOf(ground, from_ft), placeOf(ground, to_ft)];
  if (!isFree(pitless, from, to)) return undefined;
  const at = placeOf(ground, ground.breaks[index] ?? 0);
  const wider = (a: Place, b: Place) => (held: Protection) =>
    between(sums.cost(kind, held), a, b) - between(sums.cost('dig', held), a, b);
  const open = pitPart(sums, kind, from, at, 'upstream');
  const close = pitPart(sums, kind, at, to, 'downstream');
  return {
    from_ft,
    to_ft,
    open,
    close,
    widerUpstream: wider(from, at),
    widerDownstream: wider(at, to),
    alone: cheapestAlone(open, close),
  };
}
