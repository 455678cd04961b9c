import type { Condition } from '../condition/condition.js';
import type { GradedFinding } from '../condition/graded-finding.js';
import type { Ground, GroundCell } from '../excavation/ground.js';
import type { Rules } from '../job/rules.js';
import type { Method, School } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import type { LineModel, PlacedPoint } from '../line/model.js';
import type { PipeStretch } from '../line/pipe-stretches.js';
import type { LinerLoads, Thickness } from '../liner/thickness.js';
import { oncePer } from '../once-per.js';

/** Why a method may not be used: the rule, the place, and what would lift it. */
export interface Refusal {
  readonly rule: string;
  readonly why: string;
  readonly lift: string;
}

/** One fine cell of a line: the ground over it, its pipe, and the findings there. */
export interface Cell extends GroundCell {
  readonly pipe: PipeStretch;
  /** Least and greatest depth of the invert below the ground, ft. */
  readonly inverts_ft: readonly [number, number];
  readonly seen: boolean;
  readonly loads: LinerLoads;
  readonly thickness: Thickness;
  readonly mustClean: boolean;
  /** It is iron that needs descaling. */
  readonly descale: boolean;
  /** A root joint lies here. */
  readonly rootJoint: boolean;
  readonly findings: readonly GradedFinding[];
}

/** Something the repair approach requires to be cured. */
export interface Obligation {
  readonly place: Interval;
  /** Methods that satisfy it; an open cut that must cure a belly also needs the least slope. */
  readonly methods: readonly Method[];
  /** The whole place must be in one action. */
  readonly whole: boolean;
  readonly laidToGrade: boolean;
  /** What would lift it, where that is not another repair approach. */
  readonly lift?: string;
  readonly why: string;
  /** The finding it is for; undefined where it is for a stretch with several. */
  readonly finding?: string;
  readonly findings: readonly string[];
}

export interface Obligations {
  readonly cured: readonly Obligation[];
  /** Required as well, but nothing that may be done on this line meets them: they bind nothing, and others must act. */
  readonly impossible: readonly Obligation[];
  /** Places of roots and deposits that are at least cleaned. */
  readonly cleaned: readonly Interval[];
}

/** A line cut into cells, with the boundaries at which an action may end. */
export interface Track extends Ground {
  readonly model: LineModel;
  readonly condition: Condition;
  readonly rules: Rules;
  readonly school: School;
  readonly obligations: Obligations;
  readonly cells: readonly Cell[];
  /** Indexes of the fine breaks at which an action may start or end. */
  readonly boundaries: readonly number[];
  /** Fine breaks at which new pipe may start, and at which it may end: not within a piece of old pipe. */
  readonly cutAt: { readonly from: Uint8Array; readonly to: Uint8Array };
  /** The thing from which an action that starts, or ends, at each fine break is measured. */
  readonly nearest: { readonly from: readonly string[]; readonly to: readonly string[] };
}

/**
 * Something that follows from a track's cells, model, rules and prices, whatever must be cured on it: computed once for
 * all tracks that share their cells.
 */
export const oncePerCells = <V extends object>(compute: (track: Track) => V): ((track: Track) => V) =>
  oncePer(compute, ({ cells }) => cells);

/** Protrudes into the bore and must be cut back where it is cleaned rather than dug out. */
export const isCutBack = ({ obligations }: Track, findingId: string): boolean =>
  obligations.cured.some(
    ({ findings, methods }) => methods.includes('clean') && findings.includes(findingId),
  );

/** Station of a boundary, ft. */
export const stationOf = ({ breaks, boundaries }: Track, boundary: number): number =>
  breaks[boundaries[boundary] ?? 0] ?? 0;

/** The larger bore of the two cells at a fine break, in. */
export const boreAtBreak = ({ cells }: Track, index: number): number =>
  Math.max(...[cells[index - 1], cells[index]].map((cell) => cell?.pipe.diameter_in ?? 0));

/** Length of each bore over some cells, in order. */
export function feetByBore(cells: readonly Cell[]): Map<number, number> {
  const feet = new Map<number, number>();
  for (const { pipe, from_ft, to_ft } of cells) {
    feet.set(pipe.diameter_in, (feet.get(pipe.diameter_in) ?? 0) + to_ft - from_ft);
  }
  return feet;
}

/** The points that lie inside a stretch, not at its ends. */
export const pointsInside = ({ model }: Track, { from_ft, to_ft }: Interval): PlacedPoint[] =>
  model.points.filter(({ at }) => at.station_ft > from_ft && at.station_ft < to_ft);
