import { freeId } from '../../core/job/free-id.js';
import { assumedSurface, type SurfaceKind } from '../../core/catalog/surfaces.js';
import type { LineHead } from '../../core/job/schema.js';
import type { OwnerKind } from '../../core/job/vocabulary.js';
import type { HeldStretch } from '../../core/line/edit-stretches.js';
import type { Interval } from '../../core/line/intervals.js';
import type { LineView } from '../../core/views/line-view.js';

/** The lists of a line shown on the strip and in its tables. */
export const listNames = [
  'points',
  'surfaces',
  'owners',
  'noDig',
  'crossings',
  'depths',
  'ground',
  'marks',
] as const;
export type ListName = (typeof listNames)[number];

/** One thing on the strip: its list and row. */
export interface Chosen {
  readonly list: ListName;
  readonly index: number;
}

export const listWords: Readonly<Record<ListName, { readonly many: string; readonly one: string }>> = {
  points: { many: 'Points', one: 'point' },
  surfaces: { many: 'Surfaces', one: 'surface' },
  owners: { many: 'Owners', one: 'owner' },
  noDig: { many: 'No dig', one: 'no-dig stretch' },
  crossings: { many: 'Crossings', one: 'crossing' },
  depths: { many: 'Depths', one: 'depth' },
  ground: { many: 'Ground', one: 'ground elevation' },
  marks: { many: 'Marks', one: 'mark' },
};

/** Stations of everything an end of a stretch can be attached to. */
export function stationsOf(view: LineView): Map<string, { from_ft: number; to_ft: number }> {
  const stations = new Map<string, { from_ft: number; to_ft: number }>();
  for (const row of view.rows) {
    if (!row.station) continue;
    const at = { from_ft: row.station.value, to_ft: row.to_ft ?? row.station.value };
    for (const id of [row.entry.id, ...row.readings.map(({ entry }) => entry)]) stations.set(id, at);
  }
  for (const { id, station } of view.points)
    stations.set(id, { from_ft: station.value, to_ft: station.value });
  return stations;
}

/** Where a stretch lies, ft; the ends of the line where what it is attached to has no place. */
export function resolver(view: LineView): (stretch: HeldStretch) => { from_ft: number; to_ft: number } {
  const stations = stationsOf(view);
  return ({ from_ft, to_ft, from, to }) => ({
    from_ft: from_ft ?? (from === undefined ? undefined : stations.get(from)?.from_ft) ?? view.from_ft,
    to_ft: to_ft ?? (to === undefined ? undefined : stations.get(to)?.to_ft) ?? view.to_ft,
  });
}

/** Lists of measured things: the measurement is requested before there is a row. */
export const measuredLists: Partial<Record<ListName, { readonly label: string; readonly least: number }>> = {
  depths: { label: 'Depth of the invert there, ft', least: 0 },
  ground: { label: 'Elevation of the ground there, ft', least: -10_000 },
};

/** Values required for a new thing before it gets a row: its measurement, or what it is. */
export interface Said {
  readonly measured_ft?: number;
  readonly surface?: SurfaceKind;
  readonly owner?: OwnerKind;
}

/** Length of a stretch added by pointing, ft. */
const newStretch_ft = 5;

/** Where a stretch added at a station lies, ft. */
export function newStretch(at_ft: number, view: LineView): Interval {
  const from_ft = Math.round(at_ft * 2) / 2;
  return { from_ft, to_ft: Math.min(view.to_ft, from_ft + newStretch_ft) };
}

/** A new thing of a list at a station of the strip, claiming nothing that was not shown or entered there. */
export function withNew(
  head: LineHead,
  list: ListName,
  at_ft: number,
  view: LineView,
  { measured_ft = 0, surface = assumedSurface, owner = 'unknown' }: Said = {},
): { head: LineHead; index: number } {
  const station = Math.round(at_ft * 2) / 2;
  const span = newStretch(at_ft, view);
  const add = <L extends ListName>(item: NonNullable<LineHead[L]>[number]) => {
    const items = [...(head[list] ?? []), item];
    return { head: { ...head, [list]: items }, index: items.length - 1 };
  };
  switch (list) {
    case 'points': {
      const id = freeId(
        head.points.map((point) => point.id),
        'P',
      );
      // Dropped on the drawing, not taped: good to about 3 ft until somebody measures it.
      return add<'points'>({
        id,
        kind: 'other',
        name: `point ${id.slice(1)}`,
        station_ft: station,
        plusMinus_ft: 3,
      });
    }
    case 'surfaces':
      return add<'surfaces'>({ ...span, kind: surface });
    case 'owners':
      return add<'owners'>({ ...span, owner });
    case 'noDig':
      return add<'noDig'>(span);
    case 'crossings':
      return add<'crossings'>({ station_ft: station, utility: 'unknown' });
    case 'depths':
      return add<'depths'>({ station_ft: station, invert_ft: measured_ft });
    case 'ground':
      return add<'ground'>({ station_ft: station, elevation_ft: measured_ft });
    case 'marks': {
      const id = freeId(head.marks?.map((mark) => mark.id) ?? [], 'K');
      return add<'marks'>({ id, name: `mark ${id.slice(1)}` });
    }
  }
}
