import { jobHead } from './heads.js';
import { editKind } from './kind.js';

/** The job itself: its title, site, rules, prices and offer. */
export const jobEdit = editKind({
  kind: 'job',
  schema: ({ z, jobHeadSchema }) => z.strictObject({ kind: z.literal('job'), set: jobHeadSchema }),
  read: jobHead,
  write: (job, { set }) => ({
    ...set,
    format: job.format,
    version: job.version,
    lines: job.lines,
    ...(job.accepted ? { accepted: job.accepted } : {}),
  }),
  things: () => ['job'],
  row: () => ({ of: 'job' }),
  say: ({ set }, before, _job, words) => `Job: ${words.changed(before.set, set)}`,
});
