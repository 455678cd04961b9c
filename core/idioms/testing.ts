import { aNumber } from '../number-words.js';
import { asNote, quoted, type Idiom } from './traced-text.js';

const whose = String.raw`(?:(?:the|a|an|my|your|his|her|their|our|that|upper|lower|back|front|other|(?:first|second|third)\s+floor)\s+)*`;
const fixture = String.raw`(?:(?:(?:upstairs|downstairs|guest|master|hall|half|basement|kitchen|bath|bathroom|laundry|garage|main|powder|island|bar|prep|utility|mop|floor|area|yard|roof|storm|deck|patio)\s+)*(?:sink|bath(?:room|tub)?|tub|shower|toilet|commode|lav|faucet|washer|washing\s+machine|dishwasher|kitchen|laundry|downspout|gutter|roof\s+leader|water\s+heater|powder\s+room|(?<=\b(?:floor|area|yard|roof|storm|deck|patio)\s+)drain)s?)`;
/** Where water was run "in". */
const room = String.raw`(?:${fixture}|(?:garage|basement|house|(?:[a-z]+\s+)?room)\b)`;
const into = String.raw`(?:(?:in|into|down|from|at|through|to|on|out\s+of|inside)\s+)?`;
const someone = String.raw`(?:(?:somebody|someone|he|she|they|we|i|you|go\s+ahead\s+and|can\s+you|could\s+you|please|let's|let|have|had|got|him|her|them|guy|customer|helper|okay|now|just|again|then|to|did|a|the|another)\s+)*`;

/** What was sent down, and nothing since with a place of its own. */
const begun = new RegExp(String.raw`\b(?:flush\w*|dye|water\s+test)\b(?:(?!${aNumber})[^;.])*$`, 'i');
const isBegun = ({ index, input }: RegExpExecArray): boolean => begun.test(input.slice(0, index));
const leftOut = (match: RegExpExecArray): string | undefined => (isBegun(match) ? '' : undefined);
const after =
  (words: string) =>
  (match: RegExpExecArray): string | undefined => {
    if (isBegun(match)) return ` ${words} `;
    const [sent] = /\b(?:dye|flush)\b/i.exec(match[0]) ?? [];
    return sent === undefined ? undefined : ` ${sent.toLowerCase()} ${words} `;
  };

/** "Toilet" alone would be a fixture met in the pipe; a flush is of a toilet unless another is named. */
const from = (what: string) => {
  if (what === '' || /^(?:toilet|commode)s?$/i.test(what)) return '';
  return ` ${what.replace(/^bath$/i, 'bathroom')}`;
};
/** What was sent, and the fixture that is matched first. */
const sent =
  (what: string, went = '') =>
  ([, ...fixtures]: RegExpExecArray): string =>
    `${what}${from(fixtures.find(Boolean) ?? '')} ${went}`;

const told = String.raw`(?:(?:and|but|so|now|then|okay|ok|yeah|yep|well|there|here)\s*,?\s+)*(?:(?:it|that|the\s+(?:water|dye|flush|paper)|water|dye|paper|everything|all\s+of\s+it)(?:'s|\s+is|\s+was|\s+has|\s+just)?\s+)?(?:(?:is|was|just|all|right|still|really|kind\s+of|pretty\s+much)\s+)*`;
const lead = String.raw`\s*,?\s*\b${told}`;
const saw = String.raw`(?:i|we|you)(?:'ve|\s+can|\s+could)?\s+(?:see|saw|seen|watch|watched)\s+(?:it|(?:the\s+)?(?:dye|water|flush))`;
const past = String.raw`(?:(?:the|my|our)\s+(?:camera|head|lens)|me|us|here|there)`;
const notYet = String.raw`(?:does|did|do|is|was|has|have|am|are|were|can|could)(?:n['’]?t|\s+not)`;
const trail = String.raw`(?:\s+(?:at\s+all|in|out|up|through|thru|by|past|down|here|there|yet|anything|any\s+(?:of\s+it|water|dye)|it|the\s+(?:dye|water)|on\s+this\s+line)\b)*`;

