import type { Edit } from '../../core/job/edit.js';
import type { LineHead } from '../../core/job/schema.js';
import { sameJson } from '../../core/job/merge.js';
import { sayEntry } from '../../core/logline/say.js';

/** Words for the fields of a job, a line and a run, where they are not their own word. */
const fieldWords: Readonly<Record<string, string>> = {
  inspectedOn: 'date',
  site: 'site',
  serves: 'what drains here',
  noDig: 'no-dig stretches',
  groundwater_ft: 'groundwater',
  zeroReading_ft: 'zero reading',
};

/** What a change did, in a sentence: "Roots, 15 %… at 46 → Roots, 30 %… at 46". */
export function sayChange(edit: Edit, before: Edit): string {
  switch (edit.kind) {
    case 'entry': {
      const was = before.kind === 'entry' ? before.set : null;
      if (edit.set === null) return was ? `Deleted: ${sayEntry(was)}` : 'Deleted an entry';
      if (was === null) return sayEntry(edit.set);
      return sayEntry(was) === sayEntry(edit.set)
        ? `${sayEntry(edit.set)}: ${changedFields(was, edit.set)}`
        : `${sayEntry(was)} → ${sayEntry(edit.set)}`;
    }
    case 'run':
      if (edit.set === null) return `Deleted run ${edit.run}`;
      return before.set === null
        ? `Added run ${edit.run}`
        : `Run ${edit.run}: ${changedFields(before.set, edit.set)}`;
    case 'line':
      if (edit.set === null) return `Deleted line ${edit.line}`;
      return before.set === null
        ? `Added line ${edit.line}`
        : `${edit.set.name ?? edit.line}: ${lineChange(before.set as LineHead, edit.set)}`;
    case 'accepted':
      return edit.set ? `Offer accepted on ${edit.set.on}` : 'Acceptance of the offer taken back';
    case 'job':
      return `Job: ${before.set === null ? 'added' : changedFields(before.set, edit.set)}`;
  }
}

function changedFields(before: object, after: object): string {
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
      .join(', ') || 'nothing changed'
  );
}

function shown(value: unknown): string {
  if (value === undefined || value === '') return 'none';
  return typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean'
    ? String(value)
    : '…';
}

function lineChange(before: LineHead, after: LineHead): string {
  const names = (all: LineHead['points']) => new Map(all.map((point) => [point.id, point]));
  const [old, now] = [names(before.points), names(after.points)];
  const points = [
    ...after.points.filter(({ id }) => !old.has(id)).map(({ id, name }) => `added ${name ?? id}`),
    ...before.points.filter(({ id }) => !now.has(id)).map(({ id, name }) => `removed ${name ?? id}`),
    ...after.points
      .filter((point) => old.has(point.id) && !sameJson(old.get(point.id), point))
      .map((point) => `${point.name ?? point.id}: ${changedFields(old.get(point.id) ?? {}, point)}`),
  ];
  const rest = changedFields({ ...before, points: [] }, { ...after, points: [] });
  return [...points, ...(rest === 'nothing changed' && points.length > 0 ? [] : [rest])].join(', ');
}

/** Whether bringing this back restores something that is gone. */
export const isDeletion = (edit: Edit): boolean => edit.set === null;
