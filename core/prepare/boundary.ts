import { leastPublic_ft } from '../excavation/hole-drafts.js';
import type { HoleCosts, HolePiece, PitKind } from '../excavation/hole-costs.js';
import type { Protection } from '../excavation/section.js';
import { closingCost } from '../methods/entry.js';
import type { Site } from '../methods/method.js';
import type { Track } from '../track/track.js';
import type { Pass, PassRule } from '../search/passes.js';
import { begins, ends, type Marks } from '../search/problem.js';
import {
  Arrives,
  arrivalNeeds,
  arrivesCount,
  departureNeeds,
  Departs,
  departsCount,
  noHole,
  type HoleLevels,
} from '../track/joins.js';

/** Pits first, then excavated feet in public ground (to 0.01 ft), then actions, packed into one integer. */
const pitTie = 1e11;
const publicHundredthTie = 1e4;
export const publicTie = (feet: number): number => Math.round(feet * 100) * publicHundredthTie;

const none: readonly Pass[] = [];
/** A separate pit begins an excavation and ends it. */
const both: Marks = 3;

/** A part of an excavation in whole millionths, as a pass pays for it. */
interface Paid {
  readonly cost: number;
  readonly tie: number;
  readonly isPublic: boolean;
}

/** Costs possible at one boundary, whatever meets there. Nothing is computed before a pass needs it. */
interface Boundary {
  /** Its fine break. */
  readonly fine: number;
  readonly isLast: boolean;
  /** The meeting of every arrival with every departure: arrival × departures + departure. */
  readonly meetings: Uint8Array;
  /** Passes already computed, by meeting × levels + level: many arrivals and departures meet alike. */
  readonly known: (readonly Pass[] | undefined)[];
}

/** How what arrives at a boundary meets what departs: everything that decides its passes besides the level. */
const Meeting = {
  Barred: 0,
  AfterNewPipe: 1,
  AfterNewPipeAtEnd: 2,
  ExposedPipe: 3,
  NewPipe: 4,
  NothingAsked: 5,
  NothingAskedAtEnd: 6,
  /** Only an open excavation would serve it. */
  Served: 7,
  Launch: 8,
  /** A launch pit whose pipe a burst lays. */
  LaunchPipeLaid: 9,
  Burst: 10,
} as const;
type Meeting = (typeof Meeting)[keyof typeof Meeting];

/**
 * All passes at every boundary, by arrival, open excavation and departure. New pipe opens and closes its excavation
 * with working room; a liner or burst that ends here needs a pit unless an insertion point, adjoining new pipe or an
 * open excavation serves it; a pit may be separate, open an excavation that continues, or close one that arrived. An
 * excavation keeps its protection until it closes; its beginnings and ends are marked, since none may begin too close
 * to another's end. `money` converts raw cost to whole millionths.
 */
export function boundaryPasses(site: Site, levels: HoleLevels, money: (raw: number) => number): PassRule {
  const { track, holes, insertable } = site;
  const boundaries = track.boundaries.map((fine, stop): Boundary => {
    const inserted = (insertable.upstream[stop] ? 1 : 0) + (insertable.downstream[stop] ? 2 : 0);
    return {
      fine,
      isLast: stop === track.boundaries.length - 1,
      meetings: meetingsWhere[inserted] ?? new Uint8Array(),
      known: [],
    };
  });
  const count = levels.all.length;
  const unchanged = levels.all.map((_, level): readonly Pass[] => [{ level, cost: 0, tie: 0 }]);
  const permit = money(track.prices.permit_per_hole);
  const on: Passing = { track, holes, levels, money, permit, unchanged };
  return (stop, arrives, level, departs) => {
    const boundary = boundaries[stop];
    if (!boundary || (departs === Departs.End) !== boundary.isLast) return none;
    const meeting = boundary.meetings[arrives * departsCount + departs] as Meeting;
    const at = meeting * count + level;
    return (boundary.known[at] ??= passesAt(on, boundary, meeting, level));
  };
}

/** Every meeting, by the ways a liner can be sent from the boundary without a pit: 1 upstream, 2 downstream. */
const meetingsWhere = [0, 1, 2, 3].map((inserted) =>
  Uint8Array.from({ length: arrivesCount * departsCount }, (_, at) => {
    const [arrives, departs] = [Math.floor(at / departsCount), at % departsCount];
    return meetingOf(arrives, departs, (inserted & 1) !== 0, (inserted & 2) !== 0);
  }),
);

function meetingOf(arrives: number, departs: number, up: boolean, down: boolean): Meeting {
  const atEnd = departs === Departs.End;
  if (arrives === Arrives.NewPipe) {
    // Two adjoining stretches of new pipe are one.
    if (departs === Departs.NewPipe || departs === Departs.ExposedPipe) return Meeting.Barred;
    return atEnd ? Meeting.AfterNewPipeAtEnd : Meeting.AfterNewPipe;
  }
  if (departs === Departs.ExposedPipe) return Meeting.ExposedPipe;
  if (departs === Departs.NewPipe) return Meeting.NewPipe;
  const [into, out] = [arrivalNeeds[arrives], departureNeeds[departs]];
  // Two adjoining liners, one of them sectional, would be one.
  if (into?.liner && out?.liner && (into.liner === 'short' || out.liner === 'short')) return Meeting.Barred;
  const upstream = up ? undefined : into?.inserts;
  const downstream = down ? undefined : out?.inserts;
  const burst = into?.burst ?? out?.burst ?? false;
  if (!upstream && !downstream && !burst) return atEnd ? Meeting.NothingAskedAtEnd : Meeting.NothingAsked;
  if (upstream === 'served' || downstream === 'served') return Meeting.Served;
  if (into?.burst) return Meeting.Burst;
  return burst ? Meeting.LaunchPipeLaid : Meeting.Launch;
}

