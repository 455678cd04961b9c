import { linearScale, type Scale } from './scale';
import { straightBetween } from '../../core/straight-between.js';
import { clip, type Interval } from '../../core/line/intervals.js';
import type { LineView } from '../../core/views/line-view.js';

/** Top and height of every lane, px from the top of the sheet. */
export const lanes = {
  axis: { top: 0, height: 36 },
  ground: { top: 42, height: 186 },
  wall: { top: 240, height: 132 },
  judged: { top: 380, height: 66 },
  scope: { top: 454, height: 60 },
  ways: { top: 530, height: 96 },
} as const;
/** A phone scrolls sideways at a legible scale, px. */
export const leastWidth_px = 820;
export const sheetHeight = 630;
export const gutter_px = 100;
export const margin_px = 16;

export interface SheetScale {
  readonly x: Scale;
  readonly width: number;
  /** The line's own ends, ft. */
  readonly from_ft: number;
  readonly to_ft: number;
  /** Its visible part, ft. */
  readonly seen: Interval;
}

/** Extent of the sheet at full view: a little more than the line, so that its ends can be drawn. */
export function wholeOf(line: Interval): Interval {
  const [from_ft, to_ft] = [line.from_ft, Math.max(line.to_ft, line.from_ft + 1)];
  const spare = (to_ft - from_ft) * 0.03;
  return { from_ft: from_ft - spare, to_ft: to_ft + spare };
}

/** One station axis for all lanes, over the whole line or the zoomed window. */
export function sheetScale(line: Interval, width: number, window?: Interval): SheetScale {
  const seen = window ?? wholeOf(line);
  return {
    x: linearScale([seen.from_ft, seen.to_ft], [gutter_px, width - margin_px]),
    width,
    from_ft: line.from_ft,
    to_ft: Math.max(line.to_ft, line.from_ft + 1),
    seen,
  };
}

/** The middle of the visible part of a stretch, px; undefined where none is visible. */
export function seenMiddle(scale: SheetScale, stretch: Interval): number | undefined {
  const part = clip(stretch, scale.seen);
  return part && (scale.x(part.from_ft) + scale.x(part.to_ft)) / 2;
}

/** Invert depth at a station, ft. */
export function depthAt(line: LineView, station_ft: number): number {
  return straightBetween(
    line.depths.map((each): [number, number] => [each.station_ft, each.invert_ft]),
    station_ft,
  );
}

/** ± of the nearest thing with a known station, ft. */
export function plusMinusAt(line: LineView, station_ft: number): number {
  const nearest = line.things.reduce<LineView['things'][number] | undefined>(
    (best, thing) =>
      !best || Math.abs(thing.station_ft - station_ft) < Math.abs(best.station_ft - station_ft)
        ? thing
        : best,
    undefined,
  );
  return nearest?.plusMinus_ft ?? 0;
}
