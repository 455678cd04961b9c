import type { Interval } from '../line/intervals.js';
import type { HoleKind } from './ground.js';
import type { HoleQuantities } from './quantities.js';
import type { Protection } from './section.js';

/** The letter that identifies an excavation everywhere. */
export const holeLetter = (id: string): string => {
  const number = Number(id.replace(/^\D+/, ''));
  return number >= 1 && number <= 26 ? String.fromCharCode(64 + number) : id;
};

/** An excavation of the chosen scope. */
export interface Hole extends Interval {
  readonly id: string;
  readonly kind: HoleKind;
  /** Its protection, over its full length. */
  readonly protection: Protection;
  readonly serves: readonly string[];
  /** Launch and bursting pits inside it. */
  readonly widened: readonly (Interval & { kind: HoleKind })[];
  readonly quantities: HoleQuantities;
  /** Fine breaks where a launch pit is closed with a piece of pipe. */
  readonly closings: readonly number[];
}
