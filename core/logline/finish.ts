import { kindOf } from '../findings/kinds.js';
import { faultsOf } from '../job/faults.js';
import { entrySchema, type Entry, type Point } from '../job/schema.js';
import type { FindingKind } from '../job/vocabulary.js';
import type { EntryDraft, Known, LogContext } from './context.js';
import type { Draft } from './draft.js';
import { pointOf } from './points.js';

/** What a finished draft came to. */
export interface Finished {
  readonly entry: EntryDraft;
  /** The entry it corrects, or the open stretch it closes. */
  readonly replaces?: string;
  /** The point it read, when it is new or more is known of it now. */
  readonly point?: Point;
}

type Fail = (message: string, from?: number, to?: number) => void;

/** Makes an entry of what was read, or says what is missing. */
export function finishDraft(
  draft: Draft,
  inherited: number | undefined,
  context: LogContext,
  known: readonly Known[],
  fail: Fail,
): Finished | undefined {
  const fields: Record<string, unknown> = { ...draft.fields };
  const base = draft.correcting ? known.at(-1) : undefined;
  if (draft.correcting && !base) {
    fail('there is nothing to correct yet');
    return undefined;
  }
  const place = takePlace(draft, fields, inherited, base !== undefined);
  placeNumbers(draft, fields, base?.entry);
  if (draft.pipes.length > 0 && draft.kind === undefined && draft.finding === undefined)
    draft.kind = 'change';
  if (draft.pipes.length > 0 && draft.kind !== 'change')
    fail('a change of pipe is a thing of its own: put it after a ;');
  for (const extra of draft.numbers)
    fail('what does this number mean? Add in, %, ft or “at”', extra.from, extra.to);
  const kind = draft.finding === undefined ? draft.kind : 'finding';
  if (kind === undefined && !base) {
    fail('what is there? Say roots, crack, offset, belly, joint, main, or “abs > clay”');
    return undefined;
  }
  const opened = draft.endCall === 'end' && kind !== 'locate' ? openOne(draft, known) : undefined;
  if (draft.endCall === 'end' && kind !== 'locate' && kind !== 'change' && !opened) {
    fail(`no ${draft.finding ?? 'stretch'} was started: say where it starts first`);
    return undefined;
  }
  const reading = place ?? (fields.after === undefined ? inherited : undefined);
  if (reading === undefined && fields.after === undefined && !base) {
    fail('where? Begin with what the counter reads, such as 41.5');
    return undefined;
  }
  const point = draft.point && kind === 'point' ? pointOf(draft, draft.point, reading, context) : undefined;
  const said: Record<string, unknown> = {
    ...(kind === undefined ? {} : { kind }),
    ...(reading === undefined ? {} : { reading_ft: reading }),
    ...fields,
    ...(draft.finding === undefined ? {} : { finding: draft.finding }),
    ...(kind === 'change' ? changeOf(draft) : {}),
    ...(point ? { point: point.id } : {}),
    ...reasonOf(draft, kind, fields, base?.entry),
  };
  if (draft.endCall === 'start' && kind === 'locate') said.end = 'from';
  else if (draft.endCall === 'end' && kind === 'locate') said.end = 'to';
  else if (draft.endCall === 'start' && (kind === 'finding' || kind === 'hidden')) said.open = true;
  const raw = opened ? closed(opened.entry, said) : base ? corrected(base.entry, said) : fresh(said, context);
  const entry = readEntry(raw, fail);
  if (!entry) return undefined;
  const replaces = (opened ?? base)?.id;
  return {
    entry,
    ...(replaces === undefined ? {} : { replaces }),
    ...(point && (point.isNew || Object.keys(draft.aboutPoint).length > 0) ? { point: point.point } : {}),
  };
}

/** The entry by its schema, or what is wrong with it. */
function readEntry(raw: Record<string, unknown>, fail: Fail): EntryDraft | undefined {
  const parsed = entrySchema.safeParse({ id: 'new', ...raw });
  if (parsed.success) {
    const { id: _, ...entry } = parsed.data;
    return entry;
  }
  for (const { path, message } of faultsOf(parsed.error, raw)) {
    fail(
      message === 'unknown field'
        ? `“${path}” does not go with ${String(raw.finding ?? raw.kind)}`
        : `${path}: ${message}`,
    );
  }
  return undefined;
}

