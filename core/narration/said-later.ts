import { sizeOfShare } from '../findings/measure.js';
import { readEntry } from '../speech/entry-faults.js';
import type { EntryDraft } from '../logline/context.js';
import type { Draft } from '../logline/draft.js';
import { feetOfInches, toNumber } from '../speech/numbers.js';
import type { SentenceState } from './take-segment.js';
import { add, amend, join, mostDepth_ft, type NarrationItem, type Talk } from './talk.js';

/** Words without a thing of their own may refer to an item this many sentences back. */
export const reach = 3;

/** The entry with these fields, as far as they fit its kind; undefined where none does. */
export function accepted(entry: EntryDraft, more: Record<string, unknown>): EntryDraft | undefined {
  const next = readEntry({ ...entry, ...more }, () => undefined, true);
  if (!next) return undefined;
  const took = Object.keys(more).some((field) => (next as Record<string, unknown>)[field] !== undefined);
  return took || Object.keys(more).length === 0 ? next : undefined;
}

/** "half under water": for a belly, a fraction of the pipe is a size. */
export function ofBelly({ percent, ...rest }: Record<string, unknown>): Record<string, unknown> {
  return typeof percent === 'number' ? { ...rest, size: sizeOfShare(percent) } : rest;
}

/** Adds measures to an item as far as they fit its kind; false where none does. */
export function takeFields(item: NarrationItem, said: Record<string, unknown>): boolean {
  const isBelly = item.entry.kind === 'finding' && item.entry.finding === 'belly';
  const next = accepted(item.entry, isBelly ? ofBelly(said) : said);
  if (!next) return false;
  item.entry = next;
  return true;
}

/** Adds what a later sentence says of an item to it, with that sentence; false where nothing of it fits. */
export function takeLater(
  talk: Talk,
  said: SentenceState,
  item: NarrationItem,
  more: Record<string, unknown>,
): boolean {
  if (!takeFields(item, more)) return false;
  join(talk, item, said.sentence.text, said.index);
  talk.lastAt = said.index;
  return true;
}

