import { lineHead, type Edit } from '../../core/edits/index.js';
import { freeId } from '../../core/job/free-id.js';
import type { Entry, Line, Point, Run } from '../../core/job/schema.js';
import type { EntryDraft, LogContext, LogPart } from '../../core/logline/parse.js';
import { sayWhat } from '../../core/speech/say.js';
import { frameOf } from '../../core/survey/frames.js';
import type { LineView } from '../../core/views/line-view.js';
import type { ReadingView, RowView } from '../../core/views/log-rows.js';

/** Readings of one thing on two passes are this close; anything farther is not offered as the same, ft. */
const nearby_ft = 4;

/** Station of a reading of a run, ft; and the counter reading at a station. */
export function counterOf(lineView: LineView | undefined, runId: string) {
  const counter = lineView?.counters[runId];
  return (
    counter && {
      place: (reading_ft: number) =>
        counter.access_ft + counter.direction * (counter.scale * reading_ft - counter.zero_ft),
      reading: (station_ft: number) =>
        (counter.direction * (station_ft - counter.access_ft) + counter.zero_ft) / counter.scale,
    }
  );
}

/** What a line typed into this run may refer to. */
export function contextOf(
  line: Line,
  lineView: LineView | undefined,
  runId: string,
  more: Pick<LogContext, 'pass' | 'waterClock' | 'changing'>,
): LogContext {
  const counter = counterOf(lineView, runId);
  const station = new Map(lineView?.points.map(({ id, station: { value } }) => [id, value]));
  const run = line.runs.find(({ id }) => id === runId);
  const others = line.runs.filter((each) => each !== run).flatMap(({ entries }) => entries);
  return {
    ...more,
    direction: run?.direction,
    bore_in: line.pipe?.diameter_in,
    mostCable_ft: lineView?.mostCable_ft,
    otherRuns: others.length,
    end: line.end,
    access: run?.access,
    points: line.points.map((point) => {
      const at = station.get(point.id);
      return { ...point, reading_ft: at === undefined ? undefined : counter?.reading(at) };
    }),
    entries: [...others, ...(run?.entries ?? [])],
    serves: line.serves?.map(({ what }) => what) ?? [],
  };
}

/**
 * Entries of the inspection a run belongs to: the scope's runs together, an older inspection and the post-repair one
 * apart.
 */
export function rowsOf(lineView: LineView, run: Pick<Run, 'stage'> | undefined): readonly RowView[] {
  const frame = frameOf(run?.stage);
  return frame === 'scope' ? lineView.rows : lineView.otherLooks[frame];
}

/** The nearest logged thing of the same kind, read on another pass or by another run. */
export function twinOf(
  draft: EntryDraft,
  run: Run,
  lineView: LineView | undefined,
): { key: string; id: string; says: string } | undefined {
  if (!lineView || draft.reading_ft === undefined) return undefined;
  if (draft.kind === 'point' || draft.kind === 'note') return undefined;
  const at = counterOf(lineView, run.id)?.place(draft.reading_ft);
  if (at === undefined) return undefined;
  const near = rowsOf(lineView, run)
    .filter(
      (row) =>
        row.station !== undefined &&
        row.entry.kind === draft.kind &&
        (row.entry.kind !== 'finding' || (draft.kind === 'finding' && row.entry.finding === draft.finding)) &&
        Math.abs(row.station.value - at) <= nearby_ft &&
        !row.readings.some((reading) => reading.run === run.id && reading.pass === draft.pass),
    )
    .sort((a, b) => Math.abs((a.station?.value ?? 0) - at) - Math.abs((b.station?.value ?? 0) - at));
  const [row] = near;
  if (!row || row.entry.kind === 'point') return undefined;
  return {
    key: row.key,
    id: row.entry.id,
    says: `${sayWhat(row.entry)} at ${(row.station?.value ?? 0).toFixed(1)} ft`,
  };
}

