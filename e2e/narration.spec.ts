import type { Page } from '@playwright/test';
import { newLog } from './support/new-log.js';
import { axeFaults } from './support/axe.js';
import { jobTitled } from './support/headless.js';
import { expect, keptPages, test } from './support/server.js';

test.use({ serviceWorkers: 'allow' });

const typed = (page: Page) => page.getByLabel(/What the camera shows/);
const row = (page: Page, text: RegExp | string) => page.getByRole('row').filter({ hasText: text });

const talk = [
  'okay at nine feet you can see we go from the abs to clay',
  "some roots at the joint at forty four about thirty percent i don't see any cracks",
  'broken pipe at sixty one',
  "sorry that's not sixty one that's sixty two",
  "there's the city main at seventy eight feet",
  'thanks for watching',
].join('\n');

test('a talk is pasted, gone through by keyboard, one entry mended, written, taken back and still there after a reload', async ({
  page,
  server,
}) => {
  await newLog(page, server.url, '5 Talking Lane');
  await page.getByRole('button', { name: 'Narration in' }).click();
  const panel = page.getByRole('dialog', { name: 'Narration in' });
  await panel.getByLabel('Or paste the words').fill(talk);
  await panel.getByRole('button', { name: 'Read it' }).click();
  const proposals = panel.getByRole('list', { name: 'Proposals' }).getByRole('listitem');
  await expect(proposals).toHaveCount(5);
  await expect(proposals.nth(2)).toContainText('Broken pipe, at 62 on the counter');
  await expect(proposals.nth(4)).toContainText('thanks for watching');
  expect(await axeFaults(page, { within: '[role=dialog]' })).toEqual([]);

  await expect(proposals.nth(0)).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(proposals.nth(1)).toBeFocused();
  await page.keyboard.press('m');
  const field = panel.getByLabel('The entry, as the log line writes it');
  await expect(field).toHaveValue('44 roots 30% at joint out');
  await field.fill('44 roots 35% at joint out at 2');
  await page.keyboard.press('Enter');
  await expect(proposals.nth(2)).toBeFocused();
  await page.keyboard.press('Delete');
  await expect(proposals.nth(3)).toBeFocused();
  await page.keyboard.press('Enter');

  // The decisions are kept on this device.
  await page.reload();
  await page.getByRole('button', { name: /Narration in/ }).click();
  await expect(panel.getByRole('button', { name: 'Write 3 into the log' })).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await expect(panel).toBeHidden();
  await expect(row(page, 'ABS, then clay')).toHaveCount(1);
  await expect(row(page, /Roots, 35 %/)).toContainText('some roots at the joint at forty four');
  await expect(row(page, 'Broken pipe')).toHaveCount(0);
  await expect(page.getByTestId('saved')).toHaveText('Saved');

  // One undo takes all of it back; one redo brings it again.
  await typed(page).focus();
  await page.keyboard.press('Control+z');
  await expect(row(page, /Roots, 35 %/)).toHaveCount(0);
  await expect(row(page, 'ABS, then clay')).toHaveCount(0);
  await page.keyboard.press('Control+y');
  await expect(row(page, /Roots, 35 %/)).toHaveCount(1);
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  await page.reload();
  await expect(row(page, /Roots, 35 %/)).toHaveCount(1);
});

test('captions keep their moments, shifted by one offset; what is certain is accepted at once; a bad file says its line', async ({
  page,
  server,
}) => {
  await newLog(page, server.url, '6 Talking Lane');
  await page.getByRole('button', { name: 'Narration in' }).click();
  const panel = page.getByRole('dialog', { name: 'Narration in' });
  const give = (name: string, text: string) =>
    panel
      .getByLabel('Captions file')
      .setInputFiles({ name, mimeType: 'text/vtt', buffer: Buffer.from(text) });
  await give('bad.vtt', 'WEBVTT\n\n00:01.000 --> soon\nroots\n');
  await expect(panel.getByRole('alert')).toContainText('Line 3');
  await panel.getByRole('button', { name: 'Put away' }).click();
  await give(
    'good.vtt',
    'WEBVTT\n\n00:50.000 --> 00:55.000\nsix inch clay\n\n01:10.000 --> 01:15.000\ncrack at forty\n\n01:15.000 --> 01:20.000\nsome more roots\n',
  );
  await expect(panel.getByText('1:10')).toBeVisible();
  await panel.getByLabel('Video is later by, s').fill('20');
  await expect(panel.getByText('1:30')).toBeVisible();
  await panel.getByRole('button', { name: 'Accept all that are certain' }).click();
  await expect(panel.getByRole('button', { name: 'Write 1 into the log' })).toBeVisible();
  // What was said without feet is written too, to be located from the video.
  await panel.getByRole('button', { name: 'Accept', exact: true }).nth(2).click();
  // So is the one pipe that was named: of the line, not of a place.
  const pipe = panel.getByRole('listitem', { name: /pipe of this line.*6 in clay/i });
  await pipe.getByRole('button', { name: 'Accept' }).click();
  await panel.getByRole('button', { name: 'Write 3 into the log' }).click();
  await expect(row(page, /^.*Crack/)).toContainText('1:30');
  await expect(page.getByText(/to read from the video.*its reading/)).toBeVisible();
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  const job = await jobTitled(page, server.url, '6 Talking Lane');
  expect(job.lines[0]?.pipe).toEqual({ material: 'clay', diameter_in: 6 });
});

