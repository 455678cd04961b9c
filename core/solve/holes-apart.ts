import { byte } from '../search/columns.js';
import { begins, ends, type Limits, type Path } from '../search/problem.js';
import { search } from '../search/search.js';
import type { Prepared } from '../prepare/prepare.js';

/** Searches spent on excavations that are too close together; after that the first path found is used. */
const mostTries = 256;

/**
 * The best path with no excavation beginning too close to another's end. Where two do, either none ends about the first
 * place or none begins about the second: both are searched, and the cheapest path so far is always expanded next, so
 * that the first one without such a place is the best. A line with very many of them gets a path near the best.
 * Undefined where none costs at most `most` and less than `under`.
 */
export function holesApart(
  line: Prepared,
  limits: Limits,
  most = Infinity,
  under = Infinity,
): Path | undefined {
  const open: { path: Path; barredMarks: Uint8Array }[] = [];
  let tries = 0;
  const offer = (barredMarks: Uint8Array) => {
    tries++;
    const path = search(line.problem, { ...limits, barredMarks });
    if (!path || path.cost > most || path.cost >= under) return;
    // Cheapest last.
    const at = open.findIndex((each) => !isBetter(path, each.path));
    open.splice(at < 0 || tries > mostTries ? open.length : at, 0, { path, barredMarks });
  };
  offer(new Uint8Array(line.problem.cellOf.length));
  for (let next = open.pop(); next; next = open.pop()) {
    const { path, barredMarks } = next;
    const near = tooNear(line, path);
    if (!near) return path;
    const about = nearStops(line, near);
    const branches = [
      [about.ended, ends],
      [about.begun, begins],
    ] as const;
    for (const [stops, mark] of branches) {
      const barred = Uint8Array.from(barredMarks);
      for (const stop of stops) barred[stop] = byte(barred, stop) | mark;
      offer(barred);
    }
  }
  return undefined;
}

/** Whether one path wins over another: by cost, then by its tie. */
export const isBetter = (one: Path, other: Path): boolean =>
  one.cost < other.cost || (one.cost === other.cost && one.tie < other.tie);

/** Where one excavation ended and the next one began. */
interface Near {
  readonly ended: number;
  readonly begun: number;
}

/**
 * Stops about the two places of which none of the first lets an excavation end far enough from a beginning at any of
 * the second: no path that keeps them apart has one of each.
 */
function nearStops(
  { possible: { track, holes }, problem }: Prepared,
  { ended, begun }: Near,
): { ended: number[]; begun: number[] } {
  const stops = problem.cellOf.length;
  const apart = (end: number, begin: number) =>
    holes.areApart(track.boundaries[end] ?? 0, track.boundaries[begin] ?? 0);
  const about = { ended: [ended], begun: [begun] };
  const middle = (ended + begun + 1) >> 1;
  const endsAlso = (stop: number) => {
    const near = stop >= 0 && stop < middle && about.begun.every((begin) => !apart(stop, begin));
    if (near) about.ended.push(stop);
    return near;
  };
  const beginsAlso = (stop: number) => {
    const near = stop >= middle && stop < stops && about.ended.every((end) => !apart(end, stop));
    if (near) about.begun.push(stop);
    return near;
  };
  for (let end = ended + 1; end < middle; end++) endsAlso(end);
  for (let begin = begun - 1; begin >= middle; begin--) beginsAlso(begin);
  let [upstream, downstream] = [true, true];
  for (let further = 1; upstream || downstream; further++) {
    upstream = upstream && endsAlso(ended - further);
    downstream = downstream && beginsAlso(begun + further);
  }
  return about;
}

/** The first stop where an excavation begins too close to the end of the one before it. */
function tooNear({ possible, problem }: Prepared, { steps, lastMarks }: Path): Near | undefined {
  const { track, holes } = possible;
  const fine = (stop: number) => track.boundaries[stop] ?? 0;
  const last = problem.cellOf.length - 1;
  let ended: number | undefined;
  for (const { from, marks } of [...steps, { from: last, marks: lastMarks }]) {
    if (ended !== undefined && (marks & begins) !== 0 && !holes.areApart(fine(ended), fine(from)))
      return { ended, begun: from };
    if ((marks & ends) !== 0) ended = from;
  }
  return undefined;
}
