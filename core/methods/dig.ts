import { isSag, type GradedFinding } from '../condition/graded-finding.js';
import { plain } from '../figure.js';
import { withPermit } from '../excavation/hole-drafts.js';
import { leastSlope } from '../grade/least-slope.js';
import type { Rules } from '../job/rules.js';
import { sameStation_ft, tolerance } from '../units.js';
import type { ActionMethod } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { fittingCost, fittingFor, fittingNames, type Fitting } from '../pipe/fittings.js';
import { laidLength } from '../pipe/laid.js';
import { couplingRate, pipeRate } from '../pipe/rates.js';
import { drafter, type Draft } from '../price/price-line.js';
import { byte, int, num } from '../search/columns.js';
import { barredFor } from '../track/barred.js';
import { countCells, inside, over, overCells, overPoints } from '../track/sums.js';
import {
  feetByBore,
  oncePerCells,
  pointsInside,
  type Cell,
  type Refusal,
  type Track,
} from '../track/track.js';
import { feetOfBore } from '../track/feet-steps.js';
import { Arrives, Departs } from '../track/joins.js';
import { hasTrait, Trait } from './candidates.js';
import type { Action, Site, Work } from './method.js';

/** An end this far inside a belly's place still covers all of it, ft. */
const wholeWithin_ft = 2e-6;

/** A stretch of new pipe that touches a belly. */
export interface Trench {
  /** It covers every belly it touches completely, with enough fall. */
  laidToGrade: () => boolean;
  /** It touches a belly that must be cured. */
  readonly owesGrade: boolean;
}

/** What differs between the methods that dig. */
export interface DigKind {
  readonly method: ActionMethod;
  /** Lengths this method is for, ft; any where not given. */
  lengths?: (rules: Rules) => { readonly over_ft?: number; readonly most_ft?: number };
  /** Whether this method may lay new pipe that touches a belly; it may where not given. */
  accepts?: (trench: Trench) => boolean;
  /** Only over a belly. */
  readonly onlySags?: true;
  /** Exposed pipe is rehung on straps, not bought. */
  readonly rehangs?: true;
}

/** Common part of every method that lays new pipe in an open trench. */
export function digWork(
  kind: DigKind,
): Pick<Work, 'kind' | 'offers' | 'joins' | 'aloneCost' | 'drafts' | 'order' | 'newPipe' | 'fittings'> {
  const { rehangs } = kind;
  return {
    kind: 'dig',
    offers: (track) => trenchOffers(track, kind),
    joins: (traits) => [
      [hasTrait(traits, Trait.exposed) ? Departs.ExposedPipe : Departs.NewPipe, Arrives.NewPipe],
    ],
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
    fittings: fittingsIn,
  };
}

/** Offers every stretch where a dig may lay new pipe. */
function trenchOffers(
  track: Track,
  { method, lengths, accepts, rehangs, onlySags }: DigKind,
): ReturnType<Work['offers']> {
  const { breaks, rules, cutAt } = track;
  const fine = Int32Array.from(track.boundaries);
  const sums = trenchSums(track);
  if (onlySags && sums.sags.at(-1) === 0) return () => undefined;
  const barred = barredFor(track, method);
  const owing = track.obligations.cured.filter(({ laidToGrade }) => laidToGrade);
  const owed = countCells(track, (cell) => owing.some(({ place }) => overlaps(place, cell)));
  const { over_ft = -Infinity, most_ft = Infinity } = lengths?.(rules) ?? {};
  // A line shorter than the least length is replaced whole.
  const least_ft = Math.min(rules.leastNewPipe_ft, (breaks.at(-1) ?? 0) - (breaks[0] ?? 0));
  return (from, offer) => {
    const start = int(fine, from);
    if (byte(cutAt.from, start) === 0) return;
    for (let to = from + 1; to < fine.length; to++) {
      const end = int(fine, to);
      if (over(sums.noDig, start, end) > 0 || over(barred, start, end) > 0) return;
      const length_ft = num(breaks, end) - num(breaks, start);
      if (length_ft > most_ft + tolerance.exact) return;
      const tooShort = length_ft < least_ft - tolerance.exact || length_ft <= over_ft + tolerance.exact;
      if (tooShort || byte(cutAt.to, end) === 0) continue;
      if (over(sums.building, start, end) > 0 && !reachable(track.cells, start, end, rules.handDugReach_ft))
        continue;
      if (over(sums.sags, start, end) === 0) {
        if (onlySags) continue;
      } else if (accepts) {
        const owesGrade = over(owed, start, end) > 0;
        if (!accepts({ owesGrade, laidToGrade: () => isLaidToGrade(track, sums, start, end) })) continue;
      }
      const exposed = over(sums.exposed, start, end) > length_ft - tolerance.ft;
      const cost =
        over(sums.pipe, start, end) +
        (rehangs && exposed ? 0 : num(sums.coupling, start) + num(sums.coupling, end - 1)) +
        inside(sums.fittings, start, end) +
        over(sums.reducers, start + 1, end) +
        (rehangs ? over(sums.rehung, start, end) : 0);
      offer(to, cost, exposed ? Trait.exposed : 0);
    }
  };
}

