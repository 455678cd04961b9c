import fc from 'fast-check';
import { parseLogLine, type LogContext } from './parse.js';
import { completion } from './words.js';

// How people write feet, inches and clock positions: common practice.
const context: LogContext = {
  pass: 'back',
  end: 'MAIN',
  points: [
    { id: 'CO1', kind: 'cleanout', name: 'cleanout 1' },
    { id: 'MAIN', kind: 'main' },
  ],
};
const read = (text: string) => parseLogLine(text, context);
const entryOf = (text: string) => read(text)[0]?.entry;

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
])('%s', (text, expected) => {
  const [part] = read(text);
  expect(part?.errors).toEqual([]);
  expect(part?.entry).toMatchObject(expected);
});

test('several things on a line; the second takes the first one’s reading', () => {
  const parts = read('46 roots 15% 11-2; gap 3/4 at joint');
  expect(parts.map(({ entry }) => entry?.reading_ft)).toEqual([46, 46]);
  expect(parts[1]?.entry).toMatchObject({ finding: 'separation', inches: 0.75, atJoint: true });
  expect(parts[0]?.sentence).toBe('Roots, 15 % of the bore, 11 to 2 o’clock, at 46 on the counter');
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

test('words complete as they are typed', () => {
  expect(['46 roo', '46 offs', '46 gap 3/4 at jo', '46 roots'].map(completion)).toEqual([
    't',
    'et',
    'int',
    '',
  ]);
});

test('no text throws, and every mark lies inside it', () => {
  const bits = fc.constantFrom(
    '46',
    'roots',
    '15%',
    '11-2',
    ';',
    '"',
    '>',
    'abs',
    '1/2',
    "'",
    ' ',
    '~',
    'at',
    'to',
    '-',
    '½',
    '46.5.5',
    '0/0',
  );
  const texts = fc.oneof(
    fc.string({ maxLength: 60 }),
    fc.array(bits, { maxLength: 14 }).map((all) => all.join(' ')),
  );
  fc.assert(
    fc.property(texts, (text) => {
      for (const { errors } of read(text)) {
        for (const { from, to } of errors) expect(from >= 0 && from <= to && to <= text.length).toBe(true);
      }
      expect(typeof completion(text)).toBe('string');
    }),
    { numRuns: 2000 },
  );
  expect(entryOf('')).toBeUndefined();
});
