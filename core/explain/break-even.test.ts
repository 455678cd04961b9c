import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readJobText } from '../files/read.js';
import { oneLine } from '../test/one-line.js';
import { breakEvens, priceGroups, scaledPrices } from './break-even.js';
import { readyJob } from '../solve/ready.js';
import { ownScope } from '../test/own-scope.js';

const { job } = readJobText(
  readFileSync(join(import.meta.dirname, '../../demo/jobs/1-quarry-lane.json'), 'utf8'),
);
if (!job) throw new Error('the demo job cannot be read');
const ready = readyJob(job);

/** The method at a station of the first line, from the whole scope with the price book as a job would carry it. */
function methodAt(own: typeof ready, station_ft: number, prices: typeof ready.prices) {
  const scope = ownScope({ ...own, prices });
  return scope.lines[0]?.segments.find(({ from_ft, to_ft }) => station_ft >= from_ft && station_ft < to_ft)
    ?.method;
}

/** Cracks over 12 ft of shallow clay: a close call between a liner and new pipe. */
const close = readyJob({
  format: 'open-trench-job',
  version: 1,
  title: 'close call',
  lines: [
    oneLine(
      [
        {
          id: 'c',
          kind: 'finding',
          finding: 'crack',
          form: 'several',
          reading_ft: 30,
          to_ft: 42,
          pass: 'back',
        },
      ],
      {
        depths: [
          { station_ft: 0, invert_ft: 3 },
          { station_ft: 80, invert_ft: 5 },
        ],
      },
    ),
  ],
});

// The definition itself: just before a break-even the choice holds, just past it the other method takes over.
test.each([
  ['the demo line', ready, 25.5, 2],
  ['a close call', close, 36, 2],
] as const)(
  '%s: just past a break-even the choice flips, just short of it it stands',
  (_, job_, at, least) => {
    const methodThere = (prices: typeof ready.prices) => methodAt(job_, at, prices);
    const chosen = methodThere(job_.prices);
    const found = breakEvens(job_, 'house', at);
    expect(found.length).toBeGreaterThanOrEqual(least);
    for (const { group, factor, becomes } of found.slice(0, 4)) {
      expect(becomes).not.toBe(chosen);
      const short = 1 + (factor - 1) * 0.97;
      expect(methodThere(scaledPrices(job_.prices, group, short))).toBe(chosen);
      expect(methodThere(scaledPrices(job_.prices, group, factor))).toBe(becomes);
    }
    const away = found.map(({ factor }) => Math.abs(Math.log(factor)));
    expect(away).toEqual([...away].sort((a, b) => a - b));
    expect(breakEvens(job_, 'nobody', at)).toEqual([]);
  },
);

test('every rate that makes a scope belongs to one group, and no group moves another’s', () => {
  const grouped = Object.values(priceGroups).flat();
  expect(new Set(grouped).size).toBe(grouped.length);
  const doubled = scaledPrices(ready.prices, 'surfaces', 2);
  expect(doubled.restore_per_ft2.lawn).toBe(2 * (ready.prices.restore_per_ft2.lawn as number));
  expect(doubled.restore_per_ft2.tile).toBe('by-others');
  expect({ ...doubled, restore_per_ft2: ready.prices.restore_per_ft2 }).toEqual(ready.prices);
});
