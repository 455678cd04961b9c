import type { PlanRules, Rate, Spent } from '../job/plan-schema.js';
import type { TaskKind } from '../job/vocabulary.js';
import { taskKindRow, taskKindRows } from './kinds.js';
import { hoursOf } from './tasks.js';

/** How far off the rate of one kind of task is, from time actually spent. */
export interface RateCheck {
  readonly kind: TaskKind;
  /** Time spent divided by time planned for the same amount: 1.2 took a fifth longer. Sorted. */
  readonly factors: readonly number[];
  readonly median: number;
  /** Quartiles. */
  readonly middle: readonly [number, number];
  /** The rate that would make the median 1. */
  readonly better: Rate;
}

/** A quantile of sorted numbers by linear interpolation: type 7 of Hyndman and Fan (1996), R's default. */
export function quantile(sorted: readonly number[], share: number): number {
  const at = (sorted.length - 1) * share;
  const [low, high] = [sorted[Math.floor(at)] ?? NaN, sorted[Math.ceil(at)] ?? NaN];
  return low + (high - low) * (at - Math.floor(at));
}

/** Whether a rate can be learned from it: a kind with a unit needs the amount. */
const tells = ({ kind, amount }: Spent): boolean =>
  taskKindRow(kind).unit === undefined || amount !== undefined;

/** Person-hours spent on a task divided by what its rate gives for the same amount. */
export function factorOf(spent: Spent, rules: Pick<PlanRules, 'rates'>): number {
  const { crew } = rules.rates[spent.kind];
  return (
    (spent.hours * (spent.people ?? crew)) / (hoursOf(spent.kind, spent.amount ?? 0, rules).value * crew)
  );
}

/** Every kind of task with time recorded, in the order of work; each recorded day counts with its own amount. */
export function rateChecks(spent: readonly Spent[], rules: Pick<PlanRules, 'rates'>): RateCheck[] {
  return taskKindRows.flatMap(({ id: kind }) => {
    const own = spent.filter((each) => each.kind === kind && tells(each));
    if (own.length === 0) return [];
    const factors = own.map((each) => factorOf(each, rules)).sort((a, b) => a - b);
    const median = quantile(factors, 0.5);
    const rate = rules.rates[kind];
    return [
      {
        kind,
        factors,
        median,
        middle: [quantile(factors, 0.25), quantile(factors, 0.75)] as const,
        better: {
          ...rate,
          perHour: rounded(rate.perHour / median),
          setUp_h: rounded(rate.setUp_h * median),
        },
      },
    ];
  });
}

/** Three significant digits: rates are not known more closely. */
const rounded = (value: number): number => Number(value.toPrecision(3));
