import { ticks } from 'd3-array';

/** A straight scale from a drawing's own measure to pixels, and back. */
export interface Scale {
  (value: number): number;
  /** The value at so many pixels. */
  invert: (px: number) => number;
  /** About so many round values within the range. */
  ticks: (count: number) => number[];
}

/** Maps the first pair of values onto the second, px, and goes on beyond both ends. */
export function linearScale(
  [from, to]: readonly [number, number],
  [from_px, to_px]: readonly [number, number],
): Scale {
  const perUnit = (to_px - from_px) / (to - from);
  return Object.assign((value: number) => from_px + (value - from) * perUnit, {
    invert: (px: number) => from + (px - from_px) / perUnit,
    ticks: (count: number) => ticks(from, to, count),
  });
}

/** Round stations to write along a line; only its beginning where it has no length yet. */
export const stationsAlong = (
  x: Scale,
  { from_ft, to_ft }: { readonly from_ft: number; readonly to_ft: number },
  count: number,
): number[] => (to_ft > from_ft ? x.ticks(Math.max(2, Math.round(count))) : [from_ft]);
