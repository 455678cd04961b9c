import fc from 'fast-check';
import { begins, ends, type Limits, type Path } from '../search/problem.js';
import { search } from '../search/search.js';
import { randomJob } from '../test/random-job.js';
import { holesApart, isBetter } from './holes-apart.js';
import type { Prepared } from '../prepare/prepare.js';
import { readyJob } from './ready.js';
import { prepareLines } from './solution.js';

/** A line on which excavations closer than this many feet are dug as one. */
function lineOf(seed: number, apart_ft: number): Prepared {
  const job = randomJob(seed, { length_ft: [30, 60], findings: 20, exactly: true });
  const { lines, rules, prices } = readyJob({ ...job, rules: { ...job.rules, holesApart_ft: apart_ft } });
  const [line] = prepareLines({ lines, rules, prices, school: 'repair' });
  if (!line) throw new Error('a random job has a line');
  return line;
}

const limitsOf = ({ problem }: Prepared): Limits => ({
  allowed: problem.allowed,
  unsuited: problem.fills.unsuitedOptions,
  splits: [],
  options: (1 << problem.options) - 1,
  marked: true,
});

/** The stops of the first end and beginning of a path that are too close together. */
function closeStops(
  { possible: { track, holes }, problem }: Prepared,
  path: Path,
): [number, number] | undefined {
  const marks = [...path.steps, { from: problem.cellOf.length - 1, marks: path.lastMarks }];
  let ended = -1;
  for (const { from, marks: mark } of marks) {
    const [end, begin] = [track.boundaries[ended] ?? 0, track.boundaries[from] ?? 0];
    if (ended >= 0 && (mark & begins) !== 0 && !holes.areApart(end, begin)) return [ended, from];
    if ((mark & ends) !== 0) ended = from;
  }
  return undefined;
}

// Written out plainly, one stop barred at a time and every branch followed that can still win.
test('the path found is the best of all whose excavations lie apart', () => {
  let conflicts = 0;
  // So plain a search does not end in good time on some lines: those are passed over.
  const mostBranches = 60;
  const bestOf = (line: Prepared): Path | undefined => {
    let best: Path | undefined;
    const before = conflicts;
    const visit = (barredMarks: Uint8Array): void => {
      const path = search(line.problem, { ...limitsOf(line), barredMarks });
      if (!path || (best && !isBetter(path, best))) return;
      const close = closeStops(line, path);
      if (!close) {
        best = path;
        return;
      }
      conflicts++;
      fc.pre(conflicts - before < mostBranches);
      close.forEach((stop, i) => {
        const barred = Uint8Array.from(barredMarks);
        barred[stop] = (barred[stop] ?? 0) | (i === 0 ? ends : begins);
        visit(barred);
      });
    };
    visit(new Uint8Array(line.problem.cellOf.length));
    return best;
  };
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1_000_000 }), fc.constantFrom(4, 7, 12), (seed, apart_ft) => {
      const line = lineOf(seed, apart_ft);
      const [found, best] = [holesApart(line, limitsOf(line)), bestOf(line)];
      expect([found?.cost, found?.tie]).toEqual([best?.cost, best?.tie]);
      if (!found || !best) return;
      expect(closeStops(line, found)).toBeUndefined();
      // A budget below the best finds nothing, one at the best finds it.
      expect(holesApart(line, limitsOf(line), best.cost)?.cost).toBe(best.cost);
      expect(holesApart(line, limitsOf(line), best.cost - 1)).toBeUndefined();
      expect(holesApart(line, limitsOf(line), Infinity, best.cost)).toBeUndefined();
    }),
    { numRuns: 150 },
  );
  expect(conflicts).toBeGreaterThan(20);
});
