import { materialWords, newPipeMaterials } from '../catalog/materials.js';
import type { Pipe } from '../job/schema.js';
import type { EntryDraft } from '../logline/context.js';
import type { Draft } from '../logline/draft.js';
import type { SegmentRead } from '../logline/read-segment.js';
import type { SentenceState } from './take-segment.js';
import type { NarrationItem, Talk } from './talk.js';

const plastics: readonly string[] = newPipeMaterials;

/** "Plastic" alone is the kind of plastic named before. */
export function namePlastic(talk: Talk, { draft, nouns }: SegmentRead): void {
  const loosely = nouns.some((noun) => /plastic/.test(noun) && !/white|black|green/.test(noun));
  for (const pipe of draft.pipes) {
    if (!plastics.some((each) => each === pipe.material)) continue;
    if (loosely && talk.plastic) pipe.material = talk.plastic;
    else if (!loosely) talk.plastic = pipe.material;
  }
}

/**
 * "We're in cast iron for the first twelve feet": the pipe around the head, not yet a change. True where the segment
 * says nothing else.
 */
export function followPipe(talk: Talk, said: SentenceState, draft: Draft, text: string): boolean {
  const [pipe] = draft.pipes;
  const until =
    /\b(?:until|till|up\s+to|out\s+to|as\s+far\s+as|for)\s+(?:~\s*|about\s+)?(\d+(?:\.\d+)?)/i.exec(text);
  const isOne = draft.finding === undefined && draft.kind === undefined && !draft.changing;
  if (!pipe || !isOne || draft.pipes.length > 1) return false;
  const { side: _, ...plain } = pipe;
  const named = talk.pipe?.material === plain.material ? { ...talk.pipe, ...plain } : plain;
  const isOther = talk.pipe?.material !== named.material || talk.pipe?.lined !== named.lined;
  const stretch = draft.fields.to_ft;
  const [from] = draft.numbers;
  // "49, PVC for three feet" is a stretch with a place of its own.
  const ofItsOwn = from !== undefined && draft.long_ft !== undefined;
  if (until && draft.endCall === undefined && !ofItsOwn) {
    talk.pipe = named;
    talk.pipeUntil = Number(until[1]);
    talk.reading = talk.pipeUntil;
    return true;
  }
  if (typeof stretch === 'number' && from && from.value > 0 && isOther) return false;
  if (typeof stretch === 'number' && from) {
    talk.pipe = named;
    talk.pipeUntil = stretch;
    said.placed = { reading_ft: from.value, to_ft: stretch };
    talk.reading = stretch;
    return true;
  }
  const stays =
    /\b(?:in|still|rest\s+of|all|this|same|through|of\s+the|out\s+of|just|good|everything|through\s+the)\b/i.test(
      text,
    );
  const placed =
    draft.numbers.some(({ placed: at, feet, size }) => at || feet || (!size && /^\W*~?\s*\d/.test(text))) ||
    draft.bareHour !== undefined;
  if (
    placed &&
    !/\b(?:still|rest\s+of|all\s+the\s+way|same|everything)\b/i.test(text) &&
    draft.endCall === undefined
  ) {
    // A reading with another pipe is where it changes.
    if (isOther) return false;
    const at = draft.numbers.find(({ size }) => !size)?.value;
    if (at !== undefined) said.placed = { reading_ft: at };
    return true;
  }
  if (
    draft.endCall !== undefined &&
    (placed ||
      talk.pipeUntil !== undefined ||
      talk.placeSentence !== undefined ||
      said.placed?.reading_ft !== undefined)
  ) {
    draft.kind = 'change';
    return false;
  }
  if (stays || !placed) talk.pipe = named;
  const isFirst = !talk.reading || /\b(?:all|whole|everything|entire)\b/i.test(text);
  if (!placed && isFirst && !talk.firstPipe && named.material && !notInPlace.test(said.sentence.text))
    talk.firstPipe = { pipe: named, said };
  return true;
}

