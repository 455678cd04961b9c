import { correctingFigures, correctingIdioms } from './corrections.js';
import { debrisIdioms } from './debris.js';
import { cleanedAway, denyingIdioms } from './denying.js';
import { depthFigures } from './depths.js';
import { ones } from './number-words.js';
import { asNote, quoted, type Idiom } from './traced-text.js';
import { anyMaterial, pipeIdioms } from './pipes.js';
import { bendToSide, pointFigures, pointIdioms } from './points.js';
import { remarkIdioms } from './remarks.js';
import { waterFigures, waterIdioms } from './water.js';

/** Applied before numbers are turned into digits. */
export const spokenIdioms: readonly Idiom[] = [
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
  ...correctingIdioms,
  ...correctingFigures,
  // "two bends at 12 and 14", "2 cracks at 30": how many is not where.
  [
    /(?<=(?:^|[;,]|\band)\s*)(?:(?:two|three|four|five|six|several|a\s+(?:couple|pair)(?:\s+of)?)|[2-6](?=\s[^;]*\b(?:at|from|between)\s+~?\s*(?:1[3-9]|[2-9]\d|1\d\d)(?!\s*(?:%|percent|o'?clock))))\s+(?=(?!(?:in(?:ch(?:es)?)?|feet|foot|ft|percent|degrees?|pieces|places|spots|hundred)\b)(?:[a-z]+\s+){0,2}[a-z]+s\b(?!\s+of\b)[^;]*\b(?:at|from|between)\s+~?\s*(?:\d|[a-z]+))/gi,
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
  // "right at seventy nine" is not a side of the pipe.
  [
    /\bright\s+(?=(?:at|about|around|near|after|before|past|off|now|next|up|over|in|on|away|as|when|where|by|beside|behind)\b(?!\s+(?:side|hand)))/gi,
    ' ',
  ],
  [/ {2,}/g, ' '],
  [/\b(?:astm\s+)?(?:d[\s-]*)?3034\b|\bsdr[\s-]*(?:35|thirty[\s-]five)\b/gi, 'sdr35'],
  [/\bsdr[\s-]*(?:26|twenty[\s-]six)\b/gi, 'sdr26'],
  // On a phone, and in captions, the apostrophe is often left out, curly or a space.
  [
    /\b(can|won|couldn|doesn|didn|isn|wasn|don|haven|hasn|aren|weren|wouldn|ain)(?:\s?|’)t\b/gi,
    ([, verb = '']) => `${verb}'t`,
  ],
  // "can not get past" denies nothing.
  [/\bcan\s+not\b/gi, 'cannot'],
  [
    /\b(?:(could|would)|will)\s+not\s+(?=(?:get|go|push|pass|move|make|fit|clear|budge|continue|reach|be)\b)/gi,
    ([, verb]) => `${verb ?? 'wo'}n't `,
  ],
  // "not able to get past", "wouldn't push past", "too much debris to continue": the camera stopped.
  [
    /\b(?:not\s+able|unable|not\s+possible|impossible)\s+to\s+(?=(?:get|go|push|pass|move|make|see|continue)\b)/gi,
    "can't ",
  ],
  [
    /\b(?:cannot|(?:can|couldn|won|wouldn)'t)\s+(?:be\s+)?(?:get|go|push|pass|passed|move|make\s+it|fit|continue)\s+(?:past|by|thru|beyond)(?:\s+(?=[a-z])|(?=\s*$))/gi,
    "can't get past ",
  ],
  // "can't budge the offset", "couldn't make the bend"
  [
    /\b(?:cannot|(?:can|couldn|won|wouldn)'t)\s+(?:pass|budge|clear|make|navigate|negotiate)\s+(?!(?:it|this|that|here|out|sure|through|past|by|any|further|up|much)\b)(?=[a-z])/gi,
    "can't get past ",
  ],
  [
    /\b(?:abandoned|terminated|aborted|ended)\s+(?:the\s+)?(?:survey|inspection|video|run)\b(?!\s+at\s+the\b)\s*,?/gi,
    'stopped ',
  ],
  // "survey abandoned, roots"
  [
    /\b(?:survey|inspection|video|camera\s+run)\s+(?:was\s+|is\s+)?(?:abandoned|terminated|aborted|cut\s+short|ended\s+early)(?:\s+(?:due\s+to|because\s+of|by|at)\b|\s*,)?/gi,
    'stopped ',
  ],
  [/\b(?:survey|inspection|video)\s+(?:is\s+)?(?:complete|completed|finished|done)\s+(?=at\s+the\s+)/gi, ' '],
  [/\bcouldn't\s+see\s+(past|beyond)\b/gi, ([, past = '']) => `can't see ${past}`],
  [
    /\btoo\s+(?:much|many)\s+([a-z]+)\s+to\s+(?:continue|proceed|pass|push|go|get|see)(?:\s+(?:on|through|past|by|any|further|farther))*/gi,
    ([said, what = '']) =>
      !/\bsee/i.test(said)
        ? `can't get past heavy ${what}`
        : /^water$/i.test(what)
          ? 'camera under water'
          : `can't see, ${what}`,
  ],
  [/\b(in|through|inside)\s+(?=(?:pipe|line|sewer|bottom|invert)\b)/gi, ([, where = '']) => `${where} the `],
  [/\bschedule\s+forty\b/gi, 'schedule 40'],
  [/\bw(?:\/\s?|\s+)(?=[a-z])/gi, 'with '],
  // "80 inch and a half offset": one and a half inches at 80.
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s+)inch\s+(?:and\s+an?\s+)(half|quarter)\b/gi,
    ([, part = '']) => `1 and a ${part} inch`,
  ],
  // "toilet flush came thru", "dye seen at the main"
  [
    /\b(came|comes|coming|come|made\s+it|makes\s+it|poking|sticking|growing)\s+(right\s+)?thru\b/gi,
    ([, how = '']) => `${how} through`,
  ],
  [
    /\b(dye|paper|water)\s+(?:was\s+|is\s+)?(?:seen|visible|spotted)(?=\s*(?:$|[,;.]|at\b|in\b|here\b|coming\b))/gi,
    ([, what = '']) => `${what} shows up`,
  ],
  [
    /\b(?:toilet\s+)?paper\s+(?:came|comes|coming)\s+(?:right\s+)?through\b/gi,
    `flush came through ${quoted('paper')}`,
  ],
  // "crushed 50 %", "flattened to half": out of round by that much.
  [
    /\b(?:crushed|squashed|squished|flattened|deformed)\s+(?:(?:down|in|by|to|about|around|maybe|~)\s*)*(half|\d+\s*(?:%|percent))(?:\s*way)?\b/gi,
    ([said, share = '']) => `deformation ${share === 'half' ? '50%' : share} ${quoted(said)}`,
  ],
  [
    /\b(?:collapsed|collapse|caved\s+in)\s*,?\s+(?:(?:down|in|by|to|about|around|maybe|~)\s*)*(half(?:\s*way)?(?:\s+closed)?|\d+\s*(?:%|percent)(?:\s+closed)?)/gi,
    ([, share = '']) => `collapse ${quoted(share)}`,
  ],
  [
    /\bwall\s+(?:loss|thinning|thin)\s+(?:at|on|along|in)\s+(?:the\s+)?(?:invert|bottom|flow\s?line)\b/gi,
    'worn bottom',
  ],
  [
    /\b(?:line\s+)?(?:is\s+)?(?:backing|backed)\s+up\s+from\s+(?:the\s+)?(?:city|street|main|sewer)\b/gi,
    'main backed up',
  ],
  [
    /\b((?:lead(?:ed)?(?:\s+(?:and|&)\s+oakum)?|oakum|caulked|poured\s+lead|cement(?:ed)?|tar)\s+)joints?\b/gi,
    ([, how = '']) => `joint ${quoted(how.trim())}`,
  ],
  // "joint off 1/2", "joint shifted", "joint off to the left a half"
  [
    /\bjoint\s+(?:is\s+|has\s+)?(?:off|shifted|slipped)(?:\s+by)?((?:\s+to)?(?:\s+the)?\s+(?:left|right))?(?=\s*(?:$|[,;.]|~?[\d½¼¾]|half|about|maybe|an?\b))(\s*,?\s+(?:about\s+|maybe\s+)?a\s+half(?=\s*$))?/gi,
    ([, side = '', half]) => `offset joint ${side}${half ? ' half inch' : ''} `,
  ],
  [
    /\b(deflected|bent|angled|chipped)\s+(joint|bell|hub)\b|\b(joint|bell|hub)\s+(?:is\s+)?(deflected|bent|angled|chipped)\b/gi,
    ([, how, part, same, then]) => `${part ?? same ?? ''} ${quoted(how ?? then ?? '')}`,
  ],
  [/\b(?:one|a|1)\s+piece\s+(?:is\s+|has\s+)?(?=shift|moved|displaced)/gi, ' '],
  [/\b(?:4|four)[\s-](?:quadrant|way)\s+(?=crack|fracture)/gi, ([said]) => quoted(said.trim())],
  // "offset one pipe thickness": no inch.
  [
    /\b(?:(?:about|a|an|one|1|half|full|~)\s+)*(?:a\s+)?(?:pipe|wall)(?:'s)?(?:\s+wall)?\s+thickness(?:es)?\b/gi,
    asNote,
  ],
  [
    /\b(?:catch(?:es|ing)?|snag(?:s|ging)?|collect(?:s|ing)?)\s+(?:some\s+|the\s+|a\s+little\s+)?(?:toilet\s+)?(?:paper|wipes|solids|debris)\b/gi,
    asNote,
  ],
  // "crack 3/9", "cracks 3 & 9": two hours.
  [
    /(?<=[a-z]\s+(?:at\s+)?)(1[0-2]|[1-9])\s*(?:\/\s*(1[0-2]|[35679])(?![\d/])|&\s*(1[0-2]|[1-9])\b(?!\s*(?:%|percent|in\b|inch|ft|feet|')))(?!\s*(?:\d|in\b|inch|"|%))/gi,
    ([, one = '', other, another]) => `at ${one} o'clock and ${other ?? another ?? ''} o'clock`,
  ],
  // "scale down to 3 inches", "only 2 in open": what is left of the bore, not how thick.
  [
    /\b(?:(?:reduc|narrow|clos|chok|neck)(?:es|ed|ing|e|s)?\s+(?:the\s+)?(?:pipe\s+|line\s+|bore\s+|opening\s+|it\s+)?(?:down\s+)?|(?<=\b(?:scale|grease|deposits?|build-?up|roots|rust|tuberculation)\s+)(?:has\s+it\s+|is\s+)?down\s+)to\s+(?:about\s+|maybe\s+|~\s*)?(?:an?|one|two|three|half\s+an|\d+(?:[./]\d+)?)\s*(?:inch(?:es)?|in\b|")(?:\s+(?:opening|open|clear))?/gi,
    ([said]) => (/\bneck/i.test(said) ? undefined : quoted(said)),
  ],
  [
    /\b(?:only\s+)?(?:about\s+)?(?:an?|one|two|three|\d+(?:[./]\d+)?)\s*-?(?:inch(?:es)?|in\b|")\s+(?:opening|of\s+opening|left\s+open|(?<=only\b.*)(?:open|clear|left))\b/gi,
    asNote,
  ],
  // "pipe reduced 25 % by scale"
  [
    /\b(?:pipe\s+)?(?:is\s+)?(?:reduced|restricted|closed\s+off|blocked)\s+(?:by\s+|about\s+)?(\d+\s*(?:%|percent))\s+(?:by|from|with)\s+/gi,
    ([, share = '']) => `${share} `,
  ],
  // "roots coming through a crack": both are there.
  [
    /(?<=\b(?:roots?)\s+)(?:coming|growing|pushing|poking)\s+(?:in\s+|out\s+)?(?:thru|through|from|out\s+of)\s+(?:the\s+|a\s+|an\s+)?(?=(?:crack|hole|break|fracture|gap|offset)\b)/gi,
    'and ',
  ],
  [
    /(?<=\broots?\s+)(?:in|inside|at|around)\s+(?:the\s+|a\s+)?(?=(?:(?:lateral|branch|service)\s+connection|(?:factory\s+|hammer\s+)?tap|wye|saddle)\b)/gi,
    'and ',
  ],
  // "roots from the neighbor's willow"
  [
    /(?<=\broots?\s+)(from\s+(?:(?:the|a|an|that|big)\s+)*(?:neighbou?r'?s?\s+)?(?:[a-z]+\s+)?(?:tree|hedge|bush|shrub|oak|maple|willow|elm|pine|ficus|poplar|birch)s?)\b/gi,
    asNote,
  ],
  [
    /\b(?:can't|cannot|couldn't|can\s+not|hard\s+to)\s+(?:really\s+)?(?:tell|say|see)\s+how\s+(?:bad|much|big|many|deep|wide|long|far)\b[^;,]*/gi,
    asNote,
  ],
  [/\bto\s+(?:the\s+)?spring\s?line\b/gi, '50%'],
  [/\bdisjoint(?:ed)?\b/gi, 'separated'],
  ...waterIdioms,
  ...pointIdioms,
  cleanedAway,
  ...remarkIdioms,
  ...debrisIdioms,
  [/\s*,?\s*\b(?:and\s+)?(?:then\s+)?(?:levels|flattens|straightens)\s+(?:back\s+)?out\b/gi, ' '],
  // "channeled out" is not on the way out.
  [
    /(?<=\b(?!(?:going|pushing|heading|coming|running|headed|pushed|rusted|rotten|rotted|eaten|worn|cleaned|cleared|taken|removed)\b)[a-z]{3,}(?:ed|en|ing|own)\s+)out\b(?!\s+(?:to|of)\b)/gi,
    ' ',
  ],
  // "missing 6 inches of pipe"
  [
    /\bmissing\s+(?:about\s+|~\s*)?((?:an?|\d+(?:[./]\d+)?)\s*(?:inch(?:es)?|in|"|foot|feet|ft))\s+of\s+(?:the\s+)?(?:pipe|wall|top|bottom)/gi,
    ([, size = '']) => `missing piece ${quoted(`${size.replace('"', ' in')} missing`)}`,
  ],
  [
    /\b(growing|coming|sticking|poking|hanging)\s+out\s+of\s+(?=(?:the|a)\s+(?:joint|wall|side|top|bottom|pipe|hub|bell|crack|hole|tap|connection|branch)\b)/gi,
    ([, how = '']) => `${how} at `,
  ],
  // "offset, drops down maybe 3/8": how large it is.
  [
    /(?<=\boffset(?:\s+joint)?)\s*,?\s+(?:and\s+)?(?:it\s+)?(?:drop(?:s|ped)?|step(?:s|ped)?)\s+(?:down\s+|up\s+)?(?=(?:(?:maybe|about|around|like|~)\s+)*(?:\d|½|¼|¾|half|quarter|a\s+|an\s+|one|two|three|five))/gi,
    ' ',
  ],
  [
    /(?<=\boffset\b[^;.]*?),?\s+(?:and\s+)?(?:it\s+)?(?:drops|dropped|steps|stepped)\s+(?:down|up)(?=\s*(?:$|[.,;]))/gi,
    ' ',
  ],
  // "not real bad"
  [
    /\b(?:(?:it's|they're|that's|is|are|looks)\s+)?not\s+(?:(?:real|really|too|that|so|very|all\s+that|terribly)\s+)*bad\b/gi,
    // Alone it is a note.
    (match) => (match.input.trim() === match[0].trim() ? undefined : ' '),
  ],
  // "roots, about half"
  [
    /(?<=\b(?:roots?|grease|scale|debris|wipes)\b,?\s+)(?:(?:about|maybe|probably|like)\s+)*half(?=\s*(?:$|[,.;]))/gi,
    ' 50% ',
  ],
  // "camera won't fit"
  [
    /\b(?:(?:the\s+)?(?:camera|head|it)\s+)(?:won't|can't|cannot|couldn't|will\s+not|doesn't)\s+fit(?:\s+through)?(?=\s*(?:$|[.,;]))/gi,
    "can't get past ",
  ],
  // "on the top and the left side"
  [
    /\b(?:on\s+|at\s+)?(?:the\s+)?(top|bottom)\s+and\s+(?:on\s+)?(?:the\s+)?(left|right)(?:\s+side)?\b(?!\s+(?:hand|half))/gi,
    ([, end, side]) => `${end === 'top' ? 12 : 6} o'clock and ${side === 'left' ? 9 : 3} o'clock`,
  ],
  [/\b(?:at\s+)?(?:the\s+)?top\s+and\s+(?:the\s+)?bottom\b/gi, "12 o'clock and 6 o'clock"],
  // "roots take up 3/4 of the pipe"
  [
    /\b(?:tak(?:es?|ing)|fill(?:s|ing)?|eat(?:s|ing)?)\s+up\s+(?=(?:(?:about|around|maybe|roughly|~)\s*)*(?:\d|half|a\s+(?:third|quarter)|two|three|most))/gi,
    ' ',
  ],
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
  // "starting to collapse" is no start of a stretch.
  [
    /\b(?:starting|beginning|starts|begins)\s+to\s+(?=(?:get|look|collaps|crack|break|separat|fail|rust|rot|pull|cave|deform|flatten|open|shift|offset|go\b)[a-z]*)/gi,
    ' ',
  ],
  // "46 roots / 43 offset"
  [/(?<=[a-z%"]\s*)\s\/\s+(?=~?\d+(?:\.\d+)?\s+[a-z])/gi, ', '],
  // "46 no pipe for 2 ft": nothing of it is left.
  [/\bno\s+(?:more\s+)?pipe(?=\s*(?:$|[,.;]|(?:left|here|there|at|for|until|to)\b))/gi, 'missing pipe'],
  // "roots & crack", "roots / crack"
  [/(?<=[a-z%"\d])\s*[&+]\s*(?=[a-z])/gi, ' and '],
  [new RegExp(String.raw`(?<!\b${anyMaterial})\s+/\s+(?!${anyMaterial}\b)(?=[a-z])`, 'gi'), ' and '],
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
  // "30 %, maybe more": as it was said.
  [/[\s,]+(?:maybe|possibly|probably|perhaps)\s+(?:a\s+(?:little|bit)\s+)?more(?=\s*(?:$|[,.;]))/gi, ' '],
  // "locate, five six": feet and inches, no range.
  [
    new RegExp(
      String.raw`(?<=\b(?:locat(?:e|ed|es|ing)|sonde|locator)\s*[,:]?\s*(?:(?:at|is|says|reads|about|it's)\s+)*)(${ones.slice(2, 16).join('|')})\s+(${ones.slice(0, 12).join('|')})(?=\s*(?:$|[,;.]|deep\b|down\b))`,
      'gi',
    ),
    ([, feet = '', inches = '']) => `${feet} foot ${inches} inches`,
  ],
  // "wye, 2 ft later an offset"
  [
    /(?<=(?:^|[a-z]\s*,?\s+)(?:and\s+)?(?:then\s+)?(?:about\s+)?)(\d+(?:\.\d+)?|an?|one|two|three|four|five|six|seven|eight|nine|ten)\s*(feet|foot|ft|')\s+(?:later|further|farther|on\s+from\s+there|beyond\s+that|past\s+that|after\s+that)(?:\s+(?:on|along|down|up))?\s*,?\s+(?:there's\s+|there\s+is\s+)?(?:an?\s+)?(?=[a-z])/gi,
    ([, far = '', unit = '']) => `${/^an?$/i.test(far) ? '1' : far} ${unit} past it `,
  ],
  // "roots throughout", "whole line has scale": from one end to the other.
  [
    /^(?!.*(?:\d+(?!\d)|\b(?:twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)\b)(?!\s*(?:%|percent)))(.*?)\b(?:throughout(?:\s+the\s+(?:line|pipe|run))?|(?:the\s+)?(?:entire|whole|full)\s+(?:line|length|pipe|run)(?:\s+(?:has|is|of|with))?|start\s+to\s+finish|end\s+to\s+end)\b/gi,
    ([, before = '']) => `0 to end ${before}`,
  ],
  [/\b(?:scattered|sporadic|patchy|spotty|here\s+and\s+there)\b(?=\s+[a-z]|\s*$)/gi, asNote],
  // "next joint's 25.5, roots": only the place.
  [
    /^\s*(?:and\s+)?(?:the\s+)?next\s+(?:joint|one)(?:'s|\s+is)?\s+(?:at\s+)?(?=(?:about\s+)?(?:\d|(?:twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)\b))(?=[^;]*,\s*[a-z])/gi,
    ' ',
  ],
  // "crushed, pipe's flattened 30 %": one thing.
  [
    /\b(?:crushed|collapsed)\s*,\s*(?:and\s+)?(?:the\s+)?(?:pipe(?:'s|\s+is)?\s+)?(?=(?:flattened|squashed|egged|deformed|oval)\b)/gi,
    ' ',
  ],
  // "another 45, so that's a 90"
  [/,?\s*\bso\s+(?:that's|it's|they\s+make)\s+(?:an?\s+)?(?:ninety|90|forty[\s-]five|45)\b/gi, asNote],
  [/\b(?:to\s+(?:start|begin)\s+with|to\s+start\s+off(?:\s+with)?)\b/gi, ' '],
  // "same, a little more"
  [
    /(?<=\bsame(?:\s+(?:thing|again|deal))?)\s*,?\s+(?:but\s+)?((?:(?:a\s+)?(?:little|bit|lot)\s+)?(?:more|worse|heavier|bigger|smaller|lighter|less|better))\b(?!\s+(?:roots?|grease|scale|debris|of)\b)/gi,
    ([, how = '']) => ` ${quoted(how)}`,
  ],
  bendToSide,
  // "this one's worse"
  [
    /\b(?:this|that)\s+one(?:'s|\s+is)\s+((?:(?:a\s+)?(?:little|bit|lot)\s+)?(?:worse|bigger|heavier|larger|smaller|lighter|better))\b/gi,
    ([, how = '']) => `same again ${quoted(how)}`,
  ],
  [/\bback\s+(?=to\s+the\s+(?:left|right)\b)/gi, ' '],
  // "another one back to the right"
  [
    /\banother(?:\s+one)?\s+(?:going\s+|turning\s+)?(?:back\s+)?(?=(?:to\s+the\s+)?(?:left|right)\b)/gi,
    'same again ',
  ],
  [/\b(joints?)(?:'s|'ve|\s+has|\s+have)\s+got\s+(?=[a-z])/gi, ([, joint = '']) => `${joint} `],
  // "some roots left", "roots left here": not on the left.
  [
    /\b((?:some|a\s+few|few|still|more|a\s+little|little|any)\s+(?:of\s+the\s+)?(?:[a-z]+\s+)?(?:roots?|grease|scale|debris|wipes|hairs?|mud|sludge))\s+left\b(?!\s+(?:side|and|hand|wall))/gi,
    ([, what = '']) => what,
  ],
  [
    /\b(roots?|grease|scale|debris|wipes|hairs?|mud|sludge)\s+left\s+(?=(?:here|in\s+(?:here|there|it|the\s+(?:pipe|joint|line))|over|behind|too)\b)/gi,
    ([, what = '']) => `${what} `,
  ],
  // "every 3 feet a joint with roots"
  [
    /\bevery\s+(?:\d+(?:\.\d+)?|two|three|four|five|six|couple(?:\s+of)?|few)\s*(?:feet|foot|ft|')\s*,?\s+(?:there's\s+|there\s+is\s+)?(?:an?\s+|the\s+)?joints?\s+(?:with|has|have)\s+(?=[a-z])/gi,
    'every joint ',
  ],
  // "all joints have roots"
  [
    /\b(?:all|every|each)\s+(?:of\s+)?(?:the\s+)?joints?\s+(?:have|has|got|with)\s+(?:got\s+)?(?=[a-z])/gi,
    'every joint ',
  ],
  // "46 roots?": not sure.
  [/(?<=[a-z%]\s*)\?+(?=\s*$)/gi, ' possible'],
  [/(?<=^\s*\d+(?:\.\d+)?)\s*\?+(?=\s+[a-z])/gi, ' ~'],
  ...denyingIdioms,
  [/\bc\.\s?i\.(?!\w)/gi, 'ci'],
  [/\b([12])[\s-]?way\b/gi, ([, ways]) => (ways === '1' ? 'one-way' : 'two-way')],
  // "31 1/4 bend" is a quarter bend at 31.
  [/(?<=\d\s+)1\/([48])\s+(?=bend\b)/gi, ([, part]) => (part === '4' ? 'quarter ' : 'eighth ')],
  // "ran the kitchen sink": water was run from it.
  [
    /\b(?:ran|running|turned\s+on|filled|dumped)\s+(?:the\s+|a\s+)?(?=(?:\w+\s+){0,2}(?:sink|shower|tub|bathtub|faucet|toilet|washer|bath|dishwasher|hose)\b)/gi,
    'ran water ',
  ],
  [
    /\b(?:running|run)\s+(?:some\s+|the\s+)?water\s+(?=(?:from|in|at)\s+the\s+(?:[a-z]+\s+)?(?:kitchen|bath|bathroom|laundry|sink|tub|shower|toilet|washer|basement|house)\b)/gi,
    'ran water ',
  ],
  // Anything that says something else runs through the sewer.
  [
    /\b(?:(?:gas|electric(?:al)?|power|telephone|phone|fiber(?:\s+optic)?|cable(?:\s+tv)?|water|steel|copper|irrigation|sprinkler|another|other|small)\s+(?:line|main|pipe|service|conduit|cable|wire|duct)|conduit|cable|wire)\s+(?:(?!clay|iron|abs|pvc)[a-z]+\s+){0,4}?thr(?:ough|u)\s+(?:it|us|(?:the\s+|this\s+|our\s+|that\s+)?(?:(?:sewer|clay|cast\s+iron)\s+)?(?:pipe|sewer|lateral|line))\b/gi,
    'utility through the pipe',
  ],
];

/** Applied once numbers are digits: what a number belongs to. */
export const figureIdioms: readonly Idiom[] = [
  ...correctingFigures,
  // "2 ft past the offset, a crack": the first only says where.
  [
    /(?<=^\s*)((?:\d+(?:\.\d+)?\s*(?:feet|foot|ft|')\s+)?(?:(?:just|right|a\s+little|a\s+bit)\s+)?(?:past|beyond|after|(?:up|down)stream\s+(?:of|from)|before|ahead\s+of|short\s+of|shy\s+of)\s+(?:the|that)\s+[a-z]+(?:\s+[a-z]+)?)\s*,\s+(?=[a-z])/gi,
    ([, where = '']) => `${where} `,
  ],
  // "12 feet, 45 to the left"
  [
    /(?<=\d\s*(?:feet|foot|ft|')?\s*,\s*(?:an?\s+)?)(11\.25|22\.5|22|45|60|90)(?=\s+(?:to\s+the\s+)?(?:left|right)\b)/gi,
    ([, degrees = '']) => `bend ${degrees} degrees`,
  ],
  // "46 and 6 inches roots"
  [/(?<=^\s*~?\s*\d+)\s+and\s+(1[01]|\d)\s*(?:inches|")\s+(?=[a-z])/gi, ([, inches = '']) => `' ${inches}" `],
  // "46 roots, 3:52 on the video"
  [
    /\b(?:at\s+)?((?:\d+:)?\d{1,2}:[0-5]\d)\s+(?:on|in|into|of)\s+(?:the\s+)?(?:video|tape|footage|recording)\b/gi,
    ([, time = '']) => `video ${time}`,
  ],
  // "for the next 3 feet"
  [
    /\b(?:for\s+|over\s+)?(?:the\s+|another\s+)?next\s+(?=(?:~\s*|about\s+)?\d+(?:\.\d+)?\s*(?:feet|foot|ft|'))/gi,
    'for ',
  ],
  // "roots at 46 end at 43": a stretch.
  [
    /(?<=(?:^|;)[^;,\d]*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'|%|percent))?(?:\s+(?!and\b|with\b|then\b|plus\b)[a-z]+(?:\s+\d+\s*(?:%|percent))?){0,3})\s+ends?\s+(?:at\s+|around\s+)?(?=~?\s*\d+(?:\.\d+)?\s*(?:$|[,;]|feet|foot|ft|'))/gi,
    ' to ',
  ],
  // "26 joint 26 roots": the place again.
  [/(?<=^\s*~?\s*(\d+(?:\.\d+)?)\s+joint\s+)\1(?![\d.%])(?!\s*(?:%|percent|in\b|inch|"|o'))/gi, ' '],
  // "31, 33, and 35"
  [
    /(?<=\d\s*(?:'|%|"|(?:ft|feet|foot|percent|in|inch|inches)\b)?\s*),\s*and\s+(?=(?:at\s+|about\s+|~\s*)*\d)/gi,
    ' and ',
  ],
  ...pointFigures,
  // "38, 41, 44, every joint's got roots"
  [
    /(?<=^\s*)(\d+(?:\.\d+)?)\s*,\s*(?:\d+(?:\.\d+)?\s*,\s*)*(?:and\s+)?(\d+(?:\.\d+)?)\s*,?\s+(?=(?:every|each)\b)/gi,
    ([, from = '', to = '']) => `${from} to ${to} `,
  ],
  // "55, cracked at 9 and 3": hours, past any hour.
  [
    /(?<=^\s*~?\s*(?:1[3-9]|[2-9]\d|1\d\d)(?:\.\d+)?(?!\s*(?:-|to\b))[^;\d]*?\b(?:at|@)\s+)(1[0-2]|[1-9])\s+and\s+(1[0-2]|[1-9])(?=\s*(?:$|[,;.]))/gi,
    ([, one = '', other = '']) => `${one} o'clock and ${other} o'clock`,
  ],
  // "60, 62, 64, all light roots"
  [
    /(?<=\d\s*,\s*(?:and\s+)?\d+(?:\.\d+)?)\s*,?\s+(?:they're\s+)?all\s+(?:of\s+them\s+)?(?:have\s+|got\s+)?(?=[a-z])/gi,
    ' ',
  ],
  // "same thing, sixty": a share, as before.
  [
    /(?<=\bsame(?:\s+(?:thing|deal|again))?\s*,\s*(?:(?:but|about|maybe|like|~)\s*)*)([2-9][05]|15)(?=\s*(?:$|[.;]))/gi,
    ([, share = '']) => `${share}%`,
  ],
  // "roots at joints 41 44 47": at each of them.
  [
    /\bat\s+(?:the\s+)?joints\s+(?:at\s+)?(?=\d+(?:\.\d+)?(?:\s*(?:,|\band\b|&)?\s+\d+(?:\.\d+)?)+(?:\s*$|\s*[;.]))([^;]*)/gi,
    ([, places = '']) =>
      `at joint at ${places
        .trim()
        .split(/\s*(?:,|\band\b|&)\s*|\s+/)
        .join(', ')}`,
  ],
  // "roots 31 & 40", "roots 31-40-52", "roots at 31 40": places.
  [
    /(?<=[a-z]\s+|@\s*)(?:1[3-9]|[2-9]\d|1\d\d)(?:\s*(?:ft|feet|'))?(?:\s*[&+]\s*(?:1[3-9]|[2-9]\d|1\d\d)(?:\s*(?:ft|feet|'))?)+(?=\s*(?:$|[;.]))|(?<=[a-z]\s+|@\s*)(?:1[3-9]|[2-9]\d|1\d\d)(?:\s*-\s*(?:1[3-9]|[2-9]\d|1\d\d)){2,}(?=\s*(?:$|[;.]))|(?<=(?:\bat|@)\s*)(?:1[3-9]|[2-9]\d|1\d\d)(?:\s+(?:1[3-9]|[2-9]\d|1\d\d))+(?=\s*(?:$|[;.]))/gi,
    ([places]) =>
      places
        .trim()
        .split(/\s*[&+-]\s*|\s+(?=\d)/)
        .join(', '),
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
  // "necks down to 4", "upsizes to 6 inch"
  [
    /\b(?:upsizes?|downsizes?|reduces|reduced|enlarges|enlarged|widens|necks\s+(?:down|up)|opens\s+up|steps\s+(?:up|down))\s+(?:back\s+)?to\s+(?:an?\s+|~\s*)?([346]|8|10|12)(?:\s*-?(?:in(?:ch(?:es)?)?\b|"))?(?=\s*(?:$|[,.;]|pipe\b|here\b))/gi,
    ([, bore = '']) => `change to ${bore} in`,
  ],
  // "20 flat from here to about 12": the other end of a stretch that begins here.
  [
    /(?<=^\s*~?\s*\d.*)\bfrom\s+(?:here|there)\s+(?:on\s+)?(?:(?:out|up|down|back|over)\s+)?(?:all\s+the\s+way\s+)?(?:to|thru|through|until|till)\s+(?:(?:about|around|like|maybe|roughly)\s+|~\s*)*(?=\d)/gi,
    'runs to ',
  ],
  // "sharp 90"
  [
    /\b(?:sharp|hard|tight|short|long|slow|quick)\s+(22\.5|45|90)(?:\s*(?:degrees?|°))?(?=\s*(?:$|[,.;]|(?:to\s+the\s+)?(?:left|right|up|down)\b))/gi,
    ([, degrees = '']) => `bend ${degrees} degrees`,
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
  // "16, 17 and 18 have cracks"
  [
    /(?<=(?:^|;)\s*)((?:\d+(?:\.\d+)?(?:\s*(?:,|and\b)\s*)+)+\d+(?:\.\d+)?)\s+(?:(?:all|each|both)\s+)*(?:have|has|had|got|show)\s+(?:some\s+)?([a-z][^;]*)/gi,
    ([, places = '', what = '']) => `${what} at ${places}`,
  ],
  // "just before 30": about there.
  [
    /\b(?:just|right|shortly|a\s+(?:little|bit|hair)(?:\s+bit)?)\s+(?:before|after|past|shy\s+of|short\s+of)\s+(?=\d+(?:\.\d+)?\b(?!\s*(?:bend|degrees?)))/gi,
    'about ',
  ],
  // "22 to 28 roots, 3 joints": how many joints is not another place.
  [
    /(?<=[a-z][^;]*(?:,|\s))(?:in\s+)?(?:\d|two|three|four|five|six)\s+joints\b(?!\s+(?:at|between|from)\b)/gi,
    'at joints',
  ],
  // "77.5 in the main" is a place.
  [/(?<=(?:^|;)\s*~?\s*\d+(?:\.\d+)?)\s+in\s+(?=(?:the|this|that)\s)/gi, ' '],
  ...pipeIdioms,
  ...waterFigures,
  // "looks great all the way to the main": how far it was seen, not where the main is.
  [
    /\b(all\s+the\s+way|clear|clean|good|great|fine|open|smooth|from\s+(?:here|there)|rest\s+of\s+the\s+way)\s+(?:on\s+|out\s+|down\s+)?(?:to|till|until)\s+the\s+(?:city\s+)?main\b(?!\s+at\b)/gi,
    ([, far = '']) => far,
  ],
  [/\bfrom\s+(?=~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|ft|foot))?\s+on\b(?!\s+(?:the|a)\b))/gi, 'at '],
  // "the joints are about every four feet": how long its pieces are.
  [
    /\b(?:the\s+|a\s+)?joints?\s+(?:is\s+|are\s+)?(?:~\s*|about\s+)?every\s+(?:~\s*|about\s+)?(\d+(?:\.\d+)?)\s*(?:feet|foot|ft|')/gi,
    ([, long = '']) => `${long} ft pieces`,
  ],
  // "seventeen feet of that's not seen"
  [/\b\d+(?:\.\d+)?\s*(?:feet|foot|ft)\s+of\s+(?:that|it|this|the\s+(?:line|pipe))(?:'s)?\b/gi, ' '],
  // "6 to 8 feet long": the longer of them, with what was said.
  [
    /(?<=[a-z]\s+(?:(?:about|maybe|~)\s*)*)(\d{1,2})\s*(?:-|to)\s*(\d{1,2})\s*(?:feet|foot|ft)\s+long\b/gi,
    ([said, , long = '']) => `${long} ft long ${quoted(said)}`,
  ],
  // "that's about a five foot belly": how long it is.
  [
    /\b(?:a|an)\s+(?:about\s+|~\s*)?(\d+(?:\.\d+)?)\s*-?(?:foot|feet|ft)\s+(?:long\s+)?(?=(?:belly|sag|dip|crack|break|hole|low\s+spot|flat\s+spot|section\s+of)\b)/gi,
    ([, long = '']) => `${long} ft long `,
  ],
  // "it runs out at 31"
  [/\b(?:it\s+)?(?:runs|comes|goes)\s+out\s+(?:at|by|around)\s+(?=(?:~\s*|about\s+)?\d)/gi, 'ends at '],
  ...depthFigures,
];
