import type { Condition } from '../condition/condition.js';
import type { Prices } from '../job/prices.js';
import type { Rules } from '../job/rules.js';
import { roundCents } from '../units.js';
import type { Method, School } from '../job/vocabulary.js';
import type { LineModel } from '../line/model.js';
import { methodBit, methodsInOrder } from '../methods/index.js';
import { totalOf, type PriceLine } from '../price/price-line.js';
import type { Track } from '../track/track.js';
import { creditOf } from '../prepare/carried.js';
import { cheapest, isSolvable, type Plan } from './cheapest.js';
import { cleanoutWork, type CleanoutWork } from './cleanout-work.js';
import { withoutImpossible } from './impossible.js';
import { layOut, type Layout } from './layout.js';
import { prepare, type Prepared } from '../prepare/prepare.js';
import { mobilisationLines, priceLines } from './price.js';
import type { Restriction } from './restrictions.js';

/** One line as input to the search: laid out and graded, with its pins as restrictions. */
export interface ScopedLine {
  readonly model: LineModel;
  readonly condition: Condition;
  readonly restrictions: readonly Restriction[];
}

export interface LineSolution {
  readonly line: ScopedLine;
  readonly prepared: Prepared;
  /** Undefined where nothing satisfies the rules and pins. */
  readonly chosen:
    | {
        plan: Plan;
        layout: Layout;
        prices: readonly PriceLine[];
        cleanouts: readonly CleanoutWork[];
        carried: number;
        /** Feet that must be cured and are not, because no method may cure them. */
        uncured_ft: number;
      }
    | undefined;
}

/** The cheapest scope of a job under one repair approach. */
export interface Solution {
  readonly school: School;
  readonly feasible: boolean;
  readonly lines: readonly LineSolution[];
  /** Price lines of the scope; those of new and repaired cleanouts come after them. */
  readonly priceLines: readonly PriceLine[];
  readonly cleanoutLines: readonly PriceLine[];
  readonly scope: number;
  readonly cleanouts: number;
  readonly carried: number;
}

export interface SolveInput {
  readonly lines: readonly ScopedLine[];
  readonly rules: Rules;
  readonly prices: Prices;
  readonly school: School;
  /** Findings to cure as well, by line id. */
  readonly extra?: ReadonlyMap<string, readonly string[]>;
  /**
   * The same lines prepared before, under another repair approach or other obligations; whatever applies to both is
   * reused.
   */
  readonly earlier?: readonly Prepared[];
  /** Further restrictions, by line id. */
  readonly forbid?: ReadonlyMap<string, readonly Restriction[]>;
}

/**
 * Prepares every line for searching under a repair approach: breaks, actions, excavations and expected future costs.
 */
export function prepareLines(input: SolveInput): Prepared[] {
  return input.lines.map(({ model, condition }, i) => {
    const { rules, prices, school, extra, earlier: beside } = input;
    const also = [...(model.line.alsoCure ?? []), ...(extra?.get(model.line.id) ?? [])];
    return prepare({ model, condition, rules, prices, school, extra: also }, beside?.[i]?.possible);
  });
}

/** Finds the cheapest scope under a repair approach; a line with no feasible scope does not block the others. */
export function solutionOf(input: SolveInput, prepared: readonly Prepared[] = prepareLines(input)): Solution {
  const lines = solvedLines(input, prepared);
  const all = [
    ...mobilisationLines(mobilised(lines), input.prices),
    ...lines.flatMap(({ chosen }) => chosen?.prices ?? []),
  ];
  const cleanoutLines = lines.flatMap(
    ({ chosen }) => chosen?.cleanouts.flatMap(({ prices, offered }) => (offered ? [] : prices)) ?? [],
  );
  return {
    school: input.school,
    feasible: lines.every(({ chosen }) => chosen !== undefined),
    lines,
    priceLines: all,
    cleanoutLines,
    scope: totalOf(all),
    cleanouts: totalOf(cleanoutLines),
    carried: roundCents(lines.reduce((sum, { chosen }) => sum + (chosen?.carried ?? 0), 0)),
  };
}

/** What cannot be done here does not silence the rest: obligations that nothing can meet are set aside. */
function solvedLines(input: SolveInput, prepared: readonly Prepared[]): LineSolution[] {
  const lines = solvedAsRequired(input, prepared);
  const possible = lines.map(({ chosen, prepared: own }) =>
    chosen?.uncured_ft === 0 ? own : withoutImpossible(own),
  );
  return possible.every((own, i) => own === prepared[i]) ? lines : solvedAsRequired(input, possible);
}

function solvedAsRequired(input: SolveInput, prepared: readonly Prepared[]): LineSolution[] {
  const restrictions = input.lines.map(({ model, restrictions: pins }) => [
    ...pins,
    ...(input.forbid?.get(model.line.id) ?? []),
  ]);
  const together = cheapest(prepared, restrictions);
  // Conflicting pins on one line do not block the others.
  const open = prepared.map((each, i) => together !== undefined || isSolvable(each, restrictions[i] ?? []));
  const within = <T>(all: readonly T[]) => all.filter((_, i) => open[i]);
  const plans = [...((together ?? cheapest(within(prepared), within(restrictions)))?.plans ?? [])];
  return input.lines.map((line, i): LineSolution => {
    const own = prepared[i];
    if (!own) throw new Error('a line was not prepared');
    const plan = open[i] ? plans.shift() : undefined;
    if (!plan) return { line, prepared: own, chosen: undefined };
    const layout = layOut(own.possible, plan);
    return {
      line,
      prepared: own,
      chosen: {
        plan,
        layout,
        prices: priceLines(own.possible.track, layout),
        cleanouts: cleanoutWork(own.possible, layout),
        carried: carriedAfter(own, plan, layout),
        uncured_ft: uncuredFeet(own.possible.track, layout),
      },
    };
  });
}

const uncuredFeet = ({ cells }: Track, layout: Layout): number =>
  cells.reduce((sum, cell, i) => sum + (layout.cells[i]?.uncured ? cell.to_ft - cell.from_ft : 0), 0);

/** Feet left uncured although the repair approach says they must be cured. */
export const uncuredBy = ({ lines }: Pick<Solution, 'lines'>): number =>
  lines.reduce((sum, { chosen }) => sum + (chosen?.uncured_ft ?? 0), 0);

/** The methods a job sets up for, with the first line that needs each. */
function mobilised(lines: readonly LineSolution[]): Map<Method, string> {
  const used = new Map<Method, string>();
  for (const { line, chosen } of lines) {
    for (const method of methodsInOrder()) {
      if (chosen && chosen.plan.used & methodBit(method) && !used.has(method))
        used.set(method, line.model.line.id);
    }
  }
  return used;
}

/** Whether any root joint is left or only cleaned. */
export const leavesRoots = ({ cells }: Track, layout: Layout): boolean =>
  cells.some((cell, i) => cell.rootJoint && layout.cells[i]?.action === null);

/** Present value of upkeep and likely failures left by a plan. */
function carriedAfter({ possible, carried }: Prepared, plan: Plan, layout: Layout): number {
  const { track } = possible;
  const credit = plan.steps.reduce(
    (sum, { candidate }) => sum + (candidate ? creditOf(track, carried.findings, candidate) : 0),
    0,
  );
  return roundCents(
    carried.looks +
      (leavesRoots(track, layout) ? carried.yearlyCleaning : 0) +
      carried.findings.reduce((sum, { sum: each }) => sum + each, 0) -
      credit,
  );
}
