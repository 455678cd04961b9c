import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { offerOf } from '../../core/offer/offer.js';
import { digestOf } from '../../core/views/digest.js';
import { assemble } from '../assemble.js';

export type Ask = (path: string, init?: RequestInit) => Promise<Response>;

const customersAt = 'https://offers.invented.test';

/** The real server on a real PGlite folder of its own; only the thread beside the requests is left out. */
export async function realApp() {
  const folder = mkdtempSync(join(tmpdir(), 'open-trench-app-'));
  const logged: unknown[] = [];
  const { app, customers, photos, digests, close } = await assemble({
    folder,
    migrations: resolve(import.meta.dirname, '..', 'migrations'),
    digestOf: (job, firm) => Promise.resolve(digestOf(job, firm)),
    offerOf: (...asked) => Promise.resolve(offerOf(...asked)),
    program: 'test',
    customersAt,
    log: (error) => {
      logged.push(error);
    },
  });
  const ask: Ask = (path, init = {}) => {
    const headers = new Headers(init.headers);
    if (!headers.has('host')) headers.set('host', '127.0.0.1:4870');
    return Promise.resolve(app.request(`http://127.0.0.1${path}`, { ...init, headers }));
  };
  return {
    photos,
    digests,
    logged,
    ask,
    askAsCustomer: ((path, init) => Promise.resolve(customers.request(`${customersAt}${path}`, init))) as Ask,
    async close() {
      await digests.wake();
      await close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
