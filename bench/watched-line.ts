import { source } from '../core/source.js';

/** An invented line that a liner may cover almost anywhere, so that very many scopes are possible: the hard case. */
export function watchedLine(length_ft: number, findings: number): object {
  const from = source(7);
  const found = Array.from({ length: findings }, (_, i) => {
    const base = { id: `f${i}`, kind: 'finding', reading_ft: from.between(1, length_ft - 2), pass: 'back' };
    switch (from.count(5)) {
      case 0:
        return { ...base, finding: 'crack', form: 'along' };
      case 1:
        return { ...base, finding: 'roots', percent: from.between(1, 9, 1), atJoint: true };
      case 2:
        return { ...base, finding: 'offset', inches: 0.3 };
      case 3:
        return { ...base, finding: 'separation', inches: 0.6 };
      default:
        return { ...base, finding: 'crack', form: from.chance(0.2) ? 'around' : 'hairline' };
    }
  });
  return {
    format: 'open-trench-job',
    version: 1,
    title: `Bench, ${length_ft} ft`,
    rules: { school: 'repair' },
    lines: [
      {
        id: 'house',
        datum: 'CO1',
        end: 'MAIN',
        pipe: { material: 'clay', diameter_in: 4, piece_ft: 3 },
        points: [
          { id: 'CO1', kind: 'cleanout', ways: 2, riser_ft: 2 },
          { id: 'MAIN', kind: 'main' },
        ],
        depths: [
          { station_ft: 0, invert_ft: 3 },
          { station_ft: length_ft, invert_ft: 8 },
        ],
        surfaces: [{ from_ft: 0, to_ft: length_ft, kind: 'lawn' }],
        owners: [
          { from_ft: 0, to_ft: length_ft * 0.7, owner: 'private' },
          { from_ft: length_ft * 0.7, to_ft: length_ft, owner: 'public' },
        ],
        soil: 'B',
        groundwater_ft: 9,
        runs: [
          {
            id: 'R1',
            access: 'CO1',
            direction: 'downstream',
            zero: 'pipe',
            entries: [
              { id: 'end', kind: 'point', reading_ft: length_ft, pass: 'back', point: 'MAIN' },
              ...found,
            ],
          },
        ],
      },
    ],
  };
}
