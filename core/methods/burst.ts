import { newPipeOutside, pulledPipe, materialRegistry } from '../catalog/materials.js';
import { kindOfJudged, type Judged } from '../condition/judged.js';
import { rateForBore } from '../job/prices-schema.js';
import { tolerance } from '../job/units.js';
import type { PlacedPoint } from '../line/model.js';
import { laidLength } from '../pipe/laid.js';
import { couplingRate } from '../pipe/rates.js';
import { drafter } from '../price/price-line.js';
import { int, num } from '../search/columns.js';
import { barredFor } from '../track/barred.js';
import { byBore, countCells, inside, over, overPoints } from '../track/sums.js';
import { pointsInside, feetByBore, type Cell, type Refusal, type Track } from '../track/track.js';
import { endCouplings, firstRefusal, notOurs } from './dig.js';
import { feetOfBore } from '../track/feet-steps.js';
import { Arrives, Departs } from '../track/joins.js';
import type { Candidate, MethodRow } from './method.js';
import { pitAlone } from './entry.js';

/** Limits of pipe bursting. Common practice. */
const leastBurst_ft = 10;
const mostBend_deg = 11.25;
const utilityRoom_ft = 2;
const overcut_in = 1;
const leastCover_ft = 2;
const coverPerEnlargement = 10;

/** Pipe bursting: new pipe drawn through the old one from a launch pit to an exit pit. */
export const burst: MethodRow = {
  id: 'burst',
  words: { name: 'Burst', setUp: 'burst', asked: { name: 'Burst', key: 'b', does: 'burst it' } },
  drawing: { fill: 'signal', ink: 'on-signal' },
  cures: ['replacement'],
  standsFor: 'replacement',
  work: {
    kind: 'burst',
    renews: true,
    offered: (length, where) => `${length} ft of new pipe pulled through the old one, ${where}`,
    candidates: burstCandidates,
    refusal: (track, stretch, cells) =>
      firstRefusal(cells, (cell) => burstCellRefusal(cell, track)) ??
      firstRefusal(pointsInside(track, stretch), burstPointRefusal),
    joins: () => [[Departs.Burst, Arrives.Burst]],
    aloneCost: (site, { from, to }) =>
      pitAlone(site, site.track.boundaries[from] ?? 0, 'launch') +
      pitAlone(site, site.track.boundaries[to] ?? 0, 'burst'),
    drafts: (track, action) => {
      const cells = track.cells.slice(action.fromBreak, action.toBreak);
      const drawn = [...feetByBore(cells)].map(([bore, length]) =>
        drafter(action.id)(
          `Burst and draw in ${bore} in pipe`,
          length,
          'ft',
          rateForBore(track.prices.burst_per_ft, bore) ?? 0,
          `burst_per_ft.${bore}`,
          feetOfBore(cells, bore),
        ),
      );
      return [...drawn, ...endCouplings(track, action, cells)];
    },
    order: ({ cells }, { id, from_ft, to_ft, fromBreak, toBreak }, holes) => ({
      pipe: laidLength({
        from_ft,
        to_ft,
        material: pulledPipe,
        diameter_in: Math.max(...cells.slice(fromBreak, toBreak).map(({ pipe }) => pipe.diameter_in)),
        pits: holes.filter(({ kind, serves }) => kind !== 'dig' && serves.includes(id)).length,
      }),
    }),
    newPipe: { material: () => pulledPipe, buys: () => true },
  },
};

function burstCandidates(track: Track): (from: number) => Candidate[] {
  const { breaks } = track;
  const fine = Int32Array.from(track.boundaries);
  const refused = countCells(track, (cell) => burstCellRefusal(cell, track) !== undefined);
  const barred = barredFor(track, 'burst');
  const stops = overPoints(track, (placed) => (burstPointRefusal(placed) ? 1 : 0));
  const drawn = byBore(track, track.prices.burst_per_ft);
  const coupling = Float64Array.from(track.cells, (cell) => couplingRate(track, cell.pipe.diameter_in));
  return (from) => {
    const found: Candidate[] = [];
    const start = int(fine, from);
    for (let to = from + 1; to < fine.length; to++) {
      const end = int(fine, to);
      const stopped =
        over(refused, start, end) > 0 || over(barred, start, end) > 0 || inside(stops, start, end) > 0;
      if (stopped) return found;
      if (num(breaks, end) - num(breaks, start) < leastBurst_ft - tolerance.exact) continue;
      const cost = over(drawn, start, end) + (num(coupling, start) + num(coupling, end - 1));
      found.push({ from, to, method: 'burst', cost, exposed: false, viaAccess: false });
    }
    return found;
  };
}

