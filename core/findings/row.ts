import type { z } from 'zod';

export type Grade = 0 | 1 | 2 | 3 | 4;
/** The word a screen shows for each grade. */
export const gradeWords: readonly [string, string, string, string, string] = [
  'sound',
  'note',
  'watch',
  'fix',
  'failed',
];

/** What puts a finding right: cleaning, spot repair, liner, replacement, regrade. */
export type Cure = 'clean' | 'spot' | 'liner' | 'replacement' | 'regrade';

/** How a finding is measured for its grade. `of-bore` is inches as a share of the bore, percent. */
export type Measure = 'form' | 'always' | 'percent' | 'of-bore' | 'inches';

/** What a log line's word sets on an entry. */
export type Sets = Readonly<Record<string, unknown>>;

/** How one kind of finding is graded, and what that asks for. Numbers are house rules by default: common practice. */
export interface Grading {
  readonly measure: Measure;
  /**
   * Three bounds: below the first is 1, below the second 2, up to and with the third 3, over it 4. Two: 1, 2, and 3 from
   * the second on.
   */
  readonly bounds?: readonly number[];
  readonly forms?: Readonly<Record<string, Grade>>;
  readonly always?: Grade;
  readonly cures: readonly Cure[];
  /** The measure that stops a liner: over it, or at it already when `stopsAt`. */
  readonly stopsLinerAt?: number;
  readonly stopsAt?: boolean;
  /** It stops a liner whatever it measures, or where it is longer than so many feet. */
  readonly stopsLiner?: { readonly why: string; readonly over_ft?: number };
  readonly structural?: boolean;
}

/** Everything the program knows of one kind of finding. `Fields` is what the job file may say of it beside the usual. */
export interface FindingRow<Id extends string = string, Fields extends z.ZodRawShape = z.ZodRawShape> {
  readonly id: Id;
  /** Its name, as a heading says it. */
  readonly name: string;
  /** What is wrong with more of the same measure, for a sentence. */
  readonly noun: string;
  readonly fields: Fields;
  /** Names of its forms, as a heading says them. */
  readonly formNames?: Readonly<Record<string, string>>;
  /**
   * Words of the log line that name it, with what else they say of it; what stands third gives way to any other word.
   * Plurals are understood.
   */
  readonly spoken: readonly (string | readonly [word: string, sets: Sets, weak?: Sets])[];
  /** Words of the log line that say more of it. */
  readonly says?: readonly (readonly [string, Sets])[];
  /** Absent where it has no grade on this line: then it is referred. */
  readonly grading?: Grading;
  /** No cure of ours: what nobody may do before its owner was here, why it is left, and what would lift that. */
  readonly byOthers?: { readonly danger: string; readonly why: string; readonly lift: string };
  /** Never this line's fault, or not ours to put right: what is reported, and to whom. */
  readonly refers?: { readonly what: string; readonly to: string };

  /** With this cause it is not this line's fault either. */
  readonly refersFor?: { readonly cause: string; readonly what: string; readonly to: string };

  /** Roots and deposits: cleaned rather than repaired, hide the wall behind them, and are settled by a full cleaning. */
  readonly cleaned?: true;
  /** Where it is left, its joint lets roots in again: yearly cleaning. */
  readonly regrows?: true;
  /** Cured only by new pipe laid to grade, over all of it in one action. */
  readonly sags?: true;
  /** A grade of 3 or worse leads new pipe astray: nothing is burst through it. At 0 any grade does. */
  readonly stopsBurstFrom?: Grade;
  /** Causes that have no grade of their own: what holds the water is cleared and seen again first. */
  readonly heldBy?: readonly string[];
  /** A flush that ran past lowers grade 1 or 2 by one. */
  readonly loweredByFlush?: true;
  /** Where two materials meet, up to half the difference of their outside diameters is normal. */
  readonly normalAtChange?: true;
  /** This form has failed where the pipe shifts, or where another kind of finding lies at its place. */
  readonly failsShifting?: { readonly form: string; readonly beside: string };
  /** Percent out of round: thickens a liner, and ends the life of pipe that softens past so many percent. */
  readonly outOfRound?: { readonly endOfLifeOver_percent: number };
}

export const findingRow = <const Id extends string, Fields extends z.ZodRawShape>(
  row: FindingRow<Id, Fields>,
): FindingRow<Id, Fields> => row;
