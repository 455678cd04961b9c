import { completion } from '../speech/phrases.js';
import { toTheMain } from '../test/in-short.js';
import { parseLogLine, type LogContext, type LogPart } from './parse.js';

// Each test is one class of mistake seen in use, with the sample it was seen on and others of its kind: what people
// type and say is common practice.
const base: LogContext = { ...toTheMain, pass: 'back' };
const parts = (line: string, more: Partial<LogContext> = {}): LogPart[] =>
  parseLogLine(line, { ...base, ...more });
const entries = (line: string, more: Partial<LogContext> = {}) => parts(line, more).map(({ entry }) => entry);
const clean = (line: string, more: Partial<LogContext> = {}) => {
  expect([line, parts(line, more).flatMap(({ errors }) => errors.map(({ message }) => message))]).toEqual([
    line,
    [],
  ]);
  return entries(line, more);
};

test('a denial is a note on its foot', () => {
  const seen = [
    'roots',
    'cracks',
    'hole',
    'offsets',
    'belly',
    'grease',
    'collapse',
    'standing water',
    'wipes',
    'scale',
    'breaks',
    'gap',
  ];
  for (const what of seen) {
    expect(clean(`46 no ${what}`)).toMatchObject([
      { kind: 'note', reading_ft: 46, note: `seen, none: ${what}` },
    ]);
  }
});

test('a whole phrase is never completed', () => {
  const whole = [
    ...[
      '74 main backed up',
      '60 not seen',
      '60 property line',
      '60 tie in',
      '60 sticks in',
      '60 water running in',
    ],
    ...[
      '60 does not arrive',
      '60 cannot see',
      '60 cast iron',
      '60 open joint',
      '60 bottom gone',
      '60 under water',
    ],
    ...['60 at the joint', '60 backwater valve', '60 standing water', '60 main'],
  ];
  for (const line of whole) expect([line, completion(line)]).toEqual([line, '']);
  for (const before of ['46 roots;', '46 roots; ', '']) expect(completion(`${before}offs`)).toBe('et');
});

test('what stands on the line is what is meant, whatever longer words begin so', () => {
  expect(clean('30 co')).toMatchObject([{ kind: 'point' }]);
  for (const begun of [
    'mai',
    'roo',
    'crac',
    'offse',
    'bel',
    'gre',
    'colla',
    'separat',
    'joi',
    'clay pip',
    'manho',
  ]) {
    const kinds = entries(`60 ${begun}`).map((entry) => entry?.kind ?? 'refused');
    expect([begun, kinds.every((kind) => ['refused', 'note', 'change'].includes(kind))]).toEqual([
      begun,
      true,
    ]);
  }
});

test('words about the cleanout that is there make no second one, and no broken pipe', () => {
  const states = [
    ...[
      '0 cleanout cap broken',
      '0 cleanout broken',
      '0 cleanout cap missing',
      '0 broken cap',
      '0 cap missing',
      '0 cap gone',
    ],
    ...[
      '0 cleanout no cap',
      '0 cleanout buried',
      '0.4 cleanout cap cracked',
      '0 front cleanout broken cap',
      '0 clean out cap is broken',
    ],
  ];
  for (const line of states) {
    const [part] = parts(line);
    expect([line, part?.entry, part?.errors]).toEqual([
      line,
      expect.objectContaining({ kind: 'point', point: 'CO1' }),
      [],
    ]);
    expect([line, part?.point?.state]).toEqual([line, expect.any(String)]);
  }
});

test('pulling back, the head sees what lies upstream next', () => {
  const pairs = [
    ['clay', 'fibre'],
    ['abs', 'clay'],
    ['pvc', 'cast iron'],
    ['concrete', 'clay'],
    ['clay', 'pvc'],
    ['sdr 35', 'clay'],
  ] as const;
  for (const [first, second] of pairs) {
    for (const join of ['>', 'to', '->']) {
      const [back] = clean(`60 ${first} ${join} ${second}`);
      const [out] = clean(`60 ${second} ${join} ${first}`, { pass: 'out' });
      expect(back).toMatchObject({ kind: 'change' });
      expect({ ...back, pass: 'out' }).toEqual(out);
      const [upstream] = clean(`60 ${first} ${join} ${second}`, { direction: 'upstream', pass: 'out' });
      expect({ ...upstream, pass: 'back' }).toEqual(back);
    }
  }
});

