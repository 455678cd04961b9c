import { leftUndone } from '../explain/left.js';
import { unsolvedWarnings } from '../explain/unsolved.js';
import { notPossibleOn, notPossibleWarnings, type NotPossible } from '../explain/not-possible.js';
import { cleanoutOptions, optionalCures, type Option } from '../explain/options.js';
import { costOf, runnerUp, type RunnerUp } from '../explain/runner-up.js';
import { referralsOf, type Referral } from '../explain/referrals.js';
import { segmentsOf, type Segment } from '../explain/segments.js';
import { firstStep, isKnown, assuming, type FirstStep } from '../explain/unseen.js';
import { verdictOf, type Verdict } from '../explain/verdict.js';
import { lineWarnings, planWarnings } from '../explain/warnings.js';
import type { Capacity } from '../grade/capacity.js';
import type { Rules } from '../job/rules.js';
import { sumCents, tolerance } from '../units.js';
import { schools, type Method, type School } from '../job/vocabulary.js';
import { overlaps, type Interval } from '../line/intervals.js';
import { workingTime, type WorkingTime } from '../liner/working-time.js';
import { methodSummaries, workOf } from '../methods/index.js';
import type { Action, MethodSummary, Order } from '../methods/method.js';
import type { Fitting } from '../pipe/fittings.js';
import { totalOf, type PriceLine } from '../price/price-line.js';
import type { CleanoutWork } from '../solve/cleanout-work.js';
import type { Prepared } from '../prepare/prepare.js';
import type { ReadiedJob } from '../solve/ready.js';
import {
  prepareLines,
  uncuredBy,
  solutionOf,
  type LineSolution,
  type Solution,
  type SolveInput,
} from '../solve/solution.js';
import type { Warning } from '../warning.js';
import { barsOf } from './bars.js';
import { buyOf, type Buy } from './buy.js';
import { capacityOf } from './capacity.js';
import { laidHole, type LaidHole } from './laid-hole.js';
import { toTheEnd } from './steps.js';

/** The scope of a job: plain data with figures that open. Every screen and file is made from it. */
export interface Scope {
  readonly verdict: readonly Verdict[];
  readonly school: School;
  readonly feasible: boolean;
  readonly lines: readonly LineScope[];
  readonly buy: Buy;
  readonly prices: {
    readonly currency: string;
    readonly dated: string;
    readonly scope: number;
    readonly cleanouts: number;
    readonly total: number;
    readonly carried: number;
    readonly lines: readonly PriceLine[];
  };
  readonly ways: readonly ApproachSummary[];
  readonly firstStep: FirstStep | null;
  readonly ifUnseenIs: IfUnseenIs;
  readonly warnings: readonly Warning[];
  /** How each method is named and drawn, in order. */
  readonly methods: readonly MethodSummary[];
}

export interface ApproachSummary {
  readonly school: School;
  readonly feasible: boolean;
  readonly scope: number;
  readonly cleanouts: number;
  readonly total: number;
  readonly carried: number;
  /** Feet that must be cured and are not, because no method may cure them. */
  readonly uncured_ft: number;
  /** Places of each grade from 2 up left as they are, over all lines; possible findings are not counted. */
  readonly leaves: Readonly<Record<2 | 3 | 4, number>>;
  /** The work as a thin bar on the sheet, by line id. */
  readonly bars: Readonly<Record<string, readonly (Interval & { method: Method })[]>>;
}

export interface LineScope {
  readonly id: string;
  readonly feasible: boolean;
  /** Stations where an action may start or end under this repair approach, from upstream, ft. */
  readonly mayEnd_ft: readonly number[];
  readonly segments: readonly (Segment & { runnerUp: RunnerUp | null })[];
  readonly actions: readonly ActionScope[];
  readonly pits: readonly LaidHole[];
  readonly cleanouts: readonly CleanoutWork[];
  readonly options: readonly Option[];
  readonly referrals: readonly Referral[];
  /** Places that must be cured and cannot be under the rules, with what would lift that. */
  readonly notPossible: readonly NotPossible[];
}

export interface ActionScope extends Action, Order {
  readonly cost: number;
  /** Fittings in the new pipe, from upstream. */
  readonly fittings: readonly Fitting[];
  /** Whether the resin stays workable until the liner is in place. */
  readonly working?: WorkingTime;
  /** Where the fall is known. */
  readonly capacity?: Capacity;
}

/** A scope in progress: the other options and the price range follow the scope of the job's own approach. */
export interface ScopeSoFar extends Omit<Scope, 'ifUnseenIs'> {
  /** Undefined until computed. */
  readonly ifUnseenIs: IfUnseenIs | undefined;
  /** Runners-up and optional cures are included. */
  readonly complete: boolean;
}

