import { holeLetter } from '../excavation/hole.js';
import type { Method } from '../job/vocabulary.js';
import { clip, overlaps, type Interval } from '../line/intervals.js';
import { methodName } from '../methods/index.js';
import type { LineScope, Scope } from '../scope/scope.js';
import { sayWhat } from '../speech/say.js';
import type { FindingView, LineView } from '../views/line-view.js';

/** What errors in a log would cost: both prices, and where the work would have gone wrong. */
export interface CostOfErrors {
  /** Price of the scope from the truth, and from the log. */
  readonly truth: number;
  readonly log: number;
  readonly currency: string;
  /** Each scope as bars from upstream, both on the true line, which the log's may overrun or fall short of. */
  readonly bars: Readonly<Record<'truth' | 'log', readonly (Interval & { readonly method: Method })[]>>;
  readonly line: Interval;
  /** What the true scope cures and the log's scope misses, and how far short its nearest work ends, ft. */
  readonly left: readonly {
    readonly says: string;
    readonly at_ft: number;
    readonly by: string | undefined;
    readonly short_ft: number | undefined;
  }[];
  /** Excavations of the log's scope where nothing is wrong. */
  readonly dugWrong: readonly (Interval & { readonly letter: string })[];
}

/**
 * Work ending within this of a defect it misses ends short of it; farther off it was meant for something else, ft.
 */
const near_ft = 8;

type Side = { readonly view: LineView; readonly scope: Pick<Scope, 'lines' | 'prices'> };

/** Compares the scope from a log with the scope from the truth, both under the same rules and rates. */
export function costOfErrors(truth: Side, log: Side): CostOfErrors {
  const [real, own] = [lineOf(truth), lineOf(log)];
  const cured = truth.view.findings.filter((finding) => curedBy(real, finding));
  return {
    truth: truth.scope.prices.total,
    log: log.scope.prices.total,
    currency: truth.scope.prices.currency,
    bars: { truth: barsOf(real, truth.view), log: barsOf(own, truth.view) },
    line: { from_ft: truth.view.from_ft, to_ft: truth.view.to_ft },
    left: cured
      .filter((finding) => !curedBy(own, finding))
      .map((finding) => ({ says: sayWhat(finding.entry), at_ft: finding.from_ft, ...nearest(own, finding) })),
    dugWrong: (own?.pits ?? [])
      .filter(
        (pit) =>
          !(real?.pits ?? []).some((each) => overlaps(each, pit)) &&
          !truth.view.findings.some(({ grade, place }) => grade >= 2 && overlaps(place, pit)),
      )
      .map(({ id, from_ft, to_ft }) => ({ letter: holeLetter(id), from_ft, to_ft })),
  };
}

/** Stretches of one method, cut off at the end of the true line. */
const barsOf = (line: LineScope | undefined, within: Interval): (Interval & { method: Method })[] =>
  (line?.segments ?? []).flatMap(
    ({ from_ft, to_ft, method }) => clip({ from_ft, to_ft, method }, within) ?? [],
  );

const lineOf = ({ view, scope }: Side): LineScope | undefined => scope.lines.find(({ id }) => id === view.id);

/** Whether the work on a line covers a finding at its true place; cleaning counts. */
const curedBy = (
  line: LineScope | undefined,
  { from_ft, to_ft }: Pick<FindingView, 'from_ft' | 'to_ft'>,
): boolean => workOn(line).some((each) => each.from_ft <= from_ft && each.to_ft >= to_ft);

const workOn = (line: LineScope | undefined): readonly (Interval & { readonly says: string })[] => [
  ...(line?.actions ?? []).map(({ from_ft, to_ft, method }) => ({
    from_ft,
    to_ft,
    says: methodName(method),
  })),
  ...(line?.segments ?? [])
    .filter(({ method }) => method === 'clean')
    .map(({ from_ft, to_ft, method }) => ({ from_ft, to_ft, says: methodName(method) })),
];

function nearest(
  line: LineScope | undefined,
  finding: Interval,
): Pick<CostOfErrors['left'][number], 'by' | 'short_ft'> {
  const [best] = workOn(line)
    .map(({ from_ft, to_ft, says }) => ({
      by: says,
      short_ft: Math.max(from_ft - finding.from_ft, finding.to_ft - to_ft),
    }))
    .filter(({ short_ft }) => short_ft <= near_ft)
    .sort((a, b) => a.short_ft - b.short_ft);
  return best ?? { by: undefined, short_ft: undefined };
}
