import type { PitKind } from '../excavation/hole-costs.js';
import { leastPublic_ft } from '../excavation/hole-drafts.js';
import { sameStation_ft, tolerance } from '../job/units.js';
import type { LineModel, PlacedPoint } from '../line/model.js';
import { couplingRate, pipeRate } from '../pipe/rates.js';
import { boreAtBreak, type Track } from '../track/track.js';
import type { Site } from './method.js';

type Goes = 'upstream' | 'downstream';

/** A sectional liner may be pushed this far from a cleanout or manhole, ft. Common practice. */
const pushedReach_ft = 100;

/** Whether a point lets a liner for this bore in that goes upstream or downstream from it. */
function isInsertionPoint({ point }: PlacedPoint, goes: Goes, bore_in: number, model: LineModel): boolean {
  if (point.kind === 'manhole' || (point.kind === 'main' && point.connection === 'manhole')) return true;
  if (point.kind !== 'cleanout') return false;
  const usable =
    (point.usable ?? true) && (point.state ?? 'ok') === 'ok' && (point.owner ?? 'private') !== 'neighbour';
  const wide = (point.diameter_in ?? model.line.pipe?.diameter_in ?? bore_in) >= bore_in - tolerance.exact;
  const faces = (point.ways ?? 2) === 2 || point.faces === undefined || point.faces === goes;
  return usable && wide && faces;
}

/** What lets a liner in at a station; undefined where only a pit would. */
export const insertionPointAt = (
  model: LineModel,
  station_ft: number,
  goes: Goes,
  bore_in: number,
): PlacedPoint | undefined =>
  model.points.find(
    (placed) =>
      Math.abs(placed.at.station_ft - station_ft) <= sameStation_ft &&
      isInsertionPoint(placed, goes, bore_in, model),
  );

/** For every boundary of a track, whether a liner can be sent that way from it without a pit. */
export const insertedWithoutPit = ({ model, cells, breaks, boundaries }: Track, goes: Goes): boolean[] =>
  boundaries.map((index) => {
    const into = cells[goes === 'upstream' ? index - 1 : index];
    return insertionPointAt(model, breaks[index] ?? 0, goes, into?.pipe.diameter_in ?? 0) !== undefined;
  });

/** Whether a cleanout or manhole within reach lets a sectional liner from a to b in. */
export function accessWithin({ model }: Track, a: number, b: number, bore_in: number): boolean {
  const near = (distance: number) => distance >= -sameStation_ft && distance <= pushedReach_ft;
  return model.points.some((placed) => {
    const x = placed.at.station_ft;
    return (
      (near(a - x) && isInsertionPoint(placed, 'downstream', bore_in, model)) ||
      (near(x - b) && isInsertionPoint(placed, 'upstream', bore_in, model))
    );
  });
}

/** New pipe that closes a launch pit again, ft. */
export const closingPipe_ft = 4;

/** Pipe and couplings that close a launch pit at a fine break, raw cost. */
export function closingCost(track: Track, index: number): number {
  const bore = boreAtBreak(track, index);
  return closingPipe_ft * pipeRate(track, bore) + 2 * couplingRate(track, bore);
}

/** A pit at a fine break that nothing else shares, its permit included; infinite where none can be dug. */
export function pitAlone({ track, holes }: Site, index: number, kind: PitKind): number {
  const pit = holes.pit(index, kind);
  if (!pit) return Infinity;
  const isPublic = pit.open.public_ft + pit.close.public_ft > leastPublic_ft;
  return pit.open.cost + pit.close.cost + (isPublic ? track.prices.permit_per_hole : 0);
}
