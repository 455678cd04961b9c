import fc from 'fast-check';
import { readJob } from '../files/read.js';
import { survey } from '../survey/survey.js';
import { oneLine } from '../test/one-line.js';
import { courseOf, fromTwoTapes, tapeTo } from './course.js';
import { moveEdge, moveEnd, snapEnd, splitAt, type HeldStretch } from './edit-stretches.js';

const origin = { x_ft: 0, y_ft: 0 };
const coordinate = fc.double({ min: -80, max: 80, noNaN: true });

// calculations §13: marks 30 ft apart, tapes 24 and 18 give x 19.2, y 14.4 (a 3-4-5 triangle).
test('two tapes give a place; taping the place again gives the tapes', () => {
  const found = fromTwoTapes(origin, { x_ft: 30, y_ft: 0 }, [24, 18], 'left');
  expect('place' in found && found.place.x_ft).toBeCloseTo(19.2, 9);
  expect('place' in found && found.place.y_ft).toBeCloseTo(14.4, 9);
  fc.assert(
    fc.property(coordinate, coordinate, coordinate, coordinate, (x, y, x2, y2) => {
      const [first, second, place] = [
        { x_ft: 3, y_ft: -2 },
        { x_ft: x2, y_ft: y2 },
        { x_ft: x, y_ft: y },
      ];
      fc.pre(tapeTo(first, second) > 1);
      const cross = (x2 - 3) * (y + 2) - (y2 + 2) * (x - 3);
      fc.pre(Math.abs(cross) > 1);
      const again = fromTwoTapes(
        first,
        second,
        [tapeTo(first, place), tapeTo(second, place)],
        cross > 0 ? 'left' : 'right',
      );
      expect('place' in again && tapeTo(again.place, place)).toBeLessThan(1e-6);
    }),
  );
});

test('circles that miss say by how much', () => {
  expect(fromTwoTapes(origin, { x_ft: 30, y_ft: 0 }, [10, 12], 'left')).toEqual({ miss_ft: 8 });
  expect(fromTwoTapes(origin, { x_ft: 30, y_ft: 0 }, [50, 12], 'left')).toEqual({ miss_ft: 8 });
});

test('the course runs through what was located, straight between and on beyond, a foot for a foot', () => {
  const line = oneLine([], {
    marks: [
      { id: 'K1', name: 'house corner' },
      { id: 'K2', name: 'gate post' },
      { id: 'K3', name: 'hydrant' },
    ],
    markDistances: [{ from: 'K1', to: 'K2', distance_ft: 30 }],
    places: [
      {
        of: 'CO1',
        tapes: [
          { mark: 'K1', distance_ft: 24 },
          { mark: 'K2', distance_ft: 18 },
        ],
        side: 'left',
      },
      {
        of: 'K3',
        tapes: [
          { mark: 'K1', distance_ft: 40 },
          { mark: 'K2', distance_ft: 50 },
        ],
        side: 'right',
      },
      {
        of: 'MAIN',
        tapes: [
          { mark: 'K1', distance_ft: 65.6 },
          { mark: 'K3', distance_ft: 103.6 },
        ],
        side: 'left',
      },
    ],
  });
  const course = courseOf(line, survey(line));
  expect(course.marks.get('K3')?.y_ft).toBeCloseTo(-40, 9);
  expect(course.place(0)).toMatchObject({
    x_ft: expect.closeTo(19.2, 6) as number,
    y_ft: expect.closeTo(14.4, 6) as number,
  });
  const [co, main] = course.located;
  if (!co || !main) throw new Error('both ends were taped');
  const middle = course.place(40);
  expect(middle && tapeTo(co, middle)).toBeCloseTo(tapeTo(co, main) / 2, 9);
  const beyond = course.place(85);
  expect(beyond && tapeTo(main, beyond)).toBeCloseTo(5, 9);
  const further = {
    ...line,
    places: line.places?.map((each) =>
      each.of === 'MAIN'
        ? {
            ...each,
            tapes: [
              { mark: 'K1', distance_ft: 165 },
              { mark: 'K3', distance_ft: 180 },
            ] as const,
          }
        : each,
    ),
  };
  expect(courseOf(further as typeof line, survey(line)).warnings.map(({ rule }) => rule)).toEqual([
    'course-longer-than-pipe',
  ]);
  const job = {
    format: 'open-trench-job',
    version: 1,
    title: 'x',
    lines: [
      {
        ...line,
        places: [
          {
            of: 'NOBODY',
            tapes: [
              { mark: 'K9', distance_ft: 1 },
              { mark: 'K2', distance_ft: 1 },
            ],
            side: 'left',
          },
        ],
      },
    ],
  };
  expect(readJob(job).faults?.map(({ message }) => message)).toEqual([
    'unknown point, entry or mark "NOBODY"',
    'unknown mark "K9"',
  ]);
});

