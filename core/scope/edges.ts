import { curedBy } from '../condition/grade-table.js';
import { leastSlope } from '../grade/least-slope.js';
import { rateForBore } from '../job/prices-schema.js';
import { sameStation_ft } from '../job/units.js';
import { methods, type ActionMethod, type Method } from '../job/vocabulary.js';
import { overlaps } from '../line/intervals.js';
import type { PlacedPoint } from '../line/model.js';
import { madeThickness, type MadeThicknessIn } from '../liner/thickness.js';
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
  const { cells, boundaries, model, prices } = track;
  const fine = Int32Array.from(boundaries);
  const sums = runningSums(track);
  const edgesFrom = boundaries.map((_, from) => {
    const edges: Edge[] = [];
    for (const each of [digsFrom, burstsFrom, linersFrom]) each(track, sums, fine, from, edges);
    return edges;
  });
  const cleaning = prefix(cells, (_, __, length) => length * prices.cleaning_per_ft);
  for (const finding of track.condition.findings.filter(({ id }) => isCutBack(track, id))) {
    const at = cells.findIndex((cell) => overlaps(cell, finding.place));
    for (let i = at + 1; at >= 0 && i < cleaning.length; i++)
      cleaning[i] = (cleaning[i] as number) + prices.cutBack_each;
  }
  const wayIn = (goes: 'upstream' | 'downstream') =>
    boundaries.map((index) => {
      const into = cells[goes === 'upstream' ? index - 1 : index];
      return wayInAt(model, track.breaks[index] as number, goes, into?.pipe.diameter_in ?? 0) !== undefined;
    });
  return {
    track,
    holes: holeCosts(track),
    edgesFrom,
    cleaning,
    wayIn: { upstream: wayIn('upstream'), downstream: wayIn('downstream') },
  };
}

/** Running sums over fine cells and breaks, so that any stretch is judged and priced by two look-ups. */
function runningSums(track: Track) {
  const { cells, model, rules, prices, breaks } = track;
  const masks = allowedMasks(track);
  const count = (flag: (cell: Cell, index: number) => boolean) =>
    prefix(cells, (cell, i) => (flag(cell, i) ? 1 : 0));
  const step = (differs: (before: Cell, cell: Cell) => boolean) =>
    count((cell, i) => {
      const before = cells[i - 1];
      return before !== undefined && differs(before, cell);
    });
  /** Sum of a value over the points at or before each fine break. */
  const points = (value: (placed: PlacedPoint) => number) => {
    const at = new Float64Array(breaks.length + 1);
    for (const placed of model.points) {
      const index = breaks.findIndex((x) => Math.abs(x - placed.at.station_ft) <= sameStation_ft);
      if (index >= 0) at[index + 1] = (at[index + 1] as number) + value(placed);
    }
    for (let i = 1; i < at.length; i++) at[i] = (at[i] as number) + (at[i - 1] as number);
    return at;
  };
  const byBore = (table: Record<string, number>) =>
    prefix(cells, (cell, _, length) => length * (rateForBore(table, cell.pipe.diameter_in) ?? 0));
  const ifTrue = (refused: unknown) => (refused === undefined ? 0 : 1);
  return {
    barred: new Map(
      methods.map((method) => [method, count((_, i) => ((masks[i] as number) & methodBit(method)) === 0)]),
    ),
    noDig: count((cell) => digCellRefusal(cell) !== undefined),
    building: count((cell) => cell.closedTo === 'building'),
    bellies: count((cell) => cell.findings.some(({ placed }) => placed.entry.finding === 'belly')),
    sags: track.condition.findings.filter(({ placed }) => placed.entry.finding === 'belly'),
    owed: track.obligations.cured.filter(({ laidToGrade: owes }) => owes),
    exposedLength: prefix(cells, (cell, _, length) => (cell.closedTo === 'crawl-space' ? length : 0)),
    pipe: prefix(
      cells,
      (cell, _, length) =>
        length *
        (pipeRate(track, cell.pipe.diameter_in) + (cell.closedTo === 'building' ? prices.handDug_per_ft : 0)),
    ),
    rehung: prefix(cells, (cell, _, length) =>
      cell.closedTo === 'crawl-space'
        ? length * (prices.rehang_per_ft - pipeRate(track, cell.pipe.diameter_in))
        : 0,
    ),
    coupling: Float64Array.from(cells, (cell) => couplingRate(track, cell.pipe.diameter_in)),
    noBurst: count((cell) => burstCellRefusal(cell, model, rules) !== undefined),
    burst: byBore(prices.burst_per_ft),
    noLiner: count((cell) => linerCellRefusal(cell) !== undefined),
    boreBreaks: step((before, cell) => boreRefusal(before, cell, rules) !== undefined),
    boreSteps: step((before, cell) => before.pipe.diameter_in !== cell.pipe.diameter_in),
    badlyGraded: count((cell) => cell.findings.some(({ grade, possible }) => grade >= 3 && !possible)),
    made: cells.map((cell): MadeThicknessIn => madeThickness(cell.thickness.needed_in) ?? 0.236),
    liner: {
      0.118: byBore(prices.liner_per_ft['0.118']),
      0.177: byBore(prices.liner_per_ft['0.177']),
      0.236: byBore(prices.liner_per_ft['0.236']),
    },
    burstStops: points((placed) => ifTrue(burstPointRefusal(placed))),
    linerStops: points((placed) => ifTrue(linerPointRefusal(placed))),
    bendDegrees: points(({ point }) => (point.kind === 'bend' ? (point.degrees ?? 0) : 0)),
    tieIns: points(({ point }) => (point.kind === 'tie-in' ? 1 : 0)),
  };
}

