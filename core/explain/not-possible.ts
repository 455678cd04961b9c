import { kindOfGraded, sayJudged } from '../condition/graded-finding.js';
import type { Method } from '../job/vocabulary.js';
import { covers, overlaps, type Interval } from '../line/intervals.js';
import { methodName } from '../methods/index.js';
import type { LineSolution } from '../solve/solution.js';
import type { Obligation, Refusal, Track } from '../track/track.js';
import type { Warning } from '../warning.js';
import { refusalOn } from './refusals.js';

/**
 * A place that must be cured and cannot be under the rules: what blocks it, what would lift that, who else could act.
 */
export interface NotPossible extends Interval {
  /** The finding's entry id; null for a whole stretch. */
  readonly finding: string | null;
  readonly what: string;
  readonly rule: string;
  readonly why: string;
  readonly lift: string;
  readonly by: 'others';
}

/** Every place the chosen scope leaves uncured because no method may cure it, from upstream. */
export function notPossibleOn({ line, prepared, chosen }: LineSolution): NotPossible[] {
  if (!chosen || chosen.uncured_ft <= 0) return [];
  const { track } = prepared.possible;
  const { cured, impossible } = track.obligations;
  const cellsWhere = (isLeft: (i: number) => boolean) => track.cells.filter((_, i) => isLeft(i));
  const unmet = cellsWhere((i) => chosen.plan.uncured[i] === 1);
  const uncured = cellsWhere((i) => chosen.layout.cells[i]?.uncured === true);
  const places = [
    ...impossible.flatMap((duty) => placeAmong(uncured, duty)),
    ...cured.flatMap((duty) => placeAmong(unmet, duty)),
  ].sort((a, b) => a.at.from_ft - b.at.from_ft);
  // A stretch of several findings is named only for what is not named for one of them.
  return places
    .filter(
      ({ duty, at }, i) =>
        duty.finding !== undefined ||
        !places.some((other, k) => (k < i || other.duty.finding !== undefined) && covers([other.at], at)),
    )
    .map(({ duty, at }) => {
      const refusals = duty.methods.flatMap((method): [Method, Refusal][] => {
        const refusal = refusalOn(track, method, at, line.restrictions) ?? besideIt(track, method, at);
        // A missing belly blocks nothing: relaying to grade simply does not apply.
        return refusal.rule === 'no-sag' ? [] : [[method, refusal]];
      });
      return { ...at, ...notPossibleAt(duty, track, refusals), by: 'others' as const };
    });
}

/** An obligation with the part of its place that lies among some cells. */
function placeAmong(cells: readonly Interval[], duty: Obligation): { duty: Obligation; at: Interval }[] {
  const own = cells.filter((cell) => overlaps(cell, duty.place));
  const [first, last] = [own[0], own.at(-1)];
  if (!first || !last) return [];
  const from_ft = Math.max(duty.place.from_ft, first.from_ft);
  return [{ duty, at: { from_ft, to_ft: Math.min(duty.place.to_ft, last.to_ft) } }];
}

function notPossibleAt(
  { finding, why }: Obligation,
  { condition }: Track,
  all: readonly (readonly [Method, Refusal])[],
): Pick<NotPossible, 'finding' | 'what' | 'rule' | 'why' | 'lift'> {
  // What lies next to a place counts only where nothing at the place itself blocks the method.
  const own = all.filter(([, { rule }]) => rule !== 'no-room');
  const refusals = own.length > 0 ? own : all;
  const only = condition.findings.find(({ id }) => id === finding);
  const { byOthers } = only ? kindOfGraded(only) : {};
  return {
    finding: only?.id ?? null,
    what: only ? sayJudged(only) : why,
    ...(byOthers ? { rule: 'by-others', why: byOthers.why, lift: byOthers.lift } : refusedBy(refusals)),
  };
}

/** What blocks each method that would cure it, and what would lift all of it. */
function refusedBy(
  refusals: readonly (readonly [Method, Refusal])[],
): Pick<NotPossible, 'rule' | 'why' | 'lift'> {
  const [first] = refusals;
  const reasons = new Map<string, string[]>();
  for (const [method, refusal] of refusals) {
    reasons.set(refusal.why, [...(reasons.get(refusal.why) ?? []), methodName(method).toLowerCase()]);
  }
  return {
    rule: first?.[1].rule ?? 'no-method',
    why: [...reasons].map(([reason, methods]) => `${methods.join(', ')}: ${reason}`).join('; '),
    // Digging is no remedy where something refuses a dig.
    lift: [...new Set(refusals.map(([, { lift }]) => lift).filter((lift) => !/^dig this/.test(lift)))].join(
      ', or ',
    ),
  };
}

/** Where the place itself refuses nothing, the ground or pipe next to it does. */
function besideIt(track: Track, method: Method, at: Interval): Refusal {
  const near = track.cells.filter(
    ({ from_ft, to_ft }) => from_ft < at.to_ft + beside_ft && to_ft > at.from_ft - beside_ft,
  );
  const closed = near.find(({ closedTo }) => closedTo === 'no-dig' || closedTo === 'building');
  const where = `${(closed?.from_ft ?? at.from_ft).toFixed(1)} ft`;
  if (closed) {
    return {
      rule: closed.closedTo === 'building' ? 'under-building' : 'no-dig',
      why: `no room beside it: ${closed.closedTo === 'building' ? 'the building' : 'ground where nobody may dig'} at ${where}`,
      lift: closed.closedTo === 'building' ? 'open the floor' : 'lift the no-dig stretch',
    };
  }
  return {
    rule: 'no-room',
    why: `what lies beside it leaves no room for ${methodName(method).toLowerCase()}`,
    lift: 'shorter least lengths in the house rules, or an insertion point nearer by',
  };
}

/** How far either side of a place its space is checked, ft: a launch pit and a sound end. */
const beside_ft = 6;

/** The same as warnings. */
export const notPossibleWarnings = (lineSolution: LineSolution): Warning[] =>
  notPossibleOn(lineSolution).map(({ from_ft, what, why, lift }) => ({
    rule: 'not-possible',
    line: lineSolution.line.model.line.id,
    at_ft: from_ft,
    message: `${what}. It cannot be cured under these rules (${why}): by others, or lift it: ${lift}`,
  }));
