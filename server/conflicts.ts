import { inverseOf, type Edit } from '../core/job/edit.js';
import { mergeThree, sameJson } from '../core/job/merge.js';
import type { Job } from '../core/job/schema.js';

/** A change that somebody else made to the same thing in the meantime, and this one that does not fit it. */
export interface Conflict {
  readonly mine: Edit;
  /** The thing as it stands now. */
  readonly theirs: Edit;
  readonly device: string;
  readonly at: string;
  /** Where the two pull apart, when part of the thing could be merged. */
  readonly fields: readonly string[];
}

/** An edit made by another sender since the version that these edits were made on, oldest first. */
export interface Since {
  readonly edit: Edit;
  readonly inverse: Edit;
  readonly device: string;
  readonly at: Date;
}

/** Which thing an edit is of. */
export function thingOf(edit: Edit): string {
  switch (edit.kind) {
    case 'job':
      return 'job';
    case 'accepted':
      return 'accepted';
    case 'line':
      return `line ${edit.line}`;
    case 'run':
      return `run ${edit.line} ${edit.run}`;
    case 'entry':
      return `entry ${edit.line} ${edit.entry}`;
  }
}

/** The edit as it may be made now: itself, merged with what others did, or the conflict between the two. */
export function settle(
  job: Job,
  edit: Edit,
  since: readonly Since[],
): { edit: Edit } | { conflict: Conflict } {
  const theirs = inverseOf(job, edit);
  const others = since.filter((each) => thingOf(each.edit) === thingOf(edit));
  const [first] = others;
  const conflict = (by: Since | undefined, fields: readonly string[] = []) => ({
    conflict: {
      mine: edit,
      theirs,
      device: by?.device ?? 'unknown',
      at: (by?.at ?? new Date()).toISOString(),
      fields,
    },
  });
  if (edit.set !== null && isHomeless(job, edit)) {
    return conflict(since.findLast((each) => each.edit.set === null));
  }
  if (!first || sameJson(theirs.set, edit.set) || sameJson(theirs.set, first.inverse.set)) return { edit };
  const base = first.inverse.set;
  if (
    edit.kind === 'entry' ||
    edit.kind === 'accepted' ||
    base === null ||
    theirs.set === null ||
    edit.set === null
  ) {
    return conflict(others.at(-1));
  }
  const merged = mergeThree<object>(base, theirs.set, edit.set);
  return 'merged' in merged
    ? { edit: { ...edit, set: merged.merged } as Edit }
    : conflict(others.at(-1), merged.clash);
}

/** The line or run that this belongs to is gone. */
function isHomeless(job: Job, edit: Edit): boolean {
  if (edit.kind !== 'run' && edit.kind !== 'entry') return false;
  const line = job.lines.find(({ id }) => id === edit.line);
  return !line || (edit.kind === 'entry' && !line.runs.some(({ id }) => id === edit.run));
}
