import fc from 'fast-check';
import { condition } from './condition.js';
import { segmentPercent } from '../findings/measure.js';
import { rulesInForce } from '../job/rules.js';
import type { RulesOverride } from '../job/rules-schema.js';
import type { Entry, Line } from '../job/schema.js';
import { lineModel } from '../line/model.js';
import { oneLine } from '../test/one-line.js';
import { gradeByBounds } from '../findings/grades.js';

// The grade table is common practice: the default house rules.
const judge = (entries: object[], more: Partial<Line> = {}, rules: RulesOverride = {}) => {
  const line = oneLine(
    entries.map((entry, i) => ({ id: `f${i}`, kind: 'finding', reading_ft: 20 + 5 * i, ...entry })),
    more,
  );
  return condition(lineModel(line, rules), rulesInForce(rules));
};
const gradesOf = (entries: object[], more: Partial<Line> = {}, rules: RulesOverride = {}) =>
  judge(entries, more, rules).findings.map(({ grade }) => grade);

test('bounds belong to the column that says so', () => {
  expect([0, 4.9, 5, 14.9, 15, 30, 30.1].map((value) => gradeByBounds(value, [5, 15, 30]))).toEqual([
    0, 1, 2, 2, 3, 3, 4,
  ]);
  expect([4.9, 5, 14.9, 15, 90].map((value) => gradeByBounds(value, [5, 15]))).toEqual([1, 2, 2, 3, 3]);
});

test.each([
  [
    'roots',
    [{ percent: 9 }, { percent: 10 }, { percent: 25 }, { percent: 50 }, { percent: 51 }],
    [1, 2, 3, 3, 4],
  ],
  [
    'offset',
    [{ inches: 0.19 }, { inches: 0.2 }, { inches: 0.6 }, { inches: 1.2 }, { inches: 1.21 }],
    [1, 2, 3, 3, 4],
  ],
  [
    'separation',
    [{ inches: 0.4 }, { inches: 0.5 }, { inches: 1 }, { inches: 2 }, { inches: 2.1 }],
    [1, 2, 3, 3, 4],
  ],
  [
    'belly',
    [{ inches: 0.3 }, { inches: 0.4 }, { inches: 1 }, { inches: 2 }, { inches: 2.1 }],
    [1, 2, 3, 3, 4],
  ],
  [
    'deformation',
    [{ percent: 4 }, { percent: 5 }, { percent: 10 }, { percent: 25 }, { percent: 26 }],
    [1, 2, 3, 3, 4],
  ],
  [
    'deposit',
    [{ percent: 9 }, { percent: 10 }, { percent: 25 }, { percent: 50 }, { percent: 51 }],
    [1, 2, 3, 3, 4],
  ],
  [
    'blister',
    [{ percent: 4 }, { percent: 5 }, { percent: 14 }, { percent: 15 }, { percent: 90 }],
    [1, 2, 2, 3, 3],
  ],
  [
    'intrusion',
    [{ percent: 9 }, { percent: 10 }, { percent: 24 }, { percent: 25 }, { percent: 90 }],
    [1, 2, 2, 3, 3],
  ],
  [
    'crack',
    [
      { form: 'hairline' },
      { form: 'along' },
      { form: 'around' },
      { form: 'several' },
      { form: 'around', shifting: true },
    ],
    [1, 2, 3, 3, 4],
  ],
  ['broken', [{}], [4]],
  ['hole', [{}], [4]],
  ['bottom-gone', [{}], [4]],
  ['collapse', [{}], [4]],
  ['lip', [{ inches: 0.2 }, { inches: 0.25 }, { inches: 1 }], [1, 2, 3]],
  ['infiltration', [{ form: 'weeping' }, { form: 'running' }], [2, 3]],
  ['worn-bottom', [{}], [3]],
])('%s is graded by its row', (finding, measures, grades) => {
  expect(gradesOf(measures.map((measure) => ({ finding, ...measure })))).toEqual(grades);
});

