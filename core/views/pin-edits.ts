import { tolerance } from '../units.js';
import { freeId } from '../job/free-id.js';
import type { Pin } from '../job/schema.js';
import type { Method } from '../job/vocabulary.js';
import { overlap, type Interval } from '../line/intervals.js';

/** A pin with its current stations; one attached to things moves with them. */
export type PlacedPin = Interval & { readonly pin: Pin };

/** A stretch of the scope being edited: its extent and its method. */
export type PinnedStretch = Interval & { readonly method: Method };

/** The pins of a line, and the longest spot repair on it, ft: house rule. */
export interface PinnedLine {
  readonly pins: readonly PlacedPin[];
  readonly spotMost_ft: number;
}

/** A dig is a spot repair up to the longest allowed, and an open cut beyond; other methods stay what they are. */
function methodFor(method: Method, length_ft: number, spotMost_ft: number): Method {
  if (method !== 'spot' && method !== 'open-cut') return method;
  return length_ft <= spotMost_ft + tolerance.ft ? 'spot' : 'open-cut';
}

/** Pins after an end of a stretch was moved: the stretch is pinned, and has to end there. */
export function withEndMoved(
  { pins, spotMost_ft }: PinnedLine,
  held: PinnedStretch,
  end: 'from' | 'to',
  to_ft: number,
): Pin[] {
  const stretch = end === 'from' ? { from_ft: to_ft, to_ft: held.to_ft } : { from_ft: held.from_ft, to_ft };
  const method = methodFor(held.method, stretch.to_ft - stretch.from_ft, spotMost_ft);
  const known = pinOf(pins, held);
  const endsHere = [...new Set([...(known?.pin.endsHere ?? []), end])].sort();
  return withPin(
    pins.filter((each) => each !== known),
    stretch,
    { method, endsHere },
    known?.pin.id,
  );
}

/** Pins after another method was chosen for a stretch. */
export function withMethod({ pins, spotMost_ft }: PinnedLine, held: Interval, method: Method): Pin[] {
  return withPin(pins, held, { method: methodFor(method, held.to_ft - held.from_ft, spotMost_ft) });
}

/** Pins after a stretch was joined with its neighbor: one method over both, and over whatever lies between. */
export function withJoined({ pins, spotMost_ft }: PinnedLine, held: PinnedStretch, other: Interval): Pin[] {
  const whole = {
    from_ft: Math.min(held.from_ft, other.from_ft),
    to_ft: Math.max(held.to_ft, other.to_ft),
  };
  const within = pins.filter(
    ({ pin, from_ft }) =>
      !(pin.split && from_ft > whole.from_ft + tolerance.ft && from_ft < whole.to_ft - tolerance.ft),
  );
  return withMethod({ pins: within, spotMost_ft }, whole, held.method);
}

/** Pins after a liner or burst was split: no piece runs past the station. */
export function withSplit(pins: readonly PlacedPin[], station_ft: number): Pin[] {
  const id = freeId(idsOf(pins), 'pin');
  return [...pins.map(({ pin }) => pin), { id, from_ft: station_ft, to_ft: station_ft, split: true }];
}

/** Every pin that overlaps a stretch, for removal. */
export function pinsOn(pins: readonly PlacedPin[], stretch: Interval): PlacedPin[] {
  return pins.filter((each) =>
    each.pin.split
      ? each.from_ft >= stretch.from_ft - tolerance.ft && each.from_ft <= stretch.to_ft + tolerance.ft
      : overlap(each, stretch) > tolerance.ft,
  );
}

export const without = (pins: readonly PlacedPin[], lifted: readonly PlacedPin[]): Pin[] =>
  pins.filter((each) => !lifted.includes(each)).map(({ pin }) => pin);

/** The pin on exactly this stretch. */
const pinOf = (pins: readonly PlacedPin[], held: PinnedStretch): PlacedPin | undefined =>
  pins.find(
    ({ pin, ...at }) =>
      pin.method !== undefined &&
      overlap(at, held) > 0.9 * (held.to_ft - held.from_ft) &&
      overlap(at, held) > 0.9 * (at.to_ft - at.from_ft),
  );

const idsOf = (pins: readonly PlacedPin[]): string[] => pins.flatMap(({ pin }) => pin.id ?? []);

/** A new pin over a stretch; older pins yield wherever it overlaps them. */
function withPin(
  pins: readonly PlacedPin[],
  stretch: Interval,
  says: Pick<Pin, 'method' | 'endsHere'>,
  id = freeId(idsOf(pins), 'pin'),
): Pin[] {
  const taken = new Set([...idsOf(pins), id]);
  const newId = () => {
    const made = freeId(taken, 'pin');
    taken.add(made);
    return made;
  };
  const older = pins.flatMap((each): Pin[] => {
    const { pin } = each;
    if (pin.split || overlap(each, stretch) <= tolerance.ft) return [pin];
    if (pin.never && says.method !== undefined && !pin.never.includes(says.method)) return [pin];
    const { id: own, from: _from, to: _to, from_ft: _a, to_ft: _b, endsHere, ...rest } = pin;
    /** What remains of the older pin on one side, with its own end. */
    const kept = (part: Interval, end: 'from' | 'to', name: string | undefined): Pin[] => {
      if (part.to_ft - part.from_ft <= tolerance.ft) return [];
      const ends = endsHere?.filter((side) => side === end) ?? [];
      return [
        {
          ...(name === undefined ? {} : { id: name }),
          ...rest,
          ...part,
          ...(ends.length > 0 ? { endsHere: ends } : {}),
        },
      ];
    };
    const before = { from_ft: each.from_ft, to_ft: Math.min(each.to_ft, stretch.from_ft) };
    const after = { from_ft: Math.max(each.from_ft, stretch.to_ft), to_ft: each.to_ft };
    const first = kept(before, 'from', own);
    return [...first, ...kept(after, 'to', own === undefined || first.length === 0 ? own : newId())];
  });
  const { endsHere, ...rest } = says;
  const { from_ft, to_ft } = stretch;
  return [
    ...older,
    { id, from_ft, to_ft, ...rest, ...(endsHere && endsHere.length > 0 ? { endsHere } : {}) },
  ];
}
