import { condition } from '../condition/condition.js';
import { methodsFor } from '../methods/index.js';
import type { Figure } from '../figure.js';
import { fallsOf, type Fall } from '../grade/fall.js';
import type { Rules } from '../job/rules-schema.js';
import type { Entry, Job, Pin } from '../job/schema.js';
import type { FindingKind, Grade, Method, OwnerKind, PointKind, SurfaceKind } from '../job/vocabulary.js';
import type { GroundPlace } from '../line/course.js';
import { subtract, type Interval } from '../line/intervals.js';
import { lineModel, resolveStretch, type LineModel } from '../line/model.js';
import type { PipeStretch } from '../line/pipe-stretches.js';
import type { ClockRange } from '../survey/clock.js';
import { frameOf, type Frame, type Placed, type Survey } from '../survey/survey.js';
import { proofOf, type Proof } from '../offer/proof.js';
import { scopeOf, type Scope, type ScopeDepth } from '../scope/scope.js';
import { readyJob } from '../solve/ready.js';
import type { ScopedLine } from '../solve/way.js';
import { assumedSurface } from '../catalog/surfaces.js';

/** Everything the screens show of a job, as plain data that can cross to and from a worker. */
export interface JobView {
  readonly scope: Scope;
  readonly lines: readonly LineView[];
}

export interface LineView extends Interval {
  readonly id: string;
  readonly name: string;
  readonly endReached: boolean;
  readonly points: readonly PointView[];
  readonly pipes: readonly PipeStretch[];
  readonly surfaces: readonly (Interval & { kind: SurfaceKind; assumed: boolean })[];
  readonly owners: readonly (Interval & { owner: OwnerKind })[];
  readonly noDig: readonly (Interval & { why?: string | undefined })[];
  /** Pins where they lie now. */
  readonly pins: readonly (Interval & { readonly pin: Pin })[];
  readonly crossings: readonly { station_ft: number; utility: string; depth_ft?: number | undefined }[];
  readonly joints: readonly number[];
  readonly unseen: readonly Interval[];
  readonly depths: readonly { station_ft: number; invert_ft: number }[];
  readonly depthKnown: boolean;
  /** How it falls, by stretches; empty where that is not known. */
  readonly falls: readonly Fall[];
  /** Marks, what was taped from them, and the line's way between, on the ground. */
  readonly course: {
    readonly marks: readonly (GroundPlace & { readonly id: string; readonly name: string })[];
    readonly located: readonly (GroundPlace & { readonly id: string; readonly station_ft: number })[];
    readonly way: readonly (GroundPlace & { readonly station_ft: number })[];
  };
  readonly findings: readonly FindingView[];
  /** What of the findings can be shown, worst first. */
  readonly proof: readonly Proof[];
  readonly rows: readonly RowView[];
  /** Rows of an older look and of the look after the repair, which lie on the line by their own readings alone. */
  readonly otherLooks: Readonly<Record<OtherFrame, readonly RowView[]>>;
  readonly untied: readonly { run: string; wouldTie: string }[];
  /** Things with a station, from upstream, for reading ± anywhere. */
  readonly things: readonly { station_ft: number; plusMinus_ft: number }[];
  /** Each tied run's counter: station = access + direction × (scale × reading − zero). */
  readonly counters: Readonly<Record<string, CounterView>>;
}

type OtherFrame = Exclude<Frame, 'scope'>;
const otherFrames: readonly OtherFrame[] = ['earlier', 'after-repair'];

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
  /** The line and point that this one runs into. */
  readonly onto?: { readonly line: string; readonly point: string } | undefined;
}

