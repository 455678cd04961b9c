import { isOld } from '../catalog/materials.js';
import { tolerance } from '../units.js';
import { overlaps } from '../line/intervals.js';
import { everyMethod, methodBit, methodNumber, methodRegistry, workOf } from '../methods/index.js';
import { traitsCount, type Candidates } from '../methods/candidates.js';
import { byte, int, num, over } from '../search/columns.js';
import type { Departure, Level, Moves, Problem } from '../search/problem.js';
import { buildProblem } from '../search/build-problem.js';
import {
  arrivesCount,
  Departs,
  departsCount,
  holeLevels,
  noHole,
  type HoleLevels,
  type Join,
} from '../track/joins.js';
import type { Cell, Track } from '../track/track.js';
import { boundaryPasses, publicTie } from './boundary.js';
import { carriedOn, creditsOf, type Carried } from './carried.js';
import { cleaningOf, type Cleaning } from './cleaning.js';
import { possibleOn, type Possible } from './possible.js';
import { trackOf, type TrackInput } from './track-of.js';

/** Money is counted in whole millionths, so that sums are exact and ties are true ties. */
export const micro = 1e6;

/** A line with its actions and boundaries priced, ready for any number of searches. */
export interface Prepared {
  readonly possible: Possible;
  readonly carried: Carried;
  readonly problem: Problem;
  readonly levels: HoleLevels;
  readonly cleaning: Cleaning;
  /** Traits of the candidate behind each row of the problem's moves. */
  readonly traits: Uint8Array;
  /** Inspections, and the expected future cost of every finding if left, in millionths. */
  readonly baseline: number;
}

/**
 * What may be open under each departure; new pipe opens its own excavation even where a building's edge is reached by
 * hand.
 */
const departuresOn = ({ all }: HoleLevels): readonly Departure[] =>
  Array.from({ length: departsCount }, (_, departs) => {
    const most = all.length - 1;
    if (departs === Departs.NewPipe) return { least: noHole + 1, most, crossesClosed: true };
    if (departs === Departs.ExposedPipe || departs === Departs.BurstWithPits)
      return { least: noHole, most: noHole };
    return { least: noHole, most };
  });

/**
 * Prepares a line for searching: breaks, actions, excavations and expected future costs. Whatever is equal `beside` is
 * reused.
 */
export const prepare = (input: TrackInput, earlier?: Possible): Prepared =>
  prepareOn(trackOf(input, earlier?.track), earlier);

/** Prepares a line that is cut already. */
export function prepareOn(track: Track, earlier?: Possible): Prepared {
  const possible = possibleOn(track, earlier);
  const factor = (1 + track.prices.markup) * (1 + track.prices.tax);
  const money = (raw: number) => Math.round(raw * factor * micro);
  const cleaning = cleaningOf(track, money);
  const carried = carriedOn(possible, cleaning);
  const { moves, traits } = movesOf(possible, carried, factor);
  const permits = track.prices.permit_per_hole > 0 && (possible.holes.publicThrough.at(-1) ?? 0) > 0;
  const levels = holeLevels(possible.holes.protections, permits);
  return {
    possible,
    carried,
    traits,
    levels,
    cleaning,
    problem: buildProblem({
      cellOf: Int32Array.from(track.boundaries),
      moves,
      arrivals: arrivesCount,
      pass: boundaryPasses(possible, levels, money),
      departures: departuresOn(levels),
      levels: levelsOf(possible, levels, money),
      fills: fillsOf(possible, carried, money),
      allowed: allowedMasks(track, true),
      options: methodRegistry.rows.length,
    }),
    baseline: Math.round(
      (carried.looks + carried.findings.reduce((sum, { sum: each }) => sum + each, 0)) * micro,
    ),
  };
}

