import { tolerance } from '../units.js';
import { plain, type Figure } from '../figure.js';
import type { Rules } from '../job/rules.js';
import type { Interval } from '../line/intervals.js';
import type { LineModel } from '../line/model.js';
import { manning, roughness, selfCleansing_ft_s } from './flow.js';
import { leastSlope } from './least-slope.js';

/** Fall of one stretch of existing pipe between two located depths, and its full capacity. */
export interface Fall extends Interval {
  /** Invert elevations at its ends, ft; 0 is ground level where no elevation was given. */
  readonly inverts_ft: readonly [number, number];
  /** Inches per foot; negative where it rises downstream. */
  readonly slope: Figure;
  readonly least_in_per_ft: number;
  readonly enough: boolean;
  /** Flowing full, gal/min; 0 where it does not fall. */
  readonly capacity_gpm: number;
  readonly velocity_ft_s: number;
  readonly selfCleansing: boolean;
}

/**
 * The fall of a line in stretches of uniform slope and pipe; empty where fewer than two depths were located, since the
 * fall is then unknown. Manning, flowing full.
 */
export function fallsOf({ profile, pipes, extent }: LineModel, rules: Rules): Fall[] {
  if (!profile.graded) return [];
  const stations = [
    extent.from_ft,
    ...profile.located.map(({ station_ft }) => station_ft),
    ...pipes.map(({ from_ft }) => from_ft),
    extent.to_ft,
  ]
    .filter((x) => x >= extent.from_ft && x <= extent.to_ft)
    .sort((a, b) => a - b)
    .filter((x, i, all) => i === 0 || x - (all[i - 1] ?? x) > tolerance.ft);
  return stations.slice(1).flatMap((to_ft, i): Fall[] => {
    const from_ft = stations[i] ?? to_ft;
    const pipe = pipes.find(
      (each) => each.from_ft <= from_ft + tolerance.ft && to_ft <= each.to_ft + tolerance.ft,
    );
    if (!pipe) return [];
    const [high, low] = [profile.invert(from_ft), profile.invert(to_ft)];
    const slope = (high - low) / (to_ft - from_ft);
    const least = leastSlope(pipe.diameter_in, rules);
    const { gpm, velocity_ft_s } = manning(pipe.diameter_in, slope, roughness(pipe.material));
    return [
      {
        from_ft,
        to_ft,
        inverts_ft: [high, low],
        slope: {
          value: slope * 12,
          unit: 'in/ft',
          steps: [
            {
              label: 'Fall over length',
              expression: `(${plain(high)} − ${plain(low)}) × 12 ÷ (${plain(to_ft)} − ${plain(from_ft)}) = ${plain(slope * 12, 3)} in/ft`,
              source: 'located depths, straight between',
            },
          ],
        },
        least_in_per_ft: least * 12,
        enough: slope >= least - tolerance.exact,
        capacity_gpm: gpm,
        velocity_ft_s,
        selfCleansing: velocity_ft_s >= selfCleansing_ft_s,
      },
    ];
  });
}