const fresh = (said: Record<string, unknown>, context: LogContext): Record<string, unknown> => {
  const { waterClock: _, ...rest } = said;
  const waterClock = 'waterClock' in said ? said.waterClock : said.clock && context.waterClock;
  return { pass: context.pass, ...rest, ...(waterClock === undefined ? {} : { waterClock }) };
};

/** The first number that is no size is the place; said after the thing it is still the place where there is no other. */
function takePlace(
  draft: Draft,
  fields: Record<string, unknown>,
  inherited: number | undefined,
  correcting: boolean,
): number | undefined {
  const given =
    draft.numbers.find(({ size }) => !size) ??
    (inherited === undefined && fields.after === undefined && !correcting
      ? draft.numbers.find(({ value }) => Number.isInteger(value) || value > 12)
      : undefined);
  draft.numbers = draft.numbers.filter((each) => each !== given);
  if (draft.bareRange) {
    const [one, other] = draft.bareRange;
    if (given === undefined && inherited === undefined && fields.after === undefined && !correcting) {
      fields.to_ft = other;
      return one;
    }
    fields.clock ??= [one, other];
  }
  return given?.value;
}

/** Numbers after the reading: a depth after “located”, inches where inches are measured, else an hour. */
function placeNumbers(draft: Draft, fields: Record<string, unknown>, base: EntryDraft | undefined): void {
  const finding = draft.finding ?? (base?.kind === 'finding' ? base.finding : undefined);
  for (const given of [...draft.numbers]) {
    if (draft.kind === 'locate' && fields.depth_ft === undefined) fields.depth_ft = given.value;
    else if (finding !== undefined && measuresInches(finding) && fields.inches === undefined)
      fields.inches = given.value;
    else if (draft.kind === 'point' && draft.aboutPoint.diameter_in === undefined && given.value >= 1)
      draft.aboutPoint.diameter_in = given.value;
    else if (fields.clock === undefined && given.value > 0 && given.value <= 12 && finding !== undefined)
      fields.clock = given.value;
    else continue;
    draft.numbers.splice(draft.numbers.indexOf(given), 1);
  }
  if (draft.kind === 'point') {
    if (
      draft.aboutPoint.clock === undefined &&
      fields.clock !== undefined &&
      draft.point &&
      'kind' in draft.point
    )
      draft.aboutPoint.clock = fields.clock as Point['clock'];
    const bore = fields.inches;
    if (typeof bore === 'number') draft.aboutPoint.diameter_in = bore;
    delete fields.inches;
  }
}

const measuresInches = (finding: FindingKind): boolean =>
  ['inches', 'of-bore'].includes(kindOf(finding).grading?.measure ?? 'always');

/** One pipe alone is what goes on from here; "clay ends" says what came before. */
function changeOf(draft: Draft): Record<string, unknown> {
  const filled = (pipe: object | undefined) => pipe !== undefined && Object.keys(pipe).length > 0;
  const [first, second] = draft.pipes;
  const [upstream, downstream] =
    draft.changing || draft.endCall === 'end' ? [first, second] : [second, first];
  return { ...(filled(upstream) ? { upstream } : {}), ...(filled(downstream) ? { downstream } : {}) };
}

/** "because …" is why a grade was overruled, or why the camera stopped or saw nothing. */
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

/** The newest stretch of this kind that is still open. */
function openOne(draft: Draft, known: readonly Known[]): Known | undefined {
  return known.findLast(
    ({ entry }) =>
      entry.open === true &&
      (draft.finding !== undefined
        ? entry.kind === 'finding' && entry.finding === draft.finding
        : entry.kind === (draft.kind ?? entry.kind)),
  );
}

function closed(start: EntryDraft, said: Record<string, unknown>): Record<string, unknown> {
  const { open: _open, ...rest } = start;
  const { reading_ft, kind: _kind, pass: _pass, ...more } = said;
  return { ...rest, ...more, to_ft: reading_ft };
}

/** What was said over what stood; fields that do not go with a new kind of thing are left behind. */
function corrected(old: EntryDraft, said: Record<string, unknown>): Record<string, unknown> {
  const gone = [
    ...(said.reading_ft === undefined ? [] : ['after', 'before', 'plus_ft']),
    ...(said.after === undefined ? [] : ['reading_ft', 'to_ft', 'before', 'plus_ft']),
    ...(said.percent === undefined && said.inches === undefined ? [] : ['percent', 'inches', 'size']),
  ];
  const base = Object.fromEntries(Object.entries(old).filter(([field]) => !gone.includes(field)));
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
