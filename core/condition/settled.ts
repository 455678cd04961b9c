import { kindOf } from '../findings/kinds.js';
import type { FindingEntry } from '../job/schema.js';
import { tolerance } from '../units.js';
import { covers, type Interval } from '../line/intervals.js';
import { sightOf, type LineModel, type PlacedEntry } from '../line/model.js';

/**
 * A root or deposit recorded before cleaning is settled when a full cleaning, no later than a current run, covered its
 * place and that run saw it.
 */
export function isSettled(
  placed: PlacedEntry<FindingEntry>,
  place: Interval,
  bore_in: number,
  model: LineModel,
): boolean {
  const { entry, run } = placed;
  if ((entry.stage ?? run.stage) !== 'before-cleaning') return false;
  if (!kindOf(entry.finding).cleaned) return false;
  return (model.line.cleanings ?? []).some(
    (cleaning) =>
      (cleaning.cleared ?? 'all') === 'all' &&
      (cleaning.blade_in ?? bore_in) >= bore_in - tolerance.exact &&
      covers([cleaning], place) &&
      model.line.runs.some(
        (look) =>
          (look.stage ?? 'current') === 'current' &&
          !(cleaning.on && look.on && cleaning.on > look.on) &&
          covers(sightOf(look, model), place),
      ),
  );
}
