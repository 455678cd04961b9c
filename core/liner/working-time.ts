import { plain, type Figure } from '../figure.js';
import type { Rules } from '../job/rules-schema.js';

/** Resin must stay workable this many times as long as wetting out and putting in take. House rule. */
export const leastWorkingRatio = 1.3;
const assumedTemperature_F = 70;

export interface WorkingTime {
  /** How long the resin can be worked at the day's temperature, min. */
  readonly potLife: Figure;
  /** How long wetting out and putting in take, min. */
  readonly needed: Figure;
  /** Of that, putting in, min. */
  readonly insertion: Figure;
  readonly temperature_F: number;
  readonly temperatureAssumed: boolean;
  /** What is wrong with the time there is; undefined where it is long enough. */
  readonly short: string | undefined;
}

/**
 * Whether the resin of one liner stays workable until it lies in place: the resin's own sheet, straight between its
 * rows, against wetting out and putting in by the foot. Colder than the sheet, its first row holds, which is the
 * shorter; hotter than the sheet nothing is known, so it is short. Common practice.
 */
export function workingTime(cut_ft: number, rules: Rules, temperature_F: number | undefined): WorkingTime {
  const at_F = temperature_F ?? assumedTemperature_F;
  const needed_min = rules.setting_min + cut_ft * (rules.wetOut_min_per_ft + rules.insertion_min_per_ft);
  const insertion_min = cut_ft * rules.insertion_min_per_ft;
  const rows = rules.potLife;
  const hottest = rows.at(-1);
  const above = rows.findIndex((row) => row.at_F >= at_F);
  const [low, high] = [rows[Math.max(0, above - 1)], rows[above]];
  const tooHot = above < 0;
  const potLife_min =
    tooHot || !low || !high
      ? (hottest?.min ?? 0)
      : low === high
        ? high.min
        : low.min + ((high.min - low.min) * (at_F - low.at_F)) / (high.at_F - low.at_F);
  const ratio = needed_min > 0 ? potLife_min / needed_min : Infinity;
  const short = tooHot
    ? `${plain(at_F, 0)} °F is hotter than the resin’s sheet tells (${hottest?.at_F ?? 0} °F): cool the resin, or wait`
    : ratio < leastWorkingRatio
      ? `the resin can be worked for ${plain(potLife_min, 0)} min at ${plain(at_F, 0)} °F, and wetting out and putting in take ${plain(needed_min, 0)}: under ${leastWorkingRatio} times. Cool the resin, take a slower one, or more hands`
      : undefined;
  return {
    potLife: {
      value: potLife_min,
      unit: 'min',
      steps: [
        {
          label: 'Workable at the day’s temperature',
          expression:
            tooHot || !low || !high || low === high
              ? `${plain(at_F, 1)} °F → ${plain(potLife_min, 1)} min`
              : `between ${low.min} min at ${low.at_F} °F and ${high.min} min at ${high.at_F} °F, at ${plain(at_F, 1)} °F: ${plain(potLife_min, 1)} min`,
          source: 'the resin’s sheet, house rules',
        },
      ],
    },
    needed: {
      value: needed_min,
      unit: 'min',
      steps: [
        {
          label: 'Set, wet out and put in',
          expression: `${plain(rules.setting_min)} + ${plain(cut_ft)} × (${plain(rules.wetOut_min_per_ft, 3)} + ${plain(rules.insertion_min_per_ft, 3)}) = ${plain(needed_min, 1)}`,
          source: 'house rules, common practice',
        },
      ],
    },
    insertion: {
      value: insertion_min,
      unit: 'min',
      steps: [
        {
          label: 'Put in',
          expression: `${plain(cut_ft)} × ${plain(rules.insertion_min_per_ft, 3)} = ${plain(insertion_min, 1)}`,
          source: 'house rules, common practice',
        },
      ],
    },
    temperature_F: at_F,
    temperatureAssumed: temperature_F === undefined,
    short,
  };
}
