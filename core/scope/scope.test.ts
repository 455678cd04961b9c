import fc from 'fast-check';
import { pricesInForce } from '../job/prices.js';
import { readJob } from '../files/read.js';
import type { Job } from '../job/schema.js';
import { methods } from '../job/vocabulary.js';
import { scopeFile } from '../files/scope-file.js';
import { scopeOf } from './scope.js';
import { spokenJob } from '../test/spoken-job.js';
import { randomJob } from '../test/random-job.js';
import { annuity, everySecondYear } from '../prepare/carried.js';
import { methodBit } from '../methods/index.js';
import { uncured } from '../prepare/prepare.js';
import { readyJob } from '../solve/ready.js';
import { uncuredBy, solutionOf } from '../solve/solution.js';

// Laws for any job at any rates: the optimum is an optimum. No value here is taken from the program.
const cost = (job: Job) => {
  const { lines, rules, prices } = readyJob(job);
  const solution = solutionOf({ lines, rules, prices, school: rules.school });
  // First the feet that must be cured and are not, then money.
  return solution.feasible ? solution.scope + solution.carried + uncuredBy(solution) * 1e7 : Infinity;
};
const fileOf = (job: Job) => {
  const ready = readyJob(job);
  return scopeFile(ready, scopeOf(ready));
};
/** Showing each quantity to a hundredth, and rounding each line to the cent, moves a total by no more than this. */
const cents = 12;
const seeds = fc.integer({ min: 1, max: 1_000_000 });
const some = { numRuns: 25 };
const sized = { length_ft: [15, 40], findings: 7 } as const;

test('a pin never lowers the minimum; forbidding an unused method changes nothing', () => {
  fc.assert(
    fc.property(
      seeds,
      fc.constantFrom(...methods),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (seed, method, share) => {
        const job = randomJob(seed, sized);
        const [line] = job.lines;
        if (!line) return;
        const free = cost(job);
        const from_ft = share * 15;
        const pinned = (pin: object) =>
          ({ ...job, lines: [{ ...line, pins: [...(line.pins ?? []), pin] }] }) as Job;
        expect(cost(pinned({ from_ft, to_ft: from_ft + 4, never: [method] }))).toBeGreaterThanOrEqual(
          free - cents,
        );
        expect(cost(pinned({ from_ft, to_ft: from_ft + 4, method }))).toBeGreaterThanOrEqual(free - cents);
        const { lines, rules, prices } = readyJob(job);
        const solution = solutionOf({ lines, rules, prices, school: rules.school });
        const used = solution.lines[0]?.chosen?.layout.cells;
        if (used && !used.some((cell) => cell.method === method)) {
          expect(cost(pinned({ from_ft: 0, to_ft: 15, never: [method] }))).toBeCloseTo(free, 2);
        }
      },
    ),
    some,
  );
});

test('raising a rate never lowers the minimum', () => {
  const rates = [
    'cleaning_per_ft',
    'digTo5_per_yd3',
    'permit_per_hole',
    'liner_each',
    'yearlyCleaning',
    'support_per_ft2',
  ] as const;
  fc.assert(
    fc.property(seeds, fc.constantFrom(...rates), (seed, rate) => {
      const job = randomJob(seed, sized);
      const dearer = { ...job, prices: { ...job.prices, [rate]: pricesInForce(job.prices)[rate] * 1.5 + 1 } };
      expect(cost(dearer)).toBeGreaterThanOrEqual(cost(job) - cents);
    }),
    some,
  );
});

test('two lines cost at most the sum of each, less what they share', () => {
  fc.assert(
    fc.property(seeds, (seed) => {
      const job = randomJob(seed, { ...sized, lines: 2 });
      const alone = job.lines.map((line) => cost({ ...job, lines: [line] }));
      expect(cost(job)).toBeLessThanOrEqual(alone.reduce((sum, each) => sum + each, 0) + cents);
    }),
    some,
  );
});

