import { plain, type Figure } from '../figure.js';
import type { Material } from '../job/vocabulary.js';
import { manning, roughness, selfCleansing_ft_s } from './flow.js';

/** Full-pipe capacity of a stretch before and after lining or replacement, and whether it is self-cleaning. */
export interface Capacity {
  readonly before: Figure;
  readonly after: Figure;
  readonly velocity_ft_s: number;
  readonly selfCleansing: boolean;
}

export interface CapacityInput {
  /** Slope from the located inverts, ft per ft. */
  readonly slope: number;
  readonly bore_in: number;
  readonly material: Material;
  /** Inside diameter after the work: the bore less two liner walls, or the new pipe's. */
  readonly after_in: number;
  readonly lined: boolean;
}

/** Manning's formula for both, flowing full; undefined where the pipe does not fall. */
export function capacity(input: CapacityInput): Capacity | undefined {
  const { slope } = input;
  if (slope <= 0) return undefined;
  const full = (bore_in: number, n: number): Figure => {
    const { gpm, velocity_ft_s } = manning(bore_in, slope, n);
    return {
      value: gpm,
      unit: 'gal/min',
      steps: [
        {
          label: 'Full, at the mean fall',
          expression: `D ${plain(bore_in, 3)} in, ${plain(slope * 12, 3)} in/ft, n ${n}: ${plain(velocity_ft_s)} ft/s, ${plain(gpm, 1)} gal/min`,
          source: 'Manning, V = 1.486/n R^⅔ S^½; n from handbooks',
        },
      ],
    };
  };
  const n = roughness(input.lined ? 'liner' : 'pvc-sch40');
  const { velocity_ft_s } = manning(input.after_in, slope, n);
  return {
    before: full(input.bore_in, roughness(input.material)),
    after: full(input.after_in, n),
    velocity_ft_s,
    selfCleansing: velocity_ft_s >= selfCleansing_ft_s,
  };
}
