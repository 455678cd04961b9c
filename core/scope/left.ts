import type { Judged } from '../condition/condition.js';
import { roundCents } from '../job/units.js';
import { overlaps } from '../line/intervals.js';
import { creditOf } from './carried.js';
import type { LineWay } from './way.js';

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
  const rootsLeft = track.cells.some((cell, i) => cell.rootJoint && layout.cells[i]?.action === null);
  const sums = new Map(
    carried.findings.map((each) => {
      const own = { ...carried, findings: [each] };
      const credit = plan.steps.reduce((sum, { edge }) => sum + (edge ? creditOf(track, own, edge) : 0), 0);
      return [each.finding.id, Math.max(0, each.sum - credit)] as const;
    }),
  );
  const findings = line.condition.findings.flatMap((finding): LeftFinding[] => {
    const costs = roundCents(sums.get(finding.id) ?? 0);
    const untouched = track.cells.some(
      (cell, i) => overlaps(cell, finding.place) && layout.cells[i]?.action === null,
    );
    const cleaned =
      finding.cures.every((cure) => cure === 'clean') &&
      track.cells.every((cell, i) => !overlaps(cell, finding.place) || layout.cells[i]?.method === 'clean');
    return (costs > 0 || (untouched && !cleaned)) && finding.grade > 0 && !finding.settled
      ? [{ finding, costs }]
      : [];
  });
  return {
    findings,
    yearlyCleaning: rootsLeft ? carried.yearlyCleaning : 0,
    looks: carried.looks,
    rootsLeft,
  };
}
