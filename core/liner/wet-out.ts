import type { WorkingTime } from './working-time.js';

/** State of a liner a number of minutes after its resin was mixed. */
export interface WetOut {
  /** Working time left, min; below 0 once it has passed. */
  readonly left_min: number;
  /** Minutes until insertion must start; below 0 once that has passed. */
  readonly startWithin_min: number;
  readonly say: 'in-time' | 'put-in-now' | 'too-late';
}

/** Countdown from the moment the resin was mixed. Times in minutes. */
export function wetOutAfter(
  { potLife, insertion }: Pick<WorkingTime, 'potLife' | 'insertion'>,
  elapsed_min: number,
): WetOut {
  const left_min = potLife.value - elapsed_min;
  const startWithin_min = left_min - insertion.value;
  return {
    left_min,
    startWithin_min,
    say: left_min <= 0 ? 'too-late' : startWithin_min <= 0 ? 'put-in-now' : 'in-time',
  };
}