/**
 * The cheapest scope of a prepared job under its repair approach, the other two options beside it, and what is not
 * known.
 */
export const scopeOf = (ready: ReadiedJob): Scope => toTheEnd(scopeSteps(ready));

/**
 * Computes a scope in steps: yields each part a screen can show as soon as it is ready, and undefined between two
 * searches, so that the caller can stop when the job has changed. Returns the whole.
 */
export function* scopeSteps(ready: ReadiedJob): Generator<ScopeSoFar | undefined, Scope> {
  const { rules, prices, lines } = ready;
  const input = (school: School): SolveInput => ({ lines, rules, prices, school });
  const prepared = prepareLines(input(rules.school));
  const solution = solutionOf(input(rules.school), prepared);
  const own = scopeOfSolution(ready, solution);
  yield { ...own, ways: [summaryOf(solution)], ifUnseenIs: undefined, complete: false };

  const ways: ApproachSummary[] = [];
  for (const school of schools) {
    if (school !== rules.school) yield undefined;
    ways.push(
      summaryOf(school === rules.school ? solution : solutionOf({ ...input(school), earlier: prepared })),
    );
  }
  yield { ...own, ways, ifUnseenIs: undefined, complete: false };
  const unseen = ifUnseenIs(solution, input(rules.school));
  yield { ...own, ways, ifUnseenIs: unseen, complete: false };

  const withAlternatives = yield* alternativesTo(own.lines, {
    solution,
    input: input(rules.school),
    prepared: solution.lines.map((line) => line.prepared),
  });
  return { ...own, lines: withAlternatives, ways, ifUnseenIs: unseen };
}

const summaryOf = (solution: Solution): ApproachSummary => ({
  school: solution.school,
  feasible: solution.feasible,
  scope: solution.scope,
  cleanouts: solution.cleanouts,
  total: sumCents([solution.scope, solution.cleanouts]),
  carried: solution.carried,
  uncured_ft: uncuredBy(solution),
  leaves: leftBy(solution),
  bars: Object.fromEntries(
    solution.lines.map((lineSolution) => [lineSolution.line.model.line.id, barsOf(lineSolution)]),
  ),
});

/** A scope without the other options and the price range. */
export type OwnScope = Omit<Scope, 'ways' | 'ifUnseenIs'>;

/** The scope of a solution under the job's own approach, without runners-up and optional cures. */
export function scopeOfSolution(ready: ReadiedJob, solution: Solution): OwnScope {
  const { rules, prices, lines } = ready;
  const chosen = chosenScope(ready, solution);
  const buy = buyOf(solution.lines, rules);
  return {
    ...chosen,
    warnings: [...chosen.warnings, ...buy.notProven.map(cutNotProven)],
    verdict: verdictOf(lines, solution),
    school: rules.school,
    buy,
    firstStep: firstStep(lines, prices, rules),
    methods: methodSummaries(),
  };
}

const cutNotProven = ({ item, bought_ft, least_ft }: Buy['notProven'][number]): Warning => ({
  rule: 'cut-list-not-proven',
  message: `too many pieces of ${item} to prove the cut list: it buys ${bought_ft} ft, and no plan buys less than ${least_ft} ft`,
});

/** The price range; null where a case has no feasible scope. */
export interface IfUnseenIs {
  readonly sound: number | null;
  readonly failed: number | null;
}

/** The price under the same approach if every foot not seen clean proves sound, and if it proves failed. */
export function ifUnseenIs(solution: Solution, input: SolveInput): IfUnseenIs {
  const total = sumCents([solution.scope, solution.cleanouts]);
  if (input.lines.every(isKnown)) return { sound: total, failed: total };
  const supposed = (proves: 'sound' | 'failed') => {
    const other = solutionOf({
      ...input,
      lines: input.lines.map((line) => assuming(line, proves, input.rules)),
    });
    const possible = other.feasible && uncuredBy(other) <= uncuredBy(solution) + tolerance.ft;
    return possible ? sumCents([other.scope, other.cleanouts]) : null;
  };
  const [sound, failed] = [supposed('sound'), supposed('failed')];
  // A case that only relaxes constraints costs no more, and one that only adds duties no less.
  return {
    sound: sound === null ? null : Math.min(sound, total),
    failed: failed === null ? null : Math.max(failed, total),
  };
}

/** The scope of one solution, without the other options and the unknowns. */
export type ChosenScope = Pick<Scope, 'feasible' | 'lines' | 'prices' | 'warnings'>;

