import { assumedSurface, surfaceRow, type SurfaceKind } from '../catalog/surfaces.js';
import { newPipeOutside } from '../catalog/materials.js';
import type { Condition } from '../condition/condition.js';
import { isRootJoint } from '../condition/judged.js';
import { bedding_ft, protectFrom_ft, sectionAt, workDepth_ft } from '../excavation/section.js';
import type { Prices } from '../job/prices-schema.js';
import type { Rules } from '../job/rules-schema.js';
import { sameStation_ft, tolerance } from '../job/units.js';
import type { School } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { pipeAt, type LineModel } from '../line/model.js';
import { linerThickness, type LinerLoads } from '../liner/thickness.js';
import type { Cell, Obligations, Track } from '../track/track.js';
import { obligations } from './obligations.js';

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
/** A liner's sound end beyond a finding that must be cured, ft. */
const soundEnd_ft = 1;
const mostCell_ft = 1;
const pit_ft = { launch: 3, burst: 4 } as const;

/** Cuts a line at everything that can make one foot unlike the next, then into parts of at most 1 ft. */
export function trackOf(input: TrackInput): Track {
  const { model, condition, rules, prices, school } = input;
  const duties = obligations(model, condition.findings, school, rules, input.extra);
  const must = duties.cured.filter(({ whole }) => whole).map(({ place }) => place);
  const breaks = fineBreaks(oneWithin(breakCandidates(model, condition, duties), model.extent));
  const surfaces = surfaceStretches(model);
  const placed = [...model.survey.placed.values()];
  const nearest = breaks.map((x) => nearestThing(placed, x));
  return {
    model,
    condition,
    rules,
    prices,
    school,
    obligations: duties,
    breaks: Float64Array.from(breaks),
    cells: breaks
      .slice(1)
      .map((to_ft, index) => cellOf({ from_ft: breaks[index] ?? to_ft, to_ft }, surfaces, duties, input)),
    boundaries: breaks.flatMap((x, index) =>
      must.some((place) => x > place.from_ft + sameStation_ft && x < place.to_ft - sameStation_ft)
        ? []
        : [index],
    ),
    plusMinus: Float64Array.from(nearest, (thing) => thing?.plusMinus_ft ?? 0),
    nearest: nearest.map((thing) => thing?.key ?? ''),
  };
}

/** Equal parts of at most 1 ft between neighboring breaks. */
function fineBreaks(coarse: readonly number[]): number[] {
  return coarse.flatMap((from_ft, index) => {
    const to_ft = coarse[index + 1];
    if (to_ft === undefined) return [from_ft];
    const parts = Math.ceil((to_ft - from_ft) / mostCell_ft - tolerance.exact);
    return Array.from({ length: Math.max(1, parts) }, (_, part) =>
      part === 0 ? from_ft : from_ft + ((to_ft - from_ft) * part) / parts,
    );
  });
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
      .flatMap(({ placed }) => [placed.from_ft - soundEnd_ft, placed.to_ft + soundEnd_ft]),
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
function depthCrossings({ profile, extent, line }: LineModel): number[] {
  const kinks = [
    extent.from_ft,
    ...profile.located.map(({ station_ft }) => station_ft),
    ...(line.ground ?? []).map(({ station_ft }) => station_ft),
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

type SurfaceStretch = Interval & { readonly kind: SurfaceKind };

/** Surfaces over the whole line: a later one lies over an earlier, and gaps are assumed. Alike neighbors are joined. */
function surfaceStretches(model: LineModel): SurfaceStretch[] {
  const cuts = oneWithin(
    model.surfaces.flatMap(({ from_ft, to_ft }) => [from_ft, to_ft]),
    model.extent,
  );
  const joined: { from_ft: number; to_ft: number; kind: SurfaceKind }[] = [];
  cuts.slice(1).forEach((to_ft, index) => {
    const from_ft = cuts[index] ?? to_ft;
    const kind = lastAt(model.surfaces, (from_ft + to_ft) / 2)?.kind ?? assumedSurface;
    const last = joined.at(-1);
    if (last?.kind === kind) last.to_ft = to_ft;
    else joined.push({ from_ft, to_ft, kind });
  });
  return joined;
}

const holds = ({ from_ft, to_ft }: Interval, x: number) => from_ft <= x && x <= to_ft;
const lastAt = <T extends Interval>(all: readonly T[], x: number): T | undefined =>
  all.findLast((each) => holds(each, x));

function cellOf(
  stretch: Interval,
  surfaces: readonly SurfaceStretch[],
  duties: Obligations,
  { model, condition, rules }: TrackInput,
): Cell {
  const middle = (stretch.from_ft + stretch.to_ft) / 2;
  const unknownPipe = { ...model.extent, material: 'unknown' as const, diameter_in: 4 };
  const pipe = pipeAt(model.pipes, middle) ?? unknownPipe;
  const surface = surfaces.find((each) => holds(each, middle)) ?? { ...model.extent, kind: assumedSurface };
  const owner = lastAt(model.owners, middle)?.owner ?? 'unknown';
  const findings = condition.findings.filter(({ place }) => overlaps(place, stretch));
  const closed = surfaceRow(surface.kind).closedTo;
  const loads: LinerLoads = {
    host_in: pipe.diameter_in,
    invert_ft: model.profile.depth(middle),
    waterOverInvert_ft: Math.max(0, model.profile.depth(middle) - (model.line.groundwater_ft ?? 0)),
    ovality_percent: Math.max(
      rules.ovality_percent,
      ...findings.flatMap(({ ovality_percent }) => ovality_percent ?? []),
    ),
    surface: surface.kind,
    exposed: closed === 'crawl-space',
  };
  return {
    ...stretch,
    pipe,
    seen: model.seen.some((each) => holds(each, middle)),
    owner,
    ours: rules.publicPart === 'ours' || owner !== 'public',
    surface: surface.kind,
    closedTo: model.noDig.some((each) => holds(each, middle)) ? 'no-dig' : closed,
    sections: sectionsOf(stretch, surface, pipe.diameter_in, { model, rules }),
    loads,
    thickness: linerThickness(loads),
    mustClean: duties.cleaned.some((place) => overlaps(place, stretch)),
    rootJoint: findings.some(isRootJoint),
    findings,
  };
}

/** The cross-section of each kind of hole over a cell. */
function sectionsOf(
  stretch: Interval,
  surface: SurfaceStretch,
  bore_in: number,
  { model, rules }: Pick<TrackInput, 'model' | 'rules'>,
): Cell['sections'] {
  const { extent, line, profile } = model;
  const invert_ft = profile.depth((stretch.from_ft + stretch.to_ft) / 2);
  const room_ft = Math.min(
    surface.from_ft <= extent.from_ft ? Infinity : stretch.from_ft - surface.from_ft,
    surface.to_ft >= extent.to_ft ? Infinity : surface.to_ft - stretch.to_ft,
  );
  const section = (width: number | { outside_in: number }) =>
    sectionAt(invert_ft, width, line.soil ?? 'unknown', surface.kind, room_ft);
  return {
    dig: section({ outside_in: newPipeOutside(rules.newPipe, bore_in) }),
    launch: section(pit_ft.launch),
    burst: section(pit_ft.burst),
  };
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
    if (nearer > tolerance.exact || (nearer > -tolerance.exact && thing.plusMinus_ft > best.plusMinus_ft))
      best = thing;
  }
  return best;
}