test('segments cover the line once; price lines add up to the cent; the same job gives the same bytes', () => {
  fc.assert(
    fc.property(seeds, (seed) => {
      const job = randomJob(seed, { ...sized, length_ft: [15, 30] });
      const write = () => {
        const ready = readyJob(job);
        return scopeFile(ready, scopeOf(ready));
      };
      const file = write();
      expect(JSON.stringify(write())).toBe(JSON.stringify(file));
      const sum = file.price.lines.reduce((total, { amount }) => total + Math.round(amount * 100), 0);
      expect(sum).toBe(Math.round(file.price.total * 100));
      for (const line of file.lines.filter(({ feasible }) => feasible)) {
        const ends = line.segments.flatMap(({ from_ft, to_ft }) => [from_ft, to_ft]);
        expect(ends[0]).toBe(line.start_ft);
        expect(ends.at(-1)).toBeCloseTo(line.start_ft + line.length_ft, 2);
        for (let i = 1; i + 1 < ends.length; i += 2) expect(ends[i]).toBe(ends[i + 1]);
        for (const { method, action } of line.segments) {
          expect(action !== null).toBe(method !== 'leave' && method !== 'clean');
        }
      }
    }),
    { numRuns: 12 },
  );
});

test('the price found is the price offered', () => {
  fc.assert(
    fc.property(seeds, (seed) => {
      const { lines, rules, prices } = readyJob(randomJob(seed, sized));
      const solution = solutionOf({ lines, rules, prices, school: rules.school });
      const factor = (1 + prices.markup) * (1 + prices.tax);
      const [line] = solution.lines;
      if (!line?.chosen) return;
      const mobilised = methods.reduce(
        (sum, method) =>
          method !== 'leave' && line.chosen && line.chosen.plan.used & methodBit(method)
            ? sum + (prices.mobilisation[method] ?? 0) * factor
            : sum,
        0,
      );
      // Obligations not met weigh in the plan but are not money; every quantity is priced as shown.
      const { plan } = line.chosen;
      const weight = line.prepared.possible.track.cells.reduce(
        (sum, { from_ft, to_ft }, i) => sum + (plan.uncured[i] ? uncured(to_ft - from_ft) : 0),
        0,
      );
      const printed = solution.priceLines.reduce((sum, { rate }) => sum + 0.005 * rate * factor, cents);
      expect(
        Math.abs((plan.cost - weight) / 1e6 + mobilised - (solution.scope + solution.carried)),
      ).toBeLessThan(printed);
    }),
    { numRuns: 60 },
  );
});

// Present value of an annuity: a handbook formula.
test('present values over ten years at 4 %', () => {
  expect(annuity(10, 0.04)).toBeCloseTo(8.1109, 4);
  expect(everySecondYear(10, 0.04)).toBeCloseTo(3.9759, 4);
});

const plainJob = (more: object = {}, entries: object[] = []) => {
  const read = readJob({
    format: 'open-trench-job',
    version: 1,
    title: 'plain',
    lines: [
      {
        id: 'house',
        datum: 'CO1',
        end: 'MAIN',
        pipe: { material: 'clay', diameter_in: 4 },
        points: [
          { id: 'CO1', kind: 'cleanout', ways: 2, riser_ft: 2 },
          { id: 'MAIN', kind: 'main' },
        ],
        depths: [
          { station_ft: 0, invert_ft: 3 },
          { station_ft: 40, invert_ft: 4 },
        ],
        surfaces: [{ from_ft: 0, to_ft: 40, kind: 'lawn' }],
        owners: [{ from_ft: 0, to_ft: 40, owner: 'private' }],
        runs: [
          {
            id: 'R1',
            access: 'CO1',
            direction: 'downstream',
            zero: 'pipe',
            entries: [{ id: 'end', kind: 'point', reading_ft: 40, pass: 'back', point: 'MAIN' }, ...entries],
          },
        ],
        ...more,
      },
    ],
  });
  if (!read.job) throw new Error(JSON.stringify(read.faults));
  return fileOf(read.job);
};

test('a sound line is serviceable and costs nothing; an unreached end leaves it incomplete', () => {
  const sound = plainJob();
  expect([sound.verdict, sound.price.total, sound.firstStep]).toEqual([['serviceable'], 0, null]);
  const open = plainJob({}, []);
  expect(open.ifUnseenIs).toEqual({ sound: 0, failed: 0 });
  const short = plainJob({
    runs: [
      {
        id: 'R1',
        access: 'CO1',
        direction: 'downstream',
        zero: 'pipe',
        entries: [{ id: 's', kind: 'stop', reading_ft: 25, why: 'roots' }],
      },
    ],
  });
  expect(short.verdict).toEqual(['blocked', 'incomplete']);
  expect(short.warnings.map(({ rule }) => rule)).toContain('end-not-reached');
});

