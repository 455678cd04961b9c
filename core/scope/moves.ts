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

export function movesOf(edgesFrom: readonly (readonly Edge[])[], costOf: (edge: Edge) => number): Moves {
  const start = new Int32Array(edgesFrom.length + 1);
  const rows: { edge: Edge; next: Next; left: Left; cost: number }[] = [];
  edgesFrom.forEach((edges, from) => {
    for (const edge of edges) {
      const cost = costOf(edge);
      for (const [next, left] of passagesOf(edge)) rows.push({ edge, next, left, cost });
    }
    start[from + 1] = rows.length;
  });
  return {
    start,
    to: Int32Array.from(rows, ({ edge }) => edge.to),
    method: Uint8Array.from(rows, ({ edge }) => methods.indexOf(edge.method)),
    next: Uint8Array.from(rows, ({ next }) => next),
    left: Uint8Array.from(rows, ({ left }) => left),
    cost: Float64Array.from(rows, ({ cost }) => cost),
    edges: rows.map(({ edge }) => edge),
  };
}

function passagesOf(edge: Edge): (readonly [Next, Left])[] {
  switch (edge.method) {
    case 'line':
    case 'short-line':
      return edge.letIn
        ? [[Next.LetIn, Left.Liner]]
        : [
            [Next.Enter, Left.Liner],
            [Next.Owe, Left.Owing],
          ];
    case 'burst':
      return [[Next.Burst, Left.Burst]];
    case 'spot':
    case 'open-cut':
    case 'regrade':
      return [[edge.exposed ? Next.ExposedDig : Next.Dig, Left.Dig]];
  }
}
