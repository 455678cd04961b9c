import type { Entry, Pipe, Point } from '../job/schema.js';
import { kindOf } from '../findings/kinds.js';
import type { FindingKind, PointKind } from '../job/vocabulary.js';
import type { Meaning, QuotedField } from '../speech/meaning.js';

/** A bare number of the line that has found no field yet. */
export interface Given {
  readonly value: number;
  readonly from: number;
  readonly to: number;
  /** Said after the thing itself, or a bare fraction: prefer size over station. */
  readonly size: boolean;
  /** It was said in feet: never inches, percent or a clock. */
  readonly feet: boolean;
  readonly fraction: boolean;
  /** It stands after "at", or in feet: a place rather than a measure. */
  readonly placed: boolean;
  /** "31 3/4": a place, or a place and inches. */
  readonly mixed?: { readonly whole: string; readonly part: string };
  /** It is the first end of a stretch. */
  readonly range?: true;
}

/** A pipe that was named, and the side of the change it lies on where that was said. */
export interface NamedPipe extends Pipe {
  side?: 'upstream' | 'downstream';
}

/** One thing of a typed line while it is being read, in whatever order its words come. */
export interface Draft {
  kind?: Entry['kind'];
  finding?: FindingKind;
  /** Stopped at the finding just named: an entry of its own at the same reading. */
  stopsHere?: boolean;
  point?: { readonly id: string } | { readonly kind: PointKind };
  aboutPoint: Partial<Point>;
  /** A point that only tells where: "debris at the main". */
  besidePoint?: PointKind;
  fields: Record<string, unknown>;
  /** Fields that give way to any other word. */
  weak: Record<string, unknown>;
  numbers: Given[];
  /** The pipe either side of `>`; a lone one is what goes on from here. */
  pipes: NamedPipe[];
  changing: boolean;
  /** A pipe was named before the word "change": the next one named lies past it. */
  pipeBeforeChange?: boolean;
  /** Where "the other way round" stands. */
  swapped?: { readonly from: number; readonly to: number };
  bothSides?: boolean;
  /** "4 to 6 inch", in the order it was said. */
  twoInches?: readonly [number, number];
  /** Its inches are of water. */
  ofWater?: boolean;
  /** A range said bare after the thing: hours of the clock, or its two ends where no other place is given. */
  bareRange?: readonly [number, number];
  rangeAt?: { readonly from: number; readonly to: number };
  /** Where "same as …" stands, the id it came to as a tag, and whether it was named by that. */
  sameAs?: { readonly from: number; readonly to: number; readonly tag: string; readonly byId: boolean };
  /** "at 9", which is a reading where there is no other. */
  bareHour?: { readonly value: number; readonly from: number; readonly to: number };
  /** So many feet of it, from its reading on. */
  long_ft?: number;
  /** The next number takes the place of the last: "31, no 32". */
  mending?: boolean;
  endCall?: 'start' | 'end';
  /** What drains there. */
  served?: string;
  why?: string;
  expecting?: QuotedField;
  correcting: boolean;
  /** Names what was written last, once more. */
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

export const isDrop = ({ point }: Draft): boolean =>
  point !== undefined && 'kind' in point && point.kind === 'drop';

export const named = (draft: Draft): boolean => draft.finding !== undefined || draft.kind !== undefined;

/** What each kind of word does to the draft; a returned text says why it does not fit. */
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
  clock: (draft, { clock }) => void (draft.fields.clock = clock),
  'of-water': (draft) => void (draft.ofWater = true),
  'both-sides': (draft) => void (draft.bothSides = true),
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
    // "cap missing" gives way to what is known of the cleanout.
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

/** Takes a word's meaning into the draft; says so when it does not fit what was said before. */
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

function takeFinding(draft: Draft, meaning: Extract<Meaning, { is: 'finding' }>): string | undefined {
  if (draft.kind === 'stop' && draft.fields.why === undefined && draft.why === undefined) {
    // "can't get past, it's collapsed": what is wrong with the pipe is a finding, and the camera stopped at it.
    if (kindOf(meaning.finding).grading?.structural !== true) {
      draft.why = meaning.finding.replace('-', ' ');
      return undefined;
    }
    delete draft.kind;
    draft.stopsHere = true;
  }
  if (draft.kind === 'point' && meaning.finding === 'broken') {
    draft.aboutPoint.state = 'broken';
    return undefined;
  }
  if (draft.kind === 'hidden') {
    draft.fields.why ??= meaning.finding.replace('-', ' ');
    return undefined;
  }
  if (draft.finding !== undefined && draft.finding !== meaning.finding) {
    // "standing water behind roots" names one thing and its cause; two things want a word between them.
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

function takePointWord(draft: Draft, { kind, about }: Extract<Meaning, { is: 'point' }>): void {
  if (draft.kind === 'stop') draft.why ??= kind.replace('-', ' ');
  else if (draft.point !== undefined) Object.assign(draft.aboutPoint, about?.connection ? about : {});
  else if (draft.finding !== undefined || draft.kind === 'joint' || draft.kind === 'hidden')
    draft.besidePoint ??= kind;
  else if (draft.kind === undefined) {
    draft.kind = 'point';
    draft.point = { kind };
    draft.aboutPoint = { ...about, ...draft.aboutPoint };
  }
}

function takeKind(draft: Draft, { kind, with: more }: Extract<Meaning, { is: 'kind' }>): void {
  if (kind === 'joint' && draft.finding !== undefined) draft.fields.atJoint ??= true;
  else if (kind === 'stop' && (draft.finding !== undefined || draft.kind === 'point')) draft.stopsHere = true;
  else if (draft.finding === undefined || kind !== 'hidden') {
    draft.kind ??= kind;
    if (draft.kind === kind) Object.assign(draft.fields, more);
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

/** "4 in clay" and "4 clay": what was measured just before a material is its bore. */
function takeMaterial(draft: Draft, material: NonNullable<Pipe['material']>): void {
  const last = draft.pipes.at(-1);
  const pipe = last && (last.material === undefined || draft.mending) ? last : {};
  delete draft.mending;
  pipe.material = material;
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

/** Inches said and not yet spoken for. */
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
