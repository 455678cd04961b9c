import { readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { firmSchema } from '../core/job/firm-schema.js';
import { axeFaults } from './support/axe.js';
import { jobOf } from './support/headless.js';
import { readPdf, saveBy } from './support/pdf.js';
import { expect, startServer, test } from './support/server.js';

test.use({ serviceWorkers: 'allow' });

const jobs = resolve('demo/jobs');
const demo = (name: string) => JSON.parse(readFileSync(join(jobs, name), 'utf8')) as Record<string, unknown>;

test('the list is narrowed by words, method, and what is missing, agreed or due', async ({ page }) => {
  const server = await startServer('demo');
  // A job inspected long ago with roots left: its cleaning is overdue.
  const old = JSON.stringify({ ...demo('3-alder-terrace.json'), title: '9 Hollow Way', accepted: undefined })
    .replaceAll('2026-03-18', '2023-03-18')
    .replaceAll('2026-04-15', '2023-04-15');
  const job = JSON.parse(old) as { rules: object; title: string };
  const added = await page.request.post(`${server.url}/api/jobs`, {
    data: { ...job, rules: { ...job.rules, school: 'maintain' } },
  });
  expect(added.ok()).toBe(true);
  await page.goto(server.url);
  const rows = page.getByRole('listitem');
  const only = async (...titles: string[]) => {
    await expect(rows).toHaveCount(titles.length);
    for (const title of titles) await expect(rows.filter({ hasText: title })).toBeVisible();
  };
  await expect(rows).toHaveCount(4);
  await expect(page.getByText('being worked out')).toHaveCount(0);
  await expect(rows.filter({ hasText: '22 Alder Terrace' })).toContainText('Repaired');
  await expect(rows.filter({ hasText: '22 Alder Terrace' })).toContainText('accepted Mar 27, ');

  await page.getByLabel(/^Find by/).fill('hole clay');
  await only('22 Alder Terrace', '9 Hollow Way');
  await page.getByLabel(/^Find by/).fill('');
  await page.getByLabel('Method').selectOption('spot');
  await only('14 Quarry Lane');
  await page.getByLabel('Method').selectOption('');
  await page.getByRole('button', { name: 'Not all seen' }).click();
  await only('14 Quarry Lane');
  await page.getByRole('button', { name: 'Not all seen' }).click();
  await page.getByRole('button', { name: 'Accepted' }).click();
  await only('22 Alder Terrace');
  await page.getByRole('button', { name: 'No post-repair inspection' }).click();
  await expect(page.getByText('No job matches all of that.')).toBeVisible();
  await page.getByRole('button', { name: 'No post-repair inspection' }).click();
  await page.getByRole('button', { name: 'Accepted' }).click();
  await page.getByRole('button', { name: 'Due', exact: true }).click();
  await only('9 Hollow Way');
  await expect(rows.first()).toContainText(/due since/);
  expect(await axeFaults(page)).toEqual([]);

  await page.getByRole('link', { name: 'What is due' }).click();
  await page.getByRole('radio', { name: 'now' }).click();
  await expect(page.getByRole('row').filter({ hasText: '9 Hollow Way' }).first()).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: '14 Quarry Lane' })).toHaveCount(0);

  // Changed elsewhere, the row updates by itself.
  await page.goto(server.url);
  await page.request.delete(`${server.url}/api/jobs/demo-2-larkfield-court`);
  await page.reload();
  await expect(rows).toHaveCount(3);
  await server.stop();
});

test('what is exported just after it was typed holds all of it, even while the list is of the moment before', async ({
  page,
  server,
}, info) => {
  const made = await page.request.post(`${server.url}/api/jobs`, {
    data: { ...demo('2-larkfield-court.json'), title: '31 Late Street' },
  });
  const { id } = (await made.json()) as { id: string };
  await page.goto(server.url);
  await expect(page.getByText('31 Late Street')).toBeVisible();
  const { job } = (await (await page.request.get(`${server.url}/api/jobs/${id}`)).json()) as {
    job: { lines: { id: string; runs: { id: string }[] }[] };
  };
  const [line] = job.lines;
  // The page shows the list as it was; the job has more entries since.
  await page.request.post(`${server.url}/api/jobs/${id}/edits`, {
    data: {
      sent: 'late-reading',
      edits: [
        {
          kind: 'entry',
          line: line?.id,
          run: line?.runs[0]?.id,
          entry: 'late',
          set: { id: 'late', kind: 'finding', finding: 'hole', reading_ft: 12 },
        },
      ],
    },
  });
  const path = info.outputPath('late.json');
  await saveBy(page, 'Export 31 Late Street as a job file', path);
  expect(readFileSync(path, 'utf8')).toContain('"late"');
});

