import { schoolWords } from '../job/school-words.js';
import type { Day } from '../days.js';
import { underFirm, type Firm } from '../job/firm.js';
import { pricesInForce } from '../job/prices.js';
import { rulesInForce } from '../job/rules.js';
import type { Acceptance, Job, PlainJob } from '../job/schema.js';
import { roundCents, sumCents } from '../units.js';
import type { School } from '../job/vocabulary.js';
import { changesSince } from './changes-since.js';
import { readyJob } from '../solve/ready.js';
import { solutionOf } from '../solve/solution.js';

/**
 * The job as scoped for one option: its company's rules and prices laid under it, the option's repair approach in
 * force.
 */
export function jobUnderWay(job: Job, firm: Firm, school: School): PlainJob {
  const { accepted: _accepted, ...plain } = underFirm(job, firm);
  return { ...plain, rules: { ...plain.rules, school } };
}

/**
 * Accepts an offer: freezes the job with every rule and rate that made its price, so that no later change, defaults
 * included, alters what was agreed. Throws where the option is not feasible.
 */
export function accept(job: Job, firm: Firm, school: School, on: Day, by?: string): Acceptance {
  const whole = spelledOut(jobUnderWay(job, firm, school));
  const total = totalOfJob(whole);
  if (total === undefined)
    throw new Error(`no scope satisfies the rules and pins under “${schoolWords[school].name}”`);
  return { on, ...(by === undefined ? {} : { by }), school, total, job: whole };
}

/** A job with every rule and rate in force written into it, defaults included. */
const spelledOut = (job: PlainJob): PlainJob => ({
  ...job,
  rules: rulesInForce(job.rules),
  prices: pricesInForce(job.prices),
});

/** The price of a job under its own repair approach; undefined where it has no feasible scope. */
export function totalOfJob(job: PlainJob): number | undefined {
  const ready = readyJob(job);
  const solution = solutionOf({
    lines: ready.lines,
    rules: ready.rules,
    prices: ready.prices,
    school: ready.rules.school,
  });
  return solution.feasible ? sumCents([solution.scope, solution.cleanouts]) : undefined;
}

/** What changed since an offer was accepted: the current job under the same option, and its price. */
export interface SinceAccepted {
  readonly agreed: number;
  /** Undefined where the job no longer has a feasible scope. */
  readonly now: number | undefined;
  readonly differs: number | undefined;
  /** Changes to the job, in plain words; empty where it is as accepted. */
  readonly changed: readonly string[];
}

/** Compares the current job with what was accepted. */
export function sinceAccepted(job: Job, firm: Firm, accepted: Acceptance): SinceAccepted {
  const current = jobUnderWay(job, firm, accepted.school);
  const now = totalOfJob(current);
  return {
    agreed: accepted.total,
    now,
    differs: now === undefined ? undefined : roundCents(now - accepted.total),
    changed: changesSince(accepted.job, spelledOut(current)),
  };
}
