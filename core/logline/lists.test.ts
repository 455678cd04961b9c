import fc from 'fast-check';
import { findingKinds, kindOf } from '../findings/kinds.js';
import { materialRegistry } from '../catalog/materials.js';
import { parseLogLine, type EntryDraft, type LogContext } from './parse.js';

// Several places in one breath, stretches of pipe, and what hangs on a word: what people say is common practice.
const base: LogContext = { pass: 'back', points: [], end: 'main' };
const clean = (line: string, more: Partial<LogContext> = {}): (EntryDraft | undefined)[] => {
  const parts = parseLogLine(line, { ...base, ...more });
  expect([line, parts.flatMap(({ errors }) => errors.map(({ message }) => message))]).toEqual([line, []]);
  return parts.map(({ entry }) => entry);
};
const ascending = (a: number, b: number) => a - b;
const reading = fc.integer({ min: 26, max: 199 }).map((half) => half / 2);
const places = fc.uniqueArray(reading, { minLength: 3, maxLength: 5 });
const what = fc.constantFrom('roots', 'cracks', 'offsets', 'holes', 'grease', 'open joints');
const ways: readonly ((said: string, at: readonly number[], last: number) => string)[] = [
  (said, at, last) => `${said} at ${at.join(', ')} and ${last}`,
  (said, at, last) => `${said} at ${at.join(', ')}, ${last}`,
  (said, at, last) => `${said} at ${at.join(', ')}, and ${last}`,
  (said, at, last) => `${at.join(', ')}, and ${last} have ${said}`,
  (said, at, last) => `${said} at ${at.join(' ')} and ${last}`,
  (said, at, last) => `${said} at ${at.join(' and ')} and ${last}`,
  (said, at, last) => `${at.join(', ')} and ${last} ${said}`,
  (said, at, last) => `${at.join(', ')}, and ${last} ${said}`,
  (said, at, last) => `${at.join(', ')}, ${last} ${said}`,
];

test('a list of places is one entry at each, and what was said of the thing holds for all', () => {
  fc.assert(
    fc.property(
      places,
      what,
      fc.constantFrom('', 'small ', 'heavy '),
      fc.nat(ways.length - 1),
      (at, said, size, way) => {
        const last = at.at(-1) ?? 0;
        const line = ways[way]?.(`${size}${said}`, at.slice(0, -1), last) ?? '';
        const found = clean(line);
        expect([line, found.map((entry) => entry?.reading_ft ?? NaN).sort(ascending)]).toEqual([
          line,
          [...at].sort(ascending),
        ]);
        const [first, ...others] = found.map((entry) => ({ ...entry, reading_ft: 0 }));
        for (const other of others) expect([line, other]).toEqual([line, first]);
        // Each place has one: the plural counts the places.
        expect(first).not.toHaveProperty('form');
      },
    ),
  );
});

test.each([
  ['12 15 18 roots', [12, 15, 18]],
  ['58 60 62 64 rts hvy', [58, 60, 62, 64]],
  ['12 15 and 18 roots', [12, 15, 18]],
  ['12.6, 15.6 roots', [12.6, 15.6]],
  ['41, 44 roots', [41, 44]],
  ['12 & 15 roots', [12, 15]],
  ['30, 34 crack 12:00', [30, 34]],
  // What can be a share, an hour, a turn or a size is none.
  ['20, 30 roots', [20]],
  ['30, 11 crack', [30]],
  ['20, 45 bend', [20]],
])('%s', (line, places) => {
  expect(
    clean(line, { pass: 'out' })
      .map((entry) => entry?.reading_ft ?? NaN)
      .sort(ascending),
  ).toEqual(places);
});

