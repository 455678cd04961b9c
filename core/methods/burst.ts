import { newPipeOutside, type Cell } from '../scope/track.js';
import type { LineModel, PlacedPoint } from '../line/model.js';
import type { Rules } from '../job/rules-schema.js';
import type { Refusal } from './refusal.js';

/** Limits of pipe bursting. Common practice. */
export const leastBurst_ft = 10;
const mostBend_deg = 11.25;
const utilityRoom_ft = 2;
const overcut_in = 1;
const leastCover_ft = 2;
const coverPerEnlargement = 10;

/** Why a cell's pipe may not be burst. */
export function burstCellRefusal(cell: Cell, model: LineModel, rules: Rules): Refusal | undefined {
  const at = (cell.from_ft + cell.to_ft) / 2;
  const where = `${at.toFixed(1)} ft`;
  if (!cell.ours) {
    return {
      rule: 'public-part',
      why: `${where} is its owner's to act on`,
      lift: 'a house rule that takes the public part on',
    };
  }
  if (cell.pipe.material === 'asbestos-cement' && !rules.burstAsbestosCement) {
    return {
      rule: 'asbestos-cement',
      why: `bursting asbestos cement at ${where} leaves hazardous fragments`,
      lift: 'a house rule, where the law allows it',
    };
  }
  const stop = cell.findings.find(
    ({ placed: { entry }, grade, possible }) =>
      !possible && (entry.finding === 'collapse' || (entry.finding === 'belly' && grade >= 3)),
  );
  if (stop) {
    return {
      rule: 'burst-stopped',
      why: `${stop.placed.entry.finding} at ${stop.placed.from_ft.toFixed(1)} ft: the new pipe would follow it`,
      lift: 'dig this place',
    };
  }
  const invert_ft = model.profile.depth(at);
  const crown_ft = invert_ft - cell.pipe.diameter_in / 12;
  const enlargement_in =
    newPipeOutside({ newPipe: 'hdpe' }, cell.pipe.diameter_in) + overcut_in - cell.pipe.diameter_in;
  const needed_ft = Math.max(leastCover_ft, (coverPerEnlargement * enlargement_in) / 12);
  if (crown_ft < needed_ft - 1e-9) {
    return {
      rule: 'cover',
      why: `${crown_ft.toFixed(1)} ft over the crown at ${where}, ${needed_ft.toFixed(1)} needed`,
      lift: 'open cut',
    };
  }
  const near = (model.line.crossings ?? []).find(
    ({ station_ft, depth_ft }) =>
      Math.abs(station_ft - at) < utilityRoom_ft &&
      (depth_ft === undefined ||
        Math.min(Math.abs(depth_ft - crown_ft), Math.abs(depth_ft - invert_ft)) < utilityRoom_ft),
  );
  if (near) {
    return {
      rule: 'utility-near',
      why: `${near.utility} crosses at ${near.station_ft.toFixed(1)} ft, ${near.depth_ft === undefined ? 'depth unknown' : `${near.depth_ft} ft deep`}, within ${utilityRoom_ft} ft`,
      lift: 'expose the utility and see that it lies further off',
    };
  }
  return undefined;
}

export function burstPointRefusal({ point, at }: PlacedPoint): Refusal | undefined {
  if (point.kind === 'valve') {
    return { rule: 'valve', why: `a valve at ${at.station_ft.toFixed(1)} ft`, lift: 'take the valve out' };
  }
  return point.kind === 'bend' && (point.degrees ?? 0) > mostBend_deg
    ? {
        rule: 'bend',
        why: `the bend at ${at.station_ft.toFixed(1)} ft is over ${mostBend_deg}°`,
        lift: 'a pit at the bend',
      }
    : undefined;
}
