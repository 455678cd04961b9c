import { int } from './columns.js';
import { legsOf, type Legs } from './legs.js';

/**
 * The search's problem: the cheapest path along numbered stops, over plain numbers. Between two stops lies a move, or a
 * fill; at each stop a pass joins what arrived to what departs. A path runs on levels: it changes level at a stop, and
 * pays for every cell it crosses on the level it is on. Costs and ties are whole numbers, so that sums are exact.
 */
export interface Problem {
  /** Cell at which each stop lies; the last is the number of cells. */
  readonly cellOf: Int32Array;
  readonly moves: Moves;
  readonly passes: Passes;
  readonly departures: readonly Departure[];
  readonly levels: readonly Level[];
  readonly fills: Fills;
  /** Options that a cell allows, as a bit mask. */
  readonly allowed: Int32Array;
  /** How many options there are; an option's number settles ties. */
  readonly options: number;
  readonly legs: Legs;
}

/** A problem with its moves laid out on the levels, ready for any number of searches. */
export const readyProblem = (parts: Omit<Problem, 'legs'>): Problem => ({ ...parts, legs: legsOf(parts) });

/** Moves as flat columns, sorted by the stop they start at and then by the one they end at. */
export interface Moves {
  /** First move of each stop, one more than stops. */
  readonly start: Int32Array;
  readonly to: Int32Array;
  /** The option it takes: every cell it covers must allow it. */
  readonly option: Uint8Array;
  readonly departs: Uint8Array;
  readonly arrives: Uint8Array;
  readonly cost: Float64Array;
}

/** Arrival 0 is the start of the path, arrival 1 a fill; departure 0 is a fill, the last departure the end of the path, on level 0. */
export const arrivalStart = 0;
export const arrivalFill = 1;
export const departureFill = 0;

/** The levels a departure may run on, and whether it may cross cells that are closed to its level. */
export interface Departure {
  readonly least: number;
  readonly most: number;
  readonly crossesClosed?: boolean;
}

/** What a path pays on a level. Level 0 costs nothing and is closed nowhere. */
export interface Level {
  /** Running cost over cells. */
  readonly cost: Float64Array;
  /** Running count of the cells closed to it. */
  readonly closed: Float64Array;
  /** The same for a departure that crosses closed cells. */
  readonly barred: Float64Array;
  /** What a stretch adds to a tie, by its two cells. */
  tie: (start: number, end: number) => number;
  /** Crossing any of the marked measure lifts the path to another level, once, at a cost. */
  readonly rises?: { readonly to: number; readonly cost: number; readonly marked: Float64Array };
}

/** What lies between moves: each cell is filled by the first of two options that it allows. */
export interface Fills {
  /** The two options, first choice first. */
  readonly options: readonly [number, number];
  /** Cost of each cell by the second option; the first costs nothing. */
  readonly cost: Float64Array;
  /** Cells that neither option suits may be filled all the same, at this cost each; 0 where they may not. */
  readonly unsuited: Float64Array;
  /** Options that such a cell would take, as a bit mask. */
  readonly unsuitedOptions: Int32Array;
  /** Cells that bring the marked charge where they are filled. */
  readonly marked: Uint8Array;
  /** Paid once where any marked cell is filled. */
  readonly markedCharge: number;
  /** A run of counted cells that begins or ends a fill beside a move is at least so long. */
  readonly least?: {
    readonly length: number;
    readonly at: Float64Array;
    readonly counted: Uint8Array;
    /** Cells that excuse the run they lie in. */
    readonly excused: Uint8Array;
  };
}

/** One way to join an arrival to a departure: the level it leaves on, its cost, what it adds to a tie. */
export interface Pass {
  readonly level: number;
  readonly cost: number;
  readonly tie: number;
  /** Whether something begins here, or ends here, that a search may be told to keep from this stop. */
  readonly marks?: Marks;
}

/** Bits: something begins at a stop; something ends there. */
export const begins = 1;
export const ends = 2;
export type Marks = 0 | 1 | 2 | 3;

/** Passes as flat columns: rows `start[state]` to `start[state + 1]`, state = (stop × arrivals + arrival) × levels + level. */
export interface Passes {
  readonly arrivals: number;
  readonly start: Int32Array;
  /** departure × levels + level ahead. */
  readonly ahead: Uint8Array;
  readonly cost: Float64Array;
  readonly tie: Float64Array;
  readonly marks: Uint8Array;
}

