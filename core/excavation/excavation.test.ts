import fc from 'fast-check';
import type { Soil } from '../job/vocabulary.js';
import { lineModel } from '../line/model.js';
import { oneLine } from '../test/one-line.js';
import { holeSheet } from './hole-sheet.js';
import { holeFigures } from './hole-figures.js';
import { bottomWidth, earthOfEnd, earthPerFoot, sectionAt, topOut, type Section } from './section.js';

const section = (depth_ft: number, width_ft: number, slope: number): Section => ({
  depth_ft,
  width_ft,
  slope,
  protect: depth_ft >= 5,
  deep: depth_ft > 5,
  engineered: false,
});
const volume = (length: number, each: Section) =>
  length * earthPerFoot(each, 'slope') + 2 * earthOfEnd(each, 'slope');

// Published solid: a frustum-like hole sloped on all sides, L W d + s (L + W) d² + 4/3 s² d³.
test.each([
  [6, 3, 4, 0, 72],
  [6, 3, 6, 1, 720],
  [5, 3, 9, 1.5, 3294],
])('a hole %d × %d ft, %d deep, sloped %d : 1, holds %d ft³', (length, width, depth, slope, expected) => {
  expect(volume(length, section(depth, width, slope))).toBeCloseTo(expected, 6);
});

test('the top of a 6 × 3 × 6 ft hole at 1 : 1 is 18 × 15 ft', () => {
  const out = topOut(section(6, 3, 1), 'slope');
  expect([6 + 2 * out, 3 + 2 * out]).toEqual([18, 15]);
});

// ASTM D2321, from memory: the wider of OD + 16 in and 1.25 OD + 12 in; 3 ft where someone works below 4 ft.
test('bottom width', () => {
  expect(bottomWidth(4.5, 3)).toBeCloseTo(20.5 / 12, 9);
  expect(bottomWidth(48, 3)).toBeCloseTo(72 / 12, 9);
  expect(bottomWidth(4.5, 4)).toBeCloseTo(20.5 / 12, 9);
  expect(bottomWidth(4.5, 4.01)).toBe(3);
});

// 29 CFR 1926.651–652 and Appendix B, from memory.
test('from 5 ft a hole is protected, sloped by its soil; a depth good to 10 % may reach 4 and 5 ft sooner', () => {
  const at = (invert_ft: number, soil: Soil = 'B', margin = 0) =>
    sectionAt(invert_ft, { outside_in: 4.5 }, soil, margin);
  // With 4 in of bedding an invert at 4 ft 8 in is a hole of 5 ft.
  expect([4.6, 14 / 3].map((invert) => at(invert).protect)).toEqual([false, true]);
  expect(at(9, 'rock').protect).toBe(false);
  expect((['A', 'B', 'C', 'unknown', 'rock'] as const).map((soil) => at(5, soil).slope)).toEqual([
    0.75, 1, 1.5, 1.5, 0,
  ]);
  // 4.25 ft, 10 % deeper and its bedding, comes to 5.008 ft; 3.33 to just under 4.
  expect([4.2, 4.25].map((invert) => at(invert, 'B', 10).protect)).toEqual([false, true]);
  expect([3.3, 3.35].map((invert) => at(invert, 'B', 10).width_ft)).toEqual([20.5 / 12, 3]);
  expect([17.8, 17.9].map((invert) => at(invert, 'B', 10).engineered)).toEqual([false, true]);
});

test('protection is that of the deepest cell, and loose earth is a quarter more', () => {
  const cells = [3, 6].map((depth, i) => ({
    from_ft: i,
    to_ft: i + 1,
    surface: 'lawn' as const,
    section: section(depth, 3, depth >= 5 ? 1 : 0),
  }));
  const figures = holeFigures(
    { from_ft: 0, to_ft: 2 },
    cells,
    { earthTo5_yd3: 1, earthBelow5_yd3: 3 },
    'slope',
    'B',
  );
  expect(figures).toMatchObject({ protection: 'slope 1 : 1', bottom_ft: [2, 3] });
  expect([figures.depth.value, figures.bank.value, figures.loose.value]).toEqual([6, 4, 5]);
});

