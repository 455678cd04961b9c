import { anyMaterial } from './pipes.js';
import { aNumber } from '../number-words.js';
import { denial, nearMark, sameMark, type Idiom } from './traced-text.js';

const number = String.raw`\d+(?:\.\d+)?`;
const unit = String.raw`(?:\s*(?:feet|foot|ft|'))?`;
const place = number + unit;
/** Takes back what was said just before, wherever it stands. */
export const takesBack = String.raw`(?:nope|nah|naw|(?:i'm\s+)?sorry|correction|excuse\s+me|pardon(?:\s+me)?|oops|whoops|i\s+mean|i\s+meant|i\s+should(?:'ve|\s+have)?\s+sa(?:y|id)|i\s+meant\s+to\s+say|or\s+rather|make\s+(?:that|it)|(?:scratch|strike|check|cancel)\s+that|(?:i\s+)?take\s+that\s+back|let\s+me\s+correct\s+(?:that|myself)|my\s+(?:mistake|bad))`;
/** Begins a correction, besides "no". */
const sorry = String.raw`(?:(?:sorry|actually|correction|wait|(?:hang|hold)\s+on|well|yeah|so|oh|i\s+said)\b[\s,]*)*`;
/** As said, or once denials are marked. */
const not = `(?:not|${denial})`;
const article = String.raw`(?:(?:the|that|those)\s+)?`;
const things = String.raw`(?:[a-z]+\s+){1,2}`;
/** A thing written at a place: "41 offset", "the roots at 46", "46". */
const written = String.raw`(?:(?:at\s+|@\s*)?${place}(?:\s+[a-z]+){0,2}?|${article}${things}(?:(?:at|@)\s+)?${place})`;
export const thatIs = String.raw`(?:that's|it's|that\s+is|it\s+is|that\s+was|it\s+was)`;
/** What a camera shows that is no defect. */
export const noDefect = String.raw`(?:(?:an?|the|some|my|our)\s+)?(?:[a-z]+\s+)?(?:shadows?|stains?|staining|reflections?|glare|paper|lights?|lighting|lens|camera|bubbles?|scratch(?:es)?|scuffs?|marks?|smudges?|dirt|condensation|steam|fog|mist|bugs?|roach(?:es)?|spiders?|webs?|leaf|leaves|labels?|stickers?|print|writing|stamp|seams?|mold\s+line|tape|glue|primer|string|discoloration)`;
const be = String.raw`(?:is|are|was|were)`;
const should = String.raw`(?:should\s+(?:be|read|say|have\s+(?:been|read|said))|ought\s+to\s+be|needs\s+to\s+be)`;
/** A percentage, inches or a fraction: no place. */
const measure = String.raw`(?:(?:${number}|\d+\/\d+|\d+\s+\d+\/\d+)\s*-?(?:%|percent|in\b|inch|")|\d+\/\d|[½¼¾])`;
/** A reading at the end of the line: no percentage, no inches. */
const lastly = String.raw`(?:at\s+|@\s*)?(${number})${unit}\s*[.!]?\s*$`;

const placeLast = new RegExp(String.raw`^${place}\s*[.!]?\s*$`);

/** "The wye at 12": a place, and no hour. */
const asPlace = (words: string): string => words.replace(/(?:\bat\s+|@\s*)(\d+(?:\.\d+)?)(?=\s*$)/, '$1 ft');

