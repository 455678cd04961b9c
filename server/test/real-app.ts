import { rmSync } from 'node:fs';
import { offerOf } from '../../core/offer/offer.js';
import { digestOf } from '../../core/views/digest.js';
import { cachedViewOf } from '../../core/views/cached-view.js';
import { assemble } from '../assemble.js';
import type { SignInEvent } from '../people/routes.js';
import { dead, migrations, newDataFolder } from './new-folder.js';

export type Requester = (path: string, init?: RequestInit) => Promise<Response>;

export const shopHost = 'shop.invented.test';
const customersAt = 'https://offers.invented.test';

/**
 * The real server on a real PGlite folder of its own; only the worker thread is left out, and a passphrase is hashed at a
 * hundredth of the usual cost.
 */
export async function realApp() {
  const folder = await newDataFolder();
  const logged: unknown[] = [];
  const noted: SignInEvent[] = [];
  const { app, shopApp, people, customers, photos, digests, views, close } = await assemble({
    folder,
    migrations,
    digestOf: (job, firm) => Promise.resolve(digestOf(job, firm)),
    viewOf: (job, firm) => Promise.resolve(cachedViewOf(job, firm, 'test')),
    offerOf: (...asked) => Promise.resolve(offerOf(...asked)),
    program: 'test',
    passphraseCost: 2 ** 10,
    customersAt,
    note: (event) => {
      noted.push(event);
    },
    log: (error) => {
      logged.push(error);
    },
    dead,
  });
  const ask: Requester = (path, init = {}) => {
    const headers = new Headers(init.headers);
    if (!headers.has('host')) headers.set('host', '127.0.0.1:4870');
    return Promise.resolve(app.request(`http://127.0.0.1${path}`, { ...init, headers }));
  };
  const throughProxy = shopApp({ hosts: [shopHost], proxy: 'unknown' });
  const shop = shopApp({ hosts: [shopHost] });
  return {
    people,
    shop,
    /** A request at the shop's own address, as from a browser with this cookie. */
    askShop: (path: string, init: RequestInit = {}, cookie?: string): Promise<Response> => {
      const headers = new Headers(init.headers);
      if (!headers.has('host')) headers.set('host', shopHost);
      if (cookie !== undefined) headers.set('cookie', cookie);
      const through = headers.has('x-forwarded-proto') ? throughProxy : shop;
      return Promise.resolve(through.request(`https://${shopHost}${path}`, { ...init, headers }));
    },
    photos,
    digests,
    views,
    logged,
    noted,
    ask,
    askAsCustomer: ((path, init) =>
      Promise.resolve(customers.request(`${customersAt}${path}`, init))) as Requester,
    async close() {
      await digests.recompute();
      await close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
