import { sameStation_ft } from '../units.js';
import type { Interval } from '../line/intervals.js';
import { isInsertionPoint } from '../methods/entry.js';
import { num, over, runningSums } from '../search/columns.js';
import type { Track } from '../track/track.js';

/** One cleaning visit: from the tool's insertion point to past the farthest place to be cleaned. */
export interface CleaningVisit extends Interval {
  /** The tool's insertion point; undefined where no access point takes it. */
  readonly access?: string;
  /** Whether an access point large enough and close enough for the tool was found. */
  readonly fits: boolean;
}

/** Cost of cleaning on a line, and from where. */
export interface Cleaning {
  /** The cheapest visit that covers everything between two fine breaks. */
  visitTo: (start: number, end: number) => CleaningVisit;
  /** Its cost without setup: in millionths with markup and tax, and raw. */
  costOf: (visit: Interval) => number;
  rawCostOf: (visit: Interval) => number;
}

interface Inlet {
  readonly id: string;
  readonly at_ft: number;
  readonly upstream: boolean;
  readonly downstream: boolean;
  readonly fits: boolean;
}

export function cleaningOf(track: Track, money: (raw: number) => number): Cleaning {
  const { cells, breaks, prices } = track;
  const rawAt = (i: number) => {
    const cell = cells[i];
    if (!cell) return 0;
    return (cell.to_ft - cell.from_ft) * (cell.descale ? prices.descaling_per_ft : prices.cleaning_per_ft);
  };
  const running = runningSums(cells.length, (i) => money(rawAt(i)));
  const raw = runningSums(cells.length, rawAt);
  const indexAt = (x: number) => {
    const found = breaks.findIndex((each) => each >= x - sameStation_ft);
    return found < 0 ? cells.length : found;
  };
  const costOf = ({ from_ft, to_ft }: Interval) => over(running, indexAt(from_ft), indexAt(to_ft));
  const rawCostOf = ({ from_ft, to_ft }: Interval) => over(raw, indexAt(from_ft), indexAt(to_ft));
  const ways = inletsFor(track);
  return {
    costOf,
    rawCostOf,
    visitTo: (start, end) => {
      const [from_ft, to_ft] = [num(breaks, start), num(breaks, end)];
      const visits = ways
        .filter((inlet) => reaches(inlet, from_ft, to_ft, track))
        .map(({ id, at_ft, fits }): CleaningVisit => ({
          from_ft: Math.min(at_ft, from_ft),
          to_ft: Math.max(at_ft, to_ft),
          access: id,
          fits,
        }))
        .sort((a, b) => Number(b.fits) - Number(a.fits) || costOf(a) - costOf(b));
      return visits[0] ?? { from_ft, to_ft, fits: false };
    },
  };
}

/** Access points that take the tool; where there are none, those the camera used. */
function inletsFor({ model, cells }: Track): Inlet[] {
  const boreBeside = (x: number, goes: 'upstream' | 'downstream') =>
    (goes === 'upstream'
      ? cells.findLast(({ to_ft }) => to_ft <= x + sameStation_ft)
      : cells.find(({ from_ft }) => from_ft >= x - sameStation_ft)
    )?.pipe.diameter_in ?? 0;
  const fitting = model.points.flatMap((placed): Inlet[] => {
    const at_ft = placed.at.station_ft;
    const goes = (way: 'upstream' | 'downstream') =>
      isInsertionPoint(placed, way, boreBeside(at_ft, way), model);
    const [upstream, downstream] = [goes('upstream'), goes('downstream')];
    return upstream || downstream ? [{ id: placed.point.id, at_ft, upstream, downstream, fits: true }] : [];
  });
  const used = new Set(model.line.runs.map(({ access }) => access));
  const others = model.points
    .filter(({ point }) => used.has(point.id) && !fitting.some(({ id }) => id === point.id))
    .map(({ point, at }): Inlet => ({
      id: point.id,
      at_ft: at.station_ft,
      upstream: true,
      downstream: true,
      fits: false,
    }));
  return [...fitting, ...others];
}

function reaches(
  { at_ft, upstream, downstream }: Inlet,
  from_ft: number,
  to_ft: number,
  { rules }: Track,
): boolean {
  const up = at_ft - from_ft;
  const down = to_ft - at_ft;
  const most = rules.cleaningReach_ft + sameStation_ft;
  return (
    (up <= sameStation_ft || (upstream && up <= most)) &&
    (down <= sameStation_ft || (downstream && down <= most))
  );
}