/** "We'll be replacing it with PVC", "the house has cast iron inside": not what the line is of. */
const notInPlace =
  /\b(?:will|would|could|should|going\s+to|gonna|replac[a-z]+|install[a-z]*|recommend[a-z]*|quot[a-z]+|inside|house\s+has)\b|'ll\b/i;

/** "Zero at the cap. Six inch clay.", and no other pipe all the way: the line is of it from the start. */
export function onlyPipe({ firstPipe, pipe, items, pass, direction }: Talk): NarrationItem | undefined {
  if (!firstPipe || items.some(({ entry }) => entry.kind === 'change')) return undefined;
  const { said, pipe: first } = firstPipe;
  const only = pipe?.material === first.material ? pipe : first;
  const far = (pass === 'out') === (direction === 'downstream') ? 'downstream' : 'upstream';
  return {
    video_s: said.sentence.at(0),
    sentence: said.sentence.text,
    entry: { kind: 'change', reading_ft: 0, pass, [far]: only },
    point: null,
    certain: false,
    assumed: [`${materialWords(first.material ?? 'unknown')} from zero on: no other pipe was named`],
  };
}

/** "Eight inch clay", "nope, six inch": the pipe around the head, where the sentence before named nothing else. */
export function correctsBore(talk: Talk, heard: string, index: number): boolean {
  const bore =
    /^\W*(?:nope|no|sorry|correction|actually|wait)\b[\s,]*(?:(?:it's|that's|make\s+(?:that|it))\s+)?(\d+)\s*-?\s*in(?:ch)?\b(?:\s+pipe)?(?:[\s,]+sorry)?\W*$/i.exec(
      heard,
    )?.[1];
  if (bore === undefined || talk.pipe?.diameter_in === undefined || talk.lastAt === index - 1) return false;
  talk.pipe = { ...talk.pipe, diameter_in: Number(bore) };
  return true;
}

/** "Thirty, cast iron, some scale", where no pipe was named before: whether it begins there was not said. */
export function doubtFirstPipe(talk: Talk, entry: EntryDraft, text: string, assumed: string[]): void {
  if (entry.kind !== 'change' || talk.pipe !== undefined) return;
  const only = [entry.upstream, entry.downstream].filter((pipe) => pipe?.material !== undefined);
  if (only.length !== 1 || /\b(?:in\s?to|to|of|starts|begins|now|then|here)\b/i.test(text)) return;
  assumed.push(
    `no pipe was named before: taken as where the ${materialWords(only[0]?.material ?? 'unknown')} begins`,
  );
}

/** "They put in a piece of PVC, 22 to 25": past it the pipe is what it was before. */
const aRepair = /\b(?:repair|patch|piece|section|stick|chunk|splice|spliced)\b/i;

/** The near side of a stretch of pipe is the pipe the head was in; the head comes out of it where it ends. */
export function fillStretch(talk: Talk, start: EntryDraft, text: string, assumed: string[]): void {
  const before = talk.pipe;
  fillPipes(talk, start, assumed);
  if (before && aRepair.test(text)) talk.pipe = before;
}

/** The near side of a change is the pipe the head was in; past the change it is in the next. */
export function fillPipes(talk: Talk, entry: EntryDraft, assumed: string[]): void {
  if (entry.kind !== 'change' || entry.to_ft !== undefined) return;
  const downstream = ((entry.pass ?? talk.pass) === 'out') === (talk.direction === 'downstream');
  const [near, far] = downstream
    ? (['upstream', 'downstream'] as const)
    : (['downstream', 'upstream'] as const);
  if (
    entry[near] === undefined &&
    talk.pipe?.material !== undefined &&
    talk.pipe.material !== entry[far]?.material
  ) {
    entry[near] = talk.pipe;
    assumed.push(`${materialWords(talk.pipe.material)} on the near side, as was said before`);
  }
  const next: Pipe | undefined = entry[far];
  // "Bumps up to four inch": of the same pipe.
  if (next) talk.pipe = next.material === undefined ? { ...talk.pipe, ...next } : next;
  talk.pipeUntil = undefined;
}
