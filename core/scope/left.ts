import type { Judged } from '../condition/condition.js';
import { roundCents } from '../job/units.js';
import type { Method } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { creditOf } from './carried.js';
import { edgeCures } from './edges.js';
import { isRootOrDeposit } from './obligations.js';
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
  const station = (b: number) => track.breaks[track.boundaries[b] ?? 0] ?? 0;
  const edges = plan.steps.flatMap(({ edge }) =>
    edge ? [{ edge, from_ft: station(edge.from), to_ft: station(edge.to) }] : [],
  );
  const isCured = (finding: Judged, cell: Interval, method: Method | undefined) => {
    if (method === 'clean') return finding.cures.includes('clean');
    const done = edges.find((each) => overlaps(each, cell));
    if (!done) return false;
    // Whatever is laid over them, roots and deposits are gone from what flows.
    return isRootOrDeposit(finding) || edgeCures(track, done.edge, done.from_ft, done.to_ft, finding);
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
