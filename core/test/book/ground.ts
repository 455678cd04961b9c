import type { Judged } from '../../condition/judged.js';
import type { Prices } from '../../job/prices-schema.js';
import type { Rules } from '../../job/rules-schema.js';
import type { School } from '../../job/vocabulary.js';
import type { LineModel } from '../../line/model.js';
import { linerThickness } from '../../liner/thickness.js';

/**
 * A line by the book: the rules and prices of calculations §3 to §10 written again, as plainly as they can be said, for
 * the general solver that the product is held against. Of the product it takes where things lie, what they are graded,
 * where an action may end, and a liner's thickness: each is tested against outside values elsewhere.
 */
export interface BookLine {
  readonly model: LineModel;
  readonly findings: readonly Judged[];
  readonly rules: Rules;
  readonly prices: Prices;
  readonly school: School;
  /** Ends of the cells, ft, and their ±; indexes of those at which an action may end. */
  readonly breaks: readonly number[];
  readonly plusMinus: readonly number[];
  readonly boundaries: readonly number[];
  readonly cells: readonly BookCell[];
}

export interface BookCell {
  readonly a: number;
  readonly b: number;
  readonly bore: number;
  readonly material: string;
  readonly surface: string;
  /** Feet that its surface goes on either way. */
  readonly room: number;
  readonly owner: string;
  readonly ours: boolean;
  readonly noDig: boolean;
  readonly seen: boolean;
  readonly invert: number;
  readonly soil: string;
  readonly thickness: number;
  readonly findings: readonly Judged[];
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
  const invert = model.profile.depth(x);
  const bore = pipe?.diameter_in ?? 4;
  return {
    a,
    b,
    bore,
    material: pipe?.material ?? 'unknown',
    surface,
    room: roomOn(model, surface, x, a, b),
    owner,
    ours: rules.publicPart === 'ours' || owner !== 'public',
    noDig: model.noDig.some((each) => holds(each, x)),
    seen: model.seen.some((each) => holds(each, x)),
    invert,
    soil: model.line.soil ?? 'unknown',
    findings: own,
    thickness: linerThickness({
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
  };
}

/** How far the same surface goes on before and after a cell; without end where it reaches the line's end. */
function roomOn(model: LineModel, surface: string, x: number, a: number, b: number): number {
  const { from_ft, to_ft } = model.extent;
  const kindAt = (at: number) => model.surfaces.findLast((each) => holds(each, at))?.kind ?? 'lawn';
  const edges = [from_ft, to_ft, ...model.surfaces.flatMap((each) => [each.from_ft, each.to_ft])]
    .filter((at) => at >= from_ft && at <= to_ft)
    .sort((p, q) => p - q)
    // Edges within 0.01 ft are one.
    .filter((at, i, all) => i === 0 || at - (all[i - 1] ?? 0) > 0.01);
  let [up, down] = [from_ft, to_ft];
  edges.slice(1).forEach((end, i) => {
    const start = edges[i] ?? end;
    if (kindAt((start + end) / 2) === surface) return;
    if (end <= x) up = Math.max(up, end);
    if (start >= x) down = Math.min(down, start);
  });
  return Math.min(up <= from_ft ? Infinity : a - up, down >= to_ft ? Infinity : down - b);
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

/** A cell's excavation: §10. Costs of a foot of it and of one end in it, raw. */
export function excavation(
  cell: BookCell,
  width: Width,
  { prices, rules }: BookLine,
): { foot: number; end: number } {
  if (isClosed(cell)) return { foot: 0, end: 0 };
  const d = cell.invert + 4 / 12;
  const od = outsideOf(rules.newPipe, cell.bore);
  const pipe = Math.max(od + 16, 1.25 * od + 12) / 12;
  const w = width === 'launch' ? 3 : width === 'burst' ? 4 : d > 4 ? Math.max(pipe, 3) : pipe;
  const steep = slopeOf[cell.soil] ?? 1.5;
  const protects = d >= 5 && cell.soil !== 'rock';
  const shored = protects && (paved.includes(cell.surface) || steep * d > cell.room);
  const s = protects && !shored ? steep : 0;
  const margin = paved.includes(cell.surface) ? 1 : 0;
  const rate = (d > 5 ? prices.digBelow5_per_yd3 : prices.digTo5_per_yd3) + prices.backfill_per_yd3;
  const restoring = prices.restore_per_ft2[cell.surface as 'lawn'] ?? 0;
  const restore = restoring === 'by-others' ? 0 : restoring;
  const out = s * d + margin;
  return {
    foot:
      ((w * d + s * d * d) / 27) * rate +
      (shored ? 2 * d * prices.support_per_ft2 : 0) +
      (w + 2 * out) * restore,
    end:
      (((s * w * d * d) / 2 + (2 / 3) * s * s * d ** 3) / 27) * rate +
      (shored ? w * d * prices.support_per_ft2 : 0) +
      out * (w + 2 * out) * restore,
  };
}

/** Raw cost and public feet of a hole between two stations, without its ends. */
export function dug(
  line: BookLine,
  from: number,
  to: number,
  width: Width,
): { cost: number; public_ft: number } {
  let [cost, public_ft] = [0, 0];
  for (const cell of line.cells) {
    const feet = Math.min(cell.b, to) - Math.max(cell.a, from);
    if (feet <= 0 || isClosed(cell)) continue;
    cost += feet * excavation(cell, width, line).foot;
    if (cell.owner === 'public') public_ft += feet;
  }
  return { cost, public_ft };
}

/** Raw cost of one end of a hole; `side` is where the hole lies. */
export function endCost(line: BookLine, x: number, side: 'upstream' | 'downstream', width: Width): number {
  const inside = side === 'downstream' ? x + 1e-9 : x - 1e-9;
  const cell = line.cells.find(({ b }) => b >= inside) ?? line.cells[line.cells.length - 1] ?? line.cells[0];
  return cell ? excavation(cell, width, line).end : 0;
}

/** A hole over new pipe that starts (or ends) at a break: a foot and its ± beyond, but not into closed ground. */
export function digEnd(line: BookLine, index: number, goes: 'upstream' | 'downstream'): number {
  const { breaks, cells, plusMinus } = line;
  const step = goes === 'upstream' ? -1 : 1;
  const beside = (i: number, way: number) => cells[way < 0 ? i - 1 : i];
  const closed = (cell: BookCell | undefined) => cell !== undefined && isClosed(cell);
  let at = index;
  // Under a building the hole begins where the building ends.
  while (closed(beside(at, -step))) at -= step;
  if (at !== index) return breaks[at] ?? 0;
  const reach = (breaks[index] ?? 0) + step * (1 + (plusMinus[index] ?? 0));
  while (beside(at, step) && !closed(beside(at, step)) && step * (reach - (breaks[at] ?? 0)) > 0) at += step;
  const limit = breaks[at] ?? 0;
  return goes === 'upstream' ? Math.max(reach, limit) : Math.min(reach, limit);
}

export interface BookPit {
  readonly from: number;
  readonly to: number;
}

/** A pit 4 ft long about a break, moved inside the line; none where nobody may dig. */
export function pitAt(line: BookLine, index: number): BookPit | undefined {
  const { breaks, cells } = line;
  const [first, last] = [breaks[0] ?? 0, breaks[breaks.length - 1] ?? 0];
  const x = breaks[index] ?? 0;
  const from = Math.max(first, Math.min(x - 2, last - 4));
  const to = Math.min(last, Math.max(x + 2, first + 4));
  const barred = cells.some(
    (cell) =>
      (cell.surface === 'building' || cell.noDig || !cell.ours) && cell.a < to - 1e-9 && cell.b > from + 1e-9,
  );
  return barred ? undefined : { from, to };
}
