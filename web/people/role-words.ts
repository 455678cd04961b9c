import { Refused, asError } from '../api/client';
import type { Person } from '../../server/people/people.js';

/** Name of each role, and what it may do. */
export const roleWords: Readonly<Record<Person['role'], { readonly name: string; readonly says: string }>> = {
  owner: { name: 'Owner', says: 'Sees and changes everything, and decides who may sign in.' },
  estimator: { name: 'Estimator', says: 'Sees and changes every job and its prices.' },
  crew: { name: 'Crew', says: 'Writes the camera log, reads lengths and excavations, sees no prices.' },
};

/** What was wrong, in a sentence for the user. */
export function faultOf(error: unknown): string {
  const faults = error instanceof Refused ? error.faults : [];
  if (faults.length === 0) return `${asError(error).message}.`;
  return faults.map(({ path, message }) => `The ${path} ${message}.`).join(' ');
}
