import { fieldTypes } from '../findings/fields.js';
import { kindOf } from '../findings/kinds.js';
import { sizeOfShare } from '../findings/measure.js';
import { faultsOf } from '../job/faults.js';
import type { FindingKind } from '../job/vocabulary.js';
import { entrySchema, pointSchema, type Entry, type Point } from '../job/schema.js';
import { sayInches } from '../speech/say.js';
import { movesDownstream, pipesOf } from './change.js';
import { endedBy, isOfKind, isUnnamed, nameWhatEnds } from './stretches.js';
import type { Choice, EntryDraft, EarlierThing, LogContext } from './context.js';
import { findWhatStopped, isBend, usualBends, type Draft } from './draft.js';
import { faultWords, readEntry } from '../speech/entry-faults.js';
import { placeNumbers, settleFall, takePlace } from './place.js';
import { endsBehind } from './questions.js';
import { besideOf, knownKind, pointOf } from './points.js';

/** Result of a finished draft. */
export interface Finished {
  readonly entry: EntryDraft;
  /** The entry it corrects, or the open stretch it closes. */
  readonly replaces?: string;
  /** The point it read, when it is new or its fields changed. */
  readonly point?: Point;
  /** Questions about the stretch it closes. */
  readonly doubts: readonly string[];
}

export type Fail = (
  message: string,
  from?: number,
  to?: number,
  answers?: readonly Omit<Choice, 'from' | 'to'>[],
) => void;

/** Context for finishing a draft. */
export interface Finishing {
  /** Reading of the previous thing on the line, ft. */
  readonly inherited: number | undefined;
  readonly context: LogContext;
  readonly known: readonly EarlierThing[];
  readonly fail: Fail;
  /** From narration rather than typed: what does not fit is dropped instead of refused. */
  readonly spoken?: boolean;
}

const asksWhat = 'what is there? Say roots, crack, offset, belly, joint, main, or “abs > clay”';
const asksWhatEnds = 'what ends here? Say “belly ends” or “clay ends”, or “stop” where the camera stopped';

/** Makes an entry from a draft, or says what is missing. */
export function finishDraft(draft: Draft, finishing: Finishing): Finished | undefined {
  const { inherited, context, known, fail } = finishing;
  settle(draft, finishing);
  const base = baseOf(draft, known, context);
  if (draft.correcting && !base) {
    fail('there is nothing to correct yet');
    return undefined;
  }
  const fields: Record<string, unknown> = { ...draft.fields };
  const place = takePlace(draft, fields, { inherited, correcting: base !== undefined, fail });
  placeNumbers(draft, fields, base?.entry, fail);
  const pass = (draft.fields.pass as LogContext['pass'] | undefined) ?? context.pass;
  if (!base) nameWhatEnds(draft, place, known, pass);
  const kind = kindSaid(draft, fields, finishing);
  const onlyMeasured = kind === 'note' && (fields.inches !== undefined || fields.percent !== undefined);
  if ((kind === undefined || onlyMeasured) && !base) {
    fail(draft.endCall === 'end' ? asksWhatEnds : asksWhat);
    return undefined;
  }
  const beside = besideOf(draft, known, context);
  const reading = place ?? (fields.after === undefined ? (beside ?? inherited) : undefined);
  if (reading === undefined && fields.after === undefined && !base && kind !== 'note') {
    fail('where? Begin with what the counter reads, such as 41.5');
    return undefined;
  }
  // A reading places a thing better than words about its neighbor do.
  if (place !== undefined) {
    delete fields.after;
    delete fields.before;
    delete fields.plus_ft;
  }
  if (draft.long_ft !== undefined && reading !== undefined)
    fields.to_ft ??= reachOf(reading, draft.long_ft, pass);
  farFromItsLike(draft, fields, reading, known, fail);
  const opened = opensOrCloses(draft, kind) ? endedBy(draft, reading, known, pass) : undefined;
  const point = draft.point && kind === 'point' ? readPoint(draft, reading, finishing) : undefined;
  if (draft.point && kind === 'point' && !point) return undefined;
  const said: Record<string, unknown> = {
    ...(kind === undefined ? {} : { kind }),
    ...(reading === undefined ? {} : { reading_ft: reading }),
    ...fields,
    ...(draft.finding === undefined ? {} : { finding: draft.finding }),
    ...(kind === 'change' ? pipesOf(draft, fields, context) : {}),
    ...(point ? { point: point.id } : {}),
    ...reasonOf(draft, kind, fields, base?.entry),
  };
  if (!opened) callEnd(draft, kind, said);
  const raw = opened ? closed(opened.entry, said) : base ? corrected(base.entry, said) : fresh(said, context);
  const entry = readEntry(raw, fail, finishing.spoken === true);
  if (!entry) return undefined;
  const replaces = (opened ?? base)?.id;
  return {
    entry,
    ...(replaces === undefined ? {} : { replaces }),
    doubts: opened && draft.endCall === 'end' ? endsBehind(opened.entry, reading) : [],
    ...(point && saysMore(point, draft, context) ? { point: point.point } : {}),
  };
}

