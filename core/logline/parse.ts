import { defaultGradeTable } from '../condition/grade-table.js';
import { entrySchema, type Entry } from '../job/schema.js';
import { faultsOf } from '../job/read.js';
import type { FindingKind } from '../job/vocabulary.js';
import { sayEntry } from './say.js';
import { closest, phraseAt, type Meaning } from './words.js';

/** What the typed line may name, and the pass that is on. */
export interface LogContext {
  readonly pass: 'out' | 'back';
  /** Points of the line by id, with their names; the end of the line answers to "main". */
  readonly points: readonly {
    readonly id: string;
    readonly name?: string | undefined;
    readonly kind: string;
  }[];
  readonly end: string;
  /** Clock of the water as the picture shows it, until it is turned again. */
  readonly waterClock?: number | undefined;
}

/** An entry still without its id. */
export type EntryDraft = Entry extends infer E ? (E extends Entry ? Omit<E, 'id'> : never) : never;

export interface LogPart {
  readonly entry: EntryDraft | undefined;
  /** How it was understood, in a full sentence. */
  readonly sentence: string;
  /** What may be added still: a size, a form. */
  readonly missing: readonly string[];
  readonly errors: readonly LogError[];
}

/** What could not be understood: its place in the text, and what would be. */
export interface LogError {
  readonly from: number;
  readonly to: number;
  readonly message: string;
}

interface Given {
  readonly value: number;
  readonly from: number;
  readonly to: number;
  /** Said after the thing itself, or a bare fraction: a size sooner than a place. */
  readonly size: boolean;
}

interface Draft {
  kind?: Entry['kind'];
  finding?: FindingKind;
  fields: Record<string, unknown>;
  numbers: Given[];
  materials: { material?: string; diameter_in?: number }[];
  changing: boolean;
}

/**
 * Reads one typed line: several things separated by `;`, each in any sensible order. A part without a reading of its
 * own takes that of the part before it. Pure; never throws; time grows with the length of the text.
 */
export function parseLogLine(text: string, context: LogContext): LogPart[] {
  const parts: LogPart[] = [];
  let offset = 0;
  let reading: number | undefined;
  for (const piece of splitOutsideQuotes(text)) {
    if (piece.trim() !== '') {
      const part = parsePart(piece, offset, reading, context);
      reading = part.entry?.reading_ft ?? reading;
      parts.push(part);
    }
    offset += piece.length + 1;
  }
  return parts;
}

function splitOutsideQuotes(text: string): string[] {
  const pieces = [''];
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    const char = text.charAt(i);
    if (char === '"' && isQuote(text, i, quoted)) quoted = !quoted;
    if (char === ';' && !quoted) pieces.push('');
    else pieces.push((pieces.pop() ?? '') + char);
  }
  return pieces;
}

/** A double mark opens a note after a space or at the start; after a digit it means inches. */
function isQuote(text: string, at: number, quoted: boolean): boolean {
  return quoted || !/[0-9]/.test(text[at - 1] ?? '');
}

const fraction = String.raw`\d+\/\d+`;
const number = String.raw`(?:\d+\.?\d*\s+${fraction}|${fraction}|\d+(?:\.\d+)?|\.\d+)`;
const feet = String.raw`(?:'|ft\b|feet\b|foot\b)`;
const inch = String.raw`(?:"|in\b|inch(?:es)?\b)`;
const clockTime = String.raw`(?:1[0-2]|[1-9])(?::[0-5]\d)?`;

