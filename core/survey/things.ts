import type { Entry, Line, Run } from '../job/schema.js';

/**
 * A thing is one place on the line, with any number of readings. Its key is `point:ID` for a shared point, or
 * `entry:ID` and `entry:ID:to` for the two ends of an entry.
 */
export type ThingKey = string;

export const pointKey = (id: string): ThingKey => `point:${id}`;

export interface ThingNames {
  /** Key of an entry's first end (`from`) or second end (`to`, only when it has a `to_ft`). */
  keyOf: (entryId: string, end: 'from' | 'to') => ThingKey;
}

/** The ends of one thing read by several entries, by their first keys. */
interface Thing {
  readonly run: Run;
  upstream?: { key: ThingKey; raw_ft: number };
  downstream?: { key: ThingKey; raw_ft: number };
  /** A single called end, until another entry calls both. */
  alone?: { key: ThingKey; raw_ft: number };
}

/**
 * Assigns keys to every entry's ends. Each is its own thing unless `sameAs` or a shared point joins two readings. Two
 * entries of one thing are joined end by end, by station, in either direction: pulling back, the far end comes first. A
 * single called end joins the nearer one.
 */
export function nameThings(line: Line): ThingNames {
  const from = new Map<string, ThingKey>();
  const to = new Map<string, ThingKey>();
  const things = new Map<string, Thing>();
  for (const run of line.runs) {
    for (const entry of run.entries) {
      if (entry.kind === 'point') {
        from.set(entry.id, pointKey(entry.point));
        continue;
      }
      const known = entry.sameAs === undefined ? undefined : things.get(entry.sameAs);
      const thing = known ?? { run };
      things.set(entry.id, thing);
      const twinOfPoint = known ? undefined : entry.sameAs !== undefined ? from.get(entry.sameAs) : undefined;
      const own = { from: `entry:${entry.id}`, to: `entry:${entry.id}:to` };
      if (entry.to_ft === undefined)
        from.set(entry.id, twinOfPoint ?? joinAlone(thing, run, entry, own.from));
      else {
        const ends = joinBoth(thing, run, entry, own);
        from.set(entry.id, twinOfPoint ?? ends.from);
        to.set(entry.id, ends.to);
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

/** Joins a single called end to the nearer end of its thing. */
function joinAlone(thing: Thing, run: Run, { reading_ft }: Entry, own: ThingKey): ThingKey {
  const raw_ft = reading_ft ?? 0;
  const { upstream, downstream } = thing;
  if (upstream && downstream) {
    const nearer =
      run === thing.run && Math.abs(raw_ft - downstream.raw_ft) < Math.abs(raw_ft - upstream.raw_ft)
        ? downstream
        : upstream;
    return nearer.key;
  }
  thing.alone ??= { key: own, raw_ft };
  return thing.alone.key;
}

/** Joins two ends to those of their thing, upstream to upstream. */
function joinBoth(
  thing: Thing,
  run: Run,
  { reading_ft = 0, to_ft = 0 }: Entry,
  own: { readonly from: ThingKey; readonly to: ThingKey },
): { from: ThingKey; to: ThingKey } {
  const fromIsUpstream = reading_ft <= to_ft === (run.direction === 'downstream');
  if (!thing.upstream || !thing.downstream) {
    const { alone } = thing;
    const nearFrom = !alone || Math.abs(alone.raw_ft - reading_ft) <= Math.abs(alone.raw_ft - to_ft);
    const first = { key: alone && nearFrom ? alone.key : own.from, raw_ft: reading_ft };
    const second = { key: alone && !nearFrom ? alone.key : own.to, raw_ft: to_ft };
    thing.upstream = fromIsUpstream ? first : second;
    thing.downstream = fromIsUpstream ? second : first;
  }
  const [up, down] = [thing.upstream.key, thing.downstream.key];
  return fromIsUpstream ? { from: up, to: down } : { from: down, to: up };
}

/** One reading of one thing by one run. */
export interface Reading {
  readonly key: ThingKey;
  readonly run: Run;
  readonly entry: Entry;
  readonly end: 'from' | 'to';
  /** Counter reading, ft. */
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

/** Tapes on points apply to every run; a tape made at a locate applies with the runs it belongs to. */
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
