import { fartherBy, type EntryDraft } from '../logline/context.js';
import type { Draft } from '../logline/draft.js';
import { isLong, isOfKind, isUnnamed } from '../logline/stretches.js';
import {
  accepted,
  reach,
  takeFields,
  takeLater,
  takeFill,
  takeLocated,
  takeMark,
  takeShareAt,
  takeShareNext,
  takeShares,
} from './said-later.js';
import { toNumber } from '../speech/numbers.js';
import type { SentenceState } from './take-segment.js';
import { standsIn, waterEnds } from './under-water.js';
import { add, amend, join, newest, noReadingGiven, type NarrationItem, type Talk } from './talk.js';

/** The place in a segment, ft: after "at" or in feet, or a number at either end of it. */
function placeOf({ numbers, bareHour, fields }: Draft, text: string): number | undefined {
  const placed = numbers.find((each) => each.placed);
  if (placed) return placed.value;
  if (bareHour && fields.clock === bareHour.value) return bareHour.value;
  const given = numbers.find(({ size, fraction }) => !size && !fraction);
  const words = text.replace(/[¦,.]|\band\b/gi, ' ').trim();
  // "this is run two" is not a place.
  const counted =
    /\b(?:run|video|number|story|floor|day|unit|apartment|line|camera|take|part)\s+[\d.]+\s*$/i.test(words);
  return given && !counted && /^~?\s*[\d.]+\b|\b[\d.]+$/.test(words) ? given.value : undefined;
}

/** Whether the camera reads a place after it reads where this begins: it may end there. */
const isAhead = ({ reading_ft, pass }: EntryDraft, place: number): boolean =>
  reading_ft === undefined || fartherBy(pass, reading_ft, place) >= 0;

/** "It ends at 35, so it's just under four feet long", called at 38.7: how long it is says that it lies behind. */
const isAsLong = ({ reading_ft }: EntryDraft, place: number, long_ft: number | undefined): boolean =>
  reading_ft !== undefined &&
  long_ft !== undefined &&
  Math.abs(Math.abs(place - reading_ft) - long_ft) <= roughly_ft;

/** A length called in whole feet is this far off at most, ft. */
const roughly_ft = 0.5;

/** The entry as a stretch to a place, whichever end was read first. */
const reachingTo = (entry: EntryDraft, place: number): EntryDraft =>
  entry.reading_ft === undefined || isAhead(entry, place)
    ? endingAt(entry, place)
    : endingAt({ ...entry, reading_ft: place }, entry.reading_ft);

/** "Belly ends at 35", "it ends at 28", "out of the water at 57": closes that stretch. True where it did. */
export function takeEnd(talk: Talk, said: SentenceState, draft: Draft, text: string): boolean {
  if (draft.endCall !== 'end' || draft.pipes.length > 0) return false;
  const place = placeOf(draft, text);
  if (place === undefined) return false;
  // Only what can be long ends: in "I'm at the end, it's a cleanout" the line does.
  const like = (entry: EntryDraft) =>
    (entry.kind === 'finding' || entry.kind === 'hidden') && (isUnnamed(draft) || isOfKind(draft, entry));
  const water = /\bwater\b/i.test(text) && !/out\s+of\s+the\s+water/i.test(text);
  // "We're out of it" ends what is a stretch by nature, or was called at its start.
  const lasts = (entry: EntryDraft) =>
    !isUnnamed(draft) || entry.open === true || isLong(entry) || isEach(entry) || isAlong(entry);
  const isOpen = (entry: EntryDraft) =>
    like(entry) &&
    entry.to_ft === undefined &&
    lasts(entry) &&
    (isAhead(entry, place) || isAsLong(entry, place, draft.long_ft));
  const open =
    (water
      ? newest(talk, (entry) => isOpen(entry) && entry.kind === 'finding' && entry.finding === 'belly')
      : undefined) ?? newest(talk, isOpen);
  if (!open && draft.finding !== undefined && endsAgain(talk, said, like, place)) return true;
  if (!open) return newest(talk, (entry) => like(entry) && entry.to_ft === place) !== undefined;
  const stretch = reachingTo(open.entry, place);
  const { inches, percent, size } = draft.fields;
  const more = Object.fromEntries(
    Object.entries({ inches, percent, size }).filter(([, value]) => value !== undefined),
  );
  said.placed = { reading_ft: place };
  waterEnds(talk, open, place, /\b(?:see|picture)\b/i.test(text));
  amend(talk, said, open, accepted(stretch, more) ?? stretch);
  return true;
}

