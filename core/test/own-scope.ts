import { scopeOfWay, type Scope } from '../scope/scope.js';
import type { ReadiedJob } from '../solve/ready.js';
import { prepareLines, wayOf } from '../solve/way.js';

/**
 * A scope under the job's own school alone, for tests that look at nothing else: without the other ways, what
 * the unseen may prove and, unless asked for, the alternatives, which are most of the work.
 */
export function ownScope(ready: ReadiedJob, alternatives = false): Omit<Scope, 'ways' | 'ifUnseenIs'> {
  const { lines, rules, prices } = ready;
  const input = { lines, rules, prices, school: rules.school };
  const prepared = prepareLines(input);
  const way = wayOf(input, prepared);
  return scopeOfWay(ready, way, prepared, { alternatives });
}

/** The same with the parts it leaves out empty, for what takes a whole scope. */
export const bareScope = (ready: ReadiedJob): Scope => ({
  ...ownScope(ready),
  ways: [],
  ifUnseenIs: { sound: 0, failed: 0 },
});
