import { wrap } from 'comlink';
import { MessageChannel } from 'node:worker_threads';
import type { Job } from '../../core/job/schema.js';
import { randomJob } from '../../core/test/random-job.js';
import { jobView, type JobView } from '../../core/views/job-view.js';
import { viewsFrom, type Views } from './view-deltas.js';
import type { ScopeWorker } from './view.worker.js';

// The worker's own code behind a real message channel: what a page gets step by step against the view computed whole.

/** Every channel made here, those of comlink too: an open one would keep the test from ending. */
const channels: MessageChannel[] = [];
class Channel extends MessageChannel {
  constructor() {
    super();
    channels.push(this);
  }
}
/** A page has one of them for as long as it lives. */
let views: Views;
beforeAll(async () => {
  const { port1, port2 } = new Channel();
  Object.assign(globalThis, {
    MessageChannel: Channel,
    addEventListener: port1.addEventListener.bind(port1),
    removeEventListener: port1.removeEventListener.bind(port1),
    postMessage: port1.postMessage.bind(port1),
  });
  await import('./view.worker.js');
  port1.start();
  views = viewsFrom(wrap<ScopeWorker>(port2 as never));
});
afterAll(() => {
  for (const { port1 } of channels) port1.close();
});

const jobOf = (seed: number): Job => randomJob(seed, { length_ft: [20, 20], findings: 4 });
/** As it crosses between threads. */
const crossed = (view: JobView): unknown => structuredClone(view);
const oneMore = (job: Job): Job => ({
  ...job,
  lines: job.lines.map((line) => ({
    ...line,
    runs: line.runs.map((run) => ({
      ...run,
      entries: [
        ...run.entries,
        { id: 'one-more', kind: 'finding', finding: 'roots', reading_ft: 9.5 } as const,
      ],
    })),
  })),
});

/** Every step of a job's view: the last may cross after the request itself has ended. */
const stepsOf = (job: Job): Promise<JobView[]> =>
  new Promise((done, fail) => {
    const steps: JobView[] = [];
    const show = (view: JobView) => {
      steps.push(view);
      if (view.scope?.complete) done(steps);
    };
    views.workOut(job, show).catch(fail);
  });
const lastOf = async (job: Job): Promise<JobView> => (await stepsOf(job)).at(-1) as JobView;

test('step by step it comes to the view computed whole, for one job after another', async () => {
  for (const job of [jobOf(1), oneMore(jobOf(1)), jobOf(2)]) {
    const steps = await stepsOf(job);
    expect(crossed(steps.at(-1) as JobView)).toEqual(crossed(jobView(job)));
    // What is known of the line comes before its scope.
    expect(steps[0]?.lines.length).toBe(job.lines.length);
    expect(steps.length).toBeGreaterThan(1);
  }
});

test('what did not change is the very same object in the next view', async () => {
  const rows = (view: JobView) => view.lines[0]?.rows ?? [];
  const before = rows(await lastOf(jobOf(3)));
  const after = rows(await lastOf(oneMore(jobOf(3))));
  expect(after).toHaveLength(before.length + 1);
  for (const row of before) expect(after.some((each) => each === row)).toBe(true);
});

test('the newest request wins: an older one shows nothing once it was asked', async () => {
  let asked = false;
  const late: JobView[] = [];
  const older = views.workOut(jobOf(4), (view) => {
    if (asked) late.push(view);
  });
  asked = true;
  const last = await lastOf(jobOf(5));
  await older;
  expect(late).toEqual([]);
  expect(crossed(last)).toEqual(crossed(jobView(jobOf(5))));
});

test('a view from elsewhere is what the next one is a change of', async () => {
  const kept = jobView(jobOf(6));
  views.startFrom(kept);
  const last = await lastOf(oneMore(jobOf(6)));
  expect(crossed(last)).toEqual(crossed(jobView(oneMore(jobOf(6)))));
  const rows = kept.lines[0]?.rows ?? [];
  for (const row of rows) expect(last.lines[0]?.rows.some((each) => each === row)).toBe(true);
});
