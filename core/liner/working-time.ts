import { plain, type Figure } from '../figure.js';
import type { Rules } from '../job/rules.js';

/** Working time must be at least this multiple of the wet-out and insertion time. House rule. */
export const leastWorkingRatio = 1.3;
const assumedTemperature_F = 70;

export interface WorkingTime {
  /** Working time of the resin at the day's temperature, min. */
  readonly potLife: Figure;
  /** Wet-out and insertion time, min. */
  readonly needed: Figure;
  /** The insertion part of it, min. */
  readonly insertion: Figure;
  readonly temperature_F: number;
  readonly temperatureAssumed: boolean;
  /** What is wrong where the working time is too short; undefined where it is long enough. */
  readonly short: string | undefined;
}

/**
 * Whether the resin of one liner stays workable until the liner is in place: the resin's data sheet, linear between its
 * rows, against wet-out and insertion time. Below the coldest row that row is used, which is the shorter time; above
 * the hottest nothing is known, so it counts as too short. Common practice.
 */
export function workingTime(cut_ft: number, rules: Rules, temperature_F: number | undefined): WorkingTime {
  const at_F = temperature_F ?? assumedTemperature_F;
  const { potLife, hotterThan_F } = potLifeAt(at_F, rules);
  const insertion_min = cut_ft * rules.insertion_min_per_ft;
  const needed_min = rules.setting_min + cut_ft * (rules.wetOut_min_per_ft + rules.insertion_min_per_ft);
  const minutes = (value: number, label: string, expression: string): Figure => ({
    value,
    unit: 'min',
    steps: [{ label, expression, source: 'house rules, common practice' }],
  });
  return {
    potLife,
    needed: minutes(
      needed_min,
      'Set, wet out and insert',
      `${plain(rules.setting_min)} + ${plain(cut_ft)} × (${plain(rules.wetOut_min_per_ft, 3)} + ${plain(rules.insertion_min_per_ft, 3)}) = ${plain(needed_min, 1)}`,
    ),
    insertion: minutes(
      insertion_min,
      'Insert',
      `${plain(cut_ft)} × ${plain(rules.insertion_min_per_ft, 3)} = ${plain(insertion_min, 1)}`,
    ),
    temperature_F: at_F,
    temperatureAssumed: temperature_F === undefined,
    short: shortOf(potLife.value, needed_min, at_F, hotterThan_F),
  };
}

/** The resin's data sheet, linear between its rows; `hotterThan_F` where the day is hotter than its last row. */
function potLifeAt(
  at_F: number,
  { potLife: rows }: Rules,
): { potLife: Figure; hotterThan_F: number | undefined } {
  const hottest = rows.at(-1);
  const above = rows.findIndex((row) => row.at_F >= at_F);
  const [low, high] = [rows[Math.max(0, above - 1)], rows[above]];
  const known = above >= 0 && low && high ? { low, high } : undefined;
  const between = known && known.low !== known.high ? known : undefined;
  const min = between
    ? between.low.min +
      ((between.high.min - between.low.min) * (at_F - between.low.at_F)) /
        (between.high.at_F - between.low.at_F)
    : (known?.high.min ?? hottest?.min ?? 0);
  const expression = between
    ? `between ${between.low.min} min at ${between.low.at_F} °F and ${between.high.min} min at ${between.high.at_F} °F, at ${plain(at_F, 1)} °F: ${plain(min, 1)} min`
    : `${plain(at_F, 1)} °F → ${plain(min, 1)} min`;
  const label = 'Workable at the day’s temperature';
  return {
    potLife: {
      value: min,
      unit: 'min',
      steps: [{ label, expression, source: 'the resin’s sheet, house rules' }],
    },
    hotterThan_F: known ? undefined : (hottest?.at_F ?? 0),
  };
}

function shortOf(
  potLife_min: number,
  needed_min: number,
  at_F: number,
  hotterThan_F: number | undefined,
): string | undefined {
  if (hotterThan_F !== undefined) {
    return `${plain(at_F, 0)} °F is hotter than the resin’s data sheet covers (${hotterThan_F} °F): cool the resin, or wait`;
  }
  const ratio = needed_min > 0 ? potLife_min / needed_min : Infinity;
  return ratio < leastWorkingRatio
    ? `the resin can be worked for ${plain(potLife_min, 0)} min at ${plain(at_F, 0)} °F, and wet-out and insertion take ${plain(needed_min, 0)}: under ${leastWorkingRatio} times. Cool the resin, use a slower one, or add people`
    : undefined;
}
