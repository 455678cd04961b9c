import type { EntryDraft } from '../logline/context.js';
import { accepted, ofBelly, takeFields } from './said-later.js';
import type { SentenceState } from './take-segment.js';
import { add, join, newest, noReadingGiven, type NarrationItem, type Talk } from './talk.js';

/** Water called this close before the camera went under it is the same, ft. */
const sameBelly_ft = 15;
/** The camera goes under about this close to where the water begins, ft. */
const near_ft = 5;

const liesThere = 'it lies where the camera was under water';

/** The newest belly called within so many feet of a reading. */
const bellyNear = (
  talk: Talk,
  reading_ft: number,
  within_ft: number,
  fits: (entry: EntryDraft) => boolean = () => true,
): NarrationItem | undefined =>
  newest(
    talk,
    (entry) =>
      entry.kind === 'finding' &&
      entry.finding === 'belly' &&
      fits(entry) &&
      Math.abs((entry.reading_ft ?? Infinity) - reading_ft) <= within_ft,
  );

/** The newest thing, where that is the camera under water. */
function underNow({ items }: Talk): (EntryDraft & { readonly reading_ft: number }) | undefined {
  const entry = items.at(-1)?.entry;
  if (entry?.kind !== 'hidden' || entry.why !== 'under water' || entry.reading_ft === undefined)
    return undefined;
  return { ...entry, reading_ft: entry.reading_ft };
}

/** "Under water at 26, out of it at 34 … that belly's an inch and a half": a belly without a place of its own lies there. */
export function placeUnderWater(talk: Talk, entry: EntryDraft, assumed: string[]): void {
  const under = underNow(talk);
  const at = assumed.indexOf(noReadingGiven);
  if (at < 0 || entry.kind !== 'finding' || entry.finding !== 'belly' || under?.to_ft === undefined) return;
  // A belly called before the camera went under is that one.
  if (bellyNear(talk, under.reading_ft, sameBelly_ft)) return;
  assumed[at] = liesThere;
  Object.assign(entry, { reading_ft: under.reading_ft, to_ft: under.to_ft });
}

/** "We go under water … it's about two inches", "a third full": of the belly that the camera is in, called before or not. */
export function standsIn(talk: Talk, said: SentenceState, more: Record<string, unknown>): boolean {
  const under = underNow(talk);
  if (!under) return false;
  const called = bellyNear(talk, under.reading_ft, sameBelly_ft);
  if (called) {
    if (!takeFields(called, more)) return false;
    join(talk, called, said.sentence.text, said.index);
  } else {
    const entry = accepted(
      { ...under, kind: 'finding', finding: 'belly', why: undefined } as unknown as EntryDraft,
      ofBelly(more),
    );
    if (!entry) return false;
    add(talk, said, entry, [liesThere]);
  }
  talk.lastAt = said.index;
  return true;
}

/**
 * Out of the water, the belly that it stood in ends too; and the other way round. Where the camera only sees again, water
 * that it saw before it went under goes on.
 */
export function waterEnds(talk: Talk, { entry }: NarrationItem, place: number, seesAgain: boolean): void {
  const { reading_ft } = entry;
  if (reading_ft === undefined) return;
  const isOpen = (each: EntryDraft) =>
    each.to_ft === undefined && !(seesAgain && each.kind === 'finding' && each.reading_ft !== reading_ft);
  const other =
    entry.kind === 'hidden'
      ? /water/.test(entry.why ?? '')
        ? bellyNear(talk, reading_ft, near_ft, isOpen)
        : undefined
      : newest(
          talk,
          (each) =>
            isOpen(each) &&
            each.kind === 'hidden' &&
            each.why === 'under water' &&
            each.reading_ft === reading_ft,
        );
  if (other) other.entry = { ...other.entry, to_ft: place };
}