const resolve = ({ from_ft, to_ft, from, to }: HeldStretch) => ({
  from_ft: from_ft ?? (from === 'A' ? 20 : 40),
  to_ft: to_ft ?? (to === 'A' ? 20 : 40),
});

// Whatever is dragged, stretches that touched still touch, none is reversed, and nothing else moves.
test('dragging a shared edge keeps neighbours touching; one that cannot follow stops the drag', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 0, max: 160 }), { minLength: 3, maxLength: 7 }),
      fc.nat(),
      fc.boolean(),
      fc.double({ min: -10, max: 100, noNaN: true }),
      (cuts, pick, first, to) => {
        const edges = cuts.sort((a, b) => a - b).map((halves) => halves / 2);
        const all: HeldStretch[] = edges.slice(1).map((to_ft, i) => ({ from_ft: edges[i] ?? 0, to_ft }));
        const index = pick % all.length;
        const moved = moveEdge(
          all,
          index,
          first ? 'from' : 'to',
          snapEnd(to, [{ id: 'A', station_ft: 20 }]),
          resolve,
        ).map(resolve);
        moved.forEach(({ from_ft, to_ft }, i) => {
          expect(from_ft).toBeLessThanOrEqual(to_ft);
          if (i > 0) expect(from_ft).toBe(moved[i - 1]?.to_ft);
        });
        const changed = moved.filter(
          ({ from_ft, to_ft }, i) => from_ft !== all[i]?.from_ft || to_ft !== all[i].to_ft,
        );
        expect(changed.length).toBeLessThanOrEqual(2);
      },
    ),
  );
});

test('an end dropped at a thing is held by it; a split gives two that touch', () => {
  expect(snapEnd(20.4, [{ id: 'A', station_ft: 20 }])).toEqual({ thing: 'A', feet: 20 });
  expect(snapEnd(24.4, [{ id: 'A', station_ft: 20 }])).toEqual({ feet: 24.5 });
  const two = splitAt([{ from_ft: 0, to: 'B' }], { thing: 'A', feet: 20 }, (each) => each, resolve);
  expect(two).toEqual([
    { from_ft: 0, to: 'A' },
    { from: 'A', to: 'B' },
  ]);
  expect(splitAt([{ from_ft: 0, to_ft: 10 }], { feet: 30 }, (each) => each, resolve)).toBeUndefined();
});

test('an end is moved to where it lands, and never past the other end; what it was attached to is let go', () => {
  const at: Readonly<Record<string, number>> = { T1: 20, T2: 50 };
  const resolve = ({ from_ft, to_ft, from, to }: HeldStretch) => ({
    from_ft: at[from ?? ''] ?? from_ft ?? 0,
    to_ft: at[to ?? ''] ?? to_ft ?? 80,
  });
  const held = fc.constantFrom<HeldStretch>(
    { from: 'T1', to: 'T2' },
    { from: 'T1', to_ft: 50 },
    { from_ft: 20, to: 'T2' },
    { from_ft: 20, to_ft: 50 },
  );
  const things = Object.entries(at).map(([id, station_ft]) => ({ id, station_ft }));
  fc.assert(
    fc.property(held, fc.constantFrom('from', 'to'), fc.integer({ min: 0, max: 800 }), (old, end, tenths) => {
      const feet = tenths / 10;
      const to = snapEnd(feet, things);
      expect(Math.abs(to.feet - feet)).toBeLessThanOrEqual('thing' in to ? 0.6 : 0.25 + 1e-9);
      const moved = moveEnd(old, end, to, resolve);
      const past = end === 'from' ? to.feet > 50 : to.feet < 20;
      if (past) expect(moved).toBe(old);
      else {
        const [from_ft, to_ft] = end === 'from' ? [to.feet, 50] : [20, to.feet];
        expect(resolve(moved)).toEqual({ from_ft, to_ft });
        expect('thing' in to ? moved[end] : moved[`${end}_ft`]).toBe('thing' in to ? to.thing : to.feet);
        expect('thing' in to ? moved[`${end}_ft`] : moved[end]).toBeUndefined();
      }
    }),
  );
  expect(['thing' in snapEnd(20.5, things), 'thing' in snapEnd(20.7, things)]).toEqual([true, false]);
});
