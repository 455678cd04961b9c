import type { Entry } from '../job/schema.js';
import { editKind, lineOf, put, runOf, within } from './kind.js';

/** One entry of the log. */
export const entryEdit = editKind({
  kind: 'entry',
  schema: ({ z, entrySchema, idSchema }) =>
    z.strictObject({
      kind: z.literal('entry'),
      line: idSchema,
      run: idSchema,
      entry: idSchema,
      set: entrySchema.nullable(),
    }),
  read: (job, { line, run, entry }) => runOf(job, line, run)?.entries.find(({ id }) => id === entry) ?? null,
  write: (job, { line, run, entry, set }) =>
    within(job, line, (each) => ({
      ...each,
      runs: each.runs.map((own) =>
        own.id === run ? { ...own, entries: put<Entry, Entry>(own.entries, entry, set, (now) => now) } : own,
      ),
    })),
  things: ({ line, entry }) => [`entry ${line} ${entry}`],
  isHomeless: (job, { line, run }) => runOf(job, line, run) === undefined,
  whole: true,
  row: ({ line, run, entry }) => ({ of: 'entry', line, run, entry }),
  say: ({ line, set }, { set: was }, job, words) => {
    const say = (entry: Entry) => words.entry(entry, lineOf(job, line));
    if (set === null) return was ? `Deleted: ${say(was)}` : 'Deleted an entry';
    if (was === null) return say(set);
    return say(was) === say(set) ? `${say(set)}: ${words.changed(was, set)}` : `${say(was)} → ${say(set)}`;
  },
});
