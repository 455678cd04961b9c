import { materialRegistry } from '../catalog/materials.js';
import { ones, tens } from '../number-words.js';
import { rewrite, rewriteAll, type Idiom, type TracedText } from '../idioms/traced-text.js';
import { footMark, inchMark, number } from './numbers.js';

/** Converts spoken numbers, "forty six and a half", to digits: 46.5. */

const valueOf = new Map<string, number>([
  ...ones.map((word, i): [string, number] => [word, i]),
  ...tens.map((word, i): [string, number] => [word, 20 + 10 * i]),
  ['fourty', 40],
]);
const word = `(?:${[...valueOf.keys(), 'hundred'].sort((a, b) => b.length - a.length).join('|')})`;
const spokenRun = new RegExp(
  String.raw`\b(?:(?:a\s+)?hundred|${word}|point(?=\s+${word}))(?:(?:\s+|-)(?:(?<=hundred\s+)and\s+)?(?:${word}|point(?=\s+(?:${word}|oh))|oh|o(?=\s+${word})))*\b`,
  'gi',
);

/** One number at the start of the words, and how many words it used. */
function cardinal(words: readonly string[]): { value: number; used: number } {
  let used = 0;
  let value = 0;
  const next = () => valueOf.get(words[used] ?? '');
  const first = next();
  if (first !== undefined) {
    value = first;
    used++;
    const after = next();
    if (first >= 20 && after !== undefined && after > 0 && after < 10) {
      value += after;
      used++;
    } else if (first === 1 && after !== undefined && after >= 10) {
      // "one twelve" means 112.
      value = 100 + after;
      used++;
      const unit = next();
      if (after >= 20 && unit !== undefined && unit > 0 && unit < 10) {
        value += unit;
        used++;
      }
    } else if (
      first === 1 &&
      /^oh?$/.test(words[used] ?? '') &&
      (valueOf.get(words[used + 1] ?? '') ?? 10) < 10
    ) {
      value = 100 + (valueOf.get(words[used + 1] ?? '') ?? 0);
      used += 2;
    }
  }
  // "forty one oh five": hundredths.
  if (value >= 13 && value < 100 && /^oh?$/.test(words[used] ?? '')) {
    const digit = valueOf.get(words[used + 1] ?? '') ?? 10;
    if (digit > 0 && digit < 10) return { value: value + digit / 100, used: used + 2 };
  }
  if (words[used] === 'hundred') {
    value = 100 * Math.max(1, value);
    used++;
    if (words[used] === 'and') used++;
    const rest = next();
    if (rest !== undefined) {
      value += rest;
      used++;
      const unit = next();
      if (rest >= 20 && unit !== undefined && unit > 0 && unit < 10) {
        value += unit;
        used++;
      }
    }
  }
  if (words[used] === 'point') {
    let digits = '';
    for (used++; used < words.length; used++) {
      const digit = /^oh?$/.test(words[used] ?? '') ? 0 : next();
      if (digit === undefined) break;
      digits += String(digit);
    }
    value = Number(`${value}.${digits}`);
  }
  return { value, used: Math.max(1, used) };
}

/**
 * A run of number words as digits: "thirty one seven" 31.7, "ten fifteen" 10-15, "forty seven eight" about 47.5. Two numbers
 * beyond `leastListed` are a list: "and" and a third one follow.
 */
