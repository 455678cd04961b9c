import { createServer } from 'node:http';
import type { Page } from '@playwright/test';
import type { Job } from '../../core/job/schema.js';
import { expect, keptPages, startServer, test } from '../support/server.js';

test.use({ serviceWorkers: 'allow' });

const jobId = 'demo-2-larkfield-court';
const typed = (page: Page) => page.getByLabel(/What the camera shows/);
const saved = (page: Page) => page.getByTestId('saved');

async function openLog(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/jobs/${jobId}/log`);
  await expect(page.getByRole('row')).not.toHaveCount(0);
  await expect(saved(page)).toHaveText('Saved');
}

async function write(page: Page, words: string): Promise<void> {
  await typed(page).fill(words);
  await typed(page).press('Enter');
  await expect(typed(page)).toHaveValue('');
}

async function readingsOf(page: Page, url: string): Promise<(number | undefined)[]> {
  const { job } = (await (await page.request.get(`${url}/api/jobs/${jobId}`)).json()) as { job: Job };
  return job.lines.flatMap((line) =>
    line.runs.flatMap((run) => run.entries.map(({ reading_ft }) => reading_ft)),
  );
}

test('two tabs of one browser write at once: every line of both is in, and each takes back its own', async ({
  page,
  context,
}) => {
  const server = await startServer('demo');
  const other = await context.newPage();
  await Promise.all([openLog(page, server.url), openLog(other, server.url)]);
  const before = (await readingsOf(page, server.url)).length;
  const own = Array.from({ length: 8 }, (_, i) => 2 + i + 0.25);
  const theirs = Array.from({ length: 8 }, (_, i) => 2 + i + 0.75);
  await Promise.all([
    (async () => {
      for (const at of own) await write(page, `${at} joint`);
    })(),
    (async () => {
      for (const at of theirs) await write(other, `${at} joint`);
    })(),
  ]);
  await expect.poll(async () => (await readingsOf(page, server.url)).length).toBe(before + 16);
  expect(await readingsOf(page, server.url)).toEqual(expect.arrayContaining([...own, ...theirs]));
  // The other tab wrote last: undo here reverts this tab's own edit.
  await write(other, '11.75 joint');
  await expect.poll(async () => (await readingsOf(page, server.url)).length).toBe(before + 17);
  await typed(page).press('Control+z');
  await expect.poll(() => readingsOf(page, server.url)).not.toContain(own.at(-1));
  expect(await readingsOf(page, server.url)).toContain(11.75);
  await server.stop();
});

test('eight tabs of one browser open, load and save', async ({ page, context }) => {
  const server = await startServer('demo');
  const pages = [page];
  for (let i = 1; i < 8; i++) pages.push(await context.newPage());
  for (const each of pages) await openLog(each, server.url);
  const last = pages.at(-1);
  if (!last) throw new Error('there are eight');
  await write(last, '3.5 joint');
  await expect(saved(last)).toHaveText('Saved');
  // And the first tab is notified.
  await expect(page.getByRole('row').filter({ hasText: '3.5' })).toHaveCount(1);
  await server.stop();
});

test('without the server a page may be reloaded any number of times; another program on its port refuses nothing', async ({
  page,
}) => {
  const server = await startServer('demo');
  await openLog(page, server.url);
  await keptPages(page);
  await server.kill();
  await write(page, '4.5 joint');
  const row = page.getByRole('row').filter({ hasText: '4.5' });
  for (let reload = 0; reload < 3; reload++) {
    await page.reload();
    await expect(row).toHaveCount(1);
    await expect(saved(page)).not.toHaveText('Saved');
  }
  // Another program answers 404 to every request.
  const { port } = new URL(server.url);
  let asked = 0;
  const foreign = createServer((_, answer) => {
    asked++;
    answer.writeHead(404).end('{"title":"Not here"}');
  });
  await new Promise<void>((open) => foreign.listen(Number(port), '127.0.0.1', open));
  await write(page, '5.5 joint');
  await expect.poll(() => asked).toBeGreaterThan(2);
  await expect(page.getByText('This could not be saved')).toHaveCount(0);
  await new Promise((closed) => {
    foreign.close(closed);
    foreign.closeAllConnections();
  });
  await server.start();
  await expect(saved(page)).toHaveText('Saved', { timeout: 60_000 });
  expect(await readingsOf(page, server.url)).toEqual(expect.arrayContaining([4.5, 5.5]));
  await server.stop();
});