/** The entry that a draft puts right. */
function baseOf(draft: Draft, known: readonly EarlierThing[], context: LogContext): EarlierThing | undefined {
  const base = draft.correcting
    ? correctedBy(draft, known, context)
    : draft.ofWritten && writtenAs(draft, known, context);
  if (!base) return undefined;
  const { entry } = base;
  // "The 61 joint is open an inch": what is wrong with it.
  if (draft.ofWritten && entry.kind === 'finding' && draft.kind === 'joint') delete draft.kind;
  // "The wye should be at 13": it stays the same one.
  if (entry.kind === 'point' && draft.point && isSuch(draft, entry, context))
    draft.point = { id: entry.point };
  return base;
}

/** Whether a point is new to the line, or its fields differ from what the line has. */
const saysMore = (
  { id, point, isNew }: { readonly id: string; readonly point: Point; readonly isNew: boolean },
  draft: Draft,
  { points }: LogContext,
): boolean =>
  isNew ||
  Object.keys(draft.aboutPoint).length > 0 ||
  points.find((each) => each.id === id)?.kind !== point.kind;

/** Meanings that depend on several words, resolved before any place is assigned. */
function settle(draft: Draft, { context, known, spoken }: Finishing): void {
  if (draft.onceMore) repeat(draft, known, context);
  settleWeak(draft);
  settleServed(draft, spoken);
  const isDeep = draft.fields.inches !== undefined || draft.numbers.some(({ apart }) => apart);
  if (draft.ofWater && draft.kind === undefined && isDeep) draft.finding ??= 'belly';
  settleDiameters(draft);
  settleDegrees(draft);
  settleFall(draft);
  if (spoken && draft.numbers.some(({ range }) => range))
    draft.numbers = draft.numbers.filter(({ range, size }) => range || size);
  // A locate has two numbers: where, and how deep. With more it is unclear which is which.
  else if (spoken && draft.kind === 'locate') draft.numbers.splice(draft.numbers.length > 2 ? 1 : 2);
  else if (spoken && draft.numbers.some(({ placed }) => placed))
    draft.numbers = draft.numbers.filter(({ placed, size }) => placed || size);
}

/** "45 bend left at 13", "13 feet, 45 bend", "45 bend 49": one number is its place, the other what it turns. */
function settleDegrees(draft: Draft): void {
  const [one, other, ...more] = draft.numbers;
  if (!isBend(draft) || draft.aboutPoint.degrees !== undefined || !one || !other || more.length > 0) return;
  const turnsFirst = usualBends.includes(one.value) && !usualBends.includes(other.value) && other.value > 12;
  const places = [one, other].filter(({ at, feet }) => at ?? feet);
  if (places.length === 0 && turnsFirst && !one.fromNoun && other.fromNoun) places.push(other);
  const turn = [one, other].find((each) => !places.includes(each));
  if (places.length !== 1 || !turn || turn.fromNoun || !usualBends.includes(turn.value)) return;
  draft.aboutPoint.degrees = turn.value;
  draft.numbers = places;
}

/** "4 to 6 inch reducer", or just "goes from 4 to 6 inch": the diameter changes. */
function settleDiameters(draft: Draft): void {
  const { twoInches, kind, finding, pipes, fields } = draft;
  const isChange = kind === 'change' || (kind === undefined && !draft.ofWater);
  const isNamed = pipes.some(({ side: _, ...pipe }) => Object.keys(pipe).length > 0);
  if (!twoInches || !isChange || finding !== undefined || isNamed) return;
  delete fields.inches;
  draft.changing = true;
  const side = pipes.at(-1)?.side;
  draft.pipes = twoInches.map((diameter_in, i) => ({ diameter_in, ...(side && i > 0 ? { side } : {}) }));
}

