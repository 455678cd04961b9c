import { hc } from 'hono/client';
import type { Fault } from '../../core/job/faults.js';
import type { Api } from '../../server/app.js';
import type { Conflict } from '../../server/jobs/conflicts.js';
import { fetchPrefetched } from './prefetch.js';
import { tabName } from './tab';

/** Identifies this browser in the history of a job; nothing else is known about it. */
export const deviceName = (): string => {
  const key = 'open-trench-device';
  const known = localStorage.getItem(key);
  if (known) return known;
  const made = `browser ${crypto.randomUUID().slice(0, 8)}`;
  localStorage.setItem(key, made);
  return made;
};

/** The sender: this browser and this tab of it. */
export const senderName = (): string => `${deviceName()}/${tabName()}`;

/** New ids include the tab, so that two tabs never give one id to two things. */
export const idMark = (): string => `-${tabName()}`;

/** The browser and tab that something came from; older edits name no tab. */
export function senderOf(device: string): { readonly browser: string; readonly tab: string | undefined } {
  const [browser = device, tab] = device.split('/');
  return { browser, tab };
}

export const api = hc<Api>('/api', { headers: () => ({ 'x-device': senderName() }), fetch: fetchPrefetched });

/** Sends JSON to an address of the server without a typed route. */
export async function write<T>(method: 'POST' | 'PUT', path: string, body: unknown): Promise<T> {
  return bodyOf<T>(
    await fetch(path, {
      method,
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json', 'x-device': senderName() },
    }),
  );
}

/** A refusal by the server, with the path of each fault, or the conflicting changes of others. */
export class Refused extends Error {
  constructor(
    title: string,
    readonly faults: readonly Fault[],
    readonly status: number,
    readonly conflicts: readonly Conflict[] = [],
    /** The version of the job that the conflicts were found against. */
    readonly version?: number,
  ) {
    super(title);
  }
}

/** Something other than our server answered, such as another program on its port: nothing was accepted or refused. */
export class NotOurServer extends Error {
  constructor() {
    super('The server is not running: another program answers at its address');
  }
}

/** Nobody is signed in, or no longer: nothing was accepted or refused. */
export class SignedOut extends Error {
  constructor() {
    super('Sign in first');
  }
}

const signedOutListeners = new Set<() => void>();
/** Calls back whenever the server answers that nobody is signed in. */
export const onSignedOut = (tell: () => void): void => {
  signedOutListeners.add(tell);
};

/** Whatever was thrown, as an Error with a message. */
export const asError = (thrown: unknown): Error =>
  thrown instanceof Error ? thrown : new Error(String(thrown));

/** Every answer of our server under /api carries this header. */
const ownAnswer = 'x-open-trench';

/** The body of a successful answer; throws the problem otherwise. */
export async function bodyOf<T>(answer: Response): Promise<T> {
  if (answer.headers.get(ownAnswer) === null) throw new NotOurServer();
  if (answer.status === 401) {
    signedOutListeners.forEach((tell) => {
      tell();
    });
    throw new SignedOut();
  }
  if (answer.ok) return (answer.status === 204 ? undefined : await answer.json()) as T;
  const said = (await answer.json().catch(() => ({}))) as {
    title?: string;
    detail?: string;
    errors?: Fault[];
    conflicts?: Conflict[];
    version?: number;
  };
  throw new Refused(
    said.detail ?? said.title ?? `The server answered ${answer.status}`,
    said.errors ?? [],
    answer.status,
    said.conflicts,
    said.version,
  );
}
