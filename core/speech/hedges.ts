import { rewrite, rewriteAll, type Idiom, type TracedText } from '../idioms/traced-text.js';
import { footMark, inchMark, number } from './numbers.js';

/** Hedged readings and ranges as people say them, in the forms the typed line has: ~46, 46 to 50. */

const g = (pattern: string) => new RegExp(pattern, 'gi');
const measure = String.raw`\s*(?:-\s*(?:${number})\s*)?(?:%|percent|per\s+cent|${inchMark}|o['’]?clock|deg|:\d|°)`;
const hedge = String.raw`(?:(?:(?<!\b(?:the|to|bends?|turns?|curves?|veers?)\s+)right|somewhere|just)\s+)?(?:'?about|'?bout|around|near)|approximately|approx\.?|roughly|(?:or\s+)?maybe|perhaps|probably|i['’]?d\s+say|i\s+would\s+say|let['’]?s\s+say|say|(?:let['’]?s\s+)?call\s+(?:it|that)|looks?\s+like|like|close\s+to|just\s+(?:over|under|shy\s+of)|(?:a\s+)?little\s+(?:over|under)|almost|nearly`;
const feet = String.raw`(?:\s*${footMark})?`;
/** A number in digits that is not followed by anything that rules out a reading. */
const plain = String.raw`\d+(?:\.\d+)?(?![\d.]*(?:[\d:/%]|\s*(?:%|percent|o['’]?clock)))`;

const hedged = g(String.raw`\b(?:${hedge})\s+(?:(?:${hedge})\s+)*(?=(at\s+)?(${number}))`);
const numberFirst = new RegExp(`^(?:at\\s+)?(?:${number})`, 'i');
const measureFirst = new RegExp(`^${measure}`, 'i');

/** "about 30 percent" is 30 percent; "about 46" is an approximate reading. */
const hedgedNumbers = (heard: TracedText): TracedText =>
  rewrite(heard, hedged, (match) => {
    const [whole] = match;
    const rest = heard.text.slice(match.index + whole.length);
    if (/^(?:right\s+)?(?:around|like)\s/i.test(whole) && match[1]) return undefined;
    const said = numberFirst.exec(rest)?.[0] ?? '';
    const isMeasure = measureFirst.test(rest.slice(said.length)) || /\/|[½¼¾⅛⅜⅝⅞]/.test(said);
    return isMeasure ? ', ' : '~ ';
  });

/** "1/4 in, maybe 3/8 in": inches between the two. */
const eitherInches: Idiom = [
  g(
    String.raw`(${number})\s*${inchMark}\s*,?\s*(?:(?:or|maybe|perhaps|possibly|could\s+be|~)\s*,?\s*)+(${number})\s*${inchMark}`,
  ),
  ([, one = '', other = '']) => `${one}-${other} in`,
];

/** Between two places farther apart a thing is sooner a stretch, ft. */
const mostApart_ft = 6;

const steps: readonly Idiom[] = [
  // "around eleven twelve": said twice.
  [g(String.raw`\b(?:around|about|near)\s+(?=~\s*\d)`), ''],
  [g(String.raw`\b(\d+(?:\.\d+)?)\s*-?ish\b`), ([, n = '']) => `~ ${n} `],
  [
    g(
      String.raw`\b(\d+(?:\.\d+)?${feet})\s*,?\s*(?:or\s+so|give\s+or\s+take|more\s+or\s+less|approximately|approx\b\.?|roughly)`,
    ),
    ([, n = '']) => `~ ${n} `,
  ],
  // "somewhere between 40 and 43": one place, about halfway.
  [
    g(
      String.raw`\b(?:at\s+)?somewhere\s+(?:in\s+)?between\s+(?:about\s+|~\s*)?(${plain})${feet}\s+and\s+(?:about\s+|~\s*)?(${plain})${feet}`,
    ),
    ([, one = '', other = '']) =>
      Math.abs(Number(one) - Number(other)) <= mostApart_ft
        ? `at ~ ${(Number(one) + Number(other)) / 2} ft`
        : undefined,
  ],
  // "between 40 and 45", "40 through 45", "40 all the way to 45"
  [
    g(String.raw`\bbetween\s+(?:about\s+|~\s*)?(${number}${feet})\s+and\s+(?:about\s+|~\s*)?(?=${number})`),
    ([, n = '']) => `${n} to `,
  ],
  [
    g(
      String.raw`(?<![\d/.])(${number})(${feet})\s+(?:and\s+|on\s+|down\s+|up\s+|over\s+|out\s+|back\s+|all\s+the\s+way\s+|clear\s+)*(?:to|through|thru|till?|until)\s+(?:right\s+)?(~\s*)?(?:about\s+|around\s+|like\s+)?(?=${number})(?!${number}\s*-?(?:in\b|inch))`,
    ),
    ([, n = '', unit = '', about = '']) => `${about}${n}${unit} to `,
  ],
  // "starts at 33 feet and it ends at 28"
  [
    g(
      String.raw`\b(?:starts?|starting|started|begins?|beginning|picks\s+up)\s+(?:(?:right|up|out)\s+)*(?:at\s+|@\s*)?(~\s*)?(${number}${feet})\s*,?\s*(?:(?:and|then|it|that|she)\s+)*(?:ends?|ending|ended|stops?|stopping|goes|going|runs|running|finishes|lets\s+up)\s+(?:(?:up|out|right|on|all\s+the\s+way|back)\s+)*(?:at\s+|to\s+|@\s*)?(?:~\s*)?(?=${number})`,
    ),
    ([, about = '', n = '']) => `${about}${n} to `,
  ],
  // "for the first twelve feet"
  [
    g(
      String.raw`\b(?:for\s+)?(?:~\s*|about\s+)?(?:the\s+)?\bfirst\s+(?:~\s*|about\s+)?(?=${number}\s*${footMark})`,
    ),
    '0 to ',
  ],
];

/** "41, maybe 42": about halfway; for percent or inches it is a range. */
const either: Idiom = [
  g(
    String.raw`\b(${plain})${feet}\s*,?\s*(?:or\s+|maybe\s+|or\s+maybe\s+|possibly\s+|~\s*)+(\d+(?:\.\d+)?)(${measure})?(?![\d.:/]*\d)`,
  ),
  ([, one = '', other = '', unit]) => {
    const [a, b] = [Number(one), Number(other)];
    if (unit !== undefined) return a < b ? `${one}-${other}${unit}` : undefined;
    return Math.abs(a - b) <= 3 && a !== b ? `~ ${(a + b) / 2}` : undefined;
  },
];

/** "a quarter, well, three eighths": between the two, and no hour. */
const eitherFraction: Idiom = [
  g(String.raw`(?<![\d/.]|\d\s)(\d\/\d{1,2})\s*,\s*(\d\/\d{1,2})\s*${inchMark}`),
  ([, one = '', other = '']) => `${one}-${other} in`,
];

/** "half inch to three quarters": both are inches. */
const inchesToFraction: Idiom = [
  g(
    String.raw`(?<![\d/.])(\d\/\d{1,2}|\d(?:\.\d+)?)\s*${inchMark}\s*(?:to|or)\s*(\d\/\d{1,2})(?:\s*${inchMark})?(?=\s*(?:$|[,.;]))`,
  ),
  ([, one = '', other = '']) => `${one}-${other} in`,
];

const idioms = [eitherInches, eitherFraction, inchesToFraction, ...steps, either];
export const hedges = (heard: TracedText): TracedText => rewriteAll(hedgedNumbers(heard), idioms);
