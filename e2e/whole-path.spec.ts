import type { Page } from '@playwright/test';
import { readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { axeFaults } from './support/axe.js';
import { scopeOfFile } from './support/headless.js';
import { expect, test } from './support/server.js';

const root = resolve();

const typed = (page: Page) => page.getByLabel(/What the camera shows/);

/** Types a line in the log and waits until its row is there: the server has it then. */
async function write(page: Page, line: string, row: RegExp) {
  await typed(page).fill(line);
  await expect(page.getByTestId('preview')).toBeVisible();
  const saved = page.waitForResponse((answer) => answer.url().endsWith('/edits') && answer.ok());
  await typed(page).press('Enter');
  await saved;
  await expect(page.getByRole('row').filter({ hasText: row }).first()).toBeVisible();
}

test('from a new job to the length the liner is cut at, equal to the headless scope', async ({
  page,
  server,
}, info) => {
  await page.goto(server.url);
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByRole('button', { name: 'Start the camera log' }).click();
  await expect(page.getByText('Give the job a name')).toBeVisible();
  await page.getByLabel('Name or address').fill('8 Orchard Rise');
  await page.getByLabel('Cap to level pipe, ft').fill(`1'8 2/5"`);
  await page.getByRole('button', { name: 'Start the camera log' }).click();
  await expect(page).toHaveURL(/\/log$/);

  await page.getByRole('button', { name: 'Pushing out' }).click();
  await write(page, '81.7 main; stop main', /^81\.7|Main/);
  await page.getByRole('button', { name: 'Pulling back' }).click();
  await write(page, '80.9 main', /80\.9/);
  await write(page, '31.7 clay 4 > pvc 4', /white PVC/);
  await write(page, '44.7 crack several; 49.7 crack around shifting at 3', /all the way round/);
  await write(page, '55 broken', /Broken pipe/);
  await write(page, '62 to 75 crack several', /Several cracks to/);
  await write(page, `2 located 2' 6" deep; 80 located 7 deep`, /Located/);

  await page.getByRole('link', { name: 'Sheet' }).click();
  await expect(page.getByTestId('verdict')).toHaveText('Urgent');
  await page.getByRole('button', { name: /^Liner, / }).click();
  const cutOnSheet = (await page.getByTestId('cut').innerText()).replace(' ft', '');
  const total = await page.getByTestId('total').innerText();

  await page.goto(server.url);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export 8 Orchard Rise as a job file' }).click();
  const file = info.outputPath('job.json');
  await (await download).saveAs(file);
  const scope = scopeOfFile(file);
  const liner = scope.lines[0]?.actions.find(({ method }) => method === 'line')?.liner;
  expect(Number(cutOnSheet)).toBe(liner?.cut_ft);
  expect(total).toBe(`$${Math.round(scope.price.total).toLocaleString('en-US')}`);

  await page.getByRole('link', { name: /8 Orchard Rise/ }).click();
  await page.getByRole('link', { name: 'Lengths' }).click();
  const cut = page.getByTestId(/^cut-/).first();
  await expect(cut).toHaveText(String(liner?.cut_ft.toFixed(1)));
  await cut.getByRole('button').click();
  await expect(page.getByText('Closing tail')).toBeVisible();
  await expect(page.getByText('Stops short of the main').or(page.getByText('Insert from'))).not.toHaveCount(
    0,
  );
});

test('what cannot be understood is marked and not written; what was written can be taken back', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/jobs/demo-2-larkfield-court/log`);
  const rows = page.getByRole('row');
  await expect(rows).not.toHaveCount(0);
  await page.getByText('3 Larkfield Court').first().waitFor();
  const before = await rows.count();
  await typed(page).fill('22 rots 15%');
  await expect(page.getByTestId('preview')).toContainText('did you mean “root');
  await typed(page).press('Enter');
  await expect(typed(page)).toHaveValue('22 rots 15%');
  await typed(page).fill('22 roots 15% 11-2; gap 3/4 at jo');
  await expect(page.getByTestId('preview')).toContainText('did you mean “joint”?');
  await typed(page).press('Tab');
  await expect(page.getByTestId('preview')).toContainText('Joint open, ¾ in, at a joint');
  await typed(page).press('Enter');
  await expect(rows).toHaveCount(before + 2);
  await expect(typed(page)).toHaveValue('');
  const undone = page.waitForResponse((answer) => answer.url().endsWith('/edits') && answer.ok());
  await typed(page).press('Control+z');
  await undone;
  await expect(rows).toHaveCount(before);
});

test('a disagreement is shown where it is and settled by one press', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/demo-1-quarry-lane/log`);
  await page.getByRole('button', { name: 'Pushing out' }).click();
  await typed(page).fill('51.9 pvc 4 > clay 4');
  await expect(page.getByText(/Near:/)).toBeVisible();
  await typed(page).press('Control+.');
  await expect(page.getByText(/Another reading of/)).toBeVisible();
  await typed(page).press('Enter');
  const row = page.getByRole('row').filter({ hasText: 'Which one is right?' });
  await expect(row).toHaveCount(1);
  await row.getByRole('button', { name: 'back 54.8' }).click();
  await expect(page.getByText('Which one is right?')).toHaveCount(0);
  const restored = page.waitForResponse((answer) => answer.url().endsWith('/edits') && answer.ok());
  await typed(page).press('Control+z');
  await restored;
});

