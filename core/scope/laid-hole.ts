import type { Hole } from '../excavation/hole.js';
import { holeFigures, type HoleFigures } from '../excavation/hole-figures.js';
import { holeSheet, type HoleSheet } from '../excavation/hole-sheet.js';
import { deepestOf } from '../excavation/section.js';
import type { SurfaceKind } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import type { LineSolution } from '../solve/solution.js';

/** An excavation of the chosen scope with its figures, its drawing and the surface above it. */
export interface LaidHole extends Omit<Hole, 'quantities'> {
  readonly figures: HoleFigures;
  readonly sheet: HoleSheet;
  readonly surface: string;
  /** Shored or shielded wall area, ft². */
  readonly held_ft2: number;
}

export function laidHole({ line, prepared }: LineSolution, hole: Hole): LaidHole {
  const { track } = prepared.possible;
  const cells = track.cells.filter((cell) => overlaps(cell, hole) && !cell.closedTo);
  const kindAt = (cell: Interval) => hole.widened.find((wide) => overlaps(wide, cell))?.kind ?? hole.kind;
  const { quantities, ...rest } = hole;
  return {
    ...rest,
    held_ft2: quantities.shored_ft2 + quantities.shielded_ft2,
    surface: [...new Set<SurfaceKind>(cells.map(({ surface }) => surface))].join(', '),
    sheet: holeSheet(
      hole,
      deepestOf(cells.map((cell) => cell.sections[kindAt(cell)])),
      hole.protection,
      quantities,
      line.model,
    ),
    figures: holeFigures(
      hole,
      cells.map((cell) => ({ ...cell, section: cell.sections[kindAt(cell)] })),
      quantities,
      hole.protection,
      line.model.line.soil ?? 'unknown',
    ),
  };
}
