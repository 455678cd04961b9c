import { tolerance } from '../units.js';
/** Clock positions are 0 < c ≤ 12, looking downstream; 12 is the crown and 6 the invert. */
export type ClockRange = number | readonly [number, number];

/** Normalizes hours to 0 < c ≤ 12. */
export function wrapClock(hours: number): number {
  const wrapped = ((hours % 12) + 12) % 12;
  return wrapped < tolerance.exact ? 12 : wrapped;
}

/**
 * True clock position, looking downstream, from what the screen shows. The picture is rotated until the water is at
 * six; for a head facing upstream left and right are swapped. Water at 1:30 and a root on the screen at 7:30 is a root
 * at the crown. Common practice.
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
