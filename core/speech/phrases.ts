import type { Meaning } from './meaning.js';
import { ownWords, words } from './trade-words.js';

/** Phrases by their first word, longest first. */
const byWord = new Map<string, string[]>();
const firstWord = (text: string): string => /^[a-z0-9'’]+/.exec(text)?.[0] ?? '';
for (const phrase of Object.keys(words).sort((a, b) => b.length - a.length)) {
  const first = firstWord(phrase);
  const known = byWord.get(first);
  if (known) known.push(phrase);
  else byWord.set(first, [phrase]);
}
const longestPhrase = 60;

/** The longest known phrase at the start of a text, ending at a word boundary. */
export function phraseAt(text: string): { phrase: string; meaning: Meaning } | undefined {
  const lower = text.slice(0, longestPhrase).toLowerCase().replaceAll('’', "'");
  const first = firstWord(lower);
  // "the offset's about an inch"
  const phrase = (byWord.get(first) ?? byWord.get(first.replace(/'s$/, '')))?.find(
    (each) => lower.startsWith(each) && !/^(?:'(?!s\b)|[a-z0-9-])/.test(lower.slice(each.length)),
  );
  const meaning = phrase === undefined ? undefined : words[phrase];
  return phrase !== undefined && meaning ? { phrase, meaning } : undefined;
}

/** What the known phrases of a text mean, in their order. */
export function meaningsIn(text: string): Meaning[] {
  const found: Meaning[] = [];
  const word = /[a-z0-9][a-z0-9'’-]*/giy;
  for (let at = 0; at < text.length;) {
    const known = phraseAt(text.slice(at));
    word.lastIndex = at;
    if (known) found.push(known.meaning);
    at += known?.phrase.length ?? word.exec(text)?.[0].length ?? 1;
  }
  return found;
}

/**
 * Completion of the word being typed: the rest of the first known phrase that begins with it. A complete word or phrase
 * is never extended.
 */
export function completion(text: string): string {
  const part = text.slice(text.lastIndexOf(';') + 1).toLowerCase();
  // A unit after its number is a whole word, even if longer words begin with it.
  if (/[\d½¼¾⅛⅜⅝⅞]\s*(?:in|ft|f|i)$/.test(part)) return '';
  const typing = /[a-z-]+$/.exec(part)?.[0] ?? '';
  if (typing.length < 2 || words[typing] || isWhole(part)) return '';
  for (const [whole] of part.matchAll(/(?<![a-z0-9-])[a-z].*$/g)) {
    // Longest tail first, so that two-word phrases complete too.
    const tails = [whole, ...[...whole.matchAll(/\s+(.+)$/g)].map(([, tail]) => tail ?? '')];
    for (const tail of tails) {
      const match = tail.length >= 2 ? longer(tail) : undefined;
      if (match) return match.slice(tail.length);
    }
    const match = longer(typing);
    return match ? match.slice(typing.length) : '';
  }
  return '';
}
const inOrder = ownWords.filter((word) => words[word]?.is !== 'nothing');

/** The first known phrase beginning with these words, preferring one that adds no word before the rest. */
function longer(tail: string): string | undefined {
  const all = inOrder.filter((each) => each.startsWith(tail) && each !== tail);
  const wordsIn = (text: string) => text.split(' ').length;
  const even = all.filter((each) => wordsIn(each) === wordsIn(tail));
  return even.find((each) => !each.includes('-')) ?? even[0] ?? all[0];
}

/** True where the text ends in a known phrase. */
const isWhole = (text: string): boolean =>
  [...text.matchAll(/(?<![a-z0-9'’-])[a-z]/g)].some(
    ({ index }) => phraseAt(text.slice(index))?.phrase.length === text.length - index,
  );

/** Known words close to a misspelled one, for the message below it. */
export function closest(word: string): string | undefined {
  const lower = word.toLowerCase();
  const begun = lower.length >= 2 && /^[a-z]+$/.test(lower) ? longer(lower) : undefined;
  if (begun !== undefined && !begun.includes(' ')) return begun;
  let best: string | undefined;
  let least = Math.max(1, Math.floor(lower.length / 3)) + 1;
  for (const each of inOrder) {
    const away = distance(lower, each, least);
    if (away < least) [best, least] = [each, away];
  }
  return best;
}

/** Edit distance between two words, abandoned above `most`. */
function distance(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) >= most) return most;
  let row = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      next.push(Math.min((next[j - 1] ?? 0) + 1, (row[j] ?? 0) + 1, (row[j - 1] ?? 0) + same));
    }
    row = next;
  }
  return row[b.length] ?? most;
}
