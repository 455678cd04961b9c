import { tolerance } from '../units.js';
import type { Interval } from '../line/intervals.js';
import { cellIndexAt, type Ground, type HoleKind } from './ground.js';
import { cubicFeetPerYard, endOf, footOf, type Part } from './parts.js';
import type { Protection } from './section.js';

export interface HoleQuantities {
  readonly earthTo5_yd3: number;
  readonly earthBelow5_yd3: number;
  /** Shored wall area, and shielded wall area. */
  readonly shored_ft2: number;
  readonly shielded_ft2: number;
  /** Surface to restore by kind, ft². */
  readonly restore_ft2: ReadonlyMap<string, number>;
  readonly public_ft: number;
  /** The same volume before conversion to cubic yards, along the excavation and at its two ends, ft³. */
  readonly earth_ft3: Readonly<Record<'to5' | 'below5', { along: number; ends: number }>>;
}

/** Quantities of an excavation over a reach; `launch` and `burst` pits widen it where they lie. */
export function holeQuantities(
  ground: Ground,
  hole: Interval,
  kind: HoleKind,
  held: Protection,
  widened: readonly (Interval & { kind: HoleKind })[] = [],
): HoleQuantities {
  const quantities = {
    earthTo5_yd3: 0,
    earthBelow5_yd3: 0,
    shored_ft2: 0,
    shielded_ft2: 0,
    restore_ft2: new Map<string, number>(),
    public_ft: 0,
    earth_ft3: { to5: { along: 0, ends: 0 }, below5: { along: 0, ends: 0 } },
  };
  const add = (part: Part | undefined, times: number, where: 'along' | 'ends') => {
    if (!part) return;
    const yards = (part.earth_ft3 * times) / cubicFeetPerYard;
    if (part.deep) quantities.earthBelow5_yd3 += yards;
    else quantities.earthTo5_yd3 += yards;
    quantities.earth_ft3[part.deep ? 'below5' : 'to5'][where] += part.earth_ft3 * times;
    quantities.shored_ft2 += part.shored_ft2 * times;
    quantities.shielded_ft2 += part.shielded_ft2 * times;
    quantities.restore_ft2.set(
      part.surface,
      (quantities.restore_ft2.get(part.surface) ?? 0) + part.restore_ft2 * times,
    );
  };
  for (const cell of ground.cells) {
    const within = (reach: Interval) =>
      Math.max(0, Math.min(cell.to_ft, reach.to_ft) - Math.max(cell.from_ft, reach.from_ft));
    const length = within(hole);
    add(footOf(cell, kind, held), length, 'along');
    if (cell.owner === 'public' && !cell.closedTo) quantities.public_ft += length;
    for (const wide of widened) {
      add(footOf(cell, wide.kind, held), within(wide), 'along');
      add(footOf(cell, kind, held), -within(wide), 'along');
    }
  }
  const ends = [
    { x: hole.from_ft, side: 'downstream' as const },
    { x: hole.to_ft, side: 'upstream' as const },
  ];
  for (const { x, side } of ends) {
    const cell = ground.cells[cellIndexAt(ground, x, side)];
    const wide = widened.find(
      ({ from_ft, to_ft }) => Math.abs((side === 'downstream' ? from_ft : to_ft) - x) < tolerance.exact,
    );
    if (cell) add(endOf(cell, wide?.kind ?? kind, held), 1, 'ends');
  }
  return quantities;
}