test('a measure after a list is of each; a measure at each place is its own', () => {
  const measured = (line: string) =>
    clean(line).map((entry) => [
      entry?.reading_ft,
      entry && ('percent' in entry ? entry.percent : 'inches' in entry && entry.inches),
    ]);
  for (const line of [
    'roots at 31, 33 and 35, 20 percent',
    'roots at 31, 33, 35 20%',
    '20% roots at 31, 33 and 35',
    '31, 33 and 35 roots, 20%',
    'roots 31, 33, 35, 20% each',
    'roots at 31, 33 and 35, all about 20 %',
  ])
    expect([line, measured(line).sort(([a = 0], [b = 0]) => Number(a) - Number(b))]).toEqual([
      line,
      [31, 33, 35].map((at) => [at, 20]),
    ]);
  for (const [size, is] of [
    ['light', 'small'],
    ['heavy', 'large'],
    ['medium', 'moderate'],
  ] as const)
    for (const line of [
      `roots 31, 33, 35, ${size}`,
      `31, 33, 35 roots, ${size}`,
      `roots at 31, 33, 35, all ${size}`,
    ])
      expect([line, clean(line).map((entry) => entry && 'size' in entry && entry.size)]).toEqual([
        line,
        [is, is, is],
      ]);
  expect(measured('roots at 31 20%, 33 30%')).toEqual([
    [31, 20],
    [33, 30],
  ]);
  expect(measured('roots 20% at 31 and 30% at 33')).toEqual([
    [31, 20],
    [33, 30],
  ]);
  expect(measured('offsets at 31 1/2 in and 33 3/4 in')).toEqual([
    [31, 0.5],
    [33, 0.75],
  ]);
});

// Common practice: where a side is named too, a number after "at" is the place, even if it could be an hour on that side.
test.each(['roots', 'crack', 'hole', 'bend', 'wye', 'tap'])('%s at a place and a side', (said) => {
  const sides = { left: 9, right: 3 };
  for (const [side, clock] of Object.entries(sides))
    for (let place = 1; place <= 12; place++) {
      const line = `${said} at ${place} ${side}`;
      const [part] = parseLogLine(line, base);
      expect([line, part?.errors]).toEqual([line, []]);
      const found = { ...part?.entry, ...part?.point };
      expect([line, found]).toEqual([line, expect.objectContaining({ reading_ft: place, clock })]);
    }
});

// Common practice: "both" and "all" say of each place of a list what could have been said before it.
test.each([
  ['roots', '10 %', { percent: 10 }],
  ['roots', 'about 10 percent', { percent: 10 }],
  ['offsets', 'half an inch', { inches: 0.5 }],
  ['cracks', "at 12 o'clock", { clock: 12 }],
  ['cracks', 'hairline', { form: 'hairline' }],
  ['roots', 'at joints', { atJoint: true }],
  ['wyes', 'on the left', { clock: 9 }],
  ['taps', "at 10 o'clock", { clock: 10 }],
])('%s at a list of places, all %s', (things, said, each) => {
  for (const line of [
    `${things} at 14 and 17, both ${said}`,
    `${things} at 14 and at 17, both ${said}`,
    `${things} at 14 and 17 both ${said}`,
    `${things} at 14 and 17, both of them ${said}`,
    `${things} at 14, 17 and 20, all ${said}`,
    `${things} at 14, 17, 20, each ${said}`,
  ]) {
    const at = line.includes('20') ? [14, 17, 20] : [14, 17];
    expect([line, clean(line)]).toMatchObject([line, at.map((reading_ft) => ({ reading_ft, ...each }))]);
  }
});

test('two hours are one thing at each, turned as the picture is', () => {
  for (const words of [
    "22 roots 11 o'clock and 1 o'clock",
    '22 roots at 11 and 1',
    "22 roots at 11 and 1 o'clock",
  ])
    expect([words, clean(words, { waterClock: 7 })]).toMatchObject([
      words,
      [
        { reading_ft: 22, clock: 11, waterClock: 7 },
        { reading_ft: 22, clock: 1, waterClock: 7 },
      ],
    ]);
  expect(clean('22 roots on both sides', { waterClock: 7 })).toMatchObject([
    { clock: 9, waterClock: 7 },
    { clock: 3, waterClock: 7 },
  ]);
  expect(clean("22 crack 10 o'clock to 2 o'clock")).toMatchObject([{ clock: [10, 2] }]);
  expect(clean('roots at 11 and 17')).toMatchObject([{ reading_ft: 11 }, { reading_ft: 17 }]);
  expect(clean('22 to 30 1/2" of water')).toMatchObject([{ reading_ft: 22, to_ft: 30, inches: 0.5 }]);
  expect(clean('22 starting to collapse')[0]).not.toHaveProperty('open');
});

