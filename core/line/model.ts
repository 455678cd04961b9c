import { pastEnd_ft, tolerance } from '../units.js';
import { rulesInForce } from '../job/rules.js';
import type { RulesOverride } from '../job/rules-schema.js';
import { sayPoint } from '../job/point-words.js';
import type { Entry, FindingEntry, Line, Point, Run } from '../job/schema.js';
import type { OwnerKind, SurfaceKind } from '../job/vocabulary.js';
import { kindOf } from '../findings/kinds.js';
import { measureOf } from '../findings/measure.js';
import { frameOf, type Frame } from '../survey/frames.js';
import { survey, type Placed, type Survey } from '../survey/survey.js';
import type { Warning } from '../warning.js';
import { courseOf, type Course } from './course.js';
import { clip, subtract, union, type Interval } from './intervals.js';
import { changesOf, pipeStretches, type Change, type PipeStretch } from './pipe-stretches.js';
import { profileOf, type Profile } from './profile.js';

/** A point of the line with a known station. */
export interface PlacedPoint {
  readonly point: Point;
  readonly at: Placed;
}

/** An entry on the line: its ends sorted downstream, ft. */
export interface PlacedEntry<E extends Entry = Entry> extends Interval {
  readonly entry: E;
  readonly run: Run;
  readonly from: Placed;
  readonly to: Placed;
}

export type Crossing = NonNullable<Line['crossings']>[number];

/** One line laid out by station, the input to every later step. Derived from the job alone, never stored. */
export interface LineModel {
  readonly line: Line;
  readonly survey: Survey;
  /** What is laid out: the line as far as it is known, and past that where the work has to go past it. */
  readonly extent: Interval;
  /** As far as a run, a tape or pacing shows it. */
  readonly known: Interval;
  /** Whether a run, a tape or pacing reached the end. */
  readonly endReached: boolean;
  readonly points: readonly PlacedPoint[];
  readonly entries: readonly PlacedEntry[];
  readonly findings: readonly PlacedEntry<FindingEntry>[];
  readonly changes: readonly Change[];
  readonly pipes: readonly PipeStretch[];
  readonly surfaces: readonly (Interval & { kind: SurfaceKind })[];
  readonly owners: readonly (Interval & { owner: OwnerKind })[];
  /** Utilities that cross it: those entered, and those seen in the pipe itself. */
  readonly crossings: readonly Crossing[];
  readonly noDig: readonly (Interval & { why?: string | undefined })[];
  readonly joints: readonly number[];
  readonly seen: readonly Interval[];
  /** Roots and deposits over this percentage of the bore hide the wall behind them. House rule. */
  readonly hidesOver_percent: number;
  readonly profile: Profile;
  readonly course: Course;
  readonly warnings: readonly Warning[];
}

/** A place extends this far either side of its reading, ft. */
export const placeReach_ft = 0.5;

/** Place of a finding: half a foot either side, clipped to the line. */
export function placeOf(stretch: Interval, extent: Interval): Interval {
  const wide = { from_ft: stretch.from_ft - placeReach_ft, to_ft: stretch.to_ft + placeReach_ft };
  const from_ft = Math.min(Math.max(wide.from_ft, extent.from_ft), extent.to_ft);
  return { from_ft, to_ft: Math.max(from_ft, Math.min(wide.to_ft, extent.to_ft)) };
}

