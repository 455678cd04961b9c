import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { randomJob } from '../core/test/random-job.js';
import { axeFaults } from './support/axe.js';
import { expect, startServer, test } from './support/server.js';

const root = resolve();
const typed = (page: Page) => page.getByLabel(/What the camera shows/);
const demo = () =>
  JSON.parse(readFileSync(join(root, 'demo/jobs/1-quarry-lane.json'), 'utf8')) as { title: string };

/** A separate job per test, so that tests do not interfere. */
async function ownJob(page: Page, url: string, job: object): Promise<string> {
  const answer = await page.request.post(`${url}/api/jobs`, { data: job });
  expect(answer.status()).toBe(201);
  return ((await answer.json()) as { id: string }).id;
}

test('an empty folder says how to begin; a job with nothing read says what to do', async ({ page }) => {
  const server = await startServer('none');
  await page.goto(server.url);
  await expect(page.getByText('No jobs yet')).toBeVisible();
  const empty = demo() as unknown as {
    lines: {
      runs: unknown[];
      points: unknown[];
      surfaces: unknown;
      owners: unknown;
      noDig: unknown;
      crossings: unknown;
      ground: unknown;
      cleanings: unknown;
    }[];
  };
  const [line] = empty.lines;
  if (!line) throw new Error('the demo job has a line');
  Object.assign(line, {
    runs: [{ id: 'R1', access: 'CO1', direction: 'downstream', zero: 'cap', entries: [] }],
    surfaces: [],
    owners: [],
    noDig: [],
    crossings: [],
    ground: [],
    cleanings: [],
  });
  const id = await ownJob(page, server.url, empty);
  for (const view of ['log', 'sheet', 'lengths']) {
    await page.goto(`${server.url}/jobs/${id}/${view}`);
    await expect(
      page.getByText(/Nothing read yet|Nothing is known of this line|Nothing seen yet/).first(),
    ).toBeVisible();
  }
  await page.goto(`${server.url}/jobs/nobody/sheet`);
  await expect(page.getByText('There is no such job')).toBeVisible();
  await page.goto(`${server.url}/nowhere`);
  await expect(page.getByText('There is nothing at this address')).toBeVisible();
  await server.stop();
});

test('a job that no scope satisfies names the pins that collide', async ({ page, server }) => {
  const job = demo() as unknown as { lines: { pins: unknown[] }[] };
  const [line] = job.lines;
  if (line) line.pins = [{ from_ft: 22, to_ft: 27, method: 'line' }];
  const id = await ownJob(page, server.url, job);
  await page.goto(`${server.url}/jobs/${id}/sheet`);
  await expect(page.getByRole('heading', { name: 'Nothing is possible' })).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Reason' })).toContainText('22.0 to 27.0 ft');
  await expect(page.getByText('No scope satisfies the rules and pins here')).toBeVisible();
});

test('a second run from another cleanout is tied by its distance, and kept apart without one', async ({
  page,
  server,
}) => {
  const id = await ownJob(page, server.url, demo());
  await page.goto(`${server.url}/jobs/${id}/log`);
  const addRun = async (station: string) => {
    await page.getByRole('button', { name: 'Add a run' }).click();
    await page.getByLabel('In at').selectOption('new');
    await page.getByLabel('Toward the').selectOption('upstream');
    const from = page.getByLabel(/From the line’s zero/);
    await from.fill('about half way');
    await expect(page.getByText(/Cannot be read: feet, such as/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Add the run' })).toBeDisabled();
    await from.fill(station);
    await page.getByLabel('Counter zeroed').first().selectOption('pipe');
    await page.getByRole('button', { name: 'Add the run' }).click();
    await expect(page.getByRole('button', { name: 'Add the run' })).toHaveCount(0);
  };
  await addRun('46 ft');
  await typed(page).fill('10 joint');
  await typed(page).press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'Joint' }).filter({ hasText: '36.0' })).toHaveCount(1);
  await addRun('');
  await expect(page.getByRole('alert')).toContainText('tape or pace the distance');
  await typed(page).fill('4 joint');
  await typed(page).press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'not tied' })).toHaveCount(1);
  await expect(page.getByTestId('verdict')).toHaveText('Repair');
});

test('riser and zero are changed in place and every station follows', async ({ page, server }) => {
  const id = await ownJob(page, server.url, demo());
  await page.goto(`${server.url}/jobs/${id}/log`);
  const main = page.getByRole('row').filter({ hasText: 'Main' }).first();
  await expect(main).toContainText('87.7');
  await page.getByRole('button', { name: 'change', exact: true }).click();
  await page.getByLabel(/Cap to level pipe/).fill('nearly four');
  await page.getByLabel(/Cap to level pipe/).press('Enter');
  await expect(page.getByRole('alert')).toContainText('Not taken: feet, such as');
  await page.getByLabel(/Cap to level pipe/).fill(`3'8 2/5"`);
  await page.getByLabel(/Cap to level pipe/).press('Enter');
  await expect(main).toContainText('85.7');
  await page.getByLabel('Counter zeroed').selectOption('pipe');
  await expect(main).not.toContainText('85.7');
});

test('deleting a row takes every reading of the thing; one key brings it back', async ({ page, server }) => {
  const id = await ownJob(page, server.url, demo());
  await page.goto(`${server.url}/jobs/${id}/log`);
  const offset = page.getByRole('row').filter({ hasText: 'Offset' });
  await expect(offset).toHaveCount(1);
  await page.getByRole('button', { name: /^Delete Offset/ }).click();
  await expect(offset).toHaveCount(0);
  await typed(page).focus();
  await typed(page).press('Control+z');
  await expect(offset).toHaveCount(1);
  await expect(offset).toContainText('44.1');
});

