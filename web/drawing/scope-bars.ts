import type { Method } from '../../core/job/vocabulary.js';
import { summaryOf, type MethodSummary } from '../../core/methods/method.js';
import type { LineScope, ScopeSoFar } from '../../core/scope/scope.js';
import { feet } from '../controls/format';

/** A bar of the scope: a whole action, or a stretch that is left or cleaned. */
export interface ScopeBar {
  readonly key: string;
  readonly from_ft: number;
  readonly to_ft: number;
  readonly method: Method;
  /** How its method is named and drawn. */
  readonly summary: MethodSummary;
  readonly action: LineScope['actions'][number] | undefined;
  readonly segments: LineScope['segments'];
}

/** The bars of a line, from upstream. */
export function barsOf(scope: LineScope, methods: ScopeSoFar['methods']): ScopeBar[] {
  const bars: ScopeBar[] = [];
  for (const segment of scope.segments) {
    const last = bars.at(-1);
    const same = last && last.method === segment.method && (last.action?.id ?? null) === segment.action;
    if (same)
      bars[bars.length - 1] = { ...last, to_ft: segment.to_ft, segments: [...last.segments, segment] };
    else {
      bars.push({
        key: segment.action ?? `${segment.method} ${segment.from_ft.toFixed(2)}`,
        from_ft: segment.from_ft,
        to_ft: segment.to_ft,
        method: segment.method,
        summary: summaryOf(methods, segment.method),
        action: scope.actions.find(({ id }) => id === segment.action),
        segments: [segment],
      });
    }
  }
  return bars;
}

/** The text under a bar's name. */
export function barDetail({ action, from_ft, to_ft }: ScopeBar): string {
  if (action?.liner) return `${feet(action.liner.host.value)} ft, cut ${feet(action.liner.cut.value)}`;
  if (action?.pipe) return `${feet(action.pipe.laid.value)} ft of ${action.pipe.diameter_in} in`;
  return `${feet(to_ft - from_ft)} ft`;
}

/** What to select first: the most expensive action, else the longest stretch. */
export function weightiest(bars: readonly ScopeBar[]): ScopeBar | undefined {
  return [...bars].sort(
    (a, b) => (b.action?.cost ?? 0) - (a.action?.cost ?? 0) || b.to_ft - b.from_ft - (a.to_ft - a.from_ft),
  )[0];
}