/** One end alone was called: a stretch is left open, a locate is of that end. */
function callEnd({ endCall }: Draft, kind: Entry['kind'] | undefined, said: Record<string, unknown>): void {
  if (endCall === undefined) return;
  if (kind === 'locate') said.end = endCall === 'start' ? 'from' : 'to';
  else if ((kind === 'finding' || kind === 'hidden') && said.to_ft === undefined) said.open = true;
}

/** The kind of entry; pipes alone make a change, and a note alone is an entry too. */
function kindSaid(
  draft: Draft,
  fields: Record<string, unknown>,
  { context, known, fail, spoken }: Finishing,
): Entry['kind'] | undefined {
  if (draft.pipes.length > 0 && draft.kind === undefined && draft.finding === undefined)
    draft.kind = 'change';
  // "cap missing" alone refers to a cleanout.
  if (draft.aboutPoint.state !== undefined && draft.kind === undefined && draft.finding === undefined) {
    draft.kind = 'point';
    draft.point = { kind: 'cleanout' };
  }
  if (draft.blocked && draft.kind === undefined && draft.finding === undefined && !draft.correcting) {
    draft.kind = 'stop';
    fields.why ??= 'blocked';
    delete fields.percent;
  }
  findWhatStopped(draft, fields);
  // "won't go past the bad joint", "can't see, too much water"
  if (draft.kind === 'stop' || draft.kind === 'hidden') delete fields.size;
  if (draft.kind === 'stop' && fields.atJoint !== undefined) {
    delete fields.atJoint;
    if (fields.why === draft.weak.why) fields.why = 'joint';
  }
  // A coupling where two pipes meet is their change.
  if (draft.pipes.length === 2 && draft.kind === 'joint') draft.kind = 'change';
  if (namesItsPipe(draft, context, known)) draft.pipes = [];
  if (draft.pipes.length > 0 && draft.kind !== 'change' && !spoken)
    fail('a change of pipe is a thing of its own: put it after a ;');
  if (draft.piece_ft !== undefined && !spoken) fail('pieces of what? Name the material');
  for (const extra of draft.numbers) {
    if (!spoken)
      fail(
        draft.point
          ? 'what does this number mean? Add in, degrees, ft or “at”'
          : 'what does this number mean? Add in, %, ft or “at”',
        extra.from,
        extra.to,
      );
  }
  const kind = draft.finding === undefined ? draft.kind : 'finding';
  if (kind === 'finding') {
    sharesOfBore(draft, fields, context);
    plainWords(draft, fields);
  }
  if (kind === undefined && fields.note !== undefined && !draft.correcting) return 'note';
  return kind;
}

/** "41 clay cracked": what the pipe is of where it is bad, and no change, unless another was written last. */
function namesItsPipe(
  { finding, pipes, changing, fields }: Draft,
  context: LogContext,
  known: readonly EarlierThing[],
): boolean {
  const [pipe, other] = pipes;
  if (finding === undefined || changing || !pipe || other || pipe.side || pipe.diameter_in !== undefined)
    return false;
  const last = known.findLast(({ entry, elsewhere }) => !elsewhere && entry.kind === 'change')?.entry;
  const ahead = movesDownstream(last?.pass ?? 'back', context.direction) ? 'downstream' : 'upstream';
  const written = last?.kind === 'change' ? last[ahead]?.material : undefined;
  if (written !== undefined) return written === pipe.material;
  const { grading, sags } = kindOf(finding);
  return grading?.structural === true || sags === true || fields.atJoint === true;
}

/** "roots along the bottom": words that name a form of some findings only give the position of others. */
function plainWords({ finding }: Draft, fields: Record<string, unknown>): void {
  const takesForm = finding !== undefined && 'form' in kindOf(finding).fields(fieldTypes);
  const forms = finding === undefined ? undefined : kindOf(finding).grading?.forms;
  if (
    !(takesForm && (fields.form as string) in (forms ?? {})) &&
    ['along', 'around', 'running'].includes(fields.form as string)
  )
    delete fields.form;
}

