import * as z from 'zod';
import { protections } from '../excavation/section.js';
import { findingKinds, fittingKinds, materials, methods, ownerKinds, schools } from '../job/vocabulary.js';
import { verdicts } from '../explain/verdict.js';

/** The open scope file, format `open-trench-scope`, version 1: what `scopeFile` writes, for programs that read it. */
const feet = z.number();
const money = z.number();
const grade = z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3), z.literal(4)]);
const method = z.enum(methods);
const material = z.enum(materials);
const clock = z.union([z.number(), z.tuple([z.number(), z.number()])]);
const id = z.string();

const fitting = z.strictObject({
  kind: z.enum(fittingKinds),
  at_ft: feet,
  diameter_in: z.number(),
  degrees: z.number().optional(),
  measure: z.boolean(),
});

const lineSchema = z.strictObject({
  id,
  feasible: z.boolean(),
  start_ft: feet,
  length_ft: feet,
  points: z.array(z.strictObject({ id, station_ft: feet, plusMinus_ft: feet })),
  findings: z.array(
    z.strictObject({
      id,
      finding: z.enum(findingKinds),
      station_ft: feet,
      to_ft: feet.optional(),
      plusMinus_ft: feet,
      clock: clock.nullable(),
      grade,
      tableGrade: grade,
      judged: z.strictObject({ grade, why: z.string() }).nullable(),
      cures: z.array(method),
      possible: z.boolean(),
      settled: z.boolean(),
    }),
  ),
  segments: z.array(
    z.strictObject({
      from_ft: feet,
      to_ft: feet,
      material,
      diameter_in: z.number(),
      seen: z.boolean(),
      owner: z.enum(ownerKinds),
      grade,
      method,
      action: id.nullable(),
      because: z.array(z.string()),
      rejected: z.array(
        z.strictObject({ method, rule: z.string(), why: z.string(), lift: z.string().nullable() }),
      ),
      runnerUp: z.strictObject({ method, costsMore: money }).nullable(),
    }),
  ),
  actions: z.array(
    z.strictObject({
      id,
      method,
      from_ft: feet,
      to_ft: feet,
      entry_ft: feet.optional(),
      cost: money,
      liner: z
        .strictObject({
          host_ft: feet,
          hostPlusMinus_ft: feet,
          installed_ft: feet,
          cut_ft: feet,
          bladder_ft: feet,
          thickness_in: z.number(),
          governs: z.string(),
          layFlat_in: z.number(),
          resin_gal: z.number(),
          /** Working time of the resin at the day's temperature, and the time needed, min. */
          potLife_min: z.number().optional(),
          workingTime_min: z.number().optional(),
        })
        .optional(),
      pipe: z
        .strictObject({
          material,
          diameter_in: z.number(),
          laid_ft: feet,
          /** Fittings in it, where the old pipe had points or changed its diameter. */
          fittings: z.array(fitting).optional(),
        })
        .optional(),
    }),
  ),
  pits: z.array(
    z.strictObject({
      id,
      from_ft: feet,
      to_ft: feet,
      serves: z.array(id),
      depth_ft: feet,
      bottom_ft: z.array(feet).length(2),
      protection: z.enum(protections),
      cautions: z.array(z.string()),
      bank_yd3: z.number(),
      surface: z.string(),
    }),
  ),
  cleanouts: z.array(
    z.strictObject({
      station_ft: feet,
      status: z.string(),
      why: z.string(),
      place: z.string(),
      in: id.nullable(),
    }),
  ),
  /** Places that must be cured and cannot be under the rules. */
  notPossible: z.array(
    z.strictObject({
      finding: z.string().nullable(),
      from_ft: feet,
      to_ft: feet,
      what: z.string(),
      rule: z.string(),
      why: z.string(),
      lift: z.string(),
      by: z.literal('others'),
    }),
  ),
  options: z.array(z.strictObject({ what: z.string(), adds: money, finding: z.string().nullable() })),
  referrals: z.array(z.strictObject({ what: z.string(), at_ft: feet, to: z.string() })),
});

export const scopeFileSchema = z.strictObject({
  format: z.literal('open-trench-scope'),
  version: z.literal(1),
  verdict: z.array(z.enum(verdicts)).min(1),
  lines: z.array(lineSchema),
  buy: z.strictObject({
    sticks: z.array(
      z.strictObject({
        item: z.string(),
        length_ft: feet,
        count: z.number().int(),
        cuts_ft: z.array(feet),
        leftover_ft: feet,
      }),
    ),
    couplings: z.array(
      z.strictObject({
        item: z.string(),
        count: z.number().int(),
        measure: z.boolean(),
        at_ft: z.array(feet),
      }),
    ),
    fittings: z.array(
      z.strictObject({
        item: z.string(),
        count: z.number().int(),
        measure: z.boolean(),
        at_ft: z.array(feet),
      }),
    ),
  }),
  price: z.strictObject({
    scope: money,
    cleanouts: money,
    total: money,
    carried: money,
    lines: z.array(
      z.strictObject({
        line: id,
        action: id.nullable(),
        what: z.string(),
        quantity: z.number(),
        unit: z.string(),
        rate: money,
        amount: money,
      }),
    ),
  }),
  ways: z.array(
    z.strictObject({
      school: z.enum(schools),
      feasible: z.boolean(),
      scope: money,
      cleanouts: money,
      total: money,
      carried: money,
    }),
  ),
  firstStep: z
    .strictObject({ what: z.string(), from_ft: feet, to_ft: feet, why: z.string(), price: money })
    .nullable(),
  /** Null where that case has no feasible scope. */
  ifUnseenIs: z.strictObject({ sound: money.nullable(), failed: money.nullable() }),
  warnings: z.array(
    z.strictObject({ rule: z.string(), line: id.optional(), at_ft: feet.optional(), message: z.string() }),
  ),
});
