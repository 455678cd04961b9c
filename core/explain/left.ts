import { isCleaned, type GradedFinding } from '../condition/graded-finding.js';
import { roundCents } from '../units.js';
import type { Method } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { creditOf } from '../prepare/carried.js';
import { candidateCures } from '../prepare/possible.js';
import { leavesRoots, type LineSolution } from '../solve/solution.js';

/** A finding left as it is, and its expected cost within the horizon, present value. */
export interface LeftFinding {
  readonly finding: GradedFinding;
  readonly costs: number;
}

/** What a scope leaves undone on one line. `findings` and upkeep add up to its expected future cost. */
export interface LeftUndone {
  readonly findings: readonly LeftFinding[];
  /** Present value of yearly cleaning; zero where no root joint is left. */
  readonly yearlyCleaning: number;
  /** Present value of an inspection every second year. */
  readonly looks: number;
  readonly rootsLeft: boolean;
}

/** What a chosen scope leaves on a line, finding by finding; undefined where the line has no scope. */
export function leftUndone({ prepared, chosen, line }: LineSolution): LeftUndone | undefined {
  if (!chosen) return undefined;
  const { possible, carried } = prepared;
  const { track } = possible;
  const { plan, layout } = chosen;
  const rootsLeft = leavesRoots(track, layout);
  const sums = new Map(
    carried.findings.map((each) => {
      const credit = plan.steps.reduce(
        (sum, { candidate }) => sum + (candidate ? creditOf(track, [each], candidate) : 0),
        0,
      );
      return [each.finding.id, Math.max(0, each.sum - credit)] as const;
    }),
  );
  const done = layout.actions;
  const isCured = (finding: GradedFinding, cell: Interval, method: Method | undefined) => {
    if (method === 'clean') return finding.cures.includes('clean');
    const action = done.find((each) => overlaps(each, cell));
    if (!action) return false;
    // Whatever covers them, roots and deposits are out of the flow.
    return isCleaned(finding) || candidateCures(track, action, action.from_ft, action.to_ft, finding);
  };
  const findings = line.condition.findings.flatMap((finding): LeftFinding[] => {
    const costs = roundCents(sums.get(finding.id) ?? 0);
    const left = track.cells.some(
      (cell, i) => overlaps(cell, finding.place) && !isCured(finding, cell, layout.cells[i]?.method),
    );
    return (costs > 0 || left) && finding.grade > 0 && !finding.settled ? [{ finding, costs }] : [];
  });
  return {
    findings,
    yearlyCleaning: rootsLeft ? carried.yearlyCleaning : 0,
    looks: carried.looks,
    rootsLeft,
  };
}