test('a bare number beside a bend is its degrees', () => {
  for (const degrees of [22.5, 30, 45, 60, 90]) {
    for (const line of [`14 bend ${degrees}`, `14 ${degrees} bend`, `14 turn ${degrees} degrees`]) {
      clean(line);
      expect([line, parts(line)[0]?.point?.degrees]).toEqual([line, degrees]);
    }
  }
});

test('percent or clock, inches or clock: asked, never guessed', () => {
  for (const what of ['roots', 'wipes', 'grease', 'scale', 'offset', 'gap']) {
    for (const value of [2, 5, 10]) {
      const [part] = parts(`46 ${what} ${value}`);
      expect([what, value, part?.errors[0]?.answers?.length]).toEqual([what, value, 2]);
    }
  }
});

test('feet stay feet, and both sides are kept', () => {
  for (const feet of [2, 6, 8.5, 11]) {
    clean(`46 drop ${feet} ft`);
    expect(parts(`46 drop ${feet} ft`)[0]?.point).toMatchObject({ fall_ft: feet });
    expect(parts(`46 drop ${feet} feet`)[0]?.point).not.toHaveProperty('diameter_in');
  }
  for (const what of ['roots', 'cracks', 'scale', 'grease', 'hole', 'weeping']) {
    for (const sides of ['left and right', 'both sides']) {
      expect(clean(`46 ${what} ${sides}`)).toMatchObject([{ clock: 9 }, { clock: 3 }]);
    }
  }
});

test('an adjective outranks the plural', () => {
  for (const [said, form] of [
    ['hairline', 'hairline'],
    ['circumferential', 'around'],
    ['longitudinal', 'along'],
    ['several', 'several'],
  ] as const) {
    for (const noun of ['cracks', 'fractures']) expect(clean(`46 ${said} ${noun}`)).toMatchObject([{ form }]);
  }
  for (const size of ['small', 'slight', 'minor', 'tiny']) {
    expect(clean(`46 ${size} cracks`)[0]).not.toHaveProperty('form');
  }
});

test('a correction speaks of the newest thing of its kind', () => {
  const log: LogContext = {
    ...base,
    entries: [
      { id: 'r', kind: 'finding', finding: 'roots', reading_ft: 52, possible: true },
      { id: 'c', kind: 'finding', finding: 'crack', reading_ft: 50, form: 'along' },
      { id: 'd', kind: 'change', reading_ft: 49, downstream: { material: 'clay' } },
      { id: 'l', kind: 'locate', reading_ft: 52, depth_ft: 7.3 },
    ],
  };
  const corrections = [
    ['no, roots 20%', 'r'],
    ['no, roots at 51', 'r'],
    ['no, heavy roots', 'r'],
    ['sorry, crack around', 'c'],
    ['no, crack hairline', 'c'],
    ['make that crack at 50.5', 'c'],
    ['no, concrete', 'd'],
    ['no, 8 deep', 'l'],
    ['no, 52.5', 'l'],
    ['correction, roots 15%', 'r'],
    ['i mean crack several', 'c'],
  ] as const;
  for (const [line, id] of corrections) {
    const [part] = parts(line, log);
    expect([line, part?.replaces, part?.errors]).toEqual([line, id, []]);
    expect(part?.was).toBeTruthy();
  }
});

