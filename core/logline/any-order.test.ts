import fc from 'fast-check';
import type { LogContext } from './context.js';
import { parseLogLine } from './parse.js';

// Common practice: people write the place, the thing and its size in any order, and a place in feet and fractions, or in
// feet and inches. Where both could be the place it is asked (field trials, A).

const context: LogContext = { points: [{ id: 'MAIN', kind: 'main' }], pass: 'out', end: 'MAIN' };

const things = [
  ...[
    ...['crack', 'hairline crack', 'fracture', 'hole', 'broken pipe', 'pipe is broken', 'collapse'],
    ...['pipe collapsed', 'cave in', 'bottom is gone', 'groundwater coming in', 'weeping joint'],
  ].map((words) => ({ words, size: undefined })),
  ...['offset', 'offset joint', 'gap', 'open joint', 'lip', 'belly', 'low spot', 'standing water'].map(
    (words) => ({ words, size: 'inches' as const }),
  ),
  ...['roots', 'root ball', 'fine roots', 'grease', 'sludge', 'scale', 'oval', 'out of round', 'blister'].map(
    (words) => ({ words, size: 'percent' as const }),
  ),
];
const sizes = {
  inches: [
    ...['1/2"', '1/2 in', '.5 in', '0.5"', 'half inch'].map((words) => ({ words, value: 0.5 })),
    ...['1 1/2"', '1-1/2 in', '1.5 inches'].map((words) => ({ words, value: 1.5 })),
  ],
  percent: ['30%', '30 %', '30 percent', '30pct'].map((words) => ({ words, value: 30 })),
};
const placeWords = (whole: number) => [
  ...[`${whole}`, `${whole} ft`, `${whole}ft`, `${whole}'`, `${whole} feet`].map((words) => ({
    words,
    value: whole,
  })),
  ...[`${whole}.5`, `${whole} 1/2`, `${whole}'6"`, `${whole}' 6"`, `${whole} ft 6 in`].map((words) => ({
    words,
    value: whole + 0.5,
  })),
];
type Order = (place: string, thing: string, size: string) => string;
const orders: readonly Order[] = [
  (place, thing, size) => `${place} ${thing} ${size}`,
  (place, thing, size) => `${place}: ${thing}, ${size}`,
  (place, thing, size) => `${place}, ${thing} (${size})`,
  (place, thing, size) => `at ${place}, ${size} ${thing}`,
  (place, thing, size) => `${thing} ${size} at ${place}`,
  (place, thing, size) => `${thing} at ${place}, ${size}`,
  (place, thing, size) => `${place} there's a ${size} ${thing}`,
  (place, thing, size) => `${thing} ${place}, ${size}`,
];

test('a place, a thing and its size are the same in any order, however the place is written', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...things),
      fc.integer({ min: 10, max: 85 }).chain((whole) => fc.constantFrom(...placeWords(whole))),
      fc.constantFrom(...orders),
      fc.nat(),
      (thing, place, order, n) => {
        const size = thing.size && sizes[thing.size][n % sizes[thing.size].length];
        const line = order(place.words, thing.words, size?.words ?? '')
          .replace(/\(\)/, '')
          .replace(/\s+(?=,|$)|,\s*$/g, '');
        const [part, ...more] = parseLogLine(line, context);
        const entry = part?.entry;
        const told = entry?.kind === 'finding' ? Object.entries(entry) : [];
        expect([line, part?.errors, more.length]).toEqual([line, [], 0]);
        expect([line, ...told]).toEqual(
          expect.arrayContaining([
            line,
            ['reading_ft', place.value],
            ...(thing.size && size ? [[thing.size, size.value]] : []),
          ]),
        );
      },
    ),
    { numRuns: 1500 },
  );
});

test.each([
  ['gap 48 ft 1/2 in', 48, 0.5],
  ['48\' 1 1/2" offset', 48, 1.5],
  ['offset 48\' 6 1/2", 3/4 in', 48.5417, 0.75],
  ["48' 3 in of water", 48, 3],
  ['59 1/2 low spot half inch', 59.5, 0.5],
  ['offset 49 1/2, 1/2 in', 49.5, 0.5],
  ['crack 10.5', 10.5, undefined],
  ['broken at 10 1/2', 10.5, undefined],
])('%s', (line, reading_ft, inches) => {
  const [part, ...more] = parseLogLine(line, context);
  expect([part?.errors, more]).toEqual([[], []]);
  expect(part?.entry).toEqual(expect.objectContaining({ reading_ft, ...(inches ? { inches } : {}) }));
});

test.each(['42\' 1" offset', '42 ft 2 in belly', 'separated joint at 42 ft 1 in'])(
  'what %s is: asked, its place in inches or its size',
  (line) => {
    const [part] = parseLogLine(line, context);
    const answers = part?.errors.flatMap(({ answers }) => answers ?? []) ?? [];
    expect(answers.map(({ label }) => label.replace(/\d+ in/, 'N in'))).toEqual([
      'at 42 ft N in',
      'N in, at 42 ft',
    ]);
    for (const { words, from, to } of answers) {
      const [answered] = parseLogLine(line.slice(0, from) + words + line.slice(to), context);
      expect([words, answered?.errors]).toEqual([words, []]);
    }
  },
);
