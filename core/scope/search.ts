import { methods } from '../job/vocabulary.js';
import { creditsFrom, type Carried } from './carried.js';
import { allowedMasks, methodBit, type Edge, type Possible } from './edges.js';
import { Left, leftCount, movesOf, Next, nextCount, type Hole, type Moves } from './moves.js';
import { isOld } from './obligations.js';
import { actionTie, passagesOf, publicTie, type Passages } from './passing.js';

/** Money is counted in whole millionths, so that sums are exact and ties are ties. */
export const micro = 1e6;

export interface Restriction {
  readonly from_ft: number;
  readonly to_ft: number;
  /** Bit mask of the methods allowed on every cell this overlaps. */
  readonly allowed: number;
  /** No action runs past `from_ft` in one piece. */
  readonly split?: boolean;
  /** What it is called where it stands in the way; a plain pin says its two ends. */
  readonly says?: string;
}

export interface SearchOptions {
  /** Methods that may be used at all, as a bit mask. */
  readonly methods: number;
  readonly restrictions: readonly Restriction[];
  /** Whether a root joint may be left or only cleaned. */
  readonly rootsLeft: boolean;
}

export interface PlanStep {
  readonly from: number;
  readonly to: number;
  /** Undefined for a gap that is left or cleaned. */
  readonly edge?: Edge;
  /** How a liner is let in. */
  readonly next: Next;
  /** Hole state while this step runs. */
  readonly hole: Hole;
}

export interface Plan {
  readonly steps: readonly PlanStep[];
  /** Pits, public hole feet and actions, packed in that order. */
  readonly tie: number;
  /** Scope without mobilisation plus carried, in millionths. */
  readonly cost: number;
  /** Methods used, as a bit mask. */
  readonly used: number;
  /** Gap cells that are cleaned, by fine index. */
  readonly cleaned: Uint8Array;
}

/** A track with its actions and boundaries priced, ready to be searched many times. */
export interface Prepared {
  readonly possible: Possible;
  readonly carried: Carried;
  readonly masks: Int32Array;
  readonly moves: Moves;
  readonly passages: Passages;
  readonly crossing: Crossing;
  /** Looks, and what every finding would carry if it were left, in millionths. */
  readonly baseline: number;
  readonly money: (raw: number) => number;
}

export function prepare(possible: Possible, carried: Carried): Prepared {
  const { track } = possible;
  const factor = (1 + track.prices.markup) * (1 + track.prices.tax);
  const money = (raw: number) => Math.round(raw * factor * micro);
  return {
    possible,
    carried,
    money,
    masks: allowedMasks(track),
    moves: movesOf(possible.edgesFrom, (from) => {
      const credit = creditsFrom(possible, carried, from);
      return (edge) => Math.round((edge.cost * factor - credit(edge)) * micro);
    }),
    passages: passagesOf(possible, money),
    crossing: crossingOf(possible, money),
    baseline: Math.round(
      (carried.looks + carried.findings.reduce((sum, { sum: each }) => sum + each, 0)) * micro,
    ),
  };
}

/**
 * The exact search. A scope is a path along the boundaries of a track: actions, and gaps that are left or cleaned.
 * What a boundary costs depends on what lies to its left, on what starts there and on whether a hole is open, so
 * these are the states of a dynamic programme from the downstream end back; the walk forward then settles ties in
 * the stated order. Undefined where nothing satisfies the rules.
 */
