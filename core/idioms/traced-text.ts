import { oncePer } from '../once-per.js';
import { codedNeeds, LetterRuns } from '../pattern-needs.js';

/** Precedes something stated to be absent. */
export const denial = '¬';
/** Marks a possible boundary between two things: "there's", "we've got". */
export const boundary = '¦';
/** Stands for the previous entry: "same again", "another one". */
export const repeatMark = '↻';
/** Precedes a thing said to be written at its place already: "the roots at 46 are 30 %". */
export const sameMark = '≡';
/** Precedes a thing said to be written close to its place: "those roots are at 42". */
export const nearMark = '≈';

/** Placeholders for the two marks of a quote, as opposed to a bare " after a number. */
export const openQuote = '\uE001';
export const closeQuote = '\uE002';

/** Text being rewritten, with the place of every character in the original. */
export interface TracedText {
  readonly text: string;
  /** First and past-the-end position of each character in the original. */
  readonly from: readonly number[];
  readonly to: readonly number[];
}

export const traced = (text: string): TracedText => ({
  text,
  from: Array.from({ length: text.length }, (_, i) => i),
  to: Array.from({ length: text.length }, (_, i) => i + 1),
});

/** Position of a stretch of the rewritten text in the original. */
export function placeOf(heard: TracedText, from: number, to: number): { from: number; to: number } {
  const start = heard.from[from] ?? heard.to.at(-1) ?? 0;
  return { from: start, to: Math.max(start, to > from ? (heard.to[to - 1] ?? start) : start) };
}

export function slice(heard: TracedText, from: number, to?: number): TracedText {
  return {
    text: heard.text.slice(from, to),
    from: heard.from.slice(from, to),
    to: heard.to.slice(from, to),
  };
}

/**
 * Replaces each match of a pattern (with the flag `g`); undefined leaves the match unchanged. Every new character gets
 * the position of the whole match.
 */
export function rewrite(
  heard: TracedText,
  pattern: RegExp,
  words: string | ((match: RegExpExecArray) => string | undefined),
): TracedText {
  // Most of the hundreds of idioms match nothing: for those nothing is made, and `matchAll` would copy each pattern.
  pattern.lastIndex = 0;
  const first = pattern.exec(heard.text);
  return first ? rewriteFrom(first, heard, pattern, words) : heard;
}

/** The same from its first match on, with which the pattern stands right after it. */
function rewriteFrom(
  first: RegExpExecArray,
  heard: TracedText,
  pattern: RegExp,
  words: Parameters<typeof rewrite>[2],
): TracedText {
  let text = '';
  const from: number[] = [];
  const to: number[] = [];
  let at = 0;
  const keep = (until: number) => {
    text += heard.text.slice(at, until);
    for (; at < until; at++) {
      from.push(heard.from[at] ?? 0);
      to.push(heard.to[at] ?? 0);
    }
  };
  let match: RegExpExecArray | null = first;
  for (; match; match = pattern.exec(heard.text)) {
    if (match[0] === '') pattern.lastIndex++;
    const instead = typeof words === 'string' ? words : words(match);
    if (instead === undefined || match[0] === '') continue;
    keep(match.index);
    const end = match.index + match[0].length;
    const place = placeOf(heard, match.index, end);
    text += instead;
    for (let i = 0; i < instead.length; i++) {
      from.push(place.from);
      to.push(place.to);
    }
    at = end;
  }
  if (at === 0) return heard;
  keep(heard.text.length);
  return { text, from, to };
}

/** The place that a typed line begins with, for a look-behind: "42", "~42.5 ft". */
export const placeFirst = String.raw`^\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s+`;

/** The same in words or digits, for what is said aloud: "forty eight,", "48 ". */
export const spokenPlaceFirst = String.raw`^\s*(?:at\s+)?[a-z\d. -]{1,24}?\s*,?\s+`;

/** What follows the place that is said first, once numbers are digits: "at 42, …", "~42.5 ft …". */
export const afterPlace = (pattern: string): RegExp =>
  new RegExp(
    String.raw`(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+)${pattern}`,
    'gi',
  );

/** An idiom, and the words of the typed line with the same meaning. */
export type Idiom = readonly [pattern: RegExp, to: Parameters<typeof rewrite>[2]];

const needsOfAll = oncePer((idioms: readonly Idiom[]) => idioms.map(([pattern]) => codedNeeds(pattern)));

/** Applies one idiom after another, in the order listed. Those that cannot be in the text are not tried. */
export function rewriteAll(heard: TracedText, idioms: readonly Idiom[]): TracedText {
  const runs = new LetterRuns(heard.text);
  const needs = needsOfAll(idioms);
  let now = heard;
  idioms.forEach(([pattern, to], i) => {
    if (!runs.meet(needs[i] ?? [])) return;
    const before = now;
    now = rewrite(before, pattern, to);
    if (now !== before) runs.add(now.text);
  });
  return now;
}

/** Characters of a note stand here, beyond all letters, while the words around them are read. */
const apart = 0xe100;

/** Words kept as the note: nothing is read in them, and no later idiom changes them. */
export const quoted = (words: string): string =>
  openQuote +
  words
    .replaceAll(new RegExp(`[${openQuote}${closeQuote}]`, 'g'), '')
    .replaceAll(/[\0-\u0fff]/g, (char) => String.fromCharCode(char.charCodeAt(0) + apart)) +
  closeQuote;
/** A character of a note as it was typed; any other as it is. */
export const asTyped = (char: string): string => {
  const code = char.charCodeAt(0) - apart;
  return code >= 0 && code < 0x1000 ? String.fromCharCode(code) : char;
};
/** What is said of other things than the pipe, kept as the note: the whole match. */
export const asNote = ([said]: RegExpExecArray): string => quoted(said.trim());
/** The same of what stands after a thing: its comma goes. */
export const besideIt = ([said]: RegExpExecArray): string => ` ${quoted(said.replace(/^[\s,]+/, ''))}`;
