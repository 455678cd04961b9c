import { assumedSurface, isPavement, surfaceRow, type SurfaceKind } from '../catalog/surfaces.js';
import { newPipeOutside } from '../catalog/materials.js';
import type { Condition } from '../condition/condition.js';
import { isRootJoint, type GradedFinding } from '../condition/graded-finding.js';
import { sectionAt } from '../excavation/section.js';
import type { Prices } from '../job/prices.js';
import type { Rules } from '../job/rules.js';
import type { OwnerKind, School } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { pipeAt, type LineModel } from '../line/model.js';
import { linerThickness, type LinerLoads } from '../liner/thickness.js';
import { breaksOf, crossingRoom_ft, fewEnough, kinksOf, oneWithin } from '../track/breaks.js';
import { isEqual } from '../search/columns.js';
import { cutsOf, endsOf } from '../track/ends.js';
import type { Cell, Obligations, Track } from '../track/track.js';
import { sameStation_ft } from '../units.js';
import { obligations } from './obligations.js';

export interface TrackInput {
  readonly model: LineModel;
  readonly condition: Condition;
  readonly rules: Rules;
  readonly prices: Prices;
  readonly school: School;
  /** Ids of findings that must be cured beyond what the repair approach requires. */
  readonly extra?: readonly string[];
}

const pit_ft = { launch: 3, burst: 4 } as const;

/**
 * Cuts a line wherever one foot may differ from the next, then into parts of at most 1 ft. Cells `beside`, from the
 * same line under other obligations, are reused where the cuts are the same.
 */
export function trackOf(input: TrackInput, earlier?: Track): Track {
  const { model, condition, rules, prices, school } = input;
  const duties = obligations(model, condition.findings, school, rules, input.extra);
  const laid = stretchesOf(model);
  const breaks = breaksOf(model, condition, duties, rules, [...laid.surfaces, ...laid.owners, ...laid.pipes]);
  const cells =
    earlier && isSameLine(earlier, input) && isEqual(earlier.breaks, breaks)
      ? earlier.cells
      : cellsOf(breaks, laid, duties, input);
  return {
    model,
    condition,
    rules,
    prices,
    school,
    breaks: Float64Array.from(breaks),
    cells,
    cutAt: cutsOf(cells, model, rules),
    holesApart_ft: rules.holesApart_ft,
    ...under(duties, { model, condition, breaks }),
  };
}

/** The same line under other obligations, cut at the same breaks. */
export const trackUnder = (track: Track, duties: Obligations): Track => ({
  ...track,
  ...under(duties, track),
});

/** What depends on the obligations of a line that is cut already. */
function under(
  duties: Obligations,
  { model, condition, breaks }: Pick<Track, 'model' | 'condition'> & { readonly breaks: ArrayLike<number> },
): Pick<Track, 'obligations' | 'boundaries' | 'plusMinus' | 'nearest'> {
  const must = duties.cured.filter(({ whole }) => whole).map(({ place }) => place);
  const stations = Array.from(breaks);
  return {
    obligations: duties,
    boundaries: fewEnough(
      stations.flatMap((x, index) =>
        must.some((place) => x > place.from_ft + sameStation_ft && x < place.to_ft - sameStation_ft)
          ? []
          : [index],
      ),
      (index) => stations[index] ?? 0,
      (index) =>
        must.some(({ from_ft, to_ft }) => isAt(stations[index], from_ft) || isAt(stations[index], to_ft)),
    ),
    ...endsOf(model, condition, duties, stations),
  };
}

/** Cells do not depend on the repair approach: what must be cleaned is the same under each. */
const isSameLine = (one: Track, other: TrackInput): boolean =>
  one.model === other.model &&
  one.condition === other.condition &&
  one.rules === other.rules &&
  one.prices === other.prices;

const isAt = (x: number | undefined, station_ft: number): boolean =>
  x !== undefined && Math.abs(x - station_ft) <= sameStation_ft;

