/**
 * Ways to say something and then put it right, sentence by sentence: common practice, written for these tests. What each
 * must mean follows from what was filled in.
 */

/** At `n`, and then at `m` instead, ft. */
export const placeMended: readonly ((thing: string, n: string, m: string) => readonly string[])[] = [
  (x, n, m) => [`${x} at ${n}, no, ${m}`],
  (x, n, m) => [`${x} at ${n}, no, it's at ${m}`],
  (x, n, m) => [`${x} at ${n}, I mean ${m}`],
  (x, n, m) => [`${x} at ${n}, or rather ${m}`],
  (x, n, m) => [`${x} at ${n}, scratch that, ${m}`],
  (x, n, m) => [`${x} at ${n}, actually ${m}`],
  (x, n, m) => [`${x} at ${n} feet, sorry, ${m} feet`],
  (x, n, m) => [`${x} at ${n}, wait, no, ${m}`],
  (x, n, m) => [`at ${n}, excuse me, ${m}, ${x}`],
  (x, n, m) => [`at ${n}, no wait, ${m}, there's ${x}`],
  (x, n, m) => [`${n}, no ${m}, ${x}`],
  (x, n, m) => [`I said ${n}, it's ${m}, ${x}`],
];

/** The same in the next sentence: typed, it would be a line of its own. */
export const placeMendedNext: readonly ((n: string, m: string) => string)[] = [
  (_, m) => `No, make that ${m}.`,
  (_, m) => `Sorry, ${m}.`,
  (_, m) => `Correction, ${m} feet.`,
  (_, m) => `Actually it's at ${m}.`,
  (_, m) => `I take that back, ${m}.`,
  (_, m) => `That should have been ${m}.`,
  (_, m) => `My mistake, ${m}.`,
  (_, m) => `I should have said ${m}.`,
  (_, m) => `My bad, that's ${m}.`,
  (_, m) => `Oops, ${m}.`,
  (_, m) => `Hang on, it's ${m}.`,
  (_, m) => `Let's call it ${m}.`,
  (n, m) => `I said ${n}, I meant ${m}.`,
];

/** One thing, and then another instead. */
export const thingMended: readonly ((one: string, other: string, n: string) => readonly string[])[] = [
  (x, y, n) => [`${x}, no, ${y}, at ${n}`],
  (x, y, n) => [`${x}, I mean ${y}, at ${n}`],
  (x, y, n) => [`${x}, sorry, ${y} at ${n}`],
  (x, y, n) => [`${n}, ${x}, no wait, ${y}`],
  (x, y, n) => [`${n}, ${x}, no, that's ${y}`],
  (x, y, n) => [`${n}, ${x}, actually that's ${y}`],
  (x, y, n) => [`${n} feet, ${x}, correction, ${y}`],
  (x, y, n) => [`${n}, ${x}, make that ${y}`],
  (x, y, n) => [`at ${n} there's ${x}, I'm sorry, ${y}`],
  (x, y, n) => [`${x} at ${n}, no, ${y}`],
  (x, y, n) => [`that's ${x} at ${n}, no, that's ${y}`],
];

export const thingMendedNext: readonly ((one: string, other: string) => string)[] = [
  (_, y) => `No wait, that's ${y}.`,
  (_, y) => `Actually that's ${y}.`,
  (_, y) => `Correction, that's ${y}.`,
  (x, y) => `That's not ${x}, that's ${y}.`,
];

/** It is not there after all. */
export const takenBack: readonly ((thing: string, n: string) => readonly string[])[] = [
  (x, n) => [`${x} at ${n}, never mind`],
  (x, n) => [`${x} at ${n}, scratch that`],
  (x, n) => [`${x} at ${n}, no, nothing there`],
  (x, n) => [`${x} at ${n}, no wait, it's just paper`],
  (x, n) => [`${n}, ${x}, never mind, that's just the light`],
  (x, n) => [`${x} at ${n}.`, 'Scratch that.'],
  (x, n) => [`${x} at ${n}.`, "Never mind, that's nothing."],
  (x, n) => [`${x} at ${n}.`, 'Disregard that last one.'],
  (x, n) => [`${x} at ${n}.`, "No wait, that's just a shadow."],
  (x, n) => [`${n}, ${x}.`, 'Nope, just a stain.'],
  (x, n) => [`${n}, ${x}.`, "Nah, that's just a shadow."],
  (x, n) => [`${n}, ${x}.`, "Nope, that's nothing."],
];

