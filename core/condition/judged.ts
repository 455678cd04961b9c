import type { Figure } from '../figure.js';
import { findingName, kindOf } from '../findings/kinds.js';
import { gradeWords, type Cure, type FindingRow, type Grade } from '../findings/row.js';
import type { FindingEntry } from '../job/schema.js';
import type { FindingKind } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import type { PlacedEntry } from '../line/model.js';
import type { ClockRange } from '../survey/clock.js';

/** A finding judged by the house rules, where it lies and what it asks for. */
export interface Judged {
  readonly id: string;
  readonly placed: PlacedEntry<FindingEntry>;
  readonly place: Interval;
  /** Seen looking downstream. */
  readonly clock: ClockRange | undefined;
  /** The grade that counts: the overruling one, else the table's. */
  readonly grade: Grade;
  readonly tableGrade: Grade;
  /** Somebody said its size or form, or overruled its grade. What has neither is watched and forces nothing. */
  readonly measured: boolean;
  readonly why: Figure;
  readonly cures: readonly Cure[];
  readonly structural: boolean;
  /** Graded and marked, but never stops or forces a method. */
  readonly possible: boolean;
  /** Cleaned since and seen again: no longer hides, stops or obliges, but its joint lets roots in. */
  readonly settled: boolean;
  /** Why a liner may not cover it; undefined where one may. */
  readonly stopsLiner: string | undefined;
  /** Fibre pipe past a tenth out of round: cured in every school. */
  readonly endOfLife: boolean;
  /** Fraction of the diameter out of round, percent, for the liner's thickness. */
  readonly ovality_percent: number | undefined;
}

/** Everything known of the kind of a finding. */
export const kindOfJudged = (finding: Judged): FindingRow<FindingKind> =>
  kindOf(finding.placed.entry.finding);

/** Roots and deposits: cleaned rather than repaired. */
export const isCleaned = (finding: Judged): boolean => kindOfJudged(finding).cleaned ?? false;

/** Nothing of ours puts it right, and nothing of ours goes near it before its owner was there. */
export const isForOthers = (finding: Judged): boolean => kindOfJudged(finding).byOthers !== undefined;

/** A sag: cured only by pipe laid to grade over all of it. */
export const isSag = (finding: Judged): boolean => kindOfJudged(finding).sags ?? false;

/** A finding that cleaning does not answer: new pipe or a liner cures it, or nothing of ours does. */
export const isCurable = ({ cures }: Judged): boolean =>
  cures.length === 0 || cures.some((cure) => cure !== 'clean');

/** A joint that roots come in by, and will again where it is left. */
export const isRootJoint = (finding: Judged): boolean =>
  (kindOfJudged(finding).regrows ?? false) && finding.grade >= 1 && !finding.possible;

/** "Fix: offset at 41.4 ft". */
export function sayJudged({ placed, grade, possible, settled }: Judged): string {
  const { from_ft, to_ft, entry } = placed;
  const at = to_ft - from_ft > 0.05 ? `${from_ft.toFixed(1)} to ${to_ft.toFixed(1)}` : from_ft.toFixed(1);
  const what = `${possible ? 'possible ' : ''}${findingName(entry.finding).toLowerCase()}`;
  return `${gradeWords[grade]}: ${what} at ${at} ft${settled ? ', cleaned since' : ''}`;
}
