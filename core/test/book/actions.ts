import { leastSlope } from '../../grade/least-slope.js';
import { rateForBore } from '../../job/prices-schema.js';
import type { Method } from '../../job/vocabulary.js';
import type { Judged } from '../../condition/judged.js';
import { isBelly, methodsOf, type Duty } from './duties.js';
import { meets, outsideOf, type BookCell, type BookLine } from './ground.js';

/** One action that the rules allow between two boundaries, and its raw cost without hole and insertion. */
export interface BookAction {
  readonly from: number;
  readonly to: number;
  readonly method: Method;
  readonly cost: number;
  readonly exposed: boolean;
  readonly viaAccess: boolean;
}

export type BookPoint = BookLine['model']['points'][number];

/** A stretch between two boundaries, with everything on it. */
interface Stretch {
  readonly line: BookLine;
  readonly a: number;
  readonly b: number;
  readonly cells: readonly BookCell[];
  /** Points inside, not at its ends. */
  readonly points: readonly BookPoint[];
}

/** Every action that §4 allows, found by trying every method on every stretch. */
export function actionsOf(line: BookLine, duties: readonly Duty[]): BookAction[] {
  const { boundaries, breaks, model } = line;
  const found: BookAction[] = [];
  boundaries.forEach((start, from) => {
    for (let to = from + 1; to < boundaries.length; to++) {
      const end = boundaries[to] ?? start;
      const [a, b] = [breaks[start] ?? 0, breaks[end] ?? 0];
      const stretch: Stretch = {
        line,
        a,
        b,
        cells: line.cells.slice(start, end),
        points: model.points.filter(({ at }) => at.station_ft > a + 0.01 && at.station_ft < b - 0.01),
      };
      const serves = (method: Method) =>
        stretch.cells.every((cell) =>
          duties.every((duty) => !meets(duty, cell.a, cell.b) || duty.methods.includes(method)),
        );
      for (const each of [...digs(stretch, duties), ...liners(stretch), ...bursts(stretch)]) {
        if (serves(each.method)) found.push({ exposed: false, viaAccess: false, ...each, from, to });
      }
    }
  });
  return found;
}

type Tried = Pick<BookAction, 'method' | 'cost'> & Partial<BookAction>;

const feet = (cells: readonly BookCell[], rate: (cell: BookCell) => number) =>
  cells.reduce((sum, cell) => sum + (cell.b - cell.a) * rate(cell), 0);
const pipeRate = ({ prices, rules }: BookLine, bore: number) =>
  rateForBore(prices.pipe_per_ft[rules.newPipe], bore) ?? 0;

function couplings({ cells, line }: Stretch): number {
  const each = (cell: BookCell | undefined) => rateForBore(line.prices.coupling_each, cell?.bore ?? 4) ?? 0;
  return each(cells[0]) + each(cells[cells.length - 1]);
}

/** New pipe falls enough over [a, b], and takes these sags whole: §9. */
export function toGrade({ model, rules }: BookLine, a: number, b: number, sags: readonly Judged[]): boolean {
  if (!model.profile.graded || sags.length === 0) return false;
  if (sags.some(({ place }) => a > place.from_ft + 2e-6 || b < place.to_ft - 2e-6)) return false;
  const under = model.pipes.filter((pipe) => pipe.to_ft > a + 1e-9 && pipe.from_ft < b - 1e-9);
  const least = Math.max(0, ...under.map(({ diameter_in }) => leastSlope(diameter_in, rules)));
  return (model.profile.invert(a) - model.profile.invert(b)) / (b - a) >= least - 1e-12;
}

function digs(stretch: Stretch, duties: readonly Duty[]): Tried[] {
  const { line, a, b, cells } = stretch;
  const { rules, prices, findings } = line;
  if (cells.some(({ noDig, ours }) => noDig || !ours) || !handReached(cells, rules.handDugReach_ft))
    return [];
  const exposed = feet(cells, ({ surface }) => (surface === 'crawl-space' ? 1 : 0)) > b - a - 1e-6;
  const laid =
    feet(
      cells,
      (cell) => pipeRate(line, cell.bore) + (cell.surface === 'building' ? prices.handDug_per_ft : 0),
    ) + couplings(stretch);
  const sags = findings.filter((each) => isBelly(each) && meets(each.place, a, b));
  const graded = toGrade(line, a, b, sags);
  const owes = duties.some((duty) => duty.toGrade && meets(duty, a, b));
  const tried: Tried[] = [];
  if (b - a <= rules.spotMost_ft + 1e-9) tried.push({ method: 'spot', cost: laid, exposed });
  else if (graded || sags.length === 0 || !owes) tried.push({ method: 'open-cut', cost: laid, exposed });
  if (graded) {
    const rehung = feet(cells, (cell) =>
      cell.surface === 'crawl-space' ? prices.rehang_per_ft - pipeRate(line, cell.bore) : 0,
    );
    tried.push({ method: 'regrade', cost: laid + rehung, exposed });
  }
  return tried;
}

