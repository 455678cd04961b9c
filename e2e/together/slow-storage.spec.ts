import type { Page } from '@playwright/test';
import { jobTitled } from '../support/headless.js';
import { newLog } from '../support/new-log.js';
import { expect, startServer, test } from '../support/server.js';

const typed = (page: Page) => page.getByLabel(/What the camera shows/);
const rows = (page: Page, text: RegExp) => page.getByRole('row').filter({ hasText: text });

/** The outbox's storage delays every write, as on a full phone, until it is released. */
async function slowOutbox(page: Page): Promise<() => Promise<void>> {
  await page.addInitScript(() => {
    const gate = new Promise<void>((open) => {
      (window as unknown as { letStorageGo: () => void }).letStorageGo = open;
    });
    const complete = Object.getOwnPropertyDescriptor(IDBTransaction.prototype, 'oncomplete');
    Object.defineProperty(IDBTransaction.prototype, 'oncomplete', {
      set(this: IDBTransaction, then: (event: Event) => void) {
        const slow = this.mode === 'readwrite' && [...this.objectStoreNames].includes('outbox');
        complete?.set?.call(this, (event: Event) => {
          if (slow)
            void gate.then(() => {
              then(event);
            });
          else then(event);
        });
      },
    });
  });
  return () =>
    page.evaluate(() => {
      (window as unknown as { letStorageGo: () => void }).letStorageGo();
    });
}

test('lines written while storage is slow are shown at once, each goes by an id of its own, and all go in', async ({
  page,
}) => {
  const server = await startServer('none');
  await newLog(page, server.url, '9 Slow Meadow');
  await expect(typed(page)).toBeFocused();
  const letGo = await slowOutbox(page);
  await page.reload();
  for (const words of ['12 crack along', '15 offset 1/2', '18 roots 20%']) {
    await typed(page).fill(words);
    await typed(page).press('Enter');
    await expect(typed(page)).toHaveValue('');
  }
  // Nothing is in storage yet, and nothing is called saved.
  for (const each of [/Crack along/, /Offset/, /Roots/]) await expect(rows(page, each)).toHaveCount(1);
  await expect(page.getByTestId('saved')).toHaveText('3 waiting');
  // The page asks before it is left with something only it has.
  const asked = page.waitForEvent('dialog');
  const leaving = page.evaluate(() => {
    location.reload();
  });
  const dialog = await asked;
  expect(dialog.type()).toBe('beforeunload');
  await dialog.dismiss();
  await leaving;
  await expect(rows(page, /Roots/)).toHaveCount(1);

  await letGo();
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  const { lines } = await jobTitled(page, server.url, '9 Slow Meadow');
  const entries = lines.flatMap(({ runs }) => runs.flatMap((run) => run.entries));
  expect(entries.map((entry) => ('reading_ft' in entry ? entry.reading_ft : undefined))).toEqual([
    12, 15, 18,
  ]);
  expect(new Set(entries.map(({ id }) => id)).size).toBe(3);
  // Undo takes them back one by one, the last first.
  await typed(page).press('Control+z');
  await expect(rows(page, /Roots/)).toHaveCount(0);
  await expect(rows(page, /Offset/)).toHaveCount(1);
  await server.stop();
});
