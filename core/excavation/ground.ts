import type { SurfaceKind } from '../catalog/surfaces.js';
import type { Prices } from '../job/prices.js';
import { tolerance } from '../units.js';
import type { OwnerKind } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import type { Protection, Section } from './section.js';

/** Which width applies: a trench for new pipe, a launch pit (3 ft), or a bursting exit pit (4 ft). */
export type HoleKind = 'dig' | 'launch' | 'burst';

/** One fine cell of the ground over a line: short enough to be uniform. */
export interface GroundCell extends Interval {
  readonly owner: OwnerKind;
  /** Whether we do work here at all. */
  readonly ours: boolean;
  readonly surface: SurfaceKind;
  /** Why no excavation can be open here. */
  readonly closedTo: 'no-dig' | 'building' | 'crawl-space' | undefined;
  readonly sections: Readonly<Record<HoleKind, Section>>;
  /** Protection methods allowed for an excavation through it. */
  readonly mayHold: Readonly<Record<Protection, boolean>>;
}

/** The ground over a line, cell by cell. */
export interface Ground {
  readonly cells: readonly GroundCell[];
  /** Ends of the cells, ft: one more than there are cells. */
  readonly breaks: Float64Array;
  /** ± of an action's end at each break, ft: for an action that starts there and one that ends there. */
  readonly plusMinus: { readonly from: Float64Array; readonly to: Float64Array };
  /** Excavations closer than this are dug as one, ft. House rule. */
  readonly holesApart_ft: number;
  readonly prices: Prices;
}

/** Index of the cell that contains a station; `side` decides at a break. */
export function cellIndexAt({ breaks, cells }: Ground, x: number, side: 'upstream' | 'downstream'): number {
  let [low, high] = [0, cells.length - 1];
  const target = side === 'upstream' ? x - tolerance.exact : x + tolerance.exact;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((breaks[middle + 1] ?? Infinity) >= target) high = middle;
    else low = middle + 1;
  }
  return low;
}
