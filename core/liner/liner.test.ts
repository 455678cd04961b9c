import fc from 'fast-check';
import { rulesInForce } from '../job/rules.js';
import { rulesSchema } from '../job/rules-schema.js';
import { linerOrder } from './liner.js';
import {
  forStiffness,
  fullyDeteriorated,
  linerThickness,
  liveLoad,
  madeThickness,
  outOfRound,
  ovalityFactor,
  partlyDeteriorated,
  totalLoad,
} from './thickness.js';
import { wetOutAfter } from './wet-out.js';
import { leastWorkingRatio, workingTime } from './working-time.js';

// Worked values of ASTM F1216 appendix X1 (the standard quoted from memory).
test('thickness by each criterion of ASTM F1216 appendix X1', () => {
  expect([2, 5, 10].map((q) => ovalityFactor(q).toFixed(3))).toEqual(['0.836', '0.640', '0.412']);
  expect(partlyDeteriorated(4, 5, 2)).toBeCloseTo(0.0549, 4);
  expect(partlyDeteriorated(8, 9, 2)).toBeCloseTo(0.1332, 4);
  expect(partlyDeteriorated(4, 0, 2)).toBeCloseTo(0.04, 9);
  expect(outOfRound(4, 5, 2)).toBeCloseTo(0.0288, 4);
  expect(outOfRound(4, 5, 5)).toBeCloseTo(0.0473, 4);
  expect(outOfRound(8, 9, 5)).toBeCloseTo(0.1251, 4);
  expect(outOfRound(4, 5, 0)).toBe(0);
  expect(totalLoad(6, 3, 0)).toBeCloseTo(5.474, 3);
  expect(fullyDeteriorated(4, 6, 3, 0, 2)).toBeCloseTo(0.0527, 4);
  expect(fullyDeteriorated(6, 3, 0, 4.17, 2)).toBeCloseTo(0.0891, 4);
  expect(fullyDeteriorated(8, 12, 8, 0, 2, 700)).toBeCloseTo(0.1796, 4);
  expect(forStiffness(4)).toBeCloseTo(0.0659, 4);
  expect(forStiffness(6)).toBeCloseTo(0.0988, 4);
});

test('the largest criterion governs and is rounded up to a made liner', () => {
  const shallow = linerThickness({
    host_in: 4,
    invert_ft: 3,
    waterOverInvert_ft: 0,
    ovality_percent: 2,
    surface: 'lawn',
    exposed: false,
  });
  expect(shallow.governs).toBe('least stiffness');
  expect(shallow.needed_in).toBe(Math.max(...Object.values(shallow.by)));
  expect([0.05, 0.118, 0.1181, 0.236, 0.24].map(madeThickness)).toEqual([
    0.118,
    0.118,
    0.177,
    0.236,
    undefined,
  ]);
});

test('wheel load by cover: table rows, straight between, nothing past 8 ft or under grass', () => {
  expect([0.5, 1, 2.5, 8, 8.1].map((cover) => liveLoad(cover, 'street'))).toEqual([
    12.5,
    12.5,
    expect.closeTo((5.56 + 4.17) / 2, 9),
    0.69,
    0,
  ]);
  expect(liveLoad(2, 'lawn')).toBe(0);
});

const order = (more: Partial<Parameters<typeof linerOrder>[0]> = {}) =>
  linerOrder({
    from_ft: 30,
    to_ft: 80,
    plusMinus_ft: 2.45,
    endsAtMain: true,
    entry: { by: 'pit' },
    host_in: 4,
    thickness_in: 0.118,
    governs: 'least stiffness',
    ...more,
  });

// Common practice: the arithmetic a crew does on paper.
test('cut length: host 50 ± 2.45, pit to main, is 55.5; the bladder is as long', () => {
  const made = order();
  expect([made.installed.value, made.cut.value, made.bladder.value]).toEqual([49.75, 55.5, 55.5]);
  expect(made.layFlat.value).toBeCloseTo(2 * Math.PI, 9);
  // Never shorter than the sum, never half a foot longer: 52.75 + ± must not round down.
  expect(order({ endsAtMain: false, plusMinus_ft: 0.1 }).cut.value).toBe(53.5);
  expect(order({ entry: { by: 'cleanout', riser_ft: 2 } }).cut.value).toBe(57.5);
});

// Common practice.
test('resin for a cut length', () => {
  const length = (cut_ft: number) => ({
    from_ft: 0,
    to_ft: cut_ft - 3.5,
    plusMinus_ft: 0.5,
    endsAtMain: false,
  });
  expect(order(length(60)).resin.value).toBeCloseTo(4.29, 2);
  expect(order({ ...length(50), host_in: 6, thickness_in: 0.177 }).resin.value).toBeCloseTo(8.05, 2);
});

