import type { GradedFinding } from '../condition/graded-finding.js';
import { overlaps } from '../line/intervals.js';
import { tolerance } from '../units.js';
import type { Draft } from '../price/price-line.js';
import { num } from '../search/columns.js';
import { isCutBack, type Cell, type Track } from '../track/track.js';
import { feetSteps } from '../track/feet-steps.js';
import { cures, type MethodRow } from './method.js';

/** Clean the pipe and cut back protrusions. */
export const clean: MethodRow = {
  id: 'clean',
  words: { name: 'Clean', setUp: 'clean', asked: { name: 'Clean', key: 'c', does: 'clean it' } },
  drawing: { fill: 'water', ink: 'sheet' },
  cures: ['clean'],
  standsFor: 'clean',
};

/** Roots, deposits and whatever sticks in: a jetter or a cutter takes it out. */
export const isCleanedOut = (finding: GradedFinding): boolean => cures(clean, finding, false);

/** Running raw cost of cutting back protrusions into the cells of a track; getting there is part of the visit. */
export function cutBackCosts(track: Track): Float64Array {
  const { prices, cells, condition } = track;
  const sums = new Float64Array(cells.length + 1);
  for (const finding of condition.findings.filter(({ id }) => isCutBack(track, id))) {
    const at = cells.findIndex((cell) => overlaps(cell, finding.place));
    for (let i = at + 1; at >= 0 && i < sums.length; i++) sums[i] = num(sums, i) + prices.cutBack_each;
  }
  return sums;
}

/** Price lines of a cleaning visit: every foot once, plus protrusions cut back in the cells it cleans. */
export function cleaningDrafts(
  track: Track,
  passed: readonly Cell[],
  cleaned: readonly Cell[],
  from: string | undefined,
): Draft[] {
  const { prices, condition } = track;
  const cut = condition.findings.filter(
    ({ id, place }) =>
      isCutBack(track, id) &&
      cleaned.some(
        (cell) => cell.from_ft < place.to_ft - tolerance.ft && cell.to_ft > place.from_ft + tolerance.ft,
      ),
  );
  const byRate = (descale: boolean) => passed.filter((cell) => cell.descale === descale);
  const line = (what: string, cells: readonly Cell[], rate: number, path: string): Draft => ({
    action: null,
    what: from === undefined ? what : `${what}, from ${from}`,
    quantity: cells.reduce((sum, cell) => sum + cell.to_ft - cell.from_ft, 0),
    unit: 'ft',
    rate,
    from: path,
    steps: feetSteps(cells, what),
  });
  return [
    line('Clean', byRate(false), prices.cleaning_per_ft, 'cleaning_per_ft'),
    line('Descale the iron pipe', byRate(true), prices.descaling_per_ft, 'descaling_per_ft'),
    {
      action: null,
      what: 'Cut back protrusions',
      quantity: cut.length,
      unit: 'each',
      rate: prices.cutBack_each,
      from: 'cutBack_each',
    },
  ];
}
