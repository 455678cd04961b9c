import {
  cleanoutRepairs,
  missingCleanouts,
  riserLength,
  type CleanoutStatus,
} from '../cleanouts/cleanouts.js';
import { overlap } from '../line/intervals.js';
import type { Possible } from './edges.js';
import { holeQuantities } from './hole-costs.js';
import type { Layout } from './layout.js';
import { excavationDrafts } from './hole-drafts.js';
import { amounts, type PriceLine } from './price-lines.js';

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

/**
 * Cleanouts after the search: what is wrong with those there, then the missing ones, first in holes that are open
 * anyway, else at the cheapest ground that satisfies the rule. A house may ask for one on every job that digs.
 */
export function cleanoutWork(possible: Possible, layout: Layout): CleanoutWork[] {
  const { track } = possible;
  const { model, rules, prices } = track;
  const line = model.line.id;
  const rate = (status: CleanoutStatus) => prices.cleanout_each[status] ?? 0;
  const fitting = (status: CleanoutStatus, at: string): PriceLine[] =>
    amounts(line, prices, [
      {
        action: null,
        what: `Cleanout ${status}, ${at}`,
        quantity: 1,
        unit: 'each',
        rate: rate(status),
        from: `cleanout_each.${status}`,
      },
    ]);
  const repairs = cleanoutRepairs(model).flatMap(({ station_ft, work, why }) =>
    work.map((status): CleanoutWork => ({
      station_ft,
      status,
      why,
      in: null,
      riser_ft: 0,
      prices: fitting(status, `${station_ft.toFixed(1)} ft`),
    })),
  );
  const placeNew = (window: { from_ft: number; to_ft: number }, why: string): CleanoutWork | undefined => {
    const open = layout.holes.find((hole) => overlap(hole, window) > 0.5);
    if (open) {
      const station_ft = (Math.max(open.from_ft, window.from_ft) + Math.min(open.to_ft, window.to_ft)) / 2;
      return {
        station_ft,
        status: 'new',
        why,
        in: open.id,
        riser_ft: riserLength(model.profile.depth(station_ft)),
        prices: fitting('new', `${station_ft.toFixed(1)} ft, in hole ${open.id}`),
      };
    }
    const sites = track.boundaries.flatMap((fine) => {
      const x = track.breaks[fine] ?? 0;
      const pit =
        x >= window.from_ft - 0.01 && x <= window.to_ft + 0.01
          ? possible.holes.pit(fine, 'launch')
          : undefined;
      if (!pit) return [];
      const public_ft = pit.open.public_ft + pit.close.public_ft;
      const cost = pit.open.cost + pit.close.cost + (public_ft > 1e-6 ? prices.permit_per_hole : 0);
      return [{ x, pit, cost }];
    });
    const [best] = sites.sort((a, b) => a.cost - b.cost || a.x - b.x);
    if (!best) return undefined;
    return {
      station_ft: best.x,
      status: 'new',
      why,
      in: null,
      riser_ft: riserLength(model.profile.depth(best.x)),
      prices: [
        ...fitting('new', `${best.x.toFixed(1)} ft`),
        ...amounts(
          line,
          prices,
          excavationDrafts(
            holeQuantities(track, best.pit, 'launch'),
            prices,
            null,
            `cleanout at ${best.x.toFixed(1)} ft`,
          ),
        ),
      ],
    };
  };
  const missing = missingCleanouts(model, rules).flatMap((window) => placeNew(window, window.why) ?? []);
  const [first] = layout.holes;
  const asked =
    rules.addCleanout === 'every-job' && missing.length === 0 && first
      ? placeNew(first, 'the house adds one on every job')
      : undefined;
  return [...repairs, ...missing, ...(asked ? [asked] : [])];
}