/** Every foot under a building lies within reach of open ground in the same dig. */
function handReached(cells: readonly BookCell[], reach: number): boolean {
  return cells.every((cell, i) => {
    if (cell.surface !== 'building' || cell.noDig) return true;
    const before = cells.slice(0, i).findLast(({ surface }) => surface !== 'building');
    const after = cells.slice(i + 1).find(({ surface }) => surface !== 'building');
    return (
      (before !== undefined && cell.b - before.b <= reach + 1e-6) ||
      (after !== undefined && after.a - cell.a <= reach + 1e-6)
    );
  });
}

/** The cheapest made liner that is thick enough for every cell; none over 6.0 mm. */
const made = ['0.118', '0.177', '0.236'] as const;

function liners({ line, a, b, cells, points }: Stretch): Tried[] {
  const { rules, prices } = line;
  const thickness = made.find((each) => cells.every((cell) => Number(each) >= cell.thickness - 1e-9));
  const bends = points.filter(({ point }) => point.kind === 'bend').map(({ point }) => point.degrees ?? 0);
  const steps = cells.slice(1).filter((cell, i) => cell.bore !== cells[i]?.bore).length;
  const stopped =
    thickness === undefined ||
    cells.some(
      ({ ours, seen, findings }) =>
        !ours || !seen || findings.some(({ stopsLiner }) => stopsLiner !== undefined),
    ) ||
    points.some(({ point }) => point.kind === 'valve') ||
    bends.some((each) => each > 90) ||
    bends.reduce((sum, each) => sum + each, 0) > 180 ||
    (steps > 0 && !rules.transitionLiner);
  if (stopped) return [];
  const own =
    feet(cells, ({ bore }) => rateForBore(prices.liner_per_ft[thickness], bore) ?? 0) +
    points.filter(({ point }) => point.kind === 'tie-in').length * prices.reinstatement_each +
    steps * prices.transition_each;
  const tried: Tried[] = [{ method: 'line', cost: own + prices.liner_each }];
  const soundEnds = cells.every(
    (cell) =>
      (cell.a >= a + 1 - 1e-6 && cell.b <= b - 1 + 1e-6) ||
      !cell.findings.some(({ grade, possible }) => grade >= 3 && !possible),
  );
  if (b - a >= 2 - 1e-9 && b - a <= 10 + 1e-9 && soundEnds) {
    const bore = cells[0]?.bore ?? 4;
    const viaAccess = line.model.points.some((point) => {
      const x = point.at.station_ft;
      const behind = a - x >= -0.01 && a - x <= 100;
      const ahead = x - b >= -0.01 && x - b <= 100;
      return (
        (behind && letsIn(line, point, 'downstream', bore)) ||
        (ahead && letsIn(line, point, 'upstream', bore))
      );
    });
    tried.push({ method: 'short-line', cost: own + prices.shortLiner_each, viaAccess });
  }
  return tried;
}

/** A manhole, or a sound cleanout of ours at least as wide as the bore, that faces the way the liner goes. */
export function letsIn(
  { model }: BookLine,
  { point }: BookPoint,
  goes: 'upstream' | 'downstream',
  bore: number,
): boolean {
  if (point.kind === 'manhole') return true;
  if (point.kind === 'main') return point.connection === 'manhole';
  return (
    point.kind === 'cleanout' &&
    point.usable !== false &&
    (point.state === undefined || point.state === 'ok') &&
    point.owner !== 'neighbour' &&
    (point.diameter_in ?? model.line.pipe?.diameter_in ?? bore) >= bore &&
    (point.ways !== 1 || point.faces === undefined || point.faces === goes)
  );
}

function bursts(stretch: Stretch): Tried[] {
  const { line, a, b, cells, points } = stretch;
  const { prices } = line;
  const bent = points.some(
    ({ point }) => point.kind === 'valve' || (point.kind === 'bend' && (point.degrees ?? 0) > 11.25),
  );
  if (b - a < 10 - 1e-9 || bent || cells.some((cell) => !burstable(cell, line))) return [];
  const cost = feet(cells, ({ bore }) => rateForBore(prices.burst_per_ft, bore) ?? 0) + couplings(stretch);
  return [{ method: 'burst', cost }];
}

function burstable(cell: BookCell, { model, rules }: BookLine): boolean {
  if (!cell.ours || (cell.material === 'asbestos-cement' && !rules.burstAsbestosCement)) return false;
  const sunk = cell.findings.some(
    ({ placed, grade, possible }) =>
      !possible && (placed.entry.finding === 'collapse' || (placed.entry.finding === 'belly' && grade >= 3)),
  );
  const crown = cell.invert - cell.bore / 12;
  const cover = Math.max(2, (10 * (outsideOf('hdpe', cell.bore) + 1 - cell.bore)) / 12);
  const middle = (cell.a + cell.b) / 2;
  const crossed = (model.line.crossings ?? []).some(
    ({ station_ft, depth_ft }) =>
      Math.abs(station_ft - middle) < 2 &&
      (depth_ft === undefined || Math.abs(depth_ft - crown) < 2 || Math.abs(depth_ft - cell.invert) < 2),
  );
  return !sunk && crown >= cover - 1e-9 && !crossed;
}

/** Whether an action over [a, b] cures a finding it covers. */
export const cured = (line: BookLine, method: Method, a: number, b: number, finding: Judged): boolean => {
  const byFall = isBelly(finding) && (method === 'open-cut' || method === 'regrade');
  if (byFall) return toGrade(line, a, b, [finding]);
  return methodsOf(finding).includes(method);
};
