import type { Locator, Page } from '@playwright/test';
import { axeFaults } from './support/axe.js';
import { expect, test } from './support/server.js';

const job = '/jobs/demo-1-quarry-lane';
const press = (name: string | RegExp) => (page: Page) => page.getByRole('button', { name }).first().click();
const csv = {
  name: 'log.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from('line\n21 roots 10%\nnonsense here\n'),
};

/** What opens over or inside a view: where, how, and what is visible then. */
const surfaces: readonly {
  readonly at: string;
  readonly open: (page: Page) => Promise<unknown>;
  readonly shows: (page: Page) => Locator;
  /** Colors are looked through only here: whole-path.spec.ts goes through those of the view below it. */
  readonly colorsWithin?: string;
  /** By keys and mouse only. */
  readonly wide?: true;
}[] = [
  { at: '/', open: press('New job'), shows: (page) => page.getByLabel('Name or address') },
  { at: `${job}/log`, open: press('Add a run'), shows: (page) => page.getByLabel('In at') },
  { at: `${job}/log`, open: press('change'), shows: (page) => page.getByLabel('Counter zeroed') },
  {
    at: `${job}/log`,
    open: (page) => page.locator('input[aria-label="CSV file of a log"]').setInputFiles(csv),
    shows: (page) => page.getByRole('dialog', { name: 'Rows of log.csv' }),
    colorsWithin: '[role=dialog]',
  },
  {
    at: `${job}/log`,
    open: press('Narration in'),
    shows: (page) => page.getByRole('dialog', { name: 'Narration in' }),
    colorsWithin: '[role=dialog]',
  },
  {
    at: `${job}/sheet`,
    open: press('History of this job'),
    shows: (page) => page.getByRole('complementary', { name: 'History' }),
    colorsWithin: '[aria-label=History]',
  },
  {
    at: `${job}/sheet`,
    open: press('Legend'),
    shows: (page) => page.getByRole('dialog'),
    colorsWithin: '[role=dialog]',
  },
  { at: `${job}/sheet`, open: press('Grade and flow'), shows: (page) => page.locator('canvas').first() },
  {
    at: `${job}/sheet`,
    open: async (page) => {
      // Keys work once the whole sheet is there.
      await expect(page.getByRole('button', { name: 'Legend' })).toBeVisible();
      await page.keyboard.press('Shift+?');
    },
    shows: (page) => page.getByRole('dialog'),
    colorsWithin: '[role=dialog]',
    wide: true,
  },
  {
    at: `${job}/sheet`,
    open: (page) => page.getByRole('button', { name: /^Liner,/, pressed: true }).click(),
    shows: (page) => page.getByRole('menu'),
    colorsWithin: '[role=menu]',
    wide: true,
  },
  {
    at: `${job}/lengths`,
    open: (page) =>
      page
        .getByTitle(/^Cut length: show the working/)
        .first()
        .click(),
    shows: (page) => page.locator('[aria-expanded=true]').first(),
  },
  {
    at: `${job}/site`,
    open: (page) => page.getByRole('tab', { name: /^Points/ }).click(),
    shows: (page) => page.getByRole('button', { name: /^Delete/ }).first(),
  },
  {
    at: `${job}/site`,
    open: press('Add another line'),
    shows: (page) => page.getByLabel('Called'),
  },
  {
    at: '/jobs/none/log',
    open: () => Promise.resolve(),
    shows: (page) => page.getByText(/no such job/i).first(),
  },
  { at: '/nowhere', open: () => Promise.resolve(), shows: (page) => page.getByRole('heading').first() },
];

for (const { name, width, height, colorScheme } of [
  { name: 'at a desk, in light', width: 1280, height: 800, colorScheme: 'light' },
  { name: 'on a phone, in dark', width: 390, height: 780, colorScheme: 'dark' },
] as const) {
  test(`what opens over a view has no fault that axe finds, ${name}`, async ({ browser, server }) => {
    const context = await browser.newContext({ viewport: { width, height }, colorScheme });
    const page = await context.newPage();
    const faults: string[] = [];
    for (const { at, open, shows, colorsWithin, wide } of surfaces) {
      if (wide && width < 768) continue;
      await page.goto(server.url + at);
      await expect(page.getByText('Working it out…')).toHaveCount(0);
      await open(page);
      await expect(shows(page)).toBeVisible();
      expect(await page.evaluate(() => document.documentElement.scrollWidth), at).toBeLessThanOrEqual(width);
      const found = await axeFaults(page, { ...(colorsWithin && { colorsWithin }) });
      faults.push(...found.map((fault) => `${String(open)}: ${fault}`));
    }
    expect(faults).toEqual([]);
    await context.close();
  });
}
