import { isInInches, kindOf } from '../findings/kinds.js';
import type { Point } from '../job/schema.js';
import type { FindingKind } from '../job/vocabulary.js';
import { clockText } from '../speech/numbers.js';
import type { EntryDraft } from './context.js';
import { isBend, isCleanout, isDrop, usualBends, type Draft, type UnassignedNumber } from './draft.js';
import type { Fail } from './finish.js';

/** A number this close to the previous reading may be the next reading, ft. */
const nearby_ft = 6;

/** Kinds without a clock position: "at 9" is their reading. */
const withoutClock = ['change', 'locate', 'hidden', 'stop', 'test', 'joint', 'note'];

/** The first number that is not a size is the place; after the thing it still is, where there is no other. */
export function takePlace(
  draft: Draft,
  fields: Record<string, unknown>,
  { inherited, correcting, fail }: { inherited: number | undefined; correcting: boolean; fail: Fail },
): number | undefined {
  const elsewhere = inherited !== undefined || fields.after !== undefined || correcting;
  const given = placeAmong(draft, elsewhere, fields.after !== undefined || correcting);
  // A repeated place is not a measure.
  const again = given?.range ? [given.value, fields.to_ft] : [];
  draft.numbers = draft.numbers.filter(
    (each) => each !== given && !again.includes(each.value) && !(each.placed && each.value === given?.value),
  );
  if (draft.bareRange && given === undefined && !elsewhere) {
    const [one, other] = draft.bareRange;
    delete draft.bareRange;
    fields.to_ft = other;
    return one;
  }
  const { bareHour } = draft;
  const keepsSide = isBend(draft) && bareHour?.side !== undefined;
  const clockless =
    draft.finding === undefined &&
    (draft.pipes.length > 0 ||
      withoutClock.includes(draft.kind ?? '') ||
      (draft.point !== undefined && 'kind' in draft.point && draft.point.kind !== 'tie-in'));
  const isHour =
    bareHour !== undefined &&
    (Array.isArray(fields.clock) || [bareHour.value, bareHour.side].includes(fields.clock as number));
  if (given === undefined && bareHour && !clockless && isHour) {
    // "roots at 10 and a wye at 12": feet or clock positions, where both are close.
    if (inherited === bareHour.value) delete fields.clock;
    else if (inherited !== undefined && !correcting && Math.abs(inherited - bareHour.value) <= nearby_ft) {
      ask(fail, bareHour, [
        [`at ${bareHour.value} ft`, `at ${bareHour.value} ft`],
        [`at ${bareHour.value} o’clock`, `at ${bareHour.value} o'clock`],
      ]);
    }
  }
  if (given === undefined && bareHour && (clockless || !elsewhere) && isHour) {
    if (clockless && !keepsSide) delete fields.clock;
    else if (!Array.isArray(fields.clock)) fields.clock = bareHour.side;
    return bareHour.value;
  }
  return given && placeOrSize(draft, fields, given, fail);
}

/** The place itself; its last part, where that is taken for a size, is no part of it, and asked where it may be. */
function placeOrSize(
  draft: Draft,
  fields: Record<string, unknown>,
  given: UnassignedNumber,
  fail: Fail,
): number {
  const { apart, mixed, value } = given;
  if (!findsInches(draft) || fields.inches !== undefined) return value;
  if (apart && draft.ofWater && apart.inches <= usualSize_in) {
    // "48 ft 2 in of water" is no place.
    fields.inches = apart.inches;
    return apart.feet;
  }
  if (apart && apart.inches > 0 && apart.inches <= smallSize_in && draft.numbers.length === 0)
    ask(fail, given, [
      [`at ${apart.feet} ft ${apart.inches} in`, `at ${value.toFixed(2)}`],
      [`${apart.inches} in, at ${apart.feet} ft`, `${apart.feet}, ${apart.inches} in`],
    ]);
  if (mixed)
    ask(fail, given, [
      [`at ${value} ft`, String(value)],
      [`${mixed.part} in, at ${mixed.whole} ft`, `${mixed.whole}, ${mixed.part} in`],
    ]);
  return value;
}

/** "A drop of about a foot": how far it falls, not where. */
export function settleFall(draft: Draft): void {
  if (!isDrop(draft) || draft.aboutPoint.fall_ft !== undefined || draft.numbers.length > 2) return;
  const fall = draft.numbers.find(({ feet, fromNoun, value }) => feet && fromNoun && value <= mostFall_ft);
  if (!fall) return;
  draft.aboutPoint.fall_ft = fall.value;
  draft.numbers = draft.numbers.filter((each) => each !== fall);
}
/** No drop in a lateral falls farther, ft. */
const mostFall_ft = 12;

