import type { BrowserContext, Page } from '@playwright/test';
import type { Job } from '../../core/job/schema.js';
import { jointEdit } from '../support/joint-edit.js';
import { expect, keptPages, startServer, test } from '../support/server.js';

test.use({ serviceWorkers: 'allow' });

const jobId = 'demo-2-larkfield-court';
const typed = (page: Page) => page.getByLabel(/What the camera shows/);
const rows = (page: Page) => page.getByRole('row');
const row = (page: Page, text: RegExp | string) => rows(page).filter({ hasText: text });
const saved = (page: Page) => page.getByTestId('saved');

async function openLog(page: Page, url: string): Promise<number> {
  await page.goto(`${url}/jobs/${jobId}/log`);
  await expect(rows(page)).not.toHaveCount(0);
  await expect(saved(page)).toHaveText('Saved');
  return rows(page).count();
}

async function write(page: Page, words: string): Promise<void> {
  await typed(page).fill(words);
  await typed(page).press('Enter');
  await expect(typed(page)).toHaveValue('');
}

/** Another device, without a page: one joint. */
async function writeElsewhere(page: Page, url: string): Promise<void> {
  const sent = await page.request.post(`${url}/api/jobs/${jobId}/edits`, {
    data: { sent: 'from elsewhere', edits: [jointEdit(7)] },
  });
  expect(sent.status()).toBe(200);
}

async function entriesOf(page: Page, url: string) {
  const { job } = (await (await page.request.get(`${url}/api/jobs/${jobId}`)).json()) as { job: Job };
  return job.lines.flatMap((line) => line.runs.flatMap((run) => run.entries));
}

/** Whether the browser's storage has the job as the page last showed it. */
const jobKept = (page: Page) =>
  page.evaluate(
    (id) =>
      new Promise<boolean>((done) => {
        const opening = indexedDB.open('open-trench-jobs');
        opening.addEventListener('success', () => {
          const all = opening.result.transaction('cache').objectStore('cache').getAll();
          all.onsuccess = () => {
            const kept = all.result.map((each) => JSON.parse(String(each)) as Kept);
            done(
              kept.some(({ clientState }) => clientState.queries.some(({ queryKey }) => queryKey[1] === id)),
            );
          };
        });
      }),
    jobId,
  );
interface Kept {
  readonly clientState: { readonly queries: readonly { readonly queryKey: readonly unknown[] }[] };
}

test('with the server gone typing goes on; it waits, survives a reload, and goes in once and in order', async ({
  page,
}) => {
  const server = await startServer('demo');
  const before = await openLog(page, server.url);
  // The pages and the job are cached by now, so that a reload does not need the server.
  await keptPages(page);
  await expect.poll(() => jobKept(page)).toBe(true);
  await server.kill();
  for (const words of ['12 joint', '13 gap 1/2', '14 roots 15%']) await write(page, words);
  await expect(saved(page)).toHaveText('3 waiting');
  await expect(rows(page)).toHaveCount(before + 3);
  await expect(page.getByText(/3 changes are kept on this device/)).toBeVisible();
  await page.reload();
  await expect(rows(page)).toHaveCount(before + 3);
  await expect(saved(page)).toHaveText('3 waiting');
  await write(page, '15 hole');
  await server.start();
  await expect(saved(page)).toHaveText('Saved');
  await expect(rows(page)).toHaveCount(before + 4);
  const last = (await entriesOf(page, server.url)).slice(-4);
  expect(last.map(({ reading_ft }) => reading_ft)).toEqual([12, 13, 14, 15]);
  await page.reload();
  await expect(rows(page)).toHaveCount(before + 4);
  await server.stop();
});

