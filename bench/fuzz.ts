import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { emptyFirm } from '../core/job/firm.js';
import { readJob } from '../core/files/read.js';
import { parseLogLine } from '../core/logline/parse.js';
import { oddChange, oddLine, withOddChange } from '../core/test/odd-input.js';
import { oddRequest, requestOf } from '../server/test/odd-request.js';
import { realApp } from '../server/test/real-app.js';

/**
 * Random odd input in bulk: a million typed lines, a hundred thousand files and as many requests, or the fraction of
 * them given by FUZZ (0 to 1). Prints what threw and the longest time relative to the median; `npm test` tries a few
 * hundred.
 */
const share = Number(process.env.FUZZ ?? 1);
const seed = Number(process.env.FC_SEED ?? 1);
const print = (text: string) => process.stdout.write(`${text}\n`);
const demo: unknown = JSON.parse(
  readFileSync(join(import.meta.dirname, '../demo/jobs/1-quarry-lane.json'), 'utf8'),
);

async function tried<T>(
  name: string,
  all: fc.Arbitrary<T>,
  times: number,
  work: (each: T) => unknown,
): Promise<void> {
  const took: number[] = [];
  const bad: string[] = [];
  // In parts, since the samples of one call are all in memory at once.
  const part = 5000;
  for (let done = 0; done < times; done += part) {
    for (const each of fc.sample(all, { seed: seed + done, numRuns: Math.min(part, times - done) })) {
      const start = performance.now();
      try {
        await work(each);
      } catch (error) {
        bad.push(`${String(error)}: ${JSON.stringify(each).slice(0, 300)}`);
      }
      took.push(performance.now() - start);
    }
  }
  took.sort((a, b) => a - b);
  const [middle = 0, longest = 0] = [took[took.length >> 1], took.at(-1)];
  print(
    `${took.length} ${name}: ${bad.length} threw; the longest took ${(longest / Math.max(middle, 1e-6)).toFixed(0)} times the median (${longest.toFixed(0)} ms)`,
  );
  for (const each of bad.slice(0, 5)) print(`  ${each}`);
}

const context = { pass: 'back', points: [], end: 'main' } as const;
await tried('typed lines', oddLine, Math.round(1e6 * share), (text) => parseLogLine(text, context));
await tried(
  'files',
  fc.array(oddChange, { minLength: 1, maxLength: 4 }),
  Math.round(1e5 * share),
  (changes) => readJob(changes.reduce<unknown>(withOddChange, demo)),
);
const app = await realApp();
const made = await app.ask('/api/jobs', {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(demo),
});
const { id } = (await made.json()) as { id: string };
const good = {
  job: demo,
  edits: { sent: 'a set of edits', base: 1, edits: [{ kind: 'job', set: { title: 'x' } }] },
  firm: { was: emptyFirm, set: { ...emptyFirm, name: 'x' } },
};
await tried('requests', oddRequest, Math.round(1e5 * share), async (odd) => {
  const answer = await app.ask(...requestOf(odd, id, good));
  await answer.body?.cancel();
  if (answer.status >= 500) throw new Error(`answered ${answer.status}`);
});
await app.close();
