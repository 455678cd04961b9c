import type { Cure } from '../findings/row.js';
import type { Method } from '../job/vocabulary.js';
import { registryOf } from '../registry.js';
import { burst } from './burst.js';
import { clean } from './clean.js';
import { leave } from './leave.js';
import { line } from './line.js';
import type { MethodRow, Work } from './method.js';
import { openCut } from './open-cut.js';
import { regrade } from './regrade.js';
import { shortLine } from './short-line.js';
import { spot } from './spot.js';

/**
 * Every method, in the order that settles ties between scopes of equal cost. To add one, write its file and list it
 * here: nothing else names it but the closed list of words in job/vocabulary.ts, which the job file's schema is made of.
 */
export const methodRegistry = registryOf<MethodRow>('method', [
  leave,
  clean,
  spot,
  line,
  shortLine,
  openCut,
  burst,
  regrade,
]);

export const methodRow = (method: Method): MethodRow => methodRegistry.row(method);
export const methodName = (method: Method): string => methodRow(method).words.name;
/** Everything done to the pipe by a method that is more than leaving or cleaning it. */
export function workOf(method: Method): Work {
  const { work } = methodRow(method);
  if (!work) throw new Error(`nothing is built by "${method}"`);
  return work;
}
/** The methods that cures stand for, cure by cure: what a file lists beside a finding. */
export const methodsFor = (cures: readonly Cure[]): Method[] =>
  cures.flatMap((cure) =>
    methodRegistry.rows.flatMap(({ id, standsFor }) => (standsFor === cure ? [id] : [])),
  );
/** Methods in the order that settles ties. */
export const methodsInOrder = (): Method[] => methodRegistry.rows.map(({ id }) => id);
/** Its place in that order: the number of its option in a search. */
export const methodNumber = (method: Method): number =>
  methodRegistry.rows.findIndex(({ id }) => id === method);
export const methodBit = (method: Method): number => 1 << methodNumber(method);
/** Every method, as a bit mask. */
export const everyMethod = (): number => (1 << methodRegistry.rows.length) - 1;
