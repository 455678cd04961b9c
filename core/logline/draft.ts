import type { Entry, Pipe, Point } from '../job/schema.js';
import { kindOf } from '../findings/kinds.js';
import type { FindingKind, PointKind } from '../job/vocabulary.js';
import type { Meaning, QuotedField } from '../speech/meaning.js';
import { hoursApart } from '../units.js';

/** A number of the line not yet assigned to a field. */
export interface UnassignedNumber {
  readonly value: number;
  readonly from: number;
  readonly to: number;
  /** It followed the thing, or is a bare fraction: more likely a size than a station. */
  readonly size: boolean;
  /** Its unit was feet: never inches, percent or a clock position. */
  readonly feet: boolean;
  readonly fraction: boolean;
  /** It follows "at" or is in feet: a place rather than a measure. */
  readonly placed: boolean;
  /** It follows the thing it may measure. */
  readonly fromNoun?: true;
  /** It follows "at", without a unit. */
  readonly at?: true;
  /** "31 3/4": a place, or a place and inches. */
  readonly mixed?: { readonly whole: string; readonly part: string };
  /** "48 ft 1/2 in": a place, or a place and a size. */
  readonly apart?: { readonly feet: number; readonly inches: number };
  /** The first end of a stretch. */
  readonly range?: true;
}

/** A named pipe, and its side of the change where one was given. */
export interface NamedPipe extends Pipe {
  side?: 'upstream' | 'downstream';
}

/** One thing of a typed line while it is being read; its words may come in any order. */
export interface Draft {
  kind?: Entry['kind'];
  finding?: FindingKind;
  /** The camera stopped at the finding just named: a separate entry at the same reading. */
  stopsHere?: boolean;
  /** What was named as the reason for stopping: a finding where it turns out to have a size. */
  inTheWay?: Extract<Meaning, { is: 'finding' }>;
  point?: { readonly id: string; readonly of?: PointKind } | { readonly kind: PointKind };
  aboutPoint: Partial<Point>;
  /** Where its finding lies, named after it: "a broken wye", "roots in the tap". */
  foundIn?: { readonly kind: PointKind; readonly about: Partial<Point> };
  /** Where in the text its finding was named. */
  findingTo?: number;
  /** A point used only to give the place: "debris at the main". */
  besidePoint?: PointKind;
  /** A finding used only to give the place of a locate: "locate the offset". */
  besideFinding?: FindingKind;
  fields: Record<string, unknown>;
  /** Fields that yield to any other word. */
  weak: Record<string, unknown>;
  numbers: UnassignedNumber[];
  /** The pipes either side of `>`; a single one is what follows. */
  pipes: NamedPipe[];
  /** Length of its pieces, said before the pipe was named, ft. */
  piece_ft?: number;
  changing: boolean;
  /** A pipe was named before the word "change", so the next one named lies past it. */
  pipeBeforeChange?: boolean;
  /** Place of "the other way round". */
  swapped?: { readonly from: number; readonly to: number };
  /** Two hours, one thing at each: "11 and 1 o'clock", "on both sides". */
  clocks?: readonly [number, number];
  /** "4 to 6 inch", in the order given. */
  twoInches?: readonly [number, number];
  /** Its inches are a water depth. */
  ofWater?: boolean;
  /** A bare range after the thing: clock positions, or its two ends where no other place is given. */
  bareRange?: readonly [number, number];
  rangeAt?: { readonly from: number; readonly to: number };
  /** Place of "same as …", the id it resolved to, and whether that was given explicitly. */
  sameAs?: { readonly from: number; readonly to: number; readonly tag: string; readonly byId: boolean };
  /** "at 9", which is a reading where there is no other. */
  bareHour?: { readonly value: number; readonly from: number; readonly to: number; side?: number };
  /** The pipe was called blocked: what stopped the camera, where nothing else is named. */
  blocked?: boolean;
  /** Its finding was only implied, by soil or a void: one that is named replaces it. */
  implied?: boolean;
  /** "roots in the crack": another finding, at the same place where it was not written yet. */
  within?: { readonly finding: FindingKind; readonly with: Record<string, unknown> };
  /** Length in feet, from its reading on. */
  long_ft?: number;
  /** The next number replaces the last: "31, no 32". */
  mending?: boolean;
  /** The number that was replaced so. */
  mended_ft?: number | undefined;
  endCall?: 'start' | 'end';
  /** What drains there. */
  served?: string;
  why?: string;
  expecting?: QuotedField;
  correcting: boolean;
  /** Said to be written already: at its place, "the roots at 46 are 30 %", close to it, "those roots are at 42", or as another thing, "the roots at 46 are grease". */
  ofWritten?: 'there' | 'near' | 'other';
  /** One place of several for the same thing: "cracks at 12 and 18". */
  listed?: boolean;
  /** Refers again to what was written last. */
  onceMore?: boolean;
}

