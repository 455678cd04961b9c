import type { EntryDraft } from '../logline/context.js';
import { type Draft } from '../logline/draft.js';
import { isKnown, takeBesides } from '../logline/besides.js';
import { endsOfPipe } from '../logline/change.js';
import type { Point } from '../job/schema.js';
import { finishDraft, type Finished } from '../logline/finish.js';
import { readSegment, type SegmentRead } from '../logline/read-segment.js';
import type { Segment } from '../logline/segments.js';
import type { NormalizedText } from '../speech/normalize.js';
import { placeOf } from '../idioms/traced-text.js';
import { endsLast, takeEnd, takeRemark } from './remarks.js';
import { takeLater } from './said-later.js';
import { placeUnderWater } from './under-water.js';
import { beginTest } from './water-tests.js';
import { doubtFirstPipe, fillPipes, fillStretch, followPipe, namePlastic } from './pipes.js';
import type { Sentence } from './sentences.js';
import {
  amend,
  contextOf,
  itemId,
  join,
  mainId,
  mostDepth_ft,
  noReadingGiven,
  type NarrationItem,
  type Talk,
} from './talk.js';

/** A sentence while its segments are read, with the place named in it so far. */
export interface SentenceState {
  readonly sentence: Sentence;
  readonly index: number;
  readonly hearing: NormalizedText;
  readonly segments: readonly Segment[];
  placed: { readonly reading_ft: number; readonly to_ft?: number | undefined } | undefined;
}

const here =
  /¦|\b(?:here|there|right\s+there|at\s+(?:this|that)\s+(?:point|spot)|same\s+(?:place|spot)|got|also|hit)\b/i;

/** "Roots at that joint too": at the thing just named. */
const atThatOne =
  /\b(?:around\s+(?:that|it)|that\s+(?:same\s+)?(?:joint|spot|place|tap|wye|tee|connection|coupling|gap|crack|hole|offset|lip)|the\s+(?:transition|change))\b/i;

