import type { Material } from '../job/vocabulary.js';
import { usualFaults, waterAt, type SimulatedPipe, type SimulatedThing } from './pipe.js';

/** Position of the head and how it got there. Distances in ft along the cable from the cap of the access point. */
export interface Reel {
  readonly pipe: SimulatedPipe;
  readonly access: SimulatedPipe['accesses'][number];
  readonly direction: 1 | -1;
  readonly cable_ft: number;
  readonly pushing: boolean;
  /** Counter reading when it was last zeroed. */
  readonly zero_ft: number;
  /** Cable the wheel failed to count so far, ft. */
  readonly lost_ft: number;
  /** What was cleaned out of the pipe since, by station. */
  readonly cleaned: readonly number[];
}

const sight_ft = 7;
/** The head stops before the bore is completely full. */
const stopsAt_percent = 60;

/** Roots or deposits left after cleaning, percent. */
const leftBehind_percent = 5;

/** Inserts the head; undefined where the pipe has no such access point. */
export function enter(pipe: SimulatedPipe, accessId: string, direction: 1 | -1): Reel | undefined {
  const access = pipe.accesses.find(({ id }) => id === accessId);
  return (
    access && { pipe, access, direction, cable_ft: 0, pushing: true, zero_ft: 0, lost_ft: 0, cleaned: [] }
  );
}

/** Current counter reading, ft to a tenth: its scale, the bow of a pushed cable and a slow wobble. */
export const readingOf = (reel: Reel): number => Math.round((counted(reel) - reel.zero_ft) * 10) / 10;

const faultsOf = ({ pipe }: Reel) => pipe.faults ?? usualFaults;

function counted(reel: Reel): number {
  const { cable_ft, pushing, lost_ft } = reel;
  const { scale, bow } = faultsOf(reel);
  const wobble = 0.15 * Math.sin(cable_ft / 6.3);
  return (cable_ft * (pushing ? 1 + bow : 1) + wobble) / scale - lost_ft;
}

export const zeroHere = (reel: Reel): Reel => ({ ...reel, zero_ft: counted(reel) });

/** Station of the head, ft; undefined while it is still in the riser. */
export function headAt({ access, direction, cable_ft }: Reel): number | undefined {
  const past = cable_ft - access.riser_ft;
  return past < -1e-9 ? undefined : access.at_ft + direction * past;
}

/** Pushes (+) or pulls (−) the cable as far as it goes, and returns what stopped it. */
export function move(reel: Reel, by_ft: number): { reel: Reel; stoppedBy: string | undefined } {
  const { pipe, access, direction } = reel;
  const end = direction === 1 ? pipe.length_ft : 0;
  const block = thingsNow(reel)
    .filter(({ percent = 0 }) => percent >= stopsAt_percent)
    .map(({ at_ft, what }) => ({ ahead: (at_ft - access.at_ft) * direction, what }))
    .filter(({ ahead }) => ahead > 0)
    .sort((a, b) => a.ahead - b.ahead)[0];
  const toEnd = Math.abs(end - access.at_ft);
  const blocked = block !== undefined && block.ahead < toEnd;
  const most = access.riser_ft + (blocked ? block.ahead : toEnd);
  const cable_ft = Math.min(most, Math.max(0, reel.cable_ft + by_ft));
  const stoppedBy =
    cable_ft < most - 1e-9 ? undefined : blocked ? block.what : direction === 1 ? 'main' : 'end';
  const slipped = faultsOf(reel)
    .slips.filter(({ at_ft }) => at_ft > reel.cable_ft && at_ft <= cable_ft)
    .reduce((sum, { lost_ft }) => sum + lost_ft, 0);
  return {
    reel: { ...reel, cable_ft, pushing: by_ft > 0, lost_ft: reel.lost_ft + slipped },
    stoppedBy,
  };
}

/** Moves the head straight to a station, to show a place again, with the counter as it would be there. */
export function moveTo(reel: Reel, station_ft: number): Reel {
  const along = (station_ft - reel.access.at_ft) * reel.direction + reel.access.riser_ft;
  return { ...reel, cable_ft: Math.max(0, along), pushing: false };
}

