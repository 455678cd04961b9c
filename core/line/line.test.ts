import fc from 'fast-check';
import type { Entry, Line } from '../job/schema.js';
import { oneLine } from '../test/one-line.js';
import { covers, overlap, subtract, union, type Interval } from './intervals.js';
import { lineModel } from './model.js';
import { straightBetween } from '../straight-between.js';

const interval = fc
  .tuple(fc.double({ min: 0, max: 50, noNaN: true }), fc.double({ min: 0.01, max: 20, noNaN: true }))
  .map(([from_ft, length]): Interval => ({ from_ft, to_ft: from_ft + length }));
const some = fc.array(interval, { maxLength: 6 });
const length = (all: readonly Interval[]) =>
  all.reduce((sum, { from_ft, to_ft }) => sum + to_ft - from_ft, 0);

// The algebra of sets on a line.
test('union, difference and overlap agree with one another', () => {
  fc.assert(
    fc.property(some, some, (a, b) => {
      const [left, both] = [subtract(a, b), union(a)];
      const shared = union(a).flatMap((one) => union(b).map((other) => overlap(one, other)));
      expect(length(left) + shared.reduce((sum, each) => sum + each, 0)).toBeCloseTo(length(both), 4);
      expect(length(subtract(both, left)) + length(left)).toBeCloseTo(length(both), 4);
      for (const each of a) expect(covers(both, each)).toBe(true);
    }),
  );
});

const entry = (id: string, more: object): Entry => ({ id, kind: 'joint', reading_ft: 0, ...more });
const model = (more: Partial<Line>, entries: Entry[] = []) => lineModel(oneLine(entries, more));

// Common practice: inverts joined straight between located depths, level beyond the last.
test('depth is ground less invert, straight between located inverts, level beyond, later of two wins', () => {
  const sloped = model({
    depths: [
      { station_ft: 10, invert_ft: 3 },
      { station_ft: 50, invert_ft: 6 },
    ],
    ground: [
      { station_ft: 0, elevation_ft: 100 },
      { station_ft: 60, elevation_ft: 97 },
    ],
  }).profile;
  // Inverts 99.5 − 3 = 96.5 and 97.5 − 6 = 91.5; at 30 ft 94.0 under ground 98.5.
  expect(sloped.depth(30)).toBeCloseTo(98.5 - 94, 9);
  expect(sloped.depth(0)).toBeCloseTo(100 - 96.5, 9);
  const level = model({
    depths: [
      { station_ft: 0, invert_ft: 2 },
      { station_ft: 40, invert_ft: 4 },
      { station_ft: 40.3, invert_ft: 5 },
    ],
  });
  expect(level.profile.depth(40.3)).toBe(5);
  expect(level.profile.depth(20.15)).toBeCloseTo(3.5, 9);
  expect(level.warnings.map(({ rule }) => rule)).toContain('depth-beyond-located');
  expect(model({}).warnings.map(({ rule }) => rule)).toContain('depth-not-located');
  expect(
    straightBetween(
      [
        [0, 1],
        [10, 3],
      ],
      -5,
    ),
  ).toBe(1);
});

test('a locate gives its depth where its reading lies', () => {
  const located = model({}, [entry('l', { kind: 'locate', reading_ft: 40, depth_ft: 4.4 })]);
  expect(located.profile.located).toEqual([{ station_ft: 40, depth_ft: 4.4 }]);
});

test('changes cut the line into pipes; neighbours that contradict leave the stretch between unknown', () => {
  const change = (id: string, reading_ft: number, upstream: string, downstream: string) =>
    entry(id, {
      kind: 'change',
      reading_ft,
      upstream: { material: upstream },
      downstream: { material: downstream },
    });
  const agreed = model({}, [change('a', 20, 'abs', 'clay'), change('b', 50, 'clay', 'pvc-sch40')]);
  expect(agreed.pipes.map(({ material, from_ft, to_ft }) => [material, from_ft, to_ft])).toEqual([
    ['abs', 0, 20],
    ['clay', 20, 50],
    ['pvc-sch40', 50, 80],
  ]);
  const torn = model({}, [change('a', 20, 'abs', 'clay'), change('b', 50, 'concrete', 'clay')]);
  expect(torn.pipes.map(({ material }) => material)).toEqual(['abs', 'unknown', 'clay']);
  expect(torn.warnings.map(({ rule }) => rule)).toContain('changes-contradict');
});

test('a run sees from its access to its furthest entry, less what hid it; roots over a quarter hide', () => {
  const roots = (percent: number) =>
    entry('r', { kind: 'finding', finding: 'roots', reading_ft: 30, percent });
  expect(model({}, [roots(25)]).seen).toEqual([{ from_ft: 0, to_ft: 80 }]);
  expect(model({}, [roots(26)]).seen).toEqual([
    { from_ft: 0, to_ft: 29.5 },
    { from_ft: 30.5, to_ft: 80 },
  ]);
  expect(model({}, [entry('h', { kind: 'hidden', reading_ft: 63, to_ft: 60 })]).seen).toEqual([
    { from_ft: 0, to_ft: 60 },
    { from_ft: 63, to_ft: 80 },
  ]);
});

// Unseen pipe never passes for sound: nobody said where the view came back.
test('a hidden stretch called at one end only hides what this pass went on to; its end call frees the rest', () => {
  const seen = (more: object) =>
    length(model({}, [entry('h', { kind: 'hidden', reading_ft: 60, pass: 'back', ...more })]).seen);
  expect(seen({ open: true })).toBeCloseTo(20);
  expect(seen({ open: true, pass: 'out' })).toBeCloseTo(60);
  expect(seen({ to_ft: 55 })).toBeCloseTo(75);
  const open = model({}, [entry('b', { kind: 'finding', finding: 'belly', reading_ft: 60, open: true })]);
  expect(open.warnings.map(({ rule }) => rule)).toContain('end-not-called');
});

test('points and stops upstream of the datum lengthen the line; surfaces held by things move with them', () => {
  const longer = model({
    points: [
      { id: 'CO1', kind: 'cleanout' },
      { id: 'MAIN', kind: 'main' },
      { id: 'HOUSE', kind: 'building', station_ft: -6 },
    ],
    surfaces: [{ from: 'HOUSE', to: 'end', kind: 'lawn' }],
  });
  expect(longer.extent).toEqual({ from_ft: -6, to_ft: 80 });
  expect(longer.surfaces[0]).toMatchObject({ from_ft: -6, to_ft: 80 });
});

test('an end nobody reached is an open end: the line goes as far as anything is known', () => {
  const open = model({
    runs: [
      {
        id: 'R1',
        access: 'CO1',
        direction: 'downstream',
        zero: 'pipe',
        entries: [entry('s', { kind: 'stop', reading_ft: 44, why: 'roots' })],
      },
    ],
  });
  expect([open.endReached, open.extent.to_ft]).toEqual([false, 44]);
  // It is said once, where what is known ends; a line whose end was read says nothing of it.
  const unreached = ({ warnings }: typeof open) =>
    warnings.flatMap(({ rule, at_ft, message }) => (rule === 'end-not-reached' ? [[at_ft, message]] : []));
  expect(unreached(open)).toEqual([
    [44, 'nobody reached the main: the line is known to 44.0 ft and goes on'],
  ]);
  expect(unreached(model({}))).toEqual([]);
  expect(model({ runs: [] }).extent).toEqual({ from_ft: 0, to_ft: 0 });
});
