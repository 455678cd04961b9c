import { exactOutsideDiameter_in } from '../catalog/outside-diameters.js';
import type { Condition, Judged } from '../condition/condition.js';
import type { Prices } from '../job/prices-schema.js';
import type { Rules } from '../job/rules-schema.js';
import { sameStation_ft } from '../job/units.js';
import type { OwnerKind, School, SurfaceKind } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { pipeAt, type LineModel } from '../line/model.js';
import type { PipeStretch } from '../line/pipe-stretches.js';
import { linerThickness, madeThickness, type LinerLoads, type Thickness } from '../liner/thickness.js';
import { bedding_ft, protectFrom_ft, sectionAt, workDepth_ft, type Section } from '../trench/section.js';
import { isRootOrDeposit, obligations, type Obligations } from './obligations.js';

/** One fine cell of a line: a stretch short enough to be alike throughout. */
export interface Cell extends Interval {
  readonly pipe: PipeStretch;
  readonly seen: boolean;
  readonly owner: OwnerKind;
  /** Whether the house acts here at all. */
  readonly ours: boolean;
  readonly surface: SurfaceKind;
  /** Why no hole can be open here. */
  readonly closedTo: 'no-dig' | 'building' | 'crawl-space' | undefined;
  readonly section: Section;
  readonly launchSection: Section;
  readonly burstSection: Section;
  readonly loads: LinerLoads;
  readonly thickness: Thickness;
  /** Why no liner may cover this cell; the rule and a sentence. */
  readonly noLiner: { rule: string; why: string; lift: string } | undefined;
  readonly mustClean: boolean;
  /** A root joint lies here. */
  readonly rootJoint: boolean;
  readonly findings: readonly Judged[];
}

/** A line cut into cells, with the breaks where an action may end. */
export interface Track {
  readonly model: LineModel;
  readonly condition: Condition;
  readonly rules: Rules;
  readonly prices: Prices;
  readonly school: School;
  readonly obligations: Obligations;
  /** Fine breaks, ft, one more than cells. */
  readonly breaks: Float64Array;
  readonly cells: readonly Cell[];
  /** Indexes of the fine breaks at which an action may start or end. */
  readonly boundaries: readonly number[];
  /** ± of each fine break and the thing it is measured from. */
  readonly plusMinus: Float64Array;
  readonly nearest: readonly string[];
}

export interface TrackInput {
  readonly model: LineModel;
  readonly condition: Condition;
  readonly rules: Rules;
  readonly prices: Prices;
  readonly school: School;
  /** Ids of findings that must be cured on top of what the school asks. */
  readonly extra?: readonly string[];
}

const crossingRoom_ft = 2;
const mostCell_ft = 1;
/** Taken where nobody said what the surface is, with a warning. */
export const assumedSurface: SurfaceKind = 'lawn';

/** Cuts a line at everything that can make one foot unlike the next, then into parts of at most 1 ft. */
export function trackOf(input: TrackInput): Track {
  const { model, condition, rules, school } = input;
  const duties = obligations(model, condition.findings, school, rules, input.extra);
  const must = duties.cured.filter(({ whole }) => whole).map(({ place }) => place);
  const coarse = oneWithin(breakCandidates(model, condition, duties), model.extent);
  const fine: number[] = [];
  coarse.forEach((from_ft, index) => {
    fine.push(from_ft);
    const to_ft = coarse[index + 1];
    if (to_ft === undefined) return;
    const parts = Math.ceil((to_ft - from_ft) / mostCell_ft - 1e-9);
    for (let part = 1; part < parts; part++) fine.push(from_ft + ((to_ft - from_ft) * part) / parts);
  });
  const breaks = Float64Array.from(fine);
  const surfaces = surfaceStretches(model);
  const cells = fine
    .slice(1)
    .map((to_ft, index) => cellOf({ from_ft: fine[index] ?? to_ft, to_ft }, surfaces, duties, input));
  const placed = [...model.survey.placed.values()];
  const nearest = fine.map((x) => nearestThing(placed, x));
  return {
    model,
    condition,
    rules,
    prices: input.prices,
    school,
    obligations: duties,
    breaks,
    cells,
    boundaries: fine.flatMap((x, index) =>
      must.some((place) => x > place.from_ft + sameStation_ft && x < place.to_ft - sameStation_ft)
        ? []
        : [index],
    ),
    plusMinus: Float64Array.from(nearest, (thing) => thing?.plusMinus_ft ?? 0),
    nearest: nearest.map((thing) => thing?.key ?? ''),
  };
}

