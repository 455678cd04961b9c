import { curedBy } from '../condition/grade-table.js';
import { leastSlope } from '../grade/least-slope.js';
import { rateForBore, type MadeThickness } from '../job/prices-schema.js';
import { sameStation_ft } from '../job/units.js';
import { methods, type ActionMethod, type Method } from '../job/vocabulary.js';
import { covers, overlaps } from '../line/intervals.js';
import { madeThickness } from '../liner/thickness.js';
import { burstCellRefusal, burstPointRefusal, leastBurst_ft } from '../methods/burst.js';
import { digCellRefusal } from '../methods/dig.js';
import {
  boreRefusal,
  isWayIn,
  linerCellRefusal,
  linerPointRefusal,
  mostBends_deg,
  shortLiner_ft,
  shortLinerReach_ft,
  wayInAt,
} from '../methods/line.js';
import { couplingRate, holeCosts, pipeRate, type HoleCosts } from './hole-costs.js';
import type { Cell, Track } from './track.js';

/** An action that may be taken from one boundary to a later one. */
export interface Edge {
  /** Indexes into `track.boundaries`. */
  readonly from: number;
  readonly to: number;
  readonly method: ActionMethod;
  /** Raw cost of the action without its hole and its way in; no markup or tax. */
  readonly cost: number;
  /** A dig along exposed pipe needs no hole. */
  readonly exposed: boolean;
  /** A short liner that a cleanout or manhole within reach lets in: it needs no pit. */
  readonly letIn: boolean;
}

/** All that may be done on a track, before pins, with what it costs. */
export interface Possible {
  readonly track: Track;
  readonly holes: HoleCosts;
  /** Edges by the boundary they start at. */
  readonly edgesFrom: readonly (readonly Edge[])[];
  /** Cost of cleaning a whole cell, with cutting back what sticks in, up to each fine break. */
  readonly cleaning: Float64Array;
  /** Whether a liner can be sent upstream or downstream from a boundary with no pit. */
  readonly wayIn: { readonly upstream: readonly boolean[]; readonly downstream: readonly boolean[] };
}

/** Bit of a method in a mask. */
export const methodBit = (method: Method): number => 1 << methods.indexOf(method);

/** Methods that satisfy every obligation at each fine cell, as a bit mask. */
export function allowedMasks(track: Track): Int32Array {
  return Int32Array.from(track.cells, (cell) =>
    track.obligations.cured
      .filter(({ place }) => overlaps(place, cell))
      .reduce(
        (mask, obligation) => mask & obligation.methods.reduce((sum, method) => sum | methodBit(method), 0),
        (1 << methods.length) - 1,
      ),
  );
}

