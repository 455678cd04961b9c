import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

interface Options {
  /** Only color rules: for the other of light and dark, once everything else was checked in one of them. */
  readonly colorsOnly?: boolean;
  /** Only inside what a selector finds. */
  readonly within?: string;
  /** Color rules, the slowest by far, only inside what this selector finds; all others over the whole page. */
  readonly colorsWithin?: string;
}

const colorRules = ['color-contrast', 'link-in-text-block'];

/** What axe (WCAG 2 rules and its own good practices) finds wrong with a page: one rule and place per line. */
export async function axeFaults(
  page: Page,
  { colorsOnly = false, within, colorsWithin }: Options = {},
): Promise<string[]> {
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] });
  if (colorsWithin !== undefined) {
    const colors = await axeFaults(page, { colorsOnly: true, within: colorsWithin });
    return [...colors, ...(await faultsOf(page, axe.disableRules(colorRules)))];
  }
  if (colorsOnly) axe.withRules(colorRules);
  if (within !== undefined) axe.include(within);
  return faultsOf(page, axe);
}

async function faultsOf(page: Page, axe: AxeBuilder): Promise<string[]> {
  const { violations } = await axe.analyze();
  return violations.map(({ id, nodes }) => {
    const where = nodes.map(({ target, html }) => `${target.join(' ')} ${html}`);
    return `${new URL(page.url()).pathname} ${id}: ${where.join(', ')}`;
  });
}
