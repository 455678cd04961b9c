import fc from 'fast-check';
import { bareScope } from '../test/own-scope.js';
import { emptyFirm, underFirm, type Firm } from './firm.js';
import { layOver } from '../lay-over.js';
import { defaultPrices, pricesInForce } from './prices.js';
import { rulesInForce } from './rules.js';
import { randomJob } from '../test/random-job.js';
import { scopeFile } from '../files/scope-file.js';
import { readyJob } from '../solve/ready.js';

const json = fc.object({ maxDepth: 3, values: [fc.integer(), fc.string(), fc.boolean()] });
/** Every value by its path; an empty table counts too. */
const leaves = (value: unknown, at = ''): [string, unknown][] =>
  typeof value === 'object' && value !== null && !Array.isArray(value) && Object.keys(value).length > 0
    ? Object.entries(value).flatMap(([key, each]) => leaves(each, `${at}/${key}`))
    : [[at, value]];

test('laid over one another, what is said on top stands, and nothing said beneath is lost where the top is silent', () => {
  fc.assert(
    fc.property(json, json, (under, over) => {
      const laid = new Map(leaves(layOver(under, over)));
      const isEmpty = (value: unknown) => typeof value === 'object' && !Array.isArray(value);
      for (const [path, value] of leaves(over)) {
        // An empty table laid over another overrides nothing in it.
        if (!isEmpty(value)) expect(laid.get(path)).toEqual(value);
      }
      for (const [path, value] of leaves(under)) {
        const hidden = leaves(over).some(
          ([each, said]) =>
            each === path || (path.startsWith(`${each}/`) && !isEmpty(said)) || each.startsWith(`${path}/`),
        );
        if (!hidden) expect(laid.get(path)).toEqual(value);
      }
      expect(layOver(under, undefined)).toEqual(under);
      expect(layOver(layOver(under, over), over)).toEqual(layOver(under, over));
    }),
  );
});

const firm: Firm = {
  ...emptyFirm,
  rules: { leastGap_ft: 2, findings: { roots: { bounds: [5, 15, 40] }, lip: { stopsLinerAt: 2 } } },
  prices: { look: 190, coupling_each: { '4': 99 }, pipe_per_ft: { 'pvc-sch40': { '4': 31 } } },
};

test('a job stands over its firm and its firm over the defaults, table by table', () => {
  const job = {
    ...randomJob(4),
    rules: { findings: { roots: { bounds: [6, 16, 41] } } },
    prices: { coupling_each: { '6': 150 } },
  };
  const { rules, prices } = underFirm(job, firm);
  const inForce = pricesInForce(prices);
  expect(rulesInForce(rules)).toMatchObject({
    leastGap_ft: 2,
    crowdCount: 3,
    findings: { roots: { bounds: [6, 16, 41] }, lip: { stopsLinerAt: 2 } },
  });
  expect(inForce.coupling_each).toEqual({ ...defaultPrices.coupling_each, '4': 99, '6': 150 });
  expect(inForce.pipe_per_ft['pvc-sch40']).toEqual({ ...defaultPrices.pipe_per_ft['pvc-sch40'], '4': 31 });
  expect(inForce.look).toBe(190);
});

test('a job under its firm comes to the same wherever it is read, under any firm it says everything over', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1000 }), (seed) => {
      const job = underFirm(randomJob(seed, { length_ft: [12, 20] }), firm);
      const of = (each: typeof job) => {
        const ready = readyJob(each);
        return scopeFile(ready, bareScope(ready));
      };
      const once = of(job);
      expect(of(underFirm(job, firm))).toEqual(once);
      expect(of(underFirm(job, emptyFirm))).toEqual(once);
      expect(of(underFirm(job, { ...emptyFirm, prices: { look: 1 } }))).toEqual(once);
    }),
    { numRuns: 15 },
  );
});
