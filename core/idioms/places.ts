import { anyMaterial } from './pipes.js';
import { bendToSide } from './points.js';
import { aNumber, ones } from '../number-words.js';
import { afterPlace, asNote, besideIt, type Idiom, placeFirst, quoted } from './traced-text.js';

/** What was read before, once more, as large as a word says. */
const sameSized = (how: string): string =>
  `same thing, ${/^(?:light|small|thinn?(?:er)?$)/i.test(how) ? 'small' : 'large'}`;

/** "14, 17 and another at 20" */
const listOfPlaces = String.raw`\d+(?:\.\d+)?(?:\s*(?:,\s*(?:and\s+)?|\band\s+)(?:(?:another|again|↻)\s+(?:one\s+)?)?(?:at\s+)?\d+(?:\.\d+)?)+`;
/** How large each of several is: "light", "all hairline", "20 % each". */
const ofEach = String.raw`(?:(?:all|each|both|they're|are|is|about|pretty|very|really|real|fairly|mostly|just|~)\s*)*(light|heavy|medium|moderate|small|minor|slight|fine|large|big|severe|hairline|\d+(?:\s*(?:-|to)\s*\d+)?\s*(?:%|percent\b)|(?:half\s+an?|half|a\s+quarter|[\d./]+)\s*(?:in(?:ch(?:es)?)?\b|"))(?:\s+(?:each|ones|all))*`;
/** The same without the words between. */
const onlyPlaces = (list: string) => list.replaceAll(/\b(?:at|another|one|again)\s+|↻\s*/g, '');

/** "half an inch", "1.5 in" */
const depthInches = String.raw`(?:half(?:\s+an?)?|an?|\d[\d./]*)\s*-?(?:in(?:ch(?:es)?)?\b|")`;
/** "about 3 o'clock", "3": the hour that something reaches, no feet or inches. */
const hourReached = String.raw`(?:(?:about|like|maybe|~)\s*)*(1[0-2]|[1-9])\b(?!\s*(?:[.]\d|feet|foot|ft|'|in\b|inch|"|%|percent))(?:\s*o'clock)?`;
const aroundBetween = ([, from = '', to = '']: RegExpExecArray): string => `${from} to ${to} o'clock around`;

/** From one end to the other, at every joint, the same again, so many feet later. */
export const stretchIdioms: readonly Idiom[] = [
  // "root, same on 17"; "same as 5" is no hour.
  [new RegExp(String.raw`\bsame\s+(?:thing\s+|deal\s+)?on\s+(?=${aNumber})`, 'gi'), 'same thing at '],
  [
    new RegExp(
      String.raw`(?<=[a-z]\s*,\s*)(?:the\s+)?same\s+as\s+(?:the\s+(?:one|other)\s+)?(?:(?:at|on)\s+)?(?=${aNumber})[a-z\d. -]+?(?=\s*(?:$|[,;]|\.(?!\d)))`,
      'gi',
    ),
    asNote,
  ],
  // "water, and it doesn't let go until 31"
  [
    /(?:,\s*)?\b(?:(?:and|it|i|we|that)\s+)*(?:doesn't|does\s+not|don't|do\s+not|didn't|did\s+not|won't)\s+(?:let\s+(?:go|up)|clear(?:\s+up)?|end|quit|stop|(?:come|get)\s+out(?:\s+of\s+(?:it|that|the\s+water))?)\s+(?:until|till|til)\s+/gi,
    ' to ',
  ],
  // "same amount at 21"
  [new RegExp(String.raw`\bsame\s+(?:size|amount|share)\s+at\s+(?=${aNumber}|\d)`, 'gi'), 'same thing at '],
  // "crack down the right side, maybe three feet of it"
  [
    new RegExp(
      String.raw`,?\s+(?:(?:maybe|about|around|probably|roughly|like|and)\s+)*(${aNumber}(?:\s+and\s+a\s+half|\.\d+)?)\s*(?:feet|foot|ft)\s+of\s+(?:it|that)\b`,
      'gi',
    ),
    ([, long = '']) => ` for ${long} feet`,
  ],
  [
    /,?\s+(?:(?:maybe|about|around|probably|roughly|like|and)\s+)*a\s+(?:good\s+)?foot(\s+and\s+a\s+half|\s+or\s+so)?\s+of\s+(?:it|that)\b/gi,
    ([, more = '']) => ` for ${/half/i.test(more) ? '1.5' : '1'} feet`,
  ],
  // "goes another three feet"
  [
    /^\s*(?:(?:and|it|that)\s+)*(?:goes|runs|continues|lasts)\s+(?:on\s+)?(?:for\s+)?another\s+(?=[a-z\d. -]{1,20}\s(?:feet|foot|ft)\b)/gi,
    'goes for ',
  ],
  // "each one of the joints from 3 to 9 has roots"
  [/\b(?:each|every)\s+(?:single\s+)?one\s+of\s+(?:the|these|those)\s+joints\b/gi, 'every joint'],
  // "losing 25 percent there, more at 18": of what was named before.
  [
    new RegExp(
      String.raw`(?<=\b(?:percent|third|quarter|half|gone|flat|oval|%)(?:\s+(?:of\s+(?:it|the\s+pipe)|there|here))*)\s*,\s+(?:it's\s+)?(?:a\s+(?:little|bit)\s+)?(?:more|worse)\s+(?:like\s+[a-z]+\s+)?(?:at|around)\s+${aNumber}[a-z\d. -]*?(?=\s*[.]?\s*$)(?<=^\W*(?:(?:and|i'm|we're|it's)\s+)*(?:losing|lost|about|maybe|almost|down)\b.*)`,
      'gi',
    ),
    besideIt,
  ],
  // "roots at 22, more at 26"
  [
    /(?<=(?:^|[,;]|\band)\s*)(?:some\s+|even\s+)?more\s+(?=(?:at|@|around)\s+(?:about\s+)?(?:~?\d|[a-z]+))/gi,
    'same again ',
  ],
  // "there's a second one from 26 to 30"
  [
    new RegExp(
      String.raw`(?<=^\W*(?:(?:and|then|there's|there\s+is|here's)\s+)*)(?:a\s+)?second\s+one\s+(?:from\s+)?(?=(?:(?:starts|starting|begins|beginning|at)\s+)*${aNumber})`,
      'gi',
    ),
    'another one ',
  ],
  // "14, 15, 16 and 17, all got the same stuff"
  [
    new RegExp(
      String.raw`^\W*(?:(?:and|then|at)\s+)*((?:${aNumber}[a-z\d. -]*?(?:,\s*(?:and\s+)?|\s+and\s+))+${aNumber}[a-z\d. -]*?),?\s+(?:(?:they|are)\s+)*all\s+(?:of\s+them\s+)?(?:(?:got|have|has|had|with|look|are)\s+)?(?:about\s+)?the\s+same(?:\s+(?:stuff|thing|deal|story|amount))?(?=\s*[.]?\s*$)`,
      'gi',
    ),
    ([, list = '']) => `same thing at ${list.replace(/,\s*(?:and\s+)?(?=[^,]*$)/, ' and ')}`,
  ],
  // "11.5, another joint, same deal", "next joint, 12, same deal"
  [
    /\b(?:another|next|the\s+next)\s+(?:joint|hub|bell)\s*,?\s+(?=(?:(?:at\s+)?[a-z\d. -]{1,24}?,\s+)?same\s+(?:thing|deal|story)\b)/gi,
    '',
  ],
  // "fourteen, another joint with some": of what was named before.
  [
    /\banother\s+(?:joint|one)\s+with\s+(?:some(?:\s+more)?|them|it|those|the\s+same)(?=\s*(?:$|[,.;]))/gi,
    'same thing',
  ],
  // "twenty, second clay joint, same", "twenty two, third one, same"
  [
    /\b(?:the\s+)?(?:second|third|fourth|fifth|sixth|next)\s+(?:(?:clay|cast|pvc|pipe)\s+)?(?:one|joint)\s*,\s+(?:the\s+)?same(?:\s+(?:thing|deal|again))?(?=\s*(?:$|[.;]))/gi,
    'same thing',
  ],
  // "next one's at twenty six, medium"
  [
    new RegExp(
      String.raw`^\s*(?:and\s+)?(?:the\s+)?next(?:\s+(?:one|joint))?(?:'s|\s+is)?\s+(?:at\s+)?((?:~?\d+(?:\.\d+)?|${aNumber}[a-z -]{0,12}?)(?:\s*(?:feet|foot|ft))?)\s*,\s+(?=(?:light|heavy|medium|moderate|small|big|large|bad|worse|thick|(?:about\s+)?(?:\d+|${aNumber}(?:[\s-][a-z]+)?)\s*(?:%|percent))\b)`,
      'gi',
    ),
    ([, at = '']) => `${at} same thing, `,
  ],
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
  [
    /,?\s*\bso\s+(?:that's|it's|they\s+make|(?:it|that)\s+makes)\s+(?:an?\s+)?(?:ninety|90|forty[\s-]five|45)\b/gi,
    asNote,
  ],
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
];

/** A thing at each of three or four hours: the groups of a match, which end in its place and its text. */
const atEachHour = (what: string, hours: readonly (string | undefined)[]): string =>
  hours
    .slice(0, 4)
    .filter((hour) => /^(?:1[0-2]|[1-9])$/.test(String(hour)))
    .map((hour) => `${what} ${hour} o'clock`)
    .join('; ');