test('either end of a stretch may be called first', () => {
  for (const what of [
    'belly',
    'roots',
    'scale',
    'grease',
    'standing water',
    'sag',
    'worn bottom',
    'crack',
    'oval',
    'low spot',
    'under water',
  ]) {
    expect(parts(`15 ${what} ends; 20 ${what} starts`)[1]).toMatchObject({
      replaces: 'part 0',
      entry: { reading_ft: 15, to_ft: 20 },
    });
    expect(parts(`20 ${what} starts; 15 ${what} ends`)[1]).toMatchObject({
      replaces: 'part 0',
      entry: { reading_ft: 20, to_ft: 15 },
    });
  }
});

test('past its own join, the main is a reading of the other line', () => {
  const joined: LogContext = {
    ...base,
    end: 'J',
    points: [
      { id: 'CO1', kind: 'cleanout', name: 'front cleanout' },
      { id: 'J', kind: 'tie-in', name: 'join', reading_ft: 30 },
    ],
  };
  const mains = [
    'main',
    'city main',
    'city sewer',
    'street main',
    'sewer main',
    'public main',
    'main connection',
  ];
  const lines = [
    ...mains.map((word) => `46 ${word}`),
    'at sixty feet the main',
    'main at 60',
    'about 52 main',
    '60 main tap',
  ];
  for (const line of lines) {
    const [part] = parts(line, joined);
    expect([line, part?.entry, part?.errors[0]?.message]).toEqual([
      line,
      undefined,
      expect.stringContaining('other line'),
    ]);
  }
  expect(clean('31 main', joined)).toMatchObject([{ point: 'J' }]);
});

test('a thing that stands far off is tied only where it is named outright', () => {
  const log: LogContext = {
    ...base,
    entries: [
      { id: 'r', kind: 'finding', finding: 'roots', reading_ft: 52 },
      { id: 'c', kind: 'finding', finding: 'crack', reading_ft: 50 },
      { id: 'd', kind: 'change', reading_ft: 49, downstream: { material: 'clay' } },
      { id: 'j', kind: 'joint', reading_ft: 30 },
    ],
  };
  const said = [
    ['roots', 'the roots', 'r'],
    ['crack', 'the crack', 'c'],
    ['clay > pvc', 'the change', 'd'],
    ['joint', 'the joint', 'j'],
  ] as const;
  for (const [what, ref, id] of said) {
    const at = log.entries?.find((entry) => entry.id === id)?.reading_ft ?? 0;
    for (const away of [5, 14.5, 20]) {
      const line = `${at - away} ${what} same as ${ref}`;
      const [part] = parts(line, log);
      expect([line, part?.errors[0]?.answers?.[0]?.words]).toEqual([line, `same as #${id}`]);
      expect(clean(`${at - away} ${what} same as #${id}`, log)).toMatchObject([{ sameAs: id }]);
    }
    expect(clean(`${at + 1} ${what} same as ${ref}`, log)).toMatchObject([{ sameAs: id }]);
  }
});

test('a note alone is an entry, with or without feet', () => {
  for (const text of ['note', 'odd smell', 'customer was here', '5" pipe?', 'x']) {
    const quoted = `"${text.replaceAll('"', '""')}"`;
    expect(clean(`46 ${quoted}`)).toMatchObject([{ kind: 'note', reading_ft: 46, note: text }]);
    expect(clean(quoted)).toMatchObject([{ kind: 'note', note: text }]);
  }
  for (const word of ['pebbles', 'a shoe', 'dinosaur', 'mouse', 'all good']) {
    expect(entries(`46 ${word}`)[0]).toMatchObject({ reading_ft: 46 });
  }
});

test('what stands after “at” and is no hour is the place, however near the access', () => {
  for (const at of [0.5, 1.25, 3.25, 4.5, 7.2, 9.75, 11.9]) {
    for (const thing of ['joint', 'crack', 'roots 15%', 'hole', 'gap 3/4', 'tap'])
      expect(clean(`${thing} at ${at}`)).toMatchObject([{ reading_ft: at }]);
  }
});

