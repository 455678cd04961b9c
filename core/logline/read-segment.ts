import { interjection } from '../speech/normalize.js';
import { placeOf, slice, type TracedText } from '../idioms/traced-text.js';
import { phraseAt } from '../speech/phrases.js';
import type { EarlierThing, LogContext, LogError } from './context.js';
import { hollow } from './besides.js';
import { applyMeaning, named, newDraft, type Draft } from './draft.js';
import { pointNamedAt, tagAt, takeReferring } from './references.js';
import type { Segment } from './segments.js';
import { tokens } from './tokens.js';
import type { Meaning } from '../speech/meaning.js';

type Phrase = NonNullable<ReturnType<typeof phraseAt>>;

export interface Span {
  readonly from: number;
  readonly to: number;
}

/** What the words of one thing mean; places are in the text as typed. */
export interface SegmentRead {
  readonly draft: Draft;
  readonly errors: LogError[];
  /** Filler words. */
  readonly passed: readonly Span[];
  /** Unknown words. */
  readonly unknown: readonly (Span & { readonly word: string })[];
  /** Words that name things, as written. */
  readonly nouns: readonly string[];
  /** Places of readings and marks: the text without them is a note. */
  readonly places: readonly Span[];
}

/** Reads the words of one thing, matching the longest token or phrase each time. Never throws. */
export function readSegment(
  all: TracedText,
  segment: Segment,
  context: LogContext,
  known: readonly EarlierThing[],
): SegmentRead {
  const heard = slice(all, segment.from, segment.to);
  const { text } = heard;
  const draft = newDraft();
  const errors: LogError[] = [];
  const passed: Span[] = [];
  const unknown: (Span & { word: string })[] = [];
  const nouns: string[] = [];
  const places: Span[] = [];
  const span = (from: number, to: number): Span => placeOf(heard, from, to);
  let at = 0;
  while (at < text.length) {
    const rest = text.slice(at);
    const here = at;
    const space = /^\s+/.exec(rest)?.[0].length ?? 0;
    if (space > 0) {
      at += space;
      continue;
    }
    const referring = takeReferring(draft, rest, at, context, known, (from, to, message) => {
      errors.push({ ...span(here + from, here + to), message });
    });
    const used = referring || takePoint(draft, rest, context);
    if (used > 0) {
      at += used;
      continue;
    }
    const token = takeToken(draft, rest, at);
    if (token) {
      if (token.message !== undefined) errors.push({ ...span(at, at + token.used), message: token.message });
      if (token.place) places.push(span(at, at + token.used));
      at += token.used;
      continue;
    }
    const phrase = phraseAt(rest);
    if (phrase) {
      at = takePhrase({ draft, errors, passed, nouns, span }, text, at, phrase);
      continue;
    }
    const word = /^[^\s,;¦¬?!]+/.exec(rest)?.[0] ?? rest.charAt(0);
    unknown.push({ ...span(at, at + word.length), word });
    at += word.length;
  }
  return { draft, errors, passed, unknown, nouns, places };
}

/** "roots in the clay": a material after "in the" only places a finding. */
const isOnlyWhere = (draft: Draft, text: string, at: number, meaning: string): boolean =>
  meaning === 'material' &&
  (draft.finding !== undefined || draft.kind === 'hidden' || draft.kind === 'stop') &&
  /\b(?:in|of|on|through|inside)\s+(?:the\s+|that\s+|this\s+)?$/i.test(text.slice(0, at));

/** A segment while its words are read. */
interface Reading {
  readonly draft: Draft;
  readonly errors: LogError[];
  readonly passed: Span[];
  readonly nouns: string[];
  /** The place in the text as typed. */
  span: (from: number, to: number) => Span;
}

/** Takes a known phrase at a place of a segment; returns where it ends. */
function takePhrase(
  { draft, errors, passed, nouns, span }: Reading,
  text: string,
  at: number,
  { phrase, meaning }: Phrase,
): number {
  const to = at + phrase.length;
  takeFoundIn(draft, text, at, meaning);
  if (meaning.is === 'finding' || isOfPoint(draft, text, at, meaning)) draft.findingTo = to;
  const isSkipped =
    isInPassing(text, at, to) ||
    isOnlyWhere(draft, text, at, meaning.is) ||
    takeWithin(draft, text, at, meaning);
  const message = isSkipped ? undefined : applyMeaning(draft, meaning, { from: at, to });
  if (message !== undefined) errors.push({ ...span(at, to), message });
  // Of words that were put another way, only their whole place is known.
  const asTyped = span(at, to);
  if (meaning.is === 'nothing' && asTyped.to - asTyped.from === to - at) passed.push(asTyped);
  if (['finding', 'point', 'kind', 'material', 'test', 'size'].includes(meaning.is)) nouns.push(phrase);
  return to;
}

