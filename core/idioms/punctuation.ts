import { findingRegistry, namesOf } from '../findings/kinds.js';
import { anyMaterial } from './pipes.js';
import { quoted, type Idiom } from './traced-text.js';

const findingWords = new Set(findingRegistry.rows.flatMap(namesOf));
const isFinding = (word: string): boolean =>
  [word, word.replace(/s$/i, '')].some((each) => findingWords.has(each.toLowerCase()));

/**
 * Numbers before a thing as places, where they can be nothing else: three in order, or two apart from each other of which
 * the second is no hour and no share as shares are called.
 */
function placesOf(list: string): string | undefined {
  const numbers = list.match(/\d+(?:\.\d+)?/g) ?? [];
  const steps = numbers.slice(1).map((number, i) => Number(number) - Number(numbers[i]));
  const inOrder = steps.every((step) => step > 0) || steps.every((step) => step < 0);
  const second = Number(numbers[1]);
  const isPair =
    list.includes('&') ||
    (list.includes(',') && second > 12 && second % 5 !== 0 && Math.abs(steps[0] ?? 0) > 1);
  return inOrder && (numbers.length > 2 || isPair)
    ? numbers.join(', ').replace(/, (?=\S+$)/, ' and ')
    : undefined;
}

/** How lists, tables and transcripts are written: numbers and bullets of their lines, brackets, signs. Read first. */
export const listMarks: readonly Idiom[] = [
  // "41-1/2", "1-1/2 in", "thirty-two-point-three"
  [
    /(?<![\d./-])(?:(\d{1,3})-([1-7]\/(?:2|4|8))(?![\d/]|\s*-?(?:in\b|inch|"))|([1-9]|1[0-2])-(\d{1,2}\/(?:2|4|8|16))(?=\s*-?(?:in\b|inch|")))/g,
    ([, ones, part, inches = '', more = '']) => `${ones ?? inches} ${part ?? more}`,
  ],
  [/(?<=[a-z])-point-(?=[a-z])/gi, ' point '],
  // "00:03:12 41 roots": where it is in the video.
  [
    /^\s*((?:\d{1,2}:)?[0-5]?\d:[0-5]\d)\s+[-–]?\s*(?=(?:at\s+|@\s*)?~?\d)/g,
    ([, time = '']) => `video ${time} `,
  ],
  // "41 lf roots", "41f roots"
  [/(?<=\d)\s*(?:l\.?f|f)\b\.?(?=\s|$)/gi, ' ft'],
  // "dist 41 roots", "ftg 41"
  [/(?<=^\s*)(?:dist(?:ance)?|ftg|footage|counter|reading)\b\.?\s*[:=]?\s*(?=~?\d)/gi, ''],
  // "41 = roots", "50 to 56: sag"
  [
    /(?<=^\s*[@~]?\s*\d[\d.]*(?:\s*(?:-|to|through|thru)\s*\d[\d.]*)?(?:\s*(?:feet|foot|ft\.?|['’]))?)\s*[=:]\s+(?=[a-z\d])/gi,
    ' ',
  ],
  [/^\s*@\s*(?=\d[\d.]*\s*(?:-|to|through|thru)\s*\d)/gi, ''],
  // "roots @ 12 @ 15 @ 18": several places.
  [
    /@\s*(\d+(?:\.\d+)?(?:\s*,?\s*@\s*\d+(?:\.\d+)?)+)/g,
    ([, list = '']) => `at ${list.replaceAll(/\s*,?\s*@\s*/g, ', ')}`,
  ],
  // "belly@40-46,1.5in"
  [/(?<=[a-z])@(?=~?\d)/gi, ' @ '],
  [/(?<=\d),(?=\d[\d./]*\s*(?:in(?:ch)?\b|"|%|o'?c))/gi, ', '],
  // "loc @ 60 = 7 ft"
  [/(?<=\bloc(?:ated?)?\s*(?:@|at)?\s*\d[\d.]*)\s*=\s*(?=\d)/gi, ' '],
  // "78 main noted"
  [/\s+(?:was\s+|were\s+)?(?:noted|observed)(?=\s*[.;]?\s*$)/gi, ''],
  // "1) 41 roots", "2. 46 offset", "#3 41 roots", "* 41 roots": how a list is numbered is no place.
  [
    /^\s*(?:(?:#\d{1,2}[.):]?|\d{1,2}[.)]|[a-h]\))\s+(?=~?@?\s*\d)|\d{1,2}\)\s+(?=[a-z])|[*•·▪–—]\s*(?=~?@?\s*[a-z\d]))/gi,
    ' ',
  ],
  [/\s*\|\s*/g, ' '],
  // "33.5 = roots", "33.5/roots", "33.5; roots": only the place, then the thing; "[heavy]", "{30 %}" as they stand.
  [/(?<=^\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?)\s*(?:[=;]|\/(?=\s*[a-z]))\s*(?=[a-z])/gi, ' '],
  [/[[{]\s*([a-z][^\]}":]{0,40}?|\d+\s*(?:%|percent))\s*[\]}]/gi, ([, inside = '']) => inside],
  // "[01:22] roots at 33": when in the video.
  [/(?<=^\s*)[[(]((?:\d+:)?\d{1,2}:[0-5]\d)[\])]\s*(?=\S)/g, ([, time = '']) => `video ${time} `],
  [/(?<=\d\s*)pct\b\.?/gi, '%'],
  // "12 15 18 roots lt", "21, 24.5 hole", "12 & 17 roots": places one after another.
  [
    /(?<=^\s*)\d{1,3}(?:\.\d+)?(?:\s*(?:,|&|\band\b|(?<=\d)(?=\s))\s*(?:and\s+)?\d{1,3}(?:\.\d+)?)+(?=\s*,?\s+[a-z])(?!\s*,?\s+(?:in|inch(?:es)?|ft|feet|foot|percent|deg(?:rees?)?|o\s?clock|to|thr(?:ough|u)|and|or|by|x|min(?:utes?)?|gpm)\b)(?!.*\b(?:bends?|turns?|ells?|elbows?|sweeps?|reducer|increaser|degrees?|every|each)\b)/gi,
    ([list]) => placesOf(list),
  ],
  // "41/46/52 roots": three places.
  [/(?<=^\s*)\d{2,3}(?:\/\d{2,3}){2,}(?=\s+[a-z])/gi, ([places]) => places.replaceAll('/', ', ')],
  // "roots > 50 %": more than, no change of pipe.
  [
    /(?<=[a-z]\s*)[>≥]=?\s*(?=\d+(?:\.\d+)?\s*(?:%|percent))|(?<=\b(?:roots?|grease|scale|debris|offset|crack|gap|water|belly|sag|dip)\s*)[>≥]=?\s*(?=\d+(?:[./]\d+)?\s*(?:in\b|inch|"))/gi,
    ' over ',
  ],
  [/[<≤]=?\s*(?=\d+(?:[./]\d+)?\s*(?:%|percent|in\b|inch|"))/gi, ' less than '],
  [/\bx\s?([2-9])\b(?=\s*(?:$|[,;]|~?\d|at\b|from\b|between\b))/gi, ([said]) => quoted(said)],
  [/\b(?:btwn|btw|betw|b\/w)\.?(?=\s+~?\d)/gi, 'between'],
];

/** Slashes, ampersands and arrows between two things. */
export const separatorIdioms: readonly Idiom[] = [
  // "46 roots / 43 offset"
  [/(?<=[a-z%"]\s*)\s\/\s+(?=~?\d+(?:\.\d+)?\s+[a-z])/gi, ', '],
  // "46 no pipe for 2 ft": nothing of it is left.
  [/\bno\s+(?:more\s+)?pipe(?=\s*(?:$|[,.;]|(?:left|here|there|at|for|until|to)\b))/gi, 'missing pipe'],
  // "roots & crack", "roots / crack"
  [/(?<=[a-z%"\d])\s*[&+]\s*(?=[a-z])/gi, ' and '],
  [new RegExp(String.raw`(?<!\b${anyMaterial})\s+/\s+(?!${anyMaterial}\b)(?=[a-z])`, 'gi'), ' and '],
  // "roots/offset": both are there.
  [
    /\b([a-z]+)\/([a-z]+)\b/gi,
    ([, one = '', other = '']) =>
      (isFinding(one) || /^(?:pipe|joint)$/i.test(one)) && isFinding(other)
        ? `${one} and ${other}`
        : undefined,
  ],
  // "41 -> 38 roots", "41 roots -> 38": a stretch; "41 -> roots": the arrow only points.
  [
    new RegExp(
      String.raw`(?<=^\s*~?\s*(?:1[3-9]|[2-9]\d|\d{3,})(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?(?:\s+(?!${anyMaterial}\b)[a-z]+){0,3})\s*(?:->|=>|→)\s*(?=~?\s*\d+(?:\.\d+)?(?!\s*-?\s*(?:[\d%]|in\b|inch|percent|")))`,
      'gi',
    ),
    ' to ',
  ],
  [
    new RegExp(
      String.raw`(?<=^\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s*)(?:->|=>|→)\s*(?=[a-z])(?!(?:${anyMaterial})\b)`,
      'gi',
    ),
    ' ',
  ],
  // "ci->abs"
  [/(?<=[a-z\d"'])\s*(?:->|=>|→|>)\s*(?=[a-z\d])/gi, ' > '],
];
