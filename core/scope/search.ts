import { methods, type ActionMethod, type Method } from '../job/vocabulary.js';
import { creditOf, type Carried } from './carried.js';
import { allowedMasks, methodBit, type Edge, type Possible } from './edges.js';
import { closingCost, type HolePiece, type PitPieces } from './hole-costs.js';
import { isOld } from './obligations.js';

/**
 * The exact search. A scope is a path along the boundaries of a track: actions, and gaps that are left or cleaned.
 * What a boundary costs depends on what lies to its left, on what starts there and on whether a hole is open, so
 * these are the states of a dynamic programme from the downstream end back; the walk forward then settles ties in
 * the stated order. Money is counted in whole millionths, so that sums are exact and ties are ties.
 */
export const micro = 1e6;

/** What ended at a boundary. */
const enum Left {
  Start,
  Gap,
  Liner,
  /** A liner that still wants its way in here. */
  Owing,
  Burst,
  Dig,
}
const leftCount = 6;

/** What starts at a boundary. */
const enum Next {
  Gap,
  /** A liner let in at this boundary. */
  Enter,
  /** A liner let in at its other end, or from further off. */
  Owe,
  LetIn,
  Dig,
  ExposedDig,
  Burst,
  End,
}
const nextCount = 7;

/** The hole at a boundary: none, open, open with its permit paid. */
type Hole = 0 | 1 | 2;
const holeStates: readonly Hole[] = [0, 1, 2];

export interface Restriction {
  readonly from_ft: number;
  readonly to_ft: number;
  /** Bit mask of the methods allowed on every cell this overlaps. */
  readonly allowed: number;
}

export interface SearchOptions {
  /** Methods that may be used at all, as a bit mask. */
  readonly methods: number;
  readonly restrictions: readonly Restriction[];
  /** Whether a root joint may be left or only cleaned. */
  readonly rootsLeft: boolean;
}

export interface PlanStep {
  readonly kind: 'gap' | 'action';
  readonly from: number;
  readonly to: number;
  readonly edge?: Edge;
  /** For a liner: whether it is let in at its upstream end. */
  readonly entersUpstream?: boolean;
  readonly letIn?: boolean;
  /** Hole state just after this step starts. */
  readonly hole: Hole;
}

export interface Plan {
  readonly steps: readonly PlanStep[];
  /** Pits, public hole feet and actions, packed in that order. */
  readonly tie: number;
  /** Scope without mobilisation plus carried findings, in millionths. */
  readonly cost: number;
  readonly used: number;
  /** Gap cells that are cleaned, by fine index. */
  readonly cleaned: Uint8Array;
}

/** Priced edges of a track, ready to be searched many times. */
export interface Prepared {
  readonly possible: Possible;
  readonly carried: Carried;
  /** Whole millionths, with markup and tax, less what curing takes off the carried sum. */
  readonly edgeCosts: readonly Float64Array[];
  readonly masks: Int32Array;
  readonly baseline: number;
}

export function prepare(possible: Possible, carried: Carried): Prepared {
  const { track } = possible;
  const factor = (1 + track.prices.markup) * (1 + track.prices.tax);
  return {
    possible,
    carried,
    edgeCosts: possible.edgesFrom.map((edges) =>
      Float64Array.from(edges, (edge) =>
        Math.round((edge.cost * factor - creditOf(track, carried, edge)) * micro),
      ),
    ),
    masks: allowedMasks(track),
    baseline: Math.round((carried.looks + carried.findings.reduce((sum, { sum: each }) => sum + each, 0)) * micro),
  };
}

/** Pits first, then public hole feet (to 0.01 ft), then actions, packed into one whole number. */
const pitTie = 1e11;
const publicFootTie = 1e4 * 100;
const actionTie = 1;

