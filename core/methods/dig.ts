import type { Cell } from '../scope/track.js';
import type { Refusal } from './refusal.js';

/** Why a hole may not be dug in a cell; a building's edge may be reached by hand and is judged with the hole. */
export function digCellRefusal(cell: Cell): Refusal | undefined {
  const at = `${((cell.from_ft + cell.to_ft) / 2).toFixed(1)} ft`;
  if (cell.closedTo === 'no-dig') {
    return { rule: 'no-dig', why: `no digging at ${at}`, lift: 'lift the no-dig stretch' };
  }
  if (!cell.ours) {
    return {
      rule: 'public-part',
      why: `${at} is its owner's to act on`,
      lift: 'a house rule that takes the public part on',
    };
  }
  return undefined;
}

export const underBuilding: Refusal = {
  rule: 'under-building',
  why: 'under a building, further than a hole outside can reach by hand',
  lift: 'line it, or open the floor',
};
