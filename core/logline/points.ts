import type { Point } from '../job/schema.js';
import type { PointKind } from '../job/vocabulary.js';
import type { LogContext } from './context.js';
import type { Draft } from './draft.js';

/** A point of the same kind this near on the counter is the one that was read before, ft. */
const near_ft = 4;

/** The point that was named or found, with what was said of it. */
export function pointOf(
  draft: Draft,
  which: NonNullable<Draft['point']>,
  reading_ft: number | undefined,
  context: LogContext,
): { id: string; point: Point; isNew: boolean } {
  const known =
    'id' in which
      ? context.points.find(({ id }) => id === which.id)
      : knownOf(which.kind, reading_ft, context);
  if (known) {
    const { reading_ft: _reading, ...point } = known;
    return { id: known.id, point: { ...point, ...draft.aboutPoint }, isNew: false };
  }
  const kind = 'kind' in which ? which.kind : 'other';
  const point = { ...newPoint(kind, context), ...draft.aboutPoint };
  return { id: point.id, point, isNew: true };
}

/** The main ends the line; any other kind is the nearest one of it, or the only one whose place nobody knows. */
function knownOf(kind: PointKind, reading_ft: number | undefined, context: LogContext) {
  const end = context.points.find(({ id }) => id === context.end);
  if (kind === 'main' || (end?.kind === kind && kind === 'manhole')) return end;
  const same = context.points.filter((point) => point.kind === kind && point.id !== context.access);
  const near = same
    .filter((point) => point.reading_ft !== undefined && reading_ft !== undefined)
    .map((point) => ({ point, away: Math.abs((point.reading_ft ?? 0) - (reading_ft ?? 0)) }))
    .sort((a, b) => a.away - b.away)[0];
  if (near && near.away <= near_ft) return near.point;
  const unplaced = same.filter((point) => point.reading_ft === undefined && point.station_ft === undefined);
  return unplaced.length === 1 ? unplaced[0] : undefined;
}

function newPoint(kind: PointKind, { points, entries = [] }: LogContext): Point {
  const word = kind.replace('-', ' ');
  const taken = new Set([...points, ...entries].map(({ id }) => id));
  for (let next = 1; ; next++) {
    const id = `${kind}-${next}`;
    const name = `${word} ${next}`;
    if (!taken.has(id) && !points.some((point) => point.name === name)) return { id, kind, name };
  }
}
