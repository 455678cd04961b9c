import highsLoader from 'highs';
import { cheapest } from '../core/scope/cheapest.js';
import { readyJob } from '../core/scope/scope.js';
import { integerProgramme } from '../core/scope/test/integer-programme.js';
import { randomJob, type RandomOptions } from '../core/scope/test/random-job.js';
import { prepareLines } from '../core/scope/way.js';

/**
 * How fast the exact search is, as ratios in one run: machines here are noisy, so no figure stands alone.
 * Prints medians; nothing is asserted.
 */
const median = (all: readonly number[]): number =>
  [...all].sort((a, b) => a - b)[all.length >> 1] ?? Number.NaN;
const print = (text: string) => process.stdout.write(`${text}\n`);

function timed(work: () => unknown, times = 9): number {
  work();
  return median(
    Array.from({ length: times }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );
}

function readied(seed: number, options: RandomOptions) {
  const { lines, rules, prices } = readyJob(randomJob(seed, options));
  const input = { lines, rules, prices, school: rules.school };
  const pins = lines.map(({ restrictions }) => restrictions);
  return { input, prepared: prepareLines(input), pins };
}

const highs = await highsLoader();
const ratios = [1, 2, 5, 6, 7, 10, 11, 12, 15].map((seed) => {
  const { prepared, pins } = readied(seed, { length_ft: [8, 14], findings: 4 });
  const own = timed(() => cheapest(prepared, pins));
  const programme = integerProgramme(prepared, pins);
  const start = performance.now();
  highs.solve(programme, { mip_rel_gap: 0 });
  return (performance.now() - start) / own;
});
print(
  `small jobs: HiGHS takes ${median(ratios).toFixed(0)} times as long as the search (median of ${ratios.length})`,
);

const frame_ms = 16;
const sizes = [40, 80, 120].map((length) => {
  const findings = Math.round(length / 3);
  const { input, prepared, pins } = readied(3, { length_ft: [length, length], findings });
  const edges = prepared.reduce((sum, { moves }) => sum + moves.cost.length, 0);
  return {
    length,
    edges,
    search: timed(() => cheapest(prepared, pins), 5),
    prepare: timed(() => prepareLines(input), 3),
  };
});
const [first] = sizes;
for (const { length, edges, search, prepare } of sizes) {
  print(
    `${length} ft, ${edges} moves: search ${(search / frame_ms).toFixed(2)} frames of 16 ms, preparing ${(prepare / frame_ms).toFixed(2)}; ${(search / (first?.search ?? 1)).toFixed(1)} times the 40 ft search`,
  );
}
