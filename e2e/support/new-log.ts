import { expect, type Page } from '@playwright/test';

/** A job of its own, its log open; its pipe unknown unless one is chosen. */
export async function newLog(page: Page, url: string, title: string, pipe?: string): Promise<void> {
  await page.goto(url);
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByLabel('Name or address').fill(title);
  if (pipe !== undefined)
    await page.getByLabel('Pipe, where no change says otherwise').selectOption({ label: pipe });
  await page.getByRole('button', { name: 'Start the camera log' }).click();
  await expect(page).toHaveURL(/\/log$/);
  await expect(page.getByLabel(/What the camera shows/)).toBeVisible();
}
