/**
 * Water, dye and flushes sent down the line, and what came of them where the camera is: common practice, written for
 * these tests.
 */

type Outcome = Readonly<{ what: string; of?: string; arrives?: boolean; runsAway?: boolean }>;

/** A test at a place, in one sentence. */
export const testedAt: readonly (readonly [says: (at: string) => string, outcome: Outcome])[] = [
  [(n) => `${n}, flushed a toilet, water ran right past`, { what: 'flush', runsAway: true }],
  [(n) => `${n}, flushed, it went by`, { what: 'flush', runsAway: true }],
  [(n) => `${n}, flush test, water stands`, { what: 'flush', runsAway: false }],
  [(n) => `${n}, flushed twice, still holding water`, { what: 'flush', runsAway: false }],
  [(n) => `${n}, flushed it, no backup`, { what: 'flush', runsAway: true }],
  [(n) => `${n}, flush it, okay, there it goes`, { what: 'flush', arrives: true }],
  [(n) => `${n}, toilet flush came past the camera`, { what: 'flush', arrives: true, runsAway: true }],
  [(n) => `flushed the toilet and it came through at ${n}`, { what: 'flush', arrives: true }],
  [(n) => `${n}, ran water, it goes right through`, { what: 'water', runsAway: true }],
  [(n) => `${n}, ran water, it backs up`, { what: 'water', runsAway: false }],
  [(n) => `${n}, water test, runs off slow`, { what: 'water', runsAway: false }],
  [(n) => `${n}, poured a bucket down, it runs away`, { what: 'water', runsAway: true }],
  [
    (n) => `${n}, ran the kitchen sink, it comes in here`,
    { what: 'water', of: 'kitchen sink', arrives: true },
  ],
  [(n) => `kitchen sink water comes in at ${n}`, { what: 'water', of: 'kitchen sink', arrives: true }],
  [(n) => `ran the tub, comes in at ${n} feet`, { what: 'water', of: 'tub', arrives: true }],
  [(n) => `${n}, ran the tub, nothing shows`, { what: 'water', of: 'tub', arrives: false }],
  [(n) => `${n}, ran the bath, nothing comes`, { what: 'water', of: 'bathroom', arrives: false }],
  [(n) => `${n}, the washer is draining here`, { what: 'water', of: 'washer', arrives: true }],
  [(n) => `${n}, hose in the yard drain, nothing`, { what: 'water', of: 'yard drain', arrives: false }],
  [(n) => `${n}, dye in the floor drain doesn't show`, { what: 'dye', of: 'floor drain', arrives: false }],
  [(n) => `dye in the downspout shows up at ${n}`, { what: 'dye', of: 'downspout', arrives: true }],
];

/** What was sent down, and in the next sentence how it went. */
export const testedNext: readonly (readonly [sent: string, went: string, outcome: Outcome])[] = [
  ['Okay, flush the toilet.', 'Here it comes.', { what: 'flush', arrives: true }],
  ['I had him flush a toilet.', 'Water ran right by.', { what: 'flush', runsAway: true }],
  ['Flush test.', 'Passes.', { what: 'flush', runsAway: true }],
  ['Flushed a toilet.', 'Still standing after that.', { what: 'flush', runsAway: false }],
  ['Run the kitchen sink.', 'It comes in there.', { what: 'water', of: 'kitchen sink', arrives: true }],
  ['Put dye in the floor drain.', 'Never showed up.', { what: 'dye', of: 'floor drain', arrives: false }],
  ['Ran the hose in the downspout.', 'Nothing coming.', { what: 'water', of: 'downspout', arrives: false }],
];
