import fc from 'fast-check';
import { oddLine } from '../test/odd-input.js';
import { parseLogLine, type LogContext } from './parse.js';
import { completion } from '../speech/phrases.js';

// How people write feet, inches and clock positions: common practice.
const context: LogContext = {
  pass: 'back',
  direction: 'upstream',
  end: 'MAIN',
  points: [
    { id: 'CO1', kind: 'cleanout', name: 'cleanout 1' },
    { id: 'MAIN', kind: 'main' },
  ],
};
const read = (text: string) => parseLogLine(text, context);
const entryOf = (text: string) => read(text)[0]?.entry;

/** A run in the middle of an inspection, for words that refer to earlier entries. */
const spoken: LogContext = {
  ...context,
  access: 'CO1',
  serves: ['upstairs bath'],
  points: [...context.points, { id: 'T1', kind: 'tie-in', name: 'laundry tie-in', reading_ft: 52 }],
  entries: [
    { id: 'e1', kind: 'point', point: 'MAIN', reading_ft: 81.7 },
    { id: 'e2', kind: 'change', reading_ft: 31.7, downstream: { material: 'clay', diameter_in: 4 } },
    { id: 'e3', kind: 'finding', finding: 'roots', reading_ft: 41, percent: 15, clock: 3, pass: 'back' },
    { id: 'e4', kind: 'finding', finding: 'belly', reading_ft: 63, open: true, pass: 'back' },
    { id: 'e5', kind: 'finding', finding: 'offset', reading_ft: 30, inches: 0.5, pass: 'back' },
  ],
};

test.each([
  ['41.5 roots', { reading_ft: 41.5 }],
  ['41 1/2 roots', { reading_ft: 41.5 }],
  [`41' 6" roots`, { reading_ft: 41.5 }],
  ['41ft 6in roots', { reading_ft: 41.5 }],
  ['~63 joint', { reading_ft: 63, about: true }],
  ['about 63 joint', { reading_ft: 63, about: true }],
  ['56-50 belly 1/4', { reading_ft: 56, to_ft: 50, finding: 'belly', inches: 0.25 }],
  ['50 to 56 belly 2 in', { reading_ft: 50, to_ft: 56, inches: 2 }],
  ['46 roots 15% 11-2 at joint', { finding: 'roots', percent: 15, clock: [11, 2], atJoint: true }],
  ['46 roots 30-50%', { percent: [30, 50] }],
  ['46 roots heavy at 2', { size: 'large', clock: 2 }],
  ['46 crack around top left', { finding: 'crack', form: 'around', clock: 10.5 }],
  [
    '46 offset 3/4 in water at 4:30 at 7:30',
    { finding: 'offset', inches: 0.75, waterClock: 4.5, clock: 7.5 },
  ],
  [
    '31.7 abs 4 > clay 6',
    {
      kind: 'change',
      upstream: { material: 'abs', diameter_in: 4 },
      downstream: { material: 'clay', diameter_in: 6 },
    },
  ],
  ['81.7 main', { kind: 'point', point: 'MAIN' }],
  ['38 cleanout 1', { kind: 'point', point: 'CO1' }],
  ['60 to 63 not seen', { kind: 'hidden', reading_ft: 60, to_ft: 63 }],
  ['38.7 located 4.1 deep', { kind: 'locate', depth_ft: 4.1 }],
  ['81.7 flush runs away', { kind: 'test', what: 'flush', runsAway: true }],
  ['22 possible roots "may be a cast"', { possible: true, note: 'may be a cast' }],
  ['30 gap 1/2 out', { finding: 'separation', inches: 0.5, pass: 'out' }],
  ['41½ roots', { reading_ft: 41.5 }],
  [`41' 6" to 45' belly 1 1/2 in`, { reading_ft: 41.5, to_ft: 45, inches: 1.5 }],
  ['46 crack around at 12:30', { clock: 0.5 }],
  [
    '31.7 4 in abs > 6 in clay 3 ft pieces',
    {
      upstream: { material: 'abs', diameter_in: 4 },
      downstream: { material: 'clay', diameter_in: 6, piece_ft: 3 },
    },
  ],
  ['31.7 abs > clay 6', { upstream: { material: 'abs' }, downstream: { material: 'clay', diameter_in: 6 } }],
  ['31, no 32 clay', { reading_ft: 32, downstream: { material: 'clay' } }],
  ['73 stopped roots', { kind: 'stop', why: 'roots' }],
  ['60 to 63 not seen under water', { kind: 'hidden', why: 'under water' }],
  ['81.7 lip 1/4 judged 1 because "there for decades"', { judged: { grade: 1, why: 'there for decades' } }],
  ['46 broken photo "roof.jpg" video 3:52', { photos: ['roof.jpg'], video_s: 232 }],
])('%s', (text, expected) => {
  const [part] = read(text);
  expect(part?.errors).toEqual([]);
  expect(part?.entry).toMatchObject(expected);
});