test('without the server a new job is made, worked on, kept over a reload, and goes in once with all that was typed', async ({
  page,
}) => {
  const server = await startServer('demo');
  await page.goto(server.url);
  await keptPages(page);
  await server.kill();
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByLabel('Name or address').fill('31 Cellar Street');
  await page.getByRole('button', { name: 'Start the camera log' }).click();
  const typed = page.getByLabel(/What the camera shows/);
  await typed.fill('12.3 hole at 4');
  await typed.press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'Hole' }).first()).toBeVisible();
  await expect(page.getByTestId('saved')).toHaveText('2 waiting');
  await page.reload();
  await expect(page.getByRole('row').filter({ hasText: 'Hole' }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Open Trench, all jobs' }).click();
  const waits = page.getByRole('list', { name: 'Jobs that wait on this device' });
  await expect(waits).toContainText('31 Cellar Street');
  await waits.getByRole('link', { name: '31 Cellar Street' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'Hole' }).first()).toBeVisible();

  await server.start();
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  await page.getByRole('link', { name: 'Open Trench, all jobs' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: '31 Cellar Street' })).toHaveCount(1);
  await expect(waits).toHaveCount(0);
  const rows = (await (await page.request.get(`${server.url}/api/jobs`)).json()) as {
    id: string;
    title: string;
  }[];
  const [made, ...more] = rows.filter(({ title }) => title === '31 Cellar Street');
  expect(more).toEqual([]);
  expect(await (await page.request.get(`${server.url}/api/jobs/${made?.id ?? ''}`)).text()).toContain(
    '"hole"',
  );
  await server.stop();
});

test('two browsers on one job: each sees the other; where they pull apart both are shown and one is asked', async ({
  browser,
}) => {
  const server = await startServer('demo');
  const contexts: BrowserContext[] = [await browser.newContext(), await browser.newContext()];
  const [truck, office] = await Promise.all(contexts.map((context) => context.newPage()));
  if (!truck || !office) throw new Error('two pages were opened');
  const before = await openLog(truck, server.url);
  await openLog(office, server.url);
  await write(truck, '12 gap 1/2');
  await expect(rows(office)).toHaveCount(before + 1);

  // The truck loses the network; both change the same entry.
  await contexts[0]?.setOffline(true);
  await truck.getByRole('button', { name: /^Change Joint open/ }).click();
  await write(truck, '12 gap 3/4');
  await expect(saved(truck)).toHaveText('1 waiting');
  await office.getByRole('button', { name: /^Change Joint open/ }).click();
  await write(office, '12 gap 1 1/2');
  await expect(saved(office)).toHaveText('Saved');
  await contexts[0]?.setOffline(false);
  const question = truck.getByRole('alert').filter({ hasText: 'Which one do you keep?' });
  await expect(question).toContainText('¾ in');
  await expect(question).toContainText('1 ½ in');
  await question.getByRole('button', { name: 'Mine stands' }).click();
  await expect(row(office, '¾ in')).toHaveCount(1);
  await expect(row(truck, '¾ in')).toHaveCount(1);
  await expect(question).toHaveCount(0);
  await Promise.all(contexts.map((context) => context.close()));
  await server.stop();
});

/**
 * The storage of cached jobs answers only once it is `released` by the function returned, or after the server's `hello`:
 * orders that occur on a busy machine.
 */
async function slowCache(page: Page, until: 'released' | 'hello'): Promise<() => Promise<void>> {
  await page.addInitScript((until) => {
    const gate = new Promise<void>((open) => {
      Object.assign(window, { letCacheGo: open });
      window.EventSource = class extends EventSource {
        constructor(url: string | URL) {
          super(url);
          this.addEventListener('hello', () => {
            if (until === 'hello') setTimeout(open);
          });
        }
      };
    });
    const success = Object.getOwnPropertyDescriptor(IDBRequest.prototype, 'onsuccess');
    Object.defineProperty(IDBOpenDBRequest.prototype, 'onsuccess', {
      set(this: IDBOpenDBRequest, then: (event: Event) => void) {
        success?.set?.call(this, (event: Event) => {
          if (this.result.name === 'open-trench-jobs')
            void gate.then(() => {
              then(event);
            });
          else then(event);
        });
      },
    });
  }, until);
  return () =>
    page.evaluate(() => {
      (window as unknown as { letCacheGo: () => void }).letCacheGo();
    });
}

test('what another changed while a page was closed is there when it opens again, however slow its storage', async ({
  page,
}) => {
  const server = await startServer('demo');
  // Storage answers once the job is fetched and drawn: what is to be kept came before it.
  const first = await page.context().newPage();
  const letGo = await slowCache(first, 'released');
  const before = await openLog(first, server.url);
  await expect(typed(first)).toBeFocused();
  await letGo();
  await expect.poll(() => jobKept(first)).toBe(true);
  await first.close();
  await writeElsewhere(page, server.url);
  // Storage answers once the server has announced its version: what was kept is older.
  await slowCache(page, 'hello');
  await page.goto(`${server.url}/jobs/${jobId}/log`);
  await expect(rows(page)).toHaveCount(before + 1);
  await server.stop();
});