export function search(prepared: Prepared, options: SearchOptions): Plan | undefined {
  const { possible, moves, passages, crossing } = prepared;
  const { boundaries, cells } = possible.track;
  const last = boundaries.length - 1;
  if (last <= 0) {
    return { steps: [], tie: 0, cost: prepared.baseline, used: 0, cleaned: new Uint8Array(cells.length) };
  }
  const fine = Int32Array.from(boundaries);
  const allowed = allowedCells(prepared, options);
  const gaps = gapsOf(prepared, options, allowed, fine);
  const barred = barredSums(allowed);
  const splits = splitsOf(prepared, options.restrictions);

  const value = new Float64Array((last + 1) * leftCount * 3).fill(Infinity);
  const ties = new Float64Array(value.length).fill(Infinity);
  const slot = (b: number, left: number, hole: number) => (b * leftCount + left) * 3 + hole;
  const ahead = new Float64Array(nextCount * 3);
  const aheadTie = new Float64Array(nextCount * 3);

  /** Offers the move from b to `to` to the best of its kind, in every hole state it can start in. */
  const offer = (b: number, to: number, next: number, left: number, cost: number) => {
    const own = next === Next.Dig;
    const at = slot(to, left, 0);
    const k = next * 3;
    const act = next === Next.Gap ? 0 : actionTie;
    if (!own) {
      const total = cost + (value[at] as number);
      if (total <= (ahead[k] as number)) improve(k, total, (ties[at] as number) + act);
    }
    if (next === Next.ExposedDig || (!own && !crossing.open(b, to))) return;
    const isPublic = crossing.isPublic(b, to);
    const through = cost + crossing.through(b, to);
    const first = isPublic
      ? through + crossing.permit + (value[at + 2] as number)
      : through + (value[at + 1] as number);
    if (first <= (ahead[k + 1] as number)) {
      improve(k + 1, first, (ties[at + (isPublic ? 2 : 1)] as number) + act + crossing.tie(b, to));
    }
    const paid = through + (value[at + 2] as number);
    if (paid <= (ahead[k + 2] as number))
      improve(k + 2, paid, (ties[at + 2] as number) + act + crossing.tie(b, to));
  };
  const improve = (k: number, total: number, tie: number) => {
    if (total < (ahead[k] as number) || tie < (aheadTie[k] as number)) {
      ahead[k] = total;
      aheadTie[k] = tie;
    }
  };
  const { flat } = passages;
  const settle = (b: number) => {
    const first = b === 0 ? slot(b, Left.Start, 0) : slot(b, Left.Gap, 0);
    const end = b === 0 ? first + 3 : slot(b + 1, 0, 0);
    for (let at = first; at < end; at++) {
      for (let row = flat.start[at] as number; row < (flat.start[at + 1] as number); row++) {
        const k = flat.ahead[row] as number;
        const cost = (flat.cost[row] as number) + (ahead[k] as number);
        if (cost > (value[at] as number) || cost === Infinity) continue;
        const tie = (flat.tie[row] as number) + (aheadTie[k] as number);
        if (cost < (value[at] as number) || tie < (ties[at] as number)) {
          value[at] = cost;
          ties[at] = tie;
        }
      }
    }
  };

  for (let b = last; b >= 0; b--) {
    ahead.fill(Infinity);
    aheadTie.fill(Infinity);
    if (b === last) {
      ahead[Next.End * 3] = 0;
      aheadTie[Next.End * 3] = 0;
    } else {
      for (let to = b + 1; to <= last && gaps.mayReach(b, to); to++) {
        if (gaps.isLongEnough(b, to)) offer(b, to, Next.Gap, Left.Gap, gaps.cost(b, to));
      }
      for (let k = moves.start[b] as number; k < (moves.start[b + 1] as number); k++) {
        const to = moves.to[k] as number;
        const sums = barred[moves.method[k] as number] as Float64Array;
        if ((sums[fine[to] as number] as number) > (sums[fine[b] as number] as number)) continue;
        if (splits && (splits[to] as number) > (splits[b + 1] as number)) continue;
        offer(b, to, moves.next[k] as number, moves.left[k] as number, moves.cost[k] as number);
      }
    }
    settle(b);
  }
  const start = slot(0, Left.Start, 0);
  if (!Number.isFinite(value[start])) return undefined;

  // Forward along optimal choices only, the first difference going to what starts, then ends, further upstream.
  const steps: PlanStep[] = [];
  let [b, left, hole]: [number, Left, Hole] = [0, Left.Start, 0];
  let used = 0;
  while (b < last) {
    const here = slot(b, left, hole);
    let best: { step: PlanStep; left: Left; after: Hole; rank: number } | undefined;
    const consider = (to: number, next: Next, becomes: Left, own: number, edge: Edge | undefined) => {
      if (next === Next.Gap && left === Left.Gap) return;
      for (const passage of passages.at(b, left, hole, next)) {
        if ((next === Next.Dig) !== passage.hole > 0 && (next === Next.Dig || next === Next.ExposedDig))
          continue;
        if (next !== Next.Dig && passage.hole > 0 && !crossing.open(b, to)) continue;
        const after: Hole = passage.hole === 1 && crossing.isPublic(b, to) ? 2 : passage.hole;
        const at = slot(to, becomes, after);
        const open = passage.hole > 0;
        const paysNow = passage.hole === 1 && after === 2 ? crossing.permit : 0;
        const cost =
          passage.cost + (own + (open ? crossing.through(b, to) : 0) + paysNow + (value[at] as number));
        const tie =
          passage.tie + ((ties[at] as number) + (edge ? actionTie : 0) + (open ? crossing.tie(b, to) : 0));
        if (cost !== value[here] || tie !== ties[here]) continue;
        const rank = edge
          ? to * methods.length + methods.indexOf(edge.method)
          : (last + 1 + to) * methods.length;
        if (best && best.rank <= rank) continue;
        best = {
          step: { from: b, to, next, hole: passage.hole, ...(edge ? { edge } : {}) },
          left: becomes,
          after,
          rank,
        };
      }
    };
    for (let to = b + 1; to <= last && gaps.mayReach(b, to); to++) {
      if (gaps.isLongEnough(b, to)) consider(to, Next.Gap, Left.Gap, gaps.cost(b, to), undefined);
    }
    for (let k = moves.start[b] as number; k < (moves.start[b + 1] as number); k++) {
      const to = moves.to[k] as number;
      const sums = barred[moves.method[k] as number] as Float64Array;
      if ((sums[fine[to] as number] as number) > (sums[fine[b] as number] as number)) continue;
      if (splits && (splits[to] as number) > (splits[b + 1] as number)) continue;
      consider(to, moves.next[k] as Next, moves.left[k] as Left, moves.cost[k] as number, moves.edges[k]);
    }
    if (!best) throw new Error('the search lost its own path');
    const { step } = best;
    steps.push(step);
    if (step.edge) used |= methodBit(step.edge.method);
    else if (gaps.cleaned.subarray(fine[b], fine[step.to]).includes(1)) used |= methodBit('clean');
    [b, left, hole] = [step.to, best.left, best.after];
  }
  const yearly = options.rootsLeft ? Math.round(prepared.carried.yearlyCleaning * micro) : 0;
  return {
    steps,
    tie: ties[start] as number,
    cost: (value[start] as number) + prepared.baseline + yearly,
    used,
    cleaned: gaps.cleaned,
  };
}

