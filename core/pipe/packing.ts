/** Pieces in bins: the pieces of each bin by index, and the longest room left in a single bin. */
export interface Packing {
  readonly bins: readonly { readonly size: number; readonly held: readonly number[] }[];
  readonly longestLeft: number;
}

/**
 * Packs pieces into exactly these bins, maximizing the longest room left in one bin; undefined where they do not fit.
 * Exact dynamic program over subsets: for each, the fewest bins and the least room used in the last one. Bins come
 * longest first. Two pieces in one bin cost a kerf. At most 20 pieces: tables of 2^n.
 */
export function packInto(
  sizes: readonly number[],
  bins: readonly number[],
  kerf: number,
  tolerance: number,
): Packing | undefined {
  const all = (1 << sizes.length) - 1;
  const room = roomOfSets(sizes, kerf);
  const every = fillInOrder(sizes, bins, kerf, tolerance);
  if (!every.fits(all)) return undefined;
  let best: { spared: number; rest: number[]; held: number; left: number; filled: Filled } | undefined;
  // One bin is set aside: the others take all they can, and it gets the rest.
  for (const spared of new Set(bins)) {
    const at = bins.indexOf(spared);
    const rest = bins.filter((_, i) => i !== at);
    const filled = fillInOrder(sizes, rest, kerf, tolerance);
    for (let mask = 0; mask < all; mask++) {
      const used = room[all & ~mask] as number;
      if (used > spared + tolerance || !filled.fits(mask)) continue;
      const left = spared - used;
      if (!best || left > best.left + tolerance) best = { spared, rest, held: mask, left, filled };
    }
  }
  if (!best) return { bins: every.binsOf(all), longestLeft: 0 };
  const { spared, held, filled, left } = best;
  const others = filled.binsOf(held);
  const own = { size: spared, held: indexesIn(all & ~held) };
  return {
    bins: [...others, own].sort((a, b) => b.size - a.size || (a.held[0] ?? 0) - (b.held[0] ?? 0)),
    longestLeft: Math.max(0, left),
  };
}

const indexesIn = (mask: number): number[] =>
  Array.from({ length: 32 - Math.clz32(mask) }, (_, i) => i).filter((i) => mask & (1 << i));

/** Room that each subset of pieces takes in one bin. */
function roomOfSets(sizes: readonly number[], kerf: number): Float64Array {
  const room = new Float64Array(1 << sizes.length);
  for (let mask = 1; mask < room.length; mask++) {
    const lowest = mask & -mask;
    const others = mask & ~lowest;
    const size = sizes[31 - Math.clz32(lowest)] as number;
    room[mask] = others === 0 ? size : (room[others] as number) + kerf + size;
  }
  return room;
}

interface Filled {
  fits(mask: number): boolean;
  binsOf(mask: number): { size: number; held: number[] }[];
}

/** For every subset of pieces: the bin of its last piece, the room used there, and which piece that is. */
function fillInOrder(
  sizes: readonly number[],
  bins: readonly number[],
  kerf: number,
  tolerance: number,
): Filled {
  const sets = 1 << sizes.length;
  const bin = new Uint8Array(sets).fill(255);
  const taken = new Float64Array(sets).fill(Infinity);
  const last = new Int8Array(sets).fill(-1);
  bin[0] = 0;
  taken[0] = 0;
  for (let mask = 0; mask < sets; mask++) {
    const at = bin[mask] as number;
    if (at === 255) continue;
    const room = taken[mask] as number;
    for (let i = 0; i < sizes.length; i++) {
      if (mask & (1 << i)) continue;
      const size = sizes[i] as number;
      let [into, used] = [at, room === 0 ? size : room + kerf + size];
      if (used > (bins[into] ?? -1) + tolerance) [into, used] = [at + 1, size];
      if (used > (bins[into] ?? -1) + tolerance) continue;
      const next = mask | (1 << i);
      const nextBin = bin[next] as number;
      if (into < nextBin || (into === nextBin && used < (taken[next] as number))) {
        bin[next] = into;
        taken[next] = used;
        last[next] = i;
      }
    }
  }
  return {
    fits: (mask) => bin[mask] !== 255,
    binsOf: (mask) => {
      const held: number[][] = bins.map(() => []);
      for (let left = mask; left !== 0;) {
        const i = last[left] as number;
        held[bin[left] as number]?.push(i);
        left &= ~(1 << i);
      }
      return bins.flatMap((size, b) => {
        const own = (held[b] ?? []).sort((a, c) => a - c);
        return own.length > 0 ? [{ size, held: own }] : [];
      });
    },
  };
}
