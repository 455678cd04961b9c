import fc from 'fast-check';
import type { Entry, Line, Run } from '../job/schema.js';
import { survey } from './survey.js';

// Properties of weighted least squares, whatever the readings.
const reading = fc.double({ min: 3, max: 90, noNaN: true });
const joints = (all: readonly number[], more: (i: number) => object = () => ({})): Entry[] =>
  all.map((reading_ft, i): Entry => ({ id: `e${i}`, kind: 'joint', reading_ft, pass: 'back', ...more(i) }));
const line = (runs: Run[], points: Line['points'] = []): Line => ({
  id: 'house',
  datum: 'CO1',
  end: 'MAIN',
  points: [{ id: 'CO1', kind: 'cleanout', riser_ft: 2 }, { id: 'MAIN', kind: 'main' }, ...points],
  runs,
});
const run = (entries: Entry[], more: Partial<Run> = {}): Run => ({
  id: 'R1',
  access: 'CO1',
  direction: 'downstream',
  zero: 'cap',
  entries,
  ...more,
});
const stations = (of: Line, ids: readonly string[]) => {
  const solved = survey(of);
  return ids.map((id) => {
    const at = solved.endsOf(id)?.from;
    if (!at) throw new Error(`${id} has no station`);
    return at;
  });
};
const ids = (count: number) => Array.from({ length: count }, (_, i) => `e${i}`);

test('one run and one pass is the plain sum, in any order', () => {
  fc.assert(
    fc.property(fc.array(reading, { minLength: 1, maxLength: 12 }), (all) => {
      const straight = stations(line([run(joints(all))]), ids(all.length));
      straight.forEach(({ station_ft }, i) => expect(station_ft).toBeCloseTo((all[i] ?? 0) - 2, 6));
      const turned = stations(line([run(joints(all).reverse())]), ids(all.length));
      turned.forEach((each, i) => expect(each.plusMinus_ft).toBeCloseTo(straight[i]?.plusMinus_ft ?? 0, 6));
    }),
  );
});

test('± grows with the distance pushed, and is wider out than back and wider still for about', () => {
  fc.assert(
    fc.property(reading, fc.double({ min: 0.5, max: 30, noNaN: true }), (at, further) => {
      const pm = (reading_ft: number, more: object) =>
        stations(line([run(joints([reading_ft], () => more))]), ['e0'])[0]?.plusMinus_ft ?? 0;
      expect(pm(at + further, {})).toBeGreaterThan(pm(at, {}));
      expect(pm(at, { pass: 'out' })).toBeGreaterThan(pm(at, {}));
      expect(pm(at, { about: true })).toBeGreaterThan(pm(at, { pass: 'out' }));
    }),
  );
});

test('a second reading that agrees, or a tape, never makes a thing less sure', () => {
  fc.assert(
    fc.property(reading, fc.double({ min: -1, max: 1, noNaN: true }), (at, off) => {
      const [alone] = stations(line([run(joints([at]))]), ['e0']);
      const twice = run([
        ...joints([at]),
        { id: 'again', kind: 'joint', reading_ft: at + off, pass: 'out', sameAs: 'e0' },
      ]);
      const [both] = stations(line([twice]), ['e0']);
      expect(both?.plusMinus_ft).toBeLessThanOrEqual((alone?.plusMinus_ft ?? 0) + 1e-9);
      const taped = run([{ id: 'e0', kind: 'locate', reading_ft: at, pass: 'back', station_ft: at - 2 }]);
      const [held] = stations(line([taped]), ['e0']);
      expect(held?.plusMinus_ft).toBeLessThanOrEqual(0.5);
    }),
  );
});

test('a run upstream from the far end mirrors one downstream: same distances, same ±', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 1, max: 40, noNaN: true }), { minLength: 1, maxLength: 6 }),
      (all) => {
        const down = stations(line([run(joints(all), { zero: 'pipe' })]), ids(all.length));
        const far: Line['points'] = [{ id: 'CO2', kind: 'cleanout', station_ft: 0.0, plusMinus_ft: 0.01 }];
        const up = stations(
          line([run(joints(all), { zero: 'pipe', access: 'CO2', direction: 'upstream' })], far),
          ids(all.length),
        );
        down.forEach(({ station_ft, plusMinus_ft }, i) => {
          expect(up[i]?.station_ft).toBeCloseTo(-station_ft, 6);
          expect(up[i]?.plusMinus_ft).toBeCloseTo(plusMinus_ft, 3);
        });
      },
    ),
  );
});

test('the ± of a length is symmetric, nothing for a thing and itself, and no more than both ends together', () => {
  fc.assert(
    fc.property(reading, reading, (a, b) => {
      const solved = survey(line([run(joints([a, b]))]));
      const [one, other] = ['entry:e0', 'entry:e1'];
      const pm = (id: string) => solved.endsOf(id)?.from.plusMinus_ft ?? 0;
      expect(solved.lengthPlusMinus(one, other)).toBeCloseTo(solved.lengthPlusMinus(other, one), 9);
      expect(solved.lengthPlusMinus(one, one)).toBe(0);
      expect(solved.lengthPlusMinus(one, other)).toBeLessThanOrEqual(pm('e0') + pm('e1') + 1e-9);
    }),
  );
});

test('readings that disagree are never averaged: the one that stands is one of them', () => {
  fc.assert(
    fc.property(reading, fc.double({ min: 2.1, max: 15, noNaN: true }), fc.boolean(), (at, apart, use) => {
      const out: Entry = {
        id: 'e0',
        kind: 'joint',
        reading_ft: at + apart,
        pass: 'out',
        ...(use ? { use } : {}),
      };
      const back: Entry = { id: 'e1', kind: 'joint', reading_ft: at, pass: 'back', sameAs: 'e0' };
      const solved = survey(line([run([out, back])]));
      expect(solved.warnings.map(({ rule }) => rule)).toEqual(['reading-disagreement']);
      const station = solved.endsOf('e0')?.from;
      expect(station?.station_ft).toBeCloseTo(use ? at + apart - 2 : at - 2, 6);
      if (!use) expect(station?.plusMinus_ft).toBeGreaterThanOrEqual(apart - 1e-6);
    }),
  );
});
