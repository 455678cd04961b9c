import type { Entry } from '../job/schema.js';
import { sayClock, sayEntry, sayInches, sayWhat } from './say.js';

const say = (entry: object) => sayWhat({ id: 'e', reading_ft: 1, ...entry } as Entry, (id) => id);

// Plain trade words for everything the file can hold: common practice.
test.each([
  [
    { kind: 'finding', finding: 'roots', percent: [30, 50], clock: [10, 2], atJoint: true },
    'Roots, 30 to 50 % of the diameter, 10 to 2 o’clock, at a joint',
  ],
  [
    { kind: 'finding', finding: 'crack', form: 'around', shifting: true },
    'Crack all the way round, the pipe has begun to shift',
  ],
  [{ kind: 'finding', finding: 'crack', possible: true }, 'Possible crack'],
  [{ kind: 'finding', finding: 'deposit', of: 'grease', size: 'large' }, 'Deposit of grease, large'],
  [
    { kind: 'finding', finding: 'belly', inches: 2.2, cause: 'blockage' },
    'Standing water, 2.2 in, held by a blockage',
  ],
  [{ kind: 'finding', finding: 'separation', inches: 0.75, clock: 6 }, 'Joint open, ¾ in, at 6 o’clock'],
  [
    { kind: 'finding', finding: 'infiltration', form: 'running', touchesFlow: true },
    'Water running in, in the flow',
  ],
  [
    {
      kind: 'change',
      upstream: { material: 'abs', diameter_in: 4 },
      downstream: { material: 'clay', diameter_in: 6 },
    },
    '4 in ABS, then 6 in clay',
  ],
  [{ kind: 'change', downstream: { material: 'fibre' } }, 'Bituminous fiber from here'],
  [{ kind: 'locate', depth_ft: 4.1, mark: 'paint' }, 'Located, 4.1 ft deep, paint'],
  [
    { kind: 'test', what: 'flush', of: 'bath', arrives: true, runsAway: false },
    'Flush from bath, arrives, does not run away',
  ],
  [{ kind: 'hidden', why: 'under water' }, 'Not seen, under water'],
  [{ kind: 'stop', why: 'roots' }, 'Stopped: roots'],
  [{ kind: 'joint' }, 'Joint'],
  [{ kind: 'point', point: 'MAIN' }, 'MAIN'],
])('%j', (entry, words) => {
  expect(say(entry)).toBe(words);
});

test('inches and clock positions as people say them', () => {
  expect([0.25, 1.5, 2, 2.2, 0.875].map(sayInches)).toEqual(['¼', '1 ½', '2', '2.2', '⅞']);
  expect([6, 4.5, 12].map(sayClock)).toEqual(['at 6 o’clock', 'at 4:30 o’clock', 'at 12 o’clock']);
});

test('the whole sentence says about, both ends, and the note', () => {
  const entry = {
    id: 'e',
    kind: 'finding',
    finding: 'belly',
    reading_ft: 50,
    to_ft: 56,
    about: true,
    note: 'runs well',
  } as Entry;
  expect(
    sayEntry(
      entry,
      () => 'Point',
      () => 'it',
    ),
  ).toBe('Standing water, from about 50 to 56 on the counter, “runs well”');
});
