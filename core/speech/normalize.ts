import { interjections } from './chatter.js';
import { markBoundaries, markDenials } from './denials.js';
import {
  asTyped,
  boundary,
  closeQuote,
  traced,
  repeatMark,
  openQuote,
  placeOf,
  rewrite,
  rewriteAll,
  type TracedText,
} from '../idioms/traced-text.js';
import { hedges } from './hedges.js';
import { figureIdioms, spokenIdioms } from '../idioms/idioms.js';
import { aNumber } from '../number-words.js';
import { anyMaterial as material } from '../idioms/pipes.js';
import { slipsOfNumbers, slipsOfThings } from './slips.js';
import { spokenNumbers } from './spoken-numbers.js';
import { words } from './trade-words.js';
import { writtenPlaces } from './written-places.js';

/** Placeholder for a protected character: quotes, ids, names. */
const masked = '\uE000';
/** Placeholder for a name, which is a thing of its own. */
export const maskedName = '\uE003';
const quotes = /(?<![0-9½¼¾⅛⅜⅝⅞⅓⅔])"(?:[^"]|"")*"|#(?:"(?:[^"]|"")*"|[^\s;,"]+)/g;

const longestFirst = (all: readonly string[]): string[] => [...all].sort((a, b) => b.length - a.length);
const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const anyOf = (all: readonly string[]): string => longestFirst(all).map(escaped).join('|');

/** "its clay", "theres roots": as a thumb types them. */
const contracted =
  /\b(?:thats|theres|heres|whats|wheres|shes|hes|theyre|youre)\b|\b(?:i|we|they|you)ve\b|\bim\b|\bits\b(?!\s+own\b)(?<!\b(?:on|in|of|at|off|to|from|by|with|for|past|under|over)\s+its)/gi;
const withApostrophe = ([said]: RegExpExecArray): string => said.replace(/(ve|re|[stm])$/i, "'$1");

/** "There's a a bend", "it's it's pvc". */
const stammered =
  /\b(an?|the|it's|that's|there's|we've|we're|i'm|i|is|at|to|and|then|so|of|on|in)\s+\1(?=\s)/gi;

/** Words removed before anything is read: "um", "you know". */
export const interjection = new RegExp(
  // "on the right here" is a side; "to five, actually eight" takes back the five.
  String.raw`(?<![\w'’-])(?<!\b(?:on|to|from)\s+(?:the|your|our|my)\s+(?=right\s+(?:here|there|now)\s*(?:$|[,.;]|at\b|around\b|~?\d)))(?!(?<=,\s*)actually\s+(?:that's|it's|${aNumber}))(?:${anyOf(interjections)}|(?<!\d\s*)mm)(?![\w'’-])\s*,?`,
  'gi',
);
const someWords = String.raw`(?:(?:a|an|the|more|some|what|looks|like|is|that|old|newer|new|existing|regular)\s+)*`;
const bore = String.raw`(?:\d+(?:\.\d+)?\s*-?(?:in(?:ch)?\.?|"|”)\s+)?`;

/** "abs to clay", "from the abs into 6 inch clay": one pipe, then the other. */
const pipeToPipe = new RegExp(
  String.raw`(?:\bfrom\s+(?:the\s+)?)?\b(?<!\d\s*['′]\s*)(${bore}${material})(?:\s+pipe)?\s+(?:(?:over|in|on|and|ties|tied|tying|connects|hooks|runs|goes|going|changes|changing|back|transitions?|transitioning|turns|turning|switching)\s+)*(?:to|into|then)\s+${someWords}(?=${bore}${material}\b)`,
  'gi',
);
/** "abs/clay": the same, typed. */
const pipeSlashPipe = new RegExp(String.raw`\b(${bore}${material})\s*/\s*(?=${bore}${material}\b)`, 'gi');
const toPipe = new RegExp(
  String.raw`\b(?:(?:changes?|changed|changing|transitions?|transitioned|transitioning|turns?|turned|turning|becomes)\s+(?:back\s+|over\s+|right\s+|again\s+)*(?:(?:in|on)?to\s+)?|(?:goes|going|went|go|switch(?:es|ed)?|converts?|back|then|over)\s+(?:back\s+|over\s+|right\s+|again\s+)*(?:in|on)?to\s+)${someWords}(?=${bore}${material}\b)`,
  'gi',
);
/** "same again at 50", "another one at 22": the previous entry again. */
const onceMore =
  /\b(?:same\s+(?:again|thing|deal|story)(?:\s+again)?|(?:another|one\s+more)(?:\s+one)?(?=\s*$|\s*[,.;]|\s+(?:of\s+(?:those|them)\s+)?(?:at|@|right|here|starts|starting|begins|beginning|from\s+~?\d|on\s+the\s+(?:bottom|top|left|right|side)|\d|~))|same(?=\s+(?:at|here)\b)|(?<=^\s*~?\s*\d+(?:\.\d+)?\s*,?\s+)same(?=\s*(?:$|[,;.\uE001])|\s+but\s+(?:on|at)\b)|ditto|more\s+of\s+the\s+same|(?<=\band\s+(?:then\s+)?)one(?=\s+(?:at|around|@)\s+~?\d)|(?<=^\s*(?:(?:and|then|okay)\s+)*)also(?=\s+(?:at|around)\s+~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*(?:$|[.;]))|(?<=^\s*(?:and\s+)?)again(?=\s+(?:at|around)\b)|(?:a\s+)?(?:couple|few)\s+more(?:\s+of\s+(?:those|them|the\s+same))?(?=\s+(?:at|@|around)\b))\b/gi;
/** "a 45 at 20", "another ninety": a bend, named by its degrees. */
const bendByDegrees = new RegExp(
  String.raw`\b(?<!\bmake\s+)(?:a|an|another|the|our|my|that)\s+(?:(?!(?:at|around|about|to|from|by|near)\b)\w+\s+)?(11\.25|22\.5|22|45|60|72|90)(?:\s*-?\s*degrees?|\s*°)?(?!\s*(?:feet|ft|foot|%|percent|inch|in\b|'|or\b|to\b(?!\s+the\s+(?:left|right)\b)|-|\.\d|\d|o['’]?clock))(?:\s+(?:bend|turn|elbow|ell|sweep|fitting))?\b`,
  'gi',
);

/**
 * The text as rewritten, and the same text with quotes, ids and names masked so that no word is matched inside them.
 */
export interface NormalizedText {
  readonly heard: TracedText;
  readonly shape: string;
}

/**
 * Speech or typing in the words of the typed line (docs/log-line.md): numbers as digits, hedges as `~`, ranges as "46
 * to 50", "abs to clay" as `abs > clay`, denials marked, filler removed. Quoted words, ids and the given names stay as
 * they are. Every character keeps its place in the original. Time grows with the length of the text.
 */
export function normalize(text: string, names: readonly string[] = []): NormalizedText {
  const hidden = hide(text, names);
  let heard: TracedText = { ...traced(text), text: hidden };
  heard = rewrite(heard, /[’‘]/g, "'");
  heard = writtenPlaces(heard);
  heard = rewrite(heard, contracted, withApostrophe);
  heard = rewrite(heard, interjection, ' ');
  heard = rewrite(heard, stammered, ([, once = '']) => once);
  heard = rewriteAll(heard, spokenIdioms);
  heard = slipsOfThings(heard);
  heard = markDenials(heard);
  heard = slipsOfNumbers(spokenNumbers(heard));
  const said = heard.text;
  heard = rewrite(heard, bendByDegrees, (match) => {
    // "the fitting is a 45" names one bend.
    const clause =
      said
        .slice(0, match.index)
        .split(/[;,.]|\band\b/i)
        .at(-1) ?? '';
    const named = /\b(?:bend|turn|elbow|ell|sweep|fitting)\b/i.test(clause);
    return named ? ` ${match[1] ?? ''} degrees ` : ` ${boundary} bend ${match[1] ?? ''} degrees `;
  });
  heard = rewriteAll(heard, figureIdioms);
  heard = rewrite(heard, onceMore, ` ${repeatMark} `);
  heard = markBoundaries(heard);
  heard = hedges(heard);
  heard = rewrite(heard, pipeSlashPipe, ([, pipe = '']) => ` ${boundary} ${pipe} > `);
  heard = rewrite(heard, pipeToPipe, ([, pipe = '']) => ` ${boundary} ${pipe} > `);
  heard = rewrite(heard, toPipe, 'change ');
  return { heard: unmask(heard, text, hidden), shape: heard.text };
}

/** Masks quotes, ids and names at the same length. */
function hide(text: string, names: readonly string[]): string {
  const own = names.filter((name) => /[a-z]/i.test(name) && words[name.toLowerCase()] === undefined);
  const hidden = text.replace(quotes, (whole) => masked.repeat(whole.length));
  return own.length === 0
    ? hidden
    : hidden.replace(new RegExp(String.raw`(?<![\w-])(?:${anyOf(own)})(?![\w-])`, 'gi'), (whole) =>
        maskedName.repeat(whole.length),
      );
}

/** Restores what was masked, character by character, and quote marks for the two placeholders. */
function unmask(heard: TracedText, original: string, hidden: string): TracedText {
  const marks = new Map<number, string>();
  for (const { index, 0: whole } of original.matchAll(quotes)) {
    if (!whole.startsWith('"')) continue;
    marks.set(index, openQuote);
    marks.set(index + whole.length - 1, closeQuote);
  }
  const own = (from: number) => marks.get(from) ?? original[from] ?? '';
  return {
    ...heard,
    text: Array.from({ length: heard.text.length }, (_, i) => {
      const { from } = placeOf(heard, i, i + 1);
      const char = heard.text[i] ?? '';
      return (char === masked || char === maskedName) && hidden[from] === char ? own(from) : asTyped(char);
    }).join(''),
  };
}
