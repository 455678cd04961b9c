import { kindOf } from '../findings/kinds.js';
import { sayPointKind } from '../job/point-words.js';
import type { Point } from '../job/schema.js';
import { placeOf, type TracedText } from '../idioms/traced-text.js';
import { normalize } from '../speech/normalize.js';
import { isKnown, oneThing, takeBesides } from './besides.js';
import { endsOfPipe, saySides, swapSides } from './change.js';
import {
  partId,
  type Choice,
  type EntryDraft,
  type EarlierThing,
  type LogContext,
  type LogError,
} from './context.js';
import type { Draft } from './draft.js';
import { doubtsOf, missingFrom } from './questions.js';
import { finishDraft, type Fail, type Finished } from './finish.js';
import { interjectionsIn, readSegment, type SegmentRead, type Span } from './read-segment.js';
import { denied, isRemark, keptWords, remarkOf, unknownErrors } from './notes.js';
import { pointWords, sayEntry, sayWhat } from '../speech/say.js';
import { segmentsOf, type Segment } from './segments.js';
import { worstOf, overHere, tellsWorst, type WorstCall } from './stretches.js';

export type { Choice, EntryDraft, LogContext, LogError } from './context.js';

/** One thing of a typed line, as understood. */
export interface LogPart {
  readonly entry: EntryDraft | undefined;
  /** The entry that this one corrects or closes: its id, or `part N` of the same line. */
  readonly replaces?: string | undefined;
  /** The previous version, in a sentence. */
  readonly was?: string | undefined;
  /** A point to add to the line or update, with this reading of it. */
  readonly point?: Point | undefined;
  /** What was understood, in a full sentence. */
  readonly sentence: string;
  /** Fields that may still be added: a size, a form. */
  readonly missing: readonly string[];
  readonly errors: readonly LogError[];
  /** Questions about an unlikely reading: it is written once confirmed. */
  readonly doubts: readonly string[];
  /** Places of filler words that were skipped. */
  readonly passed: readonly Span[];
  /** Alternatives, each on one key: the pipes the other way round. */
  readonly choices: readonly Choice[];
}

/** A longer line has to be imported as narration, characters. */
const longest = 2000;

/**
 * Reads one typed or dictated line: several things separated by `;` or by natural speech, each in any sensible order
 * (docs/log-line.md has the grammar). A part without a reading takes that of the part before it. Ids of earlier parts
 * of the same line are `part 0`, `part 1`, … Pure; never throws; time grows with the length of the text.
 */
export function parseLogLine(text: string, context: LogContext): LogPart[] {
  if (text.length > longest) return [tooLong(text)];
  if (takesBack.test(text)) return [refused(text, 'to take back what was written last, press Undo')];
  if (deletes.test(text))
    return [refused(text, 'to delete an entry, press Delete in its row: a typed line only adds or corrects')];
  const parts: LogPart[] = [];
  const points = [...context.points];
  const known: EarlierThing[] = (context.entries ?? []).map(({ id, ...entry }, index) => ({
    id,
    entry,
    elsewhere: index < (context.otherRuns ?? 0),
  }));
  const names = points.flatMap(({ name, id }) => [id, ...(name === undefined ? [] : [name])]);
  const hearing = normalize(text, names);
  const heardAll = hearing.heard.text;
  const segments = tellsWorst(heardAll) ? [wholeOf(heardAll)] : segmentsOf(hearing);
  const read = (segment: Segment, inherited: number | undefined) =>
    parsePart(text, hearing.heard, segment, inherited, { ...context, points }, known);
  let reading: number | undefined;
  let stretch: Stretch | undefined;
  segments.forEach((segment, index) => {
    const next = segments[index + 1];
    // "roots and a crack at 46": the place comes last.
    const alone = read(segment, reading);
    const ahead =
      reading === undefined && next && !next.hard && !hasPlace(alone)
        ? read(next, undefined)[0]?.entry?.reading_ft
        : undefined;
    const these = ahead === undefined ? alone : read(segment, ahead);
    const along = stretch;
    stretch = stretchOf(these);
    for (const each of these) {
      const laid = along && liesAlong(each, along, () => read(segment, undefined));
      const part = laid
        ? { ...each, entry: laid, sentence: sentenceOf(laid, undefined, context, known) }
        : each;
      const { entry, point } = part;
      const said = hearing.heard.text.slice(segment.from, segment.to);
      const isPlaced = () => segment.again || segment.hard || hasPlace(read(segment, undefined));
      const before = parts.findLastIndex((each) => oneThing(each.entry, entry, said, isPlaced) !== undefined);
      const beforeIt = parts[before];
      const joined = oneThing(beforeIt?.entry, entry, said, isPlaced);
      if (beforeIt && joined && part.errors.length === 0) {
        const sentence = sentenceOf(joined, point ?? beforeIt.point, context, known);
        const its = point ?? beforeIt.point;
        if (its) put(points, its);
        const missing = missingFrom(joined);
        parts[before] = { ...beforeIt, entry: joined, missing, point: its, sentence, choices: [] };
        continue;
      }
      reading = entry?.reading_ft ?? reading;
      if (entry) known.push({ id: part.replaces ?? partId(parts.length), entry, point });
      if (point) put(points, point);
      parts.push(part);
    }
  });
  const [first, ...rest] = parts;
  return first ? [{ ...first, passed: [...interjectionsIn(text), ...first.passed] }, ...rest] : parts;
}

