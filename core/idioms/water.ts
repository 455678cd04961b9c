import { aNumber } from '../number-words.js';
import {
  afterPlace,
  asNote,
  besideIt,
  type Idiom,
  quoted,
  spokenPlaceFirst,
  placeFirst,
} from './traced-text.js';

const parts: Readonly<Record<string, string>> = {
  '1/2': 'half',
  '1/3': 'third',
  '1/4': 'quarter',
  '2/3': 'two thirds',
  '3/4': 'three quarters',
};

/** "Standing water 30 to 44, deepest at 37 about 2 inches": in digits, before and after numbers are turned into them. */
const deepestAt: Idiom = [
  /\b(?:it's\s+)?(?:at\s+)?(?:the\s+|its\s+)?(deepest|worst|lowest|heaviest|biggest|largest|thickest)(?:\s+(?:point|spot|part|of\s+it))?(?:\s*,?\s+(?:which|that)(?=\s+is|'s))?(?:\s+is|'s)?\s+(?:(?:at|around|near)\s+(?:about\s+|~\s*)?(?=\d)|(?:(?:about|maybe|probably|right|like)\s+)*(?=1[3-9]|[2-9]\d|1\d\d))(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?!\s*(?:in\b|inch|%|percent|"|o'?\s?clock|[\d/])|\s*,\s*[\d./ ]+(?:in\b|inch(?:es)?|"|%|percent\b)\s*[.]?\s*$(?<=^\D*[\d.]+\s*,[^,;]*))/gi,
  ([, how = '', at = '']) => quoted(`${how} at ${at} ft`),
];

