import type { Entry, Pipe, Point } from '../job/schema.js';
import type { FindingKind, PointKind } from '../job/vocabulary.js';
import type { Meaning, QuotedField } from './words.js';

/** A bare number of the line that has found no field yet. */
export interface Given {
  readonly value: number;
  readonly from: number;
  readonly to: number;
  /** Said after the thing itself, or a bare fraction: prefer size over station. */
  readonly size: boolean;
}

/** One thing of a typed line while it is being read, in whatever order its words come. */
export interface Draft {
  kind?: Entry['kind'];
  finding?: FindingKind;
  /** Stopped at the finding just named: an entry of its own at the same reading. */
  stopsHere?: boolean;
  point?: { readonly id: string } | { readonly kind: PointKind };
  aboutPoint: Partial<Point>;
  fields: Record<string, unknown>;
  numbers: Given[];
  /** The pipe either side of `>`; a lone one is what goes on from here. */
  pipes: Pipe[];
  changing: boolean;
  /** A range said bare after the thing: hours of the clock, or its two ends where no other place is given. */
  bareRange?: readonly [number, number];
  /** The next number takes the place of the last: "31, no 32". */
  mending?: boolean;
  endCall?: 'start' | 'end';
  why?: string;
  expecting?: QuotedField;
  correcting: boolean;
}

export const newDraft = (): Draft => ({
  fields: {},
  aboutPoint: {},
  numbers: [],
  pipes: [],
  changing: false,
  correcting: false,
});

export const named = (draft: Draft): boolean => draft.finding !== undefined || draft.kind !== undefined;

/** Takes a word's meaning into the draft; says so when it does not fit what was said before. */
export function applyMeaning(draft: Draft, meaning: Meaning): string | undefined {
  switch (meaning.is) {
    case 'finding':
      if (draft.kind === 'stop' && draft.fields.why === undefined && draft.why === undefined) {
        draft.why = meaning.finding.replace('-', ' ');
        return undefined;
      }
      if (draft.finding !== undefined && draft.finding !== meaning.finding)
        return 'a second finding: put it after a ;';
      draft.finding = meaning.finding;
      Object.assign(draft.fields, meaning.with);
      return undefined;
    case 'field':
      Object.assign(draft.fields, meaning.set);
      return undefined;
    case 'size':
      draft.fields.size = meaning.size;
      return undefined;
    case 'clock':
      draft.fields.clock = meaning.clock;
      return undefined;
    case 'material':
      takeMaterial(draft, meaning.material);
      return undefined;
    case 'lined':
      takeLined(draft);
      return undefined;
    case 'test':
      draft.kind = 'test';
      draft.fields.what ??= meaning.what;
      return undefined;
    case 'point':
      if (draft.kind === 'stop') draft.why ??= meaning.kind.replace('-', ' ');
      else if (draft.point === undefined && draft.finding === undefined) {
        draft.kind = 'point';
        draft.point = { kind: meaning.kind };
      }
      return undefined;
    case 'about-point':
      Object.assign(draft.aboutPoint, meaning.set);
      return undefined;
    case 'end-call':
      draft.endCall = meaning.end;
      return undefined;
    case 'quoted':
      if (meaning.field === 'what') draft.kind = 'test';
      draft.expecting = meaning.field;
      return undefined;
    case 'kind':
      if (meaning.kind === 'stop' && (draft.finding !== undefined || draft.kind === 'point'))
        draft.stopsHere = true;
      else draft.kind ??= meaning.kind;
      if (draft.kind === 'change' && draft.pipes.length === 0) draft.pipes.push({});
      return undefined;
    case 'nothing':
      return undefined;
  }
}

function takeLined(draft: Draft): void {
  const pipe = draft.pipes.at(-1) ?? {};
  if (draft.pipes.length === 0) draft.pipes.push(pipe);
  pipe.lined = true;
}

/** "4 in clay" and "4 clay": what was measured just before a material is its bore. */
function takeMaterial(draft: Draft, material: NonNullable<Pipe['material']>): void {
  const last = draft.pipes.at(-1);
  const pipe = last && last.material === undefined ? last : {};
  pipe.material = material;
  if (pipe !== last) draft.pipes.push(pipe);
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
  if (!last || draft.numbers.length < 2 || last.value < 1 || last.value > 60) return undefined;
  draft.numbers.pop();
  return last.value;
}
