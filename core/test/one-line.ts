import type { Entry, Line } from '../job/schema.js';

/** A clay line of 80 ft with one run zeroed in the pipe, so that stations are readings: for tests that add to it. */
export function oneLine(entries: readonly object[], more: Partial<Line> = {}): Line {
  return {
    id: 'house',
    datum: 'CO1',
    end: 'MAIN',
    pipe: { material: 'clay', diameter_in: 4 },
    points: [
      { id: 'CO1', kind: 'cleanout' },
      { id: 'MAIN', kind: 'main' },
    ],
    runs: [
      {
        id: 'R1',
        access: 'CO1',
        direction: 'downstream',
        zero: 'pipe',
        on: '2026-03-04',
        entries: [
          { id: 'end', kind: 'point', reading_ft: 80, pass: 'back', point: 'MAIN' },
          ...(entries as Entry[]),
        ],
      },
    ],
    ...more,
  };
}
