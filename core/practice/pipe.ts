import type { Material } from '../job/vocabulary.js';

/** Something in a simulated pipe whose truth is known. Stations in ft from the first cleanout's level pipe. */
export interface SimulatedThing {
  readonly at_ft: number;
  readonly to_ft?: number;
  /** A kind of finding, or a point of the line. */
  readonly what:
    | 'roots'
    | 'deposit'
    | 'crack'
    | 'offset'
    | 'separation'
    | 'hole'
    | 'tie-in'
    | 'cleanout'
    | 'main'
    | 'bend';
  /** Clock position looking downstream; a range runs clockwise. */
  readonly clock?: number | readonly [number, number];
  readonly percent?: number;
  readonly inches?: number;
  readonly form?: 'hairline' | 'along' | 'around' | 'several';
}

/** Errors that a reel adds to readings, and a head to the picture. */
export interface ReelFaults {
  /** Scale of the counter: a worn wheel counts a little short. */
  readonly scale: number;
  /** Bow of the pushed cable: how much more cable goes in than the head advances. */
  readonly bow: number;
  /** Largest rotation of the picture, hours. */
  readonly roll_h: number;
  /** Offset of the lens from the center of the pipe, as a fraction of the bore. */
  readonly tilt: number;
  /** Where the wheel slips, in feet of cable, and how much it fails to count there, ft. */
  readonly slips: readonly { readonly at_ft: number; readonly lost_ft: number }[];
}

export const usualFaults: ReelFaults = { scale: 1.006, bow: 0.008, roll_h: 1.4, tilt: 0.08, slips: [] };

/** An invented pipe with known truth. */
export interface SimulatedPipe {
  readonly id: string;
  readonly name: string;
  readonly length_ft: number;
  readonly accesses: readonly {
    readonly id: string;
    readonly name: string;
    readonly at_ft: number;
    readonly riser_ft: number;
  }[];
  readonly stretches: readonly {
    readonly from_ft: number;
    readonly to_ft: number;
    readonly material: Material;
    readonly diameter_in: number;
    readonly piece_ft?: number;
  }[];
  readonly things: readonly SimulatedThing[];
  /** Standing water, deepest in the middle. */
  readonly sags: readonly { readonly from_ft: number; readonly to_ft: number; readonly inches: number }[];
  /** Depth of the invert at both ends, linear in between. */
  readonly depth_ft: readonly [number, number];
  /** Default: a usual reel. */
  readonly faults?: ReelFaults;
}

/** Water depth over the invert at a station, in: deepest in the middle of a belly, a film elsewhere. */
export function waterAt({ sags }: Pick<SimulatedPipe, 'sags'>, station_ft: number): number {
  const sag = sags.find(({ from_ft, to_ft }) => station_ft >= from_ft && station_ft <= to_ft);
  if (!sag) return film_in;
  const half = (sag.to_ft - sag.from_ft) / 2;
  const off = (station_ft - (sag.from_ft + half)) / half;
  // Flat in the middle like standing water, and steep enough at the ends to be called.
  return Math.max(film_in, sag.inches * (1 - off ** 4));
}

const film_in = 0.15;

/** Above this fraction of the bore the lens is under water and shows nothing. */
export const coversLens = 0.55;

/** Where the lens is under water, ft. */
export function hiddenOf({
  sags,
  stretches,
}: SimulatedPipe): { readonly from_ft: number; readonly to_ft: number }[] {
  return sags.flatMap(({ from_ft, to_ft, inches }) => {
    const middle = (from_ft + to_ft) / 2;
    const bore = stretches.find((each) => middle < each.to_ft)?.diameter_in ?? 4;
    if (inches <= coversLens * bore) return [];
    // The water's depth falls off by the fourth power: see waterAt.
    const half = ((to_ft - from_ft) / 2) * (1 - (coversLens * bore) / inches) ** 0.25;
    return [{ from_ft: middle - half, to_ft: middle + half }];
  });
}