test('a number after its thing is a place of its own where it can be nothing else', () => {
  for (const thing of ['main', 'crack', 'offset', 'wye', 'hole', 'belly'])
    expect([thing, clean(`24 roots; ${thing} 78`).map((entry) => entry?.reading_ft)]).toEqual([
      thing,
      [24, 78],
    ]);
  expect(clean('24 roots; grease 30')).toMatchObject([{ reading_ft: 24 }, { reading_ft: 24, percent: 30 }]);
  expect(parseLogLine('24 roots; bend 45', base)[1]?.point).toMatchObject({ degrees: 45 });
});

test('how many there are is not where they are', () => {
  for (const [line, at] of [
    ['two bends at 32 and 34', [32, 34]],
    ['three cracks at 22, 25 and 28', [22, 25, 28]],
    ['2 holes at 30', [30]],
    ['a couple of offsets at 30', [30]],
  ] as const)
    expect([line, clean(line).map((entry) => entry?.reading_ft)]).toEqual([line, at]);
  // Where the number may be the place, it is.
  expect(clean('2 roots at joint')).toMatchObject([{ reading_ft: 2, atJoint: true }]);
  expect(clean('two inches of water at 30')).toMatchObject([{ reading_ft: 30, inches: 2 }]);
});

test('a stretch of pipe lies between its ends, whichever way the head looks and moves', () => {
  const material = fc.constantFrom(...materialRegistry.rows);
  fc.assert(
    fc.property(
      fc.tuple(reading, reading).filter(([a, b]) => a !== b),
      material,
      fc.constantFrom('out', 'back'),
      fc.constantFrom('downstream', 'upstream'),
      fc.boolean(),
      ([from, to], { id, spoken }, pass, direction, first) => {
        const [word = id] = spoken;
        const line = first ? `${word} from ${from} to ${to}` : `${from} to ${to} ${word}`;
        const found = clean(line, { pass, direction });
        const upstreamEnd = direction === 'downstream' ? Math.min(from, to) : Math.max(from, to);
        expect([line, found.map((entry) => entry?.reading_ft)]).toEqual([line, [from, to]]);
        for (const entry of found) {
          const side = entry?.reading_ft === upstreamEnd ? 'downstream' : 'upstream';
          expect(entry).toMatchObject({ kind: 'change', [side]: { material: id } });
          expect(entry).not.toHaveProperty(side === 'upstream' ? 'downstream' : 'upstream');
        }
      },
    ),
  );
  // Where one ends and the next begins is one change, and none is where the line begins.
  expect(clean('0 to 12 cast iron, 12 to 40 6 inch clay, 40 to 77 abs', { pass: 'out' })).toMatchObject([
    { reading_ft: 12, upstream: { material: 'cast-iron' }, downstream: { material: 'clay', diameter_in: 6 } },
    { reading_ft: 40, upstream: { material: 'clay' }, downstream: { material: 'abs' } },
    { reading_ft: 77, upstream: { material: 'abs' } },
  ]);
});

test('the size of what follows, the length of its pieces and where a repair ends are said beside the material', () => {
  for (const line of [
    '52 clay to 6 in concrete',
    '52 clay to 6 concrete',
    '52 clay into 6" concrete',
    '52 clay > 6 in concrete',
  ])
    expect([line, clean(line, { pass: 'out' })]).toMatchObject([
      line,
      [
        {
          reading_ft: 52,
          upstream: { material: 'clay' },
          downstream: { material: 'concrete', diameter_in: 6 },
        },
      ],
    ]);
  for (const line of ['0 vcp 6in 3ft jts', '0 6 in clay, 3 ft joints', '0 clay 6" 3 ft sticks'])
    expect([line, clean(line, { pass: 'out' })]).toMatchObject([
      line,
      [{ reading_ft: 0, downstream: { material: 'clay', diameter_in: 6, piece_ft: 3 } }],
    ]);
  for (const line of ['43-49 pvc repair', '43 pvc repair to 49', '43 pvc patch til 49'])
    expect([line, clean(line, { pass: 'out' })]).toMatchObject([
      line,
      [
        { reading_ft: 43, downstream: { material: 'pvc-sch40' } },
        { reading_ft: 49, upstream: { material: 'pvc-sch40' } },
      ],
    ]);
});

