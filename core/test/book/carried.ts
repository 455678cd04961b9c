import type { GradedFinding } from '../../condition/graded-finding.js';
import { cured, isInsertable, type BookAction } from './actions.js';
import { isBelly, isRepairable, isRootOrDeposit, type Duty } from './duties.js';
import {
  aloneCost,
  digEnd,
  dug,
  endCost,
  holds4,
  isClosed,
  meets,
  pitAt,
  type BookLine,
  type Width,
} from './ground.js';
import { rateForBore } from '../../job/prices.js';

/** Expected future cost of leaving things: §5. */
export interface BookCarried {
  readonly yearly: number;
  readonly looks: number;
  readonly left: readonly { finding: GradedFinding; sum: number; byFoot: boolean }[];
}

const cents = (money: number) => Math.round(money * 100 + 1e-7) / 100;

export function carriedBy(
  line: BookLine,
  duties: readonly Duty[],
  actions: readonly BookAction[],
): BookCarried {
  const { rules, prices, school, findings } = line;
  const { interest: i, horizon_years: n } = rules;
  const years = Array.from({ length: n }, (_, year) => (1 + i) ** -(year + 1));
  const chance: Record<number, number> = { 2: rules.chanceWatchFails, 3: rules.chanceFixFails };
  const cutBack = (finding: GradedFinding) =>
    duties.some((duty) => duty.findings.includes(finding) && duty.methods.includes('clean'));
  const left = findings.filter(
    (each) =>
      chance[each.grade] !== undefined &&
      isRepairable(each) &&
      !isRootOrDeposit(each) &&
      !cutBack(each) &&
      line.cells.some((cell) => cell.ours && meets(each.place, cell.a, cell.b)),
  );
  return {
    yearly: cents(prices.yearlyCleaning * sum(years)),
    looks: school === 'maintain' ? 0 : cents(prices.look * sum(years.filter((_, year) => year % 2 === 1))),
    left: left.flatMap((finding) => {
      const cutting = finding.cures.includes('clean')
        ? (prices.mobilisation.clean ?? 0) + cleanedOver(line, finding.place) + prices.cutBack_each
        : Infinity;
      const alone = Math.min(cutting, ...aloneCosts(line, finding, actions));
      const due = Number.isFinite(alone)
        ? cents((chance[finding.grade] ?? 0) * (1 + i) ** (-n / 2) * alone)
        : 0;
      const long = finding.placed.to_ft - finding.placed.from_ft > 10;
      return due > 0 ? [{ finding, sum: due, byFoot: long && !isBelly(finding) }] : [];
    }),
  };
}

/** Cleaning a stretch, iron with scale at its own rate; raw. */
export const cleanedOver = (
  { cells, prices }: BookLine,
  { from_ft, to_ft }: { from_ft: number; to_ft: number },
): number =>
  sum(
    cells.map((cell) => {
      const feet = Math.min(cell.b, to_ft) - Math.max(cell.a, from_ft);
      return feet > 0 ? feet * (cell.descale ? prices.descaling_per_ft : prices.cleaning_per_ft) : 0;
    }),
  );

const sum = (all: readonly number[]) => all.reduce((total, each) => total + each, 0);

const ends = (line: BookLine, { from, to }: BookAction) => {
  const [start, end] = [line.boundaries[from] ?? 0, line.boundaries[to] ?? 0];
  return { start, end, a: line.breaks[start] ?? 0, b: line.breaks[end] ?? 0 };
};

/** Cost of each action that cures a finding alone, with excavation, insertion and mobilization. */
function aloneCosts(line: BookLine, finding: GradedFinding, actions: readonly BookAction[]): number[] {
  const { place } = finding;
  return actions.flatMap((action) => {
    const { a, b } = ends(line, action);
    if (a > place.from_ft + 1e-6 || b < place.to_ft - 1e-6) return [];
    if (!cured(line, action.method, a, b, finding)) return [];
    const set = line.prices.mobilisation[action.method as 'spot'] ?? 0;
    return [action.cost + set + holesAlone(line, action)];
  });
}

function holesAlone(line: BookLine, action: BookAction): number {
  const { start, end, a, b } = ends(line, action);
  const pit = (index: number, width: Width) => {
    const own = pitAt(line, index);
    return own ? aloneCost(line, own.from, own.to, width) : Infinity;
  };
  if (action.method === 'burst') return pit(start, 'launch') + pit(end, 'burst');
  if (action.method === 'line' || action.method === 'short-line') {
    if (
      action.viaAccess ||
      insertable(line, action.from, 'downstream') ||
      insertable(line, action.to, 'upstream')
    )
      return 0;
    const launch = (index: number, may: boolean) =>
      may ? pit(index, 'launch') + closing(line, index) : Infinity;
    return Math.min(launch(start, action.mayPit.from), launch(end, action.mayPit.to));
  }
  if (action.exposed) return 0;
  const [from, to] = [digEnd(line, start, 'upstream'), digEnd(line, end, 'downstream')];
  const byHand = line.cells.some((cell) => isClosed(cell) && meets({ from_ft: a, to_ft: b }, cell.a, cell.b));
  return Math.min(
    ...holds4.map((held) => {
      // Sides whose slope would undermine ground dug by hand.
      if (held === 'slope' && byHand) return Infinity;
      const { cost, public_ft, stands } = dug(line, Math.min(from, a), Math.max(to, b), 'dig', held);
      const up = endCost(line, from, 'downstream', 'dig', held);
      const down = endCost(line, to, 'upstream', 'dig', held);
      if (!stands || up === undefined || down === undefined) return Infinity;
      return cost + up + down + (public_ft > 1e-6 ? line.prices.permit_per_hole : 0);
    }),
  );
}

/** A liner can be inserted at this boundary without a pit. */
export function insertable(line: BookLine, boundary: number, goes: 'upstream' | 'downstream'): boolean {
  const index = line.boundaries[boundary] ?? 0;
  const x = line.breaks[index] ?? 0;
  const into = line.cells[goes === 'upstream' ? index - 1 : index];
  return line.model.points.some(
    (point) => Math.abs(point.at.station_ft - x) <= 0.01 && isInsertable(line, point, goes, into?.bore ?? 0),
  );
}

/** 4 ft of pipe and two couplings close a launch pit. */
export function closing({ cells, prices, rules }: BookLine, index: number): number {
  const bore = Math.max(cells[index - 1]?.bore ?? 0, cells[index]?.bore ?? 0);
  return (
    4 * (rateForBore(prices.pipe_per_ft[rules.newPipe], bore) ?? 0) +
    2 * (rateForBore(prices.coupling_each, bore) ?? 0)
  );
}

/** What an action takes off the expected future cost. */
export function creditFor(line: BookLine, { left }: BookCarried, action: BookAction): number {
  const { a, b } = ends(line, action);
  return sum(
    left.map(({ finding, sum: due, byFoot }) => {
      const { from_ft, to_ft } = finding.place;
      const covered = Math.min(b, to_ft) - Math.max(a, from_ft);
      const whole = covered >= to_ft - from_ft - 1e-6;
      if (covered <= 1e-6 || (!byFoot && !whole)) return 0;
      const [from, to] = byFoot ? [Math.min(a, from_ft), Math.max(b, to_ft)] : [a, b];
      if (!cured(line, action.method, from, to, finding)) return 0;
      return byFoot ? (due * covered) / (to_ft - from_ft) : due;
    }),
  );
}