// The same common-practice table: a finding stops a liner past its limit, not at it, except for a belly and a lip.
test.each([
  ['offset', 'inches', [1, 1.01]],
  ['separation', 'inches', [4, 4.1]],
  ['roots', 'percent', [10, 11]],
  ['deposit', 'percent', [10, 11]],
  ['belly', 'inches', [0.99, 1]],
  ['deformation', 'percent', [10, 11]],
  ['blister', 'percent', [10, 11]],
  ['intrusion', 'percent', [10, 11]],
  ['lip', 'inches', [0.99, 1]],
] as const)('%s stops a liner from its limit on', (finding, measure, [under, over]) => {
  const stops = (size: number) => judge([{ finding, [measure]: size }]).findings[0]?.stopsLiner;
  expect([under, over].map((size) => stops(size) !== undefined)).toEqual([false, true]);
});

test('no measure is watched and warned; a range counts high; size words stand for their grade; judged overrules', () => {
  const said = judge([
    { finding: 'roots' },
    { finding: 'roots', percent: [20, 40] },
    { finding: 'separation', size: 'large' },
    { finding: 'offset', inches: 0 },
    { finding: 'roots', percent: 60, judged: { grade: 1, why: 'old mat, runs well' } },
  ]);
  expect(said.findings.map(({ grade }) => grade)).toEqual([2, 3, 3, 0, 1]);
  expect(said.findings[4]?.tableGrade).toBe(4);
  expect(said.warnings.map(({ rule }) => rule)).toEqual(['not-measured']);
});

// Area of a circular segment, a handbook formula: half the height is half the area, a quarter of the height is 19.55
// %.
test('a deposit in inches is the share of the bore below its height', () => {
  expect(segmentPercent(2, 4)).toBeCloseTo(50, 9);
  expect(segmentPercent(1, 4)).toBeCloseTo(19.55, 2);
  expect(segmentPercent(4, 4)).toBeCloseTo(100, 9);
});

test('a step between two materials is normal up to half the difference of their outside diameters', () => {
  const change = {
    id: 'c',
    kind: 'change',
    reading_ft: 25,
    upstream: { material: 'pvc-sch40' },
    downstream: { material: 'clay' },
  };
  // Clay 5.1, plastic 4.5: half of 0.6.
  expect(gradesOf([{ finding: 'offset', inches: 0.3, reading_ft: 25 }, change])).toEqual([0]);
  expect(gradesOf([{ finding: 'offset', inches: 0.31, reading_ft: 25 }, change])).toEqual([2]);
  expect(gradesOf([{ finding: 'offset', inches: 0.3, reading_ft: 40 }, change])).toEqual([2]);
});

test('only a crack all round fails by shifting; any other keeps the grade of its form', () => {
  for (const [form, grade] of [
    ['hairline', 1],
    ['along', 2],
    ['around', 4],
    ['several', 3],
  ] as const)
    expect([form, gradesOf([{ finding: 'crack', form, shifting: true }])]).toEqual([form, [grade]]);
  expect(gradesOf([{ finding: 'crack', form: 'around', shifting: false }])).toEqual([3]);
});

test('a crack all round with a step at its place has failed', () => {
  expect(
    gradesOf([
      { finding: 'crack', form: 'around', reading_ft: 30 },
      { finding: 'offset', inches: 0.3, reading_ft: 30.4 },
    ]),
  ).toEqual([4, 2]);
  // Farther away, or where two materials with different outside diameters simply meet, nothing has shifted.
  expect(
    gradesOf([
      { finding: 'crack', form: 'around', reading_ft: 30 },
      { finding: 'offset', inches: 0.3, reading_ft: 34 },
    ]),
  ).toEqual([3, 2]);
  const change = {
    id: 'ch',
    kind: 'change',
    reading_ft: 30,
    upstream: { material: 'clay', diameter_in: 4 },
    downstream: { material: 'pvc-sdr35', diameter_in: 4 },
  };
  expect(
    gradesOf([
      { finding: 'crack', form: 'around', reading_ft: 30 },
      { finding: 'offset', inches: 0.1, reading_ft: 30 },
      change,
    ]),
  ).toEqual([3, 0]);
});

