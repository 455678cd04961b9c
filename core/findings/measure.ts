import type { Grade, Measure } from './row.js';

export const sizes = ['small', 'moderate', 'large'] as const;
export type Size = (typeof sizes)[number];

/** Percent of the bore a size word stands for, and the grade it gets. House rules. */
const sizeStandsFor: Record<Size, number> = { small: 5, moderate: 20, large: 40 };
export const gradeOfSize: Record<Size, Grade> = { small: 1, moderate: 2, large: 3 };

/** The size word for a percentage of the pipe: half full is large. House rule. */
export const sizeOfShare = (percent: number): Size =>
  percent >= 50 ? 'large' : percent >= 25 ? 'moderate' : 'small';

/** A finding's amount as entered. A range counts by its high end. */
export interface MeasuredAmount {
  readonly size?: Size | undefined;
  readonly percent?: number | readonly [number, number] | undefined;
  readonly inches?: number | readonly [number, number] | undefined;
}

/** A finding's measure in the row's own unit (percent, or inches). `known` is how the number was obtained. */
export interface Measured {
  readonly value: number;
  readonly known: 'measured' | 'size' | 'not-measured';
}

const high = (value: number | readonly [number, number]) => (typeof value === 'number' ? value : value[1]);

/** Percent of the area of a circle of diameter D below a level `height` (both in): a circular segment. */
export function segmentPercent(height_in: number, bore_in: number): number {
  const part = Math.min(1, Math.max(0, height_in / bore_in));
  const angle = 2 * Math.acos(1 - 2 * part);
  return (100 * (angle - Math.sin(angle))) / (2 * Math.PI);
}

/**
 * The measure of a finding; a range counts by its high end. A finding without a measure counts as moderate, the grade
 * it is given.
 */
export function measureOf(
  { inches, percent, size }: MeasuredAmount,
  measure: Measure,
  bore_in: number,
): Measured {
  if (percent !== undefined) return { value: high(percent), known: 'measured' };
  if (inches !== undefined) {
    const value = high(inches);
    if (measure === 'percent') return { value: segmentPercent(value, bore_in), known: 'measured' };
    return { value: measure === 'of-bore' ? (100 * value) / bore_in : value, known: 'measured' };
  }
  const stands = sizeStandsFor[size ?? 'moderate'];
  return {
    value: measure === 'inches' ? (stands / 100) * bore_in : stands,
    known: size ? 'size' : 'not-measured',
  };
}
