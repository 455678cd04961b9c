import { isCleaned, isCurable } from '../condition/graded-finding.js';
import type { CleanoutStatus } from '../cleanouts/cleanouts.js';
import { findingName } from '../findings/kinds.js';
import { roundCents } from '../units.js';
import { overlaps } from '../line/intervals.js';
import { totalOf } from '../price/price-line.js';
import type { CleanoutWork } from '../solve/cleanout-work.js';
import { solutionOf, type LineSolution, type Solution, type SolveInput } from '../solve/solution.js';

/** A watched place left as it is, and what curing it in this scope would add. */
export interface Option {
  readonly what: string;
  readonly adds: number;
  /** The finding's entry id; null for a cleanout. */
  readonly finding: string | null;
}

const cleanoutVerbs: Readonly<Record<CleanoutStatus, string>> = {
  new: 'a new cleanout',
  exposed: 'expose the buried cleanout',
  raised: 'raise the cleanout',
  recapped: 'a new cap on the cleanout',
  rebuilt: 'rebuild the cleanout',
};

/** Cleanouts that are missing or out of order where nothing else opens the line, each with its price. */
export const cleanoutOptions = (all: readonly CleanoutWork[]): Option[] =>
  all
    .filter(({ offered }) => offered)
    .map(({ status, place, why, prices }) => ({
      what: `${cleanoutVerbs[status]} ${place}: ${why}`,
      adds: totalOf(prices),
      finding: null,
    }));

/** What curing each watched place that is left would add to this scope's price. */
export function optionalCures(lineSolution: LineSolution, solution: Solution, input: SolveInput): Option[] {
  const { line, chosen, prepared } = lineSolution;
  const id = line.model.line.id;
  const { cells } = prepared.possible.track;
  const watched = line.condition.findings.filter(
    (finding) =>
      finding.grade === 2 &&
      isCurable(finding) &&
      !isCleaned(finding) &&
      !finding.possible &&
      cells.some((cell, i) => overlaps(cell, finding.place) && chosen?.layout.cells[i]?.action === null),
  );
  const earlier = solution.lines.map((each) => each.prepared);
  return watched.flatMap((finding) => {
    const other = solutionOf({ ...input, extra: new Map([[id, [finding.id]]]), earlier });
    const mine = other.lines.find((each) => each.line.model.line.id === id);
    const track = mine?.prepared.possible.track;
    const at = track?.cells.findIndex((cell) => overlaps(cell, finding.place)) ?? -1;
    const cell = mine?.chosen?.layout.cells[at];
    if (!other.feasible || !cell || cell.uncured) return [];
    return [
      {
        what: `${cell.method} at ${finding.placed.from_ft.toFixed(1)} ft: ${findingName(finding.placed.entry.finding).toLowerCase()} to watch`,
        adds: roundCents(other.scope - solution.scope),
        finding: finding.id,
      },
    ];
  });
}
