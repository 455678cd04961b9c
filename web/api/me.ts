import { useSyncExternalStore } from 'react';
import { clear } from 'idb-keyval';
import type { Person } from '../../server/people/people.js';
import { api, bodyOf, onSignedOut, write } from './client';
import { keepMe, lastMe, seesPrices, type Me } from './last-me';
import { jobStore, viewStore } from './stores';

interface State {
  readonly me: Me;
  /** Asks the server who is signed in. */
  readonly signedOut: boolean;
}

const listeners = new Set<() => void>();
let state: State = { me: lastMe(), signedOut: false };

function set(next: State): void {
  state = next;
  keepMe(next.me);
  listeners.forEach((tell) => {
    tell();
  });
}

/** Asks the server who is signed in; called once, and never on a customer's page. */
export async function loadMe(): Promise<void> {
  onSignedOut(() => {
    if (!state.signedOut) set({ me: { person: state.me.person, signsIn: true }, signedOut: true });
  });
  try {
    const me = await bodyOf<Me>(await api.me.$get());
    await forgetOthers(me.person);
    set({ me, signedOut: false });
  } catch {
    // Signed out, which is handled above, or the server is away: the last known user stays.
  }
}

/** What was cached of another person's jobs is not shown to this one. */
async function forgetOthers(person: Person | null): Promise<void> {
  const last = state.me.person;
  if (last?.id === person?.id && last?.role === person?.role) return;
  await forgetKept();
  set({ me: { person, signsIn: person !== null }, signedOut: false });
  if (last) location.reload();
}

const forgetKey = 'open-trench-forget';

/**
 * Removes cached jobs and views; unsent edits stay. This page may cache something once more before it unloads, so the
 * next one starts by clearing as well.
 */
async function forgetKept(): Promise<void> {
  localStorage.setItem(forgetKey, 'yes');
  await clearKept();
}

const clearKept = (): Promise<unknown> =>
  Promise.all([jobStore, viewStore].map((store) => clear(store).catch(() => undefined)));

/** Removes what another person left here; to be awaited before anything cached is read. */
export async function clearOtherPersonsData(): Promise<void> {
  if (localStorage.getItem(forgetKey) === null) return;
  await clearKept();
  localStorage.removeItem(forgetKey);
}

/** Signs in; the page reloads for that user. Throws the server's objection. */
export async function signIn(name: string, passphrase: string): Promise<void> {
  const person = await write<Person>('POST', '/api/sign-in', { name, passphrase });
  if (person.id !== state.me.person?.id) await forgetKept();
  set({ me: { person, signsIn: true }, signedOut: false });
  location.reload();
}

/** Signs out; nothing of the jobs stays in this browser except unsent edits. */
export async function signOut(): Promise<void> {
  await bodyOf(await api['sign-out'].$post());
  await forgetKept();
  set({ me: { person: null, signsIn: true }, signedOut: true });
}

const useKnown = (): State =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => state,
  );

export const useMe = (): Me => useKnown().me;
export const useSignedOut = (): boolean => useKnown().signedOut;

export const useSeesPrices = (): boolean => seesPrices(useMe());
