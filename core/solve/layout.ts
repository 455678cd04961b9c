import { holeQuantities } from '../excavation/quantities.js';
import type { HoleKind } from '../excavation/ground.js';
import type { Hole } from '../excavation/hole.js';
import type { Method } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import type { Protection } from '../excavation/section.js';
import { hasTrait, Trait } from '../methods/candidates.js';
import { pushedTo, type PushedFrom } from '../methods/entry.js';
import { workOf } from '../methods/index.js';
import type { Action } from '../methods/method.js';
import { accessesByBore } from '../methods/short-line.js';
import { arrivalNeeds, departureNeeds, Departs } from '../track/joins.js';
import { stationOf, type Track } from '../track/track.js';
import type { Plan, PlanStep } from './cheapest.js';
import type { CleaningVisit } from '../prepare/cleaning.js';
import type { Possible } from '../prepare/possible.js';

export interface Layout {
  readonly actions: readonly Action[];
  readonly holes: readonly Hole[];
  /** Method and action of every fine cell. */
  readonly cells: readonly LaidCell[];
  /** Extent of the cleaning; undefined where nothing is cleaned. */
  readonly visit: CleaningVisit | undefined;
}

export interface LaidCell {
  readonly method: Method;
  readonly action: string | null;
  /** Something here must be cured and is not, because no method may; other work may lie here all the same. */
  readonly uncured: boolean;
}

/** A step with the id of its action; empty for a gap. */
interface NamedStep extends PlanStep {
  readonly id: string;
}

/** Lays a plan out: actions, excavations with what they serve, and the method of every cell. */
export function layOut(possible: Possible, plan: Plan): Layout {
  let count = 0;
  const steps = plan.steps.map((step): NamedStep => ({
    ...step,
    id: step.candidate ? `A${++count}` : '',
  }));
  return {
    actions: steps.flatMap((step) => actionOf(possible.track, step)),
    holes: holesOf(possible, steps),
    cells: cellsOf(possible.track, plan, steps),
    visit: plan.visit,
  };
}

function actionOf(track: Track, { candidate, id, departs, from, to }: NamedStep): Action[] {
  if (!candidate) return [];
  const [from_ft, to_ft] = [stationOf(track, from), stationOf(track, to)];
  const isLiner = workOf(candidate.method).kind === 'liner';
  const fromBreak = track.boundaries[from] ?? 0;
  const pushed: PushedFrom | undefined =
    departs === Departs.ShortFromAccess
      ? pushedTo(accessesByBore(track)(track.cells[fromBreak]?.pipe.diameter_in ?? 4), from_ft, to_ft)
      : undefined;
  const fromUpstream = pushed ? pushed.goes === 'downstream' : departureNeeds[departs]?.inserts !== undefined;
  return [
    {
      id,
      method: candidate.method,
      from_ft,
      to_ft,
      fromBreak,
      toBreak: track.boundaries[to] ?? 0,
      entry_ft: isLiner ? (fromUpstream ? from_ft : to_ft) : null,
      ...(pushed ? { pushedFrom: pushed.placed.point.id } : {}),
      exposed: hasTrait(candidate.traits, Trait.exposed),
    },
  ];
}

function cellsOf(track: Track, plan: Plan, steps: readonly NamedStep[]): LaidCell[] {
  const fine = (boundary: number) => track.boundaries[boundary] ?? 0;
  const { impossible } = track.obligations;
  return track.cells.map((cell, i) => {
    const own = steps.find(({ from, to }) => fine(from) <= i && i < fine(to));
    // Old pipe that cannot be renewed whole may be repaired.
    const uncured =
      plan.uncured[i] === 1 ||
      impossible.some(
        ({ place, finding }) => overlaps(place, cell) && (finding !== undefined || !own?.candidate),
      );
    if (own?.candidate) return { method: own.candidate.method, action: own.id, uncured };
    return { method: plan.cleaned[i] ? 'clean' : 'leave', action: null, uncured };
  });
}

/** An excavation being laid out, from where it opens to where it closes. */
interface Digging {
  from_ft: number;
  to_ft: number;
  readonly kind: HoleKind;
  readonly protection: Protection;
  readonly serves: string[];
  readonly widened: (Interval & { kind: HoleKind })[];
  readonly closings: number[];
}

