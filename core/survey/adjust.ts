import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { Line, Run } from '../job/schema.js';
import { counterPrior, readingSd, scaleSd } from './counter.js';
import { pointKey, type Reading, type Tape, type ThingKey } from './things.js';

/** The least-squares solution for the runs of one line, in one frame with the datum at 0. */
export interface Adjustment {
  /** Station of a thing, ft; undefined where nothing ties it to the datum. */
  station: (key: ThingKey) => number | undefined;
  /** Covariance of two things' stations, ft². */
  covariance: (a: ThingKey, b: ThingKey) => number;
  zero: (run: Run) => number;
  scale: (run: Run) => number;
  /** Station of a reading's thing according to its own run, ft. */
  place: (reading: Reading) => number;
  /** Residual divided by its own standard deviation. */
  readingMisfit: (reading: Reading) => number;
  tapeMisfit: (tape: Tape) => number;
}

const directionOf = (run: Run) => (run.direction === 'downstream' ? 1 : -1);

/** One whitened row: coefficients for runs and access points by column, and for the thing it reads. */
interface Row {
  readonly terms: readonly (readonly [number, number])[];
  readonly right: number;
  /** Coefficient of the thing; none where the row involves runs only. */
  readonly thing?: { readonly key: ThingKey; readonly factor: number };
}

/** Rows over named unknowns: scales, zeros and access points by column, things by key. The datum is fixed at 0. */
function rowsOf(line: Line, runs: readonly Run[], readings: readonly Reading[], tapes: readonly Tape[]) {
  const datum = pointKey(line.datum);
  const accesses = new Set(runs.map(({ access }) => pointKey(access)));
  const columns = new Map<string, number>();
  const columnOf = (name: string) => {
    const known = columns.get(name) ?? columns.size;
    columns.set(name, known);
    return known;
  };
  const rows: Row[] = [];
  const add = (
    sd: number,
    right: number,
    terms: readonly (readonly [string, number])[],
    of?: readonly [ThingKey, number],
  ) => {
    const own = of && of[0] !== datum && !accesses.has(of[0]) ? of : undefined;
    rows.push({
      right: right / sd,
      terms: [...terms, ...(of && !own ? [of] : [])]
        .filter(([name]) => name !== datum)
        .map(([name, factor]) => [columnOf(name), factor / sd] as const),
      ...(own ? { thing: { key: own[0], factor: own[1] / sd } } : {}),
    });
  };
  for (const run of runs) {
    const prior = counterPrior(line, run);
    add(scaleSd, 1, [[`scale:${run.id}`, 1]]);
    add(prior.zeroSd_ft, prior.zero_ft, [[`zero:${run.id}`, 1]]);
  }
  for (const { key, run, entry, raw_ft } of readings) {
    const d = directionOf(run);
    const own = [
      [`scale:${run.id}`, raw_ft],
      [`zero:${run.id}`, -1],
      [pointKey(run.access), d],
    ] as const;
    add(readingSd(entry.pass, entry.about), 0, own, [key, -d]);
  }
  for (const tape of tapes) add(tape.sd_ft, tape.station_ft, [], [tape.key, 1]);
  return { rows, columns };
}

/** A thing expressed in the columns: its station is `own` less `by` times the columns, with its own variance. */
interface Eliminated {
  readonly own: number;
  readonly by: readonly (readonly [number, number])[];
  readonly variance: number;
}

/** Sums over the rows of one thing. */
function eliminated(rows: readonly Row[]): Eliminated {
  let [weight, right] = [0, 0];
  const by = new Map<number, number>();
  for (const { thing, terms, right: own } of rows) {
    const factor = thing?.factor ?? 0;
    weight += factor * factor;
    right += factor * own;
    for (const [column, u] of terms) by.set(column, (by.get(column) ?? 0) + factor * u);
  }
  return {
    own: right / weight,
    by: [...by].map(([column, sum]) => [column, sum / weight] as const),
    variance: 1 / weight,
  };
}

/**
 * Solution and covariance of the normal equations. No row involves two things, so each thing is eliminated first (the
 * Schur complement) and only scales, zeros and access points are solved together: the work grows with the readings and
 * not with their cube.
 */
function solveRows(rows: readonly Row[], size: number) {
  const ofThing = new Map<ThingKey, Row[]>();
  for (const row of rows) {
    if (!row.thing) continue;
    const known = ofThing.get(row.thing.key);
    if (known) known.push(row);
    else ofThing.set(row.thing.key, [row]);
  }
  const normal = Matrix.zeros(size, size);
  const right = Matrix.zeros(size, 1);
  const addRow = (terms: Row['terms'], own: number, sign: 1 | -1) => {
    for (const [i, u] of terms) {
      right.set(i, 0, right.get(i, 0) + sign * u * own);
      for (const [j, v] of terms) normal.set(i, j, normal.get(i, j) + sign * u * v);
    }
  };
  for (const row of rows) if (!row.thing) addRow(row.terms, row.right, 1);
  const things = new Map<ThingKey, Eliminated>();
  for (const [key, own] of ofThing) {
    const thing = eliminated(own);
    things.set(key, thing);
    // A thing read once fits its reading exactly and constrains nothing else.
    if (own.length === 1) continue;
    for (const row of own) addRow(row.terms, row.right, 1);
    const sd = Math.sqrt(thing.variance);
    addRow(
      thing.by.map(([column, sum]) => [column, sum / sd] as const),
      thing.own / sd,
      -1,
    );
  }
  if (size === 0) return { values: right, covariances: normal, things };
  const factor = new CholeskyDecomposition(normal);
  return { values: factor.solve(right), covariances: factor.solve(Matrix.eye(size)), things };
}

/**
 * Weighted least squares over X = X_a + d·(s·r − z): every reading, tape and counter prior is one row, linear in the
 * stations X, scales s and zeros z. Rows are whitened by their standard deviations, so the inverse of the normal matrix
 * is the covariance. Every run given must be tied to the datum (see `tiedRuns`).
 */
export function adjust(
  line: Line,
  runs: readonly Run[],
  readings: readonly Reading[],
  tapes: readonly Tape[],
): Adjustment {
  const datum = pointKey(line.datum);
  const { rows, columns } = rowsOf(line, runs, readings, tapes);
  const { values, covariances, things } = solveRows(rows, columns.size);
  const raw = (name: string): number | undefined => {
    const column = columns.get(name);
    if (column !== undefined) return values.get(column, 0);
    const thing = things.get(name);
    return thing && thing.by.reduce((sum, [each, factor]) => sum - factor * values.get(each, 0), thing.own);
  };
  const valueOf = (name: string) => {
    if (name === datum) return 0;
    const value = raw(name);
    // Elimination leaves errors of about 1e-14; a reading of 81.7 less a riser of 1.7 is exactly 80.
    return value === undefined ? undefined : Math.round(value * 1e9) / 1e9;
  };
  /** Derivative of a named unknown by the columns. */
  const movesWith = (name: string): Eliminated['by'] => {
    const column = columns.get(name);
    return column === undefined
      ? (things.get(name)?.by ?? []).map(([each, factor]) => [each, -factor])
      : [[column, 1]];
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
      let sum = a === b ? (things.get(a)?.variance ?? 0) : 0;
      for (const [i, u] of movesWith(a))
        for (const [j, v] of movesWith(b)) sum += u * v * covariances.get(i, j);
      return sum;
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

/** Runs tied to the datum by a chain of shared things and tapes. Without one, a run's distances are only relative. */
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