test('on a phone a talk is read, gone through and written with the thumb alone, without the server', async ({
  browser,
  server,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await newLog(page, server.url, '7 Talking Lane');
  await keptPages(page);
  await page.getByRole('button', { name: 'Narration in' }).click();
  const panel = page.getByRole('dialog', { name: 'Narration in' });
  await panel.getByLabel('Or paste the words').fill(talk);
  await panel.getByRole('button', { name: 'Read it' }).click();
  await panel.getByRole('button', { name: 'Accept', exact: true }).nth(1).click();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
  await context.setOffline(true);
  await panel.getByRole('button', { name: 'Write 1 into the log' }).click();
  await expect(row(page, /Roots, 30 %/)).toHaveCount(1);
  await context.setOffline(false);
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  await context.close();
});

test('Enter writes what stands on the line and nothing else; Tab and → finish the word', async ({
  page,
  server,
}) => {
  await newLog(page, server.url, '8 Talking Lane');
  await typed(page).fill('60 mai');
  await page.keyboard.press('Enter');
  await expect(typed(page)).toHaveValue('60 mai');
  await expect(page.getByTestId('preview')).toContainText('did you mean “main”?');
  await page.keyboard.press('ArrowRight');
  await expect(typed(page)).toHaveValue('60 main ');
  await typed(page).fill('46 roo');
  await page.keyboard.press('Tab');
  await expect(typed(page)).toHaveValue('46 root ');
  await typed(page).fill('46 no roots');
  await page.keyboard.press('Enter');
  await expect(row(page, 'seen, none: roots')).toHaveCount(1);
});

test('what may mean two things is asked, and one key answers; one key turns the pipes round', async ({
  page,
  server,
}) => {
  await newLog(page, server.url, '9 Talking Lane');
  await typed(page).fill('46 roots 10');
  await page.keyboard.press('Enter');
  await expect(typed(page)).toHaveValue('46 roots 10');
  await page.keyboard.press('Alt+w');
  await expect(typed(page)).toHaveValue("46 roots at 10 o'clock");
  await expect(page.getByTestId('preview')).toContainText('at 10 o’clock');
  await page.keyboard.press('Enter');
  await expect(row(page, /Roots, at 10 o’clock/)).toHaveCount(1);
  await typed(page).fill('30 clay > abs');
  await expect(page.getByTestId('preview')).toContainText('ABS toward the house, clay toward the street');
  await page.keyboard.press('Alt+q');
  await expect(page.getByTestId('preview')).toContainText('clay toward the house, ABS toward the street');
  await page.keyboard.press('Enter');
  await expect(row(page, 'Clay, then ABS')).toHaveCount(1);
  // A note without feet is an entry too.
  await typed(page).fill('"tenant says it backs up on Sundays"');
  await page.keyboard.press('Enter');
  await expect(row(page, 'no feet')).toContainText('tenant says');
  // Feet that rise while pulling back were read pushing out, and met the pipes in the other order.
  for (const [line, says] of [
    ['50 offset', 'Offset'],
    ['56 wye', 'Branch connection 1'],
    ['60 hole', 'Hole'],
    ['64 crack', 'Crack'],
  ] as const) {
    await typed(page).fill(line);
    await page.keyboard.press('Enter');
    await expect(row(page, says)).toHaveCount(1);
  }
  const asked = page.getByRole('status').filter({ hasText: 'The counter goes up, pulling back' });
  await expect(asked).toContainText('at 30, ABS toward the house, clay toward the street');
  await asked.getByRole('button', { name: 'Pushing out' }).click();
  await expect(row(page, 'ABS, then clay')).toHaveCount(1);
  await expect(asked).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Pushing out' }).first()).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(typed(page)).toBeFocused();
  await page.keyboard.press('Control+z');
  await expect(row(page, 'Clay, then ABS')).toHaveCount(1);
});
