import { tolerance } from '../../core/units.js';
import type { LineScope } from '../../core/scope/scope.js';

export type Pit = LineScope['pits'][number];

const launches = (scope: LineScope, pit: Pit): boolean =>
  scope.actions.some(
    ({ id, entry_ft }) =>
      entry_ft !== null &&
      pit.serves.includes(id) &&
      entry_ft >= pit.from_ft - tolerance.ft &&
      entry_ft <= pit.to_ft + tolerance.ft,
  );

/**
 * Excavations in the order of the day: first those for digging only, from downstream up, so that nothing is laid into a
 * line that still carries dirt; then those a liner goes in through, when no digging is left and the resin does not have
 * to wait.
 */
export function dayOrder(scope: LineScope): { readonly pit: Pit; readonly why: string }[] {
  const downstreamFirst = [...scope.pits].sort((a, b) => b.from_ft - a.from_ft);
  const entries = downstreamFirst.filter((pit) => launches(scope, pit));
  const digs = downstreamFirst.filter((pit) => !launches(scope, pit));
  return [
    ...digs.map((pit) => ({ pit, why: 'dug and laid before any resin is mixed' })),
    ...entries.map((pit) => ({ pit, why: 'the liner goes in here, once the digging is done' })),
  ];
}
