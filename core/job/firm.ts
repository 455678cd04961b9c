import type { Firm } from './firm-schema.js';
import { layOver } from '../lay-over.js';
import type { Job } from './schema.js';

export type { Firm } from './firm-schema.js';

/** Size limit for a logo, px: twice the printed size. */
export const logoSize_px = { width: 600, height: 200 } as const;

export const emptyFirm: Firm = { format: 'open-trench-firm', version: 1 };

/**
 * A job with its company's rules, prices and rates of work laid under its own, so that every reader scopes, prices and
 * plans it alike. The job's own values win; tables merge key by key; anything else keeps its default.
 */
export function underFirm(job: Job, firm: Firm): Job {
  return {
    ...job,
    ...(firm.rules || job.rules ? { rules: layOver(firm.rules, job.rules) as Job['rules'] } : {}),
    ...(firm.prices || job.prices ? { prices: layOver(firm.prices, job.prices) as Job['prices'] } : {}),
    ...(firm.plan || job.plan
      ? { plan: { ...job.plan, rules: layOver(firm.plan, job.plan?.rules) ?? {} } }
      : {}),
  };
}