/** Cleans out what stops the head, with the right tool; everything seen before stays recorded. */
export function clean(reel: Reel): Reel {
  const here = headAt(reel);
  const block = thingsNow(reel).find(
    ({ at_ft, percent = 0 }) =>
      percent >= stopsAt_percent && here !== undefined && Math.abs(at_ft - here) < 0.5,
  );
  return block ? { ...reel, cleaned: [...reel.cleaned, block.at_ft] } : reel;
}

/** Contents of the pipe now, reduced where it was cleaned. */
const thingsNow = ({ pipe, cleaned }: Reel): SimulatedThing[] =>
  pipe.things.map((thing) =>
    cleaned.includes(thing.at_ft) && thing.percent !== undefined
      ? { ...thing, percent: leftBehind_percent }
      : thing,
  );

/** Depth of the invert under the head as a locator reads it, within a few percent, ft. */
export function locatedDepth(reel: Reel): number | undefined {
  const at = headAt(reel);
  if (at === undefined) return undefined;
  const [up, down] = reel.pipe.depth_ft;
  const depth = up + ((down - up) * at) / reel.pipe.length_ft;
  return Math.round(depth * (1 + 0.05 * Math.sin(at)) * 10) / 10;
}

/** Everything in view, nearest first, with its distance ahead, ft. */
export interface Picture {
  readonly inRiser: boolean;
  readonly material: Material;
  readonly diameter_in: number;
  /** Position of the head along the pipe, ft: fixed things on the wall approach as it moves. */
  readonly travel_ft: number;
  /** Rotation of the picture, hours: water shows at 6 + roll. */
  readonly roll: number;
  /** Left and right swap for a head facing upstream. */
  readonly mirrored: boolean;
  /** Offset of the lens from the center, across and down, as a fraction of the bore. */
  readonly tilt: readonly [number, number];
  readonly water_in: number;
  readonly joints: readonly number[];
  readonly things: readonly (SimulatedThing & { readonly ahead_ft: number })[];
  /** A change of material ahead. */
  readonly change?: { readonly ahead_ft: number; readonly material: Material } | undefined;
}

export function pictureOf(reel: Reel): Picture {
  const at = headAt(reel);
  const { pipe, direction, cable_ft } = reel;
  const here = at ?? reel.access.at_ft;
  const stretch =
    pipe.stretches.find(({ from_ft, to_ft }) => here >= from_ft && here < to_ft) ?? pipe.stretches.at(-1);
  const ahead = (station: number) => (station - here) * direction;
  const inSight = (distance: number) => distance >= -0.25 && distance <= sight_ft;
  const joints = pipe.stretches.flatMap(({ from_ft, to_ft, piece_ft }) =>
    piece_ft === undefined
      ? []
      : Array.from({ length: Math.floor((to_ft - from_ft) / piece_ft) }, (_, i) =>
          ahead(from_ft + (i + 1) * piece_ft),
        ),
  );
  const edge = pipe.stretches.find(({ from_ft }) => from_ft > 0 && inSight(ahead(from_ft)));
  const beyond =
    edge && (direction === 1 ? edge : pipe.stretches.find(({ to_ft }) => to_ft === edge.from_ft));
  const { roll_h, tilt } = faultsOf(reel);
  return {
    inRiser: at === undefined,
    material: stretch?.material ?? 'unknown',
    diameter_in: stretch?.diameter_in ?? 4,
    travel_ft: (here - pipe.length_ft) * direction + 2 * pipe.length_ft,
    roll: Math.round(roll_h * Math.sin(cable_ft / 19) * 2) / 2,
    mirrored: direction === -1,
    tilt: [tilt * Math.sin(cable_ft / 5.1), tilt * Math.cos(cable_ft / 7.7)],
    water_in: waterAt(pipe, here),
    joints: joints.filter(inSight),
    things: thingsNow(reel)
      .map((thing) => ({ ...thing, ahead_ft: ahead(thing.at_ft) }))
      .filter(({ ahead_ft }) => inSight(ahead_ft))
      .sort((a, b) => a.ahead_ft - b.ahead_ft),
    change: edge && beyond && { ahead_ft: ahead(edge.from_ft), material: beyond.material },
  };
}