/** A line that is one thing, whatever its commas. */
const wholeOf = ({ length }: string): Segment => ({
  ...{ from: 0, to: length, denied: false, hard: false },
  ...{ again: false, listed: false },
});

/** A stretch of pipe, from its near to its far reading. */
interface Stretch {
  readonly from_ft: number;
  readonly to_ft: number;
}

/** "19 to 31 cast iron": where a thing named beside it lies. */
function stretchOf([one, other]: readonly LogPart[]): Stretch | undefined {
  const ends = [one?.entry, other?.entry].map((entry) =>
    entry?.kind === 'change' ? entry.reading_ft : undefined,
  );
  const [from_ft, to_ft] = ends;
  return from_ft !== undefined && to_ft !== undefined ? { from_ft, to_ft } : undefined;
}

/** "19 to 31 cast iron, heavy scale 40 %": what covers the wall lies all along, where it has no place of its own. */
function liesAlong(
  { entry }: LogPart,
  { from_ft, to_ft }: Stretch,
  alone: () => readonly LogPart[],
): EntryDraft | undefined {
  if (entry?.kind !== 'finding' || entry.to_ft !== undefined || hasPlace(alone())) return undefined;
  const covers = entry.finding === 'worn-bottom' || kindOf(entry.finding).grading?.measure === 'percent';
  return covers ? { ...entry, reading_ft: from_ft, to_ft } : undefined;
}

const hasPlace = ([part]: readonly LogPart[]): boolean =>
  part?.entry?.reading_ft !== undefined || part?.entry?.after !== undefined;

/** Nothing of the line, but an order. */
const takesBack =
  /^\s*(?:undo|(?:delete|remove|cancel|scratch|strike|erase|forget)\s+(?:that|it|this|the\s+last(?:\s+(?:one|line|entry))?|last)|never\s*mind)\W*$/i;

/** "delete the roots at 46" */
const deletes =
  /^\s*(?:delete|erase|scratch|strike|remove|take\s+(?:out|off))\s+(?:(?:the|that|my)\s+)?(?:(?:entry|line|row|one|reading)\s+(?:at|@|for)\s+\d|(?:[a-z]+\s+){1,2}(?:at|@|from)\s+\d[\d.]*(?:\s*(?:feet|foot|ft|'))?\W*$|\d[\d.]*(?:\s*(?:feet|foot|ft|'))?(?:\s+[a-z]+){0,2}\W*$)/i;

const tooLong = (text: string): LogPart =>
  refused(text, `a line holds ${longest} characters: read a longer text in with “Narration in”`, longest);

const refused = (text: string, message: string, from = 0): LogPart =>
  unread([{ from, to: text.length, message }]);

/** A part that makes no entry, and why. */
const unread = (errors: readonly LogError[], passed: readonly Span[] = []): LogPart => ({
  ...{ entry: undefined, sentence: '', missing: [], doubts: [], choices: [] },
  ...{ errors, passed },
});

