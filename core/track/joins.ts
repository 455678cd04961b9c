/**
 * What meets at a boundary. What arrives from upstream: the start of the line, a gap, a liner that owes no pit here, a
 * liner inserted here from its downstream end, a burst, new pipe.
 */
export const Arrives = { Start: 0, Gap: 1, Liner: 2, LinerInserted: 3, Burst: 4, NewPipe: 5 } as const;
export type Arrives = (typeof Arrives)[keyof typeof Arrives];
export const arrivesCount = 6;

/**
 * What departs downstream: a gap; a liner inserted here, at its other end, or from further off; new pipe in a hole or
 * along exposed pipe; a burst; the end of the line.
 */
export const Departs = {
  Gap: 0,
  LinerInserted: 1,
  LinerOwing: 2,
  LinerFromAccess: 3,
  NewPipe: 4,
  ExposedPipe: 5,
  Burst: 6,
  End: 7,
} as const;
export type Departs = (typeof Departs)[keyof typeof Departs];
export const departsCount = 8;

/** One way an action may be done: what departs from its upstream boundary, what arrives at its downstream one. */
export type Join = readonly [Departs, Arrives];

/** No hole, an open hole, an open hole whose permit is paid. */
export const Hole = { None: 0, Open: 1, Paid: 2 } as const;
export type HoleLevel = (typeof Hole)[keyof typeof Hole];
