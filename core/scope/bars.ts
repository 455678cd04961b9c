import type { Method } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import type { LineSolution } from '../solve/solution.js';

/** Stretches of one method and action, from upstream; none where the line has no feasible scope. */
export function barsOf({ prepared, chosen }: LineSolution): (Interval & { method: Method })[] {
  const bars: { from_ft: number; to_ft: number; method: Method; action: string | null }[] = [];
  prepared.possible.track.cells.forEach((cell, i) => {
    const own = chosen?.layout.cells[i];
    if (!own) return;
    const last = bars.at(-1);
    if (last?.method === own.method && last.action === own.action) last.to_ft = cell.to_ft;
    else bars.push({ from_ft: cell.from_ft, to_ft: cell.to_ft, ...own });
  });
  return bars.map(({ from_ft, to_ft, method }) => ({ from_ft, to_ft, method }));
}