const firstPlace = /^\s*(?:at\s+)?~?\s*(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,/;

/** Reads one segment of a sentence: a new item, more detail for an earlier one, or the head's position. */
export function takeSegment(talk: Talk, said: SentenceState, at: number): void {
  const segment = said.segments[at];
  if (!segment) return;
  if (segment.denied) {
    // "Sixteen, no root, but the joint is open": the head is there all the same.
    const place =
      at === 0 ? firstPlace.exec(said.hearing.heard.text.slice(segment.from, segment.to))?.[1] : undefined;
    if (place !== undefined) {
      said.placed = { reading_ft: Number(place) };
      talk.reading = Number(place);
    }
    return;
  }
  const read = readOf(talk, said, segment);
  const text = said.hearing.heard.text.slice(segment.from, segment.to);
  namePlastic(talk, read);
  const wayIn =
    isWayIn(read.draft) &&
    /\b(?:through|went\s+in|go(?:ing)?\s+in|in\s+at|set\s+up|(?<!\bcoming\s)from)\b/i.test(text);
  if (endsLast(talk, said, text)) return;
  if (!isThing(read) || wayIn) takeRemark(talk, said, read.draft, text);
  else if (!takeEnd(talk, said, read.draft, text) && !followPipe(talk, said, read.draft, text))
    takeThing(talk, said, at, read, text);
}

function readOf(talk: Talk, { hearing }: SentenceState, segment: Segment): SegmentRead {
  const { context, known } = contextOf(talk);
  const read = readSegment(hearing.heard, segment, context, known);
  read.draft.correcting = false;
  delete read.draft.ofWritten;
  pastItem(talk, read.draft);
  if (segment.again) read.draft.onceMore = true;
  if (segment.listed) read.draft.listed = true;
  return read;
}

/** "Three feet past the change": resolved to a reading, since an item has no id to refer to. */
function pastItem(talk: Talk, draft: Draft): void {
  const { after, plus_ft } = draft.fields;
  const at = talk.items.find((_, i) => itemId(i) === after)?.entry.reading_ft;
  const gone = ['after', 'before', 'plus_ft', 'sameAs', ...(draft.kind === 'locate' ? ['of'] : [])];
  draft.fields = Object.fromEntries(Object.entries(draft.fields).filter(([field]) => !gone.includes(field)));
  if (at === undefined || typeof plus_ft !== 'number') return;
  const value = Math.round(100 * (talk.pass === 'out' ? at + plus_ft : at - plus_ft)) / 100;
  draft.numbers.unshift({ value, from: 0, to: 0, size: false, feet: true, fraction: false, placed: true });
}

const isPlaced = ({ numbers, bareHour }: Pick<Draft, 'numbers' | 'bareHour'>): boolean =>
  numbers.length > 0 || bareHour !== undefined;

/** "Fourteen, four inch to six inch": two sizes that pipes have, whole inches. */
const isBoreChange = ({ twoInches, numbers, bareHour }: Draft): boolean =>
  twoInches !== undefined &&
  twoInches[0] !== twoInches[1] &&
  twoInches.every((inches) => Number.isInteger(inches) && inches >= leastBore_in) &&
  isPlaced({ numbers, bareHour });
const leastBore_in = 3;

const isThing = ({ draft }: SegmentRead): boolean =>
  draft.kind !== undefined ||
  draft.finding !== undefined ||
  draft.pipes.length > 0 ||
  draft.onceMore === true ||
  isBoreChange(draft) ||
  (draft.ofWater === true && (draft.fields.to_ft !== undefined || isPlaced(draft))) ||
  (draft.blocked === true &&
    [undefined, 100].includes(draft.fields.percent as number | undefined) &&
    isPlaced(draft)) ||
  draft.aboutPoint.state !== undefined;

/** The entry of a thing at a given reading, or at its own. */
function finish(talk: Talk, { draft }: SegmentRead, inherited: number | undefined): Finished | undefined {
  const { context, known } = contextOf(talk);
  return finishDraft(structuredClone(draft), {
    inherited,
    context,
    known,
    fail: () => undefined,
    spoken: true,
  });
}

function takeThing(talk: Talk, said: SentenceState, at: number, read: SegmentRead, text: string): void {
  const { draft } = read;
  takeDepth(talk, draft, text);
  if (draft.finding !== undefined && draft.pipes.length === 1 && draft.pipes[0]?.material)
    talk.pipe = draft.pipes[0];
  if (draft.kind === 'test' && draft.fields.arrives === undefined && draft.fields.runsAway === undefined) {
    beginTest(talk, said, draft);
    return;
  }
  if (draft.finding !== undefined && refersBack.test(text) && tellsLength.test(text))
    draft.numbers = draft.numbers.filter(({ feet }) => !feet);
  if (refersBack.test(text)) takeLength(talk, draft);
  if (keepsGoing(talk, said, draft, text)) return;
  if (isStillIn(talk, said, read, text) || isAtChange(talk, said, draft) || isSeenThrough(talk, said, draft))
    return;
  const besides = takeBesides(draft);
  const assumed: string[] = [];
  const own = finish(talk, read, undefined);
  const place = own ? undefined : placeFor(talk, said, at, read, text, assumed);
  const finished = own ?? (place === undefined ? undefined : finish(talk, read, place));
  if (!finished || finished.entry.kind === 'note') return;
  const { entry } = finished;
  // One of a locate's numbers may be its depth.
  if (entry.kind === 'locate' && entry.depth_ft === undefined && entry.mark === undefined) {
    isLocating(talk, said, entry);
    return;
  }
  if (closes(talk, said, finished) || isElsewhereNow(talk, finished, text)) return;
  if (!own && said.placed?.to_ft !== undefined && entry.to_ft === undefined && entry.kind === 'finding')
    entry.to_ft = said.placed.to_ft;
  if (
    entry.kind === 'finding' &&
    draft.pipes.length > 0 &&
    entry.reading_ft === 0 &&
    entry.to_ft !== undefined
  ) {
    talk.pipe = draft.pipes[0];
    talk.pipeUntil = entry.to_ft;
  }
  const alike = draft.onceMore === true && !said.segments[at]?.again ? besideLast(talk, said) : [];
  placeUnderWater(talk, entry, assumed);
  if (draft.kind === undefined && !draft.changing) doubtFirstPipe(talk, entry, text, assumed);
  fillPipes(talk, entry, assumed);
  proposeAll(talk, said, at, { read, text, own: own !== undefined, finished, besides, assumed });
  for (const each of alike) {
    const its: EntryDraft = { ...each, reading_ft: entry.reading_ft, pass: entry.pass };
    const heard = { video_s: said.sentence.at(0), sentence: said.sentence.text };
    propose(talk, said, true, text, { ...heard, entry: its, point: null, certain: true, assumed: [] });
  }
}

/** "11.5, joint separation with a root. 14.8, ditto": what was named beside the last thing, without its measures. */
function besideLast({ items }: Talk, { sentence }: SentenceState): EntryDraft[] {
  const last = items.at(-1);
  if (!last || !/\b(?:ditto|same(?!\s+(?:but|as|only)))\b/i.test(sentence.text)) return [];
  return items.slice(0, -1).flatMap(({ entry, sentence: its }) => {
    if (its !== last.sentence || entry.reading_ft !== last.entry.reading_ft) return [];
    if (entry.kind !== 'finding' || entry.to_ft !== undefined) return [];
    return [{ kind: 'finding', finding: entry.finding, ...(entry.atJoint ? { atJoint: true } : {}) }];
  });
}

interface Understood {
  readonly read: SegmentRead;
  readonly text: string;
  /** It has a reading of its own. */
  readonly own: boolean;
  readonly finished: Finished;
  readonly besides: ReturnType<typeof takeBesides>;
  readonly assumed: string[];
}

/** "Forty seven I can see the main ahead": not there yet. */
const isAhead =
  /\b(?:see|seeing|got)\b.*\b(?:(?:up\s+|right\s+|just\s+)?ahead|coming\s+up|in\s+the\s+distance|up\s+there|down\s+there)\W*$/i;

/** "Roots in the wye": it was not called itself. */
const onlyPlace = ['it was only named as a place'];

/** Proposes a thing: on each side, at each end of a stretch of pipe, with what was named beside it. */
function proposeAll(talk: Talk, said: SentenceState, at: number, about: Understood): void {
  const { read, text, own, finished, besides, assumed } = about;
  const { draft } = read;
  const { entry } = finished;
  const from = placeOf(said.hearing.heard, said.segments[at]?.from ?? 0, said.segments[at]?.to ?? 0).from;
  if (isAhead.test(said.sentence.text) && entry.kind === 'point') assumed.push(noReadingGiven);
  const item = (its: EntryDraft, point: Point | null, taken: string[]): NarrationItem => ({
    video_s: said.sentence.at(from),
    sentence: said.sentence.text,
    entry: its,
    point,
    certain: taken.length === 0,
    assumed: taken,
    ...(taken.includes(noReadingGiven) ? { noReading: true } : {}),
  });
  const [only, ...ends] = endsOfPipe(entry, draft, contextOf(talk).context);
  if (entry.to_ft !== undefined) fillStretch(talk, only, said.sentence.text, assumed);
  const [hour, otherHour] = draft.clocks ?? [];
  const first = hour === undefined ? only : { ...only, clock: hour };
  propose(talk, said, own, text, item(first, finished.point ?? null, assumed));
  if (otherHour !== undefined)
    propose(talk, said, own, text, item({ ...only, clock: otherHour }, null, [...assumed]));
  const byLength = draft.long_ft === undefined ? {} : { byLength: true as const };
  for (const end of ends) propose(talk, said, true, text, { ...item(end, null, []), ...byLength });
  // "19 to 31 cast iron, heavy scale": what is named beside it lies all along.
  if (ends.length > 0 && entry.reading_ft !== undefined)
    said.placed = { reading_ft: entry.reading_ft, to_ft: entry.to_ft };
  for (const beside of [...besides.before, ...besides.after]) {
    const also = finish(talk, { ...read, draft: beside }, entry.reading_ft);
    const { context, known } = contextOf(talk);
    if (also && !isKnown(beside, also.entry, context, known))
      propose(
        talk,
        said,
        true,
        text,
        item(also.entry, also.point ?? null, beside.foundIn ? [...onlyPlace] : []),
      );
  }
  if (draft.stopsHere) propose(talk, said, true, text, item(stopAt(entry, draft), null, []));
}

/** "Still in water at thirty three", "forty three, it's an inch deep": where the head is, in what was called already. */
function isStillIn(talk: Talk, said: SentenceState, { draft }: SegmentRead, text: string): boolean {
  const item = talk.items.at(-1);
  const last = item?.entry;
  const at = draft.numbers[0]?.value ?? said.placed?.reading_ft;
  if (
    at === undefined ||
    last?.kind !== 'finding' ||
    last.finding !== (draft.finding ?? (draft.ofWater ? 'belly' : undefined)) ||
    last.to_ft !== undefined
  )
    return false;
  const { inches } = draft.fields;
  const isDeep =
    last.finding === 'belly' &&
    inches !== undefined &&
    /\b(?:it|(?:the\s+)?(?:belly|water|sag))(?:'s|\s+is)\b/i.test(text);
  if (!isDeep && !/\bstill\b/i.test(said.sentence.text.slice(0, 40)) && !/\bstill\b/i.test(text))
    return false;
  if (isDeep && item) takeLater(talk, said, item, { inches });
  // "It's about two inches deep through thirty eight"
  if (isDeep && item && /\bdeep\s+(?:(?:all\s+the\s+way|on)\s+)*(?:through|thru|to|until|till)\s/i.test(text))
    item.entry = { ...item.entry, to_ft: at };
  talk.reading = at;
  talk.lastAt = said.index;
  return true;
}

/** "You can see gravel through it": more of what was just named, which is open already. */
function isSeenThrough(talk: Talk, said: SentenceState, { implied, finding, numbers }: Draft): boolean {
  const last = talk.items.at(-1);
  if (
    !implied ||
    finding !== 'hole' ||
    numbers.length > 0 ||
    !last ||
    said.index - talk.lastAt > 2 ||
    said.index === talk.lastAt
  )
    return false;
  if (
    last.entry.kind !== 'finding' ||
    !['separation', 'hole', 'broken', 'collapse', 'crack'].includes(last.entry.finding)
  )
    return false;
  join(talk, last, said.sentence.text, said.index);
  return true;
}

/** "So that's a seven foot belly": from where it was called, unless its end was called too. */
function takeLength({ items, pass }: Talk, draft: Draft): void {
  const { long_ft, finding } = draft;
  const last = items.findLast(({ entry }) => entry.kind === 'finding' && entry.finding === finding)?.entry;
  if (long_ft === undefined || last?.reading_ft === undefined || last.pass !== pass) return;
  delete draft.long_ft;
  draft.fields.to_ft = last.to_ft ?? last.reading_ft + (pass === 'out' ? long_ft : -long_ft);
}

/** "Scale keeps going": what was found before reaches to where the head is next read. */
function keepsGoing(talk: Talk, said: SentenceState, draft: Draft, text: string): boolean {
  if (draft.finding === undefined || draft.numbers.length > 0 || draft.fields.to_ft !== undefined)
    return false;
  if (
    !/\b(?:keeps?\s+(?:on\s+)?going|continues|still\s+going|goes\s+on|carries\s+on)\b(?!\s+to\b)/i.test(text)
  )
    return false;
  const item = talk.items.findLast(
    ({ entry }) => entry.kind === 'finding' && entry.finding === draft.finding,
  );
  if (!item || item.entry.pass !== talk.pass || item.entry.to_ft !== undefined) return false;
  talk.goesOn = item;
  join(talk, item, said.sentence.text, said.index);
  talk.lastAt = said.index;
  return true;
}

/** "And at the transition there's roots": the change called before, as a place. */
function isAtChange(talk: Talk, said: SentenceState, { kind, finding, pipes, numbers }: Draft): boolean {
  const isBare = pipes.every((pipe) => Object.keys(pipe).length === 0) && numbers.length === 0;
  const change = talk.items.findLast(({ entry }) => entry.kind === 'change')?.entry;
  if (kind !== 'change' || finding !== undefined || !isBare || change?.reading_ft === undefined) return false;
  said.placed = { reading_ft: change.reading_ft };
  return true;
}

/** The camera stopped at what was just named. */
function stopAt({ reading_ft, pass }: EntryDraft, { finding }: Draft): EntryDraft {
  const why = finding?.replace('-', ' ');
  return { kind: 'stop', reading_ft, pass, ...(why ? { why } : {}) };
}

/** A locate whose depth is still to be said. */
function isLocating(talk: Talk, { index, sentence }: SentenceState, { reading_ft }: EntryDraft): void {
  if (reading_ft === undefined) return;
  talk.locating = { index, text: sentence.text, reading_ft };
  talk.reading = reading_ft;
}

/** "Let me locate the offset": where the next depth is taken. */
export function takeLocating(talk: Talk, said: SentenceState): void {
  for (const segment of said.segments) {
    const read = readOf(talk, said, segment);
    const entry = read.draft.kind === 'locate' ? finish(talk, read, undefined)?.entry : undefined;
    if (entry?.kind === 'locate' && entry.depth_ft === undefined) isLocating(talk, said, entry);
  }
}

/** A reading this far from where a thing was met is no reading of it, ft: it may be its depth. */
const elsewhere_ft = 12;
/** Up to here a reading so far off is sooner a depth, ft. */
const likelyDepth_ft = 15;

/** A line meets the main once, and "the offset is five one" refers to the one already met. */
function isElsewhereNow({ points, items }: Talk, { entry, point }: Finished, text: string): boolean {
  const { reading_ft } = entry;
  const kind = point?.kind;
  if (reading_ft === undefined) return false;
  const isFar = (known: number | undefined) =>
    known !== undefined && Math.abs(known - reading_ft) > elsewhere_ft;
  if (entry.kind === 'point' && entry.point === mainId)
    return isFar(points.find(({ id }) => id === mainId)?.reading_ft);
  const ofIt = /\b(?:the\s+(?:[a-z]+\s+)?[a-z]+|cleanout)(?:'s|\s+is|\s+was)\s+(?:at\s+)?\d/i.test(text);
  if (entry.to_ft !== undefined || !ofIt || reading_ft > likelyDepth_ft) return false;
  const alike = items.filter(({ entry: each, point }) =>
    entry.kind === 'finding'
      ? each.kind === 'finding' && each.finding === entry.finding
      : entry.kind === 'point' && point?.kind === 'cleanout' && kind === 'cleanout',
  );
  return alike.length > 0 && alike.every(({ entry: each }) => isFar(each.reading_ft));
}

/** A called end gives an item its other end. */
function closes(talk: Talk, said: SentenceState, { entry, replaces }: Finished): boolean {
  const item = talk.items.find((_, i) => itemId(i) === replaces);
  if (!item) return false;
  amend(talk, said, item, entry);
  return true;
}

/** "The sonde reads five foot eight": where the head's position is known, a single distance is the depth. */
function takeDepth(talk: Talk, draft: Draft, text: string): void {
  const [only, ...more] = draft.numbers;
  if (draft.kind !== 'locate' || draft.fields.depth_ft !== undefined || !only || more.length > 0) return;
  if (talk.reading === undefined || /\bat\b|@/i.test(text) || only.value > mostDepth_ft) return;
  draft.fields.depth_ft = only.value;
  draft.numbers = [];
}

/** Place of a thing without a reading: named earlier or later in the sentence, or the head's position. */
function placeFor(
  talk: Talk,
  said: SentenceState,
  at: number,
  { draft }: SegmentRead,
  text: string,
  assumed: string[],
): number | undefined {
  if (draft.kind === 'change' && talk.pipeUntil !== undefined) {
    // "PVC to about eleven … eleven one, a coupling, now it's clay"
    const isNear = said.placed && Math.abs(said.placed.reading_ft - talk.pipeUntil) < 1;
    return isNear ? said.placed?.reading_ft : talk.pipeUntil;
  }
  if (isWayIn(draft)) return undefined;
  if (said.placed) return said.placed.reading_ft;
  for (const later of said.segments.slice(at + 1)) {
    if (later.denied) continue;
    const ahead = finish(talk, readOf(talk, said, later), undefined)?.entry.reading_ft;
    if (ahead !== undefined) return ahead;
  }
  const pointedAt = talk.placeSentence !== undefined || here.test(text);
  if (draft.kind === 'test') return talk.reading ?? 0;
  if (draft.kind === 'point' && !pointedAt) return undefined;
  if (talk.reading === undefined || atThatOne.test(text)) return talk.reading;
  if (talk.placeSentence === undefined && draft.kind !== 'stop' && draft.kind !== 'locate')
    assumed.push(here.test(text) ? `read at ${talk.reading}, where the head was last` : noReadingGiven);
  return talk.reading;
}

/** A cleanout or fixture without a reading is the access point, or just mentioned. */
const isWayIn = ({ point }: Draft): boolean =>
  point !== undefined &&
  'kind' in point &&
  ['cleanout', 'access', 'fixture', 'building', 'tree', 'other'].includes(point.kind);

/** "It's", "that whole belly": refers to something already named. */
const refersBack =
  /^\W*(?:(?:so|and|well|but|i'd\s+(?:say|guess)|i'm\s+guessing|looks\s+like|probably|maybe)\s+)*(?:it|its|it's|that|this|these|those|they|the|which)\b/i;
/** "That belly is about fifteen feet": its length, not a reading. */
const tellsLength =
  /(?:\b(?:is|was|it's|runs|goes|be)|'s)\s+(?:(?:just|going|gonna|to|be|probably)\s+)*(?:about\s+|around\s+|~\s*|like\s+)?\d+(?:\.\d+)?\s*(?:feet|ft|foot)\b(?!\s+(?:in|out|down)\b)/i;

/** A length called by eye, such as "four foot worth", is this far off at most, ft. */
const roughly_ft = 2;

const isOtherHour = (one: EntryDraft, other: EntryDraft): boolean =>
  one.clock !== undefined && String(one.clock) !== String(other.clock);

/** The same thing named again: more detail for the existing item. */
function sameAsBefore(
  talk: Talk,
  { index, placed, sentence }: SentenceState,
  { entry }: NarrationItem,
  own: boolean,
  text: string,
): NarrationItem | undefined {
  const like = (item: NarrationItem) =>
    item.entry.kind === entry.kind &&
    (entry.kind !== 'finding' || (item.entry.kind === 'finding' && item.entry.finding === entry.finding)) &&
    (entry.kind !== 'point' || (item.entry.kind === 'point' && item.entry.point === entry.point));
  const last = talk.items.findLast(like);
  // "Cracked at nine and three": two of them.
  if (index === talk.lastAt && last && entry.clock !== undefined && isOtherHour(last.entry, entry))
    return undefined;
  const within = entry.kind === 'stop' ? 3 : /\banother\b/i.test(sentence.text) ? 0.05 : 0.3;
  // "Eighteen I can't get by, that's a root ball": of what is there, not of roots before it.
  const elsewhere =
    placed !== undefined &&
    last?.entry.reading_ft !== undefined &&
    Math.abs(placed.reading_ft - (last.entry.to_ft ?? last.entry.reading_ft)) > within &&
    Math.abs(placed.reading_ft - last.entry.reading_ft) > within;
  if (
    !own &&
    last &&
    !elsewhere &&
    entry.kind === 'finding' &&
    index - talk.lastAt <= 3 &&
    refersBack.test(text)
  )
    return last;
  return talk.items.findLast(
    (item) =>
      like(item) &&
      item.entry.pass === entry.pass &&
      item.entry.reading_ft !== undefined &&
      entry.reading_ft !== undefined &&
      entry.kind !== 'test' &&
      Math.abs(item.entry.reading_ft - entry.reading_ft) <= (item.byLength ? roughly_ft : within),
  );
}

function propose(talk: Talk, said: SentenceState, own: boolean, text: string, item: NarrationItem): void {
  const { entry } = item;
  const same = sameAsBefore(talk, said, item, own, text);
  if (same) {
    const { reading_ft, ...more } = entry;
    delete same.byLength;
    same.entry = {
      ...same.entry,
      ...withPipes(same.entry, more),
      ...(own && reading_ft !== undefined ? { reading_ft } : {}),
    } as typeof entry;
    if (own && same.noReading) {
      delete same.noReading;
      same.assumed = same.assumed.filter((each) => each !== noReadingGiven);
    }
    if (item.point) {
      same.point = { ...same.point, ...item.point };
      learn(talk, item.point, entry.reading_ft);
    }
    join(talk, same, said.sentence.text, said.index);
  } else {
    if (
      !own &&
      talk.placeSentence &&
      said.placed === undefined &&
      said.index - talk.placeSentence.index <= 2
    ) {
      item.sentence = `${talk.placeSentence.text} ${item.sentence}`;
      talk.notes.delete(talk.placeSentence.index);
    }
    talk.items.push(item);
    if (item.point) learn(talk, item.point, entry.reading_ft);
    talk.notes.delete(said.index);
  }
  if (own) {
    if (entry.reading_ft !== undefined) said.placed = { reading_ft: entry.reading_ft, to_ft: entry.to_ft };
    if (entry.kind !== 'test') talk.reading = entry.to_ft ?? entry.reading_ft ?? talk.reading;
    talk.placeSentence = undefined;
  }
  talk.lastAt = said.index;
}

/** "3 inch to 4 inch" … "it goes to cast iron there": the same two pipes, each with what was said of it. */
function withPipes(before: EntryDraft, more: Partial<EntryDraft>): Partial<EntryDraft> {
  if (before.kind !== 'change' || more.kind !== 'change') return more;
  const both = (one: typeof before.upstream, other: typeof before.upstream) =>
    one && other ? { ...one, ...other } : (other ?? one);
  const [upstream, downstream] = [
    both(before.upstream, more.upstream),
    both(before.downstream, more.downstream),
  ];
  return { ...more, ...(upstream ? { upstream } : {}), ...(downstream ? { downstream } : {}) };
}

/** What is known of a point so far, for later words that refer to it. */
function learn(talk: Talk, point: Point, reading_ft: number | undefined): void {
  const at = talk.points.findIndex(({ id }) => id === point.id);
  const known = { ...talk.points[at], ...point, ...(reading_ft === undefined ? {} : { reading_ft }) };
  if (at < 0) talk.points.push(known);
  else talk.points[at] = known;
}
