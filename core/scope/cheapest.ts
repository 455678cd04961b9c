import { methods, type Method } from '../job/vocabulary.js';
import { methodBit } from './edges.js';
import { micro, search, type Plan, type Prepared, type Restriction } from './search.js';

/** The cheapest scope over all lines of a job, which share mobilisation. */
export interface Cheapest {
  readonly plans: readonly Plan[];
  /** Methods used, as a bit mask. */
  readonly used: number;
  /** Scope + carried, in millionths of money. */
  readonly cost: number;
}

const everyMethod = (1 << methods.length) - 1;

/**
 * Branch and bound over the methods that are mobilised: with a set given, lines are independent. A relaxed node pays
 * mobilisation only for what is surely in; where its optimum uses nothing else it is exact, else one of the methods
 * it uses is decided. Undefined where some line has no way at all.
 */
export function cheapest(
  lines: readonly Prepared[],
  restrictions: readonly (readonly Restriction[])[],
): Cheapest | undefined {
  const [first] = lines;
  if (!first) return { plans: [], used: 0, cost: 0 };
  const { prices } = first.possible.track;
  const factor = (1 + prices.markup) * (1 + prices.tax);
  const mobilisation = (mask: number) =>
    methods.reduce(
      (sum, method) =>
        method !== 'leave' && mask & methodBit(method)
          ? sum + Math.round((prices.mobilisation[method] ?? 0) * factor * micro)
          : sum,
      0,
    );
  const solved = lines.map((): { mask: number; plan: Plan | undefined }[] => []);
  const solve = (line: number, mask: number): Plan | undefined => {
    const known = solved[line]?.find(
      (each) => (mask & ~each.mask) === 0 && (each.plan === undefined || (each.plan.used & ~mask) === 0),
    );
    if (known) return known.plan;
    const prepared = lines[line];
    const plan = prepared && bestOf(prepared, restrictions[line] ?? [], mask);
    solved[line]?.push({ mask, plan });
    return plan;
  };

  let best: (Cheapest & { tie: number }) | undefined;
  const visit = (surely: number, maybe: number): void => {
    const plans: Plan[] = [];
    for (let line = 0; line < lines.length; line++) {
      const plan = solve(line, surely | maybe);
      if (!plan) return;
      plans.push(plan);
    }
    const own = plans.reduce((sum, plan) => sum + plan.cost, 0);
    if (best && own + mobilisation(surely) > best.cost) return;
    const used = plans.reduce((mask, plan) => mask | plan.used, 0);
    const cost = own + mobilisation(used);
    const tie = plans.reduce((sum, plan) => sum + plan.tie, 0);
    if (!best || cost < best.cost || (cost === best.cost && tie < best.tie))
      best = { plans, used, cost, tie };
    const open = methods
      .filter((method) => method !== 'leave' && used & methodBit(method) & ~surely)
      .sort((a, b) => (prices.mobilisation[dearer(b)] ?? 0) - (prices.mobilisation[dearer(a)] ?? 0));
    const [decide] = open;
    if (decide === undefined) return;
    const bit = methodBit(decide);
    visit(surely, maybe & ~bit);
    visit(surely | bit, maybe & ~bit);
  };
  visit(methodBit('leave'), everyMethod & ~methodBit('leave'));
  return best && { plans: best.plans, used: best.used, cost: best.cost };
}

const dearer = (method: Method) => method as Exclude<Method, 'leave'>;

/** Whether anything at all satisfies the rules and pins on one line. */
export const hasWay = (prepared: Prepared, restrictions: readonly Restriction[]): boolean =>
  search(prepared, { methods: everyMethod, restrictions, rootsLeft: true }) !== undefined ||
  search(prepared, { methods: everyMethod, restrictions, rootsLeft: false }) !== undefined;

/** A line's best path with and without root joints left: the yearly cleaning they bring is paid once a line. */
function bestOf(prepared: Prepared, restrictions: readonly Restriction[], mask: number): Plan | undefined {
  const paths = (prepared.carried.yearlyCleaning > 0 ? [false, true] : [true]).flatMap((rootsLeft) => {
    const plan = search(prepared, { methods: mask, restrictions, rootsLeft });
    return plan ? [plan] : [];
  });
  return paths.reduce<Plan | undefined>(
    (best, plan) =>
      !best || plan.cost < best.cost || (plan.cost === best.cost && plan.tie < best.tie) ? plan : best,
    undefined,
  );
}
