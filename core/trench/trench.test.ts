import { holeFigures } from './hole.js';
import { bottomWidth, earthOfEnd, earthPerFoot, sectionAt, topOut, type Section } from './section.js';

const section = (depth_ft: number, width_ft: number, slope: number): Section => ({
  depth_ft,
  width_ft,
  slope,
  shored: false,
});
const volume = (length: number, each: Section) => length * earthPerFoot(each) + 2 * earthOfEnd(each);

// Published solid: a frustum-like hole sloped on all sides, L W d + s (L + W) d² + 4/3 s² d³.
test.each([
  [6, 3, 4, 0, 72],
  [6, 3, 6, 1, 720],
  [5, 3, 9, 1.5, 3294],
])('a hole %d × %d ft, %d deep, sloped %d : 1, holds %d ft³', (length, width, depth, slope, expected) => {
  expect(volume(length, section(depth, width, slope))).toBeCloseTo(expected, 6);
});

test('the top of a 6 × 3 × 6 ft hole at 1 : 1 is 18 × 15 ft', () => {
  const out = topOut(section(6, 3, 1));
  expect([6 + 2 * out, 3 + 2 * out]).toEqual([18, 15]);
});

// ASTM D2321, from memory: the wider of OD + 16 in and 1.25 OD + 12 in; 3 ft where someone works below 4 ft.
test('bottom width', () => {
  expect(bottomWidth(4.5, 3)).toBeCloseTo(20.5 / 12, 9);
  expect(bottomWidth(48, 3)).toBeCloseTo(72 / 12, 9);
  expect(bottomWidth(4.5, 4.01)).toBe(3);
});

// 29 CFR 1926.651–652 and Appendix B, from memory.
test('under 5 ft nothing; from 5 ft sloped by the soil, or shored under pavement and where the slope would leave its surface', () => {
  const at = (
    invert_ft: number,
    soil: 'A' | 'B' | 'C' | 'rock' | 'unknown',
    surface: 'lawn' | 'street',
    room = Infinity,
  ) => sectionAt(invert_ft, 3, soil, surface, room);
  expect(at(4.6, 'B', 'lawn')).toMatchObject({ slope: 0, shored: false });
  expect((['A', 'B', 'C', 'unknown', 'rock'] as const).map((soil) => at(5, soil, 'lawn').slope)).toEqual([
    0.75, 1, 1.5, 1.5, 0,
  ]);
  expect(at(5, 'B', 'street')).toMatchObject({ slope: 0, shored: true });
  expect(at(5, 'B', 'lawn', 4)).toMatchObject({ slope: 0, shored: true });
});

test('protection is that of the deepest cell, and loose earth is a quarter more', () => {
  const cells = [3, 6].map((depth, i) => ({
    from_ft: i,
    to_ft: i + 1,
    surface: 'lawn' as const,
    section: section(depth, 3, depth >= 5 ? 1 : 0),
  }));
  const figures = holeFigures({ from_ft: 0, to_ft: 2 }, cells, { earthTo5_yd3: 1, earthBelow5_yd3: 3 }, 'B');
  expect(figures).toMatchObject({ protection: 'slope 1 : 1', bottom_ft: [2, 3] });
  expect([figures.depth.value, figures.bank.value, figures.loose.value]).toEqual([6, 4, 5]);
});
