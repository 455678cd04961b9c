import { isSag, type Judged } from '../condition/judged.js';
import { plain } from '../figure.js';
import { leastPublic_ft } from '../excavation/hole-drafts.js';
import { leastSlope } from '../grade/least-slope.js';
import { tolerance } from '../job/units.js';
import type { ActionMethod } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { laidLength } from '../pipe/laid.js';
import { couplingRate, pipeRate } from '../pipe/rates.js';
import { drafter, type Draft } from '../price/price-line.js';
import { int, num } from '../search/columns.js';
import { barredFor } from '../track/barred.js';
import { countCells, over, overCells } from '../track/sums.js';
import { feetByBore, type Cell, type Refusal, type Track } from '../track/track.js';
import { feetOfBore } from '../track/feet-steps.js';
import { Arrives, Departs } from '../track/joins.js';
import type { Action, Candidate, Site, Work } from './method.js';

/** A stretch of new pipe that a dig may lay, and what is known of it. */
export interface Trench extends Interval {
  readonly length_ft: number;
  /** It touches a sag. */
  readonly sag: boolean;
  /** It takes every sag it touches whole, and falls enough. */
  laidToGrade: () => boolean;
  /** It covers a sag that must be cured. */
  owesGrade: () => boolean;
  /** More per foot for what hangs free, over the stretch. */
  readonly rehung: number;
}

/** What sets one dig apart from another. */
export interface DigKind {
  readonly method: ActionMethod;
  /** Whether new pipe may lie like this by this method. */
  accepts: (trench: Trench, track: Track) => boolean;
  /** Exposed pipe is rehung on straps, and not bought. */
  readonly rehangs?: true;
}

/** What every method that lays new pipe in an open trench has in common. */
export function digWork({
  method,
  accepts,
  rehangs,
}: DigKind): Pick<Work, 'kind' | 'candidates' | 'joins' | 'aloneCost' | 'drafts' | 'order' | 'newPipe'> {
  return {
    kind: 'dig',
    candidates: (track) =>
      trenchCandidates(track, method, (trench) => accepts(trench, track), rehangs ?? false),
    joins: ({ exposed }) => [[exposed ? Departs.ExposedPipe : Departs.NewPipe, Arrives.NewPipe]],
    aloneCost: trenchAlone,
    drafts: (track, action) => newPipeDrafts(track, action, rehangs ?? false),
    order: ({ rules, cells }, { from_ft, to_ft, fromBreak, toBreak }) => ({
      pipe: laidLength({
        from_ft,
        to_ft,
        material: rules.newPipe,
        diameter_in: Math.max(...cells.slice(fromBreak, toBreak).map(({ pipe }) => pipe.diameter_in)),
        pits: 0,
      }),
    }),
    newPipe: {
      material: (rules) => rules.newPipe,
      buys: ({ closedTo }) => !(rehangs && closedTo === 'crawl-space'),
    },
  };
}

/** Every stretch on which a dig may lay new pipe, for each boundary it starts at. */
function trenchCandidates(
  track: Track,
  method: ActionMethod,
  accepts: (trench: Trench) => boolean,
  rehangs: boolean,
): (from: number) => Candidate[] {
  const { breaks, rules } = track;
  const fine = Int32Array.from(track.boundaries);
  const sums = trenchSums(track);
  const barred = barredFor(track, method);
  return (from) => {
    const found: Candidate[] = [];
    const start = int(fine, from);
    for (let to = from + 1; to < fine.length; to++) {
      const end = int(fine, to);
      if (over(sums.noDig, start, end) > 0 || over(barred, start, end) > 0) return found;
      if (over(sums.building, start, end) > 0 && !reachable(track.cells, start, end, rules.handDugReach_ft))
        continue;
      const trench = trenchOf(track, sums, num(breaks, start), num(breaks, end), start, end);
      if (!accepts(trench)) continue;
      found.push({
        from,
        to,
        method,
        cost:
          over(sums.pipe, start, end) +
          (num(sums.coupling, start) + num(sums.coupling, end - 1)) +
          (rehangs ? trench.rehung : 0),
        exposed: over(sums.exposed, start, end) > trench.length_ft - tolerance.ft,
        viaAccess: false,
      });
    }
    return found;
  };
}

