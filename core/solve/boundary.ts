import { leastPublic_ft } from '../excavation/hole-drafts.js';
import type { HolePiece, PitPieces } from '../excavation/hole-costs.js';
import { closingCost } from '../methods/entry.js';
import type { Site } from '../methods/method.js';
import type { Pass } from '../search/problem.js';
import { Arrives, Departs, Hole, type HoleLevel } from '../track/joins.js';

/** Pits first, then public hole feet (to 0.01 ft), then actions, packed into one whole number. */
const pitTie = 1e11;
const publicHundredthTie = 1e4;
export const publicTie = (feet: number): number => Math.round(feet * 100) * publicHundredthTie;

const none: readonly Pass[] = [];
const unchanged = [Hole.None, Hole.Open, Hole.Paid].map((level): readonly Pass[] => [
  { level, cost: 0, tie: 0 },
]);
const goOn = (hole: HoleLevel): readonly Pass[] => unchanged[hole] ?? none;

/** A piece of a hole in whole millionths, as a pass pays it. */
interface Paid {
  readonly cost: number;
  readonly tie: number;
  readonly isPublic: boolean;
}
interface Pit {
  readonly open: Paid;
  readonly close: Paid;
  readonly widerUpstream: number;
  readonly widerDownstream: number;
}

/** What one boundary may cost, whatever meets there. */
interface Boundary {
  readonly permit: number;
  readonly openDig: Paid;
  readonly closeDig: Paid;
  readonly launch: Pit | undefined;
  readonly burst: Pit | undefined;
  /** Pipe that closes a launch pit again. */
  readonly closing: number;
  /** A liner can be sent that way from here without a pit. */
  readonly inserted: { readonly upstream: boolean; readonly downstream: boolean };
  readonly isLast: boolean;
}

/**
 * Ways to pass every boundary, by what arrives, the hole that is open there, and what departs. New pipe opens and closes
 * its hole with room to work; a liner or a burst that ends here wants a pit unless an insertion point, touching new pipe
 * or an open hole serves it; a pit may stand alone, open a hole that goes on, or close one that came. `money` turns raw
 * cost into whole millionths.
 */
export function boundaryPasses(
  site: Site,
  money: (raw: number) => number,
): (stop: number, arrives: number, hole: number, departs: number) => readonly Pass[] {
  const boundaries = site.track.boundaries.map((_, stop) => boundaryAt(site, stop, money));
  return (stop, arrives, hole, departs) => {
    const boundary = boundaries[stop];
    if (!boundary || (departs === Departs.End) !== boundary.isLast) return none;
    if (arrives === Arrives.NewPipe) return afterNewPipe(boundary, hole as HoleLevel, departs);
    if (departs === Departs.ExposedPipe) return hole === Hole.None ? goOn(Hole.None) : none;
    if (departs === Departs.NewPipe) return beforeNewPipe(boundary, hole as HoleLevel);
    return betweenOthers(boundary, arrives, hole as HoleLevel, departs);
  };
}

function boundaryAt({ track, holes, wayIn }: Site, stop: number, money: (raw: number) => number): Boundary {
  const fine = track.boundaries[stop] ?? 0;
  const paid = ({ cost, public_ft }: HolePiece): Paid => ({
    cost: money(cost),
    tie: publicTie(public_ft),
    isPublic: public_ft > leastPublic_ft,
  });
  const pit = (pieces: PitPieces | undefined): Pit | undefined =>
    pieces && {
      open: paid(pieces.open),
      close: paid(pieces.close),
      widerUpstream: money(pieces.widerUpstream),
      widerDownstream: money(pieces.widerDownstream),
    };
  return {
    permit: money(track.prices.permit_per_hole),
    openDig: paid(holes.openDig(fine)),
    closeDig: paid(holes.closeDig(fine)),
    launch: pit(holes.pit(fine, 'launch')),
    burst: pit(holes.pit(fine, 'burst')),
    closing: money(closingCost(track, fine)),
    inserted: {
      upstream: wayIn.upstream[stop] ?? false,
      downstream: wayIn.downstream[stop] ?? false,
    },
    isLast: stop === track.boundaries.length - 1,
  };
}

/** Permit for what is dug here, unless the open hole has paid it. */
const permitFor = ({ permit }: Boundary, { isPublic }: Paid, hole: HoleLevel): number =>
  isPublic && hole !== Hole.Paid ? permit : 0;

function afterNewPipe(boundary: Boundary, hole: HoleLevel, departs: number): readonly Pass[] {
  // Two stretches of new pipe that touch are one.
  if (departs === Departs.NewPipe || departs === Departs.ExposedPipe) return none;
  if (hole === Hole.None) return goOn(Hole.None);
  const { closeDig } = boundary;
  const closed: Pass = {
    level: Hole.None,
    cost: closeDig.cost + permitFor(boundary, closeDig, hole),
    tie: closeDig.tie,
  };
  return departs === Departs.End ? [closed] : [closed, ...goOn(hole)];
}

function beforeNewPipe(boundary: Boundary, hole: HoleLevel): readonly Pass[] {
  if (hole !== Hole.None) return goOn(hole);
  const { openDig } = boundary;
  return [
    {
      level: openDig.isPublic ? Hole.Paid : Hole.Open,
      cost: openDig.cost + permitFor(boundary, openDig, Hole.None),
      tie: openDig.tie + pitTie,
    },
  ];
}

function betweenOthers(
  boundary: Boundary,
  arrives: number,
  hole: HoleLevel,
  departs: number,
): readonly Pass[] {
  const { inserted, closing } = boundary;
  const atEnd = departs === Departs.End;
  const launch =
    (arrives === Arrives.LinerInserted && !inserted.upstream) ||
    (departs === Departs.LinerInserted && !inserted.downstream);
  const burst = arrives === Arrives.Burst || departs === Departs.Burst;
  const served = hole === Hole.None || atEnd ? none : goOn(hole);
  if (!launch && !burst) return hole === Hole.None ? goOn(Hole.None) : served;
  const pit = arrives === Arrives.Burst ? boundary.burst : boundary.launch;
  if (!pit) return served;
  const pipe = burst ? 0 : closing;
  if (hole !== Hole.None) {
    const close = pit.widerUpstream + pit.close.cost + permitFor(boundary, pit.close, hole);
    return [...served, { level: Hole.None, cost: pipe + close, tie: pit.close.tie }];
  }
  const alone: Pass = {
    level: Hole.None,
    cost:
      pipe + pit.open.cost + pit.close.cost + (pit.open.isPublic || pit.close.isPublic ? boundary.permit : 0),
    tie: pit.open.tie + pit.close.tie + pitTie,
  };
  if (atEnd) return [alone];
  const opened: Pass = {
    level: pit.open.isPublic ? Hole.Paid : Hole.Open,
    cost: pipe + pit.open.cost + pit.widerDownstream + permitFor(boundary, pit.open, Hole.None),
    tie: pit.open.tie + pitTie,
  };
  return [alone, opened];
}
