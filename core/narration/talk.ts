import type { Pipe, Point } from '../job/schema.js';
import type { EntryDraft, Known, LogContext } from '../logline/context.js';

/** One thing that a talk proposes for the log. */
export interface NarrationItem {
  /** Where it is said in the video, s; null without times. */
  video_s: number | null;
  /** What was said, all sentences that it was made from. */
  sentence: string;
  entry: EntryDraft;
  /** The point that the entry reads, where it is new. */
  point: Point | null;
  certain: boolean;
  /** What was taken as said, in words. */
  assumed: string[];
  /** Nothing said where it lies: it is to be read from the video. */
  noReading?: true;
}

/** What was said and proposes nothing. */
export interface NarrationNote {
  readonly video_s: number | null;
  readonly sentence: string;
}

/** What is known while a talk is followed. */
export interface Talk {
  pass: 'out' | 'back';
  readonly direction: 'downstream' | 'upstream';
  /** Where the head is: the reading said last, ft. */
  reading?: number | undefined;
  /** The sentence that said no more than where the head is: it belongs to what is found there. */
  placeSentence?: { readonly index: number; readonly text: string } | undefined;
  /** The sentence in which the newest item was named or completed, by its place in the talk. */
  lastAt: number;
  /** The plastic that was named by its kind: what "plastic" alone means after. */
  plastic?: Pipe['material'];
  /** The pipe the head is in. */
  pipe?: Pipe | undefined;
  /** Pipe said to reach from the counter's zero so far, ft, until the next pipe is named. */
  pipeUntil?: number | undefined;
  readonly points: (Point & { reading_ft?: number | undefined })[];
  readonly items: NarrationItem[];
  /** Sentences that belong to no item so far, by their place in the talk. */
  readonly notes: Map<number, NarrationNote>;
}

/** Ids by which a talk names where the camera went in and where the line ends. */
export const accessId = 'ACCESS';
export const mainId = 'MAIN';

/** What the words of the talk may speak of: its own items, in their order. */
export function contextOf(talk: Talk): { context: LogContext; known: Known[] } {
  const context: LogContext = {
    pass: talk.pass,
    direction: talk.direction,
    points: talk.points,
    end: mainId,
    access: accessId,
    ...(talk.pipe?.diameter_in === undefined ? {} : { bore_in: talk.pipe.diameter_in }),
    entries: talk.items.map(({ entry }, i) => ({ ...entry, id: itemId(i) })),
  };
  return { context, known: talk.items.map(({ entry }, i) => ({ id: itemId(i), entry })) };
}

export const itemId = (index: number): string => `item ${index}`;

/** Adds a sentence to an item that it completes or corrects; what was said twice is kept once. */
export function join(talk: Talk, item: NarrationItem, sentence: string, index: number): void {
  if (!item.sentence.endsWith(sentence)) item.sentence = `${item.sentence} ${sentence}`.trim();
  talk.notes.delete(index);
}

/** An item as a later sentence completes it; the head is where it ends. */
export function amend(
  talk: Talk,
  { index, sentence }: { readonly index: number; readonly sentence: { readonly text: string } },
  item: NarrationItem,
  entry: EntryDraft,
): void {
  item.entry = entry;
  talk.reading = entry.to_ft ?? talk.reading;
  talk.lastAt = index;
  join(talk, item, sentence.text, index);
}

/** What is taken as said of an item that nothing placed. */
export const untold = 'no reading was said: it is put where the head was last';

/** The newest item of which this is true. */
export const newest = (talk: Talk, fits: (entry: EntryDraft) => boolean): NarrationItem | undefined =>
  talk.items.findLast(({ entry }) => fits(entry));
