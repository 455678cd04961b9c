import { turnClock } from './clock.js';
import { survey } from './survey.js';
import { pointKey } from './things.js';
import type { Entry, Line, Run } from '../job/schema.js';

// Check values of the weighted least squares were computed independently of this program; the deviations of readings,
// counters and tapes are common practice.

const line = (runs: Run[], points: Line['points'] = []): Line => ({
  id: 'house',
  datum: 'CO1',
  end: 'MAIN',
  points: [{ id: 'CO1', kind: 'cleanout', riser_ft: 1.7 }, { id: 'MAIN', kind: 'main' }, ...points],
  runs,
});
const run = (id: string, entries: Entry[], more: Partial<Run> = {}): Run => ({
  id,
  access: 'CO1',
  direction: 'downstream',
  zero: 'cap',
  entries,
  ...more,
});
const at = (id: string, reading_ft: number, pass: 'out' | 'back', more: object = {}): Entry => ({
  id,
  kind: 'joint',
  reading_ft,
  pass,
  ...more,
});
const main = (id: string, reading_ft: number, pass: 'out' | 'back'): Entry =>
  at(id, reading_ft, pass, { kind: 'point', point: 'MAIN' });

test('one run, one pass: the plain sum, with ± from the pass, the counter and its zero', () => {
  const solved = survey(
    line([
      run('R1', [main('e1', 81.7, 'out'), at('e2', 31.7, 'back'), at('e3', 41.7, 'back', { about: true })]),
    ]),
  );
  expect(solved.point('MAIN')?.station_ft).toBeCloseTo(80, 9);
  expect(solved.point('MAIN')?.plusMinus_ft).toBeCloseTo(2.77, 2);
  expect(solved.endsOf('e2')?.from.station_ft).toBeCloseTo(30, 9);
  expect(solved.endsOf('e2')?.from.plusMinus_ft).toBeCloseTo(1.55, 2);
  expect(solved.endsOf('e3')?.from.station_ft).toBeCloseTo(40, 9);
  expect(solved.endsOf('e3')?.from.plusMinus_ft).toBeCloseTo(3.27, 2);
  expect(solved.lengthPlusMinus(pointKey('MAIN'), 'entry:e2')).toBeCloseTo(2.45, 2);
  expect(solved.warnings).toEqual([]);
});

test('both passes of one run tighten each other', () => {
  const solved = survey(
    line([
      run('R1', [
        main('e1', 81.7, 'out'),
        at('e2', 32.9, 'out'),
        main('e3', 80.9, 'back'),
        at('e4', 31.7, 'back', { sameAs: 'e2' }),
      ]),
    ]),
  );
  expect(solved.point('MAIN')?.station_ft).toBeCloseTo(79.35, 2);
  expect(solved.point('MAIN')?.plusMinus_ft).toBeCloseTo(2.1, 2);
  expect(solved.endsOf('e4')?.from.station_ft).toBeCloseTo(30.23, 2);
  expect(solved.endsOf('e4')?.from.plusMinus_ft).toBeCloseTo(1.49, 2);
  expect(solved.lengthPlusMinus(pointKey('MAIN'), 'entry:e2')).toBeCloseTo(1.6, 2);
});

const secondAccess: Line['points'] = [{ id: 'CO2', kind: 'cleanout', station_ft: 38 }];
const threeRuns = [
  run('R1', [main('a1', 81.7, 'out'), at('a2', 40.5, 'out', { kind: 'point', point: 'CO2' })]),
  run('R2', [at('b1', 13, 'back')], { access: 'CO2', direction: 'upstream', zero: 'pipe' }),
  run('R3', [main('c1', 42.4, 'back')], { access: 'CO2', zero: 'pipe' }),
];

test('three runs from two cleanouts lie end to end on one line', () => {
  const solved = survey(line(threeRuns, secondAccess));
  const [co2, end, change] = [solved.point('CO2'), solved.point('MAIN'), solved.endsOf('b1')?.from];
  expect([co2?.station_ft, co2?.plusMinus_ft].map((x) => x?.toFixed(2))).toEqual(['38.02', '0.49']);
  expect([end?.station_ft, end?.plusMinus_ft].map((x) => x?.toFixed(2))).toEqual(['80.25', '1.30']);
  expect([change?.station_ft, change?.plusMinus_ft].map((x) => x?.toFixed(2))).toEqual(['25.02', '1.25']);
});

test('a run that nothing ties is kept apart and told what would tie it; the others stand', () => {
  const [, second] = threeRuns;
  const solved = survey(
    line([run('R1', [main('a1', 81.7, 'out')]), second as Run], [{ id: 'CO2', kind: 'cleanout' }]),
  );
  expect(solved.untied.map(({ run: { id } }) => id)).toEqual(['R2']);
  expect(solved.untied[0]?.wouldTie).toMatch(/tape or pace the distance to the CO2/);
  expect(solved.point('MAIN')?.station_ft).toBeCloseTo(80, 9);
});

