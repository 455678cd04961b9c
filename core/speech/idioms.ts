import { boundary } from './denials.js';
import { rewrite, type Heard } from './heard.js';

/** An idiom, and the words of the typed line with the same meaning. */
type Idiom = readonly [pattern: RegExp, to: Parameters<typeof rewrite>[2]];

/** Applied before numbers are turned into digits. */
export const spokenIdioms: readonly Idiom[] = [
  // "at 118 Larkin", "118 larkin street": an address is not a reading.
  [
    /\b(?:\d{2,5}(?=\s+(?!(?:to|toward|towards|the|a|under|in|into|at|from|of|and|ft|feet)\b)[a-z]+\s+(?:street|avenue|ave|road|lane|drive|court|boulevard|blvd)\b)|(?<=\b(?:at|for)\s)\d{2,5}(?=\s[A-Z][a-z]{3,}\s*(?:,|\.|$)))/g,
    ' ',
  ],
  // "the bottom's gone"
  [
    /\b(bottom|invert|pipe|joint|cap|top|crown|liner|camera|lens|line|main|picture|wall)'s(?=\s)/gi,
    ([, noun = '']) => `${noun} is`,
  ],
  // "twenty three and change" is a little more.
  [/(?<=[a-z\d])\s+and\s+change\b/gi, ' '],
  [
    /\b(?:drop(?:s|ped|ping)?|dip(?:s|ped|ping)?|go(?:es|ing)?)\s+(?:down\s+)?in(?:to)?\s+(?:some\s+|a\s+little\s+|the\s+)?(?:standing\s+)?water\b/gi,
    'goes under water',
  ],
  // "right at seventy nine" is not a side of the pipe.
  [
    /\bright\s+(?=(?:at|about|around|near|after|before|past|off|now|next|up|over|in|on)\b(?!\s+(?:side|hand)))/gi,
    ' ',
  ],
  [/ {2,}/g, ' '],
  [/\b(?:astm\s+)?(?:d[\s-]*)?3034\b|\bsdr[\s-]*(?:35|thirty[\s-]five)\b/gi, 'sdr35'],
  [/\bschedule\s+forty\b/gi, 'schedule 40'],
  [/\bper\s+cent\b/gi, 'percent'],
  // On a phone the apostrophe is often left out.
  [/\b(can|won|couldn|doesn|didn|isn|wasn|don)t\b/gi, ([, verb = '']) => `${verb}'t`],
  [/\bc\.\s?i\.(?!\w)/gi, 'ci'],
  [/\b([12])[\s-]?way\b/gi, ([, ways]) => (ways === '1' ? 'one-way' : 'two-way')],
  // "31 1/4 bend" is a quarter bend at 31.
  [/(?<=\d\s+)1\/([48])\s+(?=bend\b)/gi, ([, part]) => (part === '4' ? 'quarter ' : 'eighth ')],
  [/\bw\/\s?(?=\w)/gi, 'with '],
  // "ran the kitchen sink": water was run from it.
  [
    /\b(?:ran|running|turned\s+on|filled|dumped)\s+(?:the\s+|a\s+)?(?=(?:\w+\s+){0,2}(?:sink|shower|tub|bathtub|faucet|toilet|washer|bath|dishwasher|hose)\b)/gi,
    'ran water ',
  ],
  // Anything that says something else runs through the sewer.
  [
    /\b(?:gas|electric(?:al)?|power|telephone|phone|fiber\s+optic|cable\s+tv)\s+(?:line|main|pipe|service|conduit|cable)\s+(?:[a-z]+\s+){0,4}?through\s+(?:the\s+|this\s+|our\s+|that\s+)?(?:\w+\s+)?(?:pipe|sewer|lateral|line)\b/gi,
    'utility through the pipe',
  ],
];

/** Applied once numbers are digits: what a number belongs to. */
export const figureIdioms: readonly Idiom[] = [
  [/\bfrom\s+(?=~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|ft|foot))?\s+on\b(?!\s+(?:the|a)\b))/gi, 'at '],
  // "three feet, forty five": a bend, by its degrees.
  [
    /(?<=\d\s*(?:feet|foot|ft),?\s+)(22\.5|45|90)(?=\s*(?:$|[,.;]|and\b))/gi,
    ([, degrees = '']) => ` ${boundary} bend ${degrees} degrees `,
  ],
  // "a long sweep ninety" is not a reading.
  [
    /\b(bend|sweep|elbow|ell|turn|fitting)\s+(11\.25|22\.5|22|45|60|72|90)\b(?!\s*(?:feet|ft|foot|%|percent|inch|in\b|'|\.\d|\d|deg|o['’]?clock))/gi,
    ([, fitting = '', degrees = '']) => `${fitting} ${degrees} degrees`,
  ],
  [
    /\b(?:the\s+)?depth\s+(?:at|of|on)\s+the\s+([a-z]+)\s*,?\s*(?:(?:i'm\s+getting|i\s+got|i've\s+got|is|was|reads|shows|looks\s+like|comes\s+up|like|about|~)\s*)*(?=\d)/gi,
    ([, point = '']) => `locate at the ${point}, depth `,
  ],
  // "it runs out at 31"
  [/\b(?:it\s+)?(?:runs|comes|goes)\s+out\s+(?:at|by|around)\s+(?=(?:~\s*|about\s+)?\d)/gi, 'ends at '],
  // "sonde says 4 foot 2" is a depth wherever it occurs.
  [
    /\b(?:the\s+)?(?:sonde|locator|transmitter|locate)\s+(?:says|said|reads|shows|is|gives(?:\s+me)?)\s+(?:(?:about|like|around|~)\s*)*(?=\d)/gi,
    'depth ',
  ],
  // "water's about an inch and a half deep", "max water 40 percent": standing water.
  [
    /(?<!\b(?:standing|under|holding|running|of)\s+)\b(?:the\s+|max(?:imum)?\s+)?water(?:'s|\s+(?:is|was|gets|level|depth))*\s+(?:to\s+)?(?=(?:(?:about|around|like|roughly|only|~|maybe)\s*)*[\d½¼¾⅛⅜⅝⅞][\d./½¼¾⅛⅜⅝⅞ ]*(?:to\s+[\d./]+\s*)?(?:in\b|inch|"|%|percent))/gi,
    'standing water ',
  ],
];

/** Applies one idiom after another, in the order listed. */
export const rewriteAll = (heard: Heard, idioms: readonly Idiom[]): Heard =>
  idioms.reduce((now, [pattern, to]) => rewrite(now, pattern, to), heard);
