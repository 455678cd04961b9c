import { placeFirst, type Idiom } from './traced-text.js';

/** A depth in feet, or feet and inches. */
const deep = String.raw`\d{1,2}(?:\.\d+|\s+[13]\/[24])?\s*(?:(?:feet|foot|ft)\b|['’])(?:\s*\d{1,2}\s*(?:in(?:ch(?:es)?)?\b|"))?`;
const atPlace = String.raw`^\s*(?:at\s+)?~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+`;

const reading = String.raw`~?\d+(?:\.\d+)?`;
const feet = String.raw`(?:\s*(?:feet|foot|ft|'))?`;
const it = String.raw`(?:(?:it's|that's|we're|(?:the\s+)?(?:pipe|line)(?:'s|\s+is)|i'm\s+getting|we've\s+got|we\s+got|i've\s+got)\s+)?(?:(?:about|around|~)\s*)*`;
const down = String.raw`(?:deep|down|of\s+(?:depth|cover|dirt))`;
const ends = String.raw`(?=\s*(?:$|[,.;]|and\b))`;

/** "5-4" as feet and inches; "4-5" is from 4 to 5 ft. */
const feetInches = (feet: number, inches: number): string | undefined =>
  inches < feet || inches - feet > mostSpread_ft ? `${feet}' ${inches}"` : undefined;
/** No depth is called as a wider range, ft. */
const mostSpread_ft = 2;