type TrenchSums = ReturnType<typeof trenchSums>;

const trenchSums = oncePerCells((track) => {
  const { prices } = track;
  const rate = (cell: Cell) => pipeRate(track, cell.pipe.diameter_in);
  const hangs = ({ closedTo }: Cell) => closedTo === 'crawl-space';
  return {
    noDig: countCells(track, (cell) => digCellRefusal(cell) !== undefined),
    building: countCells(track, ({ closedTo }) => closedTo === 'building'),
    sags: countCells(track, ({ findings }) => findings.some(isSag)),
    sagsCut: sagsCutAt(track, track.condition.findings.filter(isSag)),
    exposed: overCells(track, (cell, _, length) => (hangs(cell) ? length : 0)),
    pipe: overCells(
      track,
      (cell, _, length) => length * (rate(cell) + (cell.closedTo === 'building' ? prices.handDug_per_ft : 0)),
    ),
    rehung: overCells(track, (cell, _, length) =>
      hangs(cell) ? length * (prices.rehang_per_ft - rate(cell)) : 0,
    ),
    coupling: Float64Array.from(track.cells, (cell) => couplingRate(track, cell.pipe.diameter_in)),
    fittings: overPoints(track, ({ point }) => {
      const kind = fittingFor(point);
      return kind ? fittingCost(prices, kind) : 0;
    }),
    reducers: overCells(track, (cell, index) => {
      const before = track.cells[index - 1];
      return before && before.pipe.diameter_in !== cell.pipe.diameter_in ? fittingCost(prices, 'reducer') : 0;
    }),
  };
});

/** Breaks at which new pipe that starts, or ends, would cover a belly only partly. */
function sagsCutAt({ breaks }: Track, sags: readonly GradedFinding[]): { from: Uint8Array; to: Uint8Array } {
  const isCut = (before_ft: number, after_ft: number) =>
    before_ft > wholeWithin_ft && after_ft > tolerance.ft;
  return {
    from: Uint8Array.from(breaks, (x) =>
      sags.some(({ place }) => isCut(x - place.from_ft, place.to_ft - x)) ? 1 : 0,
    ),
    to: Uint8Array.from(breaks, (x) =>
      sags.some(({ place }) => isCut(place.to_ft - x, x - place.from_ft)) ? 1 : 0,
    ),
  };
}

/** Fittings in new pipe: one for every point inside it, and a reducer where the bore changes. */
export function fittingsIn(track: Track, stretch: Interval): Fitting[] {
  const boreAt = (x: number) =>
    track.cells.find(({ to_ft }) => x <= to_ft + sameStation_ft)?.pipe.diameter_in ?? 4;
  const stand = pointsInside(track, stretch).flatMap(({ point, at }): Fitting[] => {
    const kind = fittingFor(point);
    const { station_ft } = at;
    if (!kind || Math.min(station_ft - stretch.from_ft, stretch.to_ft - station_ft) <= sameStation_ft)
      return [];
    const measure = kind === 'bend' && point.degrees === undefined;
    return [{ kind, at_ft: station_ft, diameter_in: boreAt(station_ft), degrees: point.degrees, measure }];
  });
  const reducers = track.cells.flatMap((cell, i): Fitting[] => {
    const before = track.cells[i - 1];
    const within =
      cell.from_ft > stretch.from_ft + tolerance.ft && cell.from_ft < stretch.to_ft - tolerance.ft;
    if (!before || !within || before.pipe.diameter_in === cell.pipe.diameter_in) return [];
    const diameter_in = Math.max(before.pipe.diameter_in, cell.pipe.diameter_in);
    return [{ kind: 'reducer', at_ft: cell.from_ft, diameter_in, measure: false }];
  });
  return [...stand, ...reducers].sort((a, b) => a.at_ft - b.at_ft);
}

/** Price lines for fittings: each kind, and reconnecting branches. */
export function fittingDrafts(track: Track, action: Action, fittings: readonly Fitting[]): Draft[] {
  const { prices } = track;
  const draft = drafter(action.id);
  const at = (all: readonly Fitting[]) => all.map(({ at_ft }) => at_ft.toFixed(1)).join(', ');
  const kinds = [...new Set(fittings.map(({ kind }) => kind))];
  return kinds.flatMap((kind) => {
    const own = fittings.filter((each) => each.kind === kind);
    const rate = prices.fitting_each[kind] ?? 0;
    return [
      draft(`${fittingNames[kind]} at ${at(own)} ft`, own.length, 'each', rate, `fitting_each.${kind}`),
      ...(kind === 'wye'
        ? [
            draft(
              `Reconnect the branch at ${at(own)} ft`,
              own.length,
              'each',
              prices.reconnection_each,
              'reconnection_each',
            ),
          ]
        : []),
    ];
  });
}

