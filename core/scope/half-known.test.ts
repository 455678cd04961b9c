import fc from 'fast-check';
import type { Job, Line } from '../job/schema.js';
import { schools } from '../job/vocabulary.js';
import { deep, spokenJob } from '../test/spoken-job.js';
import { solvedUnder } from '../test/own-scope.js';
import { randomJob } from '../test/random-job.js';
import { readyJob } from '../solve/ready.js';
import { lineWarnings } from '../explain/warnings.js';
import { uncuredBy, solutionOf, type Solution } from '../solve/solution.js';
import { ifUnseenIs } from './scope.js';

// Laws for a scope from partly known facts. None is taken from the program: a change that leaves the pipe the same
// leaves
// the scope the same, and a small change of the pipe changes the price a little.

const seeds = fc.integer({ min: 1, max: 1_000_000 });
const sized = { length_ft: [14, 32], findings: 6 } as const;

const withLine = (job: Job, change: (line: Line) => Line): Job => ({ ...job, lines: job.lines.map(change) });
/** Everything of an option that a customer pays for or a crew does. */
const doneBy = (solution: Solution) => ({
  scope: solution.scope,
  carried: solution.carried,
  actions: solution.lines.map(({ chosen }) =>
    chosen?.layout.actions.map(({ method, from_ft, to_ft }) => [
      method,
      from_ft.toFixed(6),
      to_ft.toFixed(6),
    ]),
  ),
  holes: solution.lines.map(({ chosen }) =>
    chosen?.layout.holes.map(({ from_ft, to_ft, protection }) => [
      protection,
      from_ft.toFixed(6),
      to_ft.toFixed(6),
    ]),
  ),
});

test('a tree beside the pipe, a surface or an owner’s part said in two, and the order of the log change nothing', () => {
  fc.assert(
    fc.property(seeds, fc.double({ min: 0.1, max: 0.9, noNaN: true }), (seed, share) => {
      // A second thing called at the same foot, only about there.
      const job = withLine(randomJob(seed, sized), (line) => ({
        ...line,
        runs: line.runs.map((run) => ({
          ...run,
          entries: run.entries.flatMap((entry) =>
            entry.id === 'f1' ? [entry, { ...entry, id: 'twin', about: true }] : [entry],
          ),
        })),
      }));
      const before = doneBy(solvedUnder(job));
      const split = <T extends { from_ft?: number | undefined; to_ft?: number | undefined }>(
        each: T,
      ): T[] => {
        const { from_ft = 0, to_ft = 0 } = each;
        const middle = from_ft + share * (to_ft - from_ft);
        return [
          { ...each, to_ft: middle },
          { ...each, from_ft: middle },
        ];
      };
      const length = job.lines[0]?.runs[0]?.entries[0]?.reading_ft ?? 20;
      const same: readonly ((line: Line) => Line)[] = [
        (line) => ({
          ...line,
          points: [
            ...line.points,
            { id: 'oak', kind: 'tree', station_ft: share * length, plusMinus_ft: 0.2 },
          ],
        }),
        (line) => ({ ...line, surfaces: line.surfaces?.flatMap(split), owners: line.owners?.flatMap(split) }),
        (line) => ({
          ...line,
          runs: line.runs.map((run) => ({ ...run, entries: [...run.entries].reverse() })),
        }),
      ];
      for (const change of same) expect(doneBy(solvedUnder(withLine(job, change)))).toEqual(before);
    }),
    { numRuns: 30 },
  );
});

test('the looser repair approach leaves no more that it must cure, and never costs more than the stricter', () => {
  let compared = 0;
  fc.assert(
    fc.property(seeds, (seed) => {
      const job = { ...randomJob(seed, sized) };
      const free = withLine(job, (line) => ({ ...line, pins: [] }));
      const ways = schools.map((school) => solvedUnder(free, school));
      ways.slice(1).forEach((stricter, i) => {
        const looser = ways[i];
        if (!looser || uncuredBy(stricter) > 1e-6) return;
        compared++;
        expect(uncuredBy(looser)).toBeLessThan(1e-6);
        // Quantities are priced as they are printed, to a hundredth.
        expect(looser.scope + looser.carried).toBeLessThanOrEqual(stricter.scope + stricter.carried + 15);
      });
    }),
    // Kept: rehung pipe once got the wrong bore.
    { numRuns: 45, examples: [[471087]] },
  );
  expect(compared).toBeGreaterThan(25);
});