/** Water depth as a fraction of the pipe, "half full": inches where the diameter is known, else a size word. */
function sharesOfBore(draft: Draft, fields: Record<string, unknown>, { bore_in }: LogContext): void {
  const { percent } = fields;
  if (draft.finding === undefined) return;
  const { grading, sags } = kindOf(draft.finding);
  if (fields.inches !== undefined) inchesOf(draft.finding, fields, bore_in);
  if (percent === undefined) return;
  if (grading?.measure !== 'of-bore') return;
  const shares = [percent].flat() as number[];
  if (bore_in !== undefined) {
    const inches = shares.map((share) => Math.round((share / 100) * bore_in * 1000) / 1000);
    fields.inches = inches.length > 1 ? inches : inches[0];
  } else if (sags) {
    fields.size ??= sizeOfShare(Math.max(...shares));
    fields.note ??= `${shares.join(' to ')} % full`;
  } else return;
  delete fields.percent;
}

/**
 * "The tap sticks in 2 inches", "a hole of 2 inches": a percentage of the bore where that is the measure and the
 * diameter is known; else what was said stays as a note.
 */
function inchesOf(finding: FindingKind, fields: Record<string, unknown>, bore_in: number | undefined): void {
  if ('inches' in kindOf(finding).fields(fieldTypes)) return;
  const inches = [fields.inches].flat() as number[];
  delete fields.inches;
  fields.note ??= `${inches.map(sayInches).join(' to ')} in`;
  if (bore_in === undefined || kindOf(finding).grading?.measure !== 'percent') return;
  const shares = inches.map((each) => Math.min(100, Math.round((100 * each) / bore_in)));
  fields.percent ??= shares.length > 1 ? shares : shares[0];
}

/** How far a thing of this length extends from its reading, in the head's direction of travel. */
const reachOf = (reading: number, long_ft: number, pass: 'out' | 'back'): number =>
  Math.round(100 * Math.max(0, pass === 'out' ? reading + long_ft : reading - long_ft)) / 100;

/**
 * Words that yield: a plural's "several" to any form or size; "some" or a ball of roots to a measure or size; that the
 * camera did not get past to what was in its way.
 */
function settleWeak(draft: Draft): void {
  const { fields, weak } = draft;
  const sized = fields.size !== undefined;
  const measured = fields.percent !== undefined || fields.inches !== undefined;
  if (weak.form !== undefined && !sized && !draft.listed) fields.form ??= weak.form;
  if (weak.size !== undefined && !sized && !measured && fields.form === undefined) fields.size = weak.size;
  if (weak.why !== undefined && draft.kind === 'stop' && draft.why === undefined) fields.why ??= weak.why;
}

/** "The laundry ties in": names the branch, or for a test what it ran from. */
function settleServed(draft: Draft, spoken = false): void {
  if (draft.served === undefined) return;
  if (draft.kind === 'test') draft.fields.of ??= draft.served;
  // "18 kitchen line": what drains there comes in there.
  else if (
    draft.kind === undefined &&
    draft.finding === undefined &&
    draft.pipes.length === 0 &&
    !draft.correcting &&
    !spoken
  ) {
    draft.kind = 'point';
    draft.point = { kind: 'tie-in' };
  }
  if (draft.point && 'kind' in draft.point && draft.point.kind === 'tie-in' && draft.finding === undefined)
    draft.aboutPoint.name ??= `${draft.served} branch connection`;
}

/** "Same again": the kind of the last entry. */
function repeat(draft: Draft, known: readonly EarlierThing[], context: LogContext): void {
  if (draft.finding !== undefined || (draft.kind !== undefined && draft.kind !== 'joint')) return;
  const before = known.findLast(({ elsewhere }) => !elsewhere);
  const last = before?.entry;
  if (last?.kind === 'note' && draft.listed) {
    draft.kind = 'note';
    draft.fields.note = last.note;
  }
  if (!last || last.kind === 'note') return;
  if (last.kind === 'finding') {
    draft.finding = last.finding;
    if (draft.kind === 'joint') {
      delete draft.kind;
      draft.fields.atJoint ??= true;
    }
    if ('of' in last && last.of !== undefined) draft.fields.of ??= last.of;
    // "heavy roots at 31 and 33": what was said of one place of a list holds for all.
    if (draft.listed) {
      const {
        kind: _k,
        pass: _p,
        finding: _f,
        reading_ft: _r,
        to_ft: _t,
        after: _a,
        open: _o,
        ...said
      } = last;
      draft.fields = { ...said, ...draft.fields };
    }
  } else {
    draft.kind = last.kind;
    if (last.kind === 'point') {
      const point = context.points.find(({ id }) => id === last.point);
      draft.point = { kind: point?.kind ?? 'other' };
      // "bends at 12 and 14": what was known of the first before is not said of the second.
      const { degrees, connection, diameter_in } = (draft.listed ? before.point : point) ?? {};
      if (degrees !== undefined && draft.aboutPoint.degrees === undefined && draft.numbers.length < 2)
        draft.aboutPoint.degrees = degrees;
      // "3 in wyes on the left at 22 and 31": what was said of one place of a list holds for all.
      if (draft.listed) {
        if (last.clock !== undefined) draft.fields.clock ??= last.clock;
        draft.aboutPoint = {
          ...(connection === undefined ? {} : { connection }),
          ...(diameter_in === undefined ? {} : { diameter_in }),
          ...draft.aboutPoint,
        };
      }
    }
    // "clay 46-30 and 22-12"
    const pipe = last.kind === 'change' && draft.listed ? (last.upstream ?? last.downstream) : undefined;
    if (pipe) draft.pipes.push(pipe);
    if (last.kind === 'test') draft.fields.what ??= last.what;
  }
}

