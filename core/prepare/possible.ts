import { holeCosts } from '../excavation/hole-costs.js';
import { cutBackCosts } from '../methods/clean.js';
import { fallsOver } from '../methods/dig.js';
import { insertedWithoutPit } from '../methods/entry.js';
import { methodRegistry, methodRow } from '../methods/index.js';
import { listCandidates, type Candidate, type Candidates } from '../methods/candidates.js';
import { cures, curesByFall, type Site } from '../methods/method.js';
import type { GradedFinding } from '../condition/graded-finding.js';
import { isEqual } from '../search/columns.js';
import type { Track } from '../track/track.js';

/** Everything that may be done on a track, before pins, with its cost. */
export interface Possible extends Site {
  /** The candidates of each method that changes the pipe, in order of methods. */
  readonly candidates: readonly Candidates[];
  /** Running raw cost of cutting back protrusions, up to each fine break. */
  readonly cutBack: Float64Array;
}

/**
 * Lists every action the rules allow on a track, with its cost. Excavation costs `beside` are reused where the ground
 * is the same.
 */
export function possibleOn(track: Track, earlier?: Possible): Possible {
  const holes = earlier && isSameGround(track, earlier.track) ? earlier.holes : holeCosts(track);
  return {
    track,
    holes,
    candidates: methodRegistry.rows.flatMap(({ id, work }) =>
      work ? [listCandidates(id, track.boundaries.length, work.offers(track, holes))] : [],
    ),
    cutBack: cutBackCosts(track),
    insertable: {
      upstream: insertedWithoutPit(track, 'upstream'),
      downstream: insertedWithoutPit(track, 'downstream'),
    },
  };
}

/** Whether excavations cost the same on both: cells are shared between tracks only where they are equal. */
const isSameGround = (one: Track, other: Track): boolean =>
  one.cells === other.cells &&
  isEqual(one.plusMinus.from, other.plusMinus.from) &&
  isEqual(one.plusMinus.to, other.plusMinus.to);

/**
 * Whether a candidate from a to b (ft) cures a finding that lies completely inside it; a belly only where laid to
 * grade.
 */
export function candidateCures(
  track: Track,
  { method }: Pick<Candidate, 'method'>,
  a: number,
  b: number,
  finding: GradedFinding,
): boolean {
  const row = methodRow(method);
  return cures(row, finding, curesByFall(row, finding) && fallsOver(track, a, b, [finding]));
}