function put(points: LogContext['points'][number][], point: Point): void {
  const at = points.findIndex(({ id }) => id === point.id);
  if (at < 0) points.push(point);
  else points[at] = { ...points[at], ...point };
}

/** Places the faults of a draft in its segment; one without a place covers all of it. */
const failIn =
  (heard: TracedText, segment: Segment, whole: Span, errors: LogError[]): Fail =>
  (message, from, to, answers) => {
    const span =
      from === undefined || to === undefined ? whole : placeOf(heard, segment.from + from, segment.from + to);
    errors.push({
      ...span,
      message,
      ...(answers ? { answers: answers.map((answer) => ({ ...answer, ...span })) } : {}),
    });
  };

/** Makes the part of an entry, with what it says and may still say. */
const partWith =
  (context: LogContext, known: readonly EarlierThing[]) =>
  (entry: EntryDraft, more: Partial<LogPart> = {}): LogPart => ({
    entry,
    sentence: sentenceOf(entry, more.point, context, known),
    missing: missingFrom(entry),
    errors: [],
    doubts: doubtsOf(entry, context, known),
    passed: [],
    choices: [],
    ...more,
  });

/** "41 still in clay": no change of pipe. */
const isSamePipe = (draft: Draft, said: string): boolean =>
  draft.pipes.length === 1 && !draft.changing && /\bstill\b/i.test(said);

function parsePart(
  text: string,
  heard: TracedText,
  segment: Segment,
  inherited: number | undefined,
  context: LogContext,
  known: readonly EarlierThing[],
): LogPart[] {
  const whole = placeOf(heard, segment.from, segment.to);
  const said = heard.text.slice(segment.from, segment.to);
  const worst = worstOf(said, known, context.pass);
  if (worst) return [worstPart(worst, whole, context, known)];
  const heardHere = readSegment(heard, segment, context, known);
  const read = readAs(said, text.slice(whole.from, whole.to), segment, {
    ...{ read: heardHere, known, pass: context.pass },
  });
  const { draft, passed } = read;
  const errors: LogError[] = [...read.errors];
  const fail = failIn(heard, segment, whole, errors);
  if (isSamePipe(draft, text.slice(whole.from, whole.to))) draft.pipes = [];
  if (segment.again) draft.onceMore = true;
  if (segment.listed) draft.listed = true;
  if (!segment.denied && isRemark(read)) draft.fields.note ??= remarkOf(text, whole, read);
  else if (!segment.denied) keepOrAsk(read, text, errors);
  const besides = takeBesides(draft);
  const finished = finishDraft(draft, { inherited, context, known, fail });
  if (!finished) return [unread(errors, passed)];
  const part = partWith(context, known);
  const old = known.findLast(({ id }) => id === finished.replaces)?.entry;
  const { swapped } = draft;
  const swappedAt = swapped && placeOf(heard, segment.from + swapped.from, segment.from + swapped.to);
  const own = ownParts(finished, draft, context, part, {
    replaces: finished.replaces,
    was:
      old && (draft.correcting || draft.ofWritten) ? sentenceOf(old, undefined, context, known) : undefined,
    point: finished.point,
    errors,
    doubts: [
      ...doubtsOf(
        finished.entry,
        context,
        known.filter(({ id }) => id !== finished.replaces && id !== context.changing),
      ),
      ...finished.doubts,
    ],
    passed,
    choices: finished.entry.to_ft === undefined ? swapOf(finished.entry, swappedAt, whole) : [],
  });
  const beside = (its: Draft): LogPart[] => {
    const also = finishDraft(its, { inherited: finished.entry.reading_ft, context, known, fail });
    return also && !isKnown(its, also.entry, context, known)
      ? [part(also.entry, { point: also.point, choices: swapOf(also.entry, undefined, whole) })]
      : [];
  };
  return [...besides.before.flatMap(beside), ...own, ...besides.after.flatMap(beside)];
}

/** A segment as it was read, as the end of what is open, or as seen and not there. */
function readAs(
  said: string,
  typed: string,
  { denied: isDenied, again }: Segment,
  { read, known, pass }: { read: SegmentRead; known: readonly EarlierThing[]; pass: LogContext['pass'] },
): SegmentRead {
  const over = overHere(said, read.draft, known, pass);
  if (over) return { ...read, draft: over, errors: [], unknown: [] };
  return isDenied && !again ? denied(read, typed) : read;
}