/** The number that is the place, where one is. */
function placeAmong(draft: Draft, elsewhere: boolean, tied: boolean): UnassignedNumber | undefined {
  const { numbers, kind, bareHour } = draft;
  // "locate at 3, 6 foot 2": no hour is meant, and the other number is the depth.
  if (kind === 'locate' && bareHour && numbers.length === 1) return undefined;
  return (
    // "six foot two on the locator, at 31"
    (kind === 'locate' ? (numbers.find(({ at }) => at) ?? placeOfLocate(numbers)) : undefined) ??
    numbers.find(({ feet, size }) => feet && !size && !numbers.some((each) => !each.size && !each.feet)) ??
    numbers.find(({ size }) => !size) ??
    (tied ? undefined : numbers.find((each) => isNoMeasure(draft, each))) ??
    (elsewhere || bareHour
      ? undefined
      : numbers.find(
          ({ value, fraction, placed }) =>
            placed ||
            // A stop has no measure.
            kind === 'stop' ||
            (!fraction &&
              (kind === 'change' || Number.isInteger(value) || value > 12 || isNoSize(draft, value))),
        ))
  );
}

/** No lateral lies deeper than a locate reads, ft. */
const mostDepth_ft = 15;

/** "locate 46 5'6": of two numbers, the one that can be no depth. */
function placeOfLocate(numbers: readonly UnassignedNumber[]): UnassignedNumber | undefined {
  const [place, ...others] = numbers.filter(({ value }) => value > mostDepth_ft);
  return numbers.length === 2 && others.length === 0 ? place : undefined;
}

/** "24 roots; main 78": past any hour, and no percentage, degrees or diameter, a number after its thing is a place. */
const isNoMeasure = (draft: Draft, { value, fraction }: UnassignedNumber): boolean => {
  const { kind, finding } = draft;
  if (fraction || value <= 12) return false;
  if (finding !== undefined) return kindOf(finding).grading?.measure !== 'percent';
  return kind !== 'locate' && kind !== 'test' && !isBend(draft);
};

/** Wider than a joint is open or out of line, in. */
const usualSize_in = 4;

/** As much as a joint is usually open or out of line, in: with feet before it, as likely a part of the place. */
const smallSize_in = 2;

/** "collapse 10.5", "gap 9 1/2", "tap 9.5": no hour is said so, and nothing of the kind measures that. */
const isNoSize = (draft: Draft, value: number): boolean =>
  draft.finding === undefined
    ? draft.kind === 'point' && ![...usualBends, ...branchBores_in].includes(value) && !isDrop(draft)
    : !findsInches(draft) || draft.fields.inches !== undefined || value > usualSize_in;

/** Found by looking: measured in inches. */
const findsInches = ({ finding }: Draft): boolean => finding !== undefined && isInInches(kindOf(finding));

/**
 * Numbers after the reading: a depth after “located”, inches where inches are measured, degrees of a bend, else a clock
 * position.
 */
export function placeNumbers(
  draft: Draft,
  fields: Record<string, unknown>,
  base: EntryDraft | undefined,
  fail: Fail,
): void {
  const finding = draft.finding ?? (base?.kind === 'finding' ? base.finding : undefined);
  for (const given of [...draft.numbers]) {
    if (placeNumber(draft, fields, finding, given, fail))
      draft.numbers.splice(draft.numbers.indexOf(given), 1);
  }
  placeRange(draft, fields, finding, fail);
  if (draft.kind === 'point' && finding === undefined) pointFields(draft, fields);
}

/** Assigns one number to its field, or asks what it means; false where it fits nowhere. */
function placeNumber(
  draft: Draft,
  fields: Record<string, unknown>,
  finding: FindingKind | undefined,
  given: UnassignedNumber,
  fail: Fail,
): boolean {
  const { value } = given;
  if (draft.kind === 'locate') {
    if (fields.depth_ft !== undefined) return false;
    fields.depth_ft = value;
    return true;
  }
  if (draft.kind === 'point' && finding === undefined) return placeAtPoint(draft, fields, given, fail);
  // "45 roots at 14": a second place, and no measure of the roots.
  if (finding === undefined || given.feet || (given.placed && value > 12)) return false;
  const { measure } = kindOf(finding).grading ?? { measure: 'always' };
  const hour = Number.isInteger(value) && value > 0 && value <= 12 && fields.clock === undefined;
  const has = { percent: fields.percent !== undefined, inches: fields.inches !== undefined };
  if (measure === 'percent' && !has.percent && !has.inches) {
    if (given.fraction)
      ask(fail, given, [
        [`${Math.round(100 * value)} % of the pipe`, `${Math.round(100 * value)}%`],
        [`at ${clockText(value)} o’clock`, `clock ${clockText(value)}`],
      ]);
    else if (hour)
      ask(fail, given, [
        [`${value} %`, `${value}%`],
        [`at ${value} o’clock`, `at ${value} o'clock`],
      ]);
    else if (value > 12 && value <= 100) fields.percent = value;
    else return false;
    return true;
  }
  if (isInInches(kindOf(finding)) && !has.inches) {
    // "a belly 88 to 94, worst at 90": no lateral is that wide.
    if (value > mostInches_in) return false;
    if (hour && value > 1 && !given.fraction && !kindOf(finding).sags)
      ask(fail, given, [
        [`${value} in`, `${value} in`],
        [`at ${value} o’clock`, `at ${value} o'clock`],
      ]);
    else fields.inches = value;
    return true;
  }
  // "crack 1/4": how wide it is.
  if (given.fraction && fields.inches === undefined) {
    fields.inches = value;
    return true;
  }
  if (fields.clock !== undefined || value <= 0 || value > 12) return false;
  fields.clock = value;
  return true;
}

