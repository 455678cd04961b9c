import type { Rules } from '../job/rules.js';

/**
 * Least slope for a bore (in), ft per ft, by model-code family (from memory): A ¼ in/ft to 2½ in, ⅛ for 3 to 6,
 * 1/16 from 8; B ¼ in/ft, and where approved ⅛ for 4 to 6 and 1/16 from 8; local as entered.
 */
export function leastSlope(
  bore_in: number,
  rules: Pick<Rules, 'slopeFamily' | 'localSlope_in_per_ft'>,
): number {
  const inchesPerFoot = () => {
    if (rules.slopeFamily === 'local') return rules.localSlope_in_per_ft;
    if (rules.slopeFamily === 'B' || bore_in <= 2.5) return 1 / 4;
    if (rules.slopeFamily === 'B-approved' && bore_in < 4) return 1 / 4;
    return bore_in < 8 ? 1 / 8 : 1 / 16;
  };
  return inchesPerFoot() / 12;
}