/** "out of round", "out of the wall": these name no pass. "It turns into several cracks": no bend. */
const isInPassing = (text: string, from: number, to: number): boolean =>
  (/^out$/i.test(text.slice(from, to)) && /^\s+of\b/i.test(text.slice(to))) ||
  (/^turn(?:s|ed|ing)?$/i.test(text.slice(from, to)) && /^\s+in\s?to\b/i.test(text.slice(to)));

/** "roots through the break": what they come through is a finding too. */
function takeWithin(draft: Draft, text: string, at: number, meaning: Meaning): boolean {
  if (meaning.is !== 'finding' || draft.finding === undefined || draft.finding === meaning.finding)
    return false;
  if (!/\b(?:in|at|through|from|behind|inside|into|of)\s+(?:the|a|an|that|this)\s+$/i.test(text.slice(0, at)))
    return false;
  draft.within ??= { finding: meaning.finding, with: { ...meaning.with } };
  return true;
}

/** Words between a finding and the point in which it lies: "broken 4 in wye", "roots 20 % at 30 in the left tap". */
const foundIn =
  /^\s*(?:(?:in|inside|into|at|@|of|on|right|left|the|a|an|this|that|our|old|little|big|capped|(?:(?:at|@)\s*)?~?\d+(?:\.\d+)?(?:\s*(?:in|inch|"|%|percent|°|deg|degrees?|o['’]?clock))?),?\s+)*$/i;

/** "roots in the kitchen branch": what drains there. */
const isOfPoint = ({ findingTo }: Draft, text: string, at: number, { is }: Meaning): boolean =>
  is === 'served' && findingTo !== undefined && foundIn.test(text.slice(findingTo, at));

/** "a broken wye", "roots in the tap": the point is there too; a "fitting" or "connection" may be any joint. */
function takeFoundIn(draft: Draft, text: string, at: number, meaning: Meaning): void {
  if (meaning.is !== 'point' || draft.findingTo === undefined || draft.point !== undefined) return;
  if (!hollow.has(meaning.kind) || /^(?:fitting|turn|connection)\b/i.test(text.slice(at))) return;
  // "a root tap" is a root.
  if (/\broot\s+$/i.test(text.slice(0, at)) && /^tap\b/i.test(text.slice(at))) return;
  if (foundIn.test(text.slice(draft.findingTo, at)))
    draft.foundIn ??= { kind: meaning.kind, about: { ...meaning.about } };
}

/** A point of the line by `#id`, by name or by id; a point named like a trade word only by `#id`. */
function takePoint(draft: Draft, rest: string, context: LogContext): number {
  if (named(draft)) return 0;
  const tagged = tagAt(rest);
  const phrase = phraseAt(rest);
  const wordOfTrade = phrase && phrase.meaning.is !== 'point' ? phrase.phrase.length : 0;
  const hit = tagged ?? pointNamedAt(rest, context);
  const of = context.points.find(({ id }) => id === hit?.id)?.kind;
  if (!hit || of === undefined || (!tagged && hit.used <= wordOfTrade)) return 0;
  draft.kind = 'point';
  draft.point = { id: hit.id, of };
  return hit.used;
}

function takeToken(
  draft: Draft,
  rest: string,
  at: number,
): { used: number; message: string | undefined; place: boolean } | undefined {
  for (const [pattern, act] of tokens) {
    const match = pattern.exec(rest);
    if (!match || match[0] === '') continue;
    const before = draft.numbers.length;
    const message = act(draft, match, at);
    const place = draft.numbers.length > before || /^[~,.¦¬:-]/.test(match[0]);
    return { used: match[0].length, message, place };
  }
  return undefined;
}

/** "xyz", "crkd": letters that stand for a word, which may be a finding. */
export const isShorthand = (word: string): boolean =>
  /^[a-z]{1,3}$/i.test(word) || /^[^aeiouy\d\W]{2,5}$/i.test(word);

/** Where filler such as "um" or "you know" was removed from a text before reading. */
export function interjectionsIn(text: string): Span[] {
  return [...text.matchAll(interjection)].map(({ index, 0: word }) => ({
    from: index,
    to: index + word.replace(/\s*,?$/, '').length,
  }));
}
