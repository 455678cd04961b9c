import type { Judged } from '../condition/judged.js';
import type { PlacedPoint } from '../line/model.js';

/** A point whose opening is cut again in a liner that runs past it. */
export const isReopened = ({ point }: PlacedPoint): boolean =>
  point.kind === 'tie-in' || (point.kind === 'cleanout' && point.state !== 'none-here');

/** Water that runs in, and must be stopped before a liner can set. */
export const runsIn = ({ placed: { entry }, possible, grade }: Judged): boolean =>
  entry.finding === 'infiltration' && !possible && grade >= 3;
