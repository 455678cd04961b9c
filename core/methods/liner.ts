import { isCleaned, isCurable } from '../condition/graded-finding.js';
import { pitReach } from '../excavation/hole-costs.js';
import type { Rules } from '../job/rules.js';
import { sameStation_ft, tolerance } from '../units.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { madeThickness, type MadeThicknessIn } from '../liner/thickness.js';
import { oncePerIndex } from '../once-per.js';
import { int, num } from '../search/columns.js';
import { Arrives, Departs, type Join } from '../track/joins.js';
import {
  boreStepsOf,
  byBore,
  countCells,
  countSteps,
  inside,
  over,
  overFindings,
  overPoints,
} from '../track/sums.js';
import { oncePerCells, pointsInside, type Cell, type Refusal, type Track } from '../track/track.js';
import { firstRefusal, ownersToRepair } from './dig.js';
import { linerDrafts, linerOrderOf } from './liner-order.js';
import { hasTrait, Trait } from './candidates.js';
import type { Work } from './method.js';
import { closingCost, pitAlone } from './entry.js';
import { isReopened, linerPointRefusal, runsIn } from '../track/liner-passes.js';
import { mostTurns_deg, turnOf } from '../track/turns.js';

/** What differs between liners where they may run. */
interface LinerKind {
  /** Raw cost of setting one. */
  readonly setting: number;
  /** The longest, ft. */
  readonly most_ft?: number;
  /** Its traits besides pits, between two fine breaks; undefined where it may not run. */
  readonly traitsOf: (start: number, end: number) => number | undefined;
}

/** Common part of every liner. `setting` is what differs: its name and the cost of setting it. */
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
    turnsRefusal(track, stretch) ??
    boreChangeRefusal(track, stretch),
  aloneCost: ({ track, holes, insertable }) => {
    const launchAt = oncePerIndex((boundary) => {
      const index = track.boundaries[boundary] ?? 0;
      return pitAlone({ track, holes }, index, 'launch') + closingCost(track, index);
    });
    return (from, to, traits) => {
      if (hasTrait(traits, Trait.viaAccess) || insertable.downstream[from] || insertable.upstream[to])
        return 0;
      const byPit = (trait: number, boundary: number) =>
        hasTrait(traits, trait) ? launchAt(boundary) : Infinity;
      return Math.min(byPit(Trait.pitUpstream, from), byPit(Trait.pitDownstream, to));
    };
  },
  drafts: (track, action) => linerDrafts(track, action, setting),
  order: linerOrderOf,
});

/**
 * A liner can go in at either end; through a pit only where the pit would not be over something the liner has to cure.
 */
export const lineJoins = (traits: number): readonly Join[] => [
  [hasTrait(traits, Trait.pitUpstream) ? Departs.LinerInserted : Departs.LinerServed, Arrives.Liner],
  [Departs.LinerOwing, hasTrait(traits, Trait.pitDownstream) ? Arrives.LinerInserted : Arrives.LinerServed],
];
export const shortJoins = (traits: number): readonly Join[] =>
  hasTrait(traits, Trait.viaAccess)
    ? [[Departs.ShortFromAccess, Arrives.Short]]
    : [
        [hasTrait(traits, Trait.pitUpstream) ? Departs.ShortInserted : Departs.ShortServed, Arrives.Short],
        [
          Departs.ShortOwing,
          hasTrait(traits, Trait.pitDownstream) ? Arrives.ShortInserted : Arrives.ShortServed,
        ],
      ];

/** What stops a liner and what it costs, summed along a line. */
const linerSums = oncePerCells((track) => {
  const { prices, rules } = track;
  return {
    refused: countCells(track, (cell) => linerCellRefusal(cell) !== undefined),
    boreBreaks: countSteps(track, (before, cell) => boreRefusal(before, cell, rules) !== undefined),
    boreSteps: boreStepsOf(track),
    stops: overPoints(track, (placed) => (linerPointRefusal(placed) ? 1 : 0)),
    degrees: overPoints(track, ({ point }) => turnOf(point).counted_deg),
    reopened: overPoints(track, (placed) => (isReopened(placed) ? 1 : 0)),
    water: overFindings(track, (finding) => (runsIn(finding) ? prices.stopWater_each : 0)),
    perFoot: {
      0.118: byBore(track, prices.liner_per_ft['0.118']),
      0.177: byBore(track, prices.liner_per_ft['0.177']),
      0.236: byBore(track, prices.liner_per_ft['0.236']),
    },
    made: track.cells.map((cell): MadeThicknessIn => madeThickness(cell.thickness.needed_in) ?? 0.236),
  };
});

