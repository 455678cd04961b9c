import fc from 'fast-check';
import { methods } from '../../core/job/vocabulary.js';
import type { JobRow } from '../../server/jobs/digests.js';
import { findJobs, jobConditions, missingOf, type JobCondition } from './find';

const today = '2026-06-15';
const day = fc
  .integer({ min: -400, max: 400 })
  .map((days) => new Date(Date.UTC(2026, 5, 15 + days)).toISOString().slice(0, 10));
const digest: fc.Arbitrary<NonNullable<JobRow['digest']>> = fc.record({
  verdict: fc.constantFrom(['urgent', 'repair'] as const, ['serviceable', 'incomplete'] as const),
  feasible: fc.boolean(),
  total: fc.integer({ min: 0, max: 30_000 }),
  currency: fc.constant('USD'),
  methods: fc.subarray(methods.filter((method) => method !== 'leave')),
  words: fc.subarray(['roots', 'crack', 'clay', 'abs', 'standing water']).map((all) => all.join(' ')),
  unseen_ft: fc.constantFrom(0, 0.01, 3, 20),
  nothingSeen: fc.constant(false),
  endReached: fc.boolean(),
  toRead: fc.constantFrom(0, 0, 2),
  depthKnown: fc.boolean(),
  accepted: fc.constantFrom(undefined, { on: '2026-05-01', total: 9 }),
  repair: fc.constantFrom(undefined, 'whole' as const, 'part' as const, 'not-looked' as const),
  due: fc.array(
    fc.record({
      line: fc.constant('house'),
      lineName: fc.constant('House'),
      what: fc.constantFrom('clean' as const, 'look' as const),
      from: day,
      to: day,
    }),
    { maxLength: 2 },
  ),
});
const row: fc.Arbitrary<JobRow> = fc.record({
  id: fc.uuid(),
  version: fc.constant(1),
  changedAt: fc.constant('2026-06-01T00:00:00Z'),
  title: fc.constantFrom('3 Alder Lane', '14 Quarry Lane', 'Mill, back line'),
  number: fc.constantFrom(undefined, 'J-17'),
  address: fc.constantFrom(undefined, '3 Alder Lane'),
  customer: fc.constantFrom(undefined, 'M. Okafor', 'P. Lindqvist'),
  reason: fc.constantFrom(undefined, 'backup'),
  digest: fc.oneof({ weight: 5, arbitrary: digest }, fc.constant(undefined)),
  fresh: fc.boolean(),
});
const rows = fc.array(row, { maxLength: 30 });
const holding = fc.subarray(Object.keys(jobConditions) as JobCondition[]);
const everything = { text: '', method: undefined, holding: [] };

test('narrowing keeps the order, never adds a row, and more that is asked never finds more', () => {
  fc.assert(
    fc.property(
      rows,
      holding,
      fc.constantFrom(undefined, ...methods),
      fc.constantFrom('', 'LANE', 'roots clay'),
      (all, held, method, text) => {
        expect(findJobs(all, everything, today)).toEqual(all);
        const found = findJobs(all, { text, method, holding: held }, today);
        expect(all.filter((each) => found.includes(each))).toEqual(found);
        for (const fewer of held.map((each) => held.filter((other) => other !== each))) {
          const wider = findJobs(all, { text, method, holding: fewer }, today);
          expect(found.every((each) => wider.includes(each))).toBe(true);
        }
        // Combined criteria find what all of them find separately.
        const apart = [
          findJobs(all, { ...everything, text }, today),
          findJobs(all, { ...everything, method }, today),
          ...held.map((each) => findJobs(all, { ...everything, holding: [each] }, today)),
        ];
        expect(found).toEqual(all.filter((each) => apart.every((one) => one.includes(each))));
      },
    ),
  );
});

test('a word is found wherever it stands, whatever its case; a job not worked out yet is found by what was said of it', () => {
  fc.assert(
    fc.property(
      rows,
      fc.constantFrom('okafor', 'ALDER', 'j-17', 'Backup', 'standing', 'clay'),
      (all, word) => {
        const found = findJobs(all, { ...everything, text: word }, today);
        for (const each of all) {
          const said = JSON.stringify([
            each.title,
            each.number,
            each.address,
            each.customer,
            each.reason,
            each.digest?.words,
          ]);
          expect(found.includes(each)).toBe(said.toLowerCase().includes(word.toLowerCase()));
        }
      },
    ),
  );
});

test('due is what may be done from today on or was to be done before; nothing missing reads “all seen”', () => {
  fc.assert(
    fc.property(rows, (all) => {
      const due = findJobs(all, { ...everything, holding: ['due'] }, today);
      for (const each of due) expect(each.digest?.due.some(({ from }) => from <= today)).toBe(true);
      const unseen = findJobs(all, { ...everything, holding: ['unseen'] }, today);
      for (const { digest: each } of all.filter((one) => one.digest && !unseen.includes(one))) {
        if (each?.toRead === 0) expect(missingOf(each)).toBe('all seen');
      }
      for (const { digest: each } of unseen) {
        if (each) expect(missingOf(each)).toMatch(/ft not seen|end not reached/);
      }
    }),
  );
});