/** Whether a stretch that touches bellies covers each of them completely, with enough fall. */
function isLaidToGrade(track: Track, { sagsCut }: TrenchSums, start: number, end: number): boolean {
  return (
    byte(sagsCut.from, start) === 0 &&
    byte(sagsCut.to, end) === 0 &&
    fallsOver(track, num(track.breaks, start), num(track.breaks, end), [])
  );
}

/** Why a cell may not be excavated; a building's edge may be reached by hand and is judged with the excavation. */
export function digCellRefusal(cell: Cell): Refusal | undefined {
  const at = `${((cell.from_ft + cell.to_ft) / 2).toFixed(1)} ft`;
  if (cell.closedTo === 'no-dig') {
    return { rule: 'no-dig', why: `no digging at ${at}`, lift: 'lift the no-dig stretch' };
  }
  return cell.ours ? undefined : ownersToRepair(at);
}

/** The owner of this part has to do it. */
export const ownersToRepair = (at: string): Refusal => ({
  rule: 'public-part',
  why: `${at} is its owner's to act on`,
  lift: 'a house rule that includes the public part',
});

/** Why new pipe may not be laid by digging on a stretch. */
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
        why: 'under a building, further than an excavation outside can reach by hand',
        lift: 'open the floor',
      }
    : undefined;
}

/** The first refusal along a list, or none. */
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

/** Every cell under a building is within hand-dig reach of open ground in the same dig. */
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

/**
 * Whether new pipe from a to b covers each of the bellies completely and falls at least at the minimum slope, as far as
 * that is known. Stations in ft.
 */
export function fallsOver(
  { model, rules }: Pick<Track, 'model' | 'rules'>,
  a: number,
  b: number,
  sags: readonly Pick<GradedFinding, 'place'>[],
): boolean {
  const { profile } = model;
  const whole = sags.every(
    ({ place }) => a - place.from_ft <= wholeWithin_ft && place.to_ft - b <= wholeWithin_ft,
  );
  if (!whole) return false;
  // With fewer than two depths the fall is unknown: it is priced provisionally, and the first step is to locate both
  // ends.
  if (!profile.graded) return true;
  let needed = 0;
  for (const pipe of model.pipes) {
    if (pipe.to_ft <= a + tolerance.exact || pipe.from_ft >= b - tolerance.exact) continue;
    needed = Math.max(needed, leastSlope(pipe.diameter_in, rules));
  }
  return (profile.invert(a) - profile.invert(b)) / (b - a) >= needed - 1e-12;
}

/** The cheapest protection for a trench on its own. */
function trenchAlone({ track, holes }: Site): ReturnType<Work['aloneCost']> {
  const digs = holes.protections.map((held) => ({
    held,
    through: holes.through(held),
    barred: holes.barredThrough(held),
  }));
  return (from, to, traits) => {
    if (hasTrait(traits, Trait.exposed)) return 0;
    const [start, end] = [track.boundaries[from] ?? 0, track.boundaries[to] ?? 0];
    let least = Infinity;
    for (const { held, through, barred } of digs) {
      if (over(barred, start, end) > 0) continue;
      const [open, close] = [holes.openDig(start, held), holes.closeDig(end, held)];
      if (!open || !close) continue;
      const public_ft = open.public_ft + over(holes.publicThrough, start, end) + close.public_ft;
      const cost = open.cost + over(through, start, end) + close.cost;
      least = Math.min(least, withPermit({ cost, public_ft }, track.prices));
    }
    return least;
  };
}

/** New pipe, couplings, hand digging and rehung pipe. */
function newPipeDrafts(track: Track, action: Action, rehangs: boolean): Draft[] {
  const { prices, rules } = track;
  const cells = track.cells.slice(action.fromBreak, action.toBreak);
  const draft = drafter(action.id);
  const feetUnder = (ground: Cell['closedTo'], among = cells) =>
    among
      .filter(({ closedTo }) => closedTo === ground)
      .reduce((sum, cell) => sum + cell.to_ft - cell.from_ft, 0);
  const rehung = rehangs ? feetUnder('crawl-space') : 0;
  const pipe = [...feetByBore(cells)].map(([bore, length]) => {
    // Rehung pipe is not bought.
    const own = cells.filter(({ pipe: { diameter_in } }) => diameter_in === bore);
    const off = rehangs ? feetUnder('crawl-space', own) : 0;
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
    // Pipe that is only rehung is not cut.
    ...(rehangs && action.exposed ? [] : endCouplings(track, action, cells)),
    ...fittingDrafts(track, action, fittingsIn(track, action)),
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
