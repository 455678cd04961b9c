import { readJob } from '../files/read.js';
import { readyJob } from '../solve/ready.js';
import { fieldJobs } from '../test/forty-jobs.js';
import { ownScope } from '../test/own-scope.js';
import { randomJob } from '../test/random-job.js';
import { spokenJob } from '../test/spoken-job.js';

// What is paid for by the piece is on the shopping list, and nothing else is: price and list are made from the layout
// apart from each other.
test('as many couplings, fittings and liners are bought as are priced, and no pipe that is not', () => {
  const met = { couplings: 0, fittings: 0, liners: 0, closings: 0, rehung: 0 };
  const jobs = [
    ...Array.from({ length: 120 }, (_, seed) => randomJob(seed, { lines: 1 + (seed % 2) })),
    ...fieldJobs.flatMap(({ title, log, more }) => readJob(spokenJob(title, log, more)).job ?? []),
  ];
  for (const job of jobs) {
    const { prices, buy, lines } = ownScope(readyJob(job));
    const priced = (rates: RegExp) =>
      prices.lines.filter(({ from }) => rates.test(from)).reduce((sum, { quantity }) => sum + quantity, 0);
    const liners = lines.flatMap(({ actions }) => actions.filter(({ liner }) => liner !== undefined));
    expect([job.title, buy.couplings.length]).toEqual([job.title, priced(/^coupling_each/)]);
    expect([job.title, buy.fittings.length]).toEqual([job.title, priced(/^fitting_each/)]);
    expect([job.title, liners.length]).toEqual([job.title, priced(/^(liner|shortLiner)_each/)]);
    const cut_ft = buy.sticks.flatMap(({ cuts }) => cuts).reduce((sum, { length_ft }) => sum + length_ft, 0);
    // Bursting is priced by the old pipe's feet; what is pulled in reaches into its pits.
    if (priced(/^burst_per_ft/) === 0) expect(cut_ft).toBeLessThanOrEqual(priced(/^pipe_per_ft/) + 0.01);
    met.couplings += buy.couplings.length;
    met.fittings += buy.fittings.length;
    met.liners += liners.length;
    met.closings += buy.couplings.filter(({ what }) => what.startsWith('closing')).length;
    met.rehung += priced(/^rehang_per_ft/);
  }
  expect(Math.min(...Object.values(met))).toBeGreaterThan(1);
});
