import type { Page } from '@playwright/test';
import ICAL from 'ical.js';
import { readFileSync } from 'node:fs';
import type { Job } from '../../core/job/schema.js';
import { readPdf, saveBy } from '../support/pdf.js';
import { expect, startServer, test } from '../support/server.js';

const jobId = 'demo-1-quarry-lane';
const bar = (page: Page, name: string | RegExp) =>
  page.getByRole('list', { name: 'Tasks' }).getByRole('button', { name });
const total = (page: Page) => page.getByTestId('plan-total');

async function planIn(page: Page, url: string) {
  const { job } = (await (await page.request.get(`${url}/api/jobs/${jobId}`)).json()) as { job: Job };
  return job.plan;
}

test('a day is planned: a bar is dragged and the rest follows, or it is refused with what holds it; printed and put in a calendar', async ({
  page,
}, info) => {
  const server = await startServer('demo');
  await page.goto(`${server.url}/jobs/${jobId}/plan`);
  await page.getByLabel('First day').fill('2027-03-01');
  // Called on a Monday, marked after three whole working days: Friday.
  await expect(bar(page, /^Dig excavation A: Fri, Mar 5, 7:00 AM/)).toBeVisible();
  await expect(total(page)).toContainText('3 days on site');
  const before = await total(page).textContent();

  // Dragged to where it is not allowed, before the marks are there: it goes back, and says why.
  const dig = bar(page, /^Dig excavation A/);
  const box = await dig.boundingBox();
  if (!box) throw new Error('the bar is not drawn');
  const drag = async (dx: number) => {
    const at = await dig.boundingBox();
    if (!at) throw new Error('the bar is not drawn');
    await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
    await page.mouse.down();
    await page.mouse.move(at.x + at.width / 2 + dx / 2, at.y + at.height / 2, { steps: 4 });
    await page.mouse.move(at.x + at.width / 2 + dx, at.y + at.height / 2, { steps: 4 });
    await page.mouse.up();
  };
  await drag(-80);
  await expect(page.getByRole('alert')).toContainText(
    /“Dig excavation A” cannot start at .*“Call for the utility locate” comes first/,
  );
  await expect(total(page)).toHaveText(before ?? '');
  expect((await planIn(page, server.url))?.starts).toBeUndefined();

  // Dragged by two hours, a quarter of a day of 288 px: its successors move with it.
  await drag(72);
  await expect(bar(page, /^Dig excavation A: Fri, Mar 5, 9:00 AM.*start set by hand/)).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  expect((await planIn(page, server.url))?.starts).toEqual({ 'house dig P1': '2027-03-05T09:00' });

  // Moved a quarter of an hour by key, and the start removed again; undone like any other edit.
  await dig.focus();
  await page.keyboard.press('ArrowRight');
  await expect(bar(page, /^Dig excavation A: Fri, Mar 5, 9:15 AM/)).toBeVisible();
  await page.keyboard.press('Delete');
  await expect(bar(page, /^Dig excavation A: Fri, Mar 5, 7:00 AM/)).toBeVisible();
  await expect(total(page)).toHaveText(before ?? '');

  // Work that does not fit before evening is reported by the form beside it.
  await bar(page, /^Cure the liner/).click();
  await page.getByLabel('at', { exact: true }).fill('14:00');
  await page.getByRole('button', { name: 'Set its start' }).click();
  await expect(page.getByRole('alert')).toContainText('in one go and would run past the end of the day');
  await page.getByRole('button', { name: 'Close' }).click();

  // More hours in a day: finished sooner, or at least no later; and the offer says how long.
  await page.getByLabel('Hours a day on this job').fill('10');
  await page.getByLabel('Hours a day on this job').press('Enter');
  await expect(total(page)).toContainText('2 days on site');

  await saveBy(page, 'Days as a calendar file', info.outputPath('days.ics'));
  const calendar = ICAL.Component.fromString(readFileSync(info.outputPath('days.ics'), 'utf8'));
  const events = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  expect(events.map((event) => String(event.startDate))).toEqual([
    '2027-03-01T07:00:00',
    '2027-03-05T07:00:00',
    '2027-03-08T07:00:00',
  ]);
  expect(events[1]?.description).toContain('Dig excavation A');
  expect(events.some(({ description }) => description.includes('Water off'))).toBe(true);

  await saveBy(page, 'Crew sheet as PDF', info.outputPath('crew.pdf'));
  const { text } = await readPdf(info.outputPath('crew.pdf'));
  expect(text).toContain('Fri, Mar 5');
  expect(text).toMatch(/7:00 AM to 8:15 AM\s*Dig excavation A/);
  expect(text).toMatch(/Water off/);

  await page.getByRole('link', { name: 'Offer', exact: true }).click();
  await expect(page.getByText('2 working days on site')).toBeVisible();
  await expect(page.getByText(/no water down the drain for about/).first()).toBeVisible();
  await server.stop();
});

test('what it really took is written in one form; the company sees which rate is off, and takes the better one', async ({
  page,
}) => {
  const server = await startServer('demo');
  await page.goto(`${server.url}/jobs/${jobId}/plan`);
  await bar(page, /^Dig excavation A/).click();
  const chosen = page.getByTestId('chosen-task');
  const planned = Number(/([\d.]+) h/.exec((await chosen.textContent()) ?? '')?.[1]);
  await page.getByLabel('Hours it took').fill('x');
  await expect(chosen.getByRole('alert')).toContainText('hours of one day');
  await page.getByLabel('Hours it took').fill(String(planned * 2));
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByTestId('spent')).toContainText(
    /100 % more hours than planned|9\d % more|10\d % more/,
  );
  await expect(page.getByTestId('saved')).toHaveText('Saved');

  await page.goto(`${server.url}/firm`);
  const row = page.getByTestId('rate-checks');
  await expect(row).toContainText(/Digging by machine.*Took (9\d|10\d|20\d|19\d) % of the planned hours/);
  await expect(page.getByRole('img', { name: /Hours against the rates: Digging by machine/ })).toBeVisible();
  const take = row.getByRole('button', { name: /^Take/ });
  await take.click();
  await expect(page.getByTestId('firm-saved')).toHaveText('Saved');
  await expect(row.getByRole('button', { name: 'The rate fits' })).toBeVisible();
  // From now on the job is planned by the better rate: twice as long.
  await page.goto(`${server.url}/jobs/${jobId}/plan`);
  await bar(page, /^Dig excavation A/).click();
  await expect(page.getByTestId('spent')).toContainText(/as planned|[12] % (more|fewer)/);
  await server.stop();
});

test('a job with nothing seen, and one with nobody to do it, say so', async ({ page }) => {
  const server = await startServer('demo');
  await page.goto(`${server.url}/jobs/demo-2-larkfield-court/plan`);
  await expect(page.getByTestId('no-tasks')).toBeVisible();
  await page.goto(`${server.url}/jobs/${jobId}/plan`);
  await page.getByLabel('People on this job').fill('1');
  await page.getByLabel('People on this job').press('Enter');
  await expect(page.getByRole('alert')).toContainText('takes 2 people and there is 1: add people');
  await server.stop();
});
