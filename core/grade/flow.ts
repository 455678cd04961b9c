import { straightBetween } from '../straight-between.js';
import { materialRegistry, type Material } from '../catalog/materials.js';

/** Manning's roughness: 0.010 for plastic and liner, 0.013 for clay, concrete, iron and the like. Handbook values. */
export function roughness(material: Material | 'liner'): number {
  return material === 'liner' || materialRegistry.row(material).smooth ? 0.01 : 0.013;
}

export interface Flow {
  readonly velocity_ft_s: number;
  readonly gpm: number;
}

const gallonsPerCubicFoot = 7.480519;
/** Velocity at which solids are carried along, ft/s. Handbook value. */
export const selfCleansing_ft_s = 2;

/**
 * Uniform flow in a round pipe by Manning, V = 1.486/n R^⅔ S^½. Bore in inches, slope in ft per ft, `depth` as a
 * fraction of the bore (1 is full). Zero where the pipe does not fall.
 */
export function manning(bore_in: number, slope: number, n: number, depth = 1): Flow {
  if (slope <= 0 || depth <= 0) return { velocity_ft_s: 0, gpm: 0 };
  const d_ft = bore_in / 12;
  const angle = 2 * Math.acos(1 - 2 * Math.min(1, depth));
  const area = ((angle - Math.sin(angle)) * d_ft * d_ft) / 8;
  const wetted = (angle * d_ft) / 2;
  const velocity_ft_s = (1.486 / n) * (area / wetted) ** (2 / 3) * Math.sqrt(slope);
  return { velocity_ft_s, gpm: velocity_ft_s * area * gallonsPerCubicFoot * 60 };
}

/** Depth, as a fraction of the bore, at which a pipe carries a flow (gpm); undefined above its maximum. */
export function depthFor(gpm: number, bore_in: number, slope: number, n: number): number | undefined {
  // Flow peaks at 0.938 of the bore, so below that the answer is unique.
  let [low, high] = [0, mostFlowDepth];
  if (gpm > manning(bore_in, slope, n, high).gpm) return undefined;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (manning(bore_in, slope, n, middle).gpm < gpm) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
export const mostFlowDepth = 0.938;

/** Slope between two stations of an invert profile, ft per ft; positive where it falls downstream. */
export function slopeBetween(
  inverts: readonly (readonly [number, number])[],
  from_ft: number,
  to_ft: number,
): number {
  return to_ft === from_ft
    ? 0
    : (straightBetween(inverts, from_ft) - straightBetween(inverts, to_ft)) / (to_ft - from_ft);
}
