import { overlaps } from '../line/intervals.js';
import { tolerance } from '../job/units.js';
import type { Draft } from '../price/price-line.js';
import { num } from '../search/columns.js';
import { overCells } from '../track/sums.js';
import { isCutBack, type Cell, type Track } from '../track/track.js';
import { feetSteps } from '../track/feet-steps.js';
import type { MethodRow } from './method.js';

/** Clean the pipe, and cut back what sticks in. */
export const clean: MethodRow = {
  id: 'clean',
  words: { name: 'Clean', setUp: 'clean', asked: { name: 'Clean', key: 'c', does: 'clean it' } },
  drawing: { fill: 'water', ink: 'sheet' },
  cures: ['clean'],
  standsFor: 'clean',
};

/** Running raw cost of cleaning the cells of a track, with cutting back what sticks in. */
export function cleaningCosts(track: Track): Float64Array {
  const { prices, cells, condition } = track;
  const sums = overCells(track, (_, __, length) => length * prices.cleaning_per_ft);
  for (const finding of condition.findings.filter(({ id }) => isCutBack(track, id))) {
    const at = cells.findIndex((cell) => overlaps(cell, finding.place));
    for (let i = at + 1; at >= 0 && i < sums.length; i++) sums[i] = num(sums, i) + prices.cutBack_each;
  }
  return sums;
}

/** Price lines of everything that is cleaned on a line. */
export function cleaningDrafts(track: Track, cleaned: readonly Cell[]): Draft[] {
  const { prices, condition } = track;
  const cut = condition.findings.filter(
    ({ id, place }) =>
      isCutBack(track, id) &&
      cleaned.some(
        (cell) => cell.from_ft < place.to_ft - tolerance.ft && cell.to_ft > place.from_ft + tolerance.ft,
      ),
  );
  return [
    {
      action: null,
      what: 'Clean',
      quantity: cleaned.reduce((sum, cell) => sum + cell.to_ft - cell.from_ft, 0),
      unit: 'ft',
      rate: prices.cleaning_per_ft,
      from: 'cleaning_per_ft',
      steps: feetSteps(cleaned, 'Cleaned'),
    },
    {
      action: null,
      what: 'Cut back what sticks in',
      quantity: cut.length,
      unit: 'each',
      rate: prices.cutBack_each,
      from: 'cutBack_each',
    },
  ];
}
