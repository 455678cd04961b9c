import type { Point } from '../job/schema.js';

/** A bend that nobody measured counts as this, degrees. House rule. */
const unknownTurn_deg = 45;
/** The sharpest bend a liner passes, degrees. Common practice. */
export const mostBend_deg = 90;
/** Total bends a liner passes, degrees. Common practice. */
export const mostTurns_deg = 180;

/** Angle of a point, as it counts for a liner. */
export function turnOf({ kind, degrees }: Point): {
  counted_deg: number;
  tooSharp: boolean;
  unknown: boolean;
} {
  if (kind !== 'bend') return { counted_deg: 0, tooSharp: false, unknown: false };
  const counted_deg = degrees ?? unknownTurn_deg;
  return { counted_deg, tooSharp: counted_deg > mostBend_deg, unknown: degrees === undefined };
}
