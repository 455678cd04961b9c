import { isOld } from '../catalog/materials.js';
import { tolerance } from '../job/units.js';
import { overlaps } from '../line/intervals.js';
import { everyMethod, methodBit, methodNumber, methodRegistry, workOf } from '../methods/index.js';
import type { Candidate } from '../methods/method.js';
import { num, over, runningSums } from '../search/columns.js';
import { passesOf, type Departure, type Level, type Moves, type Problem } from '../search/problem.js';
import { arrivesCount, Departs, departsCount, Hole } from '../track/joins.js';
import type { Cell, Track } from '../track/track.js';
import { boundaryPasses, publicTie } from './boundary.js';
import { carriedOn, creditsFrom, type Carried } from './carried.js';
import { possibleOn, type Possible } from './possible.js';
import { trackOf, type TrackInput } from './track-of.js';

/** Money is counted in whole millionths, so that sums are exact and ties are ties. */
export const micro = 1e6;

/** A line with its actions and boundaries priced, ready to be searched many times. */
export interface Prepared {
  readonly possible: Possible;
  readonly carried: Carried;
  readonly problem: Problem;
  /** The candidate behind each row of the problem's moves. */
  readonly candidates: readonly Candidate[];
  /** Looks, and what every finding would carry if it were left, in millionths. */
  readonly baseline: number;
}

/** What a hole may be open under each departure; new pipe opens its own even where a building's edge is reached by hand. */
const departures: readonly Departure[] = Array.from({ length: departsCount }, (_, departs) => {
  if (departs === Departs.NewPipe) return { least: Hole.Open, most: Hole.Paid, crossesClosed: true };
  if (departs === Departs.ExposedPipe) return { least: Hole.None, most: Hole.None };
  return { least: Hole.None, most: Hole.Paid };
});

/** Readies a line for searching: breaks, actions, holes and what leaving would carry. */
export function prepare(input: TrackInput): Prepared {
  const track = trackOf(input);
  const possible = possibleOn(track);
  const carried = carriedOn(possible);
  const factor = (1 + track.prices.markup) * (1 + track.prices.tax);
  const money = (raw: number) => Math.round(raw * factor * micro);
  const { moves, candidates } = movesOf(possible, carried, factor);
  const counts = { arrivals: arrivesCount, levels: 3, departures: departsCount };
  return {
    possible,
    carried,
    candidates,
    problem: {
      cellOf: Int32Array.from(track.boundaries),
      moves,
      passes: passesOf(track.boundaries.length, counts, boundaryPasses(possible, money)),
      departures,
      levels: levelsOf(possible, money),
      fills: fillsOf(possible, carried, money),
      allowed: allowedMasks(track),
      options: methodRegistry.rows.length,
    },
    baseline: Math.round(
      (carried.looks + carried.findings.reduce((sum, { sum: each }) => sum + each, 0)) * micro,
    ),
  };
}

/** Every candidate as rows of the search's moves: one for each way it may be joined to what lies beside it. */
function movesOf(
  { track, candidatesFrom }: Possible,
  carried: Carried,
  factor: number,
): { moves: Moves; candidates: Candidate[] } {
  const start = new Int32Array(candidatesFrom.length + 1);
  const candidates: Candidate[] = [];
  const [departs, arrives, cost]: [number[], number[], number[]] = [[], [], []];
  candidatesFrom.forEach((all, from) => {
    const credit = creditsFrom(track, carried, from);
    for (const candidate of [...all].sort((a, b) => a.to - b.to)) {
      const own = Math.round((candidate.cost * factor - credit(candidate)) * micro);
      for (const [departing, arriving] of workOf(candidate.method).joins(candidate)) {
        candidates.push(candidate);
        departs.push(departing);
        arrives.push(arriving);
        cost.push(own);
      }
    }
    start[from + 1] = candidates.length;
  });
  const moves = {
    start,
    to: Int32Array.from(candidates, ({ to }) => to),
    option: Uint8Array.from(candidates, ({ method }) => methodNumber(method)),
    departs: Uint8Array.from(departs),
    arrives: Uint8Array.from(arrives),
    cost: Float64Array.from(cost),
  };
  return { moves, candidates };
}

/** No hole, an open hole, an open hole whose permit is paid. */
function levelsOf({ holes, track }: Possible, money: (raw: number) => number): Level[] {
  const nothing = new Float64Array(track.cells.length + 1);
  const cost = Float64Array.from(holes.through, money);
  const { closedThrough: closed, publicThrough } = holes;
  const tie = (start: number, end: number) => publicTie(over(publicThrough, start, end));
  const permit = { to: Hole.Paid, cost: money(track.prices.permit_per_hole), marked: publicThrough };
  return [
    { cost: nothing, closed: nothing, tie: () => 0 },
    { cost, closed, tie, rises: permit },
    { cost, closed, tie },
  ];
}

/** Gaps: left where that may be, else cleaned. Repair refuses a short gap of old pipe between two actions. */
function fillsOf(
  { track, cleaning }: Possible,
  carried: Carried,
  money: (raw: number) => number,
): Problem['fills'] {
  const { cells, breaks, rules, school } = track;
  const counts = ({ pipe }: Cell) => isOld(pipe.material) || pipe.material === 'unknown';
  return {
    options: [methodNumber('leave'), methodNumber('clean')],
    cost: Float64Array.from(cells, (_, i) => money(num(cleaning, i + 1) - num(cleaning, i))),
    marked: Uint8Array.from(cells, ({ rootJoint }) => (rootJoint ? 1 : 0)),
    markedCharge: Math.round(carried.yearlyCleaning * micro),
    ...(school === 'repair'
      ? {
          least: {
            length: rules.leastGap_ft - tolerance.exact,
            at: breaks,
            counted: runningSums(cells.length, (i) => (counts(cells[i] as Cell) ? 1 : 0)),
          },
        }
      : {}),
  };
}

/** Methods that satisfy every obligation at each cell, as a bit mask; what must be cleaned is not left. */
function allowedMasks({ cells, obligations }: Track): Int32Array {
  const every = everyMethod();
  const masks = obligations.cured.map(({ place, methods }) => ({
    place,
    mask: methods.reduce((sum, method) => sum | methodBit(method), 0),
  }));
  const leave = methodBit('leave');
  return Int32Array.from(cells, (cell) =>
    masks.reduce(
      (mask, duty) => (overlaps(duty.place, cell) ? mask & duty.mask : mask),
      cell.mustClean ? every & ~leave : every,
    ),
  );
}
