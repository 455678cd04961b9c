import fc from 'fast-check';
import type { Prices } from '../job/prices.js';
import { randomJob } from '../test/random-job.js';
import { holeCosts } from '../excavation/hole-costs.js';
import { topOut } from '../excavation/section.js';
import { holeQuantities, type HoleQuantities } from '../excavation/quantities.js';
import { readyJob } from './ready.js';
import { trackOf } from '../prepare/track-of.js';
import type { Track } from '../track/track.js';

const trackFor = (seed: number): Track => {
  const { lines, rules, prices } = readyJob(randomJob(seed, { length_ft: [20, 45], findings: 6 }));
  const [line] = lines;
  if (!line) throw new Error('a random job has a line');
  return trackOf({ model: line.model, condition: line.condition, rules, prices, school: rules.school });
};
const priceOf = (each: HoleQuantities, prices: Prices) =>
  each.earthTo5_yd3 * prices.digTo5_per_yd3 +
  each.earthBelow5_yd3 * prices.digBelow5_per_yd3 +
  (each.earthTo5_yd3 + each.earthBelow5_yd3) * prices.backfill_per_yd3 +
  each.shored_ft2 * prices.support_per_ft2 +
  each.shielded_ft2 * prices.shield_per_ft2 +
  [...each.restore_ft2].reduce((sum, [surface, area]) => {
    const rate = prices.restore_per_ft2[surface as keyof Prices['restore_per_ft2']] ?? 0;
    return sum + area * (rate === 'by-others' ? 0 : rate);
  }, 0);
const seeds = fc.integer({ min: 1, max: 100_000 });

test('a hole costs what its quantities cost, however it is cut at boundaries', () => {
  fc.assert(
    fc.property(seeds, fc.nat(1000), fc.nat(1000), (seed, a, b) => {
      const track = trackFor(seed);
      const costs = holeCosts(track);
      const count = track.boundaries.length;
      const [from, to] = [a % count, b % count].sort((x, y) => x - y) as [number, number];
      const [first, last] = [track.boundaries[from] ?? 0, track.boundaries[to] ?? 0];
      if (first === last || track.cells.slice(first, last).every(({ closedTo }) => closedTo)) return;
      const reach = { from_ft: costs.digFrom(first), to_ft: costs.digTo(last) };
      for (const held of costs.protections) {
        const [open, close] = [costs.openDig(first, held), costs.closeDig(last, held)];
        const through = costs.through(held);
        if (open && close) {
          const added = open.cost + (through[last] ?? 0) - (through[first] ?? 0) + close.cost;
          expect(added).toBeCloseTo(priceOf(holeQuantities(track, reach, 'dig', held), track.prices), 4);
        }
      }
      const pit = costs.pit(first, 'launch');
      if (pit?.alone) {
        const whole = holeQuantities(track, pit, 'launch', pit.alone.held);
        expect(pit.alone.cost).toBeCloseTo(priceOf(whole, track.prices), 4);
        expect(pit.to_ft - pit.from_ft).toBeGreaterThanOrEqual(4 - 1e-6);
      }
    }),
    { numRuns: 150 },
  );
});

// 29 CFR 1926 Appendix B slopes the sides back: the top has to be ground that may be sloped, looked through cell by cell.
test('an end is sloped back only where its top lies on the line and on ground that may be sloped', () => {
  const slope = 'slope' as const;
  let [sloped, refused] = [0, 0];
  fc.assert(
    fc.property(seeds, (seed) => {
      const track = trackFor(seed);
      const costs = holeCosts(track);
      const { cells, breaks } = track;
      const [first, last] = [breaks[0] ?? 0, breaks.at(-1) ?? 0];
      const under = (from_ft: number, to_ft: number) =>
        cells.filter((cell) => Math.min(cell.to_ft, to_ft) - Math.max(cell.from_ft, from_ft) > 1e-6);
      breaks.forEach((x, index) => {
        for (const [piece, end, up] of [
          [costs.openDig(index, slope), costs.digFrom(index), true],
          [costs.closeDig(index, slope), costs.digTo(index), false],
        ] as const) {
          const [inside] = up ? under(end, end + 0.01) : under(end - 0.01, end);
          // Where nothing is dug there is no side.
          if (!inside || inside.closedTo !== undefined) continue;
          const out_ft = topOut(inside.sections.dig, slope);
          const [from_ft, to_ft] = up ? [end - out_ft, end] : [end, end + out_ft];
          const room = under(Math.min(end, x), Math.max(end, x)).every(
            ({ closedTo, mayHold }) => closedTo !== undefined || mayHold.slope,
          );
          const fits =
            room &&
            from_ft >= first - 1e-6 &&
            to_ft <= last + 1e-6 &&
            under(from_ft, to_ft).every(({ mayHold }) => mayHold.slope);
          if (piece) sloped++;
          else refused++;
          expect([seed, index, up, piece !== undefined]).toEqual([seed, index, up, fits]);
        }
      });
    }),
    { numRuns: 60 },
  );
  expect(Math.min(sloped, refused)).toBeGreaterThan(100);
});

test('cells cover the line without gap, none over a foot, none across a change of anything', () => {
  fc.assert(
    fc.property(seeds, (seed) => {
      const { cells, breaks, model, boundaries, obligations } = trackFor(seed);
      expect(cells[0]?.from_ft).toBe(model.extent.from_ft);
      expect(cells.at(-1)?.to_ft).toBe(model.extent.to_ft);
      cells.forEach((cell, i) => {
        expect(cell.to_ft - cell.from_ft).toBeLessThanOrEqual(1 + 1e-6);
        if (i > 0) expect(cell.from_ft).toBe(cells[i - 1]?.to_ft);
        // The surface over its middle is the surface over all of it, to a hundredth of a foot.
        for (const x of [cell.from_ft + 0.02, cell.to_ft - 0.02]) {
          if (cell.to_ft - cell.from_ft < 0.05) continue;
          const over = model.surfaces.findLast(({ from_ft, to_ft }) => from_ft <= x && x <= to_ft);
          expect(cell.surface).toBe(over?.kind ?? 'lawn');
        }
      });
      const ends = [...model.noDig, ...model.seen].flatMap(({ from_ft, to_ft }) => [from_ft, to_ft]);
      for (const x of ends)
        expect(Math.min(...breaks.map((at) => Math.abs(at - x)))).toBeLessThanOrEqual(0.0101);
      for (const { place, whole } of obligations.cured) {
        if (!whole) continue;
        const inside = boundaries
          .map((fine) => breaks[fine] ?? 0)
          .filter((x) => x > place.from_ft + 0.011 && x < place.to_ft - 0.011);
        expect(inside).toEqual([]);
      }
    }),
    { numRuns: 60 },
  );
});
