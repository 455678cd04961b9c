import type * as z from 'zod';
import type { Job } from '../job/schema.js';
import { acceptedEdit } from './accepted.js';
import { entryEdit } from './entry.js';
import { jobEdit } from './job.js';
import type { AnyEdit, EditKind, StoredRow } from './kind.js';
import { lineEdit } from './line.js';
import { pinsEdit } from './pins.js';
import { runEdit } from './run.js';
import { temperatureEdit } from './temperature.js';

export { jobHead, lineHead, runHead } from './heads.js';
export type { StoredRow } from './kind.js';

/**
 * Every kind of edit. To add one, write its file and list it here; schema, store, merge and history follow from it.
 */
export const editKinds = [
  jobEdit,
  acceptedEdit,
  temperatureEdit,
  lineEdit,
  pinsEdit,
  runEdit,
  entryEdit,
] as const;

/**
 * One change to a job. `set: null` removes; an item that does not exist yet is appended. The same edit is applied
 * optimistically in the browser and permanently in the store.
 */
export type Edit = z.infer<ReturnType<(typeof editKinds)[number]['schema']>>;

const byKind = new Map<string, EditKind>(editKinds.map((each) => [each.kind, each as unknown as EditKind]));
/** What the program does with an edit. */
export function kindOf({ kind }: AnyEdit): EditKind {
  const known = byKind.get(kind);
  if (!known) throw new Error(`no edit is of kind "${kind}"`);
  return known;
}

/** The job after an edit. An edit of a run or entry whose line or run is gone changes nothing. */
export const applyEdit = (job: Job, edit: Edit): Job => kindOf(edit).write(job, edit);

/** The inverse of an edit, computed on the job before it. */
export const inverseOf = <E extends Edit>(job: Job, edit: E): E => ({
  ...edit,
  set: kindOf(edit).read(job, edit),
});

/** Keys of what an edit changes: two edits that share a key may conflict. */
export const thingsOf = (edit: Edit): readonly [string, ...string[]] => kindOf(edit).things(edit);

/** The line or run it belongs to is gone. */
export const isOrphaned = (job: Job, edit: Edit): boolean => kindOf(edit).isHomeless?.(job, edit) ?? false;

/** Conflicting changes to its target are never merged field by field. */
export const isWhole = (edit: Edit): boolean => kindOf(edit).whole ?? false;

/** The value it sets, for merging; a missing list counts as empty. */
export const mergeable = (edit: Edit): object | null => edit.set ?? (kindOf(edit).isList ? [] : null);

/** The database row that stores the value. */
export const rowOf = (edit: Edit): StoredRow => kindOf(edit).row(edit);

/** Whether applying this inverse restores something that was deleted. */
export const isDeletion = (edit: Edit): boolean => edit.set === null && !kindOf(edit).isList;
