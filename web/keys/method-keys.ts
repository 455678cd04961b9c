import type { Method } from '../../core/job/vocabulary.js';
import { methodRegistry, methodRow } from '../../core/methods/index.js';

interface MethodKey {
  readonly method: Method;
  readonly key: string;
  readonly name: string;
  /** Description for the key help. */
  readonly does: string;
}

/** The methods that can be chosen for a stretch, each with its key: construction first, then leaving and cleaning. */
export const methodKeys: readonly MethodKey[] = [...methodRegistry.rows]
  .sort((a, b) => (a.work ? 0 : 1) - (b.work ? 0 : 1))
  .flatMap(({ id, words }) => (words.asked ? [{ method: id, ...words.asked }] : []));

/** The methods that can be chosen in place of the present one, without those its length alone would decide. */
export const otherMethods = (now: Method): MethodKey[] => {
  const { words, work } = methodRow(now);
  const same = words.asked ? now : methodRegistry.rows.find((row) => row.work?.kind === work?.kind)?.id;
  return methodKeys.filter(({ method }) => method !== same);
};
