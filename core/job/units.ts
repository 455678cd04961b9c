/** Rounding happens once, at the last step; these are the only places that do it. */

/** Feet to 0.01, without a negative zero. */
export function roundFeet(value: number): number {
  const rounded = Math.round(value * 100) / 100;
  return rounded === 0 ? 0 : rounded;
}

/** Money to the cent, halves up. The guard takes off the binary dust of a product such as 1.005 × 100. */
export function roundCents(value: number): number {
  const rounded = Math.floor(value * 100 + 0.5 + 1e-7) / 100;
  return rounded === 0 ? 0 : rounded;
}

/** Sum of amounts that are already whole cents, without drift. */
export function sumCents(amounts: readonly number[]): number {
  return amounts.reduce((sum, amount) => sum + Math.round(amount * 100), 0) / 100;
}

/** A reading this far past the end of a line may be its own ±, ft. House rule. */
export const pastEnd_ft = 2;

/** Two stations closer than this are one (ft). */
export const sameStation_ft = 0.01;

/** How near two sums of feet or degrees must be to count as equal: what binary arithmetic leaves over. */
export const tolerance = {
  /** Two ways to the same sum. */
  exact: 1e-9,
  /** Sums over the cells of a stretch, ft. */
  ft: 1e-6,
} as const;
