import { expect, type Page } from '@playwright/test';

/** Moves the focus by Tab alone until it is on the element of this name. */
export async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  for (let press = 0; press < 150; press++) {
    const focused = await page.evaluate(() => {
      const element = document.activeElement;
      if (!element || element === document.body) return '';
      const labels = 'labels' in element ? (element as HTMLInputElement).labels : null;
      return (
        element.getAttribute('aria-label') ??
        labels?.[0]?.textContent ??
        (element as HTMLElement).innerText
      ).trim();
    });
    if (typeof name === 'string' ? focused === name : name.test(focused)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never came to ${String(name)}`);
}

/** Types a line at the focus, writes it, and waits until the server has it on disk. */
export async function say(page: Page, words: string): Promise<void> {
  await page.keyboard.type(words);
  const saved = page.waitForResponse((answer) => answer.url().endsWith('/edits'));
  await page.keyboard.press('Enter');
  const answer = await saved;
  expect(answer.ok(), await answer.text()).toBe(true);
  await expect(page.getByLabel(/What the camera shows/)).toHaveValue('');
}
