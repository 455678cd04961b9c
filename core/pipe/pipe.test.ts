import fc from 'fast-check';
import highsLoader from 'highs';
import { coupling } from './couplings.js';
import { cutList, type Piece } from './cut-list.js';
import { laidLength } from './laid.js';

const kerf = 1 / 8 / 12;
const piecesOf = (lengths: readonly number[]): Piece[] =>
  lengths.map((length_ft, i) => ({ length_ft, what: `p${i}` }));
const bought = (lengths: readonly number[], stock: readonly number[]) => {
  const { sticks } = cutList(piecesOf(lengths), stock);
  return { feet: sticks.reduce((sum, { length_ft }) => sum + length_ft, 0), count: sticks.length, sticks };
};

// Common practice: a saw kerf of an eighth of an inch.
test('two pieces fit one stick only with their kerf', () => {
  expect(bought([5, 5 - kerf], [10]).count).toBe(1);
  expect(bought([5, 5], [10]).count).toBe(2);
  expect(bought([10], [10]).sticks[0]?.leftover_ft).toBe(0);
});

test('a run over the longest stick is whole sticks and one remainder, joined at the bell', () => {
  const { sticks } = bought([47], [10, 20]);
  expect(sticks.map(({ length_ft }) => length_ft)).toEqual([20, 20, 10]);
  expect(sticks[2]?.cuts[0]?.length_ft).toBeCloseTo(7, 9);
});

test('of equal feet the fewer sticks, then the longest single leftover', () => {
  expect(bought([9, 9], [10, 20]).sticks.map(({ length_ft }) => length_ft)).toEqual([20]);
  // Three pieces in two sticks of 10: the small one goes where it leaves the longest piece whole.
  const { sticks } = bought([6, 5, 3], [10]);
  expect(Math.max(...sticks.map(({ leftover_ft }) => leftover_ft))).toBeCloseTo(5, 1);
});

// Checked against HiGHS on the bin-packing program, written separately.
test('the fewest feet, then the fewest sticks, as a general solver finds them', async () => {
  const highs = await highsLoader();
  const programme = (lengths: readonly number[], stock: readonly number[]) => {
    const bins = lengths.flatMap((_, b) => stock.map((length) => ({ b, length })));
    const name = (i: number, b: number, length: number) => `x${i}_${b}_${length}`;
    return [
      'Minimize',
      ` obj: ${bins.map(({ b, length }) => `${length + 0.001} y${b}_${length}`).join(' + ')}`,
      'Subject To',
      ...lengths.map((_, i) => ` c${i}: ${bins.map(({ b, length }) => name(i, b, length)).join(' + ')} = 1`),
      ...bins.map(
        ({ b, length }) =>
          ` k${b}_${length}: ${lengths.map((each, i) => `${each + kerf} ${name(i, b, length)}`).join(' + ')} - ${length + kerf} y${b}_${length} <= 0`,
      ),
      'Binary',
      ...bins.map(({ b, length }) => ` y${b}_${length}`),
      ...lengths.flatMap((_, i) => bins.map(({ b, length }) => ` ${name(i, b, length)}`)),
      'End',
    ].join('\n');
  };
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 4, max: 78 }), { minLength: 1, maxLength: 6 }),
      fc.constantFrom([10], [10, 20], [10, 14, 20]),
      (quarters, stock) => {
        const lengths = quarters.map((each) => Math.min(each / 4, stock.at(-1) ?? 10));
        const { feet, count } = bought(lengths, stock);
        const answer = highs.solve(programme(lengths, stock), { mip_rel_gap: 0 });
        expect(feet + 0.001 * count).toBeCloseTo(answer.ObjectiveValue, 4);
      },
    ),
    { numRuns: 25 },
  );
});

// Past 20 pieces no plan is proven: what it buys and the lower bound enclose the truth.
test('a long cut list is exact to 20 pieces; past that it says by how much it may be off', () => {
  fc.assert(
    fc.property(
      fc
        .integer({ min: 18, max: 60 })
        .chain((count) => fc.array(fc.integer({ min: 8, max: 60 }), { minLength: count, maxLength: count })),
      (quarters) => {
        const lengths = quarters.map((each) => each / 4);
        const { bought_ft, least_ft, sticks } = cutList(piecesOf(lengths), [10, 20]);
        const cut = lengths.reduce((sum, each) => sum + each, 0);
        expect(sticks.reduce((sum, { length_ft }) => sum + length_ft, 0)).toBe(bought_ft);
        expect(least_ft).toBeLessThanOrEqual(bought_ft);
        expect(least_ft).toBeGreaterThanOrEqual(cut - 1e-6);
        // First fit, longest first, needs at most 11/9 of the sticks of the best plan and one more: Johnson, 1973,
        // quoted from memory. Sticks of two lengths at most double the odd one.
        expect(bought_ft).toBeLessThanOrEqual((11 / 9) * Math.max(least_ft, cut) + 40);
        if (lengths.length <= 18) expect(least_ft).toBe(bought_ft);
      },
    ),
    { numRuns: 20 },
  );
  // Twenty-two pieces of 5 ft, with kerfs: two per 10 ft stick, so eleven sticks is the minimum.
  const even = cutList(piecesOf(Array.from({ length: 22 }, () => 5 - kerf)), [10]);
  expect([even.bought_ft, even.least_ft]).toEqual([110, 110]);
});

test('every piece is cut once and no stick holds more than itself', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.2, max: 45, noNaN: true }), { maxLength: 9 }), (lengths) => {
      const { sticks } = bought(lengths, [10, 14, 20]);
      const cut = sticks.flatMap(({ cuts }) => cuts.map(({ length_ft }) => length_ft));
      const sum = (all: readonly number[]) => all.reduce((total, each) => total + each, 0);
      expect(sum(cut)).toBeCloseTo(sum(lengths), 6);
      for (const { length_ft, cuts, leftover_ft } of sticks) {
        expect(sum(cuts.map((each) => each.length_ft)) + kerf * (cuts.length - 1) + leftover_ft).toBeCloseTo(
          length_ft,
          6,
        );
      }
    }),
  );
});

// ASTM D1785 and D3034, from memory.
test('couplings by both outside diameters; what varies is measured before it is bought', () => {
  const held = coupling(
    10,
    { material: 'pvc-sdr35', diameter_in: 4 },
    { material: 'pvc-sch40', diameter_in: 4 },
  );
  expect(held).toMatchObject({ measure: false, sides: [{ outside_in: 4.215 }, { outside_in: 4.5 }] });
  for (const material of ['clay', 'concrete', 'fibre', 'cast-iron', 'unknown'] as const) {
    expect(
      coupling(10, { material, diameter_in: 4 }, { material: 'pvc-sch40', diameter_in: 4 }).measure,
    ).toBe(true);
  }
});

// Common practice.
test('laid length is along the pipe; a burst draws 2 ft into each pit', () => {
  const input = { from_ft: 12, to_ft: 16, material: 'pvc-sch40', diameter_in: 4, pits: 0 } as const;
  expect(laidLength(input).laid.value).toBe(4);
  expect(laidLength({ ...input, to_ft: 40, pits: 2 }).laid.value).toBe(32);
});
