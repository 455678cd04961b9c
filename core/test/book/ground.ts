import type { GradedFinding } from '../../condition/graded-finding.js';
import type { Prices } from '../../job/prices.js';
import type { Rules } from '../../job/rules.js';
import type { School } from '../../job/vocabulary.js';
import type { LineModel } from '../../line/model.js';
import { linerThickness } from '../../liner/thickness.js';

/**
 * A line by the book: the rules and prices of calculations §3 to §10 written again as plainly as possible, for the
 * general solver that the product is compared with. From the product it takes locations, grades, where an action may
 * end, and a liner's thickness: each of those is tested against outside values elsewhere.
 */
export interface BookLine {
  readonly model: LineModel;
  readonly findings: readonly GradedFinding[];
  readonly rules: Rules;
  readonly prices: Prices;
  readonly school: School;
  /** Ends of the cells, ft, and the ± of what starts and ends there; indexes of those at which an action may end. */
  readonly breaks: readonly number[];
  readonly plusMinus: { readonly from: readonly number[]; readonly to: readonly number[] };
  /** Breaks at which old pipe may be cut. */
  readonly cutAt: { readonly from: readonly number[]; readonly to: readonly number[] };
  readonly boundaries: readonly number[];
  readonly cells: readonly BookCell[];
}

export interface BookCell {
  readonly a: number;
  readonly b: number;
  readonly bore: number;
  readonly material: string;
  readonly surface: string;
  readonly owner: string;
  readonly ours: boolean;
  readonly noDig: boolean;
  readonly seen: boolean;
  /** Deepest and shallowest invert in it. */
  readonly invert: number;
  readonly shallow: number;
  readonly soil: string;
  /** A utility crosses within 2 ft. */
  readonly crossed: boolean;
  /** Iron that needs descaling. */
  readonly descale: boolean;
  readonly thickness: number;
  readonly findings: readonly GradedFinding[];
}

export const near = 1e-6;
const holds = (each: { from_ft: number; to_ft: number }, x: number) => each.from_ft <= x && x <= each.to_ft;

export const meets = (one: { from_ft: number; to_ft: number }, a: number, b: number): boolean =>
  Math.min(one.to_ft, b) - Math.max(one.from_ft, a) > near;

export function bookCell(a: number, b: number, line: Omit<BookLine, 'cells'>): BookCell {
  const { model, rules, findings } = line;
  const x = (a + b) / 2;
  const pipe = model.pipes.find(({ to_ft }) => x <= to_ft);
  const surface = model.surfaces.findLast((each) => holds(each, x))?.kind ?? 'lawn';
  const owner = model.owners.findLast((each) => holds(each, x))?.owner ?? 'unknown';
  const own = findings.filter(({ place }) => meets(place, a, b));
  const kinks = [...model.profile.located, ...(model.line.ground ?? [])].map(({ station_ft }) => station_ft);
  const depths = [a, b, ...kinks.filter((at) => at > a && at < b)].map((at) => model.profile.depth(at));
  const bore = pipe?.diameter_in ?? 4;
  const scaled = own.some(
    ({ placed: { entry }, grade, possible, settled }) =>
      entry.finding === 'deposit' && entry.of === 'scale' && grade >= 3 && !possible && !settled,
  );
  return {
    a,
    b,
    bore,
    material: pipe?.material ?? 'unknown',
    surface,
    owner,
    ours: rules.publicPart === 'ours' || owner !== 'public',
    noDig: model.noDig.some((each) => holds(each, x)),
    seen: model.seen.some((each) => holds(each, x)),
    invert: Math.max(...depths),
    shallow: Math.min(...depths),
    soil: model.line.soil ?? 'unknown',
    crossed: (model.line.crossings ?? []).some(({ station_ft }) => station_ft > a - 2 && station_ft < b + 2),
    descale: pipe?.material === 'cast-iron' && scaled,
    findings: own,
    thickness: Math.max(
      ...depths.map(
        (invert) =>
          linerThickness({
            host_in: bore,
            invert_ft: invert,
            waterOverInvert_ft: Math.max(0, invert - (model.line.groundwater_ft ?? 0)),
            ovality_percent: Math.max(
              rules.ovality_percent,
              ...own.map(({ ovality_percent }) => ovality_percent ?? 0),
            ),
            surface,
            exposed: surface === 'crawl-space',
          }).needed_in,
      ),
    ),
  };
}

