import { findingName } from '../findings/kinds.js';
import { nothingSeen } from '../explain/verdict.js';
import { assumedSurface } from '../catalog/surfaces.js';
import { condition } from '../condition/condition.js';
import type { GradedFinding } from '../condition/graded-finding.js';
import type { Figure } from '../figure.js';
import { fallsOf, type Fall } from '../grade/fall.js';
import type { Rules } from '../job/rules.js';
import type { FindingEntry, Pin, Run } from '../job/schema.js';
import type { FindingKind, Grade, Method, OwnerKind, PointKind, SurfaceKind } from '../job/vocabulary.js';
import type { GroundPlace } from '../line/course.js';
import { subtract, type Interval } from '../line/intervals.js';
import { lineModel, notSeen, resolveStretch, type LineModel, type PlacedPoint } from '../line/model.js';
import type { PipeStretch } from '../line/pipe-stretches.js';
import { methodsFor } from '../methods/index.js';
import { proofOf, type Proof } from '../offer/proof.js';
import type { ScopedLine } from '../solve/solution.js';
import { sayWhat } from '../speech/say.js';
import type { ClockRange } from '../survey/clock.js';
import { frameOf, type Frame } from '../survey/frames.js';
import type { Placed, Survey } from '../survey/survey.js';
import { readingsOf, rowsOf, type LaidOut, type ReadingView, type RowView } from './log-rows.js';

export interface LineView extends Interval {
  readonly id: string;
  readonly name: string;
  /** As far as a run, a tape or pacing shows it. */
  readonly known: Interval;
  readonly endReached: boolean;
  /** No run has shown a foot of it. */
  readonly nothingSeen: boolean;
  /** Longest cable and longest spot repair, ft: house rules. */
  readonly mostCable_ft: number;
  readonly spotMost_ft: number;
  readonly points: readonly PointView[];
  readonly pipes: readonly PipeStretch[];
  readonly surfaces: readonly (Interval & { kind: SurfaceKind; assumed: boolean })[];
  readonly owners: readonly (Interval & { owner: OwnerKind })[];
  readonly noDig: readonly (Interval & { why?: string | undefined })[];
  /** Pins at their current stations. */
  readonly pins: readonly (Interval & { readonly pin: Pin })[];
  readonly crossings: readonly { station_ft: number; utility: string; depth_ft?: number | undefined }[];
  readonly joints: readonly number[];
  readonly unseen: readonly Interval[];
  /** The same as far as the line is known. */
  readonly notSeen: readonly Interval[];
  readonly depths: readonly { station_ft: number; invert_ft: number }[];
  readonly depthKnown: boolean;
  /** Its fall, by stretches; empty where unknown. */
  readonly falls: readonly Fall[];
  /** Marks, what was taped from them, and the line's course on the ground. */
  readonly course: {
    readonly marks: readonly (GroundPlace & { readonly id: string; readonly name: string })[];
    readonly located: readonly (GroundPlace & { readonly id: string; readonly station_ft: number })[];
    readonly way: readonly (GroundPlace & { readonly station_ft: number })[];
  };
  readonly findings: readonly FindingView[];
  /** Findings that can be shown to the customer, worst first. */
  readonly proof: readonly Proof[];
  readonly rows: readonly RowView[];
  /** Rows of an older inspection and of the post-repair inspection, located by their own readings alone. */
  readonly otherLooks: Readonly<Record<OtherFrame, readonly RowView[]>>;
  readonly untied: readonly { run: string; wouldTie: string }[];
  /** Things with a station, from upstream, for reading off ± anywhere. */
  readonly things: readonly { station_ft: number; plusMinus_ft: number }[];
  /** Each tied run's counter: station = access + direction × (scale × reading − zero). */
  readonly counters: Readonly<Record<string, CounterView>>;
}

type OtherFrame = Exclude<Frame, 'scope'>;

export interface CounterView {
  readonly access_ft: number;
  readonly direction: 1 | -1;
  readonly zero_ft: number;
  readonly scale: number;
}

export interface PointView {
  readonly id: string;
  readonly kind: PointKind;
  readonly name: string;
  readonly station: Figure;
  /** Another line of the job that ends here. */
  readonly joinedBy?: { readonly line: string; readonly name: string } | undefined;
  /** The line and point that this one joins. */
  readonly onto?: { readonly line: string; readonly point: string } | undefined;
}

export interface FindingView extends Interval {
  readonly id: string;
  readonly kind: FindingKind;
  readonly entry: FindingEntry;
  /** The name of its kind, and the finding itself in words. */
  readonly name: string;
  readonly says: string;
  readonly place: Interval;
  readonly plusMinus_ft: number;
  readonly clock: ClockRange | undefined;
  readonly grade: Grade;
  readonly tableGrade: Grade;
  readonly possible: boolean;
  readonly settled: boolean;
  readonly why: Figure;
  readonly station: Figure;
  readonly cures: readonly Method[];
  readonly readings: readonly ReadingView[];
}

type Join = NonNullable<PointView['joinedBy']> & { readonly onto: NonNullable<PointView['onto']> };
type FigureOf = (placed: Placed) => Figure;

const figureOn =
  (solved: Survey): FigureOf =>
  (placed) =>
    solved.stationFigure(placed.key) ?? {
      value: placed.station_ft,
      unit: 'ft',
      plusMinus: placed.plusMinus_ft,
      steps: [],
    };

/** The runs outside the scope, laid out by their own readings; undefined where the line has none. */
function otherLook({ line }: LineModel, frame: OtherFrame, rules: Rules): LaidOut | undefined {
  if (!line.runs.some(({ stage }) => frameOf(stage) === frame)) return undefined;
  const model = lineModel(line, rules, frame);
  return { model, condition: condition(model, rules) };
}

