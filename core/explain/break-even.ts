import type { Prices } from '../job/prices.js';
import type { Method } from '../job/vocabulary.js';
import type { ReadiedJob } from '../solve/ready.js';
import { solutionOf } from '../solve/solution.js';

/** Rates that move together, grouped by purpose. */
export const priceGroups = {
  lining: ['liner_per_ft', 'liner_each', 'shortLiner_each'],
  digging: ['digTo5_per_yd3', 'digBelow5_per_yd3', 'support_per_ft2', 'backfill_per_yd3', 'handDug_per_ft'],
  surfaces: ['restore_per_ft2'],
  pipe: ['pipe_per_ft', 'coupling_each'],
  bursting: ['burst_per_ft'],
  permits: ['permit_per_hole'],
  cleaning: ['cleaning_per_ft', 'yearlyCleaning'],
  'setting up': ['mobilisation'],
} as const satisfies Record<string, readonly (keyof Prices)[]>;
export type PriceGroup = keyof typeof priceGroups;

/** How far a group of rates must move before another method wins here, and which one. */
export interface BreakEven {
  readonly group: PriceGroup;
  /** Above 1 is dearer, below 1 cheaper: 1.2 is 20 % dearer. */
  readonly factor: number;
  readonly becomes: Method;
}

/** Limit for how far rates are moved in search of a break-even, in either direction. */
const furthest = 3;
/** Tolerance of the result, as a fraction of the rate. */
const within = 0.005;

/** The price book with one group of rates multiplied. */
export function scaledPrices(prices: Prices, group: PriceGroup, factor: number): Prices {
  const scaled = Object.fromEntries(priceGroups[group].map((key) => [key, times(prices[key], factor)]));
  return { ...prices, ...scaled };
}

function times(rate: unknown, factor: number): unknown {
  if (typeof rate === 'number') return rate * factor;
  if (typeof rate !== 'object' || rate === null) return rate;
  return Object.fromEntries(Object.entries(rate).map(([key, value]) => [key, times(value, factor)]));
}

/**
 * Break-evens of the choice at a station: for every group of rates, dearer and cheaper by up to a factor of three, the
 * point where another method becomes cheapest there, found by bisection over exact solves. Nearest first. A choice that
 * changes and changes back within the range is not detected.
 */
export function breakEvens(ready: ReadiedJob, lineId: string, station_ft: number): BreakEven[] {
  const methodAt = (prices: Prices): Method | undefined => {
    const input = { lines: ready.lines, rules: ready.rules, prices, school: ready.rules.school };
    const mine = solutionOf(input).lines.find(({ line }) => line.model.line.id === lineId);
    const at = mine?.prepared.possible.track.cells.findIndex(
      ({ from_ft, to_ft }) => station_ft >= from_ft && station_ft <= to_ft,
    );
    return at === undefined ? undefined : mine?.chosen?.layout.cells[at]?.method;
  };
  const chosen = methodAt(ready.prices);
  if (chosen === undefined) return [];
  const found: BreakEven[] = [];
  for (const group of Object.keys(priceGroups) as PriceGroup[]) {
    for (const extreme of [furthest, 1 / furthest]) {
      const at = (factor: number) => methodAt(scaledPrices(ready.prices, group, factor));
      let becomes = at(extreme);
      if (becomes === chosen || becomes === undefined) continue;
      let [same, other] = [1, extreme];
      while (Math.abs(other / same - 1) > within) {
        const middle = Math.sqrt(same * other);
        const method = at(middle);
        if (method === chosen || method === undefined) same = middle;
        else [other, becomes] = [middle, method];
      }
      found.push({ group, factor: other, becomes });
    }
  }
  return found.sort((a, b) => Math.abs(Math.log(a.factor)) - Math.abs(Math.log(b.factor)));
}