/** Methods each cell may take: pins laid over the school's obligations. */
function allowedCells({ possible, masks }: Prepared, options: SearchOptions): Int32Array {
  const allowed = Int32Array.from(masks, (mask) => mask & options.methods);
  for (const pin of options.restrictions) {
    possible.track.cells.forEach((cell, i) => {
      if (Math.min(cell.to_ft, pin.to_ft) - Math.max(cell.from_ft, pin.from_ft) > 1e-6) {
        allowed[i] = (allowed[i] as number) & pin.allowed;
      }
    });
  }
  return allowed;
}

/** How many splits lie at the boundaries before each one; undefined where there are none. */
function splitsOf({ possible }: Prepared, restrictions: readonly Restriction[]): Int32Array | undefined {
  const cuts = restrictions.filter(({ split }) => split);
  if (cuts.length === 0) return undefined;
  const { boundaries, breaks } = possible.track;
  const station = (b: number) => breaks[boundaries[b] as number] as number;
  const sums = new Int32Array(boundaries.length + 1);
  for (const { from_ft } of cuts) {
    const nearest = boundaries.reduce(
      (best, _, b) => (Math.abs(station(b) - from_ft) < Math.abs(station(best) - from_ft) ? b : best),
      0,
    );
    sums[nearest + 1] = (sums[nearest + 1] as number) + 1;
  }
  for (let b = 1; b < sums.length; b++) sums[b] = (sums[b] as number) + (sums[b - 1] as number);
  return sums;
}