test('readings over 2 ft apart are named, never averaged: the way back stands, or the one marked', () => {
  const apart = (use: boolean) =>
    survey(
      line([
        run('R1', [at('out', 52.1, 'out', use ? { use } : {}), at('back', 48.7, 'back', { sameAs: 'out' })]),
      ]),
    );
  const unsettled = apart(false);
  expect(unsettled.endsOf('out')?.from.station_ft).toBeCloseTo(47, 9);
  // 3.4 ft to the dropped reading is wider than 2 sd of the one kept.
  expect(unsettled.endsOf('out')?.from.plusMinus_ft).toBeCloseTo(3.4, 9);
  expect(unsettled.warnings.map(({ rule }) => rule)).toEqual(['reading-disagreement']);
  expect(unsettled.warnings[0]?.message).toContain('52.1');
  const settled = apart(true);
  expect(settled.endsOf('back')?.from.station_ft).toBeCloseTo(50.4, 9);
  expect(settled.endsOf('back')?.from.plusMinus_ft).toBeLessThan(3.4);
});

test('exactly 2.00 ft apart is still ordinary', () => {
  const solved = survey(
    line([run('R1', [at('a', 50, 'out'), at('b', 48, 'back', { sameAs: 'a' })], { zero: 'pipe' })]),
  );
  expect(solved.warnings).toEqual([]);
});

test('an entry that is the same as a reading of a point stands at that point', () => {
  const joint = at('e2', 31.2, 'back', { sameAs: 'e1' });
  const solved = survey(
    line(
      [run('R1', [at('e1', 31.7, 'back', { kind: 'point', point: 'B' }), joint])],
      [{ id: 'B', kind: 'bend' }],
    ),
  );
  expect(solved.endsOf('e2')?.from).toEqual(solved.point('B'));
  expect(solved.point('B')?.station_ft).toBeCloseTo(29.75, 2);
});

test('a reading below the zero is the head in the riser: it stands at the access', () => {
  const solved = survey(line([run('R1', [at('low', 1.2, 'out')])]));
  expect(solved.endsOf('low')?.from.station_ft).toBe(0);
  expect(solved.warnings.map(({ rule }) => rule)).toEqual(['in-riser']);
});

test('what has no reading lies past another thing, or between two, and asks for the video', () => {
  const solved = survey(
    line([
      run('R1', [
        at('a', 31.7, 'back'),
        at('b', 41.7, 'back'),
        { id: 'past', kind: 'joint', after: 'a', plus_ft: 3 },
        { id: 'between', kind: 'joint', after: 'a', before: 'b' },
      ]),
    ]),
  );
  expect(solved.endsOf('past')?.from.station_ft).toBeCloseTo(33, 9);
  expect(solved.endsOf('between')?.from).toMatchObject({ plusMinus_ft: expect.closeTo(5, 9) as number });
  expect(solved.warnings.map(({ rule }) => rule)).toEqual(['read-from-video']);
});

test.each([
  ['riser-not-measured', { access: 'CO2', zero: 'cap' }, 4],
  ['zero-unknown', { access: 'CO2', zero: 'unknown' }, 2],
] as const)('%s is warned and its zero is loose', (rule, more, zero) => {
  const solved = survey(line([run('R1', [at('a', 30, 'back')], more)], secondAccess));
  expect(solved.warnings.map((warning) => warning.rule)).toEqual([rule]);
  expect(solved.endsOf('a')?.from.station_ft).toBeCloseTo(38 + 30 - zero, 9);
  expect(solved.endsOf('a')?.from.plusMinus_ft).toBeGreaterThan(1.9);
});

test('the clock is turned by the water and mirrored for a head looking upstream', () => {
  expect(turnClock(7.5, 1.5, 'downstream')).toBe(12);
  expect(turnClock(3, undefined, 'upstream')).toBe(9);
  expect(turnClock([10, 2], 6, 'downstream')).toEqual([10, 2]);
  expect(turnClock([10, 1], 6, 'upstream')).toEqual([11, 2]);
});

// A reading off by more than three of its own standard deviations is reported: common practice. On the back pass it
// is good to
// 0.5 ft by itself, with its counter and zero to 1.55 ft at 95 %; the tape hardly moves.
test('a reading out of step with a tape is said past three of its own deviations, and averaged up to there', () => {
  const warned = (apart_ft: number) =>
    survey(
      line(
        [run('R1', [at('e1', 31.7, 'back', { kind: 'point', point: 'T' })])],
        [{ id: 'T', kind: 'tie-in', station_ft: 30 + apart_ft, plusMinus_ft: 0.1 }],
      ),
    ).warnings.some(({ rule }) => rule === 'reading-disagreement');
  const misfits = Array.from({ length: 60 }, (_, i) => i / 10).map(warned);
  // Once reported it stays reported, symmetrically.
  const first = misfits.indexOf(true);
  expect(misfits.slice(first).every(Boolean)).toBe(true);
  expect(Array.from({ length: 60 }, (_, i) => -i / 10).map(warned)).toEqual(misfits);
  // Its own share of the difference is σ²own / σ²all: 3 × (1.55 / 1.96)² / 0.5 = 3.75 ft apart.
  expect(Math.abs(first / 10 - 3.75)).toBeLessThan(0.15);
});
