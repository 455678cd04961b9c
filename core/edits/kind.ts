import type * as z from 'zod';
import type * as jobSchemas from '../job/schema.js';
import type { Entry, Job, Line } from '../job/schema.js';
import type { Method } from '../job/vocabulary.js';

/** The database row that holds an edit's value: the job itself, a line, a run or an entry. */
export type StoredRow =
  | { readonly of: 'job' }
  | { readonly of: 'line'; readonly line: string }
  | { readonly of: 'run'; readonly line: string; readonly run: string }
  | { readonly of: 'entry'; readonly line: string; readonly run: string; readonly entry: string };

/** An edit of any kind: its target and the value to set; null removes it. */
export interface AnyEdit {
  readonly kind: string;
  readonly set: unknown;
}

/** What an edit's schema is made of: parts of the schema library and the schemas of the job file. */
export type SchemaParts = typeof jobSchemas & { readonly z: Pick<typeof z, 'literal' | 'strictObject'> };

/** The words that edits are described in. */
export interface EditWords {
  /** The name of a method. */
  method(method: Method): string;
  /** An entry of a line's log, in a sentence. */
  entry(entry: Entry, line: Line | undefined): string;
  /** The fields that differ, with old and new values where they fit in a sentence. */
  changed(before: object, after: object): string;
}

/** One kind of edit and everything the program does with it. The inverse is `read` from the job before the edit. */
export interface EditKind<Schema extends z.ZodType<AnyEdit> = z.ZodType<AnyEdit>> {
  readonly kind: z.infer<Schema>['kind'];
  /** It receives its parts, so that a page can apply edits without loading the schemas. */
  readonly schema: (of: SchemaParts) => Schema;
  /** The target's current value; null where it does not exist. */
  read(job: Job, edit: z.infer<Schema>): z.infer<Schema>['set'];
  /** The job after the edit. An edit of something whose line or run is gone changes nothing. */
  write(job: Job, edit: z.infer<Schema>): Job;
  /** Keys of what it changes, its target first: two edits that share a key may conflict. */
  things(edit: z.infer<Schema>): readonly [string, ...string[]];
  /** The line or run it belongs to is gone. */
  isHomeless?(job: Job, edit: z.infer<Schema>): boolean;
  /** Conflicting changes are never merged field by field: the user decides. */
  readonly whole?: true;
  /** The value is a list, empty when missing: two changes to it are merged item by item. */
  readonly isList?: true;
  row(edit: z.infer<Schema>): StoredRow;
  /**
   * Describes the edit in a sentence; `before` is the inverse edit, `job` names what it is about, as it is now or was
   * then. It receives the words, so that a page can apply edits without loading them.
   */
  say(edit: z.infer<Schema>, before: z.infer<Schema>, job: Job, words: EditWords): string;
}

export const editKind = <Schema extends z.ZodType<AnyEdit>>(kind: EditKind<Schema>): EditKind<Schema> => kind;

/** The list with the item of this id replaced, appended or removed. */
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

/** The job with one line changed. */
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
