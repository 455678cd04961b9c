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
 * For each finding the cheapest single action that cures it by itself, its mobilisation, hole and insertion included,
 * raw; 0 where none may. The least over all candidates that start at or above a finding and end at or below it is kept
 * along the boundaries, a method at a time, so that every candidate is looked at once however many findings there are.
 */
export function cheapestAlone(possible: Possible, findings: readonly Judged[]): number[] {
  const asked = findings.map((finding, index) => askedOf(possible.track, finding, index));
  const least = new Float64Array(findings.length).fill(Infinity);
  for (const row of methodRegistry.rows) {
    const { work } = row;
    if (!work) continue;
    const byFall = asked.filter(({ finding }) => curesByFall(row, finding));
    const simple = asked.filter(({ finding }) => !curesByFall(row, finding) && cures(row, finding, false));
    if (simple.length + byFall.length > 0) leastOf(possible, { row, work, simple, byFall }, least);
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
  /** Findings it cures wherever it covers them, and those it cures only by its fall. */
  readonly simple: readonly Asked[];
  readonly byFall: readonly Asked[];
}

function leastOf(possible: Possible, { row, work, simple, byFall }: ByMethod, least: Float64Array): void {
  const { track, candidatesFrom } = possible;
  const last = candidatesFrom.length - 1;
  const aloneCost = work.aloneCost(possible);
  const set = track.prices.mobilisation[row.id as keyof Track['prices']['mobilisation']] ?? 0;
  const take = (index: number, cost: number) => {
    if (cost < num(least, index)) least[index] = cost;
  };
  /** Least cost of what starts so far up and ends at or below a boundary. */
  const below = new Float64Array(last + 2).fill(Infinity);
  for (let from = 0; from <= last; from++) {
    for (const candidate of candidatesFrom[from] ?? []) {
      if (candidate.method !== row.id) continue;
      const cost = candidate.cost + set + aloneCost(candidate);
      if (cost < num(below, candidate.to)) below[candidate.to] = cost;
      // Whether new pipe falls enough over a sag depends on both its ends.
      for (const each of byFall) {
        if (from > each.from || candidate.to < each.to || cost >= num(least, each.index)) continue;
        const [a, b] = [stationOf(track, from), stationOf(track, candidate.to)];
        if (candidateCures(track, candidate, a, b, each.finding)) take(each.index, cost);
      }
    }
    for (let to = last; to > from; to--) {
      if (num(below, to + 1) < num(below, to)) below[to] = num(below, to + 1);
    }
    for (const each of simple) if (each.from === from) take(each.index, num(below, each.to));
  }
}
