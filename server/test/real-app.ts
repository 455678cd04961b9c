import { rmSync } from 'node:fs';
import { offerOf } from '../../core/offer/offer.js';
import { digestOf } from '../../core/views/digest.js';
import { keptViewOf } from '../../core/views/kept-view.js';
import { assemble } from '../assemble.js';
import { dead, migrations, newDataFolder } from './new-folder.js';

export type Ask = (path: string, init?: RequestInit) => Promise<Response>;

const customersAt = 'https://offers.invented.test';

/** The real server on a real PGlite folder of its own; only the thread beside the requests is left out. */
export async function realApp() {
  const folder = await newDataFolder();
  const logged: unknown[] = [];
  const { app, customers, photos, digests, views, close } = await assemble({
    folder,
    migrations,
    digestOf: (job, firm) => Promise.resolve(digestOf(job, firm)),
    viewOf: (job, firm) => Promise.resolve(keptViewOf(job, firm, 'test')),
    offerOf: (...asked) => Promise.resolve(offerOf(...asked)),
    program: 'test',
    customersAt,
    log: (error) => {
      logged.push(error);
    },
    dead,
  });
  const ask: Ask = (path, init = {}) => {
    const headers = new Headers(init.headers);
    if (!headers.has('host')) headers.set('host', '127.0.0.1:4870');
    return Promise.resolve(app.request(`http://127.0.0.1${path}`, { ...init, headers }));
  };
  return {
    photos,
    digests,
    views,
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
