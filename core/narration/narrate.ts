import { fartherBy } from '../logline/context.js';
import { readEntry } from '../speech/entry-faults.js';
import { normalize } from '../speech/normalize.js';
import { segmentsOf } from '../logline/segments.js';
import type { Cue } from '../captions.js';
import { takeCorrection, withdraws, type Correction } from './corrections.js';
import { asLocate } from './locating.js';
import { takeNamedCorrection } from './named-corrections.js';
import { asOnTheWay, guessesMain, isElsewhere, speaksOfOther, turn } from './movement.js';
import { correctsBore, onlyPipe } from './pipes.js';
import { rephrased } from './rephrased.js';
import { sentencesOf, type Sentence } from './sentences.js';
import {
  accessId,
  forgetPoint,
  join,
  mainId,
  type NarrationItem,
  type NarrationNote,
  type Talk,
} from './talk.js';
import { takeLocating, takeSegment, type SentenceState } from './take-segment.js';
import { answeredTest, joinTest } from './water-tests.js';

export type { NarrationItem, NarrationNote } from './talk.js';

/** Narration as a proposed log: the open file `open-trench-narration`, version 1. */
export interface Narration {
  readonly format: 'open-trench-narration';
  readonly version: 1;
  /** The one pipe that was named, where none is said to begin or end: it may lie all along. Its sentence is a note too. */
  readonly pipe?: NarrationItem;
  /** In spoken order. */
  readonly items: readonly NarrationItem[];
  /** Sentences that propose nothing, in spoken order. */
  readonly notes: readonly NarrationNote[];
}

export interface NarrationOptions {
  /** Direction the head faces. Default: downstream. */
  readonly direction?: 'downstream' | 'upstream';
  /** Pass at the start of the narration, which may change it. Default: out. */
  readonly pass?: 'out' | 'back';
}

/**
 * What a narration says was seen, as log entries, each with its sentence and its time in the video. Nothing denied,
 * advised or reported by others is proposed; every sentence ends up in items or in one note. The same cues give the
 * same items. Time grows with the number of sentences times the number of items.
 */
export function narrate(
  cues: readonly Cue[],
  { direction = 'downstream', pass = 'out' }: NarrationOptions = {},
): Narration {
  const talk: Talk = {
    pass,
    direction,
    points: [
      { id: accessId, kind: 'cleanout', reading_ft: 0 },
      { id: mainId, kind: 'main' },
    ],
    lastAt: -9,
    items: [],
    notes: new Map(),
  };
  const unsettledAt = new Map<string, number>();
  sentencesOf(cues.map(straightened)).forEach((sentence, index) => {
    talk.notes.set(index, { video_s: sentence.at(0), sentence: sentence.text });
    for (const [why, says] of unsettling)
      if (!unsettledAt.has(why) && says.test(sentence.text)) unsettledAt.set(why, talk.items.length);
    takeSentence(talk, sentence, index);
  });
  takeTapAtEnd(talk);
  for (const stop of talk.items.filter(({ entry }) => entry.kind === 'stop'))
    if (wentOn(talk, stop)) stop.assumed.push('the camera was read farther on after it');
  for (const [why, first] of unsettledAt)
    for (const { entry, assumed } of talk.items.slice(first)) if (entry.reading_ft) assumed.push(why);
  const pipe = onlyPipe(talk);
  return {
    format: 'open-trench-narration',
    version: 1,
    ...(pipe && { pipe }),
    items: talk.items.map(settled),
    notes: [...talk.notes.entries()].sort(([a], [b]) => a - b).map(([, note]) => note),
  };
}

/** With the straight apostrophes that every pattern knows. */
const straightened = (cue: Cue): Cue => ({ ...cue, text: cue.text.replace(/[’‘]/g, "'") });

/** A camera that got this far past where it was said to stop did not stop there, ft. */
const farther_ft = 1;

/** "Can't get through with the big camera, so I switched to the mini": the same pass is read farther on. */
function wentOn({ items }: Talk, stop: NarrationItem): boolean {
  const { reading_ft, pass } = stop.entry;
  if (reading_ft === undefined) return false;
  return items
    .slice(items.indexOf(stop) + 1)
    .some(
      ({ entry }) =>
        entry.pass === pass && fartherBy(pass, reading_ft, entry.reading_ft ?? reading_ft) > farther_ft,
    );
}

/** "Forty eight is the tap", where no main was named and nothing comes after it: where this line meets the main. */
function takeTapAtEnd({ items, direction }: Talk): void {
  const farthest = Math.max(...items.map(({ entry }) => entry.reading_ft ?? 0));
  const last = items.find(
    ({ entry, point }) => point?.kind === 'tie-in' && (entry.reading_ft ?? 0) >= farthest,
  );
  if (
    direction !== 'downstream' ||
    last?.point?.kind !== 'tie-in' ||
    last.point.clock !== undefined ||
    !/(?:\bthe\s+|^[^,]*,\s+)tap(?:\W*$|\s*[,.]|\s+is\s+(?:at|right\s+at)\b)/i.test(last.sentence) ||
    items.some(({ point }) => point?.kind === 'main')
  )
    return;
  last.entry = { ...last.entry, point: mainId } as typeof last.entry;
  last.point = { id: mainId, kind: 'main', connection: 'tap' };
  last.assumed.push('“the tap” at the end is taken as where the line meets the main');
}