type SurfaceStretch = Interval & { readonly kind: SurfaceKind };
type OwnerStretch = Interval & { readonly owner: OwnerKind };

/**
 * What lies over, under and along the whole line, with equal neighbors joined: how it was entered makes no difference.
 */
interface Laid {
  readonly surfaces: readonly SurfaceStretch[];
  readonly owners: readonly OwnerStretch[];
  readonly pipes: readonly Interval[];
}

function stretchesOf(model: LineModel): Laid {
  const surfaces = joined(
    model.surfaces,
    model.extent,
    (x) => lastAt(model.surfaces, x)?.kind ?? assumedSurface,
  );
  const owners = joined(model.owners, model.extent, (x) => lastAt(model.owners, x)?.owner ?? 'unknown');
  const pipes = joined(model.pipes, model.extent, (x) => {
    const pipe = pipeAt(model.pipes, x);
    return pipe ? `${pipe.material} ${pipe.diameter_in} ${pipe.piece_ft ?? ''} ${pipe.lined ?? ''}` : '';
  });
  return {
    surfaces: surfaces.map(({ is, ...stretch }) => ({ ...stretch, kind: is })),
    owners: owners.map(({ is, ...stretch }) => ({ ...stretch, owner: is })),
    pipes,
  };
}

/** A line in stretches of equal facts. */
function joined<T>(
  all: readonly Interval[],
  extent: Interval,
  at: (x: number) => T,
): (Interval & { is: T })[] {
  const cuts = oneWithin(
    all.flatMap(({ from_ft, to_ft }) => [from_ft, to_ft]),
    extent,
  );
  const found: { from_ft: number; to_ft: number; is: T }[] = [];
  cuts.slice(1).forEach((to_ft, index) => {
    const from_ft = cuts[index] ?? to_ft;
    const is = at((from_ft + to_ft) / 2);
    const last = found.at(-1);
    if (last?.is === is) last.to_ft = to_ft;
    else found.push({ from_ft, to_ft, is });
  });
  return found;
}

const holds = ({ from_ft, to_ft }: Interval, x: number) => from_ft <= x && x <= to_ft;
const lastAt = <T extends Interval>(all: readonly T[], x: number): T | undefined =>
  all.findLast((each) => holds(each, x));

function cellsOf(breaks: readonly number[], laid: Laid, duties: Obligations, input: TrackInput): Cell[] {
  const stretches = breaks
    .slice(1)
    .map((to_ft, index): Interval => ({ from_ft: breaks[index] ?? to_ft, to_ft }));
  const findings = foundIn(stretches, input.condition.findings);
  const kinks = kinksOf(input.model);
  return stretches.map((stretch, i) =>
    cellOf({ stretch, findings: findings[i] ?? [], kinks }, laid, duties, input),
  );
}

/** The findings that overlap each of some adjoining stretches. */
function foundIn(stretches: readonly Interval[], findings: readonly GradedFinding[]): GradedFinding[][] {
  const found = stretches.map((): GradedFinding[] => []);
  for (const finding of findings) {
    const { place } = finding;
    let i = 0;
    for (let end = stretches.length; i < end;) {
      const middle = (i + end) >> 1;
      if ((stretches[middle]?.to_ft ?? 0) > place.from_ft) end = middle;
      else i = middle + 1;
    }
    for (let next = stretches[i]; next && next.from_ft < place.to_ft; next = stretches[++i]) {
      if (overlaps(place, next)) found[i]?.push(finding);
    }
  }
  return found;
}

interface CellPlace {
  readonly stretch: Interval;
  readonly findings: readonly GradedFinding[];
  /** Stations where the fall changes, ft. */
  readonly kinks: readonly number[];
}

