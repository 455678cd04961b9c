import { plain, type Figure, type Step } from '../figure.js';
import type { Entry, Line, Run } from '../job/schema.js';
import type { Stage } from '../job/vocabulary.js';
import type { Warning } from '../warning.js';
import { adjust, tiedRuns, type Adjustment } from './adjust.js';
import { counterPrior } from './counter.js';
import { settleDisagreements, type Disagreement } from './disagreement.js';
import {
  nameThings,
  pointKey,
  readingsOf,
  tapesOf,
  type Reading,
  type Tape,
  type ThingKey,
} from './things.js';

/** Which runs are solved together: those that make the scope, an older look, or the look after the repair. */
export type Frame = 'scope' | 'earlier' | 'after-repair';

export const frameOf = (stage: Stage | undefined): Frame =>
  stage === 'earlier' || stage === 'after-repair' ? stage : 'scope';

/** A thing on the line: its station, ± (2 sd, or widened where readings disagreed), and what was read of it. */
export interface Placed {
  readonly key: ThingKey;
  readonly station_ft: number;
  readonly plusMinus_ft: number;
  readonly readings: readonly PlacedReading[];
  readonly disagreement?: Disagreement;
}

export interface PlacedReading {
  readonly reading: Reading;
  /** Where this reading alone puts the thing, ft. */
  readonly place_ft: number;
  readonly dropped: boolean;
}

export interface Survey {
  readonly frame: Frame;
  readonly placed: ReadonlyMap<ThingKey, Placed>;
  /** Ends of an entry in the order given; undefined for an entry of a run that nothing ties to the datum. */
  endsOf(entryId: string): { from: Placed; to: Placed | undefined } | undefined;
  point(id: string): Placed | undefined;
  /** ± of the length between two things, ft; their errors are correlated. */
  lengthPlusMinus(a: ThingKey, b: ThingKey): number;
  counter(run: Run): { zero_ft: number; scale: number } | undefined;
  stationFigure(key: ThingKey): Figure | undefined;
  readonly untied: readonly { run: Run; wouldTie: string }[];
  readonly warnings: readonly Warning[];
}

/**
 * Readings to stations for the runs of one line in one frame: weighted least squares, disagreements judged once on
 * the solve with all rows, each settled by one reading, and solved again. Stations and lengths in ft with ± 2 sd.
 */
