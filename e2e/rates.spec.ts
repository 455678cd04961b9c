import AxeBuilder from '@axe-core/playwright';
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type { Job } from '../core/job/schema.js';
import type { ScopeFile } from '../core/scope/scope-file.js';
import { expect, startServer, test } from './server.js';

const root = resolve(import.meta.dirname, '..');
const jobId = 'demo-1-quarry-lane';

test('a rate and a rule changed for one job change its price and its reasons, as the headless scope says', async ({
  page,
}, info) => {
  test.setTimeout(240_000);
  const server = await startServer('demo');
  const jobOf = async () =>
    ((await (await page.request.get(`${server.url}/api/jobs/${jobId}`)).json()) as { job: Job }).job;
  const headless = async () => {
    const file = info.outputPath('job.json');
    writeFileSync(file, JSON.stringify(await jobOf()));
    return JSON.parse(
      execFileSync(process.execPath, [join(root, 'scripts', 'scope.mjs'), file], { encoding: 'utf8' }),
    ) as ScopeFile;
  };
  const before = (await headless()).price.total;
  await page.goto(`${server.url}/jobs/${jobId}/rules`);
  const digging = page.getByLabel('Digging to 5 ft');
  await digging.fill('300');
  await digging.press('Enter');
  await expect.poll(async () => (await jobOf()).prices?.digTo5_per_yd3).toBe(300);
  // The demo job says its school itself; the rate is the second thing of its own.
  await expect(page.getByText('this job’s own')).toHaveCount(2);
  const offset = page.getByLabel('Offset, failed');
  await offset.fill('24');
  await offset.press('Enter');
  await expect.poll(async () => (await jobOf()).rules?.findings?.offset?.bounds).toEqual([5, 15, 24]);
  const after = await headless();
  expect(after.price.total).toBeGreaterThan(before);
  await page.getByRole('link', { name: 'Sheet' }).click();
  await expect(page.getByTestId('total')).toHaveText(
    `$${Math.round(after.price.total).toLocaleString('en-US')}`,
  );

  // Out of order is refused by name, and what was typed is not lost on anybody.
  await page.getByRole('link', { name: 'Rates and rules' }).click();
  await offset.fill('10');
  await offset.press('Enter');
  await expect(page.getByRole('alert')).toContainText('bounds rise from the first to the last');
  await page.getByRole('alert').getByRole('button', { name: 'Close' }).click();
  await digging.fill('');
  await digging.press('Enter');
  await expect.poll(async () => (await jobOf()).prices?.digTo5_per_yd3).toBeUndefined();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html ?? ''}`)).toEqual([]);
  await server.stop();
});