test('a bad job file is refused with every fault named, and nothing is taken', async ({
  page,
  server,
}, info) => {
  await page.goto(server.url);
  await expect(page.getByRole('listitem').first()).toBeVisible();
  const before = await page.getByRole('listitem').count();
  const job = JSON.parse(readFileSync(join(root, 'demo/jobs/1-quarry-lane.json'), 'utf8')) as {
    title: string;
    lines: { datum: string; color?: string }[];
  };
  const [line] = job.lines;
  if (line) Object.assign(line, { datum: 'NOWHERE', color: 'red' });
  const bad = info.outputPath('bad.json');
  writeFileSync(bad, JSON.stringify(job));
  await page.getByLabel('Job files').setInputFiles(bad);
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('lines[0].color');
  await expect(alert).toContainText('unknown field');
  await expect(page.getByRole('listitem')).toHaveCount(before);
});

test('the sheet: hairline, reasons, working that opens, another school, by mouse and by key', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/jobs/demo-1-quarry-lane/sheet`);
  await expect(page.getByRole('heading', { name: /^Liner/ })).toBeVisible();
  const sheet = page.getByRole('group', { name: /^Sheet/ });
  await sheet.focus();
  await sheet.press('ArrowRight');
  await expect(page.getByTestId('hairline')).toContainText('0.0 ft ± 0.0');
  await sheet.press('Shift+ArrowRight');
  await expect(page.getByTestId('hairline')).toContainText('5.0 ft');
  await page.getByRole('button', { name: /^Offset, 0.9 in/ }).press('Enter');
  await page
    .getByRole('complementary', { name: 'Reason' })
    .getByRole('button', { name: /41\.4 ±/ })
    .click();
  await expect(page.getByText('Weighted by how sure each is')).toBeVisible();
  await page
    .getByRole('button', { name: /^Spot repair/ })
    .first()
    .press('Enter');
  await expect(page.getByRole('heading', { name: /^Spot repair/ })).toBeVisible();
  await expect(page.getByText(/competent person/).first()).toBeVisible();
  const before = await page.getByTestId('total').innerText();
  await page.getByRole('radio', { name: /^Keep it clean/ }).press('Enter');
  await expect(page.getByTestId('total')).not.toHaveText(before);
  await page.getByRole('radio', { name: /^Fix what failed/ }).click();
  await expect(page.getByTestId('total')).toHaveText(before);
});

for (const scheme of ['light', 'dark'] as const) {
  test(`no view has a fault that axe finds, in ${scheme}`, async ({ browser, server }) => {
    const context = await browser.newContext({ colorScheme: scheme, viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    const trouble: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error') trouble.push(message.text());
    });
    page.on('pageerror', (error) => trouble.push(error.message));
    for (const [path, shows] of [
      ['/', '14 Quarry Lane'],
      ['/jobs/demo-1-quarry-lane/log', 'A reading, then what is there'],
      ['/jobs/demo-1-quarry-lane/sheet', '14 Quarry Lane'],
      ['/jobs/demo-1-quarry-lane/lengths', '14 Quarry Lane'],
      ['/jobs/demo-1-quarry-lane/plan', 'Backfill excavation A'],
      ['/jobs/demo-1-quarry-lane/rules', 'Days and crews'],
      ['/practice', 'Clay with joints'],
      ['/practice/3/2', 'Pulling back'],
    ] as const) {
      await page.goto(server.url + path);
      await expect(page.getByText(shows).first()).toBeVisible();
      await expect(page.getByText('Working it out…')).toHaveCount(0);
      // What is saved as a file is pale until its content is computed.
      await expect(page.locator('button:disabled', { hasText: 'PDF' })).toHaveCount(0);
      expect(await axeFaults(page, { colorsOnly: scheme === 'dark' })).toEqual([]);
    }
    // The content security policy allows everything the pages need, and the console stays clean.
    expect(trouble).toEqual([]);
    await context.close();
  });
}
