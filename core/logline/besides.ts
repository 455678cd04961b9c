import type { PointKind } from '../job/vocabulary.js';
import { oneChange } from './change.js';
import type { EntryDraft, EarlierThing, LogContext } from './context.js';
import { nearPoint_ft } from './points.js';
import { isCleanout, kindOfPoint, newDraft, usualBends, type Draft } from './draft.js';

/**
 * Takes out of a draft what it says besides its own thing, as drafts at the same place: the pipes of "clay to abs with
 * an offset", the wye of "the wye is broken" and of "a broken wye", the depth of "roots at 41, 5 ft deep". A correction
 * stays whole.
 */
export function takeBesides(draft: Draft): { readonly before: Draft[]; readonly after: Draft[] } {
  const before: Draft[] = [];
  const after: Draft[] = [];
  if (draft.correcting) return { before, after };
  const { pass, about, depth_ft } = draft.fields;
  const shared = Object.fromEntries(
    Object.entries({ pass, about }).filter(([, value]) => value !== undefined),
  );
  if (draft.finding !== undefined && draft.pipes.length === 2) {
    const { pipes, swapped } = draft;
    before.push({
      ...{ ...newDraft(), kind: 'change', pipes, changing: true, fields: { ...shared } },
      ...(swapped ? { swapped } : {}),
    });
    draft.pipes = [];
  }
  if (draft.finding !== undefined) before.push(...pointsOf(draft, shared));
  const { within } = draft;
  if (within) after.push({ ...newDraft(), finding: within.finding, fields: { ...shared, ...within.with } });
  const isNamed =
    draft.finding !== undefined ||
    ['joint', 'change'].includes(draft.kind ?? '') ||
    (draft.kind === 'point' && !isCleanout(draft));
  if (depth_ft !== undefined && isNamed) {
    after.push({ ...newDraft(), kind: 'locate', fields: { ...shared, depth_ft } });
    delete draft.fields.depth_ft;
  }
  return { before, after };
}

/** Points in which a finding may lie. */
export const hollow: ReadonlySet<PointKind> = new Set<PointKind>([
  'tie-in',
  'bend',
  'main',
  'valve',
  'trap',
  'manhole',
  'septic-tank',
]);

/** The point of a draft that also names a finding: "the tap sticks in", "a cracked 45° bend". */
function pointsOf(draft: Draft, shared: Readonly<Record<string, unknown>>): Draft[] {
  const { point, aboutPoint, foundIn, fields, numbers } = draft;
  const kind = kindOfPoint(draft);
  if (point) {
    if (kind === undefined || !hollow.has(kind)) return [];
    const clock = kind === 'tie-in' && fields.clock !== undefined ? { clock: fields.clock } : {};
    const turn =
      kind === 'bend' ? numbers.findIndex(({ value }, i) => i > 0 && usualBends.includes(value)) : -1;
    const [degrees] = turn < 0 ? [] : numbers.splice(turn, 1);
    const about = degrees ? { degrees: degrees.value, ...aboutPoint } : aboutPoint;
    return [{ ...newDraft(), kind: 'point', point, aboutPoint: about, fields: { ...clock, ...shared } }];
  }
  // Along a stretch, or at a place taken from what came before, the point only tells more of the finding.
  const isPlaced = numbers.length > 0 && fields.to_ft === undefined && !draft.bareRange;
  if (!foundIn || !isPlaced) return [];
  const { kind: its, about } = foundIn;
  const served = draft.served === undefined ? {} : { served: draft.served };
  return [
    {
      ...{ ...newDraft(), kind: 'point', point: { kind: its }, foundIn, ...served },
      ...{ aboutPoint: { ...aboutPoint, ...about }, fields: { ...shared } },
    },
  ];
}

/** A point named only for the finding in it is one that is read or known close by; a line has one main. */
function isKnownPoint(
  { foundIn }: Draft,
  reading_ft: number | undefined,
  { points }: LogContext,
  known: readonly EarlierThing[],
): boolean {
  if (!foundIn) return false;
  const ids = new Set(points.filter(({ kind }) => kind === foundIn.kind).map(({ id }) => id));
  const isNear = (at_ft: number | undefined) =>
    at_ft !== undefined &&
    (foundIn.kind === 'main' || Math.abs(at_ft - (reading_ft ?? at_ft)) <= nearPoint_ft);
  return (
    known.some(
      ({ entry, elsewhere }) =>
        !elsewhere && entry.kind === 'point' && ids.has(entry.point) && isNear(entry.reading_ft),
    ) || points.some((point) => ids.has(point.id) && foundIn.kind !== 'main' && isNear(point.reading_ft))
  );
}

/** What a draft says besides its own thing is written already, or known. */
export const isKnown = (
  beside: Draft,
  said: EntryDraft,
  context: LogContext,
  known: readonly EarlierThing[],
): boolean => isKnownPoint(beside, said.reading_ft, context, known) || isWritten(said, known);

/** Said of a finding that is written already, within a foot: "roots in the crack" after the crack. */
const isWritten = (said: EntryDraft, known: readonly EarlierThing[]): boolean =>
  said.kind === 'finding' &&
  known.some(({ entry, elsewhere }) => {
    if (elsewhere || entry.kind !== 'finding' || entry.finding !== said.finding) return false;
    const ends = [entry.reading_ft ?? Infinity, entry.to_ft ?? entry.reading_ft ?? Infinity];
    const at_ft = said.reading_ft ?? -Infinity;
    return at_ft >= Math.min(...ends) - 1 && at_ft <= Math.max(...ends) + 1;
  });

/** A second one is meant. */
const another = /\b(?:another|second|third|more|also|again|other|plus)\b/i;

/**
 * One entry of two readings of a line that say the same thing at the same place: the two sides of a change of pipe, or
 * "fine roots, just whiskers". Undefined where they are two things. `said` are the words of the later one; `isPlaced`, asked only
 * where it decides, shows whether these name a place.
 */
export function oneThing(
  one: EntryDraft | undefined,
  other: EntryDraft | undefined,
  said: string,
  isPlaced: () => boolean,
): EntryDraft | undefined {
  const change = oneChange(one, other);
  if (change || !one || !other) return change;
  const isSame =
    (one.kind === 'finding' && other.kind === 'finding' && one.finding === other.finding) ||
    (one.kind === 'point' && other.kind === 'point' && one.point === other.point);
  if (!isSame || another.test(said) || isPlaced()) return undefined;
  const before = new Map<string, unknown>(Object.entries(one));
  const differs = Object.entries(other).some(
    ([key, value]) => before.has(key) && JSON.stringify(before.get(key)) !== JSON.stringify(value),
  );
  return differs ? undefined : Object.assign({ ...one }, other);
}
