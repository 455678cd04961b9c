import type * as z from 'zod';
import type { FieldTypes } from './fields.js';

export type Grade = 0 | 1 | 2 | 3 | 4;
/** Grade names shown on screens. */
export const gradeWords: readonly [string, string, string, string, string] = [
  'sound',
  'note',
  'watch',
  'fix',
  'failed',
];

/** Cures: cleaning, spot repair, liner, replacement, regrade. */
export type Cure = 'clean' | 'spot' | 'liner' | 'replacement' | 'regrade';

/** How a finding is measured for its grade. `of-bore` is inches as a percentage of the bore. */
export type Measure = 'form' | 'always' | 'percent' | 'of-bore' | 'inches';

/** Fields that a word of the log line sets on an entry. */
export type Sets = Readonly<Record<string, unknown>>;

/** How one kind of finding is graded, and what that requires. Numbers are default house rules: common practice. */
export interface Grading {
  readonly measure: Measure;
  /**
   * With three bounds: below the first is grade 1, below the second 2, up to and including the third 3, over it 4. With
   * two: 1, 2, and 3 from the second on.
   */
  readonly bounds?: readonly number[];
  readonly forms?: Readonly<Record<string, Grade>>;
  readonly always?: Grade;
  readonly cures: readonly Cure[];
  /** The measure that stops a liner: over it, or from it on when `stopsAt`. */
  readonly stopsLinerAt?: number;
  readonly stopsAt?: boolean;
  /** It always stops a liner, or where it is longer than this many feet. */
  readonly stopsLiner?: { readonly why: string; readonly over_ft?: number };
  readonly structural?: boolean;
}

/**
 * Everything the program knows about one kind of finding. `Fields` are its fields in the job file beyond the common
 * ones; a row receives what they are made of, so that a page can name findings without loading the file's schema.
 */
export interface FindingRow<Id extends string = string, Fields extends z.ZodRawShape = z.ZodRawShape> {
  readonly id: Id;
  /** Its name, as a heading says it. */
  readonly name: string;
  /** What a higher measure means, for a sentence. */
  readonly noun: string;
  readonly fields: (of: FieldTypes) => Fields;
  /** Names of its forms, for headings. */
  readonly formNames?: Readonly<Record<string, string>>;
  /**
   * Words of the log line that name it, with the fields they set; a third element marks a word that yields to any
   * other. Plurals are understood.
   */
  readonly spoken: readonly (string | readonly [word: string, sets: Sets, weak?: Sets])[];
  /** Words of the log line that add detail to it. */
  readonly says?: readonly (readonly [string, Sets])[];
  /** Words that imply it only where nothing else is named: soil or a void seen through a hole. */
  readonly impliedBy?: readonly (string | readonly [word: string, sets: Sets])[];
  /** Absent where it has no grade on this line: it is referred instead. */
  readonly grading?: Grading;
  /**
   * We cannot cure it: what must not be done before its owner has been there, why it is left, and what would lift that.
   */
  readonly byOthers?: { readonly danger: string; readonly why: string; readonly lift: string };
  /** Never a defect of this line, or not ours to fix: what is reported, and to whom. */
  readonly refers?: { readonly what: string; readonly to: string };

  /** With this cause it is not a defect of this line either. */
  readonly refersFor?: { readonly cause: string; readonly what: string; readonly to: string };

  /** Roots and deposits: cleaned rather than repaired, hide the wall behind them, and settled by a full cleaning. */
  readonly cleaned?: true;
  /** Where it is left, its joint lets roots in again: yearly cleaning. */
  readonly regrows?: true;
  /** Cured only by new pipe laid to grade, over all of it in one action. */
  readonly sags?: true;
  /** At grade 3 or worse it would steer new pipe off course: no bursting through it. With 0, at any grade. */
  readonly stopsBurstFrom?: Grade;
  /** Causes without a grade of their own: the blockage is cleared and re-inspected first. */
  readonly heldBy?: readonly string[];
  /** A flush that ran through lowers grade 1 or 2 by one. */
  readonly loweredByFlush?: true;
  /** Where two materials meet, up to half the difference of their outside diameters is normal. */
  readonly normalAtChange?: true;
  /** This form has failed where the pipe shifts, or where a finding of another kind lies at the same place. */
  readonly failsShifting?: { readonly form: string; readonly beside: string };
  /** Percent out of round: thickens a liner, and past this percentage ends the life of pipe that softens. */
  readonly outOfRound?: { readonly endOfLifeOver_percent: number };
}

export const findingRow = <const Id extends string, Fields extends z.ZodRawShape>(
  row: FindingRow<Id, Fields>,
): FindingRow<Id, Fields> => row;