/** Lays one line out by station from one set of runs: those of the scope, an older inspection, or the latest. */
export function lineModel(line: Line, rules?: RulesOverride, frame: Frame = 'scope'): LineModel {
  const solved = survey(line, frame);
  const entries = placeEntries(line, solved);
  const points = line.points.flatMap((point) => {
    const at = solved.point(point.id);
    return at ? [{ point, at }] : [];
  });
  const end = solved.point(line.end);
  const known = knownOf(points, entries, end);
  const extent = end ? known : roomPast(known, entries);
  const changes = changesOf(line, solved);
  const pipes = pipeStretches(line, changes, extent);
  const { hidesOver_percent } = rulesInForce(rules);
  const profile = profileOf(line, solved, rules);
  const course = courseOf(line, solved);
  const stretches = <T extends HeldStretch>(all: readonly T[] | undefined) =>
    stretchesOf(all, solved, line.end, extent);
  const owners = stretches(line.owners);
  const findings = entries.filter((each): each is PlacedEntry<FindingEntry> => each.entry.kind === 'finding');
  return {
    line,
    survey: solved,
    extent,
    known,
    endReached: end !== undefined,
    points,
    entries,
    findings,
    changes,
    pipes: pipes.stretches,
    surfaces: stretches(line.surfaces),
    owners,
    crossings: [...(line.crossings ?? []), ...seenInPipe(line, findings, profile)],
    noDig: stretches(line.noDig),
    joints: jointsOf(entries, pipes.stretches),
    seen: seenOf({ line, survey: solved, entries, pipes: pipes.stretches, extent, hidesOver_percent }),
    hidesOver_percent,
    profile,
    course,
    warnings: [
      ...solved.warnings,
      ...notCalledWarnings(line, solved, entries, known),
      ...course.warnings,
      ...pipes.warnings,
      ...profile.warnings(extent.from_ft, extent.to_ft),
      ...ownerWarnings(line, owners, extent),
      ...unsoundWarnings(line, entries, end, rulesInForce(rules).mostCable_ft),
    ],
  };
}

/** Two crossings closer than this are one utility, ft. */
const sameUtility_ft = 2;

/** Utilities that run through the pipe, at the depth of the invert where that is known. */
const seenInPipe = (
  { crossings }: Line,
  findings: readonly PlacedEntry<FindingEntry>[],
  profile: Profile,
): Crossing[] =>
  findings
    .filter(({ entry }) => kindOf(entry.finding).byOthers !== undefined)
    .map(({ from_ft, to_ft }) => (from_ft + to_ft) / 2)
    .filter((x) => !crossings?.some(({ station_ft }) => Math.abs(station_ft - x) <= sameUtility_ft))
    .map((station_ft) => ({
      station_ft,
      utility: 'the utility in the pipe',
      ...(profile.located.length > 0 ? { depth_ft: profile.depth(station_ft) } : {}),
    }));

/** What nobody saw of a line, as far as it is known. */
export const notSeen = ({ known, seen }: Pick<LineModel, 'known' | 'seen'>): Interval[] =>
  subtract([known], seen);

const endName = ({ points, end }: Line): string => {
  const point = points.find(({ id }) => id === end);
  return point ? sayPoint(point) : 'end';
};

/** Line ends that nobody reached or called, and runs not tied to the datum. */
function notCalledWarnings(
  line: Line,
  solved: Survey,
  entries: readonly PlacedEntry[],
  known: Interval,
): Warning[] {
  const reached = solved.point(line.end) !== undefined;
  return [
    ...(reached
      ? []
      : [
          {
            rule: 'end-not-reached',
            line: line.id,
            at_ft: known.to_ft,
            message: `nobody reached the ${endName(line)}: the line is known to ${known.to_ft.toFixed(1)} ft and goes on`,
          },
        ]),
    ...solved.untied.map(({ run, wouldTie }) => ({
      rule: 'run-not-tied',
      line: line.id,
      message: `${run.name ?? 'a run'}: ${wouldTie}`,
    })),
    ...entries
      .filter(({ entry }) => entry.open)
      .map(({ entry, from_ft }) => ({
        rule: 'end-not-called',
        line: line.id,
        at_ft: from_ft,
        message: `${entry.kind === 'finding' ? kindOf(entry.finding).noun : 'a hidden stretch'} at ${from_ft.toFixed(1)} ft was called where it starts and not where it ends: call its end, or read it from the video`,
      })),
  ];
}