const patterns: readonly (readonly [
  RegExp,
  (draft: Draft, match: RegExpExecArray, at: number) => string | undefined,
])[] = [
  [/^"([^"]*)"/, (draft, [, note]) => void (draft.fields.note = note?.trim())],
  [
    new RegExp(String.raw`^(?:water|turned)\s+(?:at|to)\s+(${clockTime})`, 'i'),
    (draft, [, time = '']) => void (draft.fields.waterClock = toClock(time)),
  ],
  [/^(?:~|about\b|approx\.?)\s*/i, (draft) => void (draft.fields.about = true)],
  [
    new RegExp(String.raw`^(${number})\s*(?:-|–|to)\s*(${number})\s*%`, 'i'),
    (draft, [, low = '', high = '']) => void (draft.fields.percent = ordered(toNumber(low), toNumber(high))),
  ],
  [
    new RegExp(String.raw`^(${number})\s*(?:%|percent\b)`, 'i'),
    (draft, [, value = '']) => void (draft.fields.percent = toNumber(value)),
  ],
  [
    new RegExp(String.raw`^(\d+)\s*${feet}\s*(${number})\s*${inch}`, 'i'),
    (draft, [whole, ft = '', inches = ''], at) =>
      pushNumber(draft, Number(ft) + toNumber(inches) / 12, at, whole),
  ],
  [
    new RegExp(String.raw`^(${number})\s*(?:-|–|to)\s*(${number})\s*${inch}`, 'i'),
    (draft, [, low = '', high = '']) => void (draft.fields.inches = ordered(toNumber(low), toNumber(high))),
  ],
  [
    new RegExp(String.raw`^(${number})\s*${inch}`, 'i'),
    (draft, [, value = '']) => void (draft.fields.inches = toNumber(value)),
  ],
  [
    new RegExp(
      String.raw`^(?:from\s+)?(${number})\s*${feet}?\s*(?:-|–|to)\s*(${number})\s*${feet}?(?![:\d%])`,
      'i',
    ),
    range,
  ],
  [
    new RegExp(
      String.raw`^(?:at|@)\s*(${clockTime})(?:\s*(?:-|–|to)\s*(${clockTime}))?(?:\s*o'?clock)?(?![\d.%/])`,
      'i',
    ),
    (draft, [, from = '', to]) =>
      void (draft.fields.clock = to ? [toClock(from), toClock(to)] : toClock(from)),
  ],
  [
    new RegExp(String.raw`^(${clockTime}:[0-5]\d|${clockTime}\s*o'?clock)`, 'i'),
    (draft, [, time = '']) => void (draft.fields.clock = toClock(time)),
  ],
  [
    new RegExp(String.raw`^(?:at\s+|@\s*)?(${number})\s*(${feet})?`, 'i'),
    (draft, [whole, value = ''], at) => pushNumber(draft, toNumber(value), at, whole),
  ],
  [
    /^(?:>|->|→)/,
    (draft) => {
      draft.changing = true;
      draft.materials.push({});
      return undefined;
    },
  ],
  [/^[,.:&+-]/, () => undefined],
];

function range(
  draft: Draft,
  [whole, first = '', second = '']: RegExpExecArray,
  at: number,
): string | undefined {
  const [low, high] = [toNumber(first), toNumber(second)];
  const clockLike =
    low <= 12 && high <= 12 && low > 0 && high > 0 && Number.isInteger(low * 2) && Number.isInteger(high * 2);
  if (draft.numbers.length > 0 && clockLike) {
    draft.fields.clock = [low, high];
    return undefined;
  }
  if (draft.fields.to_ft !== undefined) return 'a second stretch: one thing has one';
  draft.numbers.push({ value: low, from: at, to: at + whole.trimEnd().length, size: false });
  draft.fields.to_ft = high;
  return undefined;
}

function pushNumber(draft: Draft, value: number, at: number, text: string): undefined {
  const size = draft.finding !== undefined || draft.kind !== undefined || /^\d+\/\d+$/.test(text.trim());
  draft.numbers.push({ value, from: at, to: at + text.trimEnd().length, size });
}

function toNumber(text: string): number {
  return text
    .trim()
    .split(/\s+/)
    .reduce((sum, part) => {
      const [over = '0', under] = part.split('/');
      return sum + (under === undefined ? Number(over) : Number(over) / Math.max(1, Number(under)));
    }, 0);
}

