import type { GradedFinding } from '../condition/graded-finding.js';
import { tolerance } from '../units.js';
import type { ActionMethod } from '../job/vocabulary.js';
import type { Candidates } from '../methods/candidates.js';
import { methodRow, workOf } from '../methods/index.js';
import { cures, curesByFall, type Work } from '../methods/method.js';
import { byte, int, num } from '../search/columns.js';
import { stationOf, type Track } from '../track/track.js';
import { candidateCures, type Possible } from './possible.js';

/** A finding, and the boundaries that an action must start at or above, and end at or below, to cover it. */
interface Sought {
  readonly index: number;
  readonly finding: GradedFinding;
  readonly from: number;
  readonly to: number;
}

/**
 * For each finding the cheapest single action that cures it alone, with mobilization, excavation and insertion, raw; 0
 * where none may.
 */
export function cheapestAlone(possible: Possible, findings: readonly GradedFinding[]): number[] {
  const sought = findings.map((finding, index) => soughtFor(possible.track, finding, index));
  const least = new Float64Array(findings.length).fill(Infinity);
  for (const candidates of possible.candidates) {
    const row = methodRow(candidates.method);
    const setUp = possible.track.prices.mobilisation[row.id as ActionMethod] ?? 0;
    const by: ByMethod = { candidates, work: workOf(row.id), setUp };
    const [falling, others] = [
      sought.filter(({ finding }) => curesByFall(row, finding)),
      sought.filter(({ finding }) => !curesByFall(row, finding) && cures(row, finding, false)),
    ];
    if (others.length > 0) leastCovering(possible, by, others, least);
    if (falling.length > 0) leastFalling(possible, by, falling, least);
  }
  return Array.from(least, (cost) => (Number.isFinite(cost) ? cost : 0));
}

function soughtFor(track: Track, finding: GradedFinding, index: number): Sought {
  const last = track.boundaries.length - 1;
  let from = last;
  while (from > 0 && stationOf(track, from) > finding.place.from_ft + tolerance.ft) from--;
  let to = from;
  while (to < last && stationOf(track, to) < finding.place.to_ft - tolerance.exact) to++;
  return { index, finding, from, to };
}

/** A method's actions on the line. */
interface ByMethod {
  readonly candidates: Candidates;
  readonly work: Work;
  /** Raw cost of setting up for the method. */
  readonly setUp: number;
}

/**
 * The least over every candidate that covers each finding. From upstream down, `least[to]` is the cheapest action that
 * starts at or above the boundary and ends at `to` or below: a finding is answered where it begins.
 */
function leastCovering(
  possible: Possible,
  { candidates: { start, to, cost, traits }, work, setUp }: ByMethod,
  may: readonly Sought[],
  found: Float64Array,
): void {
  const stops = start.length - 1;
  const aloneCost = work.aloneCost(possible);
  const least = new Float64Array(stops).fill(Infinity);
  const last = Math.max(-1, ...may.map(({ from }) => from));
  const first = Math.min(Infinity, ...may.map((each) => each.to));
  for (let from = 0; from <= last; from++) {
    let [nearest, farthest] = [stops, first];
    for (let row = int(start, from); row < int(start, from + 1); row++) {
      const end = int(to, row);
      const own = num(cost, row) + setUp;
      if (end < first || own >= num(least, end)) continue;
      const all = own + aloneCost(from, end, byte(traits, row));
      if (all >= num(least, end)) continue;
      least[end] = all;
      nearest = Math.min(nearest, end);
      farthest = Math.max(farthest, end);
    }
    for (let end = farthest - 1; end >= first; end--) {
      if (num(least, end + 1) < num(least, end)) least[end] = num(least, end + 1);
      // Nearer than anything new, what is no dearer stays so all the way.
      else if (end < nearest) break;
    }
    for (const { index, from: lastFrom, to: firstTo } of may) {
      if (lastFrom === from) found[index] = Math.min(num(found, index), num(least, firstTo));
    }
  }
}

/** The least over every candidate that covers each belly with enough fall, which depends on both its ends. */
function leastFalling(
  possible: Possible,
  { candidates, work, setUp }: ByMethod,
  may: readonly Sought[],
  found: Float64Array,
): void {
  const { track } = possible;
  const { start, to: ends, cost: costs, traits } = candidates;
  const aloneCost = work.aloneCost(possible);
  for (const { index, finding, from: lastFrom, to: firstTo } of may) {
    for (let from = lastFrom; from >= 0; from--) {
      const a = stationOf(track, from);
      // The shortest first: it is rarely dearer, and the longer ones are then skipped.
      let row = int(start, from + 1);
      while (row > int(start, from) && int(ends, row - 1) >= firstTo) row--;
      for (; row < int(start, from + 1); row++) {
        const end = int(ends, row);
        const own = num(costs, row) + setUp;
        if (own >= num(found, index) || !candidateCures(track, candidates, a, stationOf(track, end), finding))
          continue;
        const cost = own + aloneCost(from, end, byte(traits, row));
        found[index] = Math.min(num(found, index), cost);
      }
    }
  }
}
