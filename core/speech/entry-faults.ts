import type * as z from 'zod';
import { findingName } from '../findings/kinds.js';
import { faultsOf } from '../job/faults.js';
import { entrySchema, type EntryDraft } from '../job/schema.js';
import type { FindingKind } from '../job/vocabulary.js';

/** Display names of fields: file-format names never reach the screen. */
const fieldWords: Readonly<Record<string, string>> = {
  reading_ft: 'the reading',
  to_ft: 'the far end',
  percent: 'a percent',
  inches: 'a measure in inches',
  form: 'a form (hairline, along, around, several)',
  shifting: '“shifting”',
  of: 'what it is made of',
  cause: 'a cause',
  size: 'a size',
  clock: 'a clock position',
  waterClock: 'the clock of the water',
  atJoint: '“at the joint”',
  eachJoint: '“at each joint”',
  touchesFlow: '“in the flow”',
  ofConnection: '“of the connection”',
  possible: '“possible”',
  judged: 'a grade of your own',
  depth_ft: 'a depth',
  station_ft: 'a taped distance',
  end: '“start” or “end”',
  mark: 'a paint mark',
  why: 'a reason',
  what: 'what was tested',
  arrives: '“arrives”',
  runsAway: '“runs away”',
  note: 'the note',
  photos: 'a photo',
  video_s: 'the video time',
  open: '“starts” or “ends”',
  upstream: 'the pipe on the house side',
  downstream: 'the pipe on the street side',
  material: 'the material',
  diameter_in: 'the diameter in inches',
  piece_ft: 'the length of a piece',
  degrees: 'the degrees of a bend',
  fall_ft: 'the fall',
  riser_ft: 'the riser',
  plus_ft: 'the feet past it',
};

const wordsOf = (path: string): string => {
  const parts = path.split(/[.[\]]/).filter((part) => part !== '' && !/^\d+$/.test(part));
  return parts.map((part) => fieldWords[part] ?? part.replaceAll('_', ' ')).at(-1) ?? 'this';
};

/** A limit in words: "300 is more than 100". */
const plainly = (message: string): string =>
  message
    .replace(/^Too big: expected \w+ to be <=?\s*([\d.]+).*?\(given: ([^)]*)\)$/i, '$2 is more than $1')
    .replace(/^Too small: expected \w+ to be >=?\s*([\d.]+).*?\(given: ([^)]*)\)$/i, '$2 is less than $1')
    .replace(/^Invalid (?:option|input).*$/i, 'that is not one of the words for it');

/** The fault in words. */
export function faultWords(error: z.ZodError, raw: unknown, thing: string): string[] {
  return faultsOf(error, raw).map(({ path, message }) =>
    message === 'unknown field'
      ? `${wordsOf(path)} does not go with ${thing}`
      : message.startsWith('missing:')
        ? `${wordsOf(path)} is missing`
        : `${wordsOf(path)}: ${plainly(message)}`,
  );
}

const thingOf = (raw: Readonly<Record<string, unknown>>): string =>
  raw.finding !== undefined
    ? findingName(raw.finding as FindingKind).toLowerCase()
    : String(raw.kind).replace('hidden', 'a hidden stretch');

/** The entry by its schema, or what is wrong with it. In narration, fields that do not fit are dropped. */
export function readEntry(
  raw: Record<string, unknown>,
  fail: (message: string) => void,
  spoken: boolean,
): EntryDraft | undefined {
  const parsed = entrySchema.safeParse({ id: 'new', ...raw });
  if (parsed.success) {
    const { id: _, ...entry } = parsed.data;
    return entry;
  }
  if (spoken) {
    const wrong = new Set(faultsOf(parsed.error, raw).map(({ path }) => path.split(/[.[]/)[0] ?? ''));
    const rest = Object.fromEntries(Object.entries(raw).filter(([field]) => !wrong.has(field)));
    return Object.keys(rest).length < Object.keys(raw).length ? readEntry(rest, fail, true) : undefined;
  }
  for (const words of faultWords(parsed.error, raw, thingOf(raw))) fail(words);
  return undefined;
}
