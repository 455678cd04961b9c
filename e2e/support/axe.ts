import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

interface Options {
  /** Only color rules: for the other of light and dark, once everything else was checked in one of them. */
  readonly colorsOnly?: boolean;
  /** Only inside what a selector finds. */
  readonly within?: string;
}

/** What axe (WCAG 2 rules and its own good practices) finds wrong with a page: one rule and place per line. */
export async function axeFaults(page: Page, { colorsOnly = false, within }: Options = {}): Promise<string[]> {
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] });
  if (colorsOnly) axe.withRules(['color-contrast', 'link-in-text-block']);
  if (within !== undefined) axe.include(within);
  const { violations } = await axe.analyze();
  return violations.map(({ id, nodes }) => {
    const where = nodes.map(({ target, html }) => `${target.join(' ')} ${html}`);
    return `${new URL(page.url()).pathname} ${id}: ${where.join(', ')}`;
  });
}
