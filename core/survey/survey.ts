import { plain, type Figure, type Step } from '../figure.js';
import type { Entry, Line, Run } from '../job/schema.js';
import { runName } from '../job/run-words.js';
import { tolerance } from '../units.js';
import { sayThing } from '../speech/say.js';
import type { Warning } from '../warning.js';
import { adjust, tiedRuns, type Adjustment } from './adjust.js';
import { counterPrior } from './counter.js';
import { settleDisagreements, type Disagreement, type Settled } from './disagreement.js';
import { frameOf, type Frame } from './frames.js';
import {
  nameThings,
  pointKey,
  readingsOf,
  tapesOf,
  type Reading,
  type Tape,
  type ThingKey,
  type ThingNames,
} from './things.js';

/** A thing on the line: its station, ± (2 sd, or wider where readings disagreed), and its readings. */
export interface Placed {
  readonly key: ThingKey;
  readonly station_ft: number;
  readonly plusMinus_ft: number;
  readonly readings: readonly PlacedReading[];
  readonly disagreement?: Disagreement;
}

export interface PlacedReading {
  readonly reading: Reading;
  /** Station from this reading alone, ft. */
  readonly place_ft: number;
  readonly dropped: boolean;
}

export interface Survey {
  readonly frame: Frame;
  readonly placed: ReadonlyMap<ThingKey, Placed>;
  /** Ends of an entry in the order given; undefined for an entry of a run not tied to the datum. */
  endsOf: (entryId: string) => { from: Placed; to: Placed | undefined } | undefined;
  point: (id: string) => Placed | undefined;
  /** ± of the length between two things, ft; their errors are correlated. */
  lengthPlusMinus: (a: ThingKey, b: ThingKey) => number;
  counter: (run: Run) => { zero_ft: number; scale: number } | undefined;
  stationFigure: (key: ThingKey) => Figure | undefined;
  readonly untied: readonly { run: Run; wouldTie: string }[];
  readonly warnings: readonly Warning[];
}

/**
 * Converts readings to stations for the runs of one line in one frame: weighted least squares, disagreements found once
 * on the solution with all rows, each settled by one reading, then solved again. Stations and lengths in ft with ± 2
 * sd.
 */
export function survey(line: Line, frame: Frame = 'scope'): Survey {
  const names = nameThings(line);
  const runs = line.runs.filter((run) => frameOf(run.stage) === frame);
  const solution = solve(line, runs, names);
  const { tied, solved, tapes } = solution;
  const placing = placeThings(line, solution);
  const { placed, warnings } = placing;
  const entries = new Map<string, { entry: Entry; run: Run }>();
  for (const run of runs.filter((each) => tied.has(each)))
    for (const entry of run.entries) entries.set(entry.id, { entry, run });
  placeByOrder(line, entries, placing, (id, end) => names.keyOf(id, end));
  for (const [key, { message }] of solution.settled.disagreements) {
    placing.warn('reading-disagreement', message, placed.get(key)?.station_ft);
  }
  return {
    frame,
    placed,
    endsOf(entryId) {
      const known = entries.get(entryId);
      if (!known) return undefined;
      const from = placed.get(names.keyOf(entryId, 'from'));
      const to = known.entry.to_ft === undefined ? undefined : placed.get(names.keyOf(entryId, 'to'));
      return from && { from, to };
    },
    point: (id) => placed.get(pointKey(id)),
    lengthPlusMinus: (a, b) => lengthPlusMinus(line, solution, placing, a, b),
    counter: (run) => (tied.has(run) ? { zero_ft: solved.zero(run), scale: solved.scale(run) } : undefined),
    stationFigure(key) {
      const thing = placed.get(key);
      return thing && stationFigure(line, thing, tapes, solved);
    },
    untied: runs.filter((run) => !tied.has(run)).map((run) => ({ run, wouldTie: wouldTie(line, run) })),
    warnings,
  };
}

/** The readings of a frame and two solutions: with all rows, and without those dropped in disagreements. */
interface Solution {
  readonly runs: readonly Run[];
  readonly tied: ReadonlySet<Run>;
  readonly tapes: readonly Tape[];
  /** Readings of tied runs; those made with the head still in the riser are separate. */
  readonly readings: readonly Reading[];
  readonly inRiser: readonly Reading[];
  readonly settled: Settled;
  readonly solved: Adjustment;
}

