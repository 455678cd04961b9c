import { roundCents, tolerance } from '../units.js';
import type { Method } from '../job/vocabulary.js';
import { overlap } from '../line/intervals.js';
import type { Prepared } from '../prepare/prepare.js';
import { forbidding } from '../solve/restrictions.js';
import { uncuredBy, solutionOf, type Solution, type SolveInput } from '../solve/solution.js';
import type { Segment } from './segments.js';

/** The next best choice for a segment: the method covering most of it, and the added cost of the whole scope. */
export interface RunnerUp {
  readonly method: Method;
  readonly costsMore: number;
}

/** What the search minimizes, in money: mobilization and all lines' plans. */
export const costOf = (solution: Solution): number => solution.scope + solution.carried;

/** The minimum with a segment's method forbidden on all its cells; null where no other choice satisfies the rules. */
export function runnerUp(
  segment: Segment,
  lineId: string,
  input: SolveInput,
  prepared: readonly Prepared[],
  { totalCost, uncured_ft }: { readonly totalCost: number; readonly uncured_ft: number },
): RunnerUp | null {
  const other = solutionOf(
    { ...input, forbid: new Map([[lineId, [forbidding(segment.method, segment)]]]) },
    prepared,
  );
  const mine = other.lines.find(({ line }) => line.model.line.id === lineId);
  // A scope that leaves more uncured is not an alternative.
  if (!other.feasible || !mine?.chosen || uncuredBy(other) > uncured_ft + tolerance.ft) return null;
  const feet = new Map<Method, number>();
  mine.prepared.possible.track.cells.forEach((cell, i) => {
    const method = mine.chosen?.layout.cells[i]?.method;
    if (method) feet.set(method, (feet.get(method) ?? 0) + overlap(cell, segment));
  });
  const [most] = [...feet].sort((a, b) => b[1] - a[1]);
  return most ? { method: most[0], costsMore: roundCents(Math.max(0, costOf(other) - totalCost)) } : null;
}