export const newDraft = (): Draft => ({
  fields: {},
  weak: {},
  aboutPoint: {},
  numbers: [],
  pipes: [],
  changing: false,
  correcting: false,
});

/** Whether a draft names a point of this kind. */
export const isOfKind =
  (kind: PointKind) =>
  ({ point }: Draft): boolean =>
    point !== undefined && 'kind' in point && point.kind === kind;
/** The kind of a point, also where it was called by its name. */
export const kindOfPoint = ({ point }: Pick<Draft, 'point'>): PointKind | undefined =>
  point && 'kind' in point ? point.kind : point?.of;
export const isBend = isOfKind('bend');
export const isDrop = isOfKind('drop');
export const isCleanout = isOfKind('cleanout');

/** Degrees that fittings are made in; 30 and 60 from offsets laid by hand. */
export const usualBends: readonly number[] = [11, 11.25, 22, 22.5, 30, 45, 60, 72, 88, 90];

/** "at 3 wye left", "at 3 at 2 o'clock": no hour, where another one says more or the side has none such. */
export function hourIsPlace(draft: Draft, side?: number): void {
  const { bareHour, numbers } = draft;
  if (!bareHour || numbers.some(({ size }) => !size)) return;
  if (side !== undefined) bareHour.side = side;
  if (side !== undefined && hoursApart(bareHour.value, side) <= sameSide_hours) return;
  const { value, from, to } = bareHour;
  numbers.push({ value, from, to, size: false, feet: false, fraction: false, placed: true, at: true });
  delete draft.bareHour;
}

/** "wye left at 3": the same with the side said first; false where it may be an hour. */
export function isPlaceBesideSide(draft: Draft, hour: number): boolean {
  const { clock } = draft.fields;
  return (
    draft.numbers.every(({ size, value }) => size || (isBend(draft) && usualBends.includes(value))) &&
    (Array.isArray(clock) || (typeof clock === 'number' && hoursApart(hour, clock) > sameSide_hours))
  );
}

/** A position this far from a side's own is still on that side, hours. */
const sameSide_hours = 2;

export const named = (draft: Draft): boolean => draft.finding !== undefined || draft.kind !== undefined;