test('what the unseen may prove contains the price, and a supposition that has no way says so', () => {
  let ranged = 0;
  fc.assert(
    fc.property(seeds, (seed) => {
      const { lines, rules, prices } = readyJob(randomJob(seed, { ...sized, findings: 5 }));
      const input = { lines, rules, prices, school: rules.school };
      const solution = solutionOf(input);
      const total = Number((solution.scope + solution.cleanouts).toFixed(2));
      const { sound, failed } = ifUnseenIs(solution, input);
      if (sound !== null) expect(sound).toBeLessThanOrEqual(total);
      if (failed !== null) expect(failed).toBeGreaterThanOrEqual(total);
      if (sound !== null && failed !== null && sound < failed) ranged++;
    }),
    { numRuns: 40 },
  );
  expect(ranged).toBeGreaterThan(8);
});

/** A collapse under lawn at a single depth, at a given reading. */
const dig = (depth_ft: number, reading = 40) =>
  solvedUnder(
    spokenJob('deeper', ['80 main', `${reading.toFixed(2)} collapse`], {
      depths: deep(depth_ft, depth_ft),
      surfaces: [{ from_ft: 0, to_ft: 80, kind: 'lawn' }],
    }),
  ).scope;

// 29 CFR 1926.652, from memory: from 5 ft a hole is protected; §10: somebody works below 4 ft in 3 ft of width. With ±
// 10 % and 4 in of bedding they are met at inverts of 3.33 and 4.24 ft.
test('deepening a line by a tenth of a foot moves its price by no more than 3 %, but for the two lawful steps', () => {
  const depths = Array.from({ length: 115 }, (_, i) => 1.5 + i / 10);
  const prices = depths.map((depth) => dig(depth));
  const steps = depths.slice(1).filter((_, i) => {
    const [before = 0, after = 0] = prices.slice(i, i + 2);
    expect(after).toBeGreaterThanOrEqual(before);
    return after > before * 1.03;
  });
  expect(steps.map((depth) => depth.toFixed(1))).toEqual(['3.4', '4.3']);
  // Plausible at every depth: a small excavation in a lawn never costs as much as a whole line.
  expect(dig(8)).toBeLessThan(9000);
  expect(dig(12)).toBeLessThan(15_000);
});

test('moving a reading by a tenth of a foot moves the price by no more than a tenth', () => {
  fc.assert(
    fc.property(fc.integer({ min: 50, max: 740 }), fc.constantFrom(3, 5, 9), (tenths, depth) => {
      const [one, other] = [dig(depth, tenths / 10), dig(depth, tenths / 10 + 0.1)];
      expect(Math.abs(one - other) / one).toBeLessThan(0.1);
    }),
    { numRuns: 40 },
  );
});

test('pipe up to a building’s wall without a surface is told, as far as it is without one', () => {
  const told = (more: Partial<Line>): readonly string[] => {
    const { lines } = readyJob(spokenJob('wall', ['20 foundation wall', '70 main'], more));
    return lines.flatMap((line) =>
      lineWarnings(line).flatMap(({ rule, message }) => (rule === 'surface-under-building' ? [message] : [])),
    );
  };
  const floor = (to_ft: number): Partial<Line> => ({ surfaces: [{ kind: 'building', from_ft: 0, to_ft }] });
  expect(told({})).toEqual([expect.stringMatching(/^0 to 20 ft, .*priced as lawn/)]);
  expect(told(floor(12))).toEqual([expect.stringMatching(/^12 to 20 ft, /)]);
  expect(told(floor(20))).toEqual([]);
});
