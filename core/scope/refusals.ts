import { methods, type Method } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { burstCellRefusal, burstPointRefusal } from '../methods/burst.js';
import { digCellRefusal, underBuilding } from '../methods/dig.js';
import { boreRefusal, linerCellRefusal, linerPointRefusal } from '../methods/line.js';
import type { Refusal } from '../methods/refusal.js';
import { toGrade } from './edges.js';
import type { Restriction } from './search.js';
import { methodBit } from './edges.js';
import type { Cell, Track } from './track.js';

/** Why a method was not taken on a stretch, other than by what it costs; undefined where the rules allow it. */
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
  return methodRefusal(track, method, stretch, cells) ?? dutyRefusal(track, method, stretch, cells);
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
      lift: 'another school, or an overruled grade',
    };
  }
  if (method === 'leave' && cells.some(({ mustClean }) => mustClean)) {
    return {
      rule: 'must-be-cleaned',
      why: 'roots or deposit here are at least cleaned',
      lift: 'clean it and look again',
    };
  }
  return undefined;
}

function methodRefusal(
  track: Track,
  method: Method,
  stretch: Interval,
  cells: readonly Cell[],
): Refusal | undefined {
  const { model, rules } = track;
  const inside = model.points.filter(
    ({ at }) => at.station_ft > stretch.from_ft && at.station_ft < stretch.to_ft,
  );
  const first = <T, R>(all: readonly T[], judge: (each: T) => R | undefined): R | undefined => {
    for (const each of all) {
      const found = judge(each);
      if (found !== undefined) return found;
    }
    return undefined;
  };
  switch (method) {
    case 'leave':
    case 'clean':
      return undefined;
    case 'spot':
    case 'open-cut':
      return first(cells, digCellRefusal) ?? buildingRefusal(cells, stretch, rules.handDugReach_ft);
    case 'regrade':
      return first(cells, digCellRefusal) ?? regradeRefusal(track, stretch);
    case 'line':
    case 'short-line':
      return (
        first(cells, linerCellRefusal) ??
        first(inside, linerPointRefusal) ??
        boreChangeRefusal(track, stretch)
      );
    case 'burst':
      return first(cells, (cell) => burstCellRefusal(cell, model, rules)) ?? first(inside, burstPointRefusal);
  }
}

/** A bore that changes on the stretch, or inside a place that reaches into it and that one action must cover. */
function boreChangeRefusal(track: Track, stretch: Interval): Refusal | undefined {
  const whole = track.obligations.cured.map(({ place }) => place).filter((place) => overlaps(place, stretch));
  for (const [i, cell] of track.cells.entries()) {
    const before = track.cells[i - 1];
    const at = cell.from_ft;
    const spanned = [stretch, ...whole].some(
      ({ from_ft, to_ft }) => from_ft < at - 1e-6 && at < to_ft - 1e-6,
    );
    const refusal = before && spanned ? boreRefusal(before, cell, track.rules) : undefined;
    if (refusal) return refusal;
  }
  return undefined;
}

function buildingRefusal(cells: readonly Cell[], stretch: Interval, reach_ft: number): Refusal | undefined {
  const under = cells.filter(({ closedTo }) => closedTo === 'building');
  const length = under.reduce((sum, cell) => sum + cell.to_ft - cell.from_ft, 0);
  return length > 2 * reach_ft || (under.length > 0 && length >= stretch.to_ft - stretch.from_ft - 1e-6)
    ? underBuilding
    : undefined;
}

function regradeRefusal(track: Track, stretch: Interval): Refusal | undefined {
  const bellies = track.condition.findings.filter(
    ({ placed, place }) => placed.entry.finding === 'belly' && overlaps(place, stretch),
  );
  if (bellies.length === 0)
    return { rule: 'no-sag', why: 'there is no sag here to take out', lift: 'a sag found here' };
  if (!track.model.profile.graded) {
    return {
      rule: 'fall-unknown',
      why: 'fewer than two depths were located, so the fall is not known',
      lift: 'locate the depth at both ends',
    };
  }
  return toGrade(track, stretch.from_ft, stretch.to_ft, bellies)
    ? undefined
    : {
        rule: 'not-enough-fall',
        why: 'between these ends the pipe would lie flatter than the least slope',
        lift: 'a longer stretch, or a lower end',
      };
}

export interface Rejection {
  readonly method: Method;
  readonly rule: string;
  readonly why: string;
  /** What would lift a refusal; null where the rules allow the method. */
  readonly lift: string | null;
}

/** Every method not taken on a stretch: the rule that refuses it, or that it costs more, or is not needed. */
export function rejectionsOn(
  track: Track,
  taken: Method,
  stretch: Interval,
  restrictions: readonly Restriction[],
): Rejection[] {
  const nothingToDo = taken === 'leave';
  return methods
    .filter((method) => method !== taken)
    .map((method) => {
      const refusal = refusalOn(track, method, stretch, restrictions);
      if (refusal) return { method, ...refusal };
      return nothingToDo
        ? { method, rule: 'not-needed', why: 'nothing here must be put right', lift: null }
        : { method, rule: 'costs-more', why: 'allowed here, but the whole would cost more', lift: null };
    });
}