/** Corrections may refer to this many of the run's newest entries. */
const recent = 8;

/** Whether the line gives the reading of an entry. */
const isReadAt = ({ numbers }: Draft, { reading_ft }: EntryDraft): boolean =>
  numbers.some(({ value, size }) => !size && value === reading_ft);

/** Whether an entry is what a draft names; of points, one of the same kind. */
function isSuch(draft: Draft, entry: EntryDraft, { points }: LogContext): boolean {
  const { point } = draft;
  // "The 61 joint" may be what is wrong with it.
  if (draft.kind === 'joint' && entry.kind === 'finding')
    return entry.atJoint === true || entry.finding === 'separation' || entry.finding === 'offset';
  if (!isOfKind(draft, entry)) return false;
  if (draft.kind !== 'point' || entry.kind !== 'point' || !point) return true;
  return 'id' in point
    ? entry.point === point.id
    : points.some(({ id, kind }) => id === entry.point && kind === point.kind);
}

/** What the line says is written: where it says, or before it is put right. */
function writtenAs(
  draft: Draft,
  known: readonly EarlierThing[],
  context: LogContext,
): EarlierThing | undefined {
  const { mended_ft, mending } = draft;
  const placed = draft.numbers.find(({ size }) => !size);
  if (draft.ofWritten === 'other')
    return known.findLast(
      ({ entry, elsewhere }) => !elsewhere && entry.kind === 'finding' && isReadAt(draft, entry),
    );
  const isThere = ({ reading_ft }: EntryDraft) =>
    draft.ofWritten === 'near'
      ? Math.abs((reading_ft ?? Infinity) - (placed?.value ?? -Infinity)) <= alike_ft
      : mending === true || placed === undefined || reading_ft === placed.value;
  return known.findLast(
    ({ entry, elsewhere }) =>
      !elsewhere &&
      (isUnnamed(draft) || isSuch(draft, entry, context)) &&
      (mended_ft === undefined ? isThere(entry) : entry.reading_ft === mended_ft),
  );
}

/** Target of a correction: the newest entry of the kind it names, else the newest read there, else the newest of all. */
function correctedBy(
  draft: Draft,
  known: readonly EarlierThing[],
  context: LogContext,
): EarlierThing | undefined {
  const own = known.filter(({ elsewhere }) => !elsewhere);
  const newest = own.slice(-recent);
  const like =
    newest.findLast(({ entry }) => !isUnnamed(draft) && isSuch(draft, entry, context)) ??
    newest.findLast(({ entry }) =>
      draft.finding !== undefined
        ? entry.kind === 'finding' && entry.finding === draft.finding
        : entry.kind === (draft.kind ?? (draft.pipes.length > 0 ? 'change' : undefined)),
    );
  const there =
    draft.finding === undefined
      ? undefined
      : own.findLast(({ entry }) => entry.kind === 'finding' && isReadAt(draft, entry));
  return like ?? there ?? own.at(-1) ?? known.at(-1);
}

/** Two readings of one thing are about this close on the counter, ft. */
const alike_ft = 4;

