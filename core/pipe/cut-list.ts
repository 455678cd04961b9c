import { joined } from '../joined.js';
import { tolerance } from '../units.js';
import { packInto, type Packing } from './packing.js';

/** One length of pipe to be cut, and its purpose. */
export interface Piece {
  readonly length_ft: number;
  readonly what: string;
}

/** One stick bought, the pieces cut from it, and what is left over. */
export interface Stick {
  readonly length_ft: number;
  readonly cuts: readonly Piece[];
  readonly leftover_ft: number;
}

/** Feet bought, and a lower bound for any plan: equal where the plan is proven optimal. */
export interface CutPlan {
  readonly sticks: readonly Stick[];
  readonly bought_ft: number;
  readonly least_ft: number;
}

/** The cuts of a stick by purpose: "7.03 and 6.06 for regrade 9 to 23; 3.96 for spot repair 48 to 52", ft. */
export function sayCuts({ cuts }: Pick<Stick, 'cuts'>): string {
  const purposes = [...new Set(cuts.map(({ what }) => what))];
  return purposes
    .map((purpose) => {
      const own = cuts.filter(({ what }) => what === purpose);
      return `${joined(own.map(({ length_ft }) => length_ft.toFixed(2)))} for ${purpose}`;
    })
    .join('; ');
}

const kerf_ft = 1 / 8 / 12;
/**
 * Tables of an exact plan hold 2^n subsets of pieces; these are the limits on pieces, and on subsets over all tables.
 */
const mostExact = 20;
const mostSets = 16 * 2 ** mostExact;

/**
 * Cuts pieces from stock sticks: fewest feet bought, then fewest sticks, then the longest single leftover. Exact up to
 * 20 pieces of a size; beyond that first fit, with a lower bound on the feet any plan would buy. A run longer than the
 * longest stick is whole sticks and one remainder, joined at the bell. Lengths in ft, kerf ⅛ in: pieces fit when Σ + ⅛
 * in × (n − 1) ≤ stick.
 */
export function cutList(runs: readonly Piece[], stock_ft: readonly number[]): CutPlan {
  const lengths = [...stock_ft].sort((a, b) => a - b);
  const longest = lengths.at(-1);
  if (longest === undefined) return { sticks: [], bought_ft: 0, least_ft: 0 };
  const whole: Stick[] = [];
  const pieces: Piece[] = [];
  for (const { length_ft, what } of runs) {
    const sticks = Math.max(0, Math.ceil((length_ft - tolerance.exact) / longest) - 1);
    for (let i = 0; i < sticks; i++) {
      whole.push({ length_ft: longest, cuts: [{ length_ft: longest, what }], leftover_ft: 0 });
    }
    const rest_ft = length_ft - sticks * longest;
    if (rest_ft > tolerance.exact) pieces.push({ length_ft: rest_ft, what });
  }
  const exact = pieces.length <= mostExact ? exactly(pieces, lengths) : undefined;
  const sticks = [...whole, ...(exact ?? firstFit(pieces, lengths))];
  const bought_ft = feetOf(sticks);
  const least_ft = exact ? bought_ft : feetOf(whole) + (purchases(pieces, lengths).next().value ?? 0);
  return { sticks, bought_ft, least_ft };
}

const feetOf = (sticks: readonly Stick[]) => sticks.reduce((sum, { length_ft }) => sum + length_ft, 0);

const stickOf = (length_ft: number, cuts: readonly Piece[]): Stick => ({
  length_ft,
  cuts,
  leftover_ft: Math.max(0, length_ft - usedBy(cuts)),
});

/** Feet of a stick used by pieces, with a kerf between neighbors. */
const usedBy = (cuts: readonly Piece[]) =>
  cuts.reduce((sum, { length_ft }) => sum + length_ft, 0) + kerf_ft * Math.max(0, cuts.length - 1);

/** Totals of feet that can be bought, rising from the least that could hold the pieces. */
function* purchases(pieces: readonly Piece[], lengths: readonly number[]): Generator<number, undefined> {
  const needed = pieces.reduce((sum, { length_ft }) => sum + length_ft, 0);
  const most = pieces.length * (lengths.at(-1) ?? 0);
  const reachable = new Set([0]);
  for (let feet = 0; feet <= most; feet++) {
    if (lengths.some((length) => reachable.has(feet - length))) reachable.add(feet);
    if (reachable.has(feet) && feet >= needed - tolerance.exact) yield feet;
  }
  return undefined;
}

/** Every combination of sticks with this total, longest first, with the number of each. */
function stickSets(feet: number, lengths: readonly number[]): number[][] {
  if (feet === 0) return [[]];
  return lengths.flatMap((length, i) =>
    length > feet ? [] : stickSets(feet - length, lengths.slice(0, i + 1)).map((rest) => [length, ...rest]),
  );
}

/** Whether these sticks could hold the pieces, judged by length: pieces over a stock length need longer sticks. */
function couldHold(bins: readonly number[], sizes: readonly number[]): boolean {
  const longest = bins[0] ?? 0;
  return [0, ...bins].every((length) => {
    const long = sizes.filter((size) => size > length + tolerance.exact);
    const longer = bins.filter((bin) => bin > length);
    const alone = long.filter((size) => 2 * size + kerf_ft > longest + tolerance.exact).length;
    const sum = (all: readonly number[]) => all.reduce((total, each) => total + each, 0);
    return alone <= longer.length && sum(long) <= sum(longer) + tolerance.exact;
  });
}

/** The best plan; undefined where proving one would take too much work. */
function exactly(pieces: readonly Piece[], lengths: readonly number[]): Stick[] | undefined {
  if (pieces.length === 0) return [];
  let work = 0;
  const sorted = [...pieces].sort((a, b) => b.length_ft - a.length_ft);
  const sizes = sorted.map(({ length_ft }) => length_ft);
  for (const feet of purchases(pieces, lengths)) {
    const sets = stickSets(feet, lengths).filter(
      (each) => each.length <= pieces.length && couldHold(each, sizes),
    );
    const counts = [...new Set(sets.map((each) => each.length))].sort((a, b) => a - b);
    for (const count of counts) {
      let best: Packing | undefined;
      for (const bins of sets.filter((each) => each.length === count)) {
        work += 2 ** pieces.length;
        if (work > mostSets) return undefined;
        const packed = packInto(sizes, bins, kerf_ft, tolerance.exact);
        if (packed && (!best || packed.longestLeft > best.longestLeft + tolerance.exact)) best = packed;
      }
      if (best) {
        return best.bins.map(({ size, held }) =>
          stickOf(
            size,
            held.flatMap((i) => sorted[i] ?? []),
          ),
        );
      }
    }
  }
  throw new Error('a piece is longer than the longest stick');
}

/**
 * Longest pieces first, each into the first stick with room for it, or a new stick of the least sufficient length.
 */
function firstFit(pieces: readonly Piece[], lengths: readonly number[]): Stick[] {
  const longest = lengths.at(-1) ?? 0;
  const filled: Piece[][] = [];
  for (const piece of [...pieces].sort((a, b) => b.length_ft - a.length_ft)) {
    const stick = filled.find((cuts) => usedBy([...cuts, piece]) <= longest + tolerance.exact);
    if (stick) stick.push(piece);
    else filled.push([piece]);
  }
  return filled.map((cuts) => {
    const used = usedBy(cuts);
    return stickOf(lengths.find((length) => used <= length + tolerance.exact) ?? longest, cuts);
  });
}