/** Lengths, excavations, prices and warnings of a solution under the job's own approach. */
export function chosenScope({ job, lines, rules, prices }: ReadiedJob, solution: Solution): ChosenScope {
  const lineScopes = solution.lines.map((lineSolution) =>
    lineScope(lineSolution, rules, job.site?.temperature_F),
  );
  return {
    feasible: solution.feasible,
    lines: lineScopes,
    prices: {
      currency: prices.currency,
      dated: prices.dated,
      scope: solution.scope,
      cleanouts: solution.cleanouts,
      total: sumCents([solution.scope, solution.cleanouts]),
      carried: solution.carried,
      lines: [...solution.priceLines, ...solution.cleanoutLines],
    },
    warnings: [
      ...lines.flatMap((line) => lineWarnings(line)),
      ...solution.lines.flatMap(planWarnings),
      ...unsolvedWarnings(solution),
      ...solution.lines.flatMap(notPossibleWarnings),
      ...lineScopes.flatMap(resinWarnings),
    ],
  };
}

/** A solution with the context it was found in. */
export interface Found {
  readonly solution: Solution;
  readonly input: SolveInput;
  readonly prepared: readonly Prepared[];
}

/** Adds the runner-up of every segment, and the price of curing each watched place: a search for each. */
export function* alternativesTo(
  scopes: readonly LineScope[],
  { solution, input, prepared }: Found,
): Generator<undefined, LineScope[]> {
  const mine = { totalCost: costOf(solution), uncured_ft: uncuredBy(solution) };
  const lines: LineScope[] = [];
  for (const [i, scope] of scopes.entries()) {
    const segments: LineScope['segments'][number][] = [];
    for (const segment of scope.segments) {
      yield undefined;
      segments.push({ ...segment, runnerUp: runnerUp(segment, scope.id, input, prepared, mine) });
    }
    yield undefined;
    const lineSolution = solution.lines[i];
    const options = lineSolution?.chosen ? optionalCures(lineSolution, solution, input) : [];
    lines.push({ ...scope, segments, options: [...options, ...scope.options] });
  }
  return lines;
}

/** Adds the runners-up of the segments on one stretch of one line. */
export function runnersUpOn(
  scopes: readonly LineScope[],
  stretch: Interval & { readonly line: string },
  { solution, input, prepared }: Found,
): LineScope[] {
  const mine = { totalCost: costOf(solution), uncured_ft: uncuredBy(solution) };
  return scopes.map((scope) => ({
    ...scope,
    segments: scope.segments.map((segment) =>
      stretch.line === scope.id && overlaps(segment, stretch)
        ? { ...segment, runnerUp: runnerUp(segment, scope.id, input, prepared, mine) }
        : segment,
    ),
  }));
}

/** Counts the places of grade watch, fix and failed that a scope leaves uncured. */
function leftBy({ lines }: Solution): ApproachSummary['leaves'] {
  const left = { 2: 0, 3: 0, 4: 0 };
  for (const { finding } of lines.flatMap((lineSolution) => leftUndone(lineSolution)?.findings ?? [])) {
    if (finding.grade >= 2 && !finding.possible) left[finding.grade as 2 | 3 | 4]++;
  }
  return left;
}

function lineScope(lineSolution: LineSolution, rules: Rules, temperature_F: number | undefined): LineScope {
  const { line, chosen, prepared: own } = lineSolution;
  const { track } = own.possible;
  const id = line.model.line.id;
  const mayEnd_ft = track.boundaries.map((fine) => track.breaks[fine] ?? 0);
  const referrals = referralsOf(line, rules);
  if (!chosen) {
    const nothing = { segments: [], actions: [], pits: [], cleanouts: [], options: [], notPossible: [] };
    return { id, feasible: false, mayEnd_ft, referrals, ...nothing };
  }
  const segments = segmentsOf(track, chosen.layout, line.restrictions).map((segment) => ({
    ...segment,
    runnerUp: null,
  }));
  return {
    id,
    feasible: true,
    mayEnd_ft,
    segments,
    actions: chosen.layout.actions.map((action) => {
      const { order, fittings } = workOf(action.method);
      const ordered = order(track, action, chosen.layout.holes);
      const { liner } = ordered;
      return {
        ...action,
        cost: totalOf(chosen.prices.filter((price) => price.action === action.id)),
        fittings: fittings?.(track, action) ?? [],
        ...ordered,
        ...(liner ? { working: workingTime(liner.cut.value, rules, temperature_F) } : {}),
        ...capacityOf(lineSolution, action),
      };
    }),
    pits: chosen.layout.holes.map((hole) => laidHole(lineSolution, hole)),
    cleanouts: chosen.cleanouts.filter(({ offered }) => !offered),
    options: cleanoutOptions(chosen.cleanouts),
    referrals,
    notPossible: notPossibleOn(lineSolution),
  };
}

const resinWarnings = ({ id, actions }: LineScope): Warning[] =>
  actions.flatMap(({ working, from_ft }) =>
    working?.short === undefined
      ? []
      : [{ rule: 'working-time-short', line: id, at_ft: from_ft, message: working.short }],
  );
