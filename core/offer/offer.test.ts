import fc from 'fast-check';
import { ownScope } from '../test/own-scope.js';
import { emptyFirm, type Firm } from '../job/firm.js';
import { readJob } from '../files/read.js';
import { planRulesInForce } from '../plan/rules.js';
import { planDays } from '../plan/day.js';
import { planOf } from '../plan/plan.js';
import { sumCents } from '../units.js';
import { schools } from '../job/vocabulary.js';
import { scopeOf } from '../scope/scope.js';
import { randomJob } from '../test/random-job.js';
import { spokenJob, deep } from '../test/spoken-job.js';
import { accept, sinceAccepted, totalOfJob } from './accept.js';
import { offerOf } from './offer.js';
import { sayRange, sayUnseen } from './say-unseen.js';
import { readyJob } from '../solve/ready.js';
import { leftUndone } from '../explain/left.js';
import { prepareLines, solutionOf } from '../solve/solution.js';

const today = '2026-04-01';
const seeds = fc.integer({ min: 1, max: 100_000 });

test('each way of an offer is the whole scope under its school, to the cent', () => {
  fc.assert(
    fc.property(seeds, (seed) => {
      const job = randomJob(seed, { length_ft: [15, 30], findings: 5, lines: 2 });
      const offer = offerOf(job, emptyFirm, today);
      for (const approach of offer.ways) {
        const scope = scopeOf(readyJob({ ...job, rules: { ...job.rules, school: approach.school } }));
        expect(approach.total).toBe(scope.prices.total);
        expect(approach.carried).toBe(scope.prices.carried);
        expect(approach.ifUnseenIs).toEqual(scope.ifUnseenIs);
        expect(approach.overYears).toBe(sumCents([approach.total, approach.carried]));
        expect(sumCents(approach.priceLines.map(({ amount }) => amount))).toBe(approach.total);
        expect(approach.options.map(({ what, adds }) => ({ what, adds }))).toEqual(
          scope.lines.flatMap(({ options }) => options.map(({ what, adds }) => ({ what, adds }))),
        );
      }
    }),
    { numRuns: 6 },
  );
}, 120_000);

test('what a way leaves, finding by finding, with its upkeep, is all that it carries', () => {
  fc.assert(
    fc.property(seeds, fc.constantFrom(...schools), (seed, school) => {
      const ready = readyJob(randomJob(seed, { length_ft: [20, 40], findings: 8 }));
      const input = { ...ready, school };
      for (const lineSolution of solutionOf(input, prepareLines(input)).lines) {
        const left = leftUndone(lineSolution);
        if (!left) continue;
        const sum = left.findings.reduce((all, { costs }) => all + costs, left.looks + left.yearlyCleaning);
        // Each finding is rounded to the cent separately.
        expect(Math.abs(sum - (lineSolution.chosen?.carried ?? 0))).toBeLessThan(
          0.01 * (left.findings.length + 1),
        );
      }
    }),
    { numRuns: 40 },
  );
}, 120_000);

test('an option that is taken adds what it was offered at', () => {
  let taken = 0;
  fc.assert(
    fc.property(seeds, (seed) => {
      const job = randomJob(seed, { length_ft: [20, 40], findings: 8 });
      const offer = offerOf(job, emptyFirm, today);
      const approach = offer.ways.find(({ school }) => school === offer.school);
      const [option] = approach?.options ?? [];
      const total = totalOfJob(job);
      if (!option || total === undefined) return;
      const [line] = job.lines;
      const read = readJob({ ...job, lines: [{ ...line, alsoCure: [option.finding] }] });
      if (!read.job) throw new Error(JSON.stringify(read.faults));
      const scope = ownScope(readyJob(read.job));
      expect(scope.prices.scope).toBeCloseTo(
        (approach?.priceLines ? approach.total - cleanoutsOf(job) : 0) + option.adds,
        2,
      );
      taken++;
    }),
    { numRuns: 16 },
  );
  expect(taken).toBeGreaterThan(1);
}, 120_000);

const cleanoutsOf = (job: Parameters<typeof readyJob>[0]) => ownScope(readyJob(job)).prices.cleanouts;

const job = () =>
  spokenJob('5 Ash Walk', ['80 main', '10 to 70 crack several', '40 roots 30% 10-2 at joint'], {
    depths: deep(8, 10),
    surfaces: [{ from: 'CO1', to: 'MAIN', kind: 'tile' }],
  });
const firm: Firm = {
  ...emptyFirm,
  name: 'Hollow Lane Drains',
  exclusions: ['planting'],
  terms: 'Half on the day we start.',
  validity_days: 45,
};

test('the firm stands on the offer: its name, terms, validity and exclusions, unless the job has its own', () => {
  const offer = offerOf(job(), firm, today);
  expect(offer).toMatchObject({
    firm: { name: firm.name },
    terms: firm.terms,
    on: today,
    validTo: '2026-05-16',
  });
  // A finish restored by another trade is excluded by name: common practice.
  expect(offer.exclusions).toEqual(['planting', 'restoring the tile']);
  const own = offerOf(
    { ...job(), offer: { ways: ['renew'], on: '2026-02-27', validity_days: 2, terms: 'Own terms.' } },
    firm,
    today,
  );
  expect(own).toMatchObject({ terms: 'Own terms.', on: '2026-02-27', validTo: '2026-03-01' });
  expect(own.ways.map(({ school }) => school)).toEqual(['renew']);
});

