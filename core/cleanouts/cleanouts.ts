import type { Rules } from '../job/rules.js';
import type { Point } from '../job/schema.js';
import type { Interval } from '../line/intervals.js';
import { boreAt, type LineModel, type PlacedPoint } from '../line/model.js';

/** What has to be done about one cleanout. */
export type CleanoutStatus = 'new' | 'exposed' | 'raised' | 'recapped' | 'rebuilt';

/** A missing cleanout: where one would satisfy the rule, the best spot, and which rule requires it. */
export interface MissingCleanout extends Interval {
  readonly best_ft: number;
  readonly why: string;
}

/** An existing cleanout that needs repair; a buried one is exposed and raised. */
export interface CleanoutRepair {
  readonly station_ft: number;
  readonly point: string;
  readonly work: readonly CleanoutStatus[];
  readonly why: string;
  /** It works as it is, so the repair is optional and offered separately. */
  readonly optional?: true;
}

/** Limits of two model-code families, from memory. */
const atBuilding_ft = 5;
const upstreamOfJunction_ft = 10;
const mostApart_ft = 100;
const turnServed_ft = 40;
const sharpTurn_deg = 45;
const turnsInAll_deg = 135;

/** Existing cleanouts that serve this line, usable as they are or after repair. A neighbor's never counts. */
function serving(model: LineModel): PlacedPoint[] {
  return model.points.filter(
    ({ point }) =>
      (point.kind === 'cleanout' && point.owner !== 'neighbour' && point.state !== 'none-here') ||
      point.kind === 'manhole',
  );
}

/**
 * Cleanouts the chosen code family requires and the line lacks, from upstream: at the building, at turns, and no more
 * than 100 ft apart. Each is a stretch in which a new cleanout satisfies its rule, never right next to a good one.
 */
export function missingCleanouts(model: LineModel, rules: Rules): MissingCleanout[] {
  const { known } = model;
  if (known.to_ft - known.from_ft < 1) return [];
  const stations = serving(model).map(({ at }) => at.station_ft);
  const missing: MissingCleanout[] = [];
  const inside = (x: number) => Math.max(known.from_ft, Math.min(x, known.to_ft));
  const all = () => [...stations, ...missing.map(({ best_ft }) => best_ft)].sort((a, b) => a - b);
  const want = (from_ft: number, to_ft: number, best_ft: number, why: string) => {
    const stretch = { from_ft: inside(from_ft), to_ft: inside(to_ft) };
    if (all().some((x) => x > stretch.from_ft - beside_ft && x < stretch.to_ft + beside_ft)) return;
    missing.push({ ...stretch, best_ft: inside(best_ft), why });
  };
  const building =
    model.points.find(({ point }) => point.kind === 'building')?.at.station_ft ?? known.from_ft;
  if (rules.cleanoutFamily !== 'local') {
    const upstream_ft = rules.cleanoutFamily === 'A' ? upstreamOfJunction_ft : atBuilding_ft;
    want(
      building - upstream_ft,
      building + outsideWall_ft(model, building),
      building,
      'none at the building',
    );
  }
  if (rules.cleanoutFamily === 'A') wantAtTurns(model, all, want);
  if (rules.cleanoutFamily === 'B') wantEveryTurns(model, all, want);
  wantApart(known, all, missing);
  return missing.sort((a, b) => a.from_ft - b.from_ft);
}

type Want = (from_ft: number, to_ft: number, best_ft: number, why: string) => void;

/** A new cleanout this close to a good one serves no purpose, ft. House rule. */
const beside_ft = 5;
/** Distance upstream of the turn it serves, ft. */
const beforeTurn_ft = 1;

/** Just outside the wall, past the building and its clearance. */
const outsideWall_ft = ({ surfaces }: LineModel, building_ft: number): number => {
  const over = surfaces.find(
    ({ kind, from_ft, to_ft }) => kind === 'building' && from_ft <= building_ft && building_ft <= to_ft,
  );
  return atBuilding_ft + (over ? over.to_ft - building_ft : 0);
};

const bendsOf = ({ points }: LineModel): { at_ft: number; degrees: number; unknown: boolean }[] =>
  points
    .filter(({ point }) => point.kind === 'bend')
    .map(({ point, at }) => ({
      at_ft: at.station_ft,
      degrees: point.degrees ?? sharpTurn_deg,
      unknown: point.degrees === undefined,
    }))
    .sort((a, b) => a.at_ft - b.at_ft);

