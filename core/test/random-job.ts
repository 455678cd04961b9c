import { readJob } from '../files/read.js';
import type { Job } from '../job/schema.js';
import { source } from '../source.js';
import { schools, surfaceKinds } from '../job/vocabulary.js';

export interface RandomOptions {
  readonly length_ft?: readonly [number, number];
  readonly lines?: number;
  /** At most this many findings; `exactly` this many. */
  readonly findings?: number;
  readonly exactly?: boolean;
}

/** An invented job with a bit of everything: materials, surfaces, depths, owners, pins, cleanouts, rates. */
export function randomJob(seed: number, options: RandomOptions = {}): Job {
  const from = source(seed);
  const lines = Array.from({ length: options.lines ?? 1 }, (_, i) => randomLine(from, `L${i + 1}`, options));
  const raw = {
    format: 'open-trench-job',
    version: 1,
    title: `random ${seed}`,
    lines,
    rules: {
      school: from.pick(schools),
      ...(from.chance(0.2) ? { publicPart: 'owner' } : {}),
      ...(from.chance(0.2) ? { transitionLiner: true } : {}),
      ...(from.chance(0.3) ? { leastNewPipe_ft: from.pick([1, 2, 4]) } : {}),
      leastLongLiner_ft: from.pick([0, 2, 10]),
      ...(from.chance(0.5) ? { holesApart_ft: from.pick([0, 1]) } : {}),
    },
    prices: {
      mobilisation: {
        line: from.pick([200, 1450, 4000]),
        burst: from.pick([300, 2100]),
        spot: from.pick([100, 650]),
      },
      permit_per_hole: from.pick([0, 300, 2500]),
      shield_per_ft2: from.pick([6, 11, 40]),
      ...(from.chance(0.3) ? { markup: 0.2, tax: 0.08 } : {}),
      ...(from.chance(0.3)
        ? {
            digTo5_per_yd3: 20,
            digBelow5_per_yd3: 30,
            backfill_per_yd3: 10,
            support_per_ft2: from.pick([1, 30]),
          }
        : {}),
    },
  };
  const read = readJob(raw);
  if (!read.job) throw new Error(`random job ${seed}: ${JSON.stringify(read.faults)}`);
  return read.job;
}

const splitAt = (station: number) => ({ from_ft: station, to_ft: station, split: true });

type Source = ReturnType<typeof source>;

function randomLine(from: Source, id: string, options: RandomOptions) {
  const [shortest, longest] = options.length_ft ?? [14, 34];
  const length = from.between(shortest, longest);
  const at = () => from.between(0, length);
  const stretch = () => [at(), at()].sort((a, b) => a - b) as [number, number];
  const middle = from.between(length * 0.3, length * 0.7);
  const main = {
    material: from.pick(['clay', 'concrete', 'fibre', 'cast-iron']),
    diameter_in: from.pick([4, 6]),
  };
  const entries: object[] = [
    { id: 'end', kind: 'point', reading_ft: length, pass: 'back', point: 'MAIN' },
    ...(from.chance(0.7)
      ? [
          {
            id: 'ch',
            kind: 'change',
            reading_ft: middle,
            upstream: { material: 'pvc-sch40', diameter_in: 4 },
            downstream: main,
          },
        ]
      : []),
  ];
  const most = options.findings ?? 5;
  for (let i = options.exactly ? most : from.count(most); i > 0; i--)
    entries.push(randomFinding(from, length, i));
  if (from.chance(0.3)) {
    const [a, b] = stretch();
    entries.push({ id: 'hid', kind: 'hidden', reading_ft: a, to_ft: Math.min(b, a + 3) });
  }
  const stretches = <T extends object>(most: number, make: () => T) =>
    Array.from({ length: from.count(most) }, () => {
      const [from_ft, to_ft] = stretch();
      return { from_ft, to_ft, ...make() };
    }).filter(({ from_ft, to_ft }) => to_ft - from_ft > 0.3);
  return {
    id,
    datum: 'CO1',
    end: 'MAIN',
    pipe: { ...main, ...(from.chance(0.4) ? { piece_ft: 3 } : {}) },
    points: randomPoints(from, at),
    depths: randomDepths(from, length),
    surfaces: stretches(3, () => ({ kind: from.pick(surfaceKinds) })),
    owners: [
      { from_ft: 0, to_ft: length, owner: 'private' },
      ...(from.chance(0.5)
        ? [{ from_ft: middle, to_ft: length, owner: from.chance(0.85) ? 'public' : 'neighbour' }]
        : []),
    ],
    noDig: stretches(from.chance(0.25) ? 1 : 0, () => ({ why: 'tree' })),
    crossings: from.chance(0.3) ? [{ station_ft: at(), utility: 'gas', depth_ft: 3 }] : [],
    soil: from.pick(['A', 'B', 'C', 'rock', 'unknown']),
    groundwater_ft: from.between(2, 9),
    runs: [{ id: 'R1', access: 'CO1', direction: 'downstream', zero: 'pipe', entries }],
    pins: randomPins(from, at, stretches),
  };
}