/** The cheapest path of a track, or undefined where nothing satisfies the rules. */
export function search(prepared: Prepared, options: SearchOptions): Plan | undefined {
  const { possible, carried } = prepared;
  const { track, holes, edgesFrom, wayIn } = possible;
  const { boundaries, cells, breaks, prices, school, rules } = track;
  const factor = (1 + prices.markup) * (1 + prices.tax);
  const money = (raw: number) => Math.round(raw * factor * micro);
  const permit = money(prices.permit_per_hole);
  const last = boundaries.length - 1;
  const fineOf = (b: number) => boundaries[b] ?? 0;
  const station = (b: number) => breaks[fineOf(b)] ?? 0;
  if (last <= 0) {
    return { steps: [], tie: 0, cost: prepared.baseline, used: 0, cleaned: new Uint8Array(cells.length) };
  }

  // Which methods each cell may take, pins laid over the school's obligations.
  const allowed = Int32Array.from(cells, (cell, i) =>
    options.restrictions.reduce(
      (mask, pin) => (Math.min(cell.to_ft, pin.to_ft) - Math.max(cell.from_ft, pin.from_ft) > 1e-6 ? mask & pin.allowed : mask),
      (prepared.masks[i] ?? 0) & options.methods,
    ),
  );
  const barred = methods.map((method) => {
    const sums = new Float64Array(cells.length + 1);
    const bit = methodBit(method);
    cells.forEach((_, i) => {
      sums[i + 1] = (sums[i] ?? 0) + ((allowed[i] ?? 0) & bit ? 0 : 1);
    });
    return sums;
  });
  const cleaned = new Uint8Array(cells.length);
  const gapBad = new Float64Array(cells.length + 1);
  const gapCost = new Float64Array(cells.length + 1);
  const oldPipe = new Float64Array(cells.length + 1);
  cells.forEach((cell, i) => {
    const mask = allowed[i] ?? 0;
    const mayLeave = (mask & methodBit('leave')) !== 0 && !cell.mustClean;
    const mayClean = (mask & methodBit('clean')) !== 0;
    cleaned[i] = mayLeave ? 0 : 1;
    const bad = (!mayLeave && !mayClean) || (cell.rootJoint && !options.rootsLeft);
    gapBad[i + 1] = (gapBad[i] ?? 0) + (bad ? 1 : 0);
    const cost = mayLeave ? 0 : (possible.cleaning[i + 1] ?? 0) - (possible.cleaning[i] ?? 0);
    gapCost[i + 1] = (gapCost[i] ?? 0) + cost;
    oldPipe[i + 1] = (oldPipe[i] ?? 0) + (isOld(cell.pipe.material) || cell.pipe.material === 'unknown' ? 1 : 0);
  });

  const through = Float64Array.from(holes.through, (raw) => raw * factor * micro);
  const closing = boundaries.map((fine) => money(closingCost(track, fine)));
  const pits = {
    launch: boundaries.map((fine) => pricePit(holes.pit(fine, 'launch'))),
    burst: boundaries.map((fine) => pricePit(holes.pit(fine, 'burst'))),
  };
  function pricePit(pit: PitPieces | undefined) {
    if (!pit) return undefined;
    return {
      open: piece(pit.open),
      close: piece(pit.close),
      wider: [money(pit.widerUpstream), money(pit.widerDownstream)] as const,
    };
  }
  function piece({ cost, public_ft }: HolePiece) {
    return { cost: money(cost), tie: Math.round(public_ft * 100) * (publicFootTie / 100), isPublic: public_ft > 1e-6 };
  }
  const openDig = boundaries.map((fine) => piece(holes.openDig(fine)));
  const closeDig = boundaries.map((fine) => piece(holes.closeDig(fine)));

  interface Option {
    readonly next: Next;
    readonly hole: Hole;
    readonly cost: number;
    readonly tie: number;
  }

  /** Every way to pass boundary b with `left` behind, hole `h`, and `next` ahead: what it costs and leaves open. */
  function pass(b: number, left: Left, h: Hole, next: Next): Option[] {
    const out: Option[] = [];
    const give = (hole: Hole, cost: number, tie: number) => out.push({ next, hole, cost, tie });
    const digs = next === Next.Dig || next === Next.ExposedDig;
    if (left === Left.Dig) {
      if (digs) return out;
      if (h === 0) give(0, 0, 0);
      else {
        const close = closeDig[b];
        if (close) give(0, close.cost + (close.isPublic && h === 1 ? permit : 0), close.tie);
        if (next !== Next.End) give(h, 0, 0);
      }
      return out;
    }
    if (next === Next.ExposedDig) {
      if (h === 0) give(0, 0, 0);
      return out;
    }
    if (next === Next.Dig) {
      const open = openDig[b];
      if (h > 0) give(h, 0, 0);
      else if (open) give(open.isPublic ? 2 : 1, open.cost + (open.isPublic ? permit : 0), open.tie + pitTie);
      return out;
    }
    const wantsLaunch = (left === Left.Owing && !wayIn.upstream[b]) || (next === Next.Enter && !wayIn.downstream[b]);
    const wantsBurst = left === Left.Burst || next === Next.Burst;
    if (!wantsLaunch && !wantsBurst) {
      if (h === 0 || next !== Next.End) give(h, 0, 0);
      return out;
    }
    if (h > 0 && next !== Next.End) give(h, 0, 0);
    const pit = pits[left === Left.Burst ? 'burst' : 'launch'][b];
    if (!pit) return out;
    const pipe = wantsBurst ? 0 : (closing[b] ?? 0);
    const { open, close, wider } = pit;
    if (h === 0) {
      const anyPublic = open.isPublic || close.isPublic;
      give(0, pipe + open.cost + close.cost + (anyPublic ? permit : 0), open.tie + close.tie + pitTie);
      if (next !== Next.End) {
        give(open.isPublic ? 2 : 1, pipe + open.cost + wider[1] + (open.isPublic ? permit : 0), open.tie + pitTie);
      }
    } else give(0, pipe + wider[0] + close.cost + (close.isPublic && h === 1 ? permit : 0), close.tie);
    return out;
  }

  /** Crossing from boundary i to j with a hole open: undefined where none can stay open. */
  function cross(i: number, j: number, h: Hole, own: boolean): { hole: Hole; cost: number; tie: number } | undefined {
    if (h === 0) return { hole: 0, cost: 0, tie: 0 };
    const [f, t] = [fineOf(i), fineOf(j)];
    if (!own && (holes.closedThrough[t] ?? 0) > (holes.closedThrough[f] ?? 0)) return undefined;
    const public_ft = (holes.publicThrough[t] ?? 0) - (holes.publicThrough[f] ?? 0);
    const pays = public_ft > 1e-6 && h === 1;
    return {
      hole: pays ? 2 : h,
      cost: Math.round((through[t] ?? 0) - (through[f] ?? 0)) + (pays ? permit : 0),
      tie: Math.round(public_ft * 100) * (publicFootTie / 100),
    };
  }

  const slots = (last + 1) * leftCount * 3;
  const value = new Float64Array(slots).fill(Infinity);
  const ties = new Float64Array(slots).fill(Infinity);
  const slot = (b: number, left: Left, h: Hole) => (b * leftCount + left) * 3 + h;
  const better = (cost: number, tie: number, thanCost: number, thanTie: number) =>
    cost < thanCost || (cost === thanCost && tie < thanTie);

  interface Move {
    readonly to: number;
    readonly left: Left;
    readonly next: Next;
    readonly cost: number;
    readonly edge?: Edge;
  }
  /** Visits every gap and action that may start at boundary i. */
  function moves(i: number, visit: (move: Move) => void): void {
    const f = fineOf(i);
    for (let j = i + 1; j <= last; j++) {
      const t = fineOf(j);
      if ((gapBad[t] ?? 0) > (gapBad[f] ?? 0)) break;
      const short =
        school === 'repair' &&
        i > 0 &&
        j < last &&
        station(j) - station(i) < rules.leastGap_ft - 1e-9 &&
        (oldPipe[t] ?? 0) > (oldPipe[f] ?? 0);
      if (!short) {
        visit({ to: j, left: Left.Gap, next: Next.Gap, cost: money((gapCost[t] ?? 0) - (gapCost[f] ?? 0)) });
      }
    }
    const costs = prepared.edgeCosts[i];
    edgesFrom[i]?.forEach((edge, k) => {
      const sums = barred[methods.indexOf(edge.method)];
      if (!sums || (sums[fineOf(edge.to)] ?? 0) > (sums[f] ?? 0)) return;
      const cost = costs?.[k] ?? Infinity;
      const base = { to: edge.to, cost, edge };
      switch (edge.method) {
        case 'line':
        case 'short-line':
          if (edge.letIn) visit({ ...base, left: Left.Liner, next: Next.LetIn });
          else {
            visit({ ...base, left: Left.Liner, next: Next.Enter });
            visit({ ...base, left: Left.Owing, next: Next.Owe });
          }
          break;
        case 'burst':
          visit({ ...base, left: Left.Burst, next: Next.Burst });
          break;
        case 'spot':
        case 'open-cut':
        case 'regrade':
          visit({ ...base, left: Left.Dig, next: edge.exposed ? Next.ExposedDig : Next.Dig });
      }
    });
  }

  for (let b = last; b >= 0; b--) {
    const ahead = new Float64Array(nextCount * 3).fill(Infinity);
    const aheadTie = new Float64Array(nextCount * 3).fill(Infinity);
    if (b < last) {
      moves(b, (move) => {
        const own = move.next === Next.Dig;
        for (const h of holeStates) {
          if ((own && h === 0) || (move.next === Next.ExposedDig && h > 0)) continue;
          const crossed = cross(b, move.to, h, own);
          if (!crossed) continue;
          const at = slot(move.to, move.left, crossed.hole);
          const cost = move.cost + crossed.cost + (value[at] ?? Infinity);
          const tie = crossed.tie + (ties[at] ?? Infinity) + (move.next === Next.Gap ? 0 : actionTie);
          const k = move.next * 3 + h;
          if (better(cost, tie, ahead[k] ?? Infinity, aheadTie[k] ?? Infinity)) {
            ahead[k] = cost;
            aheadTie[k] = tie;
          }
        }
      });
    }
    for (let left: Left = Left.Start; left <= Left.Dig; left++) {
      if ((left === Left.Start) !== (b === 0)) continue;
      for (const h of holeStates) {
        const at = slot(b, left, h);
        const consider = (next: Next, beyond: (hole: Hole) => readonly [number, number]) => {
          for (const option of pass(b, left, h, next)) {
            const [cost, tie] = beyond(option.hole);
            if (better(cost + option.cost, tie + option.tie, value[at] ?? Infinity, ties[at] ?? Infinity)) {
              value[at] = cost + option.cost;
              ties[at] = tie + option.tie;
            }
          }
        };
        if (b === last) consider(Next.End, (hole) => (hole === 0 ? [0, 0] : [Infinity, Infinity]));
        else {
          for (let next: Next = Next.Gap; next < Next.End; next++) {
            if (next === Next.Gap && left === Left.Gap) continue;
            consider(next, (hole) => [ahead[next * 3 + hole] ?? Infinity, aheadTie[next * 3 + hole] ?? Infinity]);
          }
        }
      }
    }
  }
  const start = slot(0, Left.Start, 0);
  if (!Number.isFinite(value[start])) return undefined;

  // Forward along optimal choices only, the first difference going to the action that starts, then ends, upstream.
  const steps: PlanStep[] = [];
  let [b, left, h]: [number, Left, Hole] = [0, Left.Start, 0];
  let used = 0;
  while (b < last) {
    const [wantCost, wantTie] = [value[slot(b, left, h)] ?? 0, ties[slot(b, left, h)] ?? 0];
    let best: { move: Move; hole: Hole; after: Hole } | undefined;
    moves(b, (move) => {
      if (move.next === Next.Gap && left === Left.Gap) return;
      for (const option of pass(b, left, h, move.next)) {
        const own = move.next === Next.Dig;
        if (own && option.hole === 0) continue;
        const crossed = cross(b, move.to, option.hole, own);
        if (!crossed) continue;
        const at = slot(move.to, move.left, crossed.hole);
        const cost = option.cost + move.cost + crossed.cost + (value[at] ?? Infinity);
        const tie = option.tie + crossed.tie + (ties[at] ?? Infinity) + (move.next === Next.Gap ? 0 : actionTie);
        if (cost !== wantCost || tie !== wantTie) continue;
        if (!best || comesFirst(move, best.move)) best = { move, hole: option.hole, after: crossed.hole };
      }
    });
    if (!best) throw new Error('the search lost its own path');
    const { move } = best;
    steps.push(
      move.edge
        ? {
            kind: 'action',
            from: b,
            to: move.to,
            edge: move.edge,
            entersUpstream: move.next === Next.Enter,
            letIn: move.next === Next.LetIn,
            hole: best.hole,
          }
        : { kind: 'gap', from: b, to: move.to, hole: best.hole },
    );
    if (move.edge) used |= methodBit(move.edge.method);
    else if (cleaned.subarray(fineOf(b), fineOf(move.to)).includes(1)) used |= methodBit('clean');
    [b, left, h] = [move.to, move.left, best.after];
  }
  const yearly = options.rootsLeft ? Math.round(carried.yearlyCleaning * micro) : 0;
  return { steps, tie: ties[start] ?? 0, cost: (value[start] ?? 0) + prepared.baseline + yearly, used, cleaned };
}

/** Which of two equal moves from one boundary comes first: an action before a gap, then the nearer end, then method order. */
function comesFirst(move: { edge?: Edge; to: number }, other: { edge?: Edge; to: number }): boolean {
  if ((move.edge === undefined) !== (other.edge === undefined)) return move.edge !== undefined;
  if (move.to !== other.to) return move.to < other.to;
  const order = (method: ActionMethod | undefined) => (method ? methods.indexOf(method as Method) : -1);
  return order(move.edge?.method) < order(other.edge?.method);
}