type TrenchSums = ReturnType<typeof trenchSums>;

function trenchSums(track: Track) {
  const { prices } = track;
  const rate = (cell: Cell) => pipeRate(track, cell.pipe.diameter_in);
  const hangs = ({ closedTo }: Cell) => closedTo === 'crawl-space';
  return {
    noDig: countCells(track, (cell) => digCellRefusal(cell) !== undefined),
    building: countCells(track, ({ closedTo }) => closedTo === 'building'),
    sags: countCells(track, ({ findings }) => findings.some(isSag)),
    sagging: track.condition.findings.filter(isSag),
    owed: track.obligations.cured.filter(({ laidToGrade }) => laidToGrade),
    exposed: overCells(track, (cell, _, length) => (hangs(cell) ? length : 0)),
    pipe: overCells(
      track,
      (cell, _, length) => length * (rate(cell) + (cell.closedTo === 'building' ? prices.handDug_per_ft : 0)),
    ),
    rehung: overCells(track, (cell, _, length) =>
      hangs(cell) ? length * (prices.rehang_per_ft - rate(cell)) : 0,
    ),
    coupling: Float64Array.from(track.cells, (cell) => couplingRate(track, cell.pipe.diameter_in)),
  };
}

function trenchOf(
  track: Track,
  sums: TrenchSums,
  from_ft: number,
  to_ft: number,
  start: number,
  end: number,
): Trench {
  const touches = ({ place }: { readonly place: Interval }) => overlaps(place, { from_ft, to_ft });
  const sag = over(sums.sags, start, end) > 0;
  return {
    from_ft,
    to_ft,
    length_ft: to_ft - from_ft,
    sag,
    laidToGrade: () => {
      if (!sag) return false;
      const touched = sums.sagging.filter(touches);
      return touched.length > 0 && fallsOver(track, from_ft, to_ft, touched);
    },
    owesGrade: () => sums.owed.some(touches),
    rehung: over(sums.rehung, start, end),
  };
}

/** Why a hole may not be dug in a cell; a building's edge may be reached by hand and is judged with the hole. */
export function digCellRefusal(cell: Cell): Refusal | undefined {
  const at = `${((cell.from_ft + cell.to_ft) / 2).toFixed(1)} ft`;
  if (cell.closedTo === 'no-dig') {
    return { rule: 'no-dig', why: `no digging at ${at}`, lift: 'lift the no-dig stretch' };
  }
  return cell.ours ? undefined : notOurs(at);
}

/** The owner of this part must act. */
export const notOurs = (at: string): Refusal => ({
  rule: 'public-part',
  why: `${at} is its owner's to act on`,
  lift: 'a house rule that takes the public part on',
});

/** Why new pipe may not be dug in on a stretch. */
export function digRefusal({ rules }: Track, stretch: Interval, cells: readonly Cell[]): Refusal | undefined {
  const refused = firstRefusal(cells, digCellRefusal);
  if (refused) return refused;
  const under = cells.filter(({ closedTo }) => closedTo === 'building');
  const length = under.reduce((sum, cell) => sum + cell.to_ft - cell.from_ft, 0);
  const outOfReach = length > 2 * rules.handDugReach_ft;
  const nothingOutside = under.length > 0 && length >= stretch.to_ft - stretch.from_ft - tolerance.ft;
  return outOfReach || nothingOutside
    ? {
        rule: 'under-building',
        why: 'under a building, further than a hole outside can reach by hand',
        lift: 'line it, or open the floor',
      }
    : undefined;
}

/** The first refusal met along a list, or none. */
export function firstRefusal<T>(
  all: readonly T[],
  judge: (each: T) => Refusal | undefined,
): Refusal | undefined {
  for (const each of all) {
    const found = judge(each);
    if (found !== undefined) return found;
  }
  return undefined;
}

