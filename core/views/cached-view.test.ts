import fc from 'fast-check';
import { emptyFirm, underFirm } from '../job/firm.js';
import { markOf } from '../job/mark.js';
import type { Job } from '../job/schema.js';
import { randomJob } from '../test/random-job.js';
import { jobView, viewSteps, type JobView } from './job-view.js';
import { cachedViewOf } from './cached-view.js';

const anyJob = fc
  .integer({ min: 1, max: 100_000 })
  .map((seed) => randomJob(seed, { length_ft: [10, 25], findings: 4, lines: 1 + (seed % 2) }));

/** The same job with the fields of every object in the opposite order. */
const turned = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(turned);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .reverse()
      .map(([key, inside]) => [key, turned(inside)]),
  );
};

test('a job is named by what it says: not by the order of its fields, and differently after any change', () => {
  fc.assert(
    fc.property(anyJob, fc.nat(), (job, n) => {
      const mark = markOf(job);
      expect(mark).toMatch(/^[0-9a-f]{32}$/);
      expect(markOf(turned(JSON.parse(JSON.stringify(job))) as Job)).toBe(mark);
      const changed = structuredClone(job) as { lines: { runs: { entries: { reading_ft?: number }[] }[] }[] };
      const entries = changed.lines.flatMap(({ runs }) => runs.flatMap((run) => run.entries));
      const entry = entries[n % entries.length];
      if (!entry) return;
      entry.reading_ft = (entry.reading_ft ?? 0) + 0.1;
      expect(markOf(changed as unknown as Job)).not.toBe(mark);
    }),
    { numRuns: 60 },
  );
});

test('a view comes in steps that each hold more, and the last is the whole', () => {
  fc.assert(
    fc.property(anyJob, (job) => {
      const whole = jobView(job);
      expect(whole.scope.complete).toBe(true);
      const steps: JobView[] = [];
      const work = viewSteps(job);
      let next = work.next();
      for (; !next.done; next = work.next()) if (next.value) steps.push(next.value);
      expect(next.value).toEqual(whole);
      expect(steps.map(({ scope }) => [scope?.ways.length, scope?.ifUnseenIs !== undefined])).toEqual([
        [undefined, false],
        [1, false],
        [3, false],
        [3, true],
      ]);
      for (const { lines, scope } of steps) {
        expect(lines).toEqual(whole.lines);
        if (!scope) continue;
        expect(scope.complete).toBe(false);
        expect(scope.prices).toEqual(whole.scope.prices);
        expect(whole.scope.ways).toEqual(expect.arrayContaining([...scope.ways]));
      }
    }),
    { numRuns: 8 },
  );
});

test('a kept view is plain: it comes back from a file as it was, under the mark of its job with the firm’s rules', () => {
  fc.assert(
    fc.property(anyJob, (job) => {
      const firm = { ...emptyFirm, rules: { leastLiner_ft: 7 } };
      const kept = cachedViewOf(job, firm, 'program');
      expect(JSON.parse(JSON.stringify(kept))).toEqual(kept);
      expect(kept.mark).toBe(markOf(underFirm(job, firm)));
      expect(kept.mark).not.toBe(markOf(underFirm(job, emptyFirm)));
    }),
    { numRuns: 8 },
  );
});