test('what the pipe is of where it is bad is no change, unless another pipe was written last', () => {
  for (const [bad, finding] of [
    ['cracked', 'crack'],
    ['broken', 'broken'],
    ['bellied', 'belly'],
    ['offset', 'offset'],
    ['joint separated', 'separation'],
  ] as const) {
    expect([bad, clean(`41 clay ${bad}`)]).toMatchObject([bad, [{ kind: 'finding', finding }]]);
    const to = (material: 'clay' | 'abs') =>
      [{ id: 'e1', kind: 'change', reading_ft: 46, pass: 'back', upstream: { material } }] as const;
    expect(clean(`41 clay ${bad}`, { entries: to('clay') })).toMatchObject([{ finding }]);
    const [part] = parseLogLine(`41 clay ${bad}`, { ...base, entries: to('abs') });
    expect([bad, part?.errors[0]?.message]).toEqual([
      bad,
      'a change of pipe is a thing of its own: put it after a ;',
    ]);
  }
});

test('the house and the street say on which side a pipe lies, on either pass', () => {
  for (const pass of ['out', 'back'] as const) {
    for (const words of ['clay from the house to 24', '24 clay from here up'])
      expect(clean(words, { pass })).toMatchObject([{ reading_ft: 24, upstream: { material: 'clay' } }]);
    for (const words of [
      'clay from 24 to the main',
      '24 clay from here down',
      '24 clay from here to the street',
    ])
      expect(clean(words, { pass })).toMatchObject([{ reading_ft: 24, downstream: { material: 'clay' } }]);
  }
  expect(clean('cast iron to 24 then clay', { pass: 'out' })).toMatchObject([
    { upstream: { material: 'cast-iron' }, downstream: { material: 'clay' } },
  ]);
  expect(clean('24 liner starts', { pass: 'out' })).toMatchObject([{ downstream: { lined: true } }]);
  expect(clean('24 end of the old liner', { pass: 'out' })).toMatchObject([{ upstream: { lined: true } }]);
});

test('what is seen through a defect names a hole only where no other thing is named', () => {
  const through = findingKinds.flatMap((finding) =>
    (kindOf(finding).impliedBy ?? []).filter((each) => typeof each === 'string'),
  );
  expect(through.length).toBeGreaterThan(0);
  for (const words of through) {
    expect([words, clean(`22 ${words}`)]).toMatchObject([words, [{ finding: 'hole' }]]);
    expect([words, clean(`22 broken, ${words}`)]).toMatchObject([words, [{ finding: 'broken' }]]);
    expect([words, clean(`22 no ${words}`)]).toMatchObject([words, [{ kind: 'note' }]]);
  }
  for (const words of ['22 dirt in the bottom', '22 dirt in the line'])
    expect(clean(words)).toMatchObject([{ finding: 'deposit' }]);
});

test('what fills the pipe is a share of it, and blocks the camera where nothing is named', () => {
  for (const how of ['fully blocked', 'completely plugged', 'totally blocked', 'full blockage'])
    expect([how, clean(`41 roots ${how}`)]).toMatchObject([how, [{ finding: 'roots', percent: 100 }]]);
  expect(clean('41 completely blocked with roots')).toMatchObject([{ finding: 'roots', percent: 100 }]);
  expect(clean('41 partially blocked by roots')[0]).not.toHaveProperty('percent');
  expect(clean('41 pipe is completely blocked')).toMatchObject([{ kind: 'stop', why: 'blocked' }]);
  expect(clean('41 ran out of cable')).toMatchObject([{ kind: 'stop', why: 'out of cable' }]);
  expect(clean('22 to 26 full of water', { bore_in: 4 })).toMatchObject([{ finding: 'belly', inches: 4 }]);
  expect(clean('22 to 26 half full of water', { bore_in: 4 })).toMatchObject([
    { finding: 'belly', inches: 2 },
  ]);
});

