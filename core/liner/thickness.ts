import { tolerance } from '../units.js';
import { plain, type Step } from '../figure.js';
import { surfaceRow, type SurfaceKind } from '../catalog/surfaces.js';
import { straightBetween } from '../straight-between.js';

/**
 * Wall thickness of a cured liner by every criterion, in. ASTM F1216 appendix X1, quoted from memory; the least
 * stiffness is a house rule. C is squared (cubed bracket): recent editions take it to the first power and come out
 * thinner, so this form is the safer one.
 */
export interface LinerLoads {
  /** Inside diameter of the host, in. */
  readonly host_in: number;
  /** Invert below the ground, ft. */
  readonly invert_ft: number;
  /** Water above the invert, ft. */
  readonly waterOverInvert_ft: number;
  readonly ovality_percent: number;
  readonly surface: SurfaceKind | undefined;
  /** Exposed pipe in a crawl space carries no earth or water load. */
  readonly exposed: boolean;
}

export type Criterion = 'partly deteriorated' | 'out of round' | 'fully deteriorated' | 'least stiffness';

export interface Thickness {
  readonly needed_in: number;
  readonly governs: Criterion;
  readonly by: Readonly<Partial<Record<Criterion, number>>>;
}

const E = 250_000;
const E_L = 125_000;
const sigma_L = 2_250;
const N = 2;
const K = 7;
const nu = 0.3;
const leastStiffness = 0.093;
const psiPerFoot = 0.433;
const soilWeight_pcf = 120;
const soilModulus_psi = 1_000;
const source = 'ASTM F1216 appendix X1, from memory';

/** Ovality reduction factor C. */
export function ovalityFactor(ovality_percent: number): number {
  const q = ovality_percent / 100;
  return ((1 - q) / (1 + q) ** 2) ** 3;
}

export function partlyDeteriorated(host_in: number, head_ft: number, ovality_percent: number): number {
  if (head_ft <= 0) return host_in / 100;
  const pressure = psiPerFoot * head_ft;
  return (
    host_in /
    (1 + ((2 * K * E_L * ovalityFactor(ovality_percent)) / ((1 - nu ** 2) * N * pressure)) ** (1 / 3))
  );
}

export function outOfRound(host_in: number, head_ft: number, ovality_percent: number): number {
  if (head_ft <= 0 || ovality_percent <= 0) return 0;
  const q = ovality_percent / 100;
  const [a, b, c] = [1.5 * q * (1 + q), -0.5 * (1 + q), -sigma_L / (psiPerFoot * head_ft * N)];
  const ratio = (-b + Math.sqrt(b * b - 4 * a * c)) / (2 * a);
  return host_in / ratio;
}

/** Total load on a fully deteriorated pipe, psi; heads and cover above the crown, ft. */
export function totalLoad(cover_ft: number, waterOverCrown_ft: number, live_psi: number): number {
  return (
    psiPerFoot * waterOverCrown_ft +
    (soilWeight_pcf * cover_ft * buoyancy(cover_ft, waterOverCrown_ft)) / 144 +
    live_psi
  );
}

const buoyancy = (cover_ft: number, water_ft: number) =>
  cover_ft <= 0 ? 1 : Math.max(0.67, 1 - (0.33 * water_ft) / cover_ft);

export function fullyDeteriorated(
  host_in: number,
  cover_ft: number,
  waterOverCrown_ft: number,
  live_psi: number,
  ovality_percent: number,
  soilModulus = soilModulus_psi,
): number {
  const load = totalLoad(cover_ft, waterOverCrown_ft, live_psi);
  const support = 1 / (1 + 4 * Math.exp(-0.065 * cover_ft));
  const R_w = buoyancy(cover_ft, waterOverCrown_ft);
  return (
    0.721 *
    host_in *
    ((N * load) / ovalityFactor(ovality_percent)) ** (2 / 3) *
    (E_L * R_w * support * soilModulus) ** (-1 / 3)
  );
}

