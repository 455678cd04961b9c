import type { Cure } from '../findings/row.js';
import type { Method } from '../job/vocabulary.js';
import { registryOf } from '../registry.js';
import { burst } from './burst.js';
import { clean } from './clean.js';
import { leave } from './leave.js';
import { line } from './line.js';
import type { MethodRow, MethodSummary, Work } from './method.js';
import { openCut } from './open-cut.js';
import { regrade } from './regrade.js';
import { shortLine } from './short-line.js';
import { spot } from './spot.js';

/**
 * Every method, in tie-breaking order between scopes of equal cost. To add one, write its file and list it here; it is
 * named nowhere else except in the closed word list of job/vocabulary.ts, which the job file's schema uses.
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
/** Methods that change the pipe: all but leaving and cleaning. */
export function workOf(method: Method): Work {
  const { work } = methodRow(method);
  if (!work) throw new Error(`nothing is built by "${method}"`);
  return work;
}
/** All of them for a screen, in order, so that a page draws and names them without loading what they do. */
export const methodSummaries = (): MethodSummary[] =>
  methodRegistry.rows.map(({ id, words: { name, asked }, drawing, work }) => ({
    id,
    name,
    ...(asked && { asked }),
    drawing,
    ...(work && { work: work.kind }),
  }));
/** The methods that make up each cure, as a file lists them beside a finding. */
export const methodsFor = (cures: readonly Cure[]): Method[] =>
  cures.flatMap((cure) =>
    methodRegistry.rows.flatMap(({ id, standsFor }) => (standsFor === cure ? [id] : [])),
  );
/** Methods in tie-breaking order. */
export const methodsInOrder = (): Method[] => methodRegistry.rows.map(({ id }) => id);
/** Position in that order: the option number in a search. */
export const methodNumber = (method: Method): number =>
  methodRegistry.rows.findIndex(({ id }) => id === method);
/** The method at a position in that order. */
export function methodAt(number: number): Method {
  const row = methodRegistry.rows[number];
  if (!row) throw new Error(`there is no method number ${number}`);
  return row.id;
}
export const methodBit = (method: Method): number => 1 << methodNumber(method);
/** Every method, as a bit mask. */
export const everyMethod = (): number => (1 << methodRegistry.rows.length) - 1;
