import { holeQuantities } from '../excavation/quantities.js';
import type { HoleKind } from '../excavation/ground.js';
import type { Hole } from '../excavation/hole.js';
import type { Method } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import { workOf } from '../methods/index.js';
import type { Action } from '../methods/method.js';
import { Departs, Hole as Level } from '../track/joins.js';
import { stationOf, type Track } from '../track/track.js';
import type { Plan, PlanStep } from './cheapest.js';
import type { Possible } from './possible.js';

export interface Layout {
  readonly actions: readonly Action[];
  readonly holes: readonly Hole[];
  /** Method and action of every fine cell. */
  readonly cells: readonly LaidCell[];
}

export interface LaidCell {
  readonly method: Method;
  readonly action: string | null;
}

/** A step with the id of its action; empty for a gap. */
interface NamedStep extends PlanStep {
  readonly id: string;
}

/** Lays a plan out: actions, holes with what they serve, and the method of every cell. */
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
  };
}

function actionOf(track: Track, { candidate, id, departs, from, to }: NamedStep): Action[] {
  if (!candidate) return [];
  const [from_ft, to_ft] = [stationOf(track, from), stationOf(track, to)];
  const isLiner = workOf(candidate.method).kind === 'liner';
  const fromUpstream =
    departs === Departs.LinerFromAccess
      ? nearerLetIn(track, from_ft, to_ft)
      : departs === Departs.LinerInserted;
  return [
    {
      id,
      method: candidate.method,
      from_ft,
      to_ft,
      fromBreak: track.boundaries[from] ?? 0,
      toBreak: track.boundaries[to] ?? 0,
      entry_ft: isLiner ? (fromUpstream ? from_ft : to_ft) : null,
      exposed: candidate.exposed,
    },
  ];
}

/** A sectional liner is inserted from the nearer of its ends that an insertion point can reach. */
function nearerLetIn({ model }: Track, from_ft: number, to_ft: number): boolean {
  const points = model.points.filter(({ point }) => point.kind === 'cleanout' || point.kind === 'manhole');
  const distance = (x: number) => Math.min(...points.map(({ at }) => Math.abs(at.station_ft - x)));
  return distance(from_ft) <= distance(to_ft);
}

function cellsOf({ cells, boundaries }: Track, plan: Plan, steps: readonly NamedStep[]): LaidCell[] {
  const fine = (boundary: number) => boundaries[boundary] ?? 0;
  return cells.map((_, i) => {
    const own = steps.find(({ from, to }) => fine(from) <= i && i < fine(to));
    if (own?.candidate) return { method: own.candidate.method, action: own.id };
    return { method: plan.cleaned[i] ? 'clean' : 'leave', action: null };
  });
}

/** A hole being laid out, from where it opens to where it closes. */
interface Digging {
  from_ft: number;
  to_ft: number;
  readonly kind: HoleKind;
  readonly serves: string[];
  readonly widened: (Interval & { kind: HoleKind })[];
  readonly closings: number[];
}

/** Opens and closes holes boundary by boundary, as the passes of the plan paid for them. */
function holesOf(possible: Possible, steps: readonly NamedStep[]): Hole[] {
  const found: Digging[] = [];
  let open: Digging | undefined;
  for (let k = 0; k <= steps.length; k++) {
    const at = meetingAt(possible, steps[k - 1], steps[k]);
    if (at.before === Level.None && at.after === Level.None && at.pit) {
      found.push({
        ...reach(at.pit),
        kind: at.pitKind,
        serves: at.wanted,
        widened: [],
        closings: at.closing,
      });
    }
    if (at.before > Level.None && open) {
      if (at.wantsPit) open.serves.push(...at.wanted);
      if (at.after === Level.None) {
        close(open, at, possible);
        open = undefined;
      }
    }
    if (at.before === Level.None && at.after > Level.None) {
      open = opening(at, possible);
      found.push(open);
    }
    if (at.after > Level.None && open && at.newPipe !== undefined) open.serves.push(at.newPipe);
  }
  return found.map((each, index) => ({
    id: `P${index + 1}`,
    from_ft: each.from_ft,
    to_ft: each.to_ft,
    kind: each.kind,
    serves: [...new Set(each.serves)],
    widened: each.widened,
    quantities: holeQuantities(possible.track, each, each.kind, each.widened),
    closings: each.closings,
  }));
}

type Meeting = ReturnType<typeof meetingAt>;

const isNewPipe = (step: PlanStep | undefined) =>
  step?.departs === Departs.NewPipe || step?.departs === Departs.ExposedPipe;

/** What meets at the boundary between two steps, and the pit that one of them wants there. */
function meetingAt(
  { track, holes, wayIn }: Possible,
  before: NamedStep | undefined,
  after: NamedStep | undefined,
) {
  const boundary = after?.from ?? before?.to ?? 0;
  const fine = track.boundaries[boundary] ?? 0;
  const owes = before?.departs === Departs.LinerOwing;
  const enters = after?.departs === Departs.LinerInserted;
  const burstEnds = before?.departs === Departs.Burst;
  const burstStarts = after?.departs === Departs.Burst;
  const wantsLaunch = (owes && !wayIn.upstream[boundary]) || (enters && !wayIn.downstream[boundary]);
  const wantsPit = wantsLaunch || burstEnds || burstStarts;
  const levels = { before: before?.hole ?? Level.None, after: after?.hole ?? Level.None };
  const passesThrough = levels.before > Level.None && levels.after > Level.None;
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
    /** A launch pit is closed again with pipe; a burst brings its own. */
    closing: pit && !burstEnds && !burstStarts ? [fine] : [],
    wanted: [...(owes || burstEnds ? [before.id] : []), ...(enters || burstStarts ? [after.id] : [])],
    newPipe: after && isNewPipe(after) ? after.id : undefined,
  };
}

const reach = ({ from_ft, to_ft }: Interval): Interval => ({ from_ft, to_ft });

function opening(
  { pit, pitKind, fine, station_ft, wantsPit, wanted, closing }: Meeting,
  { holes }: Possible,
): Digging {
  return {
    from_ft: pit ? pit.from_ft : holes.digFrom(fine),
    to_ft: station_ft,
    kind: 'dig',
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
