import {
  applyEdit,
  inverseOf,
  isOrphaned,
  isWhole,
  mergeable,
  thingsOf,
  type Edit,
} from '../../core/edits/index.js';
import { mergeThree, sameJson } from '../../core/edits/merge.js';
import type { Job } from '../../core/job/schema.js';

/** A change somebody else made to the same thing in the meantime, conflicting with this one. */
export interface Conflict {
  readonly mine: Edit;
  /** The thing as it is now. */
  readonly theirs: Edit;
  readonly device: string;
  /** The name of who made it, where people sign in. */
  readonly person?: string | undefined;
  readonly at: string;
  /** The conflicting fields, when part of the thing could be merged. */
  readonly fields: readonly string[];
}

/** An edit by another sender since the version these edits were based on, oldest first. */
export interface ConcurrentEdit {
  readonly edit: Edit;
  readonly inverse: Edit;
  readonly device: string;
  readonly person: string | null;
  readonly at: Date;
}

/** The edit to apply now: itself, merged with others' edits, or the conflict between the two. */
export function settle(
  job: Job,
  edit: Edit,
  since: readonly ConcurrentEdit[],
): { edit: Edit } | { conflict: Conflict } {
  const theirs = inverseOf(job, edit);
  const changed = new Set(thingsOf(edit));
  const others = since.filter((each) => thingsOf(each.edit).some((thing) => changed.has(thing)));
  const conflict = (by: ConcurrentEdit | undefined, fields: readonly string[] = []) => ({
    conflict: {
      mine: edit,
      theirs,
      device: by?.device ?? 'unknown',
      person: by?.person ?? undefined,
      at: (by?.at ?? new Date()).toISOString(),
      fields,
    },
  });
  if (edit.set !== null && isOrphaned(job, edit)) {
    return conflict(since.findLast((each) => each.edit.set === null));
  }
  if (others.length === 0) return { edit };
  const before = inverseOf(takenBack(job, others), edit);
  if (sameJson(theirs.set, edit.set) || sameJson(theirs.set, before.set)) return { edit };
  const [base, now, mine] = [before, theirs, edit].map(mergeable);
  if (isWhole(edit) || !base || !now || !mine) return conflict(others.at(-1));
  const merged = mergeThree<object>(base, now, mine);
  return 'merged' in merged
    ? { edit: { ...edit, set: merged.merged } as Edit }
    : conflict(others.at(-1), merged.clash);
}

/** The job before these edits, reverted newest first. */
const takenBack = (job: Job, edits: readonly ConcurrentEdit[]): Job =>
  edits.reduceRight((was, { inverse }) => applyEdit(was, inverse), job);
