import fc from 'fast-check';
import { fillsUnder } from './fills.js';
import type { Limits, Problem } from './problem.js';

const cellsCount = 9;
const perCell = <T>(each: fc.Arbitrary<T>) =>
  fc.array(each, { minLength: cellsCount, maxLength: cellsCount });

const lines = fc.record({
  lengths: perCell(fc.constantFrom(0.5, 1, 2)),
  allowed: perCell(fc.constantFrom(3, 3, 3, 2, 4)),
  marked: perCell(fc.constantFrom(0, 0, 1)),
  counted: perCell(fc.constantFrom(0, 1, 1, 1)),
  excused: perCell(fc.constantFrom(0, 0, 0, 0, 1)),
  unsuited: perCell(fc.constantFrom(0, 20)),
  least: fc.constantFrom(0, 1, 2.5, 4),
  mayMark: fc.boolean(),
  stops: fc.subarray([1, 2, 3, 4, 5, 6, 7, 8]),
});
type Line = typeof lines extends fc.Arbitrary<infer T> ? T : never;

/** Whether the cells from start to end may be filled, by the definition, one cell at a time. */
function mayFill(line: Line, cells: readonly number[], first: boolean, last: boolean): boolean {
  const suits = (i: number) => ((line.allowed[i] ?? 0) & 3) !== 0;
  const fits = cells.every(
    (i) => (suits(i) || line.unsuited[i] !== 0) && (line.mayMark || line.marked[i] === 0),
  );
  /** Length of the run of counted cells from one end. */
  const run = (from: readonly number[]) => {
    const stop = from.findIndex((i) => line.counted[i] === 0);
    return stop < 0 ? from : from.slice(0, stop);
  };
  const isShort = (own: readonly number[]) =>
    own.length > 0 &&
    own.reduce((sum, i) => sum + (line.lengths[i] ?? 0), 0) < line.least &&
    own.every((i) => line.excused[i] === 0 && suits(i));
  return fits && (first || !isShort(run(cells))) && (last || !isShort(run([...cells].reverse())));
}

test('how near and how far a fill may end says of every pair of stops what the definition says', () => {
  fc.assert(
    fc.property(lines, (line) => {
      const cellOf = Int32Array.from([0, ...line.stops, cellsCount]);
      const at = Float64Array.from([0, ...line.lengths]);
      for (let i = 1; i < at.length; i++) at[i] = (at[i] ?? 0) + (at[i - 1] ?? 0);
      const allowed = Int32Array.from(line.allowed);
      const problem = {
        cellOf,
        fills: {
          options: [0, 1],
          cost: new Float64Array(cellsCount),
          unsuited: Float64Array.from(line.unsuited),
          unsuitedOptions: new Int32Array(cellsCount).fill(3),
          marked: Uint8Array.from(line.marked),
          markedCharge: 0,
          least: {
            length: line.least,
            at,
            counted: Uint8Array.from(line.counted),
            excused: Uint8Array.from(line.excused),
          },
        },
      } as unknown as Problem;
      const unsuited = new Int32Array(cellsCount).fill(3);
      const limits: Limits = { options: 7, allowed, unsuited, splits: [], marked: line.mayMark };
      const { reach, nearest, lastFrom } = fillsUnder(problem, limits);
      const last = cellOf.length - 1;
      for (let from = 0; from < last; from++) {
        for (let to = from + 1; to <= last; to++) {
          const cells = Array.from(
            { length: (cellOf[to] ?? 0) - (cellOf[from] ?? 0) },
            (_, i) => (cellOf[from] ?? 0) + i,
          );
          const says = to >= (nearest[from] ?? 0) && to <= (reach[from] ?? 0) && from <= (lastFrom[to] ?? 0);
          expect([from, to, says]).toEqual([from, to, mayFill(line, cells, from === 0, to === last)]);
        }
      }
    }),
    { numRuns: 400 },
  );
});