/** Every candidate as rows of the search's moves: one for each way it may join what lies next to it. */
function movesOf(
  { track, candidates }: Possible,
  carried: Carried,
  factor: number,
): { moves: Moves; traits: Uint8Array } {
  const stops = track.boundaries.length;
  const methods = candidates.map((own) => {
    const row = methodRegistry.row(own.method);
    const joins = Array.from({ length: traitsCount }, (_, is) => workOf(own.method).joins(is));
    return { own, joins, option: methodNumber(own.method), creditsFrom: creditsOf(track, carried, row) };
  });
  const rows = methods.reduce((sum, { own, joins }) => sum + joinsOf(own, joins), 0);
  const start = new Int32Array(stops + 1);
  const to = new Int32Array(rows);
  const cost = new Float64Array(rows);
  const [option, departs, arrives] = [new Uint8Array(rows), new Uint8Array(rows), new Uint8Array(rows)];
  const traits = new Uint8Array(rows);
  let count = 0;
  for (let from = 0; from < stops; from++) {
    for (const { own, joins, option: number, creditsFrom } of methods) {
      const [first, end] = [int(own.start, from), int(own.start, from + 1)];
      if (first === end) continue;
      const credit = creditsFrom(from);
      for (let row = first; row < end; row++) {
        const stop = int(own.to, row);
        const paid = Math.round((num(own.cost, row) * factor - credit(stop)) * micro);
        const is = byte(own.traits, row);
        for (const [leaves, comes] of joins[is] as readonly Join[]) {
          to[count] = stop;
          cost[count] = paid;
          option[count] = number;
          departs[count] = leaves;
          arrives[count] = comes;
          traits[count] = is;
          count++;
        }
      }
    }
    start[from + 1] = count;
  }
  return { moves: { start, to, option, departs, arrives, cost }, traits };
}

/** How many rows the candidates of a method come to. */
function joinsOf({ traits }: Candidates, joins: readonly (readonly Join[])[]): number {
  let rows = 0;
  for (const is of traits) rows += joins[is]?.length ?? 0;
  return rows;
}

/** What each level pays per cell: nothing without an excavation, else the trench with its protection. */
function levelsOf({ holes, track }: Possible, levels: HoleLevels, money: (raw: number) => number): Level[] {
  const nothing = new Float64Array(track.cells.length + 1);
  const { publicThrough } = holes;
  const publicOver = (start: number, end: number) => publicTie(over(publicThrough, start, end));
  const permit = money(track.prices.permit_per_hole);
  return levels.all.map((level): Level => {
    if (!level.open)
      return { cost: nothing, closed: nothing, barred: nothing, tie: () => 0, rises: undefined };
    const { held, paid } = level;
    const rises = levels.of(held, true) !== levels.of(held, false) && !paid;
    return {
      cost: Float64Array.from(holes.through(held), money),
      closed: holes.closedThrough(held),
      barred: holes.barredThrough(held),
      tie: publicOver,
      rises: rises ? { to: levels.of(held, true), cost: permit, marked: publicThrough } : undefined,
    };
  });
}

/** Penalty per foot that must be cured and is not, in millionths: more than the cost of any line. */
export const uncuredWeight = 1e13;
/** Feet are counted in hundredths, so that the sum stays within exact integers. */
export const uncured = (feet: number): number => Math.max(1, Math.round(feet * 100)) * (uncuredWeight / 100);

/**
 * Gaps: left where allowed, else cleaned; where something must be cured and no method may, left uncured at a penalty
 * above all money. The repair approach refuses gaps of old pipe that are too short next to an action.
 */
function fillsOf(
  { track, cutBack }: Possible,
  carried: Carried,
  money: (raw: number) => number,
): Problem['fills'] {
  const { cells, breaks, rules, school } = track;
  const counts = ({ pipe }: Cell) => isOld(pipe.material) || pipe.material === 'unknown';
  return {
    options: [methodNumber('leave'), methodNumber('clean')],
    cost: Float64Array.from(cells, (_, i) => money(num(cutBack, i + 1) - num(cutBack, i))),
    unsuited: Float64Array.from(cells, ({ from_ft, to_ft }) => uncured(to_ft - from_ft)),
    unsuitedOptions: allowedMasks(track, false),
    marked: Uint8Array.from(cells, ({ rootJoint }) => (rootJoint ? 1 : 0)),
    markedCharge: Math.round(carried.yearlyCleaning * micro),
    ...(school !== 'maintain'
      ? {
          least: {
            length: rules.leastGap_ft - tolerance.exact,
            at: breaks,
            counted: Uint8Array.from(cells, (cell) => (counts(cell) ? 1 : 0)),
            excused: Uint8Array.from(cells, ({ ours, closedTo }) =>
              !ours || closedTo === 'no-dig' || closedTo === 'building' ? 1 : 0,
            ),
          },
        }
      : {}),
  };
}

/** Methods that satisfy every obligation at each cell, as a bit mask; what must be cleaned is not left. */
function allowedMasks({ cells, obligations }: Track, cured: boolean): Int32Array {
  const every = everyMethod();
  const masks = obligations.cured.map(({ place, methods }) => ({
    place,
    mask: methods.reduce((sum, method) => sum | methodBit(method), 0),
  }));
  const leave = methodBit('leave');
  return Int32Array.from(cells, (cell) =>
    (cured ? masks : []).reduce(
      (mask, duty) => (overlaps(duty.place, cell) ? mask & duty.mask : mask),
      cell.mustClean ? every & ~leave : every,
    ),
  );
}
