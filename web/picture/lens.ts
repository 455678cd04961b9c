import type { Picture } from '../../core/practice/reel.js';

/** Side of the square picture, units; the bore at the lens nearly fills it. */
export const size = 300;
const middle = size / 2;
const bore = 146;
/** Shift of the vanishing point for a lens off center by the whole bore. */
const lean = 190;

/** A ring of the pipe at a distance ahead of the lens, on the picture. */
export interface Ring {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  /** Brightness of the wall there in the head's own light: 1 at the lens. */
  readonly light: number;
}

/** The ring of pipe at a distance ahead, ft, for an off-center lens: smaller and darker with distance. */
export function ringAt({ tilt }: Pick<Picture, 'tilt'>, ahead_ft: number): Ring {
  const share = 1 / (1 + 0.6 * Math.max(0, ahead_ft));
  return {
    x: middle + tilt[0] * lean * (1 - share),
    y: middle + tilt[1] * lean * (1 - share),
    r: bore * share,
    light: Math.max(0.04, Math.exp(-0.34 * Math.max(0, ahead_ft))),
  };
}

const angle = (clock: number): number => ((clock / 12) * 2 - 0.5) * Math.PI;

/** A point on a ring, or closer to its center by a fraction of the radius. */
export const onRing = ({ x, y, r }: Ring, clock: number, share = 1): readonly [number, number] => [
  x + r * share * Math.cos(angle(clock)),
  y + r * share * Math.sin(angle(clock)),
];

/** A pseudo-random number from 0 to 1, always the same for one place. */
export function speckle(...of: number[]): number {
  const mixed = of.reduce((sum, each, i) => sum + each * (12.9898 + 65.2337 * i), 0.5);
  const value = Math.sin(mixed) * 43758.5453;
  return value - Math.floor(value);
}

/** A color darkened to this fraction. */
export function lit(hex: string, light: number): string {
  const channel = (at: number) => Math.round(parseInt(hex.slice(at, at + 2), 16) * Math.min(1, light));
  return `rgb(${channel(1)} ${channel(3)} ${channel(5)})`;
}

/** Clock positions a thing covers: a single one extends a little either side. */
export function clockSpan(clock: number | readonly [number, number] | undefined): {
  readonly from: number;
  readonly span: number;
} {
  const [from, to] =
    clock === undefined ? [0, 12] : typeof clock === 'number' ? [clock - 0.6, clock + 0.6] : clock;
  const span = to > from ? to - from : to + 12 - from;
  return { from, span };
}

export const path = (points: readonly (readonly [number, number])[], closed = false): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join(' ') +
  (closed ? ' Z' : '');
