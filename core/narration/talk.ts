import type { Pipe, Point } from '../job/schema.js';
import type { EntryDraft, EarlierThing, LogContext } from '../logline/context.js';
import type { Sentence } from './sentences.js';

/** A greater number is no depth of a lateral, ft. */
export const mostDepth_ft = 30;

/** One item proposed for the log. */
export interface NarrationItem {
  /** Time in the video, s; null without times. */
  video_s: number | null;
  /** What was said, from every sentence it was made from. */
  sentence: string;
  entry: EntryDraft;
  /** The point that the entry reads, where it is new. */
  point: Point | null;
  certain: boolean;
  /** What was assumed, in words. */
  assumed: string[];
  /** Nothing gives its place: it has to be read from the video. */
  noReading?: true;
  /** Its place follows from a length called by eye: a reading called later holds. */
  byLength?: true;
}

/** Speech that proposes nothing. */
export interface NarrationNote {
  readonly video_s: number | null;
  readonly sentence: string;
}

/** A sentence, and its place among all. */
export interface SpokenSentence {
  readonly index: number;
  readonly sentence: Pick<Sentence, 'text' | 'at'>;
}

/** State while a narration is read. */
export interface Talk {
  pass: 'out' | 'back';
  readonly direction: 'downstream' | 'upstream';
  /** Head position: the last reading, ft. */
  reading?: number | undefined;
  /** A sentence that only gave the head's position: it belongs to what is found there. */
  placeSentence?: { readonly index: number; readonly text: string } | undefined;
  /** A locate whose depth was not said yet. */
  locating?: { readonly index: number; readonly text: string; readonly reading_ft: number } | undefined;
  /** The camera was said to be pulled out, not back. */
  pulledOut?: boolean;
  /** The talk goes from locate to locate. */
  takingDepths?: boolean;
  /** Water that was run and has not been seen, or not seen, to arrive. */
  testing?:
    | { readonly index: number; readonly text: string; readonly what: string; readonly of?: string }
    | undefined;
  /** A finding that was said to keep going: it reaches to the next reading. */
  goesOn?: NarrationItem | undefined;
  /** Index of the sentence that named or completed the newest item. */
  lastAt: number;
  /** Index of the sentence that gave one more place its share: "ten, ten percent". */
  sharedAt?: number;
  /** The plastic last named by kind: what "plastic" alone means from then on. */
  plastic?: Pipe['material'];
  /** The pipe around the head. */
  pipe?: Pipe | undefined;
  /** The pipe named before anything was read: what the line begins in. */
  firstPipe?: { readonly pipe: Pipe; readonly said: SpokenSentence };
  /** Pipe stated to extend this far from the counter's zero, ft, until the next pipe is named. */
  pipeUntil?: number | undefined;
  readonly points: (Point & { reading_ft?: number | undefined })[];
  readonly items: NarrationItem[];
  /** Indexes of sentences that belong to no item so far. */
  readonly notes: Map<number, NarrationNote>;
}

/** Ids for the camera's access point and for the end of the line. */
export const accessId = 'ACCESS';
export const mainId = 'MAIN';

/** What the words may refer to: the narration's own items, in order. */
export function contextOf(talk: Talk): { context: LogContext; known: EarlierThing[] } {
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

/** A point that was named by mistake: the next of its kind takes its number. */
export function forgetPoint({ points, items }: Talk, { point }: NarrationItem): void {
  if (!point || [mainId, accessId].includes(point.id) || items.some((each) => each.point?.id === point.id))
    return;
  const at = points.findIndex(({ id }) => id === point.id);
  if (at >= 0) points.splice(at, 1);
}

/** Adds a sentence to an item that it completes or corrects; a repeated one is kept once. */
export function join(talk: Talk, item: NarrationItem, sentence: string, index: number): void {
  if (!item.sentence.endsWith(sentence)) item.sentence = `${item.sentence} ${sentence}`.trim();
  talk.notes.delete(index);
}

/** An item completed by a later sentence; the head moves to where it ends. */
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

/** Proposes an entry that this sentence alone says, without a point of its own. */
export function add(
  talk: Talk,
  { index, sentence }: SpokenSentence,
  entry: EntryDraft,
  assumed: string[] = [],
): void {
  talk.items.push({
    ...{ video_s: sentence.at(0), sentence: sentence.text, entry, point: null },
    ...{ certain: assumed.length === 0, assumed },
  });
  talk.lastAt = index;
  talk.notes.delete(index);
}

/** What is assumed for an item that nothing placed. */
export const noReadingGiven = 'no reading was given: it is placed where the head was last';

/** The newest item that satisfies the condition. */
export const newest = (talk: Talk, fits: (entry: EntryDraft) => boolean): NarrationItem | undefined =>
  talk.items.findLast(({ entry }) => fits(entry));
