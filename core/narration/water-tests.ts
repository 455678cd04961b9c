import type { Draft } from '../logline/draft.js';
import type { SentenceState } from './take-segment.js';
import type { Talk } from './talk.js';

/** "Running water from the kitchen": where it arrives is said later. */
export function beginTest(talk: Talk, said: SentenceState, { fields }: Draft): void {
  const { what, of } = fields;
  talk.testing = {
    ...{ index: said.index, text: said.sentence.text, what: typeof what === 'string' ? what : 'flush' },
    ...(typeof of === 'string' ? { of } : {}),
  };
}

const arrives =
  /\b(?:(?:see|saw|there)\s+it(?:\s+is)?|com(?:es?|ing)\s+(?:in|through|out)|came\s+(?:in|through|out)|shows?\s+up|showed\s+up|there\s+it\s+(?:is|goes|comes)|that's\s+it)\b/i;
const isAbsent = /\b(?:never|not|no|didn't|don't|doesn't|nothing)\b|[¬]/i;
/** "The downstairs one came through": the same water from elsewhere. */
const otherOne = /\bthe\s+([a-z]+)\s+one\s+(?:came|comes|shows|showed|made)\b/i;

/** "I see it come in at thirty three", after water was run; "the downstairs one came through at thirty eight". */
export function takeArrival(talk: Talk, said: SentenceState, place: number | undefined): boolean {
  const { text } = said.sentence;
  if (place === undefined || !arrives.test(text) || isAbsent.test(text)) return false;
  const last = talk.items.at(-1)?.entry;
  const [, which] = otherOne.exec(text) ?? [];
  const open = talk.testing && said.index - talk.testing.index <= 2 ? talk.testing : undefined;
  const before = which !== undefined && last?.kind === 'test' ? last : undefined;
  if (!open && !before) return false;
  const fixture = before?.of?.split(' ').at(-1);
  const of = before ? [which, fixture].filter(Boolean).join(' ') : open?.of;
  talk.items.push({
    video_s: said.sentence.at(0),
    sentence: before ? text : `${open?.text ?? ''} ${text}`,
    entry: {
      kind: 'test',
      reading_ft: place,
      pass: talk.pass,
      what: before?.what ?? open?.what ?? 'flush',
      arrives: true,
      ...(of === undefined ? {} : { of }),
    },
    point: null,
    certain: true,
    assumed: [],
  });
  if (open && !before) talk.notes.delete(open.index);
  talk.notes.delete(said.index);
  delete talk.testing;
  talk.lastAt = said.index;
  talk.reading = place;
  return true;
}
