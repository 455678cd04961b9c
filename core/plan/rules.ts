import { layOver } from '../lay-over.js';
import type { PlanRules, PlanRulesOverride } from '../job/plan-schema.js';

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
