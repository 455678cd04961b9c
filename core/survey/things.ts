import type { Entry, Line, Run } from '../job/schema.js';

/**
 * A thing is one place on the line that readings are readings of. Its key is `point:ID` for a shared point,
 * or `entry:ID` and `entry:ID:to` for the two ends of an entry.
 */
export type ThingKey = string;

export const pointKey = (id: string): ThingKey => `point:${id}`;

export interface ThingNames {
  /** Key of an entry's first end (`from`) or second end (`to`, only when it has a `to_ft`). */
  keyOf: (entryId: string, end: 'from' | 'to') => ThingKey;
}

/**
 * Names every entry's ends. Each is its own thing unless `sameAs` or a shared point makes two readings one;
 * second ends are one only when both entries have one.
 */
export function nameThings(line: Line): ThingNames {
  const entries = new Map<string, Entry>();
  const from = new Map<string, ThingKey>();
  const to = new Map<string, ThingKey>();
  for (const run of line.runs) {
    for (const entry of run.entries) {
      entries.set(entry.id, entry);
      const twin = entry.sameAs === undefined ? undefined : entries.get(entry.sameAs);
      if (entry.kind === 'point') from.set(entry.id, pointKey(entry.point));
      else from.set(entry.id, (twin && from.get(twin.id)) ?? `entry:${entry.id}`);
      if (entry.to_ft !== undefined) {
        to.set(entry.id, (twin?.to_ft !== undefined && to.get(twin.id)) || `entry:${entry.id}:to`);
      }
    }
  }
  return {
    keyOf(entryId, end) {
      const key = end === 'to' ? (to.get(entryId) ?? from.get(entryId)) : from.get(entryId);
      if (key === undefined) throw new Error(`no entry "${entryId}" on line "${line.id}"`);
      return key;
    },
  };
}

/** One reading of one thing by one run. */
export interface Reading {
  readonly key: ThingKey;
  readonly run: Run;
  readonly entry: Entry;
  readonly end: 'from' | 'to';
  /** What the counter showed, ft. */
  readonly raw_ft: number;
}

export function readingsOf(run: Run, names: ThingNames): Reading[] {
  return run.entries.flatMap((entry): Reading[] => {
    if (entry.reading_ft === undefined) return [];
    const first: Reading = {
      key: names.keyOf(entry.id, 'from'),
      run,
      entry,
      end: 'from',
      raw_ft: entry.reading_ft,
    };
    if (entry.to_ft === undefined) return [first];
    return [first, { key: names.keyOf(entry.id, 'to'), run, entry, end: 'to', raw_ft: entry.to_ft }];
  });
}

/** A station taped or paced on the surface, tied straight to the datum. */
export interface Tape {
  readonly key: ThingKey;
  readonly station_ft: number;
  readonly sd_ft: number;
  readonly what: string;
}

const tapeSd_ft = 0.25;

/** Tapes on points hold for every run; a tape made at a locate holds with the runs it belongs to. */
export function tapesOf(line: Line, runs: readonly Run[], names: ThingNames): Tape[] {
  const points = line.points.flatMap((point): Tape[] =>
    point.station_ft === undefined || point.id === line.datum
      ? []
      : [
          {
            key: pointKey(point.id),
            station_ft: point.station_ft,
            sd_ft: point.plusMinus_ft === undefined ? tapeSd_ft : point.plusMinus_ft / 2,
            what: point.name ?? point.id,
          },
        ],
  );
  const located = runs.flatMap((run) =>
    run.entries.flatMap((entry): Tape[] =>
      entry.kind === 'locate' && entry.station_ft !== undefined
        ? [
            {
              key: names.keyOf(entry.id, 'from'),
              station_ft: entry.station_ft,
              sd_ft: tapeSd_ft,
              what: entry.mark ?? entry.id,
            },
          ]
        : [],
    ),
  );
  return [...points, ...located];
}
