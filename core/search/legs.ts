import { byte, int, num, over } from './columns.js';
import type { Departure, Level, Problem } from './problem.js';

/**
 * Every move on every level it may run on, as flat columns sorted by starting stop; computed once per problem and read
 * by every search.
 */
export interface Legs {
  /** First leg of each stop; one more entry than there are stops. */
  readonly start: Int32Array;
  /** Row of the move. */
  readonly move: Int32Array;
  /** departure × levels + level. */
  readonly ahead: Uint8Array;
  /** State it leads to. */
  readonly after: Int32Array;
  /** The move and its level together. */
  readonly cost: Float64Array;
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

type Parts = Pick<Problem, 'cellOf' | 'moves' | 'departures' | 'levels'> & { readonly arrivals: number };

export function legsOf(parts: Parts): Legs {
  const { moves, departures, cellOf, levels, arrivals } = parts;
  const stops = cellOf.length;
  const most = moves.to.length * levels.length;
  const start = new Int32Array(stops + 1);
  const [move, after] = [new Int32Array(most), new Int32Array(most)];
  const cost = new Float64Array(most);
  const ahead = new Uint8Array(most);
  let count = 0;
  for (let stop = 0; stop < stops; stop++) {
    start[stop] = count;
    const first = int(cellOf, stop);
    const lastRow = int(moves.start, stop + 1);
    for (let row = int(moves.start, stop); row < lastRow; row++) {
      const end = int(moves.to, row);
      const past = int(cellOf, end);
      const own = num(moves.cost, row);
      const departs = byte(moves.departs, row);
      const arrived = (end * arrivals + byte(moves.arrives, row)) * levels.length;
      const { least, most: highest, crossesClosed } = departures[departs] as Departure;
      for (let number = least; number <= highest; number++) {
        const level = levels[number] as Level;
        const refused = crossesClosed ? level.barred : level.closed;
        if (num(refused, past) !== num(refused, first)) continue;
        const { rises } = level;
        const lifts = rises !== undefined && isMarked(rises.marked, first, past);
        move[count] = row;
        ahead[count] = departs * levels.length + number;
        after[count] = arrived + (lifts ? rises.to : number);
        cost[count] = own + over(level.cost, first, past) + (lifts ? rises.cost : 0);
        count++;
      }
    }
  }
  start[stops] = count;
  return {
    start,
    move: move.slice(0, count),
    ahead: ahead.slice(0, count),
    after: after.slice(0, count),
    cost: cost.slice(0, count),
  };
}
