import { oneChange } from './change.js';
import type { EntryDraft, EarlierThing } from './context.js';
import { isCleanout, isOfKind, newDraft, type Draft } from './draft.js';

/**
 * Takes out of a draft what it says besides its own thing, as drafts at the same place: the pipes of "clay to abs with
 * an offset", the branch of "the tap sticks in", the depth of "roots at 41, 5 ft deep". A correction stays whole.
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
  if (hasBranch(draft)) before.push(branchOf(draft));
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

const isTieIn = isOfKind('tie-in');

/** "a tap sticking in": a branch and its defect. */
const hasBranch = (draft: Draft): boolean => draft.finding !== undefined && isTieIn(draft);

/** The branch of a draft that also names a finding. */
function branchOf({ point, aboutPoint, fields }: Draft): Draft {
  const { clock, pass } = fields;
  return {
    ...newDraft(),
    kind: 'point',
    ...(point ? { point } : {}),
    aboutPoint,
    fields: { ...(clock === undefined ? {} : { clock }), ...(pass === undefined ? {} : { pass }) },
  };
}

/** Said of a finding that is written already, within a foot: "roots in the crack" after the crack. */
export const isWritten = (said: EntryDraft, known: readonly EarlierThing[]): boolean =>
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
