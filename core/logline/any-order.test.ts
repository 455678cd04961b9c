import fc from 'fast-check';
import { short } from '../test/in-short.js';
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

const roots = { is: 'roots' };
const belly = { is: 'belly' };
const wye = { is: 'tie-in', at: 57, clock: 9 };
test.each([
  // One thing and its hour, its bore or its degrees are one entry.
  ['41 crack, at 3', [{ is: 'crack', at: 41, clock: 3 }]],
  ['12\'6": crack, at 3', [{ is: 'crack', at: 12.5, clock: 3 }]],
  ['64, 4 in tee, at 3', [{ is: 'tie-in', at: 64, clock: 3, diameter: 4 }]],
  ['16.5: tee, at 3, 3 inch', [{ is: 'tie-in', at: 16.5, clock: 3, diameter: 3 }]],
  ["43' 4 in branch left", [{ is: 'tie-in', at: 43, clock: 9, diameter: 4 }]],
  ['cleanout at 61 ft 4 in', [{ is: 'cleanout', at: 61 }]],
  ['57 wye lt 4 in', [{ ...wye, diameter: 4 }]],
  ['57 lt saddle', [wye]],
  ["tap at 57' lt", [wye]],
  ['57 lt roots', [{ ...roots, at: 57 }]],
  ['45 bend 49', [{ is: 'bend', at: 49, degrees: 45 }]],
  ['45 bend 22\'6"', [{ is: 'bend', at: 22.5, degrees: 45 }]],
  ['14 bend 45', [{ is: 'bend', at: 14, degrees: 45 }]],
  ['broken in the invert at 40\'6"', [{ is: 'broken', at: 40.5, clock: 6 }]],
  ['hole in the invert at 40 ft', [{ is: 'hole', at: 40, clock: 6 }]],
  ['41 1/2 in the invert hole', [{ is: 'hole', at: 41.5, clock: 6 }]],
  ['weeping upper right at 30', [{ is: 'infiltration', at: 30, clock: 1.5 }]],
  // Several things, each with its place.
  [
    'crack 21, roots 32',
    [
      { is: 'crack', at: 21 },
      { ...roots, at: 32 },
    ],
  ],
  ['roots 21, 32%', [{ ...roots, at: 21, percent: 32 }]],
  [
    '19 roots/offset',
    [
      { ...roots, at: 19 },
      { is: 'offset', at: 19 },
    ],
  ],
  [
    '19 broken pipe/roots',
    [
      { is: 'broken', at: 19 },
      { ...roots, at: 19 },
    ],
  ],
  // Stretches.
  ['8 ft of roots from 31 to 39', [{ ...roots, at: 31, to: 39 }]],
  ['belly between 29 and 39 1/2 in', [{ ...belly, at: 29, to: 39, inches: 0.5 }]],
  ["sag from 37' to 42' 1/2 in", [{ ...belly, at: 37, to: 42, inches: 0.5 }]],
  // Depths.
  ['54 invert 9 feet', [{ is: 'locate', at: 54, depth: 9 }]],
  ['34 6 1/2 ft down', [{ is: 'locate', at: 34, depth: 6.5 }]],
  ["locate at 14 4.5'", [{ is: 'locate', at: 14, depth: 4.5 }]],
  ['68\'6" located, 2.5 ft', [{ is: 'locate', at: 68.5, depth: 2.5 }]],
  ['depth at 52 1/2 is 6 ft 6 in', [{ is: 'locate', at: 52.5, depth: 6.5 }]],
  // Changes of pipe.
  ['54\'6" clay/hdpe', [{ is: 'change', at: 54.5, near: 'clay', far: 'hdpe' }]],
  ['abs until 15\'6" then clay', [{ is: 'change', at: 15.5, near: 'abs', far: 'clay' }]],
  ['clay up to 45 1/2, abs after', [{ is: 'change', at: 45.5, near: 'clay', far: 'abs' }]],
])('%s', (line, things) => {
  const parts = parseLogLine(line, context);
  expect([line, parts.flatMap(({ errors }) => errors)]).toEqual([line, []]);
  expect(parts.map(short)).toEqual(things);
});
