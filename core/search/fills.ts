import { byte, int, num, over, runningSums } from './columns.js';
import { bit, type Limits, type Problem } from './problem.js';

/** Fills under one search's limits: which may be, what they cost, and by which option each cell is filled. */
export interface LimitedFills {
  readonly second: Uint8Array;
  /** No cell between the two stops refuses to be filled; once false it stays false further on. */
  mayReach: (from: number, to: number) => boolean;
  isLongEnough: (from: number, to: number) => boolean;
  cost: (from: number, to: number) => number;
}

export function fillsUnder({ fills, cellOf }: Problem, limits: Limits): LimitedFills {
  const { allowed } = limits;
  const [first, other] = fills.options.map(bit) as [number, number];
  const may = (i: number, option: number) => (int(allowed, i) & option) !== 0;
  const second = Uint8Array.from(allowed, (_, i) => (may(i, first) ? 0 : 1));
  const refused = runningSums(allowed.length, (i) => {
    const none = !may(i, first) && !may(i, other);
    return none || (byte(fills.marked, i) !== 0 && !limits.marked) ? 1 : 0;
  });
  const cost = runningSums(allowed.length, (i) => (may(i, first) ? 0 : num(fills.cost, i)));
  const last = cellOf.length - 1;
  const between = (sums: Float64Array, from: number, to: number) =>
    over(sums, int(cellOf, from), int(cellOf, to));
  const { least } = fills;
  return {
    second,
    mayReach: (from, to) => between(refused, from, to) === 0,
    isLongEnough: (from, to) =>
      least === undefined ||
      from === 0 ||
      to === last ||
      between(least.at, from, to) >= least.length ||
      between(least.counted, from, to) === 0,
    cost: (from, to) => between(cost, from, to),
  };
}
