import type { Condition } from '../condition/condition.js';
import type { Figure } from '../figure.js';
import type { Entry } from '../job/schema.js';
import type { Grade } from '../job/vocabulary.js';
import type { LineModel } from '../line/model.js';
import type { ClockRange } from '../survey/clock.js';
import { frameOf } from '../survey/frames.js';
import type { Placed } from '../survey/survey.js';

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

/** One thing in the log: what it is, where it is, and all its readings. */
export interface RowView {
  readonly key: string;
  readonly thing: string;
  readonly entry: Entry;
  readonly run: string;
  readonly station: Figure | undefined;
  readonly to_ft: number | undefined;
  readonly grade: Grade | undefined;
  readonly clock: ClockRange | undefined;
  /** Locates, tests and stops made at the same reading, listed under it. */
  readonly details: readonly Entry[];
  readonly readings: readonly ReadingView[];
  readonly apart_ft: number | undefined;
  readonly disagreement: { readonly message: string; readonly settled: boolean } | undefined;
}

/** A line laid out and graded from one set of runs. */
export interface LaidOut {
  readonly model: LineModel;
  readonly condition: Condition;
}

/** Every reading of a thing, and the station it gives on its own. */
export const readingsOf = (placed: Placed): ReadingView[] =>
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

/** Log rows from the far end back, as met while pulling back; a thing read twice is one row. */
export function rowsOf({ model, condition }: LaidOut, figureOf: (placed: Placed) => Figure): RowView[] {
  const graded = new Map(condition.findings.map((finding) => [finding.id, finding]));
  const rows = new Map<string, RowView>();
  const atReading = new Map<string, string>();
  // Things first, so that work done at a thing finds it.
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
  const placedIds = new Set(model.entries.map(({ entry }) => entry.id));
  const unplaced = model.line.runs
    .filter((run) => frameOf(run.stage) === model.survey.frame)
    .flatMap((run) =>
      run.entries.filter(({ id }) => !placedIds.has(id)).map((entry) => emptyRow(entry, run.id)),
    );
  const placedRows = [...rows.values()].sort((a, b) => (b.station?.value ?? 0) - (a.station?.value ?? 0));
  return [...placedRows, ...unplaced];
}

const isDetail = (entry: Entry): boolean =>
  entry.kind === 'locate' || entry.kind === 'test' || entry.kind === 'stop';

const isDetailId = (model: LineModel, id: string): boolean =>
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
