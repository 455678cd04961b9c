import { newPipeOutside, pulledPipe, materialRegistry } from '../catalog/materials.js';
import { kindOfGraded, type GradedFinding } from '../condition/graded-finding.js';
import { digFrom, digTo, pitHalf_ft, pitReach, type HoleCosts } from '../excavation/hole-costs.js';
import { withPermit } from '../excavation/hole-drafts.js';
import { rateForBore } from '../job/prices.js';
import { plain } from '../figure.js';
import { tolerance } from '../units.js';
import type { FittingKind } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import type { PlacedPoint } from '../line/model.js';
import { fittingCost, fittingFor, type Fitting } from '../pipe/fittings.js';
import { laidLength } from '../pipe/laid.js';
import { couplingRate } from '../pipe/rates.js';
import { drafter } from '../price/price-line.js';
import { int, num } from '../search/columns.js';
import { barredFor } from '../track/barred.js';
import { boreStepsOf, byBore, countCells, inside, over, overPoints } from '../track/sums.js';
import {
  oncePerCells,
  pointsInside,
  feetByBore,
  type Cell,
  type Refusal,
  type Track,
} from '../track/track.js';
import { endCouplings, firstRefusal, fittingDrafts, fittingsIn, ownersToRepair } from './dig.js';
import { feetOfBore } from '../track/feet-steps.js';
import { Arrives, Departs } from '../track/joins.js';
import { hasTrait, Trait } from './candidates.js';
import type { MethodRow, Work } from './method.js';
import { pitAlone } from './entry.js';

/** Limits of pipe bursting. Common practice. */
const leastBurst_ft = 10;
const mostBend_deg = 11.25;
const utilityRoom_ft = 2;
const overcut_in = 1;
const leastCover_ft = 2;
const coverPerEnlargement = 10;

/** Pipe bursting: new pipe pulled through the old one from a launch pit to an exit pit. */
export const burst: MethodRow = {
  id: 'burst',
  words: {
    name: 'Pipe bursting',
    setUp: 'burst pipe',
    asked: { name: 'Burst', key: 'b', does: 'pipe bursting' },
  },
  drawing: { fill: 'signal', ink: 'on-signal' },
  cures: ['replacement'],
  standsFor: 'replacement',
  work: {
    kind: 'burst',
    renews: true,
    offered: (length, where) => `${length} ft of new pipe pulled through the old one, ${where}`,
    offers: burstOffers,
    refusal: (track, stretch, cells) =>
      firstRefusal(cells, (cell) => burstCellRefusal(cell, track)) ??
      firstRefusal(pointsInside(track, stretch), burstPointRefusal) ??
      boreChange(cells),
    joins: (traits) => [
      [hasTrait(traits, Trait.pitsInside) ? Departs.BurstWithPits : Departs.Burst, Arrives.Burst],
    ],
    aloneCost: (site) => (from, to) =>
      pitAlone(site, site.track.boundaries[from] ?? 0, 'launch') +
      pitAlone(site, site.track.boundaries[to] ?? 0, 'burst'),
    pitsInside: (track, stretch) =>
      pitsBetween(
        track,
        stretch,
        endsAt(track, breakAt(track, stretch.from_ft), breakAt(track, stretch.to_ft)),
      ) ?? [],
    drafts: (track, action) => {
      const cells = track.cells.slice(action.fromBreak, action.toBreak);
      const drawn = [...feetByBore(cells)].map(([bore, length]) =>
        drafter(action.id)(
          `Burst and pull in ${bore} in pipe`,
          length,
          'ft',
          rateForBore(track.prices.burst_per_ft, bore) ?? 0,
          `burst_per_ft.${bore}`,
          feetOfBore(cells, bore),
        ),
      );
      return [
        ...drawn,
        ...endCouplings(track, action, cells),
        ...fittingDrafts(track, action, burstFittings(track, action)),
      ];
    },
    order: ({ cells }, { id, from_ft, to_ft, fromBreak, toBreak }, holes) => ({
      pipe: laidLength({
        from_ft,
        to_ft,
        material: pulledPipe,
        diameter_in: Math.max(...cells.slice(fromBreak, toBreak).map(({ pipe }) => pipe.diameter_in)),
        pits: holes.filter(
          (hole) => endsIn(hole, { from_ft, to_ft }) && hole.kind !== 'dig' && hole.serves.includes(id),
        ).length,
      }),
    }),
    newPipe: { material: () => pulledPipe, buys: () => true },
    fittings: burstFittings,
  },
};

const endsIn = (hole: Interval, { from_ft, to_ft }: Interval): boolean =>
  [from_ft, to_ft].some((x) => hole.from_ft <= x + tolerance.ft && x <= hole.to_ft + tolerance.ft);

