import type { Rules } from '../job/rules-schema.js';
import type { Point } from '../job/schema.js';
import type { Interval } from '../line/intervals.js';
import type { LineModel, PlacedPoint } from '../line/model.js';

/** What is done about one cleanout. */
export type CleanoutStatus = 'new' | 'exposed' | 'raised' | 'recapped' | 'rebuilt';

/** A cleanout that is missing: where one would satisfy the rule, and which rule. */
export interface MissingCleanout extends Interval {
  readonly why: string;
}

/** A cleanout that is there but must be put right; a buried one is exposed and raised. */
export interface CleanoutRepair {
  readonly station_ft: number;
  readonly point: string;
  readonly work: readonly CleanoutStatus[];
  readonly why: string;
}

/** Limits of two model-code families, from memory. */
const atBuilding_ft = 5;
const upstreamOfJunction_ft = 10;
const mostApart_ft = 100;
const turnServed_ft = 40;
const sharpTurn_deg = 45;
const turnsInAll_deg = 135;

/** Cleanouts that are there and serve this line, usable as they are or once put right. A neighbour's never counts. */
function serving(model: LineModel): PlacedPoint[] {
  return model.points.filter(
    ({ point }) =>
      (point.kind === 'cleanout' && point.owner !== 'neighbour' && point.state !== 'none-here') ||
      point.kind === 'manhole',
  );
}

/**
 * What is missing by the house's code family, in stations from upstream: at the building, at turns, and no further
 * apart than 100 ft. Each missing one is a stretch in which a new cleanout satisfies its rule.
 */
export function missingCleanouts(model: LineModel, rules: Rules): MissingCleanout[] {
  const { extent } = model;
  if (extent.to_ft - extent.from_ft < 1) return [];
  const stations = serving(model).map(({ at }) => at.station_ft);
  const missing: MissingCleanout[] = [];
  const clipped = (from_ft: number, to_ft: number): Interval => ({
    from_ft: Math.max(extent.from_ft, Math.min(from_ft, extent.to_ft)),
    to_ft: Math.max(extent.from_ft, Math.min(to_ft, extent.to_ft)),
  });
  const unlessServed = (window: Interval, why: string) => {
    const within = (x: number) => x >= window.from_ft - 0.01 && x <= window.to_ft + 0.01;
    if (stations.some(within) || missing.some((each) => within(each.from_ft) && within(each.to_ft))) return;
    missing.push({ ...window, why });
  };
  const building =
    model.points.find(({ point }) => point.kind === 'building')?.at.station_ft ?? extent.from_ft;
  if (rules.cleanoutFamily !== 'local') {
    unlessServed(
      rules.cleanoutFamily === 'A'
        ? clipped(building - upstreamOfJunction_ft, building + atBuilding_ft)
        : clipped(building - atBuilding_ft, building + atBuilding_ft),
      'none at the building',
    );
    for (const { at_ft, why } of turnsToServe(model, rules)) {
      unlessServed(clipped(at_ft - turnServed_ft, at_ft + turnServed_ft), why);
    }
  }
  const known = () => [...stations, ...missing.map(({ to_ft }) => to_ft)].sort((a, b) => a - b);
  for (let again = true; again;) {
    again = false;
    const ends = [extent.from_ft, ...known(), extent.to_ft];
    for (let i = 1; i < ends.length; i++) {
      const [from, to] = [ends[i - 1] ?? 0, ends[i] ?? 0];
      if (to - from <= mostApart_ft + 0.01) continue;
      missing.push({
        ...clipped(to - mostApart_ft, from + mostApart_ft),
        why: `over ${mostApart_ft} ft between cleanouts`,
      });
      again = true;
      break;
    }
  }
  return missing.sort((a, b) => a.from_ft - b.from_ft);
}

/** Family A: every turn over 45°. Family B: wherever another 135° of turns has been made in all. */
function turnsToServe(model: LineModel, rules: Rules): { at_ft: number; why: string }[] {
  const bends = model.points
    .filter(({ point }) => point.kind === 'bend')
    .map(({ point, at }) => ({ at_ft: at.station_ft, degrees: point.degrees ?? 0 }))
    .sort((a, b) => a.at_ft - b.at_ft);
  if (rules.cleanoutFamily === 'A') {
    return bends
      .filter(({ degrees }) => degrees > sharpTurn_deg)
      .map(({ at_ft, degrees }) => ({ at_ft, why: `a turn of ${degrees}° at ${at_ft.toFixed(1)} ft` }));
  }
  let turned = 0;
  return bends.flatMap(({ at_ft, degrees }) => {
    turned += degrees;
    if (turned < turnsInAll_deg) return [];
    turned -= turnsInAll_deg;
    return [{ at_ft, why: `${turnsInAll_deg}° of turns by ${at_ft.toFixed(1)} ft` }];
  });
}

const repairs: Partial<Record<NonNullable<Point['state']>, { work: CleanoutStatus[]; why: string }>> = {
  buried: { work: ['exposed', 'raised'], why: 'buried' },
  'cap-broken': { work: ['recapped'], why: 'its cap is broken' },
  broken: { work: ['rebuilt'], why: 'broken, or set over broken pipe' },
};

/** What is wrong with the cleanouts that are there. */
export function cleanoutRepairs(model: LineModel): CleanoutRepair[] {
  return serving(model).flatMap(({ point, at }) => {
    const repair = repairs[point.state ?? 'ok'];
    return repair ? [{ station_ft: at.station_ft, point: point.id, ...repair }] : [];
  });
}

/** Parts of a new cleanout: a two-way fitting, a riser from it to the ground, and its cap. Lengths ft. */
export function riserLength(invert_ft: number, fittingHeight_ft = 0.75): number {
  return Math.max(0, invert_ft - fittingHeight_ft);
}
