import { runName } from '../job/run-words.js';
import { runHead } from './heads.js';
import { editKind, lineOf, put, runOf, within } from './kind.js';

/** A run without its entries. */
export const runEdit = editKind({
  kind: 'run',
  schema: ({ z, idSchema, runHeadSchema }) =>
    z.strictObject({
      kind: z.literal('run'),
      line: idSchema,
      run: idSchema,
      set: runHeadSchema.nullable(),
    }),
  read: (job, { line, run }) => {
    const known = runOf(job, line, run);
    return known ? runHead(known) : null;
  },
  write: (job, { line, run, set }) =>
    within(job, line, (each) => ({
      ...each,
      runs: put(each.runs, run, set, (head, old) => ({ ...head, entries: old?.entries ?? [] })),
    })),
  things: ({ line, run }) => [`run ${line} ${run}`],
  isHomeless: (job, { line }) => lineOf(job, line) === undefined,
  row: ({ line, run }) => ({ of: 'run', line, run }),
  say: ({ run, set }, before, _job, words) => {
    const name = runName({ id: run, name: (set ?? before.set)?.name });
    if (set === null) return `Deleted ${name}`;
    return before.set === null ? `Added ${name}` : `${name}: ${words.changed(before.set, set)}`;
  },
});