test('ranges of depth and of inches', () => {
  for (const [low, high] of [
    [10, 12],
    [4, 5],
    [6.5, 7],
  ] as const) {
    expect(clean(`52 located ${low}-${high} deep`)).toMatchObject([
      { depth_ft: (low + high) / 2, note: `${low} to ${high} ft deep` },
    ]);
    expect(clean(`52 located ${low} to ${high} feet deep`)).toMatchObject([{ depth_ft: (low + high) / 2 }]);
  }
  for (const [low, high] of [
    ['1/16', '1/4'],
    ['1/4', '1/2'],
    ['1/2', '3/4'],
  ] as const) {
    expect(clean(`50-56 belly ${low}-${high}`)[0]).toMatchObject({
      to_ft: 56,
      inches: [expect.any(Number), expect.any(Number)],
    });
  }
});

test('a line takes no more than it can hold, and its time grows with its length', () => {
  expect(parts('9'.repeat(20_000))[0]?.errors[0]?.message).toContain('2000 characters');
  expect(parts('46 roots '.repeat(200)).length).toBeGreaterThan(0);
});

test('words for a side and their opposites are mirror images on the clock', () => {
  const clockOf = (words: string) => {
    const [entry] = clean(`46 roots 20 % ${words}`);
    const { clock } = entry as { clock?: number | [number, number] };
    return clock === undefined ? undefined : [clock].flat();
  };
  const turned = (by: (hour: number) => number, clock: readonly number[] | undefined) =>
    clock?.map((hour) => by(hour) % 12 || 12).toSorted((a, b) => a - b);
  const upsideDown = (hour: number) => 18 - hour;
  const leftToRight = (hour: number) => 12 - hour;
  const pairs: [string, string, (hour: number) => number][] = [
    ['upper side', 'lower side', upsideDown],
    ['upper half', 'lower half', upsideDown],
    ['upper left', 'lower left', upsideDown],
    ['top right', 'bottom right', upsideDown],
    ['upper left', 'upper right', leftToRight],
    ['lower left side', 'lower right side', leftToRight],
    ['on the left', 'on the right', leftToRight],
  ];
  for (const [words, opposite, mirror] of pairs) {
    expect(clockOf(words)).toBeDefined();
    expect([words, turned(mirror, clockOf(words))]).toEqual([
      words,
      clockOf(opposite)?.toSorted((a, b) => a - b),
    ]);
  }
});

test('water as a share of the pipe is inches where its diameter is known, and a size where it is not', () => {
  const shares: [string, number][] = [
    ['half full', 50],
    ['1/4 full', 25],
    ['25 % full', 25],
    ['about 30 percent full', 30],
    ['30 % submerged', 30],
  ];
  for (const [words, percent] of shares) {
    for (const bore_in of [3, 4, 6])
      expect(clean(`belly 50 to 56 ${words}`, { bore_in })).toMatchObject([
        { finding: 'belly', inches: Math.round(percent * 10 * bore_in) / 1000 },
      ]);
    const [bare] = clean(`belly 50 to 56 ${words}`);
    expect(bare).toMatchObject({ note: `${percent} % full` });
    expect(bare).not.toHaveProperty('inches');
  }
});

test('a share goes with the word for what it is a share of', () => {
  for (const blocked of [
    'blocked',
    'blocked off',
    'closed',
    'closed off',
    'plugged',
    'plugged up',
    'choked',
    'full',
  ])
    for (const what of ['roots', 'grease', 'sludge'])
      for (const [said, percent] of [
        ['30 percent', 30],
        ['30 to 40 %', [30, 40]],
        ['half', 50],
        ['3/4', 75],
      ] as const)
        expect(clean(`46 ${what} ${said} ${blocked}`)).toMatchObject([{ reading_ft: 46, percent }]);
  // "Full of" is followed by what fills it.
  expect(clean('46 half full of roots')).toMatchObject([{ finding: 'roots', percent: 50 }]);
  expect(clean('46 30 % full of roots')).toMatchObject([{ finding: 'roots', percent: 30 }]);
});

