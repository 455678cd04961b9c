import { kindOf } from '../findings/kinds.js';
import type { Fault } from '../job/faults.js';
import type { RulesOverride } from '../job/rules-schema.js';
import type { FindingKind } from '../job/vocabulary.js';

/** Faults in house rules that their schema cannot express. */
export function ruleFaults(rules: RulesOverride | undefined): Fault[] {
  return Object.entries(rules?.findings ?? {}).flatMap(([finding, own]) => {
    const bounds = kindOf(finding as FindingKind).grading?.bounds;
    const path = `rules.findings.${finding}.bounds`;
    if (!own.bounds) return [];
    if (bounds?.length !== own.bounds.length) {
      return [
        { path, message: bounds ? `give ${bounds.length} bounds` : `${finding} is not graded by bounds` },
      ];
    }
    const rising = own.bounds.every((bound, i) => i === 0 || bound > (own.bounds?.[i - 1] ?? 0));
    return rising ? [] : [{ path, message: 'bounds rise from the first to the last' }];
  });
}