/** Opens and closes excavations boundary by boundary, as the plan's passes paid for them. */
function holesOf(possible: Possible, steps: readonly NamedStep[]): Hole[] {
  const found: Digging[] = [];
  let open: Digging | undefined;
  for (let k = 0; k <= steps.length; k++) {
    const [step, next] = [steps[k - 1], steps[k]];
    const at = meetingAt(possible, step, next);
    if (!at.before && !at.after && at.pit?.alone) {
      found.push({
        ...reach(at.pit),
        kind: at.pitKind,
        protection: at.pit.alone.held,
        serves: at.wanted,
        widened: [],
        closings: at.closing,
      });
    }
    if (at.before && open) {
      if (at.wantsPit) open.serves.push(...at.wanted);
      if (!at.after) {
        close(open, at, possible);
        open = undefined;
      }
    }
    if (!at.before && at.after) {
      open = opening(at, at.after, possible);
      found.push(open);
    }
    if (at.after && open && at.newPipe !== undefined) open.serves.push(at.newPipe);
    if (next) found.push(...pitsInside(possible, next));
  }
  return found.map((each, index) => ({
    id: `P${index + 1}`,
    from_ft: each.from_ft,
    to_ft: each.to_ft,
    kind: each.kind,
    protection: each.protection,
    serves: [...new Set(each.serves)],
    widened: each.widened,
    quantities: holeQuantities(possible.track, each, each.kind, each.protection, each.widened),
    closings: each.closings,
  }));
}

/** Pits that a burst needs between its ends. */
function pitsInside({ track, holes }: Possible, { candidate, id, from, to }: NamedStep): Digging[] {
  const { pitsInside: pits } =
    candidate && hasTrait(candidate.traits, Trait.pitsInside) ? workOf(candidate.method) : {};
  const stretch = { from_ft: stationOf(track, from), to_ft: stationOf(track, to) };
  return (pits?.(track, stretch) ?? []).map((pit) => ({
    ...pit,
    kind: 'launch',
    protection: holes.aloneOver(pit, 'launch')?.held ?? 'shore',
    serves: [id],
    widened: [],
    closings: [],
  }));
}

type Meeting = ReturnType<typeof meetingAt>;

const isNewPipe = (step: PlanStep | undefined) =>
  step?.departs === Departs.NewPipe || step?.departs === Departs.ExposedPipe;

/** What meets at the boundary between two steps, and the pit one of them needs there. */
function meetingAt(
  { track, holes, insertable }: Possible,
  before: NamedStep | undefined,
  after: NamedStep | undefined,
) {
  const boundary = after?.from ?? before?.to ?? 0;
  const fine = track.boundaries[boundary] ?? 0;
  const [into, out] = [before && arrivalNeeds[before.arrives], after && departureNeeds[after.departs]];
  const owes = into?.inserts !== undefined;
  const enters = out?.inserts !== undefined;
  const burstEnds = into?.burst ?? false;
  const burstStarts = out?.burst ?? false;
  const wantsLaunch =
    (owes && !insertable.upstream[boundary]) || (enters && !insertable.downstream[boundary]);
  const wantsPit = wantsLaunch || burstEnds || burstStarts;
  const held = (step: NamedStep | undefined) => (step?.hole.open ? step.hole.held : undefined);
  const levels = { before: held(before), after: held(after) };
  const passesThrough = levels.before !== undefined && levels.after !== undefined;
  const pitKind = burstEnds ? ('burst' as const) : ('launch' as const);
  const pit =
    wantsPit && !isNewPipe(before) && !isNewPipe(after) && !passesThrough
      ? holes.pit(fine, pitKind)
      : undefined;
  return {
    ...levels,
    fine,
    station_ft: stationOf(track, boundary),
    wantsPit,
    pit,
    pitKind,
    /** A launch pit is closed with pipe; a burst brings its own. */
    closing: pit && !burstEnds && !burstStarts ? [fine] : [],
    wanted: [
      ...(before && (owes || burstEnds) ? [before.id] : []),
      ...(after && (enters || burstStarts) ? [after.id] : []),
    ],
    newPipe: after && isNewPipe(after) ? after.id : undefined,
  };
}

const reach = ({ from_ft, to_ft }: Interval): Interval => ({ from_ft, to_ft });

function opening(
  { pit, pitKind, fine, station_ft, wantsPit, wanted, closing }: Meeting,
  protection: Protection,
  { holes }: Possible,
): Digging {
  return {
    from_ft: pit ? pit.from_ft : holes.digFrom(fine),
    to_ft: station_ft,
    kind: 'dig',
    protection,
    serves: wantsPit ? [...wanted] : [],
    widened: pit ? [{ ...reach(pit), kind: pitKind }] : [],
    closings: closing,
  };
}

function close(open: Digging, { pit, pitKind, fine, closing }: Meeting, { holes }: Possible): void {
  open.to_ft = pit ? pit.to_ft : holes.digTo(fine);
  if (!pit) return;
  open.widened.push({ ...reach(pit), kind: pitKind });
  open.closings.push(...closing);
}
