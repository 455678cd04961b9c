import { bit, type Path } from './problem.js';

/**
 * The cheapest paths of several problems that share fixed charges: each option is paid for once, however often it is
 * used.
 */
export interface Cheapest<Found extends Path = Path> {
  readonly paths: readonly Found[];
  /** Options used by any of them, as a bit mask. */
  readonly used: number;
  /** Paths and fixed charges together. */
  readonly cost: number;
}

/**
 * Branch and bound over the options paid for; with the set given, the problems are independent. A relaxed node pays
 * only for options known to be in. Where its optimum uses nothing else it is exact; otherwise one of the options it
 * uses is branched on, the most expensive first. `solve` answers one problem with the options of a mask, and need not
 * find a path costing more than `most`. Undefined where some problem has no path.
 */
export function cheapestWithCharges<Found extends Path>(
  problems: number,
  charges: readonly number[],
  solve: (problem: number, options: number, most: number) => Found | undefined,
): Cheapest<Found> | undefined {
  if (problems === 0) return { paths: [], used: 0, cost: 0 };
  const options = charges.map((_, option) => option);
  const chargesOf = (mask: number) =>
    charges.reduce((sum, charge, option) => (mask & bit(option) ? sum + charge : sum), 0);
  const remembered = rememberSubsets(problems, solve);
  let best: (Cheapest<Found> & { tie: number }) | undefined;
  const visit = (surely: number, maybe: number): void => {
    // With several problems, the budget of one depends on the others.
    const most = best && problems === 1 ? best.cost - chargesOf(surely) : Infinity;
    const paths: Found[] = [];
    for (let problem = 0; problem < problems; problem++) {
      const path = remembered(problem, surely | maybe, most);
      if (!path) return;
      paths.push(path);
    }
    const own = paths.reduce((sum, path) => sum + path.cost, 0);
    if (best && own + chargesOf(surely) > best.cost) return;
    const used = paths.reduce((mask, path) => mask | path.used, 0);
    const cost = own + chargesOf(used);
    const tie = paths.reduce((sum, path) => sum + path.tie, 0);
    if (!best || cost < best.cost || (cost === best.cost && tie < best.tie))
      best = { paths, used, cost, tie };
    const [decide] = options
      .filter((option) => charges[option] !== undefined && used & bit(option) & ~surely & maybe)
      .sort((a, b) => (charges[b] ?? 0) - (charges[a] ?? 0));
    if (decide === undefined) return;
    visit(surely, maybe & ~bit(decide));
    visit(surely | bit(decide), maybe & ~bit(decide));
  };
  visit(
    0,
    options.reduce((mask, option) => mask | bit(option), 0),
  );
  return best && { paths: best.paths, used: best.used, cost: best.cost };
}

/**
 * A path found with more options also answers fewer when it uses none of those removed; so does the absence of a path.
 */
function rememberSubsets<Found extends Path>(
  problems: number,
  solve: (problem: number, options: number, most: number) => Found | undefined,
) {
  const known: { mask: number; most: number; path: Found | undefined }[][] = Array.from(
    { length: problems },
    () => [],
  );
  return (problem: number, mask: number, most: number): Found | undefined => {
    const stands = known[problem]?.find(
      (each) =>
        (mask & ~each.mask) === 0 &&
        (each.path === undefined ? most <= each.most : (each.path.used & ~mask) === 0),
    );
    if (stands) return stands.path;
    const path = solve(problem, mask, most);
    known[problem]?.push({ mask, most, path });
    return path;
  };
}
