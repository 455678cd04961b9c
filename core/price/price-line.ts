import { plain, type Step } from '../figure.js';
import type { Prices } from '../job/prices.js';
import { roundCents, roundFeet, sumCents } from '../units.js';

/** One priced line: quantity × rate × (1 + markup) × (1 + tax), to the cent. */
export interface PriceLine {
  readonly line: string;
  readonly action: string | null;
  readonly what: string;
  readonly quantity: number;
  readonly unit: string;
  readonly rate: number;
  readonly amount: number;
  /** The path of the rate in the price book. */
  readonly from: string;
  /** How the quantity was computed, then the amount. */
  readonly working: readonly Step[];
}

/** A price line before its amount: what, how much, at which rate. */
export type Draft = Omit<PriceLine, 'line' | 'amount' | 'working'> & {
  /** How the quantity was computed; a plain count needs no explanation. */
  readonly steps?: readonly Step[];
};

/** Makes the price lines of one action, or of one excavation whose name is added to each. */
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

export const totalOf = (lines: readonly PriceLine[]): number => sumCents(lines.map(({ amount }) => amount));

/** Price lines of a line with their amounts: the quantity shown, to a hundredth, is the quantity priced. */
export function priced(line: string, prices: Prices, drafts: readonly Draft[]): PriceLine[] {
  const factor = (1 + prices.markup) * (1 + prices.tax);
  const more = [
    ['markup', prices.markup],
    ['tax', prices.tax],
  ] as const;
  return drafts
    .map((draft) => ({ ...draft, quantity: roundFeet(draft.quantity) }))
    .filter(({ quantity }) => quantity > 0)
    .map(({ steps = [], ...draft }) => {
      const amount = roundCents(draft.quantity * draft.rate * factor);
      const factors = more.flatMap(([, each]) => (each > 0 ? [` × ${plain(1 + each, 4)}`] : []));
      const named = more.flatMap(([name, each]) => (each > 0 ? [name] : []));
      const working: Step[] = [
        ...steps,
        {
          label: ['Quantity × rate', ...named].join(' × '),
          expression: `${plain(draft.quantity, 4)} ${draft.unit} × ${draft.rate}${factors.join('')} = ${amount.toFixed(2)}`,
          source: `price book, ${draft.from}`,
        },
      ];
      return { line, ...draft, amount, working };
    });
}
