import type { Judged } from '../condition/judged.js';
import { tolerance } from '../job/units.js';
import { methodRegistry } from '../methods/index.js';
import { cures, curesByFall, type MethodRow, type Work } from '../methods/method.js';
import { num } from '../search/columns.js';
import { stationOf, type Track } from '../track/track.js';
import { candidateCures, type Possible } from './possible.js';

/** The boundaries that an action must start at or above, and end at or below, to cover a finding. */
interface Asked {
  readonly index: number;
  readonly finding: Judged;
  readonly from: number;
  readonly to: number;
}

/**
 * For each finding the cheapest single action that cures it alone, with mobilization, excavation and insertion, raw; 0
 * where none may.
 */
export function cheapestAlone(possible: Possible, findings: readonly Judged[]): number[] {
  const asked = findings.map((finding, index) => askedOf(possible.track, finding, index));
  const least = new Float64Array(findings.length).fill(Infinity);
  for (const row of methodRegistry.rows) {
    const { work } = row;
    if (!work) continue;
    const may = asked.flatMap((each) => {
      const byFall = curesByFall(row, each.finding);
      return byFall || cures(row, each.finding, false) ? [{ ...each, byFall }] : [];
    });
    if (may.length > 0) leastOf(possible, { row, work, may }, least);
  }
  return Array.from(least, (cost) => (Number.isFinite(cost) ? cost : 0));
}

function askedOf(track: Track, finding: Judged, index: number): Asked {
  const last = track.boundaries.length - 1;
  let from = last;
  while (from > 0 && stationOf(track, from) > finding.place.from_ft + tolerance.ft) from--;
  let to = from;
  while (to < last && stationOf(track, to) < finding.place.to_ft - tolerance.exact) to++;
  return { index, finding, from, to };
}

interface ByMethod {
  readonly row: MethodRow;
  readonly work: Work;
  /** Findings that it may cure. */
  readonly may: readonly (Asked & { readonly byFall: boolean })[];
}

/**
 * Takes the minimum over a method's candidates, shortest first: longer ones are rarely cheaper and are then skipped.
 */
function leastOf(possible: Possible, { row, work, may }: ByMethod, least: Float64Array): void {
  const { track, candidatesFrom } = possible;
  const aloneCost = work.aloneCost(possible);
  const set = track.prices.mobilisation[row.id as keyof Track['prices']['mobilisation']] ?? 0;
  for (let from = candidatesFrom.length - 1; from >= 0; from--) {
    const below = may.filter((each) => from <= each.from);
    for (const candidate of below.length === 0 ? [] : (candidatesFrom[from] ?? [])) {
      if (candidate.method !== row.id) continue;
      const mayPay = below.some(
        ({ to, index }) => candidate.to >= to && candidate.cost + set < num(least, index),
      );
      if (!mayPay) continue;
      const cost = candidate.cost + set + aloneCost(candidate);
      const [a, b] = [stationOf(track, from), stationOf(track, candidate.to)];
      for (const { to, index, finding, byFall } of below) {
        if (candidate.to < to || cost >= num(least, index)) continue;
        // Whether new pipe has enough fall over a belly depends on both its ends.
        if (!byFall || candidateCures(track, candidate, a, b, finding)) least[index] = cost;
      }
    }
  }
}
