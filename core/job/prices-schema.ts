import * as z from 'zod';
import { fittingKinds, materials, methods, surfaceKinds } from './vocabulary.js';

/**
 * The price book: every rate is optional in a job and falls back to `defaultPrices`. Rates are money per the unit in
 * the name.
 */
const rate = z.number().min(0).max(1_000_000);
/** Rates by nominal bore in inches; a bore that is not listed takes the next larger one. */
const byBore = z.record(z.string().regex(/^\d+(\.\d+)?$/, 'a bore in inches, such as "4"'), rate);
const mobilised = methods.filter((method) => method !== 'leave');

export const pricesSchema = z.strictObject({
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/, 'a three-letter currency code such as USD')
    .optional(),
  dated: z.iso.date().optional(),
  mobilisation: z.partialRecord(z.enum(mobilised), rate).optional(),
  cleaning_per_ft: rate.optional(),
  /** Descaling iron pipe. */
  descaling_per_ft: rate.optional(),
  digTo5_per_yd3: rate.optional(),
  digBelow5_per_yd3: rate.optional(),
  /** Shoring, and a shield, per area of wall. */
  support_per_ft2: rate.optional(),
  shield_per_ft2: rate.optional(),
  backfill_per_yd3: rate.optional(),
  /** `by-others`: another trade restores this surface; an exclusion at no price. */
  restore_per_ft2: z.partialRecord(z.enum(surfaceKinds), z.union([rate, z.literal('by-others')])).optional(),
  handDug_per_ft: rate.optional(),
  permit_per_hole: rate.optional(),
  pipe_per_ft: z.partialRecord(z.enum(materials), byBore).optional(),
  coupling_each: byBore.optional(),
  /** By wall thickness in inches, then by bore. */
  liner_per_ft: z.partialRecord(z.enum(['0.118', '0.177', '0.236']), byBore).optional(),
  /** Fittings in new pipe, by purpose. */
  fitting_each: z.partialRecord(z.enum(fittingKinds), rate).optional(),
  /** Reconnecting a branch to new pipe. */
  reconnection_each: rate.optional(),
  /** Stopping running water before lining; 0 means not priced, only noted. */
  stopWater_each: rate.optional(),
  liner_each: rate.optional(),
  shortLiner_each: rate.optional(),
  reinstatement_each: rate.optional(),
  transition_each: rate.optional(),
  burst_per_ft: byBore.optional(),
  rehang_per_ft: rate.optional(),
  cutBack_each: rate.optional(),
  cleanout_each: z
    .partialRecord(z.enum(['new', 'exposed', 'raised', 'recapped', 'rebuilt']), rate)
    .optional(),
  yearlyCleaning: rate.optional(),
  look: rate.optional(),
  /** Fractions: 0.15 is 15 %. */
  markup: z.number().min(0).max(10).optional(),
  tax: z.number().min(0).max(1).optional(),
});

export type PricesOverride = z.infer<typeof pricesSchema>;
