import fc from 'fast-check';
import { schools } from '../job/vocabulary.js';
import { randomJob } from '../test/random-job.js';
import { readyJob } from './ready.js';
import { prepareLines, solutionOf, type SolveInput } from './solution.js';

// A law: reusing parts of a line prepared under another repair approach, or with another finding to cure, changes no
// move,
// no pass and no price of the result.
test('a line readied beside another is the line readied alone', () => {
  let taken = 0;
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 100_000 }),
      fc.constantFrom(...schools),
      fc.constantFrom(...schools),
      fc.boolean(),
      (seed, one, other, curesMore) => {
        const { lines, rules, prices } = readyJob(randomJob(seed, { length_ft: [15, 40] }));
        const found = lines[0]?.condition.findings.at(-1)?.id;
        const extra = new Map(
          curesMore && found !== undefined ? [[lines[0]?.model.line.id ?? '', [found]]] : [],
        );
        const earlier = prepareLines({ lines, rules, prices, school: one });
        const input: SolveInput = { lines, rules, prices, school: other, extra };
        const [alone, shared] = [prepareLines(input), prepareLines({ ...input, earlier })];
        taken += shared.filter((line, i) => line.possible.holes === earlier[i]?.possible.holes).length;
        shared.forEach(({ problem, baseline }, i) => {
          expect(problem.moves).toEqual(alone[i]?.problem.moves);
          expect(problem.passes).toEqual(alone[i]?.problem.passes);
          expect(baseline).toBe(alone[i]?.baseline);
        });
        const [mine, theirs] = [solutionOf(input, shared), solutionOf(input, alone)];
        expect([mine.scope, mine.carried, mine.priceLines]).toEqual([
          theirs.scope,
          theirs.carried,
          theirs.priceLines,
        ]);
      },
    ),
    { numRuns: 25 },
  );
  expect(taken).toBeGreaterThan(5);
});