function toClock(time: string): number {
  const [hours = '12', minutes = '0'] = time.replace(/\s*o'?clock/i, '').split(':');
  return Number(hours) + Number(minutes) / 60;
}

const ordered = (a: number, b: number): [number, number] => (a <= b ? [a, b] : [b, a]);

function parsePart(
  piece: string,
  offset: number,
  inherited: number | undefined,
  context: LogContext,
): LogPart {
  const draft: Draft = { fields: {}, numbers: [], materials: [], changing: false };
  const errors: LogError[] = [];
  let at = 0;
  while (at < piece.length) {
    const rest = piece.slice(at);
    const space = /^\s+/.exec(rest)?.[0].length ?? 0;
    if (space > 0) {
      at += space;
      continue;
    }
    const used =
      takePoint(draft, rest, context) ||
      takePattern(draft, rest, offset + at, errors) ||
      takePhrase(draft, rest);
    if (used > 0) {
      at += used;
      continue;
    }
    const word = /^\S+/.exec(rest)?.[0] ?? rest;
    const near = closest(word);
    errors.push({
      from: offset + at,
      to: offset + at + word.length,
      message: near
        ? `“${word}” is not known: did you mean “${near}”?`
        : `“${word}” is not known. Put a note in "quotes"`,
    });
    at += word.length;
  }
  return finish(draft, offset, piece, inherited, context, errors);
}

/** A point by its id or name; a bare kind of point that only one point has. */
function takePoint(draft: Draft, rest: string, context: LogContext): number {
  const lower = rest.toLowerCase();
  const names = context.points
    .flatMap(({ id, name }) => [{ id, text: id }, ...(name ? [{ id, text: name }] : [])])
    .sort((a, b) => b.text.length - a.text.length);
  const hit = names.find(
    ({ text }) => lower.startsWith(text.toLowerCase()) && !/^[a-z0-9-]/i.test(rest.slice(text.length)),
  );
  if (!hit || draft.kind !== undefined || draft.finding !== undefined) return 0;
  draft.kind = 'point';
  draft.fields.point = hit.id;
  return hit.text.length;
}

function takePattern(draft: Draft, rest: string, at: number, errors: LogError[]): number {
  for (const [pattern, act] of patterns) {
    const match = pattern.exec(rest);
    if (!match || match[0].length === 0) continue;
    const message = act(draft, match, at);
    if (message !== undefined) errors.push({ from: at, to: at + match[0].length, message });
    return match[0].length;
  }
  return 0;
}

function takePhrase(draft: Draft, rest: string): number {
  const known = phraseAt(rest);
  if (!known) return 0;
  apply(draft, known.meaning, known.phrase);
  return known.phrase.length;
}

function apply(draft: Draft, meaning: Meaning, phrase: string): void {
  switch (meaning.is) {
    case 'finding':
      // "roots behind grease": the first finding stands, the second is a thing of its own and needs a `;`.
      draft.finding ??= meaning.finding;
      if (draft.finding === meaning.finding) Object.assign(draft.fields, meaning.with);
      return;
    case 'field':
      Object.assign(draft.fields, meaning.set);
      return;
    case 'size':
      draft.fields.size = meaning.size;
      return;
    case 'clock':
      draft.fields.clock = meaning.clock;
      return;
    case 'material': {
      const last = draft.materials.at(-1);
      if (last && last.material === undefined) last.material = meaning.material;
      else draft.materials.push({ material: meaning.material });
      return;
    }
    case 'kind':
      if (meaning.kind === 'main') draft.fields.main = true;
      else if (meaning.kind === 'test') {
        draft.kind = 'test';
        draft.fields.what = phrase.startsWith('dye') ? 'dye' : 'flush';
      } else draft.kind ??= meaning.kind;
      return;
    case 'nothing':
  }
}

function finish(
  draft: Draft,
  offset: number,
  piece: string,
  inherited: number | undefined,
  context: LogContext,
  errors: LogError[],
): LogPart {
  const { main, ...fields } = draft.fields;
  const fail = (message: string, from = offset, to = offset + piece.length) => {
    errors.push({ from, to, message });
  };
  // The place is the first number that is no size; said after the thing it is still the place when there is no other.
  const place =
    draft.numbers.find(({ size }) => !size) ??
    (inherited === undefined
      ? draft.numbers.find(({ value }) => Number.isInteger(value) || value > 12)
      : undefined);
  draft.numbers = draft.numbers.filter((each) => each !== place);
  placeNumbers(draft, fields);
  if (main === true && draft.kind === undefined && draft.finding === undefined) {
    draft.kind = 'point';
    fields.point = context.end;
  }
  if (draft.kind === 'stop' && main === true) fields.why = 'main';
  if (draft.materials.length > 0 && draft.finding === undefined && draft.kind !== 'point')
    draft.kind = 'change';
  const kind = draft.finding !== undefined ? 'finding' : draft.kind;
  if (kind === undefined) {
    if (errors.length === 0)
      fail('what is there? Say roots, crack, offset, belly, joint, main, or “abs > clay”');
    return { entry: undefined, sentence: '', missing: [], errors };
  }
  const reading_ft = place?.value ?? inherited;
  if (reading_ft === undefined) {
    fail('where? Begin with what the counter reads, such as 41.5');
    return { entry: undefined, sentence: '', missing: [], errors };
  }
  for (const extra of draft.numbers)
    fail('what does this number mean? Add in, %, ft or “at”', extra.from, extra.to);
  const waterClock = fields.waterClock ?? (fields.clock === undefined ? undefined : context.waterClock);
  const raw: Record<string, unknown> = {
    kind,
    reading_ft: tidy(reading_ft),
    pass: context.pass,
    ...fields,
    ...(waterClock === undefined ? {} : { waterClock }),
    ...(kind === 'finding' ? { finding: draft.finding } : {}),
    ...(kind === 'change' ? changeOf(draft) : {}),
  };
  const parsed = entrySchema.safeParse({ id: 'new', ...raw });
  if (!parsed.success) {
    for (const { path, message } of faultsOf(parsed.error, raw)) {
      fail(
        message === 'unknown field'
          ? `“${path}” does not go with ${draft.finding ?? kind}`
          : `${path}: ${message}`,
      );
    }
    return { entry: undefined, sentence: '', missing: [], errors };
  }
  const { id: _, ...entry } = parsed.data;
  return {
    entry: entry,
    sentence: sayEntry(parsed.data),
    missing: missingFrom(parsed.data),
    errors,
  };
}

/** Numbers after the reading: a bore after a material, a depth after “locate”, inches where inches are measured. */
function placeNumbers(draft: Draft, fields: Record<string, unknown>): void {
  if (fields.inches !== undefined && draft.kind === 'locate') delete fields.inches;
  if (typeof fields.to_ft === 'number') fields.to_ft = tidy(fields.to_ft);
  const takesInches = draft.finding !== undefined && measuresInches(draft.finding);
  for (const given of [...draft.numbers]) {
    const bare = draft.materials.find(
      (each) => each.material !== undefined && each.diameter_in === undefined,
    );
    if (bare && given.value >= 1 && given.value <= 60) bare.diameter_in = given.value;
    else if (draft.kind === 'locate' && fields.depth_ft === undefined) fields.depth_ft = given.value;
    else if (takesInches && fields.inches === undefined) fields.inches = given.value;
    else if (
      fields.clock === undefined &&
      given.value > 0 &&
      given.value <= 12 &&
      draft.finding !== undefined
    )
      fields.clock = given.value;
    else continue;
    draft.numbers.splice(draft.numbers.indexOf(given), 1);
  }
  // "31.7 abs 4 > clay 6": an inch mark after a material is its bore.
  if (fields.inches !== undefined && draft.materials.length > 0 && draft.finding === undefined) {
    const last = draft.materials.at(-1);
    if (last && typeof fields.inches === 'number') last.diameter_in = fields.inches;
    delete fields.inches;
  }
}

const measuresInches = (finding: FindingKind): boolean =>
  finding !== 'main-backed-up' && ['inches', 'of-bore'].includes(defaultGradeTable[finding].measure);

/** One material alone is what goes on from here, down the line from the head. */
function changeOf(draft: Draft): Record<string, unknown> {
  const [first, second] = draft.materials;
  if (second) return { upstream: first, downstream: second };
  return first ? { downstream: first } : {};
}

function missingFrom(entry: Entry): string[] {
  if (entry.kind === 'change' && !entry.upstream?.material) return ['what comes before it'];
  if (entry.kind !== 'finding' || entry.finding === 'main-backed-up') return [];
  const { measure } = defaultGradeTable[entry.finding];
  if (entry.size !== undefined) return [];
  if (measure === 'form') return 'form' in entry && entry.form !== undefined ? [] : ['which form'];
  if (measure === 'percent')
    return ('percent' in entry && entry.percent !== undefined) ||
      ('inches' in entry && entry.inches !== undefined)
      ? []
      : ['how much, in %'];
  if (measure === 'always') return [];
  return 'inches' in entry && entry.inches !== undefined ? [] : ['how much, in inches'];
}

/** Feet from feet and inches carry binary dust. */
const tidy = (feet_: number): number => Math.round(feet_ * 10_000) / 10_000;
