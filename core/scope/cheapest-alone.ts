import type { Judged } from '../condition/condition.js';
import { curedBy } from '../condition/grade-table.js';
import { methods, type ActionMethod } from '../job/vocabulary.js';
import { edgeCures, type Edge, type Possible } from './edges.js';
import { closingCost, type PitPieces } from './hole-costs.js';

/**
 * For each finding the cheapest single action that cures it by itself, its mobilisation, hole and way in included; 0
 * where none may. The least over all actions that start at or above a finding and end at or below it is carried along
 * the boundaries, a method at a time, so that every action is looked at once however many findings there are.
 */
export function cheapestAlone(possible: Possible, findings: readonly Judged[]): number[] {
  const { track, edgesFrom } = possible;
  const last = edgesFrom.length - 1;
  const station = (b: number) => track.breaks[track.boundaries[b] as number] as number;
  const asked = findings.map(({ place }) => {
    let from = last;
    while (from > 0 && station(from) > place.from_ft + 1e-6) from--;
    let to = from;
    while (to < last && station(to) < place.to_ft - 1e-6) to++;
    return { from, to };
  });
  const least = findings.map(() => Infinity);
  const take = (i: number, cost: number) => {
    least[i] = Math.min(least[i] ?? Infinity, cost);
  };
  const costOf = (edge: Edge) =>
    edge.cost + (track.prices.mobilisation[edge.method] ?? 0) + aloneCost(possible, edge);
  const byFall = (method: ActionMethod, finding: Judged) =>
    finding.cures.includes('regrade') && (method === 'open-cut' || method === 'regrade');

  for (const method of methods) {
    if (method === 'leave' || method === 'clean') continue;
    const plain = findings.flatMap((finding, i) =>
      !byFall(method, finding) && curedBy(finding.cures, method, false) ? [i] : [],
    );
    const sags = findings.flatMap((finding, i) => (byFall(method, finding) ? [i] : []));
    if (plain.length + sags.length === 0) continue;
    const queries = new Map<number, number[]>();
    for (const i of plain) {
      const from = asked[i]?.from ?? 0;
      queries.set(from, [...(queries.get(from) ?? []), i]);
    }
    /** Least cost of what starts so far up and ends at or below a boundary. */
    const row = new Float64Array(last + 2).fill(Infinity);
    for (let from = 0; from <= last; from++) {
      for (const edge of edgesFrom[from] ?? []) {
        if (edge.method !== method) continue;
        const cost = costOf(edge);
        if (cost < (row[edge.to] as number)) row[edge.to] = cost;
        // Whether new pipe falls enough over a sag depends on both its ends.
        for (const i of sags) {
          const { from: above = 0, to: below = 0 } = asked[i] ?? {};
          const finding = findings[i];
          if (!finding || from > above || edge.to < below || cost >= (least[i] ?? 0)) continue;
          if (edgeCures(track, edge, station(from), station(edge.to), finding)) take(i, cost);
        }
      }
      for (let to = last; to > from; to--) {
        if ((row[to + 1] as number) < (row[to] as number)) row[to] = row[to + 1] as number;
      }
      for (const i of queries.get(from) ?? []) take(i, row[asked[i]?.to ?? last] as number);
    }
  }
  return least.map((cost) => (Number.isFinite(cost) ? cost : 0));
}

/** Hole and way in of an action that nothing else shares. */
function aloneCost({ track, holes, wayIn }: Possible, edge: Edge): number {
  const fine = (b: number) => track.boundaries[b] ?? 0;
  const permit = (public_ft: number) => (public_ft > 1e-6 ? track.prices.permit_per_hole : 0);
  const [from, to] = [fine(edge.from), fine(edge.to)];
  const whole = (pit: PitPieces | undefined) =>
    pit ? pit.open.cost + pit.close.cost + permit(pit.open.public_ft + pit.close.public_ft) : Infinity;
  switch (edge.method) {
    case 'spot':
    case 'open-cut':
    case 'regrade': {
      if (edge.exposed) return 0;
      const [open, close] = [holes.openDig(from), holes.closeDig(to)];
      const public_ft = (holes.publicThrough[to] ?? 0) - (holes.publicThrough[from] ?? 0);
      return (
        open.cost +
        (holes.through[to] ?? 0) -
        (holes.through[from] ?? 0) +
        close.cost +
        permit(open.public_ft + public_ft + close.public_ft)
      );
    }
    case 'line':
    case 'short-line': {
      if (edge.letIn || wayIn.downstream[edge.from] || wayIn.upstream[edge.to]) return 0;
      const launch = (index: number) => whole(holes.pit(index, 'launch')) + closingCost(track, index);
      return Math.min(launch(from), launch(to));
    }
    case 'burst':
      return whole(holes.pit(from, 'launch')) + whole(holes.pit(to, 'burst'));
  }
}
