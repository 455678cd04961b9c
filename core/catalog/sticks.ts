import type { Material } from '../job/vocabulary.js';

/** Stock lengths pipe is sold in, ft. Common practice; a supplier's list replaces them. */
export const stickLengths_ft: Partial<Record<Material, readonly number[]>> = {
  abs: [10, 20],
  'pvc-sch40': [10, 20],
  'pvc-sdr35': [10, 14, 20],
  hdpe: [20],
};