test('a flush that ran past lowers a slight sag by one; water held by a blockage has no grade; a backed-up main is referred', () => {
  const flush = { id: 't', kind: 'test', reading_ft: 80, what: 'flush', runsAway: true };
  const sag = { finding: 'belly', inches: 0.5 };
  expect(gradesOf([sag, flush])).toEqual([1]);
  expect(gradesOf([sag, flush], {}, { flushLowersBelly: false })).toEqual([2]);
  // Seen where the sag ends it ran past; seen before, it may stand there.
  expect(
    gradesOf([
      { ...sag, reading_ft: 40, to_ft: 46 },
      { ...flush, reading_ft: 46 },
    ]),
  ).toEqual([1]);
  expect(
    gradesOf([
      { ...sag, reading_ft: 40, to_ft: 46 },
      { ...flush, reading_ft: 45.9 },
    ]),
  ).toEqual([2]);
  expect(gradesOf([sag, { ...flush, runsAway: false }])).toEqual([2]);
  // Only a slight finding ranks lower; a belly to fix, or a failed one, keeps its grade.
  expect(gradesOf([{ finding: 'belly', inches: 1.2 }, flush])).toEqual([3]);
  expect(gradesOf([{ finding: 'belly', inches: 2.1 }, flush])).toEqual([4]);
  expect(gradesOf([{ finding: 'belly', inches: 0.2 }, flush])).toEqual([0]);
  const held = judge([{ finding: 'belly', inches: 2, cause: 'blockage' }, { finding: 'main-backed-up' }]);
  expect(held.findings.map(({ grade }) => grade)).toEqual([0]);
  expect(held.referrals).toHaveLength(1);
});

test('roots cut since and seen again are settled; a partial cleaning or a narrow blade settles nothing', () => {
  const roots = { finding: 'roots', percent: 60, stage: 'before-cleaning' };
  const settled = (cleaning: object) => {
    const before = {
      id: 'R0',
      access: 'CO1',
      direction: 'downstream' as const,
      zero: 'pipe' as const,
      stage: 'before-cleaning' as const,
      on: '2026-03-01',
    };
    const found = judge([], {
      cleanings: [{ from_ft: 0, to_ft: 60, on: '2026-03-02', ...cleaning }],
      runs: [
        { ...before, entries: [{ id: 'r', kind: 'finding', reading_ft: 30, ...roots } as Entry] },
        {
          ...before,
          id: 'R1',
          stage: 'current',
          on: '2026-03-04',
          entries: [{ id: 'end', kind: 'point', reading_ft: 80, point: 'MAIN' }],
        },
      ],
    }).findings[0];
    return [found?.settled, found?.stopsLiner === undefined];
  };
  expect(settled({})).toEqual([true, true]);
  expect(settled({ cleared: 'most' })).toEqual([false, false]);
  expect(settled({ blade_in: 3 })).toEqual([false, false]);
  expect(settled({ on: '2026-03-05' })).toEqual([false, false]);
  expect(settled({ to_ft: 30 })).toEqual([false, false]);
});

test('what stops a liner, at its limit and past it', () => {
  const stops = (entry: object) => judge([entry]).findings[0]?.stopsLiner !== undefined;
  expect([25, 25.5].map((share) => stops({ finding: 'offset', inches: (share / 100) * 4 }))).toEqual([
    false,
    true,
  ]);
  expect([10, 11].map((percent) => stops({ finding: 'roots', percent }))).toEqual([false, true]);
  expect([0.99, 1].map((inches) => stops({ finding: 'belly', inches }))).toEqual([false, true]);
  expect([4, 4.1].map((inches) => stops({ finding: 'separation', inches }))).toEqual([false, true]);
  expect(stops({ finding: 'roots', percent: 60, possible: true })).toBe(false);
  expect([20, 21.5].map((to_ft) => stops({ finding: 'bottom-gone', reading_ft: 20, to_ft }))).toEqual([
    false,
    true,
  ]);
});

test('a house may move the limits of a row', () => {
  expect(
    gradesOf([{ finding: 'roots', percent: 12 }], {}, { findings: { roots: { bounds: [15, 30, 60] } } }),
  ).toEqual([1]);
});

// A property of any table of limits: a worse measure never gets a better grade.
test('a larger measure never has a lower grade, and a row’s own limits decide', () => {
  const kinds = ['roots', 'deposit', 'deformation', 'blister', 'intrusion'] as const;
  fc.assert(
    fc.property(
      fc.constantFrom(...kinds),
      fc.integer({ min: 0, max: 99 }),
      fc.integer({ min: 1, max: 40 }),
      (finding, percent, more) => {
        const [less, worse] = gradesOf([
          { finding, percent },
          { finding, percent: Math.min(100, percent + more) },
        ]);
        expect(worse ?? 0).toBeGreaterThanOrEqual(less ?? 0);
      },
    ),
    { numRuns: 60 },
  );
});