/** A number without a unit is no measure past this, in. */
const mostInches_in = 12;

/** No main is narrower than a lateral, in. */
const leastMain_in = 3;

/** What branches are made in, in; any other number beside one is an hour. */
const branchBores_in: readonly number[] = [1.25, 1.5, 2, 3, 4, 6, 8];

function placeAtPoint(
  draft: Draft,
  fields: Record<string, unknown>,
  given: UnassignedNumber,
  fail: Fail,
): boolean {
  const { value, feet } = given;
  const kind = draft.point && 'kind' in draft.point ? draft.point.kind : undefined;
  const about = draft.aboutPoint;
  if (feet) {
    if (kind !== 'drop' || about.fall_ft !== undefined) return false;
    about.fall_ft = value;
    return true;
  }
  if (kind === 'bend' && about.degrees === undefined) {
    if (usualBends.includes(value) || (!given.placed && value > 12 && value <= 180)) about.degrees = value;
    else if (given.placed && value > 12) return false;
    else
      ask(fail, given, [
        [`${value} in pipe`, `${value} in`],
        [`turning to ${value} o’clock`, `at ${value} o'clock`],
      ]);
    return true;
  }
  if (kind === 'tie-in' && !branchBores_in.includes(value)) {
    // "tap 9": the hour it comes in at.
    if (fields.clock !== undefined || !Number.isInteger(value) || value < 1 || value > 12) return false;
    fields.clock = value;
    return true;
  }
  // "wye 4 10": its size, then its hour.
  if (kind === 'tie-in' && about.diameter_in !== undefined && fields.clock === undefined) {
    fields.clock = value;
    return true;
  }
  if (kind === 'tie-in' && value === 3 && about.diameter_in === undefined && fields.clock === undefined) {
    ask(fail, given, [
      ['3 in branch', '3 in'],
      ['at 3 o’clock', "at 3 o'clock"],
    ]);
    return true;
  }
  const least_in = kind === undefined || kind === 'main' ? leastMain_in : 1;
  if (about.diameter_in !== undefined || value < least_in || value > 12) return false;
  about.diameter_in = value;
  return true;
}

/** A bare range after a thing whose place is known: percent or clock positions, asked where it may be either. */
function placeRange(
  draft: Draft,
  fields: Record<string, unknown>,
  finding: FindingKind | undefined,
  fail: Fail,
): void {
  if (!draft.bareRange) return;
  const [low, high] = draft.bareRange;
  const percent = finding !== undefined && kindOf(finding).grading?.measure === 'percent';
  if (percent && fields.percent === undefined && fields.clock === undefined && low < high) {
    const { rangeAt } = draft;
    if (rangeAt) {
      ask(fail, rangeAt, [
        [`${low} to ${high} %`, `${low}-${high}%`],
        [`${low} to ${high} o’clock`, `clock ${clockText(low)}-${clockText(high)}`],
      ]);
    }
  } else if (typeof fields.clock !== 'object') fields.clock = [low, high];
}

const ask = (fail: Fail, { from, to }: { from: number; to: number }, answers: [string, string][]): void => {
  fail(
    `which is it: ${answers.map(([label]) => label).join(', or ')}?`,
    from,
    to,
    answers.map(([label, words]) => ({ label, words })),
  );
};

function pointFields(draft: Draft, fields: Record<string, unknown>): void {
  const about = draft.aboutPoint;
  if (about.clock === undefined && fields.clock !== undefined && draft.point && 'kind' in draft.point)
    about.clock = fields.clock as Point['clock'];
  const { inches } = fields;
  if (typeof inches === 'number' && isDrop(draft)) about.fall_ft ??= Math.round((1000 * inches) / 12) / 1000;
  else if (typeof inches === 'number') about.diameter_in = inches;
  if (typeof fields.depth_ft === 'number' && about.riser_ft === undefined && isCleanout(draft)) {
    about.riser_ft = fields.depth_ft;
    delete fields.depth_ft;
  }
  // A point keeps only its place and its own fields.
  delete fields.inches;
  delete fields.percent;
  delete fields.size;
  delete fields.form;
  delete fields.atJoint;
}