// Plane trigonometry: taped distances from two marks locate a place, and an excavation is a rectangle on the ground.
test('every corner of a hole is found again from its two tapes, and the four make the hole', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 60, noNaN: true }),
      fc.double({ min: 8, max: 30, noNaN: true }),
      fc.double({ min: 2, max: 50, noNaN: true }),
      fc.double({ min: 2, max: 20, noNaN: true }),
      (apart, off, from_ft, length) => {
        const hypot = (x: number, y: number) => Math.hypot(x, y);
        // A line that runs straight out between two marks, taped at both ends.
        const place = (id: string, x: number, y: number) => ({
          of: id,
          side: 'left' as const,
          tapes: [
            { mark: 'K1', distance_ft: hypot(x, y) },
            { mark: 'K2', distance_ft: hypot(x - apart, y) },
          ] as [{ mark: string; distance_ft: number }, { mark: string; distance_ft: number }],
        });
        const line = oneLine([], {
          depths: [
            { station_ft: 0, invert_ft: 3 },
            { station_ft: 80, invert_ft: 3 },
          ],
          marks: [
            { id: 'K1', name: 'gate post' },
            { id: 'K2', name: 'hydrant' },
          ],
          markDistances: [{ from: 'K1', to: 'K2', distance_ft: apart }],
          places: [place('CO1', 5, off), place('MAIN', 5, off + 80)],
        });
        const hole = { from_ft, to_ft: Math.min(80, from_ft + length) };
        const section = sectionAt(3, 3, 'B', 10);
        const { corners } = holeSheet(
          hole,
          section,
          'none',
          { restore_ft2: new Map(), public_ft: 0 },
          lineModel(line),
        );
        expect(corners).toHaveLength(4);
        const marks = { 'gate post': { x_ft: 0, y_ft: 0 }, hydrant: { x_ft: apart, y_ft: 0 } };
        for (const { place: at, tapes } of corners) {
          expect(tapes).toHaveLength(2);
          for (const { mark, distance } of tapes) {
            const from = marks[mark as keyof typeof marks];
            expect(distance.value).toBeCloseTo(hypot(at.x_ft - from.x_ft, at.y_ft - from.y_ft), 6);
          }
        }
        const [a, b, c, d] = corners.map((corner) => corner.place);
        if (!a || !b || !c || !d) throw new Error('a hole has four corners');
        const between = (p: typeof a, q: typeof a) => hypot(p.x_ft - q.x_ft, p.y_ft - q.y_ft);
        expect(between(a, b)).toBeCloseTo(section.width_ft, 6);
        expect(between(c, d)).toBeCloseTo(section.width_ft, 6);
        expect(between(a, c)).toBeCloseTo(hole.to_ft - hole.from_ft, 6);
        expect(between(a, d)).toBeCloseTo(hypot(section.width_ft, hole.to_ft - hole.from_ft), 6);
      },
    ),
  );
});

// 29 CFR 1926 Appendix B, from memory: from 5 ft soil B is sloped 1 : 1; in pavement it is shored, and the slope is
// shown as well.
test('the opening at the top as it is held, the other way to hold it, and what is within 2 ft of a hole', () => {
  const model = (soil: 'B' | 'C', surface: 'lawn' | 'street') =>
    lineModel(
      oneLine([], {
        soil,
        surfaces: [{ from_ft: 0, to_ft: 80, kind: surface }],
        crossings: [
          { station_ft: 8.5, utility: 'gas', depth_ft: 2 },
          { station_ft: 7.5, utility: 'water' },
        ],
        depths: [
          { station_ft: 0, invert_ft: 6 },
          { station_ft: 80, invert_ft: 6 },
        ],
      }),
    );
  const of = (soil: 'B' | 'C', surface: 'lawn' | 'street') =>
    holeSheet(
      { from_ft: 10, to_ft: 16 },
      sectionAt(6, 3, soil, 10),
      surface === 'lawn' ? 'slope' : 'shore',
      { restore_ft2: new Map([[surface, 40]]), public_ft: 0 },
      model(soil, surface),
    );
  const depth = 6 + 4 / 12;
  const [long, wide] = of('B', 'lawn').opening_ft;
  expect(long).toBeCloseTo(6 + 2 * depth, 9);
  expect(wide).toBeCloseTo(3 + 2 * depth, 9);
  expect(of('B', 'lawn').otherwise).toEqual({ how: 'shored or in a shield', opening_ft: [6, 3] });
  expect(of('C', 'street').opening_ft).toEqual([6, 3]);
  expect(of('C', 'street').otherwise?.opening_ft[0]).toBeCloseTo(6 + 2 * 1.5 * depth, 9);
  expect(of('B', 'lawn').crossings.map(({ utility }) => utility)).toEqual(['gas']);
  expect(of('B', 'lawn').corners).toEqual([]);
});
