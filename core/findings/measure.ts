import type { Grade, Measure } from './row.js';

export const sizes = ['small', 'moderate', 'large'] as const;
export type Size = (typeof sizes)[number];

/** What a size word stands for, percent of the bore, and the grade it is given. House rules. */
const sizeStandsFor: Record<Size, number> = { small: 5, moderate: 20, large: 40 };
export const gradeOfSize: Record<Size, Grade> = { small: 1, moderate: 2, large: 3 };

/** The size word for a share of the pipe, percent: half full is large. House rule. */
export const sizeOfShare = (percent: number): Size =>
  percent >= 50 ? 'large' : percent >= 25 ? 'moderate' : 'small';

/** What a person may have said of a finding's amount. A range counts by its high end. */
export interface Sized {
  readonly size?: Size | undefined;
  readonly percent?: number | readonly [number, number] | undefined;
  readonly inches?: number | readonly [number, number] | undefined;
}

/** A finding's measure, in the row's own unit (percent, or inches). `known` says where the number came from. */
export interface Measured {
  readonly value: number;
  readonly known: 'measured' | 'size' | 'not-measured';
}

const high = (value: number | readonly [number, number]) => (typeof value === 'number' ? value : value[1]);

/** Percent of a circle of bore D below a level `height` (both in): the area of a circular segment. */
export function segmentPercent(height_in: number, bore_in: number): number {
  const part = Math.min(1, Math.max(0, height_in / bore_in));
  const angle = 2 * Math.acos(1 - 2 * part);
  return (100 * (angle - Math.sin(angle))) / (2 * Math.PI);
}

/**
 * The measure of a finding; a range counts by its high end. A finding without a measure stands for a moderate one,
 * which is the grade it is given.
 */
export function measureOf({ inches, percent, size }: Sized, measure: Measure, bore_in: number): Measured {
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
