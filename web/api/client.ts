import { hc } from 'hono/client';
import type { Fault } from '../../core/job/faults.js';
import type { Api } from '../../server/app.js';
import type { Conflict } from '../../server/conflicts.js';

/** Names this browser in the history of a job; nothing else is known of it. */
export const deviceName = (): string => {
  const key = 'open-trench-device';
  const known = localStorage.getItem(key);
  if (known) return known;
  const made = `browser ${crypto.randomUUID().slice(0, 8)}`;
  localStorage.setItem(key, made);
  return made;
};

export const api = hc<Api>('/api', { headers: () => ({ 'x-device': deviceName() }) });

/** Sends JSON to an address of the server that takes it as it is said. */
export async function write<T>(method: 'POST' | 'PUT', path: string, body: unknown): Promise<T> {
  return bodyOf<T>(
    await fetch(path, {
      method,
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json', 'x-device': deviceName() },
    }),
  );
}

export const post = <T>(path: string, body: unknown): Promise<T> => write<T>('POST', path, body);

/** What the server refused, with the path of each fault, or the changes of others that it ran into. */
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

/** Whatever was thrown, as an error with a message. */
export const asError = (thrown: unknown): Error =>
  thrown instanceof Error ? thrown : new Error(String(thrown));

/** The body of a good answer; throws what a problem answer says. */
export async function bodyOf<T>(answer: Response): Promise<T> {
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
