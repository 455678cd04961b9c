/**
 * Typed arrays read at indexes the loops keep in range. One reader per array type, so that each stays monomorphic in
 * the search's hot loops.
 */
export const num = (column: Float64Array, index: number): number => column[index] as number;
export const int = (column: Int32Array, index: number): number => column[index] as number;
export const byte = (column: Uint8Array, index: number): number => column[index] as number;

/** Running sums of a value over cells: one more entry than there are cells. */
export function runningSums(count: number, value: (index: number) => number): Float64Array {
  const sums = new Float64Array(count + 1);
  for (let i = 0; i < count; i++) sums[i + 1] = num(sums, i) + value(i);
  return sums;
}

/** Sum over the cells from `start` up to `end`. */
export const over = (sums: Float64Array, start: number, end: number): number =>
  num(sums, end) - num(sums, start);

/** Whether two columns are equal, element by element. */
export function isEqual(one: ArrayLike<number>, other: ArrayLike<number>): boolean {
  if (one.length !== other.length) return false;
  for (let i = 0; i < one.length; i++) if (one[i] !== other[i]) return false;
  return true;
}
