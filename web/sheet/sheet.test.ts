import fc from 'fast-check';
import type { Method } from '../../core/job/vocabulary.js';
import { methods } from '../../core/job/vocabulary.js';
import { ownView } from '../../core/test/own-scope.js';
import { randomJob } from '../../core/test/random-job.js';
import { differsFrom } from '../reason/differs';
import { barsOf } from '../drawing/scope-bars';
import { gutter_px, margin_px, seenMiddle, sheetScale, wholeOf } from '../drawing/sheet-scale';
import { nextEnd, snapped } from './snap';

const seeds = fc.integer({ min: 1, max: 5000 });
const lineOf = (seed: number) => {
  const { view: line, scope } = ownView(randomJob(seed, { length_ft: [15, 40] }));
  const [own] = scope.lines;
  if (!own) throw new Error('a random job has a line');
  return { line, scope: own, methods: scope.methods };
};

test('an end comes to rest only where an action may end, on its own side, and no further off than it must', () => {
  fc.assert(
    fc.property(seeds, fc.double({ min: -5, max: 50, noNaN: true }), fc.boolean(), (seed, at, upstream) => {
      const { line, scope } = lineOf(seed);
      const middle = (line.from_ft + line.to_ft) / 2;
      const end = upstream ? ('from' as const) : ('to' as const);
      const found = snapped(at, scope.mayEnd_ft, line, { end, other_ft: middle });
      const open = scope.mayEnd_ft.filter((x) => (upstream ? x <= middle - 0.5 : x >= middle + 0.5));
      if (found === undefined) {
        expect(open).toEqual([]);
        return;
      }
      expect(open).toContain(found);
      const nearest = Math.min(...open.map((x) => Math.abs(x - at)));
      // It snaps to a joint or a change, but only from close by.
      expect(Math.abs(found - at)).toBeLessThanOrEqual(Math.max(nearest, 0.6) + 1e-9);
      const further = nextEnd(found, upstream ? -1e6 : 1e6, scope.mayEnd_ft);
      if (further !== undefined) expect(upstream ? further < found : further > found).toBe(true);
    }),
    { numRuns: 60 },
  );
});

type Done = { from_ft: number; to_ft: number; method: Method };
/** Stretches end to end over 0 to 100, each with a method. */
const way: fc.Arbitrary<Done[]> = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 99 }), fc.constantFrom(...methods)), {
    minLength: 1,
    maxLength: 8,
  })
  .map((parts) => {
    const ends = [...new Set([0, ...parts.map(([x]) => x), 100])].sort((a, b) => a - b);
    return ends.slice(1).map((to_ft, i) => ({
      from_ft: ends[i] ?? 0,
      to_ft,
      method: parts[i % parts.length]?.[1] ?? 'leave',
    }));
  });

test('two ways differ on exactly the feet where they do different things', () => {
  fc.assert(
    fc.property(way, way, (now, other) => {
      const found = differsFrom(now, other);
      const at = (all: Done[], x: number) =>
        all.find(({ from_ft, to_ft }) => from_ft < x && x < to_ft)?.method;
      for (let x = 0.5; x < 100; x++) {
        const inside = found.some(({ from_ft, to_ft }) => from_ft < x && x < to_ft);
        expect(inside).toBe(at(now, x) !== at(other, x));
      }
      expect(differsFrom(now, now)).toEqual([]);
      expect(differsFrom(now, undefined)).toEqual([]);
    }),
  );
});

test('the axis holds the whole line between gutter and margin, or the window that was zoomed into', () => {
  fc.assert(
    fc.property(seeds, fc.double({ min: 0, max: 1, noNaN: true }), (seed, share) => {
      const { line, scope, methods } = lineOf(seed);
      const whole = sheetScale(line, 944);
      expect(whole.x(line.from_ft)).toBeGreaterThan(gutter_px);
      expect(whole.x(line.to_ft)).toBeLessThan(944 - margin_px);
      const { from_ft, to_ft } = wholeOf(line);
      const window = {
        from_ft: from_ft + (share * (to_ft - from_ft)) / 2,
        to_ft: from_ft + ((share + 1) * (to_ft - from_ft)) / 2,
      };
      const zoomed = sheetScale(line, 944, window);
      expect(zoomed.x(window.from_ft)).toBeCloseTo(gutter_px, 6);
      expect(zoomed.x(window.to_ft)).toBeCloseTo(944 - margin_px, 6);
      for (const bar of barsOf(scope, methods)) {
        const middle = seenMiddle(zoomed, bar);
        const apart = bar.to_ft < window.from_ft || bar.from_ft > window.to_ft;
        expect(middle === undefined).toBe(apart);
        if (middle !== undefined) {
          expect(middle).toBeGreaterThanOrEqual(gutter_px - 1e-6);
          expect(middle).toBeLessThanOrEqual(944 - margin_px + 1e-6);
        }
      }
    }),
    { numRuns: 40 },
  );
});
