import { overlaps } from '../line/intervals.js';
import type { Candidate } from '../methods/candidates.js';
import { methodAt, methodBit, methodRegistry } from '../methods/index.js';
import { byte, int } from '../search/columns.js';
import { clustersOf, type Cluster } from '../search/fills.js';
import { cheapestWithCharges } from '../search/fixed-charges.js';
import { begins, ends, type Limits, type Path } from '../search/problem.js';
import { search } from '../search/search.js';
import type { Arrives, Departs, HoleLevel } from '../track/joins.js';
import type { CleaningVisit } from './cleaning.js';
import { micro, type Prepared } from './prepare.js';
import { allowedUnder, splitBoundaries, type Restriction } from './restrictions.js';

export interface PlanStep {
  readonly from: number;
  readonly to: number;
  /** Undefined for a gap that is left or cleaned. */
  readonly candidate: Candidate | undefined;
  /** How a liner is inserted, and whether new pipe needs an excavation. */
  readonly departs: Departs;
  readonly arrives: Arrives;
  /** The excavation open during this step. */
  readonly hole: HoleLevel;
}

/** The scope of one line, as found by the search. */
export interface Plan {
  readonly steps: readonly PlanStep[];
  /**
   * Scope without mobilization plus expected future cost, in millionths, including the penalty for obligations not met.
   */
  readonly cost: number;
  /** Methods used, as a bit mask. */
  readonly used: number;
  /** Gap cells that are cleaned, and those that must be cured and are not, by fine index. */
  readonly cleaned: Uint8Array;
  readonly uncured: Uint8Array;
  /** Extent of the cleaning visit; undefined where nothing is cleaned. */
  readonly visit: CleaningVisit | undefined;
}

/** The cheapest scope over all lines of a job, which share mobilization. */
export interface Cheapest {
  readonly plans: readonly Plan[];
  /** Scope + expected future cost, in millionths of money. */
  readonly cost: number;
}

type OwnLimits = Omit<Limits, 'options' | 'marked' | 'secondMay' | 'barredMarks'>;

/** Undefined where the pins of some line conflict. */
export function cheapest(
  lines: readonly Prepared[],
  restrictions: readonly (readonly Restriction[])[],
): Cheapest | undefined {
  const [first] = lines;
  if (!first) return { plans: [], cost: 0 };
  const { prices } = first.possible.track;
  const factor = (1 + prices.markup) * (1 + prices.tax);
  const charges = methodRegistry.rows.map(({ id }) =>
    id === 'leave' ? 0 : Math.round((prices.mobilisation[id] ?? 0) * factor * micro),
  );
  const limits = lines.map((line, i) => limitsOf(line, restrictions[i] ?? []));
  const found = cheapestWithCharges(lines.length, charges, (i, options, most) => {
    const [line, limit] = [lines[i], limits[i]];
    return line && limit && bestOf(line, { ...limit, options }, most);
  });
  return (
    found && {
      plans: found.paths.map((path, i) => planOf(lines[i] ?? first, limits[i], path)),
      cost: found.cost,
    }
  );
}

const limitsOf = ({ possible, problem }: Prepared, restrictions: readonly Restriction[]): OwnLimits => ({
  allowed: allowedUnder(possible.track, problem.allowed, restrictions),
  unsuited: allowedUnder(possible.track, problem.fills.unsuitedOptions, restrictions),
  splits: splitBoundaries(possible.track, restrictions),
});

const everyOption = ({ problem }: Prepared): number => (1 << problem.options) - 1;

/** Whether anything satisfies the pins on one line. */
export function isSolvable(line: Prepared, restrictions: readonly Restriction[]): boolean {
  const limits = { ...limitsOf(line, restrictions), options: everyOption(line) };
  return [true, false].some((marked) => holesApart(line, { ...limits, marked }) !== undefined);
}

/** A path with the cleaning visit it needs. */
interface Cleaned extends Path {
  readonly visit: CleaningVisit | undefined;
}

/**
 * A line's best path with and without root joints left, since the yearly cleaning they cause is charged once per line.
 * The best path with the charge waived is the best of all where it leaves none. Paths above the budget `most` need not
 * be found.
 */
