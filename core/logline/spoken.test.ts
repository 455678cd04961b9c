import fc from 'fast-check';
import { interjections } from '../speech/chatter.js';
import { ownWords, words } from '../speech/trade-words.js';
import { spokenLines, type Spoken } from '../test/spoken-lines.js';
import { parseLogLine, type LogContext } from './parse.js';

const context: LogContext = {
  pass: 'out',
  end: 'MAIN',
  access: 'CO1',
  points: [
    { id: 'CO1', kind: 'cleanout', name: 'front cleanout' },
    { id: 'MAIN', kind: 'main' },
  ],
};

/** How a line was understood: each entry with the point it read, and every fault. */
function understood(line: string) {
  return parseLogLine(line, context).map(({ entry, point, errors }) => ({
    ...entry,
    ...(entry?.kind === 'point'
      ? { met: { ...context.points.find(({ id }) => id === entry.point), ...point } }
      : {}),
    ...(errors.length > 0 ? { errors: errors.map(({ message }) => message) } : {}),
  }));
}

describe.each(Object.entries(spokenLines))('%s', (_, lines: readonly Spoken[]) => {
  test.each(lines.map(([line, ...entries]) => [line, entries] as const))('%s', (line, entries) => {
    const said = understood(line);
    expect(said.filter((each) => 'errors' in each)).toEqual([]);
    expect(said).toHaveLength(entries.length);
    expect(said).toMatchObject(entries);
  });
});

test('three hundred lines and more', () => {
  expect(Object.values(spokenLines).flat().length).toBeGreaterThanOrEqual(300);
});

const every = Object.values(spokenLines).flatMap((lines) => lines.map(([line]) => line));

test('words that mean nothing change nothing, wherever they stand', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...every.filter((line) => !line.includes('"'))),
      fc.constantFrom(...interjections),
      fc.nat(),
      (line, filler, at) => {
        const gaps = [...line.matchAll(/ /g)].map(({ index }) => index);
        const gap = gaps[at % gaps.length] ?? 0;
        expect(understood(`${line.slice(0, gap)} ${filler}${line.slice(gap)}`)).toEqual(understood(line));
      },
    ),
    { numRuns: 600 },
  );
});

const denials = [
  '46 no X',
  'no X at 46',
  'I don’t see any X at 46',
  '46 without X',
  '46 not X',
  'never saw X at 46',
];
/** "No bottom" is itself a finding. */
const findingWords = ownWords.filter((word) => words[word]?.is === 'finding' && !/bottom/.test(word));

test('a finding that is denied is never one', () => {
  expect(findingWords.length).toBeGreaterThan(100);
  for (const word of findingWords) {
    for (const denial of denials) {
      const line = denial.replace('X', word);
      expect([line, parseLogLine(line, context).map(({ entry }) => entry?.kind)]).toEqual([line, ['note']]);
    }
  }
});

test('what may mean two things is asked, never guessed', () => {
  const answersTo = (line: string) =>
    parseLogLine(line, context)[0]?.errors[0]?.answers?.map(({ words: said }) => said);
  expect(answersTo('46 roots 10')).toEqual(['10%', "at 10 o'clock"]);
  expect(answersTo('46 wipes 2')).toEqual(['2%', "at 2 o'clock"]);
  expect(answersTo('46 roots 1/2')).toEqual(['50%', 'clock 12:30']);
  expect(answersTo('46 offset 2')).toEqual(['2 in', "at 2 o'clock"]);
  expect(answersTo('46 roots 2-4')).toEqual(['2-4%', 'clock 2-4']);
  expect(answersTo('46 rots')).toEqual(['roots', '"rots"']);
  // Each offered answer, put in its place, is understood.
  for (const line of [
    '46 roots 10',
    '46 wipes 2',
    '46 roots 1/2',
    '46 offset 2',
    '46 roots 2-4',
    '46 bend 4',
  ]) {
    for (const { from, to, words: said } of parseLogLine(line, context)[0]?.errors[0]?.answers ?? []) {
      expect(understood(line.slice(0, from) + said + line.slice(to))).not.toContainEqual(
        expect.objectContaining({ errors: expect.anything() as unknown }),
      );
    }
  }
});