test('a cable that ends is no obstacle: the rest is inspected, not cleaned', () => {
  const stopped = (why: string) =>
    plainJob({
      runs: [
        {
          ...{ id: 'R1', access: 'CO1', direction: 'downstream', zero: 'pipe' },
          entries: [{ id: 's', kind: 'stop', reading_ft: 25, why }],
        },
      ],
    });
  const short = stopped('out of cable');
  expect(short.verdict).toEqual(['serviceable', 'incomplete']);
  expect(short.firstStep?.what).toBe('inspect the rest with a longer cable, or from the other end');
  const blocked = stopped('roots');
  expect(blocked.firstStep?.what).toBe('clean and re-inspect');
  expect(short.firstStep?.price).toBeLessThan(blocked.firstStep?.price ?? 0);
});

// Common practice: a camera stopped by a break saw its near side only, and the new pipe goes in past it.
test('where the pipe itself stopped the camera, the repair goes past it and lets the camera see the rest', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 8, max: 60 }),
      fc.constantFrom('offset 1 1/2', 'broken', 'collapsed', 'joint open 2 in'),
      fc.constantFrom('could not pass', 'camera stuck', 'stopped'),
      (at, defect, stopped) => {
        const log = [`${at} ${defect}`, `${at} ${stopped}`];
        const { lines, firstStep, verdict, ifUnseenIs, price } = fileOf(spokenJob('Stopped', log));
        const repair = lines[0]?.actions.find(({ from_ft, to_ft }) => from_ft < at && at < to_ft);
        expect(repair?.to_ft).toBeGreaterThanOrEqual(at + 0.5);
        expect(lines[0]?.pits.some(({ to_ft }) => to_ft > at + 1.5)).toBe(true);
        expect(firstStep).toMatchObject({ from_ft: at });
        expect(firstStep?.what).toMatch(/once the repair lets the camera past/);
        if (stopped !== 'stopped') expect(verdict[0]).toBe('blocked');
        expect(ifUnseenIs.failed).toBeGreaterThan(price.total);
      },
    ),
    { numRuns: 8 },
  );
});

test('unseen pipe is never lined, asks for a first step, and its price is a range', () => {
  const hidden = plainJob({ pins: [{ from_ft: 10, to_ft: 12, method: 'line' }] }, [
    { id: 'h', kind: 'hidden', reading_ft: 10, to_ft: 13 },
  ]);
  expect(hidden.lines[0]?.feasible).toBe(false);
  expect(hidden.warnings.find(({ rule }) => rule === 'no-way')?.message).toContain('10.0 to 12.0 ft');
  const free = plainJob({}, [{ id: 'h', kind: 'hidden', reading_ft: 10, to_ft: 13 }]);
  expect(free.firstStep).toMatchObject({ from_ft: 10, to_ft: 13 });
  expect(free.ifUnseenIs.failed).toBeGreaterThan(free.ifUnseenIs.sound ?? Infinity);
});

test('a failed place is dug or lined whole, and the gap rule joins repairs that lie close', () => {
  const one = plainJob({}, [{ id: 'b', kind: 'finding', reading_ft: 20, finding: 'broken' }]);
  const [action] = one.lines[0]?.actions ?? [];
  expect(action && action.from_ft <= 19.5 && action.to_ft >= 20.5).toBe(true);
  const two = plainJob({}, [
    { id: 'b', kind: 'finding', reading_ft: 20, finding: 'broken' },
    { id: 'c', kind: 'finding', reading_ft: 25, finding: 'broken' },
  ]);
  const actions = two.lines[0]?.actions ?? [];
  const gaps = actions.slice(1).map(({ from_ft }, i) => from_ft - (actions[i]?.to_ft ?? 0));
  expect(gaps.every((gap) => gap < 0.01 || gap >= 5)).toBe(true);
});
