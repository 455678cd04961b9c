import type { Protection } from '../excavation/section.js';

/**
 * What arrives at a boundary from upstream: the start of the line, a gap, a liner that needs no pit here, a liner
 * inserted here from its downstream end (through a pit or anything else, or through anything but a pit), a burst, new
 * pipe. Sectional liners are separate, since a sectional liner never touches another liner.
 */
export const Arrives = {
  Start: 0,
  Gap: 1,
  Liner: 2,
  LinerInserted: 3,
  LinerServed: 4,
  Short: 5,
  ShortInserted: 6,
  ShortServed: 7,
  Burst: 8,
  NewPipe: 9,
} as const;
export type Arrives = (typeof Arrives)[keyof typeof Arrives];
export const arrivesCount = 10;

/**
 * What departs downstream: a gap; a liner inserted here (through a pit or anything else, or through anything but a
 * pit), or at its other end; a sectional liner likewise, or pushed from farther away; new pipe in an excavation or
 * along exposed pipe; a burst, and one with pits between its ends; the end of the line.
 */
export const Departs = {
  Gap: 0,
  LinerInserted: 1,
  LinerServed: 2,
  LinerOwing: 3,
  ShortInserted: 4,
  ShortServed: 5,
  ShortOwing: 6,
  ShortFromAccess: 7,
  NewPipe: 8,
  ExposedPipe: 9,
  Burst: 10,
  BurstWithPits: 11,
  End: 12,
} as const;
export type Departs = (typeof Departs)[keyof typeof Departs];
export const departsCount = 13;

/** One way to do an action: what departs from its upstream boundary, what arrives at its downstream one. */
export type Join = readonly [Departs, Arrives];

/** Requirements of each arrival and departure at a boundary. */
interface Needs {
  /** A liner is inserted here: also through a pit, or only through what needs none. */
  readonly inserts?: 'pit' | 'served';
  readonly liner?: 'line' | 'short';
  readonly burst?: true;
}
const line = { liner: 'line' } as const;
const short = { liner: 'short' } as const;
const byPit = { inserts: 'pit' } as const;
const served = { inserts: 'served' } as const;

export const arrivalNeeds: readonly Needs[] = [
  {},
  {},
  line,
  { ...line, ...byPit },
  { ...line, ...served },
  short,
  { ...short, ...byPit },
  { ...short, ...served },
  { burst: true },
  {},
];
export const departureNeeds: readonly Needs[] = [
  {},
  { ...line, ...byPit },
  { ...line, ...served },
  line,
  { ...short, ...byPit },
  { ...short, ...served },
  short,
  short,
  {},
  {},
  { burst: true },
  { burst: true },
  {},
];

/** What is open over a stretch: no excavation, or an open one with its protection, its permit paid or not. */
export type HoleLevel =
  { readonly open: false } | { readonly open: true; readonly held: Protection; readonly paid: boolean };

/** The levels of a search, and their numbering. */
export interface HoleLevels {
  readonly all: readonly HoleLevel[];
  of: (held: Protection, paid: boolean) => number;
}
export const noHole = 0;

/** Levels for the protections that matter on a line; permits add levels only where one may be due. */
export function holeLevels(ways: readonly Protection[], permits: boolean): HoleLevels {
  const open = ways.flatMap((held): HoleLevel[] => [
    { open: true, held, paid: false },
    ...(permits ? [{ open: true as const, held, paid: true }] : []),
  ]);
  const all: HoleLevel[] = [{ open: false }, ...open];
  return {
    all,
    of: (held, paid) =>
      all.findIndex((level) => level.open && level.held === held && level.paid === (paid && permits)),
  };
}
