import { byte, int, over } from './columns.js';
import type { Problem } from './problem.js';
import type { SearchRun } from './values.js';

/** The values of a search, and the limits that decide them. */
export interface StoredValues extends Limited {
  readonly value: Float64Array;
  readonly ties: Float64Array;
}

/** What decides the values of a search run. */
type Limited = Pick<SearchRun, 'fills' | 'reach' | 'barredMarks'>;

/**
 * The values of the first searches on a problem, which are its least limited ones. What a stop is worth depends only on
 * the limits at and past it, so a search that differs from an earlier one only upstream of a stop takes the values from
 * there on as they are.
 */
const kept = new WeakMap<Problem, StoredValues[]>();
const mostKept = 8;

/** The earlier search whose values hold for the most stops, and the first stop from which they hold. */
export function reusableValues(
  problem: Problem,
  limited: Limited,
): { readonly values: StoredValues; readonly from: number } | undefined {
  let best: { readonly values: StoredValues; readonly from: number } | undefined;
  for (const values of kept.get(problem) ?? []) {
    const from = alikeFrom(problem, values, limited);
    if (from < (best?.from ?? problem.cellOf.length)) best = { values, from };
  }
  return best;
}

/** Keeps the values of a solved search run, if it is one of the first. */
export function storeValues({ problem, value, ties, fills, reach, barredMarks }: SearchRun): void {
  const all = kept.get(problem) ?? [];
  if (all.length === mostKept) return;
  all.push({ value: value.slice(), ties: ties.slice(), fills, reach, barredMarks });
  kept.set(problem, all);
}

/** The first stop at and past which two searches of one problem have equal limits; one past the last where none. */
function alikeFrom({ cellOf, options }: Problem, one: Limited, other: Limited): number {
  const stops = cellOf.length;
  for (let stop = stops - 1; stop >= 0; stop--) {
    if (byte(one.barredMarks, stop) !== byte(other.barredMarks, stop)) return stop + 1;
    if (int(one.fills.reach, stop) !== int(other.fills.reach, stop)) return stop + 1;
    if (int(one.fills.nearest, stop) !== int(other.fills.nearest, stop)) return stop + 1;
    for (let option = 0; option < options; option++) {
      const at = option * stops + stop;
      if (int(one.reach, at) !== int(other.reach, at)) return stop + 1;
    }
    if (stop === 0) return 0;
    // Fills that end here, and the cells just before it, only matter to the stops before it.
    if (int(one.fills.lastFrom, stop) !== int(other.fills.lastFrom, stop)) return stop;
    const [start, end] = [int(cellOf, stop - 1), int(cellOf, stop)];
    if (over(one.fills.through, start, end) !== over(other.fills.through, start, end)) return stop;
  }
  return 0;
}