test('what was written while an older answer was on its way stands, and never leaves the page', async ({
  page,
}) => {
  const server = await startServer('demo');
  const before = await openLog(page, server.url);
  const entriesBefore = (await entriesOf(page, server.url)).length;
  await expect.poll(() => jobKept(page)).toBe(true);
  // The event stream would trigger a new fetch: it fails, as behind a bad hotspot.
  await page.route('**/api/changes', (route) => route.abort());
  let letThrough: () => void = () => undefined;
  const gate = new Promise<void>((open) => (letThrough = open));
  await page.route(`**/api/jobs/${jobId}`, async (route) => {
    const answer = await route.fetch();
    await gate;
    await route.fulfill({ response: answer });
  });
  const asked = page.waitForRequest(`**/api/jobs/${jobId}`);
  await page.reload();
  const older = await asked;
  await expect(rows(page)).toHaveCount(before);
  await write(page, '14 gap 1/2');
  await expect.poll(async () => (await entriesOf(page, server.url)).length).toBe(entriesBefore + 1);
  await expect(rows(page)).toHaveCount(before + 1);
  await page.evaluate(() => {
    const rowsNow = () => document.querySelectorAll('[role=row], tr').length;
    const seen = { fewest: rowsNow() };
    Object.assign(window, { seen });
    new MutationObserver(() => {
      seen.fewest = Math.min(seen.fewest, rowsNow());
    }).observe(document.body, { childList: true, subtree: true });
  });
  const fewest = () => page.evaluate(() => (window as unknown as { seen: { fewest: number } }).seen.fewest);
  const atFirst = await fewest();
  letThrough();
  await (await older.response())?.finished();
  await write(page, '15 hole');
  await expect(rows(page)).toHaveCount(before + 2);
  expect(await fewest()).toBe(atFirst);
  await server.stop();
});

test('what was deleted comes back from the history; undo and redo go on after a reload', async ({ page }) => {
  const server = await startServer('demo');
  const before = await openLog(page, server.url);
  await write(page, '12 gap 1/2');
  await expect(row(page, '½ in')).toHaveCount(1);
  await row(page, '½ in')
    .getByRole('button', { name: /^Delete/ })
    .click();
  await expect(rows(page)).toHaveCount(before);
  await page.getByRole('button', { name: 'History of this job' }).click();
  const history = page.getByRole('complementary', { name: 'History' });
  await history.getByRole('button', { name: 'Deleted' }).click();
  await expect(history).toContainText('Deleted: Joint open, ½ in');
  await history.getByRole('button', { name: 'Bring back' }).first().click();
  await expect(row(page, '½ in')).toHaveCount(1);
  await history.getByRole('button', { name: 'Close' }).click();
  await page.reload();
  await expect(row(page, '½ in')).toHaveCount(1);
  await typed(page).press('Control+z');
  await expect(row(page, '½ in')).toHaveCount(0);
  await typed(page).press('Control+z');
  await expect(row(page, '½ in')).toHaveCount(1);
  await typed(page).press('Control+Shift+Z');
  await expect(row(page, '½ in')).toHaveCount(0);
  await server.stop();
});