/** From `n` to `m`, and then to `k` instead. */
export const endMended: readonly ((thing: string, n: string, m: string, k: string) => readonly string[])[] = [
  (x, n, m, k) => [`${x} from ${n} to ${m}, no, ${k}`],
  (x, n, m, k) => [`${x} from ${n} to ${m}, actually ${k}`],
  (x, n, m, k) => [`${x} from ${n} to ${m}.`, `No, to ${k}.`],
  (x, n, m, k) => [`${x} from ${n} to ${m}.`, `Make that ${k}.`],
];

/** How much, or on which side, said wrong first. */
export const measureMended: readonly (readonly [
  said: readonly string[],
  fields: Readonly<Record<string, unknown>>,
])[] = [
  [['roots at {n}, ten percent, no, twenty percent'], { is: 'roots', percent: 20 }],
  [['roots at {n}, ten, no, twenty percent'], { is: 'roots', percent: 20 }],
  [['{n}, roots, thirty percent, no, forty'], { is: 'roots', percent: 40 }],
  [['Roots at {n}, ten percent.', 'Make that twenty.'], { is: 'roots', percent: 20 }],
  [['Roots at {n}.', 'Make that 40%.'], { is: 'roots', percent: 40 }],
  [['Roots at {n}, 10%.', 'No, 30%.'], { is: 'roots', percent: 30 }],
  [['Roots at {n}.', 'The roots at {n} are 30%.'], { is: 'roots', percent: 30 }],
  [['An offset at {n}.', 'Sorry, 1".'], { is: 'offset', inches: 1 }],
  [["crack at {n}, three o'clock, no, nine o'clock"], { is: 'crack', clock: 9 }],
  [["Crack at {n}, three o'clock.", "Sorry, nine o'clock."], { is: 'crack', clock: 9 }],
  [['offset at {n}, half an inch, make that an inch'], { is: 'offset', inches: 1 }],
  [['a wye on the left, no, the right, at {n}'], { is: 'tie-in', clock: 3 }],
  [['A wye on the left at {n}.', 'Sorry, on the right.'], { is: 'tie-in', clock: 3 }],
  [['{n}, a forty five, I mean a ninety'], { is: 'bend', degrees: 90 }],
  [['locate at {n}, five feet deep, sorry, six'], { is: 'locate', depth: 6 }],
  [['{n}, clay to abs, no, clay to pvc'], { is: 'change', near: 'clay', far: 'pvc-sch40' }],
  [['{n}, clay to abs, I mean pvc'], { is: 'change', near: 'clay', far: 'pvc-sch40' }],
];

/** A thing put right by its name once something else, a wye, was named after it: its place. */
export const namedMoved: readonly ((name: string, n: string, m: string) => string)[] = [
  (x, n, m) => `The ${x} at ${n} is actually at ${m}.`,
  (x, n, m) => `The ${x} at ${n} should be at ${m}.`,
  (x, n, m) => `The ${x} I called at ${n} is really at ${m}.`,
  (x, _, m) => `Correction on the ${x}, it's at ${m}.`,
  (x, _, m) => `I should've said the ${x} was at ${m}.`,
  (x, _, m) => `Change the ${x} to ${m}.`,
  (x, _, m) => `Move the ${x} to ${m}.`,
  (x, n, m) => `That ${x} was at ${m}, not ${n}.`,
  (x, n, m) => `I said ${n} for the ${x}, it's ${m}.`,
];

/** The same: what it is. */
export const namedRenamed: readonly ((name: string, other: string, n: string) => string)[] = [
  (x, y, n) => `The ${x} at ${n} is really ${y}.`,
  (x, y, n) => `What I called ${x} at ${n} is ${y}.`,
  (x, y, n) => `That's not ${x} at ${n}, that's ${y}.`,
];

/** The same: it is not there. */
export const namedTakenBack: readonly ((name: string, n: string) => string)[] = [
  (x, n) => `Scratch the ${x} at ${n}.`,
  (x, n) => `Forget the ${x} at ${n}, that was paper.`,
  (x, n) => `The ${x} at ${n} was just a shadow.`,
  (x, n) => `The ${x} at ${n} is nothing.`,
];
