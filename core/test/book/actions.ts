import { leastSlope } from '../../grade/least-slope.js';
import { rateForBore } from '../../job/prices.js';
import type { Method } from '../../job/vocabulary.js';
import type { GradedFinding } from '../../condition/graded-finding.js';
import { isBelly, isRepairable, isRootOrDeposit, methodsOf, type Duty } from './duties.js';
import {
  aloneCost,
  digEnd,
  mayPit,
  meets,
  outsideOf,
  pitReach,
  type BookCell,
  type BookLine,
} from './ground.js';

/** One action the rules allow between two boundaries, and its raw cost without excavation and insertion. */
export interface BookAction {
  readonly from: number;
  readonly to: number;
  readonly method: Method;
  readonly cost: number;
  readonly exposed: boolean;
  readonly viaAccess: boolean;
  /** Whether a launch pit may be at each end of a liner: not on something it has to cure. */
  readonly mayPit: { readonly from: boolean; readonly to: boolean };
  /** It has pits of its own between its ends. */
  readonly pitsInside: boolean;
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
      const all = [
        ...(cutable(line, start, end) ? digs(stretch, duties) : []),
        ...liners(stretch, duties, [start, end]),
        ...bursts(stretch, [start, end]),
      ];
      for (const each of all) {
        if (serves(each.method))
          found.push({
            exposed: false,
            viaAccess: false,
            mayPit: { from: true, to: true },
            pitsInside: false,
            ...each,
            from,
            to,
          });
      }
    }
  });
  return found;
}

type Tried = Pick<BookAction, 'method' | 'cost'> & Partial<BookAction>;

const cutable = ({ cutAt }: BookLine, start: number, end: number) =>
  cutAt.from[start] === 1 && cutAt.to[end] === 1;

/** Cost of a point inside new pipe: its fitting, and reconnecting a branch. */
function fitting({ prices }: BookLine, { point }: BookPoint): number {
  const each = prices.fitting_each;
  switch (point.kind) {
    case 'tie-in':
      return (each.wye ?? 0) + prices.reconnection_each;
    case 'cleanout':
      return point.state === 'none-here' ? 0 : (each.cleanout ?? 0);
    case 'bend':
    case 'drop':
    case 'valve':
    case 'trap':
      return each[point.kind] ?? 0;
    default:
      return 0;
  }
}
const isOpening = ({ point }: BookPoint) =>
  point.kind === 'tie-in' || (point.kind === 'cleanout' && point.state !== 'none-here');
const turn = ({ point }: BookPoint) => (point.kind === 'bend' ? (point.degrees ?? 45) : 0);
const steps = (cells: readonly BookCell[]) =>
  cells.slice(1).filter((cell, i) => cell.bore !== cells[i]?.bore).length;

const feet = (cells: readonly BookCell[], rate: (cell: BookCell) => number) =>
  cells.reduce((sum, cell) => sum + (cell.b - cell.a) * rate(cell), 0);
const pipeRate = ({ prices, rules }: BookLine, bore: number) =>
  rateForBore(prices.pipe_per_ft[rules.newPipe], bore) ?? 0;

function couplings({ cells, line }: Stretch): number {
  const each = (cell: BookCell | undefined) => rateForBore(line.prices.coupling_each, cell?.bore ?? 4) ?? 0;
  return each(cells[0]) + each(cells[cells.length - 1]);
}

/** New pipe has enough fall over [a, b] and covers these bellies completely: §9. */
export function toGrade(
  { model, rules }: BookLine,
  a: number,
  b: number,
  sags: readonly GradedFinding[],
): boolean {
  if (sags.length === 0) return false;
  if (sags.some(({ place }) => a > place.from_ft + 2e-6 || b < place.to_ft - 2e-6)) return false;
  // With fewer than two depths the fall is unknown.
  if (!model.profile.graded) return true;
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
  const whole = (line.breaks[line.breaks.length - 1] ?? 0) - (line.breaks[0] ?? 0);
  if (b - a < Math.min(rules.leastNewPipe_ft, whole) - 1e-9) return [];
  const laid =
    feet(
      cells,
      (cell) => pipeRate(line, cell.bore) + (cell.surface === 'building' ? prices.handDug_per_ft : 0),
    ) +
    couplings(stretch) +
    stretch.points.reduce((sum, point) => sum + fitting(line, point), 0) +
    steps(cells) * (prices.fitting_each.reducer ?? 0);
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
    // Pipe that is only rehung is not cut.
    const uncut = exposed ? couplings(stretch) : 0;
    tried.push({ method: 'regrade', cost: laid + rehung - uncut, exposed });
  }
  return tried;
}