function breakCandidates(model: LineModel, condition: Condition, duties: Obligations): number[] {
  const ends = (all: readonly Interval[]) => all.flatMap(({ from_ft, to_ft }) => [from_ft, to_ft]);
  const mustCure = new Set(duties.cured.flatMap(({ findings }) => findings));
  return [
    ...model.points.map(({ at }) => at.station_ft),
    ...ends(condition.findings.map(({ place }) => place)),
    ...ends(duties.cured.map(({ place }) => place)),
    ...condition.findings
      .filter(({ id }) => mustCure.has(id))
      .flatMap(({ placed }) => [placed.from_ft - 1, placed.to_ft + 1]),
    ...model.joints,
    ...ends(model.surfaces),
    ...ends(model.owners),
    ...ends(model.noDig),
    ...ends(model.pipes),
    ...ends(model.seen),
    ...(model.line.crossings ?? []).flatMap(({ station_ft }) => [
      station_ft - crossingRoom_ft,
      station_ft + crossingRoom_ft,
    ]),
    ...depthCrossings(model),
  ];
}

/** Stations where a hole would be just as deep as one of the depths at which its rules change. */
function depthCrossings(model: LineModel): number[] {
  const { profile, extent } = model;
  const kinks = [
    extent.from_ft,
    ...profile.located.map(({ station_ft }) => station_ft),
    ...(model.line.ground ?? []).map(({ station_ft }) => station_ft),
    extent.to_ft,
  ]
    .filter((x) => x >= extent.from_ft && x <= extent.to_ft)
    .sort((a, b) => a - b);
  return kinks.slice(1).flatMap((to_ft, index) => {
    const from_ft = kinks[index] ?? to_ft;
    const [start, end] = [profile.depth(from_ft) + bedding_ft, profile.depth(to_ft) + bedding_ft];
    return [workDepth_ft, protectFrom_ft].flatMap((depth) =>
      (start - depth) * (end - depth) < 0
        ? [from_ft + ((to_ft - from_ft) * (depth - start)) / (end - start)]
        : [],
    );
  });
}

/** Sorted breaks inside the line; those within 0.01 ft are one, and the line's own ends always stand. */
function oneWithin(candidates: readonly number[], { from_ft, to_ft }: Interval): number[] {
  const kept = [from_ft];
  if (to_ft - from_ft <= sameStation_ft) return kept;
  for (const x of [...candidates].sort((a, b) => a - b)) {
    if (x - (kept.at(-1) ?? from_ft) > sameStation_ft && to_ft - x > sameStation_ft) kept.push(x);
  }
  kept.push(to_ft);
  return kept;
}

/** Surfaces over the whole line: a later one lies over an earlier, and gaps are assumed. Alike neighbours are joined. */
function surfaceStretches(model: LineModel): (Interval & { kind: SurfaceKind })[] {
  const { extent } = model;
  const cuts = oneWithin(
    model.surfaces.flatMap(({ from_ft, to_ft }) => [from_ft, to_ft]),
    extent,
  );
  const joined: { from_ft: number; to_ft: number; kind: SurfaceKind }[] = [];
  cuts.slice(1).forEach((to_ft, index) => {
    const from_ft = cuts[index] ?? to_ft;
    const middle = (from_ft + to_ft) / 2;
    const kind =
      model.surfaces.findLast((each) => each.from_ft <= middle && middle <= each.to_ft)?.kind ??
      assumedSurface;
    const last = joined.at(-1);
    if (last?.kind === kind) last.to_ft = to_ft;
    else joined.push({ from_ft, to_ft, kind });
  });
  return joined;
}

