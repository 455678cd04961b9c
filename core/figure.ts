/**
 * A number that the user can open: what it is, its unit, its ± and the steps that made it. Screens, documents and the
 * command line only render figures, so no working is written twice.
 */
export interface Figure {
  readonly value: number;
  /** `ft`, `in`, `gal`, `yd³`, `psi`, or a currency code. */
  readonly unit: string;
  /** Two standard deviations, or the widened ± of a settled disagreement. */
  readonly plusMinus?: number;
  readonly steps: readonly Step[];
}

export interface Step {
  readonly label: string;
  /** The arithmetic with its numbers, as one would write it on paper. */
  readonly expression: string;
  /** Published standard, or `common practice`, or `house rule`. */
  readonly source?: string;
}

/** Shortest plain decimal with at most `digits` places: 12.5, 80, -0.25. */
export function plain(value: number, digits = 2): string {
  const rounded = Number(value.toFixed(digits));
  return String(rounded === 0 ? 0 : rounded);
}