export const isClosed = ({ surface, noDig }: BookCell): boolean =>
  noDig || surface === 'building' || surface === 'crawl-space';

const paved = ['street', 'asphalt', 'concrete', 'pavers', 'sidewalk', 'tile'];
const slopeOf: Record<string, number> = { rock: 0, A: 0.75, B: 1, C: 1.5, unknown: 1.5 };
const outside: Record<string, Record<number, number>> = {
  'pvc-sch40': { 4: 4.5, 6: 6.625 },
  abs: { 4: 4.5, 6: 6.625 },
  'pvc-sdr35': { 4: 4.215, 6: 6.275 },
  hdpe: { 4: 4.5, 6: 6.625 },
};
export const outsideOf = (material: string, bore: number): number => outside[material]?.[bore] ?? bore + 0.5;

export type Width = 'dig' | 'launch' | 'burst';

/** Protection of an excavation: §10 and §14. */
export const holds4 = ['none', 'slope', 'shore', 'shield'] as const;
export type Held = (typeof holds4)[number];

/** Possible depth of an excavation: a located depth has a percentage tolerance. */
const reachOf = (cell: BookCell, { rules }: BookLine) =>
  cell.invert * (1 + rules.depthMargin_percent / 100) + 4 / 12;

/** Whether an excavation with this protection may be in a cell. */
export function mayHold(cell: BookCell, held: Held, line: BookLine): boolean {
  if (held === 'none') return reachOf(cell, line) < 5 || cell.soil === 'rock';
  if (held === 'slope') return !isClosed(cell) && !paved.includes(cell.surface) && cell.owner !== 'neighbour';
  return held === 'shore' || !cell.crossed;
}

/** A cell's excavation: §10. Costs of a foot of it and of one end in it, raw. */
export function excavation(
  cell: BookCell,
  width: Width,
  held: Held,
  line: BookLine,
): { foot: number; end: number } {
  if (isClosed(cell)) return { foot: 0, end: 0 };
  const { prices, rules } = line;
  const d = cell.invert + 4 / 12;
  const reach = reachOf(cell, line);
  const od = outsideOf(rules.newPipe, cell.bore);
  const pipe = Math.max(od + 16, 1.25 * od + 12) / 12;
  const w = width === 'launch' ? 3 : width === 'burst' ? 4 : reach > 4 ? Math.max(pipe, 3) : pipe;
  const s = held === 'slope' ? (slopeOf[cell.soil] ?? 1.5) : 0;
  const wall = held === 'shore' ? prices.support_per_ft2 : held === 'shield' ? prices.shield_per_ft2 : 0;
  const margin = paved.includes(cell.surface) ? 1 : 0;
  const rate = (reach > 5 ? prices.digBelow5_per_yd3 : prices.digTo5_per_yd3) + prices.backfill_per_yd3;
  const restoring = prices.restore_per_ft2[cell.surface as 'lawn'] ?? 0;
  const restore = restoring === 'by-others' ? 0 : restoring;
  const out = s * d + margin;
  return {
    foot: ((w * d + s * d * d) / 27) * rate + 2 * d * wall + (w + 2 * out) * restore,
    end:
      (((s * w * d * d) / 2 + (2 / 3) * s * s * d ** 3) / 27) * rate +
      w * d * wall +
      out * (w + 2 * out) * restore,
  };
}

/**
 * Raw cost and public feet of an excavation between two stations, without its ends; undefined where this protection is
 * not possible.
 */
export function dug(
  line: BookLine,
  from: number,
  to: number,
  width: Width,
  held: Held,
): { cost: number; public_ft: number; stands: boolean } {
  let [cost, public_ft, stands] = [0, 0, true];
  for (const cell of line.cells) {
    const feet = Math.min(cell.b, to) - Math.max(cell.a, from);
    if (feet <= 1e-9 || isClosed(cell)) continue;
    cost += feet * excavation(cell, width, held, line).foot;
    if (!mayHold(cell, held, line)) stands = false;
    if (cell.owner === 'public') public_ft += feet;
  }
  return { cost, public_ft, stands };
}

/**
 * Raw cost of one end of an excavation; `side` is the side it lies on. Undefined where a slope may not extend there.
 */
