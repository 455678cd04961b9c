/** Rounding happens once, at the last step, and only here. */

/** Feet to 0.01, without a negative zero. */
export function roundFeet(value: number): number {
  const rounded = Math.round(value * 100) / 100;
  return rounded === 0 ? 0 : rounded;
}

/** Money to the cent, half up. The small offset absorbs the binary error of a product such as 1.005 × 100. */
export function roundCents(value: number): number {
  const rounded = Math.floor(value * 100 + 0.5 + 1e-7) / 100;
  return rounded === 0 ? 0 : rounded;
}

/** Sum of amounts already rounded to cents, without drift. */
export function sumCents(amounts: readonly number[]): number {
  return amounts.reduce((sum, amount) => sum + Math.round(amount * 100), 0) / 100;
}

/** A reading this far past the end of a line is within its ±, ft. House rule. */
export const pastEnd_ft = 2;

/** Two stations closer than this are the same, ft. */
export const sameStation_ft = 0.01;

/** Two sums of feet or degrees this close are equal: binary rounding error. */
export const tolerance = {
  /** Same, for two ways of computing one sum. */
  exact: 1e-9,
  /** Running sums over the cells of a stretch, ft. */
  ft: 1e-6,
} as const;

/** Hours between two clock positions, the short way round: 0 to 6. */
export function hoursApart(one: number, other: number): number {
  const apart = Math.abs(one - other) % 12;
  return Math.min(apart, 12 - apart);
}
