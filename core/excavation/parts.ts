import { isPavement, type SurfaceKind } from '../catalog/surfaces.js';
import type { Prices } from '../job/prices.js';
import type { GroundCell, HoleKind } from './ground.js';
import { earthOfEnd, earthPerFoot, topOut, type Protection } from './section.js';

export const cubicFeetPerYard = 27;
/** Pavement restored past the edge of the opening, ft each side. Common practice. */
const pavementMargin_ft = 1;

/** Quantities of one foot of an excavation, or of one of its ends: cost and quantities are both built from these. */
export interface Part {
  readonly earth_ft3: number;
  /** Deep enough to need protection: dug at the deeper rate. */
  readonly deep: boolean;
  /** Shored wall area, and shielded wall area. */
  readonly shored_ft2: number;
  readonly shielded_ft2: number;
  readonly restore_ft2: number;
  readonly surface: SurfaceKind;
}

const marginOf = ({ surface }: GroundCell) => (isPavement(surface) ? pavementMargin_ft : 0);

/** One foot of excavation through a cell. Zero where the pipe is exposed or reached by hand under a building. */
export function footOf(cell: GroundCell, kind: HoleKind, held: Protection): Part | undefined {
  if (cell.closedTo) return undefined;
  const section = cell.sections[kind];
  const walls_ft2 = 2 * section.depth_ft;
  return {
    earth_ft3: earthPerFoot(section, held),
    deep: section.deep,
    shored_ft2: held === 'shore' ? walls_ft2 : 0,
    shielded_ft2: held === 'shield' ? walls_ft2 : 0,
    restore_ft2: section.width_ft + 2 * topOut(section, held) + 2 * marginOf(cell),
    surface: cell.surface,
  };
}

/** One end of an excavation, in the cell it ends in. */
export function endOf(cell: GroundCell, kind: HoleKind, held: Protection): Part | undefined {
  if (cell.closedTo) return undefined;
  const section = cell.sections[kind];
  const out_ft = topOut(section, held) + marginOf(cell);
  const wall_ft2 = section.width_ft * section.depth_ft;
  return {
    earth_ft3: earthOfEnd(section, held),
    deep: section.deep,
    shored_ft2: held === 'shore' ? wall_ft2 : 0,
    shielded_ft2: held === 'shield' ? wall_ft2 : 0,
    restore_ft2: out_ft * (section.width_ft + 2 * out_ft),
    surface: cell.surface,
  };
}

/** Cost of a part by the price book, before markup and tax. */
export function costOf(part: Part | undefined, prices: Prices): number {
  if (!part) return 0;
  const yards = part.earth_ft3 / cubicFeetPerYard;
  const restore = prices.restore_per_ft2[part.surface] ?? 0;
  return (
    yards * ((part.deep ? prices.digBelow5_per_yd3 : prices.digTo5_per_yd3) + prices.backfill_per_yd3) +
    part.shored_ft2 * prices.support_per_ft2 +
    part.shielded_ft2 * prices.shield_per_ft2 +
    part.restore_ft2 * (restore === 'by-others' ? 0 : restore)
  );
}