/** Branches and cleanouts along a burst are reconnected, each in a pit; slight bends are followed. */
function burstFittings(track: Track, stretch: Interval): Fitting[] {
  return fittingsIn(track, stretch).filter(({ kind }) => isJoined(kind));
}
const isJoined = (kind: FittingKind | undefined): boolean => kind === 'wye' || kind === 'cleanout';

/** Stations of a burst next to its two ends. */
interface BurstEnds {
  /** What the excavation at each end uncovers at the least: adjoining new pipe's, which reaches less far than a pit. */
  readonly uncovered: readonly [number, number];
  /** Where a pit at each end reaches to. */
  readonly pits: readonly [number, number];
}

function endsAt(track: Track, from: number, to: number): BurstEnds {
  const pits = [pitReach(track, from).to_ft, pitReach(track, to).from_ft] as const;
  const last = track.breaks.length - 1;
  return {
    uncovered: [from === 0 ? pits[0] : digTo(track, from), to === last ? pits[1] : digFrom(track, to)],
    pits,
  };
}

/**
 * Pits between the ends of a burst, shared where reconnections are close enough. Undefined where one would lie between
 * the excavation at an end and clear ground: such a burst has to end elsewhere.
 */
function pitsBetween(
  track: Track,
  { from_ft, to_ft }: Interval,
  { uncovered, pits: ends }: BurstEnds,
): Interval[] | undefined {
  const apart_ft = pitHalf_ft + track.holesApart_ft;
  const found: { from_ft: number; to_ft: number }[] = [];
  for (const { point, at } of pointsInside(track, { from_ft, to_ft })) {
    const x = at.station_ft;
    if (!isJoined(fittingFor(point)) || x <= uncovered[0] || x >= uncovered[1]) continue;
    if (x - ends[0] < apart_ft || ends[1] - x < apart_ft) return undefined;
    found.push({ from_ft: x - pitHalf_ft, to_ft: x + pitHalf_ft });
  }
  return found
    .sort((a, b) => a.from_ft - b.from_ft)
    .reduce<{ from_ft: number; to_ft: number }[]>((pits, pit) => {
      const last = pits.at(-1);
      if (last && pit.from_ft - last.to_ft < track.holesApart_ft) last.to_ft = pit.to_ft;
      else pits.push({ ...pit });
      return pits;
    }, []);
}

const breakAt = ({ breaks }: Track, x: number): number =>
  Math.max(
    0,
    breaks.findIndex((each) => each >= x - tolerance.exact),
  );

/** What stops a burst and what it costs, summed along a line. */
const burstSums = oncePerCells((track) => {
  const { prices } = track;
  return {
    refused: countCells(track, (cell) => burstCellRefusal(cell, track) !== undefined),
    stops: overPoints(track, (placed) => (burstPointRefusal(placed) ? 1 : 0)),
    boreSteps: boreStepsOf(track),
    joined: overPoints(track, ({ point }) => (isJoined(fittingFor(point)) ? 1 : 0)),
    fittings: overPoints(track, ({ point }) => {
      const kind = fittingFor(point);
      return kind && isJoined(kind) ? fittingCost(prices, kind) : 0;
    }),
    drawn: byBore(track, prices.burst_per_ft),
    coupling: Float64Array.from(track.cells, (cell) => couplingRate(track, cell.pipe.diameter_in)),
  };
});

function burstOffers(track: Track, holes: HoleCosts): ReturnType<Work['offers']> {
  const { breaks } = track;
  const fine = Int32Array.from(track.boundaries);
  const { refused, stops, boreSteps, joined, fittings, drawn, coupling } = burstSums(track);
  const barred = barredFor(track, 'burst');
  const alone = pitCosts(track, holes);
  return (from, offer) => {
    const start = int(fine, from);
    for (let to = from + 1; to < fine.length; to++) {
      const end = int(fine, to);
      const stopped =
        over(refused, start, end) > 0 ||
        over(barred, start, end) > 0 ||
        inside(stops, start, end) > 0 ||
        over(boreSteps, start + 1, end) > 0;
      if (stopped) return;
      const [a, b] = [num(breaks, start), num(breaks, end)];
      if (b - a < leastBurst_ft - tolerance.exact) continue;
      const pits =
        inside(joined, start, end) > 0
          ? pitsBetween(track, { from_ft: a, to_ft: b }, endsAt(track, start, end))
          : [];
      if (!pits) continue;
      const own =
        over(drawn, start, end) +
        (num(coupling, start) + num(coupling, end - 1)) +
        inside(fittings, start, end);
      const cost = pits.reduce((sum, pit) => sum + alone(pit), own);
      if (cost === Infinity) continue;
      offer(to, cost, pits.length > 0 ? Trait.pitsInside : 0);
    }
  };
}

