import type { Judged } from '../condition/condition.js';
import { roundCents } from '../job/units.js';
import { methods, type Method, type School } from '../job/vocabulary.js';
import { curedBy } from '../condition/grade-table.js';
import { overlap } from '../line/intervals.js';
import { cheapestAlone } from './cheapest-alone.js';
import { edgeCures, isCutBack, type Edge, type Possible } from './edges.js';
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
/** An action that ends this near a place's end covers it whole, ft. */
const wholeWithin_ft = 1e-6;
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
  const left = track.condition.findings.filter(
    (finding) =>
      chances[finding.grade] !== undefined &&
      isCurable(finding) &&
      !isRootOrDeposit(finding) &&
      // Where it is not dug out it is cut back: it is never left.
      !isCutBack(track, finding.id) &&
      isOurs(track, finding),
  );
  const alone = cheapestAlone(possible, left);
  return {
    yearlyCleaning: cleansYearly(school)
      ? roundCents(prices.yearlyCleaning * annuity(rules.horizon_years, rules.interest))
      : 0,
    looks: looksAgain(school)
      ? roundCents(prices.look * everySecondYear(rules.horizon_years, rules.interest))
      : 0,
    findings: left.flatMap((finding, i) => {
      const sum = roundCents((chances[finding.grade] ?? 0) * later * (alone[i] ?? 0));
      const { placed, cures } = finding;
      const share = placed.to_ft - placed.from_ft > longShared_ft && !cures.includes('regrade');
      return sum > 0 ? [{ finding, sum, share }] : [];
    }),
  };
}

const isOurs = (track: Track, finding: Judged) =>
  track.cells.some((cell) => cell.ours && overlap(cell, finding.place) > 0);

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

/**
 * The same for every edge that starts at one boundary, taken in the order of their ends: what lies whole inside is
 * added as the end passes it, so that a long line does not look at every finding for every edge. `from` is the
 * boundary's index.
 */
export function creditsFrom(possible: Possible, carried: Carried, from: number): (edge: Edge) => number {
  const { track } = possible;
  const station = (b: number) => track.breaks[track.boundaries[b] ?? 0] ?? 0;
  const a = station(from);
  // A sag is cured by its fall and a long finding by the foot: each depends on both ends.
  const plain = carried.findings.filter(({ finding, share }) => !share && !finding.cures.includes('regrade'));
  const others: Carried = { ...carried, findings: carried.findings.filter((each) => !plain.includes(each)) };
  const ahead = plain
    .filter(({ finding }) => finding.place.from_ft >= a - wholeWithin_ft)
    .sort((one, other) => one.finding.place.to_ft - other.finding.place.to_ft);
  const sums = new Map<Method, number>();
  let passed = 0;
  return (edge) => {
    const b = station(edge.to);
    for (
      let next = ahead[passed];
      next && next.finding.place.to_ft <= b + wholeWithin_ft;
      next = ahead[++passed]
    ) {
      for (const method of methods) {
        if (curedBy(next.finding.cures, method, false)) sums.set(method, (sums.get(method) ?? 0) + next.sum);
      }
    }
    return (sums.get(edge.method) ?? 0) + (others.findings.length > 0 ? creditOf(track, others, edge) : 0);
  };
}
