import highsLoader from 'highs';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { threadsFor } from '../cli/threads.js';
import { readJobText } from '../core/files/read.js';
import { scopeFile } from '../core/files/scope-file.js';
import { scopeOf } from '../core/scope/scope.js';
import { integerProgramme } from '../core/test/book/programme.js';
import { scopeWithOptions } from '../core/test/own-scope.js';
import { randomJob, type RandomOptions } from '../core/test/random-job.js';
import { cheapest } from '../core/solve/cheapest.js';
import { readyJob } from '../core/solve/ready.js';
import { prepareLines } from '../core/solve/solution.js';

/**
 * Speed of the exact search, as ratios within one run since machines here are noisy; jobs a minute depend on the machine.
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

/** The same for work on something rebuilt each time, outside the measured time: a search keeps values for the next one. */
function timedOn<T>(make: () => T, work: (on: T) => unknown, times = 9): number {
  work(make());
  return median(
    Array.from({ length: times }, () => {
      const on = make();
      const start = performance.now();
      work(on);
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
  const { input, prepared, pins } = readied(seed, { length_ft: [8, 14], findings: 4 });
  const own = timedOn(
    () => prepareLines(input),
    (lines) => cheapest(lines, pins),
  );
  const programme = integerProgramme(
    prepared.map(({ possible }) => possible.track),
    [],
  );
  const start = performance.now();
  highs.solve(programme, { mip_rel_gap: 0 });
  return (performance.now() - start) / own;
});
print(
  `small jobs: HiGHS takes ${median(ratios).toFixed(0)} times as long as the search (median of ${ratios.length})`,
);

const frame_ms = 16;
/** The median of several invented lines of one size, by search time. */
const sized = (length: number, findings: number) => {
  const all = [1, 2, 3, 4, 5].map((seed) => {
    const { input, prepared, pins } = readied(seed, { length_ft: [length, length], findings, exactly: true });
    return {
      length,
      moves: prepared.reduce((sum, { problem }) => sum + problem.moves.cost.length, 0),
      search: timedOn(
        () => prepareLines(input),
        (lines) => cheapest(lines, pins),
        7,
      ),
      prepare: timed(() => prepareLines(input), 3),
    };
  });
  const middle = [...all].sort((a, b) => a.search - b.search)[all.length >> 1];
  if (!middle) throw new Error('no lines were timed');
  return middle;
};
const grows = [40, 80, 120, 200, 400, 800].map((length) => sized(length, Math.round(length / 3)));
const [first] = grows;
for (const { length, moves, search, prepare } of grows) {
  print(
    `${length} ft, ${moves} moves: search ${(search / (first?.search ?? 1)).toFixed(1)} times and preparing ${(prepare / (first?.prepare ?? 1)).toFixed(1)} times what ${first?.length ?? 0} ft take`,
  );
}
const line = sized(120, 40);
print(
  `120 ft with 40 findings, warm: the search takes ${((100 * line.search) / frame_ms).toFixed(0)} % of a 16 ms frame, preparing ${((100 * line.prepare) / frame_ms).toFixed(0)} %`,
);
const long = sized(400, 150);
print(
  `400 ft with 150 findings, warm: the search takes ${((100 * long.search) / 150).toFixed(0)} % of 150 ms`,
);
const files = Array.from({ length: 60 }, (_, i) =>
  JSON.stringify(randomJob(i + 1, { length_ft: [80, 80], findings: 8 })),
);
const headless = () => {
  for (const text of files) {
    const { job } = readJobText(text);
    if (!job) throw new Error('an invented job is a valid file');
    const ready = readyJob(job);
    JSON.stringify(scopeFile(ready, scopeOf(ready)));
  }
};
const each_ms = timed(headless, 1) / files.length;
print(
  `headless, from file to file, one thread: ${(60_000 / each_ms).toFixed(0)} jobs a minute of 80 ft with up to 8 findings`,
);
const command = (paths: readonly string[]) => {
  const start = performance.now();
  const { status, stdout } = spawnSync(process.execPath, ['dist/cli.mjs', ...paths], {
    encoding: 'utf8',
    maxBuffer: 1e9,
  });
  if (status !== 0 || stdout.split('\n').length <= paths.length) throw new Error('the command failed');
  return performance.now() - start;
};
const folder = mkdtempSync(join(tmpdir(), 'open-trench-bench-'));
const paths = [...files, ...files, ...files].map((text, i) => {
  const path = join(folder, `${i}.json`);
  writeFileSync(path, text);
  return path;
});
const minutes = command(paths) / 60_000;
rmSync(folder, { recursive: true });
print(
  `the headless command, from its start, one process in ${threadsFor(paths.length)} threads: ${(paths.length / minutes).toFixed(0)} such jobs a minute`,
);
const whole = readyJob(randomJob(3, { length_ft: [120, 120], findings: 40, exactly: true }));
const three = timed(() => scopeWithOptions(whole), 3);
const all = timed(() => scopeOf(whole), 1);
print(
  `the three ways of that 120 ft line take ${(three / line.search).toFixed(0)} times one search; with every runner-up and option ${(all / line.search).toFixed(0)} times`,
);
