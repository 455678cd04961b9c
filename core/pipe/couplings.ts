import { exactOutsideDiameter, type Material } from '../catalog/materials.js';

/** One banded coupling: the two pipes it joins, by outside diameter. */
export interface Coupling {
  readonly at_ft: number;
  readonly sides: readonly [CoupledPipe, CoupledPipe];
  /** An outside diameter that must be measured before this is bought. */
  readonly measure: boolean;
}

export interface CoupledPipe {
  readonly material: Material;
  readonly diameter_in: number;
  /** Null where it varies by maker and age. */
  readonly outside_in: number | null;
}

/** A coupling chosen by both outside diameters; clay, concrete, fiber and old iron have to be measured first. */
export function coupling(
  at_ft: number,
  existing: { material: Material; diameter_in: number },
  laid: { material: Material; diameter_in: number },
): Coupling {
  const sides = [existing, laid].map(({ material, diameter_in }) => ({
    material,
    diameter_in,
    outside_in: exactOutsideDiameter(material, diameter_in) ?? null,
  })) as [CoupledPipe, CoupledPipe];
  return { at_ft, sides, measure: sides.some(({ outside_in }) => outside_in === null) };
}
