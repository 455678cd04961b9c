import fc from 'fast-check';
import { shoppingList } from './shopping.js';
import { bareScope } from '../test/own-scope.js';
import { randomJob } from '../test/random-job.js';
import { readyJob } from '../solve/ready.js';

test('the shopping list holds every stick, coupling, liner and gallon of the scope, once', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 100_000 }), (seed) => {
      const scope = bareScope(readyJob(randomJob(seed, { length_ft: [20, 45], findings: 7, lines: 2 })));
      const list = shoppingList(scope);
      const count = (pattern: RegExp) =>
        list.filter(({ what }) => pattern.test(what)).reduce((sum, each) => sum + each.count, 0);
      const liners = scope.lines.flatMap(({ actions }) => actions.flatMap(({ liner }) => liner ?? []));
      expect(count(/stick$/)).toBe(scope.buy.sticks.length);
      expect(count(/^Banded coupling/)).toBe(scope.buy.couplings.length);
      expect(count(/^Liner /)).toBe(liners.length);
      expect(count(/^Bladder/)).toBe(liners.length);
      expect(count(/^Resin$/)).toBeCloseTo(
        liners.reduce((sum, { resin }) => sum + resin.value, 0),
        9,
      );
      expect(new Set(list.map(({ what }) => what)).size).toBe(list.length);
      // Common practice: no coupling is ordered for a pipe whose outside diameter nobody measured.
      const measured = list
        .filter(({ measure }) => measure !== undefined)
        .reduce((sum, each) => sum + each.count, 0);
      const { couplings, fittings } = scope.buy;
      expect(measured).toBeGreaterThanOrEqual(couplings.filter(({ measure }) => measure).length);
      for (const { item } of fittings) expect(list.map(({ what }) => what)).toContain(item);
    }),
    { numRuns: 40 },
  );
});
