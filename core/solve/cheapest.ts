import { methodRegistry } from '../methods/index.js';
import type { Candidate } from '../methods/method.js';
import { cheapestWithCharges } from '../search/fixed-charges.js';
import type { Limits, Path } from '../search/problem.js';
import { search } from '../search/search.js';
import type { Departs, HoleLevel } from '../track/joins.js';
import { micro, type Prepared } from './prepare.js';
import { allowedUnder, splitBoundaries, type Restriction } from './restrictions.js';

export interface PlanStep {
  readonly from: number;
  readonly to: number;
  /** Undefined for a gap that is left or cleaned. */
  readonly candidate: Candidate | undefined;
  /** How a liner is inserted, and whether new pipe needs a hole. */
  readonly departs: Departs;
  /** The hole while this step runs. */
  readonly hole: HoleLevel;
}

/** The scope of one line as the search found it. */
export interface Plan {
  readonly steps: readonly PlanStep[];
  /** Scope without mobilisation plus carried, in millionths. */
  readonly cost: number;
  /** Methods used, as a bit mask. */
  readonly used: number;
  /** Gap cells that are cleaned, by fine index. */
  readonly cleaned: Uint8Array;
}

/** The cheapest scope over all lines of a job, which share mobilisation. */
export interface Cheapest {
  readonly plans: readonly Plan[];
  /** Scope + carried, in millionths of money. */
  readonly cost: number;
}

/** Undefined where some line has no way at all. */
export function cheapest(
  lines: readonly Prepared[],
  restrictions: readonly (readonly Restriction[])[],
): Cheapest | undefined {
  const [first] = lines;
  if (!first) return { plans: [], cost: 0 };
  const { prices } = first.possible.track;
  const factor = (1 + prices.markup) * (1 + prices.tax);
  const charges = methodRegistry.rows.map(({ id }) =>
    id === 'leave' ? 0 : Math.round((prices.mobilisation[id] ?? 0) * factor * micro),
  );
  const limits = lines.map((line, i) => limitsOf(line, restrictions[i] ?? []));
  const found = cheapestWithCharges(lines.length, charges, (i, options) => {
    const [line, limit] = [lines[i], limits[i]];
    return line && limit && bestOf(line, { ...limit, options });
  });
  return (
    found && {
      plans: found.paths.map((path, i) => planOf(lines[i] ?? first, path)),
      cost: found.cost,
    }
  );
}

const limitsOf = (
  { possible, problem }: Prepared,
  restrictions: readonly Restriction[],
): Omit<Limits, 'options' | 'marked'> => ({
  allowed: allowedUnder(possible.track, problem.allowed, restrictions),
  splits: splitBoundaries(possible.track, restrictions),
});

const everyOption = ({ problem }: Prepared): number => (1 << problem.options) - 1;

/** Whether anything at all satisfies the rules and pins on one line. */
export function hasWay(line: Prepared, restrictions: readonly Restriction[]): boolean {
  const limits = { ...limitsOf(line, restrictions), options: everyOption(line) };
  return [true, false].some((marked) => search(line.problem, { ...limits, marked }) !== undefined);
}

/** A line's best path with and without root joints left: the yearly cleaning they bring is paid once a line. */
function bestOf(line: Prepared, limits: Omit<Limits, 'marked'>): Path | undefined {
  const { problem, baseline } = line;
  const { markedCharge } = problem.fills;
  let best: Path | undefined;
  for (const marked of markedCharge > 0 ? [false, true] : [true]) {
    const path = search(problem, { ...limits, marked });
    if (!path) continue;
    const cost = path.cost + baseline + (marked ? markedCharge : 0);
    if (!best || cost < best.cost || (cost === best.cost && path.tie < best.tie)) best = { ...path, cost };
  }
  return best;
}

const planOf = ({ candidates }: Prepared, path: Path): Plan => ({
  cost: path.cost,
  used: path.used,
  cleaned: path.second,
  steps: path.steps.map(({ from, to, move, departs, level }) => ({
    from,
    to,
    candidate: candidates[move],
    departs: departs as Departs,
    hole: level as HoleLevel,
  })),
});
