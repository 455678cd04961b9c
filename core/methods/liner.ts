import { isCleaned } from '../condition/judged.js';
import type { Rules } from '../job/rules-schema.js';
import { tolerance } from '../job/units.js';
import { overlaps, type Interval } from '../line/intervals.js';
import type { PlacedPoint } from '../line/model.js';
import { madeThickness, type MadeThicknessIn } from '../liner/thickness.js';
import { int, num } from '../search/columns.js';
import { byBore, countCells, countSteps, inside, over, overPoints } from '../track/sums.js';
import { pointsInside, type Cell, type Refusal, type Track } from '../track/track.js';
import { firstRefusal, notOurs } from './dig.js';
import { linerDrafts, linerOrderOf } from './liner-order.js';
import type { Candidate, Work } from './method.js';
import { closingCost, pitAlone } from './entry.js';

/** Limits of cured-in-place lining. Common practice. */
const mostBend_deg = 90;
const mostBends_deg = 180;

/** A stretch that a liner may cover, by its fine breaks, and its raw cost without setting it. */
export interface Covered {
  readonly from: number;
  readonly to: number;
  readonly start: number;
  readonly end: number;
  readonly cost: number;
}

/** What every liner has in common. `setting` is what sets one liner apart: what it is called and costs to set. */
export const linerWork = (setting: {
  readonly each: 'liner_each' | 'shortLiner_each';
  readonly name: string;
  readonly set: string;
}): Pick<Work, 'kind' | 'renews' | 'refusal' | 'aloneCost' | 'drafts' | 'order'> => ({
  kind: 'liner',
  renews: true,
  refusal: (track, stretch, cells) =>
    firstRefusal(cells, linerCellRefusal) ??
    firstRefusal(pointsInside(track, stretch), linerPointRefusal) ??
    boreChangeRefusal(track, stretch),
  aloneCost: ({ track, holes, wayIn }, { from, to, viaAccess }) => {
    if (viaAccess || wayIn.downstream[from] || wayIn.upstream[to]) return 0;
    const launch = (boundary: number) => {
      const index = track.boundaries[boundary] ?? 0;
      return pitAlone({ track, holes, wayIn }, index, 'launch') + closingCost(track, index);
    };
    return Math.min(launch(from), launch(to));
  },
  drafts: (track, action) => linerDrafts(track, action, setting),
  order: linerOrderOf,
});

/** Walks every stretch of at most so many feet that a liner may cover; `take` makes candidates of them. */
export function linerCandidates(
  track: Track,
  take: (covered: Covered) => Candidate | undefined,
  most_ft = Infinity,
): (from: number) => Candidate[] {
  const { prices, rules } = track;
  const fine = Int32Array.from(track.boundaries);
  const refused = countCells(track, (cell) => linerCellRefusal(cell) !== undefined);
  const boreBreaks = countSteps(track, (before, cell) => boreRefusal(before, cell, rules) !== undefined);
  const boreSteps = countSteps(track, (before, cell) => before.pipe.diameter_in !== cell.pipe.diameter_in);
  const stops = overPoints(track, (placed) => (linerPointRefusal(placed) ? 1 : 0));
  const degrees = overPoints(track, ({ point }) => (point.kind === 'bend' ? (point.degrees ?? 0) : 0));
  const tieIns = overPoints(track, ({ point }) => (point.kind === 'tie-in' ? 1 : 0));
  const perFoot = {
    0.118: byBore(track, prices.liner_per_ft['0.118']),
    0.177: byBore(track, prices.liner_per_ft['0.177']),
    0.236: byBore(track, prices.liner_per_ft['0.236']),
  };
  const made = track.cells.map((cell): MadeThicknessIn => madeThickness(cell.thickness.needed_in) ?? 0.236);
  return (from) => {
    const found: Candidate[] = [];
    const start = int(fine, from);
    let thickest: MadeThicknessIn = 0.118;
    for (let to = from + 1; to < fine.length; to++) {
      const end = int(fine, to);
      for (let cell = int(fine, to - 1); cell < end; cell++) thickest = thicker(thickest, made[cell]);
      const stopped =
        over(refused, start, end) > 0 ||
        over(boreBreaks, start + 1, end) > 0 ||
        inside(stops, start, end) > 0 ||
        inside(degrees, start, end) > mostBends_deg;
      if (stopped || num(track.breaks, end) - num(track.breaks, start) > most_ft + tolerance.exact)
        return found;
      const cost =
        over(perFoot[thickest], start, end) +
        inside(tieIns, start, end) * prices.reinstatement_each +
        over(boreSteps, start + 1, end) * prices.transition_each;
      const candidate = take({ from, to, start, end, cost });
      if (candidate) found.push(candidate);
    }
    return found;
  };
}