/** Cost of a pit between the ends of a burst, with its permit; cached. */
function pitCosts({ prices }: Track, holes: HoleCosts): (pit: Interval) => number {
  const known = new Map<string, number>();
  return (pit) => {
    const key = `${pit.from_ft} ${pit.to_ft}`;
    const alone = known.has(key) ? undefined : holes.aloneOver(pit, 'launch');
    const cost = known.get(key) ?? (alone ? withPermit(alone, prices) : Infinity);
    known.set(key, cost);
    return cost;
  };
}

function boreChange(cells: readonly Cell[]): Refusal | undefined {
  const at = cells.findIndex((cell, i) => i > 0 && cell.pipe.diameter_in !== cells[i - 1]?.pipe.diameter_in);
  const cell = cells[at];
  return cell
    ? {
        rule: 'one-bore',
        why: `the pipe changes its diameter at ${cell.from_ft.toFixed(1)} ft: one diameter a pull`,
        lift: 'a pit at the change, and two pulls',
      }
    : undefined;
}

/** Why a cell's pipe may not be burst. */
export function burstCellRefusal(cell: Cell, { model, rules }: Track): Refusal | undefined {
  const at = (cell.from_ft + cell.to_ft) / 2;
  const where = `${at.toFixed(1)} ft`;
  if (!cell.ours) return ownersToRepair(where);
  if (materialRegistry.row(cell.pipe.material).hazardousDust && !rules.burstAsbestosCement) {
    return {
      rule: 'asbestos-cement',
      why: `bursting asbestos cement at ${where} leaves hazardous fragments`,
      lift: 'a house rule, where the law allows it',
    };
  }
  const stop = cell.findings.find(leadsAstray);
  if (stop) {
    const { noun, byOthers } = kindOfGraded(stop);
    const at = `at ${stop.placed.from_ft.toFixed(1)} ft`;
    return {
      rule: 'burst-stopped',
      why: byOthers
        ? `${noun} ${at}: bursting would cut it`
        : `${stop.placed.entry.finding} ${at}: the new pipe would follow it`,
      lift: byOthers?.lift ?? 'a spot repair here',
    };
  }
  const [invert_ft] = cell.inverts_ft;
  const crown_ft = invert_ft - cell.pipe.diameter_in / 12;
  const needed_ft = coverNeeded(cell.pipe.diameter_in);
  if (crown_ft < needed_ft - tolerance.exact) {
    return {
      rule: 'cover',
      why: `${Math.max(0, crown_ft).toFixed(1)} ft over the crown at ${where}, ${needed_ft.toFixed(1)} needed`,
      lift: 'open cut',
    };
  }
  return utilityRefusal(model, at, crown_ft, invert_ft);
}

/** New pipe would follow the old one where it has sagged or collapsed. */
function leadsAstray(finding: GradedFinding): boolean {
  const { stopsBurstFrom } = kindOfGraded(finding);
  return !finding.possible && stopsBurstFrom !== undefined && finding.grade >= stopsBurstFrom;
}

/** Minimum cover over the crown to avoid surface heave, ft. */
function coverNeeded(bore_in: number): number {
  const enlargement_in = newPipeOutside(pulledPipe, bore_in) + overcut_in - bore_in;
  return Math.max(leastCover_ft, (coverPerEnlargement * enlargement_in) / 12);
}

function utilityRefusal(
  { crossings }: Track['model'],
  at: number,
  crown_ft: number,
  invert_ft: number,
): Refusal | undefined {
  const near = crossings.find(
    ({ station_ft, depth_ft }) =>
      Math.abs(station_ft - at) < utilityRoom_ft &&
      (depth_ft === undefined ||
        Math.min(Math.abs(depth_ft - crown_ft), Math.abs(depth_ft - invert_ft)) < utilityRoom_ft),
  );
  if (!near) return undefined;
  const depth = near.depth_ft === undefined ? 'depth unknown' : `${plain(near.depth_ft)} ft deep`;
  return {
    rule: 'utility-near',
    why: `${near.utility} crosses at ${near.station_ft.toFixed(1)} ft, ${depth}, within ${utilityRoom_ft} ft`,
    lift: 'expose the utility and see that it lies further off',
  };
}

function burstPointRefusal({ point, at }: PlacedPoint): Refusal | undefined {
  const where = `${at.station_ft.toFixed(1)} ft`;
  if (point.kind === 'valve' || point.kind === 'trap')
    return { rule: point.kind, why: `a ${point.kind} at ${where}`, lift: `take the ${point.kind} out` };
  if (point.kind === 'drop')
    return { rule: 'drop', why: `a drop at ${where}`, lift: 'end the pull at the drop' };
  if (point.kind !== 'bend') return undefined;
  if (point.degrees === undefined) {
    return {
      rule: 'bend-unknown',
      why: `nobody measured the bend at ${where}`,
      lift: `measure it: a pull follows ${mostBend_deg}° at most`,
    };
  }
  return point.degrees > mostBend_deg
    ? { rule: 'bend', why: `the bend at ${where} is over ${mostBend_deg}°`, lift: 'a pit at the bend' }
    : undefined;
}
