import { scaleLinear, type ScaleLinear } from 'd3-scale';
import type { LineView } from '../../core/scope/job-view.js';
import { straightBetween } from '../../core/line/profile.js';

/** Where every lane lies, px from the top of the sheet. */
export const lanes = {
  axis: { top: 0, height: 36 },
  ground: { top: 44, height: 216 },
  wall: { top: 274, height: 146 },
  judged: { top: 432, height: 66 },
  scope: { top: 508, height: 54 },
  ways: { top: 574, height: 96 },
} as const;
export const sheetHeight = 674;
export const gutter_px = 100;
export const margin_px = 16;

export interface SheetScale {
  readonly x: ScaleLinear<number, number>;
  readonly width: number;
  readonly from_ft: number;
  readonly to_ft: number;
}

/** One station axis for all lanes, a little wider than the line so that its ends can be drawn. */
export function sheetScale(line: LineView, width: number): SheetScale {
  const [from_ft, to_ft] = [line.from_ft, Math.max(line.to_ft, line.from_ft + 1)];
  const spare = (to_ft - from_ft) * 0.03;
  return {
    x: scaleLinear([from_ft - spare, to_ft + spare], [gutter_px, width - margin_px]),
    width,
    from_ft,
    to_ft,
  };
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