function figures(text: string, unit: boolean, leastListed = Infinity): string {
  const words = text
    .toLowerCase()
    .replace(/^a\s+/, '')
    .split(/[\s-]+/);
  const values: number[] = [];
  while (words.length > 0) {
    const { value, used } = cardinal(words);
    values.push(value);
    words.splice(0, used);
  }
  const [a = 0, b] = values;
  // "twelve six, fifteen six, eighteen six"
  if (
    values.length >= 4 &&
    b !== undefined &&
    b < 10 &&
    values.every((each, i) => (i % 2 === 1 ? each === b : each > b))
  )
    return values.flatMap((each, i) => (i % 2 === 0 ? [`${each}.${b}`] : [])).join(', ');
  // "forty forty one forty two"
  if (values.length > 2 && a > 12 && values.every((each, i) => each === a + i))
    return `${a} to ${a + values.length - 1}`;
  // "ten twelve fourteen": a list, past the hours of a clock.
  if (!unit && values.length > 2 && a > 8 && isRising(values) && (values.at(-1) ?? 0) > 12)
    return values.join(', ');
  if (b === undefined || values.length > 2) return values.join(' ');
  if (!unit && Number.isInteger(a) && a > 12 && b < 10 && a % 10 !== 0)
    return b === (a % 10) + 1 && a > 20 ? `~${a + 0.5}` : `${a}.${b}`;
  // "forty one eleven": feet and inches.
  if (!unit && a > 12 && a % 10 !== 0 && (b === 10 || b === 11)) return `${a}' ${b}"`;
  // "twenty six, twenty seven" is an uncertain reading.
  if (!unit && a >= 10 && b === a + 1) return `~${a + 0.5}`;
  // "at five six": 5.6, or five or six.
  if (!unit && a > 1 && a < 10 && b === a + 1) return `~${a}.5 ft`;
  // "fifteen eighteen and twenty one"
  if (a > leastListed && a < b) return `${a}, ${b}`;
  // "ten fifteen percent" is a range; "thirty nine, forty percent" a place and a measure.
  if (a < b && (b < 10 ? b === a + 1 : a >= 10) && !(unit && a % 5 !== 0)) return `${a}-${b}`;
  return unit ? `${a}, ${b}` : `${a} ${b}`;
}

const isRising = (values: readonly number[]): boolean =>
  values.every((each, i) => i === 0 || each > (values[i - 1] ?? each));

const pronoun =
  /\b(?:this|that|another|next|same|last|the|no|any|every|each|first|second|bad|big|small|good|other|which|only)\s+$/i;
const unitNext = new RegExp(
  String.raw`^(?:\s+|-)(?:${footMark}|${inchMark}|percent|per\s+cent|o['’]?clock|and\s+(?:a|one|three|half)|half|degree|point|(?:(?:on|out|down|up)\s+)?(?:to|through|thru|until|till)\s|or\s)`,
  'i',
);
const placeBefore = /(?:\b(?:at|about|around|to|from|between|is|reads?|reading)\s+|[~@-]\s*)$/i;

const andMore = new RegExp(String.raw`^\s*,?\s+and\s+${word}\b(?!\s+(?:hal(?:f|ves)|quarters?))`, 'i');
const andFarther = new RegExp(
  String.raw`^\s*,?\s+and\s+(?:${ones.slice(13).join('|')}|${tens.join('|')})\b(?!\s+(?:percent|hal(?:f|ves)|quarters?))`,
  'i',
);

