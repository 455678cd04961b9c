import type { Method } from '../../core/job/vocabulary.js';
import { methodRegistry, methodRow } from '../../core/methods/index.js';

interface MethodKey {
  readonly method: Method;
  readonly key: string;
  readonly name: string;
  /** What the key does, for the help. */
  readonly does: string;
}

/** The methods that may be asked for on a stretch, each with its key: what is built first, then leaving and cleaning. */
export const methodKeys: readonly MethodKey[] = [...methodRegistry.rows]
  .sort((a, b) => (a.work ? 0 : 1) - (b.work ? 0 : 1))
  .flatMap(({ id, words }) => (words.asked ? [{ method: id, ...words.asked }] : []));

/** What can be asked for where a method stands now: not what its length would make of it anyway. */
export const otherMethods = (now: Method): MethodKey[] => {
  const { words, work } = methodRow(now);
  const same = words.asked ? now : methodRegistry.rows.find((row) => row.work?.kind === work?.kind)?.id;
  return methodKeys.filter(({ method }) => method !== same);
};
