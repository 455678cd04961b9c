import { leastPublic_ft } from '../excavation/hole-drafts.js';
import { byProtection, type HolePiece, type PitPieces } from '../excavation/hole-costs.js';
import type { Protection } from '../excavation/section.js';
import { closingCost } from '../methods/entry.js';
import type { Site } from '../methods/method.js';
import { begins, ends, type Marks, type Pass } from '../search/problem.js';
import { Arrives, arrivalAsks, departureAsks, Departs, noHole, type HoleLevels } from '../track/joins.js';

/** Pits first, then excavated feet in public ground (to 0.01 ft), then actions, packed into one integer. */
const pitTie = 1e11;
const publicHundredthTie = 1e4;
export const publicTie = (feet: number): number => Math.round(feet * 100) * publicHundredthTie;

const none: readonly Pass[] = [];
/** A pit that stands alone begins an excavation and ends it. */
const both: Marks = 3;

/** A part of an excavation in whole millionths, as a pass pays for it. */
interface Paid {
  readonly cost: number;
  readonly tie: number;
  readonly isPublic: boolean;
}
type Held<T> = Readonly<Record<Protection, T>>;
interface Pit {
  readonly open: Held<Paid | undefined>;
  readonly close: Held<Paid | undefined>;
  readonly widerUpstream: Held<number>;
  readonly widerDownstream: Held<number>;
  readonly alone: Paid | undefined;
}

/** Costs possible at one boundary, whatever meets there. */
interface Boundary {
  readonly permit: number;
  readonly openDig: Held<Paid | undefined>;
  readonly closeDig: Held<Paid | undefined>;
  readonly launch: Pit | undefined;
  readonly burst: Pit | undefined;
  /** Pipe that closes a launch pit. */
  readonly closing: number;
  /** A liner can be sent that way from here without a pit. */
  readonly inserted: { readonly upstream: boolean; readonly downstream: boolean };
  readonly isLast: boolean;
  /** Passes already computed: many pairs of arrivals and departures need the same ones. */
  readonly known: Map<number, readonly Pass[]>;
}

/**
 * All passes at every boundary, by arrival, open excavation and departure. New pipe opens and closes its excavation
 * with working room; a liner or burst that ends here needs a pit unless an insertion point, adjoining new pipe or an
 * open excavation serves it; a pit may stand alone, open an excavation that continues, or close one that arrived. An
 * excavation keeps its protection until it closes; its beginnings and ends are marked, since none may begin too close
 * to another's end. `money` converts raw cost to whole millionths.
 */
export function boundaryPasses(
  site: Site,
  levels: HoleLevels,
  money: (raw: number) => number,
): (stop: number, arrives: number, level: number, departs: number) => readonly Pass[] {
  const boundaries = site.track.boundaries.map((_, stop) => boundaryAt(site, stop, money));
  const at = passer(levels, site.holes.ways);
  return (stop, arrives, level, departs) => {
    const boundary = boundaries[stop];
    if (!boundary || (departs === Departs.End) !== boundary.isLast) return none;
    return at(boundary, arrives, level, departs);
  };
}

function boundaryAt({ track, holes, wayIn }: Site, stop: number, money: (raw: number) => number): Boundary {
  const fine = track.boundaries[stop] ?? 0;
  const paid = ({ cost, public_ft }: HolePiece): Paid => ({
    cost: money(cost),
    tie: publicTie(public_ft),
    isPublic: public_ft > leastPublic_ft,
  });
  const held = (of: (held: Protection) => HolePiece | undefined) =>
    byProtection((each) => {
      const piece = holes.ways.includes(each) ? of(each) : undefined;
      return piece && paid(piece);
    });
  const pit = (pieces: PitPieces | undefined): Pit | undefined =>
    pieces && {
      open: held((each) => pieces.open[each]),
      close: held((each) => pieces.close[each]),
      widerUpstream: byProtection((each) => money(pieces.widerUpstream[each])),
      widerDownstream: byProtection((each) => money(pieces.widerDownstream[each])),
      alone: pieces.alone && paid(pieces.alone),
    };
  return {
    permit: money(track.prices.permit_per_hole),
    openDig: held((each) => holes.openDig(fine, each)),
    closeDig: held((each) => holes.closeDig(fine, each)),
    launch: pit(holes.pit(fine, 'launch')),
    burst: pit(holes.pit(fine, 'burst')),
    closing: money(closingCost(track, fine)),
    inserted: {
      upstream: wayIn.upstream[stop] ?? false,
      downstream: wayIn.downstream[stop] ?? false,
    },
    isLast: stop === track.boundaries.length - 1,
    known: new Map(),
  };
}

/** The levels of a search: the protections of excavations on its line. */
interface Passing {
  readonly levels: HoleLevels;
  readonly ways: readonly Protection[];
  /** The pass that changes nothing, by level. */
  readonly unchanged: readonly (readonly Pass[])[];
}

function passer(levels: HoleLevels, ways: readonly Protection[]) {
  const unchanged = levels.all.map((_, level): readonly Pass[] => [{ level, cost: 0, tie: 0 }]);
  const on: Passing = { levels, ways, unchanged };
  return (boundary: Boundary, arrives: number, level: number, departs: number): readonly Pass[] => {
    if (arrives === Arrives.NewPipe) return afterNewPipe(on, boundary, level, departs);
    if (departs === Departs.ExposedPipe) return heldAt(on, level) === undefined ? goOn(on, level) : none;
    if (departs === Departs.NewPipe) return beforeNewPipe(on, boundary, level);
    return betweenOthers(on, boundary, arrives, level, departs);
  };
}

