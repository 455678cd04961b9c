import { joined } from '../joined.js';
import type { Firm } from '../job/firm.js';
import type { Day } from '../days.js';
import { planRulesInForce } from '../plan/rules.js';
import { planDays, type PlanDay } from '../plan/day.js';
import { planOf } from '../plan/plan.js';
import { chosenScope } from '../scope/scope.js';
import type { ReadiedJob } from '../solve/ready.js';
import type { Solution } from '../solve/solution.js';

const ordinals = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
];

/**
 * For the customer: how long the work of an option takes and when no water may run, in days rather than dates, since
 * nothing is ordered yet. Empty where nothing is done, or where no plan fits the company's working days.
 */
export function sayDays(ready: ReadiedJob, solution: Solution, firm: Firm, on: Day): string[] {
  const { job } = ready;
  const { lines, prices } = chosenScope(ready, solution);
  const planned = planOf({
    scope: { lines, prices },
    names: {},
    rules: planRulesInForce(firm.plan, job.plan?.rules),
    temperature_F: job.site?.temperature_F,
    startOn: on,
  });
  if ('refused' in planned || planned.plan.tasks.length === 0) return [];
  const { plan } = planned;
  const days = planDays(plan);
  const onSite = days.filter(({ office }) => !office);
  const first = plan.tasks.find(({ starts }) => starts.day === onSite[0]?.day);
  const wait = first ? Math.floor(first.from / plan.calendar.slotsPerDay) : 0;
  return [
    `${onSite.length} working ${onSite.length === 1 ? 'day' : 'days'} on site`,
    ...(wait > 0
      ? [
          `${wait} working ${wait === 1 ? 'day' : 'days'} before that, for ${callsOf(plan.tasks.map(({ id }) => id))}`,
        ]
      : []),
    ...waterWords(onSite),
  ];
}

const callsOf = (ids: readonly string[]): string =>
  ids.includes('permit') ? 'permits and utility marks' : 'the utility marks';

function waterWords(days: readonly PlanDay[]): string[] {
  const off = days.flatMap(({ water }, i) => {
    const hours = water.reduce((sum, { from, to }) => sum + hoursBetween(from.time, to.time), 0);
    const night = water.some(({ overnight }) => overnight) ? ', and over the night' : '';
    return hours > 0 ? [`about ${hours} h on the ${ordinals[i] ?? `${i + 1}th`} day${night}`] : [];
  });
  return off.length === 0 ? [] : [`no water down the drain for ${joined(off)}`];
}

/** Hours between two times of one day, rounded up to the half hour. */
function hoursBetween(from: string, to: string): number {
  const minutes = (time: string) => {
    const [hours = 0, rest = 0] = time.split(':').map(Number);
    return hours * 60 + rest;
  };
  return Math.ceil((minutes(to) - minutes(from)) / 30) / 2;
}
