import type { Firm } from '../../core/job/firm.js';
import { planRulesInForce } from '../../core/plan/rules.js';
import type { Job } from '../../core/job/schema.js';
import type { PlanOptions } from '../../core/plan/plan.js';
import type { ScopedView } from '../../core/views/job-view.js';
import { today } from '../controls/today';

/** Options for planning a job; without a first day, today. */
export function planOptions(job: Job, firm: Firm, scope: ScopedView['scope']): PlanOptions {
  return {
    scope,
    names: Object.fromEntries(job.lines.map(({ id, name }) => [id, name ?? id])),
    rules: planRulesInForce(firm.plan, job.plan?.rules),
    temperature_F: job.site?.temperature_F,
    startOn: job.plan?.startOn ?? today(),
    starts: job.plan?.starts,
  };
}
