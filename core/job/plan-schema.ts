import * as z from 'zod';
import { machines, taskKinds, type Machine, type TaskKind } from './vocabulary.js';

const people = z.number().int().min(1).max(20);
const day = z.iso.date();

const rateSchema = z.strictObject({
  /** Units of work per hour for its crew, once set up. */
  perHour: z.number().gt(0).max(10_000).optional(),
  /** Setup time, whatever the amount, h. */
  setUp_h: z.number().min(0).max(100).optional(),
  crew: people.optional(),
});

/** A company's working days and production rates. Every field falls back to the defaults. */
export const planRulesSchema = z.strictObject({
  /** Start of the working day, `07:00`. */
  startsAt: z
    .string()
    .regex(/^([01]\d|2[0-3]):(00|15|30|45)$/, 'a quarter of an hour, such as 07:30')
    .optional(),
  /** Working hours per day, in quarters. */
  hours: z.number().min(1).max(16).multipleOf(0.25).optional(),
  /** Working days; 0 is Sunday. */
  workdays: z.array(z.number().int().min(0).max(6)).min(1).max(7).optional(),
  /** People available for one job. */
  crew: people.optional(),
  machines: z.partialRecord(z.enum(machines), z.number().int().min(0).max(10)).optional(),
  /** Working days from the call until the utilities are marked, and from the application until a permit is issued. */
  locate_days: z.number().int().min(0).max(60).optional(),
  permit_days: z.number().int().min(0).max(250).optional(),
  /** Surfaces on which no excavation may stay open overnight: those with traffic. */
  closeOvernight: z.boolean().optional(),
  /** From the resin's data sheet: cure time in hours by temperature in °F, coldest first. */
  cure: z
    .array(z.strictObject({ at_F: z.number().min(-40).max(200), hours: z.number().gt(0).max(72) }))
    .min(1)
    .max(20)
    .refine((rows) => rows.every((row, i) => i === 0 || row.at_F > (rows[i - 1]?.at_F ?? 0)), {
      message: 'temperatures rise from row to row',
    })
    .optional(),
  rates: z.partialRecord(z.enum(taskKinds), rateSchema).optional(),
  /** What an hour of one person costs the company, in the price book's currency. */
  labor_per_hour: z.number().min(0).max(10_000).optional(),
});
export type PlanRulesOverride = z.infer<typeof planRulesSchema>;
export type Rate = Required<z.infer<typeof rateSchema>>;
export type PlanRules = Required<Omit<PlanRulesOverride, 'machines' | 'rates'>> & {
  readonly machines: Readonly<Record<Machine, number>>;
  readonly rates: Readonly<Record<TaskKind, Rate>>;
};

const moment = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):[0-5]\d$/, 'a day and a time, such as 2026-03-04T07:30');

/** Time actually spent on a task on one day. */
export const spentSchema = z.strictObject({
  id: z.string().min(1).max(64),
  on: day,
  /** The task it was spent on, and its kind, since the plan may have changed. */
  task: z.string().min(1).max(100),
  kind: z.enum(taskKinds),
  /** Clock hours the crew took. */
  hours: z.number().gt(0).max(24),
  /** Amount done, in the unit of the kind; a kind without a unit has none. */
  amount: z.number().gt(0).max(100_000).optional(),
  /** People on it. Default: the crew of its rate. */
  people: people.optional(),
  money: z.number().min(0).max(10_000_000).optional(),
});
export type Spent = z.infer<typeof spentSchema>;

/** The schedule of a job, and the time it actually took. */
export const jobPlanSchema = z.strictObject({
  /** The earliest date for any work on it. */
  startOn: day.optional(),
  rules: planRulesSchema.optional(),
  /** Tasks with a start time chosen by the user, by task. */
  starts: z.record(z.string().max(100), moment).optional(),
  spent: z.array(spentSchema).max(2000).optional(),
});
export type JobPlan = z.infer<typeof jobPlanSchema>;
