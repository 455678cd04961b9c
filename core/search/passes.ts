import { byte, int } from './columns.js';
import type { Legs } from './legs.js';
import {
  arrivalFill,
  arrivalStart,
  bit,
  departureFill,
  type Departure,
  type Marks,
  type Problem,
} from './problem.js';

/** One way to join an arrival to a departure: the level it leaves on, its cost, its tie. */
export interface Pass {
  readonly level: number;
  readonly cost: number;
  readonly tie: number;
  /** Marks for something that begins or ends here, which a search may be told to bar at this stop. */
  readonly marks?: Marks;
}

/** Every way to join an arrival on a level to a departure at a stop. */
export type PassRule = (stop: number, arrival: number, level: number, departure: number) => readonly Pass[];

/**
 * Passes as flat columns: rows `start[state]` to `start[state + 1]`, state = (stop × arrivals + arrival) × levels +
 * level.
 */
export interface Passes {
  readonly arrivals: number;
  readonly start: Int32Array;
  /** departure × levels + level ahead. */
  readonly ahead: Uint8Array;
  readonly cost: Float64Array;
  readonly tie: Float64Array;
  readonly marks: Uint8Array;
}

type Parts = Pick<Problem, 'cellOf' | 'departures' | 'levels'> & {
  readonly arrivals: number;
  readonly legs: Legs;
};

/**
 * Builds the passes from a rule, for the arrivals and departures that legs and fills have at each stop. A fill is never
 * followed by a fill: a whole fill is one step.
 */
export function passesOf(parts: Parts, pass: PassRule): Passes {
  const { cellOf, departures, levels, arrivals } = parts;
  const stops = cellOf.length;
  const { arrives, departs, leaving } = meetingsOf(parts);
  const perStop = departures.length * levels.length;
  const start = new Int32Array(stops * arrivals * levels.length + 1);
  let rows = rowsFor(stops * levels.length * 32);
  let [state, count] = [0, 0];
  for (let stop = 0; stop < stops; stop++) {
    for (let arrival = 0; arrival < arrivals; arrival++) {
      const met = int(leaving, stop) & (arrival === arrivalFill ? ~bit(departureFill) : -1);
      for (let level = 0; level < levels.length; level++) {
        const some = byte(arrives, state) === 0 ? 0 : met;
        for (let departure = 0; departure < departures.length; departure++) {
          if ((some & bit(departure)) === 0) continue;
          const ahead = departure * levels.length;
          const joins = pass(stop, arrival, level, departure);
          for (let each = 0; each < joins.length; each++) {
            const { level: onto, cost, tie, marks } = joins[each] as Pass;
            if (byte(departs, stop * perStop + ahead + onto) === 0) continue;
            if (count === rows.cost.length) rows = rowsFor(2 * count, rows);
            rows.ahead[count] = ahead + onto;
            rows.cost[count] = cost;
            rows.tie[count] = tie;
            rows.marks[count] = marks ?? 0;
            count++;
          }
        }
        start[++state] = count;
      }
    }
  }
  return { arrivals, start, ...rows };
}

/**
 * By state, whether anything arrives there; by stop and departure × levels + level, whether anything departs; by stop,
 * what departs on any level, as a bit mask: legs, fills anywhere, the start at the first stop, the end at the last.
 */
function meetingsOf({ cellOf, departures, levels, arrivals, legs }: Parts): {
  readonly arrives: Uint8Array;
  readonly departs: Uint8Array;
  readonly leaving: Int32Array;
} {
  const [last, count] = [cellOf.length - 1, levels.length];
  const perStop = departures.length * count;
  const arrives = new Uint8Array((last + 1) * arrivals * count);
  const departs = new Uint8Array((last + 1) * perStop);
  const leaving = new Int32Array(last + 1);
  const { least, most } = departures[departureFill] as Departure;
  arrives[arrivalStart * count] = 1;
  for (let stop = 0; stop < last; stop++) {
    const fill = stop * perStop + departureFill * count;
    departs.fill(1, fill + least, fill + most + 1);
    leaving[stop] = bit(departureFill);
    const filled = ((stop + 1) * arrivals + arrivalFill) * count;
    arrives.fill(1, filled, filled + count);
    for (let leg = int(legs.start, stop); leg < int(legs.start, stop + 1); leg++) {
      const ahead = byte(legs.ahead, leg);
      arrives[int(legs.after, leg)] = 1;
      departs[stop * perStop + ahead] = 1;
      leaving[stop] = int(leaving, stop) | bit(Math.floor(ahead / count));
    }
  }
  departs[last * perStop + (departures.length - 1) * count] = 1;
  leaving[last] = bit(departures.length - 1);
  return { arrives, departs, leaving };
}

/** Room for more rows of passes, with those there are. */
function rowsFor(
  count: number,
  before?: Pick<Passes, 'ahead' | 'cost' | 'tie' | 'marks'>,
): Pick<Passes, 'ahead' | 'cost' | 'tie' | 'marks'> {
  const rows = {
    ahead: new Uint8Array(count),
    cost: new Float64Array(count),
    tie: new Float64Array(count),
    marks: new Uint8Array(count),
  };
  if (before) {
    rows.ahead.set(before.ahead);
    rows.cost.set(before.cost);
    rows.tie.set(before.tie);
    rows.marks.set(before.marks);
  }
  return rows;
}
