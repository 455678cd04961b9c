import {
  afterPlace,
  asNote,
  besideIt,
  boundary,
  type Idiom,
  placeFirst,
  quoted,
  spokenPlaceFirst,
} from './traced-text.js';
import { anyMaterial } from './pipes.js';

const depthBelow = String.raw`(?:(?:about|around|maybe|roughly|only|~)\s*)*(?:an?\s+)?((?:\d[\d ./]*\s*)?(?:feet|foot|ft|in(?:ch(?:es)?)?|'|"))(?:\s+(?:down|deep|under|below)\b)?`;

const trees =
  'oak|maple|willow|elm|pine|ficus|cottonwood|birch|magnolia|sycamore|poplar|cedar|spruce|mulberry|pecan|walnut|sweetgum';

/** What may be wrong with a fitting, and takes no number of its own. */
const broken = String.raw`(?:cracked|broken|broke|busted|shattered|separated|crushed|collapsed|split|leaking)`;

const theMain = String.raw`(?:city\s+|street\s+|sewer\s+)?main|city\s+sewer`;

/** "45 degree bend going down", "it bends down, 45", after all that makes a bend of a number. */
export const bendUpOrDown: Idiom = [
  /\s*,?\s+(?:(?:going|heading|turning|goes|pointing|looking)\s+)?(?:straight\s+)?(down|up)(?=\s*(?:$|[,.;]|at\b|with\b))(?<=\b(?:bends?|elbow|turns?|ell|sweep|degrees?)(?:\s+(?:11\.25|22\.5|22|45|60|90)(?:\s+degrees?)?)?\s*,?\s+(?:(?:going|heading|turning|goes|pointing|looking)\s+)?(?:straight\s+)?(?:down|up))/gi,
  ([, way = '']) => (way.toLowerCase() === 'down' ? " at 6 o'clock" : " at 12 o'clock"),
];

/** "Sixteen, forty five to the left": how far it turns, no second number of a stretch. */
export const bendToSide: Idiom = [
  /(?<=[a-z\d]\s*,?\s+)(?<!\b(?:at|around|about|to|bend|turn|elbow|a|an)\s+|\b(?:bend|turn|elbow|ell|sweep)\b[^;\d]*,\s*)(forty[\s-]five|ninety|twenty[\s-]two\s+and\s+a\s+half|45|90|22\.5)(?:\s+degrees?)?\s+(?=(?:going\s+|turning\s+)?to\s+the\s+(?:left|right)\b)/gi,
  ([, degrees = '']) => `bend ${degrees} degrees `,
];

