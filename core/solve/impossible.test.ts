import fc from 'fast-check';
import { candidateCures } from '../prepare/possible.js';
import { notPossibleOn } from '../explain/not-possible.js';
import type { Job } from '../job/schema.js';
import type { School } from '../job/vocabulary.js';
import { covers } from '../line/intervals.js';
import { solvedUnder } from '../test/own-scope.js';
import { randomJob } from '../test/random-job.js';
import { deep, spokenJob } from '../test/spoken-job.js';
import type { LineSolution } from './solution.js';

// Calculations §14: what cannot be done here does not silence the rest.

const lineUnder = (job: Job, school: School): LineSolution => {
  const [line] = solvedUnder(job, school).lines;
  if (!line) throw new Error('a job without a line');
  return line;
};

/** Ids of the findings of this grade or worse that the work of a scope cures. */
function curedBy({ line, prepared, chosen }: LineSolution, least: number): string[] {
  const { track } = prepared.possible;
  const actions = chosen?.layout.actions ?? [];
  return line.condition.findings
    .filter(({ grade, possible, settled }) => grade >= least && !possible && !settled)
    .filter((finding) =>
      covers(
        actions.filter((action) => candidateCures(track, action, action.from_ft, action.to_ft, finding)),
        finding.place,
      ),
    )
    .map(({ id }) => id);
}

test('what one approach must cure and cures is cured under the next stricter one, or named as not possible', () => {
  let beside = 0;
  const pairs = [
    { looser: 'maintain', stricter: 'repair', least: 4 },
    { looser: 'repair', stricter: 'renew', least: 3 },
  ] as const;
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1_000_000 }), fc.constantFrom(...pairs), (seed, pair) => {
      const random = randomJob(seed, { length_ft: [20, 60], findings: 8 });
      const job = { ...random, lines: random.lines.map((line) => ({ ...line, pins: [] })) };
      const strict = lineUnder(job, pair.stricter);
      const named = notPossibleOn(strict);
      const cured = curedBy(strict, pair.least);
      for (const id of curedBy(lineUnder(job, pair.looser), pair.least)) {
        if (named.length > 0) beside++;
        expect([...cured, ...named.map(({ finding }) => finding)]).toContain(id);
      }
    }),
    { numRuns: 100 },
  );
  expect(beside).toBeGreaterThan(2);
});

test('on a line too flat to take a belly out, what is broken in it is repaired, and the belly is named', () => {
  const flat = spokenJob('Too flat', ['80 main', '50-56 belly 2 in', '53 broken'], {
    depths: deep(4, 4.2),
    ground: [{ station_ft: 0, elevation_ft: 100 }],
  });
  const scope = lineUnder(flat, 'repair');
  expect(curedBy(scope, 4)).toEqual(['e3']);
  expect(notPossibleOn(scope).map(({ finding, rule }) => [finding, rule])).toEqual([
    ['e2', 'not-enough-fall'],
  ]);
});

// A valve under whose cover alone there is room to dig: opening it there, which renews too little to count as renewing, is
// what the liner under the building needs.
test('renewing gives way where a place that failed needs it to, also away from that place', () => {
  const behindValve = spokenJob('Behind a valve', ['60 main', '3 blister 26%', '22 broken', '58 collapse'], {
    pipe: { material: 'fibre', diameter_in: 4, piece_ft: 2 },
    points: [
      { id: 'CO1', kind: 'cleanout', diameter_in: 6, ways: 2, faces: 'upstream', riser_ft: 2 },
      { id: 'MAIN', kind: 'main' },
      { id: 'V', kind: 'valve', station_ft: 37.4 },
    ],
    depths: deep(3.8, 7.4, 60),
    surfaces: [{ from_ft: 0, to_ft: 36.4, kind: 'building' }],
    noDig: [{ from_ft: 41, to_ft: 48.2, why: 'porch' }],
    soil: 'rock',
  });
  for (const school of ['maintain', 'repair', 'renew'] as const)
    expect([school, curedBy(lineUnder(behindValve, school), 4)]).toEqual([school, ['e3', 'e4']]);
});
