import type { Soil } from '../job/vocabulary.js';

/**
 * The cross-section of an excavation: width, depth, slope. ASTM D2321 for the width, 29 CFR 1926.651–652 and Appendix B
 * for protection; both quoted from memory.
 */
export interface Section {
  /** Bottom of the excavation below the ground, ft: the invert plus its bedding. */
  readonly depth_ft: number;
  readonly width_ft: number;
  /** Horizontal run of the sides per foot of depth where it is sloped. */
  readonly slope: number;
  /** May reach the depth at which protection is required. */
  readonly protect: boolean;
  /** May exceed 5 ft: dug at the deeper rate. */
  readonly deep: boolean;
  /** May exceed 20 ft: an engineer designs the protection. */
  readonly engineered: boolean;
}

/** How an excavation is protected against cave-in, over its full length. */
export const protections = ['none', 'slope', 'shore', 'shield'] as const;
export type Protection = (typeof protections)[number];

export const bedding_ft = 4 / 12;
/** Below this depth people work in it: the bottom is 3 ft wide, ft. */
export const workDepth_ft = 4;
/** From this depth the sides are shored, shielded or sloped, ft. */
export const protectFrom_ft = 5;
/** Past this depth an engineer designs the protection, ft. */
export const engineerOver_ft = 20;
const workWidth_ft = 3;

export const slopes: Readonly<Record<Soil, number>> = { rock: 0, A: 0.75, B: 1, C: 1.5, unknown: 1.5 };

/** Least bottom width for a pipe of this outside diameter (in) at this depth, ft. */
export function bottomWidth(outside_in: number, depth_ft: number): number {
  const pipe_ft = Math.max(outside_in + 16, 1.25 * outside_in + 12) / 12;
  return depth_ft > workDepth_ft ? Math.max(pipe_ft, workWidth_ft) : pipe_ft;
}

/** How deep an excavation over an invert may turn out, ft: a located depth has a percentage tolerance. */
export const mayReach = (invert_ft: number, depthMargin_percent: number): number =>
  invert_ft * (1 + depthMargin_percent / 100) + bedding_ft;

/** Section over an invert. A depth that may reach a rule's threshold is treated as reaching it. */
export function sectionAt(
  invert_ft: number,
  width: number | { outside_in: number },
  soil: Soil,
  depthMargin_percent: number,
): Section {
  const reach_ft = mayReach(invert_ft, depthMargin_percent);
  return {
    depth_ft: invert_ft + bedding_ft,
    width_ft: typeof width === 'number' ? width : bottomWidth(width.outside_in, reach_ft),
    slope: slopes[soil],
    protect: reach_ft >= protectFrom_ft && soil !== 'rock',
    deep: reach_ft > protectFrom_ft,
    engineered: reach_ft > engineerOver_ft,
  };
}

const slopeOf = (section: Section, held: Protection): number => (held === 'slope' ? section.slope : 0);

/** Excavated volume per foot of hole, ft³/ft. */
export function earthPerFoot(section: Section, held: Protection): number {
  const [w, d, s] = [section.width_ft, section.depth_ft, slopeOf(section, held)];
  return w * d + s * d * d;
}

/** Volume of the sloped end of an excavation, ft³. */
export function earthOfEnd(section: Section, held: Protection): number {
  const [w, d, s] = [section.width_ft, section.depth_ft, slopeOf(section, held)];
  return (s * w * d * d) / 2 + (2 / 3) * s * s * d ** 3;
}

/** Horizontal run of an excavation's sides, ft. */
export const topOut = (section: Section, held: Protection): number =>
  slopeOf(section, held) * section.depth_ft;

/** The section at the deepest place of an excavation, which decides its protection. */
export const deepestOf = (sections: readonly Section[]): Section | undefined =>
  sections.reduce<Section | undefined>(
    (most, each) => (!most || each.depth_ft > most.depth_ft ? each : most),
    undefined,
  );