/** "Two 45s back to back", "double forty five": they turn as one bend of 90 does. */
const doubleBend: Idiom = [
  /\b(?:(?:two|2|double)\s+(45|22|22\.5|11)(?:'?s|\s+degree\s+bends|\s+bends)\b(?:\s+back\s+to\s+back|\s+in\s+a\s+row)?|double\s+(45|22\.5|22)(?=\s*(?:$|[,.;]|(?:at|to|on)\b)))/gi,
  ([, two, double = '']) => {
    const each = two ?? double;
    return `bend ${each === '22' ? 45 : 2 * Number(each)} degrees ${quoted(`two ${each}s`)}`;
  },
];

const atZero = String.raw`(?<=^\s*(?:at\s+)?0+(?:\.0+)?(?:\s*(?:feet|foot|ft|'))?\s*,?\s+)`;
const somewhere = String.raw`(?:the|a|front|back|side|garage|basement|kitchen|house|old|big|left|right|corner|of)\s+`;
const landmark = String.raw`(?:door|porch|steps|stoop|deck|patio|fence|gate|mailbox|flower\s*beds?|garden|planter|bush(?:es)?|hedge|driveway|walkway|water\s+meter|gas\s+meter|meter|ac\s+unit|hose\s+bib|window|chimney|hydrant|pole)(?:\s+(?:steps|door|light|post|line|side|wall|box))?`;

const namesWayIn =
  /\b(?:cleanout|co|c\/o|manhole|toilet|closet|roof\s+vent|vent\s+stack|valve|clay|pvc|abs|plastic|iron|house)\b/i;

/** How the camera got into the line, and where its way in lies. */
const startIdioms: readonly Idiom[] = [
  // "0 pulled the toilet", "toilet's off"
  [
    /\b(?:(?:pulled|removed|pulling)\s+(?:the\s+|a\s+)?(?:(?:hall|upstairs|downstairs|guest|master|basement)\s+(?:bath(?:room)?\s+)?)?toilet|toilet(?:'s|\s+is|\s+was)?\s+(?:pulled|off|removed|out))\b/gi,
    'pulled toilet',
  ],
  [/\b(?:down|in|into|through)\s+(?:the\s+)?(?:roof\s+)?vent\b(?!\s+stack)/gi, 'roof vent'],
  // "0 zeroed at the top of the cleanout", "zero at the hub"
  [
    /\bzero(?:ed|ing)?\s+(?:(?:out|is|it|set)\s+)*(?:at|on|in)\s+(?:the\s+)?(?:hub|top|cap|lip|rim|bottom|floor|grade|ground)(?:\s+of\s+(?:the\s+)?(cleanout|co|c\/o|hub|pipe))?(?!\s*[\w])/gi,
    (match) => `${/^c/i.test(match[1] ?? '') ? 'cleanout ' : ''}${asNote(match)}`,
  ],
  [/\bzeroed\s+(?:out\s+)?(?:at|on|in)\s+(?:the\s+)?(?=cleanout|co\b|c\/o|manhole)/gi, ''],
  // "0 in through the floor drain": the way in, no branch.
  [
    new RegExp(
      String.raw`${atZero}(?:(?:p[\s-]?)?trap\s+(?:pulled|removed|out|off)|(?:camera|access(?:ed)?|going|go|went|in|start(?:ed|ing|s)?|begin|began|beginning|running|ran|run|enter(?:ed|ing)?|insert(?:ed)?|pushed|launch(?:ed)?|pulled|removed|took|through|thru|from|down|out)\b[^;.]*)`,
      'gi',
    ),
    (match) => (namesWayIn.test(match[0]) ? undefined : asNote(match)),
  ],
  // "cleanout by the front door, 4 inch"
  [
    new RegExp(
      String.raw`\b(?:(?:right\s+)?(?:by|near|next\s+to|beside|behind|in\s+front\s+of|under|outside|inside|at|in|against|along)\s+(?:${somewhere})*${landmark})\b(?<=\b(?:cleanout|c/?o|manhole|trap)\b[^;\d]*)`,
      'gi',
    ),
    besideIt,
  ],
  [
    /\b(?:lid|cover|plug|cap)(?:'s|\s+is|\s+was)?\s+(?:broke|broken|cracked|busted|split|stripped)\b|\b(?:broken|broke|cracked|busted|stripped)\s+(?:lid|cover|plug|cap)\b/gi,
    'cap broken',
  ],
  [
    /\b(?:lid|cover|plug)(?:'s|\s+is|\s+was)?\s+(?:missing|gone|off)\b|\b(?:missing|no)\s+(?:lid|cover|plug)\b/gi,
    'cap missing',
  ],
];

const namesPipe = new RegExp(String.raw`\b(?:${anyMaterial}|tile)\b`, 'i');

/** Branches, bends, valves and cleanouts, as they are met. */
export const pointIdioms: readonly Idiom[] = [
  ...startIdioms,
  // "two forty fives back to back"
  [
    /(?<=\b(?:two|double|pair\s+of)\s+)(forty[\s-]five|twenty[\s-]two)s\b/gi,
    ([, each = '']) => `${each} bends`,
  ],
  // "another lateral on the right": the line itself is one already.
  [
    /\b(another|second|third|other)\s+lateral\b(?!\s+(?:line|pipe|cleanout|needs))/gi,
    ([, which = '']) => `${which} tie in`,
  ],
  // "going through the wall at about 9"
  [
    /\b(?:(?:we're|i'm|we|it)\s+)?(?:going|goes|go|went|passing|passes|comes?|coming)\s+(?:right\s+|out\s+)*through\s+the\s+(?:(?:foundation|house|basement)\s+)?wall\s+(?=at\b)/gi,
    'foundation wall ',
  ],
  // "main, lateral is protruding into the main two inches"
  [
    /[,.]?\s*\b(?:and\s+)?(?:the\s+|our\s+)?(?:lateral|it|pipe|tap)(?:\s+is|'s)?\s+(?:protruding|sticking|hanging|poking|extends|extending|protrudes|sticks|pokes)\s+(?:out\s+)?in(?:to)?\s+the\s+(?:city\s+)?main\b[^;.]*/gi,
    besideIt,
  ],
  // "tap, break in, one o'clock": how it was made, nothing broken.
  [/\btap\s*,\s*(?:an?\s+)?(break[\s-]?in|hammer|factory)(?:\s+tap)?\b/gi, ([, how = '']) => `${how} tap`],
  // "that's the building drain": no wall of the house.
  [
    /\b(?:(?:joins?|meets|enters|into)\s+)?(?:the\s+)?(?:main\s+)?(?:building|house)\s+drain\b(?!\s+(?:tie|tap|connect|comes))/gi,
    asNote,
  ],
  // "the cleanout is three feet off the house": where it is in the yard.
  [
    /\b(?:is|it's|was|sits|about|cleanout's)\s+(?:(?:about|maybe|like)\s+)?[a-z\d.]+(?:\s+(?!feet\b|foot\b)[a-z-]+)?\s+(?:feet|foot|ft)\s+(?:off(?:\s+of)?|away\s+from|out\s+from|from|in\s+front\s+of|outside(?:\s+of)?)\s+(?:the|my|his|her|their|your|this)\s+(?:(?:front|back|side|garage|house)\s+)?(?:house|building|wall|garage|foundation|curb|sidewalk|porch|fence|steps|driveway)\b/gi,
    asNote,
  ],
  // "we're at the city's pipe"
  [/\bthe\s+city's\s+(?:pipe|line|sewer|main)\b/gi, 'the city main'],
  // "58 main 8 in pvc, tap": how it is joined to the main.
  [
    /(?<=\d\s+)(main)\b([^;,]*),\s*(tap|saddle|wye)(?=\s*$)/gi,
    ([, , more = '', how = '']) => `${how} at the main${more}`,
  ],
  // "co tee, riser cracked": not in this line.
  [
    /(?:,\s*)?\b(?:the\s+)?riser\s+(?:is\s+)?(?:cracked|broken|offset|rotted|rusted|bad)\b(?<=\b(?:cleanout|clean\s?-?out|co|tee)\b[^;]*riser[^;]*)/gi,
    besideIt,
  ],
  // "27 L 45", "30 R 22"
  [
    /(?<=^\s*~?\d+(?:\.\d+)?\s+)([LR])\s+(22\.5|22|45|90)(?=\s*$)/g,
    ([, side = '', degrees = '']) => `bend ${degrees} ${side === 'L' ? 'left' : 'right'}`,
  ],
  // "a wye on the right, might be the old septic": a guess at what it serves.
  [
    /\b(?:(?:(?:it|that|that's)\s+)?(?:might|could|must|may)\s+(?:be|have\s+been|go\s+to)|(?:probably|likely|maybe)\s+(?:(?:goes|went|runs|leads)\s+to|from|is|was)|(?:probably|likely|maybe))\s+(?:the|an?|their)\s+(?:old\s+)?septic(?:\s+tank)?\b/gi,
    besideIt,
  ],
  // "a service comes in at a funny angle", "wye comes in at a forty five": no bend of ours.
  [
    /(?<=\b(?:comes|coming|ties|tied|tying)\s+in)\s+at\s+an?\s+(?:(?:(?:funny|weird|odd|bad|strange|steep|sharp|slight)\s+)*angle|(?:45|forty[\s-]five|90|ninety)(?:\s*(?:degrees?|°))?(?:\s+angle)?)\b/gi,
    '',
  ],
  [/\bat\s+an?\s+(?:(?:funny|weird|odd|bad|strange|steep|sharp|slight)\s+)*angle\b/gi, asNote],
  // "into the main, break-in tap, protruding about two inches into the main": of the main, nothing in this pipe.
  [
    /(?<=\b(?:city\s+)?main(?:\s+(?:is\s+)?at\s+[a-z\d\s.-]{1,24}?)?)\s*,\s+(?:(?:it's|it\s+is|with|by|an?|comes\s+in|through|on)\s+)*(?:(?:break-?\s?in|hammer|factory|saddle|protruding|poor|bad)\s+(?:tap|connection|saddle)?|(?:break-?\s?in|tap\s+connection)(?=\s*[.;]?\s*$)|(?<=\ba\s+)(?:wye|tee|tap|saddle)(?=\s*(?:$|[.;,])))[^;.]*/gi,
    besideIt,
  ],
  // "tap on the left, it's got water running in it": in use, nothing leaks.
  [
    /\b(?:(?:it's|it\s+is|it\s+has|it|that|that's|has|with|got|there's|and)\s+)*(?:some\s+|a\s+little\s+)?(?:water|flow)(?:'s|\s+is)?\s+(?:running|flowing|coming|dripping|trickling|dribbling)\s+(?:in|out\s+of|from|through|down)\s+(?:it|there|that)\b(?<=\b(?:tap|wye|y|tee|branch|lateral|connection|saddle)\b[^;]*)/gi,
    asNote,
  ],
  // "36 is where I see the city's tap so 36 is the main"
  [
    /\b(?:where\s+)?(?:i|we|you)\s+(?:can\s+)?see\s+the\s+city(?:'s)?\s+(?:tap|main|connection)\s*,?\s+(?:so|and)\s+[a-z\d\s.-]{1,30}?\s+is\s+(?=the\s+main\b)/gi,
    '',
  ],
  // "68 street connection"
  [/\b(?:street\s+(?:connection|tap|tie[\s-]?in)|connection\s+(?:at|in)\s+the\s+street)\b/gi, 'the main'],
  // "joins the building drain, three inch to four inch"
  [
    /\b(?:it\s+|we\s+|which\s+)?(?:joins|meets|enters|hits|ties\s+in(?:to)?|drops\s+into|goes\s+into)\s+(?:to\s+)?the\s+(?:main\s+)?building\s+drain\b/gi,
    asNote,
  ],
  // "53 is where the tap is, on the main"
  [/\b(?:like\s+)?where\s+(?:the|our)\s+tap\s+is\s*,?\s+(?:on|at|in|into)\s+the\s+main\b/gi, 'the main'],
  // "there's something stuck in it": in the branch, not the camera.
  [
    /\b(?:and\s+)?(?:there's\s+)?(?:something|somebody's\s+[a-z]+|a\s+(?:toy|rag|bottle|cable|tool))\s+(?:is\s+)?(?:stuck|jammed|lodged|wedged)\s+in\s+(?:it|there|that|the\s+(?:wye|tee|tap|branch))\b(?<=\b(?:wye|tee|tap|branch|lateral)\b[^;]*)/gi,
    asNote,
  ],
  // "turns down, ninety, then turns back at twelve and a half": a second bend, no way back.
  [/\b(?:(?:and|then|it)\s+)*turns\s+back\s+(?=(?:at|around|about)\s)/gi, '; bend '],
  // "a fitting with a cap"
  [
    /\b(?:an?\s+)?fitting\s+(?:with\s+a\s+(?:cap|plug)(?:\s+(?:on|in)\s+it)?|(?:that's\s+|is\s+)?(?:capped|plugged))(?:\s+off)?/gi,
    'tie-in capped',
  ],
  // "saddle tap at the main"
  [/\bsaddle\s+(?=tap\s+(?:at|on|in|into|to)\s+the\s+(?:city\s+)?main\b)/gi, ''],
  // "connection to the main, drops in at twelve o'clock": no drop of the line.
  [
    /\b(?:it\s+)?drops\s+(?:right\s+|straight\s+)?in(?:to\s+(?:it|the\s+main))?\s+(?=(?:at|on|from)\s+(?:the\s+)?(?:(?:top|side|crown)\b|(?:\d{1,2}|twelve|eleven|ten|nine|one|two|three)\s+o'?\s?clock))/gi,
    'comes in ',
  ],
  // "now we're in the main building drain": the house's own.
  [
    /\b(?:the\s+)?main\s+(?:(?:building|house|basement|floor)\s+)?(?:drain|stack|soil|waste|trunk)\b(?:\s+(?:line|pipe|stack))?/gi,
    asNote,
  ],
  // "so that's effectively a ninety": the two just named.
  [
    /^\s*(?:so\s+)?(?:that's|that\s+is|it's|those\s+(?:are|make)|together\s+(?:that's|they're|they\s+make)|that\s+makes)\s+(?:(?:effectively|basically|essentially|really|like|together|about)\s+)+an?\s+(?:22\.5|45|60|90|ninety|sixty|forty[\s-]five|full\s+turn|quarter\s+turn)(?:\s+(?:total|altogether|in\s+all))?(?=\s*$)/gi,
    asNote,
  ],
  [/\bc\.\s?o\.?(?!\w)/gi, 'cleanout'],
  // "two cleanouts": how many, not how wide.
  [
    /\b(two|2|both|twin|a\s+pair\s+of)\s+(cleanouts|clean\s?-?outs)\b|\b(cleanouts|clean\s?-?outs)\s*\((?:2|two)\)/gi,
    ([, many = 'two']) => `cleanout ${quoted(many)}`,
  ],
  [
    /\bcleanout\s+(?:is\s+)?(?:facing|pointing|faces|points|aimed)\s+(?:toward\s+|at\s+)?(?:the\s+)?(?:(house|building|upstream)|(?:street|main|city|downstream))\b/gi,
    ([, house]) => `cleanout ${house ? 'faces upstream' : 'faces downstream'}`,
  ],
  [/\b(test\s+(?:plug|ball|cap))\b/gi, asNote],
  // "60 P/L"
  [new RegExp(String.raw`(?<=${placeFirst}(?:at\s+(?:the\s+)?)?)p[./]?\s?l\b\.?`, 'gi'), 'property line'],
  // "drops into manhole"
  [
    /\b((?:drops?|falls|dumps|outfalls|comes\s+out|ends|ties)\s+(?:down\s+)?(?:in(?:to)?|at))\s+(?:the\s+|an?\s+)?(manhole|mh)\b/gi,
    ([, how = '', hole = '']) => `${hole} ${quoted(`${how} it`)}`,
  ],
  // "second 45, now we're flat under the slab"
  [
    /\b(?:first|second|third|another|next)\s+(?=(?:90|45|22(?:[.]5)?|ninety|forty[\s-]five|twenty[\s-]two)\b(?!\s*(?:\.\d|and\s+a|feet|foot|ft|%|percent|in\b|inch|"|')))/gi,
    'bend ',
  ],
  [
    /\b(?:now\s+)?(?:we're|i'm|and\s+then\s+we're)\s+(?:now\s+|pretty\s+much\s+|running\s+)*(?:flat|level|horizontal)\b/gi,
    asNote,
  ],
  [
    /\b(?:now\s+)?(?:we|it|i)\s+(?:go|goes|went|run|runs)\s+(?:flat|level|horizontal)(?=\s*(?:$|[,;.]))/gi,
    asNote,
  ],
  [/\bgranny\s+(?:flat|unit)\b/gi, asNote],
  // "drops into the main, about 8 inches": how far it falls there.
  [
    /\b(?:drops?|falls|dumps)\s+(?:down\s+)?(?:in\s*to|in)\s+(?:the\s+)?(?:city\s+|street\s+)?main\s*,?\s+(?:(?:about|maybe|roughly|around|~|by)\s*)*(?:\d+(?:[.]\d+)?|[a-z]+)\s*-?(?:inch(?:es)?|in\b[.]?|"|feet|foot|ft)/gi,
    ([said]) => `main ${quoted(said)}`,
  ],
  // "double wye, both sides look dry"
  [
    /\bboth\s+sides\b(?<=\bdouble\s+(?:wye|tee|sanitary\s+tee)\s*,?\s+both\s+sides)(?:\s+(?:look(?:s|ing)?|are|is|dry|clean|clear|open|good|active|wet|capped))*/gi,
    asNote,
  ],
  // "we cross the property line"
  [
    /\b(?:(?:we|we're|it|pipe|line)\s+)?cross(?:es|ing|ed)?\s+(?:over\s+)?(?=(?:the|our|your)\s+(?:property|lot)\s+line\b)/gi,
    '',
  ],
  // "we leave the house", "exits the foundation": where the building begins.
  [
    /\b(?:(?:we|we're|it|pipe|line)\s+)?(?:leav(?:es?|ing)|exit(?:s|ing)?)\s+(?:out\s+(?:of\s+)?)?(?:the\s+)?(?:building|house|foundation|footing)\b|\b(?:(?:now\s+)?(?:we're|i'm|it's)|(?:we|i)\s+(?:get|come|go))\s+(?:now\s+)?outside\s+(?:of\s+)?(?:the\s+)?(?:building|house|foundation)\b(?=\s*(?:$|[,.;]|at\b))/gi,
    'building',
  ],
  [/\b(?:(?:and|now)\s+)*(?:we're|we\s+are|i'm)\s+out\s+of\s+the\s+(?:building|house)\b/gi, 'building'],
  // "that's the bathroom coming in from the right"
  [
    /\b((?:laundry|washer|dishwasher|kitchen|bathroom|bath(?:room)?\s+group|(?:hall|guest|master|half|upstairs|downstairs)\s+bath|powder\s+room|shower|tub|basement|(?:floor|area|yard|roof)\s+drain|downspout)(?:\s+(?:sink|line))?)\s+(?:(?:is|that's|which)\s+)?(?:com(?:es|ing)\s+in|enter(?:s|ing))(?=\s+(?:on|from|at|here|there|off|right|left|to)\b|\s*(?:$|[,.;]))/gi,
    ([, what = '']) => `${what} ties in`,
  ],
  // "48, under the wall": of the house.
  [
    new RegExp(
      String.raw`(?<=${spokenPlaceFirst})(?:(?:we're|now|going|goes|it's)\s+)*(?:under|through|past)\s+the\s+(?:foundation\s+|house\s+|basement\s+)?(?:wall|footing|foundation)(?=\s*(?:$|[,;.]))`,
      'gi',
    ),
    'building',
  ],
  // "tap not cut out": under a liner.
  [
    /\b(?:(?:is|was|were)\s+)?(?:not|never)\s+(?:been\s+)?(?:cut|opened|reinstated)(?:\s+(?:out|open|back\s+in))?\b(?<=\b(?:tap|lateral|branch|connection|wye|tee|service)\s+(?:(?:is|was|were)\s+)?(?:not|never)\s+[a-z ]+)/gi,
    asNote,
  ],
  // "drops into a 90"
  [
    /\b(?:(?:the\s+)?(?:pipe|line|it)\s+)?(?:drops?|dropped|dives?|falls?|rolls?)\s+(?:(?:straight|right|down|off)\s+)*(?:in)?to\s+(?:an?\s+)?(90|45|22(?:[.]5)?|ninety|forty[\s-]five)\b(?:\s*(?:degrees?|bend|elbow|ell)\b)*/gi,
    ([, degrees = '']) => `bend ${degrees}`,
  ],
  // "there's your main, tap's on the top", "ties into the top of the main": how the sewer joins it.
  [
    /\b(?:the\s+)?(?:tap|saddle|wye|connection)(?:'s|\s+is)?\s+(?:right\s+)?(?:on|at|in)\s+(?:the\s+)?(?:top|side|crown|spring\s?line)\b(?<=\bmain\b[^;]*)(?:\s+(?:at|with)\s+an?\s+[a-z]+\s+(?:drop|angle|slope))?/gi,
    asNote,
  ],
  [
    /\b(?:ties?|tied|taps?|tapped|connects?|connected|comes?|drops?|goes)\s+(?:in\s*to|in\s+(?:at|on)|on\s*to)\s+(?:the\s+)?(?:top|side|crown|spring\s?line)\s+of\s+(?:the\s+)?(?:(?:city|street|sewer)\s+)?main\b/gi,
    ([said]) => `main ${quoted(said.trim())}`,
  ],
  // "tap @ main", "ties to the main"
  [
    /\b(?:tap|saddle|ties?|tied|(?:we're\s+)?tapped|taps|tapping|connects?|connection)\s+(?:in\s+)?(?:(?:at|on|in|in\s*to|on\s*to|to)\s+|@\s*|(?<=\b(?:we|it|line|this|lateral)\s+taps?\s+))(?:the\s+)?(?:(?:city|street|sewer)\s+)?main\b(?!\s+(?:line|clean))/gi,
    'main',
  ],
  // "line makes a hard left"
  [
    /\b(?:(?:the\s+)?(?:line|pipe|it)\s+)?(?:makes|takes|hangs|does)\s+an?\s+(?:(?:hard|sharp|quick|slight|long|gentle|little)\s+)*(left|right)(?:\s+(?:turn|hand\s+turn|bend))?\b/gi,
    ([, side = '']) => `bend to the ${side}`,
  ],
  // "16 45 deg L"
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s*,?\s+)(11\.25|22\.5|22|45|60|90)\s*(?:deg(?:rees?)?\b\.?|°)\s*(?:to\s+the\s+)?(L|R|left|right|up|down)(?=\s*(?:$|[,;.]))/g,
    ([, degrees = '', side = '']) => `bend ${degrees} degrees ${{ L: 'left', R: 'right' }[side] ?? side}`,
  ],
  // "45 deg L", "lateral R"
  [
    /(?<=\b(?:deg(?:rees?)?|45|90|22\.5|bend|wye|tee|lateral|lat|tap)\.?\s+)([LR])(?=\s*(?:$|[,;.]))/g,
    ([, side]) => (side === 'L' ? 'left' : 'right'),
  ],
  // "that's the sewer"
  [
    /\b(?:that's|there's|here's|this\s+is)\s+(?:the|our)\s+(?:city\s+|main\s+|street\s+)?sewer(?=\s*(?:$|[,.;]))/gi,
    'main',
  ],
  // "service on the left, not ours"
  [
    new RegExp(
      String.raw`(?<=${spokenPlaceFirst})(?:(?:we've\s+got|there's|i've\s+got|got|have)\s+)?(?:an?\s+)?(?:other\s+|another\s+)?service\s+(?=(?:(?:comes|coming)\s+in\s+)?(?:on|from)\s+(?:the\s+)?(?:left|right|top)\b)`,
      'gi',
    ),
    'tie in ',
  ],
  // "there's our tap": where ours meets the main.
  [/\bour\s+(?:tap|saddle|connection)\b/gi, 'the main'],
  // "there's the tap, main's flowing good"
  [
    /\b(?:the\s+tap\s*,?\s+(?:and\s+)?)?(?:the\s+)?(?:(?:city|street|sewer)\s+)?main(?:'s|\s+is)?\s+((?:flowing|running|moving)(?:\s+(?:good|fine|well|great|normal|clear|along|nice(?:ly)?|free(?:ly)?))?)\b/gi,
    ([, how = '']) => `main ${quoted(how)}`,
  ],
  // "at tap, top of main"
  [
    /\b(?:(?:at|on|to)\s+)?(?:the\s+)?tap\s*,?\s+(?:(?:at|on|in|into)\s+)?(?:the\s+)?(?:top|side|crown)\s+of\s+(?:the\s+)?(?:(?:city|street|sewer)\s+)?main\b/gi,
    ([said]) => `main ${quoted(said.trim())}`,
  ],
  // "lateral from next door, that comes in at the top"
  [
    /\b((?:lateral|line|service|drain|sewer)\s+(?:from|off|for)\s+(?:[a-z']+\s+){0,2}?[a-z']+)\s*,\s+(?:that|it)(?:'s)?\s+(?:comes|coming|ties|tying|tied|connects|joins)\s+in(?:to)?(?:\s+(?:us|ours))?\s+(?=(?:at|on|from)\s)/gi,
    ([, whose = '']) => `tie in ${quoted(whose.trim())} `,
  ],
  // "lateral from next door comes in on the right"
  [
    /\b(?:lateral|line|pipe|service|drain|sewer)\s+((?:from|off|for)\s+(?:[a-z']+\s+){1,3}?)(?:comes|coming|ties|tying|tied|connects|connecting|joins|joining)\s+(?:in(?:to)?|us|ours|our\s+line)\b/gi,
    ([, whose = '']) => `tie in ${quoted(whose.trim())}`,
  ],
  // "30 goes straight down 4 ft"
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:(?:the\s+)?(?:line|pipe|it)\s+)?(?:goes|drops|falls|turns|going)\s+(?:straight|right)\s+down\b`,
      'gi',
    ),
    'drop',
  ],
  // "trap full of debris": both are there.
  [
    /\b(trap|bend|elbow|sweep|valve|cleanout|clean\s?-?out)\s+(?:is\s+|was\s+)?(?=(?:half\s+|all\s+)?(?:full\s+of|packed\s+with|loaded\s+with|plugged\s+(?:up\s+)?with|choked\s+with)\s+(?!water\b|standing\b))/gi,
    ([, point = '']) => `${point} ${boundary} `,
  ],
  // "abandoned line capped", "dead lateral on the left"
  [/\b(?:abandoned|dead|disused)\s+(?:line|lateral|pipe|branch|connection)\b/gi, 'tie in not in use'],
  // "line deflects to the left", "alignment right 20 degrees"
  [
    /\b(?:(?:the\s+)?(?:line|pipe|lateral|sewer|it)\s+)?(?:alignment(?:\s+(?:goes|changes|turns|is))?|deflects|veers|jogs|curves|swings|hooks|angles|kicks|sweeps)\s+(?:off\s+)?(?:slightly\s+|hard\s+|a\s+little\s+)?(?:to\s+the\s+)?(left|right)\b/gi,
    ([, way = '']) => `bend ${way}`,
  ],
  // "offset, top's dropped half an inch": which way it is off.
  [
    /(?:[\s,]+(?:the\s+)?(?:top|far\s+side|next\s+pipe|bottom|right|left|it|that)(?:'s|\s+is|\s+has)?)?[\s,]+(?:dropped|drops|down)(?:\s+(?:down|about|maybe|by))*\s+(?=(?:an?\s+|half\s+|three\s+|[a-z]+\s+)?(?:half\s+|quarters?\s+)?(?:of\s+)?(?:an?\s+)?inch|half\b|three\s+quarters|\d+\/\d)(?<=\boffset\b[^;]*)/gi,
    ([said]) => (/\btop\b/i.test(said) ? ', top, ' : ', '),
  ],
  [
    /(?<!\b(?:joint|pipe|hub|bell|spigot|end|offset|side|section)\s+(?:has\s+|is\s+)?)\bdropped\s+(?=(?:about\s+|~\s*)?(?:an?\s+|half\s+|\d)[^;,]*(?:foot|feet|ft|inch|inches|"))/gi,
    'drop ',
  ],
  // "15 hard left", "40 pipe goes off to the left"
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:(?:the\s+)?(?:pipe|line|it|camera)\s+)?(?:(?:(?:goes|heads|runs|bears|breaks)\s+(?:off\s+)?(?:to\s+(?:the|your)\s+)?)|(?:an?\s+)?(?:hard|slight|sharp|gentle|quick|easy|jog|jogs)\s+)(left|right)(?=\s*(?:$|[,;.]))`,
      'gi',
    ),
    ([said, way = '']) => `bend ${way} ${quoted(said.trim())}`,
  ],
  [
    /\bvertical\s+(?=(?:45|90|22\.5|22)\b)(\d[\d.]*)(?!\s*(?:%|in\b|ft|feet|foot|'|"))/gi,
    ([, degrees = '']) => `bend ${degrees} degrees ${quoted('vertical')}`,
  ],
  [
    /\bback[\s-]to[\s-]back\s+(45|22\.5|22)(?:'?s|\s+(?:bends|degrees?))\b/gi,
    ([, each = '']) =>
      `bend ${each === '22' ? 45 : 2 * Number(each)} degrees ${quoted(`back to back ${each}s`)}`,
  ],
  [/\bcombo\b(?!\s+(?:wye|tee))/gi, 'combo wye'],
  // "neighbor ties in here"
  [
    /\b(?:the\s+)?(neighbou?r(?:'s(?:\s+(?:line|lateral|sewer|drain|pipe))?|s)?|next\s+door)\s+(?=(?:tie|tap|wye|branch|connect|come)[a-z]*\b)/gi,
    ([, whose = '']) => `${quoted(whose)} `,
  ],
  // "two 45s at 14 and 18": one at each place.
  [
    /\b(?:(?:two|2|a\s+pair\s+of|a\s+couple\s+of|three|3)\s+)?(11|22\.5|22|45|90)(?:'?s|(?:\s*(?:degrees?|°))?\s+(?:bends|elbows|ells|turns|sweeps))\s+at\s+(?=~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s*(?:,|\band\b|&))/gi,
    ([, degrees = '']) => `bends ${degrees} degrees at `,
  ],
  // "45 bend at 14", "90 at 31 and a 45 at 33": how far it turns, then where; no hour and no usual turn is meant.
  [
    new RegExp(
      String.raw`(?<=(?:^|[;${boundary}]|\b(?:and|then)\b)\s*(?:an?\s+)?)(22\.5|22|45|90)(?:\s*(?:degrees?|°))?(?:\s+(?:bend|elbow|ell|turn|sweep))?\s+at\s+(?=~?\s*(?:\d+(?:\.\d+)?\s*(?:feet|foot|ft|')|(?!(?:22\.5|30|45|60|72|88|90)\b)(?:1[3-9]|[2-9]\d|\d{3}|\d+\.\d+)\b)(?!\s*(?:o'clock|degrees?|°|-|:)))`,
      'gi',
    ),
    ([, degrees = '']) => `bend ${degrees} degrees at `,
  ],
  [/\b(?:facing|pointing)\s+(up|down)\b/gi, ([, way]) => (way === 'up' ? "at 12 o'clock" : "at 6 o'clock")],
  // "3 ft out of the cleanout": the counter begins there.
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?)\s*(?:feet|foot|ft|')\s+(?:out|in|down)?\s*(?:of|from)\s+(?:the\s+)?(?:cleanout|clean\s*-?\s*out)\b[\s,]*/gi,
    ' ',
  ],
  // "lateral on the right": another line's, by its side.
  [
    /\blateral\s+(?=(?:on|at|to)\s+(?:the\s+)?(?:left|right|top|\d{1,2}(?::\d\d)?\s*o'?\s?clock)\b)/gi,
    'tie in ',
  ],
  // "valve stuck open", "flapper missing": how the valve is, no open joint and no camera that stopped.
  [
    /\bvalve\s+(?:is\s+|was\s+)?((?:(?:flap|flapper|gate|door)\s+(?:is\s+)?)?(?:stuck|jammed|hung|rusted|seized|frozen)(?:\s+(?:up|open|closed|shut))?|(?:won't|doesn't|will\s+not)\s+(?:open|close|seat)|not\s+(?:seating|closing|opening|sealing)|open|closed|shut)\b/gi,
    ([, how = '']) => `valve ${quoted(how)}`,
  ],
  // "tie in to 8 in clay main"
  [
    /\b(?:ties?|tied|taps?|tapped|connects?)\s+in\s?to\s+(?:the\s+|an?\s+)?(?=(?:(?:city|street|sewer)\s+)?(?:\d+\s*-?(?:inch|in|")\s+)?(?:[a-z]+\s+)?main\b)/gi,
    ' ',
  ],
  // "oak roots"
  [new RegExp(String.raw`\b(?:${trees})\s+(?=(?:tree\s+)?roots?\b(?!\s+(?:near|close|nearby)))`, 'gi'), ' '],
  // "the tie-in to the main"
  [
    /\b(?:the\s+|our\s+)?(?:tie[\s-]?in|connection)\s+(?:in)?to\s+(?:the\s+)?(?:city\s+)?(?:main|sewer)\b/gi,
    'main',
  ],
  // "connects to the city"
  [
    /\b(?:connects?|ties?|tied|goes|dumps)\s+(?:in)?to\s+the\s+(?:city|street)(?:\s+(?:sewer|line))?(?=\s*(?:$|[,.;]|at\b|around\b|about\b|~|here\b))/gi,
    'main ',
  ],
  [/\bconnects?\s+(?:in)?to\s+(?=(?:the\s+|an?\s+)?(?:septic|tank|main|city|manhole|sewer)\b)/gi, ' '],
  // "cleanout under mulch"
  [
    /(?<=\b(?:cleanout|clean\s*-?\s*out|cap|co)\s+)(?:is\s+)?(?:buried\s+)?(under(?:neath)?\s+(?:the\s+|some\s+|an?\s+)?(?:mulch|dirt|grass|sod|leaves|bush(?:es)?|shrubs?|deck|concrete|pavers?|gravel|landscaping|soil|rocks?|slab|asphalt|porch))\b/gi,
    ([, where = '']) => `buried ${quoted(where)}`,
  ],
  // "big oak over the line"
  [
    new RegExp(
      String.raw`(?<=(?:^|[;,])\s*(?:~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s+)?)(?:an?\s+)?(?:(?:big|large|old|huge|small|mature|giant|tall)\s+)*(${trees}|redwood|eucalyptus)(?:\s+tree)?(?=\s+(?:over|above|overhead|near|beside|right|here)\b|\s*(?:$|[,;.]))`,
      'gi',
    ),
    ([, tree = '']) => `tree ${quoted(tree)} `,
  ],
  // "54 invert 9 feet": how deep the pipe lies.
  [
    /\b(?:the\s+)?invert\s+(?:(?:is|at|about|~)\s*)*(?=\d{1,2}(?:\.\d+|\s+[13]\/[24])?\s*(?:feet|foot|ft|'))(?<=^\s*(?:at\s+)?~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?[\s,:]+(?:the\s+)?invert\s[^;]*)/gi,
    'depth ',
  ],
  [
    /(?<!\b(?:in|at|on|along)\s+(?:the\s+)?)\b(?:the\s+)?invert\s+(?:(?:is|at|about|~)\s*)*(?=\d+(?:\.\d+)?\s*(?:feet|foot|ft|'))/gi,
    ' ',
  ],
  doubleBend,
];

/** The same once numbers are digits: degrees, the bore of the main, how deep a cap is buried. */
export const pointFigures: readonly Idiom[] = [
  // "0 in at toilet", "0 went in through the cleanout": where the camera goes in.
  [
    /(?<=^\s*0(?:\.0)?\s+)(?:(?:we|i|camera|cam|went|going|goes|go|put|started?|starting|access(?:ed)?|entered|entering|pushed)\s+)*(?:in\s+)?(?:at|thru|through|from|via|by)\s+(?:the\s+|an?\s+)?(toilet\b(?!\s+flange)|(?=(?:[a-z]+\s+){0,2}(?:cleanout|clean\s?out|co\b|c\/o|vent|manhole|mh\b|flange)))/gi,
    ([, toilet = '']) => (toilet ? 'pulled toilet' : ''),
  ],
  // "26 out of house", "26 out from under slab", "26 thru wall": the building's wall.
  [
    /(?<=^\s*~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s*,?\s+)(?:(?:now|we're|we|goes|going|comes|coming|pipe|line|it|passes|passing)\s+)*(?:out\s+(?:of|from(?:\s+under)?)|leav(?:es|ing)|exits?|exiting|through|thru|past|under(?=\s+(?:the\s+)?(?:house|building|bldg)\b))\s+(?:under\s+)?(?:the\s+)?(?:house|building|bldg|slab|foundation|footing|(?:house\s+|foundation\s+|building\s+|exterior\s+|outside\s+)?wall)(?=\s*(?:$|[,;.]))/gi,
    'building',
  ],
  // "60 tie to city": the main.
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:ties?|tied|connects?|tie-in)\s+(?:in\s*)?(?:to\s+)?(?:the\s+)?city(?:\s+(?:main|sewer|line))?(?=\s*[.]?\s*$)`,
      'gi',
    ),
    'main',
  ],
  // "66 tap factory main", "66 saddle main": how the line is joined to it.
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:(?:factory|hammer|break-?\s?in|old)\s+)*(tap|saddle|wye)(?:\s*,?\s*(?:factory|hammer|break-?\s?in))*\s*,?\s+(?:(?:at|on|to|into)\s+)?(?:the\s+)?(?:city\s+)?main(?=\s*[.]?\s*$)`,
      'gi',
    ),
    ([, how = '']) => `${how} at the main`,
  ],
  // "55 lateral left capped", "55 capped lateral": another's, into this line.
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:(capped|live|active|dead|abandoned)\s+lateral(?=\s|$)|lateral(?=\s+(?:left|right|lt|rt|l|r|capped|live|active|dead|in\s+use|not\s+in\s+use|at\s+(?:1[0-2]|[1-9])\b|\d)))`,
      'gi',
    ),
    ([, state]) => (state === undefined ? 'branch' : `${state} branch`),
  ],
  // "0 tank side co"
  [
    /\b(?:(?:septic\s+)?(?:tank|house|street|city|sewer)[\s-]side|street|alley|parkway|landing)\s+(?=(?:cleanout|clean\s?-?out|co\b|c\/o))/gi,
    '',
  ],
  // "24 45 cracked", "the 90's cracked on the bottom", "30 broken 45 elbow": a bend and what is wrong with it.
  [
    new RegExp(
      String.raw`(?<=${placeFirst},?\s*)(?:(?:the|an?)\s+)?(22\.5|22|45|60|90)(?:\s*(?:deg(?:rees?)?|°))?(?:['’]s|\s+(?:is|has\s+an?|looks))?\s+(?=(?:all\s+|badly\s+)?${broken}\b)`,
      'gi',
    ),
    ([, degrees = '']) => `bend ${degrees} deg `,
  ],
  [
    new RegExp(
      String.raw`\b(?:the|that|this)\s+(22\.5|22|45|60|90)['’]s\s+(?=(?:got\s+an?\s+|all\s+|badly\s+)?${broken}\b)`,
      'gi',
    ),
    ([, degrees = '']) => `bend ${degrees} deg `,
  ],
  [
    new RegExp(
      String.raw`(?<=^\s*~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s*,?\s+(?:an?\s+)?)(${broken})\s+(22\.5|22|45|60|90)(?:\s*(?:deg(?:rees?)?|°))?(?:\s+(?:bend|elbow|ell|fitting|turn))?(?=\s*(?:[.]?\s*$|[,;]|on\b|at\s+the\b))`,
      'gi',
    ),
    ([, how = '', degrees = '']) => `${how} bend ${degrees} deg `,
  ],
  // "37 long radius 90", "lr 45"
  [
    /\b((?:long|short)(?:[\s-]+(?:radius|turn|sweep))?)\s+(11\.25|22\.5|22|45|90)(?:\s*(?:degrees?|bend|ell|elbow|sweep))*(?=\s*(?:$|[,;]|left\b|right\b|up\b|down\b|to\s+the\b))/gi,
    ([, how = '', degrees = '']) => `bend ${degrees} degrees ${quoted(how)}`,
  ],
  // "30 wall": of the house.
  [afterPlace(String.raw`(?:the\s+)?wall(?=\s*[.]?\s*$)`), 'house wall'],
  // "a bend, 22.5, at 39": how far it turns.
  [
    /\b(bend|turn|elbow|ell|sweep)\s*,\s*(?:an?\s+)?(11\.25|22\.5|22|45|90)\s*(?:degrees?\s*)?,?\s+(?=at\s+~?\d)/gi,
    ([, what = '', degrees = '']) => `${what} ${degrees} degrees `,
  ],
  // "a cleanout wye facing down": which way it takes a cable, no side of the pipe.
  [
    /\b(?:facing|faces|pointing|points|looking|looks|aimed)\s+(?:back\s+)?(?:up|down)(?=\s*(?:$|[,.;]))(?<=\b(?:cleanout|clean\s?-?out|co|wye)\b[^;]*)/gi,
    besideIt,
  ],
  // "main should be about 70", "main's probably another ten feet": nobody saw it.
  [
    /\b(?:the\s+)?(?:city\s+|street\s+)?main(?:'s|\s+is|\s+was)?\s+(?:should\s+be|ought\s+to\s+be|has\s+to\s+be|must\s+be|would\s+be|will\s+be|might\s+be|could\s+be|likely|probably|maybe|supposed\s+to\s+be|gonna\s+be|going\s+to\s+be)\b[^;.]*/gi,
    asNote,
  ],
  // "60, I can see the main", "coming up on the main": it is not reached yet.
  [
    /\b(?:(?:(?:there's|here's|and)\s+)?(?:the\s+|our\s+)?(?:city\s+|street\s+)?main(?:'s|\s+is)?\s+(?:(?:just|right|is|coming)\s+)*(?:coming\s+up|up\s+ahead|up\s+(?:here|there)|ahead)|(?:i|we|you)(?:\s+can)?\s+(?:(?:just|almost|now|already)\s+)*(?:see|make\s+out)\s+(?:the\s+|our\s+)?(?:city\s+|street\s+)?main(?=\W*$|\s+(?:up\s+)?(?:ahead|from\s+here|now|there)\b)|(?:almost|nearly|just\s+about|close\s+to|coming\s+up\s+(?:on|to)|getting\s+(?:close|near)(?:\s+to)?|approaching|nearing)\s+(?:at\s+|to\s+|in\s+|into\s+)?(?:the\s+|our\s+)?(?:city\s+|street\s+)?main)\b(?!\s+(?:line|clean))(?:\s+(?:up\s+)?(?:ahead|from\s+here|now|there))?/gi,
    asNote,
  ],
  // "main, it's a cored hole with a boot": how it was made, no hole.
  [
    /(?:,\s*)?\b(?:(?:it's|that's|with)\s+)?(?:an?\s+)?(?:(?:nice|clean|rough|good)\s+)?(?:cored|core[\s-]drilled|drilled|core)\s+hole\b(?:\s+with\s+an?\s+[a-z]+)?(?<=\b(?:tap|main|saddle|connection|tie|wye|tee)\b[^;]*)/gi,
    besideIt,
  ],
  // "two inch vent on top"
  [
    /\b(?<!\broof\s+)vent\s+(?=(?:on\s+(?:the\s+)?(?:top|left|right)|off\s+the\s+top|comes\s+in|ties?\s+in|at\s+the\s+top)\b)/gi,
    `tie in ${quoted('vent')} `,
  ],
  // "3 foot joints", "two foot sections": how long the pipes are.
  [
    /\b(?:(?:it's|it\s+is|they're|we've|it)\s+)?(?:got\s+|has\s+|have\s+|had\s+)?(?:\d+(?:\.\d+)?|one|two|three|four|five|six|eight|ten|twenty)[\s-]*(?:foot|ft|')\s+(?:joints|sections|lengths|sticks|pieces)\b(?!\s+(?:at|have|has|are|with)\b)(?:\s+from\s+here(?:\s+on)?)?/gi,
    (match) => (namesPipe.test(match.input) ? undefined : asNote(match)),
  ],
  // "54, city."
  [
    /(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,\s*)(?:(?:that's|there's|and|we're\s+at)\s+)*(?:the\s+)?(?:city|street)(?=\s*[.!]?\s*$)/gi,
    'main',
  ],
  // "downstream manhole number 2": its name, no reading.
  [
    /\b(manhole|mh|cleanout|tap|wye|tee|branch|lateral|bend|unit|pit)\s+(?:number|no\.|num)\s*(\d+[a-z]?)\b/gi,
    ([, what = '', number = '']) => `${what} ${quoted(`number ${number}`)}`,
  ],
  // "44 to the main is shared": whose it is, no reading of the main.
  [
    /(?<=\d\s*(?:feet|foot|ft)?\s*)(?:to|-|through|on\s+to|out\s+to)\s*(?:the\s+)?main\s+(?:(?:is|are|it's|that's|all)\s+)*(?:shared|common|joint|public|(?:the\s+)?(?:city|town|neighbor|association)(?:'s)?)\b/gi,
    asNote,
  ],
  // "live tap", "tap, 4 inch, active"
  [
    /\b(?:live|active|in\s+(?:use|service))\b(?=\s*(?:$|[,.;])|\s+(?:tap|wye|tee|lateral|branch|connection|saddle)\b)/gi,
    ({ 0: said, index, input }) => {
      const before = input.slice(0, index).split(';').at(-1) ?? '';
      const isOfBranch =
        /^\s+[a-z]/i.test(input.slice(index + said.length)) ||
        /\b(?:tap|wye|tee|lateral|branch|connection|saddle)\b/i.test(before);
      const isDenied = /¬|\b(?:not|no|isn't|doesn't|don't)\b/i.test(before);
      return isOfBranch && !isDenied ? `${quoted('in use')} ` : undefined;
    },
  ],
  // "that's the wye on the main", "a wye, going in to the main"
  [
    /\b(?:the\s+|our\s+|an?\s+)?(wye|y|tee|saddle|tap)\s*,?\s+(?:(?:that\s+|that's\s+|it's\s+|it\s+)?(?:going|goes|coming|comes|dropping|drops|dumping|dumps|tying|ties|right|headed)\s+)*(?:on|at|in(?:to)?(?:\s+to)?|onto|to)\s+(?:the\s+)?(?:(?:city\s+|street\s+|sewer\s+)?main|(?:city|street)\s+sewer)\b(?!\s+(?:line|clean))/gi,
    ([, how = '']) => `main ${how}`,
  ],
  // "82, saddle, main"
  [
    /(?<=\d(?:\s*(?:feet|foot|ft))?\s*,?\s+)(saddle|wye|tee|tap)\s*,\s+(?:(?:and\s+)?(?:the|that's\s+the|city)\s+)?main(?=\s*(?:$|[,.;]))/gi,
    ([, how = '']) => `main ${how}`,
  ],
  // "main at 59, saddle's good", "come into the main at 59, tap looks good": how it is joined to the main.
  [
    /\b(?:(?:it|we|line|that's|there's)\s+)?(?:(?:come|comes|coming|go|goes|drop|drops)\s+)?(?:into\s+)?(?:(?:the|our|city|street)\s+)*main\s+(?:is\s+)?(?:at|@)\s+(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,\s+((?:(?:and|with|it's|is|an?|the|our|looks\s+like|(?:we|it)\s+comes?\s+in\s+on|on|good|nice|clean|old)\s+)*(wye|tee|saddle|tap)(?:\s+(?:fitting|connection|tap))?(?:(?:'s|\s+is|\s+looks)(?:\s+[a-z]+){1,3})?)(?=\s*(?:$|[,.;]))/gi,
    ([, at = '', said = '', how = '']) => `${at} main ${how} ${quoted(said)}`,
  ],
  // "manhole to the first joint is 4 feet"
  [
    /^\s*(?:from\s+)?(?:the\s+)?(?:manhole|cleanout|access|cap|pit|wall)\s+to\s+(?:the\s+)?(?:first\s+|next\s+)?(joint|coupling|bend|wye|tee|tap)\s+is\s+(?:(?:about|maybe|~)\s*)*(?=\d)/gi,
    ([, what = '']) => `${what} at `,
  ],
  // "44 city tap 12:00 break in": how it was tapped.
  [
    /(?<=\b(?:(?:city|street|main)\s+)?(?:tap|connection|main)\b[^;]*)[\s,]+break-?\s?in(?=\s*(?:$|[,;]|1[0-2]|[1-9]:|at\s+\d))/gi,
    besideIt,
  ],
  // "49, city wye": where the line joins the main.
  [
    /\b(?:the\s+)?(?:city|street|main)(?:'s)?\s+(wye|tee|saddle)(?:\s*[,.]\s+that's\s+(?:the|our)\s+main)?(?=\s*(?:$|[,.;]))/gi,
    ([, how = '']) => `main ${how}`,
  ],
  // "connection at the main, wye fitting"
  [
    /\bmain\s*,\s+(?:(?:with|it's|is|an?|looks\s+like|(?:we|it)\s+comes?\s+in\s+on)\s+)*(wye|y|tee|saddle)(?:\s+(?:fitting|connection|tap))?(?:\s+(?:in|into|on)\s+(?:the|a)\s+(?:[a-z\d]+\s+){0,3}main)?(?=\s*(?:$|[,.;]))/gi,
    ([, how = '']) => `main ${how}`,
  ],
  // "reinstated branch, it's cut clean, full open": no open joint.
  [
    /,?\s+(?:(?:it's|it\s+is|is|and|this\s+one(?:'s|\s+is))\s+)*(?:(?:cut|opened|reinstated)\s+(?:out\s+)?(?:(?:nice\s+and\s+|real\s+)?(?:clean|good|fine|full|well))?|(?:full|wide|all\s+the\s+way)\s+open|(?:only\s+)?(?:cut|opened)\s+(?:only\s+)?(?:about\s+|~\s*)?(?:\d+\s*%|[1-3]\/[2-4]|[23]\s+(?:thirds|quarters)|half|halfway|part\s*way|a\s+third))(?:\s*,?\s+(?:and\s+)?(?:full|wide|all\s+the\s+way)\s+open)?(?=\s*(?:$|[,.;]))(?<=\b(?:branch|lateral|wye|tee|tap|tie[\s-]?in|reinstat[a-z]+|opening)\b[^;]*)/gi,
    besideIt,
  ],
  // "a lateral enters from the left", "a six inch line joins from the left", "two inch line tapped in on top"
  [
    /\b(?:(?:an?|another|the)\s+)?(?:(?:small|smaller|side|second)\s+)*((?:\d+|two|three|four|six|eight)\s*-?(?:inch|in|")\s+)?(?:lateral|branch|line|pipe|drain)\s+(?:enters|enter(?:ing|ed)|join(?:s|ing|ed)(?:\s+in)?|ti(?:es|ed)\s+in|tying\s+in|comes\s+in|coming\s+in|tap(?:s|ped)\s+in)\s+(?=(?:from|on|at)\s)/gi,
    ([said, size]) =>
      size !== undefined || /^(?:an?|another|the)\b/i.test(said) ? `${size ?? ''}tie-in ` : undefined,
  ],
  // "clay from 14.5 to the main at 61"
  [
    /\bto\s+the\s+(?:(?:city|street|sewer)\s+)?main\s+at\s+(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?<=\bfrom\s+~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s+to\s[^;]*)/gi,
    ([, at = '']) => `to ${at}; main at ${at}`,
  ],
  // "this one is only cut about two thirds"
  [
    /,?\s+(?:this\s+one(?:'s|\s+is)\s+|it's\s+)?only\s+(?:cut|opened)\s+(?:(?:about|maybe|~)\s*)*(?:\d+\s*%|[1-3]\/[2-4]|[23]\s+(?:thirds|quarters)|half(?:way)?|part\s*way)(?:\s+(?:open|out|of\s+the\s+way))?(?=\s*(?:$|[,.;]))/gi,
    ([said]) => `, ${quoted(said.replace(/^[\s,]+/, ''))}`,
  ],
  // "59.5, city"
  [
    /(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,\s+)(?:(?:and\s+)?(?:that's|there's|here's|it's)\s+)?(?:the\s+)?city(?:\s+(?:sewer|line))?(?=\s*$)/gi,
    'main',
  ],
  // "14.3 coming out from under the house"
  [
    /(?<=\d(?:\s*(?:feet|foot|ft))?\s*,?\s+)(?:(?:we're|it's|we|it|now|i'm)\s+)*(?:coming|comes|come|going|goes|popping|getting)\s+out\s+from\s+under(?:neath)?\s+(?:the\s+)?(?:house|slab|building|foundation|footing)\b/gi,
    'building',
  ],
  // "31, back under the house", "the wall of the house"
  [
    /\b(?:(?:and|now|so|okay)\s+)*(?:(?:we're|we\s+are|i'm|it's|we|it)\s+)?(?:(?:go|goes|come|comes|get|gets|going|coming)\s+)?(?:now\s+)?back\s+(?:in(?:to|side)?|under(?:neath)?)\s+(?:of\s+)?the\s+(?:house|building|slab|foundation)\b|\b(?:the\s+)?(?:outside\s+|front\s+|back\s+)?wall\s+of\s+the\s+(?:house|building)\b/gi,
    'building',
  ],
  // "17 feet, pipe passes through foundation wall"
  [
    /\b(?:(?:the\s+)?(?:pipe|line|we|it|camera)\s+)?(?:passes|passing|goes|going|comes|coming|exits|exiting|punches|runs)\s+(?:out\s+)?through\s+(?:the\s+)?(?:foundation|basement|house|building|outside|exterior|footing)(?:\s+wall)?\b/gi,
    'building',
  ],
  // "improper connection, abs to clay": how they are joined.
  [
    /\b(?:improper|bad|poor|illegal|incorrect|non[\s-]?standard)\s+connection\b(?=\s*(?:,|of|between))/gi,
    asNote,
  ],
  // "13.4 is the wall", "19's the wall", "43 we're at the wall", "43 goes under the slab"
  [
    /(?<=\d(?:\s*(?:feet|foot|ft))?)(?:'s|\s*,?\s+(?:(?:that's|that\s+is|is|here's|there's|(?:we're|i'm|we\s+are|camera's)\s+(?:at|under|up\s+to|coming\s+to))\s+)?)\s*(?:the|our|my|your)\s+(?:(?:foundation|house|basement|outside|exterior)\s+)?wall(?=\s*(?:$|[,.;]))/gi,
    ' building',
  ],
  [
    /(?<=\d(?:\s*(?:feet|foot|ft))?\s*,?\s+)(?:(?:it|she|pipe|line|we|now)\s+)*(?:goes|going|ducks|heads|passes|go)\s+(?:back\s+)?(?:in)?under(?:neath)?\s+(?:the\s+)?(?:slab|house|foundation|footing|building)\b/gi,
    'building',
  ],
  // "21 we change direction, 45 left", "34, 90, can't make the turn"
  [
    /\b(?:(?:we|it|she|line|pipe)\s+)?(?:changes?|switch(?:es)?)\s+(?:of\s+)?direction\s*,?\s+(?:(?:it's|to|an?)\s+)*(22\.5|22|45|60|90)(?:\s*(?:degrees?|°))?/gi,
    ([, degrees = '']) => `bend ${degrees} degrees`,
  ],
  [/\b(?:(?:we|it|she|line|pipe)\s+)?(?:changes?|switch(?:es)?)\s+directions?\b/gi, 'bend'],
  [
    /(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,\s+)(?:an?\s+)?(22\.5|45|90)(?:\s*(?:degrees?|°))?(?=\s*(?:$|,\s*(?:can't|cannot|won't|couldn't|hard|tight|to\s+the|left|right)))/gi,
    ([, degrees = '']) => `bend ${degrees} degrees`,
  ],
  // "property line should be about here, 17"
  [
    /\bproperty\s+line\s+(?:(?:should|would|ought|has|must|to)\s+)+be\s+(?:right\s+)?(?:(?:about|around|somewhere)\s+)*(?:here|there)\s*,?\s+(?=\d)/gi,
    'property line at ~ ',
  ],
  // "tap at 55, that's the city's"
  [
    /^\s*(?:the\s+)?tap\s+at\s+([a-z\d\s.-]+?)\s*,\s+(?:and\s+)?that's\s+the\s+(?:city's|city|(?:city\s+)?main)(?=\s*(?:$|[,.;]))/gi,
    ([, at = '']) => `at ${at} the main`,
  ],
  // "22, a 1 foot drop", "you drop down, looks like 1 foot drop", "there's a drop, about 1 foot"
  [
    /(?<=^\s*(?:at\s+)?~?\d[^;]*?)[\s,]+(?:(?:(?:you|it|we|line|pipe)\s+drops?\s+down|there's|it's|with|an?)[\s,]+)*((?:(?:looks\s+like|about|maybe|probably|~)\s*)*)(?:an?\s+)?(\d(?:\.\d+)?)\s*-?(?:foot|feet|ft)\s+drop(?!\s*(?:in\b|off\b|ceiling))\b|(?<=^\s*(?:at\s+)?~?\d[^;]*?)[\s,]+(?:there's\s+|it's\s+)?an?\s+drop\s*,\s*((?:(?:looks\s+like|about|maybe|probably|~)\s*)*)(\d(?:\.\d+)?)\s*(?:foot|feet|ft)(?=\s*(?:$|[,.;]))/gi,
    ([, hedged = '', high = '', hedge = hedged, fall = high]) =>
      ` drops ${hedge.trim() === '' ? '' : 'about '}${fall} ft`,
  ],
  // "22, a half foot drop", "22, a six inch drop"
  [
    /(?<=^\s*(?:at\s+)?~?\d[^;]*?)[\s,]+(?:(?:there's|it's|with|about|an?)\s+)*(?:half|0\.5|1\/2|½)(?:\s+an?)?\s*-?(?:foot|ft)\s+drop\b|(?<=^\s*(?:at\s+)?~?\d[^;]*?)[\s,]+(?:(?:there's|it's|with|about|an?)\s+)*6\s*-?in(?:ch)?\s+drop\b/gi,
    ' drops 0.5 ft',
  ],
  // "hard left at 39", "39, we hang a left\": a bend that nobody named.
  [
    /^\s*((?:at\s+)?~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+)(?:(?:it|we|you|goes|takes|take|makes|make|hangs|hang|there's|an?|to|the)\s+)*?(?:(?:hard|sharp|slight|easy|quick|slow|soft|gentle|tight)\s+(left|right)|hangs?\s+an?\s+(left|right))(?:\s+turn)?(?=\s*[.]?\s*$)/gi,
    ([, place = '', side = '', other = side]) => `${place}bends to the ${other}`,
  ],
  [
    /^\s*(?:hard|sharp|slight|easy|quick|slow|soft|gentle|tight)\s+(left|right)(?:\s+turn)?\s*,?\s+(?:(?:at|around|about)\s+)+(?=~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*[.]?\s*$)/gi,
    ([, side = '']) => `bends to the ${side} at `,
  ],
  // "an open wye": nothing closes it.
  [/\bopen\s+(wye|tee|lateral|branch|tap)\b/gi, ([, what = '']) => `${what} ${quoted('open')}`],
  [/\b(?:that\s+)?nobody\s+(?:ever\s+)?(?:capped|plugged|sealed)(?:\s+(?:off|up))?\b/gi, asNote],
  // "main's at 69, flow's going right to left, six inches deep": what runs in it.
  [
    /\b(?:(?:(?:i|we|you)\s+)?(?:can\s+)?see\s+)?(?:(?:the\s+)?flow(?:'s|\s+is)?|(?:(?:it's|it|water|she's|that's)\s+)?flowing)\s+(?:(?:going|moving|running|from|goes|runs)\s+)*(?:(?:right|left)\s+to\s+(?:the\s+)?(?:right|left)|(?:to\s+the\s+)?(?:right|left))\b/gi,
    asNote,
  ],
  // "in the main, running left to right", "plenty of flow, going right": what runs in it.
  [
    /\b(?:running|flowing|flows?|moving|going|runs|goes)\s+(?:from\s+)?(?:(?:my|the)\s+)?(?:left|right)\s+to\s+(?:(?:my|the)\s+)?(?:left|right)\b|(?<=\bmain\b[^;]*\b(?:flow|water)\s*,\s*)(?:it's\s+)?(?:going|running|moving|flowing)\s+(?:to\s+(?:the|my)\s+)?(?:left|right)\b|(?<=\bmain\b[^;]*)\b(?:it\s+)?(?:flows|flowing)\s+(?:off\s+)?to\s+(?:the|my)\s+(?:left|right)\b/gi,
    asNote,
  ],
  [
    /\b(?:(?:looks\s+like|about|maybe|flow(?:'s|ing)?|running|is|~)\s+)*(?<!\d\s*(?:'|feet|foot|ft)\s*)\d+(?:\.\d+)?\s*-?(?:in(?:ch(?:es)?)?\b|")\s+deep\b(?<=\bmain\b[^;]*)(?:\s+in\s+(?:there|it))?/gi,
    asNote,
  ],
  // "tee at 25, goes up, it's a cleanout"
  [
    /\b(?:tee|wye|combo)\b((?:\s+at\s+~?\s*\d+(?:\.\d+)?)?[^;\d]{0,40}?)[\s,]+(?:(?:it's|that's|which\s+is|is|it\s+is)\s+)(?:(?:just|really|probably)\s+)*(?:an?|the|our|your)\s+cleanout\b/gi,
    ([, rest = '']) => `cleanout${rest}`,
  ],
  // "cleanout buried about a foot"
  [
    new RegExp(String.raw`\bburied\s+${depthBelow}`, 'gi'),
    ([, deep = '']) => `buried ${quoted(`buried ${/\d/.test(deep) ? '' : '1 '}${deep.trim()}`)}`,
  ],
  [
    new RegExp(String.raw`\bburied\s+(cleanout|clean\s*-?\s*out|cap)\s+${depthBelow}`, 'gi'),
    ([, cap = '', deep = '']) => `buried ${cap} ${quoted(`${deep.trim()} down`)}`,
  ],
  // "main, 8 in clay", "8 in clay main": of what the main is, not our pipe.
  [
    new RegExp(
      String.raw`\b(${theMain})\b\s*,?\s*(?:it's\s+|is\s+|looks\s+like\s+|~\s*)*(?:an?\s+)?(\d+)\s*-?(?:in(?:ch)?\b|")\s+(${anyMaterial})\b(?!\s+(?:side|here|up|down|from|to)\b)`,
      'gi',
    ),
    ([, main = '', bore = '', pipe = '']) => `${main} ${bore} in ${quoted(pipe)}`,
  ],
  [
    new RegExp(String.raw`\b(\d+)\s*-?(?:in(?:ch)?\b|")\s+(${anyMaterial})\s+(${theMain})\b`, 'gi'),
    ([, bore = '', pipe = '', main = '']) => `${main} ${bore} in ${quoted(pipe)}`,
  ],
  // "40 is where it turns into a mess", "it turns ugly": no bend.
  [
    /\b(?:(?:is\s+where\s+)?(?:it|the\s+(?:pipe|line))\s+)?turns\s+(?:(?:in)?to\s+(?:an?\s+)?(?:(?:real|total|complete|bit\s+of\s+a)\s+)*(?:mess|disaster|nightmare|wreck|train\s+wreck)|(?:(?:real|pretty|kind\s+of)\s+)*(?:ugly|bad|nasty|rough))\b/gi,
    ([said]) => ` ${quoted(said)} `,
  ],
  // "22 90 down", "62 is a hard one, 90 degree going down": a bend, by its degrees and where it turns.
  [
    /(?<=(?:^|;)\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?(?:(?:'s|\s+is)\s+an?\s+(?:hard|tight|bad|sharp)\s+one)?\s*,?\s+(?:an?\s+)?(?:(?:hard|tight|sharp)\s+)?)(22\.5|45|90)(?:\s+degrees?)?(?=\s+(?:(?:turning|going|goes)\s+)?(?:down|up|left|right|to\s+the\s+(?:left|right))\b)/gi,
    ([, degrees = '']) => `bend ${degrees} degrees`,
  ],
  // "19, 45": a bend, by its degrees.
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?\s*,\s*)(22\.5|45|90)(?=\s*[.;]?\s*$)/gi,
    ([, degrees = '']) => `bend ${degrees} degrees`,
  ],
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
  doubleBend,
];
