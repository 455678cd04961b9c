import type { Judged } from '../condition/condition.js';
import { roundCents } from '../job/units.js';
import type { School } from '../job/vocabulary.js';
import { overlap } from '../line/intervals.js';
import { closingCost, type PitPieces } from './hole-costs.js';
import { edgeCures, type Edge, type Possible } from './edges.js';
import { isCurable, isRootOrDeposit } from './obligations.js';
import type { Track } from './track.js';

/** What is paid later for what is left now: present value over the house's horizon, no markup or tax. */
export interface Carried {
  /** Due while any root joint lies in what is left or cleaned. */
  readonly yearlyCleaning: number;
  /** Due on every line, whatever is done. */
  readonly looks: number;
  /** What each finding left would cost, by chance and cheapest cure alone. */
  readonly findings: readonly { finding: Judged; sum: number; share: boolean }[];
}

const longShared_ft = 10;
const yearsBetweenLooks = 2;

export const annuity = (years: number, interest: number): number =>
  interest === 0 ? years : (1 - (1 + interest) ** -years) / interest;

/** Present value of one unit of money every second year within the horizon. */
export function everySecondYear(years: number, interest: number): number {
  let sum = 0;
  for (let year = yearsBetweenLooks; year <= years; year += yearsBetweenLooks) sum += (1 + interest) ** -year;
  return sum;
}

const cleansYearly = (school: School) => school !== 'renew';
const looksAgain = (school: School) => school !== 'maintain';

/** Works out, once and before any search, what leaving things would carry. */
export function carriedOn(possible: Possible): Carried {
  const { track } = possible;
  const { rules, prices, school } = track;
  const later = (1 + rules.interest) ** (-rules.horizon_years / 2);
  const chances: Partial<Record<number, number>> = { 2: rules.chanceWatchFails, 3: rules.chanceFixFails };
  const reach = reachOf(possible);
  return {
    yearlyCleaning: cleansYearly(school)
      ? roundCents(prices.yearlyCleaning * annuity(rules.horizon_years, rules.interest))
      : 0,
    looks: looksAgain(school)
      ? roundCents(prices.look * everySecondYear(rules.horizon_years, rules.interest))
      : 0,
    findings: track.condition.findings.flatMap((finding) => {
      const chance = chances[finding.grade];
      if (chance === undefined || !isCurable(finding) || isRootOrDeposit(finding) || !isOurs(track, finding))
        return [];
      const sum = roundCents(chance * later * cheapestAlone(possible, reach, finding));
      const { placed, cures } = finding;
      const share = placed.to_ft - placed.from_ft > longShared_ft && !cures.includes('regrade');
      return sum > 0 ? [{ finding, sum, share }] : [];
    }),
  };
}

const isOurs = (track: Track, finding: Judged) =>
  track.cells.some((cell) => cell.ours && overlap(cell, finding.place) > 0);

/** Edges of each boundary by where they end, and the least that any of them costs a foot: what bounds a search among them. */
interface Reach {
  readonly byEnd: readonly (readonly Edge[])[];
  readonly least_per_ft: number;
}

function reachOf({ track, edgesFrom }: Possible): Reach {
  const station = (b: number) => track.breaks[track.boundaries[b] as number] as number;
  let least_per_ft = Infinity;
  for (const edges of edgesFrom) {
    for (const { from, to, cost } of edges) {
      least_per_ft = Math.min(least_per_ft, cost / (station(to) - station(from)));
    }
  }
  return {
    byEnd: edgesFrom.map((edges) => [...edges].sort((a, b) => a.to - b.to)),
    least_per_ft: Number.isFinite(least_per_ft) ? Math.max(0, least_per_ft) : 0,
  };
}

/**
 * Cheapest single action that cures a finding by itself, its mobilisation, hole and way in included; 0 if none may.
 * Looks outward from the finding and stops where length alone already costs more.
 */
function cheapestAlone(possible: Possible, { byEnd, least_per_ft }: Reach, finding: Judged): number {
  const { track } = possible;
  const station = (b: number) => track.breaks[track.boundaries[b] as number] as number;
  const { from_ft, to_ft } = finding.place;
  let least = Infinity;
  let from = byEnd.length - 1;
  while (from >= 0 && station(from) > from_ft + 1e-6) from--;
  for (; from >= 0; from--) {
    const a = station(from);
    if ((to_ft - a) * least_per_ft >= least) break;
    for (const edge of byEnd[from] ?? []) {
      const b = station(edge.to);
      if (b < to_ft - 1e-6) continue;
      if ((b - a) * least_per_ft >= least) break;
      const bare = edge.cost + (track.prices.mobilisation[edge.method] ?? 0);
      if (bare >= least || !edgeCures(track, edge, a, b, finding)) continue;
      least = Math.min(least, bare + aloneCost(possible, edge));
    }
  }
  return Number.isFinite(least) ? least : 0;
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

/** What an action takes off the carried sum: the findings it cures, whole, or by the foot where they may be shared. */
export function creditOf(track: Track, carried: Carried, edge: Edge): number {
  const station = (b: number) => track.breaks[track.boundaries[b] ?? 0] ?? 0;
  const [a, b] = [station(edge.from), station(edge.to)];
  let credit = 0;
  for (const { finding, sum, share } of carried.findings) {
    const { place } = finding;
    const covered = Math.min(b, place.to_ft) - Math.max(a, place.from_ft);
    if (covered <= 1e-6 || (!share && covered < place.to_ft - place.from_ft - 1e-6)) continue;
    if (
      !edgeCures(
        track,
        edge,
        share ? Math.min(a, place.from_ft) : a,
        share ? Math.max(b, place.to_ft) : b,
        finding,
      )
    )
      continue;
    credit += share ? (sum * covered) / (place.to_ft - place.from_ft) : sum;
  }
  return credit;
}
