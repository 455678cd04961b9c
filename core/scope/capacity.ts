import { capacity, type Capacity } from '../grade/capacity.js';
import { madeThickness } from '../liner/thickness.js';
import type { Action } from '../methods/method.js';
import type { LineSolution } from '../solve/solution.js';

/** Flow before and after an action, at the mean fall between its ends. */
export function capacityOf(
  { line: { model }, prepared }: LineSolution,
  action: Action,
): { capacity?: Capacity } {
  const { track } = prepared.possible;
  const cells = track.cells.slice(action.fromBreak, action.toBreak);
  const [first] = cells;
  if (!model.profile.graded || !first) return {};
  const fall_ft = model.profile.invert(action.from_ft) - model.profile.invert(action.to_ft);
  const wall_in = Math.max(...cells.map(({ thickness }) => madeThickness(thickness.needed_in) ?? 0));
  const lined = action.entry_ft !== null;
  const found = capacity({
    slope: fall_ft / (action.to_ft - action.from_ft),
    bore_in: first.pipe.diameter_in,
    material: first.pipe.material,
    after_in: first.pipe.diameter_in - (lined ? 2 * wall_in : 0),
    lined,
  });
  return found ? { capacity: found } : {};
}