/** Every foot under a building is within reach of open ground in the same dig. */
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

function liners(
  { line, a, b, cells, points }: Stretch,
  duties: readonly Duty[],
  [start, end]: readonly [number, number],
): Tried[] {
  const { rules, prices } = line;
  const thickness = made.find((each) => cells.every((cell) => Number(each) >= cell.thickness - 1e-9));
  const bends = points.map(turn);
  const changes = steps(cells);
  const stopped =
    thickness === undefined ||
    b - a < rules.leastLiner_ft - 1e-9 ||
    cells.some((cell) => stopsLiner(cell)) ||
    points.some(({ point }) => ['valve', 'trap', 'drop'].includes(point.kind)) ||
    bends.some((each) => each > 90) ||
    bends.reduce((sum, each) => sum + each, 0) > 180 ||
    (changes > 0 && !rules.transitionLiner);
  if (stopped) return [];
  const water = line.findings.filter(
    ({ placed, grade, possible }) =>
      placed.entry.finding === 'infiltration' &&
      grade >= 3 &&
      !possible &&
      cells.some((cell) => placed.from_ft >= cell.a && placed.from_ft < cell.b),
  ).length;
  const own =
    feet(cells, ({ bore }) => rateForBore(prices.liner_per_ft[thickness], bore) ?? 0) +
    points.filter(isOpening).length * prices.reinstatement_each +
    changes * prices.transition_each +
    water * prices.stopWater_each;
  const mayPit = { from: pitIsClear(line, duties, start, a, b), to: pitIsClear(line, duties, end, a, b) };
  const tried: Tried[] =
    b - a >= rules.leastLongLiner_ft - 1e-9
      ? [{ method: 'line', cost: own + prices.liner_each, mayPit }]
      : [];
  const soundEnds = cells.every(
    (cell) =>
      (cell.a >= a + 1 - 1e-6 && cell.b <= b - 1 + 1e-6) ||
      !cell.findings.some(({ grade, possible }) => grade >= 3 && !possible),
  );
  if (b - a <= 10 + 1e-9 && soundEnds) {
    const viaAccess = line.model.points.some((point) => isPushed(line, point, a, b, cells[0]?.bore ?? 4));
    tried.push({ method: 'short-line', cost: own + prices.shortLiner_each, viaAccess, mayPit });
  }
  return tried;
}

const stopsLiner = ({ ours, seen, findings, thickness }: BookCell) =>
  !ours || !seen || thickness > 0.236 + 1e-9 || findings.some(({ stopsLiner: stops }) => stops !== undefined);

/** A launch pit at an end is never over something the liner has to cure. */
function pitIsClear(line: BookLine, duties: readonly Duty[], index: number, a: number, b: number): boolean {
  const { from, to } = pitReach(line, index);
  const bad = line.findings.filter(
    (each) => each.grade >= 3 && !each.possible && isRepairable(each) && !isRootOrDeposit(each),
  );
  const places = [...duties.filter(({ whole }) => whole), ...bad.map(({ place }) => place)];
  return places.every((place) => Math.min(place.to_ft, to, b) - Math.max(place.from_ft, from, a) <= 0.01);
}

/** A sectional liner gets from this access point to [a, b]: close enough, and along pipe a liner could pass. */
function isPushed(line: BookLine, point: BookPoint, a: number, b: number, bore: number): boolean {
  const x = point.at.station_ft;
  const ways = [
    { goes: 'downstream', near: a - x, low: x, high: b },
    { goes: 'upstream', near: x - b, low: a, high: x },
  ] as const;
  return ways.some(({ goes, near, low, high }) => {
    if (near < -0.01 || near > 100.01 || high - low > 100.01 || !isInsertable(line, point, goes, bore))
      return false;
    const between = line.model.points.filter(
      ({ at }) => at.station_ft > low + 0.01 && at.station_ft < high - 0.01,
    );
    const cells = line.cells.filter((cell) => cell.b > low + 0.01 && cell.a < high - 0.01);
    return (
      cells.every((cell) => !stopsLiner(cell) && cell.bore >= bore) &&
      between.every((each) => !['valve', 'trap', 'drop'].includes(each.point.kind) && turn(each) <= 90) &&
      between.reduce((sum, each) => sum + turn(each), 0) <= 180
    );
  });
}

