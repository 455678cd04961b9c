import { asNote, quoted, type Idiom } from './traced-text.js';

const someone = String.raw`(?:customer|homeowner|owner|tenant|neighbor|plumber|guy|company|contractor|inspector|realtor|buyer|seller|husband|wife|city|office|he|she|they)`;
const record = String.raw`(?:report|video|tape|inspection|paperwork|sheet|estimate|quote|camera\s+report)`;
const earlier = String.raw`(?:last|old|previous|prior|earlier|first|other|original)`;
const worked = String.raw`(?:cut|cleaned|cleared|jetted|pulled|removed|cabled|snaked|fixed|repaired|patched)`;
const longAgo = String.raw`(?:last\s+(?:year|month|week|time|fall|spring|summer|winter)|(?:years?|months?|weeks?)\s+ago|yesterday)`;
const whose = String.raw`(?:(?:and|but|so|now|okay|the|our|my|that|this|your|their|his)\s+)*`;
/** "… and there it is", "… but it's back": it was seen after all. */
const unlessHere = String.raw`(?![^;]*\b(?:there\s+(?:it|they)|here\s+(?:it|they)|got\s+it|found|back|still|again|grown|sure\s+enough|yep)\b)`;
/** The start of a line or a clause, past its place. */
const clause = String.raw`(?<=^\s*(?:(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s*[,:]?\s+)?|[,;]\s+)(?!\s*(?:at\s+)?~?\d)`;

/** What was reported, is only supposed, or was there before somebody worked on it: a note, whatever place it gives. */
export const hearsayIdioms: readonly Idiom[] = [
  // "customer said there were roots at 40", "the report says", "neighbor had"
  String.raw`${clause}${whose}(?:${earlier}\s+)*${someone}\s+(?:said|told\s+(?:us|me)|says|thinks|thought|mentioned|claims|claimed)\b(?![^;]*\b(?:and|but)\s+(?:there|it|that|i|we|yeah|sure|he)\b)`,
  String.raw`${clause}${whose}(?:${earlier}\s+(?:${someone}|${record})\s+(?!(?:left|put|installed|did|cut|broke|hit|replaced|patched|lined|used|drilled|glued|tied|ran|dug)\b)[a-z]+|(?:${record}|neighbor)\s+(?:says?|said|shows?|showed|had|has|called|found|saw|mentions?|lists?))\b${unlessHere}`,
  String.raw`\bwhere\s+${whose}(?:${earlier}\s+)*${someone}\s+(?:said|says|thought|marked|called)\b${unlessHere}`,
  String.raw`${clause}${whose}(?:on|in|from)\s+${whose}${earlier}\s+${record}\b${unlessHere}`,
  String.raw`${clause}(?:per|according\s+to)\s+${whose}(?:${earlier}\s+)?(?:${someone}|${record})\b${unlessHere}`,
  // "41 roots on old video", "roots per customer", "roots were here last year"
  String.raw`${clause}(?![^;,]*\b(?:lined|liner|replaced|new|installed|pvc|abs|plastic)\b)[^;,]*?\b(?:per\s+${whose}(?:${earlier}\s+)?(?:${someone}|${record})|(?:on|in|from)\s+${whose}${earlier}\s+${record}|(?:were|was|cut|cleared|cleaned)\s+(?:here\s+|there\s+|out\s+)?${longAgo}|before\s+(?:the\s+)?(?:cleaning|jetting|cutting))\s*$`,
  String.raw`${clause}${whose}last\s+(?:time|year|month|visit)\b\s*(?:,\s*)?(?:we|i|they|there|it|roots?|cracks?|grease)\b${unlessHere}`,
  String.raw`\bbefore\s+(?:the|we|they|i|you|he)\s+(?:cleaning|cutting|jetting|repair|${worked}|jet|clean)\b(?=[^;]*\b(?:was|were|had)\b)${unlessHere}`,
  String.raw`\b(?:i|we)\s+(?:was|were)\s+told\b${unlessHere}`,
  String.raw`\b(?:supposedly|reportedly|allegedly)\b`,
  String.raw`\b(?:there(?:'s|\s+is|\s+are|\s+was|\s+were)\s+)?supposed\s+to\s+be\b${unlessHere}`,
  // "if there were roots at 40 we'd see them", "looking for a crack around 38", "we'd expect roots at 40"
  String.raw`\bif\s+there\s+(?:were|was|is|are)\b`,
  String.raw`\b(?:(?:i'm|we're|we|i)\s+)?(?:looking|watching|watch)\s+(?:out\s+)?for\b${unlessHere}`,
  String.raw`(?:\b(?:i|we)(?:'d|\s+would)\s+expect|\bexpecting|${clause}(?:we\s+|i\s+)?expected)\b${unlessHere}`,
  String.raw`\b(?:i|we)\s+(?:thought|expected|figured)\b(?=[^;]*\bbut\s+(?:no\b|not\b|nothing\b|none\b|(?:it's|it\s+is|it\s+was|that's)\s+(?:clear|fine|good|clean|nothing|not)\b))`,
  // "we cut the roots at 20 last year"
  String.raw`\b(?:we|i|they|somebody|someone|he|you)\s+${worked}\b(?=[^;]*\b${longAgo}\b)${unlessHere}`,
  // "mud in the cleanout, I cleaned that out"
  String.raw`${clause}(?=[^;]*\b(?:i|we)\s+(?:(?:just|already|went\s+ahead\s+and)\s+)*(?:cleaned|cleared|scooped|dug|shoveled|vacuumed)\s+(?:that|it|them|those|all\s+that)\s+(?:out|up)\b\W*$)(?=[^;]*\b(?:mud|dirt|debris|gravel|sand|rocks?|leaves|sludge|wipes|grease)\b)`,
  // "is that roots at 41?"
  String.raw`${clause}${whose}(?:was|is|are|were|could|did|does)\s+(?:there|that|it|this|those)\b(?=[^;]*\?\s*$)`,
].map((says): Idiom => [new RegExp(`${says}[^;]*`, 'gi'), asNote]);

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
    /\b(?:i\s+)?thought\s+(?:it|that|this)\s+was\s+(?:an?\s+)?[a-z\s]{3,30}?,?\s+but\s+(?:it's|that's|it\s+is|that\s+is)\s+(?:(?:just|only|actually|really)\s+)?(?=(?:an?\s+)?(?!not\b|fine\b|good\b|clear\b|clean\b)[a-z])/gi,
    ' ',
  ],
  // "looks like roots but no", "was roots, now clear"
  [
    /\b(?:it\s+|that\s+)?looks?\s+like\s+(?:an?\s+|some\s+)?([a-z\s]{3,30}?)\s+but\s+(?:no|nope|not|it's\s+not|it\s+isn't)\b(?=\s*(?:$|[,.;]))/gi,
    ([, what = '']) => `no ${what}`,
  ],
  [
    new RegExp(
      String.raw`\bwas\s+(${cleaned})\s*,?\s+(?:but\s+)?now\s+(?:it's\s+)?(?:all\s+)?(?:clear|clean|open|gone)\b`,
      'gi',
    ),
    ([, what = '']) => `no ${what}`,
  ],
  [
    /\b(?:i\s+)?thought\s+(?:(?:it|that|this|there)\s+)?was\s+(?:an?\s+|some\s+)?([a-z\s]{3,30}?)\s*,?\s+but\s+(?:no|nope|it's\s+not|it\s+isn't|it\s+wasn't|it\s+was\s+not)\b/gi,
    ([, what = '']) => `no ${what}`,
  ],
];
