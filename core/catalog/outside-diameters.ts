import type { Material } from '../job/vocabulary.js';

/**
 * Outside diameters, in, by nominal bore. The exact ones are made to a standard (ASTM D1785, D2661, D3034, F714,
 * CISPI 301, quoted from memory) and serve for ordering; the usual ones vary by maker and serve only to tell
 * whether a step where two materials meet is normal.
 */
export const exactOutsideDiameter_in: Partial<Record<Material, Record<number, number>>> = {
  'pvc-sch40': { 3: 3.5, 4: 4.5, 6: 6.625, 8: 8.625 },
  abs: { 3: 3.5, 4: 4.5, 6: 6.625, 8: 8.625 },
  'pvc-sdr35': { 4: 4.215, 6: 6.275, 8: 8.4 },
  hdpe: { 4: 4.5, 6: 6.625, 8: 8.625 },
};

const usualOutsideDiameter_in: Partial<Record<Material, Record<number, number>>> = {
  ...exactOutsideDiameter_in,
  'cast-iron': { 3: 3.35, 4: 4.38, 6: 6.3 },
  clay: { 4: 5.1, 6: 7.4, 8: 9.8 },
  concrete: { 4: 5.3, 6: 7.4 },
  fibre: { 4: 4.6, 6: 6.8 },
  'asbestos-cement': { 4: 4.8, 6: 6.9 },
};

export function usualOutsideDiameter(material: Material, diameter_in: number): number | undefined {
  return usualOutsideDiameter_in[material]?.[diameter_in];
}