/** "20 twos" and "45s" in degrees. */
const bendDegrees = (said: string): string =>
  /^(?:20\s|22)/.test(said) ? '22.5' : /^(?:45|forty)/i.test(said) ? '45' : '90';

/** Which number is the place and which the measure, before anything else is read of the numbers. */
export const readingFigures: readonly Idiom[] = [
  // "roots stop at 8", "water's gone at 8": where they end.
  [
    /(?<=\b(?:roots?|cracks?|scale|grease|water|belly|sag|dip|debris|mud|sand|gravel|deposits?|rust|sludge)(?:\s+|(?='s)))(?:'s\s+|is\s+|are\s+)?(?:stops?|quits?|lets?\s+up|clears?\s+up|(?:all\s+)?(?:gone|done|over|finished)|goes\s+away|die\s+out|dies\s+out)\s+(?=(?:at|around|by)\s+~?\d)/gi,
    ' ends ',
  ],
  // "2 feet past the 14 foot mark"
  [
    /(?:\bat\s+)?(?<![\d.])(\d+(?:\.\d+)?)\s*(?:feet|foot|ft)\s+(past|beyond|after|before|short\s+of)\s+(?:the\s+)?(\d+(?:\.\d+)?)\s*-?\s*(?:foot|feet|ft)(?:\s+(?:mark|line|reading))?\b/gi,
    ([, by = '', way = '', mark = '']) =>
      `at ${Number(mark) + (/^(?:before|short)/i.test(way) ? -1 : 1) * Number(by)} ft`,
  ],
  // "at 18 inches there's a crack", "18 inches, roots": a place short of a few feet.
  [
    /^\s*at\s+(\d{1,2})\s*in(?:ch(?:es)?)?\b(?=\s*,|\s+(?:there's|there\s+is|we|i|you)\b)|^\s*(\d{1,2})\s*inches(?=\s*,)|\bat\s+(1[2-9]|[2-9]\d)\s*inches(?=\s*(?:$|[,.;]))/gi,
    ([, one, other, far = '']) => `at ${Math.round((100 * Number(one ?? other ?? far)) / 12) / 100} ft`,
  ],
  // "14, roots at 30%", "14, offset at 1 1/2 in": how much, not where.
  [/\bat\s+(?=(?:(?:about|~)\s*)*\d+(?:\.\d+)?\s*(?:%|percent\b))/gi, ''],
  [
    /(?<=\d[^;]*[a-z],?\s+)at\s+(?=(?:(?:about|~)\s*)*(?:\d+\s+\d+\/\d+|\d+\/\d+|[1-5]?[½¼¾⅛⅜⅝⅞]|[1-5](?:\.\d+)?)\s*-?(?:in(?:ch(?:es)?)?\b|"))/gi,
    '',
  ],
  // "13 feet 1/2 inch offset": nobody reads the counter to half an inch.
  [
    /(?<=(?:^|[;,]|\bat)\s*~?\s*)(\d+(?:\.\d+)?\s*(?:feet|foot|ft\.?|['’]))\s*(?=(?:\d+\/\d+|[½¼¾⅛⅜⅝⅞])\s*-?(?:in\b|inch|["”])\.?\s+[a-z])/gi,
    ([, at = '']) => `${at}, `,
  ],
  // "13 - 45 bend left", "13 - 1/2 inch offset": no stretch.
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?)\s+[-–—]\s+(?=(?:11\.25|22\.5|22|45|60|90)\s+(?:degrees?\s+)?(?:bend|turn|elbow|ell|sweep)\b|(?:\d+\/\d+|[½¼¾⅛⅜⅝⅞])\s*-?(?:in\b|inch|"))/gi,
    ', ',
  ],
  // "at 3 45 bend left"
  [
    /(?<=^\s*)at\s+(~?\d+(?:\.\d+)?)\s+(11\.25|22\.5|22|45|60|90)\s+(?=(?:bend|turn|elbow|ell|sweep)\b)/gi,
    ([, at = '', degrees = '']) => `${at} ${degrees} degree `,
  ],
  // "a wye at 22, then a bend at 24.5": its place is said.
  [/(?<=(?:[,;]|\band)\s*)then\s+(?=(?!at\b)[^;,]*\bat\s+(?:about\s+|~\s*)?\d)/gi, ' '],
  // "at 3 we get into roots, and we're out of it at 8"
  [
    /,?\s+(?:(?:and|then|but)\s+)*(?:(?:we're|i'm|it's|that's|it|that|they)\s+)?(?:out\s+of\s+(?:it|that|them|those)|ends?|stops?|quits?|done|over|gone)\s+(?:at|by|around)\s+(?=~?\d)(?<=^\s*(?:at\s+|from\s+)?~?\d[\d.]*(?:\s*(?:feet|foot|ft))?\s*,?\s+[^;\d]*[a-z],?\s+(?:(?:and|then|but)\s+)*(?:(?:we're|i'm|it's|that's|it|that|they)\s+)?(?:out\s+of\s+(?:it|that|them|those)|ends?|stops?|quits?|done|over|gone)\s+(?:at|by|around)\s+)(?<!\b(?:wall|liner|clay|pipe|pvc|abs|iron|cast|concrete|plastic)\s+(?:ends?|stops?|quits?)\s+at\s+)/gi,
    ' to ',
  ],
  // "roots just past 7.5"
  [
    /(?<=[a-z%"]\s+)(?:just|right|slightly|a\s+(?:little|bit|hair|touch)(?:\s+bit)?)\s+(?:past|before|beyond|after|shy\s+of|short\s+of)\s+(?=~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*(?:$|[,.;]))/gi,
    'at about ',
  ],
  // "at 50 flat there's a crack", "roots at 50 flat"
  [
    /(?<=\bat\s+~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?)\s+flat(?=\s+(?:there's|we|i|you)\b|\s*(?:$|[,.;]))(?<=(?:^|[a-z]\s+)at\s[^;]*)(?!\W*$(?<=^\s*at\s[^;]*))/gi,
    '',
  ],
  // "7.5 flat, roots": neither more nor less.
  [
    /(?<=^\s*~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?)\s+flat\s*,\s+(?=[a-z])(?![^;]*\b(?:water|hold|belly|sag|slope|fall|grade)[a-z]*\b)/gi,
    ', ',
  ],
  // "roots, 7.5 on the counter"
  [
    /(?<=[a-z%"]\s*,?\s+)(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+(?:on|by)\s+the\s+(?:counter|reel)\b/gi,
    ([, at = '']) => `at ${at}`,
  ],
  // "14's roots"
  [
    /(?<=^\s*~?\d+(?:\.\d+)?)['’]s\s+(?=(?:an?\s+)?(?:root|crack|offset|joint|hole|broken|scale|grease|wye|tee|tap|capped|heavy|separat)[a-z]*)/gi,
    ' ',
  ],
  // "roots somewhere around 7.5"
  [
    /\b(?:somewhere\s+)?around\s+(?=~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*(?:$|[,.;]))(?<=^(?:(?:11\.25|22\.5|22|45|60|90)\s+(?=[a-z]))?(?:[^\d;]|\d+(?:\/\d+)?\s*-?(?:%|percent\b|inch\b|in\b|"|o'clock))+(?:somewhere\s+)?around\s+)(?<=[a-z%"]\s+(?:somewhere\s+)?around\s+)(?<!\b(?:way|all|goes|go|went|turn|turned|flip|spin|swing|come|comes|till|until|to|from|through|thru|by|hour|be|is|was|are|been|runs|run|for|like|say|it's)\s+(?:somewhere\s+)?around\s+)/gi,
    'at about ',
  ],
];

const thingAtPlace =
  /^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:[^;\d]|\d[\d./]*\s*-?(?:in(?:ch(?:es)?)?\b|"|%|percent\b))*(?<=[a-z"%])\s*,?\s*$/i;
/** Of the thing that stands ahead with its place. */
const endsThere = ({ index, input, 1: end = '' }: RegExpExecArray): string | undefined =>
  thingAtPlace.test(input.slice(0, index)) ? ` to ${end} ft` : undefined;

/** "crack 21, roots 32" with "at" before each number, where all are past any hour and none is a depth or the like. */
function placedInTurn(list: string): string | undefined {
  const things = list.split(/[,;]/).map((each) => /^\s*(.*?)\s+([\d.]+)\s*$/.exec(each));
  const fit = things.every(
    (thing) =>
      Number(thing?.[2]) > 12 &&
      !/\b(?:at|to|from|of|about|by|until|till|depth|deep|and|or|bend|turn|video|length)$/i.test(
        thing?.[1] ?? '',
      ),
  );
  return fit ? things.map((thing) => `${thing?.[1] ?? ''} at ${thing?.[2] ?? ''}`).join('; ') : undefined;
}

/** Once numbers are digits: several places, hours after a place, both ends of a stretch. */
export const placeFigures: readonly Idiom[] = [
  // "crack 21, roots 32": each with its place; no share of the pipe.
  [
    /^\s*[a-z][a-z ]*\s\d+(?:\.\d+)?(?:\s*[,;]\s*[a-z][a-z ]*\s\d+(?:\.\d+)?)+\s*$/gi,
    ([list]) => placedInTurn(list),
  ],
  // "8 ft of roots from 31 to 39": its ends say how long it is.
  [
    /\b\d+(?:\.\d+)?\s*(?:(?:feet|foot|ft)\b|')\s*of\s+(?=[a-z][a-z\s]*\s(?:from|between)\s+\d+(?:\.\d+)?\s*(?:to|and|-)\s*\d)(?<=^\s*(?:about\s+|~\s*)?\d[\d.]*\s*(?:feet|foot|ft|')\s*of\s+)/gi,
    '',
  ],
  // "41 crack, at 3": one thing, at an hour.
  [
    /,\s*at\s+(1[0-2]|[1-9])(?=\s*(?:$|[,;]))(?<=^\s*~?\s*(\d{1,3}(?:\.\d+)?)(?:\s*(?:feet|foot|ft|'))?(?:\s*\d{1,2}\s*")?[\s:,]+(?:\d\s*-?(?:inch\s|in\s|")\s*)?[a-z][a-z\s]*,\s*at\s+\d+)/gi,
    ([, hour = '', place]) =>
      // "10 roots, at 12" may be two places.
      Number(place) > Math.min(12, Number(hour)) ? ` at ${hour} o'clock` : undefined,
  ],
  // "3, roots, and then at 5 it's clear", "cleans up at 5": where they end.
  [
    /(?:,\s*)?(?:\b(?:and|then|but)\s+)*(?:\b(?:at|by|around)\s+)?(~?\s*\b\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:it's|it\s+is|they're|they\s+are|that's|it|we're)\s+(?:(?:all|pretty|nice\s+and)\s+)*(?:clear|clean|gone|fine|good\s+again|cleared|cleans|clears|back\s+to\s+normal)(?:\s+(?:up|out|again))*(?=\s*(?:$|[,.;]))/gi,
    endsThere,
  ],
  [
    /(?:,\s*)?\b(?:(?:and|then|it|but|they)\s+)*(?:cleans?|clears?)(?:\s+(?:up|out))?\s+(?:at|by|around)\s+(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\b/gi,
    endsThere,
  ],
  // "belly at 3, quarter inch, clears by 6", "roots at 14, 10 %, ends at 17"
  [
    /\bat(?<=^\s*(?:[a-z]+\s+){1,4}at)\s+(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?((?:\s*,\s*(?:[^,;\d]|\d[\d./]*\s*(?:-?inch(?:es)?\b|in\b|"|%|percent\b))+)*)\s*,\s*(?:(?:and|then|it|that|they)\s+)*(?:ends?|quits?|clears?(?:\s+(?:up|out))?)\s+(?:at|by|around)\s+(?:~\s*|about\s+)?(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?=\s*(?:$|;|\.(?!\d)))/gi,
    ([said, from = '', about = '', to = '']) =>
      Number(to) > Number(from.replace('~', '')) ? `at ${from} to ${to} ft${about}` : said,
  ],
  // "crack on top, all the way to 5": a place, no hour.
  [
    /\b(?:all\s+the\s+way|clear)\s+(?:(?:out|down|up|over)\s+)?(?:to|till|until)\s+((?:about\s+|around\s+|~\s*)?\d+(?:\.\d+)?)(?!\s*(?:ft|feet|foot|in\b|inch|%|percent|o'?clock|['"/:\d]|\.\d))/gi,
    ([, end = '']) => `to ${end} ft`,
  ],
  // "41 bottom gone 3 ft": how long it is.
  [
    /(?<=^\s*(?:at\s+)?~?\d+(?:\.\d+)?\s+(?:(?:bottom|invert)\s+(?:gone|missing|rotted(?:\s+out)?|worn)|cracked|broken|rotted|rusted\s+out))\s+(\d+(?:\.\d+)?)\s*(?:feet|foot|ft|')(?=\s*$)/gi,
    ([, long = '']) => ` for ${long} ft`,
  ],
  // "crack, 2 o'clock, 15 inches long"
  [
    /,\s*(?:(?:about|maybe|~)\s*)*(\d{1,2})\s*-?in(?:ch(?:es)?)?\s+long\b(?<=^\s*(?:at\s+)?~?\d[^;]*\b(?:crack(?:ed|s)?|fractured?|broken|split)\b[^;]*)/gi,
    ([, long = '']) => ` for ${Math.round((100 * Number(long)) / 12) / 100} ft`,
  ],
  // "17.5, 17.5 is broke"
  [
    /(?<=^\s*)(\d+(?:\.\d+)?)\s*,\s*(?:at\s+)?(?=\1(?:\s*(?:feet|foot|ft|'))?\s+(?!percent|in\b|inch|degrees|o'clock)[a-z])/gi,
    '',
  ],
  // "crack, 1 o'clock, goes about a foot": how far it goes on.
  [
    /,\s*(?:and\s+)?(?:it\s+|that\s+)?(?:goes|runs|lasts)\s*,?\s+(?:(?:it\s+)?goes\s+)?(?:for\s+)?(?:(?:about|maybe|around|like|easily|easy|a\s+(?:good|solid)|~)\s*)*(\d+(?:\.\d+)?|a)\s*(?:feet|foot|ft)(?=\s*(?:$|[,.;]))(?<=\b(?:crack(?:ed)?|hairline|fractured?|split|broken|broke|deformed|worn|missing|flat|belly|sag|dip|water|roots?|rust(?:ed)?|rotted)\b[^;]*,[^,;]*)/gi,
    ([, long = '']) => ` for ${long === 'a' ? '1' : long} ft`,
  ],
  // "wrinkle at 11, 5 o'clock": a place, then its hour.
  [
    /\bat\s+(1[0-2]|[1-9])\s*,\s+(?=(?:(?:at|about|around)\s+)?(?:1[0-2]|[1-9])(?::[0-5]\d)?\s+o'clock)/gi,
    ([, at = '']) => `at ${at} ft, `,
  ],
  // "a third of the pipe's gone by 8": how far on it is as bad, no hour.
  [
    /(?<=\d\s*(?:%|percent)\s*(?:(?:of\s+(?:it|the\s+pipe)|is|gone|closed|blocked|full)\s+)*)\s*\b(?:gone|closed|blocked|full|shut|left)?\s*by\s+\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?(?=\s*(?:$|[.;,]))/gi,
    '',
  ],
  // "at 9 there's a hole in the bottom"
  [
    /(?<=^\s*(?:(?:and|then|so|now|okay)\s+)*at\s+)(1[0-2]|[1-9])(?=\s*,?\s+(?:there's|there\s+is|we've|i've|we|i|you've|you|it)\s+(?:got|get|have|hit|see|a|an|some|goes|changes)\b)/gi,
    ([, at = '']) => `${at} ft`,
  ],
  // "16.5, okay that's probably the one", "26 is the huge one"
  [
    /(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:(?:okay|ok|wow|yeah|yep|man|well|so|and|now)[\s,]+)*)(?:(?:that's|that\s+is|this\s+is|is|here's|there's)\s+)(?:(?:probably|maybe|gonna\s+be|going\s+to\s+be|definitely|likely)\s+)*(?:the|your|our)\s+((?:huge|big|bad|worst|heavy|ugly|nasty|main|real|problem)\s+)?(?:one|culprit|problem|bugger|clog|blockage|stoppage)(?=\s*(?:$|[,.;]|i\b|and\b))/gi,
    ([, how]) => (how === undefined ? 'same thing' : 'same thing, large'),
  ],
  // "36, big ball, I'd say half": of what was named before.
  [
    afterPlace(
      String.raw`(?:there's\s+|that's\s+|it's\s+)?(?:(?:an?\s+)?(?:big|huge|giant|large|good|solid)\s+(?:(?:ol'?|old)\s+)?|an?\s+(?=(?:wig|beard|bush)\b))(?:ball|wad|clump|bush|mass|beard|curtain|wig)(?=\s*(?:$|[,.;]))(?:\s*,\s+(?:(?:i'd|i\s+would)\s+(?:say|call\s+it)\s+|maybe\s+|about\s+|call\s+it\s+|~\s*)*half(?=\s*(?:$|[,.;])))?`,
    ),
    ([said]) => (/half$/i.test(said) ? 'same thing, 50%' : 'same thing, large'),
  ],
  // "19, the other one"
  [
    afterPlace(
      String.raw`(?:and\s+)?(?:there's\s+|is\s+)?the\s+(?:other|second|next)\s+one(?=\s*(?:$|[,.;]))`,
    ),
    'same thing',
  ],
  // "38.4 same but it's worse on the bottom"
  [
    afterPlace(
      String.raw`(?:the\s+)?same(?:\s+(?:thing|deal))?\s*,?\s+(?:but|only|just|except)\s+(?:(?:it's|they're|it|that's|is|a|little|bit|lot|much)\s+)*((?:worse|heavier|thicker|bigger|better|lighter|smaller|thinner)(?:\s+(?:on|at|along|from)\s+(?:the\s+)?(?:top|bottom|left|right|side|sides)(?:\s+side)?)?)(?=\s*(?:$|[,.;]))`,
    ),
    ([, how = '']) => `same thing ${quoted(how)}`,
  ],
  // "46 that crack runs all the way back to 45"
  [
    /^\s*(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:that|the|this)\s+(crack|fracture|belly|sag|scale|break)\s+(?:runs|goes|extends|comes|reaches)\s+(?:all\s+the\s+way\s+)?(?:back\s+)?(?:to|from)\s+(?=(?:about\s+|around\s+|~\s*)*\d)/gi,
    ([, at = '', what = '']) => `${what} ${at} to `,
  ],
  // "3/4 in of water, back to about 18": no way back.
  [/(?<=[a-z"]\s*,?\s+)back\s+to\s+(?=(?:(?:about|around|maybe)\s+|~\s*)*\d)/gi, 'to '],
  // "roots at 18, 22.5, 27 and 31.5, all light except 27, which is about 35 %"
  [
    /\b([a-z]+)\s+at\s+((?:\d+(?:\.\d+)?\s*,\s*)+(?:and\s+)?\d+(?:\.\d+)?|(?:\d+(?:\.\d+)?\s*,\s*)*\d+(?:\.\d+)?\s+and\s+\d+(?:\.\d+)?)\s*,?\s+(?:they're\s+)?(?:all|mostly)\s+([a-z]+)\s+(?:except|but)\s+(?:for\s+)?(?:the\s+one\s+at\s+)?(\d+(?:\.\d+)?)\s*,?\s+(?:which|that\s+one)(?:'s|\s+is)\s+(?:about\s+|~\s*|maybe\s+)*(\d+)\s*(?:%|percent)/gi,
    ([said, what = '', places = '', how = '', other = '', share = '']) => {
      const all = places.split(/\s*(?:,|\band\b)\s*/).filter((each) => each !== '');
      const rest = all.filter((each) => each !== other);
      return rest.length === all.length
        ? said
        : `${how} ${what} at ${rest.join(' and ')}; ${what} ${share}% at ${other}`;
    },
  ],
  // "47 and 49, roots": at each of them.
  [
    /^\s*(?:at\s+)?(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+(?:and|&)\s+(?:at\s+)?(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,\s+(?:(?:both|some|there's|we've\s+got|got|light|heavy|medium|fine|more|bad)\s+)*((?:roots?|cracks?|offsets?|holes?|bends?|scale|grease)(?:\s+(?:intrusions?|masses))?)(?=\s*$)/gi,
    ([, one = '', other = '', what = '']) => `${what} at ${one} and ${other}`,
  ],
  // "12, 13, in there": about there.
  [
    /^\s*(?:at\s+)?(\d+(?:\.\d+)?)\s*,\s*(?:maybe\s+|or\s+)?(\d+(?:\.\d+)?)\s*,?\s+(?:somewhere\s+)?(?:(?:right\s+)?in\s+(?:there|that\s+(?:area|range|neighborhood))|or\s+so|thereabouts|ish)\s*,?(?=\s)/gi,
    ([said, one = '', other = '']) => {
      const apart = Number(other) - Number(one);
      return apart > 0 && apart <= 2 ? `~${Number(one) + apart / 2}, ` : said;
    },
  ],
  // "both sides, 3 and 9": those are the sides.
  [
    /\bboth\s+sides\s*,?\s+(?:at\s+)?(?:3\s*(?:and|&|,)\s*9|9\s*(?:and|&|,)\s*3)(?:\s*o'clock)?/gi,
    "3 o'clock and 9 o'clock",
  ],
  // "joint offset, large, 1.25": inches.
  [
    /(?<=\b(?:offset|open\s+joint|separated(?:\s+joint)?|separation|gap|step)\b[^;\d]*,\s*)([0-3]\.\d+|\d\/\d+)(?=\s*(?:$|[,;]))(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?[^;]*)/gi,
    ([, size = '']) => `${size} in`,
  ],
  // "crack running forward 1.5 feet"
  [
    /\b(?:running|runs|going|goes|extends|extending)\s+(?:forward|ahead|on|downstream|out|along)\s+(?=(?:(?:about|maybe|another|~)\s*)*\d+(?:\.\d+)?\s*(?:feet|foot|ft)\b)/gi,
    'runs ',
  ],
  // "from 11 to, keep going, 13"
  [
    /(?<=\bto\s+)(?:(?:(?:just\s+)?keep\s+(?:going|pushing)|hold\s+on|hang\s+on|wait|let(?:'s|\s+me)\s+see|uh|looks\s+like)[\s,]+)+(?=~?\s*\d)/gi,
    ' ',
  ],
  // "5, good, 7.5, good, 10, some roots": only the last has anything.
  [
    /^\s*(?:~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft)|'s)?\s*,?\s*(?:(?:is|it's|that's|looks|all|pretty)\s+)*(?:good|fine|clean|tight|nothing|okay|ok|clear)\s*,\s*(?:and\s+)?)+(?=~?\d)/gi,
    ' ',
  ],
  // "41 and 43, same", "47 the same as 39"
  [
    /^\s*(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:it's\s+|is\s+)?(?:the\s+)?same(?:\s+(?:thing|deal|story))?(?:\s+as\s+(?:(?:at|the\s+one\s+at)\s+)?(?:\d+(?:\.\d+)?|before|(?:the\s+)?last(?:\s+one)?))?(?=\s*$)/gi,
    ([, at = '']) => `${at} same thing`,
  ],
  [
    /^\s*((?:~?\d+(?:\.\d+)?\s*,\s*)*~?\d+(?:\.\d+)?)\s*,?\s*(?:and|&)\s*(~?\d+(?:\.\d+)?)\s*,?\s+(?:(?:are|is|both|all|the|about)\s+)*same(?:\s+(?:thing|deal|story|again))?(?=\s*$)/gi,
    ([, first = '', last = '']) =>
      [...first.split(/\s*,\s*/), last].map((at) => `${at} same thing`).join('; '),
  ],
  // "12, that one's got more, a fifth of the pipe"
  [
    afterPlace(
      String.raw`(?:that|this)\s+one(?:'s|\s+has|\s+is)?\s+(?:got\s+)?(?:(?:a\s+(?:lot|little|bit))\s+)?more(?:\s+(?:of\s+(?:it|them)|in\s+(?:it|there)))?(?=\s*(?:$|[,.;]))`,
    ),
    'same thing',
  ],
  // "reducer, 6 on the city side, 4 on the house side"
  [
    /\b(?:reducer|change)?\s*,?\s*([34568]|10|12)\s*(?:-?in(?:ch)?\b\.?|")?\s+(?:on|toward)\s+(?:the\s+)?(?:(city|street|main)|(house|building))(?:\s+side)?\s*,?\s+(?:and\s+)?([34568]|10|12)\s*(?:-?in(?:ch)?\b\.?|")?\s+(?:on|toward)\s+(?:the\s+)?(?:city|street|main|house|building)(?:\s+side)?/gi,
    ([, one = '', street, , other = '']) =>
      street === undefined
        ? ` ${one} to ${other} in reducer downstream`
        : ` ${other} to ${one} in reducer downstream`,
  ],
  // "25 same hair"
  [
    afterPlace(String.raw`(?:the\s+)?same\s+(?:hair|roots?|cracks?|stuff|amount|scale|grease)(?=\s*$)`),
    'same thing',
  ],
  // "21's a doozy, I can see maybe a 2 in opening"
  [
    /(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?:'s|\s+is)\s+an?\s+(?:doozy|monster|whopper|beast|bad\s+one|big\s+one|real\s+bad\s+one|mess)(?=\s*(?:$|[,.;]))(?:\s*,\s+(?:(?:i|you)\s+can\s+see|there's)\s+(?:(?:maybe|about|only|like)\s+)*an?\s+\d(?:\.\d+)?\s*-?inch\s+(?:opening|hole|gap))?/gi,
    ' same thing, large',
  ],
  // "worst of it is at 18, that's more like 30 %"
  [
    /^\s*(?:the\s+)?(?:worst|deepest|biggest|heaviest)(?:\s+(?:of\s+(?:it|them)|part|spot|one))?\s+(?:(?:is|was|at|about|around|being|~)\s*)+(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,\s+(?:(?:that's|it's|it|that|gets|is|there|more\s+like|like|maybe|about|probably|to|up|i'd\s+say|~|,)\s*)+(\d+)\s*(?:%|percent)(?=\s*(?:$|[,.;]))/gi,
    ([, at = '', share = '']) => `${at} same thing, ${share}%`,
  ],
  // "crack goes from like 10 to 2 across the top": hours.
  [
    /\b(?:goes|runs|going|running|is|it's)?\s*\bfrom\s+(?:(?:like|about|maybe|~)\s*)*(1[0-2]|[1-9])\s*(?:-|to)\s*(1[0-2]|[1-9])\s+(?:across|over|around|along|through)\s+(?:the\s+)?(?:top|crown|bottom|invert|side)\b/gi,
    ([, from = '', to = '']) => `${from} to ${to} o'clock`,
  ],
  // "a crack that starts at 12 and spirals down to about 4"
  [
    new RegExp(
      String.raw`\b(?:that\s+)?(?:starts|begins)\s+(?:up\s+)?at\s+(1[0-2]|[1-9])(?:\s*o'clock)?\s+and\s+(?:spirals|wraps|winds|curls|circles|comes|goes|runs)\s+(?:(?:down|up|around|over)\s+)+to\s+${hourReached}(?<=\b(?:crack|fracture|split)\b[^;]*)`,
      'gi',
    ),
    aroundBetween,
  ],
  // "that offset reads 7.5": its place.
  [
    /\breads(?<=^\s*(?:(?:and|that|the|my)\s+)*(?:offset|joint|tee|wye|bend|crack|roots?(?:\s+(?:mass|ball))?|belly|hole|break|coupling|tap|main|cleanout|lip|transition)\s+reads)\s+(?:(?:about|right|at|~)\s*)*(?=\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*(?:$|[,;]|\.(?!\d)|now\b|coming\b|on\b))/gi,
    'at ',
  ],
  // "crack goes from about 11 around to 3", "10 o'clock around to 2"
  [
    new RegExp(
      String.raw`\b(?:(?:goes|runs|going|running|is|it's)\s+)?(?:from\s+)?(?:(?:about|around|maybe|~)\s*)*(1[0-2]|[1-9])(?:\s*o'clock)?\s+(?:(?:all\s+the\s+way|clear|over|and)\s+)*around\s+to\s+${hourReached}`,
      'gi',
    ),
    aroundBetween,
  ],
  // "45 encrustation, 10 %, 9 to 12": after the place, hours.
  [
    /\b(1[0-2]|[1-9])\s*to\s*(1[0-2]|[1-9])(?=\s*(?:$|[.;]))(?<=^\s*(?:1[3-9]|[2-9]\d|1\d\d)(?:\.\d+)?\s+[a-z][^;]*,\s*(?:1[0-2]|[1-9])\s*to\s*(?:1[0-2]|[1-9]))/gi,
    ([, from = '', to = '']) => `${from} to ${to} o'clock`,
  ],
  // "14 is more like 10": of what was read there.
  [
    /^\s*(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?:'s|\s+is|\s+was)\s+(?:probably\s+|maybe\s+)?(?:more\s+like|closer\s+to)\s+(\d*[05])(?:\s*(?:%|percent))?(?=\s*(?:$|[.;]))/gi,
    ([, at = '', share = '']) => `${at} same thing, ${share}%`,
  ],
  // "48, joint, roots, 50": after its place, a share.
  [
    /\b([1-9][05]|100)(?=\s*(?:$|;|\.(?!\d)))(?<=^\s*(?:at\s+)?~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,\s*(?:[a-z]+\s*,\s*)?(?:[a-z]+\s+)?(?:roots|root\s+ball|grease|scale|debris)\s*,\s*(?!10\b)\d+)/gi,
    ([, share = '']) => `${share}%`,
  ],
  // "a root at 24, one at 27 and one at 30"
  [
    /\b(?:there's\s+)?(?:an?|one)\s+((?:(?:small|big|little|fine|light|hairline)\s+)?(?:root|crack|hole|offset|joint|wye|tee|tap|bend|lip))\s+at\s+(~?\d+(?:\.\d+)?)((?:\s*,?\s*(?:and\s+)?(?:one|another)(?:\s+one)?\s+at\s+~?\d+(?:\.\d+)?)+)/gi,
    ([, what = '', first = '', more = '']) =>
      [first, ...more.split(/\s*,?\s*(?:and\s+)?(?:one|another)(?:\s+one)?\s+at\s+/).filter(Boolean)]
        .map((at) => `${what} at ${at}`)
        .join('; '),
  ],
  // "the one at 30 is the only one that matters, 30 %"
  [
    /^\s*(?:(?:and|but)\s+)?the\s+(?:one|joint)\s+at\s+(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+(?:is|was|'s)\s+[^;\d]*?\s*,\s+(?:(?:about|maybe|it's|that's|like|~)\s*)*(\d+)\s*(?:%|percent)(?=\s*(?:$|[,.;]))/gi,
    ([, at = '', share = '']) => `${at} same thing, ${share}%`,
  ],
  // "18 feet, a couple of em", "22 feet, lots": of what was named before.
  [
    afterPlace(
      String.raw`an?\s+(?:couple|few)\s+(?:more\s+)?(?:of\s+)?(?:'?em|them|those)(?=\s*(?:$|[,.;]))`,
    ),
    'same thing',
  ],
  [
    afterPlace(
      String.raw`(?:lots|a\s+(?:lot|bunch|ton))(?:\s+(?:more\s+)?of\s+(?:'?em|them|those))?(?=\s*(?:$|[.;]))`,
    ),
    'same thing, large',
  ],
  // "32, light again"
  [
    afterPlace(
      String.raw`(light|heavy|bad|big|small|thick|thin|large)\s+(?:again|too|as\s+well)(?=\s*(?:$|[,.;]))`,
    ),
    ([, how = '']) => sameSized(how),
  ],
  // "17, little more, 10 %", "45, it's worse, 15"
  [
    afterPlace(
      String.raw`(?:(?:it's|that's|a|is|getting|gets|even)\s+)*(?:(?:little|bit|lot)\s+)?(?:more|less|worse|heavier|thicker|better|lighter)(?:\s+(?:here|there|now))?(?:\s*,\s+|\s+(?=call|maybe|about|like|say|probably))(?:(?:about|maybe|like|say|probably|call\s+it|~|,)\s*)*(\d*[05])\s*(?:%|percent)?(?=\s*(?:$|[.;]))`,
    ),
    ([, share = '']) => `same thing, ${share}%`,
  ],
  // "then at 23.5 is another"
  [
    /^\s*(?:(?:and|then)\s+)*(?:at\s+)?(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+(?:is|was|we've\s+got|we\s+got|there's|i\s+got|i've\s+got|has)\s+(?:another|one\s+more)(?:\s+one)?(?=\s*$)/gi,
    ([, at = '']) => `${at} same thing`,
  ],
  // "26, 29, 32, roots at all three, the last one 15 %": at each of them.
  [
    /^\s*(~?\d+(?:\.\d+)?(?:(?:\s*,\s*(?:and\s+)?|\s+and\s+)~?\d+(?:\.\d+)?)+)\s*,\s+(?:there's\s+)?(roots?|cracks?|offsets?|scale|grease)\s+(?:at|in|on)\s+(?:all|both|each|every)(?:\s+(?:\d|one|two|three|four|single|of\s+(?:them|those|these|the)|joints?|them))*\b(?:[^;\d]*?\bthe\s+last(?:\s+one)?\s*,?\s+(?:(?:is|at|about|maybe|probably|~|,)\s*)*(\d+)\s*(?:%|percent))?/gi,
    ([, places = '', what = '', share]) => {
      const all = places.split(/\s*,\s*(?:and\s+)?|\s+and\s+/);
      const last = all.at(-1) ?? '';
      return share === undefined
        ? `${what} at ${all.slice(0, -1).join(', ')} and ${last}`
        : `${what} at ${all.slice(0, -1).join(' and ')}; ${what} ${share}% at ${last}`;
    },
  ],
  // "50, and 51, there's two fittings, 22s, swings left"
  [
    /^\s*(~?\d+(?:\.\d+)?)\s*,?\s+and\s+(~?\d+(?:\.\d+)?)\s*,?\s+(?:¦\s*)?(?:(?:there's|there\s+are|it's|we've\s+got)\s+)?(?:(?:2|two|a\s+couple(?:\s+of)?)\s+)?(?:fittings|bends|elbows|turns)\s*,\s+(?:(?:they're|both|looks\s+like)\s+)*(22(?:\.5)?|45|90|20\s+twos|forty[\s-]fives|nineties|45s|90s|22s)(?:\s*degrees?)?(?:\s*,?\s+i\s+think)?/gi,
    ([, one = '', other = '', degrees = '']) => `bend ${bendDegrees(degrees)} degrees at ${one} and ${other}`,
  ],
  // "the one at 18 is the big one"
  [
    /^\s*(?:(?:and|but)\s+)?the\s+(?:one|joint)\s+at\s+(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+(?:is|was|being)\s+(?:the\s+|a\s+|really\s+|pretty\s+)*(?:big|worst|bad|heavy|huge|main|bigger)(?:\s+one)?(?=\s*(?:$|[,.;]))/gi,
    ([, at = '']) => `${at} same thing, large`,
  ],
  // "29, same kind of fracture"
  [afterPlace(String.raw`(?:the\s+)?same\s+(?:kind|sort|type)\s+of\s+[a-z]+(?=\s*$)`), 'same thing'],
  // "20, 22, 24, every joint from there on has fuzz"
  [
    /^\s*(~?\d+(?:\.\d+)?)(?:\s*(?:,|and)\s*(?:and\s+)?~?\d+(?:\.\d+)?)*\s*,\s+((?:every|each)\s+(?:single\s+)?joint)\s+from\s+(?:there|here)\s+on(?:\s+out)?\s+(?:(?:has|have|had|got|gets|is)\s+(?:got\s+)?)?(?:some\s+)?(?=[a-z])/gi,
    ([, from = '', each = '']) => `${each} from ${from} on has `,
  ],
  // "43's the worst, 30 %"
  [
    /^\s*(?:at\s+)?(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?:'s|\s+is|\s+was)\s+(?:(?:probably|maybe|definitely|by\s+far)\s+)*(?:the|my|our|your)\s+(?:worst|biggest|heaviest|bad)(?:\s+(?:one|spot|joint|of\s+(?:it|them|those|the\s+(?:lot|bunch))))?(?:\s*,\s*(?:(?:that's|it's|like|maybe|about|probably|~)\s*)*(\d+)\s*(?:%|percent))?(?=\s*(?:$|[.;]))/gi,
    ([, at = '', share]) => `${at} same thing, ${share === undefined ? 'large' : `${share}%`}`,
  ],
  // "worst is 30", "30's 30 percent": of what was named before.
  [
    /^\s*(?:the\s+)?(?:worst|biggest|heaviest)(?:\s+(?:one|of\s+(?:them|it)))?\s+(?:is|was|being)\s+(?:at\s+)?(?:about\s+)?(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?=\s*$)/gi,
    ([, at = '']) => `${at} same thing, large`,
  ],
  [
    /^\s*(?:at\s+)?(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?:'s|\s+is)\s+(?:(?:about|maybe|only|probably|like|~)\s+)*(\d+)\s*(?:%|percent)(?=\s*(?:$|[,.;]))/gi,
    ([, at = '', share = '']) => `${at} same thing, ${share}%`,
  ],
  // "44, stop, that's mud, whole pipe's full"
  [
    /^\s*(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,\s*stop\s*,\s+(?:that's|it's|there's|we've\s+got)\s+(?=[a-z])/gi,
    ([, at = '']) => `${at} stop; ${at} `,
  ],
  // "21 both sides": of what was named before.
  [afterPlace(String.raw`(?:it's\s+)?(?:on\s+|from\s+)?both\s+sides(?=\s*$)`), 'same thing both sides'],
  // "6 goes to 4 at 18, it's a reducer"
  [
    /^\s*(?:(?:and|the|our|pipe|size)\s+)*(?:from\s+)?([34568]|10|12)\s*(?:-?in(?:ch(?:es)?)?\.?\s*|")?\s*(?:goes|drops|reduces|necks|steps|opens|changes|bumps)\s+(?:(?:down|up|back)\s+)*to\s+(?:an?\s+)?([34568]|10|12)\s*(?:-?in(?:ch(?:es)?)?\.?|")?\s+at\s+(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?:\s*,?\s+(?:it's|that's|with)\s+a\s+reducer)?/gi,
    ([, from = '', to = '', at = '']) => `${at} change ${from} to ${to} in`,
  ],
  // "38, 41, 44, every joint's got roots"
  [
    /(?<=^\s*)(\d+(?:\.\d+)?)\s*,\s*(?:\d+(?:\.\d+)?\s*,\s*)*(?:and\s+)?(\d+(?:\.\d+)?)\s*,?\s+(?=(?:every|each)\b)/gi,
    ([, from = '', to = '']) => `${from} to ${to} `,
  ],
  // "an inch of water, and it gets deeper, 2 inches by 28": as deep as that.
  [
    /\b(?:an?|\d+(?:\.\d+)?)\s*-?(?:in(?:ch(?:es)?)?|")\s+of\s+(?:standing\s+)?water\s*,?\s+(?:and\s+)?(?:(?:it|that)\s+)?(?:gets|getting|goes)\s+deeper\s*,?\s+(?:(?:to|maybe|about|up|like)\s+)*(\d+(?:\.\d+)?\s*(?:in(?:ch(?:es)?)?\b|"))(?:\s+(?:by|at)\s+\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?)?/gi,
    ([, deepest = '']) => `${deepest} of water`,
  ],
  // "water at 22", "water at 6, half an inch": a place; "water at 6" alone is an hour of the picture.
  [
    new RegExp(
      String.raw`\bwater(?<=^\s*(?:(?:and|there's|some|got|we've)\s+)*water)\s+at\s+(?:about\s+)?(~?\s*(?:(?:1[3-9]|[2-9]\d|1\d\d)(?:\.\d+)?\b|\d+(?:\.\d+)?(?=(?:\s*(?:feet|foot|ft))?\s*,\s*(?:about\s+)?${depthInches})))(?=\s*(?:feet|foot|ft)?\s*(?:$|[,;]|\.(?!\d)|and\b))`,
      'gi',
    ),
    ([, at = '']) => `${at} standing water`,
  ],
  // "water at 22, half an inch, getting deeper, 2 inches at 25": as deep as that, there.
  [
    new RegExp(
      String.raw`(?:\s*,\s*(?:(?:about|maybe|~)\s*)*${depthInches})?\s*,?\s+(?:(?:and|it's|it|that's|that)\s+)*(?:gets|getting|goes)\s+deeper\s*,?\s+(?:(?:and|it's|to|maybe|about|up|like|~)\s*)*(${depthInches})(?:\s+deep)?\s+(?:by|at)\s+(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?`,
      'gi',
    ),
    ([, depth = '', at = '']) => `, deepest at ${at}, ${depth}`,
  ],
  // "23-34 water", "water 23 to 34": it stands there.
  [
    /\bwater(?=\s*(?:$|[,;]))(?<=^\s*~?\s*\d+(?:\.\d+)?\s*(?:-|to)\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+water)|\bwater(?=\s+(?:from\s+)?\d+(?:\.\d+)?\s*(?:-|to)\s*\d)(?<=(?:^|;)\s*(?:the\s+)?water)/gi,
    'standing water',
  ],
  // "Fifty flat, joint separated": fifty and no tenths.
  [
    /(?<=^\s*(?:at\s+)?\d+)\s+(?:even|flat)(?=\s*,\s*[a-z])(?![^;]*\b(?:water|holding|standing|ponding|grade|fall|slope|belly|sag|dip|no\s+drop)\b)/gi,
    '',
  ],
  // "16 every joint to 40 has fine roots": from there to there.
  [
    /(?<=(?:^|;)\s*)(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+((?:every|each|all)\s+(?:of\s+)?(?:the\s+)?joints?)\s+(?:(?:from\s+)?(?:here|there)\s+)?(?:on\s+|out\s+|back\s+)?(?:to|till|until|thru|through)\s+(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?!\s*(?:%|percent|in\b|inch|"))/gi,
    ([, from = '', joints = '', to = '']) => `${from} to ${to} ${joints}`,
  ],
  // "16 clay starts; every joint to 40 has roots"
  [
    /(?<=(?:^|;)\s*)(~?\s*\d+(?:\.\d+)?)([^;\d]*;\s*)((?:every|each|all)\s+(?:of\s+)?(?:the\s+)?joints?)\s+(?:from\s+(?:here|there)\s+)?(?:to|till|until|thru|through)\s+(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?!\s*(?:%|percent|in\b|inch|"))/gi,
    ([, from = '', before = '', joints = '', to = '']) => `${from}${before}${from} to ${to} ${joints}`,
  ],
  // "24 26 28 and 30 all have roots"
  [
    /(?<=(?:^|;)\s*)(?:1[3-9]|[2-9]\d|1\d\d)(?:\s+(?:1[3-9]|[2-9]\d|1\d\d))+(?=\s+(?:and|&)\s+\d+(?:\.\d+)?\s+(?:all|each|both|have|has|had|got|show)\b)/gi,
    ([places]) => places.trim().replaceAll(/\s+/g, ', '),
  ],
  // "every joint from 17 on has roots, worst one is at 32, 60 %"
  [
    /\b((?:every|each|all)\s+(?:of\s+)?(?:the\s+)?joints?\b[^;]*?\b(roots?|cracks?|offsets?|grease|scale|gaps?)\b[^;]*?)\s*,\s+(?:(?:and|with|the)\s+)*worst(?:\s+(?:one|joint|spot|of\s+(?:it|them)))?\s+(?:(?:is|being|at)\s+)+(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?!\s*(?:%|percent|in\b|inch|"))/gi,
    ([, all = '', what = '', at = '']) => `${all}; ${what} at ${at}`,
  ],
  // "22 and 24, roots both joints, 20 %, 10 %": one of each.
  [
    /(?<=(?:^|;)\s*)(\d+(?:\.\d+)?)\s+(?:and|&)\s+(\d+(?:\.\d+)?)\s*,\s+([a-z]+(?:\s+[a-z]+)?)\s+(?:(?:at|in)\s+)?(?:both|each)(?:\s+(?:joints?|of\s+them|places|spots))?(?:\s*,\s+(\d+)\s*(?:%|percent)\s*(?:,|and)\s*(\d+)\s*(?:%|percent))?/gi,
    ([, one = '', other = '', what = '', first, second]) =>
      first === undefined
        ? `${what} at ${one} and ${other}`
        : `${what} ${first}% at ${one}; ${what} ${second ?? ''}% at ${other}`,
  ],
  // "a hole at 10, another at 11.5, and then from 13 on there's no bottom"
  [
    /(?<=\d[^;]*)[,;]\s*(?:and\s+)?(?:then\s+)?from\s+(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+on\s+(?:out\s+)?(?=(?:there's|it's|we've|there\s+is)\b)/gi,
    ([, at = '']) => `; at ${at} `,
  ],
  // "no bottom from 13 till you hit clay at 19"
  [
    new RegExp(
      String.raw`\s+(?:all\s+the\s+way\s+|at\s+all\s+)*(?:from\s+(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+)?(?:on\s+)?(?:till|until)\s+(?:you|we|it|i)\s+(?:hits?|gets?\s+to|reach(?:es)?)\s+(?:the\s+)?(${anyMaterial})\s+at\s+(~?\d+(?:\.\d+)?)`,
      'gi',
    ),
    ([, from, far = '', to = '']) =>
      ` ${from === undefined ? '' : `${from} `}to ${to}; at ${to} changes to ${far}`,
  ],
  // "starting at 12 the cast's got a bad case of scale": no change there.
  [
    new RegExp(
      String.raw`^\s*(?:starting|beginning)\s+at\s+(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+the\s+${anyMaterial}(?:\s+pipe)?(?:'s|\s+has|\s+is)\s+(?:got\s+)?(?=[a-z])`,
      'gi',
    ),
    ([, at = '']) => `at ${at} it's got `,
  ],
  // "11, roots on both sides, and they thin out by 14"
  [
    /(?<=\d[^;]*),?\s+(?:(?:and|but|then)\s+)+(?:they|it|that)\s+(?:(?:kind\s+of|pretty\s+much|all)\s+)*(?:thins?\s+out|quits?|dies?\s+(?:out|off)|tapers?\s+(?:off|out)|peters?\s+out|fades?(?:\s+out)?|goes?\s+away)\s+(?:(?:at|by|around|about)\s+)+(?=~?\d)/gi,
    ' to ',
  ],
  // "from 36 on it's a different story, it's all fractured"
  [
    /^\s*(?:(?:from|past|after)\s+)(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+(?:(?:on|out|down|and\s+beyond)\s+)*(?:it's\s+a\s+(?:whole\s+)?different\s+story\s*,\s*)?(?:it's|it\s+is|the\s+pipe's|pipe\s+is)\s+(?:(?:all|just|pretty\s+much|nothing\s+but)\s+)+([a-z\s]+?)(?=\s*[.]?\s*$)/gi,
    ([, at = '', what = '']) => `${what} starts at ${at}`,
  ],
  // "10, 12, 14, joints all look good", "joints at 10, 12 and 14 are tight"
  [
    /^\s*(?:at\s+)?(\d+(?:\.\d+)?(?:\s*,\s*(?:and\s+)?\d+(?:\.\d+)?)+(?:\s*,?\s+and\s+\d+(?:\.\d+)?)?)\s*,\s+joints\s+(?:all\s+)?(?:look|looks|are|seem|were)(?:\s+(?:all|pretty|good|fine|tight|clean|okay|ok|sound))*(?=\s*(?:$|[.;]))/gi,
    ([, places = '']) => `joints at ${places}`,
  ],
  [
    /^\s*(?:the\s+)?joints\s+at\s+(\d+(?:\.\d+)?(?:\s*,\s*(?:and\s+)?\d+(?:\.\d+)?)*(?:\s*,?\s+and\s+\d+(?:\.\d+)?)?)\s+(?:(?:are|all|look|looks|pretty|good|fine|tight|clean|okay|ok|sound|both)\s*)+(?=\s*(?:$|[.;]))/gi,
    ([, places = '']) => `joints at ${places}`,
  ],
  // "joint at 21, 23, 25, all tight"
  [
    /(?<=\bat\s+\d+(?:\.\d+)?\s*,\s*(?:\d+(?:\.\d+)?\s*,\s*)*)(\d+(?:\.\d+)?)\s*,\s+(?:all|both|each)\s+(?:(?:of\s+them|are|look|looks)\s+)*(?:tight|good|fine|clean|closed|okay|ok)\b/gi,
    ([, last = '']) => last,
  ],
  // "60, 62, 64, all light roots"
  [
    /(?<=\d\s*,\s*(?:and\s+)?\d+(?:\.\d+)?)\s*,?\s+(?:they're\s+)?all\s+(?:of\s+them\s+)?(?:have\s+|got\s+)?(?=[a-z])/gi,
    ' ',
  ],
  // "25 6 in from here", "25 pipe is 6 in here"
  [
    /(?<=(?:^|;)\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+)(?:(?:the\s+)?(?:pipe|line|it)(?:'s|\s+is)?\s+)?([3-9]|1[0-2])\s*-?(?:in(?:ch)?\b[.]?|")\s*(?:pipe\s+)?(?:from\s+(?:here|there)(?:\s+(?:on|out))?|here|now)(?=\s*(?:$|[,;]))/gi,
    ([, size = '']) => `change to ${size} in`,
  ],
  // "every one of the joints"
  [
    /\b(every|each)\s+(?:single\s+)?one\s+of\s+(?:the|these|those|them)\s+(?=joints?\b)/gi,
    ([, each = '']) => `${each} `,
  ],
  [
    /(?<=\b(?:to|through|till|until)\s+)the\s+(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+mark\b/gi,
    ([, at = '']) => at,
  ],
  // "23, bigger one, 15 %": of what was read before.
  [
    /(?<=\d(?:\s*(?:feet|foot|ft)|(?:'s)?)\s*,?\s+)(?:(?:there's|it's|is|another|an?|the)\s+)*(?:bigger|smaller|worst|larger|worse|similar|lighter|heavier)\s+one(?=\s*(?:$|[,;]))/gi,
    'same thing',
  ],
  // "two holes in that stretch, one at 21 and one at 25"
  [
    /(?:\b(?:two|three|2|3)\s+)?\b([a-z]+)s(?:\s+(?:in|along|on)\s+(?:that|this|the)\s+[a-z]+)?\s*,\s+one\s+at\s+(~?\s*\d+(?:\.\d+)?)\s*,?\s*(?:and\s+)?(?:one|another|the\s+other(?:\s+one)?)\s+at\s+(?=~?\s*\d)/gi,
    ([, what = '', at = '']) => `${what} at ${at} and ${what} at `,
  ],
  // "ties in at 4 on top": its place, since the hour comes after it.
  [
    /\bat\s+([1-9]|1[0-2])(?=\s*,?\s+(?:(?:comes|coming)\s+in\s+)?(?:on|from)\s+(?:the\s+)?(?:top|left|right|bottom)\b)/gi,
    ({ 0: said, index, input }) =>
      /^\D*(?:\d+\s*-?in(?:ch(?:es)?)?\b\D*)?$/.test(input.slice(0, index)) ? `${said} ft` : undefined,
  ],
  // "joint at 33, same"
  [
    /^\s*(?:(?:and|the|next)\s+)*joint\s+(?:at\s+)?(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,\s+(?:the\s+)?same(?:\s+(?:thing|deal|again))?(?=\s*$)/gi,
    ([, at = '']) => `${at} same thing`,
  ],
  // "60 sag begins, ends 66"
  [
    /(?<=(?:^|;)\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s+[a-z]+(?:\s+[a-z]+)?)\s+(?:starts|begins)\s*,?\s+(?:(?:and|then)\s+)?(?:ends|stops)\s+(?:at\s+|@\s*)?(?=~?\s*\d)/gi,
    ' to ',
  ],
  // "57, that's a bad one, call it 60"
  [
    afterPlace(
      String.raw`(?:(?:okay|ok|so|now|and|whoa|wow|oh|ooh|man|boy|yeah)[\s,]+)*(?:that's|that\s+is|this\s+is|it's|is|this\s+one(?:'s|\s+is|\s+here's|\s+here\s+is))\s+(?:a\s+)?(?:(?:real(?:ly)?|pretty)\s+)?(?:bad|big|heavy|thick|nasty|ugly)(?:\s+one)?(?=\s*(?:$|[,.;]))`,
    ),
    'same thing, large',
  ],
  // "27, that one's loaded"
  [
    afterPlace(
      String.raw`(?:that|this)\s+(?:one|joint)(?:'s|\s+is)\s+(?:(?:real(?:ly)?|pretty|just|totally|completely|all)\s+)*(?:loaded|packed|stuffed|plugged|full|choked|bad|heavy|thick)(?:\s+(?:up|solid|with\s+(?:it|them)))?(?=\s*(?:$|[,.;]))`,
    ),
    'same thing, large',
  ],
  // "39 to 44 it's worse, 25 %": the same over the next stretch.
  [
    /(?<=^\s*(?:(?:and|then|from)\s+)*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*(?:to|-|through)\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+)(?:(?:and|then)\s+)?(?:it's|it\s+(?:gets|is|was)|that's|they're|they\s+get)\s+(?:(?:a\s+(?:lot|little|bit)|much|even|way|really|pretty)\s+)*(?:worse|heavier|thicker|bigger|better|lighter|more)\b(?:\s+(?:there|here|than\s+that))?(?=\s*(?:$|[,.;]))/gi,
    'same thing',
  ],
  // "47 heavier, thirty", "36 same but more of it, maybe 15 %"
  [
    afterPlace(
      String.raw`(?:same\s*,?\s+(?:but|only|just)\s+)?(?:(?:(?:a\s+lot|much|little|bit|a)\s+)*(heavier|thicker|bigger|worse|lighter|smaller|thinner)(?:\s+(?:ones?|here|there))?|(?<=same\s*,?\s+(?:but|only|just)\s+)more(?:\s+of\s+(?:it|them|that))?)(?=\s*(?:$|[,.;]))`,
    ),
    ([said, how]) => (how === undefined || /\b(?:little|bit)\b/i.test(said) ? 'same thing' : sameSized(how)),
  ],
  // "19.2, those are thick"
  [
    afterPlace(
      String.raw`(?:those|these|they)(?:'re|\s+are)\s+(?:(?:a\s+lot|much|pretty|real(?:ly)?|getting)\s+)*(thick|heavy|bad|big|large|worse|thicker|heavier|bigger|light|small|lighter|smaller|thin)\b`,
    ),
    ([, size = '']) => sameSized(size),
  ],
  [
    /(?<=\bsame\s+thing,\s+(?:large|small)\s*,\s*(?:(?:call\s+it|about|maybe|i'd\s+say|say|like|~)\s*)*)(\d*[05])(?=\s*(?:$|;|\.(?!\d)))/gi,
    ([, share = '']) => `${share}%`,
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
    ([, what = '', ...hours]) => atEachHour(what.replace(/(?<=crack|root|hole|offset)s$/i, ''), hours),
  ],
  // "80 hinge crack, three, nine and twelve": after the place, an hour each.
  [
    /\b((?:hinge\s+)?(?:crack|fractur)[a-z]*)(?<=^\s*~?\s*(?:1[3-9]|[2-9]\d|\d{3})(?:\.\d+)?\b[^;]*)\s*,?\s+(?:at\s+)?(1[0-2]|[1-9])(?:\s*,\s*|\s+)(1[0-2]|[1-9])(?:\s*,\s*|\s+)(?:and\s+)?(1[0-2]|[1-9])(?:(?:\s*,\s*|\s+)(?:and\s+)?(1[0-2]|[1-9]))?(?=\s*(?:$|[.;]))/gi,
    ([, what = '', ...hours]) => atEachHour(what.replace(/(?<=crack|fracture)s$/i, ''), hours),
  ],
  [
    /\b((?:crack|fractur)[a-z]*)(?<=^\s*~?\s*(?:1[3-9]|[2-9]\d|\d{3})(?:\.\d+)?\b[^;]*)\s*,?\s+(1[0-2]|[1-9])\s+and\s+(1[0-2]|[1-9])(?=\s*(?:$|[.;]))/gi,
    ([, what = '', one = '', other = '']) => `${what} ${one} o'clock and ${other} o'clock`,
  ],
  // "22 roots at 11 and 1", "55, cracked at 9 and 3": after the place, two hours.
  [
    /(?:\bat|@)(?<=^\s*~?\s*(?:1[3-9]|[2-9]\d|\d{3})(?:\.\d+)?\b(?:[^;,]*|(?!\s*(?:-|to\b))[^;\d]*)(?:\bat|@))\s+(1[0-2]|[1-9])\s+and\s+(1[0-2]|[1-9])(?=\s*(?:$|[,;.]))/gi,
    ([, one = '', other = '']) => `${one} o'clock and ${other} o'clock`,
  ],
  // "22 to 30 1/2 in of water", "between 22 and 30 1/2 in": both ends, then its inches.
  [
    /(\d\s*(?:[-–]|to|thr(?:ough|u)|till?|until|and|ends(?:\s+at)?)\s*(?:1[3-9]|[2-9]\d|\d{3}))\s+(\d\/\d{1,2})\s*(?:in(?:ch(?:es)?)?\b|")/gi,
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
  // "64 5 ft of cracked pipe", "75 last 3 ft under water": how long it is.
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:(?:about|maybe|~)\s*)*(?:(?:the\s+)?last\s+)?(\d+(?:\.\d+)?)\s*(?:feet|foot|ft|')\s+(?:of\s+(?!${anyMaterial}\b)|(?<=last\b.*))([^,;]+)(?=\s*$)`,
      'gi',
    ),
    ([, long = '', what = '']) => `${what.replace(/^water\b/i, 'standing water')} for ${long} ft`,
  ],
  // "41 crack on seam", "38 seam split top": along the pipe.
  [/\b(?:on|along|at)\s+(?:the\s+)?seam\b/gi, quoted('on the seam')],
  // "22 big offset, pipe dropped", "33 broken, pieces missing", "30 pipe squeezed to 3 in", "50 can see the main"
  [new RegExp(String.raw`(?<=${placeFirst}[^;]*\boffset\b[^;]*)\bpipe\s+(?:has\s+)?dropped\b`, 'gi'), asNote],
  [new RegExp(String.raw`(?<=${placeFirst})pipe\s+(?:has\s+)?dropped(?=\s*(?:$|[,;\d½¼¾]))`, 'gi'), 'offset'],
  [
    new RegExp(
      String.raw`(?<=${placeFirst}[^;]*\b(?:broken|collapsed|crushed)\b[^;]*)\bpieces\s+missing\b`,
      'gi',
    ),
    asNote,
  ],
  [
    new RegExp(
      String.raw`(?<=${placeFirst}(?:pipe\s+)?)(?:squeezed|squashed|pinched|crushed)\s+(?:down\s+)?(to\s+[\d½¼¾][\d./ ]*(?:in(?:ch(?:es)?)?\b|"))`,
      'gi',
    ),
    ([, to = '']) => `deformed ${quoted(to)}`,
  ],
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:(?:i|we)\s+)?(?:can\s+|could\s+)?see(?:s|ing)?\s+(?:the\s+)?(?:city\s+)?main(?:\s+(?:ahead|up\s+ahead|coming\s+up|in\s+the\s+distance|from\s+here))?(?=\s*[.]?\s*$)`,
      'gi',
    ),
    asNote,
  ],
  // "27 crack at the top ~ 2 ft": how long it is.
  [
    new RegExp(
      String.raw`(?<=${placeFirst}[^;\d]*(?:crack|broken|roots?|scale|grease|belly|offset|hole|deformed|collapsed)[^;\d]*)~\s*(\d+(?:\.\d+)?)\s*(?:feet|foot|ft|')(?:\s+long)?(?=\s*$)`,
      'gi',
    ),
    ([, long = '']) => `for ${long} ft`,
  ],
  // "43 coupling shifted 1/2"
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:joint|jt|coupling|band|hub|bell|fitting)\s+(?:is\s+|has\s+)?(?:shifted|slipped|moved|kicked)(?:\s+(?:over|out|down|up))?(?=\s*(?:$|[,;\d½¼¾]))`,
      'gi',
    ),
    'offset joint',
  ],
  // "14 slight bow down"
  [
    new RegExp(
      String.raw`(?<=${placeFirst}(?:(?:slight|little|small|big|long)\s+)?)(?:pipe\s+)?bow(?:ed|s)?(?:\s+down)?(?=\s*(?:[.]?\s*$|[,;\d½¼¾]))`,
      'gi',
    ),
    'belly',
  ],
  // "0 co 4 in clay": where the pipe begins.
  [
    new RegExp(
      String.raw`(?<=^\s*0(?:\.0)?\s+[a-z -]{0,20}?\b(?:cleanout|clean\s?out|co|c\/o))\s+(\d)\s*(?:in(?:ch)?\b|")?\s*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, bore = '']) => `, ${bore} in `,
  ],
  // "50 good": seen, and nothing wrong.
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:(?:looks?|is|it's|pipe|line|still|pretty|all)\s+)*(?:good|ok|okay|fine|great|nice|perfect|beautiful)(?=\s*[.]?\s*$)`,
      'gi',
    ),
    asNote,
  ],
  // "33 bad joint", "33 joint is rough": how it looks, no size.
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:an?\s+)?(bad|poor|rough|ugly|big|slight|loose|sloppy|crooked)\s+(joint|coupling|hub|bell|band)(?=\s*[.]?\s*$)`,
      'gi',
    ),
    ([, how = '', what = '']) => `${what} ${quoted(how)}`,
  ],
  [
    new RegExp(
      String.raw`(?<=${placeFirst}(?:joint|coupling|hub|bell|band))\s+(?:is\s+|looks?\s+)?(bad|poor|rough|ugly|loose|sloppy|crooked)(?=\s*[.]?\s*$)`,
      'gi',
    ),
    ([, how = '']) => ` ${quoted(how)}`,
  ],
  // "22-25 low 3/4 in"
  [
    new RegExp(
      String.raw`(?<=^\s*~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?(?:\s*(?:-|to)\s*~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?)?\s+)low\s+(?=(?:about\s+|~\s*)?[\d½¼¾][\d./ ]*(?:in\b|inch|"))`,
      'gi',
    ),
    'low spot ',
  ],
  // "roots 9, 12, 15, light", "12, 15 and 18 cracks, all hairline": it is said of each.
  [
    new RegExp(
      String.raw`^(\s*(?:[a-z]+\s+){1,3}?(?:at\s+)?)(${listOfPlaces})(?!\s+\d+\/\d)\s*,?\s+${ofEach}\s*[.]?\s*$`,
      'gi',
    ),
    ([, what = '', places = '', how = '']) => `${how} ${what.trimStart()}${places}`,
  ],
  [
    new RegExp(
      String.raw`(?<=^\s*${listOfPlaces}\s+(?:[a-z]+\s+){0,2}[a-z]+)\s*,\s*${ofEach}\s*[.]?\s*$`,
      'gi',
    ),
    ([, how = '']) => ` ${how}`,
  ],
  // "roots at 14 and another at 17, both about 10 %", "cracks at 14, 17 and 20, all at 12 o'clock": it is said of each.
  [
    new RegExp(
      String.raw`(?:\bat\s+|(?<=[a-z]\s+))(${listOfPlaces})\s*,?\s+(?:both|each|all)\b(?:\s+of\s+(?:them|those|these))?(?!\s+(?:the|of|in|around\s+the|through|over|along|have|has|had|got|show|sides?|ends?|ways?|joints?)\b)((?:[\s,~]|\b(?:are|were|is|look|looks|about|around|roughly|maybe)\b)*)(?=(?:[a-z]|\d+(?:[./:]\d+)*(?:\s+\d/\d)?\s*(?:%|percent\b|in(?:ch(?:es)?)?\b|"|o'?\s?clock\b)))(?![^,;]*(?<!\bat\s+)\bat\s+\d+(?:\.\d+)?\s*(?:$|[,;]|and\b))([^,;]+?)(?=\s*(?:$|[,;]|\.(?!\d)))`,
      'gi',
    ),
    ([, places = '', about = '', said = '']) =>
      `${/~|about|around|roughly|maybe/.test(about) ? 'about ' : ''}${said} at ${onlyPlaces(places)}`,
  ],
  // "roots at 31, 33 and 35, 20 %": the measure is of each.
  [
    new RegExp(
      String.raw`\bat\s+(${listOfPlaces}(?![\d.]))\s*,?\s+((?:about\s+|~\s*)?\d+(?:[./]\d+)?\s*(?:%|percent\b|in(?:ch(?:es)?)?\b|"))(?:\s+each)?(?=\s*(?:$|[,;.]))`,
      'gi',
    ),
    // "offset at 30, 1 1/2 in": the last number may belong to the measure.
    ([said, places = '', measure = '']) =>
      /\d\s+\d+\/\d/.test(said) ? undefined : `${measure} at ${onlyPlaces(places)}`,
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
];
