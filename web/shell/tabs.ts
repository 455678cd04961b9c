/** The views of a job, in the order people work. */
export const jobTabs = [
  ['site', 'Site'],
  ['log', 'Camera log'],
  ['sheet', 'Sheet'],
  ['lengths', 'Lengths'],
  ['holes', 'Excavations'],
  ['offer', 'Offer'],
  ['plan', 'Plan'],
  ['after', 'Follow-up'],
  ['rules', 'Rates and rules'],
] as const;

/** The views open to crew. */
const crewTabs: ReadonlySet<string> = new Set(['log', 'lengths', 'holes']);

/** Whether a view is open to a user, by whether they see prices. */
export const isOpenTo = (tab: string, seesPrices: boolean): boolean => seesPrices || crewTabs.has(tab);

/** Width of the "More" button, px. */
const more_px = 84;

/** How many of the tabs fit, including the open one, which replaces the last that fits. */
export function shownOf(widths: readonly number[], room: number, open: number): number[] {
  const all = widths.map((_, i) => i);
  if (widths.reduce((sum, width) => sum + width, 0) <= room) return all;
  const shown: number[] = [];
  let left = room - more_px - (widths[open] ?? 0);
  for (const i of all) {
    if (i === open) continue;
    left -= widths[i] ?? 0;
    if (left < 0) break;
    shown.push(i);
  }
  return [...shown, ...(open >= 0 ? [open] : [])].sort((a, b) => a - b);
}