/** Lists every action the rules allow on a track, with its cost. */
export function possibleOn(track: Track): Possible {
  const { cells, boundaries, model, rules, prices } = track;
  const holes = holeCosts(track);
  const station = (boundary: number) => track.breaks[boundaries[boundary] ?? 0] ?? 0;
  const masks = allowedMasks(track);
  const count = (flag: (cell: Cell, index: number) => boolean): Float64Array => prefix(cells, (cell, i) => (flag(cell, i) ? 1 : 0));
  const noDig = count((cell) => digCellRefusal(cell) !== undefined);
  const noLiner = count((cell) => linerCellRefusal(cell) !== undefined);
  const boreBreaks = count((cell, i) => {
    const before = cells[i - 1];
    return before !== undefined && boreRefusal(before, cell, rules) !== undefined;
  });
  const boreSteps = count((cell, i) => {
    const before = cells[i - 1];
    return before !== undefined && before.pipe.diameter_in !== cell.pipe.diameter_in;
  });
  const noBurst = count((cell) => burstCellRefusal(cell, model, rules) !== undefined);
  const badlyGraded = count((cell) => cell.findings.some(({ grade, possible }) => grade >= 3 && !possible));
  const must = new Map(
    methods.map((method) => [method, count((_, i) => ((masks[i] ?? 0) & methodBit(method)) === 0)]),
  );
  const pipe = prefix(cells, (cell, _, length) =>
    length *
    (pipeRate(track, cell.pipe.diameter_in) + (cell.closedTo === 'building' ? prices.handDug_per_ft : 0)),
  );
  const rehung = prefix(cells, (cell, _, length) =>
    cell.closedTo === 'crawl-space'
      ? length * (prices.rehang_per_ft - pipeRate(track, cell.pipe.diameter_in))
      : 0,
  );
  const exposedLength = prefix(cells, (cell, _, length) => (cell.closedTo === 'crawl-space' ? length : 0));
  const burst = prefix(cells, (cell, _, length) => length * (rateForBore(prices.burst_per_ft, cell.pipe.diameter_in) ?? 0));
  const made = cells.map((cell) => madeThickness(cell.thickness.needed_in) ?? 0.236);
  const liner = new Map(
    ([0.118, 0.177, 0.236] as const).map((thickness) => [
      thickness,
      prefix(
        cells,
        (cell, _, length) =>
          length *
          (rateForBore(prices.liner_per_ft[String(thickness) as MadeThickness], cell.pipe.diameter_in) ?? 0),
      ),
    ]),
  );
  const inside = (from: number, to: number) =>
    model.points.filter(
      ({ at }) => at.station_ft > from + sameStation_ft && at.station_ft < to - sameStation_ft,
    );
  const bellies = track.condition.findings.filter(({ placed }) => placed.entry.finding === 'belly');

  const wayIn = {
    upstream: boundaries.map((fine, b) => wayInAt(model, station(b), 'upstream', cells[fine - 1]?.pipe.diameter_in ?? 0) !== undefined),
    downstream: boundaries.map((fine, b) => wayInAt(model, station(b), 'downstream', cells[fine]?.pipe.diameter_in ?? 0) !== undefined),
  };

  const edgesFrom = boundaries.map((fineFrom, from) => {
    const edges: Edge[] = [];
    const a = station(from);
    let thickest = 0;
    for (let to = from + 1; to < boundaries.length; to++) {
      const fineTo = boundaries[to] ?? 0;
      const b = station(to);
      const length = b - a;
      const sum = (sums: Float64Array, start = fineFrom) => (sums[fineTo] ?? 0) - (sums[start] ?? 0);
      const satisfies = (method: Method) => sum(must.get(method) ?? noDig) === 0;
      for (let cell = boundaries[to - 1] ?? 0; cell < fineTo; cell++) thickest = Math.max(thickest, made[cell] ?? 0);
      const ends_in = [cells[fineFrom]?.pipe.diameter_in ?? 4, cells[fineTo - 1]?.pipe.diameter_in ?? 4] as const;
      const couplings = couplingRate(track, ends_in[0]) + couplingRate(track, ends_in[1]);

      if (sum(noDig) === 0 && reachable(cells, fineFrom, fineTo, rules.handDugReach_ft)) {
        const exposed = sum(exposedLength) > length - 1e-6;
        const add = (method: ActionMethod, cost: number) => {
          edges.push({ from, to, method, cost, exposed, letIn: false });
        };
        const touched = bellies.filter(({ place }) => overlaps(place, { from_ft: a, to_ft: b }));
        const laidToGrade = touched.length > 0 && toGrade(track, a, b, touched);
        const owesGrade = track.obligations.cured.some(
          (duty) => duty.laidToGrade && overlaps(duty.place, { from_ft: a, to_ft: b }),
        );
        if (length <= rules.spotMost_ft + 1e-9) {
          if (satisfies('spot')) add('spot', sum(pipe) + couplings);
        } else if (satisfies('open-cut') && (!owesGrade || laidToGrade)) add('open-cut', sum(pipe) + couplings);
        if (laidToGrade && satisfies('regrade')) add('regrade', sum(pipe) + sum(rehung) + couplings);
      }
      if (length >= leastBurst_ft - 1e-9 && sum(noBurst) === 0 && satisfies('burst')) {
        if (!inside(a, b).some((placed) => burstPointRefusal(placed))) {
          edges.push({ from, to, method: 'burst', cost: sum(burst) + couplings, exposed: false, letIn: false });
        }
      }
      if (sum(noLiner) === 0 && sum(boreBreaks, fineFrom + 1) === 0) {
        const within = inside(a, b);
        const bends = within.reduce((degrees, { point }) => degrees + (point.kind === 'bend' ? (point.degrees ?? 0) : 0), 0);
        if (bends <= mostBends_deg && !within.some((placed) => linerPointRefusal(placed))) {
          const tieIns = within.filter(({ point }) => point.kind === 'tie-in').length;
          const own =
            sum(liner.get(thickest as 0.118) ?? pipe) +
            tieIns * prices.reinstatement_each +
            sum(boreSteps, fineFrom + 1) * prices.transition_each;
          if (satisfies('line')) {
            edges.push({ from, to, method: 'line', cost: own + prices.liner_each, exposed: false, letIn: false });
          }
          if (
            length >= shortLiner_ft.least - 1e-9 &&
            length <= shortLiner_ft.most + 1e-9 &&
            satisfies('short-line') &&
            firstAndLastSound(track, badlyGraded, a, b)
          ) {
            const letIn = letInWithin(track, a, b, ends_in[0]);
            edges.push({ from, to, method: 'short-line', cost: own + prices.shortLiner_each, exposed: false, letIn });
          }
        }
      }
    }
    return edges;
  });
  const cleaning = prefix(cells, (_, __, length) => length * prices.cleaning_per_ft);
  for (const finding of track.condition.findings.filter((each) => isCutBack(track, each.id))) {
    const at = cells.findIndex((cell) => overlaps(cell, finding.place));
    for (let i = at + 1; at >= 0 && i < cleaning.length; i++) cleaning[i] = (cleaning[i] ?? 0) + prices.cutBack_each;
  }
  return { track, holes, edgesFrom, cleaning, wayIn };
}

