import { expect, type Page } from '@playwright/test';
import axe, { type RunOptions } from 'axe-core';

interface Options {
  /** Only color rules: for the other of light and dark, once everything else was checked in one of them. */
  readonly colorsOnly?: boolean;
  /** Only inside what a selector finds. */
  readonly within?: string;
  /** Color rules, the slowest by far, only inside what this selector finds; all others over the whole page. */
  readonly colorsWithin?: string;
}

const colorRules = ['color-contrast', 'link-in-text-block'];
const withoutColors = Object.fromEntries(colorRules.map((id) => [id, { enabled: false }]));

/** What axe (WCAG 2 rules and its own good practices) finds wrong with a page: one rule and place per line. */
export async function axeFaults(
  page: Page,
  { colorsOnly = false, within, colorsWithin }: Options = {},
): Promise<string[]> {
  if (colorsWithin !== undefined) {
    const colors = await axeFaults(page, { colorsOnly: true, within: colorsWithin });
    return [...colors, ...(await faultsOf(page, undefined, { rules: withoutColors }))];
  }
  return faultsOf(page, within, colorsOnly ? { runOnly: colorRules } : {});
}

/**
 * Axe run inside the page itself: no page of ours holds a frame, and its Playwright package takes three times as long,
 * since it puts frames together in a page of its own.
 */
async function faultsOf(page: Page, within: string | undefined, options: RunOptions): Promise<string[]> {
  // The first header covers a page that is not drawn yet.
  await expect(page.locator('#root > [inert]')).toHaveCount(0);
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  const { violations } = await page.evaluate(
    ([inside, chosen]) => (window as unknown as { axe: typeof axe }).axe.run(inside ?? document, chosen),
    [within, { ...options, resultTypes: ['violations'] } satisfies RunOptions] as const,
  );
  return violations.map(({ id, nodes }) => {
    const where = nodes.map(({ target, html }) => `${target.join(' ')} ${html}`);
    return `${new URL(page.url()).pathname} ${id}: ${where.join(', ')}`;
  });
}