test('what was accepted stays, whatever rates, rules and readings become; what changed is listed with its price', () => {
  const said = job();
  const accepted = accept(said, firm, 'repair', today, 'R. Moss');
  expect(accepted.total).toBe(totalOfJob({ ...said, rules: { ...said.rules, school: 'repair' } }));
  expect(readJob({ ...said, accepted }).faults).toBeUndefined();
  expect(sinceAccepted(said, firm, accepted)).toMatchObject({ differs: 0, changed: [] });
  // Choosing another option for the sheet later does not change what was agreed.
  expect(sinceAccepted({ ...said, rules: { school: 'renew' } }, firm, accepted).changed).toEqual([]);

  const dearer: Firm = { ...firm, prices: { mobilisation: { line: 5000, 'open-cut': 5000, burst: 5000 } } };
  const since = sinceAccepted(said, dearer, accepted);
  expect(since.changed).toEqual(['The rate “Setting up, by method”']);
  expect(since.agreed).toBe(accepted.total);
  expect(totalOfJob(accepted.job)).toBe(accepted.total);
  expect(since.differs).toBeGreaterThan(0);

  const [line] = said.lines;
  const [run] = line?.runs ?? [];
  if (!line || !run) throw new Error('the spoken job has a run');
  const more = {
    ...said,
    lines: [
      {
        ...line,
        runs: [
          {
            ...run,
            entries: [
              ...run.entries,
              { id: 'x', kind: 'finding' as const, finding: 'hole' as const, reading_ft: 77 },
            ],
          },
          {
            id: 'after',
            access: run.access,
            direction: run.direction,
            zero: run.zero,
            stage: 'after-repair' as const,
            entries: [{ id: 'y', kind: 'finding' as const, finding: 'hole' as const, reading_ft: 20 }],
          },
        ],
      },
    ],
  };
  expect(sinceAccepted(more, firm, accepted).changed).toEqual([`${line.name ?? line.id}: Hole was added`]);
});

test('a way that is not feasible cannot be accepted', () => {
  const stuck = spokenJob('1 Ash Walk', ['80 main', '12 broken'], {
    depths: deep(2, 4),
    pins: [
      { from_ft: 5, to_ft: 20, method: 'line' },
      { from_ft: 10, to_ft: 15, never: ['line'] },
    ],
  });
  expect(() => accept(stuck, emptyFirm, 'repair', today)).toThrow('no scope satisfies');
  expect(offerOf(stuck, emptyFirm, today).ways.every(({ feasible }) => !feasible)).toBe(true);
});

test('what was not seen is said as a range and by its place; a line nobody reached the end of never reads as all seen', () => {
  const cash = (amount: number) => `$${amount}`;
  const said = (log: string[], more: object = {}) => {
    const offer = offerOf(spokenJob('6 Ash Walk', log, { depths: deep(3, 5), ...more }), emptyFirm, today);
    const [approach] = offer.ways;
    if (!approach) throw new Error('an offer has ways');
    return { unseen: sayUnseen(offer), range: sayRange(approach, offer, cash), approach };
  };
  expect(said(['80 main', '12 crack along'])).toMatchObject({ unseen: [], range: 'all was seen' });
  const hidden = said(['80 main', '30 to 50 not seen under water']);
  expect(hidden.unseen).toEqual(['30.0 to 50.0 ft']);
  const { sound, failed } = hidden.approach.ifUnseenIs;
  expect(failed).toBeGreaterThan(sound ?? Infinity);
  expect(hidden.range).toBe(`between $${sound} and $${failed} once it is seen`);
  const open = said(['40 stop']);
  expect(open.unseen.join()).toContain('beyond 40.0 ft');
  expect(open.range).toContain('nobody reached the end');
});

test('an offer says how long each way takes and when no water may run, as the plan of its scope has it', () => {
  const met = { water: 0, wait: 0, none: 0 };
  for (let seed = 1; seed <= 14; seed++) {
    const job = randomJob(seed, { length_ft: [20, 40], findings: 6 });
    for (const approach of offerOf(job, emptyFirm, '2026-04-01').ways) {
      const scope = ownScope(readyJob({ ...job, rules: { ...job.rules, school: approach.school } }));
      const planned = planOf({
        scope,
        names: {},
        rules: planRulesInForce(undefined, undefined),
        temperature_F: job.site?.temperature_F,
        startOn: '2026-04-01',
      });
      const days = approach.days ?? [];
      if ('refused' in planned || planned.plan.tasks.length === 0) {
        expect(days).toEqual([]);
        met.none++;
        continue;
      }
      const onSite = planDays(planned.plan).filter(({ office }) => !office);
      expect(days[0]).toMatch(new RegExp(`^${onSite.length} working days? on site$`));
      const waits = planned.plan.tasks.some(({ id }) => id === 'locate');
      expect(days.some((each) => each.includes('before that'))).toBe(waits);
      const off = onSite.filter(({ water }) => water.length > 0).length;
      const said = days.find((each) => each.startsWith('no water down the drain')) ?? '';
      expect(said.match(/ h on the /g)?.length ?? 0).toBe(off);
      if (off > 0) met.water++;
      if (waits) met.wait++;
    }
  }
  expect(Math.min(...Object.values(met))).toBeGreaterThan(0);
  // A company with longer days needs no more of them.
  const long = { ...emptyFirm, plan: { hours: 12, crew: 6 } };
  for (let seed = 1; seed <= 6; seed++) {
    const job = randomJob(seed, { length_ft: [20, 40], findings: 6 });
    const count = (firm: Firm) =>
      offerOf(job, firm, '2026-04-01').ways.map(({ days }) => Number.parseInt(days?.[0] ?? '0', 10));
    count(long).forEach((days, i) => {
      expect(days).toBeLessThanOrEqual(count(emptyFirm)[i] ?? 0);
    });
  }
}, 120_000);
