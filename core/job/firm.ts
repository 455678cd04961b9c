import { z } from 'zod';
import { layOver } from './lay-over.js';
import { planRulesSchema } from './plan-schema.js';
import { pricesSchema } from './prices-schema.js';
import { rulesSchema } from './rules-schema.js';
import type { Job } from './schema.js';

/** What a logo is drawn in at most, twice as fine as it stands on paper, and how long its data URL may be. */
export const logoSize_px = { width: 600, height: 200 } as const;
export const mostLogo_chars = 250_000;

/** What a firm says once for all its jobs: who it is, its house rules, its price book, and what its offers exclude. */
export const firmSchema = z.strictObject({
  format: z.literal('open-trench-firm'),
  version: z.literal(1),
  name: z.string().max(200).optional(),
  /** The line under which it may do this work, as it stands on its offers. */
  licence: z.string().max(200).optional(),
  /** How its customers reach it, as it stands on its offers. */
  phone: z.string().max(60).optional(),
  email: z.string().max(200).optional(),
  /** A JPEG as a data URL (RFC 2397), so that it goes wherever the firm's file goes. */
  logo: z
    .string()
    .max(mostLogo_chars)
    .regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/]+=*$/, 'a JPEG as a base64 data URL')
    .optional(),
  rules: rulesSchema.optional(),
  prices: pricesSchema.optional(),
  /** How it works its days and how fast its crews are. */
  plan: planRulesSchema.optional(),
  /** What no price of this firm holds, a sentence each. */
  exclusions: z.array(z.string().min(1).max(500)).max(50).optional(),
  /** Terms that stand on every offer, unless a job has its own. */
  terms: z.string().max(4000).optional(),
  /** Prices hold for so many days. Default 30. */
  validity_days: z.number().int().min(1).max(3650).optional(),
});
export type Firm = z.infer<typeof firmSchema>;

export const emptyFirm: Firm = { format: 'open-trench-firm', version: 1 };

/**
 * A job with its firm's rules, prices and rates of work laid under its own, so that it is scoped, priced and planned alike wherever it is read.
 * What the job says itself stands; tables merge key by key; what neither says stays the default.
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
