import type { Firm } from '../job/firm.js';
import type { PlanRulesOverride } from '../job/plan-schema.js';
import type { Job } from '../job/schema.js';
import type { Segment } from '../explain/segments.js';
import type { ActionScope, LineScope } from '../scope/scope.js';
import type { CleanoutWork } from '../solve/cleanout-work.js';
import type { ScopedView } from './job-view.js';

/** Working days and rates, without hourly costs. */
function planForCrew(rules: PlanRulesOverride): PlanRulesOverride {
  const { labor_per_hour: _labor, ...rest } = rules;
  return rest;
}

/** A job as crew may read it: without price book, offer, agreed price and time spent. */
export function jobForCrew(job: Job): Job {
  const { prices: _prices, offer: _offer, accepted: _accepted, plan, ...rest } = job;
  if (!plan) return rest;
  const { spent: _spent, rules, ...days } = plan;
  return { ...rest, plan: { ...days, ...(rules && { rules: planForCrew(rules) }) } };
}

/** The company's settings, without its price book and offer texts. */
export const firmForCrew = ({ format, version, name, phone, rules, plan }: Firm): Firm => ({
  format,
  version,
  ...(name !== undefined && { name }),
  ...(phone !== undefined && { phone }),
  ...(rules && { rules }),
  ...(plan && { plan: planForCrew(plan) }),
});

/**
 * A view without anything that reveals cost: locations, the work, what to cut, what to buy and where to dig. Reasons,
 * runners-up and options compare amounts of money, so they are removed too.
 */
export function viewForCrew({ lines, scope }: ScopedView): ScopedView {
  return {
    lines,
    scope: {
      ...scope,
      lines: scope.lines.map(lineForCrew),
      prices: {
        currency: scope.prices.currency,
        dated: scope.prices.dated,
        ...{ scope: 0, cleanouts: 0, total: 0, carried: 0, lines: [] },
      },
      ways: [],
      firstStep: scope.firstStep && { ...scope.firstStep, price: 0 },
      ifUnseenIs: undefined,
    },
  };
}

const lineForCrew = (line: LineScope): LineScope => ({
  ...line,
  segments: line.segments.map((segment): Segment & { runnerUp: null } => ({
    ...segment,
    rejected: [],
    runnerUp: null,
  })),
  actions: line.actions.map((action): ActionScope => ({ ...action, cost: 0 })),
  cleanouts: line.cleanouts.map((cleanout): CleanoutWork => ({ ...cleanout, prices: [] })),
  options: [],
});
