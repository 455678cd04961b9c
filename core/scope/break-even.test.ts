import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readJobText } from '../job/read.js';
import { breakEvens, priceGroups, scaledPrices } from './break-even.js';
import { readyJob, scopeOf } from './scope.js';

const { job } = readJobText(
  readFileSync(join(import.meta.dirname, '../../demo/jobs/1-quarry-lane.json'), 'utf8'),
);
if (!job) throw new Error('the demo job cannot be read');
const ready = readyJob(job);

/** The method at a station of the first line, by the whole scope with the price book as a job would carry it. */
function methodAt(station_ft: number, prices: typeof ready.prices) {
  const scope = scopeOf({ ...ready, prices }, { alternatives: false });
  return scope.lines[0]?.segments.find(({ from_ft, to_ft }) => station_ft >= from_ft && station_ft < to_ft)
    ?.method;
}

// The definition itself: just short of a break-even the choice stands, just past it the other method has its place.
test('just past a break-even the choice flips, just short of it it stands', () => {
  const chosen = methodAt(50, ready.prices);
  const found = breakEvens(ready, 'house', 50);
  expect(found.length).toBeGreaterThan(1);
  for (const { group, factor, becomes } of found.slice(0, 3)) {
    expect(becomes).not.toBe(chosen);
    const short = 1 + (factor - 1) * 0.97;
    expect(methodAt(50, scaledPrices(ready.prices, group, short))).toBe(chosen);
    expect(methodAt(50, scaledPrices(ready.prices, group, factor))).toBe(becomes);
  }
  const away = found.map(({ factor }) => Math.abs(Math.log(factor)));
  expect(away).toEqual([...away].sort((a, b) => a - b));
  expect(breakEvens(ready, 'nobody', 50)).toEqual([]);
});

test('every rate that makes a scope belongs to one group, and no group moves another’s', () => {
  const grouped = Object.values(priceGroups).flat();
  expect(new Set(grouped).size).toBe(grouped.length);
  const doubled = scaledPrices(ready.prices, 'surfaces', 2);
  expect(doubled.restore_per_ft2.lawn).toBe(2 * (ready.prices.restore_per_ft2.lawn as number));
  expect(doubled.restore_per_ft2.tile).toBe('by-others');
  expect({ ...doubled, restore_per_ft2: ready.prices.restore_per_ft2 }).toEqual(ready.prices);
});