/** "53 deepest, 2 in": the stretch that it is told of, or that no water is written there. */
function worstPart(
  worst: WorstCall,
  whole: Span,
  context: LogContext,
  known: readonly EarlierThing[],
): LogPart {
  if ('instead' in worst)
    return unread([{ ...whole, message: `no standing water is written there: say “${worst.instead}”` }]);
  const { entry, replaces } = worst;
  const old = known.findLast(({ id }) => id === replaces)?.entry;
  const was = old && sentenceOf(old, undefined, context, known);
  return { ...partWith(context, known)(entry, { replaces, was }), doubts: [] };
}

/** Words not known become the note of what is named beside them, or are asked about. */
function keepOrAsk(read: SegmentRead, text: string, errors: LogError[]): void {
  const kept = keptWords(read, text);
  if (kept === undefined) errors.push(...unknownErrors(read, text));
  else read.draft.fields.note = kept;
}

/** The parts of one thing: one on each side, one at each end of a stretch of pipe, and the camera stopping at it. */
function ownParts(
  finished: Finished,
  draft: Draft,
  context: LogContext,
  part: ReturnType<typeof partWith>,
  about: Partial<LogPart>,
): LogPart[] {
  const [first, ...others] = endsOfPipe(finished.entry, draft, context);
  const { clocks } = draft;
  const parts = clocks
    ? [part({ ...finished.entry, clock: clocks[0] }, about), part({ ...finished.entry, clock: clocks[1] })]
    : [part(first, about), ...others.map((other) => part(other))];
  return draft.stopsHere ? [...parts, part(stopAt(finished, draft, context))] : parts;
}

/** The camera stopped at what was just named: a separate entry at the same place. */
function stopAt({ entry, point }: Finished, draft: Draft, context: LogContext): EntryDraft {
  const { reading_ft, after, pass } = entry;
  const where = reading_ft === undefined ? { after } : { reading_ft };
  const inTheWay =
    draft.finding?.replace('-', ' ') ?? (draft.point && nameOf(pointIdOf(entry), point, context));
  const why = entry.kind === 'hidden' ? (entry.why ?? 'could not see') : inTheWay;
  return { kind: 'stop', ...where, pass, why };
}

/** "Swap": the order of two pipes depends on the head's direction, so one key reverses it. */
function swapOf(entry: EntryDraft, swapped: Span | undefined, whole: Span): Choice[] {
  if (entry.kind !== 'change' || (!entry.upstream?.material && !entry.downstream?.material)) return [];
  const other = swapSides(entry);
  const label = `Swap: ${saySides(other)}`;
  return [
    swapped
      ? { label, ...swapped, words: '' }
      : { label, from: whole.to, to: whole.to, words: ' the other way round' },
  ];
}

const pointIdOf = (entry: EntryDraft): string => (entry.kind === 'point' ? entry.point : '');

function nameOf(id: string, found: Point | undefined, context: LogContext): string {
  const point = found?.id === id ? found : context.points.find((each) => each.id === id);
  return point?.name ?? (point ? sayPointKind(point.kind) : id);
}

/** How an entry is understood; for a change, which pipe is on which side. */
function sentenceOf(
  entry: EntryDraft,
  point: Point | undefined,
  context: LogContext,
  known: readonly EarlierThing[],
): string {
  const says = sayEntry(
    { ...entry, id: 'new' },
    (id) => (point?.id === id ? pointWords(nameOf(id, point, context), point) : nameOf(id, point, context)),
    (id) => saysOf(id, context, known),
  );
  const sides = saySides(entry);
  return sides ? `${says}: ${sides}` : says;
}

/** A short description of an entry that is referred to. */
function saysOf(id: string, context: LogContext, known: readonly EarlierThing[]): string {
  const entry = known.findLast((each) => each.id === id)?.entry;
  if (!entry) return 'an entry that is gone';
  if (entry.kind === 'change') return 'the change of pipe';
  const says = sayWhat({ ...entry, id }, (point) => nameOf(point, undefined, context)).split(',')[0] ?? id;
  return entry.kind === 'point' ? says : says.charAt(0).toLowerCase() + says.slice(1);
}
