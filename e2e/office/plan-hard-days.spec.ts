import type { Page } from '@playwright/test';
import { axeFaults } from '../support/axe.js';
import { jobOf } from '../support/headless.js';
import { expect, startServer, test } from '../support/server.js';

const jobId = 'demo-1-quarry-lane';
const bar = (page: Page, name: RegExp) =>
  page.getByRole('list', { name: 'Tasks' }).getByRole('button', { name });

test('on a phone, in dark: the plan fits, is read day by day, and axe finds no fault', async ({
  browser,
}) => {
  const server = await startServer('demo');
  const context = await browser.newContext({ colorScheme: 'dark', viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await page.goto(`${server.url}/jobs/${jobId}/plan`);
  const days = page.getByTestId('plan-days');
  await expect(days).toContainText('Dig excavation A');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  // A line of the day opens its task: hours that open, and the form for the time spent.
  await days.getByRole('button', { name: /^Dig excavation A/ }).click();
  const chosen = page.getByTestId('chosen-task');
  await expect(chosen).toContainText('Dig excavation A');
  await chosen.getByRole('button', { name: /h$/ }).click();
  await expect(chosen.getByRole('note')).toContainText('Setting up + amount ÷ rate');
  expect(await axeFaults(page)).toEqual([]);
  await context.close();
  await server.stop();
});

test.describe('with pages kept', () => {
  test.use({ serviceWorkers: 'allow' });

  test('without the server a start is set and hours are written down; both wait, and go in when it is back', async ({
    page,
  }) => {
    const server = await startServer('demo');
    await page.goto(`${server.url}/jobs/${jobId}/plan`);
    await page.getByLabel('First day').fill('2027-03-01');
    await expect(page.getByTestId('saved')).toHaveText('Saved');
    await server.end();
    await expect(page.getByTestId('saved')).toHaveText('No server');
    await bar(page, /^Dig excavation A/).focus();
    await page.keyboard.press('Shift+ArrowRight');
    await expect(bar(page, /^Dig excavation A: Mon, Mar 8, 7:00 AM.*start set by hand/)).toBeVisible();
    await page.getByLabel('Hours it took').fill('1.5');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByTestId('spent')).toContainText('1.5 h');
    await expect(page.getByTestId('saved')).toHaveText('2 waiting');
    await server.start();
    await expect(page.getByTestId('saved')).toHaveText('Saved');
    const { plan } = await jobOf(page, server.url, jobId);
    expect(plan).toMatchObject({
      startOn: '2027-03-01',
      starts: { 'house dig P1': '2027-03-08T07:00' },
      spent: [{ task: 'house dig P1', kind: 'dig', hours: 1.5 }],
    });
    await server.stop();
  });
});

test('starts that no longer go together are said, the plan without them is shown, and one press lifts them', async ({
  page,
}) => {
  const server = await startServer('demo');
  await page.goto(`${server.url}/jobs/${jobId}/plan`);
  await page.getByLabel('First day').fill('2027-03-01');
  await bar(page, /^Dig excavation A/).focus();
  await page.keyboard.press('ArrowRight');
  await expect(bar(page, /^Dig excavation A: Fri, Mar 5, 7:15 AM/)).toBeVisible();
  // The first day moves past the start that was set.
  await page.getByLabel('First day').fill('2027-03-15');
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('Nobody works at that time');
  await expect(bar(page, /^Dig excavation A: Fri, Mar 19, 7:00 AM/)).toBeVisible();
  await alert.getByRole('button', { name: 'Remove all starts set by hand' }).click();
  await expect(alert).toHaveCount(0);
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  expect((await jobOf(page, server.url, jobId)).plan?.starts).toBeUndefined();
  // A rate of this job's own, under Rates and rules, is in the plan at once.
  await page.getByRole('link', { name: 'Rates and rules' }).click();
  await page.getByLabel('Digging by machine, yd³ an hour').fill('1');
  await page.getByLabel('Digging by machine, yd³ an hour').press('Enter');
  await page.getByRole('link', { name: 'Plan', exact: true }).click();
  await expect(bar(page, /^Dig excavation A: Fri, Mar 19, 7:00 AM to 10:00 AM/)).toBeVisible();
  await server.stop();
});
