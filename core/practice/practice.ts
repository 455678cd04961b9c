import type { Job } from '../job/schema.js';
import { scopeOfSolution } from '../scope/scope.js';
import { readyJob } from '../solve/ready.js';
import { prepareLines, solutionOf } from '../solve/solution.js';
import { lineView, type LineView } from '../views/line-view.js';
import { compareLogs, type Comparison } from './compare.js';
import { costOfErrors, type CostOfErrors } from './cost.js';
import { hiddenOf, type SimulatedPipe } from './pipe.js';
import { truthJob } from './truth-job.js';

/** Result of a practice. */
export interface PracticeResult {
  readonly comparison: Comparison;
  readonly cost: CostOfErrors;
}

/** The line of a practice job laid out without a scope, for the log being written. */
export function practiceView(job: Job): LineView {
  const { lines, rules } = readyJob(job);
  const [line] = lines;
  if (!line) throw new Error('a practice has a line');
  return lineView(line, rules, []);
}

/** Compares a finished log with the true pipe: first the log itself, then what its errors would cost. */
export function practiceResult(pipe: SimulatedPipe, log: Job): PracticeResult {
  const [truth, own] = [sideOf(truthJob(pipe)), sideOf(log)];
  return {
    comparison: compareLogs(truth.view, own.view, hiddenOf(pipe)),
    cost: costOfErrors(truth, own),
  };
}

function sideOf(job: Job) {
  const ready = readyJob(job);
  const input = { lines: ready.lines, rules: ready.rules, prices: ready.prices, school: ready.rules.school };
  return { view: practiceView(job), scope: scopeOfSolution(ready, solutionOf(input, prepareLines(input))) };
}
