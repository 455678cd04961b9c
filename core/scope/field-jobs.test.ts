import { readJob } from '../files/read.js';
import { readyJob } from '../solve/ready.js';
import { fieldJobs } from '../test/forty-jobs.js';
import { ownScope } from '../test/own-scope.js';
import { spokenJob } from '../test/spoken-job.js';

// Forty typical jobs, each with what a good plumber would do: common practice. Prices must lie in a band around the
// parts of that work at the rates, worked out beside each job and not by the program.

test.each(fieldJobs.map((job) => [job.title, job] as const))('%s', (title, { log, more, expect: wanted }) => {
  const { job, faults } = readJob(spokenJob(title, log, more));
  if (!job) throw new Error(JSON.stringify(faults));
  const scope = ownScope(readyJob(job));
  const [line] = scope.lines;
  if (!line) throw new Error('a job has a line');

  expect(line.feasible).toBe(true);
  if (wanted.verdict) expect(scope.verdict[0]).toBe(wanted.verdict);
  for (const [station, methods] of Object.entries(wanted.at ?? {})) {
    const x = Number(station);
    const found = line.segments.find(({ from_ft, to_ft }) => from_ft <= x && x <= to_ft)?.method;
    expect([methods].flat()).toContain(found);
  }
  if (wanted.holes !== undefined) expect(line.pits).toHaveLength(wanted.holes);
  if (wanted.held) expect(line.pits.map(({ protection }) => protection)).toContain(wanted.held);
  if (wanted.about !== undefined) {
    expect(scope.prices.total).toBeGreaterThan(0.6 * wanted.about);
    expect(scope.prices.total).toBeLessThan(1.6 * wanted.about);
  }
  expect(line.notPossible).toHaveLength(wanted.notPossible ?? 0);
  for (const { why, lift, what } of line.notPossible) expect([what, why, lift]).not.toContain('');
  if (wanted.referredTo) expect(line.referrals.map(({ to }) => to)).toContain(wanted.referredTo);
  else expect(line.referrals).toEqual([]);
  const warned = scope.warnings.map(({ rule }) => rule);
  for (const rule of wanted.warns ?? []) expect(warned).toContain(rule);
  if (wanted.firstStep) expect(scope.firstStep?.what).toMatch(wanted.firstStep);
  if (wanted.option) expect(line.options.map(({ what }) => what).join('; ')).toMatch(wanted.option);
  const priced = scope.prices.lines.map(({ what }) => what).join('; ');
  for (const each of wanted.priced ?? []) expect(priced).toMatch(each);
});
