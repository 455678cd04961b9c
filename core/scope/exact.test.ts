import highsLoader from 'highs';
import { cheapest } from './cheapest.js';
import { micro } from './search.js';
import { readyJob } from './scope.js';
import { prepareLines } from './way.js';
import { integerProgramme } from './test/integer-programme.js';
import { randomJob } from './test/random-job.js';

// The optimum is held against HiGHS, a general solver, on an integer programme written apart from the search.
const solver = highsLoader();

test.each(Array.from({ length: Number(process.env.EXACT_JOBS ?? 25) }, (_, i) => [i + 1]))(
  'random job %i: the search finds what HiGHS finds',
  async (seed) => {
    const highs = await solver;
    const job = randomJob(seed, { length_ft: [8, 16], findings: 4, lines: seed % 4 === 0 ? 2 : 1 });
    const { lines, rules, prices } = readyJob(job);
    const prepared = prepareLines({ lines, rules, prices, school: rules.school });
    const pins = lines.map(({ restrictions }) => restrictions);
    const found = cheapest(prepared, pins);
    const answer = highs.solve(integerProgramme(prepared, pins), { mip_rel_gap: 0, mip_abs_gap: 1e-6 });
    if (!found) {
      expect(answer.Status).toBe('Infeasible');
      return;
    }
    expect(answer.Status).toBe('Optimal');
    expect(found.cost / micro).toBeCloseTo(answer.ObjectiveValue, 2);
  },
  60_000,
);
