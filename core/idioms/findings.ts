import { aNumber, tens } from '../number-words.js';
import { asNote, besideIt, type Idiom, quoted } from './traced-text.js';

const remains = String.raw`(?:pipe|room|opening|bore|space|wall|metal|iron|clay|bottom|clearance|gap|hole|diameter|it|that|capacity|flow|top)`;

const inchesLeft = String.raw`(?:(?:half\s+)?an?\s+inch|(?:an?\s+)?couple(?:\s+of)?\s+inches|${aNumber}[a-z\d\s./-]{0,20}?(?:inch(?:es)?|in\b|"|percent|%))`;

/** How large a finding is and how it lies; what is left of the bore is no size of it. */
export const findingIdioms: readonly Idiom[] = [
  // "we opened up the cleanout", "it opens back up": no gap.
  [
    /\b(?:(?:we|i|they|he)\s+)?open(?:ed|ing)?\s+(?:it\s+)?(?:up\s+)?(?=(?:the|this|that|a|his|her|their)\s+(?:[a-z]+\s+){0,2}(?:cleanout|clean\s+out|line|lid|cap|manhole|toilet|floor|sewer|system)\b)/gi,
    ' ',
  ],
  [
    /\b(?:(?:and|then|it|pipe|the\s+pipe|she|line)\s+)*opens?\s+(?:back\s+up(?:\s+again)?|up\s+again)\b/gi,
    asNote,
  ],
  // "offset, two inches, drops down on the city side": which way it is off, no drop of the line.
  [
    /\s*,?\s*\b(?:and\s+)?(?:it\s+|that\s+|pipe\s+)?(?:drops|dropped|steps|stepped|falls)(?:\s+down)?\s+(?:on|to|toward)\s+the\s+(?:city|street|main|house|downstream|upstream|far|other|low|outlet|outgoing)\s+side\b(?<=\b(?:offset|joint|displaced|separat\w+)\b[^;]*)/gi,
    besideIt,
  ],
  // "joint drops down about an inch"
  [
    /\bjoint\s+(?:that\s+)?drops(?:\s+(?:down|off))?\s+(?=(?:(?:about|maybe|around|like|a\s+good)\s+)*(?:(?:an?|half|quarter|three|one|two|and|\d[\d/]*)\s+)+(?:inch|of\s+an\s+inch))/gi,
    'dropped joint ',
  ],
  // "two inches of opening left", "nothing left", "only half the pipe left": what remains, no side.
  [
    new RegExp(
      String.raw`\s*,?\s*\b(?:(?:there's|there\s+is|is|and|with|maybe|about|only|just|like|barely|probably|got|have|has)\s+)*(?:nothing|none(?:\s+of\s+it)?|no\s+${remains}|(?:not\s+(?:much|a\s+(?:whole\s+)?lot)|(?:very\s+)?little|hardly\s+any(?:thing)?|barely\s+any(?:thing)?)(?:\s+(?:of\s+)?(?:the\s+|a\s+|our\s+)?${remains})*|(?:an?\s+)?(?:half|quarter|third)(?:\s+of)?\s+(?:the\s+|our\s+)${remains}|${inchesLeft}(?:\s+of\s+(?:the\s+)?${remains}(?=\s+left)|(?=\s+left\s+open)))\s+left\b(?!\s+(?:side|hand|wall))(?:\s+(?:open|here|there|of\s+it|to\s+work\s+with))?`,
      'gi',
    ),
    besideIt,
  ],
  // "clay's about an inch thick here"
  [
    /\b(?:(?:the\s+)?(?:pipe|wall|clay|iron|shell|host\s+pipe)(?:'s|\s+is|\s+wall\s+is)?\s+)(?:(?:about|maybe|only|like|around)\s+)*[a-z\d./]+(?:\s+[a-z\d./]+){0,3}?\s*(?:inch(?:es)?|in|")\s+thick\b(?:\s+(?:here|there))?/gi,
    asNote,
  ],
  // "it's lost about a quarter of its height": alone, of what was just named.
  [
    /\b(?:it|she|(?:the\s+)?pipe)(?:'s|\s+has|\s+is)\s+lost\s+([^;,\d]*?\b(?:half|quarter|third|fifth|percent)|[^;,\d]*?\d+\s*(?:%|percent))\s+of\s+(?:its|the)\s+(?:height|shape|diameter|roundness|bore)(?:\s+(?:there|here))?\b/gi,
    ({ 1: share = '', index, input }) =>
      `${/\w/.test(input.slice(0, index)) ? 'deformed ' : ''}${share} of the pipe`,
  ],
  // "there's where it came from, 31, whole side's missing"
  [
    /^\s*(?:and\s+)?(?:there's|that's|here's|this\s+is)\s+where\s+(?:it|that|they|those|all\s+that)\s+(?:came|comes|is\s+coming|'s\s+coming|fell)\s+(?:from|out\s+of)\s*,\s*/gi,
    '',
  ],
  // "chunk out of the pipe at 2 o'clock, size of my palm"
  [
    /\b(?:an?\s+)?(?:(?:big|small|little|good|whole)\s+)*(?:chunk|piece)\s+(?:(?:is|that's|knocked|broken|busted|gone|missing)\s+)*(?:out\s+of|gone\s+from|missing\s+from)\s+(?:the|this)\s+(?:pipe|wall|side)\b/gi,
    'hole',
  ],
  // "you can see rock": through the wall
  [
    /\b(?:you|i|we)\s+can\s+see\s+(?:(?:the|some|bare)\s+)*(?:rock|bedding|ground|earth)\b(?=\s*(?:$|[,.;]|through\b|outside\b|behind\b))/gi,
    'dirt showing',
  ],
  // "26 rooted joint", "joint's rooted"
  [
    /\brooted\s+(joints?)\b|\b(joints?)(?:'s|\s+is)?\s+rooted\b/gi,
    ([, one, other = '']) => `roots in ${one ?? other}`,
  ],
  // "all the joints 12 through 20 are rooted"
  [/\b(?:are|is)\s+(?:all\s+|pretty\s+|really\s+)*rooted(?:\s+(?:up|in|over))?\b/gi, 'have roots'],
  // "almost half", "dropped about an inch": of what was just named.
  [/^\s*(?:almost|nearly|about|maybe|probably)\s+half(?=\W*$)/gi, '50%'],
  [
    /^\s*(?:it\s+|it's\s+)?(?:dropped|drops|down|lowered)\s+(?=(?:about|maybe|a|an|half|quarter|three|one|two|\d)[^;,]*\binch(?:es)?\W*$)/gi,
    '',
  ],
  // "whole side's missing on the right"
  [
    /\b(?:the\s+)?(?:whole|entire)\s+(?:side|wall)(?:'s|\s+is)\s+(?:all\s+)?(?:gone|missing)(?:\s+(?:on|of)\s+(?:the\s+)?(left|right))?\b/gi,
    ([, side = '']) => `hole ${side === '' ? quoted('whole side') : `on the ${side}`}`,
  ],
  // "pulled apart, you can see a half inch of mud": how far it is open.
  [
    /\b(?:you|i|we)\s+(?:can\s+)?see\s+(?:(?:about|maybe)\s+)*((?:an?|half\s+an|a\s+half|a\s+quarter|\d+(?:\/\d+)?|one|two|three)\s*-?\s*inch(?:es)?)\s+of\s+(?:the\s+)?(?:mud|dirt|soil|ground|clay)\b(?<=\b(?:apart|separated|open|gapped)\b[^;]*)/gi,
    ([, wide = '']) => wide,
  ],
  // "open about an inch, you can see dirt on the bottom": soil outside, none in the pipe.
  [
    /\b(?:you|i|we)\s+can\s+see\s+(?:the\s+)?(?:dirt|soil|ground|mud|bedding)\s+(?:on|at|in|through)\s+(?:the\s+)?(?:bottom|top|left|right|side|it|there)\b(?<=\b(?:open|apart|separated|gapped|gap|missing)\b[^;]*)/gi,
    asNote,
  ],
  // "roots hanging out of it": nothing ends there.
  [
    /\b(hanging|coming|growing|sticking|poking|dangling|pushing|spilling)\s+(?:down\s+)?out\s+of\s+(?:it|them|that|there|this)\b(?<=\broots?\b[^;]*)/gi,
    ([, how = '']) => how,
  ],
  // "the bottom's a quarter inch high on the clay side": a lip there.
  [
    /\b(?:the\s+)?(?:bottom|invert|it)(?:\s+is|'s)\s+(?:(?:maybe|about|like)\s+)*((?:an?|half\s+an|a\s+half|a\s+quarter|a\s+quarter\s+of\s+an|three\s+quarters?\s+of\s+an|three\s+eighths?|\d+(?:\/\d+)?|one|two)\s*-?\s*inch(?:es)?)\s+(?:high|higher|proud)(?:\s+on\s+(?:the|this|that)\s+([a-z]+(?:\s+[a-z]+)?)\s+side)?(?=\s*(?:$|[,.;]))/gi,
    ([, high = '', side]) =>
      `lip ${high}${side === undefined ? '' : ` ${quoted(`higher on the ${side} side`)}`}`,
  ],
  // "the pipe's high on the far side by about half an inch"
  [
    /\b(?:the\s+)?(?:pipe|bottom|invert|other\s+side)(?:\s+is|'s)\s+(?:high|higher|proud)\s+on\s+(?:the|this|that)\s+([a-z]+(?:\s+[a-z]+)?)\s+side\s*,?\s+(?:by\s+)?(?=(?:(?:about|maybe|around)\s+)*(?:an?|half|three|\d+(?:\/\d+)?|one|two)\b[^;,.]*\binch)/gi,
    ([, side = '']) => `lip ${quoted(`higher on the ${side} side`)} `,
  ],
  // "the coupling's a little off"
  [
    /\b(?:the|that|this)\s+(?:coupling|joint|hub|band)(?:\s+is|'s)\s+(?:(?:just|a)\s+)*(little|tad|bit|hair|touch|touch)(?:\s+bit)?\s+off(?=\s*(?:$|[,.;]))/gi,
    'slight offset',
  ],
  // "cracked down the spine"
  [
    /\bcracked\s+(?:(?:right|straight|all\s+the\s+way)\s+)?(?:down|along)\s+(?:the|its)\s+(?:(?:whole|entire)\s+)?(?:spine|middle|length|center)(?:\s+of\s+it)?\b/gi,
    'longitudinal crack',
  ],
  // "a crack that starts at the crown and comes around to three o'clock"
  [
    /\b(?:that\s+|it\s+)?(?:starts|begins)\s+(?:at|on)\s+(?:the\s+)?(?:(?:crown|top)\b|([a-z\d]+)\s+o'?\s?clock)\s*,?\s+and\s+(?:it\s+)?(?:comes|goes|runs|wraps|works|curls)\s+(?:(?:all\s+the\s+way|around|round|down|over)\s+)*to\s+(?:about\s+)?(?=[a-z\d]+\s+o'?\s?clock\b)/gi,
    ([, hour = '12']) => `from ${hour} o'clock to `,
  ],
  // "pipe's sheared, it's over half an inch to the right"
  [
    /\b(?:the\s+)?(pipe|joint|line|hub|bell)(?:'s|\s+is|\s+has)\s+(?:been\s+|all\s+)?sheared(?:\s+off)?(?:\s*,\s+(?:it's|it\s+is|and|moved|shoved|kicked)\s+(?:moved\s+|shoved\s+)?over\s+(?=half|a\b|an\b|three|one|\d))?/gi,
    ([, what = '']) => (/joint|hub|bell/i.test(what) ? 'offset joint ' : 'offset '),
  ],
  // "from nine o'clock over the top to three"
  [
    /\b(?:(?:goes|runs|is|it's)\s+)?from\s+([a-z\d]+)(?:\s+o'?\s?clock)?\s+(?:all\s+the\s+way\s+)?(?:up\s+|right\s+)?(?:over|across|through|around)\s+(?:the\s+)?(?:top|crown)\s+(?:and\s+)?(?:(?:down|over|around)\s+)*to\s+([a-z\d]+)(?:\s+o'?\s?clock)?(?=\s*(?:$|[,.;]))/gi,
    ([, from = '', to = '']) => `from ${from} o'clock to ${to} o'clock`,
  ],
  // "it flattens out, top's down an inch and a half"
  [
    /\b(?:(?:the\s+)?(?:pipe|line)|it)\s+(?:flattens|squashes|pinches|squeezes)\s+(?:out|down)?\s*,\s*(?:the\s+)?(?:top|crown|roof)(?:\s+is|'s)\s+(?:(?:coming|pushed|pressed|caving|squashed)\s+)?(?:down|in)\b[^;.]*/gi,
    ([said]) => `deformed ${quoted(said)}`,
  ],
  // "nine, eleven, thirteen, all three joints have roots"
  [
    /\ball\s+(?:two|three|four|five|six|seven|of\s+(?:the|those|them|these)|those|these|the)\s+(?:joints|hubs|bells)\s+(have|had|has|got|with|show(?:ed|ing)?)\s+(?=[a-z])(?<=(?:\d|[a-z])\s*,\s+(?:and\s+)?all\s[^;]*)/gi,
    ([, have = '']) => `all ${have} joint `,
  ],
  // "17 is broke"
  [
    /(?<=\b(?:is|it's|pipe's|that's|joint's|all|bell's)\s+|,\s*)broke(?:\s+up)?(?=\s*(?:$|[,.;]))/gi,
    'broken',
  ],
  // "concrete's eaten up on the bottom, I can see rock"
  [
    /\b(?:[a-z]+\s+)?[a-z]+(?:\s+is|'s)\s+(?:all\s+)?(?:eaten|rotted|rusted|worn|corroded)\s+(?:(?:up|away|out|down)\s+)*(?:on|in|at|along|across)\s+(?:the\s+)?(?:bottom|invert)\b/gi,
    'worn bottom',
  ],
  [
    /,\s+(?:and\s+)?(?:you|i|we)\s+(?:can\s+)?see\s+(?:the\s+|some\s+)?(?:rocks?|gravel|dirt|soil|sand|ground|aggregate|stones?)(?=\s*(?:$|[.;]))(?<=\b(?:worn\s+bottom|bottom\s+(?:is\s+)?(?:all\s+)?(?:rotted|rusted|eaten))\b[^;]*)/gi,
    besideIt,
  ],
  // "big tree root, it's like my wrist"
  [/\btree\s+(?=roots?\b)/gi, ''],
  [
    /,\s+(?:it's\s+|about\s+)?(?:like|as\s+(?:big|thick)\s+as|the\s+size\s+of)\s+(?:my|your|a)\s+(?:wrist|arm|finger|thumb|leg|pencil|broom\s*(?:stick|handle))(?=\s*(?:$|[,.;]))(?<=\broots?\b[^;]*)/gi,
    besideIt,
  ],
  // "roots thru crack": both are there.
  [
    /\b(?:thru|through)\s+(?=(?:crack|hole|break)\s*(?:$|[,;]))(?<=\b(?:roots?|rts)\s+(?:thru|through)\s+)/gi,
    'through the ',
  ],
  // "pinhole leak"
  [/\b(pin\s?hole)\s+leak\b/gi, ([, hole = '']) => `${hole} ${quoted('leaking')}`],
  // "25 drop joint": the joint is off, the line does not drop.
  [/\bdrop\s+(joint|hub|bell)\b/gi, ([, joint = '']) => `dropped ${joint}`],
  // "a hole with a crack running out of it both ways"
  [
    /\b(cracks?)\s+(?:running|going|coming|shooting|spreading)\s+(?:off|out)\s+(?:of\s+)?(?:it|there|that)(?:\s+(?:both|each|either)\s+ways?)?/gi,
    ([, crack = '']) => crack,
  ],
  // "it's broke clean in half"
  [/\b(?:broke|broken|snapped|cracked)\s+(?:clean\s+|right\s+)?in\s+(?:half|two)\b/gi, 'broken'],
  // "an inch gap and it's dropped an inch": the far side, no drop of the line.
  [
    /(?:,\s*|\s+)(?:and\s+)?(?:it's|it\s+has|the\s+(?:pipe|other\s+side|far\s+side)(?:'s|\s+has|\s+is)?)\s+dropped\s+(?:about\s+|maybe\s+)?((?:an?|half\s+an|a\s+half|\d+(?:\/\d+)?|one|two)\s*-?\s*inch(?:es)?)\b(?<=\b(?:gap|broken?|apart|separated|joint)\b[^;]*)/gi,
    ([, far = '']) => `, offset ${far}`,
  ],
  // "it's not round anymore"
  [/\b(?:not|no\s+longer)\s+round\s*(?:any\s?more)?\b/gi, 'out of round,'],
  // "a piece of the bell's broke off and it's lying in the pipe"
  [
    /\b(?:an?\s+)?(?:piece|chunk)\s+of\s+(?:the\s+)?(bell|hub|joint|pipe)(?:'s|\s+is|\s+has)?\s+(?:broke|broken|fallen|come|snapped)\s+off\b(?:\s*,?\s+and\s+(?:it's|is)\s+(?:laying|lying|sitting|down)\b[^;.]*)?/gi,
    ([said, what = '']) => `broken${what === 'pipe' ? '' : ' at the joint'} ${quoted(said)}`,
  ],
  // "hole 4 in dia"
  [/(?<=\d\s*(?:"|in\b|inch\b))\s*dia(?:m(?:eter)?)?\b\.?/gi, ''],
  // "gap, inch wide"
  [/(?<=,\s*)inch\s+(?=(?:wide|open|gap|across)\b)/gi, '1 inch '],
  // "the bottom drops out of view": no drop of the line.
  [
    /\b(?:the\s+)?(?:bottom|floor|invert)\s+(?:(?:just|kind\s+of)\s+)?(?:drops|falls|goes|disappears|drop)\s+(?:out|away|off)\s+(?:of\s+(?:view|sight)|on\s+(?:me|us))\b/gi,
    asNote,
  ],
  // "starts at the bell and runs back toward me about two feet": how it lies.
  [
    /\b(?:it\s+)?(?:starts|begins)\s+(?:at|in)\s+the\s+(?:bell|joint|hub)\s+and\s+(?:it\s+)?(?:runs|goes|comes)\s+(?:back\s+)?(?:toward|towards|to|away\s+from)\s+(?:me|us|the\s+camera)\b[^;.]*/gi,
    asNote,
  ],
  // "root curtain again, not as thick"
  [
    /\s*,?\s+(?:but\s+)?not\s+(?:as|so|quite\s+as|nearly\s+as)\s+(?:thick|heavy|bad|big|much)\b(?<=\b(?:roots?|scale|grease|curtain|again|same)\b[^;]*)/gi,
    besideIt,
  ],
  // "fat roots", "roots again, fat"
  [/\bfat\s+(?=roots?\b)|\bfat(?=\s*(?:$|[,.;]))(?<=\broots?\b[^;]*)/gi, 'heavy '],
  // "crack runs to the joint at twenty five": as far as that.
  [
    /\b(?:it\s+)?(?:runs|goes|extends|continues)\s+(?:on\s+|out\s+|back\s+|all\s+the\s+way\s+)*to\s+the\s+(?:next\s+)?(?:joint|hub|bell|coupling)\s+at\s+/gi,
    'to ',
  ],
  // "that joint has dropped, three quarters of an inch drop": how large it is.
  [
    /\b(?:(?:the|that|this)\s+)?joint(?:'s|\s+has|\s+is)?\s+(?:dropped|settled|sunk)\s*,?\s+((?:(?:about|maybe|a|an|one|half|three|quarter|quarters|two|and|of|inch|inches|\d+|\d\/\d)\s+)+)drop(?=\s*(?:$|[.;]))/gi,
    ([, size = '']) => `offset joint, ${size}`,
  ],
  // "just stubble left": what is left of them, no side.
  [
    /\b(?:just\s+|only\s+|some\s+|a\s+(?:little|few|bit(?:\s+of)?)\s+)*(?:stubble|stubs|whiskers|fuzz|hairs?|bits|strands|remnants)\s+left\b(?!\s+(?:side|hand))/gi,
    asNote,
  ],
  // "34 drops into a hole"
  [
    /\b(?:it\s+|pipe\s+|camera\s+)?(?:drops|falls|dropped|fell)\s+(?:off\s+)?into\s+an?\s+(?=(?:big\s+|large\s+)?(?:hole|void)\b)/gi,
    ' ',
  ],
  // "a hole that's five feet of pipe gone": how long it is.
  [
    new RegExp(
      String.raw`\s*,?\s+(?:that's\s+|which\s+is\s+)?((?:about\s+|maybe\s+)?(?:\d+(?:\.\d+)?|${aNumber})\s+(?:feet|foot|ft))\s+of\s+(?:the\s+)?pipe\s+(?:(?:is|that's|just|all)\s+)*(?:gone|missing)\b(?<=\b(?:hole|void|collapse|broken)\b[^;]*)`,
      'gi',
    ),
    ([, long = '']) => ` ${long} long`,
  ],
  // "on the sides, nine and three, maybe ten percent each side"
  [
    /\b(?:on|at|along)\s+(?:the\s+|both\s+)?sides\s*,?\s+(?:at\s+)?(?:nine\s+and\s+three|three\s+and\s+nine|9\s+and\s+3|3\s+and\s+9)(?:\s+o'?\s?clock)?\b/gi,
    'both sides',
  ],
  [/\bbroke\s+up\b(?<=\b(?:is|it's|was|pipe|all)\s+(?:all\s+)?broke\s+up)/gi, 'broken up'],
  // "it's in pieces, all four quarters"
  [/\s*,?\s+all\s+(?:four|4|three|3)\s+(?:quarters|quadrants|sides)\b/gi, ' all around'],
  // "offset, bottom's dropped an inch or so": how far it is off.
  [
    /,\s*(?:and\s+)?(?:the\s+)?(?:bottom|pipe|far\s+side|other\s+side|it)(?:'s|\s+is|\s+has)?\s+(?:dropped|settled|sunk|down)\s+(?:by\s+)?(?:(?:about|maybe|around)\s+)*((?:an?|half\s+an|a\s+half|a\s+quarter|three\s+quarters?\s+of\s+an|\d+(?:\/\d+)?|one|two)\s*-?\s*inch(?:es)?)(?:\s+or\s+so)?\b(?<=\boffset\b[^;]*)/gi,
    ([, far = '']) => ` ${far}`,
  ],
  // "roots are back"
  [
    /\b(roots?)\s+(?:are|is|have\s+come|have\s+grown)\s+(?:already\s+|right\s+)?back(?:\s+(?:again|already|in))*(?=\s*(?:$|[,.;]|at\b))/gi,
    ([, roots = '']) => `${roots} ${quoted('grown back')}`,
  ],
  // "roots are coming back in already": no way back of the camera.
  [
    /(?<!\band\s+)\b(?:(?:they|they're|they've|it's|it)\s+)?(?:(?:are|is|have|has|'ve)\s+)?(?:already\s+|just\s+)?(?:coming|come|came|growing|grown|grew)\s+(?:right\s+)?back(?:\s+in)?(?:\s+already)?\b(?<=\broots?\b[^;]*)/gi,
    besideIt,
  ],
  // "the pipe is gone on the bottom"
  [
    /(?<!\bof\s+(?:the\s+)?)\b(?:the\s+)?(?:pipe|wall|iron|metal)\s+is\s+(?:all\s+|just\s+|completely\s+|totally\s+)*(?:gone|missing|rotted|eaten|rusted)(?:\s+(?:out|away|through))?\s+(?:on|at|along|in)\s+the\s+bottom\b/gi,
    'bottom gone',
  ],
  // "cast iron's flaking pretty bad"
  [
    /\b(?:the\s+)?(?:cast\s+iron|cast|iron|pipe|metal|wall)(?:'s|\s+is)\s+(?:(?:all|really|pretty)\s+)*(?:flaking|scaling|scaly|pitted|pitting)(?:\s+(?:off|up))?(\s+(?:pretty\s+|really\s+)?(?:bad(?:ly)?|heavy|heavily))?(?=\s*(?:$|[,.;]|\bfrom\b|\bat\b|\d))/gi,
    ([, bad]) => (bad === undefined ? 'scale' : 'heavy scale'),
  ],
  // "stepped up too, by about three eighths": the same joint is offset as well.
  [
    /^\s*(?:(?:and|it's|it\s+is|that's|joint\s+is|joint's)\s+)*(?:stepped|dropped|stepping|shifted)\s+(?:(?:up|down|over|to\s+the\s+(?:left|right))\s+)?(?:too|also|as\s+well)\s*,?\s+(?:by\s+)?/gi,
    'offset, ',
  ],
  // "spider cracks", "spidering", "top and both sides"
  [
    /\bspider(?:(?:ed|ing|webbed|webbing)(?:\s+(?:cracks?|fractures?))?|(?:\s?webs?)?\s+(?:cracks?|cracking|cracked|fractures?))\b/gi,
    'several cracks',
  ],
  [/\b(?:at\s+|on\s+)?(?:the\s+)?(?:top|crown)\s+and\s+both\s+sides\b/gi, asNote],
  // "a gap you could lose a quarter in": no measure.
  [
    /\b(?:that\s+)?you\s+(?:could|can|'d)\s+(?:(?:almost|easily|just\s+about)\s+)?(?:lose|fit|put|stick|stuff|slide|get|drop|drive|throw)\s+(?:an?|your|my|two)\s+[a-z]+\s+(?:in|through|into|down|inside)(?:\s+(?:it|there|that))?\b/gi,
    asNote,
  ],
  // "pipe's down to maybe a three inch": what is left of the bore.
  [
    /,?\s*\b(?:the\s+)?(?:pipe|line|it|bore)(?:'s|\s+is)\s+(?:(?:down|choked|closed|narrowed|necked)\s+)+to\s+(?:(?:maybe|about|like|around|only)\s+)*(?:an?\s+)?(?:one|two|three|\d(?:\.\d+)?)(?:\s+and\s+an?\s+half)?\s*-?\s*(?:inch(?:es)?|in\b|")(?:\s+(?:pipe|hole|opening|line))?(?<=\b(?:scale|scaled|tuberculation|grease|roots?|rust|corrosion|debris|deposits?|build\s?-?up)\b[^;]*)/gi,
    besideIt,
  ],
  // "roots covering about half": of the pipe.
  [
    /\b(?:covering|blocking|filling|closing|choking|taking\s+up|restricting)\s+(?:up\s+|off\s+)?(?:(?:about|around|maybe|like|almost|nearly|probably|~)\s*)*(?:an?\s+|one\s+)?(half|third|quarter)(?=\s*(?:$|[,.;]))(?<=\b(?:roots?|grease|scale|debris|wipes|mud|sand|gravel)\b[^;]*)/gi,
    ([, share = '']) => `, a ${share} of the pipe`,
  ],
  // "corroded bottom"
  [/\b(?:badly\s+|heavily\s+|all\s+)?(?:corroded|rusty|rusted)\s+(?=(?:bottom|invert)\b)/gi, 'worn '],
  // "it's just stuck in there with mortar"
  [
    /\b(?:(?:and|it's|it\s+is|is|was|just)\s+)*(?:stuck|shoved|jammed|stuffed|set)\s+in\s+(?:there|it|the\s+(?:hub|bell|pipe|clay))\s+with\s+(?:some\s+)?(?:mortar|concrete|cement|tape|foam|caulk|silicone|mastic|grout|oakum|rags?)\b/gi,
    asNote,
  ],
  // "the liner's got a bulge"
  [
    /\b(?:the\s+)?liner(?:'s|\s+is|\s+has)?\s+(?:(?:got|has|bulging|bulged|a|out|up)\s+)*(?:bulg(?:e|es|ed|ing)|lifting|lifted)(?:\s+(?:up|out|in|off))?\b/gi,
    'blister',
  ],
  // "a crack that wraps the pipe"
  [
    /\b(?:that\s+)?(?:wraps|goes|runs|circles|rings)\s+(?:(?:all\s+the\s+way|clear|completely|right)\s+)?(?:around\s+)?(?:the\s+(?:whole\s+|entire\s+)?pipe|the\s+whole\s+thing)(?<=\b(?:crack|fracture)[a-z]*\b[^;]*(?:wraps|circles|rings|around)\b[^;]*)/gi,
    'all the way around',
  ],
  // "the channel's all the way through, I see gravel"
  [
    /\b(?:the\s+)?(?:channel|groove|trough|bottom|invert|rust)(?:ing)?(?:'s|\s+is|\s+has|\s+goes)?\s+(?:(?:gone|worn|eaten|rusted|rotted|cut)\s+)?(?:all\s+the\s+way|clear|clean|right|completely)\s+through\b(?:\s*,\s+(?:(?:i|you|we)\s+(?:can\s+)?)?sees?\s+(?:the\s+)?(?:gravel|dirt|soil|sand|rock|mud|ground))?/gi,
    'bottom gone',
  ],
  // "none of em huge"
  [
    /,?\s*\b(?:none|not\s+one)\s+of\s+(?:them|'?em|these|those)(?:'s|\s+(?:are|is|were|was|real(?:ly)?|too|very|that|all\s+that))*\s+(?:huge|big|bad|large|heavy|terrible|major|serious)\b/gi,
    besideIt,
  ],
  // "a bell that's chipped"
  [
    /\b(bell|hub|spigot|rim)\s*,?\s+(?:(?:that's|is|it's|that\s+is|looks)\s+)*chipped\b/gi,
    ([, part = '']) => `chipped ${part}`,
  ],
  // "the top of the pipe is missing"
  [
    /\b(?:the\s+)?(?:whole\s+|entire\s+)?(top|crown|(?:left|right)\s+(?:side|wall))(?:\s+of\s+(?:the|this|our)\s+(?:pipe|line))?(?:'s|\s+is)?\s+(?:just\s+|completely\s+|all\s+)*(?:missing|gone)\b/gi,
    ([, where = '']) => `hole ${/^(?:top|crown)/i.test(where) ? 'at the top' : `on the ${where}`}`,
  ],
  // "there's an opening at the joint"
  [
    /\b(?:an?\s+)?(?:(?:small|little|big)\s+)?opening\s+(?:at|in)\s+(?:the|that|this)\s+joint\b/gi,
    'open joint',
  ],
  // "stubs, 5 %", "14, stubs, and the joint's got a gap": what is left of the roots, no connection.
  [
    /\b(?:root\s+)?stubs?\s*,?\s+(?=(?:(?:maybe|about|only|around|like|~)\s+)*(?:\d+|five|ten|fifteen|twenty|thirty)\s*(?:%|percent))/gi,
    'roots ',
  ],
  [
    /(?<=,\s+(?:(?:just|some|more|a\s+few|little|short)\s+)*)(?:root\s+)?stubs(?=\s*(?:$|[,.;]))/gi,
    'root stubs',
  ],
  // "the next pipe's shifted down, looks like 3/4 of an inch"
  [
    /\b(?:(?:the|next|whole|far|downstream)\s+)*(?:pipe|joint|section|piece|side)(?:'s|\s+is|\s+has)\s+(?:shifted|dropped|slipped|moved|lower|higher|sitting\s+(?:lower|higher))(?:\s+(?:down|over|up|sideways))?[\s,]+(?=(?:(?:looks\s+like|about|maybe|by|almost|a\s+good|at\s+least)\s+)*(?:half|three|a\s+quarter|an?(?=\s+inch)|one|two|an\s+eighth|\d)[a-z\d\s/.-]*(?:inch|in\b|"))/gi,
    ([said]) => (/\bjoint\b/i.test(said) ? 'offset joint ' : 'offset '),
  ],
  // "jetter knocked a piece out at thirty, top of the pipe", "a piece is knocked out of the top"
  [
    /\b(?:(?:the\s+)?(?:jetter|cutter|cable|auger|chain|blade|machine|somebody|they|it)\s+)?(?:knocked|took|punched|busted)\s+an?\s+(?:piece|chunk)\s+out(?:\s+of(?=\s+the\s+(?:top|crown|side|bottom|left|right)\b))?/gi,
    (match) => (/\s+of$/i.test(match[0]) ? 'a hole in' : 'a hole'),
  ],
  [/\ban?\s+(?:piece|chunk)(?:'s|\s+is|\s+got)\s+(?:knocked|punched)\s+out\s+of(?=\s+the\b)/gi, 'a hole in'],
  // "bottom's eaten away, you're looking at dirt"
  [
    /\b(?:bottom|invert)(?:'s|\s+is)\s+(?:all\s+)?(?:eaten|rotted|worn|rusted)(?:\s+(?:away|out|through))?\s*,?\s+(?:and\s+)?(?:(?:you're|i'm|we're)\s+looking\s+at|(?:you|i|we)\s+(?:can\s+)?see|down\s+to)\s+(?:the\s+|just\s+)?(?:dirt|ground|soil|gravel|mud)\b/gi,
    'bottom is gone',
  ],
  // "the roots at nineteen are gone", "nineteen, the roots are out of there now"
  [
    /^\s*(?:(?:the|that|those)\s+)?(roots?(?:\s+ball)?|grease|scale|debris|obstruction|blockage)\s+(?:(?:we|i)\s+had\s+)?at\s+([a-z\d\s.-]+?)(?:'s|\s+is|\s+are)\s+(?:all\s+)?(?:gone|cleared|out\s+of\s+(?:there|here))(?:\s+now)?(?=\s*(?:$|[,.;]))/gi,
    ([, what = '', at = '']) => `at ${at} no ${what}`,
  ],
  [
    /(?:\bthe\s+)?\b(roots?|grease|scale|debris)\s+(?:is|are)\s+(?:all\s+)?(?:cleared\s+out|out\s+of\s+(?:there|here))(?:\s+now)?(?=\s*(?:$|[,.;]))/gi,
    ([, what = '']) => `no ${what}`,
  ],
  // "crack follows the pipe"
  [/\bfollows\s+(?:the\s+)?pipe\b(?<=\b(?:crack|fracture)[a-z]*\b[^;]*)/gi, 'runs along the pipe'],
  // "the joint that's shifted"
  [
    /\b(?:is\s+)?(?:the|a|that|this)\s+joint\s+(?:that's|that\s+is|that\s+has|which\s+is|is|has)\s+(?:shifted|dropped|stepped|moved|slipped)\b/gi,
    'joint offset',
  ],
  // "it's a circle crack"
  [
    /\b(?:circle|ring|circular|full[\s-]circle)\s+(crack|fracture)\b/gi,
    ([, what = '']) => `${what} all the way around`,
  ],
  // "lateral's broke"
  [
    /\b(?:the\s+)?(?:pipe|line|lateral)(?:'s|\s+is)\s+(?:broke|busted|all\s+broke\s+up)\b(?!\s+(?:off|in|out|through))/gi,
    'broken pipe',
  ],
  [
    /\b(?:you|i|we)\s+can\s+hear\s+(?:the\s+)?(?:gravel|rocks?|dirt|pieces|glass)(?:\s+under\s+the\s+(?:skid|camera|head|wheels))?/gi,
    asNote,
  ],
  // "there's a chunk gone"
  [
    /\b(?:an?\s+)?(?:(?:big|small|little)\s+)?(?:chunk|piece|section)(?:'s|\s+is)?\s+(?:gone|missing|broke(?:n)?\s+out|knocked\s+out)\b(?!\s+(?:of|from)\b)/gi,
    'hole',
  ],
  // "bad pipe, it's in pieces"
  [
    /\b(?:bad\s+pipe\s*,?\s+)?(?:(?:it's|it\s+is|pipe's|is|all)\s+)*in\s+(?:pieces|shards|chunks)\b(?!\s+(?:of|\d))/gi,
    'broken pipe',
  ],
  // "the bottom is worn through, I see sand"
  [
    /\b(?:the\s+)?(?:bottom|invert)(?:'s|\s+is|\s+has)?\s+(?:(?:all|completely|totally|been)\s+)*(?:worn|eaten|rusted|rotted|channeled)\s+(?:all\s+the\s+way\s+|clear\s+|right\s+)?(?:through|out)\b(?:\s*,\s+(?:i|you|we)\s+(?:can\s+)?see\s+(?:the\s+)?(?:sand|dirt|soil|gravel|mud|rocks?|ground))?/gi,
    'bottom gone',
  ],
  // "a chip out of the bell"
  [
    /\b(?:has\s+|got\s+|with\s+)*(?:an?\s+)?(?:(?:little|small|big)\s+)?(?:chip|chunk|bite|divot)\s+(?:is\s+|broke(?:n)?\s+|knocked\s+|missing\s+|gone\s+)*(?:out\s+of|off|from)\s+(?:of\s+)?(?:the\s+|that\s+|its\s+)?(?:bell|hub|spigot|lip|edge|joint|rim)(?:\s+(?:there|here))?\b/gi,
    ([said]) => `broken ${quoted(said.trim())}`,
  ],
  // "roots just starting" begin no stretch.
  [
    /\b(roots?|scale|grease|wipes|corrosion|rust)\s+(?:(?:are|is|that's|that\s+are)\s+)?just\s+(?:starting|beginning|getting\s+started|getting\s+going)(?:\s+to\s+(?:come|grow|get)(?:\s+in)?)?(?:\s+(?:in|there|here))?(?=\s*(?:$|[,.;]))/gi,
    ([, what = '']) => `light ${what}`,
  ],
  // "roots, little worse" are not little.
  [
    /,?\s*\b(?:a\s+)?(?:little|bit|tad|lot|touch)\s+(?:bit\s+)?(worse|heavier|thicker|bigger|more)(?=\s*(?:$|[,.;]))(?<=\b(?:roots?|scale|grease|debris|cracks?|offset|belly|gap)\b[^;]*)/gi,
    ([, how = '']) => ` ${quoted(`a little ${how}`)}`,
  ],
  // "it's maybe 70 % of what it should be"
  [
    /\b(?:(?:maybe|about|around|probably|like)\s+)*([a-z]+|\d+)\s*(?:%|percent)\s+of\s+(?:what\s+it\s+(?:should|ought\s+to|used\s+to)\s*(?:be)?|its\s+(?:original|full|true|proper)\s+(?:size|shape|diameter|bore))/gi,
    ([said, share = '']) => {
      const left = Number(share) || 20 + 10 * tens.indexOf(share.toLowerCase());
      return left >= 20 && left < 100 ? `${100 - left}%` : quoted(said);
    },
  ],
  // "crushed 50 %", "flattened to half": out of round by that much.
  [
    /\b(?:crushed|squashed|squished|flattened|deformed)\s*,?\s+(?:(?:down|in|by|to|about|around|maybe|~)\s*)*(half|\d+\s*(?:%|percent))(?:\s*way\b)?(?!\w)/gi,
    ([said, share = '']) => `deformation ${share === 'half' ? '50%' : share} ${quoted(said.trim())}`,
  ],
  // "the joint's out of line, down, 3/4"
  [
    /\b(?:the\s+)?joint(?:'s|\s+is)?\s+out\s+of\s+(?:line|alignment)\s*,?\s+(?:(?:it's\s+)?(up|down|left|right)\s*,\s*)?/gi,
    ([, way = '']) => `offset joint ${way === '' ? '' : quoted(way)} `,
  ],
  // "fitting's not seated, gap on the bottom": a joint that is open.
  [
    /\b((?:the\s+)?(?:fitting|spigot|pipe|joint|coupling|bend|elbow|wye|tee)(?:(?:'s|\s+is|\s+was|\s+are)?\s+(?:not|never)|\s+isn't|\s+wasn't)\s+(?:(?:fully|quite|even|all\s+the\s+way)\s+)?(?:seated|home|bottomed\s+out|(?:pushed|shoved|driven)\s+(?:all\s+the\s+way\s+)?(?:in|home)|all\s+the\s+way\s+in|glued(?:\s+(?:in|up))?))(?:\s*,\s*(?:(?:there's|with|and)\s+)?(?:an?\s+)?gap\b)?/gi,
    ([, said = '']) => `open joint ${quoted(said)} `,
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
  // "I can see rust through"
  [/\brusts?[\s-]+(?:holes?\s+)?through(?=\s*(?:$|[,.;]|at\b|on\b|in\b|here\b|there\b))/gi, 'rusted through'],
  // "bottom's thin", "bottom's paper thin"
  [
    /\b(?:the\s+)?bottom(?:\s+is|'s)?\s+(?:(?:getting|pretty|real(?:ly)?|very|awful|kind\s+of|paper|razor|wafer)[\s-]+)*thin(?:ned|ning)?(?:\s+out)?\b/gi,
    'worn bottom',
  ],
  // "missing top"
  [
    /\bmissing\s+(?:the\s+)?(?:top|crown|roof)\b(?!\s+(?:of\s+the\s+)?(?:cap|cleanout|riser))/gi,
    'top is gone',
  ],
  // "see gravel", "can see the sky": through the pipe.
  [
    /\b(see(?:s|ing)?)\s+(?:some\s+|the\s+)?(?:gravel|bedding|daylight|sky|soil)\b(?!\s+(?:in|on|along|laying|lying)\b)/gi,
    ([, see = '']) => `${see} dirt`,
  ],
  // "that's half your pipe"
  [
    /\b(half|a\s+third|a\s+quarter)\s+(?:of\s+)?your\s+(?:pipe|line)\b/gi,
    ([, share = '']) => `${share} of the pipe`,
  ],
  // "pipe's broke here"
  [
    /\b(?:the\s+)?(?:pipe|line|joint|hub|bell|it)(?:'s|\s+is|\s+has)?\s+broke(?=\s*(?:$|[,.;]|here\b|there\b|at\b|on\b|in\b))/gi,
    'broken',
  ],
  // "a hub that's pulled, three eighths"
  [
    /\b(?:hub|bell|joint)(?:(?:'s|\s+(?:that's|that\s+is|is|has|looks|been|got))\s*)*\s+pulled(?:\s+(?:apart|open|back|out|loose))?(?=\s*(?:$|[,;.\d½¼¾]|about|maybe|by|an?\b|half|call))/gi,
    'separated joint',
  ],
  // "chip missing out of the bell", "piece gone off the hub"
  [
    /\b(?:(?:there's|an?|small|little|big)\s+)*(?:chip|piece|chunk)\s+(?:is\s+)?(?:missing|gone|broken|broke)\s+(?:out\s+of|off\s+of|off|from|in)\s+(?:the\s+)?(bell|hub|joint|spigot)\b/gi,
    ([, part = '']) => `broken piece missing ${quoted(part)}`,
  ],
  // "high joint 1/2"
  [/\b(?:high|low|raised|dropped|stepped)\s+joint\b/gi, 'offset joint'],
  // "ABS, glued joints, all good"
  [/\b(?:glued|solvent[\s-]?welded|gasketed|rubber\s+gasket)\s+joints\b(?!\s+(?:at|from)\b)/gi, asNote],
  // "joint off 1/2", "joint shifted", "joint off to the left a half"
  [
    /\bjoint\s+(?:is\s+|has\s+)?(?:off|shifted|slipped)(?:\s+by)?((?:\s+to)?(?:\s+the)?\s+(?:left|right))?(?=\s*(?:$|[,;.]|~?[\d½¼¾]|half|about|maybe|an?\b))(\s*,?\s+(?:about\s+|maybe\s+)?a\s+half(?=\s*$))?/gi,
    ([, side = '', half]) => `offset joint ${side}${half ? ' half inch' : ''} `,
  ],
  // "joint's wide open, inch and a half"
  [
    /\b(?:(?:wide|gaping|way)[\s-]+open|gaping)\s+(?:joint|hub|bell)\b|\b(?:joint|hub|bell)\s+(?:is\s+)?(?:(?:just|real(?:ly)?|pretty)\s+)*(?:(?:wide|gaping|way)[\s-]+open|gaping)\b/gi,
    'open joint',
  ],
  [
    /\b(deflected|bent|angled|chipped)\s+(joint|bell|hub)\b|\b(joint|bell|hub)\s+(?:is\s+)?(deflected|bent|angled|chipped)\b/gi,
    ([, how, part, same, then]) => `${part ?? same ?? ''} ${quoted(how ?? then ?? '')}`,
  ],
  // "that joint's got a chip out of it"
  [
    /\b(?:(?:is|has|have|with|got)\s+)*an?\s+(?:(?:small|little|big|tiny)\s+)?(?:chip|nick)(?:\s+(?:out\s+of|in|off)\s+(?:it|the\s+[a-z]+))?(?=\s*(?:$|[,.;]|at\b|around\b))/gi,
    ([said]) => quoted(said.replace(/^(?:(?:is|has|have|with|got)\s+)*/i, '').trim()),
  ],
  // "the pipe's in two pieces, shoved over an inch"
  [
    /\b(?:(?:pipe|joint|line|it)\s*(?:is|'s)\s+)?(?:broken\s+|broke\s+)?in(?:to)?\s+(?:two|2|three|3|several)\s+pieces\b/gi,
    'broken',
  ],
  [
    /(?:,\s*|;\s*)?\b(?:(?:and|it's|is|pipe's|been|has|got)\s+)*(?:shoved|kicked|knocked|pushed|bumped)\s+over\b(?=\s*(?:$|[,.;]|by\b|about\b|maybe\b|~|half\b|an?\b|[\d½¼¾]|one\b|two\b|to\s+the\b))/gi,
    ({ index, input }) =>
      /\b(?:broken|broke|crack\w*|hole|collaps\w*|roots?)\b/i.test(input.slice(0, index))
        ? '; offset'
        : ' offset',
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
    ({ 1: one = '', 2: other, 3: another, index, input }) =>
      // "water 1/3": a share of the pipe.
      /^[12]$/.test(one) && other === '3' && !/\bcrack|fractur/i.test(input.slice(0, index))
        ? undefined
        : `at ${one} o'clock and ${other ?? another ?? ''} o'clock`,
  ],
  // "holding water, inch or so"
  [/(?<![\d½¼¾]\s*|\b(?:half|quarter|a|an|one|two|three)\s+)inch\s+or\s+so\b/gi, '1 inch'],
  // "it's six inch here": the pipe, not what was found in it.
  [
    /\b(?:it's|this\s+is|that's|pipe's|pipe\s+is|we're\s+in)\s+(?:an?\s+)?(?:3|4|6|8|10|12|three|four|six|eight)[\s-]*inch(?:es)?\s+(?:pipe|line|here|now)\b(?:\s+(?:here|now))?(?=\s*(?:$|[,;.]))/gi,
    asNote,
  ],
  // "scale down to 3 inches", "only 2 in open": what is left of the bore, not how thick.
  [
    /\b(?:(?:reduc|narrow|clos|chok|neck)(?:es|ed|ing|e|s)?\s+(?:the\s+)?(?:pipe\s+|line\s+|bore\s+|opening\s+|it\s+)?(?:down\s+)?|(?<=\b(?:scale|grease|deposits?|build-?up|roots|rust|tuberculation)\s+)(?:has\s+it\s+|is\s+)?down\s+)to\s+(?:about\s+|maybe\s+|~\s*)?(?:an?|one|two|three|half\s+an|\d+(?:[./]\d+)?)\s*(?:inch(?:es)?|in\b|")(?!\s+(?:pvc|abs|sdr|sch|clay|cast|ci\b|vcp|plastic|iron|hdpe|poly|steel|concrete|pipe))(?:\s+(?:opening|open|clear))?/gi,
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
  // "roots from the neighbor's willow"
  [
    /(?<=\broots?\s+)(from\s+(?:(?:the|a|an|that|big)\s+)*(?:neighbou?r'?s?\s+)?(?:[a-z]+\s+)?(?:tree|hedge|bush|shrub|oak|maple|willow|elm|pine|ficus|poplar|birch)s?)\b/gi,
    asNote,
  ],
  [
    /\b(?:can't|cannot|couldn't|can\s+not|hard\s+to)\s+(?:really\s+)?(?:tell|say|see)\s+how\s+(?:bad|much|big|many|deep|wide|long|far)\b[^;,]*/gi,
    asNote,
  ],
  [/\bgrease\s+(?:band|ring|line|streak|shelf|ledge)\b/gi, 'grease'],
  [/\bto\s+(?:the\s+)?spring\s?line\b/gi, '50%'],
  [/\bdisjoint(?:ed)?\b/gi, 'separated'],
];
