import { plain, type Figure } from '../figure.js';
import type { Material } from '../job/vocabulary.js';

/** New pipe for one dig, burst or regrade. */
export interface LaidPipe {
  readonly material: Material;
  readonly diameter_in: number;
  readonly laid: Figure;
}

const burstPerPit_ft = 2;

/**
 * Laid length of new pipe, ft. The counter runs along the pipe, so it is the difference of the stations, not the map
 * distance; bursting pulls 2 ft more into each pit. Common practice.
 */
export function laidLength(input: {
  from_ft: number;
  to_ft: number;
  material: Material;
  diameter_in: number;
  /** Pits at the ends of a burst. */
  pits: number;
}): LaidPipe {
  const between = input.to_ft - input.from_ft;
  const drawn = burstPerPit_ft * input.pits;
  return {
    material: input.material,
    diameter_in: input.diameter_in,
    laid: {
      value: between + drawn,
      unit: 'ft',
      steps: [
        {
          label: 'Along the pipe',
          expression: `${plain(input.to_ft)} − ${plain(input.from_ft)} = ${plain(between)}`,
        },
        ...(drawn > 0
          ? [
              {
                label: 'Pulled into each pit',
                expression: `+ ${input.pits} × ${burstPerPit_ft}`,
                source: 'common practice',
              },
            ]
          : []),
      ],
    },
  };
}
