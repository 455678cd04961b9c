/**
 * Ways to say the same few facts, to be filled in with any thing and any place. The forms are common practice, written
 * for these tests; what each must mean follows from what was filled in.
 */

const ones =
  `zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen
  seventeen eighteen nineteen`.split(/\s+/);
const tens = ['twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];

/** A reading as it is spoken: 41.5 as "forty one and a half", 7.3 as "seven point three". */
export function inWords(feet: number): string {
  const whole = Math.floor(feet);
  const tenths = Math.round((feet - whole) * 10);
  const rest = whole % 100;
  const below =
    rest < 20
      ? ones[rest]
      : [tens[Math.floor(rest / 10) - 2], ones.slice(1)[(rest % 10) - 1]].join(' ').trim();
  const said = whole < 100 ? below : rest === 0 ? 'one hundred' : `one hundred ${below}`;
  if (tenths === 5) return `${said} and a half`.trim();
  return (tenths === 0 ? said : `${said} point ${ones[tenths]}`)?.trim() ?? '';
}

/** A thing by its words and the kind it must become. */
export type Thing = readonly [said: string, kind: string];

export const things: readonly Thing[] = [
  ['roots', 'roots'],
  ['a crack', 'crack'],
  ['an offset', 'offset'],
  ['a joint', 'joint'],
  ['a hole', 'hole'],
  ['a broken pipe', 'broken'],
  ['heavy scale', 'deposit'],
  ['grease', 'deposit'],
  ['a separated joint', 'separation'],
  ['a wye on the left', 'tie-in'],
  ['a capped tee on the right', 'tie-in'],
  ['clay to pvc', 'change'],
];

/** One thing at one place. */
export const atPlace: readonly ((thing: string, at: string) => string)[] = [
  (x, n) => `${n} ${x}`,
  (x, n) => `${n}, ${x}`,
  (x, n) => `at ${n} ${x}`,
  (x, n) => `at ${n}, ${x}`,
  (x, n) => `${x} at ${n}`,
  (x, n) => `${x} at ${n} feet`,
  (x, n) => `${x} right at ${n}`,
  (x, n) => `${x} at about ${n}`,
  (x, n) => `${x} at maybe ${n} feet`,
  (x, n) => `${x} around ${n}`,
  (x, n) => `${x} somewhere around ${n}`,
  (x, n) => `${n} feet, ${x}`,
  (x, n) => `at ${n} feet there's ${x}`,
  (x, n) => `at about ${n} we have ${x}`,
  (x, n) => `${n} or so, ${x}`,
  (x, n) => `at the ${n} foot mark, ${x}`,
  (x, n) => `coming up on ${n}, ${x}`,
  (x, n) => `I'm looking at ${x} at ${n} feet`,
  (x, n) => `${x} just past ${n}`,
  (x, n) => `${n} flat, ${x}`,
  (x, n) => `${x}, ${n} on the counter`,
  (x, n) => `the main problem is ${x} at ${n}`,
];

/** What has a length. */
export const stretches: readonly Thing[] = [
  ['roots', 'roots'],
  ['multiple cracks', 'crack'],
  ['standing water', 'belly'],
  ['heavy scale', 'deposit'],
  ['the bottom is gone', 'bottom-gone'],
];

/** From one place to another. */
export const fromTo: readonly ((thing: string, from: string, to: string) => string)[] = [
  (x, a, b) => `${x} from ${a} to ${b}`,
  (x, a, b) => `from ${a} to ${b}, ${x}`,
  (x, a, b) => `${a} to ${b} ${x}`,
  (x, a, b) => `${x} between ${a} and ${b}`,
  (x, a, b) => `between ${a} and ${b} there's ${x}`,
  (x, a, b) => `${x} starts at ${a} and ends at ${b}`,
  (x, a, b) => `${x} ${a} through ${b}`,
  (x, a, b) => `${x} from ${a} feet to ${b} feet`,
  (x, a, b) => `${x} from about ${a} to about ${b}`,
  (x, a, b) => `${a}, ${x} to ${b}`,
  (x, a, b) => `at ${a} ${x}, goes to ${b}`,
  (x, a, b) => `we have ${x} from ${a} until ${b}`,
  (x, a, b) => `${x} from ${a} down to ${b}`,
  (x, a, b) => `${x} all the way from ${a} to ${b}`,
  (x, a, b) => `${x} runs from ${a} to ${b}`,
  (x, a, b) => `at ${a} we get into ${x}, and we're out of it at ${b}`,
  (x, a, b) => `${x} starting around ${a} till about ${b}`,
];

/** One thing, then another, each at its own place. */
export const twoThings: readonly ((one: string, at: string, other: string, then: string) => string)[] = [
  (x, a, y, b) => `${a} ${x}, ${b} ${y}`,
  (x, a, y, b) => `${x} at ${a}, ${y} at ${b}`,
  (x, a, y, b) => `${x} at ${a} and ${y} at ${b}`,
  (x, a, y, b) => `at ${a} there's ${x} and at ${b} there's ${y}`,
  (x, a, y, b) => `${x} at ${a}, then ${y} at ${b}`,
  (x, a, y, b) => `at ${a} feet ${x}, at ${b} feet ${y}`,
  (x, a, y, b) => `${a} feet, ${x}, ${b} feet, ${y}`,
  (x, a, y, b) => `${a}, ${x}, then at ${b}, ${y}`,
  (x, a, y, b) => `we have ${x} at ${a} and then we have ${y} at ${b}`,
];

export const materials: readonly Thing[] = [
  ['cast iron', 'cast-iron'],
  ['clay', 'clay'],
  ['pvc', 'pvc-sch40'],
  ['abs', 'abs'],
  ['concrete', 'concrete'],
];

/** One pipe, then another. */
export const pipeChanges: readonly ((near: string, far: string, at: string) => string)[] = [
  (a, b, n) => `${n} ${a} to ${b}`,
  (a, b, n) => `${a} to ${b} at ${n}`,
  (a, b, n) => `at ${n} it goes from ${a} to ${b}`,
  (a, b, n) => `${a} changes to ${b} at ${n}`,
  (a, b, n) => `${a} to ${n}, then ${b}`,
  (a, b, n) => `${n}, ${a} ends, ${b} begins`,
  (a, b, n) => `${a} for ${n} feet, then ${b}`,
  (a, b, n) => `the first ${n} feet is ${a}, then it's ${b}`,
  (a, b, n) => `${n} feet of ${a} and then ${b}`,
  (a, b, n) => `${a} ends at ${n} and ${b} starts`,
  (a, b, n) => `${a} out to ${n}, ${b} after that`,
  (a, b, n) => `we leave the ${a} and go into ${b} at ${n}`,
  (a, b, n) => `${n}, that's where the ${a} meets the ${b}`,
  (a, b, n) => `change from ${a} to ${b}, ${n}`,
  (a, b, n) => `${a} stops at ${n}, ${b} from there`,
  (a, b, n) => `${b} from ${n} on, ${a} before that`,
  (a, b, n) => `starts out ${a} and at ${n} it goes to ${b}`,
  (a, b, n) => `${n}, out of ${a}, into ${b}`,
  (a, b, n) => `the ${a} runs out at ${n} and then you're in ${b}`,
  (a, b, n) => `you have ${a} until ${n}, then you have ${b}`,
];

/** A measure as it is typed and spoken, and the field it must become. */
export type Measure = readonly [typed: string, spoken: string, fields: Readonly<Record<string, unknown>>];

/** Things with the measures they take. */
export const measured: readonly {
  readonly things: readonly Thing[];
  readonly measures: readonly Measure[];
}[] = [
  {
    things: [
      ['roots', 'roots'],
      ['grease', 'deposit'],
    ],
    measures: [
      ['30%', 'thirty percent', { percent: 30 }],
      ['about 25 percent', 'about twenty five percent', { percent: 25 }],
      ['half the pipe', 'half the pipe', { percent: 50 }],
    ],
  },
  {
    things: [
      ['offset', 'offset'],
      ['separated joint', 'separation'],
    ],
    measures: [
      ['1/2 in', 'half an inch', { inches: 0.5 }],
      ['1 1/2"', 'an inch and a half', { inches: 1.5 }],
      ['maybe 1/4 inch', 'maybe a quarter inch', { inches: 0.25 }],
    ],
  },
  {
    things: [
      ['crack', 'crack'],
      ['wye', 'tie-in'],
    ],
    measures: [
      ["at 2 o'clock", "at two o'clock", { clock: 2 }],
      ['on the bottom', 'on the bottom', { clock: 6 }],
      ["from 10 to 2 o'clock", "from ten to two o'clock", { clock: [10, 2] }],
    ],
  },
  {
    things: [['a bend', 'bend']],
    measures: [
      ['45 degrees down', 'forty five degrees down', { degrees: 45, clock: 6 }],
      ['90 degrees to the left', 'ninety degrees to the left', { degrees: 90, clock: 9 }],
    ],
  },
];

/** A thing, its measure and its place, in any order. */
export const withMeasure: readonly ((thing: string, measure: string, at: string) => string)[] = [
  (x, m, n) => `${n} feet ${x} ${m}`,
  (x, m, n) => `${n} feet, ${x}, ${m}`,
  (x, m, n) => `${x} at ${n}, ${m}`,
  (x, m, n) => `${x}, ${m}, at ${n}`,
  (x, m, n) => `${x} ${m} at ${n} feet`,
  (x, m, n) => `at ${n} feet there's ${x}, ${m}`,
];

/** What stands between a thing and how much of it there is. */
export const aboutAsMuch: readonly string[] = [
  ...[
    'at',
    'about',
    'maybe',
    "I'd say",
    'call it',
    'looks to be',
    'at least',
    'a good',
    'close to',
    'nearly',
  ],
  ...['just under', 'upwards of', 'up to', 'no more than', 'not quite', 'easily'],
];

/** A plural at three places. */
export const threePlaces: readonly ((things: string, a: string, b: string, c: string) => string)[] = [
  (x, a, b, c) => `${x} at ${a}, ${b} and ${c}`,
  (x, a, b, c) => `${a}, ${b} and ${c}, ${x}`,
  (x, a, b, c) => `${x} at ${a}, at ${b}, and at ${c}`,
  (x, a, b, c) => `there's ${x} at ${a}, another at ${b}, and another at ${c}`,
  (x, a, b, c) => `at ${a}, ${b}, and ${c} we have ${x}`,
  (x, a, b, c) => `${a} ${x}, same at ${b} and ${c}`,
  (x, a, b, c) => `${x} at ${a}, more at ${b}, more at ${c}`,
];

/** Nothing is there, or nobody says that it is. */
export const notThere: readonly ((things: string, at: string) => string)[] = [
  (x, n) => `no ${x} at ${n}`,
  (x, n) => `${n}, no ${x}`,
  (x, n) => `I don't see any ${x} at ${n}`,
  (x, n) => `${n} feet, clean, no ${x}`,
  (x, n) => `not seeing ${x} at ${n}`,
  (x, n) => `from ${n} on there are no ${x}`,
  (x, n) => `no more ${x} past ${n}`,
  (x, n) => `customer said there were ${x} at ${n}`,
  (x, n) => `if there were ${x} at ${n} we'd see it`,
  (x, n) => `looking for ${x} around ${n}`,
  (x, n) => `we cut the ${x} at ${n} last year`,
  (x, n) => `could there be ${x} at ${n}?`,
  (x, n) => `didn't find ${x} at ${n}`,
  (x, n) => `the last guy said ${x} at ${n}`,
  (x, n) => `last guy wrote down ${x} at ${n}`,
  (x, n) => `the report says ${x} at ${n}`,
  (x, n) => `the old video shows ${x} at ${n}`,
  (x, n) => `on the last video there were ${x} at ${n}`,
  (x, n) => `last time we had ${x} at ${n}`,
  (x, n) => `before the cleaning there were ${x} at ${n}`,
  (x, n) => `neighbor had ${x} at ${n}`,
  (x, n) => `I was told there's ${x} at ${n}`,
  (x, n) => `there's supposed to be ${x} at ${n}`,
  (x, n) => `we'd expect ${x} around ${n}`,
  (x, n) => `at ${n} I expected ${x} but it's clear`,
  (x, n) => `I thought I saw ${x} at ${n} but no`,
  (x, n) => `we'd put a cleanout at ${n}, no ${x}`,
];

/** Where the camera went no farther, whatever held it. */
export const stopsAt: readonly ((at: string) => string)[] = [
  (n) => `camera won't go past ${n}`,
  (n) => `${n}, camera won't go any farther`,
  (n) => `can't get any farther than ${n}`,
  (n) => `${n} feet is as far as I can get`,
  (n) => `${n} is as far as she'll go`,
  (n) => `that's as far as we could get her, ${n} feet`,
  (n) => `${n} is as far as I'm getting`,
  (n) => `that's as far as we're going to get, ${n} feet`,
  (n) => `that's the furthest I can get, ${n} feet`,
  (n) => `${n}, I'm not getting any farther`,
  (n) => `at ${n} I'm dead in the water`,
  (n) => `made it to ${n} and that's it`,
  (n) => `we only got to ${n}`,
  (n) => `only made it out to ${n} feet`,
  (n) => `at ${n} I'm hung up`,
  (n) => `had to stop at ${n}`,
  (n) => `we had to pull the plug at ${n}`,
  (n) => `I'm gonna call it at ${n} feet`,
  (n) => `not going any further than ${n}`,
  (n) => `completely blocked at ${n}`,
  (n) => `total blockage at ${n} feet`,
  (n) => `${n}, plugged up solid`,
  (n) => `stopped by roots at ${n}`,
  (n) => `couldn't make the turn at ${n}`,
  (n) => `can't make it around the ninety at ${n}`,
  (n) => `${n} feet, that's all the cable I've got`,
  (n) => `end of cable, ${n}`,
  (n) => `camera died at ${n}`,
  (n) => `inspection ended at ${n}`,
  (n) => `that's the end of the inspection, ${n}`,
];

/** A thing that the camera did not get past: both are there. */
export const stopsBeside: readonly ((thing: string, at: string) => string)[] = [
  (x, n) => `${x} at ${n}, can't get past`,
  (x, n) => `${x} at ${n}, couldn't get the camera through`,
  (x, n) => `${x} at ${n} and I can't get over it`,
  (x, n) => `${x} at ${n} that the camera can't get by`,
  (x, n) => `${n} feet, ${x}, that's as far as I can go`,
  (x, n) => `${n}, ${x}, that's as far as I'm getting`,
  (x, n) => `${n}, ${x}, no way past that`,
];

/** Where the camera saw nothing. */
export const unseenFrom: readonly ((from: string, to: string) => string)[] = [
  (a, b) => `can't see from ${a} to ${b}`,
  (a, b) => `no visibility from ${a} to ${b}`,
  (a, b) => `camera's under water from ${a} to ${b}`,
  (a, b) => `blind from ${a} to ${b}`,
  (a, b) => `went under at ${a}, back up at ${b}`,
  (a, b) => `can't see a thing from ${a} to ${b}, too much water`,
];

/** The same thing once more, in the same sentence or the next. */
export const onceMore: readonly ((thing: string, at: string, again: string) => readonly string[])[] = [
  (x, a, b) => [`${x} at ${a} and another at ${b}`],
  (x, a, b) => [`${x} at ${a}`, `another one at ${b}`],
  (x, a, b) => [`${x} at ${a}`, `same thing at ${b}`],
  (x, a, b) => [`${x} at ${a}`, `also at ${b}`],
  (x, a, b) => [`${x} at ${a}`, `${b}, same`],
  (x, a, b) => [`${x} at ${a} and one at ${b}`],
];

/** The same typed line as people set lines down: in a list, from a table, with units and marks. `at` is its place. */
export const setDown: readonly ((line: string, at: string) => string)[] = [
  (line) => line.toUpperCase(),
  (line) => `${line}.`,
  (line) => `- ${line}`,
  (line) => `• ${line}`,
  (line) => `1) ${line}`,
  (line) => `00:03:12 ${line}`,
  (line) => `[03:12] ${line}`,
  (line) => `dist ${line}`,
  (line) => line.replaceAll(' ', '\u00a0'),
  (line, at) => line.replace(`${at} `, `${at}\t`),
  (line, at) => line.replace(`${at} `, `${at},`),
  (line, at) => line.replace(`${at} `, `${at}: `),
  (line, at) => line.replace(`${at} `, `${at} = `),
  (line, at) => line.replace(`${at} `, `${at} - `),
  (line, at) => line.replace(at, `${at}'`),
  (line, at) => line.replace(at, `${at} lf`),
  (line, at) => line.replace(at, `${at}f`),
  (line, at) => `${line.replace(`${at} `, '')} @ ${at}`,
];

/** What is said between two things, of none of them. */
export const chatter: readonly string[] = [
  ...['Okay.', 'Keep going.', 'All right, moving on.', 'Looks good through here.', 'Let me clean the lens.'],
  ...['Hold on a second.', 'Nothing much here.', "That's not good.", 'So far so good.', 'Good flow here.'],
  ...["I'll back up and take another look at that.", 'That one needs attention.', "Let's keep pushing."],
];

/** Said of a thing at its place, and adds nothing that a log has a field for: no pass, no side, no other place. */
export const saysNoMore: readonly string[] = [
  ...['if I look back you can see it', 'right by the back door', 'going back to that later'],
  ...[
    "I'll come back to it",
    "we'll be back to look at those",
    'set back from the wall',
    'goes back about two feet',
  ],
  ...["there's maybe an inch of room left", 'not much pipe left', 'only half the pipe left'],
  ...['that I missed on the way out', 'I forgot to mention', 'we opened up the cleanout for it'],
];

/** A stretch that began at its place, said up to where it ends. */
export const goesOnTo: readonly ((thing: string, from: string, to: string) => string)[] = [
  (x, a, b) => `${a}, ${x}, all the way to ${b}`,
  (x, a, b) => `${a}, ${x}, clear to ${b}`,
  (x, a, b) => `${a}, ${x} and it goes all the way to ${b}`,
  (x, a, b) => `${a}, ${x}, ends around ${b}`,
  (x, a, b) => `${a}, ${x}, and then at ${b} it's clear`,
  (x, a, b) => `${a}, ${x}, cleans up at ${b}`,
];

/** A stretch from where the camera went in. */
export const fromTheStart: readonly ((thing: string, to: string) => string)[] = [
  (x, b) => `${x} right from the get go to ${b}`,
  (x, b) => `${x} from the start out to ${b}`,
  (x, b) => `${x} from the very beginning till about ${b}`,
  (x, b) => `${x} right off the bat to ${b}`,
  (x, b) => `${x} right away, out to ${b}`,
  (x, b) => `${x} starting right at the cleanout and going to ${b}`,
];

/** Said right after a thing: where it ends. */
export const endsNext: readonly ((thing: string, to: string) => string)[] = [
  (x, b) => `The ${x} thin out by ${b}.`,
  (x, b) => `${x} quit at ${b}.`,
  (x, b) => `Those ${x} die out about ${b}.`,
  (x, b) => `${x} pretty much peter out around ${b}.`,
  (x, b) => `That's the last of the ${x} at ${b}.`,
  (x, b) => `No more ${x} after ${b}.`,
  (_, b) => `They taper off around ${b}.`,
  (_, b) => `It follows along till about ${b}.`,
  (_, b) => `It tracks along to ${b}.`,
  (_, b) => `Stretches out to ${b}.`,
  (_, b) => `You can follow it to ${b}.`,
  (x, b) => `That ${x} is still there at ${b}.`,
];

const drop = { point: { kind: 'drop', fall_ft: 1 } };
const [left, right] = [9, 3].map((clock) => ({ point: { kind: 'bend', clock } }));
const sixToFour = { entry: { kind: 'change', upstream: { diameter_in: 6 }, downstream: { diameter_in: 4 } } };
const branchOnLeft = { point: { kind: 'tie-in', clock: 9 } };
const atMain = { entry: { point: 'MAIN' } };
const toClay = { entry: { kind: 'change', downstream: { material: 'clay' } } };
/** One thing of the line itself, and what must be there of it. */
export const ofTheLine: readonly (readonly [says: (at: string) => string, is: object | undefined])[] = [
  [(n) => `${n}, a foot drop`, drop],
  [(n) => `${n}, about a foot drop`, drop],
  [(n) => `at ${n} you drop down, looks like a foot drop`, drop],
  [(n) => `${n} there's a drop, about a foot`, drop],
  [(n) => `hard left at ${n}`, left],
  [(n) => `sharp right at ${n}`, right],
  [(n) => `${n}, goes hard right`, right],
  [(n) => `${n}, we hang a left`, left],
  [(n) => `${n}, slight right`, right],
  [(n) => `${n}, reducer, six down to four`, sixToFour],
  [(n) => `${n}, six to four reducer`, sixToFour],
  [(n) => `${n}, it steps down from six to four`, sixToFour],
  [(n) => `${n}, six inch down to four`, sixToFour],
  [(n) => `connects to the main at ${n}, factory wye`, atMain],
  [(n) => `main at ${n}, it's a tee`, atMain],
  [(n) => `${n}, ties into the main, it's a break in`, atMain],
  [(n) => `${n}, we're in the main, running left to right`, atMain],
  [(n) => `${n}, that's where the new stuff stops and the old clay picks up`, toClay],
  [(n) => `at ${n} the newer pipe ends and it's clay from there`, toClay],
  [(n) => `${n}, pvc changes to clay at the foundation`, toClay],
  [(n) => `tap at ${n}, that's the city's`, atMain],
  [(n) => `${n}, a service comes in at a funny angle on the left`, branchOnLeft],
  [(n) => `${n}, wye comes in at a forty five on the left`, branchOnLeft],
  [(n) => `at ${n} we get into a liner`, { entry: { kind: 'change', downstream: { lined: true } } }],
  [(n) => `${n}, the next joint's shifted over half an inch`, { entry: { finding: 'offset', inches: 0.5 } }],
  [(n) => `${n}, the pipe has dropped an inch at the joint`, { entry: { finding: 'offset', inches: 1 } }],
  [(n) => `jetter knocked a piece out at ${n}, top of the pipe`, { entry: { finding: 'hole', clock: 12 } }],
  [
    (n) => `from ${n} on it's a different story, it's all fractured`,
    { entry: { finding: 'crack', open: true } },
  ],
  [(n) => `${n}, hole in the top, maybe fist sized`, { entry: { finding: 'hole', clock: 12 } }],
];

/** What was there before the line was cleaned. */
export const cleanedOut: readonly ((thing: string, at: string) => string)[] = [
  (x, n) => `the ${x} at ${n} are gone`,
  (x, n) => `the ${x} we had at ${n} are all gone now`,
  (x, n) => `${n}, the ${x} are out of there now`,
  (x, n) => `${n}, ${x} are all cleared out`,
];

/** A list without commas, as a caption has it. */
export const listedPlaces: readonly ((thing: string, a: string, b: string, c: string) => string)[] = [
  (x, a, b, c) => `${a} ${b} and ${c} have ${x}s`,
  (x, a, b, c) => `${x}s at ${a} ${b} ${c}`,
  (x, a, b, c) => `${x}s at ${a}, ${b} and ${c}`,
];

/** The camera turns: what is called next is seen on the way back. */
export const turnsBack: readonly string[] = [
  ...['Pulling back.', 'Pulling out.', "Okay, I'm coming out.", 'Reeling in.', 'Retrieving.', 'Backing out.'],
  ...[
    'Retracting the camera.',
    'Bringing it home.',
    'Heading back to the cleanout.',
    'Now going in reverse.',
  ],
];

/** The main is seen or supposed, not reached. */
export const mainNotReached: readonly ((at: string) => string)[] = [
  (n) => `${n}, I can see the main up ahead`,
  (n) => `${n}, there's the main coming up`,
  (n) => `${n}, almost at the main`,
  (n) => `${n}, coming up on the main`,
  (n) => `main's probably around ${n}`,
  (n) => `main should be about ${n}`,
  (n) => `total footage ${n} feet`,
];

/** How deep the pipe lies at a place. */
export const located: readonly ((at: string, depth: string) => string)[] = [
  (n, d) => `located at ${n} feet, ${d} feet deep`,
  (n, d) => `${n}, locate, ${d} feet`,
  (n, d) => `${n}, locator says ${d} feet`,
  (n, d) => `${n}, I'm getting ${d} feet`,
  (n, d) => `${n}, ${d} feet of cover`,
  (n, d) => `${n}, it's ${d} feet down`,
  (n, d) => `${n}, painted it, ${d} feet`,
  (n, d) => `at ${n} we're ${d} feet deep`,
  (n, d) => `depth at ${n}, ${d} feet`,
  (n, d) => `depth at ${n} is ${d} feet`,
  (n, d) => `sonde at ${n} reads ${d} feet`,
  (n, d) => `locator reads ${d} feet at ${n}`,
  (n, d) => `it's ${d} feet down at ${n}`,
  (n, d) => `mark at ${n}, ${d} feet`,
  (n, d) => `painted it at ${n}, ${d} feet`,
  (n, d) => `put a flag at ${n}, ${d} feet deep`,
  (n, d) => `${d} foot of cover at ${n}`,
  (n, d) => `at ${n} we've got ${d} feet of cover`,
];

/** Two locates, each with its depth, ft. */
export const twoLocates: readonly ((a: string, deep: string, b: string, deeper: string) => string)[] = [
  (a, d, b, e) => `${d} feet deep at ${a}, ${e} feet deep at ${b}`,
  (a, d, b, e) => `at ${a} it's ${d} feet deep and at ${b} it's ${e} feet deep`,
  (a, d, b, e) => `${a} is ${d} feet deep, ${b} is ${e}`,
];

/** A thing, what is said of it in the next sentence, and what that adds. */
export const saidNext: readonly (readonly [
  thing: Thing,
  next: string,
  adds: Readonly<Record<string, unknown>>,
])[] = [
  [['roots', 'roots'], 'About a third of the pipe.', { percent: 33 }],
  [['roots', 'roots'], 'Almost half.', { percent: 50 }],
  [['roots', 'roots'], "They're coming in from the left.", { clock: 9 }],
  [['a crack', 'crack'], 'It stops at sixty.', { to: 60 }],
  [['a crack', 'crack'], 'Ends at sixty.', { to: 60 }],
  [['a crack', 'crack'], 'Runs along the bottom.', { clock: 6 }],
  [['an offset', 'offset'], 'Dropped about an inch.', { inches: 1 }],
  [['an offset', 'offset'], "It's about three quarters of an inch.", { inches: 0.75 }],
  [['standing water', 'belly'], 'Out at sixty.', { to: 60 }],
  [['standing water', 'belly'], "Sixty, we're out of it.", { to: 60 }],
  [['standing water', 'belly'], 'Deepest is two inches.', { inches: 2 }],
  [['heavy scale', 'deposit'], 'All the way to sixty.', { to: 60 }],
  [['a wye', 'tie-in'], "It's on the left.", { clock: 9 }],
  [['a wye', 'tie-in'], 'Three inch.', { diameter: 3 }],
  [['a bend', 'bend'], 'To the left.', { clock: 9 }],
  [['a bend', 'bend'], "It's a forty five.", { degrees: 45 }],
  [['a hole', 'hole'], "Two o'clock position.", { clock: 2 }],
  [['a separated joint', 'separation'], 'You can see dirt.', {}],
];

/** Standing water from one place to another. */
export const wetFromTo: readonly ((from: string, to: string) => string)[] = [
  (a, b) => `belly at ${a}, ends at ${b}`,
  (a, b) => `${a}, water starts, ${b}, water ends`,
  (a, b) => `${a} water, ${b} no water`,
  (a, b) => `at ${a} we hit water, at ${b} we're out`,
  (a, b) => `at ${a} there's water and it's gone at ${b}`,
  (a, b) => `at ${a} feet it starts to sag, comes back up at ${b}`,
  (a, b) => `sag starting at ${a}, done at ${b}`,
  (a, b) => `water standing at ${a}, clear at ${b}`,
  (a, b) => `water in the bottom from ${a} to ${b}`,
  (a, b) => `line sags at ${a}, back up at ${b}`,
  (a, b) => `pipe's holding water from ${a} to ${b}`,
];

/** Readings of the counter as they are called. */
export const readings: readonly (readonly [said: string, feet: number])[] = [
  ...([
    ['forty-one', 41],
    ['forty one point five', 41.5],
    ['forty one foot six', 41.5],
    ['forty one feet six inches', 41.5],
    ['forty one and three quarters', 41.75],
    ['a hundred and two', 102],
    ['one oh two', 102],
    ['one twenty five', 125],
    ['eleven and a half', 11.5],
    ['thirty-two-point-three', 32.3],
    ['thirty two seven', 32.7],
    ['forty six feet and a half', 46.5],
    ['nine foot eight', 9 + 8 / 12],
    ['ninety', 90],
    ['twenty-two and a half', 22.5],
    ['one foot', 1],
    ['five point oh', 5],
  ] as const),
  ...([
    ['41-1/2', 41.5],
    ['41 1/2', 41.5],
    ['41\'6"', 41.5],
    ['41.5 feet', 41.5],
  ] as const),
];