/** The depth of a locate, once numbers are digits. */
export const depthFigures: readonly Idiom[] = [
  // "34 6 ft down", "34 down 6 ft"
  [
    new RegExp(
      String.raw`(?:\bdown\s+(${deep})|(${deep})\s+down\b)${ends}(?<=^\s*(?:at\s+)?~?(?:1[6-9]|[2-9]\d|\d{3})(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s*,?\s+(?:down\s+)?${deep}(?:\s+down)?)`,
      'gi',
    ),
    ([, one, other = '']) => `depth ${one ?? other}`,
  ],
  // "depth 5-4", "6-2 deep": feet and inches, where it is no range from less to more.
  [
    /(?<=(?:^|[\s,;])(?:depth|sonde|locat(?:e|ed|or)|dp|d)\s*[=:]?\s*(?:(?:is|at|reads|says)\s+)?)(\d{1,2})\s*-\s*(\d|1[01])(?=\s*(?:$|[,;]|deep\b|down\b))|(?<=\d\s+)(\d{1,2})-(\d|1[01])(?=\s+deep\b)/gi,
    ([, one, other, feet = '', inches = '']) => feetInches(Number(one ?? feet), Number(other ?? inches)),
  ],
  // "let me get a depth at 31", "depth at 31": how deep comes in the next sentence.
  [
    /^\W*(?:(?:and|okay|so|now|let\s+me|let's|i'll|i'm|i\s+will|we'll|we|i|gonna|going\s+to|just|get|getting|got|grab|take|taking|shoot|do|doing|a|the|one|another|need)\s+)*(?:depth|locate)\s+(?:(?:reading|shot)\s+)?(?:at|on|@)\s+(?:about\s+|~\s*)?(?=\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\W*$)/gi,
    'locating at ',
  ],
  // "5 feet deep at 14, 6 feet deep at 17", "4 foot of cover at 14"
  [
    new RegExp(
      String.raw`(?:(?<=^\s*)|[,;]\s*(?:and\s+)?|\band\s+)${it}(${deep})\s*${down}\s+at\s+(${reading})${feet}${ends}`,
      'gi',
    ),
    ([, depth = '', at = '']) => `; located at ${at} ft, depth ${depth}`,
  ],
  // "at 14 it's 5 feet deep and at 17 it's 6 feet deep", "at 14 we've got 4 feet of cover"
  [
    new RegExp(
      String.raw`(?:(?<=^\s*)|[,;]\s*(?:and\s+)?|\band\s+)at\s+(${reading})${feet}\s*,?\s+${it}(${deep})\s*${down}${ends}`,
      'gi',
    ),
    ([, at = '', depth = '']) => `; located at ${at} ft, depth ${depth}`,
  ],
  // "14 is 5 feet deep, 17 is 6"
  [
    new RegExp(
      String.raw`^\s*(?:at\s+)?(${reading})${feet}(?:'s|\s+is|\s*,?\s+it's)\s+(${deep})\s*(?:deep|down)\s*,?\s+(?:and\s+)?(?:at\s+)?(${reading})${feet}(?:'s|\s+is|\s*,?\s+it's)\s+(\d{1,2}(?:\.\d+)?)(?:\s*(?:feet|foot|ft)\b)?(?:\s+deep)?(?=\s*(?:$|[.;]))`,
      'gi',
    ),
    ([, at = '', depth = '', then = '', its = '']) =>
      `located at ${at} ft, depth ${depth}; located at ${then} ft, depth ${its} ft`,
  ],
  // "mark at 14, 5 feet", "put a flag at 14, 5 feet deep"
  [
    new RegExp(
      String.raw`^\s*(?:i\s+|we\s+)?(?:put\s+an?\s+)?(?:mark|marked|flag|flagged|paint|painted|stake|staked|shot|shoot)\s+(?:it\s+|that\s+|the\s+pipe\s+)?at\s+(${reading})${feet}\s*,\s*${it}(${deep})(?:\s*(?:deep|down))?(?=\s*(?:$|[.;]))`,
      'gi',
    ),
    ([, at = '', depth = '']) => `located at ${at} ft, depth ${depth}`,
  ],
  // "roots at 14, located at 5 feet", "marked it in the yard, 5 feet": how deep, not where.
  [
    new RegExp(
      String.raw`(?:(?<=\d[^;]*,\s*)(?:(?:i|we)\s+)?locat(?:ed|es|e)\s+(?:it\s+)?at|^\s*(?:(?:i|we)(?:'ve)?\s+)?(?:marked|painted|flagged|staked|located|shot)\s+(?:it|that|this)(?:\s+[a-z]+){0,5}\s*,)\s+(?:it's\s+|that's\s+)?(${deep})(?:\s*(?:deep|down))?(?=\s*(?:$|[.;]))`,
      'gi',
    ),
    ([, depth = '']) => `depth ${depth}`,
  ],
  // "5 4 deep"
  [
    /(?<![\d.]\s*)\b(\d{1,2})\s+(1[01]|\d)\s+(?=deep\b)/gi,
    ([, feet = '', inches = '']) => `${feet}' ${inches}" `,
  ],
  // "24.5, I'm getting 5 feet", "14, 5 feet of cover", "41, painted it, 6 feet"
  [
    new RegExp(
      String.raw`(?<=${atPlace})(?:(?:i'm|we're|i|we)\s+(?:getting|got|at)\s+|(?:it's|that's)\s+|(?:painted|marked|spotted|flagged|located)\s+(?:it|that)\s*(?:,|at\b)\s*)?(?:(?:about|around|~)\s*)*(${deep})\s*(?:down|deep|of\s+(?:depth|cover|dirt))(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, depth = '']) => `located, depth ${depth}`,
  ],
  [
    new RegExp(
      String.raw`(?<=${atPlace})(?:(?:i'm|we're)\s+(?:getting|showing|reading)\s+|(?:painted|marked|spotted|flagged|located)\s+(?:it|that)\s*(?:,|at\b)\s*)(?:(?:about|around|~)\s*)*(${deep})(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, depth = '']) => `located, depth ${depth}`,
  ],
  // "depth at 14, 5 feet"
  [
    new RegExp(
      String.raw`^\s*(?:the\s+|my\s+)?depth\s+at\s+(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,\s*(?:(?:about|~)\s*)*(${deep})(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, at = '', depth = '']) => `located at ${at} ft, depth ${depth}`,
  ],
  [/\b(locator|receiver|wand)\s+(?:gave|gives)\s+(?:me|us)\s+/gi, ([, what = '']) => `${what} reads `],
  // "41 d 6"
  [/(?<=^\s*~?\d+(?:\.\d+)?\s+)d\s+(?=\d)/gi, 'located, depth '],
  // "sonde at 12 reads 4 feet"
  [
    /\b(?:the\s+)?(?:sonde|locator|beacon|receiver|wand)\s+at\s+(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:reads|says|shows|is|was|gives(?:\s+me)?)\s+(\d{1,2}(?:\.\d+)?)\s*(?:feet|foot|ft|')(?:\s+(?:deep|down))?(?=\s*(?:$|[,.;]))/gi,
    ([, at = '', deep = '']) => `located at ${at} ft, depth ${deep} ft`,
  ],
  // "23.5, locate, 5.5 feet"
  [
    new RegExp(
      String.raw`(?<=^\s*~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,\s*locat(?:e|ed|ing|or)\s*),\s*(\d{1,2}(?:\.\d+)?)\s*(?:feet|foot|ft|')(?:\s+(?:deep|down))?(?=\s*(?:$|[.;]))`,
      'gi',
    ),
    ([, deep = '']) => ` depth ${deep} ft`,
  ],
  // "41 sonde 66 in"
  [
    /\b(sonde|locator|located?|depth)\s+(?:(?:reads?|says|at|is)\s+)?(\d{2,3}(?:\.\d+)?)\s*(?:in(?:ch(?:es)?)?\b|")(?!\s*deep\b)(?=\s*(?:$|[,;]))/gi,
    ([, what = '', deep = '']) => `${what} ${deep} in deep`,
  ],
  // "42 deep 7": the place, then how deep.
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?\s+)deep\s+(?=(?:(?:about|around|maybe|~)\s*)*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s*$)/gi,
    'located, depth ',
  ],
  // "depth 5-6", "depth 5 to 6"
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?\s+)depth\s+(\d{1,2}(?:\.\d+)?)\s*(?:-|–|to)\s*(\d{1,2}(?:\.\d+)?)(?:\s*(?:feet|foot|ft|'))?(?=\s*(?:$|[,;]))/gi,
    ([, least = '', most = '']) => `located ${least}-${most} deep`,
  ],
  // "42 located at the fence, 4 ft", "42 marked w/ flag, 6 foot"
  [
    new RegExp(
      String.raw`\s*,?\s+(\d{1,2}(?:\.\d+)?)\s*(?:feet|foot|ft|')(?=\s*$)(?<=${placeFirst}(?:located?|sonde|marked|flagged)\b[^;\d]*?\s*,?\s+[\d.]+\s*[a-z']+)(?<!\bdepth(?:\s+(?:is|of))?\s*,?\s+[\d.]+\s*[a-z']+)`,
      'gi',
    ),
    ([, deep = '']) => ` located, depth ${deep} ft`,
  ],
  // "42 about 7 foot down"
  [
    new RegExp(
      String.raw`(?<=${placeFirst}(?:(?:about|around|maybe|~)\s*)*)(\d{1,2}(?:\.\d+)?)\s*(?:feet|foot|ft|')\s+down(?=\s*$)`,
      'gi',
    ),
    ([, deep = '']) => `located, depth ${deep} ft`,
  ],
  // "starting at the house cleanout, 6 feet down", "pit at 12, 4 foot down": how deep, not where.
  [
    /\bdown(?=\s*(?:$|[,;.]))(?<=\b(?:cleanout|pit|hole|manhole|riser)\b[^;]*,\s*(?:(?:it's|that's|about|maybe|~)\s*)*\d{1,2}(?:\.\d+)?\s*(?:feet|foot|ft|')\s+down)/gi,
    'deep',
  ],
  // "the bend is 4 feet down", "the main is 9 ft deep"
  [
    /^\s*(?:(?:the|that|our)\s+)?(?!cleanout|clean\s|co\b)([a-z]+(?:\s+[a-z]+)?)\s+(?:is|was)\s+(?:(?:about|around|maybe|like|only|~)\s*)*(\d{1,2}(?:\.\d+)?\s*(?:feet|foot|ft|')(?:\s*\d{1,2}\s*(?:inches|in|")?)?)\s+(?:deep|down)(?=\s*$)/gi,
    ([, what = '', deep = '']) => `locate at the ${what}, depth ${deep}`,
  ],
  // "9' deep at the main"
  [
    /^\s*(?:it's\s+)?(\d{1,2}(?:\.\d+)?\s*(?:feet|foot|ft|')(?:\s*\d{1,2}\s*(?:inches|in|")?)?)\s+(?:deep|down|depth)\s+at\s+the\s+(?!cleanout|clean\s|co\b)(?=[a-z]+(?:\s+[a-z]+)?\s*$)/gi,
    ([, deep = '']) => `depth ${deep} located at the `,
  ],
  // "42 taped 39.5 from the cleanout"
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:taped|wheeled)\s+(?:at\s+|it\s+at\s+|to\s+)?(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft|'))?(?:\s+(?:from|off)\s+(?:the\s+)?(?:cleanout|clean\s?out|zero))?(?=\s*$)`,
      'gi',
    ),
    ([, at = '']) => `located taped at ${at}`,
  ],
  // "43 depth is 4.5", "depth there's 6 foot"
  [
    /(?<!\b(?:max(?:imum)?|water|deepest|greatest|the\s+water)\s+)\b(?:the\s+)?depth(?:\s+(?:right\s+)?(?:there|here|on\s+(?:it|that|this)|of\s+(?:it|that|this)))?\s*(?:\s(?:is|was|reads|says|shows|of)|'s|[=:])\s*(?:(?:about|around|like|maybe|roughly|only|~)\s*)*(?=\d)/gi,
    'depth ',
  ],
  // "locator at the broken spot says 5 ft 3"
  [
    /\b(?:the\s+)?(?:sonde|locator|transmitter|locate)\s+(?:at|on|over)\s+(?:the|that)\s+([a-z]+(?:\s+[a-z]+){0,2}?)\s+(?:says|said|reads|shows|is|was|gives(?:\s+me)?)\s+(?:(?:about|like|around|~)\s*)*(?=\d)/gi,
    ([, point = '']) => `locate at the ${point}, depth `,
  ],
  // "sitting at 30, he's got me at 5 4 deep", "at 30, it's showing 5 foot 4 to the pipe", "stopped at 30, depth is 5 foot 4"
  [
    /^\W*(?:(?:okay|ok|so|and|now|i'm|we're)\W+)*(?:(?:sitting|stopped|holding|parked|stop|back)\s+)?(?:at\s+)?(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?:\s+(?:now|right\s+now|here))?(?:\s+on\s+the\s+way\s+back)?(?:\s+(?:and|with)\s+(?:the\s+)?(?:sonde|transmitter)(?:'s|\s+is)?\s+on)?\s*,\s+(?:(?:and|now)\s+)*(?:(?:he's|she's|they've|they're|it's|i'm|the\s+locator's|the\s+sonde's)\s+(?:got\s+(?:me|it|her)|showing(?:\s+me)?|locating(?:\s+me)?|reading(?:\s+me)?|getting(?:\s+me)?|saying|calling\s+it)|(?:the\s+)?depth(?:'s|\s+is|\s+says)?)\s+(?:(?:at|about|like|around|~)\s*)*(\d{1,2}(?:\s*(?:feet|foot|ft)|')(?:\s*\d{1,2}\s*"?)?|\d{1,2}\s+(?:1[01]|\d))(?=\s*(?:$|[,.;]|deep\b|down\b|to\s+the\s+(?:pipe|line|top|crown)\b))/gi,
    ([, at = '', deep = '']) => `${at} depth ${deep}`,
  ],
  // "he's got 3 foot 8", "he's at 5 2 on that"
  [
    /^\W*(?!(?:i|we|you|it|that|there|this|what)\b)(?:[a-z]+(?:'s|'ve|\s+has)?\s+(?:got|getting|calling\s+it|showing)|(?:he|she|they)(?:'s|'re)\s+(?:at|reading|saying))\s+(?:(?:about|like|maybe|~)\s*)*(\d{1,2}(?:\s*(?:feet|foot|ft)|')(?:\s*\d{1,2}\s*")?|\d{1,2}\s+(?:1[01]|\d))(?:\s+(?:on|at|for)\s+(?:that|it|this)(?:\s+one)?|\s+(?:deep|down|there|right\s+there))?(?=\W*$)/gi,
    ([, deep = '']) => `depth ${deep}`,
  ],
  // "locate at the main, 9 foot 4"
  [
    /\b(?:i\s+)?locat(?:e|ed|ing)\s+(?:it\s+)?(?:at|over|on)\s+the\s+([a-z]+(?:\s+[a-z]+){0,2}?)\s*,\s+(?:(?:about|like|around|maybe|it's|that's|i\s+got|i\s+get|~)\s*)*(?=\d{1,2}(?:\.\d+)?\s*(?:feet|foot|ft|'))/gi,
    ([, point = '']) => `locate at the ${point}, depth `,
  ],
  // "depth at 112 is 7 foot 6"
  [
    /(?:(?<=^\s*)\d+(?:\.\d+)?\s+)?\b(?:the\s+)?depth\s+(?:here\s+)?at\s+(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+(?:(?:is|was|reads|about|~)\s*)+(?=\d)/gi,
    ([, at = '']) => `${at} depth `,
  ],
  // "7.5 feet down to the pipe"
  [/(?<=\d\s*(?:feet|foot|ft|'))\s+(?:down\s+)?to\s+(?:the\s+)?(?:pipe|line|sewer|lateral)\b/gi, ' deep'],
  [
    /\b(?:the\s+)?depth\s+(?:at|of|on)\s+the\s+([a-z]+)\s*,?\s*(?:(?:i'm\s+getting|i\s+got|i've\s+got|is|was|reads|shows|looks\s+like|comes\s+up|like|about|~)\s*)*(?=\d)/gi,
    ([, point = '']) => `locate at the ${point}, depth `,
  ],
  // "sonde says 4 foot 2" is a depth wherever it occurs.
  [
    /\b(?:the\s+)?(?:sonde|locator|transmitter|locate)\s+(?:says|said|reads|shows|is|gives(?:\s+me)?)\s+(?:(?:about|like|around|~)\s*)*(?=\d)/gi,
    'depth ',
  ],
  [
    /\b(?:the\s+)?(?:sonde|locator|transmitter)'s\s+(?:at|saying|reading|showing)\s+(?:(?:about|like|around|~)\s*)*(?=\d)/gi,
    'depth ',
  ],
  // "at the laundry tie in I'm getting four eight"
  [
    /\b(?:at|over|on)\s+the\s+([a-z]+(?:\s+[a-z]+){0,3}?)\s*,?\s+(?:i'm\s+getting|i\s+get|i\s+got|i've\s+got|we're\s+getting|we\s+get|we've\s+got|it's\s+reading|it\s+reads)\s+(?:(?:about|like|around|~)\s*)*(?=\d{1,2}(?:\s*(?:feet|foot|ft|'))?\s+(?:1[01]|\d)\b(?!\s*(?:%|percent|o'?\s?clock))|\d{1,2}\s*(?:feet|foot|ft)(?:\s+(?:deep|down))?\s*(?:$|[,.;]))/gi,
    ([, point = '']) => `locate at the ${point}, depth `,
  ],
  // "locate, four ten": feet and inches.
  [
    /(?<=\b(?:locat(?:e|ed|es|ing)|sonde|locator)(?:\s+(?:it|that|this|there|here))?\s*[,:]?\s*(?:(?:at|is|says|reads|about|it's|it\s+at|~)\s*)*)(\d|1[0-5])\s+(1[01]|\d)(?=\s*(?:$|[,;]|\.(?!\d)|deep\b|down\b))/gi,
    ([, feet = '', inches = '']) => `${feet}' ${inches}"`,
  ],
  // "depth at the 41 is 5 8"
  [
    /\bdepth\s+(?:at|on|of)\s+(?:the\s+)?(\d+(?:\.\d+)?)\s+(?:(?:mark|spot|one)\s+)?(?:is|was|reads|says|comes\s+(?:in|out)\s+at)\s+(?:(?:about|like|around|~)\s*)*(?=\d)/gi,
    ([, at = '']) => `${at} depth `,
  ],
  // "depth six eight": feet and inches.
  [
    /(?<=\bdepth\s)(\d{1,2})\s+(1[01]|\d)\b(?!\s*(?:feet|foot|ft|'|%|percent|\.\d|\/))/gi,
    ([, feet = '', inches = '']) => `${feet}' ${inches}"`,
  ],
  // "22 located, 6 ft 2", "depth 6 ft 2": feet and inches.
  [
    /(?<=\b(?:depth|deep|sonde|(?:^|;)\s*~?\s*\d+(?:\.\d+)?\s+locat(?:e|ed|es))\s*[,:]?\s*(?:(?:at|is|says|reads|about|~)\s*)*)(\d{1,2})\s*(?:feet|foot|ft)\s+(1[01]|\d)\b(?!\s*(?:feet|foot|ft|'|"|in\b|inch|%|percent|\.\d|\/|o'?\s?clock|deep))/gi,
    ([, feet = '', inches = '']) => `${feet}' ${inches}"`,
  ],
];