/** Family A: at every turn over 45° with no cleanout within 40 ft. */
function wantAtTurns(model: LineModel, all: () => number[], want: Want): void {
  for (const { at_ft, degrees } of bendsOf(model)) {
    if (degrees <= sharpTurn_deg) continue;
    if (all().some((x) => Math.abs(x - at_ft) <= turnServed_ft + 0.01)) continue;
    want(at_ft - beside_ft, at_ft, at_ft - beforeTurn_ft, `a turn of ${degrees}° at ${at_ft.toFixed(1)} ft`);
  }
}

/** Family B: turns between cleanouts add up to less than 135°. */
function wantEveryTurns(model: LineModel, all: () => number[], want: Want): void {
  let turned = 0;
  let since_ft = model.extent.from_ft;
  for (const { at_ft, degrees } of bendsOf(model)) {
    const passed = all().filter((x) => x > since_ft + 0.01 && x <= at_ft + 0.01);
    if (passed.length > 0) turned = 0;
    since_ft = Math.max(since_ft, ...passed);
    turned += degrees;
    if (turned >= turnsInAll_deg) {
      want(
        Math.max(since_ft, at_ft - upstreamOfJunction_ft),
        at_ft,
        at_ft - beforeTurn_ft,
        `${turned}° of bends in one stretch by ${at_ft.toFixed(1)} ft`,
      );
      turned = degrees;
    }
    since_ft = at_ft;
  }
}

/** No more than 100 ft apart, and well clear of existing ones where the stretch allows it. */
function wantApart(extent: Interval, all: () => number[], missing: MissingCleanout[]): void {
  for (let again = true; again;) {
    again = false;
    const ends = [extent.from_ft, ...all(), extent.to_ft];
    for (let i = 1; i < ends.length; i++) {
      const [from, to] = [ends[i - 1] ?? 0, ends[i] ?? 0];
      if (to - from <= mostApart_ft + 0.01) continue;
      const away = Math.min(turnServed_ft, (to - from) / 2);
      missing.push({
        from_ft: Math.min(from + mostApart_ft, Math.max(to - mostApart_ft, from + away)),
        to_ft: Math.max(to - mostApart_ft, Math.min(from + mostApart_ft, to - away)),
        best_ft: (from + Math.min(to, from + 2 * mostApart_ft)) / 2,
        why: `over ${mostApart_ft} ft between cleanouts`,
      });
      again = true;
      break;
    }
  }
}

const repairs: Partial<Record<NonNullable<Point['state']>, { work: CleanoutStatus[]; why: string }>> = {
  buried: { work: ['exposed', 'raised'], why: 'buried' },
  'cap-broken': { work: ['recapped'], why: 'its cap is broken' },
  broken: { work: ['rebuilt'], why: 'broken, or set over broken pipe' },
};

/** A cleanout must match the pipe's bore, up to this bore, in. */
const largeEnough_in = 4;

/** What is wrong with existing cleanouts: out of order, or too small for the pipe. */
export function cleanoutRepairs(model: LineModel): CleanoutRepair[] {
  return serving(model).flatMap(({ point, at }) => {
    const repair = repairs[point.state ?? 'ok'];
    if (repair) return [{ station_ft: at.station_ft, point: point.id, ...repair }];
    const bore_in = boreAt(model.pipes, at.station_ft);
    const needed_in = Math.min(bore_in, largeEnough_in);
    if (point.kind !== 'cleanout' || point.diameter_in === undefined || point.diameter_in >= needed_in)
      return [];
    return [
      {
        station_ft: at.station_ft,
        point: point.id,
        work: ['rebuilt' as const],
        optional: true as const,
        why: `too small: ${point.diameter_in} in on a ${bore_in} in pipe`,
      },
    ];
  });
}

/** Whether any cleanout or manhole serves this line. */
export const hasCleanout = (model: LineModel): boolean => serving(model).length > 0;

/** Parts of a new cleanout: a two-way fitting, a riser from it to the ground, and its cap. Lengths ft. */
export function riserLength(invert_ft: number, fittingHeight_ft = 0.75): number {
  return Math.max(0, invert_ft - fittingHeight_ft);
}