function solve(line: Line, runs: readonly Run[], names: ThingNames): Solution {
  const all = runs.flatMap((run) => readingsOf(run, names));
  const tapes = tapesOf(line, runs, names);
  const isInRiser = ({ raw_ft, run }: Reading) => raw_ft < counterPrior(line, run).zero_ft - tolerance.exact;
  const usable = all.filter((reading) => !isInRiser(reading));
  const tied = tiedRuns(line, runs, usable, tapes);
  const tiedList = runs.filter((run) => tied.has(run));
  const readings = usable.filter((reading) => tied.has(reading.run));
  const first = adjust(line, tiedList, readings, tapes);
  const settled = settleDisagreements(line, tiedList, readings, tapes, first);
  const kept = readings.filter((reading) => !settled.dropped.has(reading));
  const keptTapes = tapes.filter((tape) => !settled.droppedTapes.has(tape));
  return {
    runs: tiedList,
    tied,
    tapes,
    readings,
    inRiser: all.filter((reading) => isInRiser(reading) && tied.has(reading.run)),
    settled,
    solved: settled.dropped.size === 0 ? first : adjust(line, tiedList, kept, keptTapes),
  };
}

/** Things as they are located one by one, and warnings about them. */
interface Placing {
  readonly placed: ReadonlyMap<ThingKey, Placed>;
  /** Things whose ± is the distance to the farthest dropped reading, ft. */
  readonly widened: ReadonlyMap<ThingKey, number>;
  readonly warnings: readonly Warning[];
  put: (key: ThingKey, station_ft: number, plusMinus_ft: number) => void;
  warn: (rule: string, message: string, at_ft?: number) => void;
}

function placeThings(line: Line, { readings, inRiser, runs, tapes, settled, solved }: Solution): Placing {
  const placed = new Map<ThingKey, Placed>();
  const widened = new Map<ThingKey, number>();
  const warnings: Warning[] = [];
  const warn: Placing['warn'] = (rule, message, at_ft) => {
    warnings.push({ rule, line: line.id, message, ...(at_ft === undefined ? {} : { at_ft }) });
  };
  const put: Placing['put'] = (key, station_ft, plusMinus_ft) => {
    const disagreement = settled.disagreements.get(key);
    const own = readings
      .filter((reading) => reading.key === key)
      .map((reading) => ({
        reading,
        place_ft: solved.place(reading),
        dropped: settled.dropped.has(reading),
      }));
    placed.set(key, {
      key,
      station_ft,
      plusMinus_ft,
      readings: own,
      ...(disagreement ? { disagreement } : {}),
    });
  };
  const keys = new Set<ThingKey>([
    pointKey(line.datum),
    ...tapes.map((tape) => tape.key),
    ...readings.map((reading) => reading.key),
    ...runs.map((run) => pointKey(run.access)),
  ]);
  for (const key of keys) {
    const station = solved.station(key);
    if (station === undefined) continue;
    const twoSd = 2 * Math.sqrt(Math.max(0, solved.covariance(key, key)));
    const furthest = settled.dropped.size === 0 ? 0 : furthestDropped(key, station, settled, solved);
    if (furthest > twoSd) widened.set(key, furthest);
    put(key, station, Math.max(twoSd, furthest));
  }
  for (const reading of inRiser) {
    const access = placed.get(pointKey(reading.run.access));
    if (!access || placed.has(reading.key)) continue;
    warn(
      'in-riser',
      `${sayThing(line, reading.entry.id)} was read at ${reading.raw_ft} ft, less than the ${plain(counterPrior(line, reading.run).zero_ft)} ft the counter shows at the level pipe: the head is still in the riser`,
      access.station_ft,
    );
    put(reading.key, access.station_ft, access.plusMinus_ft);
  }
  for (const run of runs) {
    const prior = counterPrior(line, run);
    if (prior.warning) {
      warn(prior.warning, `${runName(run)}: ${prior.why}`, placed.get(pointKey(run.access))?.station_ft ?? 0);
    }
  }
  return { placed, widened, warnings, put, warn };
}

/** ± of the length between two things: from their covariance, and never less than a widened ± of either. */
function lengthPlusMinus(
  line: Line,
  { solved }: Solution,
  { placed, widened }: Placing,
  a: ThingKey,
  b: ThingKey,
): number {
  if (a === b) return 0;
  const derived = (key: ThingKey) =>
    key !== pointKey(line.datum) && solved.station(key) === undefined
      ? (placed.get(key)?.plusMinus_ft ?? 0)
      : 0;
  const variance = Math.max(
    0,
    solved.covariance(a, a) + solved.covariance(b, b) - 2 * solved.covariance(a, b),
  );
  return Math.max(
    Math.hypot(2 * Math.sqrt(variance), derived(a), derived(b)),
    widened.get(a) ?? 0,
    widened.get(b) ?? 0,
  );
}

