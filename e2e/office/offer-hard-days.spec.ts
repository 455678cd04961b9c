import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type { Job } from '../../core/job/schema.js';
import { axeFaults } from '../support/axe.js';
import { expect, startServer, test } from '../support/server.js';

test.use({ serviceWorkers: 'allow' });

const jobs = resolve('demo/jobs');
const demo = (name: string) => JSON.parse(readFileSync(join(jobs, name), 'utf8')) as Job;

async function add(page: Page, url: string, job: unknown): Promise<string> {
  const answer = await page.request.post(`${url}/api/jobs`, { data: job });
  expect(answer.ok()).toBe(true);
  return ((await answer.json()) as { id: string }).id;
}

const workedOut = (page: Page) => expect(page.getByText('Working it out')).toHaveCount(0);

test('on a phone, in dark: offer, after, due, firm and the customer’s page fit, and axe finds no fault', async ({
  browser,
  server,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, colorScheme: 'dark' });
  const page = await context.newPage();
  const { secret } = (await (
    await page.request.post(`${server.url}/api/jobs/demo-1-quarry-lane/shares`, { data: {} })
  ).json()) as { secret: string };
  for (const path of [
    '/jobs/demo-1-quarry-lane/offer',
    '/jobs/demo-3-alder-terrace/offer',
    '/jobs/demo-3-alder-terrace/after',
    '/due',
    '/firm',
    `/offer/${secret}`,
    '/',
  ]) {
    await page.goto(`${server.url}${path}`);
    await expect(page.getByRole('heading', { level: 1 }).last()).toBeVisible();
    await workedOut(page);
    // Nothing overflows sideways; anything wider scrolls inside its own frame.
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await axeFaults(page)).toEqual([]);
  }
  // The open view's tab is visible, though it is far to the right.
  await page.goto(`${server.url}/jobs/demo-3-alder-terrace/after`);
  await expect(page.getByRole('link', { name: 'Follow-up' })).toBeInViewport();
  await context.close();
});

test('a job with nothing read and a job with no way say so on offer and after, and neither can be accepted blindly', async ({
  page,
  server,
}) => {
  const [line] = demo('1-quarry-lane.json').lines;
  if (!line) throw new Error('the demo job has a line');
  const bare = await add(page, server.url, {
    format: 'open-trench-job',
    version: 1,
    title: '1 Bare Street',
    lines: [
      {
        id: 'house',
        datum: 'CO1',
        end: 'MAIN',
        points: line.points.filter(({ id }) => ['CO1', 'MAIN'].includes(id)),
        runs: [],
      },
    ],
  });
  await page.goto(`${server.url}/jobs/${bare}/offer`);
  await expect(page.getByText('Nothing seen yet: the camera is run first').first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Accepted: freeze/ })).toBeDisabled();
  await expect(page.getByText('all was seen')).toHaveCount(0);
  await expect(page.getByText('not known until the camera has run').first()).toBeVisible();
  await expect(page.getByText(/^\$0/)).toHaveCount(0);
  await page.getByRole('link', { name: 'Follow-up' }).click();
  await expect(page.getByText('No work was planned on this line.')).toBeVisible();
  await expect(page.getByText('No run of this job has a date yet.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Upkeep as a calendar file' })).toBeDisabled();

  const stuck = await add(page, server.url, {
    ...demo('1-quarry-lane.json'),
    title: '2 Stuck Street',
    lines: [
      {
        ...line,
        pins: [
          { from: line.datum, to: line.end, method: 'line' },
          { from_ft: 30, to_ft: 40, never: ['line'] },
        ],
      },
    ],
  });
  await page.goto(`${server.url}/jobs/${stuck}/offer`);
  await expect(page.getByText('Not possible under the rules and pins of this job').first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Accepted: freeze/ })).toBeDisabled();
});

test('without the server an offer is still worked out and accepted; it waits, and goes in when the server is back', async ({
  page,
}) => {
  const server = await startServer('demo');
  await page.goto(`${server.url}/jobs/demo-1-quarry-lane/offer`);
  await expect(page.getByTestId('total-repair')).toBeVisible();
  await server.kill();
  await page.getByLabel('Terms of this offer').fill('Said in the truck.');
  await page.getByTestId('choose-maintain').click();
  // The customer accepts unless somebody else is named; an empty name is refused.
  const by = page.getByLabel('Who accepts it');
  await expect(by).toHaveValue('M. Okafor');
  await by.fill(' ');
  await page.getByRole('button', { name: /^Accepted: freeze/ }).click();
  await expect(page.getByText('Enter who accepts it')).toBeVisible();
  await by.fill('M. Okafor');
  await page.getByRole('button', { name: /^Accepted: freeze/ }).click();
  await expect(page.getByTestId('accepted')).toContainText('Keep it clean');
  await expect(page.getByTestId('saved')).toContainText('waiting');
  // A link needs the server, and says so; nothing is lost.
  await page.getByRole('button', { name: 'Link for the customer' }).click();
  await expect(
    page.getByRole('complementary', { name: 'The chosen option' }).getByRole('alert'),
  ).toBeVisible();
  await server.start();
  await expect(page.getByTestId('saved')).toHaveText('Saved', { timeout: 60_000 });
  const { job } = (await (await page.request.get(`${server.url}/api/jobs/demo-1-quarry-lane`)).json()) as {
    job: Job;
  };
  expect(job.accepted).toMatchObject({ school: 'maintain', job: { offer: { terms: 'Said in the truck.' } } });
  expect(job.rules?.school).toBe('maintain');
  // The history shows it, and restores it.
  await page.getByRole('button', { name: 'History of this job' }).click();
  await expect(page.getByText(/Offer accepted on/).first()).toBeVisible();
  await page.getByRole('button', { name: 'History of this job' }).click();
  page.once('dialog', (dialog) => void dialog.accept());
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByTestId('accepted')).toHaveCount(0);
  await expect
    .poll(async () => {
      const answer = await page.request.get(`${server.url}/api/jobs/demo-1-quarry-lane`);
      return ((await answer.json()) as { job: Job }).job.accepted;
    })
    .toBeUndefined();
  await server.stop();
});

test('the resin counts down from the moment it is mixed, over a reload, and says when it is too late', async ({
  page,
  server,
}) => {
  await page.clock.install({ time: new Date('2026-05-20T10:00:00') });
  await page.goto(`${server.url}/jobs/demo-1-quarry-lane/lengths`);
  await page.getByRole('button', { name: /resin mixed now/ }).click();
  const clock = page.getByTestId(/^wet-out-/);
  await expect(clock).toContainText('In time');
  await expect(clock).toContainText('mixed at 10:00');
  await page.clock.fastForward('30:00');
  await page.reload();
  await expect(clock).toContainText('In time');
  await expect(clock).toContainText(/\b(29|30):\d\d/);
  await page.clock.fastForward('25:00');
  await expect(clock).toContainText('Insert it now');
  await page.clock.fastForward('10:00');
  await expect(clock).toContainText('do not insert it');
  await page.getByRole('button', { name: 'Stop the clock' }).click();
  await expect(page.getByRole('button', { name: /resin mixed now/ })).toBeVisible();
});
