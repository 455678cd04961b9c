import { faultsOf, parseText, textFaults, type Fault } from '../job/faults.js';
import { jobSchema, type Job } from '../job/schema.js';
import { nameFaults } from './name-faults.js';
import { placeFaults, type Untied } from './place-faults.js';
import { ruleFaults } from './rule-faults.js';

export type Read =
  | { readonly job: Job; readonly faults?: undefined }
  | { readonly job?: undefined; readonly faults: readonly Fault[] };

/** Reads a job from the text of its file: the job, or every fault with its path. */
export function readJobText(text: string): Read {
  const parsed = parseText(text);
  return 'faults' in parsed ? parsed : readJob(parsed.value);
}

/** Reads a job from a parsed file. `untied: 'keep'` accepts runs not yet tied to the datum. */
export function readJob(value: unknown, untied: Untied = 'refuse'): Read {
  const parsed = jobSchema.safeParse(value);
  if (!parsed.success) return { faults: faultsOf(parsed.error, value) };
  const job = parsed.data;
  const named = [...textFaults(job), ...ruleFaults(job.rules), ...nameFaults(job)];
  if (named.length > 0) return { faults: named };
  const placed = job.lines.flatMap((line, index) => placeFaults(line, `lines[${index}]`, untied));
  const frozen = job.accepted ? (readJob(job.accepted.job, untied).faults ?? []) : [];
  const faults = [
    ...placed,
    ...frozen.map(({ path, message }) => ({ path: `accepted.job.${path}`, message })),
  ];
  return faults.length > 0 ? { faults } : { job };
}
