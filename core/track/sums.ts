import type { GradedFinding } from '../condition/graded-finding.js';
import { rateForBore } from '../job/prices.js';
import { sameStation_ft } from '../units.js';
import type { PlacedPoint } from '../line/model.js';
import { num, over, runningSums } from '../search/columns.js';
import type { Cell, Track } from './track.js';

/** Running sum of a value over the cells of a track, so that any stretch takes two look-ups. */
export const overCells = (
  { cells }: Track,
  value: (cell: Cell, index: number, length_ft: number) => number,
): Float64Array =>
  runningSums(cells.length, (index) => {
    const cell = cells[index] as Cell;
    return value(cell, index, cell.to_ft - cell.from_ft);
  });

/** Running count of the cells for which something is true. */
export const countCells = (track: Track, is: (cell: Cell) => boolean): Float64Array =>
  overCells(track, (cell) => (is(cell) ? 1 : 0));

/** Running count of the breaks between two cells that differ in some respect. */
export const countSteps = (track: Track, differ: (before: Cell, cell: Cell) => boolean): Float64Array =>
  overCells(track, (cell, index) => {
    const before = track.cells[index - 1];
    return before !== undefined && differ(before, cell) ? 1 : 0;
  });

/** Running count of the breaks at which the bore changes. */
export const boreStepsOf = (track: Track): Float64Array =>
  countSteps(track, (before, cell) => before.pipe.diameter_in !== cell.pipe.diameter_in);

/** Running cost from a table of rates by bore, money per ft. */
export const byBore = (track: Track, table: Record<string, number>): Float64Array =>
  overCells(track, (cell, _, length) => length * (rateForBore(table, cell.pipe.diameter_in) ?? 0));

/** Running sum of a value over the points at or before each fine break; read it with `inside`. */
export function overPoints({ breaks, model }: Track, value: (placed: PlacedPoint) => number): Float64Array {
  const own = new Float64Array(breaks.length);
  for (const placed of model.points) {
    const index = breaks.findIndex((x) => Math.abs(x - placed.at.station_ft) <= sameStation_ft);
    if (index >= 0) own[index] = num(own, index) + value(placed);
  }
  return runningSums(breaks.length, (index) => num(own, index));
}

/** Running sum of a value over the findings, by the cell where each begins. */
export const overFindings = (track: Track, value: (finding: GradedFinding) => number): Float64Array =>
  overCells(track, (cell) =>
    track.condition.findings
      .filter(({ placed }) => placed.from_ft >= cell.from_ft && placed.from_ft < cell.to_ft)
      .reduce((sum, finding) => sum + value(finding), 0),
  );

export { over };
/** Over the points strictly inside a stretch between two fine breaks. */
export const inside = (sums: Float64Array, start: number, end: number): number =>
  num(sums, end) - num(sums, start + 1);
