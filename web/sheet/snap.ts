import type { LineView } from '../../core/views/line-view.js';

/** A dragged end snaps to a thing of the line within this distance, ft. */
const hold_ft = 0.6;
const least_ft = 0.5;

/** The other end, which a dragged end may not pass. */
interface Bounds {
  readonly end: 'from' | 'to';
  readonly other_ft: number;
}

/**
 * Where a dragged end lands: at a nearby joint, point or change, else at the nearest place where an action may end.
 * Undefined where there is none.
 */
export function snapped(
  station_ft: number,
  mayEnd_ft: readonly number[],
  line: LineView,
  { end, other_ft }: Bounds,
): number | undefined {
  const open = mayEnd_ft.filter((x) =>
    end === 'from' ? x <= other_ft - least_ft : x >= other_ft + least_ft,
  );
  const things = [
    ...line.joints,
    ...line.points.map(({ station }) => station.value),
    ...line.pipes.flatMap(({ from_ft, to_ft }) => [from_ft, to_ft]),
    ...line.surfaces.flatMap(({ from_ft, to_ft }) => [from_ft, to_ft]),
  ];
  const held = open.filter(
    (x) => Math.abs(x - station_ft) <= hold_ft && things.some((thing) => Math.abs(thing - x) < 0.02),
  );
  const nearest = (all: readonly number[]) =>
    all.reduce<number | undefined>(
      (best, x) => (best === undefined || Math.abs(x - station_ft) < Math.abs(best - station_ft) ? x : best),
      undefined,
    );
  return nearest(held) ?? nearest(open);
}

/** The next place where an action may end on the way from one station towards another. */
export function nextEnd(
  from_ft: number,
  towards_ft: number,
  mayEnd_ft: readonly number[],
): number | undefined {
  return towards_ft > from_ft
    ? mayEnd_ft.find((x) => x > from_ft + 0.01)
    : mayEnd_ft.findLast((x) => x < from_ft - 0.01);
}
