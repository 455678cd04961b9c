import type { GradedFinding } from '../condition/graded-finding.js';
import type { PlacedPoint } from '../line/model.js';
import type { Refusal } from './track.js';
import { mostBend_deg, turnOf } from './turns.js';

/** A point whose opening is reinstated in a liner that runs past it. */
export const isReopened = ({ point }: PlacedPoint): boolean =>
  point.kind === 'tie-in' || (point.kind === 'cleanout' && point.state !== 'none-here');

/** Water that runs in, and must be stopped before a liner can set. */
export const runsIn = ({ placed: { entry }, possible, grade }: GradedFinding): boolean =>
  entry.finding === 'infiltration' && !possible && grade >= 3;

/** Why a liner may not run past a point inside it. */
export function linerPointRefusal({ point, at }: PlacedPoint): Refusal | undefined {
  const where = `${at.station_ft.toFixed(1)} ft`;
  if (point.kind === 'valve' || point.kind === 'trap') {
    return {
      rule: point.kind,
      why: `no liner passes the ${point.kind} at ${where}`,
      lift: `take the ${point.kind} out, or end the liner there`,
    };
  }
  if (point.kind === 'drop') {
    return { rule: 'drop', why: `no liner follows the drop at ${where}`, lift: 'end the liner at the drop' };
  }
  if (turnOf(point).tooSharp) {
    return {
      rule: 'bend',
      why: `the bend at ${where} is over ${mostBend_deg}°`,
      lift: 'end the liner there',
    };
  }
  return undefined;
}