/** Standing water and fall. */
export const waterIdioms: readonly Idiom[] = [
  // "water gets to half pipe around 33"
  [
    /\b(?:the\s+)?(?:water|it)\s+(?:gets|comes|goes|rises|climbs|is\s+up)\s+(?:up\s+)?to\s+(?:about\s+|around\s+)?(?:a\s+)?(half|quarter|third)(?:[\s-](?:pipe|full|way|of\s+the\s+pipe))?\s+(?:at|around|by)\s+/gi,
    ([, share = '']) => `it's ${share} full at `,
  ],
  // "water's still standing 31 to 35"
  [
    /\b(?:the\s+)?water(?:'s|\s+is)\s+(?:still\s+|just\s+)?(?:standing|sitting|ponding|pooling)\s+(?:there\s+)?(?:from\s+)?(?=~?\d|[a-z]+(?:\s+[a-z]+)?\s+(?:to|through)\s)/gi,
    'standing water ',
  ],
  // "grade breaks, water's backed up an inch behind it to forty four"
  [
    /\bgrade\s+(?:breaks|break|changes|flattens(?:\s+out)?)\s*,?\s+(?:and\s+)?(?:the\s+)?water(?:'s|\s+is)?\s+(?:backed\s+up|backs\s+up|holding|standing|sitting)\b/gi,
    'standing water',
  ],
  // "thirty nine two, other side of the belly"
  [
    /\b(?:that's\s+|it's\s+)?(?:the\s+)?(?:(?:other|far|back)\s+(?:side|end)|end)\s+of\s+(?:the|that|this)\s+(belly|sag|dip|low\s+spot|water)\b(?=\s*(?:$|[,.;]))/gi,
    ([, what = '']) => `${what} ends`,
  ],
  // "we have water stand, to thirty three"
  [
    /\bwater\s+(?:that\s+)?(?:stands?|standing|sits?|sitting)(?:\s+(?:here|there|in\s+(?:here|there|it)))?\s*,?\s+(?=(?:from|to|till|until)\b)/gi,
    'standing water ',
  ],
  // "it's super low from 44 to 50, there's a lot of water"
  [
    /\b(?:it's|it\s+is|is|pipe's|line's)\s+(?:(?:like|super|really|pretty|very|real|kind\s+of|a\s+(?:little|bit)|so)\s+)*low\b(?=[^;]*\bwater\b)(?!\s*(?:spot|side|end|point))/gi,
    'belly',
  ],
  // "the water was about two and a half inches deep": of what was named before.
  [
    /^\s*(?:the\s+)?water(?:'s|\s+is|\s+was)\s+(?=(?:[a-z]+\s+){0,6}?(?:inch(?:es)?|in)\s+(?:and\s+an?\s+(?:half|quarter)\s+)?deep\W*$|(?:about\s+)?\d[\d./\s]*(?:inch(?:es)?|in)\s+deep\W*$)/gi,
    'it is ',
  ],
  // "water line, about a quarter full": how high it stands.
  [
    /\bwater\s+(?:line|level)\s*,?\s+(?:(?:is|at|about|maybe)\s+)*(?=(?:an?\s+(?:quarter|third)|half|one\s+third)[\s-]+(?:full|(?:of\s+)?the\s+pipe|up)\b|\d+\s*(?:%|percent))/gi,
    'standing water ',
  ],
  // "50 water level 0"
  [
    /\bwater\s+level\s+(?:is\s+|back\s+to\s+)*0\s*(?:%|percent\b|in(?:ch(?:es)?)?\b|")?(?=\s*[.]?\s*$)/gi,
    'out of the water',
  ],
  // "36 water line starts", "19 dip, water halfway"
  [/\bwater\s+(?:line|level)\s+(?=(?:starts|begins)\b)/gi, 'standing water '],
  // "22 water starting", "22 start of water"
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:(?:standing\s+)?water\s+(?:is\s+)?(?:starting|beginning)|(?:the\s+)?(?:start|beginning)\s+of\s+(?:the\s+)?(?:standing\s+)?water)(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    'standing water starts',
  ],
  [/\bwater\s+half\s?-?way(?:\s+up)?(?=\s*(?:$|[,.;]))/gi, 'half full'],
  // "water's getting deep": where none was named before.
  [
    /\bwater(?:'s|\s+is)?\s+(?:getting|gets)\s+(?:kind\s+of\s+|pretty\s+|really\s+)?deep(?=\s*(?:$|[,.;]))(?<=^\s*[a-z\d. -]{1,24}?,?\s+(?:the\s+)?water.*)/gi,
    'standing water starts',
  ],
  // "water's backed up behind it to 29"
  [
    /\b(?:the\s+)?water(?:'s|\s+is)?\s+(?:all\s+)?(?:backed|backing|stacked|dammed|held|piled)\s+up\s+(?=(?:behind\s+(?:it|that|this)\s+(?:all\s+the\s+way\s+)?(?:back\s+)?to|from)\s)/gi,
    'standing water ',
  ],
  // "never got deeper than an inch"
  [
    /^\W*(?:(?:and|but|it|the\s+water|that)\s+)*(?:never|didn't|doesn't)\s+(?:ever\s+)?(?:got|gets?|went|goes?|go)\s+(?:any\s+)?(?:deeper|over|above|more)\s+(?:than\s+)?(?=(?:about\s+)?(?:an?\s+|half\s+|a\s+half\s+|a\s+quarter\s+|three\s+|one|two|three|\d)[a-z\d\s/]*\b(?:inch|inches|in)\b)/gi,
    "it's ",
  ],
  // "a bow in the pipe", holding water
  [/\b(?:an?\s+)?(?:(?:little|slight|big)\s+)?bow\s+in\s+(?:the|this)\s+(?:pipe|line)\b/gi, 'belly'],
  // "deepest I'd guess three inches at thirty five"
  [
    new RegExp(
      String.raw`^\W*(?:it's\s+|the\s+)?(?:deepest|worst)(?:\s+(?:part|spot|point))?\s+(?:(?:i'd|i\s+would|i|is|was|about|maybe|probably|guess|say|think|~)[\s,]+)*(?=${aNumber}[\da-z./½¼¾ ]*inch(?:es)?\b)([\da-z./½¼¾ ]*inch(?:es)?)\s+(?:at|around)\b.*$`,
      'gi',
    ),
    ([, deep = '']) => `it's ${deep} of water`,
  ],
  // Water in the main, not in our line.
  [
    /\b(?:(?:city|street|sewer)\s+)?main\s+(?:line\s+)?(?:(?:is|looks|was)\s+)?(?:full(?:\s+of\s+(?:standing\s+)?water)?|holding\s+water|flooded|(?:half|partly)\s+full(?:\s+of\s+water)?)\b/gi,
    'main backed up',
  ],
  [
    /\b(?:drop(?:s|ped|ping)?|dip(?:s|ped|ping)?)\s+(?:down\s+)?in(?:to)?\s+(?:some\s+|a\s+little\s+|the\s+)?(?:standing\s+)?water\b/gi,
    'goes under water',
  ],
  [
    /\b(?:(?:slop(?:es?|ed|ing)|falls?|pitch(?:es|ed)|runs?)\s+(?:back\s+)?(?:uphill|backwards?|the\s+wrong\s+way)|(?:reverse|reversed|negative|adverse|back)\s?(?:fall|slope|grade|pitch))\b/gi,
    'back fall',
  ],
  deepestAt,
  // "35 deep belly" is no depth.
  [/\b(?:really\s+|very\s+|pretty\s+)?deep\s+(?=(?:belly|sag|dip|low\s+spot|pool|puddle)\b)/gi, 'large '],
  [
    /\b(?:the\s+)?water(?:'s|\s+(?:comes|came|is|goes|gets))\s+(?:up\s+)?(?:to\s+)?(?:(?:about|around|like|maybe|probably)\s+)*(half|a\s+third|a\s+quarter|two\s+thirds|three\s+quarters)(?:\s*way)?(?:\s+(?:up|full|(?:of\s+)?the\s+pipe))*(?!\s+(?:by|at|around|up|full)\b)/gi,
    ([, share = '']) => `standing water ${share.replace(/^a\s+/, '')} full`,
  ],
  [
    /\b(?:max(?:imum)?|deepest|greatest|water)\s+depth(?:'s)?\s+(?:(?:is|was|of|about|around|maybe|like|~)\s*)*(?=[\d½¼¾a-z][\d./½¼¾a-z ]*\s*(?:in\b|inch|"))/gi,
    ' ',
  ],
  // "water's holding from 39 to 45"
  [
    new RegExp(
      String.raw`\b(?:the\s+)?water(?:'s|\s+is|\s+was)?\s+(?:holding|standing|sitting|la?ying|pooling|pooled|ponding)\s+(?:(?:in\s+(?:here|there|it)|up)\s+)?(?=(?:(?:from|between|at)\s+)?(?:about\s+|~\s*)?${aNumber})`,
      'gi',
    ),
    'standing water ',
  ],
  // "water from 23 to 34 still there"
  [
    /\s+(?:(?:is|are|'s)\s+)?still\s+(?:in\s+)?there\b(?<=\b(?:water|belly|sag|roots?|offset|crack|step|hole)\b[^;,]*)/gi,
    '',
  ],
  // "water's over the lens"
  [
    /\b(?:the\s+)?water(?:'s|\s+is)?\s+(?:up\s+)?over\s+(?:the\s+)?(?:lens|camera|head)\b/gi,
    'camera under water',
  ],
  // "water behind the offset"
  [
    /\b(?:(?:standing|some)\s+)?water\s+(?:(?:standing|holding|la?ying|sitting)\s+)?((?:right\s+)?behind\s+(?:it|that|the\s+(?:offset|joint|lip|roots|hump)))\b(?!\s+(?:back\s+)?to\s)/gi,
    ([, where = '']) => `standing water ${quoted(where)}`,
  ],
  // "under water 4 ft"
  [/\bunder\s*water\s+(?=\d+(?:\.\d+)?\s*(?:feet|foot|ft|'))/gi, 'under water for '],
  // Said of the pipe, not denied.
  [
    /\b(?:no|zero|not\s+enough|without(?:\s+any)?)\s+(?:fall|slope|pitch|grade)\b(?!\s+(?:problems?|issues?))/gi,
    'flat',
  ],
  [/\b(?:the\s+)?water(?:'s|\s+is)?\s+(?:coming|rising)\s+up\b/gi, 'standing water starts'],
  // "water's probably two inches at the deepest"
  [
    new RegExp(
      String.raw`\b(?:the\s+)?water(?:'s|\s+is|\s+was)\s+(?:(?:about|around|maybe|probably|only|just|like|at\s+least|~)\s*)*(?=${aNumber}[\da-z./½¼¾ ]*\s*(?:inch|in\b|"))`,
      'gi',
    ),
    'standing water ',
  ],
  // "came back up at 53"
  [
    /(?<=^\s*(?:(?:and|then|it|we|she|camera|the\s+camera|line|the\s+line)\s+)*)(?:comes?|came|coming|popped|pops)\s+(?:back\s+)?(?:up|out)(?:\s+(?:out\s+)?(?:of\s+)?(?:the\s+water|it))?\s+(?:at|around)\s+(?=(?:about\s+)?(?:\d|[a-z]+ty\b|[a-z]+teen\b|ten\b|eleven\b|twelve\b))/gi,
    'out of the water at ',
  ],
  // "holds 1 in of water"
  // "belly 3 to 5, inch of water"
  [/(?<=,\s*)inch\s+(?=of\s+(?:standing\s+)?water\b)/gi, '1 inch '],
  [/\b(?:holds|held|hold)\s+(?=(?:about\s+|~\s*)?[\da-z½¼¾][^;,]*\bwater\b)/gi, 'holding '],
  // "slight dip, holds half an inch"
  [
    /\b(?:holds|held|holding)\s+(?=(?:(?:about|around|maybe|roughly|like|~)\s*)*(?:(?:an?|one|two|three|four|five|six)\s+inch(?:es)?\b|(?:an?\s+(?:half|quarter)|half|[\d½¼¾])[\da-z./½¼¾ ]*(?:inch|in\b|")))/gi,
    'holding water ',
  ],
  // "64 half full"
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s+)(?:(?:the\s+)?(?:pipe|line|lateral)\s+)?(?:is\s+|runs?\s+|about\s+)*(half|(?:a|one)[\s-]third|(?:a|one)[\s-]quarter|two[\s-]thirds|three[\s-]quarters|[1-3]\/[2-4])\s+full(?:\s+pipe)?(?=\s*(?:$|[,;.]|here\b))/gi,
    ([, share = '']) =>
      `standing water ${parts[share] ?? share.replace(/^(?:a|one)[\s-]/, '').replace('-', ' ')} full`,
  ],
  // "41 in water, 55 out of water": the place, not so many inches.
  [
    /(?<=(?:^|[,;/]|\band)\s*(?:1[3-9]|[2-9]\d|\d{3})(?:\.\d+)?\s+)(?:(?:goes?|went|going)\s+)?in\s+(?:the\s+)?water\b(?=\s*(?:$|[,;/]|\band\s+\d|\d))/gi,
    'standing water starts',
  ],
  [/\bwater\s+in\b(?=\s*[,;/]?\s*(?:and\s+)?\d+(?:\.\d+)?\s+water\s+out\b)/gi, 'standing water starts'],
  [/(?<=\d\s*)water\s+out\b(?=\s*(?:$|[,;]))/gi, 'standing water ends'],
  // Said after where it began.
  [
    /(?<=(?:standing water starts|\benter(?:s|ing|ed)?\s+(?:the\s+)?water)\b[^;]*?)\b(?:(?:(?:comes|came|back|is|are|we're)\s+)*out\s+of|exit(?:s|ing|ed)?|leav(?:es?|ing))\s+(?:the\s+)?water\b/gi,
    'standing water ends',
  ],
  [/\b(?:exit(?:s|ing|ed)?|leav(?:es?|ing))\s+(?:the\s+)?water\b/gi, 'out of the water'],
  [/\bback\s+(?:up\s+)?in(?:to)?\s+(?:the\s+)?(?:air|clear|dry)\b/gi, 'out of the water'],
  // "15-30 1/4 standing water": how deep, not how far.
  [
    /(?<=^\s*\d+(?:\.\d+)?\s*(?:-|to)\s*\d+(?:\.\d+)?\s+)([1-7]\/[248])\s+(?=(?:of\s+)?(?:standing\s+)?water\b)/gi,
    ([, deep = '']) => `${deep} in `,
  ],
  // "25 % water", "1/4 pipe water"
  [
    /(?<=^[^;a-z]*)\b(\d+)\s*(?:%|percent)\s+(?:standing\s+)?water\b(?!\s+(?:level|depth|line|main))/gi,
    ([, share = '']) => `standing water ${share}%`,
  ],
  [
    /\b([1-3]\/[2-4]|half|quarter|third)\s+(?:of\s+(?:the\s+)?)?pipe\s+(?:of\s+)?(?:standing\s+)?water\b/gi,
    ([, share = '']) => `standing water ${parts[share] ?? share} full`,
  ],
  // "2 in water at 41"
  [
    /^\s*([\d½¼¾]{1,2}(?:[ ./]\d+)*)\s*(?:in(?:ch(?:es)?)?|")\s+(?:deep\s+)?water\s+(?=(?:at|from|between)\s+~?\d)/gi,
    ([, deep = '']) => `standing water ${deep} in `,
  ],
  // "sag, full pipe"
  [
    /(?<=\b(?:sag|belly|dip|low\s+spot|standing\s+water)\s*,?\s+)(?:full\s+(?:pipe|bore)|(?:the\s+)?whole\s+pipe|completely\s+full|totally\s+full)\b/gi,
    '100%',
  ],
  [/\bh2o\b/gi, 'water'],
  // "50 water comes in at joint"
  [
    /\bwater\s+(?:comes|pours|runs|seeps|drips|leaks|gets)\s+(?:right\s+)?in\b(?!\s+(?:here|the\s+(?:pipe|line))\s+from\s+(?:upstream|the\s+house))/gi,
    'water coming in',
  ],
  // "45 water's standing", "40 I've got water"
  [
    /\b(?:the\s+)?water(?:'s|\s+is)?\s+(?:just\s+)?(?:standing|sitting|pooled|pooling)(?=\s*(?:$|[,.;]|here\b|there\b|at\b|from\b))/gi,
    'standing water',
  ],
  [
    new RegExp(
      String.raw`(?<=${spokenPlaceFirst})(?:(?:now|here)\s+)*(?:(?:i've|we've|i|we)(?:\s+have)?\s+(?:got|get|have|hit)|there's|there\s+is)\s+(?:some\s+)?water(?=\s*(?:$|[,.;]|here\b))`,
      'gi',
    ),
    'standing water starts',
  ],
  // "we're picking up water at 23"
  [
    /\b(?:(?:we're|i'm|we|i|now|starting\s+to)\s+)*(?:pick(?:ing|s)?\s+up|run(?:ning|s)?\s+into|get(?:ting|s)?\s+into|start(?:ing|s)?\s+to\s+(?:see|get|pick\s+up))\s+(?:(?:some|a\s+little|a\s+bit\s+of|bit\s+of|standing)\s+)*water(?=\s*(?:$|[,.;]|at\b|here\b|now\b|around\b))/gi,
    'standing water starts',
  ],
  // "running in half a pipe of water"
  [
    /\b(?:(?:we're|i'm|camera's|the\s+camera\s+is)\s+)?(?:running|sitting|swimming|driving|wading|going|moving|riding)\s+(?:in|through)\s+(?:about\s+)?(half|(?:a\s+)?(?:third|quarter))\s+(?:an?\s+|of\s+a\s+)?(?:pipe|line)(?:\s+full)?(?:\s+of\s+(?:standing\s+)?water)?\b/gi,
    ([, share = '']) => `standing water ${share.replace(/^a\s+/i, '')} full`,
  ],
  [
    /,?\s*\b(?:with\s+)?(?:no|without(?:\s+any)?)\s+(?:current|flow|movement)(?:\s+(?:to\s+it|in\s+it|at\s+all|there|here))*(?<=\b(?:water|belly|sag)\b[^;]*)/gi,
    besideIt,
  ],
  // "thirty two we start getting wet"
  [
    /\b(?:(?:we|it|i|camera)\s+)?(?:start(?:s|ing)?|begin(?:s|ning)?)\s+(?:to\s+get|getting)\s+(?:wet|damp|some\s+water)\b|\b(?:we're|it's|i'm)\s+(?:starting|beginning)\s+to\s+get\s+(?:wet|some\s+water)\b/gi,
    'standing water starts',
  ],
  // "lens is half under at 35"
  [
    /\b(?:(?:the\s+)?(?:lens|camera|head)\s*(?:'s|is)|it's|it\s+is|i'm|we're)\s+(?:(?:about|maybe|like)\s+)*(?:a\s+)?(half|halfway|quarter|third)(?:\s+of\s+the\s+way)?\s+(?:under|submerged|in)(?:\s+water)?(?=\s*(?:$|[,.;]|at\b|around\b))/gi,
    ([, share = '']) => `it's ${share.replace('way', '')} full`,
  ],
  // "water level back to normal at 38"
  [
    /\b(?:the\s+)?(?:water|level|water\s+level|flow)\s+(?:(?:is|goes|comes|gets|drops|returns)\s+)?(?:back\s+(?:to|down\s+to)\s+)?normal(?:\s+again)?(?=\s*(?:$|[,.;]|at\b|around\b|by\b))/gi,
    'out of the water',
  ],
  // "and I get it back at thirty one"
  [
    /\b(?:i|we)\s+(?:get|got|have|pick)\s+(?:it|her|the\s+(?:picture|view))\s+back(?:\s+again)?(?=\s*(?:$|[,.;]|at\b|around\b|by\b))/gi,
    'picture is back',
  ],
  // "the pipe drops away and there's water"
  [
    /\b(?:the\s+)?(?:pipe|line|bottom|it)\s+(?:just\s+)?(?:drops|dips|falls|sinks)\s+(?:away|down|off)?\s*,?\s*(?:and|then)\s+(?:there's|there\s+is|we've\s+got|i've\s+got|we're\s+in|i'm\s+in)\s+(?:some\s+|standing\s+)*(?=water\b)/gi,
    'belly, ',
  ],
  // "no more than a quarter inch of water"
  [
    /\b(?:no|not)\s+more\s+than\s+(?=(?:an?|half|a\s+half|a\s+quarter|three\s+quarters?|\d+(?:\/\d+)?|one|two|three)\b[^;,.]*\b(?:inch|foot|feet|percent))/gi,
    'about ',
  ],
  // "thirty feet water level zero"
  [/\bwater\s+level\s+(?:is\s+|at\s+|back\s+to\s+)*(?:zero|normal|none|nothing)\b/gi, 'out of the water'],
  // "36 on the way back, ponding has drained"
  [
    /\b(?:the\s+)?(?:ponding|water|belly|puddle)\s+(?:has|had)\s+(?:all\s+)?(?:drained|cleared)(?:\s+(?:out|off|away|down))?\b/gi,
    asNote,
  ],
  // "I can't see it, there's water"
  [
    /\b(?:i|we|you)\s+(?:can't|cannot|couldn't)\s+see\s+(?:it|that|this|anything|much|the\s+joint)\s*,?\s+(?:there's|because\s+of|it's|due\s+to|for)\s+(?:all\s+)?(?:the\s+|in\s+|under\s+)*water\b/gi,
    'under water',
  ],
  // "sag, can't see the bottom of it": how deep it looks.
  [
    /,?\s*\b(?:(?:i|you|we)\s+)?(?:can't|cannot)\s+(?:even\s+)?see\s+(?:the\s+)?bottom(?:\s+of\s+(?:it|that))?\b(?<=\b(?:sag|belly|dip|water)\b[^;]*)/gi,
    besideIt,
  ],
  // "flat out dry", "bone dry"
  [/\b(?:flat\s+out|bone|totally|completely|perfectly)\s+dry\b/gi, 'dry'],
  // "going through some water now, 26"
  [
    /(?<=^\W*(?:(?:okay|ok|and|now|so|i'm|we're|we|i)\W+)*)(?:going|driving|pushing|swimming|running|wading|passing)\s+(?:(?:back|right|in)\s+)?through\s+(?:(?:some|a\s+little|a\s+bit\s+of|a\s+lot\s+of|standing|the)\s+)*water(?:\s+(?:here|now|again))*\s*,?\s+(?:at\s+)?(?=[a-z\d\s.-]{2,24}[.,]?\s*$)/gi,
    'standing water starts at ',
  ],
  // "still in water"
  [
    /(?<!\b(?:let(?:s|ting)?|run(?:s|ning)|com(?:es|ing)|tak(?:es|ing)|seep(?:s|ing)|leak(?:s|ing)|pour(?:s|ing))\s)(?<![\d½¼¾]\s*)\b(?:still\s+)?in\s+(?:the\s+|some\s+|standing\s+)?water\b(?!\s+(?:main|line|meter|heater))/gi,
    'standing water',
  ],
];

/** "ends", "we're out of it", "it's gone", "comes back up": where something that goes on is over. */
const isOver = String.raw`(?:(?:and|then|but|standing|it|it's|we|we're|i'm|that|that's|they|water|the|pipe|line|is|comes?|come|goes)\s+)*(?:ends?|done|out(?:\s+of\s+(?:it|that|them|those|the\s+water))?|clears?(?:\s+up)?|gone|back\s+up|over|dry|goes\s+away|cleans\s+up|dries\s+(?:up|out)|levels?\s+(?:back\s+)?out|stops?|quits?|no\s+(?:more\s+)?water|¬\s*(?:more\s+)?water)`;
const sags = String.raw`(?:belly|bellies|sags?|dips?|low\s+spot|puddle|(?:standing\s+)?water(?:\s+standing)?)`;
const place = String.raw`~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?`;

/** A belly from a place on, as it is said to be, up to the place that follows. */
const wetFrom = (what: string, from: string, how: string): string =>
  `${how}, ${/water/i.test(what) ? 'standing water' : what} ${from} to `;

/** The same once numbers are digits: how much of the pipe it fills, where the camera goes under. */
export const waterFigures: readonly Idiom[] = [
  // "there's water from 14 to 17"
  [
    /(?<!\b(?:standing|ground|running|under|of|the|hot|waste|rain|storm|clear|into|in|fresh|holds?|holding)\s+)\b(?:standing\s+water\s+starts|water)\s*,?\s+(?=(?:from\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*(?:to|-|through)\s*~?\s*\d+(?:\.\d+)?(?!\s*(?:in\b|inch|"|%|percent|\/)))/gi,
    'standing water ',
  ],
  // "an inch of water, all the way to 5"
  [
    /\b(\d[\d ./-]*|\d*[½¼¾⅛⅜⅝⅞])\s*(?:in(?:ch(?:es)?)?\b|")\s+of\s+(?:standing\s+)?water\s*,?\s+(?:(?:and|it|that|goes|runs|lasts|stays|all\s+the\s+way|clear|up|down|out|on)\s+)*(?:to|until|till|through|(?:ends|quits|stops)\s+(?:at|around|by))\s+((?:about\s+|around\s+|~\s*)?\d+(?:\.\d+)?)(?!\s*(?:in\b|inch|"|%|percent|o'?clock|[\d/:]))/gi,
    ([, inches = '', end = '']) => `standing water ${inches.trim()} in to ${end} ft`,
  ],
  // "went under at 3, back up at 5": the camera did.
  [
    /\b(?:(?:camera|we|i|it|she)\s+)?(?:went|goes|going|go)\s+under(?:\s*water)?\s+(?:(?:at|around)\s+)?(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:(?:and|then)\s+)*(?:(?:we're|it's|i'm|she's|(?:we|i|it|she)\s+)?\s*(?:came|comes|come|coming|pops?|popped)?\s+)?(?:back\s+)?(?:up|out)\s+(?:again\s+)?(?:(?:at|by|around)\s+)(?=~?\d)/gi,
    ([, from = '']) => `under water ${from} to `,
  ],
  // "at 3 there's water to 8"
  [
    new RegExp(
      String.raw`\bwater\s+to\s+(?=~?\d)(?<=^\s*(?:at\s+)?${place}\s*,?\s+(?:(?:there's|there\s+is|we\s+hit|we\s+have|we've\s+got|i\s+hit)\s+)(?:some\s+)?water\s+to\s+)`,
      'gi',
    ),
    'standing water to ',
  ],
  // "water in the bottom from 3 to 8", "3 to 8, water in the pipe"
  [
    /\bwater\s+in\s+the\s+(?:bottom|pipe|line|invert)(?:\s+of\s+the\s+(?:pipe|line))?(?=\s+(?:from\s+)?~?\d|\s*[.]?\s*$)(?<=^\s*(?:from\s+)?~?\d[\d.]*\s*(?:feet\s+|ft\s+)?(?:to|-)\s*~?\d[^;]*|(?=.*\d\s*(?:feet\s+|ft\s+)?(?:to|-)\s*~?\d).*)/gi,
    'standing water',
  ],
  // "10 to 14 sag, 2 inches at 12": how deep it is at its deepest.
  [
    /(?:\bmax\.?\s+)?(?<![\d./]\s?)\b((?:\d\s+)?\d(?:[./]\d+)?)\s*(?:in(?:ch(?:es)?)?\b|")?\s*(?:deep\s+)?(?:at\s+|around\s+|@\s*)(?:1[3-9]|[2-9]\d|\d{3}|(?<=(?:in(?:ch(?:es)?)?|"|deep)\s*(?:at\s+|around\s+|@\s*))\d+)(?:\.\d+)?(?:\s*(?:feet|foot|ft))?(?=\s*(?:$|[.;]))(?<=\d\s*(?:feet|foot|ft)?\s*(?:-|to|thr(?:ough|u))\s*\d[^;]*\b(?:sag|belly|dip|water)\b[^;]*)/gi,
    ([, deep = '']) => `${deep} in`,
  ],
  // "38, water."
  [
    /\bwater(?=\s*[.]?\s*$)(?<=^\s*(?:at\s+)?~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,\s+water)/gi,
    'standing water',
  ],
  // "lateral drops a little, 17 to 20, and I've got an inch of water": it sags there.
  [
    /\b(?:(?:the|our|this)\s+)?(?:lateral|line|pipe|it)\s+(?:drops|dips|goes\s+down)\s+(?:just\s+)?(?:(?:a\s+)?(?:little|bit|hair|tad)(?:\s+bit)?)?(?=\s*,?\s+(?:from\s+)?~?\d+(?:\.\d+)?\s*(?:-|to)\s*\d[^;]*\bwater\b)/gi,
    'belly',
  ],
  deepestAt,
  // "from 30 to 36 water"
  [
    /(?<=^\s*(?:from\s+)?\d+(?:\.\d+)?\s*(?:-|to)\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s+)water(?=\s*$)/gi,
    'standing water',
  ],
  // "25 a slight dip, a quarter inch of water, 2 feet": how long it is.
  [
    /,\s*(?:(?:about|maybe|~)\s*)*(\d+(?:\.\d+)?)\s*(?:feet|foot|ft)(?=\s*[.]?\s*$)(?<=^\s*(?:at\s+)?~?\d[^;]*\b(?:dip|belly|sag|low\s+spot)\b[^;]*,[^,;]*)/gi,
    ([, long = '']) => ` ${long} ft long`,
  ],
  // "46, sag ends, 2 inches at 42": how deep it is at its deepest.
  [
    /\b(\d(?:[./]\d+)?\s*in(?:ch(?:es)?)?)\s+(?:deep\s+)?(?:at|around)\s+\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?(?=\s*(?:$|[.;]))(?<=\b(?:sag|belly|dip|water)\s+(?:ends|stops|quits)\s*,[^;]*)/gi,
    ([, deep = '']) => deep,
  ],
  // "19, water's gone"
  [
    afterPlace(String.raw`(?:the\s+)?water(?:'s|\s+is)\s+(?:all\s+)?(?:gone|done|over)(?=\s*[.]?\s*$)`),
    'out of the water',
  ],
  // "23, pipe sags, there's water to 28"
  [
    /(?<=\d[^;\d]*)\b(?:the\s+)?(?:pipe|line)\s+(?:sags|dips|bellies)\s*,?\s+(?:(?:and|there's|with|it's\s+got)\s+)*(?:standing\s+)?water\s+(?:(?:all\s+the\s+way|out|on)\s+)*to\s+(?=~?\d)/gi,
    'belly to ',
  ],
  // "dry again at 39"
  [
    /^\s*(?:(?:okay|ok|and|it's|we're|all|pipe's)\s+)*(?:dry|dried\s+out|back\s+to\s+dry)(?:\s+again|\s+now|\s+pipe)*\s+(?:at|by|around)\s+(?=~?\s*\d)/gi,
    'out of the water at ',
  ],
  // "forty, dry again", "okay we're out"
  [
    /(?<=\d\s*(?:feet|foot|ft)?)[\s,]+(?:(?:okay|ok|and|now)[\s,]+)*(?:(?:it's|(?:the\s+)?pipe(?:'s|\s+is)|we're|i'm|(?:the\s+)?camera's)\s+)?(?:(?:all\s+)?dry|dried\s+(?:up|out)|dries\s+(?:up|out)|(?<=(?:we're|i'm|camera's)\s+)(?:back\s+)?out)(?:\s+(?:again|now|here))?(?=\s*(?:$|[,.;]))/gi,
    ' out of the water',
  ],
  // "from 28 we've got an inch of water standing, goes away at 33": whatever it is.
  [
    new RegExp(
      String.raw`^\W*(?:(?:and|so|then|okay)\s+)*from\s+(${place})(?:\s+(?:on|out))?\s*,?\s+(?:(?:we|i|it)(?:'ve|'s)?\s+(?:got|have|has)\s+|there's\s+|it's\s+|we're\s+in\s+)?(?=[a-z½¼¾\d])((?:[^;\d]|\d+(?:[./]\d+)?\s*(?:in\b|inch|%|percent|"))+?)\s*,\s+${isOver}\s+(?:at|by|around)\s+(?=~?\s*\d)`,
      'gi',
    ),
    ([, from = '', what = '']) =>
      `${what.replace(/^(?:some\s+)?water$|^standing water starts$/i, 'standing water')}, from ${from} to `,
  ],
  // "sag from 10, deepest about 16, out by 21, 1.5 inch", "another one starting 26, half an inch, gone at 30"
  [
    new RegExp(
      String.raw`^\W*(?:(?:(?:we|i)(?:'ve)?|got|get|have|had|there's|and|so|then|now|here's|an?|the|little|slight|small|big|long)\s+)*(${sags}|(?:another|second|next)\s+one)\s+(?:(?:starts|starting|begins|beginning|at|from|around|right|about)\s+)*(${place})\s*,\s+([^;]*?)(?:\s+(?:at|by|around)\s+${place})?\s*,\s+${isOver}\s+(?:(?:at|by|around|about)\s+)*(${place})(?!\s*(?:in\b|inch|%|percent|"|[\d/]))`,
      'gi',
    ),
    ([, what = '', from = '', how = '', to = '']) =>
      `${wetFrom(what.replace(/^(?:second|next)/i, 'another'), from, how)}${to}`,
  ],
  // "dip at 10, clears up at 13", "water at 35 stays with us to 39"
  [
    /\b(belly|sag|dip|low\s+spot|puddle|(?:standing\s+)?water)\s+(?:(?:starts|begins|starting|beginning)\s+)?(?:at|from)\s+(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:(?:and|it|that|then)\s+)*(?:(?:clears|cleared|dries|drains|comes|levels|gone)\s+(?:(?:up|out|off|back|again)\s+)*(?:at|by|around)|(?:stays|stayed|keeps|hangs)\s+(?:(?:with|us|on|there|in|going|all|the|way)\s+)*(?:to|till|until|through))\s+(?=~?\s*\d)/gi,
    ([, what = '', from = '']) => `${/water/i.test(what) ? 'standing water' : what} ${from} to `,
  ],
  // "10 belly half inch, and it's gone by 14"
  [
    /(?<=(?:^|;|\bat)\s*(?:the\s+)?)(~?\s*\d+(?:\.\d+)?)(?:\s*-?(?:feet|foot|ft)(?:\s+mark)?)?\s+((?:(?:it's|it|there's|we've|has|got|hit|have)\s+)*(?:an?\s+)?(?:(?:small|little|slight|big|shallow)\s+)?(?:belly|sag|dip|low\s+spot|puddle|standing\s+water)\b[^;]*?),?\s+(?:(?:and|it|it's|that|then|is)\s+)*(?:ends|stops|gone|done|over|clears|cleared|dries)\s+(?:(?:up|out|off|again)\s+)*(?:at|by|around)\s+(?=~?\s*\d)/gi,
    ([, from = '', what = '']) => `${what}, ${from} to `,
  ],
  // "29 low spot, maybe an inch, 32 it's out"
  [
    /(?<=(?:^|;|\bat)\s*(?:the\s+)?)(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+((?:(?:there's|we've|has|got|hit|have)\s+)*(?:an?\s+)?(?:(?:small|little|slight|big|shallow)\s+)?(?:belly|sag|dip|low\s+spot|standing\s+water)\b[^;]*?),\s+(~?\s*(?:1[3-9]|[2-9]\d|1\d\d)(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:(?:it's|it|we're|that's)\s+)(?:out|gone|over|done|back\s+up|clears?)\b/gi,
    ([, from = '', what = '', to = '']) => `${what}, ${from} to ${to}`,
  ],
  // "so call it 23 to 31 with the lens under from 25 to 30"
  [
    /,?\s+(?:so\s+)?(?:call\s+it|that's|make\s+that)\s+(?:from\s+)?(\d+(?:\.\d+)?)\s*(?:to|-)\s*(\d+(?:\.\d+)?)\s*,?\s+(?:with\s+)?(?:the\s+)?(?:lens|camera|head)\s+(?:is\s+|was\s+)?under(?:\s*water)?\s+(?:from\s+)?(\d+(?:\.\d+)?)\s*(?:to|-)\s*(\d+(?:\.\d+)?)/gi,
    ([, from = '', to = '', under = '', up = '']) =>
      `; standing water ${from} to ${to}; ${under} to ${up} camera under water`,
  ],
  // "28 there's ponding behind it, back to 24"
  [
    afterPlace(
      String.raw`(?:(?:there's|it's|we've\s+got|i've\s+got|got|has)\s+)?(?:(?:some|standing)\s+)*(?:water|ponding|pooling|puddling)\s+(?:(?:standing|sitting|holding|backed\s+up|ponding|ponded)\s+)?(?:right\s+)?(?:behind|above|upstream\s+of)\s+(?:it|that|this|the\s+[a-z]+)\s*,?\s+(?:all\s+the\s+way\s+)?back\s+to\s+(?=(?:about\s+|around\s+|maybe\s+|~\s*)*\d)`,
    ),
    'standing water to ',
  ],
  // "from 24 it starts to hold water, gets to 1.5 inch at 27, and we're out of it by 31"
  [
    /^\s*(?:from\s+|at\s+)?((?:(?:about|around|~)\s*)*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:it\s+|it's\s+|we\s+)?(?:start(?:s|ing)?\s+(?:to\s+hold|holding)|holds|holding)\s+(?:some\s+|a\s+little\s+)?water\s*,\s*([^;]*?)\s+(?:at|by|around)\s+~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:(?:and|then|we're|i'm|it's)\s+)*out(?:\s+of\s+(?:it|the\s+water))?\s+(?:by|at|around)\s+(?=~?\d)/gi,
    ([, from = '', how = '']) => `${how.replace(/^gets\s+to\W*/i, '')}, standing water ${from} to `,
  ],
  // "11 foot in, belly starts, it's 2 inches deep at 15 and it's out at 19"
  [
    /^\s*(?:at\s+)?(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?:\s+in)?\s*,?\s+(?:(?:(?:(?:we|i|camera)(?:'re|'m|\s+is)?\s+)?(?:(?:get|go|goes|going|run|getting)\s+)?into|the|a|there's|our)\s+)*(belly|sag|dip|low\s+spot|(?:standing\s+)?water)(?:\s+(?:starts|begins))?\s*,\s*([^;]*?)(?:\s+(?:at|by|around)\s+\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?)?\s*,?\s+(?:(?:and|then|i'm|we're|it|it's)\s+)*(?:out(?:\s+of\s+(?:it|the\s+water))?|ends|quits|stops|done|over)\s+(?:at|by|around)\s+(?=~?\s*\d)/gi,
    ([, from = '', what = '', how = '']) => wetFrom(what, from, how),
  ],
  // "standing water starts 40, it's half full at 43, and out of it at 47"
  [
    /\b(belly|sag|dip|low\s+spot|(?:standing\s+)?water)\s+(?:starts|begins|starting|beginning)\s+(?:at\s+)?(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,\s*([^;]*?)(?:\s+(?:at|by|around)\s+\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?)?\s*,?\s+(?:(?:and|then|i'm|we're|it|it's)\s+)*(?:out(?:\s+of\s+(?:it|the\s+water))?|ends|quits|stops|over)\s+(?:at|by|around)\s+(?=~?\s*\d)/gi,
    ([, what = '', from = '', how = '']) => wetFrom(what, from, how),
  ],
  // "53 to 50, water": pulling back.
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?\s*(?:-|to|through|thru)\s*~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,\s+)(?:(?:there's|it's|we're\s+in|in)\s+)?water(?:(?=\s*(?:$|[,.;]))|\s+(?=inch\b))/gi,
    'standing water, ',
  ],
  // "21 a bow in the pipe, holds 3/4 in, out by 26"
  [
    /(?<=^\s*(?:at\s+)?)(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+((?:(?:there's|it's|got|we've|has|a|an|little|slight)\s+)*(?:belly|sag|dip|low\s+spot|water)\b[^;]*?),?\s+(?:(?:and|it's|we're|that's)\s+)*out\s+(?:of\s+it\s+)?(?:by|at|around)\s+(?=~?\s*\d)/gi,
    ([, from = '', what = '']) => `${what}, ${from} to `,
  ],
  // "55, water, 59, no water"
  [
    /^\s*(~?\d+(?:\.\d+)?)\s*,\s*(?:standing\s+)?water\s*,\s*(~?\d+(?:\.\d+)?)\s*,\s*(?:no\s+(?:more\s+)?water|¬\s*(?:more\s+)?water|dry|out|none)(?=\s*$)/gi,
    ([, from = '', to = '']) => `${from} to ${to} standing water`,
  ],
  // "lens comes up at 41", "picture clears at 41"
  [
    /\b(?:the\s+)?(?:camera|head|lens|picture|we)(?:\s+(?:comes?|came|pops?|popped|clears?|cleared)\s+(?:(?:back|up|out|clear|of\s+(?:it|that|the\s+water))\s+)*|(?:'s|\s+is)\s+(?:(?:back\s+)?(?:clear|up|out)\s+|again\s+|of\s+(?:it|the\s+water)\s+)+)(?:at|by|around)\s+(?=~?\s*\d)/gi,
    'ends at ',
  ],
  // "33 feet, camera clears water"
  [
    afterPlace(
      String.raw`(?:the\s+)?(?:camera|head|lens)\s+(?:clears|exits|leaves|comes\s+out\s+of|rises\s+out\s+of|surfaces\s+from)\s+(?:the\s+)?water(?=\s*$)`,
    ),
    'out of the water',
  ],
  // "36 to 41 standing", "24 is where the water starts"
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?\s*(?:-|to|through|thru)\s*~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+)(?:it's\s+)?standing(?=\s*$)/gi,
    'standing water',
  ],
  // "43 I'm all under", "42 I'm half under"
  [
    /\b(?:we're|i'm|camera's|lens\s+is|camera\s+is|(?:the\s+)?head's)\s+(?:now\s+)?(half|all|completely|fully|totally)(?:\s+(?:the\s+way|way))?\s+under(?:\s*water)?(?=\s*(?:$|[,.;]|now\b|here\b))/gi,
    ([, how = '']) => (how.toLowerCase() === 'half' ? 'half full' : 'camera under water'),
  ],
  // "standing water, inch"
  [/(?<=\b(?:water|belly|sag|dip)\b\s*,\s*)inch(?=\s*(?:$|deep\b))/gi, '1 inch'],
  // "32, water, see how it's standing"
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*(?:,\s*|(?=\s*water\s*$)))water(?=\s*(?:$|,))/gi,
    'standing water starts',
  ],
  // "39, comes out"
  [
    afterPlace(
      String.raw`(?:it\s+|that\s+|camera\s+|we\s+|i\s+|she\s+)?(?:comes?\s+(?:back\s+)?out|(?:popped|pops?|bobbed|bobs)\s+(?:back\s+|right\s+)?(?:up|out))(?:\s+of\s+(?:it|the\s+water))?(?:\s+again)?(?=\s*[.]?\s*$)`,
    ),
    'out of the water',
  ],
  // "50 it's done"
  [afterPlace(String.raw`(?:and\s+)?it's\s+(?:done|over|gone|out)(?=\s*$)`), 'out of the water'],
  // "camera goes under at 90"
  [
    /\b(?:the\s+)?(?:camera|head|lens)\s+(?:goes|went|dips|is|going)\s+under(?:\s+water)?\s+(?:at|by|around)\s+~?\s*(\d+(?:\.\d+)?)/gi,
    ([, at = '']) => `; at ${at} camera under water`,
  ],
  // "pipe full of water", "half full of water": standing water, by its share of the pipe.
  [
    /\b(\d+)\s*(?:%|percent)\s+(?:full\s+)?(?:of|with)\s+water\b/gi,
    ([, share = '']) => `standing water ${share}%`,
  ],
  [
    /(?<!\bstanding\s+)\b(?:(?:the\s+)?water\s+(?:starts|begins)|(?:entering|enters?|(?:(?:we\s+)?(?:go|goes|going|went|come|comes|coming)\s+)?(?:down\s+)?into|hits|hitting|hit)\s+(?:the\s+|some\s+)?(?:standing\s+)?water)\b(?!\s+(?:main|meter|line|heater))/gi,
    'standing water starts',
  ],
  [/(?<!\bstanding\s+)\b(?:the\s+)?water\s+(?:ends|stops)\b/gi, 'standing water ends'],
  [/\bfull\s+of\s+(?:standing\s+)?water\b/gi, 'standing water 100%'],
  // "water's about an inch and a half deep", "max water 40 percent": standing water.
  [
    /(?<!\b(?:standing|under|holding|running|of)\s+)\b(?:the\s+|max(?:imum)?\s+)?water(?:'s|\s+(?:is|was|gets|level|depth))*\s+(?:to\s+)?(?=(?:(?:about|around|like|roughly|only|~|maybe)\s*)*[\d½¼¾⅛⅜⅝⅞][\d./½¼¾⅛⅜⅝⅞ ]*(?:to\s+[\d./]+\s*)?(?:in\b|inch|"|%|percent))/gi,
    'standing water ',
  ],
  // "belly at 3, ends at 8", "water standing at 3, clear at 8"
  [
    new RegExp(
      String.raw`\b(${sags}|roots?|grease|scale|debris|mud|rust|corrosion|cracks?|cracking)\s+(?:starts|starting|begins|beginning|at|from)\s+(?:(?:at|from|about|around|right)\s+)*(${place})\s*,?\s+${isOver}\s+(?:at|by|around)\s+(?=(?:about\s+)?~?\s*\d)`,
      'gi',
    ),
    ([, what = '', from = '']) => `${/water/i.test(what) ? 'standing water' : what} ${from} to `,
  ],
  // "at 3 we hit water, at 8 we're out", "14, water starts, 19, water ends"
  [
    new RegExp(
      String.raw`^\s*(?:at\s+)?(${place})\s*,?\s+(?:[a-z']+\s+){0,3}?(${sags})(?:\s+(?:starts|begins))?\s*,\s+(?:(?:and|then)\s+)?(?:at\s+|by\s+)?(${place})\s*,?\s+${isOver}(?:\s+(?:again|now))?(?=\s*[.]?\s*$)`,
      'gi',
    ),
    ([, from = '', what = '', to = '']) =>
      `${from} to ${to} ${/water/i.test(what) ? 'standing water' : what}`,
  ],
  // "at 3 there's water and it's gone at 8"
  [
    new RegExp(
      String.raw`^\s*(?:at\s+)?(${place})\s*,?\s+(?:[a-z']+\s+){0,4}?(${sags})\s*,?\s+${isOver}\s+(?:at|by|around)\s+(?=~?\s*\d)`,
      'gi',
    ),
    ([, from = '', what = '']) => `${/water/i.test(what) ? 'standing water' : what} ${from} to `,
  ],
];
