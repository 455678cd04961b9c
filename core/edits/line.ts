import { capital } from '../capital.js';
import { sayPoint } from '../job/point-words.js';
import { sameJson } from './merge.js';
import type { LineHead } from '../job/schema.js';
import { lineHead } from './heads.js';
import { editKind, lineOf, put, type EditWords } from './kind.js';

/** A line without its runs. */
export const lineEdit = editKind({
  kind: 'line',
  schema: ({ z, idSchema, lineHeadSchema }) =>
    z.strictObject({ kind: z.literal('line'), line: idSchema, set: lineHeadSchema.nullable() }),
  read: (job, { line }) => {
    const known = lineOf(job, line);
    return known ? lineHead(known) : null;
  },
  write: (job, { line, set }) => ({
    ...job,
    lines: put(job.lines, line, set, (head, old) => ({ ...head, runs: old?.runs ?? [] })),
  }),
  things: ({ line }) => [`line ${line}`, `pins ${line}`],
  row: ({ line }) => ({ of: 'line', line }),
  say: ({ line, set }, before, job, words) => {
    const name = (set ?? before.set ?? lineOf(job, line))?.name ?? 'a line';
    if (set === null) return `Deleted ${name}`;
    if (before.set === null) return `Added ${name}`;
    return `${capital(name)}: ${lineChange(before.set, set, words)}`;
  },
});

/** Points added, removed or changed, and the other fields. */
function lineChange(before: LineHead, after: LineHead, words: EditWords): string {
  const names = (all: LineHead['points']) => new Map(all.map((point) => [point.id, point]));
  const [old, now] = [names(before.points), names(after.points)];
  const points = [
    ...after.points.filter(({ id }) => !old.has(id)).map((point) => `added ${sayPoint(point)}`),
    ...before.points.filter(({ id }) => !now.has(id)).map((point) => `removed ${sayPoint(point)}`),
    ...after.points
      .filter((point) => old.has(point.id) && !sameJson(old.get(point.id), point))
      .map((point) => `${sayPoint(point)}: ${words.changed(old.get(point.id) ?? {}, point)}`),
  ];
  const [was, is] = [before, after].map((head) => ({ ...head, points: [] }));
  const rest = points.length > 0 && sameJson(was, is) ? [] : [words.changed(was ?? {}, is ?? {})];
  return [...points, ...rest].join(', ');
}
