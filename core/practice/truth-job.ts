import type { Entry, Job, Point } from '../job/schema.js';
import type { SimulatedPipe, SimulatedThing } from './pipe.js';

/** The job a practice begins with: what a customer would say and a locator shows, nothing of the inside. */
export function practiceJob(pipe: SimulatedPipe): Job {
  const [first] = pipe.stretches;
  return {
    format: 'open-trench-job',
    version: 1,
    title: `Practice: ${pipe.name}`,
    reason: 'backup',
    lines: [
      {
        id: 'house',
        name: 'House line',
        datum: 'CO1',
        end: 'MAIN',
        pipe: { material: first?.material ?? 'unknown', diameter_in: first?.diameter_in ?? 4 },
        points: [
          ...pipe.accesses.map(({ id, name, riser_ft, at_ft }): Point => ({
            id,
            kind: 'cleanout',
            name,
            ways: 2,
            diameter_in: 4,
            riser_ft,
            // The second was taped on the surface.
            ...(at_ft > 0 ? { station_ft: at_ft, plusMinus_ft: 1 } : {}),
          })),
          { id: 'MAIN', kind: 'main', name: 'main' },
        ],
        depths: [
          { station_ft: 0, invert_ft: pipe.depth_ft[0] },
          { station_ft: pipe.length_ft, invert_ft: pipe.depth_ft[1] },
        ],
        surfaces: [{ from_ft: 0, to_ft: pipe.length_ft, kind: 'lawn' }],
        owners: [{ from_ft: 0, to_ft: pipe.length_ft, owner: 'private' }],
        soil: 'B',
        runs: pipe.accesses.map(({ id }, i) => ({
          id: `R${i + 1}`,
          access: id,
          direction: 'downstream',
          zero: 'cap',
          entries: [],
        })),
      },
    ],
  };
}

/** The same job read without a mistake: everything at its true station, and all of it seen. */
export function truthJob(pipe: SimulatedPipe): Job {
  const job = practiceJob(pipe);
  return {
    ...job,
    lines: job.lines.map((line) => ({
      ...line,
      points: [...line.points, ...pipe.things.flatMap(pointOf)],
      runs: line.runs.map((run, i) =>
        i === 0 ? { ...run, zero: 'pipe' as const, entries: entriesOf(pipe) } : run,
      ),
    })),
  };
}

const pointId = ({ what, at_ft }: SimulatedThing) => `${what} ${at_ft}`;

const pointOf = (thing: SimulatedThing): Point[] =>
  thing.what === 'tie-in'
    ? [{ id: pointId(thing), kind: 'tie-in', name: 'branch', diameter_in: thing.inches ?? 2 }]
    : thing.what === 'bend'
      ? [{ id: pointId(thing), kind: 'bend', name: 'bend', degrees: 45 }]
      : [];

function entriesOf({ things, sags, stretches, length_ft }: SimulatedPipe): Entry[] {
  const at = (reading_ft: number, id: string) => ({ id, reading_ft, pass: 'back' as const });
  return [
    ...stretches.slice(1).map((each, i): Entry => ({
      ...at(each.from_ft, `change ${i}`),
      kind: 'change',
      downstream: { material: each.material, diameter_in: each.diameter_in },
    })),
    ...things.flatMap((thing): Entry[] => {
      const held = at(thing.at_ft, `${thing.what} at ${thing.at_ft}`);
      const clock =
        thing.clock === undefined
          ? {}
          : { clock: typeof thing.clock === 'number' ? thing.clock : ([...thing.clock] as [number, number]) };
      switch (thing.what) {
        case 'main':
          return [{ ...held, kind: 'point', point: 'MAIN' }];
        case 'cleanout':
          return [{ ...held, kind: 'point', point: 'CO2' }];
        case 'tie-in':
        case 'bend':
          return [{ ...held, kind: 'point', point: pointId(thing), ...clock }];
        case 'roots':
          return [
            { ...held, kind: 'finding', finding: 'roots', percent: thing.percent, atJoint: true, ...clock },
          ];
        case 'deposit':
          return [
            { ...held, kind: 'finding', finding: 'deposit', of: 'grease', percent: thing.percent, ...clock },
          ];
        case 'crack':
          return [{ ...held, kind: 'finding', finding: 'crack', form: thing.form, ...clock }];
        case 'offset':
          return [{ ...held, kind: 'finding', finding: 'offset', inches: thing.inches, ...clock }];
        case 'separation':
          return [{ ...held, kind: 'finding', finding: 'separation', inches: thing.inches, atJoint: true }];
        case 'hole':
          return [{ ...held, kind: 'finding', finding: 'hole', ...clock }];
      }
    }),
    ...sags.map(({ from_ft, to_ft, inches }, i): Entry => ({
      ...at(from_ft, `belly ${i}`),
      to_ft,
      kind: 'finding',
      finding: 'belly',
      inches,
    })),
    { ...at(0, 'seen from'), kind: 'note', note: 'seen from here' },
    { ...at(length_ft, 'stop'), kind: 'stop', why: 'main' },
  ];
}
