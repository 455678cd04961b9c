import {
  cleanoutRepairs,
  missingCleanouts,
  riserLength,
  type CleanoutStatus,
  type MissingCleanout,
} from '../cleanouts/cleanouts.js';
import { holeLetter } from '../excavation/hole.js';
import type { AlonePit } from '../excavation/hole-costs.js';
import { excavationDrafts, withPermit } from '../excavation/hole-drafts.js';
import { holeQuantities } from '../excavation/quantities.js';
import { sayPoint } from '../job/point-words.js';
import { sameStation_ft } from '../units.js';
import type { LineModel } from '../line/model.js';
import { overlap, type Interval } from '../line/intervals.js';
import { priced, type PriceLine } from '../price/price-line.js';
import type { Track } from '../track/track.js';
import type { Layout } from './layout.js';
import type { Possible } from '../prepare/possible.js';

/** One cleanout of the scope: the work, where, why, and in which open excavation. */
export interface CleanoutWork {
  readonly station_ft: number;
  readonly status: CleanoutStatus;
  readonly why: string;
  /** Where that is, in words: "beside the house wall". */
  readonly place: string;
  /** The excavation already open there; null where it gets one of its own. */
  readonly in: string | null;
  readonly riser_ft: number;
  /** Not in the price: no work opens the line, and the company does not require one on every job. */
  readonly offered: boolean;
  readonly prices: readonly PriceLine[];
}

/** An excavation overlapping less than this with a cleanout's stretch does not count as open there, ft. */
const leastShared_ft = 0.5;

/**
 * Cleanouts, added after the search: repairs to existing ones, then the missing ones, first in excavations that are
 * open anyway, else at the cheapest ground that satisfies the rule. They are in the price where the work opens the line
 * or the company requires one on every job; otherwise each is an option.
 */
export function cleanoutWork(possible: Possible, layout: Layout): CleanoutWork[] {
  const { model, rules } = possible.track;
  const always = rules.addCleanout === 'every-job';
  const missing = missingCleanouts(model, rules).flatMap(
    (stretch) => newCleanout(possible, layout, stretch) ?? [],
  );
  const [first] = layout.holes;
  const middle_ft = first ? (first.from_ft + first.to_ft) / 2 : 0;
  const asked =
    always && missing.length === 0 && first
      ? newCleanout(possible, layout, {
          ...first,
          best_ft: middle_ft,
          why: 'the company adds one on every job',
        })
      : undefined;
  const opens = layout.actions.length > 0;
  return [...repairs(possible.track), ...missing, ...(asked ? [asked] : [])].map((each) => ({
    ...each,
    offered: !always && (!opens || each.optional === true),
  }));
}

type Laid = Omit<CleanoutWork, 'offered'> & { readonly optional?: boolean };

const repairs = (track: Track): Laid[] =>
  cleanoutRepairs(track.model).flatMap(({ station_ft, work, why, optional }) =>
    work.map((status) => ({
      station_ft,
      status,
      why,
      place: `at ${station_ft.toFixed(1)} ft`,
      in: null,
      riser_ft: 0,
      ...(optional ? { optional } : {}),
      prices: fitting(track, status, `${station_ft.toFixed(1)} ft`),
    })),
  );

const wallNear_ft = 6;

/** A place described by what is nearest on the line. */
export function placeInWords(model: LineModel, station_ft: number): string {
  const landmarks = model.points.filter(({ point }) =>
    ['building', 'cleanout', 'manhole', 'main', 'septic-tank', 'tie-in', 'property-line'].includes(
      point.kind,
    ),
  );
  const wall_ft =
    model.points.find(({ point }) => point.kind === 'building')?.at.station_ft ??
    model.surfaces.find(({ kind }) => kind === 'building')?.to_ft;
  if (wall_ft !== undefined && Math.abs(station_ft - wall_ft) <= wallNear_ft) return 'beside the house wall';
  const [nearest] = [...landmarks].sort(
    (a, b) => Math.abs(a.at.station_ft - station_ft) - Math.abs(b.at.station_ft - station_ft),
  );
  if (!nearest) return `${station_ft.toFixed(0)} ft down the line`;
  const away_ft = station_ft - nearest.at.station_ft;
  const name = `the ${sayPoint(nearest.point)}`;
  if (Math.abs(away_ft) < 1) return `at ${name}`;
  return `${Math.abs(away_ft).toFixed(0)} ft ${away_ft < 0 ? 'upstream' : 'downstream'} of ${name}`;
}

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
function newCleanout(possible: Possible, { holes }: Layout, stretch: MissingCleanout): Laid | undefined {
  const { track } = possible;
  const open = holes.find((hole) => overlap(hole, stretch) > leastShared_ft);
  const site = open ? inHole(open, stretch) : cheapestGround(possible, stretch);
  if (!site) return undefined;
  const { station_ft } = site;
  const at = `${station_ft.toFixed(1)} ft`;
  return {
    station_ft,
    status: 'new',
    why: stretch.why,
    place: placeInWords(track.model, station_ft),
    in: open?.id ?? null,
    riser_ft: riserLength(track.model.profile.depth(station_ft)),
    prices: [
      ...fitting(track, 'new', open ? `${at}, in excavation ${holeLetter(open.id)}` : at),
      ...(site.pit ? pitPrices(track, site.pit, at) : []),
    ],
  };
}

interface Ground {
  readonly station_ft: number;
  readonly pit?: Interval & AlonePit;
}

/** As close to the best spot as the open excavation allows. */
const inHole = (hole: Interval, stretch: MissingCleanout): Ground => ({
  station_ft: Math.min(
    Math.max(stretch.best_ft, hole.from_ft, stretch.from_ft),
    Math.min(hole.to_ft, stretch.to_ft),
  ),
});

function cheapestGround({ track, holes }: Possible, stretch: MissingCleanout): Ground | undefined {
  const sites = track.boundaries.flatMap((fine) => {
    const x = track.breaks[fine] ?? 0;
    const inside = x >= stretch.from_ft - sameStation_ft && x <= stretch.to_ft + sameStation_ft;
    const pit = inside && !isExposedAt(track, fine) ? holes.pit(fine, 'launch') : undefined;
    if (!pit?.alone) return [];
    const { alone, from_ft, to_ft } = pit;
    const away_ft = Math.abs(x - stretch.best_ft);
    return [
      { station_ft: x, pit: { ...alone, from_ft, to_ft }, cost: withPermit(alone, track.prices), away_ft },
    ];
  });
  return sites.sort((a, b) => a.cost - b.cost || a.away_ft - b.away_ft || a.station_ft - b.station_ft)[0];
}

/** Under the floor of a crawl space nobody digs a cleanout. */
const isExposedAt = ({ cells }: Track, fine: number): boolean =>
  [cells[fine - 1], cells[fine]].some((cell) => cell?.closedTo === 'crawl-space');

const pitPrices = (track: Track, pit: Interval & AlonePit, at: string): PriceLine[] =>
  priced(
    track.model.line.id,
    track.prices,
    excavationDrafts(holeQuantities(track, pit, 'launch', pit.held), track.prices, null, `cleanout at ${at}`),
  );
