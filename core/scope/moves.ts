import { methods } from '../job/vocabulary.js';
import type { Edge } from './edges.js';

/** What ended at a boundary. */
export const Left = { Start: 0, Gap: 1, Liner: 2, Owing: 3, Burst: 4, Dig: 5 } as const;
export type Left = (typeof Left)[keyof typeof Left];
export const leftCount = 6;

/**
 * What starts at a boundary. A liner is let in at this boundary (Enter), at its other end (Owe), or from further off
 * (LetIn); a dig along exposed pipe opens no hole.
 */
export const Next = { Gap: 0, Enter: 1, Owe: 2, LetIn: 3, Dig: 4, ExposedDig: 5, Burst: 6, End: 7 } as const;
export type Next = (typeof Next)[keyof typeof Next];
export const nextCount = 8;

/** The hole at a boundary: none, open, or open with its permit paid. */
export type Hole = 0 | 1 | 2;

/** Every action of a track as flat columns, sorted by the boundary it starts at: the search reads nothing else. */
export interface Moves {
  /** First move of each boundary, one more than boundaries. */
  readonly start: Int32Array;
  readonly to: Int32Array;
  readonly method: Uint8Array;
  readonly next: Uint8Array;
  readonly left: Uint8Array;
  /** Whole millionths. */
  readonly cost: Float64Array;
  readonly edges: readonly Edge[];
}

/** `costFrom` is asked once a boundary, and then for its edges in the order of their ends. */
export function movesOf(
  edgesFrom: readonly (readonly Edge[])[],
  costFrom: (from: number) => (edge: Edge) => number,
): Moves {
  const start = new Int32Array(edgesFrom.length + 1);
  edgesFrom.forEach((edges, from) => {
    start[from + 1] = edges.reduce((sum, edge) => sum + passagesOf(edge).length, start[from] as number);
  });
  const count = start[edgesFrom.length] as number;
  const moves = {
    start,
    to: new Int32Array(count),
    method: new Uint8Array(count),
    next: new Uint8Array(count),
    left: new Uint8Array(count),
    cost: new Float64Array(count),
    edges: new Array<Edge>(count),
  };
  let row = 0;
  for (const [from, edges] of edgesFrom.entries()) {
    const costOf = costFrom(from);
    for (const edge of [...edges].sort((a, b) => a.to - b.to)) {
      const cost = costOf(edge);
      const method = methods.indexOf(edge.method);
      for (const [next, left] of passagesOf(edge)) {
        moves.to[row] = edge.to;
        moves.method[row] = method;
        moves.next[row] = next;
        moves.left[row] = left;
        moves.cost[row] = cost;
        moves.edges[row++] = edge;
      }
    }
  }
  return moves;
}

const letIn = [[Next.LetIn, Left.Liner]] as const;
const eitherEnd = [
  [Next.Enter, Left.Liner],
  [Next.Owe, Left.Owing],
] as const;
const burst = [[Next.Burst, Left.Burst]] as const;
const dig = [[Next.Dig, Left.Dig]] as const;
const exposedDig = [[Next.ExposedDig, Left.Dig]] as const;

function passagesOf(edge: Edge): readonly (readonly [Next, Left])[] {
  switch (edge.method) {
    case 'line':
    case 'short-line':
      return edge.letIn ? letIn : eitherEnd;
    case 'burst':
      return burst;
    case 'spot':
    case 'open-cut':
    case 'regrade':
      return edge.exposed ? exposedDig : dig;
  }
}