/** Implausible readings: longer than any cable, or past the end of the line. */
function unsoundWarnings(
  line: Line,
  entries: readonly PlacedEntry[],
  end: Placed | undefined,
  mostCable_ft: number,
): Warning[] {
  return entries.flatMap(({ entry, from_ft, to_ft, to }): Warning[] => {
    const reading_ft = Math.max(entry.reading_ft ?? 0, entry.to_ft ?? 0);
    const what = entry.kind === 'finding' ? kindOf(entry.finding).noun : entry.kind;
    if (reading_ft > mostCable_ft) {
      return [
        {
          rule: 'beyond-cable',
          line: line.id,
          at_ft: from_ft,
          message: `${what}: ${reading_ft} ft is longer than a cable (${mostCable_ft} ft). Is a decimal point missing?`,
        },
      ];
    }
    const past_ft = end ? to_ft - end.station_ft : 0;
    if (!end || past_ft <= Math.max(pastEnd_ft, to.plusMinus_ft)) return [];
    return [
      {
        rule: 'past-the-end',
        line: line.id,
        at_ft: end.station_ft,
        message: `${what} at ${to_ft.toFixed(1)} ft lies ${past_ft.toFixed(1)} ft past the end of the line at ${end.station_ft.toFixed(1)}: one of the two readings is wrong`,
      },
    ];
  });
}

function ownerWarnings(line: Line, owners: LineModel['owners'], extent: Interval): Warning[] {
  const known = owners.filter(({ owner }) => owner !== 'unknown');
  if (subtract([extent], known).length === 0) return [];
  const message = 'the owner of part of this line was not entered: it counts as private';
  return [{ rule: 'owner-unknown', line: line.id, message }];
}

/** A stretch given in feet or by the ids of points and entries. */
interface HeldStretch {
  readonly from_ft?: number | undefined;
  readonly to_ft?: number | undefined;
  readonly from?: string | undefined;
  readonly to?: string | undefined;
}

/** Stretches at their current stations, clipped to the line. */
function stretchesOf<T extends HeldStretch>(
  all: readonly T[] | undefined,
  solved: Survey,
  end: string,
  extent: Interval,
): (T & Interval)[] {
  return (all ?? []).flatMap((each) => {
    const inside = clip({ ...each, ...resolveStretch(each, solved, end) }, extent);
    return inside && inside.to_ft > inside.from_ft ? [inside] : [];
  });
}

/**
 * Stations of a stretch given in feet or by the ids of points and entries; NaN where the thing has no station. A
 * stretch attached to an end that nobody reached continues as far as the line does, and is never an error.
 */
export function resolveStretch(stretch: HeldStretch, solved: Survey, endId: string): Interval {
  const station = (feet: number | undefined, id: string | undefined, end: 'from' | 'to') => {
    if (feet !== undefined) return feet;
    if (id === undefined) return Number.NaN;
    if (id === endId && !solved.point(id)) return Infinity;
    const ends = solved.endsOf(id);
    return (
      (solved.point(id) ?? (end === 'to' ? (ends?.to ?? ends?.from) : ends?.from))?.station_ft ?? Number.NaN
    );
  };
  return {
    from_ft: station(stretch.from_ft, stretch.from, 'from'),
    to_ft: station(stretch.to_ft, stretch.to, 'to'),
  };
}

function placeEntries(line: Line, solved: Survey): PlacedEntry[] {
  return line.runs.flatMap((run) =>
    run.entries.flatMap((entry) => {
      if (frameOf(entry.stage ?? run.stage) !== solved.frame || frameOf(run.stage) !== solved.frame)
        return [];
      const ends = solved.endsOf(entry.id);
      if (!ends) return [];
      const other = ends.to ?? ends.from;
      const [from, to] = other.station_ft < ends.from.station_ft ? [other, ends.from] : [ends.from, other];
      return [{ entry, run, from, to, from_ft: from.station_ft, to_ft: to.station_ft }];
    }),
  );
}

/**
 * From the datum, or anything found upstream of it, to the end; to the farthest known thing where nobody reached the
 * end.
 */
function knownOf(
  points: readonly PlacedPoint[],
  entries: readonly PlacedEntry[],
  end: Placed | undefined,
): Interval {
  const lengthening = [
    ...points.map(({ at }) => at.station_ft),
    ...entries.filter(({ entry }) => entry.kind === 'stop').map(({ from_ft }) => from_ft),
  ];
  const furthest = [...lengthening, ...entries.map(({ to_ft }) => to_ft)];
  const from_ft = Math.min(0, ...lengthening);
  return { from_ft, to_ft: Math.max(from_ft, end ? end.station_ft : Math.max(0, ...furthest)) };
}

