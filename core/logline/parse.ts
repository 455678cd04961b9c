import type { Point } from '../job/schema.js';
import { partId, type EntryDraft, type Known, type LogContext, type LogError } from './context.js';
import { applyMeaning, named, newDraft, type Draft } from './draft.js';
import { finishDraft } from './finish.js';
import { missingFrom } from './missing.js';
import { pointNamedAt, tagAt, takeReferring } from './references.js';
import { sayEntry, sayWhat } from './say.js';
import { tokens } from './tokens.js';
import { closest, phraseAt } from './words.js';

export type { EntryDraft, LogContext, LogError } from './context.js';

/** One thing of a typed line, as it was understood. */
export interface LogPart {
  readonly entry: EntryDraft | undefined;
  /** The entry that this one corrects or closes: its id, or `part N` of the same line. */
  readonly replaces?: string | undefined;
  /** A point to add to the line, or to change, with this reading of it. */
  readonly point?: Point | undefined;
  /** How it was understood, in a full sentence. */
  readonly sentence: string;
  /** What may be added still: a size, a form. */
  readonly missing: readonly string[];
  readonly errors: readonly LogError[];
}

/**
 * Reads one typed line: several things separated by `;`, each in any sensible order (docs/log-line.md has the grammar).
 * A part without a reading of its own takes that of the part before it. Ids of earlier parts of the same line stand as
 * `part 0`, `part 1`, … Pure; never throws; time grows with the length of the text.
 */
export function parseLogLine(text: string, context: LogContext): LogPart[] {
  const parts: LogPart[] = [];
  const points = [...context.points];
  const known: Known[] = (context.entries ?? []).map(({ id, ...entry }) => ({ id, entry }));
  let offset = 0;
  let reading: number | undefined;
  for (const piece of splitOutsideQuotes(text)) {
    if (piece.trim() !== '') {
      for (const part of parsePart(piece, offset, reading, { ...context, points }, known)) {
        const { entry, point } = part;
        reading = entry?.reading_ft ?? reading;
        if (entry) known.push({ id: part.replaces ?? partId(parts.length), entry });
        if (point) put(points, point);
        parts.push(part);
      }
    }
    offset += piece.length + 1;
  }
  return parts;
}

function put(points: LogContext['points'][number][], point: Point): void {
  const at = points.findIndex(({ id }) => id === point.id);
  if (at < 0) points.push(point);
  else points[at] = { ...points[at], ...point };
}

function splitOutsideQuotes(text: string): string[] {
  const pieces: string[] = [];
  let from = 0;
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    const char = text[i];
    if (char === '"' && (quoted || opensQuote(text, i))) quoted = !quoted;
    if (char === ';' && !quoted) {
      pieces.push(text.slice(from, i));
      from = i + 1;
    }
  }
  return [...pieces, text.slice(from)];
}

/** A double mark opens a note after a space, a # or at the start; after a digit it means inches. */
const opensQuote = (text: string, at: number): boolean => !/[0-9½¼¾⅛⅜⅝⅞⅓⅔]/.test(text[at - 1] ?? '');

function parsePart(
  piece: string,
  offset: number,
  inherited: number | undefined,
  context: LogContext,
  known: readonly Known[],
): LogPart[] {
  const draft = newDraft();
  const errors: LogError[] = [];
  const fail = (message: string, from = 0, to = piece.length) => {
    errors.push({ from: offset + from, to: offset + to, message });
  };
  let at = 0;
  while (at < piece.length) {
    const rest = piece.slice(at);
    const here = at;
    const space = /^\s+/.exec(rest)?.[0].length ?? 0;
    const used =
      space ||
      takeReferring(draft, rest, context, known, (from, to, message) => {
        fail(message, here + from, here + to);
      }) ||
      takePoint(draft, rest, context) ||
      takeToken(draft, rest, at, fail) ||
      takePhrase(draft, rest, at, fail);
    at += used || takeUnknown(rest, at, fail);
  }
  const finished = finishDraft(draft, inherited, context, known, fail);
  if (!finished) return [{ entry: undefined, sentence: '', missing: [], errors }];
  const part = (entry: EntryDraft, more: Partial<LogPart>): LogPart => ({
    entry,
    sentence: sayEntry(
      { ...entry, id: 'new' },
      (id) => nameOf(id, more.point, context),
      (id) => saysOf(id, context, known),
    ),
    missing: missingFrom(entry),
    errors: [],
    ...more,
  });
  const first = part(finished.entry, { replaces: finished.replaces, point: finished.point, errors });
  if (!draft.stopsHere) return [first];
  const { reading_ft, after, pass } = finished.entry;
  const where = reading_ft === undefined ? { after } : { reading_ft };
  const why =
    draft.finding?.replace('-', ' ') ??
    (draft.point && nameOf(pointIdOf(finished.entry), finished.point, context));
  return [first, part({ kind: 'stop', ...where, pass, why }, {})];
}

const pointIdOf = (entry: EntryDraft): string => (entry.kind === 'point' ? entry.point : '');

function nameOf(id: string, found: Point | undefined, context: LogContext): string {
  const point = found?.id === id ? found : context.points.find((each) => each.id === id);
  return point?.name ?? (point?.kind === 'main' ? 'main' : id);
}

/** What an entry spoken of is, in a few words. */
function saysOf(id: string, context: LogContext, known: readonly Known[]): string {
  const entry = known.findLast((each) => each.id === id)?.entry;
  if (!entry) return id;
  const says = sayWhat({ ...entry, id }, (point) => nameOf(point, undefined, context)).split(',')[0] ?? id;
  return entry.kind === 'point' ? says : says.charAt(0).toLowerCase() + says.slice(1);
}

/** A point of the line by `#id`, by its name or by its id; a point named like a word of the trade only by `#id`. */
function takePoint(draft: Draft, rest: string, context: LogContext): number {
  if (named(draft)) return 0;
  const tagged = tagAt(rest);
  const phrase = phraseAt(rest);
  const wordOfTrade = phrase && phrase.meaning.is !== 'point' ? phrase.phrase.length : 0;
  const hit = tagged ?? pointNamedAt(rest, context);
  const isPoint = tagged
    ? context.points.some(({ id }) => id === tagged.id)
    : hit !== undefined && hit.used > wordOfTrade;
  if (!hit || !isPoint) return 0;
  draft.kind = 'point';
  draft.point = { id: hit.id };
  return hit.used;
}

type Fail = (message: string, from?: number, to?: number) => void;

function takeToken(draft: Draft, rest: string, at: number, fail: Fail): number {
  for (const [pattern, act] of tokens) {
    const match = pattern.exec(rest);
    if (!match) continue;
    const message = act(draft, match, at);
    if (message !== undefined) fail(message, at, at + match[0].length);
    return match[0].length;
  }
  return 0;
}

function takePhrase(draft: Draft, rest: string, at: number, fail: Fail): number {
  const known = phraseAt(rest);
  if (!known) return 0;
  const message = applyMeaning(draft, known.meaning);
  if (message !== undefined) fail(message, at, at + known.phrase.length);
  return known.phrase.length;
}

function takeUnknown(rest: string, at: number, fail: Fail): number {
  const word = /^\S+/.exec(rest)?.[0] ?? rest;
  const near = closest(word);
  fail(
    near
      ? `“${word}” is not known: did you mean “${near}”?`
      : `“${word}” is not known. Put a note in "quotes"`,
    at,
    at + word.length,
  );
  return word.length;
}
