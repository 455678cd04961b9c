import type { Material } from '../job/vocabulary.js';
import { source } from '../source.js';
import type { ReelFaults, SimulatedPipe, SimulatedThing } from './pipe.js';

/** How hard a pipe is to read. */
export interface Level {
  readonly level: 1 | 2 | 3 | 4 | 5;
  readonly name: string;
  /** What it takes to read it, in a sentence. */
  readonly asks: string;
}

export const levels: readonly Level[] = [
  {
    level: 1,
    name: 'Plastic, 30 ft',
    asks: 'One material, a branch, a bend and one thing wrong. Learn the counter.',
  },
  {
    level: 2,
    name: 'Clay with joints, 50 ft',
    asks: 'Plastic, then clay: roots, a crack and an offset, each at its clock position.',
  },
  {
    level: 3,
    name: 'Iron, clay and a belly, 65 ft',
    asks: 'The picture is turned: say where the water lies. Five things, and standing water with two ends.',
  },
  {
    level: 4,
    name: 'Three materials and a blockage, 80 ft',
    asks: 'Slack cable, a counter that slips, and roots to clean before you get past them.',
  },
  {
    level: 5,
    name: 'Rolled, two accesses, half under water, 105 ft',
    asks: 'Long water over the lens, three materials, eight things, two cleanouts. What you cannot see is not sound.',
  },
];

interface Recipe {
  readonly length_ft: readonly [number, number];
  readonly materials: readonly (readonly Material[])[];
  readonly wrong: readonly SimulatedThing['what'][];
  readonly branches: number;
  readonly faults: Omit<ReelFaults, 'slips'>;
  readonly slips: number;
  readonly sags: readonly {
    readonly length_ft: readonly [number, number];
    readonly inches: readonly [number, number];
  }[];
  readonly blocked?: true;
  readonly secondAccess?: true;
}

const steady = { scale: 1.003, bow: 0.004, roll_h: 0, tilt: 0.04 };

/** Contents of the pipe at each level: how many defects, drawn from which kinds. */
const recipes: Readonly<Record<Level['level'], Recipe>> = {
  1: {
    length_ft: [27, 33],
    materials: [['abs'], ['pvc-sch40'], ['pvc-sdr35']],
    wrong: ['separation'],
    branches: 1,
    faults: steady,
    slips: 0,
    sags: [],
  },
  2: {
    length_ft: [46, 55],
    materials: [
      ['abs', 'clay'],
      ['pvc-sch40', 'clay'],
    ],
    wrong: ['roots', 'crack', 'offset'],
    branches: 1,
    faults: { ...steady, tilt: 0.06 },
    slips: 0,
    sags: [],
  },
  3: {
    length_ft: [60, 70],
    materials: [['cast-iron', 'clay']],
    wrong: ['roots', 'roots', 'crack', 'separation', 'deposit'],
    branches: 1,
    faults: { scale: 1.006, bow: 0.008, roll_h: 1.4, tilt: 0.08 },
    slips: 0,
    sags: [{ length_ft: [5, 9], inches: [0.8, 1.4] }],
  },
  4: {
    length_ft: [74, 86],
    materials: [
      ['cast-iron', 'clay', 'pvc-sdr35'],
      ['abs', 'cast-iron', 'clay'],
    ],
    wrong: ['roots', 'crack', 'crack', 'offset', 'hole', 'separation'],
    branches: 2,
    faults: { scale: 1.012, bow: 0.02, roll_h: 1.5, tilt: 0.1 },
    slips: 1,
    sags: [{ length_ft: [4, 7], inches: [0.6, 1.2] }],
    blocked: true,
  },
  5: {
    length_ft: [98, 112],
    materials: [
      ['cast-iron', 'clay', 'concrete'],
      ['abs', 'clay', 'cast-iron'],
    ],
    wrong: ['roots', 'roots', 'crack', 'crack', 'offset', 'separation', 'hole', 'deposit'],
    branches: 2,
    faults: { scale: 1.012, bow: 0.02, roll_h: 2.2, tilt: 0.13 },
    slips: 1,
    sags: [
      { length_ft: [20, 26], inches: [2.6, 3.2] },
      { length_ft: [18, 22], inches: [2.3, 2.9] },
    ],
    secondAccess: true,
  },
};

const piece_ft: Partial<Record<Material, number>> = {
  clay: 3,
  concrete: 4,
  'cast-iron': 5,
  'pvc-sdr35': 10,
  'pvc-sch40': 10,
  abs: 10,
};
const joined = new Set<SimulatedThing['what']>(['roots', 'offset', 'separation']);
/** No two things are closer than this, so that they can be told apart, ft. */
const apart_ft = 2.6;
/** Roots this thick stop the head until they are cleaned, percent. */
const blocks_percent = [62, 80] as const;