function cellOf(
  stretch: Interval,
  surfaces: readonly (Interval & { kind: SurfaceKind })[],
  duties: Obligations,
  { model, condition, rules }: TrackInput,
): Cell {
  const middle = (stretch.from_ft + stretch.to_ft) / 2;
  const holds = (all: readonly Interval[]) =>
    all.some((each) => each.from_ft <= middle && middle <= each.to_ft);
  const pipe = pipeAt(model.pipes, middle) ?? {
    ...model.extent,
    material: 'unknown' as const,
    diameter_in: 4,
  };
  const surface = surfaces.find((each) => each.from_ft <= middle && middle <= each.to_ft) ?? {
    ...model.extent,
    kind: assumedSurface,
  };
  const owner =
    model.owners.findLast((each) => each.from_ft <= middle && middle <= each.to_ft)?.owner ?? 'unknown';
  const invert_ft = model.profile.depth(middle);
  const room_ft = Math.min(
    surface.from_ft <= model.extent.from_ft ? Infinity : stretch.from_ft - surface.from_ft,
    surface.to_ft >= model.extent.to_ft ? Infinity : surface.to_ft - stretch.to_ft,
  );
  const soil = model.line.soil ?? 'unknown';
  const section = (width: number | { outside_in: number }) =>
    sectionAt(invert_ft, width, soil, surface.kind, room_ft);
  const findings = condition.findings.filter(({ place }) => overlaps(place, stretch));
  const exposed = surface.kind === 'crawl-space';
  const water_ft = Math.max(0, invert_ft - (model.line.groundwater_ft ?? 0));
  const ovality = Math.max(
    rules.ovality_percent,
    ...findings.flatMap(({ ovality_percent }) => ovality_percent ?? []),
  );
  const loads: LinerLoads = {
    host_in: pipe.diameter_in,
    invert_ft,
    waterOverInvert_ft: water_ft,
    ovality_percent: ovality,
    surface: surface.kind,
    exposed,
  };
  const thickness = linerThickness(loads);
  const seen = holds(model.seen);
  const ours = rules.publicPart === 'ours' || owner !== 'public';
  return {
    ...stretch,
    pipe,
    seen,
    owner,
    ours,
    surface: surface.kind,
    closedTo: holds(model.noDig)
      ? 'no-dig'
      : surface.kind === 'building' || surface.kind === 'crawl-space'
        ? surface.kind
        : undefined,
    section: section({ outside_in: newPipeOutside(rules, pipe.diameter_in) }),
    launchSection: section(3),
    burstSection: section(4),
    loads,
    thickness,
    noLiner: noLinerHere({ seen, ours, middle, findings, thickness }),
    mustClean: duties.cleaned.some((place) => overlaps(place, stretch)),
    rootJoint: findings.some(
      (each) => each.placed.entry.finding === 'roots' && each.grade >= 1 && !each.possible,
    ),
    findings,
  };
}

/** Outside diameter of the new pipe a dig lays, in. */
export function newPipeOutside(rules: Pick<Rules, 'newPipe'>, bore_in: number): number {
  return exactOutsideDiameter_in[rules.newPipe]?.[bore_in] ?? bore_in + 0.5;
}

function noLinerHere(cell: {
  seen: boolean;
  ours: boolean;
  middle: number;
  findings: readonly Judged[];
  thickness: Thickness;
}): Cell['noLiner'] {
  const at = cell.middle.toFixed(1);
  if (!cell.ours)
    return {
      rule: 'public-part',
      why: `${at} ft is its owner's to act on`,
      lift: 'a house rule that takes the public part on',
    };
  if (!cell.seen) return { rule: 'not-seen', why: `nobody has seen ${at} ft`, lift: 'clean and look again' };
  const stop = cell.findings.find(({ stopsLiner }) => stopsLiner !== undefined);
  if (stop?.stopsLiner !== undefined) {
    return {
      rule: isRootOrDeposit(stop) ? 'not-clean' : 'stops-a-liner',
      why: `${stop.stopsLiner}, at ${stop.placed.from_ft.toFixed(1)} ft`,
      lift: isRootOrDeposit(stop) ? 'clean and look again' : 'dig this place first',
    };
  }
  if (madeThickness(cell.thickness.needed_in) === undefined) {
    return {
      rule: 'too-thick',
      why: `${at} ft needs ${cell.thickness.needed_in.toFixed(3)} in, over 6.0 mm (${cell.thickness.governs})`,
      lift: 'new pipe here',
    };
  }
  return undefined;
}

type Thing = NonNullable<ReturnType<LineModel['survey']['point']>>;

/** The thing a break is measured from: the nearest whose station is known, the less sure one of two as near. */
function nearestThing(placed: readonly Thing[], x: number): Thing | undefined {
  let best: Thing | undefined;
  for (const thing of placed) {
    if (!best) {
      best = thing;
      continue;
    }
    const nearer = Math.abs(best.station_ft - x) - Math.abs(thing.station_ft - x);
    if (nearer > 1e-9 || (nearer > -1e-9 && thing.plusMinus_ft > best.plusMinus_ft)) best = thing;
  }
  return best;
}
