import type { Method } from '../../core/job/vocabulary.js';
import type { Interval } from '../../core/line/intervals.js';

type Done = Interval & { readonly method: Method };

const nowhere: readonly Interval[] = [];

/** Stretches where another option does something else than the current scope. */
export function differsFrom(now: readonly Done[], other: readonly Done[] | undefined): readonly Interval[] {
  if (!other) return nowhere;
  const ends = [...new Set([...now, ...other].flatMap(({ from_ft, to_ft }) => [from_ft, to_ft]))].sort(
    (a, b) => a - b,
  );
  const at = (all: readonly Done[], x: number) =>
    all.find(({ from_ft, to_ft }) => from_ft <= x && x <= to_ft)?.method;
  const found: { from_ft: number; to_ft: number }[] = [];
  ends.slice(1).forEach((to_ft, i) => {
    const from_ft = ends[i] ?? to_ft;
    const middle = (from_ft + to_ft) / 2;
    if (to_ft - from_ft < 0.02 || at(now, middle) === at(other, middle)) return;
    const last = found.at(-1);
    if (last && Math.abs(last.to_ft - from_ft) < 0.02) last.to_ft = to_ft;
    else found.push({ from_ft, to_ft });
  });
  return found;
}
