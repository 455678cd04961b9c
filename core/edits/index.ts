import { z } from 'zod';
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

/** An edit of a line, a run or an entry says twice which it is: in its address, and in what it sets. */
function isOfWhatItSets({ kind, set, ...address }: AnyEdit): boolean {
  const own = (address as Record<string, unknown>)[kind];
  const sets = typeof set === 'object' && set !== null && 'id' in set ? set.id : undefined;
  return own === undefined || sets === undefined || own === sets;
}

/** Every kind of edit. To add one, write its file and list it here: schema, store, merging and history follow. */
const editKinds = [jobEdit, acceptedEdit, temperatureEdit, lineEdit, pinsEdit, runEdit, entryEdit] as const;

type Schemas<Kinds> = {
  readonly [K in keyof Kinds]: Kinds[K] extends EditKind<infer Schema> ? Schema : never;
};

/**
 * One thing a person said or took back. `set: null` removes; a thing that is not there yet is added at the end.
 * The same edits are applied in the browser at once and in the store for good.
 */
export const editSchema = z
  .discriminatedUnion('kind', editKinds.map(({ schema }) => schema) as unknown as Schemas<typeof editKinds>)
  .refine(isOfWhatItSets, {
    path: ['set', 'id'],
    error: 'is not the id that the edit is of: they must be the same',
  });
export type Edit = z.infer<typeof editSchema>;

const byKind = new Map<string, EditKind>(editKinds.map((each) => [each.kind, each as unknown as EditKind]));
function kindOf({ kind }: AnyEdit): EditKind {
  const known = byKind.get(kind);
  if (!known) throw new Error(`no edit is of kind "${kind}"`);
  return known;
}

/** The job after an edit. An edit of a run or entry whose line or run is gone changes nothing. */
export const applyEdit = (job: Job, edit: Edit): Job => kindOf(edit).write(job, edit);

/** The edit that takes this one back, on the job as it was before. */
export const inverseOf = <E extends Edit>(job: Job, edit: E): E => ({
  ...edit,
  set: kindOf(edit).read(job, edit),
});

/** Names of the things that an edit changes: two edits that share one may pull apart. */
export const thingsOf = (edit: Edit): readonly [string, ...string[]] => kindOf(edit).things(edit);

/** The line or run that it belongs to is gone. */
export const isHomeless = (job: Job, edit: Edit): boolean => kindOf(edit).isHomeless?.(job, edit) ?? false;

/** Two changes to what it is of are never merged field by field. */
export const isWhole = (edit: Edit): boolean => kindOf(edit).whole ?? false;

/** What it sets, for merging: a list that is not there is an empty one. */
export const mergeable = (edit: Edit): object | null => edit.set ?? (kindOf(edit).isList ? [] : null);

/** The stored row that holds what it says. */
export const rowOf = (edit: Edit): StoredRow => kindOf(edit).row(edit);

/** What a change did, in a sentence: "Roots, 15 %… at 46 → Roots, 30 %… at 46". `before` is what takes it back. */
export const sayChange = (edit: Edit, before: Edit): string => kindOf(edit).say(edit, before);

/** What a change says where nobody knows what stood before it. */
export const sayAlone = (edit: Edit): string =>
  sayChange(edit, edit.kind === 'job' ? edit : { ...edit, set: null });

/** Whether bringing this back restores something that is gone. */
export const isDeletion = (edit: Edit): boolean => edit.set === null && !kindOf(edit).isList;