/** What makes everything read from there on uncertain, and how it is said. */
const unsettling: readonly (readonly [why: string, says: RegExp])[] = [
  [
    'read after the counter slipped',
    /\bcounter\s+(?:just\s+|has\s+|got\s+)?(?:slipp(?:ed|ing)|jump(?:ed|ing)|skipp(?:ed|ing)|hung\s+up|stuck|is\s+slipping)\b|\blost\s+(?:[a-z]+\s+){0,3}(?:feet|foot)\s+(?:of\s+(?:footage|count)|on\s+the\s+counter)\b/i,
  ],
  [
    'read after the line was cut or cleaned: another run',
    /\b(?:(?:we|i)(?:'ve)?|just|got)\s+(?:(?:just|already|went\s+ahead\s+and)\s+)*(?:cut|jetted|cleaned|cabled|cleared|snaked)\s+(?:it|that|them|those|this|the\s+(?:roots?|line|grease|scale))\b[^.;]*\bback\s+in\b|\bback\s+(?:in|again|at\s+it|down\s+(?:here|there))\s+(?:now\s+)?after\s+(?:(?:the|some|a)\s+)?(?:cut|jet|clean|cabl|snak|auger|root)[a-z]*/i,
  ],
  [
    'read in a second run: its counter began again',
    /^\W*(?:(?:okay|ok|now|so|and|this\s+is|here's)\W+)*(?:the\s+)?(?:second|next|another|new)\s+run\b/i,
  ],
  [
    'read after the camera was sent the other way: another run',
    /\b(?:flip(?:ping|ped)?|turn(?:ing|ed)?|swap(?:ping|ped)?|swing(?:ing)?|spin(?:ning)?)\s+(?:(?:it|her|the\s+camera)\s+)?around\b[^.;]*\b(?:head|go|push|runn)ing\s+(?:(?:down|up|out|back)\s+)?(?:for|to|toward|towards)\s+the\s+(?:city|street|main|house|building)\b|\b(?:head|go|push)ing\s+the\s+other\s+(?:way|direction)\s+now\b|\bnow\b[^.;]*\b(?:head|go|push)ing\s+the\s+other\s+(?:way|direction)\b/i,
  ],
];

function takeSentence(talk: Talk, sentence: Sentence, index: number): void {
  const text = asOnTheWay(talk, sentence.text);
  const asSaid = normalize(text);
  if (correctsBore(talk, asSaid.heard.text, index)) return;
  const hear = (words: string) => (words === text ? asSaid : normalize(words));
  const corrects = text.replace(insteadOf, 'actually ');
  const correction =
    takeNamedCorrection(talk, text, asSaid, index - talk.lastAt <= 1) ??
    takeCorrection(talk, corrects, hear(corrects));
  if (correction?.is === 'withdrawn') {
    withdraw(talk, sentence, index, correction.item);
    return;
  }
  if (correction?.is === 'renamed') {
    if (renames(talk, sentence, index, correction)) return;
    if (correction.orGone) {
      withdraw(talk, sentence, index, correction.item);
      return;
    }
  }
  if (correction) {
    join(talk, correction.item, sentence.text, index);
    return;
  }
  // What a slip took back in the same breath is gone from the words as heard.
  const again = withdraws.test(asSaid.heard.text) ? withdraws.exec(sentence.text) : null;
  if (again && again.index > 0 && /[a-z]{3}/i.test(sentence.text.slice(again.index + again[0].length))) {
    startOver(talk, sentence, index, again);
    return;
  }
  const answered = answeredTest(talk, text, index);
  const placed = answered ?? asLocate(talk, text, asSaid) ?? rephrased(talk, text, index);
  const hearing = hear(placed);
  const advice =
    /\?\s*$/.test(text) ||
    isElsewhere(text) ||
    guessesMain(talk, text) ||
    (speaksOfOther(text) && !/\d/.test(hearing.heard.text));
  const segments = segmentsOf(hearing);
  if (advice) {
    takeLocating(talk, { sentence, index, hearing, segments, placed: undefined });
    turn(talk, text, undefined)();
    return;
  }
  const firstThing = segments[0] && text.slice(0, 400).search(/\b(?:there'?s|that'?s|here'?s|at\s)/i);
  const afterwards = turn(talk, text, firstThing !== undefined && firstThing >= 0 ? firstThing : undefined);
  const said: SentenceState = { sentence, index, hearing, segments, placed: undefined };
  takeSegments(talk, said);
  if (answered !== undefined) joinTest(talk, index);
  afterwards();
  reachNext(talk);
  if (setsZero.test(text)) zeroed(talk);
}

/** The things of a sentence, in spoken order: of "12, 15 and 18 have roots" the last place is read first. */
function takeSegments(talk: Talk, said: SentenceState): void {
  const first = talk.items.length;
  const spokenAt = new Map<NarrationItem, number>();
  said.segments.forEach(({ from, again }, at) => {
    const count = talk.items.length;
    takeSegment(talk, said, at);
    for (const item of talk.items.slice(count)) spokenAt.set(item, from);
    if (!again || said.segments[at + 1]?.again) return;
    const listed = talk.items.splice(first);
    talk.items.push(...listed.sort((a, b) => (spokenAt.get(a) ?? 0) - (spokenAt.get(b) ?? 0)));
    const last = talk.items.at(-1)?.entry;
    talk.reading = last?.to_ft ?? last?.reading_ft ?? talk.reading;
  });
}

/** What was said to keep going reaches to where the head is read next. */
function reachNext(talk: Talk): void {
  const { goesOn, reading } = talk;
  const { reading_ft, pass } = goesOn?.entry ?? {};
  if (!goesOn || reading === undefined || reading_ft === undefined || reading === reading_ft) return;
  delete talk.goesOn;
  if (pass === talk.pass && (pass === 'out') === reading > reading_ft)
    goesOn.entry = { ...goesOn.entry, to_ft: reading };
}

/** "I'm gonna zero it here": what was read before is not of this count. */
const setsZero =
  /\b(?:zero(?:ed|ing)?\s+(?:(?:it|that|the\s+counter|her)\s+)?(?:out\s+)?(?:right\s+)?(?:here|now)|zero(?:ed|ing)\s+(?:it|that|her|this|the\s+(?:counter|camera|reel))\s+out|(?:reset|zeroed|zeroing)\s+(?:the\s+)?counter|counter\s+(?:is\s+|was\s+)?(?:reset|zeroed)|zeroing\s+(?:it\s+)?(?:on|at)\s+(?:the|this|that))\b/i;

function zeroed(talk: Talk): void {
  for (const item of talk.items)
    if (item.entry.reading_ft && item.entry.pass === talk.pass)
      item.assumed.push('read before the counter was set to zero');
  talk.reading = 0;
}

/** What was said of something that is none becomes a note. */
function withdraw(talk: Talk, { text }: Sentence, index: number, item: NarrationItem): void {
  talk.items.splice(talk.items.indexOf(item), 1);
  forgetPoint(talk, item);
  talk.notes.set(index, { video_s: item.video_s, sentence: `${item.sentence} ${text}` });
}

/** "Scratch that, that's the kitchen": only what comes instead counts. */
const insteadOf =
  /^\W*(?:scratch\s+that|strike\s+that|never\s*mind|disregard\s+(?:that|it)|forget\s+(?:that|it)|take\s+that\s+back)\W+(?=(?:that's|it's|that\s+is|it\s+is|make\s+(?:that|it))\s+(?!(?:just|only|fine|good|okay|nothing|not)\b)[a-z])/i;

/** "Correction, the crack at fifty eight is a hole": the new thing takes the old one's place; false where none is named. */
function renames(
  talk: Talk,
  sentence: Sentence,
  index: number,
  { item, says }: Extract<Correction, { is: 'renamed' }>,
): boolean {
  const at = talk.items.indexOf(item);
  const [before, points] = [[...talk.items], [...talk.points]];
  talk.items.splice(at, 1);
  forgetPoint(talk, item);
  const count = talk.items.length;
  takeSentence(talk, { text: says, at: sentence.at }, index);
  const found = talk.items.splice(count);
  const [first] = found;
  if (!first) {
    talk.items.splice(0, talk.items.length, ...before);
    talk.points.splice(0, talk.points.length, ...points);
    return false;
  }
  for (const each of found) each.sentence = `${item.sentence} ${sentence.text}`;
  first.video_s = item.video_s;
  first.entry = { ...first.entry, pass: item.entry.pass };
  talk.items.splice(at, 0, ...found);
  talk.notes.delete(index);
  return true;
}

/** "Crack at forty four, scratch that, it's a joint": the first thing is removed, its place stays. */
function startOver(
  talk: Talk,
  { text, at }: Sentence,
  index: number,
  { index: from, 0: words }: RegExpExecArray,
): void {
  const count = talk.items.length;
  takeSentence(talk, { text: text.slice(0, from), at }, index);
  talk.items.splice(count);
  talk.placeSentence = { index, text: '' };
  const rest = from + words.length;
  takeSentence(talk, { text: text.slice(rest), at: (place) => at(rest + place) }, index);
  talk.placeSentence = undefined;
  const item = talk.items[count];
  if (item) item.sentence = text;
}

/** Without empty fields, and open only where its other end was never called. */
function settled({ byLength: _, ...item }: NarrationItem): NarrationItem {
  const { open, ...rest } = item.entry;
  const entry = Object.fromEntries(
    Object.entries({ ...rest, ...(open && rest.to_ft === undefined ? { open } : {}) }).filter(
      ([, value]) => value !== undefined,
    ),
  ) as NarrationItem['entry'];
  // A correction may have named a measure that this kind does not have.
  const fitting = readEntry(entry, () => undefined, true) ?? entry;
  return { ...item, entry: fitting, certain: item.assumed.length === 0 };
}
