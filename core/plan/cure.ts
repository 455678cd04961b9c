import { plain, type Figure } from '../figure.js';
import type { PlanRules } from '../job/plan-schema.js';

/** Assumed air temperature where none was given, °F, as for the resin's working time. */
const assumedTemperature_F = 70;

/**
 * Cure time of a liner at the day's temperature: the resin's data sheet, linear between its rows. Above its last row
 * that row is used, which is the longer time. Below its first row the time is unknown and longer than that row, and the
 * plan says so.
 */
export function cureHours(
  sheet: PlanRules['cure'],
  temperature_F: number | undefined,
): { readonly hours: Figure; readonly doubt: string | undefined } {
  const at_F = temperature_F ?? assumedTemperature_F;
  const [first, last] = [sheet[0], sheet.at(-1)];
  if (!first || !last) throw new Error('the cure sheet has no row');
  const above = sheet.find((row) => row.at_F >= at_F) ?? last;
  const below = sheet.findLast((row) => row.at_F <= at_F) ?? first;
  const share = above.at_F > below.at_F ? (at_F - below.at_F) / (above.at_F - below.at_F) : 0;
  const value = below.hours + share * (above.hours - below.hours);
  return {
    hours: {
      value,
      unit: 'h',
      steps: [
        {
          label: `Cure at ${plain(at_F)} °F${temperature_F === undefined ? ', taken' : ''}`,
          expression:
            above === below
              ? `${plain(value)} h`
              : `${plain(below.hours)} + (${plain(above.hours)} − ${plain(below.hours)}) × ${plain(share)} = ${plain(value)} h`,
          source: "the resin's own sheet, company rates",
        },
      ],
    },
    doubt:
      at_F < first.at_F
        ? `the resin’s sheet starts at ${plain(first.at_F)} °F; at ${plain(at_F)} °F it cures longer than ${plain(first.hours)} h: ask its maker`
        : temperature_F === undefined
          ? `the day’s temperature was not entered: the cure is planned for ${assumedTemperature_F} °F`
          : undefined,
  };
}
