import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { axeFaults } from '../support/axe.js';
import { jobOf, scopeOfJob } from '../support/headless.js';
import { readPdf, saveBy } from '../support/pdf.js';
import { expect, startServer, test } from '../support/server.js';

const jobId = 'demo-1-quarry-lane';
const whole = (amount: number) => `$${Math.round(amount).toLocaleString('en-US')}`;
const cents = (amount: number) =>
  amount.toLocaleString('en-US', { style: 'currency', currency: 'USD', minimumFractionDigits: 2 });

async function noFaults(page: Page) {
  expect(await axeFaults(page)).toEqual([]);
}

/** Types a line in the log and waits until the server has it. */
async function write(page: Page, line: string) {
  const typed = page.getByLabel(/What the camera shows/);
  await typed.fill(line);
  await expect(page.getByTestId('preview')).toBeVisible();
  const saved = page.waitForResponse((answer) => answer.url().endsWith('/edits') && answer.ok());
  await typed.press('Enter');
  await saved;
}

test('from an offer to the look after the repair: offered, linked, accepted, changed, done, checked, kept up', async ({
  page,
  browser,
}, info) => {
  const server = await startServer('demo');
  const headless = () => scopeOfJob(page, server.url, jobId, info.outputPath('job.json'));
  const scope = await headless();
  await page.goto(`${server.url}/jobs/${jobId}/offer`);
  for (const { school, total } of scope.ways) {
    await expect(page.getByTestId(`total-${school}`)).toHaveText(whole(total));
  }
  await expect(page.getByTestId('offer-price')).toHaveText(cents(scope.price.total));
  await expect(page.getByText('First', { exact: true })).toBeVisible();
  await noFaults(page);

  // The company's texts and this job's own.
  await page.getByLabel('Terms of this offer').fill('Half on the day we start.\nThe rest when it runs.');
  await page.getByLabel('Days for which prices hold').fill('10');
  await page.getByLabel('Day of the offer, such as 2026-03-04').fill('2026-05-20');
  await page.getByLabel('Day of the offer, such as 2026-03-04').press('Enter');
  await expect(page.getByText('Prices hold to May 30, 2026')).toBeVisible();

  // A link for the customer: read-only, as it stands now, and closed again.
  await page.getByRole('button', { name: 'Link for the customer' }).click();
  const link = await page.getByLabel('The link for the customer').inputValue();
  await expect(page.getByTestId('loopback')).toContainText('It opens on this computer only');
  const customer = await (await browser.newContext()).newPage();
  await customer.goto(link);
  await expect(customer.getByTestId('total-repair')).toHaveText(
    whole(scope.ways.find(({ school }) => school === 'repair')?.total ?? 0),
  );
  await expect(customer.getByText('The rest when it runs.')).toBeVisible();
  await expect(customer.getByTestId('bar-key')).toContainText('Spot repair');
  await expect(customer.getByTestId('bar-key')).toContainText('0 ft is your cleanout 1');
  await expect(customer.getByRole('textbox')).toHaveCount(0);
  await customer.getByTestId('choose-maintain').click();
  await expect(customer.getByTestId('offer-price')).toHaveText(
    cents(scope.ways.find(({ school }) => school === 'maintain')?.total ?? 0),
  );
  await noFaults(customer);
  const told = await (await customer.request.get(link.replace('/offer/', '/api/offers/'))).text();
  // What does not concern the customer does not leave the server.
  expect(told).not.toMatch(/"working":\[\{|"runs"|"complaint"|"notes"/);

  // Accepted: frozen with its prices, on the server's disk.
  await page.getByTestId('choose-repair').click();
  await page.getByLabel('Who accepts it').fill('M. Okafor');
  await page.getByRole('button', { name: /^Accepted: freeze/ }).click();
  await expect(page.getByTestId('agreed')).toHaveText(cents(scope.price.total));
  await expect(page.getByTestId('since')).toHaveText('Nothing has changed since.');
  await expect
    .poll(async () => (await jobOf(page, server.url, jobId)).accepted?.total)
    .toBe(scope.price.total);

  // Later changes are shown against it; the customer's page stays as it was sent.
  await page.getByRole('link', { name: 'Rates and rules' }).click();
  await page.getByLabel('Excavation to 5 ft').fill('400');
  await page.getByLabel('Excavation to 5 ft').press('Enter');
  await expect.poll(async () => (await jobOf(page, server.url, jobId)).prices?.digTo5_per_yd3).toBe(400);
  const dearer = (await headless()).price.total;
  await page.getByRole('link', { name: 'Offer' }).click();
  await expect(page.getByTestId('since')).toContainText(`it would now come to ${cents(dearer)}`);
  await expect(page.getByTestId('since')).toContainText(`${cents(dearer - scope.price.total)} more`);
  await expect(page.getByTestId('since')).toContainText('The rate “Excavation to 5 ft”');
  await expect(page.getByTestId('agreed')).toHaveText(cents(scope.price.total));
  await expect(page.getByTestId('agreed-price')).toHaveText(cents(scope.price.total));
  await expect(page.getByTestId('offer-price')).toHaveText(cents(dearer));
  await customer.reload();
  await expect(customer.getByTestId('total-repair')).toHaveText(whole(scope.price.total));
  await page.getByRole('button', { name: 'Close it' }).click();
  await expect(page.getByText('Open since')).toHaveCount(0);
  await customer.reload();
  await expect(customer.getByText('This link is not open')).toBeVisible();
  await customer.context().close();

  // Finished, and inspected: readings where new pipe and liner begin and end.
  await page.getByRole('link', { name: 'Follow-up' }).click();
  await expect(page.getByText('There is no post-repair inspection yet.')).toBeVisible();
  await noFaults(page);
  await page.getByRole('link', { name: 'Camera log' }).click();
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.locator('#new-run-zero').selectOption('pipe');
  await page.locator('#run-stage').selectOption('after-repair');
  await page.getByRole('button', { name: 'Add the run' }).click();
  const actions = scope.lines[0]?.actions ?? [];
  const dig = actions.find(({ method }) => method === 'spot');
  const liner = actions.find(({ method }) => method === 'line');
  const end = scope.lines[0]?.points.find(({ id }) => id === 'MAIN')?.station_ft ?? 0;
  if (!dig || !liner) throw new Error('the demo job digs and lines');
  await write(page, `${end.toFixed(1)} main`);
  await write(page, `${dig.from_ft.toFixed(1)} pvc 4 > fibre 4; ${dig.to_ft.toFixed(1)} fibre 4 > pvc 4`);
  await write(page, `${liner.from_ft.toFixed(1)} clay 4 lined > clay 4`);
  await write(page, `${(liner.to_ft - 6).toFixed(1)} clay 4 > clay 4 lined`);
  await expect(page.getByRole('row').filter({ hasText: 'lined clay' }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Follow-up' }).click();
  await expect(page.getByTestId('repair-state')).toHaveText('Not everything was done as planned.');
  const rows = page.getByTestId('repair-house').getByRole('row');
  await expect(rows.filter({ hasText: 'Spot repair' }).first()).toContainText('Done');
  await expect(rows.filter({ hasText: 'Spot repair' }).first()).not.toContainText('off');
  await expect(rows.filter({ hasText: 'Liner' })).toContainText(
    `${(liner.to_ft - 6).toFixed(1)}, planned at ${liner.to_ft.toFixed(1)}`,
  );
  await expect(rows.filter({ hasText: 'Liner' })).toContainText('off');

  // What is due next, on the page and in a calendar that another program reads.
  await expect(page.getByRole('complementary', { name: 'Dates of this job' })).toContainText(
    'Offer accepted',
  );
  const calendar = info.outputPath('upkeep.ics');
  await saveBy(page, 'Upkeep as a calendar file', calendar);
  const text = readFileSync(calendar, 'utf8');
  const events = new ICAL.Component(ICAL.parse(text) as [string, unknown[], unknown[]])
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each));
  expect(events.length).toBeGreaterThan(0);
  for (const event of events) {
    expect(event.startDate.isDate).toBe(true);
    expect(event.summary).toContain('14 Quarry Lane');
  }
  const today = new Date().toISOString().slice(0, 10);
  const [first] = events;
  // An inspection two years after today's: the belly and its roots were lined over.
  expect(first?.startDate.toString().slice(0, 4)).toBe(String(Number(today.slice(0, 4)) + 2));
  await page.goto(`${server.url}/due`);
  await page.getByRole('radio', { name: 'ever' }).click();
  await expect(page.getByRole('row').filter({ hasText: '14 Quarry Lane' })).toContainText('Inspect');
  await noFaults(page);
  await server.stop();
});

test('an option is taken at what it adds, and put back', async ({ page, server }, info) => {
  const id = 'demo-3-alder-terrace';
  const headless = () => scopeOfJob(page, server.url, id, info.outputPath('job.json'));
  const before = await headless();
  const [option] = before.lines[0]?.options ?? [];
  if (!option) throw new Error('the demo job has an option');
  await page.goto(`${server.url}/jobs/${id}/offer`);
  await page.getByTestId('choose-repair').click();
  await expect(page.getByText(`+${whole(option.adds)}`)).toBeVisible();
  await page.getByRole('button', { name: 'Take it', exact: true }).click();
  await expect(page.getByTestId('total-repair')).toHaveText(whole(before.price.total + option.adds));
  await expect(page.getByTestId('since')).toContainText('more');
  expect((await headless()).price.total).toBeCloseTo(before.price.total + option.adds, 2);
  await page.getByRole('button', { name: 'Leave it out' }).click();
  await expect(page.getByTestId('total-repair')).toHaveText(whole(before.price.total));
  await expect(page.getByTestId('since')).toHaveText('Nothing has changed since.');
});

test('the documents, read back by another program, say what the headless scope says, in faces that are in the file', async ({
  page,
  server,
}, info) => {
  const id = 'demo-3-alder-terrace';
  const scope = await scopeOfJob(page, server.url, id, info.outputPath('job.json'));
  const [line] = scope.lines;
  await page.goto(`${server.url}/jobs/${id}/offer`);
  await saveBy(page, 'Offer as PDF', info.outputPath('offer.pdf'));
  const offer = await readPdf(info.outputPath('offer.pdf'));
  for (const { total, carried } of scope.ways) {
    expect(offer.text).toContain(cents(total));
    expect(offer.text).toContain(cents(total + carried));
  }
  for (const each of scope.price.lines) expect(offer.text).toContain(cents(each.amount));
  expect(offer.text).toContain('P. Lindqvist');
  expect(offer.text).toContain('A third on the day we start');
  expect(offer.fontsEmbedded).toBe(true);
  offer.pages.forEach((text, i) => {
    expect(text).toContain(`${i + 1} / ${offer.pages.length}`);
    expect(text).toContain('the competent person at the trench');
  });

  await page.getByRole('link', { name: 'Camera log' }).click();
  await saveBy(page, 'Inspection report as PDF', info.outputPath('report.pdf'));
  const report = await readPdf(info.outputPath('report.pdf'));
  expect(report.text).toContain('Verdict: Urgent');
  for (const finding of line?.findings ?? []) {
    // The file's feet are rounded to 0.01 already: a half may have been rounded either way.
    for (const feet of [finding.station_ft, finding.plusMinus_ft]) {
      const said = [feet - 0.005, feet + 0.005].map((each) => each.toFixed(1));
      expect(said.some((each) => report.text.includes(` ${each}`))).toBe(true);
    }
  }
  expect(report.text).toContain('the branch to the laundry');
  expect(report.text).toContain('alder-clean.mp4 at 4:34');
  expect(report.fontsEmbedded).toBe(true);

  // The crew sheet of a job with excavations: a page for each, and every liner's length.
  const dug = await scopeOfJob(page, server.url, jobId, info.outputPath('dug.json'));
  await page.goto(`${server.url}/jobs/${jobId}/holes`);
  await saveBy(page, 'Crew sheet as PDF', info.outputPath('crew.pdf'));
  const crew = await readPdf(info.outputPath('crew.pdf'));
  for (const { liner } of dug.lines.flatMap(({ actions }) => actions)) {
    if (!liner) continue;
    expect(crew.text).toContain(liner.cut_ft.toFixed(1));
    expect(crew.text).toContain(liner.thickness_in.toFixed(3));
    expect(crew.text).toContain(liner.resin_gal.toFixed(2));
  }
  for (const { cuts_ft } of dug.buy.sticks) {
    for (const cut of cuts_ft) expect(crew.text).toContain(cut.toFixed(2));
  }
  const pits = dug.lines.flatMap((each) => each.pits);
  expect(crew.pages.filter((text) => /Excavation [A-Z] [\d.]+ to/.test(text))).toHaveLength(pits.length);
  for (const pit of pits) {
    const own = crew.pages.find((text) =>
      text.includes(`${pit.from_ft.toFixed(1)} to ${pit.to_ft.toFixed(1)} ft;`),
    );
    expect(own).toContain(`${pit.depth_ft.toFixed(1)} ft`);
    expect(own).toContain(`${pit.bank_yd3.toFixed(1)} yd³`);
  }
  expect(crew.fontsEmbedded).toBe(true);
});
