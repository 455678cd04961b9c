import type { Condition } from '../condition/condition.js';
import { isCurable } from '../condition/graded-finding.js';
import { pitHalf_ft } from '../excavation/hole-costs.js';
import { mayReach, engineerOver_ft, protectFrom_ft, workDepth_ft } from '../excavation/section.js';
import type { Rules } from '../job/rules.js';
import type { Point } from '../job/schema.js';
import { sameStation_ft, tolerance } from '../units.js';
import type { Interval } from '../line/intervals.js';
import type { LineModel } from '../line/model.js';
import type { Obligations } from './track.js';

/** A shield cannot be set this close to a crossing utility, ft. Common practice. */
export const crossingRoom_ft = 2;
/** Sound pipe needed for a liner's end beyond a place that must be cured, ft. */
const soundEnd_ft = 1;
const mostCell_ft = 1;
/** A line of more feet than this is cut into this many parts, and work on it may end at this many places. */
export const mostParts = 500;

/** The longest cell of a line: a foot, or more where the line is too long for that. */
export const longestCell_ft = ({ from_ft, to_ft }: Interval): number =>
  Math.max(mostCell_ft, (to_ft - from_ft) / mostParts);

/** Whether a point is part of the pipe. A tree or a property line does not change where work may end. */
export const isOfThePipe = ({ kind }: Pick<Point, 'kind'>): boolean =>
  kind !== 'tree' && kind !== 'property-line' && kind !== 'other';

/**
 * Breaks where one foot may differ from the next, or where a method may want to end, then equal parts of at most 1 ft
 * between them. Stretches must come joined where they are equal, so that a meaningless split makes no break.
 */
export function breaksOf(
  model: LineModel,
  condition: Condition,
  duties: Obligations,
  rules: Rules,
  stretches: readonly Interval[],
): number[] {
  const ends = (all: readonly Interval[]) => all.flatMap(({ from_ft, to_ft }) => [from_ft, to_ft]);
  // The same under every repair approach, so that the looser one can always do what the stricter does.
  const wanted = [
    ...condition.findings.filter(isCurable).map(({ place }) => place),
    ...duties.cured.map(({ place }) => place),
  ];
  const candidates = [
    ...model.points.filter(({ point }) => isOfThePipe(point)).map(({ at }) => at.station_ft),
    ...ends(condition.findings.map(({ place }) => place)),
    ...ends(wanted),
    ...wanted.flatMap((place) => wantedAbout(place, rules)),
    ...model.joints,
    ...ends(stretches),
    ...atTheEnds(model.extent, rules),
    ...ends(model.noDig).flatMap((x) => [x - pitHalf_ft, x, x + pitHalf_ft]),
    ...ends(model.seen),
    ...model.crossings.flatMap(({ station_ft }) => [
      station_ft - crossingRoom_ft,
      station_ft + crossingRoom_ft,
    ]),
    ...depthCrossings(model, rules),
  ];
  return fineBreaks(oneWithin(candidates, model.extent), longestCell_ft(model.extent));
}

/**
 * Ends that methods may want around a place: sound ends of a liner, and the least length of new pipe centered on the
 * place.
 */
function wantedAbout({ from_ft, to_ft }: Interval, { leastNewPipe_ft }: Rules): number[] {
  const middle = (from_ft + to_ft) / 2;
  return [
    from_ft - soundEnd_ft,
    to_ft + soundEnd_ft,
    ...(to_ft - from_ft < leastNewPipe_ft
      ? [middle - leastNewPipe_ft / 2, middle + leastNewPipe_ft / 2]
      : []),
  ];
}

/** Near an end of the line: the least old pipe left there, and the least new pipe beside it. */
const atTheEnds = ({ from_ft, to_ft }: Interval, { leastGap_ft, leastNewPipe_ft }: Rules): number[] =>
  [leastGap_ft, leastGap_ft + leastNewPipe_ft].flatMap((x) => [from_ft + x, to_ft - x]);

/** Equal parts of at most this many feet between neighboring breaks. */
function fineBreaks(coarse: readonly number[], most_ft: number): number[] {
  return coarse.flatMap((from_ft, index) => {
    const to_ft = coarse[index + 1];
    if (to_ft === undefined) return [from_ft];
    const parts = Math.ceil((to_ft - from_ft) / most_ft - tolerance.exact);
    return Array.from({ length: Math.max(1, parts) }, (_, part) =>
      part === 0 ? from_ft : from_ft + ((to_ft - from_ft) * part) / parts,
    );
  });
}

/** Stations where the slope of the ground or of the pipe changes. */
export const kinksOf = ({ profile, line }: LineModel): number[] => [
  ...profile.located.map(({ station_ft }) => station_ft),
  ...(line.ground ?? []).map(({ station_ft }) => station_ft),
];

/** Stations where an excavation may just reach a depth at which its rules change. */
function depthCrossings(model: LineModel, { depthMargin_percent }: Rules): number[] {
  const { profile, extent } = model;
  const kinks = [extent.from_ft, ...kinksOf(model), extent.to_ft]
    .filter((x) => x >= extent.from_ft && x <= extent.to_ft)
    .sort((a, b) => a - b);
  return kinks.slice(1).flatMap((to_ft, index) => {
    const from_ft = kinks[index] ?? to_ft;
    const [start, end] = [from_ft, to_ft].map((x) => mayReach(profile.depth(x), depthMargin_percent)) as [
      number,
      number,
    ];
    return [workDepth_ft, protectFrom_ft, engineerOver_ft].flatMap((depth) =>
      (start - depth) * (end - depth) < 0
        ? [from_ft + ((to_ft - from_ft) * (depth - start)) / (end - start)]
        : [],
    );
  });
}

/** Sorted breaks inside the line; those within 0.01 ft are one, and the line's own ends always stay. */
export function oneWithin(candidates: readonly number[], { from_ft, to_ft }: Interval): number[] {
  const kept = [from_ft];
  if (to_ft - from_ft <= sameStation_ft) return kept;
  for (const x of [...candidates].sort((a, b) => a - b)) {
    if (x - (kept.at(-1) ?? from_ft) > sameStation_ft && to_ft - x > sameStation_ft) kept.push(x);
  }
  kept.push(to_ft);
  return kept;
}

/**
 * The breaks where an action may end, limited to what a search can handle: where there are more, the required ones and
 * one per part of the line. Indexes into the breaks, rising.
 */
export function fewEnough(
  all: readonly number[],
  stationOf: (index: number) => number,
  mustStand: (index: number) => boolean,
): number[] {
  if (all.length <= mostParts) return [...all];
  const [first = 0, last = 0] = [all[0], all.at(-1)];
  const part_ft = (stationOf(last) - stationOf(first)) / mostParts;
  const standing = all.filter(mustStand).length;
  let next_ft = -Infinity;
  return all.filter((index) => {
    const x = stationOf(index);
    const stands = index === first || index === last || (standing <= mostParts && mustStand(index));
    if (!stands && x < next_ft) return false;
    if (!stands || x >= next_ft) next_ft = x + part_ft;
    return true;
  });
}
