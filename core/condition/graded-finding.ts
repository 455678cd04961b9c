import type { Figure } from '../figure.js';
import { findingName, kindOf } from '../findings/kinds.js';
import { gradeWords, type Cure, type FindingRow, type Grade } from '../findings/row.js';
import type { FindingEntry } from '../job/schema.js';
import type { FindingKind } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import type { PlacedEntry } from '../line/model.js';
import type { ClockRange } from '../survey/clock.js';

/** A finding graded by the house rules, with its location and what it requires. */
export interface GradedFinding {
  readonly id: string;
  readonly placed: PlacedEntry<FindingEntry>;
  readonly place: Interval;
  /** Clock position looking downstream. */
  readonly clock: ClockRange | undefined;
  /** The effective grade: the override if there is one, else the table's. */
  readonly grade: Grade;
  readonly tableGrade: Grade;
  /** Its size or form was stated, or its grade overridden. Otherwise it is watched and forces nothing. */
  readonly measured: boolean;
  readonly why: Figure;
  readonly cures: readonly Cure[];
  readonly structural: boolean;
  /** Graded and drawn, but never stops or forces a method. */
  readonly possible: boolean;
  /**
   * Cleaned and re-inspected since: it no longer hides, blocks or requires anything, but its joint still lets roots in.
   */
  readonly settled: boolean;
  /** Why a liner may not cover it; undefined where it may. */
  readonly stopsLiner: string | undefined;
  /** Fiber pipe past 10 % out of round: cured under every repair approach. */
  readonly endOfLife: boolean;
  /** Out of round, percent of the diameter, for the liner's thickness. */
  readonly ovality_percent: number | undefined;
}

/** The row for this kind of finding. */
export const kindOfGraded = (finding: GradedFinding): FindingRow<FindingKind> =>
  kindOf(finding.placed.entry.finding);

/** Roots and deposits: cleaned rather than repaired. */
export const isCleaned = (finding: GradedFinding): boolean => kindOfGraded(finding).cleaned ?? false;

/** We cannot fix it, and none of our equipment goes near it until its owner has been there. */
export const isLeftToItsOwner = (finding: GradedFinding): boolean =>
  kindOfGraded(finding).byOthers !== undefined;

/** A belly: cured only by pipe laid to grade over all of it. */
export const isSag = (finding: GradedFinding): boolean => kindOfGraded(finding).sags ?? false;

/** A defect that cleaning does not fix: new pipe or a liner cures it, or it is left to others. */
export const isCurable = ({ cures }: GradedFinding): boolean =>
  cures.length === 0 || cures.some((cure) => cure !== 'clean');

/** A joint that roots enter, and will enter again if it is left. */
export const isRootJoint = (finding: GradedFinding): boolean =>
  (kindOfGraded(finding).regrows ?? false) && finding.grade >= 1 && !finding.possible;

/** "Fix: offset at 41.4 ft". */
export const sayJudged = (finding: GradedFinding): string =>
  `${gradeWords[finding.grade]}: ${sayWhere(finding)}`;

/** "offset at 41.4 ft". */
export function sayWhere({ placed, possible, settled }: GradedFinding): string {
  const { from_ft, to_ft, entry } = placed;
  const at = to_ft - from_ft > 0.05 ? `${from_ft.toFixed(1)} to ${to_ft.toFixed(1)}` : from_ft.toFixed(1);
  const what = `${possible ? 'possible ' : ''}${findingName(entry.finding).toLowerCase()}`;
  return `${what} at ${at} ft${settled ? ', cleaned since' : ''}`;
}
