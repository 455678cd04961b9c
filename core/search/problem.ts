import type { Legs } from './legs.js';
import type { Passes } from './passes.js';

/**
 * The search's problem: the cheapest path along numbered stops, in plain numbers. Between two stops lies a move or a
 * fill; at each stop a pass joins what arrived to what departs. A path runs on levels: it changes level at a stop, and
 * pays for every cell it crosses on its current level. Costs and ties are integers, so sums are exact.
 */
export interface Problem {
  /** Cell at which each stop lies; the last entry is the number of cells. */
  readonly cellOf: Int32Array;
  readonly moves: Moves;
  readonly passes: Passes;
  readonly departures: readonly Departure[];
  readonly levels: readonly Level[];
  readonly fills: Fills;
  /** Options allowed on each cell, as a bit mask. */
  readonly allowed: Int32Array;
  /** Number of options; the option number breaks ties. */
  readonly options: number;
  readonly legs: Legs;
}

/** Moves as flat columns, sorted by the stop they start at. */
export interface Moves {
  /** First move of each stop; one more entry than there are stops. */
  readonly start: Int32Array;
  readonly to: Int32Array;
  /** The option it uses: every cell it covers must allow it. */
  readonly option: Uint8Array;
  readonly departs: Uint8Array;
  readonly arrives: Uint8Array;
  readonly cost: Float64Array;
}

/** Arrival 0 is the start of the path, arrival 1 a fill; departure 0 is a fill, the last departure the end of the path, on level 0. */
export const arrivalStart = 0;
export const arrivalFill = 1;
export const departureFill = 0;

/** Levels each departure may run on, and whether it may cross cells closed to its level. */
export interface Departure {
  readonly least: number;
  readonly most: number;
  readonly crossesClosed?: boolean;
}

/** What a path pays on a level. Level 0 is free and closed nowhere. */
export interface Level {
  /** Running cost over cells. */
  readonly cost: Float64Array;
  /** Running count of cells closed to it. */
  readonly closed: Float64Array;
  /** The same for a departure that crosses closed cells. */
  readonly barred: Float64Array;
  /** What a stretch adds to a tie, from its two cells. */
  tie: (start: number, end: number) => number;
  /** Crossing any of the marked measure lifts the path to another level, once, at a cost. */
  readonly rises: { readonly to: number; readonly cost: number; readonly marked: Float64Array } | undefined;
}

/** What lies between moves: each cell is filled by the first of two options it allows. */
export interface Fills {
  /** The two options, first choice first. */
  readonly options: readonly [number, number];
  /** Cost of each cell by the second option; the first costs nothing. */
  readonly cost: Float64Array;
  /** Cells that neither option suits may still be filled at this cost each; 0 where they may not. */
  readonly unsuited: Float64Array;
  /** Options such a cell would take, as a bit mask. */
  readonly unsuitedOptions: Int32Array;
  /** Cells that incur the marked charge when filled. */
  readonly marked: Uint8Array;
  /** Charged once where any marked cell is filled. */
  readonly markedCharge: number;
  /** Minimum length of a run of counted cells that begins or ends a fill next to a move. */
  readonly least?: {
    readonly length: number;
    readonly at: Float64Array;
    readonly counted: Uint8Array;
    /** Cells that exempt the run they are in. */
    readonly excused: Uint8Array;
  };
}

/** Bit masks: something begins at a stop; something ends there. */
export const begins = 1;
export const ends = 2;
export type Marks = 0 | 1 | 2 | 3;

/** Restrictions of one search. */
export interface Limits {
  /** Options that may be used at all, as a bit mask. */
  readonly options: number;
  /** Options allowed on each cell under these restrictions; the problem's own where missing. */
  readonly allowed: Int32Array;
  /** The same for cells filled although no option suits them. */
  readonly unsuited: Int32Array;
  /** Cells that may be filled by the second option; all of them where missing. */
  readonly secondMay?: Uint8Array;
  /** Stops that no move may run past in one piece. */
  readonly splits: readonly number[];
  /** Whether marked cells may be filled. */
  readonly marked: boolean;
  /** Marks barred at each stop; none where missing. */
  readonly barredMarks?: Uint8Array;
}

export interface PathStep {
  readonly from: number;
  readonly to: number;
  /** Row of the move; -1 for a fill. */
  readonly move: number;
  readonly departs: number;
  readonly arrives: number;
  /** Level during this step. */
  readonly level: number;
  /** Marks of the pass at its first stop. */
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
  /** Cells that a fill takes with its second option, and those it takes although neither suits them. */
  readonly second: Uint8Array;
  readonly unsuited: Uint8Array;
}

export const bit = (option: number): number => 1 << option;
