import {
  cleanoutRepairs,
  missingCleanouts,
  riserLength,
  type CleanoutStatus,
} from '../cleanouts/cleanouts.js';
import type { Hole } from '../excavation/hole.js';
import type { PitPieces } from '../excavation/hole-costs.js';
import { excavationDrafts, leastPublic_ft } from '../excavation/hole-drafts.js';
import { holeQuantities } from '../excavation/quantities.js';
import { sameStation_ft } from '../job/units.js';
import { overlap, type Interval } from '../line/intervals.js';
import { priced, type PriceLine } from '../price/price-line.js';
import type { Track } from '../track/track.js';
import type { Layout } from './layout.js';
import type { Possible } from './possible.js';

/** One cleanout of the scope: what is done, where, why, and in which open hole. */
export interface CleanoutWork {
  readonly station_ft: number;
  readonly status: CleanoutStatus;
  readonly why: string;
  /** The hole that is open there anyway; null where it gets one of its own. */
  readonly in: string | null;
  readonly riser_ft: number;
  readonly prices: readonly PriceLine[];
}

/** A hole that shares less than this with a cleanout's stretch is not counted as open there, ft. */
const leastShared_ft = 0.5;

/**
 * Cleanouts after the search: what is wrong with those there, then the missing ones, first in holes that are open
 * anyway, else at the cheapest ground that satisfies the rule. A house may ask for one on every job that digs.
 */
export function cleanoutWork(possible: Possible, layout: Layout): CleanoutWork[] {
  const { model, rules } = possible.track;
  const missing = missingCleanouts(model, rules).flatMap(
    (stretch) => newCleanout(possible, layout, stretch, stretch.why) ?? [],
  );
  const [first] = layout.holes;
  const asked =
    rules.addCleanout === 'every-job' && missing.length === 0 && first
      ? newCleanout(possible, layout, first, 'the house adds one on every job')
      : undefined;
  return [...repairs(possible.track), ...missing, ...(asked ? [asked] : [])];
}

const repairs = (track: Track): CleanoutWork[] =>
  cleanoutRepairs(track.model).flatMap(({ station_ft, work, why }) =>
    work.map((status) => ({
      station_ft,
      status,
      why,
      in: null,
      riser_ft: 0,
      prices: fitting(track, status, `${station_ft.toFixed(1)} ft`),
    })),
  );

const fitting = ({ model, prices }: Track, status: CleanoutStatus, at: string): PriceLine[] =>
  priced(model.line.id, prices, [
    {
      action: null,
      what: `Cleanout ${status}, ${at}`,
      quantity: 1,
      unit: 'each',
      rate: prices.cleanout_each[status] ?? 0,
      from: `cleanout_each.${status}`,
    },
  ]);

/** A new cleanout somewhere in a stretch; undefined where none can be dug in. */
function newCleanout(
  possible: Possible,
  { holes }: Layout,
  stretch: Interval,
  why: string,
): CleanoutWork | undefined {
  const { track } = possible;
  const open = holes.find((hole) => overlap(hole, stretch) > leastShared_ft);
  const site = open ? inHole(open, stretch) : cheapestGround(possible, stretch);
  if (!site) return undefined;
  const { station_ft } = site;
  const at = `${station_ft.toFixed(1)} ft`;
  return {
    station_ft,
    status: 'new',
    why,
    in: open?.id ?? null,
    riser_ft: riserLength(track.model.profile.depth(station_ft)),
    prices: [
      ...fitting(track, 'new', open ? `${at}, in hole ${open.id}` : at),
      ...(site.pit ? pitPrices(track, site.pit, at) : []),
    ],
  };
}

interface Ground {
  readonly station_ft: number;
  readonly pit?: PitPieces;
}

const inHole = (hole: Hole, stretch: Interval): Ground => ({
  station_ft: (Math.max(hole.from_ft, stretch.from_ft) + Math.min(hole.to_ft, stretch.to_ft)) / 2,
});

function cheapestGround({ track, holes }: Possible, stretch: Interval): Ground | undefined {
  const sites = track.boundaries.flatMap((fine) => {
    const x = track.breaks[fine] ?? 0;
    const inside = x >= stretch.from_ft - sameStation_ft && x <= stretch.to_ft + sameStation_ft;
    const pit = inside ? holes.pit(fine, 'launch') : undefined;
    if (!pit) return [];
    const isPublic = pit.open.public_ft + pit.close.public_ft > leastPublic_ft;
    const cost = pit.open.cost + pit.close.cost + (isPublic ? track.prices.permit_per_hole : 0);
    return [{ station_ft: x, pit, cost }];
  });
  return sites.sort((a, b) => a.cost - b.cost || a.station_ft - b.station_ft)[0];
}

const pitPrices = (track: Track, pit: PitPieces, at: string): PriceLine[] =>
  priced(
    track.model.line.id,
    track.prices,
    excavationDrafts(holeQuantities(track, pit, 'launch'), track.prices, null, `cleanout at ${at}`),
  );
