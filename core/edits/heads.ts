import type { Job, JobHead, Line, LineHead, Run, RunHead } from '../job/schema.js';

/** A job without its lines and accepted offer. */
export function jobHead(job: Job): JobHead {
  const { format: _format, version: _version, lines: _lines, accepted: _accepted, ...head } = job;
  return head;
}

/** A line without its runs. */
export function lineHead(line: Line): LineHead {
  const { runs: _runs, ...head } = line;
  return head;
}

/** A run without its entries. */
export function runHead(run: Run): RunHead {
  const { entries: _entries, ...head } = run;
  return head;
}