/** What follows a place at the start of a line, and no depth. */
const tellsPlace =
  /^(?:\s+is\s+(?:our|the|an?|another|where)\b|\s+(?:there['’]s|we['’](?:ve|re)|i['’](?:ve|m)|it['’]s|(?:it|we|pipe|the\s+pipe)\s+(?:goes?|changes?|hits?|comes?|leaves?|turns?|drops?|transitions?)\b|(?:(?:big|small|little|bad|open|slight|heavy|light)\s+)*(?:broken|cracked|separated|crack|offset|joint|roots?|hole|belly|sag|tap|wye|tee|tie[\s-]in|lateral|collapse)\b(?!s\b))|\s*,\s+(?:that['’]s|there['’]s|here['’]s|we['’]ve|i['’]ve)\b|\s*,\s+(?:(?:the|our|my|an?)\s+)?(?:(?:big|small|little|vertical|hairline|open|slight|bad|heavy|light|old|long|rubber|shielded|steel|repair|reducing|flex|no-?hub)\s+)*(?:first|next|second|joint|crack|roots?|offset|tap|wye|tee|bend|change|coupling|band|transition|cleanout|hole|belly|sag|dip|lip|separation|eighth\s+bend)\b|\s*,\s+(?:the\s+)?(?:clay|cast(?:\s+iron)?|plastic|pvc|abs|copper|concrete|galvanized)\s+(?:in)?to\b)/i;

/** "All the way to thirty", "to about fourteen": to a place too far for an hour of the clock. */
const onToPlace = new RegExp(
  String.raw`^\s+(?:all\s+the\s+way|clear|on|right)?\s*(?:to|through|out\s+to)\s+(?:about\s+|around\s+|maybe\s+)?(?:(?:thir|four|fif|six|seven|eigh|nine)teen|${tens.join('|')})\b(?![\s\w-]*(?:percent|o'?clock))`,
  'i',
);

/** "Twenty nine, live tap at": what lies at a place, before its hour. */
const atHour =
  /(?:\d|ty|teen|ten|eleven|twelve|one|two|three|four|five|six|seven|eight|nine)\b.*\b(?:tap|wye|tee|branch|lateral|saddle|tie[\s-]?in|hole|crack|roots?)\s+at\s+$/i;

/** "There, eleven two": only such words before it. */
const leadsIn = /^(?:\W|\b(?:there|okay|ok|and|so|now|then|right|alright|yeah|yep|here)\b)*$/i;

/** The number in "and nine", at the start of what follows. */
const valueAfterAnd = (after: string): number | undefined =>
  valueOf.get(/^\s*,?\s+and\s+([a-z]+)\b/i.exec(after)?.[1]?.toLowerCase() ?? '');

/** "One" and "zero" alone are numbers only next to a unit or a place word: not in "this one". */
function numberWords(heard: TracedText): TracedText {
  return rewrite(heard, spokenRun, (match) => {
    const said = match[0].toLowerCase();
    const before = heard.text.slice(0, match.index);
    const after = heard.text.slice(match.index + said.length);
    if (/^[\s-]ways?\b/i.test(after)) return undefined;
    if (said === 'one' || said === 'zero' || said === 'hundred') {
      if (said === 'one' && /\b(?:foot|feet|ft)\s+$/i.test(before)) return '1';
      if (said === 'one' && pronoun.test(before)) return undefined;
      if (
        !unitNext.test(after) &&
        !(before.trim() === '' && /^\s*,/.test(after)) &&
        !(placeBefore.test(before) && !/^\s+(?:point|spot|place|more)\b/i.test(after))
      )
        return undefined;
    }
    // "twelve nine is our first joint"
    const [whole = '', tenth = '', more] = said.split(/[\s-]+/);
    const [a = 0, b = 0] = [valueOf.get(whole), valueOf.get(tenth)];
    const isTenth = more === undefined && a >= 2 && a <= 12 && b > 0 && b < 10 && b !== a + 1;
    if (isTenth && (leadsIn.test(before) || /^\W*at\s+$/i.test(before)) && tellsPlace.test(after))
      return `${a}.${b}`;
    // "three nine, glued coupling"
    if (
      isTenth &&
      leadsIn.test(before) &&
      /^\s*,\s+(?!deep\b|down\b|feet\b|foot\b|on\s+the\s+locator)[a-z]/i.test(after)
    )
      return `${a}.${b}`;
    // "from eleven two to thirteen"
    if (isTenth && /\bfrom\s+$/i.test(before) && /^\s+to\b/i.test(after)) return `${a}.${b}`;
    // "eleven two all the way to thirty"
    if (isTenth && onToPlace.test(after)) return `${a}.${b}`;
    // "then at six two we get"
    if (isTenth && /\bat\s+$/i.test(before))
      if (
        /^\s*,?\s+(?:we|there|it|i|you|is|that|the\s+(?:first|next)|and\s+(?:then|old|it|we|the))(?:['’][a-z]+)?\b/i.test(
          after,
        )
      )
        return `${a}.${b}`;
    // "live tap at ten thirty": an hour, after a place.
    if (more === undefined && b === 30 && a >= 1 && a <= 12 && atHour.test(before)) return `${a}:30`;
    // "seven eight and nine"
    if (more === undefined && a > 1 && b === a + 1 && valueAfterAnd(after) === b + 1) return `${a}, ${b}`;
    // "a bad one, thirty one feet"
    const alone = /^one\s+/i.exec(said)?.[0] ?? '';
    if (alone !== '' && pronoun.test(before)) return `${alone}${figures(said.slice(alone.length), false)}`;
    return figures(
      said,
      /^(?:\s+|-)(?:foot|inch|percent|per\s+cent|degree|o'clock|and\s+(?:an?|one|three|half|quarter)\b|(?:quarters|eighths|sixteenths|thirds)\b)/i.test(
        after,
      ),
      andFarther.test(after) ? 8 : andMore.test(after) ? 12 : undefined,
    );
  });
}

const part = String.raw`(half|halves|quarters?|fourths?|fifths?|thirds?|eighths?|sixteenths?)`;
const share: Readonly<Record<string, number>> = { h: 2, q: 4, f: 4, t: 3, e: 8, s: 16 };
const under = (text: string): number => (/^fi/i.test(text) ? 5 : (share[text.charAt(0).toLowerCase()] ?? 2));
const over = (text: string | undefined): number => (/^\d/.test(text ?? '') ? Number(text) : 1);
const round = (value: number): string => String(Math.round(value * 1000) / 1000);
const article = String.raw`(?:(an?|one|(?<![\d./])[1-9])[\s-]+)?`;
const ofPipe = String.raw`(?:full|blocked|closed|plugged|filled|obstructed|choked|under\s+water|underwater|submerged|(?:of\s+)?(?:the\s+)?(?:pipe|way|line|opening|bore|diameter|cross[\s-]section)(?:\s+(?:full|up|blocked|closed|gone))*)\b`;

const g = (pattern: string) => new RegExp(pattern, 'gi');
const fractionSteps: readonly [RegExp, (match: RegExpExecArray, before: string) => string][] = [
  [g(String.raw`\bhalf\s+a\s+foot\b`), () => '6 in'],
  [
    g(String.raw`\b(\d+(?:\.\d+)?)\s*((?:${footMark}|${inchMark})\s+)?and[\s-]+${article}${part}\b`),
    ([, whole = '', unit = '', count, of = '']) =>
      `${round(Number(whole) + over(count) / under(of))} ${unit}`,
  ],
  [
    g(String.raw`\b(?:an?\s+|one\s+)?(inch|foot)\s+and\s+${article}${part}\b`),
    ([, unit = '', count, of = '']) => `${round(1 + over(count) / under(of))} ${unit}`,
  ],
  [
    g(String.raw`\b${article}${part}(?:\s+of)?(?:\s+an?)?[\s-]+(?:inch(?:es)?|in)\b`),
    ([, count, of = ''], before) =>
      // "at forty, quarter inch" is not forty and a quarter.
      `${/\d\s*$/.test(before) ? ', ' : ''}${over(count)}/${under(of)} in`,
  ],
  [
    g(String.raw`\b${article}${part}(?:way)?\s+(?:up\s+)?${ofPipe}`),
    ([, count, of = '']) => `${Math.round((100 * over(count)) / under(of))}%`,
  ],
  [
    // "42 1/2 pipe is broken": a place, not half of the pipe.
    g(
      String.raw`(?<![\d./])([1-9])/([2-9]|16)(?!(?<=\d\s+\d/\d+)\s+(?:pipe|line)\s+(?!full|up|blocked|closed|gone|of)\w)\s+${ofPipe}`,
    ),
    ([, count = '', of = '']) => `${Math.round((100 * Number(count)) / Number(of))}%`,
  ],
  // "quarter inch, maybe three eighths": said of inches alone.
  [
    g(String.raw`(?<![\d./])\b([1-9])[\s-]+(eighths?|sixteenths?)\b(?!\s+(?:inch|of|${ofPipe}|bend))`),
    ([, count = '', of = '']) => `${count}/${under(of)} in`,
  ],
  // At the end of a phrase, a percentage or inches: the context there shows what it measures.
  [
    g(
      String.raw`\b(?:about\s+half|(?:an?|one)\s+(?:half|third|quarter|fifth|eighth))(?=\s*(?:$|[,.;])|\s+and\s+(?:an?|some|there's)\s)`,
    ),
    ([whole]) => ` 1/${under(/\w+$/.exec(whole)?.[0] ?? '')}`,
  ],
  [g(String.raw`(?<![\d./])\b3\s+quarters?(?=\s*(?:$|[,.;]))`), () => ' 3/4'],
  [g(String.raw`\b(?:a\s+)?couple\s+(?:of\s+)?(inch(?:es)?|feet|foot)\b`), ([, unit = '']) => `2 ${unit}`],
  [g(String.raw`\b(?:an?|one)\s+(inch|foot)\b`), ([, unit = '']) => `1 ${unit}`],
  // "holding water, an inch and a half to two"
  [
    g(
      String.raw`(?<![\d./])(\d(?:\.\d+)?)\s*-?in(?:ch(?:es)?)?\s+(?:to|or)\s+(?:(?:about|maybe)\s+)?(\d(?:\.\d+)?)(?=\s*(?:$|[,.;]))`,
    ),
    ([, least = '', most = '']) =>
      Number(least) < Number(most) ? `${least}-${most} in` : `${least} in, ${most}`,
  ],
  [g(String.raw`\bhalf\s+past\s+(\d+)\b`), ([, hour = '']) => `${hour}:30`],
  [
    g(String.raw`\b(1[0-2]|[1-9])\s+(15|30|45)(?=\s*o['’]?clock|\s+position)`),
    ([, h = '', m = '']) => `${h}:${m}`,
  ],
];

/** Spoken fractions next to a whole number, inches, or "full". */
const fractions = (heard: TracedText): TracedText =>
  fractionSteps.reduce(
    (now, [pattern, words]) => rewrite(now, pattern, (match) => words(match, now.text.slice(0, match.index))),
    heard,
  );

/** "86 feet 6 inch clay": inches before a pipe are its diameter. */
const pipeWords = [
  ...materialRegistry.rows.flatMap(({ spoken }) => spoken.map((each) => each.split(/[\s-]/)[0] ?? '')),
  ...['pipe', 'line', 'wye', 'tee', 'tap', 'saddle', 'branch', 'cleanout'],
].join('|');
const follows = String.raw`(?!\s*(?:%|percent|per\s+cent|o['’]?clock|deg|:|feet|ft|foot|'|\.\d))`;

/** "7 foot 4", "41 feet 6 inches" as one distance; "cleanout at 61 ft 4 in" with its size. */
const feetAndInches: readonly Idiom[] = [
  [
    g(
      String.raw`\b(\d+)\s*(?:(?:feet|foot|ft)\.?|')\s+([23468])\s*-?(?:inch(?:es)?|in)\b(?=\s*(?:$|[,;]))(?<=\b(?:wye|tee|tap|saddle|branch|cleanout|co)\s+(?:at\s+|@\s*)?\d+\s*(?:feet|foot|ft|')\.?\s+\d[\s-]*in(?:ch(?:es)?)?)`,
    ),
    ([, feet = '', inches = '']) => `${feet} ft, ${inches} in`,
  ],
  [
    g(
      String.raw`\b(\d+)\s*(?:(?:feet|foot|ft)\.?|'(?!.*"))\s+(${number})\s*-?(?:inch(?:es)?|in|")(?=\s+(?:of|high|(?:the\s+)?main|${pipeWords})\b)`,
    ),
    ([, feet = '', inches = '']) => `${feet} ft, ${inches} in`,
  ],
  [
    g(String.raw`\b(\d+)\s*(?:feet|foot|ft)\.?\s*(?:and\s+)?(${number})\s*(?:inch(?:es)?|in)\b`),
    ([, feet = '', inches = '']) => `${feet}' ${inches}"`,
  ],
  [
    g(
      String.raw`\b(\d+)\s+(?:foot\s+(\d+(?:\.\d+)?)\b${follows}|(?:ft|feet)\.?\s+(\d+(?:\.\d+)?)(?=\s+(?:deep|down)\b|\s+on\s+the\s+(?:locator|receiver)\b|\s+(?:it|we|i|you|there|that|the\s+(?:pipe|line))(?:['’](?:s|ve|re|m))?\s+[a-z]|\s*,(?!\s*(?:\d|and\b|maybe|about|or\b))))`,
    ),
    ([, feet = '', inches, deep = '']) =>
      Number(inches ?? deep) < 12 ? `${feet}' ${inches ?? deep}"` : undefined,
  ],
];

/** Converts every spoken number in the text to digits. */
export const spokenNumbers = (heard: TracedText): TracedText =>
  rewriteAll(fractions(numberWords(heard)), feetAndInches);
