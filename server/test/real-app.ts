import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { offerOf } from '../../core/offer/offer.js';
import { digestOf } from '../../core/views/digest.js';
import { appOn } from '../app.js';
import { openDatabase } from '../database.js';
import { digestsOn } from '../digests.js';
import { firmOn } from '../firm.js';
import { customersApp } from '../offers.js';
import { photosIn } from '../photos.js';
import { sharesOn } from '../shares.js';
import { storeOn } from '../store.js';

export type Ask = (path: string, init?: RequestInit) => Promise<Response>;

const migrations = resolve(import.meta.dirname, '..', 'migrations');

/** The real parts on a real PGlite folder of their own; only the thread beside the requests is left out. */
export async function realApp() {
  const folder = mkdtempSync(join(tmpdir(), 'open-trench-app-'));
  const opened = await openDatabase(folder, migrations);
  const store = storeOn(opened.db);
  const firm = firmOn(opened.db);
  const photos = photosIn(join(folder, 'photos'));
  const logged: unknown[] = [];
  const log = (error: unknown) => {
    logged.push(error);
  };
  const digests = digestsOn({
    db: opened.db,
    store,
    firm,
    digestOf: (job, under) => Promise.resolve(digestOf(job, under)),
    program: 'test',
    log,
  });
  const forCustomers = {
    shares: sharesOn(opened.db),
    photos,
    offerOf: (...asked: Parameters<typeof offerOf>) => Promise.resolve(offerOf(...asked)),
  };
  const app = appOn(
    { ...forCustomers, store, firm, digests, customersAt: 'https://offers.invented.test' },
    { log },
  );
  const customers = customersApp(forCustomers, 'dist/web', log);
  const ask: Ask = (path, init = {}) => {
    const headers = new Headers(init.headers);
    if (!headers.has('host')) headers.set('host', '127.0.0.1:4870');
    return Promise.resolve(app.request(`http://127.0.0.1${path}`, { ...init, headers }));
  };
  const askAsCustomer: Ask = (path, init) =>
    Promise.resolve(customers.request(`https://offers.invented.test${path}`, init));
  return {
    photos,
    digests,
    logged,
    ask,
    askAsCustomer,
    async close() {
      await digests.wake();
      await opened.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
