import { linesInLog } from '../test/lines-in-log.js';
import { parseLogLine, type LogContext } from './parse.js';

/** Pulling back from the main at 78, with a change, roots, an offset and an open belly written already. */
const context: LogContext = {
  pass: 'back',
  end: 'MAIN',
  access: 'CO1',
  bore_in: 4,
  points: [
    { id: 'CO1', kind: 'cleanout', name: 'front cleanout', reading_ft: 0 },
    { id: 'MAIN', kind: 'main', reading_ft: 78 },
    { id: 'P3', kind: 'bend', degrees: 45, reading_ft: 12 },
  ],
  entries: [
    {
      id: 'e1',
      kind: 'change',
      reading_ft: 31,
      upstream: { material: 'abs' },
      downstream: { material: 'clay' },
    },
    { id: 'e2', kind: 'finding', finding: 'roots', reading_ft: 46, percent: 15 },
    { id: 'e3', kind: 'finding', finding: 'belly', reading_ft: 63, open: true },
    { id: 'e4', kind: 'finding', finding: 'offset', reading_ft: 41, inches: 0.5 },
  ],
};

/** What becomes of a line: nothing of an entry is left out but its pass and the ids of new points. */
const understood = (line: string) =>
  parseLogLine(line, context).map(({ entry, point, replaces, errors, doubts }) => {
    const { pass: _pass, ...said } = entry ?? {};
    const { id: _id, ...about } = point ?? {};
    return {
      ...said,
      ...(point ? { point: about } : {}),
      ...(replaces === undefined ? {} : { replaces }),
      ...(errors.length > 0 ? { asks: errors.map(({ from, to }) => line.slice(from, to)) } : {}),
      ...(doubts.length > 0 ? { doubts: doubts.length } : {}),
    };
  });

test.each(linesInLog.map(([line, ...entries]) => [line, entries] as const))('%s', (line, entries) => {
  expect(understood(line)).toEqual(entries);
});

test('an entry that is changed is not asked whether it is there twice', () => {
  const asked = (more: Partial<LogContext>) =>
    parseLogLine('41 offset 3/4', { ...context, ...more })[0]?.doubts.length;
  expect([asked({}), asked({ changing: 'e4' }), asked({ changing: 'e2' })]).toEqual([1, 0, 1]);
});

test('past where the camera went in is farther along, wherever the counter was zeroed', () => {
  const points = context.points.map((point) => (point.id === 'CO1' ? { ...point, reading_ft: 4 } : point));
  const [part] = parseLogLine('3 ft past the cleanout a 45', { ...context, points });
  expect(part?.entry).toMatchObject({ reading_ft: 7, about: true });
});

test('a point that is put right stays the same one', () => {
  const points = [
    ...context.points,
    { id: 'T1', kind: 'tie-in' as const, connection: 'wye' as const, reading_ft: 12 },
  ];
  const entries = [
    ...(context.entries ?? []),
    { id: 'e5', kind: 'point' as const, point: 'T1', reading_ft: 12 },
  ];
  for (const line of ['the wye should be at 13', 'the wye at 12 should be 13', 'no, wye at 13']) {
    const [part, ...more] = parseLogLine(line, { ...context, points, entries });
    expect([line, part?.replaces, part?.entry, more]).toEqual([
      ...[line, 'e5', { kind: 'point', point: 'T1', reading_ft: 13 }, []],
    ]);
  }
});

// A point that the site calls just "bend" or "wye" is one of several: where it lies decides (common practice).
test.each([
  ['12 45 bend right', 'bend-1'],
  ['33 bend 22.5', 'BEND'],
  ['41 wye', 'tie-in-1'],
  ['20.5 wye at 3', 'WYE'],
  ['12 #BEND', 'BEND'],
  ['16 kitchen wye', 'KITCHEN'],
])('“%s” on a line with a bend called bend and a wye called wye is %s', (line, point) => {
  const points = [
    { id: 'BEND', kind: 'bend', name: 'bend', reading_ft: 32.3 },
    { id: 'WYE', kind: 'tie-in', name: 'wye', reading_ft: 20 },
    { id: 'KITCHEN', kind: 'tie-in', name: 'kitchen wye', reading_ft: 15 },
  ] as const;
  const [part] = parseLogLine(line, { pass: 'back', points: [...points], end: 'MAIN' });
  expect(part?.errors).toEqual([]);
  expect(part?.entry).toMatchObject({ kind: 'point', point });
});