/** The line and the levels of its search: the protections of its excavations. */
interface Passing {
  readonly track: Track;
  readonly holes: HoleCosts;
  readonly levels: HoleLevels;
  money: (raw: number) => number;
  readonly permit: number;
  /** The pass that changes nothing, by level. */
  readonly unchanged: readonly (readonly Pass[])[];
}

function passesAt(on: Passing, boundary: Boundary, meeting: Meeting, level: number): readonly Pass[] {
  const open = heldAt(on, level) !== undefined;
  switch (meeting) {
    case Meeting.Barred:
      return none;
    case Meeting.AfterNewPipe:
    case Meeting.AfterNewPipeAtEnd:
      return afterNewPipe(on, boundary, level);
    case Meeting.ExposedPipe:
      return open ? none : goOn(on, level);
    case Meeting.NewPipe:
      return beforeNewPipe(on, boundary, level);
    case Meeting.NothingAsked:
      return goOn(on, level);
    case Meeting.NothingAskedAtEnd:
      return open ? none : ended;
    case Meeting.Served:
      return served(on, boundary, level);
    case Meeting.Launch:
      return byPit(on, boundary, { kind: 'launch', closed: true }, level);
    case Meeting.LaunchPipeLaid:
      return byPit(on, boundary, { kind: 'launch', closed: false }, level);
    case Meeting.Burst:
      return byPit(on, boundary, { kind: 'burst', closed: false }, level);
  }
}

const ended: readonly Pass[] = [{ level: noHole, cost: 0, tie: 0 }];
const goOn = ({ unchanged }: Passing, level: number): readonly Pass[] => unchanged[level] ?? none;

/** Protection of the excavation open on a level; undefined where none is open. */
function heldAt({ levels }: Passing, level: number): Protection | undefined {
  const hole = levels.all[level];
  return hole?.open ? hole.held : undefined;
}

function paidFor({ money }: Passing, piece: HolePiece | undefined): Paid | undefined {
  return (
    piece && {
      cost: money(piece.cost),
      tie: publicTie(piece.public_ft),
      isPublic: piece.public_ft > leastPublic_ft,
    }
  );
}

/** Permit for what is dug here, unless the open excavation has already paid it. */
function permitFor({ levels, permit }: Passing, { isPublic }: Paid, level: number): number {
  const hole = levels.all[level];
  return isPublic && !(hole?.open && hole.paid) ? permit : 0;
}

/** An open excavation serves whatever lies in it, except at the end of the line, where none may stay open. */
const served = (on: Passing, { isLast }: Boundary, level: number): readonly Pass[] =>
  isLast || heldAt(on, level) === undefined ? none : goOn(on, level);

function afterNewPipe(on: Passing, boundary: Boundary, level: number): readonly Pass[] {
  const held = heldAt(on, level);
  if (held === undefined) return boundary.isLast ? ended : goOn(on, level);
  const closeDig = paidFor(on, on.holes.closeDig(boundary.fine, held));
  const closed: readonly Pass[] = closeDig
    ? [
        {
          level: noHole,
          cost: closeDig.cost + permitFor(on, closeDig, level),
          tie: closeDig.tie,
          marks: ends,
        },
      ]
    : none;
  return boundary.isLast ? closed : [...closed, ...goOn(on, level)];
}

function beforeNewPipe(on: Passing, boundary: Boundary, level: number): readonly Pass[] {
  if (heldAt(on, level) !== undefined) return goOn(on, level);
  return on.holes.protections.flatMap((held): Pass[] => {
    const openDig = paidFor(on, on.holes.openDig(boundary.fine, held));
    if (!openDig) return [];
    return [
      {
        level: on.levels.of(held, openDig.isPublic),
        cost: openDig.cost + permitFor(on, openDig, noHole),
        tie: openDig.tie + pitTie,
        marks: begins,
      },
    ];
  });
}

/** An open excavation, or a pit that opens one, closes it or is separate; `closed` with pipe of its own. */
function byPit(
  on: Passing,
  boundary: Boundary,
  { kind, closed }: { readonly kind: PitKind; readonly closed: boolean },
  level: number,
): readonly Pass[] {
  const inOpen = served(on, boundary, level);
  const pit = on.holes.pit(boundary.fine, kind);
  if (!pit) return inOpen;
  const pipe = closed ? on.money(closingCost(on.track, boundary.fine)) : 0;
  const held = heldAt(on, level);
  if (held !== undefined) {
    const close = paidFor(on, pit.close[held]);
    if (!close) return inOpen;
    const cost = pipe + on.money(pit.widerUpstream(held)) + close.cost + permitFor(on, close, level);
    return [...inOpen, { level: noHole, cost, tie: close.tie, marks: ends }];
  }
  const alone = paidFor(on, pit.alone);
  const stands: Pass[] = alone
    ? [
        {
          level: noHole,
          cost: pipe + alone.cost + permitFor(on, alone, noHole),
          tie: alone.tie + pitTie,
          marks: both,
        },
      ]
    : [];
  if (boundary.isLast) return stands;
  const opened = on.holes.protections.flatMap((protection): Pass[] => {
    const open = paidFor(on, pit.open[protection]);
    if (!open) return [];
    const cost = pipe + open.cost + on.money(pit.widerDownstream(protection)) + permitFor(on, open, noHole);
    return [{ level: on.levels.of(protection, open.isPublic), cost, tie: open.tie + pitTie, marks: begins }];
  });
  return [...stands, ...opened];
}