test('several things on a line; the second takes the first one’s reading', () => {
  const parts = read('46 roots 15% 11-2; gap 3/4 at joint');
  expect(parts.map(({ entry }) => entry?.reading_ft)).toEqual([46, 46]);
  expect(parts[1]?.entry).toMatchObject({ finding: 'separation', inches: 0.75, atJoint: true });
  expect(parts[0]?.sentence).toBe('Roots, 15 % of the diameter, 11 to 2 o’clock, at 46 on the counter');
});

test('what is missing is asked for; what is not understood is marked with what would be', () => {
  expect(read('46 roots')[0]?.missing).toEqual(['how much, in %']);
  expect(read('46 crack')[0]?.missing).toEqual(['which form']);
  const text = '46 rots 15%';
  const [wrong] = read(text)[0]?.errors ?? [];
  expect([text.slice(wrong?.from, wrong?.to), wrong?.message]).toEqual([
    'rots',
    expect.stringContaining('roots'),
  ]);
  expect(read('roots 15%')[0]?.errors[0]?.message).toMatch(/where\?/);
  expect(read('46')[0]?.errors[0]?.message).toMatch(/what is there\?/);
  expect(read('46 crack 15%')[0]?.errors[0]?.message).toContain('does not go with crack');
});

test.each([
  ['3 past the change: joint', { kind: 'joint', after: 'e2', plus_ft: 3 }],
  ['a little past the roots, crack hairline', { after: 'e3', form: 'hairline' }],
  ['then roots', { finding: 'roots', after: 'e5' }],
  ['between the change and the main: hole', { finding: 'hole', after: 'e2', before: 'e1' }],
  ['41.8 roots same as the roots', { sameAs: 'e3' }],
  [
    '38.7 located 4.1 deep start of the belly taped at 37.2 marked "edge of the drive"',
    { of: 'e4', end: 'from', depth_ft: 4.1, station_ft: 37.2, mark: 'edge of the drive' },
  ],
  [
    '81.7 flush from upstairs bath arrives runs away',
    { what: 'flush', of: 'upstairs bath', arrives: true, runsAway: true },
  ],
  ['52.5 tie-in', { kind: 'point', point: 'T1' }],
])('spoken of what was written before: %s', (text, expected) => {
  const [part] = parseLogLine(text, spoken);
  expect(part?.errors).toEqual([]);
  expect(part?.entry).toMatchObject(expected);
});

test('an end call closes the stretch that is open; a correction keeps what it does not change', () => {
  const [end] = parseLogLine('56.2 belly ends 2 in', spoken);
  expect(end).toMatchObject({ replaces: 'e4', entry: { reading_ft: 63, to_ft: 56.2, inches: 2 } });
  expect(end?.entry?.open).toBeUndefined();
  const [right] = parseLogLine('no, 31.5', spoken);
  expect(right).toMatchObject({
    replaces: 'e5',
    entry: { finding: 'offset', reading_ft: 31.5, inches: 0.5 },
  });
  expect(parseLogLine('no, 1/4', spoken)[0]?.entry).toMatchObject({ reading_ft: 30, inches: 0.25 });
  expect(parseLogLine('no, joint', spoken)[0]?.entry).toEqual({
    kind: 'joint',
    reading_ft: 30,
    pass: 'back',
  });
  expect(parseLogLine('63 sag starts; 56 sag ends', context)[1]).toMatchObject({
    replaces: 'part 0',
    entry: { reading_ft: 63, to_ft: 56 },
  });
  // Pulling back, the far end comes first.
  expect(parseLogLine('56 sag ends; 50 sag starts', context)[1]).toMatchObject({
    replaces: 'part 0',
    entry: { reading_ft: 56, to_ft: 50 },
  });
});

test('what the camera meets for the first time becomes a point of the line', () => {
  const [bend, stop] = parseLogLine('12 bend 45 degrees stopped', spoken);
  expect(bend?.point).toEqual({ id: 'bend-1', kind: 'bend', name: 'bend 1', degrees: 45 });
  expect(stop?.entry).toMatchObject({ kind: 'stop', reading_ft: 12 });
  const [cleanout] = parseLogLine('38 cleanout 4 in two-way riser 3', spoken);
  expect(cleanout?.point).toMatchObject({ kind: 'cleanout', diameter_in: 4, ways: 2, riser_ft: 3 });
  // The laundry connection is known to be within 4 ft of this reading, so it is the same one.
  expect(parseLogLine('53 tie-in 2 in at 2', spoken)[0]?.point).toMatchObject({
    id: 'T1',
    diameter_in: 2,
    clock: 2,
  });
});

test('words complete as they are typed', () => {
  expect(
    ['46 roo', '46 offs', '46 gap 3/4 at jo', '46 roots', '46 gap 3/4 in', '80 main back'].map(completion),
  ).toEqual(['t', 'et', 'int', '', '', '']);
});

// A million of these are tried by `npm run bench -- fuzz`.
test('no text throws, and every mark lies inside it', () => {
  fc.assert(
    fc.property(oddLine, (text) => {
      for (const { errors } of read(text)) {
        for (const { from, to } of errors) expect(from >= 0 && from <= to && to <= text.length).toBe(true);
      }
      expect(typeof completion(text)).toBe('string');
    }),
    { numRuns: 1000 },
  );
  expect(entryOf('')).toBeUndefined();
});
