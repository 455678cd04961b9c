import type { EntryDraft } from './context.js';
import { oneChange } from './change.js';

/** A second one is meant. */
const another = /\b(?:another|second|third|more|also|again|other|plus)\b/i;

/**
 * One entry of two readings of a line that say the same thing at the same place: the two sides of a change of pipe, or
 * "fine roots, just whiskers". Undefined where they are two things. `said` are the words of the later one; `isPlaced`, asked only
 * where it decides, tells whether these name a place.
 */
export function oneThing(
  one: EntryDraft | undefined,
  other: EntryDraft | undefined,
  said: string,
  isPlaced: () => boolean,
): EntryDraft | undefined {
  const change = oneChange(one, other);
  if (change || !one || !other) return change;
  const isSame = one.kind === 'finding' && other.kind === 'finding' && one.finding === other.finding;
  if (!isSame || another.test(said) || isPlaced()) return undefined;
  const before = new Map<string, unknown>(Object.entries(one));
  const differs = Object.entries(other).some(
    ([key, value]) => before.has(key) && JSON.stringify(before.get(key)) !== JSON.stringify(value),
  );
  return differs ? undefined : Object.assign({ ...one }, other);
}