/** How a test went, in the order to look for it: each may begin with what another one is. */
const outcomes: readonly Idiom[] = [
  // "nothing comes", "doesn't show here", "never saw any", "no dye"
  [
    new RegExp(
      String.raw`${lead}(?:nothing(?:'s|\s+is)?(?:\s+(?:comes|came|coming|shows|showed|showing|arrives|arrived|happens|happened))?|${notYet}\s+(?:come|coming|show|showing|arrive|arriving|make\s+it|see|seeing|seen|get|getting|reach)|(?:i'm\s+|we're\s+)?not\s+(?:coming|showing|seeing|arriving|getting)|never\s+(?:comes|came|shows|showed|arrives|arrived|made|makes|saw|see|gets|got|seen)|no\s+(?:dye|water|sign\s+of\s+(?:it|the\s+dye|the\s+water)))\b${trail}`,
      'gi',
    ),
    after('does not arrive'),
  ],
  // "backs up", "stands", "drains slow", "doesn't go down"
  [
    new RegExp(
      String.raw`${lead}(?:(?:back(?:s|ed|ing)|fills|filled|filling)\s+(?:right\s+)?up|(?:stands|stood|standing|sits|sat|sitting|stays|stayed|pools|pooled|holds|held|holding)(?:\s+(?:still|there|here|in\s+(?:it|the\s+pipe)|up|water))*(?!\s+(?:from\s+|at\s+)?${aNumber})|(?:runs|ran|drains|drained|draining|goes|went|going|moves|moving)\s+(?:(?:off|away|down|out|through|by|real|really|very|pretty|kind\s+of)\s+)*(?:slow(?:ly)?|sluggish(?:ly)?)|${notYet}\s+(?:drain|draining|run|running|go|going|move|moving|get|getting|clear|clearing|pass|passing)|(?:won't|can't)\s+(?:drain|run|go|move|get|clear))\b(?:\s+(?:away|off|down|out|anywhere|through|by|past)\b)*(?:\s+(?:behind|because\s+of|on|at)\s+(?=the\s+[a-z]))?`,
      'gi',
    ),
    (match) =>
      after(/\b(?:behind|of|on|at)\s+$/.test(match[0]) ? 'does not run away;' : 'does not run away')(match),
  ],
  // "comes past the camera": it came, and ran on
  [
    new RegExp(
      String.raw`${lead}(?:comes|came|coming|(?:here|there)\s+(?:it|she)\s+(?:goes|comes|went)\s*,?)\s+(?:(?:right|on|straight|all)\s+)*(?:past|by)\b(?:\s+${past}\b)?(?:\s+(?:fine|good|okay|well|fast))?`,
      'gi',
    ),
    after('arrives runs away'),
  ],
  // "ran right past", "goes by", "drains fine", "it's taking it", "no backup"
  [
    new RegExp(
      String.raw`${lead}(?:(?:${saw}\s+(?:go|run|flow|move)|runs|ran|running|goes|went|going|gets|got|flows|flowed|flowing|moves|moved|moving|shoots|shot|flies|washes|washed|passes|passed|passing)\s+(?:(?:right|on|straight|all|just|real|really|good|freely|nicely|clean|clear|the\s+way)\s+)*(?:past|by|through|thru|away|off|down|along|out)\b(?:\s+(?:${past}|it|the\s+(?:line|pipe|belly|water|main)))?|(?:drains|drained|draining|runs|ran|flows|flowed|clears|cleared|moves|moved|passes|passed|(?:is|was|looks)\s+(?=good|fine|ok))(?:\s+(?:right|real|really|pretty|just|away|off|out|down|through))*(?:\s+(?:fine|good|okay|ok|well|great|fast|freely|quick(?:ly)?|nice(?:ly)?))?|(?:it's\s+)?(?:takes|taking|took)\s+(?:it|(?:the\s+)?water)|no\s+back\s*up|good\s+flow|flows?\s+(?:is\s+)?good)\b(?:\s+(?:fine|good|okay|ok|well|fast|freely|nice(?:ly)?))?`,
      'gi',
    ),
    after('runs away'),
  ],
  // "it comes in here", "shows up", "here comes the water", "there it is"
  [
    new RegExp(
      String.raw`${lead}(?:(?:comes|came|coming|arriv(?:es|ed|ing)|shows|showed|showing|shown|appears|appeared|pops|popped|makes\s+it|made\s+it)(?:\s+(?:right|on|up|in|out|through|thru|here|there|down|at\s+me|to\s+(?:me|us))\b)*|(?:here|there)\s+(?:it|she)\s+(?:is|goes|comes|came|was)|(?:here|there)\s+(?:comes|goes|came)\s+(?:the\s+|some\s+|our\s+)?(?:water|dye|flush|paper)|(?:${saw}|(?:i|we)\s+(?:got|have)\s+(?:it|(?:the\s+)?(?:dye|water)))(?:\s+(?:come|coming))?(?:\s+(?:in|through|here|there)\b)*)\b`,
      'gi',
    ),
    after('arrives'),
  ],
];

