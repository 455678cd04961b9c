import type { Job } from '../job/schema.js';
import { alternativesTo, scopeOfSolution, scopeSteps, type OwnScope, type Scope } from '../scope/scope.js';
import { toTheEnd } from '../scope/steps.js';
import { readyJob, type ReadiedJob } from '../solve/ready.js';
import { prepareLines, solutionOf, type Solution } from '../solve/solution.js';
import { lineView, type LineView } from '../views/line-view.js';

/** The solution of a job under a repair approach, its own unless another is given. */
export function solvedUnder(job: Job, school = job.rules?.school ?? 'repair'): Solution {
  const { lines, rules, prices } = readyJob(job);
  return solutionOf({ lines, rules: { ...rules, school }, prices, school });
}

/**
 * A scope under the job's own repair approach alone, for tests that need nothing else: without the other options, the
 * price range and, unless asked for, the alternatives, which are most of the work.
 */
export function ownScope(ready: ReadiedJob, alternatives = false): OwnScope {
  const { lines, rules, prices } = ready;
  const input = { lines, rules, prices, school: rules.school };
  const prepared = prepareLines(input);
  const solution = solutionOf(input, prepared);
  const own = scopeOfSolution(ready, solution);
  if (!alternatives) return own;
  return { ...own, lines: toTheEnd(alternativesTo(own.lines, { solution, input, prepared })) };
}

/** A scope with the other options and the price range, without runners-up and optional cures. */
export function scopeWithOptions(ready: ReadiedJob): Scope {
  for (const step of scopeSteps(ready)) if (step?.ifUnseenIs) return { ...step, ifUnseenIs: step.ifUnseenIs };
  throw new Error('a scope ends with its range');
}

/** The same with the missing parts empty, for code that takes a whole scope. */
export const bareScope = (ready: ReadiedJob): Scope => ({
  ...ownScope(ready),
  ways: [],
  ifUnseenIs: { sound: 0, failed: 0 },
});

/** The first line of a job as on the sheet, with its scope. */
export function ownView(job: Job): { readonly view: LineView; readonly scope: OwnScope } {
  const ready = readyJob(job);
  const [line] = ready.lines;
  if (!line) throw new Error('a job has a line');
  return { view: lineView(line, ready.rules, []), scope: ownScope(ready) };
}