function cellOf(
  { stretch, findings, kinks }: CellPlace,
  laid: Laid,
  duties: Obligations,
  input: TrackInput,
): Cell {
  const { model, rules } = input;
  const middle = (stretch.from_ft + stretch.to_ft) / 2;
  const unknownPipe = { ...model.extent, material: 'unknown' as const, diameter_in: 4 };
  const pipe = pipeAt(model.pipes, middle) ?? unknownPipe;
  const surface = lastAt(laid.surfaces, middle)?.kind ?? assumedSurface;
  const owner = lastAt(laid.owners, middle)?.owner ?? 'unknown';
  const surfaceClosed = surfaceRow(surface).closedTo;
  const closedTo = model.noDig.some((each) => holds(each, middle)) ? 'no-dig' : surfaceClosed;
  const depths = [stretch.from_ft, stretch.to_ft, ...insideOf(stretch, kinks)].map((x) =>
    model.profile.depth(x),
  );
  const { loads, thickness } = thickestLiner(
    depths,
    { pipe, surface, findings, exposed: surfaceClosed === 'crawl-space' },
    input,
  );
  const deepest_ft = Math.max(...depths);
  const section = (width: number | { outside_in: number }) =>
    sectionAt(deepest_ft, width, model.line.soil ?? 'unknown', rules.depthMargin_percent);
  const sections = {
    dig: section({ outside_in: newPipeOutside(rules.newPipe, pipe.diameter_in) }),
    launch: section(pit_ft.launch),
    burst: section(pit_ft.burst),
  };
  const crossed = model.crossings.some(
    ({ station_ft }) =>
      station_ft > stretch.from_ft - crossingRoom_ft && station_ft < stretch.to_ft + crossingRoom_ft,
  );
  return {
    from_ft: stretch.from_ft,
    to_ft: stretch.to_ft,
    pipe,
    inverts_ft: [Math.min(...depths), deepest_ft],
    seen: model.seen.some((each) => holds(each, middle)),
    owner,
    ours: rules.publicPart === 'ours' || owner !== 'public',
    surface,
    closedTo,
    sections,
    mayHold: {
      none: !sections.dig.protect,
      slope: closedTo === undefined && !isPavement(surface) && owner !== 'neighbour',
      shore: true,
      shield: !crossed,
    },
    loads,
    thickness,
    mustClean: duties.cleaned.some((place) => overlaps(place, stretch)),
    descale: pipe.material === 'cast-iron' && findings.some((each) => isScale(each) && isOwed(each, duties)),
    rootJoint: findings.some(isRootJoint),
    findings,
  };
}

const isScale = ({ placed: { entry } }: GradedFinding) => entry.finding === 'deposit' && entry.of === 'scale';
const isOwed = ({ place }: GradedFinding, { cleaned }: Obligations) =>
  cleaned.some((each) => overlaps(each, place));

/** The changes of fall inside a cell: one of them or one of its ends is its worst place. */
const insideOf = ({ from_ft, to_ft }: Interval, kinks: readonly number[]): readonly number[] =>
  kinks.filter((x) => x > from_ft && x < to_ft);

/** The loads at the place of a cell that needs the thickest liner, and that thickness. */
function thickestLiner(
  depths_ft: readonly number[],
  at: { pipe: Cell['pipe']; surface: SurfaceKind; findings: readonly GradedFinding[]; exposed: boolean },
  { model, rules }: TrackInput,
): Pick<Cell, 'loads' | 'thickness'> {
  const ovality_percent = Math.max(
    rules.ovality_percent,
    ...at.findings.flatMap((finding) => finding.ovality_percent ?? []),
  );
  const all = depths_ft.map((invert_ft) => {
    const loads: LinerLoads = {
      host_in: at.pipe.diameter_in,
      invert_ft,
      waterOverInvert_ft: Math.max(0, invert_ft - (model.line.groundwater_ft ?? 0)),
      ovality_percent,
      surface: at.surface,
      exposed: at.exposed,
    };
    return { loads, thickness: linerThickness(loads) };
  });
  return all.reduce((worst, each) => (each.thickness.needed_in > worst.thickness.needed_in ? each : worst));
}