/** What narrows a problem for one search. */
export interface Limits {
  /** Options that may be used at all, as a bit mask. */
  readonly options: number;
  /** Options a cell allows under the restrictions at hand; the problem's own where there are none. */
  readonly allowed: Int32Array;
  /** The same for cells that are filled although no option suits them. */
  readonly unsuited: Int32Array;
  /** Cells that may be filled by the second option; all of them where it is not given. */
  readonly secondMay?: Uint8Array;
  /** Stops that no move runs past in one piece. */
  readonly splits: readonly number[];
  /** Whether a marked cell may be filled. */
  readonly marked: boolean;
  /** For each stop, the marks that no pass there may bear; none where it is not given. */
  readonly barredMarks?: Uint8Array;
}

export interface PathStep {
  readonly from: number;
  readonly to: number;
  /** Row of the move; -1 for a fill. */
  readonly move: number;
  readonly departs: number;
  readonly arrives: number;
  /** Level while this step runs. */
  readonly level: number;
  /** Marks of the pass that it leaves its first stop by. */
  readonly marks: Marks;
}

export interface Path {
  readonly steps: readonly PathStep[];
  /** Marks of the pass at the last stop. */
  readonly lastMarks: Marks;
  readonly cost: number;
  readonly tie: number;
  /** Options used, as a bit mask. */
  readonly used: number;
  /** Cells that a fill takes by its second option, and those it takes although neither suits them. */
  readonly second: Uint8Array;
  readonly unsuited: Uint8Array;
}

export const bit = (option: number): number => 1 << option;

/** What may meet at each stop, as bit masks: a pass is asked for nothing else. */
export interface Meets {
  readonly arrivals: Int32Array;
  readonly departures: Int32Array;
}

/** What may meet at each stop of some moves: fills anywhere, the start at the first, the end at the last. */
export function meetsOf(stops: number, moves: Moves, endDeparture: number): Meets {
  const arrivals = new Int32Array(stops).fill(1 << arrivalFill);
  const departures = new Int32Array(stops).fill(1 << departureFill);
  arrivals[0] = 1 << arrivalStart;
  departures[stops - 1] = 1 << endDeparture;
  for (let stop = 0; stop < stops; stop++) {
    for (let row = moves.start[stop] ?? 0; row < (moves.start[stop + 1] ?? 0); row++) {
      const to = moves.to[row] ?? 0;
      arrivals[to] = (arrivals[to] ?? 0) | (1 << (moves.arrives[row] ?? 0));
      departures[stop] = (departures[stop] ?? 0) | (1 << (moves.departs[row] ?? 0));
    }
  }
  return { arrivals, departures };
}

/** Passes by a rule. A fill is never followed by a fill: a whole fill is one step. */
export function passesOf(
  stops: number,
  counts: { readonly arrivals: number; readonly levels: number; readonly departures: number },
  pass: (stop: number, arrival: number, level: number, departure: number) => readonly Pass[],
  meets?: Meets,
): Passes {
  const { arrivals, levels, departures } = counts;
  const start = new Int32Array(stops * arrivals * levels + 1);
  const [ahead, cost, tie, marks]: [number[], number[], number[], number[]] = [[], [], [], []];
  const comes = (stop: number, arrival: number) => !meets || (int(meets.arrivals, stop) & bit(arrival)) !== 0;
  const goes = (stop: number, departure: number) =>
    !meets || (int(meets.departures, stop) & bit(departure)) !== 0;
  let state = 0;
  for (let stop = 0; stop < stops; stop++) {
    const leaving = Array.from({ length: departures }, (_, each) => each).filter((each) => goes(stop, each));
    for (let arrival = 0; arrival < arrivals; arrival++) {
      const met = comes(stop, arrival) ? leaving : [];
      for (let level = 0; level < levels; level++) {
        for (const departure of met) {
          if (departure === departureFill && arrival === arrivalFill) continue;
          for (const each of pass(stop, arrival, level, departure)) {
            ahead.push(departure * levels + each.level);
            cost.push(each.cost);
            tie.push(each.tie);
            marks.push(each.marks ?? 0);
          }
        }
        start[++state] = ahead.length;
      }
    }
  }
  return {
    arrivals,
    start,
    ahead: new Uint8Array(ahead),
    cost: new Float64Array(cost),
    tie: new Float64Array(tie),
    marks: new Uint8Array(marks),
  };
}