type Sums = ReturnType<typeof runningSums>;
type EdgesFrom = (track: Track, sums: Sums, fine: Int32Array, from: number, edges: Edge[]) => void;

const over = (sums: Float64Array, start: number, end: number) =>
  (sums[end] as number) - (sums[start] as number);
/** Over the points strictly inside a stretch of fine breaks. */
const inside = (sums: Float64Array, start: number, end: number) =>
  (sums[end] as number) - (sums[start + 1] as number);

/** A coupling at each end, by the bores there. */
const couplingsAt = (sums: Sums, start: number, end: number): number =>
  (sums.coupling[start] as number) + (sums.coupling[end - 1] as number);

const digsFrom: EdgesFrom = (track, sums, fine, from, edges) => {
  const { breaks, rules } = track;
  const start = fine[from] as number;
  const a = breaks[start] as number;
  const barred = (method: ActionMethod) => sums.barred.get(method) as Float64Array;
  for (let to = from + 1; to < fine.length; to++) {
    const end = fine[to] as number;
    const b = breaks[end] as number;
    const length = b - a;
    const allowed = (method: ActionMethod) => over(barred(method), start, end) === 0;
    if (over(sums.noDig, start, end) > 0) return;
    if (!allowed('spot') && !allowed('open-cut') && !allowed('regrade')) return;
    if (over(sums.building, start, end) > 0 && !reachable(track.cells, start, end, rules.handDugReach_ft))
      continue;
    const exposed = over(sums.exposedLength, start, end) > length - 1e-6;
    const cost = over(sums.pipe, start, end) + couplingsAt(sums, start, end);
    const add = (method: ActionMethod, own: number) =>
      edges.push({ from, to, method, cost: own, exposed, letIn: false });
    const sag = over(sums.bellies, start, end) > 0;
    const graded = sag && laidToGrade(track, sums.sags, a, b);
    if (length <= rules.spotMost_ft + 1e-9) {
      if (allowed('spot')) add('spot', cost);
    } else if (allowed('open-cut') && (graded || !sag || !owesGrade(sums.owed, a, b))) add('open-cut', cost);
    if (graded && allowed('regrade')) add('regrade', cost + over(sums.rehung, start, end));
  }
};

const burstsFrom: EdgesFrom = (track, sums, fine, from, edges) => {
  const { breaks } = track;
  const start = fine[from] as number;
  const barred = sums.barred.get('burst') as Float64Array;
  for (let to = from + 1; to < fine.length; to++) {
    const end = fine[to] as number;
    if (
      over(sums.noBurst, start, end) > 0 ||
      over(barred, start, end) > 0 ||
      inside(sums.burstStops, start, end) > 0
    )
      return;
    if ((breaks[end] as number) - (breaks[start] as number) < leastBurst_ft - 1e-9) continue;
    const cost = over(sums.burst, start, end) + couplingsAt(sums, start, end);
    edges.push({ from, to, method: 'burst', cost, exposed: false, letIn: false });
  }
};