/** Sticks into the bore and must be cut back where it is cleaned rather than dug out. */
export function isCutBack(track: Track, findingId: string): boolean {
  return track.obligations.cured.some(({ findings, methods: ways }) => ways.includes('clean') && findings.includes(findingId));
}

function prefix(cells: readonly Cell[], value: (cell: Cell, index: number, length_ft: number) => number): Float64Array {
  const sums = new Float64Array(cells.length + 1);
  cells.forEach((cell, index) => {
    sums[index + 1] = (sums[index] ?? 0) + value(cell, index, cell.to_ft - cell.from_ft);
  });
  return sums;
}

/** Every cell under a building lies within the hand-dug reach of open ground in the same dig. */
function reachable(cells: readonly Cell[], from: number, to: number, reach_ft: number): boolean {
  let last: number | undefined;
  for (let i = from; i < to; i++) {
    const cell = cells[i];
    if (!cell) break;
    if (cell.closedTo !== 'building') {
      last = cell.to_ft;
      continue;
    }
    let next = i;
    while (next < to && cells[next]?.closedTo === 'building') next++;
    const ahead = next < to ? cells[next]?.from_ft : undefined;
    const fromBehind = last !== undefined && cell.to_ft - last <= reach_ft + 1e-6;
    const fromAhead = ahead !== undefined && ahead - cell.from_ft <= reach_ft + 1e-6;
    if (!fromBehind && !fromAhead) return false;
  }
  return true;
}

/** Whether new pipe from a to b falls enough and takes every sag it touches whole. Stations ft. */
export function toGrade(track: Track, a: number, b: number, bellies: readonly { place: { from_ft: number; to_ft: number } }[]): boolean {
  const { profile } = track.model;
  if (!profile.graded) return false;
  const whole = bellies.every(({ place }) => covers([{ from_ft: a - 1e-6, to_ft: b + 1e-6 }], place));
  const needed = Math.max(
    ...track.cells
      .filter((cell) => overlaps(cell, { from_ft: a, to_ft: b }))
      .map((cell) => leastSlope(cell.pipe.diameter_in, track.rules)),
  );
  return whole && (profile.invert(a) - profile.invert(b)) / (b - a) >= needed - 1e-12;
}

function firstAndLastSound(track: Track, bad: Float64Array, a: number, b: number): boolean {
  return track.cells.every(
    (cell, i) =>
      (bad[i + 1] ?? 0) === (bad[i] ?? 0) ||
      !(overlaps(cell, { from_ft: a, to_ft: Math.min(b, a + 1) }) || overlaps(cell, { from_ft: Math.max(a, b - 1), to_ft: b })),
  );
}

function letInWithin(track: Track, a: number, b: number, bore_in: number): boolean {
  const { model } = track;
  return model.points.some((placed) => {
    const x = placed.at.station_ft;
    const near = (distance: number) => distance >= -sameStation_ft && distance <= shortLinerReach_ft;
    return (
      (near(a - x) && isWayIn(placed, 'downstream', bore_in, model)) ||
      (near(x - b) && isWayIn(placed, 'upstream', bore_in, model))
    );
  });
}

/** Whether an edge cures a finding that lies wholly inside it; open cuts and regrades cure a belly only laid to grade. */
export function edgeCures(track: Track, edge: Pick<Edge, 'method'>, a: number, b: number, finding: Track['condition']['findings'][number]): boolean {
  const grade = finding.cures.includes('regrade') && (edge.method === 'open-cut' || edge.method === 'regrade')
    ? toGrade(track, a, b, [finding])
    : false;
  return curedBy(finding.cures, edge.method, grade);
}