/** Every cell under a building lies within the hand-dug reach of open ground in the same dig. */
function reachable(cells: readonly Cell[], from: number, to: number, reach_ft: number): boolean {
  let last: number | undefined;
  for (let i = from; i < to; i++) {
    const cell = cells[i];
    if (!cell) break;
    if (cell.closedTo !== 'building') {
      last = cell.to_ft;
      continue;
    }
    let next = i;
    while (next < to && cells[next]?.closedTo === 'building') next++;
    const ahead = next < to ? cells[next]?.from_ft : undefined;
    const fromBehind = last !== undefined && cell.to_ft - last <= reach_ft + tolerance.ft;
    const fromAhead = ahead !== undefined && ahead - cell.from_ft <= reach_ft + tolerance.ft;
    if (!fromBehind && !fromAhead) return false;
  }
  return true;
}

/** An end this far inside a sag's place still takes all of it, ft. */
const wholeWithin_ft = 2e-6;

/** Whether new pipe from a to b falls by the least slope and takes each of the sags whole. Stations ft. */
export function fallsOver(
  { model, rules }: Pick<Track, 'model' | 'rules'>,
  a: number,
  b: number,
  sags: readonly Pick<Judged, 'place'>[],
): boolean {
  const { profile } = model;
  if (!profile.graded) return false;
  const whole = sags.every(
    ({ place }) => a - place.from_ft <= wholeWithin_ft && place.to_ft - b <= wholeWithin_ft,
  );
  if (!whole) return false;
  let needed = 0;
  for (const pipe of model.pipes) {
    if (pipe.to_ft <= a + tolerance.exact || pipe.from_ft >= b - tolerance.exact) continue;
    needed = Math.max(needed, leastSlope(pipe.diameter_in, rules));
  }
  return (profile.invert(a) - profile.invert(b)) / (b - a) >= needed - 1e-12;
}

function trenchAlone({ track, holes }: Site, { from, to, exposed }: Candidate): number {
  if (exposed) return 0;
  const [start, end] = [track.boundaries[from] ?? 0, track.boundaries[to] ?? 0];
  const [open, close] = [holes.openDig(start), holes.closeDig(end)];
  const public_ft = open.public_ft + over(holes.publicThrough, start, end) + close.public_ft;
  return (
    open.cost +
    num(holes.through, end) -
    num(holes.through, start) +
    close.cost +
    (public_ft > leastPublic_ft ? track.prices.permit_per_hole : 0)
  );
}

/** New pipe, couplings, what is dug by hand and what is rehung. */
function newPipeDrafts(track: Track, action: Action, rehangs: boolean): Draft[] {
  const { prices, rules } = track;
  const cells = track.cells.slice(action.fromBreak, action.toBreak);
  const draft = drafter(action.id);
  const feetUnder = (ground: Cell['closedTo']) =>
    cells
      .filter(({ closedTo }) => closedTo === ground)
      .reduce((sum, cell) => sum + cell.to_ft - cell.from_ft, 0);
  const rehung = rehangs ? feetUnder('crawl-space') : 0;
  const pipe = [...feetByBore(cells)].map(([bore, length], index) => {
    // Rehung pipe is not bought; it comes off the first bore, for a crawl space holds one.
    const off = index === 0 ? rehung : 0;
    const from = `pipe_per_ft.${rules.newPipe}.${bore}`;
    return draft(`New ${bore} in pipe`, length - off, 'ft', pipeRate(track, bore), from, [
      ...feetOfBore(cells, bore),
      ...(off > 0
        ? [{ label: 'Rehung, not bought', expression: `− ${plain(off)} ft`, source: 'the scope' }]
        : []),
    ]);
  });
  return [
    ...pipe,
    ...endCouplings(track, action, cells),
    draft(
      'Dug by hand under the building',
      feetUnder('building'),
      'ft',
      prices.handDug_per_ft,
      'handDug_per_ft',
    ),
    draft('Rehung to grade on straps', rehung, 'ft', prices.rehang_per_ft, 'rehang_per_ft'),
  ];
}

/** A coupling at each end of new pipe, by the bores there. */
export const endCouplings = (track: Track, { id }: Action, cells: readonly Cell[]): Draft[] =>
  [cells[0], cells.at(-1)].map((cell) => {
    const bore = cell?.pipe.diameter_in ?? 4;
    return drafter(id)(
      `Banded coupling, ${bore} in`,
      1,
      'each',
      couplingRate(track, bore),
      `coupling_each.${bore}`,
    );
  });
