import fc from 'fast-check';
import { ownScope, ownView } from '../test/own-scope.js';
import { defaultRules } from '../job/rules.js';
import { methods } from '../job/vocabulary.js';
import { readJob } from '../files/read.js';
import { pinsOn, withEndMoved, withJoined, withMethod, withSplit, without } from './pin-edits.js';
import { randomJob } from '../test/random-job.js';
import { trialBaseOf, trialOf } from './trial.js';
import { readyJob } from '../solve/ready.js';

const { spotMost_ft } = defaultRules;
const seeds = fc.integer({ min: 1, max: 1_000_000 });
const jobOf = (seed: number) => randomJob(seed, { length_ft: [20, 40], findings: 5 });

/** The single line of an invented job as on the sheet, and a way to try pins on it. */
function sheetOf(seed: number) {
  const job = jobOf(seed);
  const { view, scope } = ownView(job);
  const [own] = scope.lines;
  if (!own) throw new Error('a random job has a line');
  const base = trialBaseOf(job);
  return {
    job,
    view,
    own,
    scope,
    tried: (pins: Parameters<typeof trialOf>[2]) => trialOf(base, view.id, pins, view).lines[0],
    costOf: (pins: Parameters<typeof trialOf>[2]) => {
      const { feasible, prices } = trialOf(base, view.id, pins, { from_ft: 0, to_ft: 0 });
      return feasible ? prices.scope + prices.carried : Infinity;
    },
  };
}

test('pins tried on the bench come to what the whole scope of the edited job comes to', () => {
  fc.assert(
    fc.property(seeds, fc.nat(), (seed, pick) => {
      const { job, view, own, tried } = sheetOf(seed);
      const segment = own.segments[pick % Math.max(1, own.segments.length)];
      const method = methods[pick % methods.length];
      if (!segment || !method) return;
      const pins = withMethod(view, segment, method);
      const [line] = job.lines;
      const edited = { ...job, lines: [{ ...line, pins }] } as typeof job;
      // The result is a valid job: nothing else that the edited stretch carries gets into it.
      expect(readJob(edited).faults).toBeUndefined();
      const whole = ownScope(readyJob(edited), true);
      const { options: _one, ...trial } = tried(pins) ?? { options: [] };
      const { options: _other, ...expected } = whole.lines[0] ?? { options: [] };
      expect(trial).toEqual(expected);
    }),
    { numRuns: 25 },
  );
});

test('an end put somewhere is where the action ends, and a pin of any kind never makes the job cheaper', () => {
  fc.assert(
    fc.property(seeds, fc.nat(), fc.boolean(), (seed, pick, atStart) => {
      const { view, own, scope, tried, costOf } = sheetOf(seed);
      const action = own.actions[pick % Math.max(1, own.actions.length)];
      if (!action || own.mayEnd_ft.length < 4) return;
      const end = atStart ? 'from' : 'to';
      const choices = own.mayEnd_ft.filter((x) =>
        atStart ? x < action.to_ft - 0.5 : x > action.from_ft + 0.5,
      );
      const to_ft = choices[(pick * 7) % Math.max(1, choices.length)];
      if (to_ft === undefined) return;
      const pins = withEndMoved(view, action, end, to_ft);
      const cheapest = view.pins.length === 0 ? scope.prices.scope + scope.prices.carried : -Infinity;
      expect(costOf(pins)).toBeGreaterThanOrEqual(cheapest - 0.02);
      const after = tried(pins);
      if (!after?.feasible) return;
      expect(after.actions.map((each) => each[`${end}_ft`])).toContainEqual(expect.closeTo(to_ft, 6));
      // Removing the pin restores the former scope.
      const placed = pins.map((pin) => ({ pin, from_ft: pin.from_ft ?? 0, to_ft: pin.to_ft ?? 0 }));
      if (view.pins.length > 0) return;
      expect(without(placed, pinsOn(placed, { from_ft: view.from_ft, to_ft: view.to_ft }))).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

test('a liner split in two has two lengths to cut, joined again it is one', () => {
  let met = 0;
  for (let seed = 1; seed < 400 && met < 5; seed++) {
    const { view, own, tried, costOf } = sheetOf(seed);
    const liner = own.actions.find(({ method, from_ft, to_ft }) => method === 'line' && to_ft - from_ft > 8);
    if (!liner || view.pins.length > 0) continue;
    const middle = own.mayEnd_ft.find((x) => x > (liner.from_ft + liner.to_ft) / 2);
    if (middle === undefined || middle > liner.to_ft - 2) continue;
    const whole = withMethod(view, liner, 'line');
    const placed = whole.map((pin) => ({ pin, from_ft: pin.from_ft ?? 0, to_ft: pin.to_ft ?? 0 }));
    const split = withSplit(placed, middle);
    const parts = tried(split)?.actions.filter(
      (each) => each.to_ft > liner.from_ft && each.from_ft < liner.to_ft,
    );
    // Each part is long enough to be a liner of its own, or the two extend farther than the one did.
    const reach = [
      Math.min(...(parts ?? []).map((each) => each.from_ft)),
      Math.max(...(parts ?? []).map((each) => each.to_ft)),
    ];
    if (parts?.length !== 2 || reach[0] !== liner.from_ft || reach[1] !== liner.to_ft) continue;
    met++;
    expect(parts.map(({ to_ft }) => to_ft)).toContainEqual(expect.closeTo(middle, 6));
    expect(costOf(split)).toBeGreaterThan(costOf(whole));
    const [first, second] = parts;
    if (!first || !second) throw new Error('a split liner has two parts');
    const both = split.map((pin) => ({ pin, from_ft: pin.from_ft ?? 0, to_ft: pin.to_ft ?? 0 }));
    expect(costOf(withJoined({ pins: both, spotMost_ft }, first, second))).toBeCloseTo(costOf(whole), 2);
  }
  expect(met).toBe(5);
});

test('a later pin takes the place of an earlier one where they meet, and leaves the rest of it', () => {
  const placed = [
    { pin: { id: 'old', method: 'line' as const, endsHere: ['from' as const] }, from_ft: 10, to_ft: 30 },
  ];
  expect(withMethod({ pins: placed, spotMost_ft }, { from_ft: 15, to_ft: 20 }, 'spot')).toEqual([
    { id: 'old', method: 'line', from_ft: 10, to_ft: 15, endsHere: ['from'] },
    { id: 'pin2', method: 'line', from_ft: 20, to_ft: 30 },
    { id: 'pin1', method: 'spot', from_ft: 15, to_ft: 20 },
  ]);
  // Common practice: a dig over 10 ft is not a spot repair.
  expect(
    withEndMoved({ pins: [], spotMost_ft }, { from_ft: 10, to_ft: 15, method: 'spot' }, 'to', 22),
  ).toEqual([{ id: 'pin1', method: 'open-cut', from_ft: 10, to_ft: 22, endsHere: ['to'] }]);
});

test('stretches that are joined lose the split between them, and no other', () => {
  const splits = [5, 10, 20, 30, 35].map((at) => ({
    pin: { id: `s${at}`, from_ft: at, to_ft: at, split: true as const },
    from_ft: at,
    to_ft: at,
  }));
  const joined = withJoined(
    { pins: splits, spotMost_ft },
    { from_ft: 10, to_ft: 20, method: 'line' },
    { from_ft: 20, to_ft: 30 },
  );
  expect(joined.filter(({ split }) => split).map(({ from_ft }) => from_ft)).toEqual([5, 10, 30, 35]);
  expect(joined.find(({ method }) => method === 'line')).toMatchObject({ from_ft: 10, to_ft: 30 });
});