function bestOf(line: Prepared, limits: Omit<Limits, 'marked'>, most: number): Cleaned | undefined {
  const { problem, baseline } = line;
  const { markedCharge } = problem.fills;
  const free = cheapestCleaning(line, { ...limits, marked: true }, most - baseline);
  if (!free) return undefined;
  const leaving = { ...free, cost: free.cost + baseline + markedCharge };
  if (markedCharge === 0) return leaving;
  if (!leavesMarked(line, free)) return { ...free, cost: free.cost + baseline };
  const without = cheapestCleaning(
    line,
    { ...limits, marked: false },
    Math.min(most - baseline, free.cost + markedCharge),
  );
  if (!without) return leaving;
  const leavingNone = { ...without, cost: without.cost + baseline };
  return isBetter(leaving, leavingNone) ? leaving : leavingNone;
}

/** Whether a path fills a cell that incurs the yearly charge. */
const leavesMarked = ({ problem }: Prepared, { steps }: Path): boolean =>
  steps.some(
    ({ from, to, move }) =>
      move < 0 &&
      problem.fills.marked.subarray(int(problem.cellOf, from), int(problem.cellOf, to)).includes(1),
  );

/**
 * The best path with its cleaning. A visit is charged from the insertion point to the farthest cleaned place, so its
 * cost depends on the first and last of them. With cleaning free everywhere, the path bounds any choice; then its first
 * or last cleaned place is removed, as long as that bound stays below `most` and below the best found.
 */
function cheapestCleaning(line: Prepared, limits: Limits, most: number): Cleaned | undefined {
  const { problem, cleaning } = line;
  const clusters = clustersOf(problem, limits);
  let best: Cleaned | undefined;
  const asked = new Set<string>();
  const visit = (first: number, last: number): void => {
    if (asked.has(`${first} ${last}`)) return;
    asked.add(`${first} ${last}`);
    const secondMay = maskOf(clusters.slice(first, last + 1), limits.allowed.length);
    const path = holesApart(line, { ...limits, secondMay }, most, best?.cost);
    if (!path) return;
    const cleaned = clusters.flatMap((cluster, k) => (isCleanedIn(line, path, cluster) ? [k] : []));
    const [head, tail] = [cleaned[0], cleaned.at(-1)];
    if (head === undefined || tail === undefined) {
      best = { ...path, visit: undefined };
      return;
    }
    const from = cleaning.visitTo(clusters[head]?.start ?? 0, clusters[tail]?.end ?? 0);
    const cost = path.cost + cleaning.costOf(from);
    if (cost <= most && (!best || cost < best.cost)) best = { ...path, cost, visit: from };
    visit(head + 1, last);
    if (tail > first) visit(first, tail - 1);
  };
  visit(0, clusters.length - 1);
  return best;
}

/** Searches spent on excavations that are too close together; after that the first path found is used. */
const mostTries = 256;

/**
 * The best path with no excavation beginning too close to another's end. Where two do, either none ends about the first
 * place or none begins about the second: both are searched, and the cheapest path so far is always looked at next, so
 * that the first one without such a place is the best. A line with very many of them gets a path near the best.
 * Undefined where none costs at most `most` and less than `under`.
 */
function holesApart(line: Prepared, limits: Limits, most = Infinity, under = Infinity): Path | undefined {
  const open: { path: Path; barredMarks: Uint8Array }[] = [];
  let tries = 0;
  const offer = (barredMarks: Uint8Array) => {
    tries++;
    const path = search(line.problem, { ...limits, barredMarks });
    if (!path || path.cost > most || path.cost >= under) return;
    // Cheapest last.
    const at = open.findIndex((each) => !isBetter(path, each.path));
    open.splice(at < 0 || tries > mostTries ? open.length : at, 0, { path, barredMarks });
  };
  offer(new Uint8Array(line.problem.cellOf.length));
  for (let next = open.pop(); next; next = open.pop()) {
    const { path, barredMarks } = next;
    const near = tooNear(line, path);
    if (!near) return path;
    const about = nearStops(line, near);
    const branches = [
      [about.ended, ends],
      [about.begun, begins],
    ] as const;
    for (const [stops, mark] of branches) {
      const barred = Uint8Array.from(barredMarks);
      for (const stop of stops) barred[stop] = byte(barred, stop) | mark;
      offer(barred);
    }
  }
  return undefined;
}

