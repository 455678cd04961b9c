import { missingFrom } from '../logline/questions.js';
import type { Entry, Line } from '../job/schema.js';

/** One entry that still needs something read from the video, and what. */
export interface ToRead {
  readonly run: string;
  readonly entry: Entry;
  readonly wants: readonly string[];
}

/** Text that "mark here" writes: something is there, to be identified from the video later. */
export const markHere = 'to be read from the video';

/** Everything on a line with no reading, size or end, or only marked: a to-do list. */
export function toRead(line: Line): ToRead[] {
  return line.runs.flatMap((run) =>
    run.entries.flatMap((entry): ToRead[] => {
      const wants = [
        ...(entry.kind !== 'note' && entry.reading_ft === undefined && entry.plus_ft === undefined
          ? ['its reading']
          : []),
        ...(entry.kind === 'locate' && entry.mark === markHere ? ['what it is'] : []),
        ...missingFrom(entry),
      ];
      return wants.length > 0 ? [{ run: run.id, entry, wants }] : [];
    }),
  );
}
