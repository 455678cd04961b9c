import { pipes, type SimulatedPipe, type SimulatedThing } from './pipes.js';

/** Where the head is, and how it got there. Distances in ft along the cable from the cap of the access. */
export interface Reel {
  readonly pipe: SimulatedPipe;
  readonly access: SimulatedPipe['accesses'][number];
  readonly direction: 1 | -1;
  readonly cable_ft: number;
  readonly pushing: boolean;
  /** What the counter showed when it was last zeroed. */
  readonly zero_ft: number;
}

/** The counter's scale: it counts a little short, as a worn wheel does. */
const scale = 1.006;
/** Pushed, the cable bows in the pipe: so much more of it goes in than the head goes forward. */
const bow = 0.008;
const sight_ft = 7;
/** The head stops before the bore is full. */
const stopsAt_percent = 60;

export function enter(pipeId: string, accessId: string, direction: 1 | -1): Reel | undefined {
  const pipe = pipes.find(({ id }) => id === pipeId);
  const access = pipe?.accesses.find(({ id }) => id === accessId);
  return pipe && access ? { pipe, access, direction, cable_ft: 0, pushing: true, zero_ft: 0 } : undefined;
}

/** What the counter shows now, ft to a tenth: its scale, the bow of a pushed cable and a slow wobble in it. */
export const readingOf = (reel: Reel): number => Math.round((counted(reel) - reel.zero_ft) * 10) / 10;

function counted({ cable_ft, pushing }: Reel): number {
  const wobble = 0.15 * Math.sin(cable_ft / 6.3);
  return (cable_ft * (pushing ? 1 + bow : 1) + wobble) / scale;
}

export const zeroHere = (reel: Reel): Reel => ({ ...reel, zero_ft: counted(reel) });

/** Station of the head, ft; undefined while it is still in the riser. */
export function headAt({ access, direction, cable_ft }: Reel): number | undefined {
  const past = cable_ft - access.riser_ft;
  return past < -1e-9 ? undefined : access.at_ft + direction * past;
}

/** Pushes (+) or pulls (−) the cable, as far as it goes; says what stopped it. */
export function move(reel: Reel, by_ft: number): { reel: Reel; stoppedBy: string | undefined } {
  const { pipe, access, direction } = reel;
  const end = direction === 1 ? pipe.length_ft : 0;
  const block = pipe.things
    .filter(({ what, percent }) => what === 'roots' && (percent ?? 0) >= stopsAt_percent)
    .map(({ at_ft }) => (at_ft - access.at_ft) * direction)
    .filter((ahead) => ahead > 0)
    .sort((a, b) => a - b)[0];
  const most = access.riser_ft + Math.min(Math.abs(end - access.at_ft), block ?? Infinity);
  const cable_ft = Math.min(most, Math.max(0, reel.cable_ft + by_ft));
  const stoppedBy =
    cable_ft < most - 1e-9 ? undefined : block === undefined ? (direction === 1 ? 'main' : 'end') : 'roots';
  return { reel: { ...reel, cable_ft, pushing: by_ft > 0 }, stoppedBy };
}

/** Depth of the invert under the head as a locator shows it: a few percent off, ft. */
export function locatedDepth(reel: Reel): number | undefined {
  const at = headAt(reel);
  if (at === undefined) return undefined;
  const [up, down] = reel.pipe.depth_ft;
  const depth = up + ((down - up) * at) / reel.pipe.length_ft;
  return Math.round(depth * (1 + 0.05 * Math.sin(at)) * 10) / 10;
}

/** What the lens shows: everything within sight, nearest first, with how far ahead it is, ft. */
export interface Picture {
  readonly inRiser: boolean;
  readonly material: string;
  readonly diameter_in: number;
  /** Hours by which the picture is turned: water lies at 6 + roll on the screen. */
  readonly roll: number;
  /** Left and right change places for a head looking upstream. */
  readonly mirrored: boolean;
  readonly water_in: number;
  readonly joints: readonly number[];
  readonly things: readonly (SimulatedThing & { readonly ahead_ft: number })[];
  /** A change of material ahead. */
  readonly change?: { readonly ahead_ft: number; readonly material: string } | undefined;
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
  const sag = pipe.sags.find(({ from_ft, to_ft }) => here >= from_ft && here <= to_ft);
  return {
    inRiser: at === undefined,
    material: stretch?.material ?? 'unknown',
    diameter_in: stretch?.diameter_in ?? 4,
    roll: Math.round(1.4 * Math.sin(cable_ft / 19) * 2) / 2,
    mirrored: direction === -1,
    water_in: sag ? sag.inches : 0.15,
    joints: joints.filter(inSight),
    things: pipe.things
      .map((thing) => ({ ...thing, ahead_ft: ahead(thing.at_ft) }))
      .filter(({ ahead_ft }) => inSight(ahead_ft))
      .sort((a, b) => a.ahead_ft - b.ahead_ft),
    change: edge && beyond && { ahead_ft: ahead(edge.from_ft), material: beyond.material },
  };
}