test('both ends of a range are kept, whether its unit is said once or twice', () => {
  const ranges: [string, object][] = [
    ['roots 10 to 15 %', { percent: [10, 15] }],
    ['roots 10% to 15%', { percent: [10, 15] }],
    ['roots 10 percent to 15 percent', { percent: [10, 15] }],
    ['gap 1/2 to 3/4 in', { inches: [0.5, 0.75] }],
    ['gap 1/2 in to 3/4 in', { inches: [0.5, 0.75] }],
    ['crack 11 to 1 o’clock', { clock: [11, 1] }],
    ['crack 11:00 to 1:30', { clock: [11, 1.5] }],
  ];
  for (const [words, said] of ranges)
    expect(clean(`31 ${words}`)).toMatchObject([{ reading_ft: 31, ...said }]);
});

test('a stretch may say its start twice, or only how far it goes', () => {
  for (const words of [
    '31 roots in every joint 31 to 46',
    'roots in every joint from 31 to 46 at 31',
    '31 roots at each joint to 46',
    '31 roots at each joint runs to 46',
    '31 roots at each joint thru 46',
    '31 roots at each joint for 15 feet',
  ]) {
    const [entry] = clean(words, { pass: 'out' });
    expect([words, entry]).toMatchObject([words, { reading_ft: 31, to_ft: 46, eachJoint: true }]);
    expect(entry).not.toHaveProperty('percent');
  }
});

test('a whole number before a fraction and a thing measured in inches is asked: one place, or a place and its inches', () => {
  for (const what of ['offset', 'gap', 'lip', 'belly']) {
    const [read] = parts(`31 3/4 ${what}`);
    expect(read?.errors[0]?.message).toContain('which is it: at 31.75 ft, or 3/4 in, at 31 ft');
    expect(clean(`31, 3/4 in ${what}`)).toMatchObject([{ reading_ft: 31, inches: 0.75 }]);
  }
  expect(clean('31 3/4 roots')).toMatchObject([{ reading_ft: 31.75 }]);
  expect(parts('31 1/4 bend')[0]?.point).toMatchObject({ degrees: 90 });
});

test('a pipe changes its diameter by its inches, its material by a stroke', () => {
  for (const words of ['4 to 6 inch reducer', 'pipe goes from 4 to 6 inch', 'reducer 4 inch to 6 inch'])
    expect(clean(`35 ${words}`, { pass: 'out' })).toMatchObject([
      { kind: 'change', upstream: { diameter_in: 4 }, downstream: { diameter_in: 6 } },
    ]);
  expect(clean('35 abs/ci', { pass: 'out' })).toMatchObject([
    { kind: 'change', upstream: { material: 'abs' }, downstream: { material: 'cast-iron' } },
  ]);
  expect(clean('35 pvc sch 40', { pass: 'out' })).toEqual([
    { kind: 'change', reading_ft: 35, pass: 'out', downstream: { material: 'pvc-sch40' } },
  ]);
});

test('what hangs on one word is no other thing', () => {
  const point = (words: string) => parts(words)[0]?.point;
  expect(point('20 wye cleanout')).toMatchObject({ kind: 'cleanout' });
  expect(point('20 cleanout 2 way')).toMatchObject({ kind: 'cleanout', ways: 2 });
  expect(point('20 cleanout 2 way')).not.toHaveProperty('diameter_in');
  expect(point('20 drop 6 inches')).toMatchObject({ kind: 'drop', fall_ft: 0.5 });
  expect(clean('20 rust hole')).toMatchObject([{ finding: 'hole' }]);
  expect(clean('20 dropped joint 1/2 in')).toMatchObject([{ finding: 'offset', inches: 0.5, atJoint: true }]);
  for (const words of ['cant push', 'can’t push', 'cannot push', 'cant get past'])
    expect(clean(`20 ${words}`)).toMatchObject([{ kind: 'stop' }]);
  for (const words of ['gas line through the pipe', 'cross bore', 'gas main through the sewer'])
    expect(clean(`20 ${words}`)).toMatchObject([{ finding: 'utility-through' }]);
});