/** What was written last is put right, in the words as they are said. */
export const correctingIdioms: readonly Idiom[] = [
  // "roots at 3, never mind", "3 roots, no wait, that's just paper": it is not there.
  [
    new RegExp(
      String.raw`(?<=[\w%"'])\s*,?\s+(?:(?:no|nope|oh|wait|well|actually|sorry)[\s,]+)*(?:(?:never\s*mind|(?:scratch|strike)\s+that|(?:forget|disregard|ignore)\s+(?:that|it)(?:\s+one)?)(?:[\s,]+(?:${thatIs}\s+)?(?:nothing|(?:just|only)\s+${noDefect}))?|(?:no|nope|wait|oh)[\s,]+(?:nothing\s+there|there's\s+nothing(?:\s+there)?|${thatIs}\s+nothing|(?:${thatIs}\s+)?(?:just|only)\s+${noDefect}))\s*[.!]?\s*$`,
      'gi',
    ),
    ', just a stain',
  ],
  // "forty, no wait, forty one, cleanout"
  [
    new RegExp(
      String.raw`^\s*(?:at\s+)?${aNumber}[a-z\d. -]{0,24}?\s*,\s+(?:no[\s,]+wait|wait[\s,]+no|no[\s,]+(?:sorry|make\s+that)|sorry|i\s+mean|correction|make\s+that|or\s+rather|check\s+that)\s*,?\s+(?=${aNumber}[a-z\d. -]{0,24}?,\s+[a-z])`,
      'gi',
    ),
    ' ',
  ],
  // "18 no that's a crack", "change that to 50 %", "it's at 44.5": what was written last.
  [
    new RegExp(
      String.raw`^\s*(?:(\d+(?:\.\d+)?)\s+)?no\s*,?\s+(?:that's|it's|that\s+is|it\s+is|that\s+was|it\s+was)\s+(?:actually\s+|really\s+)?(?:an?\s+|(?=(?:roots|grease|scale|debris|wipes)\b))(?!${aNumber})(?=[a-z])`,
      'gi',
    ),
    ([, at]) => (at === undefined ? 'no, ' : `no, ${at} `),
  ],
  // "no it's a twenty two and a half": a bend's degrees.
  [
    new RegExp(
      String.raw`^\s*no\s*,?\s+(?:that's|it's|that\s+is|it\s+is|that\s+was|it\s+was)\s+(?:actually\s+|really\s+)?(?=a\s+${aNumber})`,
      'gi',
    ),
    'no, ',
  ],
  [
    /^\s*(?:(?:change|correct|update|fix)\s+(?:that|it|this)\s+(?:to|into)\s+|(?:it's|that's|it\s+is|that\s+is)\s+(?:really\s+|actually\s+)?at\s+(?=\d+(?:\.\d+)?\s*(?:feet|foot|ft)?\s*$))/gi,
    'no, ',
  ],
  // "46 not roots, grease": the second is there.
  [
    /\bnot(?<!\b(?:could|can|would|will|did|does|do|has)\s+not)\s+(an?\s+)?([a-z]+)\s*,\s*(?:but\s+)?(?:(?:it's|that's|just)\s+)?(?=[a-z]+\s*$)/gi,
    ([, an = '', what = '']) => `not ${an}${what} but `,
  ],
  // "it's more like scale than grease"
  [
    /^\s*(?:(?:it|that)(?:'s|\s+is|\s+looks)\s+|they(?:'re|\s+are)\s+)(?:really\s+|actually\s+)?more\s+like\s+(?:an?\s+)?([a-z]+(?:\s+[a-z]+)?)\s+than\s+(?:an?\s+)?[a-z]+(?:\s+[a-z]+)?(?=\s*[.!]?\s*$)/gi,
    ([, what = '']) => `no, ${what}`,
  ],
];

