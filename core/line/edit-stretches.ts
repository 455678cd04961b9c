import { tolerance } from '../units.js';
/** A stretch as entered: each end in feet, or attached to the id of a thing it moves with. */
export interface HeldStretch {
  readonly from_ft?: number | undefined;
  readonly to_ft?: number | undefined;
  readonly from?: string | undefined;
  readonly to?: string | undefined;
}

/** One end of a stretch: feet, or the thing it is attached to. */
export type End = { readonly feet: number } | { readonly thing: string; readonly feet: number };

/** A dragged end snaps to a thing within this distance, ft. */
const snap_ft = 0.6;
const grain_ft = 0.5;

/** Where a dragged end lands: attached to a nearby thing, else at the nearest half foot. */
export function snapEnd(
  feet: number,
  things: readonly { readonly id: string; readonly station_ft: number }[],
): End {
  const near = things
    .map((thing) => ({ thing, away: Math.abs(thing.station_ft - feet) }))
    .sort((a, b) => a.away - b.away)[0];
  if (near && near.away <= snap_ft) return { thing: near.thing.id, feet: near.thing.station_ft };
  return { feet: Math.round(feet / grain_ft) * grain_ft };
}

/** The stretch with one end moved; a move past the other end changes nothing. */
export function moveEnd<T extends HeldStretch>(
  stretch: T,
  end: 'from' | 'to',
  to: End,
  resolve: (stretch: HeldStretch) => { readonly from_ft: number; readonly to_ft: number },
): T {
  const { from_ft: oldFrom_ft, to_ft: oldTo_ft, from: oldFrom, to: oldTo, ...rest } = stretch;
  const kept = end === 'from' ? { to_ft: oldTo_ft, to: oldTo } : { from_ft: oldFrom_ft, from: oldFrom };
  const moved = {
    ...rest,
    ...Object.fromEntries(Object.entries(kept).filter(([, value]) => value !== undefined)),
    ...('thing' in to ? { [end]: to.thing } : { [`${end}_ft`]: to.feet }),
  } as unknown as T;
  const { from_ft, to_ft } = resolve(moved);
  return from_ft <= to_ft ? moved : stretch;
}

/** Moves the edge that two neighbors share, or a free end; stretches in order of their stations. */
export function moveEdge<T extends HeldStretch>(
  all: readonly T[],
  index: number,
  end: 'from' | 'to',
  to: End,
  resolve: (stretch: HeldStretch) => { readonly from_ft: number; readonly to_ft: number },
): T[] {
  const dragged = all[index];
  if (!dragged) return [...all];
  const edge = resolve(dragged)[`${end}_ft`];
  const other = end === 'from' ? 'to' : 'from';
  const touching = all.map(
    (each, i) => i !== index && Math.abs(resolve(each)[`${other}_ft`] - edge) < tolerance.ft,
  );
  const moved = all.map((each, i) =>
    i === index ? moveEnd(each, end, to, resolve) : touching[i] ? moveEnd(each, other, to, resolve) : each,
  );
  // If one cannot follow, none moves: a drag never creates a gap or an overlap.
  const stuck = moved.some((each, i) => (i === index || touching[i]) && each === all[i]);
  return stuck ? [...all] : moved;
}

/** Splits the stretch that covers a station; `make` changes the downstream part. */
export function splitAt<T extends HeldStretch>(
  all: readonly T[],
  at: End,
  make: (stretch: T) => T,
  resolve: (stretch: HeldStretch) => { readonly from_ft: number; readonly to_ft: number },
): T[] | undefined {
  const index = all.findIndex((each) => {
    const { from_ft, to_ft } = resolve(each);
    return from_ft < at.feet - tolerance.ft && to_ft > at.feet + tolerance.ft;
  });
  const whole = all[index];
  if (!whole) return undefined;
  const upstream = moveEnd(whole, 'to', at, resolve);
  const downstream = make(moveEnd(whole, 'from', at, resolve));
  return [...all.slice(0, index), upstream, downstream, ...all.slice(index + 1)];
}
