import { condition } from '../condition/condition.js';
import { pricesInForce, type Prices } from '../job/prices.js';
import { rulesInForce, type Rules } from '../job/rules.js';
import type { Job } from '../job/schema.js';
import { lineModel } from '../line/model.js';
import { restrictionsOf } from './restrictions.js';
import type { ScopedLine } from './solution.js';

/** A job laid out and graded once, ready to be scoped under any repair approach or pins. */
export interface ReadiedJob {
  readonly job: Job;
  readonly rules: Rules;
  readonly prices: Prices;
  readonly lines: readonly ScopedLine[];
}

export function readyJob(job: Job): ReadiedJob {
  const rules = rulesInForce(job.rules);
  return {
    job,
    rules,
    prices: pricesInForce(job.prices),
    lines: job.lines.map((line) => {
      const model = lineModel(line, job.rules);
      return { model, condition: condition(model, rules), restrictions: restrictionsOf(line.pins, model) };
    }),
  };
}
