import type { Entry, Point } from '../job/schema.js';

/** What a typed line may name, and the pass that is on. */
export interface LogContext {
  readonly pass: 'out' | 'back';
  /** Where the head of this run looks; with the pass it says which of two pipes lies upstream. Default: downstream. */
  readonly direction?: 'downstream' | 'upstream' | undefined;
  /** How `abs > clay` runs: as the head sees the two, or downstream whatever the pass (tables). Default: as seen. */
  readonly pipesRun?: 'as-seen' | 'downstream';
  /** Points of the line; `reading_ft` is about what this run's counter shows there, ft, where that is known. */
  readonly points: readonly (Point & { readonly reading_ft?: number | undefined })[];
  /** The end of the line: it answers to "main". */
  readonly end: string;
  /** Where this run went in: what "cleanout" means at the counter's zero, and never what it means further on. */
  readonly access?: string | undefined;
  /** No cable is longer, ft: a reading beyond it is asked about. By default the house rules' own. */
  readonly mostCable_ft?: number | undefined;
  /** Diameter of the pipe, in, where it is known: "half full" is half of it. */
  readonly bore_in?: number | undefined;
  /** Clock of the water as the picture shows it, until it is turned again. */
  readonly waterClock?: number | undefined;
  /** What was written so far, those of this run last: "the change", "that" and a correction speak of the newest. */
  readonly entries?: readonly Entry[];
  /** How many of `entries`, from the first, are other runs'. Default: none. */
  readonly otherRuns?: number;
  /** What drains here, by name. */
  readonly serves?: readonly string[];
}

/** An entry still without its id. */
export type EntryDraft = Entry extends infer E ? (E extends Entry ? Omit<E, 'id'> : never) : never;

/** An earlier thing that later words may speak of; parts of the same line go by `part 0`, `part 1`, … */
export interface Known {
  readonly id: string;
  readonly entry: EntryDraft;
  /** It was written by another run. */
  readonly elsewhere?: boolean;
}

export const partId = (index: number): string => `part ${index}`;

/** Other words for a place in the text, offered under one key. */
export interface Choice {
  readonly label: string;
  readonly from: number;
  readonly to: number;
  readonly words: string;
}

/** What could not be understood: its place in the text, and what would be. */
export interface LogError {
  readonly from: number;
  readonly to: number;
  readonly message: string;
  /** What it may have meant: each puts other words in its place. */
  readonly answers?: readonly Choice[];
}
