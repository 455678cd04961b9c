import { rulesInForce } from '../job/rules.js';
import type { RulesOverride } from '../job/rules-schema.js';
import type { Line } from '../job/schema.js';
import { lineModel } from '../line/model.js';
import { cleanoutRepairs, missingCleanouts } from './cleanouts.js';

// Two model-code families, from memory: at the building, at turns, at most 100 ft apart.
const model = (length: number, points: Line['points'], first: Partial<Line['points'][number]> = {}) =>
  lineModel({
    id: 'house',
    datum: 'CO1',
    end: 'MAIN',
    points: [{ id: 'CO1', kind: 'cleanout', ...first }, { id: 'MAIN', kind: 'main' }, ...points],
    runs: [
      {
        id: 'R1',
        access: 'CO1',
        direction: 'downstream',
        zero: 'pipe',
        entries: [{ id: 'e', kind: 'point', reading_ft: length, point: 'MAIN' }],
      },
    ],
  });
const missing = (length: number, points: Line['points'] = [], rules: RulesOverride = {}, first = {}) =>
  missingCleanouts(model(length, points, first), rulesInForce(rules));

test('one good cleanout at the building serves a short line', () => {
  expect(missing(80)).toEqual([]);
});

test('a neighbour’s, or one that is not there, serves nobody', () => {
  expect(missing(80, [], {}, { owner: 'neighbour' }).map(({ why }) => why)).toEqual(['none at the building']);
  expect(missing(80, [], {}, { state: 'none-here' }).map(({ from_ft, to_ft }) => [from_ft, to_ft])).toEqual([
    [0, 5],
  ]);
});

test('over 100 ft apart another is missing, and one anywhere in its stretch closes both gaps', () => {
  const [gap, ...rest] = missing(150);
  expect(rest).toEqual([]);
  expect([gap?.from_ft, gap?.to_ft]).toEqual([50, 100]);
  expect(missing(150, [{ id: 'CO2', kind: 'cleanout', station_ft: 75 }])).toEqual([]);
  expect(missing(330)).toHaveLength(3);
});

test('family A asks at a turn over 45°, one within 40 ft serving; family B at each 135° in all', () => {
  const bend = (id: string, station_ft: number, degrees: number): Line['points'][number] => ({
    id,
    kind: 'bend',
    station_ft,
    degrees,
  });
  expect(missing(90, [bend('B1', 70, 46)]).map(({ why }) => why)).toEqual(['a turn of 46° at 70.0 ft']);
  expect(missing(90, [bend('B1', 30, 46)])).toEqual([]);
  expect(missing(90, [bend('B1', 70, 45)])).toEqual([]);
  expect([40, 40.1].map((at) => missing(90, [bend('B1', at, 46)]).length)).toEqual([0, 1]);
  const b = { cleanoutFamily: 'B' } as const;
  expect(missing(90, [bend('B1', 50, 67.5), bend('B2', 70, 60)], b)).toEqual([]);
  expect(missing(90, [bend('B1', 50, 67.5), bend('B2', 70, 67.5)], b)).toHaveLength(1);
});

test('what is wrong with those there: buried, cap broken, set over broken pipe', () => {
  const work = (state: 'buried' | 'cap-broken' | 'broken' | 'ok') =>
    cleanoutRepairs(model(80, [], { state })).flatMap((each) => each.work);
  expect([work('buried'), work('cap-broken'), work('broken'), work('ok')]).toEqual([
    ['exposed', 'raised'],
    ['recapped'],
    ['rebuilt'],
    [],
  ]);
});