test('which pipe lies where hangs on the way the head moves, is said, and one key turns it round', () => {
  const sides = (line: string, more: Partial<LogContext>) => parseLogLine(line, { ...context, ...more })[0];
  const back = sides('60 clay > fibre', { pass: 'back' });
  expect(back?.sentence).toContain('bituminous fiber toward the house, clay toward the street');
  const [swap] = back?.choices ?? [];
  const turned = '60 clay > fibre'.slice(0, swap?.from) + (swap?.words ?? '');
  expect(sides(turned, { pass: 'back' })?.entry).toMatchObject({
    upstream: { material: 'clay' },
    downstream: { material: 'fibre' },
  });
  expect(sides('60 clay > fibre', { pass: 'back', direction: 'upstream' })?.entry).toMatchObject({
    upstream: { material: 'clay' },
  });
  expect(sides('24 abs', { pass: 'back' })?.entry).toMatchObject({ upstream: { material: 'abs' } });
});

test('two turns of one pass are two; the same turn on the other pass is one', () => {
  const met: LogContext = {
    ...context,
    points: [...context.points, { id: 'bend-1', kind: 'bend', name: 'bend 1', reading_ft: 20 }],
    entries: [{ id: 'e1', kind: 'point', point: 'bend-1', reading_ft: 20, pass: 'out' }],
  };
  expect(parseLogLine('22 turn', met)[0]?.entry).toMatchObject({ point: 'bend-2' });
  expect(parseLogLine('20.4 turn', { ...met, pass: 'back' })[0]?.entry).toMatchObject({ point: 'bend-1' });
});

test('a correction replaces the newest thing of its kind, says what it replaces, and keeps the rest', () => {
  const log: LogContext = {
    ...context,
    entries: [
      { id: 'e1', kind: 'finding', finding: 'roots', reading_ft: 52, possible: true, clock: 2, pass: 'out' },
      { id: 'e2', kind: 'locate', reading_ft: 52, depth_ft: 7.3, pass: 'out' },
    ],
  };
  const [part] = parseLogLine('no, roots 20%', log);
  expect(part).toMatchObject({
    replaces: 'e1',
    entry: { finding: 'roots', percent: 20, clock: 2, reading_ft: 52 },
  });
  expect(part?.entry).not.toHaveProperty('possible');
  expect(part?.was).toMatch(/^Possible roots/);
  expect(parseLogLine('no, 8 deep', log)[0]).toMatchObject({ replaces: 'e2', entry: { depth_ft: 8 } });
});

test('nothing is tied to a thing that stands far off without asking', () => {
  const log: LogContext = {
    ...context,
    entries: [{ id: 'e7', kind: 'change', reading_ft: 27.5, downstream: { material: 'clay' } }],
  };
  const [far] = parseLogLine('13 plastic > concrete same as the change', log);
  expect(far?.errors[0]?.message).toContain('14.5 ft from here');
  expect(parseLogLine('13 plastic > concrete same as #e7', log)[0]).toMatchObject({
    errors: [],
    entry: { sameAs: 'e7' },
  });
});

test('no name of the file format reaches a person', () => {
  const lines = [
    ...every,
    '46 roots 300%',
    '46 crack 15%',
    '46 bend 200 degrees',
    '46 joint 2 in',
    '46 stop 20%',
  ];
  for (const line of lines) {
    for (const { errors } of parseLogLine(line, context)) {
      for (const { message } of errors)
        expect([line, message]).toEqual([line, expect.not.stringMatching(/_|[a-z][A-Z]|\[\d/)]);
    }
  }
});