/** Unused ids of the line: e1, e2, …, marked with the browser so that two at once never collide. */
export function freshIds(line: Line, mark = ''): () => string {
  const taken = new Set([
    ...line.points.map(({ id }) => id),
    ...line.runs.flatMap((each) => [each.id, ...each.entries.map(({ id }) => id)]),
  ]);
  return () => {
    const id = freeId(taken, 'e', mark);
    taken.add(id);
    return id;
  };
}

interface WriteOptions {
  readonly tieTo?: LineView | undefined;
  /** The video's position when it was written. */
  readonly stamp?: Partial<Pick<Entry, 'clip' | 'video_s'>> | undefined;
  readonly mark?: string;
  /** Ids the parts have at their source, by which they refer to one another. */
  readonly names?: readonly (string | undefined)[];
}

/** The edits a typed line becomes: new points, new entries, and those it corrects or closes. */
export function editsOf(parts: readonly LogPart[], line: Line, run: Run, options: WriteOptions): Edit[] {
  const fresh = freshIds(line, options.mark);
  const ids = new Map<string, string>();
  const written = new Map<string, { run: string; entry: Entry }>();
  const points = new Map<string, Point>();
  parts.forEach((part, index) => {
    if (!part.entry) return;
    if (part.point) points.set(part.point.id, part.point);
    const target = part.replaces === undefined ? undefined : (ids.get(part.replaces) ?? part.replaces);
    const id = target ?? fresh();
    ids.set(options.names?.[index] ?? `part ${index}`, id);
    const twin = target === undefined && options.tieTo ? twinOf(part.entry, run, options.tieTo) : undefined;
    const entry = {
      ...(target === undefined ? options.stamp : {}),
      ...part.entry,
      ...withIds(part.entry, ids),
      ...(twin ? { sameAs: twin.id } : {}),
      id,
    };
    const own = line.runs.find(({ entries }) => entries.some((each) => each.id === id)) ?? run;
    written.set(id, { run: own.id, entry });
  });
  return [
    ...pointEdits(line, points),
    ...[...written.values()].map(({ run: runId, entry }): Edit => ({
      kind: 'entry',
      line: line.id,
      run: runId,
      entry: entry.id,
      set: entry,
    })),
  ];
}

/** References of an entry to others, by the ids they are written under. */
const withIds = (entry: Partial<Record<string, unknown>>, ids: ReadonlyMap<string, string>) =>
  Object.fromEntries(
    (['after', 'before', 'sameAs', 'of'] as const).flatMap((field) => {
      const named = entry[field];
      return typeof named === 'string' ? [[field, ids.get(named) ?? named]] : [];
    }),
  );

/** Points of a line changed or added, as one edit; none where there is nothing to change. */
function pointEdits(line: Line, points: ReadonlyMap<string, Point>): Edit[] {
  if (points.size === 0) return [];
  const added = [...points.values()].filter(({ id }) => !line.points.some((point) => point.id === id));
  const all = [...line.points.map((point) => points.get(point.id) ?? point), ...added];
  return [{ kind: 'line', line: line.id, set: { ...lineHead(line), points: all } }];
}

/** Edits that set entries of a line, in their order; null deletes one, undefined leaves it. */
export const setting = (line: Line, to: (entry: Entry) => Entry | null | undefined): Edit[] =>
  line.runs.flatMap((run) =>
    run.entries.flatMap((entry): Edit[] => {
      const set = to(entry);
      return set === undefined ? [] : [{ kind: 'entry', line: line.id, run: run.id, entry: entry.id, set }];
    }),
  );

/** The edits that keep one of a thing's readings: chosen by a user, never averaged silently. */
export const editsToKeep = (line: Line, row: RowView, reading: ReadingView): Edit[] =>
  setting(line, (entry) => {
    if (!row.readings.some((each) => each.entry === entry.id)) return undefined;
    const { use: _use, ...rest } = entry;
    return entry.id === reading.entry ? { ...rest, use: true } : rest;
  });