/** For each method, how many cells before each fine break may not take it. */
function barredSums(allowed: Int32Array): Float64Array[] {
  return methods.map((method) => {
    const sums = new Float64Array(allowed.length + 1);
    const bit = methodBit(method);
    for (let i = 0; i < allowed.length; i++) {
      sums[i + 1] = (sums[i] as number) + ((allowed[i] as number) & bit ? 0 : 1);
    }
    return sums;
  });
}

/** Gaps from a boundary: each whole gap is one move, left where it may be and cleaned where it must be. */
function gapsOf(prepared: Prepared, options: SearchOptions, allowed: Int32Array, fine: Int32Array) {
  const { possible, money } = prepared;
  const { cells, breaks, rules, school } = possible.track;
  const cleaned = new Uint8Array(cells.length);
  const bad = new Float64Array(cells.length + 1);
  const cost = new Float64Array(cells.length + 1);
  const old = new Float64Array(cells.length + 1);
  cells.forEach((cell, i) => {
    const mask = allowed[i] as number;
    const mayLeave = (mask & methodBit('leave')) !== 0 && !cell.mustClean;
    const mayClean = (mask & methodBit('clean')) !== 0;
    cleaned[i] = mayLeave ? 0 : 1;
    const refused = (!mayLeave && !mayClean) || (cell.rootJoint && !options.rootsLeft);
    bad[i + 1] = (bad[i] as number) + (refused ? 1 : 0);
    const raw = (possible.cleaning[i + 1] as number) - (possible.cleaning[i] as number);
    cost[i + 1] = (cost[i] as number) + (mayLeave ? 0 : money(raw));
    old[i + 1] = (old[i] as number) + (isOld(cell.pipe.material) || cell.pipe.material === 'unknown' ? 1 : 0);
  });
  const last = fine.length - 1;
  const between = (sums: Float64Array, b: number, to: number) =>
    (sums[fine[to] as number] as number) - (sums[fine[b] as number] as number);
  return {
    cleaned,
    /** No cell between the two refuses to be left or cleaned; once false it stays false further on. */
    mayReach: (b: number, to: number) => between(bad, b, to) === 0,
    /** Repair refuses a short gap of old pipe between two actions. */
    isLongEnough: (b: number, to: number) =>
      school !== 'repair' ||
      b === 0 ||
      to === last ||
      between(breaks, b, to) >= rules.leastGap_ft - 1e-9 ||
      between(old, b, to) === 0,
    cost: (b: number, to: number) => between(cost, b, to),
  };
}

/** What it takes to keep a hole open from one boundary to another. */
type Crossing = ReturnType<typeof crossingOf>;

function crossingOf({ holes, track }: Possible, money: (raw: number) => number) {
  const fine = Int32Array.from(track.boundaries);
  const permit = money(track.prices.permit_per_hole);
  const through = Float64Array.from(holes.through, money);
  const closed = holes.closedThrough;
  const inPublic = holes.publicThrough;
  const between = (sums: Float64Array, b: number, to: number) =>
    (sums[fine[to] as number] as number) - (sums[fine[b] as number] as number);
  return {
    permit,
    open: (b: number, to: number) => between(closed, b, to) === 0,
    isPublic: (b: number, to: number) => between(inPublic, b, to) > 1e-6,
    through: (b: number, to: number) => between(through, b, to),
    tie: (b: number, to: number) => publicTie(between(inPublic, b, to)),
  };
}
