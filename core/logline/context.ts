import type { Entry, Point } from '../job/schema.js';

/** What a typed line may name, and the pass that is on. */
export interface LogContext {
  readonly pass: 'out' | 'back';
  /** Points of the line; `reading_ft` is about what this run's counter shows there, ft, where that is known. */
  readonly points: readonly (Point & { readonly reading_ft?: number | undefined })[];
  /** The end of the line: it answers to "main". */
  readonly end: string;
  /** Where this run went in: never what a bare "cleanout" found on the way means. */
  readonly access?: string | undefined;
  /** Clock of the water as the picture shows it, until it is turned again. */
  readonly waterClock?: number | undefined;
  /** What was written so far, those of this run last: "the change", "that" and a correction speak of the newest. */
  readonly entries?: readonly Entry[];
  /** What drains here, by name. */
  readonly serves?: readonly string[];
}

/** An entry still without its id. */
export type EntryDraft = Entry extends infer E ? (E extends Entry ? Omit<E, 'id'> : never) : never;

/** An earlier thing that later words may speak of; parts of the same line go by `part 0`, `part 1`, … */
export interface Known {
  readonly id: string;
  readonly entry: EntryDraft;
}

export const partId = (index: number): string => `part ${index}`;

/** What could not be understood: its place in the text, and what would be. */
export interface LogError {
  readonly from: number;
  readonly to: number;
  readonly message: string;
}