export function endCost(
  line: BookLine,
  x: number,
  side: 'upstream' | 'downstream',
  width: Width,
  held: Held,
): number | undefined {
  const inside = side === 'downstream' ? x + 1e-9 : x - 1e-9;
  const { cells } = line;
  const cell = cells.find(({ b }) => b >= inside) ?? cells[cells.length - 1] ?? cells[0];
  if (!cell) return 0;
  if (held === 'slope' && !isClosed(cell)) {
    const out = (slopeOf[cell.soil] ?? 1.5) * (cell.invert + 4 / 12);
    const [low, high] = side === 'downstream' ? [x - out, x] : [x, x + out];
    const [first, last] = [cells[0]?.a ?? 0, cells[cells.length - 1]?.b ?? 0];
    if (low < first - 1e-9 || high > last + 1e-9) return undefined;
    const over = cells.filter(({ a, b }) => Math.min(b, high) - Math.max(a, low) > 1e-9);
    if (over.some((each) => !mayHold(each, 'slope', line))) return undefined;
  }
  return excavation(cell, width, held, line).end;
}

/** The cheapest protection of an excavation that shares nothing, with its permit; infinite where none is possible. */
export function aloneCost(line: BookLine, from: number, to: number, width: Width): number {
  return Math.min(
    ...holds4.map((held) => {
      const { cost, public_ft, stands } = dug(line, from, to, width, held);
      const up = endCost(line, from, 'downstream', width, held);
      const down = endCost(line, to, 'upstream', width, held);
      if (!stands || up === undefined || down === undefined) return Infinity;
      return cost + up + down + (public_ft > 1e-6 ? line.prices.permit_per_hole : 0);
    }),
  );
}

/**
 * The excavation for new pipe that starts (or ends) at a break: a foot and its ± beyond, but not into ground off
 * limits.
 */
export function digEnd(line: BookLine, index: number, goes: 'upstream' | 'downstream'): number {
  const { breaks, cells, plusMinus } = line;
  const step = goes === 'upstream' ? -1 : 1;
  const beside = (i: number, way: number) => cells[way < 0 ? i - 1 : i];
  const closed = (cell: BookCell | undefined) => cell !== undefined && isClosed(cell);
  let at = index;
  // Under a building the excavation begins where the building ends.
  while (closed(beside(at, -step))) at -= step;
  if (at !== index) return breaks[at] ?? 0;
  const own = goes === 'upstream' ? plusMinus.from : plusMinus.to;
  const reach = (breaks[index] ?? 0) + step * (1 + (own[index] ?? 0));
  while (beside(at, step) && !closed(beside(at, step)) && step * (reach - (breaks[at] ?? 0)) > 0) at += step;
  const limit = breaks[at] ?? 0;
  return goes === 'upstream' ? Math.max(reach, limit) : Math.min(reach, limit);
}

export interface BookPit {
  readonly from: number;
  readonly to: number;
}

/** Extent of a pit at a break: 4 ft and its ± either side, shifted to stay inside the line. */
export function pitReach({ breaks, plusMinus }: BookLine, index: number): BookPit {
  const [first, last] = [breaks[0] ?? 0, breaks[breaks.length - 1] ?? 0];
  const x = breaks[index] ?? 0;
  const half = 2 + Math.max(plusMinus.from[index] ?? 0, plusMinus.to[index] ?? 0);
  return {
    from: Math.max(first, Math.min(x - half, last - 4)),
    to: Math.min(last, Math.max(x + half, first + 4)),
  };
}

/** No pit is dug under a building, in no-dig ground, or outside ground we work in. */
export const mayPit = ({ cells }: BookLine, { from, to }: BookPit): boolean =>
  !cells.some(
    (cell) =>
      (cell.surface === 'building' || cell.noDig || !cell.ours) && cell.a < to - 1e-9 && cell.b > from + 1e-9,
  );

/** A pit at a break; none where it cannot be dug. */
export function pitAt(line: BookLine, index: number): BookPit | undefined {
  const reach = pitReach(line, index);
  return mayPit(line, reach) ? reach : undefined;
}

/**
 * Whether an excavation ending at one break and one beginning at another stay separate, at the farthest reach of both.
 */
export function areApart(line: BookLine, ended: number, begins: number): boolean {
  const to = Math.max(digEnd(line, ended, 'downstream'), pitAt(line, ended)?.to ?? -Infinity);
  const from = Math.min(digEnd(line, begins, 'upstream'), pitAt(line, begins)?.from ?? Infinity);
  return from - to >= line.rules.holesApart_ft - 1e-6;
}
