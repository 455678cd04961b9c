import { rateForBore, type Prices } from '../job/prices.js';
import type { Rules } from '../job/rules.js';

/** The house's rules and rates. */
export interface House {
  readonly rules: Rules;
  readonly prices: Prices;
}

/** New pipe laid, money per ft; 0 where the price book has no rate. */
export const pipeRate = ({ rules, prices }: House, bore_in: number): number =>
  rateForBore(prices.pipe_per_ft[rules.newPipe], bore_in) ?? 0;

/** One banded coupling, money. */
export const couplingRate = ({ prices }: House, bore_in: number): number =>
  rateForBore(prices.coupling_each, bore_in) ?? 0;
