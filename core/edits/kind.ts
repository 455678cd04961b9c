import type { z } from 'zod';
import type { Job } from '../job/schema.js';

/** The stored row that holds what an edit says: the job itself, a line, a run or an entry. */
export type StoredRow =
  | { readonly of: 'job' }
  | { readonly of: 'line'; readonly line: string }
  | { readonly of: 'run'; readonly line: string; readonly run: string }
  | { readonly of: 'entry'; readonly line: string; readonly run: string; readonly entry: string };

/** An edit of any kind: what it is of, and what that is set to; null removes it. */
export interface AnyEdit {
  readonly kind: string;
  readonly set: unknown;
}

/** Everything the program knows of one kind of edit. What takes an edit back is `read` from the job before it. */
export interface EditKind<Schema extends z.ZodType<AnyEdit> = z.ZodType<AnyEdit>> {
  readonly kind: z.infer<Schema>['kind'];
  readonly schema: Schema;
  /** What the edit is of, as it stands; null where it is not there. */
  read(job: Job, edit: z.infer<Schema>): z.infer<Schema>['set'];
  /** The job after the edit. An edit of something whose line or run is gone changes nothing. */
  write(job: Job, edit: z.infer<Schema>): Job;
  /** Names of the things that it changes: two edits that share one may pull apart. The first is what it is of. */
  things(edit: z.infer<Schema>): readonly [string, ...string[]];
  /** The line or run that it belongs to is gone. */
  isHomeless?(job: Job, edit: z.infer<Schema>): boolean;
  /** Two changes to it are never merged field by field: the reader decides. */
  readonly whole?: true;
  /** A list of things, which none is an empty one of: two changes to it are merged thing by thing. */
  readonly isList?: true;
  row(edit: z.infer<Schema>): StoredRow;
  /** What it did, in a sentence; `before` is what takes it back. */
  say(edit: z.infer<Schema>, before: z.infer<Schema>): string;
}

export const editKind = <Schema extends z.ZodType<AnyEdit>>(kind: EditKind<Schema>): EditKind<Schema> => kind;

/** A list with the thing of an id put in its place, added at the end, or taken out. */
export function put<T extends { id: string }, H>(
  all: readonly T[],
  id: string,
  set: H | null,
  make: (set: H, old: T | undefined) => T,
): T[] {
  const old = all.find((each) => each.id === id);
  if (set === null) return all.filter((each) => each !== old);
  const made = make(set, old);
  return old ? all.map((each) => (each === old ? made : each)) : [...all, made];
}

/** The job with one of its lines changed. */
export const within = (
  job: Job,
  line: string,
  change: (line: Job['lines'][number]) => Job['lines'][number],
): Job => ({
  ...job,
  lines: job.lines.map((each) => (each.id === line ? change(each) : each)),
});

export const lineOf = (job: Job, line: string) => job.lines.find(({ id }) => id === line);
export const runOf = (job: Job, line: string, run: string) =>
  lineOf(job, line)?.runs.find(({ id }) => id === run);