/** Offers every stretch that a liner may cover. */
export function linerOffers(
  track: Track,
  { setting, most_ft = Infinity, traitsOf }: LinerKind,
): ReturnType<Work['offers']> {
  const { prices, rules } = track;
  const fine = Int32Array.from(track.boundaries);
  const { refused, boreBreaks, boreSteps, stops, degrees, reopened, water, perFoot, made } = linerSums(track);
  const pitsAt = pitsClearOf(track);
  return (from, offer) => {
    const start = int(fine, from);
    let thickest: MadeThicknessIn = 0.118;
    for (let to = from + 1; to < fine.length; to++) {
      const end = int(fine, to);
      for (let cell = int(fine, to - 1); cell < end; cell++) thickest = thicker(thickest, made[cell]);
      const length_ft = num(track.breaks, end) - num(track.breaks, start);
      const stopped =
        over(refused, start, end) > 0 ||
        over(boreBreaks, start + 1, end) > 0 ||
        inside(stops, start, end) > 0 ||
        inside(degrees, start, end) > mostTurns_deg;
      if (stopped || length_ft > most_ft + tolerance.exact) return;
      if (length_ft < rules.leastLiner_ft - tolerance.exact) continue;
      const traits = traitsOf(start, end);
      if (traits === undefined) continue;
      const cost =
        over(perFoot[thickest], start, end) +
        inside(reopened, start, end) * prices.reinstatement_each +
        over(boreSteps, start + 1, end) * prices.transition_each +
        over(water, start, end);
      offer(to, cost + setting, traits | pitsAt(start, end));
    }
  };
}

/**
 * The ends of a liner between two fine breaks at which a launch pit would be clear of everything the liner has to cure,
 * as traits.
 */
function pitsClearOf(track: Track): (start: number, end: number) => number {
  const places = [
    ...track.obligations.cured.filter(({ whole }) => whole).map(({ place }) => place),
    ...track.condition.findings
      .filter((each) => each.grade >= 3 && !each.possible && isCurable(each) && !isCleaned(each))
      .map(({ place }) => place),
  ];
  const reaches = Array.from(track.breaks, (_, index) => {
    const reach = pitReach(track, index);
    return { reach, near: places.filter((place) => overlaps(place, reach)) };
  });
  const isClear = ({ reach, near }: (typeof reaches)[number], from_ft: number, to_ft: number) =>
    near.length === 0 ||
    near.every(
      (place) =>
        Math.min(place.to_ft, reach.to_ft, to_ft) - Math.max(place.from_ft, reach.from_ft, from_ft) <=
        sameStation_ft,
    );
  return (start, end) => {
    const [from_ft, to_ft] = [num(track.breaks, start), num(track.breaks, end)];
    const [from, to] = [reaches[start], reaches[end]];
    return (
      (!from || isClear(from, from_ft, to_ft) ? Trait.pitUpstream : 0) |
      (!to || isClear(to, from_ft, to_ft) ? Trait.pitDownstream : 0)
    );
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
  if (!ours) return ownersToRepair(`${at} ft`);
  if (!seen) return { rule: 'not-seen', why: `nobody has seen ${at} ft`, lift: 'clean it and re-inspect' };
  const stop = findings.find(({ stopsLiner }) => stopsLiner !== undefined);
  if (stop?.stopsLiner !== undefined) {
    return {
      rule: isCleaned(stop) ? 'not-clean' : 'stops-a-liner',
      why: `${stop.stopsLiner}, at ${stop.placed.from_ft.toFixed(1)} ft`,
      lift: isCleaned(stop) ? 'clean it and re-inspect' : 'make a spot repair here first',
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

/** More bends on the stretch than a liner can follow. */
function turnsRefusal(track: Track, stretch: Interval): Refusal | undefined {
  const turned = pointsInside(track, stretch).reduce((sum, { point }) => sum + turnOf(point).counted_deg, 0);
  return turned > mostTurns_deg
    ? {
        rule: 'bends',
        why: `${turned}° of bends between ${stretch.from_ft.toFixed(1)} and ${stretch.to_ft.toFixed(1)} ft, a liner turns ${mostTurns_deg}° at most`,
        lift: 'two liners, or measure the bends nobody measured',
      }
    : undefined;
}

/**
 * Whether a liner may span from one cell's bore into the next. A transition liner is made for the two bores and can be
 * inserted from either end, so the line read from its other end gets the same answer.
 */
function boreRefusal(before: Cell, after: Cell, rules: Rules): Refusal | undefined {
  if (before.pipe.diameter_in === after.pipe.diameter_in || rules.transitionLiner) return undefined;
  return {
    rule: 'one-bore',
    why: `the pipe changes from ${before.pipe.diameter_in} to ${after.pipe.diameter_in} in at ${after.from_ft.toFixed(1)} ft`,
    lift: 'end the liner there, or allow transition liners in the house rules',
  };
}

/** A change of bore on the stretch, or inside a place that extends into it and must be covered by one action. */
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
