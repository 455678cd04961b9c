import type { Job } from '../job/schema.js';
import { scopeSteps, type ScopeSoFar } from '../scope/scope.js';
import { toTheEnd } from '../scope/steps.js';
import { readyJob } from '../solve/ready.js';
import { lineView, type LineView } from './line-view.js';

/**
 * Everything the screens show of a job, as far as it is computed: plain data that can be sent to and from a worker.
 */
export interface JobView {
  readonly lines: readonly LineView[];
  /** Undefined until the scope of the job's own repair approach is found. */
  readonly scope: ScopeSoFar | undefined;
}

/** A view with its scope. */
export interface ScopedView extends JobView {
  readonly scope: ScopeSoFar;
}

/**
 * Computes a job's view in steps: the lines, then the scope, then the other options and the price range, then
 * runners-up and optional cures. Yields undefined between two searches, so that the caller can stop there.
 */
export function* viewSteps(job: Job): Generator<JobView | undefined, ScopedView> {
  const ready = readyJob(job);
  const joins = job.lines.flatMap((line) =>
    line.points.flatMap(({ onto }) => (onto ? [{ onto, line: line.id, name: line.name ?? line.id }] : [])),
  );
  const lines = ready.lines.map((line) => lineView(line, ready.rules, joins));
  yield { lines, scope: undefined };
  const steps = scopeSteps(ready);
  for (;;) {
    const next = steps.next();
    if (next.done) return { lines, scope: { ...next.value, complete: true } };
    yield next.value && { lines, scope: next.value };
  }
}

/** The complete view of a job in one call. */
export const jobView = (job: Job): ScopedView => toTheEnd(viewSteps(job));