/** What is written is put right by its place: in digits, so before and after spoken numbers are turned into them. */
export const correctingFigures: readonly Idiom[] = [
  // "6 inch PVC to start, scratch that, 4 inch"
  [
    new RegExp(
      String.raw`\b\d+(\s*-?\s*in(?:ch)?\s+[a-z]+(?:\s+[a-z]+){0,3}?)\s*,\s*(?:(?:no|wait)[\s,]+)*(?:no|wait|${takesBack})[\s,]+(?:it's\s+|that's\s+)?(\d+)\s*-?\s*in(?:ch)?\b(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, pipe = '', size = '']) => `${size}${pipe}`,
  ],
  // "I said three, it's five, roots"
  [
    new RegExp(
      String.raw`\b(?:did\s+i\s+say|i\s+(?:said|called|had))\s+(?:it\s+)?(?:at\s+)?${place}\s*[,?]?\s+(?:(?:but|and|so)\s+)*(?:it's|that's|it\s+is|that\s+is|it\s+was|i\s+meant?|(?:it\s+|that\s+)?should\s+be)\s+(?:(?:really|actually|more\s+like|closer\s+to|at)\s+)*(?=${number})`,
      'gi',
    ),
    ({ index, input, 0: said }) => (placeLast.test(input.slice(index + said.length)) ? 'sorry, ' : ''),
  ],
  // "offset is at 43 not 41"
  [
    new RegExp(
      String.raw`^\s*${sorry}${article}(${things})(?:${be}\s+|${should}\s+|belongs\s+)?(?:at|@)\s+(${number})${unit}\s*,?\s+(?:and\s+)?${not}\s+${lastly}`,
      'gi',
    ),
    ([, what = '', now = '', before = '']) => `${sameMark} ${before} ${what}, no ${now} ft`,
  ],
  // "41 offset should be 43", "46 should be 48", "change 46 to 48", "move the offset from 41 to 43"
  [
    new RegExp(
      String.raw`^\s*${sorry}(?:(?:the\s+)?counter\s+(?:(?:reads|read|said|says)\s+)?)?(${written})\s*,?\s+${should}\s+${lastly}|^\s*${sorry}make\s+(${written})\s+(?:to\s+)?${lastly}`,
      'gi',
    ),
    ([, one, first, two = '', second = '']) => `${sameMark} ${asPlace(one ?? two)}, no ${first ?? second} ft`,
  ],
  [
    new RegExp(
      String.raw`^\s*${sorry}(?:change|move|correct|fix)\s+${article}(${things})?(?:(?:at|from)\s+)?(${number})${unit}\s+to\s+${lastly}`,
      'gi',
    ),
    ([, what = '', before = '', now = '']) => `${sameMark} ${before} ${what}, no ${now} ft`,
  ],
  // "move the offset to 43", "the offset should be at 43"
  [
    new RegExp(
      String.raw`^\s*${sorry}(?:move\s+${article}(${things})to\s+|${article}(${things})should\s+(?:be|have\s+been)\s+(?=at|@))${lastly}`,
      'gi',
    ),
    ([, moved, other = '', now = '']) => `${sameMark} ${moved ?? other}, no ${now} ft`,
  ],
  // "make the roots at 46 30 %"
  [
    new RegExp(
      String.raw`^\s*${sorry}(?:make|change)\s+${article}(${things}(?:at|@)\s+${place})\s+(?:to\s+)?(?=${measure})`,
      'gi',
    ),
    ([, what = '']) => `${sameMark} ${what}, `,
  ],
  // "the roots at 46 are 30 %", "roots at 46 should be 30 %": what is written there gets this measure.
  [
    new RegExp(
      String.raw`^\s*${sorry}${article}(${things}(?:at|@)\s+${place})\s+(?:${be}|${should})\s+(?:(?:actually|really|about|more\s+like)\s+)*(?=${measure})`,
      'gi',
    ),
    ([, what = '']) => `${sameMark} ${what}, `,
  ],
  // "the roots at 46 are grease": what is written there is something else.
  [
    new RegExp(
      String.raw`^\s*${sorry}(?:the|that|those)\s+${things}(?:at|@)\s+(${place})\s+(?:${be}|${should})\s+(?:(?:really|actually)\s+)?(?:an?\s+|(?=(?:roots|grease|scale|debris|wipes|paper|dirt|mud|rocks|gravel)\b))(?=[a-z])`,
      'gi',
    ),
    ([, at = '']) => `${sameMark}${sameMark} at ${at} `,
  ],
  // "the belly is 2 in", "offset is actually 3/4", "it's 3/4": what was written last of its kind, or last of all.
  [
    new RegExp(
      String.raw`^\s*${sorry}(?:(?:the|that)\s+)?(?!joint|pipe|line|wall|top|bottom|crown|cap|camera|depth|water|(?:[a-z]+\s+)?(?:pipe|line|lateral|house|main)\b)(${things})${be}\s+(?:(?:actually|really|about|more\s+like)\s+)*(?=${measure}(?:\s|$))(?!\S+(?:\s*in(?:ch)?)?\s+${anyMaterial}\b)`,
      'gi',
    ),
    ([, what = '']) => `${sameMark} ${what}, `,
  ],
  [
    new RegExp(
      String.raw`^\s*(?:(?:wait|oops|whoops|my\s+bad)[\s,]+(?=\d)|(?:the\s+)?last\s+one\s+(?:${be}|${should})\s+(?:really\s+)?(?:at\s+)?(?=\d)|(?:it's|that's|it\s+was|that\s+was)\s+(?=${measure}))`,
      'gi',
    ),
    'no, ',
  ],
  [
    new RegExp(String.raw`^\s*not\s+${measure}["%a-z]*\s*[,;]\s*(?:but\s+|it's\s+)?(?=${measure})`, 'gi'),
    'no, ',
  ],
  // "46 roots 20 % not 15 %", "oops, 43 not 41": the first.
  [
    new RegExp(
      String.raw`(?<=(?:\d|[½¼¾%"'])\s*(?:(?:percent|in|inch|inches|feet|foot|ft)\s*)?),?\s*(?:\band\s+)?(?:\bnot|${denial})\s+(?:at\s+)?(?:${number}\s*(?:to|-)\s*)?(?:\d+\/\d+|${number})${unit}(?:\s*(?:%|percent\b|in\b|inch(?:es)?\b|"))?(?=\s*[.!]?\s*$)`,
      'gi',
    ),
    ' ',
  ],
  // "it goes to 55", "to 55": where what was begun ends.
  [
    new RegExp(
      String.raw`^\s*(?:(?:and|so|it|that|this|they|(?:looks|seems)\s+like|i'd\s+say)\s+)*(?:(?:goes|go|runs|run|continues|extends|lasts)\s+)?(?:all\s+the\s+way\s+|on\s+|out\s+|back\s+)*(?:to|until|till|thru|through)\s+(?:(?:about|around|roughly|maybe|like|~)\s*)*(${number}${unit})\s*[.!]?\s*$`,
      'gi',
    ),
    ([, at = '']) => `${at} ends`,
  ],
  // "those roots are at 42", written close by.
  [
    new RegExp(
      String.raw`^\s*${sorry}(?:the|that|those)\s+(${things})${be}\s+(?:really\s+|actually\s+|more\s+like\s+)?(?=at\b|@)${lastly}`,
      'gi',
    ),
    ([, what = '', at = '']) => `${nearMark} ${what}${at} ft`,
  ],
  // "the 61 joint is more like an inch"
  [
    new RegExp(
      String.raw`^\s*${sorry}(?:the|that)\s+(${number})(?:\s*-?\s*(?:foot|ft|'))?\s+(${things})${be}\s+(?:(?:actually|really|about|more\s+like|closer\s+to|~)\s*)*(?=${measure})`,
      'gi',
    ),
    ([, at = '', what = '']) => `${sameMark} ${what} at ${at} ft, `,
  ],
];