const isBetter = (one: Path, other: Path): boolean =>
  one.cost < other.cost || (one.cost === other.cost && one.tie < other.tie);

/** Where one excavation ended and the next one began. */
interface Near {
  readonly ended: number;
  readonly begun: number;
}

/**
 * Stops about the two places of which none of the first lets an excavation end far enough from a beginning at any of
 * the second: no path that keeps them apart has one of each.
 */
function nearStops(
  { possible: { track, holes }, problem }: Prepared,
  { ended, begun }: Near,
): { ended: number[]; begun: number[] } {
  const stops = problem.cellOf.length;
  const apart = (end: number, begin: number) =>
    holes.areApart(track.boundaries[end] ?? 0, track.boundaries[begin] ?? 0);
  const about = { ended: [ended], begun: [begun] };
  const middle = (ended + begun + 1) >> 1;
  const endsAlso = (stop: number) => {
    const near = stop >= 0 && stop < middle && about.begun.every((begin) => !apart(stop, begin));
    if (near) about.ended.push(stop);
    return near;
  };
  const beginsAlso = (stop: number) => {
    const near = stop >= middle && stop < stops && about.ended.every((end) => !apart(end, stop));
    if (near) about.begun.push(stop);
    return near;
  };
  for (let end = ended + 1; end < middle; end++) endsAlso(end);
  for (let begin = begun - 1; begin >= middle; begin--) beginsAlso(begin);
  let [upstream, downstream] = [true, true];
  for (let further = 1; upstream || downstream; further++) {
    upstream = upstream && endsAlso(ended - further);
    downstream = downstream && beginsAlso(begun + further);
  }
  return about;
}

/** The first stop where an excavation begins too close to the end of the one before it. */
function tooNear({ possible, problem }: Prepared, { steps, lastMarks }: Path): Near | undefined {
  const { track, holes } = possible;
  const fine = (stop: number) => track.boundaries[stop] ?? 0;
  const last = problem.cellOf.length - 1;
  let ended: number | undefined;
  for (const { from, marks } of [...steps, { from: last, marks: lastMarks }]) {
    if (ended !== undefined && (marks & begins) !== 0 && !holes.areApart(fine(ended), fine(from)))
      return { ended, begun: from };
    if ((marks & ends) !== 0) ended = from;
  }
  return undefined;
}

function maskOf(clusters: readonly Cluster[], cells: number): Uint8Array {
  const mask = new Uint8Array(cells);
  for (const { start, end } of clusters) mask.fill(1, start, end);
  return mask;
}

/** Whether a gap of the path includes any cell of a place that has to be cleaned. */
const isCleanedIn = ({ problem }: Prepared, { steps }: Path, { start, end }: Cluster): boolean =>
  steps.some(
    ({ from, to, move }) => move < 0 && int(problem.cellOf, from) < end && int(problem.cellOf, to) > start,
  );

function planOf(
  { traits, levels, possible, problem }: Prepared,
  limits: OwnLimits | undefined,
  path: Cleaned,
): Plan {
  const { visit } = path;
  const cells = possible.track.cells.length;
  const cleaned = new Uint8Array(cells);
  const uncured = new Uint8Array(cells);
  for (const { from, to, move } of path.steps) {
    if (move >= 0) continue;
    for (let i = int(problem.cellOf, from); i < int(problem.cellOf, to); i++) {
      uncured[i] = byte(path.unsuited, i);
      const cell = possible.track.cells[i];
      const onTheWay = visit && cell && overlaps(cell, visit);
      const mayClean = ((limits?.allowed[i] ?? 0) & methodBit('clean')) !== 0;
      if (byte(path.second, i) !== 0 || (onTheWay && mayClean)) cleaned[i] = 1;
    }
  }
  return {
    cost: path.cost,
    used: path.used,
    cleaned,
    uncured,
    visit,
    steps: path.steps.map(({ from, to, move, departs, arrives, level }) => ({
      from,
      to,
      candidate:
        move < 0
          ? undefined
          : { from, to, method: methodAt(byte(problem.moves.option, move)), traits: byte(traits, move) },
      departs: departs as Departs,
      arrives: arrives as Arrives,
      hole: levels.all[level] ?? { open: false },
    })),
  };
}
