import { parseLogLine, type LogContext } from '../logline/parse.js';
import { short, talked, toTheMain } from '../test/in-short.js';

// What is wrong with a fitting is told by naming the fitting, typed and spoken alike: common practice. A branch that
// is not written is lined over, and no wye is bought for new pipe.

const context: LogContext = { ...toTheMain, pass: 'out' };
const typed = (line: string, more: Partial<LogContext> = {}): Record<string, unknown>[] =>
  parseLogLine(line, { ...context, ...more }).map(({ entry, point, errors }) => ({
    ...short({
      entry,
      point: point ?? context.points.find(({ id }) => entry?.kind === 'point' && id === entry.point),
    }),
    ...(errors.length > 0 ? { asks: errors.length } : {}),
  }));
/** The talk goes on to the main, or a tap where it ends would be taken for that. */
const said = (...lines: string[]) =>
  talked(...lines, 'Sixty, city main.')
    .slice(0, -1)
    .map(short);

const fittings = [
  ['wye', 'tie-in'],
  ['tee', 'tie-in'],
  ['tap', 'tie-in'],
  ['saddle', 'tie-in'],
  ['branch', 'tie-in'],
  ['bend', 'bend'],
  ['elbow', 'bend'],
  ['backwater valve', 'valve'],
] as const;
const wrongs = [
  ['roots', 'roots'],
  ['crack', 'crack'],
  ['hole', 'hole'],
  ['offset', 'offset'],
  ['grease', 'deposit'],
] as const;
const states = [
  ['cracked', 'crack'],
  ['broken', 'broken'],
  ['separated', 'separation'],
  ['collapsed', 'collapse'],
] as const;
const byKind = (items: readonly Record<string, unknown>[]) =>
  items.toSorted((a, b) => String(a.is).localeCompare(String(b.is)));

test('a finding in a fitting is written with the fitting', () => {
  for (const [fitting, kind] of fittings) {
    for (const [wrong, finding] of wrongs)
      for (const where of ['in', 'at', 'in the', 'at the', 'right at the', 'inside the']) {
        const both = byKind([
          { is: kind, at: 30 },
          { is: finding, at: 30 },
        ]);
        const words = `${wrong} ${where} ${fitting}`;
        for (const line of [`30 ${words}`, `${words} at 30`])
          expect([line, byKind(typed(line))]).toEqual([line, both]);
        expect([words, byKind(said(`Thirty, ${words}.`))]).toEqual([words, both]);
      }
    for (const [state, finding] of states) {
      const both = byKind([
        { is: kind, at: 30 },
        { is: finding, at: 30 },
      ]);
      for (const words of [`${state} ${fitting}`, `${fitting} ${state}`, `${fitting} is ${state}`]) {
        expect([words, byKind(typed(`30 ${words}`))]).toEqual([words, both]);
        expect([words, byKind(said(`Thirty, ${words}.`))]).toEqual([words, both]);
      }
    }
  }
});

test('the main is read where something is found at it, and its broken tap is no state but a break', () => {
  for (const words of ['main tap broken', 'main broken', 'broken at the main', 'tap into main is broken'])
    expect([words, byKind(typed(`60 ${words}`))]).toEqual([
      words,
      [
        { is: 'broken', at: 60 },
        { is: 'main', at: 60 },
      ],
    ]);
  const at60 = { id: 'e1', kind: 'point', point: 'MAIN', reading_ft: 60 } as const;
  expect(typed('59.5 roots at the main', { entries: [at60] })).toEqual([{ is: 'roots', at: 59.5 }]);
});

test('how far a bend turns stays with it', () => {
  for (const degrees of [22.5, 45, 90])
    for (const words of [
      `cracked ${degrees}`,
      `cracked ${degrees} elbow`,
      `cracked ${degrees} deg bend`,
      `${degrees} deg bend cracked`,
      `${degrees} cracked`,
      `crack in the ${degrees}`,
      `the ${degrees}'s cracked`,
    ])
      expect([words, byKind(typed(`30 ${words}`))]).toEqual([
        words,
        [
          { is: 'bend', at: 30, degrees },
          { is: 'crack', at: 30 },
        ],
      ]);
});

test('a fitting only near by, one known already, or one along a stretch is not written again', () => {
  for (const where of ['near', 'by', 'close to'])
    expect(typed(`30 roots ${where} the wye`).map(({ is }) => is)).toEqual(['roots']);
  expect(typed('12-18 grease at the wye')).toEqual([{ is: 'deposit', at: 12, to: 18 }]);
  const wye = { id: 'W', kind: 'tie-in', connection: 'wye', reading_ft: 42 } as const;
  const entries = [{ id: 'e1', kind: 'point', point: 'W', reading_ft: 42 }] as const;
  const more = { points: [...context.points, wye], entries };
  expect(typed('42.6 crack in the wye', more)).toEqual([{ is: 'crack', at: 42.6 }]);
  expect(said('Forty two, wye.', 'Forty two and a half, crack in the wye.').map(({ is }) => is)).toEqual([
    'tie-in',
    'crack',
  ]);
  // No bend, and no tap.
  expect(typed('39 it turns into multiple fractures')).toEqual([{ is: 'crack', at: 39 }]);
  expect(said("Twelve, there's a root tap.").map(({ is }) => is)).toEqual(['roots']);
});

test('a share said after a tap that sticks in, or after what is in it, is not of the tap', () => {
  for (const lines of [
    ["So at fifty three we have an intruding tap. I'd say forty percent."],
    ['At fifty three the tap sticks in.', 'Maybe forty percent.'],
    ["At fifty three there's roots in the wye. About forty percent."],
  ]) {
    const findings = said(...lines).filter(({ is }) => is === 'intrusion' || is === 'roots');
    expect([lines, findings]).toEqual([lines, [expect.objectContaining({ percent: 40 })]]);
  }
});
