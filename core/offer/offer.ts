import { addDays, type Day } from '../days.js';
import { underFirm, type Firm } from '../job/firm.js';
import { datumName } from '../job/point-words.js';
import type { Job } from '../job/schema.js';
import { roundCents, sumCents } from '../units.js';
import { schools, type Method, type School } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import { notSeen } from '../line/model.js';
import { sayWhat } from '../speech/say.js';
import { barsOf } from '../scope/bars.js';
import { ifUnseenIs, type IfUnseenIs } from '../scope/scope.js';
import { proofOf, type Proof } from './proof.js';
import { sayDays } from './say-days.js';
import { sayConditions, sayHoles, sayNotPossible, sayWork } from './say-work.js';
import { leftUndone } from '../explain/left.js';
import type { PriceLine } from '../price/price-line.js';
import { readyJob, type ReadiedJob } from '../solve/ready.js';
import { chanceToFail, discountToMiddle } from '../prepare/carried.js';
import { referralsOf } from '../explain/referrals.js';
import { nothingSeen } from '../explain/verdict.js';
import { cleanoutOptions, optionalCures, type Option } from '../explain/options.js';
import { firstStep, type FirstStep } from '../explain/unseen.js';
import {
  prepareLines,
  solutionOf,
  type LineSolution,
  type Solution,
  type SolveInput,
} from '../solve/solution.js';

/**
 * An offer to a customer: the options side by side in plain words, as plain data for a screen, a page or a document.
 */
export interface Offer {
  readonly title: string;
  readonly number: string | undefined;
  readonly address: string | undefined;
  readonly customer: string | undefined;
  readonly inspectedOn: Day | undefined;
  readonly firm: { readonly [K in 'name' | 'licence' | 'phone' | 'email' | 'logo']: Firm[K] | undefined };
  readonly on: Day;
  readonly validTo: Day;
  readonly currency: string;
  /** Date of the price book. */
  readonly dated: Day;
  readonly horizon_years: number;
  /** The job's own repair approach. */
  readonly school: School;
  readonly lines: readonly (Interval & {
    readonly id: string;
    readonly name: string;
    /** As far as anybody has seen or measured it. */
    readonly known: Interval;
    readonly endReached: boolean;
    /** What 0 ft is; undefined on an offer frozen before this was recorded. */
    readonly zero?: string;
  })[];
  readonly ways: readonly OfferApproach[];
  /** No run has shown a foot of any line, so there is nothing to agree to yet. */
  readonly nothingSeen: boolean;
  readonly notSeen: readonly (Interval & { readonly line: string })[];
  readonly notLookedAt: readonly string[];
  readonly firstStep: FirstStep | null;
  readonly referrals: readonly { readonly what: string; readonly at_ft: number; readonly to: string }[];
  readonly exclusions: readonly string[];
  readonly terms: string | undefined;
  readonly proof: readonly Proof[];
}

export interface OfferApproach {
  readonly school: School;
  readonly feasible: boolean;
  /** Work by line id. */
  readonly bars: Readonly<Record<string, readonly (Interval & { readonly method: Method })[]>>;
  /** What we do, one sentence each, from upstream. */
  readonly does: readonly string[];
  readonly holes: readonly string[];
  /**
   * How long it takes and when no water may run, in sentences; missing on an offer frozen before this was recorded.
   */
  readonly days?: readonly string[];
  /** What must be cured and cannot be under the rules: left to others. */
  readonly notPossible: readonly string[];
  /** Conditions on the price: a neighbor's consent, depths still to be located. */
  readonly conditions: readonly string[];
  readonly total: number;
  readonly priceLines: readonly PriceLine[];
  /** Yearly costs afterwards, one sentence each. */
  readonly eachYear: readonly { readonly what: string; readonly costs: number }[];
  /** Upkeep and likely failures over the horizon, present value. */
  readonly carried: number;
  /** Price plus expected future cost. */
  readonly overYears: number;
  readonly leaves: readonly {
    readonly what: string;
    readonly line: string;
    readonly at_ft: number;
    /** Its part of the option's expected future cost, present value. */
    readonly costs: number;
    /**
     * Chance of failure within the horizon, and what the customer would then pay; undefined where that is not counted.
     */
    readonly mayFail: { readonly chance: number; readonly then: number } | undefined;
  }[];
  /** The price if everything unseen proves sound, and if it proves failed. */
  readonly ifUnseenIs: IfUnseenIs;
  readonly options: readonly (Option & { readonly line: string })[];
}

export const usualValidity_days = 30;

/**
 * The offer of a job under its company. `today` is used where the job gives no date for its offer. The options are
 * those named by the job's offer, else all three; each is solved to its own optimum.
 */
