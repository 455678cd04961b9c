import type { Interval } from '../line/intervals.js';
import type { HoleKind } from './ground.js';
import type { HoleQuantities } from './quantities.js';

/** A hole of the chosen scope. */
export interface Hole extends Interval {
  readonly id: string;
  readonly kind: HoleKind;
  readonly serves: readonly string[];
  /** Launch and burst pits inside it. */
  readonly widened: readonly (Interval & { kind: HoleKind })[];
  readonly quantities: HoleQuantities;
  /** Fine breaks at which a launch pit is closed with a piece of pipe. */
  readonly closings: readonly number[];
}