const linersFrom: EdgesFrom = (track, sums, fine, from, edges) => {
  const { breaks, prices } = track;
  const start = fine[from] as number;
  const a = breaks[start] as number;
  const barred = (method: ActionMethod) => sums.barred.get(method) as Float64Array;
  let thickest = 0.118 as MadeThicknessIn;
  for (let to = from + 1; to < fine.length; to++) {
    const end = fine[to] as number;
    const b = breaks[end] as number;
    for (let cell = fine[to - 1] as number; cell < end; cell++) {
      const made = sums.made[cell] ?? thickest;
      if (made > thickest) thickest = made;
    }
    const stopped =
      over(sums.noLiner, start, end) > 0 ||
      over(sums.boreBreaks, start + 1, end) > 0 ||
      inside(sums.linerStops, start, end) > 0 ||
      inside(sums.bendDegrees, start, end) > mostBends_deg;
    if (stopped) return;
    const own =
      over(sums.liner[thickest], start, end) +
      inside(sums.tieIns, start, end) * prices.reinstatement_each +
      over(sums.boreSteps, start + 1, end) * prices.transition_each;
    if (over(barred('line'), start, end) === 0) {
      edges.push({ from, to, method: 'line', cost: own + prices.liner_each, exposed: false, letIn: false });
    }
    const short =
      b - a >= shortLiner_ft.least - 1e-9 &&
      b - a <= shortLiner_ft.most + 1e-9 &&
      over(barred('short-line'), start, end) === 0 &&
      firstAndLastSound(track, sums.badlyGraded, start, end);
    if (short) {
      const letIn = letInWithin(track, a, b, track.cells[start]?.pipe.diameter_in ?? 4);
      edges.push({
        from,
        to,
        method: 'short-line',
        cost: own + prices.shortLiner_each,
        exposed: false,
        letIn,
      });
    }
  }
};

/** Whether a dig from a to b would lie to grade and takes every sag it touches whole. */
function laidToGrade(track: Track, sags: Sums['sags'], a: number, b: number): boolean {
  const touched = sags.filter(({ place }) => overlaps(place, { from_ft: a, to_ft: b }));
  return touched.length > 0 && toGrade(track, a, b, touched);
}

const owesGrade = (owed: Sums['owed'], a: number, b: number): boolean =>
  owed.some(({ place }) => overlaps(place, { from_ft: a, to_ft: b }));

/** Sticks into the bore and must be cut back where it is cleaned rather than dug out. */
export function isCutBack(track: Track, findingId: string): boolean {
  return track.obligations.cured.some(
    ({ findings, methods: ways }) => ways.includes('clean') && findings.includes(findingId),
  );
}

function prefix(
  cells: readonly Cell[],
  value: (cell: Cell, index: number, length_ft: number) => number,
): Float64Array {
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
export function toGrade(
  track: Track,
  a: number,
  b: number,
  bellies: readonly { place: { from_ft: number; to_ft: number } }[],
): boolean {
  const { profile } = track.model;
  if (!profile.graded) return false;
  const whole = bellies.every(({ place }) => a - place.from_ft <= 2e-6 && place.to_ft - b <= 2e-6);
  if (!whole) return false;
  let needed = 0;
  for (const pipe of track.model.pipes) {
    if (pipe.to_ft <= a + 1e-9 || pipe.from_ft >= b - 1e-9) continue;
    needed = Math.max(needed, leastSlope(pipe.diameter_in, track.rules));
  }
  return (profile.invert(a) - profile.invert(b)) / (b - a) >= needed - 1e-12;
}

/** The first and the last foot hold nothing to fix. */
function firstAndLastSound(track: Track, bad: Float64Array, start: number, end: number): boolean {
  const { breaks } = track;
  const [a, b] = [breaks[start] as number, breaks[end] as number];
  if (over(bad, start, end) === 0) return true;
  for (let i = start; i < end; i++) {
    const edge = (breaks[i] as number) < a + 1 - 1e-6 || (breaks[i + 1] as number) > b - 1 + 1e-6;
    if (edge && over(bad, i, i + 1) > 0) return false;
  }
  return true;
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
export function edgeCures(
  track: Track,
  edge: Pick<Edge, 'method'>,
  a: number,
  b: number,
  finding: Track['condition']['findings'][number],
): boolean {
  const grade =
    finding.cures.includes('regrade') && (edge.method === 'open-cut' || edge.method === 'regrade')
      ? toGrade(track, a, b, [finding])
      : false;
  return curedBy(finding.cures, edge.method, grade);
}
