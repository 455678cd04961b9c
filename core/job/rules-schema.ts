import * as z from 'zod';
import { newPipeMaterials } from '../catalog/materials.js';
import { findingKinds, schools } from './vocabulary.js';

/**
 * House rules a job may override; every field is optional and falls back to `defaultRules`. `findings` overrides rows
 * of the grade table: `bounds` are the limits between grades, in the row's own measure.
 */
const chance = z.number().min(0).max(1);
const feet = z.number().min(0).max(1000);
const months = z.number().int().min(1).max(240);
const window = z.tuple([months, months]).refine(([from, to]) => from <= to, {
  message: 'the earliest month comes first',
});

export const rulesSchema = z.strictObject({
  school: z.enum(schools).optional(),
  findings: z
    .partialRecord(
      z.enum(findingKinds),
      z.strictObject({
        bounds: z.array(z.number().min(0)).min(1).max(3).optional(),
        stopsLinerAt: z.number().min(0).optional(),
      }),
    )
    .optional(),
  /** Who works in the public part: us, with a permit for each excavation, or its owner. */
  publicPart: z.enum(['ours', 'owner']).optional(),
  /** Repair approach: a shorter gap of old pipe between two actions is not allowed. */
  leastGap_ft: feet.optional(),
  /** Least length of new pipe, and of a liner. */
  leastNewPipe_ft: feet.optional(),
  leastLiner_ft: feet.optional(),
  /** A liner shorter than this is a sectional liner or not used. */
  leastLongLiner_ft: feet.optional(),
  /** New pipe extends to the joints of old pipe of known piece length. */
  toJoints: z.boolean().optional(),
  /** Excavations closer than this are dug as one. */
  holesApart_ft: feet.optional(),
  /** Tolerance of a located depth, percent: what may reach 4, 5 or 20 ft is treated as reaching it. */
  depthMargin_percent: z.number().min(0).max(50).optional(),
  /** Reach of a cleaning tool from where it enters. */
  cleaningReach_ft: feet.optional(),
  /** Longest cable: a reading beyond it is questioned. */
  mostCable_ft: feet.optional(),
  /** Repair approach: this many places of grade 2 or worse within this many feet become one repair. */
  crowdCount: z.number().int().min(2).max(20).optional(),
  crowdWithin_ft: feet.optional(),
  /** A flush that ran through lowers a belly of grade 1 or 2 by one. */
  flushLowersBelly: z.boolean().optional(),
  /** Roots and deposits over this percentage of the bore hide the wall behind them. */
  hidesOver_percent: z.number().min(0).max(100).optional(),
  /** A liner may span a change of diameter. */
  transitionLiner: z.boolean().optional(),
  burstAsbestosCement: z.boolean().optional(),
  spotMost_ft: feet.optional(),
  handDugReach_ft: feet.optional(),
  /** Model-code family that places cleanouts; `local` only requires the spacing. */
  cleanoutFamily: z.enum(['A', 'B', 'local']).optional(),
  /** New cleanouts: on every job, or only where the work opens the line; otherwise they are offered as options. */
  addCleanout: z.enum(['every-job', 'where-none']).optional(),
  /** Least slope: model-code family A or B, B where its flatter slopes are approved, or the local value below. */
  slopeFamily: z.enum(['A', 'B', 'B-approved', 'local']).optional(),
  localSlope_in_per_ft: z.number().min(0).max(12).optional(),
  /**
   * Where nobody reached the end, the line is assumed to continue this far, for the first step and the price range.
   */
  assumedRest_ft: feet.optional(),
  /** Assumed, with a warning, where no depth was located. */
  assumedDepth_ft: z.number().min(0.5).max(40).optional(),
  ovality_percent: z.number().min(0).max(25).optional(),
  /** From the resin's data sheet: working time in minutes by temperature in °F, coldest first. */
  potLife: z
    .array(z.strictObject({ at_F: z.number().min(-40).max(200), min: z.number().gt(0).max(10_000) }))
    .min(1)
    .max(20)
    .refine((rows) => rows.every((row, i) => i === 0 || row.at_F > (rows[i - 1]?.at_F ?? 0)), {
      message: 'temperatures rise from row to row',
    })
    .optional(),
  /** Wet-out and insertion take this many minutes per foot of liner, plus a fixed number. */
  wetOut_min_per_ft: z.number().min(0).max(60).optional(),
  insertion_min_per_ft: z.number().min(0).max(60).optional(),
  setting_min: z.number().min(0).max(600).optional(),
  newPipe: z.enum(newPipeMaterials).optional(),
  horizon_years: z.number().int().min(1).max(50).optional(),
  interest: chance.optional(),
  chanceWatchFails: chance.optional(),
  chanceFixFails: chance.optional(),
  /** Cleaning interval while roots remain: no earlier and no later than these months. */
  cleanEvery_months: window.optional(),
  /** The first interval after roots past half the diameter. */
  cleanFirst_months: window.optional(),
  /** Months between inspections where roots stay, and everywhere else. */
  lookRoots_months: months.optional(),
  look_months: months.optional(),
  /** Date of the last strong earthquake here: every line not inspected since is due. */
  earthquakeOn: z.iso.date().optional(),
});

export type RulesOverride = z.infer<typeof rulesSchema>;
