import type { ActionMethod, Method } from '../job/vocabulary.js';
import type { Possible } from './edges.js';
import { holeQuantities, type HoleKind, type HoleQuantities, type Reach } from './hole-costs.js';
import { Next } from './moves.js';
import type { Plan, PlanStep } from './search.js';

/** An action of the chosen scope, where it lies. */
export interface Action {
  readonly id: string;
  readonly method: ActionMethod;
  readonly from_ft: number;
  readonly to_ft: number;
  /** Fine breaks it runs between. */
  readonly fromBreak: number;
  readonly toBreak: number;
  /** Where a liner is let in; null for the rest. */
  readonly entry_ft: number | null;
  readonly exposed: boolean;
}

/** A hole of the chosen scope. */
export interface Hole extends Reach {
  readonly id: string;
  readonly kind: HoleKind;
  readonly serves: readonly string[];
  /** Launch and burst pits inside it. */
  readonly widened: readonly (Reach & { kind: HoleKind })[];
  readonly quantities: HoleQuantities;
  /** Fine breaks at which a launch pit is closed with a piece of pipe. */
  readonly closings: readonly number[];
}

export interface Layout {
  readonly actions: readonly Action[];
  readonly holes: readonly Hole[];
  /** Method and action of every fine cell. */
  readonly cells: readonly { method: Method; action: string | null }[];
}

const isDig = (method: ActionMethod | undefined) =>
  method === 'spot' || method === 'open-cut' || method === 'regrade';
const isLiner = (method: ActionMethod | undefined) => method === 'line' || method === 'short-line';

/** Lays a plan out: actions, holes with what they serve, and the method of every cell. */
export function layOut(possible: Possible, plan: Plan): Layout {
  const { track, holes: costs, wayIn } = possible;
  const fine = (b: number) => track.boundaries[b] ?? 0;
  const station = (b: number) => track.breaks[fine(b)] ?? 0;
  const named = plan.steps.map((step) => ({ step, id: '' }));
  let count = 0;
  for (const each of named) if (each.step.edge) each.id = `A${++count}`;
  const actions = named.flatMap(({ step, id }): Action[] => {
    if (!step.edge) return [];
    const { method } = step.edge;
    const [from_ft, to_ft] = [station(step.from), station(step.to)];
    const fromUpstream =
      step.next === Next.LetIn ? nearerLetIn(possible, from_ft, to_ft) : step.next === Next.Enter;
    return [
      {
        id,
        method,
        from_ft,
        to_ft,
        fromBreak: fine(step.from),
        toBreak: fine(step.to),
        entry_ft: isLiner(method) ? (fromUpstream ? from_ft : to_ft) : null,
        exposed: step.edge.exposed,
      },
    ];
  });

  const found: {
    reach: { from_ft: number; to_ft: number };
    kind: HoleKind;
    serves: string[];
    widened: (Reach & { kind: HoleKind })[];
    closings: number[];
  }[] = [];
  let open: (typeof found)[number] | undefined;
  for (let k = 0; k <= named.length; k++) {
    const before = named[k - 1];
    const after = named[k];
    const b = after?.step.from ?? before?.step.to ?? 0;
    const [hp, hn] = [hole(before?.step), hole(after?.step)];
    const owes = before?.step.next === Next.Owe;
    const enters = after?.step.next === Next.Enter;
    const wantsLaunch = (owes && !wayIn.upstream[b]) || (enters && !wayIn.downstream[b]);
    const burstEnds = before?.step.edge?.method === 'burst';
    const wantsBurst = burstEnds || after?.step.edge?.method === 'burst';
    const touching = isDig(before?.step.edge?.method) || isDig(after?.step.edge?.method);
    const wanted = [
      ...(owes || burstEnds ? [before.id] : []),
      ...(enters || after?.step.edge?.method === 'burst' ? [after.id] : []),
    ];
    const pitKind: HoleKind = burstEnds ? 'burst' : 'launch';
    const pit =
      !touching && (wantsLaunch || wantsBurst) && !(hp > 0 && hn > 0)
        ? costs.pit(fine(b), pitKind)
        : undefined;
    const closing = pit && !wantsBurst ? [fine(b)] : [];
    if (hp === 0 && hn === 0 && pit) {
      found.push({
        reach: { from_ft: pit.from_ft, to_ft: pit.to_ft },
        kind: pitKind,
        serves: wanted,
        widened: [],
        closings: closing,
      });
    }
    if (hp > 0 && open) {
      if (wantsLaunch || wantsBurst) open.serves.push(...wanted);
      if (hn === 0) {
        if (pit) {
          open.reach.to_ft = pit.to_ft;
          open.widened.push({ from_ft: pit.from_ft, to_ft: pit.to_ft, kind: pitKind });
          open.closings.push(...closing);
        } else open.reach.to_ft = costs.digTo(fine(b));
        open = undefined;
      }
    }
    if (hp === 0 && hn > 0) {
      open = {
        reach: { from_ft: pit ? pit.from_ft : costs.digFrom(fine(b)), to_ft: station(b) },
        kind: 'dig',
        serves: pit || wantsLaunch || wantsBurst ? [...wanted] : [],
        widened: pit ? [{ from_ft: pit.from_ft, to_ft: pit.to_ft, kind: pitKind }] : [],
        closings: closing,
      };
      found.push(open);
    }
    if (hn > 0 && open && isDig(after?.step.edge?.method)) open.serves.push(after.id);
  }
  const holes = found.map((each, index): Hole => ({
    id: `P${index + 1}`,
    ...each.reach,
    kind: each.kind,
    serves: [...new Set(each.serves)],
    widened: each.widened,
    quantities: holeQuantities(track, each.reach, each.kind, each.widened),
    closings: each.closings,
  }));

  const cells = track.cells.map((_, i): { method: Method; action: string | null } => {
    const own = named.find(({ step }) => fine(step.from) <= i && i < fine(step.to));
    if (own?.step.edge) return { method: own.step.edge.method, action: own.id };
    return { method: plan.cleaned[i] ? 'clean' : 'leave', action: null };
  });
  return { actions, holes, cells };
}

const hole = (step: PlanStep | undefined) => step?.hole ?? 0;

/** A short liner let in from further off comes from the nearer end that a way in can reach. */
function nearerLetIn({ track }: Possible, from_ft: number, to_ft: number): boolean {
  const ways = track.model.points.filter(
    ({ point }) => point.kind === 'cleanout' || point.kind === 'manhole',
  );
  const distance = (x: number) => Math.min(...ways.map(({ at }) => Math.abs(at.station_ft - x)));
  return distance(from_ft) <= distance(to_ft);
}
