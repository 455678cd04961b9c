import { byte, int, num } from '../search/columns.js';
import type { Method } from '../job/vocabulary.js';

/** What is true of a candidate besides its ends and its cost, as bits. */
export const Trait = {
  /** New pipe along exposed pipe needs no excavation. */
  exposed: 1,
  /** A sectional liner pushed from an access point within reach needs no pit. */
  viaAccess: 2,
  /** A launch pit may be at its upstream end, and at its downstream end: never on something the liner has to cure. */
  pitUpstream: 4,
  pitDownstream: 8,
  /** It needs pits of its own between its ends. */
  pitsInside: 16,
} as const;
/** Combinations of traits. */
export const traitsCount = 32;

export const hasTrait = (traits: number, trait: number): boolean => (traits & trait) !== 0;

/** An action that may run from one boundary to a later one. */
export interface Candidate {
  /** Indexes into `track.boundaries`. */
  readonly from: number;
  readonly to: number;
  readonly method: Method;
  /** A bit mask of `Trait`. */
  readonly traits: number;
}

/**
 * Takes one action from a boundary to a later one: its raw cost without its excavation and insertion point, no markup
 * or tax.
 */
export type Offer = (to: number, cost: number, traits: number) => void;

/** Every action of one method on a line: flat columns, sorted by starting boundary and then by ending one. */
export interface Candidates {
  readonly method: Method;
  /** First row of each boundary; one more entry than there are boundaries. */
  readonly start: Int32Array;
  readonly to: Int32Array;
  readonly cost: Float64Array;
  readonly traits: Uint8Array;
}

/** Lists the actions of a method. `offersFrom` offers those from one boundary in order of rising end. */
export function listCandidates(
  method: Method,
  boundaries: number,
  offersFrom: (from: number, offer: Offer) => void,
): Candidates {
  const most = (boundaries * (boundaries - 1)) / 2;
  const start = new Int32Array(boundaries + 1);
  const to = new Int32Array(most);
  const cost = new Float64Array(most);
  const traits = new Uint8Array(most);
  let count = 0;
  const offer: Offer = (end, raw, is) => {
    to[count] = end;
    cost[count] = raw;
    traits[count] = is;
    count++;
  };
  for (let from = 0; from < boundaries; from++) {
    offersFrom(from, offer);
    start[from + 1] = count;
  }
  return {
    method,
    start,
    to: to.slice(0, count),
    cost: cost.slice(0, count),
    traits: traits.slice(0, count),
  };
}

/** The candidates of a method one by one, each with its raw cost. */
export function* eachCandidate({
  method,
  start,
  to,
  cost,
  traits,
}: Candidates): Generator<Candidate & { readonly cost: number }> {
  for (let from = 0; from + 1 < start.length; from++) {
    for (let row = int(start, from); row < int(start, from + 1); row++)
      yield { from, to: int(to, row), method, traits: byte(traits, row), cost: num(cost, row) };
  }
}