test('a video from the disk stamps what is written, and a click goes back to its moment; a photo is kept', async ({
  page,
}, info) => {
  const server = await startServer('demo');
  await openLog(page, server.url);
  const made = await page.evaluate(
    () =>
      new Promise<string>((done) => {
        const canvas = document.createElement('canvas');
        const context = canvas.getContext('2d');
        const recorder = new MediaRecorder(canvas.captureStream(20), { mimeType: 'video/webm' });
        const parts: Blob[] = [];
        let frame = 0;
        const draw = () => {
          context?.fillRect(0, 0, 300, frame++ % 150);
          if (frame === 60) recorder.stop();
          else requestAnimationFrame(draw);
        };
        recorder.ondataavailable = ({ data }) => parts.push(data);
        recorder.onstop = () => {
          const reader = new FileReader();
          reader.onload = () => {
            done((reader.result as string).split(',')[1] ?? '');
          };
          reader.readAsDataURL(new Blob(parts));
        };
        recorder.start();
        draw();
      }),
  );
  await page.getByRole('button', { name: 'Video', exact: true }).click();
  await page
    .getByTestId('video-file')
    .setInputFiles({ name: 'back yard.webm', mimeType: 'video/webm', buffer: Buffer.from(made, 'base64') });
  const video = page.getByLabel('Video back yard.webm');
  const at = () => video.evaluate((each) => (each as HTMLVideoElement).currentTime);
  await expect.poll(() => video.evaluate((each) => (each as HTMLVideoElement).readyState)).toBeGreaterThan(1);
  await video.evaluate((each) => ((each as HTMLVideoElement).currentTime = 0.6));
  await expect.poll(at).toBeCloseTo(0.6, 1);
  await write(page, '12 gap 1/2');
  await expect(row(page, '½ in')).toContainText('0:00');
  await expect
    .poll(async () => (await entriesOf(page, server.url)).at(-1))
    .toMatchObject({ clip: 'V2', video_s: 0.6 });
  await video.evaluate((each) => ((each as HTMLVideoElement).currentTime = 0.1));
  await expect.poll(at).toBeLessThan(0.3);
  await row(page, '½ in')
    .getByRole('button', { name: /in the video/ })
    .click();
  await expect.poll(at).toBeCloseTo(0.6, 1);

  // The current frame goes with what is written next, and a narration's captions run in sync with the video.
  await page.keyboard.press('Alt+k');
  await expect(page.getByText('One picture goes with what you write next.')).toBeVisible();
  await write(page, '13 lip 1/4 in');
  const kept = row(page, 'Lip').getByRole('img', { name: /^Photo of/ });
  await expect
    .poll(() => kept.evaluate((each) => (each as HTMLImageElement).naturalWidth))
    .toBeGreaterThan(100);
  await page.getByRole('button', { name: 'Narration in' }).click();
  await page.getByLabel('Captions file').setInputFiles({
    name: 'talk.vtt',
    mimeType: 'text/vtt',
    buffer: Buffer.from('WEBVTT\n\n00:00.000 --> 00:05.000\nbroken pipe at fourteen\n'),
  });
  const cue = () =>
    video.evaluate((each) => (each as HTMLVideoElement).textTracks[0]?.activeCues?.[0] as VTTCue | undefined);
  await expect.poll(async () => (await cue()) !== undefined).toBe(true);
  await page.getByRole('button', { name: 'Accept', exact: true }).click();
  await page.getByRole('button', { name: 'Write 1 into the log' }).click();
  await expect
    .poll(async () => (await entriesOf(page, server.url)).at(-1))
    .toMatchObject({ finding: 'broken', clip: 'V2', video_s: 0 });

  const png = await page.screenshot({ clip: { x: 0, y: 0, width: 40, height: 30 } });
  await row(page, '½ in')
    .getByLabel(/^Photo file of/)
    .setInputFiles({ name: 'joint.txt', mimeType: 'text/plain', buffer: png });
  const thumb = row(page, '½ in').getByRole('img', { name: /^Photo of/ });
  await expect.poll(() => thumb.evaluate((each) => (each as HTMLImageElement).naturalWidth)).toBe(40);
  await row(page, '½ in')
    .getByLabel(/^Photo file of/)
    .setInputFiles({ name: 'joint.png', mimeType: 'image/png', buffer: Buffer.from('<svg/>') });
  await expect(row(page, '½ in').getByRole('alert')).toContainText('JPEG, PNG or WebP');

  // The log is exported as a table and imported again, after review.
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'CSV out' }).click();
  const file = info.outputPath('log.csv');
  await (await download).saveAs(file);
  await page.getByLabel('CSV file of a log').setInputFiles(file);
  const shown = page.getByRole('dialog');
  await expect(shown).toContainText('Nothing is taken yet');
  await shown.getByRole('button', { name: 'Take nothing' }).click();
  await page.getByLabel('CSV file of a log').setInputFiles({
    name: 'typed.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('reading_ft,what,pass\n20,hole,back\nx,roots,back\n22,rots,back\n'),
  });
  await expect(shown).toContainText('1 of 3 rows');
  await expect(shown).toContainText('“x” is no number of feet');
  await expect(shown).toContainText('did you mean');
  await shown.getByRole('button', { name: 'Take 1 row' }).click();
  await expect(row(page, 'Hole')).toHaveCount(1);
  await server.stop();
});
