import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { Line, Run } from '../job/schema.js';
import { counterPrior, readingSd, scaleSd } from './counter.js';
import { pointKey, type Reading, type Tape, type ThingKey } from './things.js';

/** The least-squares answer for the runs of one line, in one frame with the datum at 0. */
export interface Adjustment {
  /** Station of a thing, ft; undefined where nothing ties it to the datum. */
  station: (key: ThingKey) => number | undefined;
  /** Covariance of two things' stations, ft². */
  covariance: (a: ThingKey, b: ThingKey) => number;
  zero: (run: Run) => number;
  scale: (run: Run) => number;
  /** Where a reading puts its thing by its own run, ft. */
  place: (reading: Reading) => number;
  /** Residual over its own standard deviation. */
  readingMisfit: (reading: Reading) => number;
  tapeMisfit: (tape: Tape) => number;
}

const directionOf = (run: Run) => (run.direction === 'downstream' ? 1 : -1);

/** One whitened row: its unknowns by column, each with its factor over the row's sd. */
interface Row {
  readonly terms: readonly (readonly [number, number])[];
  readonly right: number;
}

/** Rows over named unknowns; the datum is 0 and no unknown. */
function rowsOf(line: Line, runs: readonly Run[], readings: readonly Reading[], tapes: readonly Tape[]) {
  const datum = pointKey(line.datum);
  const columns = new Map<string, number>();
  const columnOf = (name: string) => {
    const known = columns.get(name) ?? columns.size;
    columns.set(name, known);
    return known;
  };
  const rows: Row[] = [];
  const add = (sd: number, right: number, terms: readonly (readonly [string, number])[]) => {
    rows.push({
      right: right / sd,
      terms: terms
        .filter(([name]) => name !== datum)
        .map(([name, factor]) => [columnOf(name), factor / sd] as const),
    });
  };
  for (const run of runs) {
    const prior = counterPrior(line, run);
    add(scaleSd, 1, [[`scale:${run.id}`, 1]]);
    add(prior.zeroSd_ft, prior.zero_ft, [[`zero:${run.id}`, 1]]);
  }
  for (const { key, run, entry, raw_ft } of readings) {
    const d = directionOf(run);
    add(readingSd(entry.pass, entry.about), 0, [
      [`scale:${run.id}`, raw_ft],
      [`zero:${run.id}`, -1],
      [key, -d],
      [pointKey(run.access), d],
    ]);
  }
  for (const tape of tapes) add(tape.sd_ft, tape.station_ft, [[tape.key, 1]]);
  return { rows, columns };
}

/** Solution and covariance of the normal equations; undefined where nothing is unknown. */
function solveRows(rows: readonly Row[], size: number) {
  if (size === 0) return undefined;
  const normal = Matrix.zeros(size, size);
  const right = Matrix.zeros(size, 1);
  for (const row of rows) {
    for (const [i, u] of row.terms) {
      right.set(i, 0, right.get(i, 0) + u * row.right);
      for (const [j, v] of row.terms) normal.set(i, j, normal.get(i, j) + u * v);
    }
  }
  const factor = new CholeskyDecomposition(normal);
  return { values: factor.solve(right), covariances: factor.solve(Matrix.eye(size)) };
}

/**
 * Weighted least squares over X = X_a + d·(s·r − z): every reading, tape and counter prior one row, all linear
 * in the stations X, scales s and zeros z. Rows are whitened by their standard deviations, so the inverse of the
 * normal matrix is the covariance. Every run given must be tied to the datum (see `tiedRuns`).
 */
export function adjust(
  line: Line,
  runs: readonly Run[],
  readings: readonly Reading[],
  tapes: readonly Tape[],
): Adjustment {
  const datum = pointKey(line.datum);
  const { rows, columns } = rowsOf(line, runs, readings, tapes);
  const solution = solveRows(rows, columns.size);
  const valueOf = (name: string) => {
    if (name === datum) return 0;
    const column = columns.get(name);
    // The elimination leaves dust of some 1e-14; a reading of 81.7 less a riser of 1.7 is 80 exactly.
    return column === undefined || !solution
      ? undefined
      : Math.round(solution.values.get(column, 0) * 1e9) / 1e9;
  };
  const must = (value: number | undefined) => {
    if (value === undefined) throw new Error('asked for a run or thing outside the adjustment');
    return value;
  };
  const zero = (run: Run) => must(valueOf(`zero:${run.id}`));
  const scale = (run: Run) => must(valueOf(`scale:${run.id}`));
  const place = ({ run, raw_ft }: Reading) =>
    must(valueOf(pointKey(run.access))) + directionOf(run) * (scale(run) * raw_ft - zero(run));
  return {
    station: valueOf,
    covariance(a, b) {
      if (a === datum || b === datum) return 0;
      const [i, j] = [columns.get(a), columns.get(b)];
      return i === undefined || j === undefined ? 0 : (solution?.covariances.get(i, j) ?? 0);
    },
    zero,
    scale,
    place,
    readingMisfit: (reading) =>
      Math.abs(place(reading) - must(valueOf(reading.key))) /
      readingSd(reading.entry.pass, reading.entry.about),
    tapeMisfit: (tape) => Math.abs(tape.station_ft - must(valueOf(tape.key))) / tape.sd_ft,
  };
}

/**
 * The runs that a chain of shared things and tapes ties to the datum.
 * Without such a chain a run's feet are known only among themselves.
 */
export function tiedRuns(
  line: Line,
  runs: readonly Run[],
  readings: readonly Reading[],
  tapes: readonly Tape[],
): Set<Run> {
  const reached = new Set<ThingKey>([pointKey(line.datum), ...tapes.map((tape) => tape.key)]);
  const tied = new Set<Run>();
  for (let grew = true; grew;) {
    grew = false;
    for (const run of runs) {
      if (tied.has(run)) continue;
      const own = readings.filter((reading) => reading.run === run).map((reading) => reading.key);
      const keys = [pointKey(run.access), ...own];
      if (!keys.some((key) => reached.has(key))) continue;
      tied.add(run);
      keys.forEach((key) => reached.add(key));
      grew = true;
    }
  }
  return tied;
}
