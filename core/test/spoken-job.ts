import type { Entry, Job, Line } from '../job/schema.js';
import { parseLogLine } from '../logline/parse.js';

/** An invented job with its log typed as spoken, on a run zeroed in the pipe of its first cleanout. */
export function spokenJob(
  title: string,
  log: readonly string[],
  { rules, prices, ...line }: Partial<Line> & Pick<Job, 'rules' | 'prices'> = {},
): Job {
  const base: Line = {
    id: 'house',
    datum: 'CO1',
    end: 'MAIN',
    pipe: { material: 'clay', diameter_in: 4 },
    points: [
      { id: 'CO1', kind: 'cleanout', diameter_in: 4, ways: 2 },
      { id: 'MAIN', kind: 'main' },
    ],
    owners: [{ from: 'CO1', to: 'MAIN', owner: 'private' }],
    soil: 'B',
    runs: [],
    ...line,
  };
  const points = [...base.points];
  const entries: Entry[] = [];
  for (const text of log) {
    for (const part of parseLogLine(text, {
      pass: 'back',
      pipesRun: 'downstream',
      end: base.end,
      access: 'CO1',
      points,
      entries,
    })) {
      if (!part.entry || part.errors.length > 0) {
        throw new Error(`“${text}”: ${part.errors.map(({ message }) => message).join('; ')}`);
      }
      if (part.point && !points.some(({ id }) => id === part.point?.id)) points.push(part.point);
      entries.push({ ...part.entry, id: `e${entries.length + 1}` });
    }
  }
  return {
    format: 'open-trench-job',
    version: 1,
    title,
    inspectedOn: '2026-04-02',
    ...(rules ? { rules } : {}),
    ...(prices ? { prices } : {}),
    lines: [
      {
        ...base,
        points,
        runs: [{ id: 'R1', access: 'CO1', direction: 'downstream', zero: 'pipe', on: '2026-04-02', entries }],
      },
    ],
  };
}

/** Depths of the invert at both ends of a line, ft. */
export const deep = (upstream: number, downstream: number, length = 80) => [
  { station_ft: 0, invert_ft: upstream },
  { station_ft: length, invert_ft: downstream },
];
