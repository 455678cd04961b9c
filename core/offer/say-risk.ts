import type { OfferApproach } from './offer.js';

/** A chance in words: 0.35 is "about 1 in 3", 0.7 "about 7 in 10". */
export function sayChance(chance: number): string {
  if (chance >= 0.95) return 'almost sure';
  if (chance > 0.55) return `about ${Math.round(chance * 10)} in 10`;
  return `about 1 in ${Math.round(1 / chance)}`;
}

/** Two significant figures: more would claim false precision. */
const roughly = (amount: number): number => Number(amount.toPrecision(2));

/** What leaving a place may cost, in words for its owner; undefined where nothing is counted. */
export function sayRisk(
  { mayFail }: OfferApproach['leaves'][number],
  years: number,
  cash: (amount: number) => string,
): string | undefined {
  if (!mayFail) return undefined;
  const { chance, then } = mayFail;
  return `${sayChance(chance)} to fail within ${years} years, then about ${cash(roughly(then))}`;
}
