import { kindOf, type FindingKind } from './kinds.js';
import type { Grade, Grading } from './row.js';

/** A company's own limits for one kind of finding. */
export interface OwnLimits {
  readonly bounds?: readonly number[] | undefined;
  readonly stopsLinerAt?: number | undefined;
}

/**
 * The grading in force: the defaults with the company's limits laid over them. Undefined for a kind that is only
 * referred.
 */
export function gradingInForce(finding: FindingKind, own: OwnLimits | undefined): Grading | undefined {
  const { grading } = kindOf(finding);
  return (
    grading && {
      ...grading,
      ...(own?.bounds && grading.bounds?.length === own.bounds.length ? { bounds: own.bounds } : {}),
      ...(own?.stopsLinerAt !== undefined ? { stopsLinerAt: own.stopsLinerAt } : {}),
    }
  );
}

/** Grade of a number by a row's bounds; a measure of 0 is grade 0. */
export function gradeByBounds(value: number, bounds: readonly number[]): Grade {
  if (value <= 0) return 0;
  const [first = 0, second = 0, third] = bounds;
  if (value < first) return 1;
  if (value < second) return 2;
  if (third === undefined || value <= third) return 3;
  return 4;
}
