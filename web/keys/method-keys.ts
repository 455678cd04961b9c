import type { Method } from '../../core/job/vocabulary.js';
import { summaryOf } from '../../core/methods/method.js';
import type { Scope } from '../../core/scope/scope.js';

interface MethodKey {
  readonly method: Method;
  readonly key: string;
  readonly name: string;
  /** Description for the key help. */
  readonly does: string;
}

/** The methods that can be chosen for a stretch, each with its key: construction first, then leaving and cleaning. */
export const methodKeys = (methods: Scope['methods']): MethodKey[] =>
  [...methods]
    .sort((a, b) => (a.work ? 0 : 1) - (b.work ? 0 : 1))
    .flatMap(({ id, asked }) => (asked ? [{ method: id, ...asked }] : []));

/** The methods that can be chosen in place of the present one, without those its length alone would decide. */
export const otherMethods = (now: Method, methods: Scope['methods']): MethodKey[] => {
  const { asked, work } = summaryOf(methods, now);
  const same = asked ? now : methods.find((other) => other.work === work)?.id;
  return methodKeys(methods).filter(({ method }) => method !== same);
};
