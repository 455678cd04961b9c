import { isPavement, type SurfaceKind } from '../catalog/surfaces.js';
import type { Soil } from '../job/vocabulary.js';

/**
 * The cross-section of an excavation: width, depth, slope, support.
 * ASTM D2321 for the width, 29 CFR 1926.651–652 and Appendix B for protection; both quoted from memory.
 */
export interface Section {
  /** Bottom of the hole below the ground, ft: the invert and its bedding. */
  readonly depth_ft: number;
  readonly width_ft: number;
  /** Run of the sides per foot of depth; 0 is vertical. */
  readonly slope: number;
  readonly shored: boolean;
}

export const bedding_ft = 4 / 12;
/** Someone works below this: the bottom is 3 ft wide, ft. */
export const workDepth_ft = 4;
/** From here the sides are shored, shielded or sloped, ft. */
export const protectFrom_ft = 5;
/** Past this an engineer designs the protection, ft. */
export const engineerOver_ft = 20;
const workWidth_ft = 3;

export const slopes: Readonly<Record<Soil, number>> = { rock: 0, A: 0.75, B: 1, C: 1.5, unknown: 1.5 };

/** Least bottom width for a pipe of this outside diameter (in), ft. */
export function bottomWidth(outside_in: number, depth_ft: number): number {
  const pipe_ft = Math.max(outside_in + 16, 1.25 * outside_in + 12) / 12;
  return depth_ft > workDepth_ft ? Math.max(pipe_ft, workWidth_ft) : pipe_ft;
}

/**
 * Section at one place. `room_ft` is how far its surface goes on either way: where the top of a slope would leave
 * it, and under any pavement, the sides are shored instead.
 */
export function sectionAt(
  invert_ft: number,
  width: number | { outside_in: number },
  soil: Soil,
  surface: SurfaceKind,
  room_ft: number,
): Section {
  const depth_ft = invert_ft + bedding_ft;
  const width_ft = typeof width === 'number' ? width : bottomWidth(width.outside_in, depth_ft);
  if (depth_ft < protectFrom_ft || soil === 'rock') return { depth_ft, width_ft, slope: 0, shored: false };
  const slope = slopes[soil];
  const shored = isPavement(surface) || slope * depth_ft > room_ft;
  return { depth_ft, width_ft, slope: shored ? 0 : slope, shored };
}

/** Earth in the ground per foot of hole, ft³/ft. */
export const earthPerFoot = ({ width_ft: w, depth_ft: d, slope: s }: Section): number => w * d + s * d * d;

/** Earth of the sloped end of a hole, ft³. */
export const earthOfEnd = ({ width_ft: w, depth_ft: d, slope: s }: Section): number =>
  (s * w * d * d) / 2 + (2 / 3) * s * s * d ** 3;

/** How far the top of a slope lies out from its bottom, ft. */
export const topOut = ({ depth_ft, slope }: Section): number => slope * depth_ft;

/** The section at the deepest place of a hole: protection follows from it. */
export const deepestOf = (sections: readonly Section[]): Section | undefined =>
  sections.reduce<Section | undefined>(
    (most, each) => (!most || each.depth_ft > most.depth_ft ? each : most),
    undefined,
  );