test('a long job with many findings draws, scrolls and reads out', async ({ page, server }) => {
  test.slow();
  const id = await ownJob(page, server.url, randomJob(41, { length_ft: [180, 180], findings: 24 }));
  await page.goto(`${server.url}/jobs/${id}/sheet`);
  await expect(page.getByRole('radio', { name: /^Fix what failed/ })).toBeVisible();
  const sheet = page.getByRole('group', { name: /^Sheet/ });
  await sheet.focus();
  for (let i = 0; i < 5; i++) await sheet.press('Shift+ArrowRight');
  await expect(page.getByTestId('hairline')).toContainText(/ft ±/);
  await expect(page.getByTestId('total')).toContainText('$');
});

test('on a phone: the views fit, the sheet scrolls sideways, targets are wide enough for a glove', async ({
  browser,
  server,
}) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  });
  const page = await context.newPage();
  for (const view of ['log', 'sheet', 'lengths']) {
    await page.goto(`${server.url}/jobs/demo-1-quarry-lane/${view}`);
    await expect(page.getByTestId('saved')).toHaveText('Saved');
    await expect(page.getByText('Working it out…')).toHaveCount(0);
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow).toBeLessThanOrEqual(0);
    expect(await axeFaults(page)).toEqual([]);
  }
  // A view scrolls within the page: fields and text end at the screen's edge too, where no table or drawing holds them.
  for (const path of ['/jobs/demo-1-quarry-lane/rules', '/jobs/demo-1-quarry-lane/site', '/firm']) {
    await page.goto(server.url + path);
    const fields = page.locator('input, select, p, h1, h2, h3');
    await expect(fields.nth(10)).toBeAttached();
    const beyond = await fields.evaluateAll((all) =>
      all
        .filter((each) => !each.closest('table, svg') && each.getBoundingClientRect().right > innerWidth + 1)
        .map((each) => each.textContent || each.getAttribute('aria-label')),
    );
    expect(beyond).toEqual([]);
  }
  await page.goto(`${server.url}/jobs/demo-1-quarry-lane/sheet`);
  const box = page.getByTestId('sheet');
  await expect(page.getByRole('button', { name: /^Liner, / })).toBeAttached();
  const widths = await box.evaluate((element) => [element.scrollWidth, element.clientWidth]);
  expect(widths[0]).toBeGreaterThan(widths[1] ?? 0);
  await page
    .getByRole('button', { name: /^Spot repair/ })
    .first()
    .tap();
  await expect(page.getByRole('heading', { name: /^Spot repair/ })).toBeAttached();
  await page.goto(`${server.url}/jobs/demo-1-quarry-lane/log`);
  for (const name of ['Pushing out', 'Pulling back']) {
    const size = await page.getByRole('button', { name }).boundingBox();
    expect(size?.height).toBeGreaterThanOrEqual(44);
  }
  await context.close();
});

test('a view this device does not have yet says so without the server, and opens by itself when it is back', async ({
  page,
}) => {
  const server = await startServer('demo');
  await page.goto(`${server.url}/jobs/demo-1-quarry-lane/sheet`);
  await expect(page.getByTestId('total')).toBeVisible();
  await expect(page.getByLabel(/What the camera shows/)).toBeVisible();
  await server.kill();
  const views = page.getByRole('navigation', { name: 'Views of this job' });
  await views.getByRole('link', { name: 'Lengths' }).click();
  await expect(page.getByText('not on this device yet')).toBeVisible();
  // Everything around it still works: the way back is one press.
  await views.getByRole('link', { name: 'Sheet' }).click();
  await expect(page.getByTestId('total')).toBeVisible();
  await page.keyboard.press('g');
  await expect(page.getByText('not on this device yet')).toBeVisible();
  await expect(page.getByTestId('total')).toBeVisible();
  await views.getByRole('link', { name: 'Lengths' }).click();
  await server.start();
  await expect(page.getByRole('columnheader', { name: 'Cut at' }).first()).toBeVisible();
  await server.stop();
});

test('the list finds by finding and material; a deleted job is gone, and comes back', async ({
  page,
  server,
}) => {
  const job = { ...demo(), title: '77 Passing Street' };
  await ownJob(page, server.url, job);
  await page.goto(server.url);
  await expect(page.getByRole('link', { name: /77 Passing Street/ })).toBeVisible();
  await page.getByLabel(/Find by address/).fill('fibre passing');
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await page.getByLabel(/Find by address/).fill('collapse passing');
  await expect(page.getByText('No job matches')).toBeVisible();
  await page.getByLabel(/Find by address/).fill('passing');
  const remove = page.getByRole('button', { name: 'Delete 77 Passing Street' });
  await remove.click();
  await expect(page.getByText('No job matches')).toBeVisible();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await remove.click();
  await expect(page.getByText('No job matches')).toBeVisible();
  await page.reload();
  await expect(page.getByText('77 Passing Street')).toHaveCount(0);
  await page.getByRole('button', { name: /Deleted in the last 30 days/ }).click();
  await page.getByRole('button', { name: 'Bring back 77 Passing Street' }).click();
  await expect(page.getByRole('link', { name: /77 Passing Street/ })).toBeVisible();
});

test('colors are chosen by hand and stay chosen', async ({ page, server }) => {
  await page.goto(server.url);
  const isDark = () => page.evaluate(() => document.documentElement.classList.contains('dark'));
  expect(await isDark()).toBe(false);
  await page.getByRole('button', { name: 'Use dark colors' }).click();
  await expect.poll(isDark).toBe(true);
  await page.reload();
  await expect.poll(isDark).toBe(true);
});
