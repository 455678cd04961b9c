import type { Pin } from '../job/schema.js';
import { sameStation_ft } from '../units.js';
import type { Method } from '../job/vocabulary.js';
import { overlap, type Interval } from '../line/intervals.js';
import { resolveStretch, type LineModel } from '../line/model.js';
import { everyMethod, methodBit, methodRegistry, methodRow } from '../methods/index.js';
import { int } from '../search/columns.js';
import { stationOf, type Track } from '../track/track.js';

/** Restriction from a pin, or from a question put to the search, on a stretch. */
export interface Restriction extends Interval {
  /** Bit mask of the methods allowed on every cell it overlaps. */
  readonly allowed: number;
  /** No action runs past `from_ft` in one piece. */
  readonly split?: boolean;
  /** Its name when it blocks something; a plain pin is named by its two ends. */
  readonly says?: string;
}

/** Overlaps only the cell next to a pin's end, ft. */
const beside_ft = 0.02;

const without = (these: readonly Method[]): number =>
  these.reduce((mask, method) => mask & ~methodBit(method), everyMethod());

/** Methods whose actions would merge with this method's where they touch. */
function alike(method: Method): Method[] {
  const kind = methodRow(method).work?.kind;
  return methodRegistry.rows.flatMap(({ id, work }) => (kind && work?.kind === kind ? [id] : []));
}

/**
 * Pins as restrictions: a pin with a method forces it, one with `never` forbids those methods, one with `split` lets no
 * action run past. Where a pinned action ends, the next cell takes no method of its kind, or the two would merge.
 */
export function restrictionsOf(pins: readonly Pin[] | undefined, model: LineModel): Restriction[] {
  return (pins ?? []).flatMap((pin): Restriction[] => {
    const at = withinLine(resolveStretch(pin, model.survey, model.line.end), model);
    if (pin.split) {
      const says = `the split at ${at.from_ft.toFixed(1)} ft`;
      return [{ ...at, allowed: everyMethod(), split: true, says }];
    }
    const { method } = pin;
    if (method === undefined) return [{ ...at, allowed: without(pin.never ?? []) }];
    const ends = (pin.endsHere ?? []).map((end): Restriction => {
      const x = end === 'from' ? at.from_ft : at.to_ft;
      return {
        from_ft: end === 'from' ? x - beside_ft : x,
        to_ft: end === 'from' ? x : x + beside_ft,
        allowed: without(alike(method)),
        says: `the pinned end at ${x.toFixed(1)} ft`,
      };
    });
    return [{ ...at, allowed: methodBit(method) }, ...ends];
  });
}

const withinLine = ({ from_ft, to_ft }: Interval, { extent }: LineModel): Interval => ({
  from_ft: Math.min(from_ft, extent.to_ft),
  to_ft: Math.min(to_ft, extent.to_ft),
});

/** Forbids a method on every cell of a stretch. */
export const forbidding = (method: Method, { from_ft, to_ft }: Interval): Restriction => ({
  from_ft,
  to_ft,
  allowed: without([method]),
});

/**
 * Methods each cell may take: restrictions applied to the masks of the track's obligations. A pin made from a scope file,
 * whose stations are rounded, is not one on the next cell as well.
 */
export function allowedUnder(
  { cells }: Track,
  masks: Int32Array,
  restrictions: readonly Restriction[],
): Int32Array {
  if (restrictions.length === 0) return masks;
  const allowed = Int32Array.from(masks);
  for (const pin of restrictions) {
    cells.forEach((cell, i) => {
      if (overlap(cell, pin) > Math.min(sameStation_ft, (cell.to_ft - cell.from_ft) / 2)) {
        allowed[i] = int(allowed, i) & pin.allowed;
      }
    });
  }
  return allowed;
}

/** The boundary nearest to each split. */
export function splitBoundaries(track: Track, restrictions: readonly Restriction[]): number[] {
  const away = (boundary: number, x: number) => Math.abs(stationOf(track, boundary) - x);
  return restrictions
    .filter(({ split }) => split)
    .map(({ from_ft }) =>
      track.boundaries.reduce((best, _, b) => (away(b, from_ft) < away(best, from_ft) ? b : best), 0),
    );
}
