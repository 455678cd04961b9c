import fc from 'fast-check';
import { methodRow } from '../methods/index.js';
import { schools } from '../job/vocabulary.js';
import { readyJob } from '../solve/ready.js';
import { ownScope } from '../test/own-scope.js';
import { spokenJob } from '../test/spoken-job.js';

// A cutter or a jetter in a sewer that a gas line was bored through has killed people: common practice is to stop, and to call
// the owner of the line.
test('where a utility runs through the pipe everybody is warned first, and nothing of ours goes across it', () => {
  const others = fc.array(
    fc.record({
      at: fc.integer({ min: 5, max: 75 }),
      what: fc.constantFrom('broken', 'crack several', 'roots 60 %', 'gap 2 in', 'tap sticks in 30 %'),
    }),
    { maxLength: 3 },
  );
  fc.assert(
    fc.property(
      fc.integer({ min: 12, max: 68 }),
      others,
      fc.constantFrom(...schools),
      (at, found, school) => {
        const log = [
          '80 main',
          `${at} gas line through the pipe`,
          ...found.filter((each) => Math.abs(each.at - at) > 3).map((each) => `${each.at} ${each.what}`),
        ];
        const scope = ownScope(
          readyJob(spokenJob('A gas line through the sewer', log, { rules: { school } })),
        );
        const [line] = scope.lines;
        expect(scope.warnings[0]).toMatchObject({ rule: 'danger', at_ft: at });
        expect(scope.verdict).toContain('urgent');
        expect(line?.referrals).toMatchObject([{ to: 'owner of the utility', at_ft: at }]);
        expect(line?.notPossible.map(({ rule }) => rule)).toContain('by-others');
        const across = line?.actions.filter(({ from_ft, to_ft }) => from_ft < at && at < to_ft) ?? [];
        expect(across.map(({ method }) => methodRow(method).id)).toEqual([]);
        // Bursting shatters the pipe outward: common practice keeps it 2 ft off.
        const near =
          line?.actions.filter(({ from_ft, to_ft }) => from_ft - 1.9 < at && at < to_ft + 1.9) ?? [];
        expect(near.filter(({ method }) => method === 'burst')).toEqual([]);
        const open = line?.pits.some(({ from_ft, to_ft }) => from_ft < at && at < to_ft);
        if (open) expect(scope.warnings.filter(({ rule }) => rule === 'hand-dig')).toHaveLength(1);
        // A jetter or a cutter for something elsewhere on the line would pass it.
        expect(line?.segments.filter(({ method }) => method === 'clean')).toEqual([]);
        if (scope.firstStep) expect(scope.firstStep.what).toMatch(/^have the owner of the utility/);
      },
    ),
    { numRuns: 25 },
  );
});
