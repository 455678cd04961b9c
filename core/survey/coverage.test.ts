import type { Entry, Line } from '../job/schema.js';
import { source } from '../source.js';
import { survey } from './survey.js';

/** A normal deviate from two uniform ones (Box and Muller). */
function normal(from: ReturnType<typeof source>): number {
  const u = Math.max(1e-12, from.between(0, 1, 1e-9));
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * from.between(0, 1, 1e-9));
}

// Simulated inspections with known truth and the stated deviations: two standard deviations of a normal hold 95.4 %.
test('over 500 simulated runs the true station lies within its ± in 93 to 97 % of cases', () => {
  let [inside, all] = [0, 0];
  for (let seed = 1; seed <= 500; seed++) {
    const from = source(seed);
    const main = from.between(40, 110);
    const truth = Array.from({ length: 5 }, () => from.between(2, main - 1)).sort((a, b) => a - b);
    const [scale, zero] = [1 + 0.01 * normal(from), 1.7 + 0.5 * normal(from)];
    const read = (station: number, sd: number) => (station + zero + sd * normal(from)) / scale;
    const entries: Entry[] = truth.flatMap((station, i): Entry[] => {
      const out: Entry = {
        id: `o${i}`,
        kind: 'joint',
        reading_ft: Math.max(2.8, read(station, 1)),
        pass: 'out',
      };
      const back: Entry = {
        id: `b${i}`,
        kind: 'joint',
        reading_ft: Math.max(2.8, read(station, 0.5)),
        pass: 'back',
        sameAs: `o${i}`,
      };
      return from.chance(0.5) ? [out, back] : [{ ...back, sameAs: undefined }];
    });
    const line: Line = {
      id: 'house',
      datum: 'CO1',
      end: 'MAIN',
      points: [
        { id: 'CO1', kind: 'cleanout', riser_ft: 1.7 },
        { id: 'MAIN', kind: 'main' },
      ],
      runs: [
        {
          id: 'R1',
          access: 'CO1',
          direction: 'downstream',
          zero: 'cap',
          entries: [
            ...entries,
            { id: 'm', kind: 'point', reading_ft: read(main, 0.5), pass: 'back', point: 'MAIN' },
          ],
        },
      ],
    };
    const solved = survey(line);
    [...truth, main].forEach((station, i) => {
      const at = i === truth.length ? solved.point('MAIN') : solved.endsOf(`b${i}`)?.from;
      if (!at) throw new Error('a simulated thing has no station');
      all++;
      if (Math.abs(at.station_ft - station) <= at.plusMinus_ft) inside++;
    });
  }
  expect(inside / all).toBeGreaterThan(0.93);
  expect(inside / all).toBeLessThan(0.97);
});
