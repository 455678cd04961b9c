import { isCleaned, type Judged } from '../condition/judged.js';
import { roundCents } from '../job/units.js';
import type { Method } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { creditOf } from '../solve/carried.js';
import { candidateCures } from '../solve/possible.js';
import { leavesRoots, type LineWay } from '../solve/way.js';

/** A finding that a way leaves as it is, and what it is likely to cost within the horizon, present value. */
export interface LeftFinding {
  readonly finding: Judged;
  readonly costs: number;
}

/** What a way leaves undone on one line. `findings` and upkeep together are what the way carries. */
export interface LeftUndone {
  readonly findings: readonly LeftFinding[];
  /** Present value of yearly cleaning, nothing where no root joint is left. */
  readonly yearlyCleaning: number;
  /** Present value of a look every second year. */
  readonly looks: number;
  readonly rootsLeft: boolean;
}

/** Says finding by finding what a chosen way leaves on a line; undefined where the line has no way. */
export function leftUndone({ prepared, chosen, line }: LineWay): LeftUndone | undefined {
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
  const isCured = (finding: Judged, cell: Interval, method: Method | undefined) => {
    if (method === 'clean') return finding.cures.includes('clean');
    const action = done.find((each) => overlaps(each, cell));
    if (!action) return false;
    // Whatever is laid over them, roots and deposits are gone from what flows.
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