/** An invented pipe of a level: the same seed gives the same pipe on every machine. Seeds are whole numbers from 1. */
export function inventPipe(level: Level['level'], seed: number): SimulatedPipe {
  const from = source(seed * 31 + level * 7919);
  const recipe = recipes[level];
  const tenth = (range: readonly [number, number]) => Math.round(from.between(range[0], range[1]) * 10) / 10;
  const length_ft = tenth(recipe.length_ft);
  const stretches = stretchesOf(from.pick(recipe.materials), length_ft, tenth);
  const place = placer(stretches, length_ft, tenth);
  const things: SimulatedThing[] = recipe.wrong.map((what) => thingOf(what, place(what), from));
  if (recipe.blocked) {
    const at = place('roots');
    things.push({
      at_ft: at,
      what: 'roots',
      percent: Math.round(from.between(...blocks_percent, 1)),
      clock: [8, 4],
    });
  }
  for (let i = 0; i < recipe.branches; i++)
    things.push({
      at_ft: place('tie-in'),
      what: 'tie-in',
      clock: from.pick([2, 3, 9, 10]),
      inches: from.pick([2, 3]),
    });
  things.push({ at_ft: place('bend'), what: 'bend', clock: from.pick([3, 9]) });
  const second = recipe.secondAccess ? place('cleanout') : undefined;
  if (second !== undefined) things.push({ at_ft: second, what: 'cleanout' });
  things.push({ at_ft: length_ft, what: 'main' });
  return {
    id: `${level}-${seed}`,
    name: levels.find((each) => each.level === level)?.name ?? '',
    length_ft,
    accesses: [
      { id: 'CO1', name: 'house cleanout', at_ft: 0, riser_ft: tenth([0.8, 2.2]) },
      ...(second === undefined
        ? []
        : [{ id: 'CO2', name: 'garden cleanout', at_ft: second, riser_ft: tenth([1.5, 3]) }]),
    ],
    stretches,
    things: things.sort((a, b) => a.at_ft - b.at_ft),
    sags: sagsOf(recipe, length_ft, tenth),
    depth_ft: [tenth([1.8, 2.6]), tenth([5, 7.5])],
    faults: {
      ...recipe.faults,
      slips: Array.from({ length: recipe.slips }, () => ({
        at_ft: tenth([length_ft * 0.3, length_ft * 0.6]),
        lost_ft: tenth([0.8, 1.6]),
      })),
    },
  };
}

/** Gives each thing a place of its own: at a joint where it belongs to one, never too close to another. */
function placer(
  stretches: SimulatedPipe['stretches'],
  length_ft: number,
  tenth: (range: readonly [number, number]) => number,
): (what: SimulatedThing['what']) => number {
  const taken: number[] = [0, length_ft, ...stretches.slice(1).map((each) => each.from_ft)];
  return (what) => {
    for (let tries = 0; ; tries++) {
      let at = tenth([3, length_ft - 3]);
      const stretch = stretches.find((each) => at >= each.from_ft && at < each.to_ft);
      if (joined.has(what) && stretch?.piece_ft)
        at = round(
          stretch.from_ft +
            Math.max(1, Math.round((at - stretch.from_ft) / stretch.piece_ft)) * stretch.piece_ft,
        );
      const free = at > 2 && at < length_ft - 2 && taken.every((each) => Math.abs(each - at) >= apart_ft);
      // A short pipe may run out of room: the remaining things are placed a little closer.
      if (free || tries > 400) {
        taken.push(at);
        return at;
      }
    }
  };
}

const round = (feet: number): number => Math.round(feet * 10) / 10;

function stretchesOf(
  materials: readonly Material[],
  length_ft: number,
  tenth: (range: readonly [number, number]) => number,
): SimulatedPipe['stretches'] {
  let at = 0;
  return materials.map((material, i) => {
    const to_ft =
      i === materials.length - 1
        ? length_ft
        : round(at + tenth([0.8, 1.2]) * (length_ft / materials.length) * (i === 0 ? 0.7 : 1));
    const stretch = {
      from_ft: at,
      to_ft,
      material,
      diameter_in: 4,
      ...(piece_ft[material] ? { piece_ft: piece_ft[material] } : {}),
    };
    at = to_ft;
    return stretch;
  });
}

/** One after the other along the pipe, without overlap. */
function sagsOf(
  { sags }: Recipe,
  length_ft: number,
  tenth: (range: readonly [number, number]) => number,
): SimulatedPipe['sags'] {
  const room = length_ft / Math.max(1, sags.length);
  return sags.map(({ length_ft: long, inches }, i) => {
    const own = tenth(long);
    const from_ft = round(i * room + tenth([3, Math.max(3.1, room - own - 3)]));
    return { from_ft, to_ft: round(from_ft + own), inches: tenth(inches) };
  });
}

function thingOf(
  what: SimulatedThing['what'],
  at_ft: number,
  from: ReturnType<typeof source>,
): SimulatedThing {
  switch (what) {
    case 'roots': {
      const start = from.pick([8, 9, 10, 11]);
      return {
        at_ft,
        what,
        percent: from.pick([10, 15, 20, 30, 40]),
        clock: [start, (start + from.pick([3, 4, 5])) % 12 || 12],
      };
    }
    case 'deposit':
      return { at_ft, what, percent: from.pick([10, 15, 25]), clock: [4, 8] };
    case 'crack': {
      const form = from.pick(['along', 'around', 'several', 'hairline'] as const);
      return { at_ft, what, form, ...(form === 'around' ? {} : { clock: from.pick([1, 2, 10, 11, 12]) }) };
    }
    case 'offset':
      return { at_ft, what, inches: from.pick([0.5, 0.75, 1, 1.25]), clock: from.pick([6, 12, 3, 9]) };
    case 'separation':
      return { at_ft, what, inches: from.pick([0.5, 0.75, 1, 1.5]) };
    default:
      return { at_ft, what, clock: from.pick([2, 4, 6, 8, 10]) };
  }
}
