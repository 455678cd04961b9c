import { plain, type Figure } from '../figure.js';
import type { PlanRules } from '../job/plan-schema.js';

/** Taken where nobody said how warm the day is, °F, as for the working time of the resin. */
const assumedTemperature_F = 70;

/**
 * How long a liner cures at the day's temperature: the resin's own sheet, straight between its rows. Hotter than the
 * sheet its last row holds, which is the longer. Colder than the sheet nobody can tell: its first row is too short, and
 * that is said.
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
          ? `nobody said how warm the day is: the cure is planned for ${assumedTemperature_F} °F`
          : undefined,
  };
}