/** "Five foot three.", and nothing else. */
const depthAlone =
  /^\W*(?:okay\W+|~\s*)?\d{1,2}(?:\.\d+)?\s*(?:feet|foot|ft\b|')(?:\s*\d{1,2}(?:\.\d+)?\s*(?:in(?:ch(?:es)?)?|")?)?(?:\s+(?:even|flat|deep|down))?\W*$/i;

/** "Six two.", "nine feet six.", right after what is being located was named: feet and inches. */
const feetInchesAlone = /^\W*(?:okay\W+|~\s*)?(\d{1,2})(?:[\s.]+|\s*(?:feet|ft)\s+)(1[01]|\d)\W*$/i;

/** "Locating here at fifty four" … "I'm getting five foot ten": the depth of what is being located. */
export function takeLocated(talk: Talk, said: SentenceState, draft: Draft, text: string): boolean {
  const { locating } = talk;
  if (!locating || said.index - locating.index > 2) return false;
  const bare = said.index - locating.index === 1 ? feetInchesAlone.exec(text) : null;
  const [depth, ...more] = bare
    ? [feetOfInches(12 * Number(bare[1]) + Number(bare[2]))]
    : draft.numbers.map(({ value }) => value);
  if (depth === undefined || more.length > 0 || depth > mostDepth_ft) return false;
  if (
    !bare &&
    !/\b(?:getting|got|says?|saying|said|reads?|reading|shows?|showing|it's|that's|about|call\s+it)\b/i.test(
      text,
    ) &&
    !depthAlone.test(text)
  )
    return false;
  delete talk.locating;
  talk.items.push({
    video_s: said.sentence.at(0),
    sentence: `${locating.text} ${said.sentence.text}`,
    entry: { kind: 'locate', reading_ft: locating.reading_ft, pass: talk.pass, depth_ft: depth },
    point: null,
    certain: true,
    assumed: [],
  });
  talk.notes.delete(locating.index);
  talk.notes.delete(said.index);
  talk.lastAt = said.index;
  return true;
}

/** "half", "1/4": in percent. */
const percentOf = (part: string): number => (part === 'half' ? 50 : Math.round(100 * toNumber(part)));

/** "Seventeen's about ten percent and twenty one's more like thirty": the share of each thing by its reading. */
export function takeShares(talk: Talk, said: SentenceState): boolean {
  const shares = [
    ...said.hearing.heard.text.matchAll(
      /\b(\d+(?:\.\d+)?)(?:'s|\s+is)\s+(?:(?:about|more\s+like|like|around|closer\s+to|only|the\s+(?:worst|bad)(?:\s+one)?|bad|say|maybe|probably|,|~)\s*)*(?:(\d+)(?![\d/])\s*(%|percent)?|(1\/[2-4]|2\/3|3\/4|half)\b)/gi,
    ),
  ];
  const places = [
    ...said.hearing.heard.text.matchAll(
      /\b(\d+)\s*(%|percent)?\s+(?:at|on)\s+(?:the\s+)?(\d+(?:\.\d+)?)\b/gi,
    ),
  ].map(([, percent, unit, at]) => ({ at, percent, unit }));
  const all = [
    ...shares.map(([, at, percent, unit, part]) =>
      part === undefined ? { at, percent, unit } : { at, percent: percentOf(part), unit: '%' },
    ),
    ...places,
  ];
  if (!all.some(({ unit }) => unit !== undefined)) return false;
  const done = all.map(({ at, percent }) => {
    const item = talk.items.findLast(
      ({ entry }) => entry.kind === 'finding' && entry.reading_ft === Number(at) && entry.pass === talk.pass,
    );
    return item !== undefined && takeLater(talk, said, item, { percent: Number(percent) });
  });
  return done.some(Boolean);
}

/** "Twenty three, I'd say forty percent": more of what was found there. */
export function takeShareAt(
  talk: Talk,
  said: SentenceState,
  { fields: { percent } }: Draft,
  place: number | undefined,
): boolean {
  const item = talk.items.findLast(
    ({ entry }) =>
      entry.kind === 'finding' &&
      entry.pass === talk.pass &&
      entry.reading_ft === place &&
      !('percent' in entry && entry.percent !== undefined),
  );
  if (!item || percent === undefined || said.index - talk.lastAt > reach) return false;
  return takeLater(talk, said, item, { percent });
}

/** What the next place has in common with the one before it. */
const keptInNext = ['kind', 'finding', 'of', 'atJoint', 'pass'];

/** "Ten, ten percent. Fourteen, about twenty.": more of what was just named, a place and its share at a time. */
export function takeShareNext(
  talk: Talk,
  said: SentenceState,
  { fields, numbers }: Draft,
  place: number | undefined,
): boolean {
  const last = talk.items.at(-1);
  const { text } = said.hearing.heard;
  const bare =
    /^\W*~?\d[\d.]*(?:\s*(?:feet|foot|ft))?\s*,[\s~,]*(?:(?:about|maybe)\s+)*(\d*[05])\s*(?:%|percent)?\W*$/i.exec(
      text,
    );
  const isShare = fields.percent !== undefined || (talk.sharedAt === said.index - 1 && numbers.length === 2);
  if (!bare || !isShare || last?.entry.kind !== 'finding' || said.index - talk.lastAt > reach) return false;
  const reading_ft = place ?? numbers[0]?.value;
  const [at, share] = [reading_ft ?? 0, Number(bare[1])];
  // "Bunch of grease. Thirty, forty percent.": from one share to the other.
  if (talk.sharedAt !== said.index - 1 && at % 5 === 0 && share > at && share - at <= 10) return false;
  const like = Object.entries(last.entry).filter(([field]) => keptInNext.includes(field));
  const entry = accepted(Object.fromEntries(like) as EntryDraft, { reading_ft, percent: share });
  if (!entry || reading_ft === undefined) return false;
  add(talk, said, entry);
  talk.reading = reading_ft;
  talk.sharedAt = said.index;
  return true;
}

/** "Twenty three, it's about half full": the depth of water in the belly that was just begun. */
export function takeFill(
  talk: Talk,
  said: SentenceState,
  { fields }: Draft,
  place: number | undefined,
): boolean {
  const last = talk.items.at(-1);
  const more = Object.fromEntries(
    Object.entries({ percent: fields.percent, inches: fields.inches }).filter(
      ([, value]) => value !== undefined,
    ),
  );
  const { reading_ft = Infinity, to_ft } = last?.entry ?? {};
  const isInside =
    to_ft === undefined ||
    (place !== undefined && place >= Math.min(reading_ft, to_ft) && place <= Math.max(reading_ft, to_ft));
  const isIn = last?.entry.kind === 'finding' && last.entry.finding === 'belly' && isInside;
  if (!isIn || place === undefined || Object.keys(more).length === 0 || said.index - talk.lastAt > reach)
    return false;
  if (!takeLater(talk, said, last, more)) return false;
  talk.reading = place;
  return true;
}

/** "Marked it with blue paint": the mark of what was just located. */
export function takeMark(talk: Talk, said: SentenceState): boolean {
  const last = talk.items.at(-1);
  const mark = /\b(?:marked|painted|flagged)\s+(?:it|that)\s+(?:with\s+|in\s+|by\s+)?(.+?)\W*$/i.exec(
    said.sentence.text,
  )?.[1];
  if (last?.entry.kind !== 'locate' || mark === undefined || said.index - talk.lastAt > reach) return false;
  amend(talk, said, last, { ...last.entry, mark });
  return true;
}