export const forStiffness = (host_in: number): number => host_in / (E / (12 * leastStiffness)) ** (1 / 3);

/** H-20 wheel load with impact by cover (ft), psi: a published table, from memory. */
const wheel_psi: readonly (readonly [number, number])[] = [
  [1, 12.5],
  [2, 5.56],
  [3, 4.17],
  [4, 2.78],
  [5, 1.74],
  [6, 1.39],
  [7, 1.22],
  [8, 0.69],
];

/** Live load at a cover (ft) under a surface, psi; none below 8 ft. */
export function liveLoad(cover_ft: number, surface: SurfaceKind | undefined): number {
  if (!surface || !surfaceRow(surface).driven || cover_ft > 8) return 0;
  return straightBetween(wheel_psi, cover_ft);
}

function headsOf({ host_in, invert_ft, waterOverInvert_ft }: LinerLoads) {
  const cover_ft = Math.max(0, invert_ft - host_in / 12);
  const head_ft = Math.max(0, waterOverInvert_ft);
  return { cover_ft, head_ft, overCrown_ft: Math.min(cover_ft, Math.max(0, head_ft - host_in / 12)) };
}

/** Required thickness at one place and the governing criterion. */
export function linerThickness(loads: LinerLoads): Thickness {
  const { host_in, ovality_percent: q } = loads;
  const { cover_ft, head_ft, overCrown_ft } = headsOf(loads);
  const live_psi = liveLoad(cover_ft, loads.surface);
  const by: Partial<Record<Criterion, number>> = loads.exposed
    ? { 'least stiffness': forStiffness(host_in) }
    : {
        'partly deteriorated': partlyDeteriorated(host_in, head_ft, q),
        'out of round': outOfRound(host_in, head_ft, q),
        'fully deteriorated': fullyDeteriorated(host_in, cover_ft, overCrown_ft, live_psi, q),
        'least stiffness': forStiffness(host_in),
      };
  const [governs, needed_in] = (Object.entries(by) as [Criterion, number][]).reduce((most, each) =>
    each[1] > most[1] ? each : most,
  );
  return { needed_in, governs, by };
}

/** Result of each criterion, for the opened figure. */
export function thicknessSteps(loads: LinerLoads): Step[] {
  const { host_in, ovality_percent: q, surface } = loads;
  const { by, governs } = linerThickness(loads);
  const { cover_ft, head_ft, overCrown_ft } = headsOf(loads);
  const live_psi = liveLoad(cover_ft, surface);
  const inputs: Record<Criterion, string> = {
    'partly deteriorated': `D ${plain(host_in)} in, ${plain(head_ft)} ft of water over the invert, ${plain(q)} % oval`,
    'out of round': `D ${plain(host_in)} in, ${plain(head_ft)} ft of water, ${plain(q)} % oval`,
    'fully deteriorated': `cover ${plain(cover_ft)} ft, water ${plain(overCrown_ft)} ft over the crown, wheels ${plain(live_psi)} psi: ${plain(totalLoad(cover_ft, overCrown_ft, live_psi), 3)} psi`,
    'least stiffness': `E ÷ 12 DR³ ≥ ${leastStiffness} psi`,
  };
  return (Object.entries(by) as [Criterion, number][]).map(([criterion, value]) => ({
    label: criterion === governs ? `${criterion}, governs` : criterion,
    expression: `${inputs[criterion]} → ${plain(value, 4)} in`,
    source: criterion === 'least stiffness' ? 'house rule' : source,
  }));
}

/** Thicknesses liners are made in, in (3.0, 4.5 and 6.0 mm). */
const madeThicknesses_in = [0.118, 0.177, 0.236] as const;
export type MadeThicknessIn = (typeof madeThicknesses_in)[number];

/** The thinnest made liner that is thick enough; undefined over 6.0 mm. */
export function madeThickness(needed_in: number): MadeThicknessIn | undefined {
  return madeThicknesses_in.find((made) => made >= needed_in - tolerance.exact);
}