export interface FindingView extends Interval {
  readonly id: string;
  readonly kind: FindingKind;
  readonly entry: Entry;
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

export interface ReadingView {
  readonly run: string;
  readonly entry: string;
  readonly pass: 'out' | 'back';
  readonly about: boolean;
  readonly raw_ft: number;
  readonly place_ft: number;
  readonly dropped: boolean;
  readonly video_s?: number | undefined;
}

/** One thing in the log: what it is, where it lies, and every reading of it. */
export interface RowView {
  readonly key: string;
  readonly thing: string;
  readonly entry: Entry;
  readonly run: string;
  readonly station: Figure | undefined;
  readonly to_ft: number | undefined;
  readonly grade: Grade | undefined;
  readonly clock: ClockRange | undefined;
  /** Locates, tests and stops made at the same reading, told under it. */
  readonly details: readonly Entry[];
  readonly readings: readonly ReadingView[];
  readonly apart_ft: number | undefined;
  readonly disagreement: { readonly message: string; readonly settled: boolean } | undefined;
}

/** Lays a job out for the screens. `alternatives` also solves for runners-up, which takes longer. */
export function jobView(job: Job, depth: ScopeDepth): JobView {
  const ready = readyJob(job);
  const joins = job.lines.flatMap((line) =>
    line.points.flatMap(({ onto }) => (onto ? [{ onto, line: line.id, name: line.name ?? line.id }] : [])),
  );
  return {
    scope: scopeOf(ready, depth),
    lines: ready.lines.map((line) => lineView(line, ready.rules, joins)),
  };
}

type Join = NonNullable<PointView['joinedBy']> & { readonly onto: NonNullable<PointView['onto']> };

const figureOn =
  (solved: Survey) =>
  (placed: Placed): Figure =>
    solved.stationFigure(placed.key) ?? {
      value: placed.station_ft,
      unit: 'ft',
      plusMinus: placed.plusMinus_ft,
      steps: [],
    };

/** A look that makes no scope, laid out by its own readings; undefined where the line has none. */
function otherLook({ line }: LineModel, frame: OtherFrame, rules: Rules): LookedAt | undefined {
  if (!line.runs.some(({ stage }) => frameOf(stage) === frame)) return undefined;
  const model = lineModel(line, rules, frame);
  return { model, condition: condition(model, rules) };
}

function lineView(line: ScopedLine, rules: Rules, joins: readonly Join[]): LineView {
  const { model, condition } = line;
  const { survey: solved, extent, profile } = model;
  const figureOf = figureOn(solved);
  const looks = otherFrames.map((frame) => otherLook(model, frame, rules));
  const rowsIn = (frame: OtherFrame) => {
    const look = looks[otherFrames.indexOf(frame)];
    return look ? rowsOf(look, figureOn(look.model.survey)) : [];
  };
  const bare = subtract([extent], model.surfaces).map((each) => ({
    ...each,
    kind: assumedSurface,
    assumed: true,
  }));
  const depthStations = [
    ...new Set([
      extent.from_ft,
      ...profile.located.map(({ station_ft }) => station_ft),
      ...(model.line.ground ?? []).map(({ station_ft }) => station_ft),
      extent.to_ft,
    ]),
  ]
    .filter((x) => x >= extent.from_ft && x <= extent.to_ft)
    .sort((a, b) => a - b);
  return {
    ...extent,
    id: model.line.id,
    name: model.line.name ?? model.line.id,
    endReached: model.endReached,
    points: model.points.map(({ point, at }) => ({
      id: point.id,
      kind: point.kind,
      name: point.name ?? (point.kind === 'main' ? 'main' : point.id),
      station: figureOf(at),
      onto: point.onto,
      joinedBy: joins.find(({ onto }) => onto.line === model.line.id && onto.point === point.id),
    })),
    pipes: model.pipes,
    surfaces: [...model.surfaces.map((each) => ({ ...each, assumed: false })), ...bare].sort(
      (a, b) => a.from_ft - b.from_ft,
    ),
    owners: model.owners,
    noDig: model.noDig,
    pins: (model.line.pins ?? []).map((pin) => ({
      ...resolveStretch(pin, model.survey, model.line.end),
      pin,
    })),
    crossings: model.line.crossings ?? [],
    joints: model.joints,
    unseen: subtract([extent], model.seen),
    depths: depthStations.map((station_ft) => ({ station_ft, invert_ft: profile.depth(station_ft) })),
    depthKnown: profile.located.length > 0,
    falls: fallsOf(model, rules),
    course: {
      marks: (model.line.marks ?? []).flatMap(({ id, name }) => {
        const at = model.course.marks.get(id);
        return at ? [{ id, name, ...at }] : [];
      }),
      located: model.course.located,
      way: [extent.from_ft, ...model.course.located.map(({ station_ft }) => station_ft), extent.to_ft]
        .sort((a, b) => a - b)
        .flatMap((station_ft) => {
          const at = model.course.place(station_ft);
          return at ? [{ station_ft, ...at }] : [];
        }),
    },
    findings: condition.findings.map((finding) => ({
      from_ft: finding.placed.from_ft,
      to_ft: finding.placed.to_ft,
      id: finding.id,
      kind: finding.placed.entry.finding,
      entry: finding.placed.entry,
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
    })),
    proof: proofOf(line),
    rows: rowsOf(line, figureOf),
    otherLooks: { earlier: rowsIn('earlier'), 'after-repair': rowsIn('after-repair') },
    untied: [model, ...looks.flatMap((look) => look?.model ?? [])].flatMap(({ survey }) =>
      survey.untied.map(({ run, wouldTie }) => ({ run: run.id, wouldTie })),
    ),
    things: [...solved.placed.values()]
      .map(({ station_ft, plusMinus_ft }) => ({ station_ft, plusMinus_ft }))
      .sort((a, b) => a.station_ft - b.station_ft),
    counters: Object.fromEntries(
      model.line.runs.flatMap((run) => {
        const own =
          looks[otherFrames.findIndex((frame) => frame === frameOf(run.stage))]?.model.survey ?? solved;
        const counter = own.counter(run);
        const access = own.point(run.access);
        const direction = run.direction === 'downstream' ? 1 : -1;
        return counter && access
          ? [[run.id, { ...counter, access_ft: access.station_ft, direction } satisfies CounterView]]
          : [];
      }),
    ),
  };
}

const readingsOf = (placed: Placed): ReadingView[] =>
  placed.readings.map(({ reading, place_ft, dropped }) => ({
    run: reading.run.id,
    entry: reading.entry.id,
    pass: reading.entry.pass ?? 'back',
    about: reading.entry.about ?? false,
    raw_ft: reading.raw_ft,
    place_ft,
    dropped,
    video_s: reading.entry.video_s,
  }));

/** A line laid out and graded, as the runs of one frame saw it. */
type LookedAt = Pick<ScopedLine, 'model' | 'condition'>;

/** Log rows from the far end back, as the pull back meets them; the same thing read twice is one row. */
function rowsOf({ model, condition }: LookedAt, figureOf: (placed: Placed) => Figure): RowView[] {
  const graded = new Map(condition.findings.map((finding) => [finding.id, finding]));
  const rows = new Map<string, RowView>();
  const atReading = new Map<string, string>();
  // Things themselves first, so that what was done at a thing finds it.
  const things = model.entries.filter(({ entry }) => !isDetail(entry));
  for (const placed of [...things, ...model.entries.filter(({ entry }) => isDetail(entry))]) {
    const { entry, run, from } = placed;
    const what = entry.kind === 'finding' ? entry.finding : entry.kind;
    const moment = `${run.id} ${entry.pass ?? 'back'} ${entry.reading_ft ?? entry.id}`;
    const same = [...rows.values()].find((row) => row.thing === from.key)?.key ?? atReading.get(moment);
    const key = isDetail(entry) && same !== undefined ? same : `${from.key} ${what}`;
    const known = rows.get(key);
    const finding = graded.get(entry.id);
    if (known) {
      rows.set(key, {
        ...known,
        grade: known.grade ?? finding?.grade,
        clock: known.clock ?? finding?.clock,
        details: isDetail(entry) ? [...known.details, entry] : known.details,
      });
      continue;
    }
    atReading.set(moment, key);
    const readings = readingsOf(from).filter(({ entry: id }) => !isDetailId(model, id) || isDetail(entry));
    const raws = readings.map(({ place_ft }) => place_ft);
    rows.set(key, {
      ...emptyRow(entry, run.id),
      key,
      thing: from.key,
      station: figureOf(from),
      to_ft: placed.to === from ? undefined : placed.to_ft,
      grade: finding?.grade,
      clock: finding?.clock,
      readings,
      apart_ft: raws.length > 1 ? Math.max(...raws) - Math.min(...raws) : undefined,
      disagreement: from.disagreement && {
        message: from.disagreement.message,
        settled: from.disagreement.byUse,
      },
    });
  }
  const unplaced = model.line.runs
    .filter((run) => model.survey.untied.some((each) => each.run === run))
    .flatMap((run) => run.entries.map((entry) => emptyRow(entry, run.id)));
  const placedRows = [...rows.values()].sort((a, b) => (b.station?.value ?? 0) - (a.station?.value ?? 0));
  return [...placedRows, ...unplaced];
}

const isDetail = (entry: Entry): boolean =>
  entry.kind === 'locate' || entry.kind === 'test' || entry.kind === 'stop';

const isDetailId = (model: ScopedLine['model'], id: string): boolean =>
  model.entries.some(({ entry }) => entry.id === id && isDetail(entry));

const emptyRow = (entry: Entry, run: string): RowView => ({
  key: entry.id,
  thing: entry.id,
  entry,
  run,
  station: undefined,
  to_ft: undefined,
  grade: undefined,
  clock: undefined,
  details: [],
  readings: [],
  apart_ft: undefined,
  disagreement: undefined,
});
