import { quoted, type Idiom } from './traced-text.js';

/** Deposits and roots, which are cut out and cleaned away; a bottom that is gone is a finding. */
const cleaned = String.raw`(?:roots?|root\s+ball|grease|wipes|sludge|scale|debris|deposits?|rags?|paper|mud)`;

/** "Roots, jetted, now clear": they are gone. */
export const cleanedAway: Idiom = [
  new RegExp(
    String.raw`\b(${cleaned})\s*,?\s+(?:(?:we|i|were|was|got|just)\s+)*(?:jetted|cut|cleaned|cleared|cabled|snaked|removed)(?:\s+(?:it|them|out|up))*\s*,?\s+(?:and\s+)?(?:(?:it's|it\s+is|they're|is|are)\s+)?(?:now\s+(?:all\s+)?(?:clear|clean|open|gone)|(?:all\s+)?(?:clear|clean|open|gone)\s+now)\b`,
    'gi',
  ),
  ([, what = '']) => `no ${what}`,
];

/** Ways to say that something is not there, as denials: "not really an offset", "the roots are gone". */
export const denyingIdioms: readonly Idiom[] = [
  // "nope, 48": a correction
  [/(?<=^\s*)nope\b(?=\s*,?\s+~?\s*\d)/gi, 'no,'],
  // "nope, just a shadow"
  [/\bnope\s*,?\s+(?=(?:just|only)\s+(?:an?\s+)?[a-z])/gi, ' '],
  [/\bnot\s+(?:really|quite|exactly|actually)\s+(?=(?:an?|any|much|many)\b)/gi, 'not '],
  [
    /\b(?:can(?:'?t|not|\s+not)|could(?:n'?t|\s+not))\s+(?:really\s+)?see\s+(?:any|an?)\s+(?!thing\b)(?=[a-z])/gi,
    'no ',
  ],
  [
    /\b(?:would(?:\s*n'?t|\s+not)|do(?:\s*n'?t|\s+not))\s+(?:really\s+)?call\s+(?:that|it|this)\s+(?:an?\s+)?(?=[a-z])/gi,
    'no ',
  ],
  // "roots cut, regrew": they are there.
  [
    new RegExp(
      String.raw`\b(${cleaned})\s+(?:(?:were|was|had\s+been|have\s+been|been|got)\s+)*((?:cut|cleared|removed|cleaned|jetted)(?:\s+out)?(?:\s+(?:before|last\s+\w+|earlier|once))?\s*,?\s*(?:(?:and|but|have|has|they|it|already)\s+)*(?:regrew|regrown|regrowing|grew\s+back|grown\s+back|growing\s+back|came\s+back|come\s+back|coming\s+back|back\s+again|back|still\s+(?:there|some(?:\s+left)?))\b)`,
      'gi',
    ),
    ([, what = '', how = '']) => `${what} ${quoted(how)}`,
  ],
  // "there used to be roots", "where the roots were"
  [/\b(?:there\s+)?used\s+to\s+(?:be|have)\s+(?:some\s+|an?\s+)?(?=[a-z])/gi, 'no '],
  [
    new RegExp(String.raw`\bwhere\s+(?:the\s+|those\s+)?(${cleaned})\s+(?:was|were)\b`, 'gi'),
    ([, what = '']) => `no ${what}`,
  ],
  [
    new RegExp(
      String.raw`\b(?:the\s+|those\s+|all\s+the\s+)?(${cleaned})\s+(?:(?:are|is|were|was|has|have|been|got|all|now|completely)\s+)*(?:cut\s+out|cleared\s+out|cleaned\s+out|jetted\s+out|gone|cut|cleared|removed)\b(?=\s*(?:$|[,.;]|(?:here|there|now|already|and|since)\b))`,
      'gi',
    ),
    ([, what = '']) => `no ${what}`,
  ],
  // "grease is gone from the first twenty feet"
  [
    new RegExp(
      String.raw`\b(?:the\s+|all\s+the\s+)?(${cleaned})\s+(?:(?:are|is|has|have|been|all|now|completely)\s+)+gone\s+(?:from|in|on|up\s+to|to)\s+(?=(?:the|about|[a-z\d]))`,
      'gi',
    ),
    ([, what = '']) => `no ${what} in `,
  ],
  // "the roots at 38 got cut but the joint's open"
  [
    new RegExp(
      String.raw`^(\W*(?:(?:and|so|okay)\s+)*)(?:the\s+|those\s+)?(${cleaned})\s+at\s+([a-z\d.]+(?:[\s-](?!got\b|were\b|are\b|have\b|is\b|was\b)[a-z\d]+)?)\s+(?:(?:got|were|are|is|was|have\s+been|has\s+been|all)\s+)+(?:cut|cleared|removed|cleaned|jetted)(?:\s+(?:out|off|away))?\s*,?\s+but\s+`,
      'gi',
    ),
    ([, lead = '', what = '', at = '']) => `${lead}at ${at}, no ${what}, but `,
  ],
  // "roots? no", "any cracks here, no"
  [
    /\b(?:any\s+)?((?:[a-z]+\s+){0,2}?[a-z]+?)(?:\s+(?:here|there))?\s*\?\s*(?:no|nope|none)(?=\s*(?:$|[.;]))/gi,
    ([, what = '']) => `no ${what}`,
  ],
  [
    /\bany\s+((?:[a-z]+\s+){0,2}?[a-z]+?)(?:\s+(?:here|there))?\s*,?\s+(?:no|nope)(?=\s*(?:$|[.;]))/gi,
    ([, what = '']) => `no ${what}`,
  ],
  // "looks like a crack but it's just a joint", "I thought it was a crack but no"
  [
    /\b(?:it\s+|that\s+)?looks?\s+like\s+an?\s+[a-z\s]{3,30}?\s+but\s+(?:it's|that's|it\s+is|that\s+is)\s+(?:just|only|actually|really)\s+/gi,
    ' ',
  ],
  [
    /\b(?:i\s+)?thought\s+(?:(?:it|that|this|there)\s+)?was\s+(?:an?\s+|some\s+)?([a-z\s]{3,30}?)\s*,?\s+but\s+(?:no|nope|it's\s+not|it\s+isn't|it\s+wasn't|it\s+was\s+not)\b/gi,
    ([, what = '']) => `no ${what}`,
  ],
];
