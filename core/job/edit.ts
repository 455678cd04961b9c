import { z } from 'zod';
import {
  acceptanceSchema,
  entrySchema,
  idSchema,
  jobHeadSchema,
  lineHeadSchema,
  runHeadSchema,
  type Entry,
  type Job,
  type Line,
  type Run,
} from './schema.js';

/**
 * One thing a person said or took back. `set: null` removes; a thing that is not there yet is added at the end.
 * The same edits are applied in the browser at once and in the store for good.
 */
export const editSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('job'), set: jobHeadSchema }),
  /** An offer accepted, or that taken back. */
  z.strictObject({ kind: z.literal('accepted'), set: acceptanceSchema.nullable() }),
  z.strictObject({ kind: z.literal('line'), line: idSchema, set: lineHeadSchema.nullable() }),
  z.strictObject({ kind: z.literal('run'), line: idSchema, run: idSchema, set: runHeadSchema.nullable() }),
  z.strictObject({
    kind: z.literal('entry'),
    line: idSchema,
    run: idSchema,
    entry: idSchema,
    set: entrySchema.nullable(),
  }),
]);
export type Edit = z.infer<typeof editSchema>;

/** The job after an edit. An edit of a run or entry whose line or run is gone changes nothing. */
export function applyEdit(job: Job, edit: Edit): Job {
  switch (edit.kind) {
    case 'job':
      return {
        ...edit.set,
        format: job.format,
        version: job.version,
        lines: job.lines,
        ...(job.accepted ? { accepted: job.accepted } : {}),
      };
    case 'accepted': {
      const { accepted: _accepted, ...rest } = job;
      return edit.set ? { ...rest, accepted: edit.set } : rest;
    }
    case 'line':
      return {
        ...job,
        lines: put(job.lines, edit.line, edit.set, (head, old): Line => ({ ...head, runs: old?.runs ?? [] })),
      };
    case 'run':
      return within(job, edit.line, (line) => ({
        ...line,
        runs: put(line.runs, edit.run, edit.set, (head, old): Run => ({
          ...head,
          entries: old?.entries ?? [],
        })),
      }));
    case 'entry':
      return within(job, edit.line, (line) => ({
        ...line,
        runs: line.runs.map((run) =>
          run.id === edit.run
            ? { ...run, entries: put<Entry, Entry>(run.entries, edit.entry, edit.set, (entry) => entry) }
            : run,
        ),
      }));
  }
}

/** The edit that takes this one back, on the job as it was before. */
export function inverseOf(job: Job, edit: Edit): Edit {
  const line =
    edit.kind === 'job' || edit.kind === 'accepted'
      ? undefined
      : job.lines.find(({ id }) => id === edit.line);
  const run =
    edit.kind === 'run' || edit.kind === 'entry' ? line?.runs.find(({ id }) => id === edit.run) : undefined;
  switch (edit.kind) {
    case 'job':
      return { kind: 'job', set: jobHead(job) };
    case 'accepted':
      return { kind: 'accepted', set: job.accepted ?? null };
    case 'line':
      return { ...edit, set: line ? lineHead(line) : null };
    case 'run':
      return { ...edit, set: run ? runHead(run) : null };
    case 'entry':
      return { ...edit, set: run?.entries.find(({ id }) => id === edit.entry) ?? null };
  }
}

export function jobHead(job: Job): z.infer<typeof jobHeadSchema> {
  const { format: _format, version: _version, lines: _lines, accepted: _accepted, ...head } = job;
  return head;
}

export function lineHead(line: Line): z.infer<typeof lineHeadSchema> {
  const { runs: _runs, ...head } = line;
  return head;
}

export function runHead(run: Run): z.infer<typeof runHeadSchema> {
  const { entries: _entries, ...head } = run;
  return head;
}

function put<T extends { id: string }, H>(
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

function within(job: Job, lineId: string, change: (line: Line) => Line): Job {
  return { ...job, lines: job.lines.map((line) => (line.id === lineId ? change(line) : line)) };
}
