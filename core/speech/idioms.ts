import { boundary } from './denials.js';
import { closeQuote, openQuote } from './heard.js';
import { debrisIdioms } from './debris-idioms.js';
import { denyingIdioms } from './denying-idioms.js';
import type { Idiom } from './heard.js';
import { anyMaterial, pipeIdioms } from './pipe-idioms.js';

/** Applied before numbers are turned into digits. */
export const spokenIdioms: readonly Idiom[] = [
  // "two bends at 12 and 14", "2 cracks at 30": how many is not where.
  [
    /(?<=(?:^|[;,]|\band)\s*)(?:(?:two|three|four|five|six|several|a\s+(?:couple|pair)(?:\s+of)?)|[2-6](?=\s[^;]*\bat\s+~?\s*(?:1[3-9]|[2-9]\d|1\d\d)(?!\s*(?:%|percent|o'?clock))))\s+(?=(?!(?:inches|feet|pieces|places|spots|hundred)\b)(?:[a-z]+\s+){0,2}[a-z]+s\b(?!\s+of\b)[^;]*\b(?:at|from|between)\s+~?\s*(?:\d|[a-z]+))/gi,
    ' ',
  ],
  // "zeroed at the cleanout"
  [
    /(?<=(?:^|[;,.])\s*)(?:zero(?:ed)?|zeroing|counter\s+(?:at|is)\s+zero)\s+(?:it\s+)?(?:at|on|from)\s+(?=(?:the\s+|a\s+)?[a-z])/gi,
    '0 ',
  ],
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
    /\b(?:drop(?:s|ped|ping)?|dip(?:s|ped|ping)?)\s+(?:down\s+)?in(?:to)?\s+(?:some\s+|a\s+little\s+|the\s+)?(?:standing\s+)?water\b/gi,
    'goes under water',
  ],
  // "right at seventy nine" is not a side of the pipe.
  [
    /\bright\s+(?=(?:at|about|around|near|after|before|past|off|now|next|up|over|in|on|away|as|when|where|by|beside|behind)\b(?!\s+(?:side|hand)))/gi,
    ' ',
  ],
  [/ {2,}/g, ' '],
  [/\b(?:astm\s+)?(?:d[\s-]*)?3034\b|\bsdr[\s-]*(?:35|thirty[\s-]five)\b/gi, 'sdr35'],
  [/\bschedule\s+forty\b/gi, 'schedule 40'],
  [
    /\b(?:(?:slop(?:es?|ed|ing)|falls?|pitch(?:es|ed)|runs?)\s+(?:back\s+)?(?:uphill|backwards?|the\s+wrong\s+way)|(?:reverse|reversed|negative|adverse|back)\s?(?:fall|slope|grade|pitch))\b/gi,
    'back fall',
  ],
  [/\s*,?\s*\b(?:and\s+)?(?:then\s+)?(?:levels|flattens|straightens)\s+(?:back\s+)?out\b/gi, ' '],
  // "lateral from next door comes in on the right"
  [
    /\b(?:lateral|line|pipe|service|drain|sewer)\s+((?:from|off|for)\s+(?:[a-z']+\s+){1,3}?)(?:comes|coming|ties|tying|tied|connects|connecting|joins|joining)\s+(?:in(?:to)?|us|ours|our\s+line)\b/gi,
    ([, whose = '']) => `tie in ${openQuote}${whose.trim()}${closeQuote}`,
  ],
  // "neighbor ties in here"
  [
    /\b(?:the\s+)?(neighbou?r(?:'s(?:\s+(?:line|lateral|sewer|drain|pipe))?|s)?|next\s+door)\s+(?=(?:tie|tap|wye|branch|connect|come)[a-z]*\b)/gi,
    ([, whose = '']) => `${openQuote}${whose}${closeQuote} `,
  ],
  // "two 45s back to back" turn as one bend of 90 does.
  [
    /\b(?:two|2|double)\s+(45|22|22\.5|11)(?:'?s|\s+degree\s+bends|\s+bends)\b(?:\s+back\s+to\s+back|\s+in\s+a\s+row)?/gi,
    ([, each = '']) =>
      `bend ${each === '22' ? 45 : 2 * Number(each)} degrees ${openQuote}two ${each}s${closeQuote}`,
  ],
  // "standing water 30 to 44, deepest at 37 about 2 inches"
  [
    /\b(?:it's\s+)?(?:the\s+)?(deepest|worst|lowest)(?:\s+(?:point|spot|part))?\s+(?:is\s+)?(?:at|around|near)\s+(?:about\s+|~\s*)?(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?!\s*(?:in\b|inch|%|percent|"|o'?\s?clock|[\d/]))/gi,
    ([, how = '', at = '']) => `${openQuote}${how} at ${at} ft${closeQuote}`,
  ],
  // "channeled out" is not on the way out.
  [
    /(?<=\b(?!(?:going|pushing|heading|coming|running|headed|pushed|rusted|rotten|rotted|eaten|worn|cleaned|cleared|taken|removed)\b)[a-z]{3,}(?:ed|en|ing|own)\s+)out\b(?!\s+(?:to|of)\b)/gi,
    ' ',
  ],
  [
    /\bchange\s+(?:in|of)\s+(?:the\s+)?(?:grade|slope|pitch|fall)\b/gi,
    ([said]) => `${openQuote}${said}${closeQuote}`,
  ],
  // "35 deep belly" is no depth.
  [/\b(?:really\s+|very\s+|pretty\s+)?deep\s+(?=(?:belly|sag|dip|low\s+spot|pool|puddle)\b)/gi, 'large '],
  [/\b(?:facing|pointing)\s+(up|down)\b/gi, ([, way]) => (way === 'up' ? "at 12 o'clock" : "at 6 o'clock")],
  // "cleared roots here last year"
  [
    /\b(?:we\s+)?(?:cleared|cut|removed|cleaned\s+out|jetted)\s+(?:the\s+|some\s+)?((?:roots|grease|debris|scale|wipes)\b[^;,.]*?\b(?:last\s+(?:year|month|week|time|visit)|before|previously|years?\s+ago|months?\s+ago|in\s+(?:19|20)\d\d))/gi,
    ([said]) => `${openQuote}${said}${closeQuote}`,
  ],
  [
    /\b(?:the\s+)?water\s+(?:comes|came|is|goes|gets)\s+(?:up\s+)?(?:to\s+)?(?:(?:about|around|like)\s+)*(half|a\s+third|a\s+quarter|two\s+thirds|three\s+quarters)(?:\s*way)?(?:\s+(?:up|full|(?:of\s+)?the\s+pipe))*/gi,
    ([, share = '']) => `standing water ${share.replace(/^a\s+/, '')} full`,
  ],
  // "missing 6 inches of pipe"
  [
    /\bmissing\s+(?:about\s+|~\s*)?((?:an?|\d+(?:[./]\d+)?)\s*(?:inch(?:es)?|in|"|foot|feet|ft))\s+of\s+(?:the\s+)?(?:pipe|wall|top|bottom)/gi,
    ([, size = '']) => `missing piece ${openQuote}${size.replace('"', ' in')} missing${closeQuote}`,
  ],
  // "3 ft out of the cleanout": the counter begins there.
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?)\s*(?:feet|foot|ft|')\s+(?:out|in|down)?\s*(?:of|from)\s+(?:the\s+)?(?:cleanout|clean\s*-?\s*out)\b[\s,]*/gi,
    ' ',
  ],
  // "tree 10 ft left" lies beside the line.
  [
    /(?<=\btree\s+(?:is\s+)?)(?:about\s+|~\s*)?\d+\s*(?:feet|foot|ft|')\s+(?:off\s+)?(?:to\s+the\s+)?(?:left|right|away|off)\b/gi,
    ([said]) => `${openQuote}${said}${closeQuote}`,
  ],
  // "driveway starts", "video paused", "in decent shape": said of the ground, the video, the pipe as a whole.
  [
    /\b(?:the\s+)?(?:(?:driveway|sidewalk|walkway|street|road|lawn|patio|slab|curb|asphalt|concrete\s+drive)\s+(?:starts|begins|ends|stops)|video\s+(?:stopped|paused|restarted|started|stops)(?:[\s,]+(?:and\s+)?(?:restarted|started|resumed)(?:\s+again)?)?|in\s+(?:decent|good|great|fair|bad|rough|poor|okay|ok)\s+shape|(?:nice\s+|good\s+)?clean\s+pipe|pipe\s+is\s+clean)\b/gi,
    ([said]) => `${openQuote}${said}${closeQuote}`,
  ],
  [
    /\b(growing|coming|sticking|poking|hanging)\s+out\s+of\s+(?=(?:the|a)\s+(?:joint|wall|side|top|bottom|pipe|hub|bell|crack|hole|tap|connection|branch)\b)/gi,
    ([, how = '']) => `${how} at `,
  ],
  [/\b(?:at\s+)?(?:the\s+)?top\s+and\s+(?:the\s+)?bottom\b/gi, "12 o'clock and 6 o'clock"],
  // "lateral on the right": another line's, by its side.
  [
    /\blateral\s+(?=(?:on|at|to)\s+(?:the\s+)?(?:left|right|top|\d{1,2}(?::\d\d)?\s*o'?\s?clock)\b)/gi,
    'tie in ',
  ],
  // "valve stuck open", "flapper missing": how the valve is, no open joint and no camera that stopped.
  [
    /\bvalve\s+(?:is\s+|was\s+)?((?:stuck|jammed|hung|rusted|seized|frozen)(?:\s+(?:up|open|closed|shut))?|(?:won't|doesn't|will\s+not)\s+(?:open|close|seat)|not\s+(?:seating|closing|opening|sealing)|open|closed|shut)\b/gi,
    ([, how = '']) => `valve ${openQuote}${how}${closeQuote}`,
  ],
  [
    /\b(?:(?:the\s+)?flapper\s+(?:is\s+)?(?:missing|gone|broken|stuck|off|damaged|open|closed)|(?:no|missing|broken)\s+flapper|grease\s+(?:trap|interceptor)|end\s+of\s+(?:the\s+)?(?:survey|inspection|video|footage))\b/gi,
    ([said]) => `${openQuote}${said}${closeQuote}`,
  ],
  [
    /\b(?:max(?:imum)?|deepest|greatest|water)\s+depth\s+(?:(?:is|was|of|about|around|~)\s*)*(?=[\d½¼¾a-z][\d./½¼¾a-z ]*\s*(?:in\b|inch|"))/gi,
    ' ',
  ],
  [/\b(?:the\s+)?invert\s+(?:(?:is|at|about|~)\s*)*(?=\d+(?:\.\d+)?\s*(?:feet|foot|ft|'))/gi, ' '],
  [/\b(?:pipe\s+)?size\s+change|change\s+(?:in|of)\s+(?:pipe\s+|the\s+)?(?:size|diameter)\b/gi, 'change'],
  // "rotted out on the bottom"
  [
    /\b(?:rott(?:ed|en)|rusted|eaten|worn|corroded)\s+(?:out|through|away)\s+(?:on|at|along|in)\s+the\s+bottom\b/gi,
    'bottom gone',
  ],
  // "root mass almost full"
  [
    /\b(?:almost|nearly|practically|mostly)\s+(?:completely\s+)?(?:full|plugged|blocked|clogged|closed(?:\s+off)?)\b(?!\s+(?:of|with)\b)/gi,
    'large',
  ],
  ...debrisIdioms,
  // "starting to collapse" is no start of a stretch.
  [
    /\b(?:starting|beginning|starts|begins)\s+to\s+(?=(?:collaps|crack|break|separat|fail|rust|rot|pull|cave|deform|flatten|open|shift|offset|go\b)[a-z]*)/gi,
    ' ',
  ],
  // "ci->abs"
  [/(?<=[a-z\d"'])\s*(?:->|=>|→|>)\s*(?=[a-z\d])/gi, ' > '],
  [/\b(?:hub|bell)\s+and\s+spigot\b/gi, ' '],
  [
    /\b(1[0-2]|[1-9])((?::[0-5]\d)?)\s*o\s?clock\b/gi,
    ([, hour = '', minutes = '']) => `${hour}${minutes} o'clock`,
  ],
  // "15'6", "15'-6"
  [
    /\b(\d+)\s*['’′]-?(1[01]|\d)(?:\s*["”″])?(?![\d.:/%]|\s*(?:%|percent|o'?\s?clock))/g,
    ([, feet = '', inches = '']) => `${feet}' ${inches}"`,
  ],
  // "10..16", "10...16": a stretch.
  [/(?<=\d)\s*(?:\.{2,3}|…)\s*(?=\d)/g, '-'],
  // Said of the pipe, not denied.
  [
    /\b(?:no|zero|not\s+enough|without(?:\s+any)?)\s+(?:fall|slope|pitch)\b(?!\s+(?:problems?|issues?))/gi,
    'flat',
  ],
  [/\bper\s+cent\b/gi, 'percent'],
  // "goes from clay to, looks like, concrete"
  [
    /\b(to|into)\s*,\s*(?:(?:(?:it\s+)?looks\s+like|what\s+looks\s+like|probably|maybe|perhaps)\s*,?\s+)?/gi,
    ([, to = '']) => `${to} `,
  ],
  [/\b(?:a\s+)?(?:full|good|solid|whole)\s+inch\b/gi, '1 inch'],
  [
    /\b(is|are)\s+(?:(?:just|completely|totally|all|pretty\s+much|basically)\s+)+(?=(?:gone|missing|rotted|rusted|broken|open|cracked|crushed|collapsed)\b)/gi,
    ([, be = '']) => `${be} `,
  ],
  [/\b(?:the\s+)?water(?:'s|\s+is)?\s+(?:coming|rising)\s+up\b/gi, 'standing water starts'],
  // "still in water"
  [
    /(?<!\b(?:let(?:s|ting)?|run(?:s|ning)|com(?:es|ing)|tak(?:es|ing)|seep(?:s|ing)|leak(?:s|ing)|pour(?:s|ing))\s)(?<![\d½¼¾]\s*)\b(?:still\s+)?in\s+(?:the\s+|some\s+|standing\s+)?water\b(?!\s+(?:main|line|meter|heater))/gi,
    'standing water',
  ],
  ...denyingIdioms,
  // On a phone, and in captions, the apostrophe is often left out or a space.
  [
    /\b(can|won|couldn|doesn|didn|isn|wasn|don|haven|hasn|aren|weren|wouldn|ain)\s?t\b/gi,
    ([, verb = '']) => `${verb}'t`,
  ],
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
    /\b(?:(?:gas|electric(?:al)?|power|telephone|phone|fiber(?:\s+optic)?|cable(?:\s+tv)?|water|steel|copper|irrigation|sprinkler|another|other|small)\s+(?:line|main|pipe|service|conduit|cable|wire|duct)|conduit|cable|wire)\s+(?:(?!clay|iron|abs|pvc)[a-z]+\s+){0,4}?through\s+(?:it|us|(?:the\s+|this\s+|our\s+|that\s+)?(?:(?:sewer|clay|cast\s+iron)\s+)?(?:pipe|sewer|lateral|line))\b/gi,
    'utility through the pipe',
  ],
  // Beside the sewer, not through it: known from marks on the ground.
  [
    /\b(?:gas|water|electric(?:al)?|power|phone|cable|fiber|storm|irrigation)\s+(?:line|main|pipe|service|conduit|duct|drain)s?\s+(?:cross(?:es|ing)|runs?|passes|is|goes)\s+(?:right\s+)?(?:over|above|under|below|across|overhead|beside|alongside|near|close|here)\b/gi,
    ([said]) => `${openQuote}${said}${closeQuote}`,
  ],
];

const depthBelow = String.raw`(?:(?:about|around|maybe|roughly|only|~)\s*)*(?:an?\s+)?((?:\d[\d ./]*\s*)?(?:feet|foot|ft|in(?:ch(?:es)?)?|'|"))(?:\s+(?:down|deep|under|below)\b)?`;

/** Applied once numbers are digits: what a number belongs to. */
export const figureIdioms: readonly Idiom[] = [
  // "22 located, 6 ft 2", "depth 6 ft 2": feet and inches.
  [
    /(?<=\b(?:depth|deep|sonde|(?:^|;)\s*~?\s*\d+(?:\.\d+)?\s+locat(?:e|ed|es))\s*[,:]?\s*(?:(?:at|is|says|reads|about|~)\s*)*)(\d{1,2})\s*(?:feet|foot|ft)\s+(1[01]|\d)\b(?!\s*(?:feet|foot|ft|'|"|in\b|inch|%|percent|\.\d|\/|o'?\s?clock|deep))/gi,
    ([, feet = '', inches = '']) => `${feet}' ${inches}"`,
  ],
  // "cleanout buried about a foot"
  [
    new RegExp(String.raw`\bburied\s+${depthBelow}`, 'gi'),
    ([, deep = '']) => `buried ${openQuote}buried ${/\d/.test(deep) ? '' : '1 '}${deep.trim()}${closeQuote}`,
  ],
  // "main, 8 in clay", "8 in clay main": of what the main is, not our pipe.
  [
    new RegExp(
      String.raw`\b((?:city\s+|street\s+|sewer\s+)?main|city\s+sewer)\b\s*,?\s*(?:it's\s+|is\s+|looks\s+like\s+|~\s*)*(?:an?\s+)?(\d+)\s*-?(?:in(?:ch)?\b|")\s+(${anyMaterial})\b(?!\s+(?:side|here|up|down|from|to)\b)`,
      'gi',
    ),
    ([, main = '', bore = '', pipe = '']) => `${main} ${bore} in ${openQuote}${pipe}${closeQuote}`,
  ],
  [
    new RegExp(
      String.raw`\b(\d+)\s*-?(?:in(?:ch)?\b|")\s+(${anyMaterial})\s+((?:city\s+|street\s+|sewer\s+)?main|city\s+sewer)\b`,
      'gi',
    ),
    ([, bore = '', pipe = '', main = '']) => `${main} ${bore} in ${openQuote}${pipe}${closeQuote}`,
  ],
  // "camera goes under at 90"
  [
    /\b(?:the\s+)?(?:camera|head|lens)\s+(?:goes|went|dips|is|going)\s+under(?:\s+water)?\s+(?:at|by|around)\s+~?\s*(\d+(?:\.\d+)?)/gi,
    ([, at = '']) => `; at ${at} camera under water`,
  ],
  // "roots at 31 33 and 35": three places.
  [
    /(?<=\bat\s+)\d+(?:\.\d+)?(?:\s+\d+(?:\.\d+)?)+(?=\s+and\s+\d+(?:\.\d+)?(?![\d./]|\s*(?:%|percent|in\b|inch|")))/gi,
    ([places]) => places.trim().replaceAll(/\s+/g, ', '),
  ],
  // "change 4 to 6"
  [
    /\bchange\s+(?:from\s+)?([346]|8|10|12)\s*(?:in(?:ch)?\b|")?\s*(?:to|-)\s*([346]|8|10|12)(?:\s*(?:in(?:ch(?:es)?)?\b|"))?(?=\s*(?:$|[,;.]|pipe\b|here\b))/gi,
    ([, from = '', to = '']) => `${from} to ${to} in reducer`,
  ],
  // "cracks at 3, 9 and 12 o'clock": one at each.
  [
    /\b([a-z]+)\s+(?:at\s+)?(1[0-2]|[1-9])\s*,\s*(1[0-2]|[1-9])\s*,?\s*and\s+(1[0-2]|[1-9])\s+o'clock\b/gi,
    ([, what = '', ...hours]) =>
      hours
        .slice(0, 3)
        .map((hour) => `${what.replace(/(?<=crack|root|hole|offset)s$/i, '')} ${hour} o'clock`)
        .join('; '),
  ],
  // "22 roots at 11 and 1": after the place, two hours.
  [
    /(?<=^\s*~?\s*(?:1[3-9]|[2-9]\d|\d{3})(?:\.\d+)?\b[^;,]*)\bat\s+(1[0-2]|[1-9])\s+and\s+(1[0-2]|[1-9])(?=\s*(?:$|[,.;]))/gi,
    ([, one = '', other = '']) => `${one} o'clock and ${other} o'clock`,
  ],
  // "22 to 30 1/2 in of water": both ends, then its inches.
  [
    /(\d\s*(?:-|to)\s*(?:1[3-9]|[2-9]\d|\d{3}))\s+(\d\/\d{1,2})\s*(?:in(?:ch(?:es)?)?\b|")/gi,
    ([, ends = '', part = '']) => `${ends}, ${part} in`,
  ],
  [
    /(?<=\d\s*)(?:"|in(?:ch(?:es)?)?\b)\s+(?:standing\s+)?water\b(?!\s+(?:at|to|clock|main|line|meter))/gi,
    ' in of water',
  ],
  // "31 3/4 in offset": a place and its inches; no offset of a lateral is that large.
  [
    /(?:\bat\s+)?(?<!(?:\d|\bto|-|–)\s*)(?<!\bdepth\s+(?:is\s+|of\s+)?)\b(1[3-9]|[2-9]\d|\d{3})\s+(\d\/\d{1,2})\s*(?:in(?:ch(?:es)?)?\b|")(?!\s*(?:deep|long|below))/gi,
    ([, place = '', part = '']) => `${part} in at ${place}`,
  ],
  // "roots at 31, 33 and 35, 20 %": the measure is of each.
  [
    /\bat\s+((?:\d+(?:\.\d+)?\s*(?:,|and\b)\s*(?:and\s+)?)+\d+(?:\.\d+)?(?![\d.]))\s*,?\s+((?:about\s+|~\s*)?\d+(?:[./]\d+)?\s*(?:%|percent\b|in(?:ch(?:es)?)?\b|"))(?:\s+each)?(?=\s*(?:$|[,;.]))/gi,
    ([, places = '', measure = '']) => `${measure} at ${places}`,
  ],
  // "joints at 22, 25 and 28 have roots": roots at each of them.
  [
    /\bjoints\s+at\s+((?:\d+(?:\.\d+)?(?:\s*(?:,|and\b)\s*)+)+\d+(?:\.\d+)?)\s+(?:(?:all|each|both|have|has|had|got|show|with|are|is)\s+)+([a-z][^;]*)/gi,
    ([, places = '', what = '']) => `${what} at joint at ${places}`,
  ],
  // "22 to 28 roots, 3 joints": how many joints is not another place.
  [
    /(?<=[a-z][^;]*(?:,|\s))(?:in\s+)?(?:\d|two|three|four|five|six)\s+joints\b(?!\s+(?:at|between|from)\b)/gi,
    'at joints',
  ],
  // "77.5 in the main" is a place.
  [/(?<=(?:^|;)\s*~?\s*\d+(?:\.\d+)?)\s+in\s+(?=(?:the|this|that)\s)/gi, ' '],
  ...pipeIdioms,
  // "looks great all the way to the main": how far it was seen, not where the main is.
  [
    /\b(all\s+the\s+way|clear|clean|good|great|fine|open|smooth|from\s+(?:here|there)|rest\s+of\s+the\s+way)\s+(?:on\s+|out\s+|down\s+)?(?:to|till|until)\s+the\s+(?:city\s+)?main\b(?!\s+at\b)/gi,
    ([, far = '']) => far,
  ],
  // "22 90 down": a bend, by its degrees and where it turns.
  [
    /(?<=(?:^|;)\s*~?\s*\d+(?:\.\d+)?\s+)(22\.5|45|90)(?:\s+degrees?)?(?=\s+(?:(?:turning|going|goes)\s+)?(?:down|up|left|right|to\s+the\s+(?:left|right))\b)/gi,
    ([, degrees = '']) => `bend ${degrees} degrees`,
  ],
  // "pipe full of water", "half full of water": standing water, by its share of the pipe.
  [
    /\b(\d+)\s*(?:%|percent)\s+(?:full\s+)?(?:of|with)\s+water\b/gi,
    ([, share = '']) => `standing water ${share}%`,
  ],
  [
    /\b(?:(?:the\s+)?water\s+(?:starts|begins)|(?:entering|enters|(?:(?:we\s+)?(?:go|goes|going|went|come|comes|coming)\s+)?(?:down\s+)?into|hits|hitting|hit)\s+(?:the\s+|some\s+)?(?:standing\s+)?water)\b(?!\s+(?:main|meter|line|heater))/gi,
    'standing water starts',
  ],
  [/\b(?:the\s+)?water\s+(?:ends|stops)\b/gi, 'standing water ends'],
  [/\bfull\s+of\s+(?:standing\s+)?water\b/gi, 'standing water 100%'],
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
  // "the joints are about every four feet": how long its pieces are.
  [
    /\b(?:the\s+|a\s+)?joints?\s+(?:is\s+|are\s+)?(?:~\s*|about\s+)?every\s+(?:~\s*|about\s+)?(\d+(?:\.\d+)?)\s*(?:feet|foot|ft|')/gi,
    ([, long = '']) => `${long} ft pieces`,
  ],
  // "seventeen feet of that's not seen"
  [/\b\d+(?:\.\d+)?\s*(?:feet|foot|ft)\s+of\s+(?:that|it|this|the\s+(?:line|pipe))(?:'s)?\b/gi, ' '],
  // "that's about a five foot belly": how long it is.
  [
    /\b(?:a|an)\s+(?:about\s+|~\s*)?(\d+(?:\.\d+)?)\s*-?(?:foot|feet|ft)\s+(?:long\s+)?(?=(?:belly|sag|dip|crack|break|hole|low\s+spot|flat\s+spot|section\s+of)\b)/gi,
    ([, long = '']) => `${long} ft long `,
  ],
  // "it runs out at 31"
  [/\b(?:it\s+)?(?:runs|comes|goes)\s+out\s+(?:at|by|around)\s+(?=(?:~\s*|about\s+)?\d)/gi, 'ends at '],
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
  // "depth six eight": feet and inches.
  [
    /(?<=\bdepth\s)(\d{1,2})\s+(1[01]|\d)\b(?!\s*(?:feet|foot|ft|'|%|percent|\.\d|\/))/gi,
    ([, feet = '', inches = '']) => `${feet}' ${inches}"`,
  ],
  // "water's about an inch and a half deep", "max water 40 percent": standing water.
  [
    /(?<!\b(?:standing|under|holding|running|of)\s+)\b(?:the\s+|max(?:imum)?\s+)?water(?:'s|\s+(?:is|was|gets|level|depth))*\s+(?:to\s+)?(?=(?:(?:about|around|like|roughly|only|~|maybe)\s*)*[\d½¼¾⅛⅜⅝⅞][\d./½¼¾⅛⅜⅝⅞ ]*(?:to\s+[\d./]+\s*)?(?:in\b|inch|"|%|percent))/gi,
    'standing water ',
  ],
];
