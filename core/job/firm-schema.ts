import * as z from 'zod';
import { planRulesSchema } from './plan-schema.js';
import { pricesSchema } from './prices-schema.js';
import { rulesSchema } from './rules-schema.js';

/** Limit for a logo’s data URL. */
export const mostLogo_chars = 250_000;

/** A company's settings for all its jobs: contact details, house rules, price book, and exclusions. */
export const firmSchema = z.strictObject({
  format: z.literal('open-trench-firm'),
  version: z.literal(1),
  name: z.string().max(200).optional(),
  /** The license it works under, as printed on its offers. */
  licence: z.string().max(200).optional(),
  /** Contact details, as printed on its offers. */
  phone: z.string().max(60).optional(),
  email: z.string().max(200).optional(),
  /** A JPEG as a data URL (RFC 2397), so that it travels with the company file. */
  logo: z
    .string()
    .max(mostLogo_chars)
    .regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/]+=*$/, 'a JPEG as a base64 data URL')
    .optional(),
  rules: rulesSchema.optional(),
  prices: pricesSchema.optional(),
  /** Its working days and production rates. */
  plan: planRulesSchema.optional(),
  /** What its prices never include, one sentence each. */
  exclusions: z.array(z.string().min(1).max(500)).max(50).optional(),
  /** Terms printed on every offer, unless a job has its own. */
  terms: z.string().max(4000).optional(),
  /** Days for which prices hold. Default 30. */
  validity_days: z.number().int().min(1).max(3650).optional(),
});
export type Firm = z.infer<typeof firmSchema>;
