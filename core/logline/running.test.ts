import { typedLog } from '../test/in-short.js';
import type { LogContext } from './parse.js';

// A log typed while the camera moves: where water begins, how deep it is and where it ends come on lines of their own.
// Common practice.

const typed = (lines: readonly string[], pass: LogContext['pass'] = 'out') => typedLog(lines, pass);
const began = ['belly', 'sag', 'water', 'belly starts', 'standing water'];
const deepest = [
  '53 max 2 in',
  '53 deepest, 2 in',
  '53 deepest spot 2"',
  '53 lowest point 2 inches',
  'max 2" @ 53',
  'max 2 at 53',
  'deepest 2 in at 53',
  'deepest at 53, 2 in',
  'deepest point 53, 2 in',
];
const ends = [
  ...[
    'out',
    'out of it',
    'out of water',
    'out of the water',
    'back out of it',
    'clear',
    'dry',
    'done',
    'over',
  ],
  ...[
    'comes out',
    'comes up out of the dip',
    'water level 0',
    'no more water',
    'clear of water',
    'level again',
    'back to grade',
    'grade good again',
    'camera clear',
  ],
];

test('the depth and the end of standing water, on lines of their own, are written of it', () => {
  for (const water of began)
    for (const [i, end] of ends.entries()) {
      const deep = deepest[i % deepest.length] ?? '';
      const lines = [`50 ${water}`, deep, `57 ${end}`];
      expect([lines, typed(lines)]).toEqual([
        lines,
        {
          entries: [
            expect.objectContaining({
              ...{ kind: 'finding', finding: 'belly', reading_ft: 50, to_ft: 57, inches: 2 },
            }),
          ],
          asked: [],
        },
      ]);
    }
  for (const end of ends)
    expect([end, typed(['50 camera under water', `57 ${end}`]).entries]).toMatchObject([
      end,
      [{ kind: 'hidden', reading_ft: 50, to_ft: 57 }],
    ]);
  // Pulling back, the far end comes first; after its end, the deepest place may still be told.
  for (const deep of deepest)
    expect(typed(['57 belly', '50 out', deep], 'back').entries).toMatchObject([
      { finding: 'belly', reading_ft: 57, to_ft: 50, inches: 2 },
    ]);
});

test('while the camera is in it, a measure deepens the water and never makes it shallower', () => {
  for (const here of [
    '53 2 in deep',
    '53 water 2 in deep',
    '53 2 in of water',
    "53 it's 2 in deep here",
    '53 2"',
  ])
    expect([here, typed(['50 belly', here, '55 1 in deep', '57 out']).entries]).toMatchObject([
      here,
      [{ finding: 'belly', reading_ft: 50, to_ft: 57, inches: 2, note: '2 in at 53 ft; 1 in at 55 ft' }],
    ]);
});

test('without water, such a line is no call of it', () => {
  expect(typed(['66 clear']).entries).toMatchObject([{ kind: 'note', note: 'clear' }]);
  expect(typed(['14 roots', '66 clear']).entries).toMatchObject([{ finding: 'roots' }, { kind: 'note' }]);
  expect(typed(['53 deepest, 2 in']).asked).toEqual([
    'no standing water is written there: say “53 belly 2 in”',
  ]);
  // A belly that ended before it, or one beyond the cable's last 40 ft, is another.
  expect(typed(['30 belly to 36', '53 max 2 in']).asked).toHaveLength(1);
  expect(typed(['10 belly', '66 clear']).entries).toMatchObject([{ finding: 'belly' }, { kind: 'note' }]);
});

test('where roots or grease are heaviest is written of the stretch', () => {
  for (const [what, finding] of [
    ['roots', 'roots'],
    ['grease', 'deposit'],
    ['scale', 'deposit'],
  ] as const)
    for (const worst of ['24 heaviest 40%', '24 worst, 40 %', 'max 40% @ 24', 'heaviest at 24, 40 percent'])
      for (const lines of [
        [`12 ${what} start`, worst, `30 ${what} end`],
        [`12 ${what} start`, worst, '30 clear'],
        [`12-30 ${what} 10%`, worst],
      ])
        expect([lines, typed(lines)]).toMatchObject([
          lines,
          { entries: [{ finding, reading_ft: 12, to_ft: 30, percent: 40 }], asked: [] },
        ]);
  // One place is no stretch.
  expect(typed(['12 roots', '24 heaviest 40%']).entries[0]).not.toHaveProperty('percent');
});