export function offerOf(job: Job, firm: Firm, today: Day): Offer {
  const ready = readyJob(underFirm(job, firm));
  const said = job.offer;
  const on = said?.on ?? today;
  const ways = schools.filter((school) => said?.ways?.includes(school) ?? true);
  return {
    title: job.title,
    number: job.number,
    address: job.site?.address,
    customer: job.site?.customer,
    inspectedOn: job.inspectedOn,
    firm: {
      name: firm.name,
      licence: firm.licence,
      phone: firm.phone,
      email: firm.email,
      logo: firm.logo,
    },
    on,
    validTo: addDays(on, said?.validity_days ?? firm.validity_days ?? usualValidity_days),
    currency: ready.prices.currency,
    dated: ready.prices.dated,
    horizon_years: ready.rules.horizon_years,
    school: ready.rules.school,
    lines: ready.lines.map(({ model }) => ({
      ...model.extent,
      known: model.known,
      id: model.line.id,
      name: model.line.name ?? model.line.id,
      endReached: model.endReached,
      zero: datumName(model.line),
    })),
    ways: ways.map((school) => offeredWay(ready, school, (solution) => sayDays(ready, solution, firm, on))),
    nothingSeen: nothingSeen(ready.lines),
    notSeen: ready.lines.flatMap(({ model }) =>
      notSeen(model).map((each) => ({ ...each, line: model.line.id })),
    ),
    notLookedAt: job.site?.notLookedAt ?? [],
    firstStep: firstStep(ready.lines, ready.prices, ready.rules),
    referrals: ready.lines.flatMap((line) => referralsOf(line, ready.rules)),
    exclusions: [...(firm.exclusions ?? []), ...byOthers(ready)],
    terms: said?.terms ?? firm.terms,
    proof: ready.lines.flatMap(proofOf),
  };
}

/** Surfaces over the line that another trade restores. */
function byOthers({ lines, prices }: ReadiedJob): string[] {
  const kinds = new Set(lines.flatMap(({ model }) => model.surfaces.map(({ kind }) => kind)));
  return [...kinds]
    .filter((kind) => prices.restore_per_ft2[kind] === 'by-others')
    .map((kind) => `restoring the ${kind === 'building' ? 'floor and finishes inside the building' : kind}`);
}

function offeredWay(
  { lines, rules, prices }: ReadiedJob,
  school: School,
  daysOf: (solution: Solution) => string[],
): OfferApproach {
  const input: SolveInput = { lines, rules: { ...rules, school }, prices, school };
  const solution = solutionOf(input, prepareLines(input));
  const total = sumCents([solution.scope, solution.cleanouts]);
  const left = solution.lines.map((lineSolution) => ({
    id: lineSolution.line.model.line.id,
    left: leftUndone(lineSolution),
  }));
  const cleaned = left.filter((each) => (each.left?.yearlyCleaning ?? 0) > 0).length;
  const looked = left.filter((each) => (each.left?.looks ?? 0) > 0).length;
  return {
    school,
    feasible: solution.feasible,
    bars: Object.fromEntries(
      solution.lines.map((lineSolution) => [lineSolution.line.model.line.id, barsOf(lineSolution)]),
    ),
    does: sayWork(solution),
    holes: sayHoles(solution),
    days: daysOf(solution),
    notPossible: sayNotPossible(solution),
    conditions: sayConditions(solution),
    total,
    priceLines: [...solution.priceLines, ...solution.cleanoutLines],
    eachYear: [
      ...(cleaned > 0
        ? [{ what: 'cleaning, each year', costs: roundCents(cleaned * prices.yearlyCleaning) }]
        : []),
      ...(looked > 0
        ? [{ what: 'a camera inspection, every second year', costs: roundCents(looked * prices.look) }]
        : []),
    ],
    carried: solution.carried,
    overYears: sumCents([total, solution.carried]),
    leaves: left.flatMap(({ id, left: own }) =>
      (own?.findings ?? []).map(({ finding, costs }) => ({
        what: sayWhat(finding.placed.entry),
        line: id,
        at_ft: finding.placed.from_ft,
        costs,
        mayFail: mayFail(finding.grade, costs, { rules, prices }),
      })),
    ),
    ifUnseenIs: ifUnseenIs(solution, input),
    options: solution.lines.flatMap((lineSolution) => optionsOf(lineSolution, solution, input)),
  };
}

/** The chance behind an expected future cost, and the price behind it at today's rates. */
function mayFail(
  grade: number,
  costs: number,
  { rules, prices }: Pick<ReadiedJob, 'rules' | 'prices'>,
): OfferApproach['leaves'][number]['mayFail'] {
  const chance = chanceToFail(grade, rules);
  if (costs <= 0 || !chance) return undefined;
  const then = (costs / (chance * discountToMiddle(rules))) * (1 + prices.markup) * (1 + prices.tax);
  return { chance, then: roundCents(then) };
}

const optionsOf = (lineSolution: LineSolution, solution: Solution, input: SolveInput) =>
  lineSolution.chosen
    ? [
        ...optionalCures(lineSolution, solution, input),
        ...cleanoutOptions(lineSolution.chosen.cleanouts),
      ].map((option) => ({
        ...option,
        line: lineSolution.line.model.line.id,
      }))
    : [];
