import type { Person } from '../../server/people/people.js';

/** Who uses this browser. */
export interface Me {
  /** Nobody by name where the server answers this machine only: whoever sits here is its owner. */
  readonly person: Person | null;
  /** People sign in at this address. */
  readonly signsIn: boolean;
}

const key = 'open-trench-me';
const here: Me = { person: null, signsIn: false };

/** The last known user, so that a page opened without the server shows no more than they may see. */
export function lastMe(): Me {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? 'null') as Me | null) ?? here;
  } catch {
    return here;
  }
}

export function keepMe(me: Me): void {
  localStorage.setItem(key, JSON.stringify(me));
}

/** Crew sees no prices. */
export const seesPrices = ({ person }: Me): boolean => person?.role !== 'crew';
