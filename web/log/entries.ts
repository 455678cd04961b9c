import type { Entry, Line, Run } from '../../core/job/schema.js';
import type { EntryDraft, LogPart } from '../../core/logline/parse.js';
import { sayWhat } from '../../core/logline/say.js';
import type { LineView } from '../../core/scope/job-view.js';

/** Readings of one thing on two passes lie about this close; what is further off is not offered as the same, ft. */
const nearby_ft = 4;

/** Where a reading of a run lies on the line, ft. */
export function counterOf(lineView: LineView | undefined, runId: string) {
  const counter = lineView?.counters[runId];
  return (
    counter && {
      place: (reading_ft: number) =>
        counter.access_ft + counter.direction * (counter.scale * reading_ft - counter.zero_ft),
    }
  );
}

/** The nearest thing of the same kind already logged, read on another pass or by another run. */
export function twinOf(
  draft: EntryDraft,
  run: Run,
  lineView: LineView | undefined,
): { key: string; id: string; says: string } | undefined {
  if (!lineView || draft.reading_ft === undefined || draft.kind === 'point') return undefined;
  const at = counterOf(lineView, run.id)?.place(draft.reading_ft);
  if (at === undefined) return undefined;
  const near = lineView.rows
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
  return (
    row && {
      key: row.key,
      id: row.entry.id,
      says: `${sayWhat(row.entry)} at ${(row.station?.value ?? 0).toFixed(1)} ft`,
    }
  );
}

/** Drafts as entries with ids of their own; with a view given, each is tied to the thing it reads again. */
export function entriesOf(
  parts: readonly LogPart[],
  line: Line,
  run: Run,
  lineView: LineView | undefined,
): Entry[] {
  const taken = new Set([
    ...line.points.map(({ id }) => id),
    ...line.runs.flatMap((each) => [each.id, ...each.entries.map(({ id }) => id)]),
  ]);
  let next = 1;
  const fresh = () => {
    while (taken.has(`e${next}`)) next++;
    taken.add(`e${next}`);
    return `e${next}`;
  };
  return parts.flatMap(({ entry }): Entry[] => {
    if (!entry) return [];
    const twin = lineView && twinOf(entry, run, lineView);
    return [{ ...entry, id: fresh(), ...(twin ? { sameAs: twin.id } : {}) }];
  });
}
