import { aNumber, ones, tens } from '../number-words.js';
import { asNote, besideIt, quoted, type Idiom } from './traced-text.js';

/** "OK nineteen", "at 19.5 feet". */
const onlyPlace = new RegExp(
  String.raw`^\W*(?:(?:okay|ok|and|so|at|alright|\d+(?:\.\d+)?|(?!\d)${aNumber}|point|oh|foot|feet|half|a)(?:[\s-]+|$))+$`,
  'i',
);

/** Words that only lead to what is there, or to how much of it. */
export const leadingWords: readonly Idiom[] = [
  // "at, I don't know, 41"
  [/(?<=\b(?:at|around|about)\s*),\s*i\s+don't\s+know\s*,\s*/gi, ' '],
  // "I'm looking at a joint", "we come up on a joint"
  [
    /\b(?:(?:i'm|we're|you're|we|i)\s+)?(?:looking\s+at|com(?:e|es|ing)\s+up\s+on)\s+(?=(?:an?|some)\s+[a-z])/gi,
    "there's ",
  ],
  // "I'd give it 30 %", "I'm estimating 60 %"
  [
    /\b(?:i'd|i\s+would|i'll|i'm|we'd|we'll|i)\s+(?:(?:gonna|going\s+to)\s+)?(?:give\s+(?:it|that|this|them)|estimat(?:e|ing)(?:\s+(?:it|that|this|them)(?:\s+at)?)?|rate\s+(?:it|that|this)(?:\s+at)?)\s+(?=(?:(?:about|around|maybe|at|like)\s+)*(?:\d+|(?:ten|fifteen|(?:twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)(?:[\s-]five)?))\s*(?:%|percent))/gi,
    'about ',
  ],
  // "another lateral I missed", "a crack I didn't catch on the way out"
  [
    /\s+(?:that\s+|which\s+)?(?:i|we)\s+(?:(?:must\s+have|just|had|totally|probably|almost)\s+)*(?:missed|skipped|forgot(?:ten)?(?:\s+(?:to\s+(?:mention|call|say|note)|about))?|overlooked|didn't\s+(?:catch|see|mention|call|notice)|passed(?:\s+(?:over|by|up))?)\b(?:\s+(?:out|it|that|before|earlier|going\s+(?:out|down|in)|on\s+the\s+way\s+(?:out|in|down|up)|the\s+first\s+time|coming\s+through))*(?=\s*(?:$|[,.;]|at\b|here\b|on\b))(?<=[a-z]{3}[^;]*)/gi,
    ' ',
  ],
  // "close to half an inch", "not quite 30%", "no more than a quarter of the pipe"
  [
    /\b(?:close\s+to|nearly|almost|not\s+quite|(?:no|not)\s+more\s+than|just\s+(?:under|over|shy\s+of)|upwards\s+of|easily|(?<!\b(?:bump|go|open|step|reduce|upsize|change|neck|widen|jump|increase|come|take|goe)s?\s+(?:it\s+)?)up\s+to)\s+(?=(?:(?:a|an|and|half|quarters?|thirds?|eighths?|of|[a-z]+(?:ty|teen)|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|hundred)[\s-]+){1,6}?(?:inch(?:es)?\b|percent\b|(?:of\s+)?the\s+pipe\b)|\d[\d./ ]*\s*(?:%|"|percent\b|-?in(?:ch(?:es)?)?\b)|half\s+the\s+pipe\b)/gi,
    'about ',
  ],
  // "the main problem is a joint at 4"
  [
    /\b(?:the\s+|my\s+)?(?:main|biggest)\s+(?:problem|issue|thing|concern|trouble)(?:\s+(?:here|there|is|being))*\s+(?=(?:an?|the|some)?\s*[a-z])/gi,
    ' ',
  ],
  [/(?<=(?:feet|foot|ft)\s+)from\s+(?:the\s+)?access(?:\s+point)?\b/gi, ' '],
  // "put down roots at 14", "counter reads 14, roots", "exactly 14 feet"
  [
    /^\s*(?:and\s+|let's\s+)?(?:put\s+down|put(?=\s[^;]*\b(?:at|from)\s+~?\d)|write\s+down|jot\s+down|log)\s+(?=[a-z])/gi,
    '',
  ],
  [/^\s*(?:the\s+)?(?:counter|footage|reel)\s+(?:reads|says|shows)\s+(?=[a-z\d])/gi, ''],
  [/\b(?:exactly|precisely)\s+/gi, ''],
  [/^\s*(?:and\s+)?then\s+(?=(?:at\s+|from\s+)?(?:about\s+)?~?\d)/gi, ''],
  [/^\s*somewhere\s+(?=(?:around|about|near)\s)/gi, ''],
];

/** What is said of the ground, the video, the past, or of what somebody wants: a note, whatever it names. */
export const remarkIdioms: readonly Idiom[] = [
  // "a two story house", "under the two car garage": the number is of the house.
  [
    new RegExp(
      String.raw`(?<!\d|\b(?:${tens.join('|')})[\s-])\b(?:an?\s+)?(?:\d|${ones.slice(1, 10).join('|')}|single|double|multi)(?:\s+and\s+a\s+half)?[\s-]+(?:stor(?:ey|y|ies)|car\s+(?:garage|carport)|bedrooms?(?:[\s,]+[a-z\d]+[\s-]+bath(?:room)?s?)?|(?:unit|family)(?=\s+(?:house|home|building|place|apartment)))\b(?:\s+(?:house|home|building|place|ranch|colonial))?`,
      'gi',
    ),
    asNote,
  ],
  // "total footage 59 feet", where no main is named with it
  [
    /\b(?:(?:total|overall)\s+(?:footage|length|run|distance)|footage\s+total)\s*(?:is|was|of|:)?\s*(?!.*\bto\s+the\s+(?:main|street|city|tap)\b)(?:(?:about|around)\s+)?[a-z\d.]+(?:[\s-](?!feet|foot|ft)[a-z\d.]+){0,5}(?:\s*(?:feet|foot|ft|'))?(?=\s*(?:$|[,.;]))/gi,
    asNote,
  ],
  // "right by the back door", "at the back of the joint", "goes back about two feet", "set back from the joint"
  [
    new RegExp(
      String.raw`(?:,\s*)?\b(?:(?:right|over|up|out|down)\s+)*(?:(?:on|at|by|near|under|in|behind|from|toward|against|along|that's|it's|is)\s+)*(?:the\s+|that\s+|his\s+|her\s+|our\s+)?back\s+(?:yard|door|porch|wall|fence|patio|steps|corner|gate|lawn|side|end|half|(?:of|edge\s+of)\s+(?:the\s+|that\s+)?[a-z]+)\b`,
      'gi',
    ),
    besideIt,
  ],
  [
    new RegExp(
      String.raw`(?:,\s*)?\b(?:(?:it|that|she|the\s+void|void|hole|crack|the\s+hole|and)\s+)*(?:goes|runs|extends|reaches|is)\s+back\s+(?:in\s+|up\s+)?(?:(?:about|maybe|around|like|another|a\s+good)\s+)*(?:an?\s+|(?=${aNumber})[a-z\d./]+(?:\s+(?:and\s+a\s+)?[a-z\d/]+){0,3}?\s+|couple(?:\s+of)?\s+)(?:foot|feet|ft|inch(?:es)?)\b`,
      'gi',
    ),
    besideIt,
  ],
  [
    /(?:,\s*)?\b(?:it's\s+|is\s+)?(?:set|pushed|sitting|laid\s+on\s+its|bent|kicked)\s+back(?:\s+from\s+the\s+[a-z]+)?\b/gi,
    besideIt,
  ],
  // "we couldn't see this before because of the grease, but there's a patch"
  [
    /\b(?:(?:i|we|you)\s+)?(?:couldn't|could\s+not|can't|didn't)\s+(?:even\s+)?see\s+(?:it|this|that|any\s+of\s+(?:it|this|that)|these|those)\s+(?:(?:before|last\s+time|the\s+first\s+time|yesterday|earlier)\s+)?(?:because\s+of|for|with|through|under)\s+(?:all\s+)?(?:the|that)\s+(?!water\b)[a-z]+\b/gi,
    asNote,
  ],
  // "nineteen, Mike, locate that": to who holds the locator; after a bare place nothing is left to note.
  [
    /\s*,\s+(?:[a-z]+\s*,\s+)?(?:can\s+you\s+|go\s+(?:ahead\s+and\s+)?)?(?:locate|shoot|find|mark|spot)\s+(?:that|this|it)(?:\s+one)?(?:\s+(?:too|for\s+me|please|there|here))*(?=\W*$)/gi,
    (match) => (onlyPlace.test(match.input.slice(0, match.index)) ? '' : besideIt(match)),
  ],
  // "cracked right down the spine", "a wye right past the coupling": no side of the pipe.
  [
    /\bright\s+(?=(?:down|along|across|through|over|under|before|after|past|by|off|out|away|where|when|as|near|next|beside|behind|above|below|beneath|in\s+front)\b)(?<!\b(?:the|to|from|hard|upper|lower|top|bottom|side|and|or|left|bends?|turns?|elbow|goes|degrees?)\s+right\s+)(?<=[a-z]\s+right\s+)/gi,
    '',
  ],
  // "no hub, just butted up", "wrapped in tar paper": how somebody joined it.
  [
    /\b(?:no[\s-]?hub\s*,?\s+)?just\s+(?:butted|stuck|shoved|pushed|jammed|laid)\s+(?:up|together|in|against)\b/gi,
    asNote,
  ],
  [
    /\b(?:wrapped|covered|coated|sealed|smeared|taped)\s+(?:up\s+)?(?:in|with)\s+(?:(?:some|old|black|a\s+bunch\s+of)\s+)*(?:tar\s*paper|roofing\s+(?:paper|tar|felt)|tar|tape|duct\s+tape|plastic|felt|mastic|burlap)\b/gi,
    asNote,
  ],
  // "all three have roots, none over twenty percent": nothing is denied.
  [
    /\s*,?\s+(?:and\s+)?(?:none|nothing)\s+(?:of\s+(?:them|it|those)\s+)?(?:(?:is|are|looks?|'s)\s+)?(?:over|above|past|more\s+than|worse\s+than|bigger\s+than)\s+(?:a\s+|about\s+)?[a-z\d-]+(?:\s+(?:percent|inch(?:es)?|of\s+the\s+pipe))?/gi,
    besideIt,
  ],
  // "twenty six feet from vent to grade", "bottom of the stack"
  [
    /\b[a-z\d-]+(?:\s+[a-z-]+)?\s+(?:feet|foot|ft)\s+from\s+(?:the\s+)?(?:roof|vent|top|eave|floor|slab)\s+(?:down\s+)?to\s+(?:the\s+)?(?:grade|ground|floor|slab|basement|bottom|dirt)\b/gi,
    asNote,
  ],
  [/\b(?:the\s+)?(?:bottom|base|foot)\s+of\s+the\s+(?:(?:vent\s+|soil\s+|main\s+)?stack|vent)\b/gi, asNote],
  // "they didn't cut all that well": no denial of what is there.
  [
    /\s*,?\s+\b(?:they|he|whoever\s+[a-z]+\s+(?:it|this))\s+(?:didn't|did\s+not|never)\s+(?:cut|get|clean|do|jet|finish)\b[^;,.]*/gi,
    besideIt,
  ],
  // "it's three feet long, sixteen to nineteen, with no-hub couplings"
  [
    /^\s*(?:it's|it\s+is|that's)\s+(?:about\s+)?[a-z\d.]+(?:\s+and\s+a\s+half)?\s+(?:feet|foot|ft)\s+long\s*,\s+(?=(?:from\s+)?[a-z\d.]+(?:\s+[a-z]+)?\s+to\s+[a-z\d])/gi,
    '',
  ],
  [
    /\s*,?\s+with\s+(?:(?:two|2|new|a\s+couple\s+of|no-?\s?hub|rubber|shielded|banded|steel)\s+)*(?:couplings|bands|clamps)(?:\s+(?:on|at)\s+(?:each|both|either)\s+ends?)?(?=\s*(?:$|[,.;]))/gi,
    besideIt,
  ],
  // "the coupling is not shielded": how the one named before is made.
  [
    /^\s*(?:(?:and|but|so)\s+)*(?:the|that|this)\s+(?:coupling|band|clamp)(?:\s+is|'s)\s+(?:(?:just|only|all)\s+)*(?:not\s+|n't\s+|un)?(?:shielded|stainless|rubber|plain|tight|good|solid|rusted|rusty)(?:\s+(?:one|up))?(?=\s*(?:$|[,.;]))/gi,
    asNote,
  ],
  // "half a foot in there's a lip"
  [/^(\W*(?:(?:about|so|and|okay)\s+)*)half\s+a\s+foot\s+in\b/gi, ([, lead = '']) => `${lead}at 0.5 feet`],
  // "a hole we couldn't see before"
  [
    /\b(?:that\s+|which\s+)?(?:we|i|you)\s+(?:couldn't|could\s+not|didn't|did\s+not)\s+(?:even\s+)?(?:see|notice|find|catch)\s+(?:it\s+|that\s+)?(?:before|this\s+morning|last\s+time|earlier|then|the\s+first\s+time|on\s+the\s+first\s+(?:pass|run|look))\b/gi,
    asNote,
  ],
  // "infiltration stain, not active"
  [
    /\b(?:infiltration|water|mineral)\s+stain(?:s|ing)?\s*,\s*(?:it's\s+)?(?:not|in)\s*active(?:\s+(?:now|today))?/gi,
    asNote,
  ],
  // "that one goes to 25", "that's rotted to 22": as "that goes to".
  [
    /^(\W*(?:and\s+)?)(?:that|this)\s+one\s+(?=(?:goes|runs|lasts|continues|keeps\s+going)\s)/gi,
    ([, lead = '']) => `${lead}that `,
  ],
  [
    /^(\W*(?:and\s+)?)(?:that's|it's)\s+(?:all\s+)?(?:rotted|gone|missing|cracked|broken|rusted|like\s+that|that\s+way)\s+(?:out\s+)?(?:all\s+the\s+way\s+|clear\s+|on\s+)?to\s+(?=[a-z\d.]+(?:[\s-][a-z\d]+){0,4}\W*$)/gi,
    ([, lead = '']) => `${lead}that goes to `,
  ],
  // "55 slope bad"
  [
    /(?<=^\s*~?\d[\d.-]*\s+)(?:the\s+)?(?:slope|grade|pitch|fall)\s+(?:is\s+)?(?:bad|poor|wrong|off|minimal|ok(?:ay)?|good)(?=\s*$)/gi,
    asNote,
  ],
  // "75%, jet & recheck": what to do about it.
  [
    /,\s*(?:hydro[\s-]?)?(?:jet|cable|snake|auger)(?:\s+(?:it|and|&|\+|then|or)\s*[a-z][a-z\s&+-]*)?(?=\s*$)(?<=\d[^;]*)/gi,
    besideIt,
  ],
  // "a crack behind where the roots were"
  [
    /\b(?:behind\s+|right\s+|from\s+)?where\s+(?:the|those|that)\s+[a-z]+\s+(?:were|was|used\s+to\s+be)\b/gi,
    asNote,
  ],
  // "it's longer than I thought, goes to 28"
  [
    /\b(?:(?:it's|that's|they're|it\s+is)\s+)?(?:a\s+(?:lot|little|bit)\s+)?(?:longer|bigger|worse|wider|shorter|deeper)\s+than\s+(?:i|we)\s+(?:thought|said|called(?:\s+it)?|figured|remembered|had)\s*,\s+/gi,
    'it ',
  ],
  // "9 foot 4, I shot that from the manhole lid": how it was located.
  [/\b(?:i|we)\s+shot\s+(?:that|it|this)\s+(?:from|off|through)\b[^;.]*/gi, asNote],
  // "cleanout to grade", "main, can see the flow", "clay to cast, banded"
  [
    /(?<=\b(?:cleanout|clean\s?out|co)\s+)(?:up\s+)?to\s+grade\b|\b(?:can|could)\s+see\s+(?:the\s+|some\s+|good\s+)?flow(?:ing)?\b|(?<!^\s*)\b(?:re)?banded\b/gi,
    asNote,
  ],
  // "there's concrete slopped around the outside": no pipe.
  [
    /\b(?:(?:some|a\s+bunch\s+of|a\s+little)\s+)?(?:concrete|cement|mortar|grout)\s+(?:(?:was|is|got|been)\s+)*(?:slopped|poured|splashed|spilled|packed|smeared|dumped|slathered)\b[^;,.]*/gi,
    asNote,
  ],
  [/\bchange\s+(?:in|of)\s+(?:the\s+)?(?:grade|slope|pitch|fall)\b/gi, asNote],
  // "unit three rear cleanout"
  [
    /\b(?:unit|apartment|apt\.?|suite|bldg\.?|lot)\s+(?:number\s+|no\.?\s+|#\s*)?(?:one|two|three|four|five|six|seven|eight|nine|ten|\d{1,4}[a-z]?)\b/gi,
    asNote,
  ],
  // "tap is zero"
  [/\b(?:the\s+)?tap\s+(?:is|at)\s+(?:zero|0)\b(?![.\d])/gi, asNote],
  // "somebody hit this with a backhoe"
  [
    /\b(?:(?:somebody|someone|they|an?|the)\s+)*(?:(?:hit|clipped|nicked|caught|struck|got)\s+(?:this|it|the\s+(?:pipe|line))\s+with\s+an?\s+(?:backhoe|excavator|shovel|auger|trencher|drill|bucket|pick)|(?:backhoe|excavator|auger|trencher|drill|bucket|shovel)\s+(?:hit|clipped|nicked|caught|struck|got)\s+(?:this|it|the\s+(?:pipe|line)))\b/gi,
    asNote,
  ],
  // "I'm not sure I can get over that"
  [
    /\b(?:(?:i'm|i\s+am)\s+)?(?:not\s+sure|don't\s+know|doubt)\s+(?:(?:if|that|whether)\s+)?(?:i|we|it|the\s+camera)(?:'ll|\s+can|\s+could|\s+will|'m\s+gonna|\s+am\s+going\s+to)\b[^;,]*/gi,
    asNote,
  ],
  // "camera two, same line, after we cut the roots", "jetted from the main back, three passes"
  [
    /\b(?:camera|video|tape|run|clip|take|part)\s+(?:number\s+|no\.?\s+)?(?:one|two|three|[1-3])(?=\s*(?:$|[,;]|[.](?!\d)))/gi,
    asNote,
  ],
  [
    /\b(?:after|since|before|now\s+that)\s+(?:(?:we|i|they|he)\s+)?(?:(?:just|already)\s+)?(?:cut|jetted|cleaned|cabled|snaked|cleared|flushed|removed)\s+(?:out\s+)?(?:the\s+|all\s+the\s+)?(?:roots?|line|pipe|grease|scale|debris|it|this|that)(?:\s+out)?\b/gi,
    asNote,
  ],
  [
    /\b(?:hydro\s?-?)?(?:jetted|cabled|snaked|rodded|flushed)\s+(?:it\s+)?from\s+(?:the\s+)?(?:main|house|cleanout|street|city)\b[^;,]*/gi,
    asNote,
  ],
  [/\b(?:one|two|three|four|five|six|several|a\s+few|\d+)\s+passes\b/gi, asNote],
  // "cleanout plug, back of the house": where that is on the ground.
  [
    /\b(?:(?:at|in|by|near|behind)\s+)?(?:the\s+)?(?:back|front|rear|side)\s+of\s+(?:the\s+)?(?:house|building|garage|yard|property|lot|home|shop|kitchen|driveway)\b/gi,
    asNote,
  ],
  // "cleared roots here last year"
  [
    /\b(?:we\s+)?(?:cleared|cut|removed|cleaned\s+out|jetted)\s+(?:the\s+|some\s+)?((?:roots|grease|debris|scale|wipes)\b[^;,.]*?\b(?:last\s+(?:year|month|week|time|visit)|before|previously|years?\s+ago|months?\s+ago|in\s+(?:19|20)\d\d))/gi,
    asNote,
  ],
  // "clean and clear", "good from here to the main"
  [
    /(?<=^\s*(?:~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s+)?)(?:(?:pipe|line|it|looks|all|is|it's)\s+)*(?:clean|clear|good|open)\s+(?:and\s+(?:clean|clear|open|good)|from\s+here(?:\s+(?:all\s+the\s+way\s+)?to\s+the\s+(?:city\s+)?(?:main|street|house|cleanout))?)(?=\s*(?:$|[,;.]))/gi,
    asNote,
  ],
  [
    /\b(?:could|can|did)(?:\s*n['’]?t|\s+not|not)\s+(?:get\s+(?:a\s+)?)?(?:locate|locator|signal)\b[^;,]*/gi,
    asNote,
  ],
  // "46 hole repaired", "old patched crack": it is no more.
  [
    /\b(?:(?:old|previous(?:ly)?|already|a)\s+)*(?:(?:hole|crack|break|fracture|leak|leaking\s+joint|joint|offset|gap)s?\s+(?:(?:that\s+)?(?:has\s+been|have\s+been|had\s+been|was|were|been|is|are|already|previously|looks|got)\s+)*(?:repaired|patched|fixed|sealed|plugged)|(?:repaired|patched|fixed|sealed)\s+(?:hole|crack|break|fracture|leak|joint|offset|gap)s?)\b(?:\s+(?:with|by|up)\s+[^;,]*)?/gi,
    asNote,
  ],
  // "counter slipped", "counter reads 65 but the locator says 63"
  [
    /\b(?:the\s+)?(?:foot(?:age)?\s+)?counter\s+(?:(?:(?:has|is|was)\s+)?(?:slip|jump|skip|stuck|stopp|froze|reset|off\b|wrong|reading\s+wrong)|(?:reads|says|shows)\s+[\d.]+[^;]*\b(?:but|tape|wheel|locator|sonde)\b)[^;]*/gi,
    asNote,
  ],
  // What flows by, and from where, is no water coming in.
  [
    /\b(?:(?:steady|good|normal|clear|some)\s+)?(?:water\s+)?flow(?:s|ing)?\s+(?:is\s+)?(?:coming\s+)?(?:from|toward|towards|past|by)\b[^;,]*/gi,
    asNote,
  ],
  [/\b(?:i\s+|you\s+)?(?:can\s+)?hear(?:ing|s)?\s+[^;,]*/gi, asNote],
  [/\b(?:high\s+)?water\s?-?marks?\b(?:\s+(?:at|to|up|about|around)\b[^;,]*)?/gi, asNote],
  [
    /\b(?:(?:pipe\s+)?wall\s+(?:is\s+)?(?:getting\s+|very\s+|pretty\s+)?(?:thin(?:ning)?|loss)|thin\s+walls?)\b(?!\s+(?:at|on|along|in)\s+(?:the\s+)?(?:invert|bottom))/gi,
    asNote,
  ],
  [/\b(?:the\s+)?(?:pipe|wall|metal|iron)\s+(?:is\s+|looks\s+)?paper[\s-]thin\b/gi, asNote],
  // "that's where it was plugged before, that's open now"
  [
    /\b(?:that's|this\s+is|here's)\s+where\s+(?:it|we|they|i)\s+(?:was|were|had|got|used\s+to)\b[^;,]*/gi,
    asNote,
  ],
  [
    /\b(?:(?:(?:that|it|this)(?:'s|\s+is)|is)\s+)?(?:was\s+(?:plugged|blocked|clogged|stopped\s+up)\s*,?\s+)?(?:all\s+|nice\s+and\s+)?(?:open|clear|clean|cleared|opened\s+up|cleaned\s+up)\s+now\b/gi,
    asNote,
  ],
  [
    /\b(?:couldn't|could\s+not|didn't|can't)\s+(?:really\s+)?see\s+(?:it|that|this|them|those)\s+(?:before|last\s+time|on\s+the\s+way\s+(?:out|in)|at\s+first|earlier|the\s+first\s+time)\b/gi,
    asNote,
  ],
  // "cleanout's four feet inside the wall": not on this line.
  [
    /\bcleanout(?:'s|\s+is)?\s+(?:about\s+)?(?:\d+(?:\.\d+)?|an?|one|two|three|four|five|six|seven|eight|nine|ten)\s*(?:feet|foot|ft|')\s+(?:inside|behind|in\s+from|back\s+from)\b[^;,]*/gi,
    asNote,
  ],
  [/\bmud[\s-]?rooms?\b/gi, asNote],
  // "that's where your dirt's coming from"
  [
    /\b(?:so\s+)?(?:that's|that\s+is|this\s+is)\s+(?:probably\s+)?where\s+(?:your|the|all\s+(?:the|this|that|your)|that|this)\s+[a-z]+(?:'s|\s+is|\s+was)\s+(?:all\s+)?(?:coming|getting|falling|washing)(?:\s+in)?(?:\s+from)?/gi,
    asNote,
  ],
  // "the main, they just busted a hole in it"
  [
    /\b(?:where\s+)?(?:they|somebody|someone)\s+(?:just\s+)?(?:busted|broke|knocked|punched|chiseled|hammered|beat)\s+(?:an?\s+hole\s+)?(?:in(?:to)?\s+)?(?:it|the\s+main|there)\b(?<=\b(?:main|tap|saddle|break-in)\b[^;]*)/gi,
    asNote,
  ],
  // "somebody poured concrete around it"
  [
    /\b(?:where\s+)?(?:somebody|someone|they)\s+(?:just\s+)?(?:poured|slapped|dumped|packed|put|smeared)\s+(?:some\s+)?(?:concrete|cement|mortar|grout)\s+(?:all\s+)?(?:around|on|over|against)\s+(?:it|that|there|the\s+(?:joint|pipe|coupling|hub|outside))\b/gi,
    asNote,
  ],
  // "goes under the driveway": what lies above, not the camera.
  [
    /\b(?:(?:it|she|pipe|line|we|now)\s+)*(?:goes|going|went|(?:runs|running|we're|passing|passes)(?=\s+(?:in)?under(?:neath)?\s+the\s+(?:slab|house|foundation|footing|building)\b)|runs|running|we're|passing|passes)\s+(?:in)?under(?:neath)?\s+(?:the|a|their|her|his|my|your|our)\s+(?!(?:water|belly)\b)(?!(?<=\b(?:goes|going)\s+under(?:neath)?\s+the\s+)(?:slab|house|foundation|footing|building)\b)[a-z]+(?:\s+(?:slab|apron|tree|wall))?/gi,
    asNote,
  ],
  [/\b(?:we\s+)?(?:hit|reach(?:ed)?)\s+(?:the\s+)?bottom(?:\s+of\s+(?:the\s+)?stack)?\b/gi, asNote],
  // A water main is no sewer main.
  [
    /\b(?:city\s+)?(?:water|gas|storm|steam|force)\s+main\b(?:\s+(?:is\s+)?(?:right\s+)?(?:above|below|over|under|beside|nearby|next\s+to|marked|crosses|crossing|on\s+top)\b[^;,]*)?(?!\s+(?:through|thru|runs|cross|goes|passes))/gi,
    asNote,
  ],
  [
    /\b(?:we\s+|i\s+|gonna\s+|will\s+|have\s+|got\s+)*(?:need|needs|have|has|got)\s+to\s+(?:be\s+)?(?:jet|cut|clean|cable|snake|line|dig|replace|repair|come\s+back|re-?run|descale)[a-z]*\b[^;,]*/gi,
    asNote,
  ],
  [
    /\b(?:strong\s+)?(?:sewer\s+gas|gas|sewage|rotten\s+eggs?)\s+(?:smells?|odou?r)\b|\bsmells?\s+(?:of|like)\s+[^;,]*/gi,
    asNote,
  ],
  [/\b(?:sewage|water|it)(?:'s|\s+is)?\s+backing\s+up\b(?!\s+from)/gi, asNote],
  [
    /\b(?:see\s+)?(?:photo|pic|picture|screenshot|image|snapshot)\s*#?\s*\d+\b|(?<=\d\s+)(?:took\s+)?(?:an?\s+)?pics?(?:\s+taken)?(?=\s*(?:$|[,;.]))/gi,
    asNote,
  ],
  [/\b(?:the\s+)?lights?\s+(?:is\s+|are\s+)?(?:flicker|dim|went\s+out|out\b|dead|fail)[a-z]*/gi, asNote],
  // "liner not open at wye"
  [/\bliner\s+(?:is\s+|was\s+)?(?:not|never)\s+(?:cut\s+)?(?:open(?:ed)?|cut|reinstated)\b[^;,]*/gi, asNote],
  // "jetted twice", "cabled from here": what was done, not what is seen.
  [
    /\b(?:we\s+|i\s+)?(?:hydro\s?-?)?(?:jetted|cabled|snaked|rodded|augered|descaled)\b(?:\s+(?:(?:it|this|here|through|out|clean|once|twice|again|with|by|a|the|\d+\s+(?:times|passes))\b\s*)+)?(?=\s*(?:$|[,;.\d~]|at\b|from\b|between\b|to\b))/gi,
    asNote,
  ],
  // Water that flows by stands nowhere.
  [
    /\b(?:flowing|flows|running)\s+(?:half|a?\s*(?:third|quarter)|full|two\s+thirds|three\s+quarters)(?:\s+full)?\b|\b(?:low|high|light|heavy|normal|steady|good)\s+flow\b(?!\s+(?:line|from|toward|towards|past|by))/gi,
    asNote,
  ],
  // "pitch 1/4 in per foot", "slope 2 %"
  [
    /\b(?:(?:pitch(?:ed)?|slop(?:e|es|ed)|grade|fall(?:s)?)\s+(?:(?:is|at|of|about|around|~)\s*)*)?(?:\d+\/)?\d+(?:\.\d+)?\s*(?:in(?:ch(?:es)?)?|")?\s*(?:per|\/|to\s+the|an?)\s*(?:foot|ft)\b(?:\s+(?:of\s+)?(?:pitch|slope|grade|fall))?/gi,
    asNote,
  ],
  [
    /\b(?:pitch(?:ed)?|slop(?:e|es|ed)|grade)\s+(?:(?:is|at|of|about|around|~)\s*)*\d+(?:\.\d+)?\s*(?:%|percent)|(?<=\d\s+)\d+(?:\.\d+)?\s*(?:%|percent)\s+(?:fall|slope|grade|pitch)\b/gi,
    asNote,
  ],
  [
    /\b(?:bad|poor|rough|sloppy|ugly|bad\s+looking)\s+transition\b(?!\s+(?:from|to|of)\b)|\bstair[\s-]?step(?:s|ped|ping)?\b/gi,
    asNote,
  ],
  [
    /\b(tee|wye|cleanout)\s+(?:is\s+)?((?:laying|lying|laid|lays|lies)\s+(?:flat|down|on\s+its\s+(?:back|side))|on\s+(?:its\s+)?back|rolled(?:\s+over)?)\b/gi,
    ([, what = '', how = '']) => `${what} ${quoted(how)}`,
  ],
  [/(?<=\d\s*(?:feet|foot|ft)?\s+)(?:EOL|end\s+of\s+(?:the\s+)?line)\b/gi, asNote],
  [
    /\b(?:folds?|wrinkles?)\s+in\s+(?:the\s+)?liner\b|\bliner\s+(?:(?:has|is)\s+)?(?:an?\s+|some\s+)?(?:folds?|folded|wrinkles?|wrinkled)\b/gi,
    asNote,
  ],
  // "camera's flipping over": how the head lies.
  [
    /\bcamera(?:'s|\s+is|\s+has|\s+keeps)?\s+(?:flipp?(?:ed|ing|s)|roll(?:ed|ing|s)|upside\s+down|(?:lying\s+|laying\s+)?on\s+its\s+side)(?:\s+(?:over|around|upside\s+down|on\s+its\s+side))?\b/gi,
    asNote,
  ],
  [
    /\b(?:i\s+)?(?:can't|cannot|couldn't|not\s+sure|don't\s+know|no\s+idea)\s+(?:(?:really|quite|even)\s+)?(?:tell\s+|say\s+|know\s+)?what\s+(?:that|this|it)(?:'s|\s+is|\s+was)?\b[^;,]*/gi,
    asNote,
  ],
  [
    /\b(?:an?\s+|some\s+|dead\s+)*(?:rats?|mouse|mice|rodents?|frogs?|spiders?|roach(?:es)?)\b(?!\s+hole)(?:'?s?\s+(?:nests?|droppings?))?(?:\s+in\s+(?:the\s+)?(?:pipe|line))?/gi,
    asNote,
  ],
  // What it was wetted by, and when, is not known: no water comes in now.
  [
    /(?<!\b(?:just|only)\s+(?:an?\s+|some\s+)?)\b(?:(?:water|rust|mineral|some|light)\s+)*(?:stains?|stained|staining)\b(?:\s+(?:at|on|around|below|under)\s+(?:the\s+|a\s+)?(?:joint|hub|bell|crown|top|bottom|wall|pipe|side)s?)?/gi,
    asNote,
  ],
  [
    /\b(?:the\s+)?(?:water\s+)?(?:level\s+)?(?:is\s+|goes\s+|comes\s+)?back\s+(?:down\s+)?to\s+normal\b/gi,
    asNote,
  ],
  [
    /\b(?:start(?:s|ed)?\s+(?:of\s+)?(?:the\s+)?(?:survey|inspection)|(?:survey|inspection)\s+(?:starts?|started|begins|began))\b[^;]*/gi,
    asNote,
  ],
  // "the size of a quarter"
  [
    /\b(?:(?:about|maybe|probably|roughly|almost|nearly)\s+)*(?:the\s+)?size\s+of\s+(?:(?:an?|my|your)\s+)?(?!the\b)[a-z]+(?:\s+(?:ball|dollar))?\b/gi,
    asNote,
  ],
  // "maybe fist sized": its size is a guess, and not the thing.
  [
    /\b(?:(?:about|maybe|probably|roughly|almost|nearly)\s+)*[a-z]+(?:[\s-]ball)?[\s-]sized?\b(?<!\b(?:medium|good|decent|fair|nice|large|small|big|full|under|over|down|up|right|pipe|a|the|what|that|this|same)[\s-]sized?)/gi,
    asNote,
  ],
  // "as thick as my thumb", "big as my arm"
  [
    /\b(?:(?:about|nearly|almost)\s+)?(?:as\s+)?(?:thick|big|fat|round|wide|large|long)\s+as\s+(?:an?|my|your)\s+[a-z]+(?:\s+(?:ball|dollar))?\b/gi,
    asNote,
  ],
  // "open enough to see rock"
  [
    /\benough\s+(?:that\s+(?:you|i|we)\s+can|(?:for\s+(?:you|me|us)\s+)?to)\s+(?:see|fit|get|stick|put|catch|lose)\b[^;,]*/gi,
    asNote,
  ],
  // "house trap with two vents"
  [
    /\b(?:with|w\/|has)\s+(?:an?\s+|one\s+|two\s+|2\s+|both\s+|the\s+)*(?:fresh\s*-?\s*air\s+)?vents?\b/gi,
    asNote,
  ],
  // "vertical offset", "hard grease"
  [
    /\b(vertical|horizontal)\s+(?=offset|displace)([a-z]+(?:\s+joint)?)/gi,
    ([, way = '', what = '']) => `${what} ${quoted(way)}`,
  ],
  [/(?<=\boffset(?:\s+joint)?\s+)(?:vert|horiz)(?:\.|ical|ontal)?(?:ly)?(?=\s|$)/gi, asNote],
  [/(?<=\d\s*(?:feet|foot|ft)?\s+)(?:(?:some|heavy|light|deep)\s+)*pit(?:ting|ted)\b/gi, asNote],
  [
    /\b(soft|hard|hardened|solidified|sticky)\s+(grease(?:\s+build\s?-?up)?)\b/gi,
    ([, how = '', grease = '']) => `${grease} ${quoted(how)}`,
  ],
  // "tree 10 ft left" lies beside the line.
  [
    /(?<=\btree\s+(?:is\s+)?)(?:about\s+|~\s*)?\d+\s*(?:feet|foot|ft|')\s+(?:off\s+)?(?:to\s+the\s+)?(?:left|right|away|off)\b/gi,
    asNote,
  ],
  // "driveway starts", "video paused", "in decent shape": said of the ground, the video, the pipe as a whole.
  [
    /\b(?:the\s+)?(?:(?:driveway|sidewalk|walkway|street|road|lawn|patio|slab|curb|asphalt|concrete\s+drive)\s+(?:starts|begins|ends|stops)|video\s+(?:stopped|paused|restarted|started|stops)(?:[\s,]+(?:and\s+)?(?:restarted|started|resumed)(?:\s+again)?)?|in\s+(?:decent|good|great|fair|bad|rough|poor|okay|ok)\s+shape|(?:nice\s+|good\s+)?clean\s+pipe|pipe\s+is\s+clean)\b/gi,
    asNote,
  ],
  [
    /\b(?:(?:the\s+)?flapper\s+(?:is\s+)?(?:missing|gone|broken|stuck|off|damaged|open|closed)|(?:no|missing|broken)\s+flapper|grease\s+(?:trap|interceptor)|end\s+of\s+(?:the\s+)?(?:survey|inspection|video|footage))\b/gi,
    asNote,
  ],
  // Beside the sewer, not through it: known from marks on the ground.
  [
    /\b(?:gas|water|electric(?:al)?|power|phone|cable|fiber|storm|irrigation)\s+(?:line|main|pipe|service|conduit|duct|drain)s?\s+(?:cross(?:es|ing)|runs?|passes|is|goes)\s+(?:right\s+)?(?:over|above|under|below|across|overhead|beside|alongside|near|close|here)\b/gi,
    asNote,
  ],
  // What is said of the main is not of our line.
  [
    /\b(?:(?:city|street|sewer)\s+)?main\s+(?:line\s+)?(?:has|had|needs|is\s+full\s+of)\s+(?!an?\s+(?:tap|wye|saddle|tee)\b)(?:some\s+|heavy\s+|a\s+lot\s+of\s+)*(?:roots|grease|debris|cracks?|cleaning|scale)\b/gi,
    asNote,
  ],
  [
    /\b(?:marked(?:\s+(?:it|this|here|the\s+spot))?(?:\s+(?:with|in)\s+(?:(?:green|white|pink|orange|blue)\s+)?(?:paint|chalk|a\s+flag)|(?=\s*$))|(?:put\s+(?:in\s+)?a\s+)?flag(?:ged)?(?:\s+(?:it|here|set|placed))*)(?:\s+(?:at|on|by|near)\s+(?:the\s+)?(?:edge|side|corner|end|middle|curb|sidewalk|lawn|drive|driveway|fence|tree|gate)\b[^;,\d]*)?(?=\s*(?:$|[,;.]|at\b|on\b))/gi,
    asNote,
  ],
  [
    /\b(?:root\s+)?(?:cutter|cutting|jetting|hydro\s?-?jetting|cleaning|snaking|lining|repair|replacement)\s+(?:needed|required|recommended)\b/gi,
    asNote,
  ],
  // What somebody wants is not there yet.
  [
    new RegExp(
      String.raw`\b(?:(?:the\s+)?(?:customer|owner|homeowner|client|tenant)\s+(?:wants|asked|needs|would\s+like)|(?:(?:i'd|we'd|i|we)\s+)?(?:recommend|suggest|propose)(?:ed|ing|s)?|(?:(?:i|we|you)(?:'d|\s+would|\s+could|'ll)|(?:could|would)\s+just)\s+(?:(?:put|set|place)(?:\s+in)?\s+(?=an?\s)|(?:install|add|cut|dig|line|replace|burst)\b)|needs?\s+(?:an?|to\s+be|new)|should\s+(?:be|get|have)(?!\s+(?:said|called)\b|\s+(?:been\s+)?(?:at\s+)?${aNumber})|could\s+use|(?:install|add|put\s+in)\s+(?:a\s+)?(?:new\s+)?(?:cleanout|clean\s*out|wye|tee|valve|manhole|two[\s-]way)|dig\s+(?:here|up|down)|(?:want|gonna|going)\s+(?:to\s+)?(?:dig|line|replace|cut\s+in|need))\b[^;¦]*`,
      'gi',
    ),
    asNote,
  ],
];

/** "Back" says on the way back only where it stands by itself or with the pulling; anywhere else it means nothing here. */
export const backwardFigures: readonly Idiom[] = [
  [
    /(?<!\b(?:on\s+(?:the|my|our)\s+way|coming|pulling|pulled|pull|going|working|heading|way|it|is|picture|image|view|video|signal|lens)\s+|'s\s+)(?<!(?:^|[,;(])\s*|\d(?:\s*(?:feet|foot|ft))?\s+)\bback\b(?!\s+(?:to|in|into|on)\b(?<!\b(?:runs|goes|leads|heads|running|be|see|look|looking)\s+back\s+[a-z]+))\s*/gi,
    ({ 0: said, index, input }) =>
      /^\s*(?:$|[^a-z\s]|(?:clip|video|photo)\b)/i.test(input.slice(index + said.length)) &&
      !/\b(?:grown|grow|grew|come|came|comes|look|looks|see|its|go|goes|went|get|gets|got|fell|opens|be)\s+$/i.test(
        input.slice(0, index),
      )
        ? undefined
        : '',
  ],
  [
    /\b(going|coming|come)\s+back\s+(?=(?:to|for|in|and)\s+(?:it|that|this|those|them|cut|clean|get|there|do|jet|later)\b|later\b|for\b)/gi,
    ([, how = '']) => `${how} `,
  ],
  [
    /(?<=(?:^|[,;(])\s*|\d(?:\s*(?:feet|foot|ft))?\s+)back\s+(?=(?:at|there|here|up|of|behind|from|toward)\b)/gi,
    '',
  ],
];
