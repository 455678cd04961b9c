import fc from 'fast-check';
import { defaultPrices } from '../job/prices.js';
import { emptyFirm, type Firm } from '../job/firm.js';
import type { Job } from '../job/schema.js';
import { randomJob } from '../test/random-job.js';
import { firmForCrew, jobForCrew, viewForCrew } from './for-crew.js';
import { jobView } from './job-view.js';

/** Every rate of a price book times four: a power of two keeps every sum of money exact. */
function fourfold<T>(value: T, key = ''): T {
  if (typeof value === 'number') return (key === 'markup' || key === 'tax' ? value : value * 4) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, each]) => [name, fourfold(each, name)])) as T;
}

/**
 * Rates in whole units and no markup: nothing is rounded to a cent, so four times the rates gives four times each sum.
 */
const whole = fourfold({ ...defaultPrices, markup: 0, tax: 0 });

// A law: with all rates four times as high the cheapest scope is the same, so any difference in what crew receives
// would reveal the price.
test('what crew is given is the same whatever the rates come to', () => {
  let withWork = 0;
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1_000_000 }), (seed) => {
      const job: Job = { ...randomJob(seed), prices: whole };
      const dear: Job = { ...job, prices: fourfold(whole) };
      const [one, other] = [jobView(job), jobView(dear)];
      withWork += one.scope.lines.filter(({ actions }) => actions.length > 0).length;
      expect(viewForCrew(other)).toEqual(viewForCrew(one));
      expect(jobForCrew(dear)).toEqual(jobForCrew(job));
      // The test can fail: the full view does differ.
      if (one.scope.prices.total > 0) expect(other).not.toEqual(one);
    }),
    { numRuns: 12 },
  );
  expect(withWork).toBeGreaterThan(6);
});

test('crew is given neither the price book of the firm nor what was agreed', () => {
  const firm: Firm = {
    ...emptyFirm,
    name: 'Hollow Lane Drains',
    prices: { markup: 0.4142 },
    terms: 'Net thirty.',
    rules: { look_months: 36 },
    plan: { crew: 4, labor_per_hour: 71.5 },
  };
  const said = JSON.stringify(firmForCrew(firm));
  expect(said).not.toMatch(/0\.4142|71\.5/);
  const job: Job = {
    ...randomJob(1),
    plan: { startOn: '2026-03-04', rules: { labor_per_hour: 71.5 }, spent: [] },
  };
  expect(jobForCrew(job).plan).toEqual({ startOn: '2026-03-04', rules: {} });
  expect(firmForCrew(firm).plan).toEqual({ crew: 4 });
  expect(said).not.toContain('Net thirty');
  expect(firmForCrew(firm).rules).toEqual({ look_months: 36 });
});
