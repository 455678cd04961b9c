import { tolerance } from '../units.js';
/** A stretch of the line, upstream end first, ft. */
export interface Interval {
  readonly from_ft: number;
  readonly to_ft: number;
}

/** Overlap of two stretches, ft; 0 where they only touch. */
export function overlap(a: Interval, b: Interval): number {
  return Math.max(0, Math.min(a.to_ft, b.to_ft) - Math.max(a.from_ft, b.from_ft));
}

export const overlaps = (a: Interval, b: Interval): boolean => overlap(a, b) > tolerance.ft;

/** The part of `a` inside `within`; undefined where nothing is left. */
export function clip<T extends Interval>(a: T, within: Interval): T | undefined {
  const from_ft = Math.max(a.from_ft, within.from_ft);
  const to_ft = Math.min(a.to_ft, within.to_ft);
  return to_ft < from_ft ? undefined : { ...a, from_ft, to_ft };
}

/** Joined and sorted stretches without overlap. */
export function union(all: readonly Interval[]): Interval[] {
  const joined: { from_ft: number; to_ft: number }[] = [];
  for (const { from_ft, to_ft } of [...all].sort((a, b) => a.from_ft - b.from_ft)) {
    if (to_ft - from_ft <= tolerance.ft) continue;
    const last = joined.at(-1);
    if (last && from_ft <= last.to_ft + tolerance.ft) last.to_ft = Math.max(last.to_ft, to_ft);
    else joined.push({ from_ft, to_ft });
  }
  return joined;
}

/** `from` with the `holes` removed. */
export function subtract(from: readonly Interval[], holes: readonly Interval[]): Interval[] {
  let left = union(from);
  for (const hole of union(holes)) {
    left = left.flatMap((each) => [
      { from_ft: each.from_ft, to_ft: Math.min(each.to_ft, hole.from_ft) },
      { from_ft: Math.max(each.from_ft, hole.to_ft), to_ft: each.to_ft },
    ]);
    left = left.filter((each) => each.to_ft - each.from_ft > tolerance.ft);
  }
  return left;
}

/** Whether the joined stretches cover all of `target`. */
export function covers(all: readonly Interval[], target: Interval): boolean {
  return subtract([target], all).length === 0;
}

/** The intersection of two sets of stretches. */
export const intersect = (a: readonly Interval[], b: readonly Interval[]): Interval[] =>
  subtract(a, subtract(a, b));

/** Total length of the stretches, ft; overlaps count twice. */
export const summedLength = (all: readonly Interval[]): number =>
  all.reduce((sum, { from_ft, to_ft }) => sum + to_ft - from_ft, 0);

/** Total length of joined stretches, ft. */
export const totalLength = (all: readonly Interval[]): number => summedLength(union(all));