/** A thing that was said to end is said to end a little farther on, ft. */
const farther_ft = 3;

/** "Thirty three, popped back up. Belly's done at thirty four": the end called last holds. */
function endsAgain(
  talk: Talk,
  said: SentenceState,
  like: (entry: EntryDraft) => boolean,
  place: number,
): boolean {
  const item = newest(talk, like);
  const { to_ft, pass } = item?.entry ?? {};
  if (!item || to_ft === undefined || pass !== talk.pass) return false;
  if (Math.abs(to_ft - place) > farther_ft) return false;
  said.placed = { reading_ft: place };
  amend(talk, said, item, { ...item.entry, to_ft: place });
  return true;
}

/** "That goes on to about twenty": the far end of the newest thing. */
const goesOnTo =
  /(?:^\W*|,\s+(?:and\s+)?(?=goes\s+to\b)|\b(?:that(?:\s+one)?|it|this|they|she)(?:\s+|(?='s\s)))(?:goes|(?:both\s+|all\s+)?(?:go|run|continue|extend)|runs|continues|keeps\s+(?:going|on)|carries\s+on|extends|lasts|stays\s+(?:that\s+way|like\s+that|[a-z]+)|'s\s+(?:all\s+)?(?:rotted|gone|missing|cracked|broken|rusted|like\s+that|that\s+way))\s+(?:on\s+|out\s+|all\s+the\s+way\s+|clear\s+|up\s+|down\s+)*(?:to|till|until|through)\b/i;

/** "It goes like that to the end": to where the head is read next. */
const staysToEnd =
  /\b(?:goes|stays|continues|runs|is|it's|keeps\s+(?:on\s+)?going)\s+(?:on\s+)?(?:like\s+(?:that|this)|that\s+way|the\s+same)\s+(?:all\s+the\s+way\s+|clear\s+|right\s+)?(?:to|out\s+to|into)\s+the\s+(?:end|main|street|city|tap)\W*$/i;

/** Words that name no thing: an end, more detail, another reading, or the head's position. */
export function takeRemark(talk: Talk, said: SentenceState, draft: Draft, text: string): void {
  if (takeLocated(talk, said, draft, text) || takeMark(talk, said) || takeShares(talk, said)) return;
  const place = placeOf(draft, text);
  const last = talk.items.at(-1);
  if (last && said.index - talk.lastAt <= 1 && closesPiece(talk, said, last, draft)) return;
  const until = /\b(?:till|until|(?<=\bdeep\s+)(?:through|to))\s+(?:about\s+|~\s*)*(\d+(?:\.\d+)?)\W*$/i.exec(
    text,
  )?.[1];
  if (
    until !== undefined &&
    last &&
    isLong(last.entry) &&
    said.index - talk.lastAt <= 1 &&
    !saysNothing.test(text)
  ) {
    completes(talk, said, draft, text);
    if (farEnd(talk, said, last, Number(until))) return;
  }
  if (
    takeFill(talk, said, draft, place) ||
    takeShareAt(talk, said, draft, place) ||
    takeShareNext(talk, said, draft, place)
  )
    return;
  if (last && said.index - talk.lastAt <= reach && lastsFor(talk, said, last, text)) return;
  if (
    last?.entry.kind === 'finding' &&
    last.entry.to_ft === undefined &&
    last.entry.pass === talk.pass &&
    said.index - talk.lastAt <= 1 &&
    staysToEnd.test(text)
  ) {
    talk.goesOn = last;
    talk.reading = last.entry.reading_ft;
    join(talk, last, said.sentence.text, said.index);
    return;
  }
  const goesOn = goesOnTo.test(said.sentence.text);
  if (draft.endCall === 'end' && !goesOn && takeEnd(talk, said, draft, text)) return;
  if (
    last?.entry.kind === 'finding' &&
    said.index - talk.lastAt <= reach &&
    stretched(talk, said, last, draft, text)
  )
    return;
  if (place !== undefined && last && goesOn && farEnd(talk, said, last, place)) return;
  if (place !== undefined && last && /\b(?:had|called|marked|logged|read)\s+(?:that|it|this)\b/i.test(text)) {
    readAgain(talk, said, last, place, draft.fields.pass);
    return;
  }
  if (place !== undefined) takePlace(talk, said, place, text);
  else if (said.index - talk.lastAt <= reach) completes(talk, said, draft, text);
}

/** "Forty one.": where the thing just named lies, if nothing gave its place; else where the head is. */
function takePlace(talk: Talk, said: SentenceState, place: number, text: string): void {
  const last = talk.items.at(-1);
  if (last?.noReading && said.index - talk.lastAt <= 1 && !saysNothing.test(text) && !isEach(last.entry)) {
    last.entry = { ...last.entry, reading_ft: place };
    last.assumed = last.assumed.filter((each) => each !== noReadingGiven);
    delete last.noReading;
    join(talk, last, said.sentence.text, said.index);
  } else {
    talk.placeSentence = { index: said.index, text: said.sentence.text };
    said.placed = { reading_ft: place };
    // "I'll locate that break. Sitting at thirty four and a half.": where the head sits holds.
    if (talk.locating) talk.locating = { ...talk.placeSentence, reading_ft: place };
  }
  talk.reading = place;
}

/** "A piece of cast iron somebody stuck in … sixteen to nineteen": the pipe before it goes on at its far end. */
function closesPiece(
  talk: Talk,
  said: SentenceState,
  { entry }: NarrationItem,
  { fields, numbers }: Draft,
): boolean {
  const from = numbers.find(({ range }) => range)?.value;
  if (!/^\W*(?:it|that)(?:'s)?\b/i.test(said.sentence.text)) return false;
  if (entry.kind !== 'change' || from === undefined || from !== entry.reading_ft) return false;
  if (typeof fields.to_ft !== 'number') return false;
  const { upstream, downstream, ...rest } = entry;
  if (!upstream || !downstream) return false;
  const back: EntryDraft = { ...rest, reading_ft: fields.to_ft, upstream: downstream, downstream: upstream };
  add(talk, said, back);
  talk.pipe = talk.direction === (entry.pass === 'out' ? 'downstream' : 'upstream') ? upstream : downstream;
  talk.reading = fields.to_ft;
  return true;
}

/** "That runs about eighteen inches": how long, ft. */
function inchesLong(text: string): number | undefined {
  const inches =
    /^\W*(?:and\s+)?(?:that|it)\s+(?:runs|goes|lasts)[\s,]+(?:on\s+)?(?:for\s+)?[\s,~]*(?:(?:about|maybe)\s+)*(\d+)\s*in(?:ch(?:es)?)?\W*$/i.exec(
      text,
    )?.[1];
  return inches === undefined ? undefined : Number(inches) / 12;
}

/** "That's for about a foot": how far the newest finding goes on. */
function lastsFor(talk: Talk, said: SentenceState, last: NarrationItem, text: string): boolean {
  const long =
    /^\W*(?:(?:and|so)\s+)?(?:(?:that|it)(?:'s|\s+is|\s+was|\s+goes|\s+runs|\s+lasts)\s+|(?:goes|runs|lasts|continues)\s+)?(?:on\s+)?for\s+(?:about\s+|maybe\s+|~\s*)*(\d+(?:\.\d+)?)\s*(?:feet|foot|ft)\W*$/i.exec(
      text,
    )?.[1] ??
    /^\W*(?:it|that)(?:'s|\s+is)\s+(?:(?:about|maybe)\s+|~\s*)*(\d+(?:\.\d+)?)\s*(?:feet|foot|ft)\s+long\W*$/i.exec(
      text,
    )?.[1] ??
    inchesLong(text);
  const { entry } = last;
  if (long === undefined || entry.kind !== 'finding' || entry.to_ft !== undefined) return false;
  if (entry.reading_ft === undefined) return false;
  const to_ft = entry.reading_ft + (entry.pass === 'back' ? -1 : 1) * Number(long);
  amend(talk, said, last, { ...entry, to_ft });
  return true;
}

const endsThere =
  /^\W*(?:(?:and|then|so|but)\s+)*(?:(?:it|that|this|they|water)\s+)?(?:ends?|stops?|quits?|clears(?:\s+up)?|dies\s+out|(?:all\s+the\s+way\s+)?(?:out\s+)?to|(comes\s+out|out))\s*(?:(?:at|by|around|about|~)\s*)*(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?:[\s,]+(?:(?:it's|about|around|maybe|~)\s*)*(\d[\d./ ]*?)\s*(in\b|inch|%)(?:es)?(?:\s+deep)?)?\W*$/i;

/** "It stops at sixty", right after a crack: the crack does, not the camera. False where it says something else. */
export function endsLast(talk: Talk, said: SentenceState, text: string): boolean {
  const last = talk.items.at(-1);
  const [, out, at = /^\W*(\d+(?:\.\d+)?)\s+ends\W*$/i.exec(text)?.[1], size, unit] =
    endsThere.exec(text) ?? [];
  if (at === undefined || last?.entry.kind !== 'finding' || said.index - talk.lastAt > 2) return false;
  const { reading_ft, to_ft, pass, finding } = last.entry;
  if (to_ft !== undefined || reading_ft === undefined || pass !== talk.pass || isEach(last.entry))
    return false;
  if (out !== undefined && finding !== 'belly') return false;
  if (Number(at) === reading_ft || !isAhead(last.entry, Number(at))) return false;
  waterEnds(talk, last, Number(at), false);
  amend(talk, said, last, endingAt(last.entry, Number(at)));
  if (size !== undefined) takeFields(last, { [unit === '%' ? 'percent' : 'inches']: toNumber(size) });
  return true;
}

/** "That goes on to about twenty": where the newest thing ends, or the next pipe begins. */
function farEnd(talk: Talk, said: SentenceState, last: NarrationItem, place: number): boolean {
  if (last.entry.kind === 'change') {
    said.placed = { reading_ft: place };
    talk.placeSentence = { index: said.index, text: said.sentence.text };
    talk.reading = place;
    return true;
  }
  if (last.entry.to_ft !== undefined || !isAhead(last.entry, place)) return false;
  amend(talk, said, last, endingAt(last.entry, place));
  // "They both go to thirteen"
  const other = /\bboth\b/i.test(said.sentence.text) ? talk.items[talk.items.indexOf(last) - 1] : undefined;
  if (other?.entry.kind === 'finding' && other.entry.to_ft === undefined && isSameKind(other, last))
    amend(talk, said, other, endingAt(other.entry, place));
  return true;
}

/** The entry with its far end. */
function endingAt({ open: _, ...entry }: EntryDraft, to_ft: number): EntryDraft {
  return { ...entry, to_ft };
}

const isSameKind = ({ entry: one }: NarrationItem, { entry: other }: NarrationItem): boolean =>
  one.kind === 'finding' && other.kind === 'finding' && one.finding === other.finding;

/** A crack that runs along the pipe. */
const isAlong = (entry: EntryDraft): boolean =>
  entry.kind === 'finding' && entry.finding === 'crack' && entry.form === 'along';

/** "Every joint has an offset": it has no single place. */
const isEach = (entry: EntryDraft): boolean => entry.kind === 'finding' && entry.eachJoint === true;

/** "Sixty one feet, nothing": a place without a thing. */
const saysNothing =
  /\b(?:(?:\d+(?:\.\d+)?|(?:[a-z]+\s+)?[a-z]+(?:ty|teen|ten|eleven|twelve|one|two|three|four|five|six|seven|eight|nine))'s\s+(?:okay|ok|good|fine|clean|clear)|nothing|all\s+(?:good|clear)|(?:we're|it's|pipe's|still)\s+(?:good|clean|clear|fine)\s+(?:through|to|till|until|up\s+to|out\s+to)|looks?\s+(?:good|fine)|(?:it's|pipe's|line's|that's)\s+(?:good|fine|clean|clear))\b/i;

/** A stretch at the beginning: "fifty to fifty five". */
const stretchFirst = String.raw`^\W*~?\d[\d.]*\s*(?:(?:feet|foot|ft)\s*)?(?:-|to\b)`;
const beginsWithStretch = new RegExp(stretchFirst);
/** "Thirty eight to forty three.": where the thing just named at its first end lies. */
const bareStretch = new RegExp(String.raw`${stretchFirst}\s*~?\d[\d.]*(?:\s*(?:feet|foot|ft))?\W*$`, 'i');

/** "It's all under the driveway from fourteen to twenty", "I'm losing half an inch from …": not where a thing lies. */
const ofSomethingElse =
  /\b(?:under|beneath|below|past|along)\s+(?:the|that|their|his|her|this)\s+(?!pipe|water)[a-z]|\b(?:losing|lost|locat(?:e|ed|ing))\b/i;

/** "Runs the length of the pipe from thirty to thirty three": both ends of the newest finding. */
function stretched(
  talk: Talk,
  said: SentenceState,
  item: NarrationItem,
  { fields, numbers }: Draft,
  text: string,
): boolean {
  const from = numbers.find(({ range }) => range)?.value;
  if (from === undefined || typeof fields.to_ft !== 'number') return false;
  // "Roots at forty one. It's from nine to three.": hours, that far from the access.
  const ends = [from, fields.to_ft];
  if (
    (item.entry.reading_ft ?? 0) > 12 &&
    ends.every((end) => end >= 1 && end <= 12 && Number.isInteger(end))
  )
    return takeLater(talk, said, item, { clock: ends });
  // "Fifty to fifty five, every joint …, it's coming in" begins with a place of something else.
  const onlyEnds = bareStretch.test(text) && from === item.entry.reading_ft && item.entry.to_ft === undefined;
  if (
    !onlyEnds &&
    (!/\b(?:runs?|go(?:es)?|continues?|extends?|it|that|they|all\s+the\s+way)\b/i.test(text) ||
      beginsWithStretch.test(text) ||
      ofSomethingElse.test(text))
  )
    return false;
  item.assumed = item.assumed.filter((each) => each !== noReadingGiven);
  delete item.noReading;
  amend(talk, said, item, { ...item.entry, reading_ft: from, to_ft: fields.to_ft });
  return true;
}

/** "I had that at 32 on the way out": the other pass's reading of the same thing. */
function readAgain(
  talk: Talk,
  said: SentenceState,
  { entry, point }: NarrationItem,
  place: number,
  pass: unknown,
): void {
  const { to_ft: _to, open: _open, ...rest } = entry;
  const other = (pass as 'out' | 'back' | undefined) ?? (entry.pass === 'out' ? 'back' : 'out');
  talk.items.push({
    video_s: said.sentence.at(0),
    sentence: said.sentence.text,
    entry: { ...rest, reading_ft: place, pass: other },
    point,
    certain: true,
    assumed: [],
  });
  talk.notes.delete(said.index);
}

const measures = [
  'percent',
  'inches',
  'form',
  'shifting',
  'clock',
  'atJoint',
  'eachJoint',
  'touchesFlow',
  'possible',
  'cause',
];

const howItIs =
  /^\W*(?:(?:and|yeah|so|but)\s+)*(?:(?:those|these|they|it|that|this)(?:'(?:s|re)|\s+(?:is|are|looks?))\s+)(?:(?:pretty|really|very|kind\s+of|fairly|just)\s+)*[a-z]+(?:\s+(?:though|there|here|too))?\W*$/i;

const sizeAlone = /^\W*(?:(?:pretty|real|really|very|kind\s+of|fairly)\s+)*[a-z]+(?:\s+ones?)?\W*$/i;

/** "There's a dimple at two o'clock": something else, by a word that is not known. */
const somethingElse =
  /^\W*(?:(?:and|then|so)\s+)*(?:there's|there\s+is|we've\s+got|i've\s+got|i\s+see)\s+an?\s/i;

/** "The tap sticks in. About forty percent.": of what is wrong with the point, where that was named beside it. */
function measured({ items }: Talk, { percent, inches }: Record<string, unknown>): NarrationItem | undefined {
  const last = items.at(-1);
  const isOfFinding = percent !== undefined || (typeof inches === 'number' && inches < leastBranch_in);
  if (last?.entry.kind !== 'point' || !isOfFinding) return undefined;
  return items.findLast(
    ({ entry, sentence }) =>
      entry.kind === 'finding' && entry.reading_ft === last.entry.reading_ft && sentence === last.sentence,
  );
}

/** "It goes all the way round", "about two inches of water": applies to the newest thing it fits. */
function completes(talk: Talk, said: SentenceState, draft: Draft, text: string): void {
  const more = Object.fromEntries(
    Object.entries({ ...draft.fields }).filter(
      ([field, value]) => measures.includes(field) && value !== undefined,
    ),
  );
  // "Those are heavy.", "Heavy.", "Little ones."
  const alone = said.index - talk.lastAt <= 1 && sizeAlone.test(said.sentence.text);
  if (draft.fields.size !== undefined && (alone || howItIs.test(said.sentence.text)))
    more.size = draft.fields.size;
  if (somethingElse.test(said.sentence.text) && talk.placeSentence !== undefined) return;
  // "six inch pipe, vitrified": no size of what was named before.
  if (/\d\s*-?(?:in|inch|")\s+(?:pipe|line|lateral)\b/i.test(text)) delete more.inches;
  const deep = 'inches' in more ? { inches: more.inches } : { percent: more.percent };
  if (('inches' in more || /\b(?:full|water)\b/i.test(said.sentence.text)) && standsIn(talk, said, deep))
    return;
  const ofWater = 'inches' in more && /\bwater\b/i.test(text);
  const item = ofWater
    ? newest(talk, (entry) => entry.kind === 'finding' && entry.finding === 'belly')
    : (measured(talk, more) ??
      talk.items.findLast(({ entry }) => entry.kind !== 'hidden' && entry.kind !== 'stop') ??
      talk.items.at(-1));
  if (!item) return;
  const completed = [item, ...alsoMeant(talk, item, said.sentence.text)].filter((each) =>
    [
      Object.keys(more).length > 0 && each.entry.kind === 'finding' ? takeFields(each, more) : false,
      each.point?.kind === 'tie-in' && draft.served !== undefined ? nameBranch(each, draft.served) : false,
      describePoint(each, draft, more),
    ].some(Boolean),
  );
  if (completed.length === 0) return;
  talk.lastAt = said.index;
  for (const each of completed) join(talk, each, said.sentence.text, said.index);
}

/** "Roots at fourteen and seventeen. Both about ten percent.": the others of its kind that are said too. */
function alsoMeant({ items }: Talk, item: NarrationItem, text: string): NarrationItem[] {
  const [, howMany] =
    /^\W*(?:(?:and|they're|they|those|are|were|call)\W+)*(both|all|each|[a-z]+\s+ones(?=\W*$))\b/i.exec(
      text,
    ) ?? [];
  if (howMany === undefined) return [];
  const others = items.filter(
    (each) =>
      each !== item &&
      (isSameKind(each, item) || (each.point !== null && each.point.kind === item.point?.kind)),
  );
  return /both/i.test(howMany)
    ? others.slice(-1)
    : others.filter(({ sentence }) => sentence === item.sentence);
}

/** No branch is narrower, in. */
const leastBranch_in = 1.25;

/** "It's on the left", "three inch", "it's capped": more of the branch or bend just named. */
function describePoint(item: NarrationItem, { aboutPoint }: Draft, said: Record<string, unknown>): boolean {
  const { point } = item;
  if (point?.kind !== 'tie-in' && point?.kind !== 'bend') return false;
  const { clock, inches } = said;
  const { degrees, note } = aboutPoint;
  const more: Partial<typeof point> = {
    ...(typeof clock === 'number' && point.clock === undefined ? { clock } : {}),
    ...(point.kind === 'bend' && degrees !== undefined ? { degrees } : {}),
    ...(point.kind === 'tie-in' && note !== undefined && point.note === undefined ? { note } : {}),
    ...(point.kind === 'tie-in' &&
    typeof inches === 'number' &&
    inches >= leastBranch_in &&
    point.diameter_in === undefined
      ? { diameter_in: inches }
      : {}),
  };
  if (Object.keys(more).length === 0) return false;
  item.point = { ...point, ...more };
  if (more.clock !== undefined) item.entry = { ...item.entry, clock: more.clock };
  return true;
}

function nameBranch(item: NarrationItem, served: string): boolean {
  if (!item.point) return false;
  item.point = { ...item.point, name: `${served} branch connection` };
  return true;
}
