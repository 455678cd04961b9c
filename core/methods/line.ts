import type { Cell } from '../scope/track.js';
import type { LineModel, PlacedPoint } from '../line/model.js';
import type { Rules } from '../job/rules-schema.js';
import { sameStation_ft } from '../job/units.js';
import type { Refusal } from './refusal.js';

/** Limits of cured-in-place lining. Common practice. */
const mostBend_deg = 90;
export const mostBends_deg = 180;
export const shortLiner_ft = { least: 2, most: 10 } as const;
/** A short liner may be pushed this far from a cleanout or manhole, ft. */
export const shortLinerReach_ft = 100;

/** Why a liner may not cover a cell. */
export function linerCellRefusal(cell: Cell): Refusal | undefined {
  return cell.noLiner;
}

/** Why a liner may not run past a point that lies inside it. */
export function linerPointRefusal({ point, at }: PlacedPoint): Refusal | undefined {
  const where = `${at.station_ft.toFixed(1)} ft`;
  if (point.kind === 'valve') {
    return {
      rule: 'valve',
      why: `no liner passes the valve at ${where}`,
      lift: 'take the valve out, or end the liner there',
    };
  }
  if (point.kind === 'bend' && (point.degrees ?? 0) > mostBend_deg) {
    return {
      rule: 'bend',
      why: `the bend at ${where} is over ${mostBend_deg}°`,
      lift: 'end the liner there',
    };
  }
  return undefined;
}

/**
 * Whether a liner may cross from one cell's bore into the next. A transition liner is made for the two bores and
 * turned the way it is put in, so that the line read from its other end is judged alike.
 */
export function boreRefusal(before: Cell, after: Cell, rules: Rules): Refusal | undefined {
  if (before.pipe.diameter_in === after.pipe.diameter_in) return undefined;
  if (rules.transitionLiner) return undefined;
  return {
    rule: 'one-bore',
    why: `the bore changes from ${before.pipe.diameter_in} to ${after.pipe.diameter_in} in at ${after.from_ft.toFixed(1)} ft`,
    lift: 'end the liner there, or allow transition liners in the house rules',
  };
}

/** A usable way in at a station for a liner that goes upstream or downstream from it. */
export function wayInAt(
  model: LineModel,
  station_ft: number,
  goes: 'upstream' | 'downstream',
  bore_in: number,
): PlacedPoint | undefined {
  return model.points.find(
    (placed) =>
      Math.abs(placed.at.station_ft - station_ft) <= sameStation_ft && isWayIn(placed, goes, bore_in, model),
  );
}

export function isWayIn(
  { point }: PlacedPoint,
  goes: 'upstream' | 'downstream',
  bore_in: number,
  model: LineModel,
): boolean {
  if (point.kind === 'manhole' || (point.kind === 'main' && point.connection === 'manhole')) return true;
  if (point.kind !== 'cleanout') return false;
  const usable =
    (point.usable ?? true) && (point.state ?? 'ok') === 'ok' && (point.owner ?? 'private') !== 'neighbour';
  const wide = (point.diameter_in ?? model.line.pipe?.diameter_in ?? bore_in) >= bore_in - 1e-9;
  const faces = (point.ways ?? 2) === 2 || point.faces === undefined || point.faces === goes;
  return usable && wide && faces;
}