/** Why a cell's pipe may not be burst. */
export function burstCellRefusal(cell: Cell, { model, rules }: Track): Refusal | undefined {
  const at = (cell.from_ft + cell.to_ft) / 2;
  const where = `${at.toFixed(1)} ft`;
  if (!cell.ours) return notOurs(where);
  if (materialRegistry.row(cell.pipe.material).hazardousDust && !rules.burstAsbestosCement) {
    return {
      rule: 'asbestos-cement',
      why: `bursting asbestos cement at ${where} leaves hazardous fragments`,
      lift: 'a house rule, where the law allows it',
    };
  }
  const stop = cell.findings.find(leadsAstray);
  if (stop) {
    return {
      rule: 'burst-stopped',
      why: `${stop.placed.entry.finding} at ${stop.placed.from_ft.toFixed(1)} ft: the new pipe would follow it`,
      lift: 'dig this place',
    };
  }
  const invert_ft = model.profile.depth(at);
  const crown_ft = invert_ft - cell.pipe.diameter_in / 12;
  const needed_ft = coverNeeded(cell.pipe.diameter_in);
  if (crown_ft < needed_ft - tolerance.exact) {
    return {
      rule: 'cover',
      why: `${crown_ft.toFixed(1)} ft over the crown at ${where}, ${needed_ft.toFixed(1)} needed`,
      lift: 'open cut',
    };
  }
  return utilityRefusal(model, at, crown_ft, invert_ft);
}

/** New pipe would follow the old one where it has sunk or fallen in. */
function leadsAstray(finding: Judged): boolean {
  const { stopsBurstFrom } = kindOfJudged(finding);
  return !finding.possible && stopsBurstFrom !== undefined && finding.grade >= stopsBurstFrom;
}

/** Cover over the crown so that the ground above does not heave, ft. */
function coverNeeded(bore_in: number): number {
  const enlargement_in = newPipeOutside(pulledPipe, bore_in) + overcut_in - bore_in;
  return Math.max(leastCover_ft, (coverPerEnlargement * enlargement_in) / 12);
}

function utilityRefusal(
  { line }: Track['model'],
  at: number,
  crown_ft: number,
  invert_ft: number,
): Refusal | undefined {
  const near = (line.crossings ?? []).find(
    ({ station_ft, depth_ft }) =>
      Math.abs(station_ft - at) < utilityRoom_ft &&
      (depth_ft === undefined ||
        Math.min(Math.abs(depth_ft - crown_ft), Math.abs(depth_ft - invert_ft)) < utilityRoom_ft),
  );
  if (!near) return undefined;
  const depth = near.depth_ft === undefined ? 'depth unknown' : `${near.depth_ft} ft deep`;
  return {
    rule: 'utility-near',
    why: `${near.utility} crosses at ${near.station_ft.toFixed(1)} ft, ${depth}, within ${utilityRoom_ft} ft`,
    lift: 'expose the utility and see that it lies further off',
  };
}

function burstPointRefusal({ point, at }: PlacedPoint): Refusal | undefined {
  if (point.kind === 'valve') {
    return { rule: 'valve', why: `a valve at ${at.station_ft.toFixed(1)} ft`, lift: 'take the valve out' };
  }
  return point.kind === 'bend' && (point.degrees ?? 0) > mostBend_deg
    ? {
        rule: 'bend',
        why: `the bend at ${at.station_ft.toFixed(1)} ft is over ${mostBend_deg}°`,
        lift: 'a pit at the bend',
      }
    : undefined;
}
