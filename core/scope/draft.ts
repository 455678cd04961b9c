import type { Step } from '../figure.js';
import type { PriceLine } from './price-lines.js';

/** A priced line before its amount: what, how much, at which rate. */
export type Draft = Omit<PriceLine, 'line' | 'amount' | 'working'> & {
  /** How the quantity came out; a count says itself. */
  readonly steps?: readonly Step[];
};

/** Makes the drafts of one action, or of one hole that is named behind each. */
export const drafter =
  (action: string | null, where?: string) =>
  (
    what: string,
    quantity: number,
    unit: string,
    rate: number,
    from: string,
    steps: readonly Step[] = [],
  ): Draft => ({
    action,
    what: where === undefined ? what : `${what}, ${where}`,
    quantity,
    unit,
    rate,
    from,
    steps,
  });
