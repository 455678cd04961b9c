import type { PitKind } from '../excavation/hole-costs.js';
import { withPermit } from '../excavation/hole-drafts.js';
import type { Point } from '../job/schema.js';
import { sameStation_ft, tolerance } from '../units.js';
import type { LineModel, PlacedPoint } from '../line/model.js';
import { couplingRate, pipeRate } from '../pipe/rates.js';
import { boreAtBreak, type Track } from '../track/track.js';
import type { Site } from './method.js';
import { linerPointRefusal } from '../track/liner-passes.js';
import { mostTurns_deg, turnOf } from '../track/turns.js';

type Goes = 'upstream' | 'downstream';

/** Farthest a sectional liner is pushed from its insertion point, ft. Common practice. */
const pushedReach_ft = 100;
/** Bore of a closet flange that nobody measured, in. Common practice. */
const toiletBore_in = 3;

/**
 * Whether an access point takes a liner or cleaning tool of this bore in that direction. A roof vent takes a camera
 * only; a broken or buried cap is repaired first.
 */
export function isInsertionPoint(
  { point }: PlacedPoint,
  goes: Goes,
  bore_in: number,
  model: LineModel,
): boolean {
  if (isManhole(point)) return true;
  if (point.usable === false || (point.owner ?? 'private') === 'neighbour') return false;
  if (point.kind === 'access') {
    if (point.through === 'roof-vent' || point.through === 'valve-lid') return false;
    const wide_in = point.diameter_in ?? (point.through === 'pulled-toilet' ? toiletBore_in : 0);
    return wide_in >= bore_in - tolerance.exact;
  }
  if (point.kind !== 'cleanout') return false;
  const sound = !['broken', 'none-here'].includes(point.state ?? 'ok');
  const wide = (point.diameter_in ?? model.line.pipe?.diameter_in ?? bore_in) >= bore_in - tolerance.exact;
  const faces = (point.ways ?? 2) === 2 || point.faces === undefined || point.faces === goes;
  return sound && wide && faces;
}

const isManhole = (point: Point): boolean =>
  point.kind === 'manhole' || (point.kind === 'main' && point.connection === 'manhole');

/** What a liner can be inserted through at a station; undefined where only a pit would do. */
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

/** An access point for pushing a sectional liner, the direction, and how far it gets. */
export interface PushedFrom {
  readonly placed: PlacedPoint;
  readonly goes: Goes;
  /** The farthest station it reaches, ft: whatever stops a liner stops it on the way too. */
  readonly reaches_ft: number;
}

/** Every access point for pushing a sectional liner, in each direction, with how far it gets along a clear pipe. */
export function pushedFrom(
  track: Track,
  bore_in: number,
  isClear: (cell: Track['cells'][number]) => boolean,
): PushedFrom[] {
  const { model } = track;
  return model.points.flatMap((placed) =>
    (['downstream', 'upstream'] as const).flatMap((goes) =>
      isInsertionPoint(placed, goes, bore_in, model)
        ? [{ placed, goes, reaches_ft: clearReach(track, placed.at.station_ft, goes, bore_in, isClear) }]
        : [],
    ),
  );
}

function clearReach(
  { model, cells }: Track,
  from_ft: number,
  goes: Goes,
  bore_in: number,
  isClear: (cell: Track['cells'][number]) => boolean,
): number {
  const down = goes === 'downstream';
  const ahead = down
    ? cells.filter((cell) => cell.from_ft >= from_ft - sameStation_ft)
    : cells.filter((cell) => cell.to_ft <= from_ft + sameStation_ft).reverse();
  let reaches_ft = down
    ? Math.min(from_ft + pushedReach_ft, cells.at(-1)?.to_ft ?? from_ft)
    : Math.max(from_ft - pushedReach_ft, cells[0]?.from_ft ?? from_ft);
  const stop = (x: number) => {
    reaches_ft = down ? Math.min(reaches_ft, x) : Math.max(reaches_ft, x);
  };
  const blocked = ahead.find((cell) => !isClear(cell) || cell.pipe.diameter_in < bore_in - tolerance.exact);
  if (blocked) stop(down ? blocked.from_ft : blocked.to_ft);
  let turned = 0;
  const points = model.points
    .filter(({ at }) =>
      down ? at.station_ft > from_ft + sameStation_ft : at.station_ft < from_ft - sameStation_ft,
    )
    .sort((a, b) => (down ? 1 : -1) * (a.at.station_ft - b.at.station_ft));
  for (const placed of points) {
    turned += turnOf(placed.point).counted_deg;
    if (linerPointRefusal(placed) || turned > mostTurns_deg) {
      stop(placed.at.station_ft);
      break;
    }
  }
  return reaches_ft;
}

/**
 * The access point that a sectional liner from a to b (ft) is pushed from, the nearest first; undefined where it needs
 * a pit.
 */
export function pushedTo(from: readonly PushedFrom[], a: number, b: number): PushedFrom | undefined {
  return from.filter((each) => gets(each, a, b)).sort((one, other) => away(one, a, b) - away(other, a, b))[0];
}

/** Whether a sectional liner from a to b (ft) can be pushed from any of the access points. */
export const isPushedTo = (from: readonly PushedFrom[], a: number, b: number): boolean =>
  from.some((each) => gets(each, a, b));

function gets(from: PushedFrom, a: number, b: number): boolean {
  const far = away(from, a, b);
  if (far < -sameStation_ft || far > pushedReach_ft) return false;
  return from.goes === 'downstream'
    ? b <= from.reaches_ft + sameStation_ft
    : a >= from.reaches_ft - sameStation_ft;
}

const away = ({ placed, goes }: PushedFrom, a: number, b: number): number =>
  goes === 'downstream' ? a - placed.at.station_ft : placed.at.station_ft - b;

/** New pipe that closes a launch pit, ft. */
export const closingPipe_ft = 4;

/** Raw cost of the pipe and couplings that close a launch pit at a fine break. */
export function closingCost(track: Track, index: number): number {
  const bore = boreAtBreak(track, index);
  return closingPipe_ft * pipeRate(track, bore) + 2 * couplingRate(track, bore);
}

/** Cost of a pit at a fine break that nothing else shares, with its permit; infinite where none can be dug. */
export function pitAlone(
  { track, holes }: Pick<Site, 'track' | 'holes'>,
  index: number,
  kind: PitKind,
): number {
  const alone = holes.pit(index, kind)?.alone;
  return alone ? withPermit(alone, track.prices) : Infinity;
}