export function survey(line: Line, frame: Frame = 'scope'): Survey {
  const names = nameThings(line);
  const runs = line.runs.filter((run) => frameOf(run.stage) === frame);
  const warnings: Warning[] = [];
  const warn = (rule: string, message: string, at_ft?: number) =>
    warnings.push({ rule, line: line.id, message, ...(at_ft === undefined ? {} : { at_ft }) });

  const all = runs.flatMap((run) => readingsOf(run, names));
  const tapes = tapesOf(line, runs, names);
  const inRiser = all.filter((reading) => reading.raw_ft < counterPrior(line, reading.run).zero_ft - 1e-9);
  const usable = all.filter((reading) => !inRiser.includes(reading));

  const tied = tiedRuns(line, runs, usable, tapes);
  const tiedReadings = usable.filter((reading) => tied.has(reading.run));
  const tiedList = runs.filter((run) => tied.has(run));
  const first = adjust(line, tiedList, tiedReadings, tapes);
  const settled = settleDisagreements(line, tiedList, tiedReadings, tapes, first);
  const solved =
    settled.dropped.size === 0
      ? first
      : adjust(
          line,
          tiedList,
          tiedReadings.filter((reading) => !settled.dropped.has(reading)),
          tapes.filter((tape) => !settled.droppedTapes.has(tape)),
        );

  const placed = new Map<ThingKey, Placed>();
  const put = (key: ThingKey, station_ft: number, plusMinus_ft: number) => {
    const disagreement = settled.disagreements.get(key);
    placed.set(key, {
      key,
      station_ft,
      plusMinus_ft,
      readings: tiedReadings
        .filter((reading) => reading.key === key)
        .map((reading) => ({
          reading,
          place_ft: solved.place(reading),
          dropped: settled.dropped.has(reading),
        })),
      ...(disagreement ? { disagreement } : {}),
    });
  };
  const keys = new Set<ThingKey>([
    pointKey(line.datum),
    ...tapes.map((tape) => tape.key),
    ...tiedReadings.map((reading) => reading.key),
    ...tiedList.map((run) => pointKey(run.access)),
  ]);
  const widened = new Map<ThingKey, number>();
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
    if (!tied.has(reading.run) || !access || placed.has(reading.key)) continue;
    warn(
      'in-riser',
      `${reading.entry.id} reads ${reading.raw_ft} ft, less than the ${plain(counterPrior(line, reading.run).zero_ft)} ft the counter shows at the level pipe: the head is still in the riser`,
      access.station_ft,
    );
    put(reading.key, access.station_ft, access.plusMinus_ft);
  }
  for (const run of tiedList) {
    const prior = counterPrior(line, run);
    if (prior.warning) {
      warn(prior.warning, `Run ${run.id}: ${prior.why}`, placed.get(pointKey(run.access))?.station_ft ?? 0);
    }
  }

  const entries = new Map<string, { entry: Entry; run: Run }>();
  for (const run of tiedList) for (const entry of run.entries) entries.set(entry.id, { entry, run });
  placeByOrder(entries, placed, (id, end) => names.keyOf(id, end), warn, put);

  for (const [key, disagreement] of settled.disagreements) {
    warn('reading-disagreement', disagreement.message, placed.get(key)?.station_ft);
  }

  const lengthPlusMinus = (a: ThingKey, b: ThingKey) => {
    if (a === b) return 0;
    const cov = (p: ThingKey, q: ThingKey) => solved.covariance(p, q);
    const derived = (key: ThingKey) =>
      key !== pointKey(line.datum) && solved.station(key) === undefined
        ? (placed.get(key)?.plusMinus_ft ?? 0)
        : 0;
    const variance = Math.max(0, cov(a, a) + cov(b, b) - 2 * cov(a, b));
    return Math.max(
      Math.hypot(2 * Math.sqrt(variance), derived(a), derived(b)),
      widened.get(a) ?? 0,
      widened.get(b) ?? 0,
    );
  };
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
    lengthPlusMinus,
    counter: (run) => (tied.has(run) ? { zero_ft: solved.zero(run), scale: solved.scale(run) } : undefined),
    stationFigure(key) {
      const thing = placed.get(key);
      return thing && stationFigure(line, thing, tapes, solved);
    },
    untied: runs.filter((run) => !tied.has(run)).map((run) => ({ run, wouldTie: wouldTie(line, run) })),
    warnings,
  };
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

/** Entries without a reading: so far past another, or somewhere between two. */
function placeByOrder(
  entries: ReadonlyMap<string, { entry: Entry; run: Run }>,
  placed: ReadonlyMap<ThingKey, Placed>,
  keyOf: (id: string, end: 'from' | 'to') => ThingKey,
  warn: (rule: string, message: string, at_ft?: number) => void,
  put: (key: ThingKey, station_ft: number, plusMinus_ft: number) => void,
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
          warn('read-from-video', `${entry.id} has no reading: read it from the video`, after.station_ft);
        }
        moved = true;
      } else if (after && before) {
        const middle = (after.station_ft + before.station_ft) / 2;
        put(key, middle, Math.abs(before.station_ft - after.station_ft) / 2);
        warn(
          'read-from-video',
          `${entry.id} lies somewhere between ${plain(after.station_ft)} and ${plain(before.station_ft)} ft: read it from the video`,
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
  return `nothing ties run ${run.id} to ${line.datum}: read ${name} from another run, read something both runs saw (\`sameAs\` or a shared point), or tape or pace the distance to ${name}`;
}

function stationFigure(line: Line, thing: Placed, tapes: readonly Tape[], solved: Adjustment): Figure {
  const steps: Step[] = thing.readings.map(({ reading, place_ft, dropped }) => {
    const { run, raw_ft, entry } = reading;
    const sign = run.direction === 'downstream' ? '+' : '−';
    const access = solved.station(pointKey(run.access)) ?? 0;
    return {
      label: `Run ${run.id}, ${entry.pass === 'out' ? 'way out' : 'way back'}${entry.about ? ', about' : ''}${dropped ? ', not used' : ''}`,
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
