import { holeCosts } from '../excavation/hole-costs.js';
import { cutBackCosts } from '../methods/clean.js';
import { fallsOver } from '../methods/dig.js';
import { insertedWithoutPit } from '../methods/entry.js';
import { methodRegistry, methodRow } from '../methods/index.js';
import { cures, curesByFall, type Candidate, type Site } from '../methods/method.js';
import type { Judged } from '../condition/judged.js';
import type { Track } from '../track/track.js';

/** All that may be done on a track, before pins, with what it costs. */
export interface Possible extends Site {
  /** Candidates by the boundary they start at. */
  readonly candidatesFrom: readonly (readonly Candidate[])[];
  /** Running raw cost of cutting back what sticks in, up to each fine break. */
  readonly cutBack: Float64Array;
}

/** Lists every action the rules allow on a track, with its cost. */
export function possibleOn(track: Track): Possible {
  const holes = holeCosts(track);
  const listing = methodRegistry.rows.flatMap(({ work }) => (work ? [work.candidates(track, holes)] : []));
  return {
    track,
    holes,
    candidatesFrom: track.boundaries.map((_, from) => listing.flatMap((candidates) => candidates(from))),
    cutBack: cutBackCosts(track),
    wayIn: {
      upstream: insertedWithoutPit(track, 'upstream'),
      downstream: insertedWithoutPit(track, 'downstream'),
    },
  };
}

/** Whether a candidate from a to b (ft) cures a finding that lies wholly inside it; a belly only where it is laid to grade. */
export function candidateCures(
  track: Track,
  { method }: Pick<Candidate, 'method'>,
  a: number,
  b: number,
  finding: Judged,
): boolean {
  const row = methodRow(method);
  return cures(row, finding, curesByFall(row, finding) && fallsOver(track, a, b, [finding]));
}