const thicker = (one: MadeThicknessIn, other: MadeThicknessIn | undefined): MadeThicknessIn =>
  other !== undefined && other > one ? other : one;

/** Why a liner may not cover a cell. */
export function linerCellRefusal({
  from_ft,
  to_ft,
  ours,
  seen,
  findings,
  thickness,
}: Cell): Refusal | undefined {
  const at = ((from_ft + to_ft) / 2).toFixed(1);
  if (!ours) return notOurs(`${at} ft`);
  if (!seen) return { rule: 'not-seen', why: `nobody has seen ${at} ft`, lift: 'clean and look again' };
  const stop = findings.find(({ stopsLiner }) => stopsLiner !== undefined);
  if (stop?.stopsLiner !== undefined) {
    return {
      rule: isCleaned(stop) ? 'not-clean' : 'stops-a-liner',
      why: `${stop.stopsLiner}, at ${stop.placed.from_ft.toFixed(1)} ft`,
      lift: isCleaned(stop) ? 'clean and look again' : 'dig this place first',
    };
  }
  if (madeThickness(thickness.needed_in) === undefined) {
    return {
      rule: 'too-thick',
      why: `${at} ft needs ${thickness.needed_in.toFixed(3)} in, over 6.0 mm (${thickness.governs})`,
      lift: 'new pipe here',
    };
  }
  return undefined;
}

/** Why a liner may not run past a point that lies inside it. */
function linerPointRefusal({ point, at }: PlacedPoint): Refusal | undefined {
  const where = `${at.station_ft.toFixed(1)} ft`;
  if (point.kind === 'valve') {
    return {
      rule: 'valve',
      why: `no liner passes the valve at ${where}`,
      lift: 'take the valve out, or end the liner there',
    };
  }
  if (point.kind === 'bend' && (point.degrees ?? 0) > mostBend_deg) {
    return {
      rule: 'bend',
      why: `the bend at ${where} is over ${mostBend_deg}°`,
      lift: 'end the liner there',
    };
  }
  return undefined;
}

/**
 * Whether a liner may cross from one cell's bore into the next. A transition liner is made for the two bores and turned
 * the way it is inserted, so that the line read from its other end is judged alike.
 */
function boreRefusal(before: Cell, after: Cell, rules: Rules): Refusal | undefined {
  if (before.pipe.diameter_in === after.pipe.diameter_in || rules.transitionLiner) return undefined;
  return {
    rule: 'one-bore',
    why: `the bore changes from ${before.pipe.diameter_in} to ${after.pipe.diameter_in} in at ${after.from_ft.toFixed(1)} ft`,
    lift: 'end the liner there, or allow transition liners in the house rules',
  };
}

/** A bore that changes on the stretch, or inside a place that reaches into it and that one action must cover. */
function boreChangeRefusal(track: Track, stretch: Interval): Refusal | undefined {
  const whole = track.obligations.cured.map(({ place }) => place).filter((place) => overlaps(place, stretch));
  const pairs = track.cells.slice(1).map((cell, i) => ({ before: track.cells[i] ?? cell, cell }));
  return firstRefusal(pairs, ({ before, cell }) => {
    const at = cell.from_ft;
    const spanned = [stretch, ...whole].some(
      ({ from_ft, to_ft }) => from_ft < at - tolerance.ft && at < to_ft - tolerance.ft,
    );
    return spanned ? boreRefusal(before, cell, track.rules) : undefined;
  });
}