/** How each kind of word changes the draft; a returned text says why it does not fit. */
const takes: {
  readonly [Is in Meaning['is']]: (
    draft: Draft,
    meaning: Extract<Meaning, { is: Is }>,
    at: { from: number; to: number },
  ) => string | undefined;
} = {
  finding: takeFinding,
  field: takeField,
  size: (draft, { size, weak }) => void ((weak ? draft.weak : draft.fields).size = size),
  // "9-3 over the top": the range says more.
  clock: (draft, { clock }) => {
    if (typeof clock === 'number') hourIsPlace(draft, clock);
    if (!Array.isArray(draft.fields.clock)) draft.fields.clock = clock;
    return undefined;
  },
  'of-water': (draft) => void (draft.ofWater = true),
  'both-sides': (draft) => {
    takeClocks(draft, [9, 3]);
    return undefined;
  },
  material: (draft, { material }) => {
    takeMaterial(draft, material);
    return undefined;
  },
  lined: (draft) => {
    takeLined(draft);
    return undefined;
  },
  side: (draft, { side }) => {
    const pipe = draft.pipes.at(-1);
    if (pipe) pipe.side = side;
    return undefined;
  },
  swapped: (draft, _, at) => void (draft.swapped = at),
  test: (draft, { what }) => {
    draft.kind = 'test';
    draft.fields.what ??= what;
    return undefined;
  },
  point: (draft, meaning) => {
    takePointWord(draft, meaning);
    return undefined;
  },
  'about-point': (draft, { set }) => {
    // "cap missing" yields to what is known about the cleanout.
    draft.aboutPoint =
      'note' in set && draft.kind === undefined
        ? { ...set, ...draft.aboutPoint }
        : { ...draft.aboutPoint, ...set };
    return undefined;
  },
  served: (draft, { what }) => void (draft.served ??= what),
  'end-call': (draft, { end }) => void (draft.endCall = end),
  quoted: (draft, { field }) => {
    if (field === 'what') draft.kind = 'test';
    draft.expecting = field;
    return undefined;
  },
  kind: (draft, meaning) => {
    takeKind(draft, meaning);
    return undefined;
  },
  'hidden-why': (draft, { why }) => {
    if (draft.finding === undefined) draft.kind ??= 'hidden';
    if (draft.kind === 'hidden' || draft.kind === 'stop') draft.fields.why = why;
    return undefined;
  },
  retract: () => undefined,
  nothing: () => undefined,
};

/** Applies a word's meaning to the draft; returns why where it contradicts what was said before. */
export function applyMeaning(
  draft: Draft,
  meaning: Meaning,
  at: { from: number; to: number },
): string | undefined {
  const take = takes[meaning.is] as (draft: Draft, meaning: Meaning, at: object) => string | undefined;
  return take(draft, meaning, at);
}

function takeField(draft: Draft, { set }: Extract<Meaning, { is: 'field' }>): undefined {
  if (set.runsAway === false && draft.point && 'kind' in draft.point && draft.point.kind === 'main') {
    delete draft.kind;
    delete draft.point;
    draft.finding = 'main-backed-up';
  } else if (set.form !== 'along' || draft.fields.form === undefined) Object.assign(draft.fields, set);
  return undefined;
}

/** A broken cleanout is its state; a broken branch is a finding at it. */
function takeFinding(draft: Draft, meaning: Extract<Meaning, { is: 'finding' }>): string | undefined {
  if (meaning.implied && named(draft)) {
    if (draft.finding === meaning.finding) Object.assign(draft.fields, meaning.with);
    return undefined;
  }
  if (draft.implied) {
    delete draft.finding;
    delete draft.implied;
  }
  if (meaning.implied) draft.implied = true;
  if (draft.kind === 'stop' && draft.fields.why === undefined && draft.why === undefined) {
    // "can't get past, it's collapsed": the defect is a finding, and the camera stopped at it.
    // So is one with a size of its own: "stopped by heavy roots".
    const sized = draft.fields.size !== undefined || draft.fields.percent !== undefined;
    if (!sized && kindOf(meaning.finding).grading?.structural !== true) {
      draft.why = meaning.finding.replace('-', ' ');
      draft.inTheWay = meaning;
      return undefined;
    }
    delete draft.kind;
    draft.stopsHere = true;
  }
  if (draft.kind === 'locate') {
    draft.besideFinding ??= meaning.finding;
    return undefined;
  }
  if (draft.kind === 'point' && meaning.finding === 'broken' && kindOfPoint(draft) === 'cleanout') {
    draft.aboutPoint.state = 'broken';
    return undefined;
  }
  if (draft.kind === 'hidden') {
    draft.fields.why ??= meaning.finding.replace('-', ' ');
    return undefined;
  }
  if (draft.finding !== undefined && draft.finding !== meaning.finding) {
    // "standing water behind roots" is one finding and its cause; two findings need a word between them.
    return 'a second finding: put it after a ;';
  }
  // "the joint is cracked"
  if (draft.kind === 'joint') {
    delete draft.kind;
    draft.fields.atJoint ??= true;
  }
  draft.finding = meaning.finding;
  Object.assign(draft.fields, meaning.with);
  Object.assign(draft.weak, meaning.weak);
  return undefined;
}

