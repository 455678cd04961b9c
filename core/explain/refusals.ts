import { isLeftToItsOwner, kindOfGraded, sayJudged } from '../condition/graded-finding.js';
import type { Method } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { isCleanedOut } from '../methods/clean.js';
import { methodBit, methodRow, methodsInOrder } from '../methods/index.js';
import type { Restriction } from '../solve/restrictions.js';
import type { Cell, Refusal, Track } from '../track/track.js';

/** Why a method cannot be used on a stretch, cost aside; undefined where the rules allow it. */
export function refusalOn(
  track: Track,
  method: Method,
  stretch: Interval,
  restrictions: readonly Restriction[],
): Refusal | undefined {
  const cells = track.cells.filter((cell) => overlaps(cell, stretch));
  const pinned = restrictions.find((pin) => overlaps(pin, stretch) && !(pin.allowed & methodBit(method)));
  if (pinned) {
    return {
      rule: 'pinned',
      why: `${pinned.says ?? `a pin from ${pinned.from_ft.toFixed(1)} to ${pinned.to_ft.toFixed(1)} ft`} rules it out`,
      lift: 'lift the pin',
    };
  }
  return methodRow(method).work?.refusal(track, stretch, cells) ?? dutyRefusal(track, method, stretch, cells);
}

function dutyRefusal(
  track: Track,
  method: Method,
  stretch: Interval,
  cells: readonly Cell[],
): Refusal | undefined {
  const duty = track.obligations.cured.find(
    ({ place, methods: satisfied }) => overlaps(place, stretch) && !satisfied.includes(method),
  );
  if (duty) {
    return {
      rule: method === 'leave' || method === 'clean' ? 'must-be-cured' : 'does-not-cure',
      why: duty.why,
      lift: duty.lift ?? 'another repair approach, or an overruled grade',
    };
  }
  const owners = track.condition.findings.find(isLeftToItsOwner);
  if (method === 'clean' && owners && cells.some(({ findings }) => findings.some(isCleanedOut))) {
    return {
      rule: 'by-others',
      why: `${sayJudged(owners)}: no tool enters this line until its owner has seen it`,
      lift: kindOfGraded(owners).byOthers?.lift ?? '',
    };
  }
  if (method === 'leave' && cells.some(({ mustClean }) => mustClean)) {
    return {
      rule: 'must-be-cleaned',
      why: 'roots or deposit here are at least cleaned',
      lift: 'clean it and re-inspect',
    };
  }
  return undefined;
}

export interface Rejection {
  readonly method: Method;
  readonly rule: string;
  readonly why: string;
  /** What would lift a refusal; null where the rules allow the method. */
  readonly lift: string | null;
}

/** Every method not used on a stretch: refused by a rule, more expensive, or not needed. */
export function rejectionsOn(
  track: Track,
  taken: Method,
  stretch: Interval,
  restrictions: readonly Restriction[],
): Rejection[] {
  const nothingToDo = taken === 'leave';
  const never = track.obligations.impossible.find(({ place }) => overlaps(place, stretch));
  return methodsInOrder()
    .filter((method) => method !== taken)
    .map((method) => {
      const refusal = refusalOn(track, method, stretch, restrictions);
      if (refusal) return { method, ...refusal };
      if (nothingToDo && never) return { method, rule: 'does-not-cure', why: never.why, lift: null };
      return nothingToDo
        ? { method, rule: 'not-needed', why: 'nothing here needs repair', lift: null }
        : { method, rule: 'costs-more', why: 'allowed here, but the whole would cost more', lift: null };
    });
}
