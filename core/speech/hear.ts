import { materialRegistry } from '../catalog/materials.js';
import { interjections } from './chatter.js';
import { boundary, markBoundaries, markDenials, onceMoreMark } from './denials.js';
import { heardAs, placeOf, rewrite, type Heard } from './heard.js';
import { hedges } from './hedges.js';
import { spokenNumbers } from './spoken-numbers.js';
import { words } from './trade-words.js';

/** Holds the place of a character that is not to be touched: quotes, ids, names. */
const masked = '\uE000';
/** Holds the place of a name: a thing of its own. */
export const maskedName = '\uE003';
const quotes = /(?<![0-9½¼¾⅛⅜⅝⅞⅓⅔])"(?:[^"]|"")*"|#(?:"(?:[^"]|"")*"|[^\s;,"]+)/g;

const longestFirst = (all: readonly string[]): string[] => [...all].sort((a, b) => b.length - a.length);
const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const anyOf = (all: readonly string[]): string => longestFirst(all).map(escaped).join('|');

/** Words taken out before anything is read: "um", "you know". */
export const interjection = new RegExp(
  String.raw`(?<![\w'’-])(?:${anyOf(interjections)})(?![\w'’-])\s*,?`,
  'gi',
);
const material = `(?:${anyOf(materialRegistry.rows.flatMap(({ spoken }) => spoken))})`;
const someWords = String.raw`(?:(?:a|an|the|more|some|what|looks|like|is|that|old|newer|new|existing|regular)\s+)*`;
const bore = String.raw`(?:\d+(?:\.\d+)?\s*-?(?:in(?:ch)?\.?|"|”)\s+)?`;

/** "abs to clay", "from the abs into 6 inch clay": one pipe, then the other. */
const pipeToPipe = new RegExp(
  String.raw`(?:\bfrom\s+(?:the\s+)?)?\b(?<!\d\s*['′]\s*)(${bore}${material})(?:\s+pipe)?\s+(?:(?:over|in|on|and|goes|going|changes|changing|back|transitions?|transitioning|turns|turning|switching)\s+)*(?:to|into|then)\s+${someWords}(?=${bore}${material}\b)`,
  'gi',
);
/** "abs/clay": the same, as it is typed. */
const pipeSlashPipe = new RegExp(String.raw`\b(${bore}${material})\s*/\s*(?=${bore}${material}\b)`, 'gi');
const toPipe = new RegExp(
  String.raw`\b(?:(?:changes?|changed|changing|transitions?|transitioned|transitioning|turns?|turned|turning|becomes)\s+(?:back\s+|over\s+|right\s+|again\s+)*(?:(?:in|on)?to\s+)?|(?:goes|going|went|go|switch(?:es|ed)?|converts?|back|then|over)\s+(?:back\s+|over\s+|right\s+|again\s+)*(?:in|on)?to\s+)${someWords}(?=${bore}${material}\b)`,
  'gi',
);
/** "same again at 50", "another one at 22": what was written last, once more. */
const onceMore =
  /\b(?:same\s+(?:again|thing|deal|story)(?:\s+again)?|(?:another|one\s+more)(?:\s+one)?(?=\s*$|\s*[,.;]|\s+(?:of\s+(?:those|them)\s+)?(?:at|@|right|here|\d|~))|same(?=\s+(?:at|here)\b)|ditto|more\s+of\s+the\s+same)\b/gi;
/** "a 45 at 20", "another ninety": a bend, called by its degrees. */
const bendByDegrees = new RegExp(
  String.raw`\b(?:a|an|another|the|our|my|that)\s+(?:\w+\s+)?(11\.25|22\.5|22|45|60|72|90)(?:\s*-?\s*degrees?|\s*°)?(?!\s*(?:feet|ft|foot|%|percent|inch|in\b|'|or\b|to\b|-|\.\d|\d|o['’]?clock))(?:\s+(?:bend|turn|elbow|ell|sweep|fitting))?\b`,
  'gi',
);

/** What was heard, and its shape: the same text with quotes, ids and names masked, so that no word is seen in them. */
export interface Hearing {
  readonly heard: Heard;
  readonly shape: string;
}

/**
 * What was typed or said, in the words of the typed line (docs/log-line.md): numbers in figures, hedges as `~`, ranges
 * as "46 to 50", "abs to clay" as `abs > clay`, denials marked, interjections taken out. Quoted words, ids and the given
 * names stand as they are. Every character keeps its place in the original. Time grows with the length of the text.
 */
export function hear(text: string, names: readonly string[] = []): Hearing {
  const hidden = hide(text, names);
  let heard: Heard = { ...heardAs(text), text: hidden };
  heard = rewrite(heard, /[’‘]/g, "'");
  heard = rewrite(heard, interjection, ' ');
  // "at 118 Larkin", "118 larkin street": an address is no reading.
  heard = rewrite(
    heard,
    /\b(?:\d{2,5}(?=\s+(?!(?:to|toward|towards|the|a|under|in|into|at|from|of|and|ft|feet)\b)[a-z]+\s+(?:street|avenue|ave|road|lane|drive|court|boulevard|blvd)\b)|(?<=\b(?:at|for)\s)\d{2,5}(?=\s[A-Z][a-z]{3,}\s*(?:,|\.|$)))/g,
    ' ',
  );
  // "the bottom's gone"
  heard = rewrite(
    heard,
    /\b(bottom|invert|pipe|joint|cap|top|crown|liner|camera|lens|line|main)'s(?=\s)/gi,
    ([, noun = '']) => `${noun} is`,
  );
  // "twenty three and change" is a little past it.
  heard = rewrite(heard, /(?<=[a-z\d])\s+and\s+change\b/gi, ' ');
  heard = rewrite(
    heard,
    /\b(?:drop(?:s|ped|ping)?|dip(?:s|ped|ping)?|go(?:es|ing)?)\s+(?:down\s+)?in(?:to)?\s+(?:some\s+|a\s+little\s+|the\s+)?(?:standing\s+)?water\b/gi,
    'goes under water',
  );
  // "right at seventy nine" is no side of the pipe.
  heard = rewrite(
    heard,
    /\bright\s+(?=(?:at|about|around|near|after|before|past|off|now|next|up|over|in|on)\b(?!\s+(?:side|hand)))/gi,
    ' ',
  );
  heard = rewrite(heard, / {2,}/g, ' ');
  heard = rewrite(heard, /\b(?:astm\s+)?(?:d[\s-]*)?3034\b|\bsdr[\s-]*(?:35|thirty[\s-]five)\b/gi, 'sdr35');
  heard = rewrite(heard, /\bschedule\s+forty\b/gi, 'schedule 40');
  heard = rewrite(heard, /\bper\s+cent\b/gi, 'percent');
  // On a phone the apostrophe is left out.
  heard = rewrite(heard, /\b(can|won|couldn|doesn|didn|isn|wasn|don)t\b/gi, ([, verb = '']) => `${verb}'t`);
  heard = rewrite(heard, /\bc\.\s?i\.(?!\w)/gi, 'ci');
  heard = rewrite(heard, /\b([12])[\s-]?way\b/gi, ([, ways]) => (ways === '1' ? 'one-way' : 'two-way'));
  // "31 1/4 bend" is a quarter bend at 31.
  heard = rewrite(heard, /(?<=\d\s+)1\/([48])\s+(?=bend\b)/gi, ([, part]) =>
    part === '4' ? 'quarter ' : 'eighth ',
  );
  heard = rewrite(heard, /\bw\/\s?(?=\w)/gi, 'with ');
  // "ran the kitchen sink": water was run from it.
  heard = rewrite(
    heard,
    /\b(?:ran|running|turned\s+on|filled|dumped)\s+(?:the\s+|a\s+)?(?=(?:\w+\s+){0,2}(?:sink|shower|tub|bathtub|faucet|toilet|washer|bath|dishwasher|hose)\b)/gi,
    'ran water ',
  );
  // Whatever it is and however it is said: something else runs through the sewer.
  heard = rewrite(
    heard,
    /\b(?:gas|electric(?:al)?|power|telephone|phone|fiber\s+optic|cable\s+tv)\s+(?:line|main|pipe|service|conduit|cable)\s+(?:[a-z]+\s+){0,4}?through\s+(?:the\s+|this\s+|our\s+|that\s+)?(?:\w+\s+)?(?:pipe|sewer|lateral|line)\b/gi,
    'utility through the pipe',
  );
  heard = markDenials(heard);
  heard = spokenNumbers(heard);
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
  heard = rewrite(
    heard,
    /\bfrom\s+(?=~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|ft|foot))?\s+on\b(?!\s+(?:the|a)\b))/gi,
    'at ',
  );
  // "three feet, forty five": a bend, by its degrees.
  heard = rewrite(
    heard,
    /(?<=\d\s*(?:feet|foot|ft),?\s+)(22\.5|45|90)(?=\s*(?:$|[,.;]|and\b))/gi,
    ([, degrees = '']) => ` ${boundary} bend ${degrees} degrees `,
  );
  // "sonde says 4 foot 2" is a depth, wherever it stands.
  heard = rewrite(
    heard,
    /\b(?:the\s+)?(?:sonde|locator|transmitter|locate)\s+(?:says|said|reads|shows|is|gives(?:\s+me)?|at)\s+(?:(?:about|like|around|~)\s*)*(?=\d)/gi,
    'depth ',
  );
  // "water's about an inch and a half deep", "max water 40 percent": it stands.
  heard = rewrite(
    heard,
    /(?<!\b(?:standing|under|holding|running|of)\s+)\b(?:the\s+|max(?:imum)?\s+)?water(?:'s|\s+(?:is|was|gets|level|depth))*\s+(?:to\s+)?(?=(?:(?:about|around|like|roughly|only|~|maybe)\s*)*[\d½¼¾⅛⅜⅝⅞][\d./½¼¾⅛⅜⅝⅞ ]*(?:to\s+[\d./]+\s*)?(?:in\b|inch|"|%|percent))/gi,
    'standing water ',
  );
  heard = rewrite(heard, onceMore, ` ${onceMoreMark} `);
  heard = markBoundaries(heard);
  heard = hedges(heard);
  heard = rewrite(heard, pipeSlashPipe, ([, pipe = '']) => ` ${boundary} ${pipe} > `);
  heard = rewrite(heard, pipeToPipe, ([, pipe = '']) => ` ${boundary} ${pipe} > `);
  heard = rewrite(heard, toPipe, 'change ');
  return { heard: unmask(heard, text, hidden), shape: heard.text };
}

/** Stand for the two marks of a quote, which a bare " after a number is not. */
export const openQuote = '\uE001';
export const closeQuote = '\uE002';

/** Quotes, ids and names behind a mask of the same length. */
function hide(text: string, names: readonly string[]): string {
  const own = names.filter((name) => /[a-z]/i.test(name) && words[name.toLowerCase()] === undefined);
  const hidden = text.replace(quotes, (whole) => masked.repeat(whole.length));
  return own.length === 0
    ? hidden
    : hidden.replace(new RegExp(String.raw`(?<![\w-])(?:${anyOf(own)})(?![\w-])`, 'gi'), (whole) =>
        maskedName.repeat(whole.length),
      );
}

/** Puts back what was masked; each masked character stands for itself, and the marks of a quote for an open and a close. */
function unmask(heard: Heard, original: string, hidden: string): Heard {
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
      return (char === masked || char === maskedName) && hidden[from] === char ? own(from) : char;
    }).join(''),
  };
}