test('without the server, an export still holds edits that are not sent yet', async ({ page }, info) => {
  const server = await startServer('demo');
  await page.goto(server.url);
  // The views are beside the name of the job, which moves them when it is known: a press waits for that.
  let answer = (): void => undefined;
  const asked = new Promise<void>((done) => (answer = done));
  await page.route('**/api/jobs/*', async (route) => {
    await asked;
    await route.continue();
  });
  await page.getByRole('link', { name: /3 Larkfield Court/ }).click();
  await expect(page.locator('nav[aria-label="Views of this job"][inert]')).toBeVisible();
  answer();
  await page.getByRole('link', { name: 'Camera log' }).click();
  // The sheet has a line of the same name, and stands until the log is drawn: this types into the log's.
  await expect(page.getByRole('button', { name: 'Narration in' })).toBeVisible();
  const typed = page.getByLabel(/What the camera shows/);
  await expect(typed).toBeVisible();
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  await server.kill();
  await typed.fill('12.3 hole at 4');
  await typed.press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'Hole' }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Open Trench, all jobs' }).click();
  const path = info.outputPath('waiting.json');
  await saveBy(page, 'Export 3 Larkfield Court as a job file', path);
  expect(readFileSync(path, 'utf8')).toContain('"hole"');
  await server.stop();
});

test('the firm goes out as a file and comes in again; a bad one is refused with every fault named', async ({
  page,
}, info) => {
  const server = await startServer('demo');
  await page.goto(`${server.url}/firm`);
  await page.getByLabel('Terms on every offer').fill('Net thirty.');
  await page.getByLabel('Days for which prices hold').fill('21');
  await page.getByLabel('Name', { exact: true }).fill('Hollow Lane Drains');
  await page.getByLabel('Inspect everywhere else, every so many months').fill('36');
  await page.getByLabel('Inspect everywhere else, every so many months').press('Enter');
  const firm = async () => firmSchema.parse(await (await page.request.get(`${server.url}/api/firm`)).json());
  await expect.poll(firm).toMatchObject({
    name: 'Hollow Lane Drains',
    terms: 'Net thirty.',
    validity_days: 21,
    rules: { look_months: 36 },
  });
  // A logo is a picture, and is part of the company's file; any other file is refused with a message.
  const logo = page.locator('input[aria-label="Logo file"]');
  const text = { name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') };
  await logo.setInputFiles(text);
  await expect(page.getByRole('alert')).toContainText('notes.png: this is not a picture');
  const drawn = await page.screenshot({ clip: { x: 0, y: 0, width: 900, height: 120 } });
  await logo.setInputFiles({ name: 'logo.png', mimeType: 'image/png', buffer: drawn });
  await expect(page.getByAltText('The logo as it stands on an offer')).toBeVisible();
  await expect.poll(async () => (await firm()).logo).toMatch(/^data:image\/jpeg;base64,/);
  const path = info.outputPath('firm.json');
  await saveBy(page, 'Export the company', path);
  expect(firmSchema.parse(JSON.parse(readFileSync(path, 'utf8')))).toEqual(await firm());

  const bad = info.outputPath('bad.json');
  writeFileSync(bad, JSON.stringify({ ...(await firm()), licence: 7, color: 'red' }));
  const picker = page.locator('input[aria-label="Company file"]');
  await picker.setInputFiles(bad);
  await expect(page.getByRole('alert')).toContainText('licence');
  await expect(page.getByRole('alert')).toContainText('color');
  await page.getByRole('alert').getByRole('button', { name: 'Close' }).click();

  await page.getByLabel('Name', { exact: true }).fill('Somebody Else');
  await page.getByLabel('Name', { exact: true }).press('Enter');
  await expect.poll(async () => (await firm()).name).toBe('Somebody Else');
  await picker.setInputFiles(path);
  await expect.poll(async () => (await firm()).name).toBe('Hollow Lane Drains');
  // It is on the offer of every job.
  await page.goto(`${server.url}/jobs/demo-1-quarry-lane/offer`);
  await expect(page.getByRole('region', { name: 'The offer' })).toContainText('Net thirty.');
  await saveBy(page, 'Offer as PDF', info.outputPath('offer.pdf'));
  expect((await readPdf(info.outputPath('offer.pdf'))).pictures).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Link for the customer' }).click();
  await page.goto(await page.getByLabel('The link for the customer').inputValue());
  const shown = page.getByRole('img', { name: 'Hollow Lane Drains' });
  await expect.poll(() => shown.evaluate((each: HTMLImageElement) => each.naturalWidth)).toBe(600);
  expect((await jobOf(page, server.url, 'demo-1-quarry-lane')).offer).toBeUndefined();
  await server.stop();
});
