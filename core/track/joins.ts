import type { Protection } from '../excavation/section.js';

/**
 * What meets at a boundary. What arrives from upstream: the start of the line, a gap, a liner that owes no pit here, a
 * liner inserted here from its downstream end (by a pit or anything else, or by anything but a pit), a burst, new pipe.
 * Sectional liners are told apart, for two liners one of which is sectional never touch.
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
 * What departs downstream: a gap; a liner inserted here (by a pit or anything else, or by anything but a pit), or at its
 * other end; a sectional liner alike, or sent from further off; new pipe in a hole or along exposed pipe; a burst, and
 * one with pits of its own between its ends; the end of the line.
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

/** One way an action may be done: what departs from its upstream boundary, what arrives at its downstream one. */
export type Join = readonly [Departs, Arrives];

/** What each arrival and departure asks of a boundary. */
interface Asks {
  /** A liner goes in here: by a pit too, or only by what serves without one. */
  readonly inserts?: 'pit' | 'served';
  readonly liner?: 'line' | 'short';
  readonly burst?: true;
}
const line = { liner: 'line' } as const;
const short = { liner: 'short' } as const;
const byPit = { inserts: 'pit' } as const;
const served = { inserts: 'served' } as const;

export const arrivalAsks: readonly Asks[] = [
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
export const departureAsks: readonly Asks[] = [
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

/** What is open over a stretch: no hole, or an open one, held one way, whose permit is paid or not. */
export type HoleLevel =
  { readonly open: false } | { readonly open: true; readonly held: Protection; readonly paid: boolean };

/** The levels of a search, and how they are numbered. */
export interface HoleLevels {
  readonly all: readonly HoleLevel[];
  of: (held: Protection, paid: boolean) => number;
}
export const noHole = 0;

/** Levels for the ways of holding a hole that matter on a line; a permit needs levels only where one may be due. */
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
