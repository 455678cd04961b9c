import type { Possible } from './edges.js';
import { closingCost, type HolePiece, type PitPieces } from './hole-costs.js';
import { Left, leftCount, Next, nextCount, type Hole } from './moves.js';

/** One way to pass a boundary: the hole it leaves open, what it costs, and what it adds to a tie. */
export interface Passage {
  readonly hole: Hole;
  readonly cost: number;
  readonly tie: number;
}

/** Pits first, then public hole feet (to 0.01 ft), then actions, packed into one whole number. */
export const pitTie = 1e11;
const publicHundredthTie = 1e4;
export const actionTie = 1;
export const publicTie = (feet: number): number => Math.round(feet * 100) * publicHundredthTie;

/** Ways to pass every boundary, by what lies to its left, the hole that is open there, and what starts there. */
export interface Passages {
  at(boundary: number, left: Left, hole: Hole, next: Next): readonly Passage[];
  /** The same as flat columns for the search's inner loop: rows `start[s]` to `start[s + 1]` of state s. */
  readonly flat: {
    readonly start: Int32Array;
    /** `next * 3 + hole` ahead. */
    readonly ahead: Uint8Array;
    readonly cost: Float64Array;
    readonly tie: Float64Array;
  };
}

const none: readonly Passage[] = [];
const through = [0, 1, 2].map((hole): readonly Passage[] => [{ hole: hole as Hole, cost: 0, tie: 0 }]);

/**
 * What a boundary costs. A dig opens and closes its hole with room to work; a liner or a burst that ends here wants
 * a pit unless a way in, a touching dig or an open hole serves it; a pit may stand alone, open a hole that goes on,
 * or close one that came. Costs are whole millionths by `money`.
 */
export function passagesOf(possible: Possible, money: (raw: number) => number): Passages {
  const { track, holes, wayIn } = possible;
  const last = track.boundaries.length - 1;
  const permit = money(track.prices.permit_per_hole);
  const piece = ({ cost, public_ft }: HolePiece) => ({
    cost: money(cost),
    tie: publicTie(public_ft),
    isPublic: public_ft > 1e-6,
  });
  const pit = (pieces: PitPieces | undefined) =>
    pieces && {
      open: piece(pieces.open),
      close: piece(pieces.close),
      widerUpstream: money(pieces.widerUpstream),
      widerDownstream: money(pieces.widerDownstream),
    };

  const tables = track.boundaries.map((fine, b) => {
    const openDig = piece(holes.openDig(fine));
    const closeDig = piece(holes.closeDig(fine));
    const pits = { launch: pit(holes.pit(fine, 'launch')), burst: pit(holes.pit(fine, 'burst')) };
    const closing = money(closingCost(track, fine));

    const pass = (left: Left, hole: Hole, next: Next): readonly Passage[] => {
      const atEnd = next === Next.End;
      if (atEnd !== (b === last)) return none;
      const digs = next === Next.Dig || next === Next.ExposedDig;
      if (left === Left.Dig) {
        if (digs) return none;
        if (hole === 0) return through[0] ?? none;
        const close = closeDig.cost + (closeDig.isPublic && hole === 1 ? permit : 0);
        return [{ hole: 0, cost: close, tie: closeDig.tie }, ...(atEnd ? none : (through[hole] ?? none))];
      }
      if (next === Next.ExposedDig) return hole === 0 ? (through[0] ?? none) : none;
      if (next === Next.Dig) {
        if (hole > 0) return through[hole] ?? none;
        return openDig.isPublic
          ? [{ hole: 2, cost: openDig.cost + permit, tie: openDig.tie + pitTie }]
          : [{ hole: 1, cost: openDig.cost, tie: pitTie }];
      }
      const launch =
        (left === Left.Owing && !wayIn.upstream[b]) || (next === Next.Enter && !wayIn.downstream[b]);
      const burst = left === Left.Burst || next === Next.Burst;
      const goesOn = hole === 0 || atEnd ? none : (through[hole] ?? none);
      if (!launch && !burst) return hole === 0 ? (through[0] ?? none) : goesOn;
      const own = pits[left === Left.Burst ? 'burst' : 'launch'];
      if (!own) return goesOn;
      const pipe = burst ? 0 : closing;
      if (hole > 0) {
        const close = own.widerUpstream + own.close.cost + (own.close.isPublic && hole === 1 ? permit : 0);
        return [...goesOn, { hole: 0, cost: pipe + close, tie: own.close.tie }];
      }
      const anyPublic = own.open.isPublic || own.close.isPublic;
      const alone: Passage = {
        hole: 0,
        cost: pipe + own.open.cost + own.close.cost + (anyPublic ? permit : 0),
        tie: own.open.tie + own.close.tie + pitTie,
      };
      if (atEnd) return [alone];
      const opened: Passage = {
        hole: own.open.isPublic ? 2 : 1,
        cost: pipe + own.open.cost + own.widerDownstream + (own.open.isPublic ? permit : 0),
        tie: own.open.tie + pitTie,
      };
      return [alone, opened];
    };
    const table: (readonly Passage[])[] = [];
    for (let left = 0; left < leftCount; left++) {
      for (let hole = 0; hole < 3; hole++) {
        for (let next = 0; next < nextCount; next++)
          table.push(pass(left as Left, hole as Hole, next as Next));
      }
    }
    return table;
  });
  const rows: { ahead: number; cost: number; tie: number }[] = [];
  const start = new Int32Array(tables.length * leftCount * 3 + 1);
  tables.forEach((table, b) => {
    for (let state = 0; state < leftCount * 3; state++) {
      for (let next = 0; next < nextCount; next++) {
        // A gap is never followed by a gap: each whole gap is one move.
        if (next === Next.Gap && Math.floor(state / 3) === Left.Gap) continue;
        for (const { hole, cost, tie } of table[state * nextCount + next] ?? none) {
          rows.push({ ahead: next * 3 + hole, cost, tie });
        }
      }
      start[b * leftCount * 3 + state + 1] = rows.length;
    }
  });
  return {
    flat: {
      start,
      ahead: Uint8Array.from(rows, ({ ahead }) => ahead),
      cost: Float64Array.from(rows, ({ cost }) => cost),
      tie: Float64Array.from(rows, ({ tie }) => tie),
    },
    at: (b, left, hole, next) => tables[b]?.[(left * 3 + hole) * nextCount + next] ?? none,
  };
}
