import * as z from 'zod';
import { layOver } from '../lay-over.js';

/** Kinds of task that a repair is planned from, in their usual order. */
export const taskKinds = [
  'locate',
  'permit',
  'clean',
  'cut-back',
  'inspect',
  'dig',
  'hand-dig',
  'protect',
  'reach',
  'lay',
  'connect',
  'burst',
  'dry-run',
  'insert',
  'cure',
  'reinstate',
  'test',
  'backfill',
  'restore-soft',
  'restore-hard',
] as const;
export type TaskKind = (typeof taskKinds)[number];

export const machines = ['excavator', 'jetter', 'camera', 'liner-rig', 'bursting-rig'] as const;
export type Machine = (typeof machines)[number];

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

/**
 * Invented but plausible defaults, which a company replaces with its own. Hand digging and backfilling are close to the
 * labor-hour figures of estimating handbooks (about 1 labor-hour for half a cubic yard by hand), quoted from memory.
 */
export const defaultPlanRules: PlanRules = {
  startsAt: '07:00',
  hours: 8,
  workdays: [1, 2, 3, 4, 5],
  crew: 3,
  machines: { excavator: 1, jetter: 1, camera: 1, 'liner-rig': 1, 'bursting-rig': 1 },
  locate_days: 3,
  permit_days: 10,
  closeOvernight: true,
  cure: [
    { at_F: 50, hours: 9 },
    { at_F: 60, hours: 6.5 },
    { at_F: 70, hours: 4.5 },
    { at_F: 80, hours: 3.25 },
    { at_F: 90, hours: 2.25 },
    { at_F: 100, hours: 1.75 },
  ],
  rates: {
    locate: { perHour: 1, setUp_h: 0.25, crew: 1 },
    permit: { perHour: 1, setUp_h: 0.5, crew: 1 },
    clean: { perHour: 60, setUp_h: 0.75, crew: 2 },
    'cut-back': { perHour: 2, setUp_h: 0.5, crew: 2 },
    inspect: { perHour: 150, setUp_h: 0.5, crew: 1 },
    dig: { perHour: 4, setUp_h: 0.5, crew: 2 },
    'hand-dig': { perHour: 1, setUp_h: 0.25, crew: 2 },
    protect: { perHour: 80, setUp_h: 0.25, crew: 2 },
    reach: { perHour: 0.5, setUp_h: 0.25, crew: 2 },
    lay: { perHour: 8, setUp_h: 0.75, crew: 2 },
    connect: { perHour: 2, setUp_h: 0, crew: 2 },
    burst: { perHour: 40, setUp_h: 2.5, crew: 3 },
    'dry-run': { perHour: 60, setUp_h: 0.75, crew: 2 },
    insert: { perHour: 133, setUp_h: 0.25, crew: 2 },
    cure: { perHour: 1, setUp_h: 0, crew: 1 },
    reinstate: { perHour: 1.5, setUp_h: 0.5, crew: 2 },
    test: { perHour: 1, setUp_h: 0.75, crew: 1 },
    backfill: { perHour: 5, setUp_h: 0.25, crew: 2 },
    'restore-soft': { perHour: 80, setUp_h: 0.5, crew: 2 },
    'restore-hard': { perHour: 25, setUp_h: 1, crew: 2 },
  },
  labor_per_hour: 68,
};

/** Working days and rates in force: the defaults, then the company's, then the job's own. */
export const planRulesInForce = (
  company: PlanRulesOverride | undefined,
  own: PlanRulesOverride | undefined,
): PlanRules => layOver(layOver(defaultPlanRules, company), own) as PlanRules;