/** Room past the last place seen for new pipe, its excavation, and the old pipe that may be left next to it, ft. */
const roomPast_ft = 10;

/**
 * Where nobody reached the end and the last place is a defect, what repairs it goes past it: a camera that stopped at a
 * break saw half of it.
 */
function roomPast(known: Interval, entries: readonly PlacedEntry[]): Interval {
  const isDefect = ({ entry, to_ft }: PlacedEntry) =>
    entry.kind === 'finding' &&
    !kindOf(entry.finding).cleaned &&
    to_ft + placeReach_ft > known.to_ft + tolerance.ft;
  return entries.some(isDefect) ? { ...known, to_ft: known.to_ft + roomPast_ft } : known;
}

function jointsOf(entries: readonly PlacedEntry[], pipes: readonly PipeStretch[]): number[] {
  const called = entries.filter(({ entry }) => entry.kind === 'joint').map(({ from_ft }) => from_ft);
  const laid = pipes.flatMap(({ from_ft, to_ft, piece_ft }) =>
    piece_ft === undefined
      ? []
      : Array.from(
          { length: Math.max(0, Math.ceil((to_ft - from_ft) / piece_ft) - 1) },
          (_, i) => from_ft + (i + 1) * piece_ft,
        ),
  );
  return [...called, ...laid].sort((a, b) => a - b);
}

/**
 * What current and before-cleaning runs saw: from the access point to the farthest entry, less hidden stretches and the
 * places of heavy roots and deposits.
 */
function seenOf(laid: Laid): Interval[] {
  return union(
    laid.line.runs.flatMap((run) => sightOf(run, laid).flatMap((each) => clip(each, laid.extent) ?? [])),
  );
}

/** The parts of a line's model needed to compute what a run saw. */
type Laid = Pick<LineModel, 'line' | 'survey' | 'entries' | 'pipes' | 'extent' | 'hidesOver_percent'>;

/** What one run saw of its line. */
export function sightOf(
  run: Run,
  { survey: solved, entries, pipes, extent, hidesOver_percent }: Laid,
): Interval[] {
  const access = solved.point(run.access);
  const own = entries.filter((each) => each.run === run);
  if (frameOf(run.stage) !== solved.frame || !access || own.length === 0) return [];
  const at = access.station_ft;
  const reach: Interval =
    run.direction === 'downstream'
      ? { from_ft: at, to_ft: Math.max(at, ...own.map(({ to_ft }) => to_ft)) }
      : { from_ft: Math.min(at, ...own.map(({ from_ft }) => from_ft)), to_ft: at };
  const hidden = own.flatMap(({ entry, from_ft, to_ft }): Interval[] => {
    // Nobody said where the view came back, so everything this run passed from there on is unseen.
    if (entry.kind === 'hidden' && entry.open) {
      const away = ((entry.pass ?? 'back') === 'out') === (run.direction === 'downstream');
      return away ? [{ from_ft, to_ft: reach.to_ft }] : [{ from_ft: reach.from_ft, to_ft }];
    }
    if (entry.kind === 'hidden')
      return to_ft > from_ft ? [{ from_ft, to_ft }] : [placeOf({ from_ft, to_ft }, extent)];
    if (entry.kind !== 'finding' || !kindOf(entry.finding).cleaned) return [];
    const measured = measureOf(entry, 'percent', boreAt(pipes, (from_ft + to_ft) / 2));
    // A possible finding never stops anything, so it hides nothing either.
    const hides = !entry.possible && measured.known !== 'not-measured' && measured.value > hidesOver_percent;
    return hides ? [placeOf({ from_ft, to_ft }, extent)] : [];
  });
  return subtract([reach], hidden);
}

/** Pipe at a station; a boundary belongs to the stretch that ends there. */
export function pipeAt(pipes: readonly PipeStretch[], station_ft: number): PipeStretch | undefined {
  return pipes.find(({ to_ft }) => station_ft <= to_ft + tolerance.exact) ?? pipes.at(-1);
}

/** Nominal bore at a station, in. */
export function boreAt(pipes: readonly PipeStretch[], station_ft: number): number {
  return pipeAt(pipes, station_ft)?.diameter_in ?? 4;
}