/** A manhole, or a usable or repairable cleanout of ours as large as the bore, facing the right way. */
export function isInsertable(
  { model }: BookLine,
  { point }: BookPoint,
  goes: 'upstream' | 'downstream',
  bore: number,
): boolean {
  if (point.kind === 'manhole') return true;
  if (point.kind === 'main') return point.connection === 'manhole';
  if (point.usable === false || point.owner === 'neighbour') return false;
  if (point.kind === 'access') {
    if (point.through === 'roof-vent' || point.through === 'valve-lid') return false;
    return (point.diameter_in ?? (point.through === 'pulled-toilet' ? 3 : 0)) >= bore;
  }
  return (
    point.kind === 'cleanout' &&
    point.state !== 'broken' &&
    point.state !== 'none-here' &&
    (point.diameter_in ?? model.line.pipe?.diameter_in ?? bore) >= bore &&
    (point.ways !== 1 || point.faces === undefined || point.faces === goes)
  );
}

function bursts({ line, a, b, cells, points }: Stretch, [start, end]: readonly [number, number]): Tried[] {
  const { prices } = line;
  const stopped = points.some(
    ({ point }) =>
      ['valve', 'trap', 'drop'].includes(point.kind) ||
      (point.kind === 'bend' && (point.degrees ?? 180) > 11.25),
  );
  if (b - a < 10 - 1e-9 || stopped || steps(cells) > 0 || cells.some((cell) => !burstable(cell, line)))
    return [];
  const joined = points.filter(isOpening);
  const pits = pitsAlong(line, joined, start, end);
  if (!pits) return [];
  const cost =
    feet(cells, ({ bore }) => rateForBore(prices.burst_per_ft, bore) ?? 0) +
    couplings({ line, a, b, cells, points }) +
    joined.reduce((sum, point) => sum + fitting(line, point), 0) +
    pits.reduce((sum, pit) => sum + aloneCost(line, pit.from, pit.to, 'launch'), 0);
  return Number.isFinite(cost) ? [{ method: 'burst', cost, pitsInside: pits.length > 0 }] : [];
}

/**
 * A pit for each branch and cleanout past what the excavation at either end uncovers, be it a pit or that of adjoining
 * new pipe; undefined where one would crowd an end pit.
 */
function pitsAlong(
  line: BookLine,
  joined: readonly BookPoint[],
  start: number,
  end: number,
): { from: number; to: number }[] | undefined {
  const apart = line.rules.holesApart_ft;
  const [low, high] = [pitReach(line, start).to, pitReach(line, end).from];
  const bare = [
    start === 0 ? low : digEnd(line, start, 'downstream'),
    end === line.breaks.length - 1 ? high : digEnd(line, end, 'upstream'),
  ] as const;
  const along = joined.map(({ at }) => at.station_ft).filter((x) => x > bare[0] && x < bare[1]);
  if (along.some((x) => x - low < 2 + apart || high - x < 2 + apart)) return undefined;
  const pits: { from: number; to: number }[] = [];
  for (const x of along.sort((p, q) => p - q)) {
    const last = pits[pits.length - 1];
    if (last && x - 2 - last.to < apart) last.to = x + 2;
    else pits.push({ from: x - 2, to: x + 2 });
  }
  return pits.every((pit) => mayPit(line, pit)) ? pits : undefined;
}

function burstable(cell: BookCell, { model, rules }: BookLine): boolean {
  if (!cell.ours || (cell.material === 'asbestos-cement' && !rules.burstAsbestosCement)) return false;
  const sunk = cell.findings.some(
    ({ placed, grade, possible }) =>
      !possible && (placed.entry.finding === 'collapse' || (placed.entry.finding === 'belly' && grade >= 3)),
  );
  const crown = cell.shallow - cell.bore / 12;
  const cover = Math.max(2, (10 * (outsideOf('hdpe', cell.bore) + 1 - cell.bore)) / 12);
  const middle = (cell.a + cell.b) / 2;
  const crossed = (model.line.crossings ?? []).some(
    ({ station_ft, depth_ft }) =>
      Math.abs(station_ft - middle) < 2 &&
      (depth_ft === undefined || Math.abs(depth_ft - crown) < 2 || Math.abs(depth_ft - cell.shallow) < 2),
  );
  return !sunk && crown >= cover - 1e-9 && !crossed;
}

/** Whether an action over [a, b] cures a finding it covers. */
export const cured = (
  line: BookLine,
  method: Method,
  a: number,
  b: number,
  finding: GradedFinding,
): boolean => {
  const byFall = isBelly(finding) && (method === 'open-cut' || method === 'regrade');
  if (byFall) return toGrade(line, a, b, [finding]);
  return methodsOf(finding).includes(method);
};