/** Water or dye sent down from a fixture, and what comes of it where the camera is. */
export const testingIdioms: readonly Idiom[] = [
  // "cleanout flush with grade", "joint is flush": how it lies, no test.
  [
    /\b(?:(?:is|sits|set|lies|fits)\s+(?:pretty\s+|nice\s+and\s+)?flush\b(?:\s+(?:with|to|against)\s+(?:the\s+)?[a-z]+)?|(?:cap\s+|lid\s+)?flush\s+(?:with|to|against)\s+(?:the\s+)?[a-z]+|flush[\s-]+(?:mount(?:ed)?|cap|cover|plug|lid)\b)/gi,
    asNote,
  ],
  [/\b(?:toilet|commode)\s+flush(?:es|ed|ing)?\b/gi, 'flush'],
  [/\bgood\s+flush\b/gi, 'flush runs away'],
  [
    /\bflush(?:ed|ing)?\s+(?:(?:some|a|wad|bunch|lot|little|of|toilet)\s+)*paper\b/gi,
    `flush ${quoted('paper')}`,
  ],
  [
    new RegExp(
      String.raw`\b${someone}flush(?:ed|ing|es)?\s+(?:(?:it|that|test|twice|again|once)\b\s*)*(?:${into}${whose}(${fixture})\b)?`,
      'gi',
    ),
    sent('flush'),
  ],
  // "put some red dye in the floor drain"
  [
    new RegExp(
      String.raw`\b${someone}(?:(?:put|poured|dropped|dumped|sent)\s+)?(?:(?:some|the|red|green|blue|yellow|bright)\s+)*dye(?:\s+test)?\s+(?:tablets?\s+)?${into}${whose}(${fixture})\b`,
      'gi',
    ),
    sent('dye'),
  ],
  // "ran the kitchen sink", "running water in the tub", "hose in the downspout", "poured a bucket down"
  [
    new RegExp(
      String.raw`\b${someone}(?:ran|run|running|turned\s+on|turn\s+on|filled|emptied|dumped|drained|opened)\s+(?:(?:(?:some|the|a\s+(?:lot|bunch|little)\s+of)\s+)*(?:water|hose)\s+${into}${whose}(${room})|${whose}(${fixture})\b(?:\s+water\b)?)`,
      'gi',
    ),
    sent('water test'),
  ],
  [
    new RegExp(
      String.raw`\b${someone}(?:(?:put|stuck|ran|run|running|with)\s+)?(?:(?:a|the|garden)\s+)*hose\s+(?:running\s+)?(?:in|into|down|on|at)\s+${whose}(?:(${fixture})|cleanout|access|roof|vent|stack)\b`,
      'gi',
    ),
    sent('water test'),
  ],
  [
    new RegExp(
      String.raw`\b${someone}(?:poured|dumped|threw|sent|pour)\s+(?:(?:a|some|two|three|five|few|couple|of|gallon|five-gallon|big)\s+)*(?:bucket|gallons?|water)(?:s?\s+of\s+water)?(?:\s+(?:down|in|into|through)\b(?:\s+${whose}(?:(${fixture})|cleanout|access|line|it)\b)?)?`,
      'gi',
    ),
    sent('water test'),
  ],
  [
    new RegExp(
      String.raw`\b${someone}(?:ran|run|let)\s+(?:some\s+|the\s+|a\s+little\s+)?water(?:\s+test)?(?:\s+(?:down|through)\s+(?:it|the\s+(?:line|pipe)))?\b(?!\s*(?:line|main|pipe|service))`,
      'gi',
    ),
    'water test ',
  ],
  // "kitchen sink water arriving", "the washer is draining here"
  [
    new RegExp(
      String.raw`\b(?:water\s+from\s+)?${whose}(${fixture})\s+(?:(?<=\bwater\s+from\s[^;,]*)|water\s+)(?=(?:is\s+|was\s+)?(?:com(?:es|ing)|came|arriv|show|run|ran|drain|goes|went|going))`,
      'gi',
    ),
    sent('water test'),
  ],
  [
    new RegExp(
      String.raw`\b${whose}(${fixture})(?:'s|\s+is|\s+was)\s+(?:draining|running|dumping|emptying)(?:\s+(?:in|out|through|here|right\s+here)\b)*`,
      'gi',
    ),
    sent('water test', 'arrives '),
  ],
  // "ran the tub for five minutes"
  [
    /\s*,?\s*\bfor\s+(?:(?:about|a|good|couple|few|of|like)\s+)*[a-z\d]+\s+(?:minutes?|mins?|seconds?|hours?)\b/gi,
    leftOut,
  ],
  // "flush a toilet and see if it clears": how it went is said next.
  [
    /\b(?:and\s+)?(?:let's\s+|let\s+me\s+|we'll\s+|i'll\s+|i\s+want\s+to\s+|to\s+)?see\s+(?:if|whether|what|how|where)\s+(?:it|that|the\s+(?:water|dye|flush)|water|anything)\b[^;.,]*/gi,
    leftOut,
  ],
  ...outcomes,
];
