import { join } from 'node:path';
import { WorkFailed, startWorkerThread } from './work.js';

// A real thread that misbehaves: nothing of ours would.
test('work without end or measure is ended and said; what is asked after it is worked out all the same', async () => {
  const thread = startWorkerThread(join(import.meta.dirname, 'test', 'bad-worker.mjs'), {
    most_ms: 3000,
    most_MB: 64,
  });
  const ask = (job: string) =>
    thread.run((work) => (work.digestOf as unknown as (job: string) => Promise<string>)(job));
  const [endless, greedy, good] = await Promise.allSettled([ask('endless'), ask('greedy'), ask('good')]);
  for (const each of [endless, greedy]) {
    expect(each).toMatchObject({ status: 'rejected', reason: expect.any(WorkFailed) as unknown });
  }
  expect(good).toEqual({ status: 'fulfilled', value: 'good' });
  await thread.close();
}, 30_000);
