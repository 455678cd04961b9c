import { overlaps, type Interval } from '../line/intervals.js';
import type { Candidate } from '../methods/candidates.js';
import { methodAt, methodBit, methodRegistry } from '../methods/index.js';
import { byte, int } from '../search/columns.js';
import { takenSecond } from '../search/fills.js';
import { cheapestWithCharges } from '../search/fixed-charges.js';
import type { Limits, Path } from '../search/problem.js';
import type { Arrives, Departs, HoleLevel } from '../track/joins.js';
import { stationOf } from '../track/track.js';
import type { CleaningVisit } from '../prepare/cleaning.js';
import { holesApart, isBetter } from './holes-apart.js';
import { micro, type Prepared } from '../prepare/prepare.js';
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

export interface AtMost {
  /** By cell: it must be cured and cannot be. */
  readonly uncured: Uint8Array;
  /** Where something is done. */
  readonly work: readonly Interval[];
}

/** What is possible at most on a line, whatever it costs and without any pin. */
export function atMost(line: Prepared): AtMost {
  const { track } = line.possible;
  const limits = { ...limitsOf(line, []), options: everyOption(line), marked: true };
  const path = holesApart(line, limits);
  const uncured = new Uint8Array(track.cells.length);
  if (!path) return { uncured, work: [] };
  for (const i of filledBy(line, path)) uncured[i] = byte(path.unsuited, i);
  const work = path.steps
    .filter(({ move }) => move >= 0)
    .map(({ from, to }) => ({ from_ft: stationOf(track, from), to_ft: stationOf(track, to) }));
  return { uncured, work };
}

/** The cells that a path fills without a move. */
function* filledBy({ problem }: Prepared, { steps }: Path): Generator<number> {
  for (const { from, to, move } of steps) {
    if (move >= 0) continue;
    for (let i = int(problem.cellOf, from); i < int(problem.cellOf, to); i++) yield i;
  }
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
 * The best path with its cleaning. A visit is charged from the insertion point to the farthest cleaned cell, so its
 * cost depends on the first and last of them. With cleaning free everywhere, the path bounds any choice; then its first
 * or last cleaned cell is removed, as long as that bound stays below `most` and below the best found.
 */
function cheapestCleaning(line: Prepared, limits: Limits, most: number): Cleaned | undefined {
  const { problem, cleaning } = line;
  const dirty = takenSecond(problem, limits);
  let best: Cleaned | undefined;
  const asked = new Set<string>();
  const visit = (first: number, last: number): void => {
    if (asked.has(`${first} ${last}`)) return;
    asked.add(`${first} ${last}`);
    const secondMay = maskOf(dirty.slice(first, last + 1), limits.allowed.length);
    const path = holesApart(line, { ...limits, secondMay }, most, best?.cost);
    if (!path) return;
    const filled = new Set(filledBy(line, path));
    const head = dirty.findIndex((i) => filled.has(i));
    if (head < 0) {
      best = { ...path, visit: undefined };
      return;
    }
    const tail = dirty.findLastIndex((i) => filled.has(i));
    const from = cleaning.visitTo(int(dirty, head), int(dirty, tail) + 1);
    const cost = path.cost + cleaning.costOf(from);
    if (cost <= most && (!best || cost < best.cost)) best = { ...path, cost, visit: from };
    visit(head + 1, last);
    if (tail > first) visit(first, tail - 1);
  };
  visit(0, dirty.length - 1);
  return best;
}

function maskOf(these: Int32Array, cells: number): Uint8Array {
  const mask = new Uint8Array(cells);
  for (const i of these) mask[i] = 1;
  return mask;
}

function planOf(line: Prepared, limits: OwnLimits | undefined, path: Cleaned): Plan {
  const { traits, levels, possible, problem } = line;
  const { visit } = path;
  const cells = possible.track.cells.length;
  const cleaned = new Uint8Array(cells);
  const uncured = new Uint8Array(cells);
  for (const i of filledBy(line, path)) {
    uncured[i] = byte(path.unsuited, i);
    const cell = possible.track.cells[i];
    const onTheWay = visit && cell && overlaps(cell, visit);
    const mayClean = ((limits?.allowed[i] ?? 0) & methodBit('clean')) !== 0;
    if (byte(path.second, i) !== 0 || (onTheWay && mayClean)) cleaned[i] = 1;
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
