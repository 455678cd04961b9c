import { tolerance } from '../job/units.js';
/** Clock positions run 0 < c ≤ 12; 12 is the crown and 6 the invert, seen looking downstream. */
export type ClockRange = number | readonly [number, number];

/** Brings any number of hours to 0 < c ≤ 12. */
export function wrapClock(hours: number): number {
  const wrapped = ((hours % 12) + 12) % 12;
  return wrapped < tolerance.exact ? 12 : wrapped;
}

/**
 * The true clock, seen looking downstream, of what the screen shows.
 * The picture is turned until the water lies at six; a head that looks upstream sees left and right exchanged.
 * Water at 1:30 and a root on the screen at 7:30 is a root at the crown. Common practice.
 */
export function turnClock(
  screen: ClockRange,
  waterClock: number | undefined,
  direction: 'downstream' | 'upstream',
): ClockRange {
  const turn = (clock: number) => {
    const upright = wrapClock(clock - (waterClock ?? 6) + 6);
    return direction === 'upstream' ? wrapClock(12 - upright) : upright;
  };
  if (typeof screen === 'number') return turn(screen);
  const [from, to] = [turn(screen[0]), turn(screen[1])];
  return direction === 'upstream' ? [to, from] : [from, to];
}
