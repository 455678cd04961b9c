import { plain, type Step } from '../figure.js';
import { union, type Interval } from '../line/intervals.js';
import type { Cell } from './track.js';

/** Lengths of cells, summed stretch by stretch. */
export function feetSteps(cells: readonly Interval[], label: string): Step[] {
  return union(cells).map(({ from_ft, to_ft }) => ({
    label,
    expression: `${plain(to_ft)} − ${plain(from_ft)} = ${plain(to_ft - from_ft)} ft`,
    source: 'the scope',
  }));
}

/** Length of those of one bore. */
export const feetOfBore = (cells: readonly Cell[], bore_in: number): Step[] =>
  feetSteps(
    cells.filter(({ pipe }) => pipe.diameter_in === bore_in),
    `Along the pipe, ${plain(bore_in)} in`,
  );
