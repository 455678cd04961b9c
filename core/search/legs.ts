import { int, over } from './columns.js';
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
  const { start: firstRow, to: toOf, cost: costOf, departs: departsOf, arrives: arrivesOf } = moves;
  const stops = cellOf.length;
  const count = levels.length;
  const most = toOf.length * count;
  const start = new Int32Array(stops + 1);
  const [move, after] = [new Int32Array(most), new Int32Array(most)];
  const cost = new Float64Array(most);
  const ahead = new Uint8Array(most);
  let leg = 0;
  for (let stop = 0; stop < stops; stop++) {
    start[stop] = leg;
    const first = int(cellOf, stop);
    const rowEnd = int(firstRow, stop + 1);
    for (let row = int(firstRow, stop); row < rowEnd; row++) {
      const end = toOf[row] as number;
      const past = cellOf[end] as number;
      const departs = departsOf[row] as number;
      const arrived = (end * arrivals + (arrivesOf[row] as number)) * count;
      const { least, most: highest, crossesClosed } = departures[departs] as Departure;
      for (let number = least; number <= highest; number++) {
        const { closed, barred, cost: running, rises } = levels[number] as Level;
        const refused = crossesClosed ? barred : closed;
        if (refused[past] !== refused[first]) continue;
        const lifts = rises !== undefined && isMarked(rises.marked, first, past);
        move[leg] = row;
        ahead[leg] = departs * count + number;
        after[leg] = arrived + (lifts ? rises.to : number);
        cost[leg] = (costOf[row] as number) + over(running, first, past) + (lifts ? rises.cost : 0);
        leg++;
      }
    }
  }
  start[stops] = leg;
  return {
    start,
    move: move.slice(0, leg),
    ahead: ahead.slice(0, leg),
    after: after.slice(0, leg),
    cost: cost.slice(0, leg),
  };
}