/** "could not pass, grease 60 %": what has a size is found, and the camera stopped at it. */
export function findWhatStopped(draft: Draft, fields: Record<string, unknown>): void {
  const { inTheWay } = draft;
  const sized = fields.percent !== undefined || fields.inches !== undefined;
  if (draft.kind !== 'stop' || !inTheWay || !sized) return;
  delete draft.kind;
  delete draft.why;
  draft.finding = inTheWay.finding;
  Object.assign(fields, inTheWay.with);
  draft.stopsHere = true;
}

function takePointWord(draft: Draft, { kind, about }: Extract<Meaning, { is: 'point' }>): void {
  if (draft.kind === 'stop') draft.why ??= kind.replace('-', ' ');
  else if (draft.point !== undefined) Object.assign(draft.aboutPoint, about?.connection ? about : {});
  else if (draft.finding !== undefined || ['joint', 'hidden', 'locate'].includes(draft.kind ?? ''))
    draft.besidePoint ??= kind;
  else if (draft.kind === undefined) {
    draft.kind = 'point';
    draft.point = { kind };
    draft.aboutPoint = { ...about, ...draft.aboutPoint };
  }
}

function takeKind(draft: Draft, { kind, with: more, weak }: Extract<Meaning, { is: 'kind' }>): void {
  if (kind === 'joint' && draft.finding !== undefined) draft.fields.atJoint ??= true;
  else if (kind === 'stop' && (draft.finding !== undefined || ['point', 'hidden'].includes(draft.kind ?? '')))
    draft.stopsHere = true;
  else if (draft.finding === undefined || kind !== 'hidden') {
    draft.kind ??= kind;
    if (draft.kind === kind) {
      Object.assign(draft.fields, more);
      Object.assign(draft.weak, weak);
    }
  }
  if (draft.kind !== 'change') return;
  if (draft.pipes.length === 0) draft.pipes.push({});
  else draft.pipeBeforeChange = true;
}

function takeLined(draft: Draft): void {
  const pipe = draft.pipes.at(-1) ?? {};
  if (draft.pipes.length === 0) draft.pipes.push(pipe);
  pipe.lined = true;
}

/** "4 in clay" and "4 clay": a number just before a material is its bore. */
function takeMaterial(draft: Draft, material: NonNullable<Pipe['material']>): void {
  const last = draft.pipes.at(-1);
  const pipe = last && (last.material === undefined || draft.mending) ? last : {};
  delete draft.mending;
  pipe.material = material;
  if (draft.piece_ft !== undefined) pipe.piece_ft ??= draft.piece_ft;
  delete draft.piece_ft;
  // "it ties into the old clay": the pipe changes there.
  if (draft.point && 'kind' in draft.point && draft.point.kind === 'tie-in' && !draft.aboutPoint.connection) {
    delete draft.point;
    draft.kind = 'change';
  }
  if (pipe !== last) {
    if (draft.pipeBeforeChange && draft.pipes.length === 1) draft.changing = true;
    draft.pipes.push(pipe);
  }
  if (draft.finding !== undefined || pipe.diameter_in !== undefined) return;
  const bore = takeInches(draft) ?? takeSpareNumber(draft);
  if (bore !== undefined) pipe.diameter_in = bore;
}

/** One thing at each of two hours; the first represents both until they are split. */
export function takeClocks(draft: Draft, clocks: readonly [number, number]): void {
  draft.clocks = clocks;
  [draft.fields.clock] = clocks;
}

/** Inches not yet assigned. */
export function takeInches(draft: Draft): number | undefined {
  const { inches } = draft.fields;
  if (typeof inches !== 'number') return undefined;
  delete draft.fields.inches;
  return inches;
}

function takeSpareNumber(draft: Draft): number | undefined {
  const last = draft.numbers.at(-1);
  if (!last || draft.numbers.length < 2 || last.value < 1 || last.value > 60 || last.feet) return undefined;
  draft.numbers.pop();
  return last.value;
}