test('inches are of what they are said of: cover, water, or the bore', () => {
  for (const words of [
    '55 sonde 62 inches deep',
    '55 located 5 ft 2 deep',
    '55 62 in deep',
    '55 5\' 2" deep',
  ])
    expect([words, clean(words)[0]]).toMatchObject([
      words,
      { kind: 'locate', depth_ft: expect.closeTo(62 / 12, 3) as unknown },
    ]);
  expect(clean('38 sag about 3 feet long 2 inches deep')).toEqual([
    { kind: 'finding', finding: 'belly', cause: 'sag', pass: 'back', reading_ft: 38, to_ft: 35, inches: 2 },
  ]);
  const [branch, sticks] = clean('22 tap sticks in 1 inch', { bore_in: 4 });
  expect([branch, sticks]).toMatchObject([{ kind: 'point' }, { finding: 'intrusion', percent: 25 }]);
  expect(clean('22 gasket sticking in 1 inch')).toMatchObject([{ finding: 'intrusion' }]);
  expect(clean('22 hole 2 inches')).toMatchObject([{ finding: 'hole', note: '2 in' }]);
  expect(clean('50 to 56 belly, 1.5 deep')).toMatchObject([{ finding: 'belly', inches: 1.5 }]);
  for (const words of ['35 reducer 6 to 4', '35 6 by 4 reducer', '35 6x4 reducer'])
    expect(clean(words, { pass: 'out' })).toMatchObject([
      { kind: 'change', upstream: { diameter_in: 6 }, downstream: { diameter_in: 4 } },
    ]);
  expect(clean('77.5 in the main')).toMatchObject([{ kind: 'point', reading_ft: 77.5 }]);
  expect(clean('0 cleanout 3 ft deep')).toMatchObject([{ kind: 'point' }]);
  expect(parseLogLine('22 90 down', base)[0]?.point).toMatchObject({ kind: 'bend', degrees: 90 });
});

test('what is said of one place besides its thing is an entry of its own', () => {
  const kinds = (line: string) =>
    clean(line, { pass: 'out' }).map((entry) => [entry?.kind, entry?.reading_ft]);
  expect(kinds('22 pvc to clay offset 1/2')).toEqual([
    ['change', 22],
    ['finding', 22],
  ]);
  expect(clean('22 tap sticks in 20%')[1]).toMatchObject({ finding: 'intrusion', percent: 20 });
  for (const line of ['main 104 depth 9 ft', 'roots at 104, 9 ft deep', '104 45 bend 9 ft deep'])
    expect([line, clean(line)[1]]).toMatchObject([line, { kind: 'locate', reading_ft: 104, depth_ft: 9 }]);
  for (const what of ['kitchen line', 'floor drain', 'laundry on the right', 'bathroom group'])
    expect([what, kinds(`18 ${what}`)]).toEqual([what, [['point', 18]]]);
});

test('marks and shorthand mean what they mean on a plan', () => {
  for (const at of ["15'6", '15\'-6"', '15\' 6"', '15 foot 6'])
    expect([at, clean(`${at} roots`)]).toMatchObject([at, [{ reading_ft: 15.5, finding: 'roots' }]]);
  for (const line of ['10..16 belly', '10…16 belly', "10'-16' belly"])
    expect([line, clean(line)]).toMatchObject([line, [{ reading_ft: 10, to_ft: 16 }]]);
  expect(clean('22 ci->abs', { pass: 'out' })).toMatchObject([
    { upstream: { material: 'cast-iron' }, downstream: { material: 'abs' } },
  ]);
  expect(clean('22 abs plastic pipe', { pass: 'out' })).toMatchObject([{ downstream: { material: 'abs' } }]);
  expect(clean('22 no hub coupling')).toMatchObject([{ kind: 'joint', note: 'coupling' }]);
  expect(parseLogLine('tap 9 o clock 22', base)[0]?.point).toMatchObject({ connection: 'tap', clock: 9 });
  expect(clean('22 crack 9-3 over the top')).toMatchObject([{ clock: [9, 3] }]);
  expect(clean('joints at 22, 25 and 28 have roots 20%')).toMatchObject(
    [22, 25, 28].map((reading_ft) => ({ reading_ft, finding: 'roots', percent: 20, atJoint: true })),
  );
});