// Properties of the standard's formulas: more load never gives a thinner liner.
test('thickness grows with water, cover and ovality, and is in proportion to the bore', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 3, max: 12, noNaN: true }),
      fc.double({ min: 0.5, max: 15, noNaN: true }),
      fc.double({ min: 0.1, max: 5, noNaN: true }),
      fc.double({ min: 0, max: 9, noNaN: true }),
      (host, head, more, oval) => {
        for (const formula of [partlyDeteriorated, outOfRound]) {
          expect(formula(host, head + more, oval)).toBeGreaterThanOrEqual(formula(host, head, oval) - 1e-12);
          expect(formula(host, head, oval + 1)).toBeGreaterThanOrEqual(formula(host, head, oval) - 1e-12);
          expect(formula(2 * host, head, oval)).toBeCloseTo(2 * formula(host, head, oval), 9);
        }
        expect(fullyDeteriorated(host, head + more, head, 0, oval)).toBeGreaterThan(0);
        expect(fullyDeteriorated(host, head + more, head, 5, oval)).toBeGreaterThan(
          fullyDeteriorated(host, head + more, head, 0, oval),
        );
      },
    ),
  );
});

test('a liner is never cut shorter than what it must reach, nor more than half a foot longer', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 120, noNaN: true }),
      fc.double({ min: 0, max: 6, noNaN: true }),
      fc.boolean(),
      (length, pm, atMain) => {
        const made = order({ from_ft: 0, to_ft: length, plusMinus_ft: pm, endsAtMain: atMain });
        const reach = length - (atMain ? 0.25 : 0) + 3 + Math.max(0.5, pm);
        expect(made.cut.value).toBeGreaterThanOrEqual(reach - 1e-5);
        expect(made.cut.value).toBeLessThan(reach + 0.5 + 1e-5);
        expect((made.cut.value * 2) % 1).toBeCloseTo(0, 9);
      },
    ),
  );
});

// Common practice: linear between rows of the resin's data sheet, and 1.3 times the work must fit in.
test('the resin lasts as its sheet says for the day, and too short a time is said', () => {
  const rules = rulesInForce({
    potLife: [
      { at_F: 60, min: 90 },
      { at_F: 80, min: 40 },
    ],
    setting_min: 10,
    wetOut_min_per_ft: 0.25,
    insertion_min_per_ft: 0.15,
  });
  expect(workingTime(50, rules, 70).potLife.value).toBeCloseTo(65, 9);
  expect(workingTime(50, rules, 70).needed.value).toBeCloseTo(30, 9);
  expect(workingTime(50, rules, 70).insertion.value).toBeCloseTo(7.5, 9);
  expect(workingTime(50, rules, 70).short).toBeUndefined();
  expect(workingTime(50, rules, undefined)).toMatchObject({ temperature_F: 70, temperatureAssumed: true });
  expect(workingTime(50, rules, 30).potLife.value).toBe(90);
  expect(workingTime(50, rules, 81).short).toContain('hotter');
  const rises = (...temperatures: number[]) =>
    rulesSchema.safeParse({ potLife: temperatures.map((at_F) => ({ at_F, min: 60 })) }).success;
  expect([rises(60, 70, 80), rises(60, 70, 65), rises(60, 60)]).toEqual([true, false, false]);
  fc.assert(
    fc.property(
      fc.double({ min: 5, max: 300, noNaN: true }),
      fc.double({ min: 40, max: 80, noNaN: true }),
      (cut, at) => {
        const { potLife, needed, short } = workingTime(cut, rules, at);
        expect(short !== undefined).toBe(potLife.value < leastWorkingRatio * needed.value);
        expect(workingTime(cut, rules, Math.min(80, at + 1)).potLife.value).toBeLessThanOrEqual(
          potLife.value,
        );
      },
    ),
  );
});

test('the countdown at wet-out: in time, then to be put in now, then too late, each at its minute', () => {
  const rules = rulesInForce(undefined);
  fc.assert(
    fc.property(
      fc.integer({ min: 5, max: 200 }),
      fc.integer({ min: 45, max: 80 }),
      fc.integer({ min: 0, max: 300 }),
      (cut, at, elapsed) => {
        const working = workingTime(cut, rules, at);
        const now = wetOutAfter(working, elapsed);
        expect(now.left_min + elapsed).toBeCloseTo(working.potLife.value, 9);
        expect(now.left_min - now.startWithin_min).toBeCloseTo(cut * rules.insertion_min_per_ft, 9);
        expect(now.say === 'too-late').toBe(elapsed >= working.potLife.value);
        // Started at the last moment, it is in place exactly at the end of the pot life.
        expect(now.say === 'in-time').toBe(elapsed + working.insertion.value < working.potLife.value);
      },
    ),
  );
});
