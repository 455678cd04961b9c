import { tolerance } from '../../core/units.js';
import { useState } from 'react';
import type { Interval } from '../../core/line/intervals.js';
import { wholeOf } from '../drawing/sheet-scale';

/** Zoom factor of one press. */
export const zoomStep = 1.6;
/** Smallest window: a joint and its neighbors, ft. */
const closest_ft = 4;

export interface SheetWindow {
  /** The visible part of the line; undefined when all of it is visible. */
  readonly shown: Interval | undefined;
  /** Scales the window by a factor about a fixed station. */
  readonly zoom: (times: number, about_ft?: number) => void;
  /** Moves the window along the line, ft. */
  readonly pan: (by_ft: number) => void;
  readonly show: (from_ft: number) => void;
  readonly fit: () => void;
}

/** The window of a sheet on its line, never past the line's ends. */
export function useWindow(line: Interval): SheetWindow {
  const whole = wholeOf(line);
  const most_ft = whole.to_ft - whole.from_ft;
  const [shown, setShown] = useState<Interval>();
  const place = (from_ft: number, length_ft: number): Interval | undefined => {
    if (length_ft >= most_ft - tolerance.exact) return undefined;
    const from = Math.min(Math.max(from_ft, whole.from_ft), whole.to_ft - length_ft);
    return { from_ft: from, to_ft: from + length_ft };
  };
  return {
    shown,
    zoom: (times, about_ft) => {
      setShown((now) => {
        const seen = now ?? whole;
        const length = Math.max(Math.min(closest_ft, most_ft), (seen.to_ft - seen.from_ft) * times);
        const about = about_ft ?? (seen.from_ft + seen.to_ft) / 2;
        const share = (about - seen.from_ft) / (seen.to_ft - seen.from_ft);
        return place(about - share * length, length);
      });
    },
    pan: (by_ft) => {
      setShown((now) => now && place(now.from_ft + by_ft, now.to_ft - now.from_ft));
    },
    show: (from_ft) => {
      setShown((now) => now && place(from_ft, now.to_ft - now.from_ft));
    },
    fit: () => {
      setShown(undefined);
    },
  };
}
