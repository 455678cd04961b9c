import type { Method } from '../../core/job/vocabulary.js';

interface MethodKey {
  readonly method: Method;
  readonly key: string;
  readonly name: string;
  /** What the key does, for the help. */
  readonly does: string;
}

/** The methods that may be asked for on a stretch. A dig is a spot or a replacement by its length alone. */
export const methodKeys: readonly MethodKey[] = [
  { method: 'line', key: 'l', name: 'Line', does: 'line it' },
  { method: 'short-line', key: 'h', name: 'Short liner', does: 'short liner' },
  { method: 'spot', key: 's', name: 'Dig', does: 'dig it' },
  { method: 'burst', key: 'b', name: 'Burst', does: 'burst it' },
  { method: 'regrade', key: 'r', name: 'Regrade', does: 'regrade it' },
  { method: 'leave', key: 'k', name: 'Keep', does: 'keep it' },
  { method: 'clean', key: 'c', name: 'Clean', does: 'clean it' },
];

/** What can be asked for where a method stands now. */
export const otherMethods = (now: Method): MethodKey[] =>
  methodKeys.filter(({ method }) => method !== (now === 'open-cut' ? 'spot' : now));
