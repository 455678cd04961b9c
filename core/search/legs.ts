import { byte, int, num, over } from './columns.js';
import type { Problem } from './problem.js';

/**
 * Every move on every level it may run on, as flat columns sorted by starting stop; computed once per problem and read
 * by every search.
 */
export interface Legs {
  /** First leg of each stop; one more entry than there are stops. */
  readonly start: Int32Array;
  readonly move: Int32Array;
  readonly to: Int32Array;
  readonly option: Uint8Array;
  /** departure × levels + level. */
  readonly ahead: Uint8Array;
  /** State it leads to. */
  readonly after: Int32Array;
  /** The move and its level together, and what both add to a tie. */
  readonly cost: Float64Array;
  readonly tie: Float64Array;
}

/** A move counts 1 in a tie, after the contributions of passes and levels. */
export const moveTie = 1;

/** Less of a marked measure than this is treated as none. */
const leastMarked = 1e-6;

/** Whether a stretch of cells crosses any of a marked measure. */
export const isMarked = (marked: Float64Array, start: number, end: number): boolean =>
  over(marked, start, end) > leastMarked;

/** State of the search: a stop, what arrived there, and the level. */
export const stateAt = (
  { passes, levels }: Pick<Problem, 'passes' | 'levels'>,
  stop: number,
  arrival: number,
  level: number,
): number => (stop * passes.arrivals + arrival) * levels.length + level;

type Parts = Pick<Problem, 'cellOf' | 'moves' | 'passes' | 'departures' | 'levels'>;

export function legsOf(parts: Parts): Legs {
  const { moves, departures, cellOf, levels } = parts;
  const stops = cellOf.length;
  const most = moves.to.length * levels.length;
  const start = new Int32Array(stops + 1);
  const [move, to, after] = [new Int32Array(most), new Int32Array(most), new Int32Array(most)];
  const [cost, tie] = [new Float64Array(most), new Float64Array(most)];
  const [option, ahead] = [new Uint8Array(most), new Uint8Array(most)];
  let count = 0;
  for (let stop = 0; stop < stops; stop++) {
    start[stop] = count;
    const first = int(cellOf, stop);
    for (let row = int(moves.start, stop); row < int(moves.start, stop + 1); row++) {
      const end = int(moves.to, row);
      const departs = byte(moves.departs, row);
      const past = int(cellOf, end);
      const { least, most, crossesClosed } = departures[departs] as Problem['departures'][number];
      for (let level = least; level <= most; level++) {
        const {
          closed,
          barred,
          cost: costOf,
          tie: tieOf,
          rises,
        } = levels[level] as Problem['levels'][number];
        if (over(crossesClosed ? barred : closed, first, past) !== 0) continue;
        const lifts = rises !== undefined && isMarked(rises.marked, first, past);
        move[count] = row;
        to[count] = end;
        option[count] = byte(moves.option, row);
        ahead[count] = departs * levels.length + level;
        after[count] = stateAt(parts, end, byte(moves.arrives, row), lifts ? rises.to : level);
        cost[count] = num(moves.cost, row) + over(costOf, first, past) + (lifts ? rises.cost : 0);
        tie[count] = moveTie + tieOf(first, past);
        count++;
      }
    }
  }
  start[stops] = count;
  return {
    start,
    move: move.slice(0, count),
    to: to.slice(0, count),
    option: option.slice(0, count),
    ahead: ahead.slice(0, count),
    after: after.slice(0, count),
    cost: cost.slice(0, count),
    tie: tie.slice(0, count),
  };
}
