import type { FindingEntry } from '../job/schema.js';
import type { LineModel, PlacedEntry } from '../line/model.js';

/**
 * One finding per physical defect: readings joined by `sameAs` become one finding, with later readings' fields laid
 * over the first.
 */
export function distinct(findings: LineModel['findings']): PlacedEntry<FindingEntry>[] {
  const kept = new Map<string, PlacedEntry<FindingEntry>>();
  for (const each of findings) {
    const key = `${each.entry.finding} ${each.from.key} ${each.entry.stage ?? each.run.stage ?? 'current'}`;
    const known = kept.get(key);
    if (!known) {
      kept.set(key, each);
      continue;
    }
    // The later reading corrects the first but keeps its id and the longer extent.
    const wider = each.to_ft - each.from_ft > known.to_ft - known.from_ft ? each : known;
    kept.set(key, {
      ...wider,
      run: known.run,
      entry: { ...known.entry, ...withoutPlace(each.entry), id: known.entry.id } as FindingEntry,
    });
  }
  return [...kept.values()];
}

const placeFields = new Set([
  'reading_ft',
  'to_ft',
  'pass',
  'about',
  'sameAs',
  'use',
  'video_s',
  'clip',
  'clock',
  'waterClock',
]);

function withoutPlace(entry: FindingEntry): Partial<FindingEntry> {
  const sized = 'percent' in entry || 'inches' in entry || entry.size !== undefined;
  return Object.fromEntries(
    Object.entries(entry).filter(
      ([field]) => !placeFields.has(field) && (sized || !['percent', 'inches', 'size'].includes(field)),
    ),
  );
}