const randomDepths = (from: Source, length: number) => [
  { station_ft: 0, invert_ft: from.between(1.5, 5) },
  ...(from.chance(0.85) ? [{ station_ft: length, invert_ft: from.between(2.5, 8) }] : []),
];

/** Cleanouts, the main, and now and then a branch, a bend or a valve. */
const randomPoints = (from: Source, at: () => number) => [
  {
    id: 'CO1',
    kind: 'cleanout',
    ways: from.pick([1, 2]),
    faces: from.pick(['upstream', 'downstream']),
    riser_ft: 2,
    usable: from.chance(0.6),
    diameter_in: from.pick([4, 6]),
  },
  { id: 'MAIN', kind: 'main', ...(from.chance(0.2) ? { connection: 'manhole' } : {}) },
  ...(from.chance(0.3)
    ? [{ id: 'CO2', kind: 'cleanout', station_ft: at(), usable: true, diameter_in: 6 }]
    : []),
  ...(from.chance(0.4) ? [{ id: 'T1', kind: 'tie-in', station_ft: at() }] : []),
  ...(from.chance(0.15) ? [{ id: 'T2', kind: 'tie-in', station_ft: at() }] : []),
  ...(from.chance(0.1) ? [{ id: 'D1', kind: 'drop', station_ft: at() }] : []),
  ...(from.chance(0.2)
    ? [{ id: 'B1', kind: 'bend', station_ft: at(), degrees: from.pick([10, 22, 45, 95, undefined]) }]
    : []),
  ...(from.chance(0.1) ? [{ id: 'V1', kind: 'valve', station_ft: at() }] : []),
];

/** A finding of any common kind, of any size, anywhere on the line. */
function randomFinding(from: Source, length: number, i: number) {
  const reading_ft = from.between(0, length);
  const base = {
    id: `f${i}`,
    kind: 'finding',
    reading_ft,
    pass: from.pick(['out', 'back']),
    ...(from.chance(0.1) ? { possible: true } : {}),
  };
  switch (from.count(10)) {
    case 9:
      return { ...base, finding: 'deposit', of: 'scale', percent: from.between(10, 70, 1) };
    case 10:
      return { ...base, finding: 'infiltration', form: from.pick(['weeping', 'running']) };
    case 0:
      return { ...base, finding: 'crack', form: from.pick(['hairline', 'along', 'around', 'several']) };
    case 1:
      return { ...base, finding: 'broken' };
    case 2:
      return { ...base, finding: 'offset', inches: from.between(0.1, 1.4) };
    case 3:
      return { ...base, finding: 'roots', percent: from.between(2, 60, 1) };
    case 4:
      return {
        ...base,
        finding: 'belly',
        to_ft: Math.min(length, reading_ft + from.between(1, 6)),
        inches: from.between(0.2, 1.6),
      };
    case 5:
      return { ...base, finding: 'separation', inches: from.between(0.2, 2.4) };
    case 6:
      return { ...base, finding: 'intrusion', percent: from.between(5, 30, 1) };
    case 7:
      return { ...base, finding: 'collapse' };
    default:
      return {
        ...base,
        finding: 'crack',
        form: 'along',
        to_ft: Math.min(length, reading_ft + from.between(1, 13)),
      };
  }
}

type Stretches = <T extends object>(
  most: number,
  make: () => T,
) => (T & { from_ft: number; to_ft: number })[];

const randomPins = (from: Source, at: () => number, stretches: Stretches) => [
  ...stretches(from.chance(0.35) ? 1 : 0, () =>
    from.chance(0.5)
      ? { never: [from.pick(['line', 'spot', 'open-cut', 'leave'])] }
      : {
          method: from.pick(['line', 'open-cut', 'clean', 'burst']),
          ...(from.chance(0.5) ? { endsHere: from.pick([['from'], ['to'], ['from', 'to']]) } : {}),
        },
  ),
  ...(from.chance(0.2) ? [splitAt(at())] : []),
];
