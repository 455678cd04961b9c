import { movesDownstream } from './change.js';
import type { Draft } from './draft.js';
import type { EarlierThing, LogContext } from './context.js';
import type { Meaning } from '../speech/meaning.js';
import { dash, distance, toFeet } from '../speech/numbers.js';
import { phraseAt } from '../speech/phrases.js';
import { words } from '../speech/trade-words.js';
import type { PointKind } from '../job/vocabulary.js';

/** A resolved reference: its length in the text, and the entry it refers to or why there is none. */
export interface Reference {
  readonly used: number;
  readonly id?: string;
  readonly message?: string;
}

const tag = /^#(?:"((?:[^"]|"")*)"|([^\s;,"]+))/;

/** `#e4` or `#"odd id"` at the start of a text. */
export function tagAt(text: string): { used: number; id: string } | undefined {
  const match = tag.exec(text);
  return match ? { used: match[0].length, id: match[1]?.replaceAll('""', '"') ?? match[2] ?? '' } : undefined;
}

export const tagText = (id: string): string =>
  /^[^\s;,"#]+$/.test(id) ? `#${id}` : `#"${id.replaceAll('"', '""')}"`;

/**
 * The entry that words refer to: `#e4`, "the change", "the roots", "the main", "that". The one nearest the reading
 * where one is given, else the newest.
 */
export function referenceAt(
  text: string,
  context: LogContext,
  known: readonly EarlierThing[],
  reading_ft?: number,
): Reference | undefined {
  const tagged = tagAt(text);
  if (tagged) {
    return known.some(({ id }) => id === tagged.id)
      ? { used: tagged.used, id: tagged.id }
      : { used: tagged.used, message: `there is no entry ${tagged.id} on this line` };
  }
  const article = /^(?:the\s+|that\s+(?=\w))?/i.exec(text)?.[0].length ?? 0;
  const rest = text.slice(article);
  const last = /^(?:last(?:\s+one)?|that|it|this)\b/i.exec(rest);
  if (last) {
    const id = known.at(-1)?.id;
    return { used: article + last[0].length, ...(id ? { id } : { message: 'nothing was written yet' }) };
  }
  const point = pointNamedAt(rest, context);
  if (point) {
    const id = known.findLast(({ entry }) => entry.kind === 'point' && entry.point === point.id)?.id;
    const used = article + point.used;
    return id ? { used, id } : { used, message: `${rest.slice(0, point.used)} was not read yet` };
  }
  const phrase = phraseAt(rest);
  if (!phrase) return undefined;
  const used = article + phrase.phrase.length;
  const all = known.filter(({ entry }) => means(phrase.meaning, entry, context));
  const away = ({ entry }: EarlierThing) => Math.abs((entry.reading_ft ?? Infinity) - (reading_ft ?? 0));
  const id = (reading_ft === undefined ? all : all.toSorted((a, b) => away(b) - away(a))).at(-1)?.id;
  return id ? { used, id } : { used, message: `no “${phrase.phrase}” was written yet` };
}

const startsWithWord = (text: string, word: string): boolean =>
  text.toLowerCase().startsWith(word.toLowerCase()) && !/^[a-z0-9-]/i.test(text.slice(word.length));

/** Kinds that a line has several of. */
const several: ReadonlySet<PointKind> = new Set<PointKind>(['bend', 'drop', 'tree', 'tie-in']);

/** A bend called just "bend" is not every bend: where it lies decides. */
function isAnyOfItsKind(name: string): boolean {
  const meaning = words[name.toLowerCase()];
  return meaning?.is === 'point' && several.has(meaning.kind);
}

/** The point whose name or id starts a text; the longest where several do. */
export function pointNamedAt(text: string, { points }: LogContext): { used: number; id: string } | undefined {
  return points
    .flatMap(({ id, name }) => [id, ...(name ? [name] : [])].map((word) => ({ id, word, used: word.length })))
    .filter(({ word }) => !isAnyOfItsKind(word))
    .sort((a, b) => b.used - a.used)
    .find(({ word }) => startsWithWord(text, word));
}

function means(meaning: Meaning, entry: EarlierThing['entry'], context: LogContext): boolean {
  switch (meaning.is) {
    case 'finding':
      return entry.kind === 'finding' && entry.finding === meaning.finding;
    case 'kind':
      return entry.kind === meaning.kind;
    case 'test':
      return entry.kind === 'test';
    case 'material':
      return (
        entry.kind === 'change' &&
        [entry.upstream?.material, entry.downstream?.material].includes(meaning.material)
      );
    case 'point':
      return (
        entry.kind === 'point' &&
        context.points.some(({ id, kind }) => id === entry.point && kind === meaning.kind)
      );
    default:
      return false;
  }
}

const pastPattern = new RegExp(
  String.raw`^(?:(${distance})\s*)?(?:(?:a\s+little|a\s+bit|just)\s+)?(?:past|beyond|after)\s+`,
  'i',
);
/** "2 ft upstream of the offset", "a foot short of the main", "3 ft past the cleanout" */
const asidePattern = new RegExp(
  String.raw`^(?:(${distance})\s*)?(?:(?:a\s+little|a\s+bit|just|right)\s+)?(?:(upstream|downstream)\s+(?:of|from)|before|ahead\s+of|in\s+front\s+of|(short\s+of|shy\s+of)|(past|beyond|after))\s+(?=the\b|that\b|#)`,
  'i',
);

const endOf = (point: string | undefined, { end, access }: LogContext) => ({
  ofEnd: point !== undefined && point === end,
  ofAccess: point !== undefined && point === access,
});

/** A reference with its counter reading, ft; a point that was not read yet has this run's approximate reading. */
function placedAt(
  text: string,
  context: LogContext,
  known: readonly EarlierThing[],
):
  | (Reference & {
      readonly reading_ft?: number | undefined;
      readonly ofEnd?: boolean;
      readonly ofAccess?: boolean;
    })
  | undefined {
  const found = referenceAt(text, context, known);
  if (found?.id !== undefined) {
    const entry = known.findLast(({ id }) => id === found.id)?.entry;
    const point = entry?.kind === 'point' ? entry.point : undefined;
    return entry?.to_ft === undefined
      ? { ...found, reading_ft: entry?.reading_ft, ...endOf(point, context) }
      : found;
  }
  const article = /^(?:the|that)\s+/i.exec(text)?.[0].length ?? 0;
  const rest = text.slice(article);
  const name = pointNamedAt(rest, context);
  const phrase = phraseAt(rest);
  const of = context.points.filter(({ id, kind }) =>
    name ? id === name.id : phrase?.meaning.is === 'point' && kind === phrase.meaning.kind,
  );
  const [point, ...others] = of.filter(({ reading_ft }) => reading_ft !== undefined);
  if (!point || others.length > 0) return found;
  const used = article + (name?.used ?? phrase?.phrase.length ?? 0);
  return { used, reading_ft: point.reading_ft, ...endOf(point.id, context) };
}

/**
 * A place so many feet to one side of a thing. Along the pass from what is written it is kept as such; else it is a
 * reading, "about". Returns the length used, or 0.
 */
function takeAside(
  draft: Draft,
  text: string,
  context: LogContext,
  known: readonly EarlierThing[],
  fail: (from: number, to: number, message: string) => void,
): number {
  const match = asidePattern.exec(text);
  const [whole = '', far, side, short, past] = match ?? [];
  const found = match ? placedAt(text.slice(whole.length), context, known) : undefined;
  if (!found) return 0;
  const used = whole.length + found.used;
  const says = (message: string): number => {
    fail(0, used, message);
    return used;
  };
  const { reading_ft } = found;
  if (found.id === undefined && reading_ft === undefined)
    return says(found.message ?? 'of what? Name something already written');
  const { pass } = context;
  const isAlong =
    past !== undefined ||
    (side !== undefined &&
      movesDownstream(pass, context.direction) === (side.toLowerCase() === 'downstream'));
  const away_ft = far === undefined ? undefined : toFeet(far);
  if (isAlong && found.id !== undefined) {
    draft.fields.after = found.id;
    if (away_ft !== undefined) draft.fields.plus_ft = away_ft;
    return used;
  }
  if (away_ft === undefined || reading_ft === undefined)
    return says('give what the counter reads there, such as 41.5');
  const [nearer = 0, farther = 0] = [reading_ft - away_ft, reading_ft + away_ft].map(
    (each) => Math.round(100 * each) / 100,
  );
  // Short of a thing, or before the end of the line, is nearer; else some say "before" of the way out.
  const isNearer = short !== undefined || (found.ofEnd === true && side === undefined && !past);
  if (
    side === undefined &&
    past === undefined &&
    !isNearer &&
    found.ofAccess !== true &&
    nearer >= 0 &&
    pass === 'back'
  )
    return says(
      `which way? ${nearer} ft is nearer the start of the counter, ${farther} ft farther: type one`,
    );
  draft.fields.about = true;
  draft.numbers.push({
    // Nothing of the run lies before its access, or the counter's zero.
    ...{
      value:
        nearer >= 0 && found.ofAccess !== true && (isNearer || (pass === 'out') !== isAlong)
          ? nearer
          : farther,
    },
    ...{ from: 0, to: used },
    ...{ size: false, feet: true, fraction: false, placed: true },
  });
  return used;
}

const andPattern = new RegExp(String.raw`^\s*(?:and|${dash})\s+`, 'i');

/**
 * What a test ran water from: a fixture the line is known to serve, or the quoted words that follow. Returns the length
 * used.
 */
function takeServed(draft: Draft, text: string, { serves }: LogContext): number {
  const from = /^(?:of|from|in)\s+(?:the\s+)?/i.exec(text);
  if (!from) return 0;
  const what = serves?.find((each) => startsWithWord(text.slice(from[0].length), each));
  if (what) draft.fields.of = what;
  else draft.expecting = 'of';
  return from[0].length + (what?.length ?? 0);
}

/** "same as the roots", "same as #e4": another reading of the same thing. Returns the length used. */
function takeSame(
  draft: Draft,
  text: string,
  start: number,
  into: (at: number, field: string, reading_ft?: number) => number,
): number {
  const same = /^same\s+(?:as\s+(?:in\s+|at\s+)?|(?=the\b|that\b|#))/i.exec(text);
  if (!same) return 0;
  const at = same[0].length;
  const used = into(at, 'sameAs', draft.numbers.find(({ size }) => !size)?.value);
  const id = draft.fields.sameAs;
  if (typeof id === 'string')
    draft.sameAs = { from: start, to: start + used, tag: tagText(id), byId: text[at] === '#' };
  return used;
}

/** "Past the change", "between the change and the main", "then": its place among what is written. Returns the length used. */
function takeBeside(
  draft: Draft,
  text: string,
  known: readonly EarlierThing[],
  into: (at: number, field: string) => number,
  fail: (from: number, to: number, message: string) => void,
): number {
  const past = pastPattern.exec(text);
  if (past) {
    if (past[1] !== undefined) draft.fields.plus_ft = toFeet(past[1]);
    return into(past[0].length, 'after');
  }
  const before = /^before\s+/i.exec(text);
  if (before) return into(before[0].length, 'before');
  const between = /^between\s+/i.exec(text);
  if (between) {
    const first = into(between[0].length, 'after');
    const and = andPattern.exec(text.slice(first));
    return and ? into(first + and[0].length, 'before') : first;
  }
  const then = /^then\b,?/i.exec(text);
  if (!then) return 0;
  const id = known.at(-1)?.id;
  if (id) draft.fields.after = id;
  else fail(0, then[0].length, 'then after what? Nothing was written yet');
  return then[0].length;
}

/**
 * Reads words that refer to another entry: same as, past, before, between, then, clip, of. Returns the length used, or
 * 0.
 */
export function takeReferring(
  draft: Draft,
  text: string,
  start: number,
  context: LogContext,
  known: readonly EarlierThing[],
  fail: (from: number, to: number, message: string) => void,
): number {
  /** Reads a reference at `at` into a field; returns the length used in all. */
  const into = (at: number, field: string, reading_ft?: number): number => {
    const found = referenceAt(text.slice(at), context, known, reading_ft);
    if (!found) {
      fail(0, at, 'of what? Name something already written, such as “the change”');
      return at;
    }
    if (found.message) fail(at, at + found.used, found.message);
    else draft.fields[field] = found.id;
    return at + found.used;
  };
  if (!/^[a-z0-9.½¼¾]/i.test(text)) return 0;
  const lead = (pattern: RegExp) => pattern.exec(text);
  const same = takeSame(draft, text, start, into);
  if (same > 0) return same;
  const aside = takeAside(draft, text, context, known, fail);
  if (aside > 0) return aside;
  const beside = takeBeside(draft, text, known, into, fail);
  if (beside > 0) return beside;
  const of = draft.kind === 'locate' ? lead(/^(?:(start|end)\s+)?of\s+/i) : null;
  if (of) {
    if (of[1]) draft.fields.end = of[1].toLowerCase() === 'start' ? 'from' : 'to';
    return into(of[0].length, 'of');
  }
  if (draft.kind === 'test') {
    const used = takeServed(draft, text, context);
    if (used > 0) return used;
  }
  const clip = lead(/^clip\s+(?=#)/i);
  if (clip) {
    const tagged = tagAt(text.slice(clip[0].length));
    if (tagged) draft.fields.clip = tagged.id;
    return clip[0].length + (tagged?.used ?? 0);
  }
  return 0;
}