function furthestDropped(
  key: ThingKey,
  station: number,
  settled: { dropped: ReadonlySet<Reading>; disagreements: ReadonlyMap<ThingKey, Disagreement> },
  solved: Adjustment,
): number {
  if (settled.disagreements.get(key)?.byUse) return 0;
  return [...settled.dropped]
    .filter((reading) => reading.key === key)
    .reduce((most, reading) => Math.max(most, Math.abs(solved.place(reading) - station)), 0);
}

/** Entries without a reading: a distance past another, or between two. */
function placeByOrder(
  line: Line,
  entries: ReadonlyMap<string, { entry: Entry; run: Run }>,
  { placed, warn, put }: Placing,
  keyOf: (id: string, end: 'from' | 'to') => ThingKey,
): void {
  let waiting = [...entries.values()].filter(({ entry }) => entry.reading_ft === undefined);
  for (let moved = true; moved && waiting.length > 0;) {
    moved = false;
    const still: typeof waiting = [];
    for (const item of waiting) {
      const { entry, run } = item;
      const key = keyOf(entry.id, 'from');
      const after = entry.after === undefined ? undefined : placed.get(keyOf(entry.after, 'from'));
      const before = entry.before === undefined ? undefined : placed.get(keyOf(entry.before, 'from'));
      if (placed.has(key)) {
        moved = true;
      } else if (after && entry.before === undefined) {
        const past = (run.direction === 'downstream' ? 1 : -1) * (entry.plus_ft ?? 0);
        put(key, after.station_ft + past, after.plusMinus_ft);
        if (entry.plus_ft === undefined) {
          warn(
            'read-from-video',
            `${sayThing(line, entry.id)} has no reading: read it from the video`,
            after.station_ft,
          );
        }
        moved = true;
      } else if (after && before) {
        const middle = (after.station_ft + before.station_ft) / 2;
        put(key, middle, Math.abs(before.station_ft - after.station_ft) / 2);
        warn(
          'read-from-video',
          `${sayThing(line, entry.id)} lies somewhere between ${plain(after.station_ft)} and ${plain(before.station_ft)} ft: read it from the video`,
          middle,
        );
        moved = true;
      } else {
        still.push(item);
      }
    }
    waiting = still;
  }
}

function wouldTie(line: Line, run: Run): string {
  const access = line.points.find((point) => point.id === run.access);
  const name = access?.name ?? run.access;
  return `nothing ties it to where the line is measured from: read the ${name} from another run, read something that both runs saw, or tape or pace the distance to the ${name}`;
}

function stationFigure(line: Line, thing: Placed, tapes: readonly Tape[], solved: Adjustment): Figure {
  const steps: Step[] = thing.readings.map(({ reading, place_ft, dropped }) => {
    const { run, raw_ft, entry } = reading;
    const sign = run.direction === 'downstream' ? '+' : '−';
    const access = solved.station(pointKey(run.access)) ?? 0;
    return {
      label: `${runName(run)}, ${entry.pass === 'out' ? 'way out' : 'way back'}${entry.about ? ', about' : ''}${dropped ? ', not used' : ''}`,
      expression: `${plain(access)} ${sign} (${plain(solved.scale(run), 4)} × ${plain(raw_ft)} − ${plain(solved.zero(run))}) = ${plain(place_ft)}`,
    };
  });
  for (const tape of tapes.filter((each) => each.key === thing.key)) {
    steps.push({
      label: 'On the surface',
      expression: `${plain(tape.station_ft)} ± ${plain(2 * tape.sd_ft)}`,
    });
  }
  if (thing.key === pointKey(line.datum)) steps.push({ label: 'Zero of the line', expression: '0, exact' });
  else if (steps.length > 1) {
    steps.push({
      label: 'Weighted by how sure each is',
      expression: `${plain(thing.station_ft)} ± ${plain(thing.plusMinus_ft)}`,
      source: 'weighted least squares; deviations are common practice',
    });
  }
  return { value: thing.station_ft, unit: 'ft', plusMinus: thing.plusMinus_ft, steps };
}
