import fc from 'fast-check';
import { bareScope } from '../test/own-scope.js';
import { emptyFirm, underFirm, type Firm } from '../job/firm.js';
import { toRead } from '../logprint/to-read.js';
import { deep, spokenJob } from '../test/spoken-job.js';
import { digestOf } from './digest.js';
import { scopeFile } from '../files/scope-file.js';
import { randomJob } from '../test/random-job.js';
import { readyJob } from '../solve/ready.js';

const firm: Firm = {
  ...emptyFirm,
  prices: { look: 300, permit_per_hole: 50 },
  rules: { publicPart: 'owner' },
};

test('what the list says of a job is what its whole scope says', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 100_000 }), fc.boolean(), (seed, withFirm) => {
      const job = randomJob(seed, { lines: 2, length_ft: [20, 50], findings: 6 });
      const under = withFirm ? firm : emptyFirm;
      const ready = readyJob(underFirm(job, under));
      const file = scopeFile(ready, bareScope(ready));
      const digest = digestOf(job, under);
      expect(digest.verdict).toEqual(file.verdict);
      expect(digest.total).toBe(file.price.total);
      expect(digest.feasible).toBe(file.lines.every(({ feasible }) => feasible));
      const done = new Set(file.lines.flatMap(({ segments }) => segments.map(({ method }) => method)));
      expect(new Set(digest.methods)).toEqual(new Set([...done].filter((method) => method !== 'leave')));
      const unseen = file.lines
        .flatMap(({ segments }) => segments)
        .filter(({ seen }) => !seen)
        .reduce((sum, { from_ft, to_ft }) => sum + to_ft - from_ft, 0);
      // A line without a feasible scope has no segments; each end of a segment is rounded to 0.01.
      if (digest.feasible)
        expect(Math.abs(digest.unseen_ft - unseen)).toBeLessThan(0.05 * (1 + file.lines.length * 10));
      expect(digest.toRead).toBe(job.lines.flatMap(toRead).length);
      for (const { finding } of file.lines.flatMap(({ findings }) => findings)) {
        expect(digest.words).toContain(finding);
      }
    }),
    { numRuns: 20 },
  );
}, 120_000);

test('what is missing is named: an end not reached, no depth, sizes to be read from the video', () => {
  const job = spokenJob('7 Dale Road', ['40 roots', '52 crack', '60 stop roots']);
  expect(digestOf(job, emptyFirm)).toMatchObject({
    endReached: false,
    depthKnown: false,
    toRead: 2,
    accepted: undefined,
    repair: undefined,
  });
  const whole = spokenJob('8 Dale Road', ['80 main', '40 roots 5%'], { depths: deep(3, 4) });
  expect(digestOf(whole, emptyFirm)).toMatchObject({ endReached: true, depthKnown: true, toRead: 0 });
});