test('a fall that is not there is said of the pipe; concrete in the pipe is not concrete pipe', () => {
  for (const words of [
    'pipe goes uphill',
    'no fall',
    'not enough slope',
    'lies flat',
    'slopes the wrong way',
  ])
    expect([words, clean(`22 to 30 ${words}`)]).toMatchObject([words, [{ finding: 'belly', to_ft: 30 }]]);
  for (const words of ['concrete in the pipe', 'cement plug', 'hardened concrete', 'gasket hanging down'])
    expect([words, clean(`22 ${words}`)]).toMatchObject([words, [{ finding: 'intrusion' }]]);
  expect(clean('22 concrete')).toMatchObject([{ kind: 'change' }]);
});

test('whatever way it is said that a thing is not there, it is never written as one', () => {
  const ways = [
    ...['not really a X', 'wouldn’t call that a X', "can't see any Xs or breaks", 'I don t see any Xs'],
    ...[
      'any Xs here, no',
      'X? no',
      'there used to be a X here',
      'I thought it was a X but no',
      'haven t seen any Xs',
    ],
  ];
  for (const thing of ['crack', 'root', 'offset', 'belly', 'hole'])
    for (const way of ways) {
      const line = `46 ${way.replaceAll('X', thing)}`;
      expect([line, parseLogLine(line, base).map(({ entry }) => entry?.kind)]).toEqual([line, ['note']]);
    }
  for (const line of ['46 roots are gone', '46 the grease has been cleaned out', '46 where the roots were'])
    expect([line, clean(line)]).toMatchObject([line, [{ kind: 'note', reading_ft: 46 }]]);
  // What is gone of the pipe is a finding; what only looked like one is what it is.
  expect(clean('46 bottom is gone')).toMatchObject([{ finding: 'bottom-gone' }]);
  expect(clean("46 looks like a crack but it's just a joint")).toMatchObject([{ kind: 'joint' }]);
  expect(clean('46 hardly any roots')).toMatchObject([{ finding: 'roots', size: 'small' }]);
  expect(clean('46 pipe looks great all the way to the main')).toMatchObject([{ kind: 'note' }]);
});

test('a tag names a point of the line by its id, and nothing else', () => {
  const points = [
    { id: 'T1', kind: 'tie-in' as const },
    { id: 'T2', kind: 'tie-in' as const },
  ];
  expect(clean('22 #T2', { points })).toMatchObject([{ kind: 'point', point: 'T2' }]);
  expect(parseLogLine('22 #T9', { ...base, points })[0]?.errors).not.toEqual([]);
  // "41, maybe 44": up to 3 ft apart is one place, about halfway; farther apart it is not.
  expect(clean('roots at 41 or 44')).toMatchObject([{ reading_ft: 42.5, about: true }]);
  expect(clean('roots 41 or 44.5')[0]?.reading_ft).not.toBe(42.75);
});

test('where it lies above ground is its note, an order is refused, and words not known may be kept', () => {
  expect(clean('24 4 ft deep by the oak tree')).toMatchObject([
    { kind: 'locate', depth_ft: 4, note: 'by the oak tree' },
  ]);
  for (const order of ['undo', 'delete that', 'remove the last entry', 'never mind'])
    expect([order, parseLogLine(order, base)]).toMatchObject([order, [{ entry: undefined, errors: [{}] }]]);
  for (const line of [
    '24 sprinkler head broken',
    '60 rat hole',
    '24 dogleg sandwich broken',
    '24 located, oak roots near',
  ]) {
    const answer = parseLogLine(line, base)
      .flatMap(({ errors }) => errors.flatMap(({ answers = [] }) => answers))
      .find(({ words }) => words.startsWith('"'));
    expect([line, answer]).toEqual([line, expect.anything()]);
    if (answer) clean(line.slice(0, answer.from) + answer.words + line.slice(answer.to));
  }
});