/** "same as the change" with the change far off is questioned, never tied silently. An id ties it regardless. */
function farFromItsLike(
  draft: Draft,
  { sameAs }: Record<string, unknown>,
  reading: number | undefined,
  known: readonly EarlierThing[],
  fail: Fail,
): void {
  const like = known.find(({ id }) => id === sameAs);
  const at = like?.entry.reading_ft;
  if (!like || at === undefined || reading === undefined || draft.sameAs?.byId) return;
  const away = Math.abs(at - reading);
  if (away <= alike_ft || draft.sameAs === undefined) return;
  fail(
    `that one was read at ${at}, ${Math.round(10 * away) / 10} ft from here: is it the same thing?`,
    draft.sameAs.from,
    draft.sameAs.to,
    [
      { label: `The same thing, read at ${at}`, words: `same as ${draft.sameAs.tag}` },
      { label: 'A thing of its own', words: '' },
    ],
  );
}

function readPoint(draft: Draft, reading: number | undefined, { context, known, fail, spoken }: Finishing) {
  const which = draft.point;
  if (!which) return undefined;
  const found = pointOf(draft, which, reading, context, known);
  if ('refused' in found) {
    fail(found.refused);
    return undefined;
  }
  const parsed = pointSchema.safeParse(found.point);
  if (parsed.success || spoken) return found;
  for (const words of faultWords(parsed.error, found.point, knownKind(found.point))) fail(words);
  return undefined;
}

const opensOrCloses = ({ endCall }: Draft, kind: Entry['kind'] | undefined): boolean =>
  endCall !== undefined && kind !== 'locate' && kind !== 'change' && kind !== 'point';

const fresh = (said: Record<string, unknown>, context: LogContext): Record<string, unknown> => {
  const { waterClock: _, ...rest } = said;
  const waterClock = 'waterClock' in said ? said.waterClock : said.clock && context.waterClock;
  return { pass: context.pass, ...rest, ...(waterClock === undefined ? {} : { waterClock }) };
};

/** "because …" gives the reason for a grade override, or for the camera stopping or losing its view. */
function reasonOf(
  draft: Draft,
  kind: Entry['kind'] | undefined,
  fields: Record<string, unknown>,
  base: EntryDraft | undefined,
): Record<string, unknown> {
  if (draft.why === undefined) return {};
  const judged = fields.judged ?? (base?.kind === 'finding' ? base.judged : undefined);
  if (typeof judged === 'object' && (kind ?? base?.kind) === 'finding')
    return { judged: { ...judged, why: draft.why } };
  return { why: draft.why };
}

function closed(start: EntryDraft, said: Record<string, unknown>): Record<string, unknown> {
  const { open: _open, ...rest } = start;
  const { reading_ft, kind: _kind, pass: _pass, open: _opens, ...more } = said;
  return { ...rest, ...more, to_ft: reading_ft };
}

const isInPercent = (kind: FindingKind): boolean => kindOf(kind).grading?.measure === 'percent';

/** Whether a correction makes a finding one that is measured in another unit: its size is no longer known. */
const isMeasuredOtherwise = (old: EntryDraft, { finding }: Record<string, unknown>): boolean =>
  old.kind === 'finding' &&
  finding !== undefined &&
  isInPercent(old.finding) !== isInPercent(finding as FindingKind);

/** New fields laid over the old; fields that do not fit the new kind are dropped. */
function corrected(old: EntryDraft, said: Record<string, unknown>): Record<string, unknown> {
  const gone = [
    ...(said.reading_ft === undefined ? [] : ['after', 'before', 'plus_ft']),
    ...(said.after === undefined ? [] : ['reading_ft', 'to_ft', 'before', 'plus_ft']),
    ...(said.percent !== undefined || said.inches !== undefined || isMeasuredOtherwise(old, said)
      ? ['percent', 'inches', 'size']
      : []),
  ];
  const base = Object.fromEntries(Object.entries(old).filter(([field]) => !gone.includes(field)));
  // Stated outright, it is no longer only possible.
  if (
    said.possible === undefined &&
    (said.finding !== undefined || said.percent !== undefined || said.inches !== undefined)
  )
    delete base.possible;
  const other =
    (said.kind !== undefined && said.kind !== old.kind) ||
    (said.finding !== undefined && old.kind === 'finding' && said.finding !== old.finding);
  const whole = { ...base, ...said };
  if (!other) return whole;
  const trial = entrySchema.safeParse({ id: 'new', ...whole });
  if (trial.success) return whole;
  const left = new Set(
    faultsOf(trial.error, whole)
      .filter(({ path }) => !(path in said))
      .map(({ path }) => path.split(/[.[]/)[0] ?? ''),
  );
  if (said.kind !== undefined && said.kind !== 'finding') left.add('finding');
  return Object.fromEntries(Object.entries(whole).filter(([field]) => !left.has(field)));
}