/** One line for the screens. `joins` are the lines of the job that end on another. */
export function lineView(line: ScopedLine, rules: Rules, joins: readonly Join[]): LineView {
  const { model, condition: judged } = line;
  const { survey: solved, extent, profile } = model;
  const figureOf = figureOn(solved);
  const looks = {
    earlier: otherLook(model, 'earlier', rules),
    'after-repair': otherLook(model, 'after-repair', rules),
  };
  const rowsIn = (look: LaidOut | undefined) => (look ? rowsOf(look, figureOn(look.model.survey)) : []);
  return {
    ...extent,
    id: model.line.id,
    name: model.line.name ?? model.line.id,
    known: model.known,
    endReached: model.endReached,
    nothingSeen: nothingSeen([line]),
    mostCable_ft: rules.mostCable_ft,
    spotMost_ft: rules.spotMost_ft,
    points: model.points.map((point) => pointView(point, figureOf, model.line.id, joins)),
    pipes: model.pipes,
    surfaces: surfacesOf(model),
    owners: model.owners,
    noDig: model.noDig,
    pins: (model.line.pins ?? []).map((pin) => ({
      ...resolveStretch(pin, model.survey, model.line.end),
      pin,
    })),
    crossings: model.line.crossings ?? [],
    joints: model.joints,
    unseen: subtract([extent], model.seen),
    notSeen: notSeen(model),
    depths: depthsOf(model),
    depthKnown: profile.located.length > 0,
    falls: fallsOf(model, rules),
    course: courseView(model),
    findings: judged.findings.map((finding) => findingView(finding, figureOf)),
    proof: proofOf(line),
    rows: rowsOf(line, figureOf),
    otherLooks: { earlier: rowsIn(looks.earlier), 'after-repair': rowsIn(looks['after-repair']) },
    untied: [model, ...Object.values(looks).flatMap((look) => look?.model ?? [])].flatMap(({ survey }) =>
      survey.untied.map(({ run, wouldTie }) => ({ run: run.id, wouldTie })),
    ),
    things: [...solved.placed.values()]
      .map(({ station_ft, plusMinus_ft }) => ({ station_ft, plusMinus_ft }))
      .sort((a, b) => a.station_ft - b.station_ft),
    counters: Object.fromEntries(
      model.line.runs.flatMap((run) => {
        const frame = frameOf(run.stage);
        const counter = counterView(
          run,
          (frame === 'scope' ? undefined : looks[frame]?.model.survey) ?? solved,
        );
        return counter ? [[run.id, counter]] : [];
      }),
    ),
  };
}

const pointView = (
  { point, at }: PlacedPoint,
  figureOf: FigureOf,
  line: string,
  joins: readonly Join[],
): PointView => ({
  id: point.id,
  kind: point.kind,
  name: point.name ?? (point.kind === 'main' ? 'main' : point.id),
  station: figureOf(at),
  onto: point.onto,
  joinedBy: joins.find(({ onto }) => onto.line === line && onto.point === point.id),
});

/** Surfaces, with assumed ones where none was given. */
function surfacesOf({ surfaces, extent }: LineModel): LineView['surfaces'] {
  const bare = subtract([extent], surfaces).map((each) => ({
    ...each,
    kind: assumedSurface,
    assumed: true,
  }));
  return [...surfaces.map((each) => ({ ...each, assumed: false })), ...bare].sort(
    (a, b) => a.from_ft - b.from_ft,
  );
}

/** Depth at every station where its slope may change. */
function depthsOf({ profile, extent, line }: LineModel): LineView['depths'] {
  const stations = new Set([
    extent.from_ft,
    ...profile.located.map(({ station_ft }) => station_ft),
    ...(line.ground ?? []).map(({ station_ft }) => station_ft),
    extent.to_ft,
  ]);
  return [...stations]
    .filter((x) => x >= extent.from_ft && x <= extent.to_ft)
    .sort((a, b) => a - b)
    .map((station_ft) => ({ station_ft, invert_ft: profile.depth(station_ft) }));
}

const courseView = ({ line, course, extent }: LineModel): LineView['course'] => ({
  marks: (line.marks ?? []).flatMap(({ id, name }) => {
    const at = course.marks.get(id);
    return at ? [{ id, name, ...at }] : [];
  }),
  located: course.located,
  way: [extent.from_ft, ...course.located.map(({ station_ft }) => station_ft), extent.to_ft]
    .sort((a, b) => a - b)
    .flatMap((station_ft) => {
      const at = course.place(station_ft);
      return at ? [{ station_ft, ...at }] : [];
    }),
});

const findingView = (finding: GradedFinding, figureOf: FigureOf): FindingView => ({
  from_ft: finding.placed.from_ft,
  to_ft: finding.placed.to_ft,
  id: finding.id,
  kind: finding.placed.entry.finding,
  entry: finding.placed.entry,
  name: findingName(finding.placed.entry.finding),
  says: sayWhat(finding.placed.entry),
  place: finding.place,
  plusMinus_ft: finding.placed.from.plusMinus_ft,
  clock: finding.clock,
  grade: finding.grade,
  tableGrade: finding.tableGrade,
  possible: finding.possible,
  settled: finding.settled,
  why: finding.why,
  station: figureOf(finding.placed.from),
  cures: methodsFor(finding.cures),
  readings: readingsOf(finding.placed.from),
});

/** Conversion from a run's counter to stations; undefined where the run is not tied. */
function counterView(run: Run, solved: Survey): CounterView | undefined {
  const counter = solved.counter(run);
  const access = solved.point(run.access);
  return counter && access
    ? { ...counter, access_ft: access.station_ft, direction: run.direction === 'downstream' ? 1 : -1 }
    : undefined;
}
