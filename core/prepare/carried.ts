import { isCleaned, isCurable, isSag, type GradedFinding } from '../condition/graded-finding.js';
import type { Rules } from '../job/rules.js';
import { roundCents, tolerance } from '../units.js';
import type { School } from '../job/vocabulary.js';
import { overlap } from '../line/intervals.js';
import type { Candidate } from '../methods/candidates.js';
import { fallsOver } from '../methods/dig.js';
import { methodRow } from '../methods/index.js';
import { cures, curesByFall, type MethodRow } from '../methods/method.js';
import { isCutBack, stationOf, type Track } from '../track/track.js';
import { cheapestAlone } from './cheapest-alone.js';
import type { Cleaning } from './cleaning.js';
import type { Possible } from './possible.js';

/** Expected future cost: present value of upkeep and failures over the company's horizon; no markup or tax. */
export interface Carried {
  /** Due while any root joint remains in pipe that is left or cleaned. */
  readonly yearlyCleaning: number;
  /** Due on every line in any case. */
  readonly looks: number;
  /** For each finding if left: its chance of failure times the cost of its cheapest cure alone. */
  readonly findings: readonly CarriedFinding[];
}

export interface CarriedFinding {
  readonly finding: GradedFinding;
  readonly sum: number;
  /** Longer than a single action has to cover: credited by the foot. */
  readonly share: boolean;
}

const longShared_ft = 10;
const yearsBetweenInspections = 2;

/** Present value of one unit of money a year over this many years. */
export const annuity = (years: number, interest: number): number =>
  interest === 0 ? years : (1 - (1 + interest) ** -years) / interest;

/** Present value of one unit of money every second year within the horizon. */
export function everySecondYear(years: number, interest: number): number {
  let sum = 0;
  for (let year = yearsBetweenInspections; year <= years; year += yearsBetweenInspections)
    sum += (1 + interest) ** -year;
  return sum;
}

/**
 * Probability that a place of this grade fails within the horizon if left: 0 to 1; undefined where that is not counted.
 */
export const chanceToFail = (grade: number, rules: Rules): number | undefined =>
  grade === 2 ? rules.chanceWatchFails : grade === 3 ? rules.chanceFixFails : undefined;

/** Present value of one unit of money in the middle of the horizon. */
export const discountToMiddle = ({ interest, horizon_years }: Rules): number =>
  (1 + interest) ** (-horizon_years / 2);

const inspectsAgain = (school: School) => school !== 'maintain';

/** Computes, once and before any search, the expected future cost of leaving things. */
export function carriedOn(possible: Possible, cleaning: Cleaning): Carried {
  const { track } = possible;
  const { rules, prices, school } = track;
  const later = discountToMiddle(rules);
  const left = track.condition.findings.filter(
    (finding) =>
      chanceToFail(finding.grade, rules) !== undefined &&
      isCurable(finding) &&
      !isCleaned(finding) &&
      // Where it is not dug out it is cut back: it is never left.
      !isCutBack(track, finding.id) &&
      isOurs(track, finding),
  );
  const cutting = cutBackAlone(possible, cleaning);
  const alone = cheapestAlone(possible, left).map((cost, i) => leastOf(cost, left[i] && cutting(left[i])));
  return {
    yearlyCleaning: roundCents(prices.yearlyCleaning * annuity(rules.horizon_years, rules.interest)),
    looks: inspectsAgain(school)
      ? roundCents(prices.look * everySecondYear(rules.horizon_years, rules.interest))
      : 0,
    findings: left.flatMap((finding, i) => {
      const sum = roundCents((chanceToFail(finding.grade, rules) ?? 0) * later * (alone[i] ?? 0));
      const { placed } = finding;
      const share = placed.to_ft - placed.from_ft > longShared_ft && !isSag(finding);
      return sum > 0 ? [{ finding, sum, share }] : [];
    }),
  };
}

/** The smaller of two costs; 0 means the cure is not allowed. */
const leastOf = (one: number, other: number | undefined): number =>
  other === undefined || other === 0 ? one : one === 0 ? other : Math.min(one, other);

/** A protrusion may be cut back on its own: cleaning setup, cleaning its place, and the cut; raw. */
function cutBackAlone(
  { track: { prices } }: Possible,
  cleaning: Cleaning,
): (finding: GradedFinding) => number | undefined {
  return ({ cures, place }) => {
    if (!cures.includes('clean')) return undefined;
    return (prices.mobilisation.clean ?? 0) + cleaning.rawCostOf(place) + prices.cutBack_each;
  };
}

const isOurs = (track: Track, finding: GradedFinding) =>
  track.cells.some((cell) => cell.ours && overlap(cell, finding.place) > 0);

/**
 * What an action takes off the expected future cost: the findings it cures, in full, or by the foot where they may be
 * shared.
 */
export function creditOf(
  track: Track,
  carried: readonly CarriedFinding[],
  candidate: Pick<Candidate, 'from' | 'to' | 'method'>,
): number {
  const [a, b] = [stationOf(track, candidate.from), stationOf(track, candidate.to)];
  const method = methodRow(candidate.method);
  let credit = 0;
  for (const each of carried) {
    const always = cures(method, each.finding, false);
    if (always || curesByFall(method, each.finding)) credit += creditFor(track, each, a, b, always);
  }
  return credit;
}

/** The credit for one finding from a to b (ft), cured `always` or only with enough fall. */
function creditFor(
  track: Track,
  { finding, sum, share }: CarriedFinding,
  a: number,
  b: number,
  always: boolean,
): number {
  const { place } = finding;
  const length = place.to_ft - place.from_ft;
  const covered = Math.min(b, place.to_ft) - Math.max(a, place.from_ft);
  if (covered <= tolerance.ft || (!share && covered < length - tolerance.ft)) return 0;
  const from = share ? Math.min(a, place.from_ft) : a;
  const to = share ? Math.max(b, place.to_ft) : b;
  if (!always && !fallsOver(track, from, to, [finding])) return 0;
  return share ? (sum * covered) / length : sum;
}

/**
 * The same for all candidates of one method from one boundary, queried in order of their ends: a finding is added as
 * the end passes it, so that a long line does not check every finding for every candidate.
 */
export function creditsOf(
  track: Track,
  { findings }: Carried,
  method: MethodRow,
): (from: number) => (to: number) => number {
  const cured = findings
    .map((each) => ({ ...each, always: cures(method, each.finding, false) }))
    .filter(({ finding, always }) => always || curesByFall(method, finding));
  if (cured.length === 0) return () => () => 0;
  // A belly is cured by its fall and a long finding by the foot: each depends on both ends.
  const simple = cured
    .filter(({ finding, share, always }) => !share && !isSag(finding) && always)
    .sort((one, other) => one.finding.place.to_ft - other.finding.place.to_ft);
  const others = cured.filter(({ finding, share }) => share || isSag(finding));
  return (from) => {
    const a = stationOf(track, from);
    const ahead = simple.filter(({ finding }) => finding.place.from_ft >= a - tolerance.ft);
    let sum = 0;
    let passed = 0;
    return (to) => {
      const b = stationOf(track, to);
      for (
        let next = ahead[passed];
        next && next.finding.place.to_ft <= b + tolerance.ft;
        next = ahead[++passed]
      )
        sum += next.sum;
      let credit = 0;
      for (const each of others) credit += creditFor(track, each, a, b, each.always);
      return sum + credit;
    };
  };
}
