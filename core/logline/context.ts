import type { Entry, EntryDraft, Point } from '../job/schema.js';

export type { EntryDraft } from '../job/schema.js';

/** What a typed line may refer to, and the current pass. */
export interface LogContext {
  readonly pass: 'out' | 'back';
  /**
   * Direction the head faces in this run; with the pass it decides which of two pipes is upstream. Default: downstream.
   */
  readonly direction?: 'downstream' | 'upstream' | undefined;
  /** Order of `abs > clay`: as the head meets them, or downstream whatever the pass (tables). Default: as met. */
  readonly pipesRun?: 'as-seen' | 'downstream';
  /** Points of the line; `reading_ft` is this run's approximate counter reading there, ft, where known. */
  readonly points: readonly (Point & { readonly reading_ft?: number | undefined })[];
  /** The end of the line, which "main" refers to. */
  readonly end: string;
  /** Where this run entered: what "cleanout" means at the counter's zero, and nowhere else. */
  readonly access?: string | undefined;
  /** Longest cable, ft: a reading beyond it is questioned. Default: the house rule. */
  readonly mostCable_ft?: number | undefined;
  /** Pipe diameter, in, where known: "half full" is half of it. */
  readonly bore_in?: number | undefined;
  /** Clock position of the water in the picture, until it is set again. */
  readonly waterClock?: number | undefined;
  /** Earlier entries, this run's last: "the change", "that" and corrections refer to the newest match. */
  readonly entries?: readonly Entry[];
  /** How many of `entries`, from the first, belong to other runs. Default: none. */
  readonly otherRuns?: number;
  /** The entry that this line changes, by id: it is not what was written before. */
  readonly changing?: string | undefined;
  /** Branches and fixtures that drain here, by name. */
  readonly serves?: readonly string[];
}

/**
 * How much farther on its way the camera is at `to_ft` than at `from_ft`, ft; negative where it was there before. Without a
 * pass: back, as in the job file.
 */
export const fartherBy = (pass: EntryDraft['pass'], from_ft: number, to_ft: number): number =>
  pass === 'out' ? to_ft - from_ft : from_ft - to_ft;

/** An earlier thing that later words may refer to; parts of the same line are `part 0`, `part 1`, … */
export interface EarlierThing {
  readonly id: string;
  readonly entry: EntryDraft;
  /** It belongs to another run. */
  readonly elsewhere?: boolean;
  /** The point it added or changed, on the same line. */
  readonly point?: Point | undefined;
}

export const partId = (index: number): string => `part ${index}`;

/** Replacement words for a place in the text, offered on one key. */
export interface Choice {
  readonly label: string;
  readonly from: number;
  readonly to: number;
  readonly words: string;
}

/** What could not be understood: its place in the text, and what would be right. */
export interface LogError {
  readonly from: number;
  readonly to: number;
  readonly message: string;
  /** Possible meanings: each replaces the words at its place. */
  readonly answers?: readonly Choice[];
}