const ended: readonly Pass[] = [{ level: noHole, cost: 0, tie: 0 }];
const goOn = ({ unchanged }: Passing, level: number): readonly Pass[] => unchanged[level] ?? none;

/** Protection of the excavation open on a level; undefined where none is open. */
function heldAt({ levels }: Passing, level: number): Protection | undefined {
  const hole = levels.all[level];
  return hole?.open ? hole.held : undefined;
}

/** Permit for what is dug here, unless the open excavation has already paid it. */
function permitFor({ levels }: Passing, { permit }: Boundary, { isPublic }: Paid, level: number): number {
  const hole = levels.all[level];
  return isPublic && !(hole?.open && hole.paid) ? permit : 0;
}

function afterNewPipe(on: Passing, boundary: Boundary, level: number, departs: number): readonly Pass[] {
  const atEnd = departs === Departs.End;
  // Two adjoining stretches of new pipe are one.
  if (departs === Departs.NewPipe || departs === Departs.ExposedPipe) return none;
  const held = heldAt(on, level);
  if (held === undefined) return atEnd ? ended : goOn(on, level);
  const closeDig = boundary.closeDig[held];
  const closed: readonly Pass[] = closeDig
    ? [
        {
          level: noHole,
          cost: closeDig.cost + permitFor(on, boundary, closeDig, level),
          tie: closeDig.tie,
          marks: ends,
        },
      ]
    : none;
  return atEnd ? closed : [...closed, ...goOn(on, level)];
}

/** Cache key of a boundary's passes, besides the level. */
const Kept = { NewPipe: 0, Launch: 1, LaunchPipeLaid: 2, Burst: 3 } as const;
type Kept = (typeof Kept)[keyof typeof Kept];

/** The passes of one kind at a boundary, cached. */
function kept(
  { known }: Boundary,
  kind: Kept,
  level: number,
  atEnd: boolean,
  find: () => readonly Pass[],
): readonly Pass[] {
  const key = (level * 4 + kind) * 2 + (atEnd ? 1 : 0);
  const before = known.get(key);
  if (before) return before;
  const found = find();
  known.set(key, found);
  return found;
}

function beforeNewPipe(on: Passing, boundary: Boundary, level: number): readonly Pass[] {
  if (heldAt(on, level) !== undefined) return goOn(on, level);
  return kept(boundary, Kept.NewPipe, level, false, () =>
    on.ways.flatMap((held): Pass[] => {
      const openDig = boundary.openDig[held];
      if (!openDig) return [];
      return [
        {
          level: on.levels.of(held, openDig.isPublic),
          cost: openDig.cost + permitFor(on, boundary, openDig, noHole),
          tie: openDig.tie + pitTie,
          marks: begins,
        },
      ];
    }),
  );
}

/** Passes through a pit that opens, closes or stands alone, with the pipe that closes it. */
function byPit(
  on: Passing,
  boundary: Boundary,
  { pit, pipe }: { readonly pit: Pit; readonly pipe: number },
  level: number,
  atEnd: boolean,
): Pass[] {
  const held = heldAt(on, level);
  if (held !== undefined) {
    const close = pit.close[held];
    if (!close) return [];
    const cost = pipe + pit.widerUpstream[held] + close.cost + permitFor(on, boundary, close, level);
    return [{ level: noHole, cost, tie: close.tie, marks: ends }];
  }
  const { alone } = pit;
  const cost = alone && pipe + alone.cost + (alone.isPublic ? boundary.permit : 0);
  const stands: Pass[] =
    alone && cost !== undefined ? [{ level: noHole, cost, tie: alone.tie + pitTie, marks: both }] : [];
  if (atEnd) return stands;
  const opened = on.ways.flatMap((way): Pass[] => {
    const open = pit.open[way];
    if (!open) return [];
    const opening = pipe + open.cost + pit.widerDownstream[way] + permitFor(on, boundary, open, noHole);
    return [
      { level: on.levels.of(way, open.isPublic), cost: opening, tie: open.tie + pitTie, marks: begins },
    ];
  });
  return [...stands, ...opened];
}

function betweenOthers(
  on: Passing,
  boundary: Boundary,
  arrives: number,
  level: number,
  departs: number,
): readonly Pass[] {
  const { inserted, closing } = boundary;
  const [into, out] = [arrivalAsks[arrives], departureAsks[departs]];
  const atEnd = departs === Departs.End;
  // Two adjoining liners, one of them sectional, would be one.
  if (into?.liner && out?.liner && (into.liner === 'short' || out.liner === 'short')) return none;
  const open = heldAt(on, level) !== undefined;
  const up = inserted.upstream ? undefined : into?.inserts;
  const down = inserted.downstream ? undefined : out?.inserts;
  const burst = into?.burst ?? out?.burst ?? false;
  const served = open && !atEnd ? goOn(on, level) : none;
  if (!up && !down && !burst) return open ? served : atEnd ? ended : goOn(on, level);
  if (up === 'served' || down === 'served') return served;
  const [pit, kind] = into?.burst
    ? [boundary.burst, Kept.Burst]
    : [boundary.launch, burst ? Kept.LaunchPipeLaid : Kept.Launch];
  if (!pit) return served;
  return kept(boundary, kind, level, atEnd, () => [
    ...served,
    ...byPit(on, boundary, { pit, pipe: burst ? 0 : closing }, level, atEnd),
  ]);
}
