import { sayPointKind } from '../job/point-words.js';
import type { Point } from '../job/schema.js';
import type { PointKind } from '../job/vocabulary.js';
import type { EarlierThing, LogContext } from './context.js';
import type { Draft } from './draft.js';

/** A point of the same kind this close on the counter is the one already read, ft. */
export const nearPoint_ft = 4;
/** Two readings this close on one pass are the same thing called twice, ft. */
const once_ft = 0.3;
/** A cleanout this close to the counter's zero is the camera's access point, ft. */
const zero_ft = 1;

export type PointRead =
  { readonly id: string; readonly point: Point; readonly isNew: boolean } | { readonly refused: string };

export const knownKind = ({ kind }: Pick<Point, 'kind'>): string => `a ${sayPointKind(kind)}`;

/** The point named or found, with the fields given for it. */
export function pointOf(
  draft: Draft,
  which: NonNullable<Draft['point']>,
  reading_ft: number | undefined,
  context: LogContext,
  entries: readonly EarlierThing[],
): PointRead {
  const found =
    'id' in which
      ? context.points.find(({ id }) => id === which.id)
      : knownOf(which.kind, reading_ft, draft, context, entries);
  if (found !== undefined && 'refused' in found) return found;
  if (found) {
    const { reading_ft: _reading, ...point } = found;
    const { name: _name, ...about } = draft.aboutPoint;
    // A line that was thought to run to the main ends at a tank.
    const kind = 'kind' in which && which.kind === 'septic-tank' ? { kind: which.kind } : {};
    return { id: found.id, point: { ...point, ...about, ...kind }, isNew: false };
  }
  const kind = 'kind' in which ? which.kind : 'other';
  const point = { ...newPoint(kind, context, draft.aboutPoint.name), ...draft.aboutPoint };
  return { id: point.id, point, isNew: true };
}

/**
 * The main ends the line; a cleanout at the counter's zero is the access point; any other kind is the nearest one of
 * that kind not read elsewhere on this pass, or the only one with an unknown place.
 */
function knownOf(
  kind: PointKind,
  reading_ft: number | undefined,
  draft: Draft,
  context: LogContext,
  entries: readonly EarlierThing[],
) {
  const end = context.points.find(({ id }) => id === context.end);
  if (kind === 'main' && end && end.kind !== 'main' && !isEnd(end.kind)) {
    const at = end.reading_ft;
    if (at !== undefined && reading_ft !== undefined && Math.abs(at - reading_ft) > nearPoint_ft)
      return {
        refused: `this line joins the other one at about ${Math.round(10 * at) / 10}: the main is a reading of the other line. Write it in that line's log`,
      };
  }
  const endsAtTank = kind === 'septic-tank' && end?.kind === 'main' && end.reading_ft === undefined;
  if (kind === 'main' || endsAtTank || (end?.kind === kind && isEnd(kind))) return end;
  const access = context.points.find(({ id }) => id === context.access);
  if (access?.kind === kind && reading_ft !== undefined && reading_ft <= zero_ft) return access;
  const pass = draft.fields.pass ?? context.pass;
  const readElsewhere = (id: string) =>
    entries.some(
      ({ entry, elsewhere }) =>
        !elsewhere &&
        entry.kind === 'point' &&
        entry.point === id &&
        (entry.pass ?? 'back') === pass &&
        entry.reading_ft !== undefined &&
        reading_ft !== undefined &&
        Math.abs(entry.reading_ft - reading_ft) > once_ft,
    );
  const same = context.points.filter(
    (point) => point.kind === kind && point.id !== context.access && !readElsewhere(point.id),
  );
  const near = same
    .filter((point) => point.reading_ft !== undefined && reading_ft !== undefined)
    .map((point) => ({ point, away: Math.abs((point.reading_ft ?? 0) - (reading_ft ?? 0)) }))
    .sort((a, b) => a.away - b.away)[0];
  if (near && near.away <= nearPoint_ft) return near.point;
  const unplaced = same.filter((point) => point.reading_ft === undefined && point.station_ft === undefined);
  return unplaced.length === 1 ? unplaced[0] : undefined;
}

const isEnd = (kind: PointKind): boolean => kind === 'manhole' || kind === 'septic-tank';

/**
 * Counter reading at the point or finding that gives the place, ft: "debris at the main", "locate the offset", "at the
 * laundry branch". Undefined where this run has not passed one.
 */
export function besideOf(
  { besidePoint, besideFinding, served }: Draft,
  entries: readonly EarlierThing[],
  { points }: LogContext,
): number | undefined {
  const here = entries.filter(({ entry, elsewhere }) => !elsewhere && entry.reading_ft !== undefined);
  if (besideFinding !== undefined && besidePoint === undefined)
    return here.findLast(({ entry }) => entry.kind === 'finding' && entry.finding === besideFinding)?.entry
      .reading_ft;
  const ofKind = here.filter(
    ({ entry }) =>
      entry.kind === 'point' && points.some(({ id, kind }) => id === entry.point && kind === besidePoint),
  );
  const named = ofKind.filter(
    ({ entry }) =>
      served !== undefined &&
      entry.kind === 'point' &&
      points.some(({ id, name }) => id === entry.point && name?.includes(served) === true),
  );
  const written = (named.at(-1) ?? ofKind.at(-1))?.entry.reading_ft;
  if (written !== undefined) return written;
  const known = points.filter(({ kind, reading_ft }) => kind === besidePoint && reading_ft !== undefined);
  return known.length === 1 ? known[0]?.reading_ft : undefined;
}

/** A new point, with an id and name unused on the line. */
export function newPoint(
  kind: PointKind,
  { points, entries = [] }: Pick<LogContext, 'points' | 'entries'>,
  called?: string,
): Point {
  const word = sayPointKind(kind);
  const taken = new Set([...points, ...entries].map(({ id }) => id));
  for (let next = 1; ; next++) {
    const id = `${kind}-${next}`;
    const name = called ?? `${word} ${next}`;
    if (!taken.has(id) && (called !== undefined || !points.some((point) => point.name === name)))
      return { id, kind, name };
  }
}
