import type { Draft } from '../logline/draft.js';
import { aNumber } from '../number-words.js';
import { namesThing } from '../speech/meaning.js';
import { normalize } from '../speech/normalize.js';
import { meaningsIn } from '../speech/phrases.js';
import type { SentenceState } from './take-segment.js';
import type { Talk } from './talk.js';

/** "Running water from the kitchen": where it arrives is said later. */
export function beginTest(talk: Talk, said: SentenceState, { fields, served }: Draft): void {
  const what = typeof fields.what === 'string' ? fields.what : 'flush';
  const of = typeof fields.of === 'string' ? fields.of : served;
  talk.testing = { index: said.index, text: said.sentence.text, what, ...(of === undefined ? {} : { of }) };
}

const outcome = /\b(?:does\s+not\s+arrive|does\s+not\s+run\s+away|arrives|runs\s+away)\b/gi;
/** "The downstairs one came through": the same water from elsewhere. */
const otherOne = /\bthe\s+([a-z]+)\s+one\s+(?=(?:came|comes|shows|showed|made)\b)/i;
/** "At thirty three you can see it come in": the place comes first. */
const placeFirst = new RegExp(
  String.raw`^(\W*(?:(?:and|okay|so)\s+)*(?:at\s+)?${aNumber}[a-z\d\s.-]*?)\s*,?\s+(?=(?:you|we|i|it|there|here|the|that|now|water|nothing|still)\b)`,
  'i',
);

/** A sentence that only says how the water went, heard together with what was sent down. */
export function answeredTest({ testing, items }: Talk, text: string, index: number): string | undefined {
  const [, which] = otherOne.exec(text) ?? [];
  const last = items.at(-1)?.entry;
  const before = which !== undefined && last?.kind === 'test' ? last : undefined;
  const open = testing && index - testing.index <= 2 ? testing : undefined;
  const sent = before ?? open;
  if (!sent) return undefined;
  const fixture = before?.of?.split(' ').at(-1);
  const of = before ? [which, fixture].filter(Boolean).join(' ') : sent.of;
  const began = `${sent.what === 'water' ? 'water test' : sent.what} ${of ?? ''}`;
  const told = before ? text.replace(otherOne, '') : text;
  const heard = placeFirst.test(told) ? told.replace(placeFirst, `$1 ${began}, `) : `${began}, ${told}`;
  return saysOnlyHow(heard) ? heard : undefined;
}

function saysOnlyHow(heard: string): boolean {
  const { text } = normalize(heard).heard;
  const rest = text.replace(outcome, '');
  return rest !== text && !meaningsIn(rest).some(namesThing);
}

/** The test now says what was sent down and how it went, in the words of both sentences. */
export function joinTest(talk: Talk, index: number): void {
  const last = talk.items.at(-1);
  const { testing } = talk;
  if (last?.entry.kind !== 'test' || !testing || index === testing.index) return;
  last.sentence = `${testing.text} ${last.sentence}`;
  talk.notes.delete(testing.index);
  talk.reading = last.entry.reading_ft ?? talk.reading;
  delete talk.testing;
}
