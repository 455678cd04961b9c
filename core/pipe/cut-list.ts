/** One length of pipe to be cut, and what it is for. */
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

const kerf_ft = 1 / 8 / 12;
/** Counter feet are kept to a hundredth of this; a piece that fits to the thickness of the mark fits. */
const tolerance_ft = 1e-9;

/**
 * Cuts pieces from stock sticks: fewest feet bought, then fewest sticks, then the longest single leftover. Exact: a
 * dynamic programme over sets of pieces, in which the next stick always holds the first piece still uncut. A run
 * longer than the longest stick is whole sticks and one remainder, joined at the bell. Lengths ft, kerf ⅛ in.
 * Throws when there are more than 20 pieces to place, which is past what one job holds.
 */
export function cutList(runs: readonly Piece[], stock_ft: readonly number[]): Stick[] {
  const lengths = [...stock_ft].sort((a, b) => a - b);
  const longest = lengths.at(-1);
  if (longest === undefined) return [];
  const whole: Stick[] = [];
  const pieces: Piece[] = [];
  for (const run of runs) {
    let left = run.length_ft;
    while (left > longest + tolerance_ft) {
      whole.push({ length_ft: longest, cuts: [{ length_ft: longest, what: run.what }], leftover_ft: 0 });
      left -= longest;
    }
    if (left > tolerance_ft) pieces.push({ length_ft: left, what: run.what });
  }
  return [...whole, ...pack(pieces, lengths)];
}

interface Packed {
  readonly feet: number;
  readonly sticks: number;
  readonly longestLeft: number;
  readonly stick: number;
  readonly held: number;
}

function pack(pieces: readonly Piece[], lengths: readonly number[]): Stick[] {
  if (pieces.length > 20) throw new Error(`too many pieces to cut exactly: ${pieces.length}, at most 20`);
  const all = (1 << pieces.length) - 1;
  const best = new Map<number, Packed>([[0, { feet: 0, sticks: 0, longestLeft: 0, stick: 0, held: 0 }]]);
  const solve = (mask: number): Packed => {
    const known = best.get(mask);
    if (known) return known;
    const first = 31 - Math.clz32(mask & -mask);
    let found: Packed | undefined;
    const fill = (held: number, used_ft: number, next: number) => {
      const stick = lengths.find((length) => used_ft <= length + tolerance_ft);
      if (stick === undefined) return;
      const rest = solve(mask & ~held);
      const packed: Packed = {
        feet: rest.feet + stick,
        sticks: rest.sticks + 1,
        longestLeft: Math.max(rest.longestLeft, stick - used_ft),
        stick,
        held,
      };
      if (!found || comesBefore(packed, found)) found = packed;
      for (let i = next; i < pieces.length; i++) {
        if (mask & ~held & (1 << i))
          fill(held | (1 << i), used_ft + kerf_ft + (pieces[i]?.length_ft ?? 0), i + 1);
      }
    };
    fill(1 << first, pieces[first]?.length_ft ?? 0, first + 1);
    if (!found) throw new Error('a piece is longer than the longest stick');
    best.set(mask, found);
    return found;
  };
  const sticks: Stick[] = [];
  for (let mask = all; mask !== 0;) {
    const { stick, held } = solve(mask);
    const cuts = pieces.filter((_, i) => held & (1 << i));
    const used = cuts.reduce((sum, { length_ft }) => sum + length_ft, 0) + kerf_ft * (cuts.length - 1);
    sticks.push({ length_ft: stick, cuts, leftover_ft: Math.max(0, stick - used) });
    mask &= ~held;
  }
  return sticks;
}

function comesBefore(one: Packed, other: Packed): boolean {
  if (one.feet !== other.feet) return one.feet < other.feet;
  if (one.sticks !== other.sticks) return one.sticks < other.sticks;
  return one.longestLeft > other.longestLeft + tolerance_ft;
}
