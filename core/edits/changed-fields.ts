import { sameJson } from './merge.js';

export const nothingChanged = 'nothing changed';

/** Display names for fields of a job, line or run, where the field name itself will not do. */
const fieldWords: Readonly<Record<string, string>> = {
  inspectedOn: 'date',
  site: 'site',
  serves: 'what drains here',
  noDig: 'no-dig stretches',
  groundwater_ft: 'groundwater',
  zeroReading_ft: 'zero reading',
};

/** The fields that differ, with old and new values where they fit in a sentence. */
export function changedFields(before: object, after: object): string {
  const [old, now] = [before as Record<string, unknown>, after as Record<string, unknown>];
  const fields = [...new Set([...Object.keys(old), ...Object.keys(now)])].filter(
    (field) => !sameJson(old[field], now[field]),
  );
  return (
    fields
      .map((field) => {
        const word = fieldWords[field] ?? field.replace(/_.*$/, '');
        const [was, is] = [old[field], now[field]];
        const simple = [was, is].every((value) => value === undefined || typeof value !== 'object');
        return simple ? `${word} ${shown(was)} → ${shown(is)}` : word;
      })
      .join(', ') || nothingChanged
  );
}

function shown(value: unknown): string {
  if (value === undefined || value === '') return 'none';
  return typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean'
    ? String(value)
    : '…';
}
