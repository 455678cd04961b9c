import type { Job } from '../job/schema.js';
import { scopeOf, type Scope, type ScopeDepth } from '../scope/scope.js';
import { readyJob } from '../solve/ready.js';
import { lineView, type LineView } from './line-view.js';

/** Everything the screens show of a job, as plain data that can cross to and from a worker. */
export interface JobView {
  readonly scope: Scope;
  readonly lines: readonly LineView[];
}

/** Lays a job out for the screens. `alternatives` also solves for runners-up, which takes longer. */
export function jobView(job: Job, depth: ScopeDepth): JobView {
  const ready = readyJob(job);
  const joins = job.lines.flatMap((line) =>
    line.points.flatMap(({ onto }) => (onto ? [{ onto, line: line.id, name: line.name ?? line.id }] : [])),
  );
  return {
    scope: scopeOf(ready, depth),
    lines: ready.lines.map((line) => lineView(line, ready.rules, joins)),
  };
}
