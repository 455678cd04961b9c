import { createServer } from 'node:https';
import { join, resolve } from 'node:path';
import { serve } from '@hono/node-server';
import pino from 'pino';
import { assemble } from './assemble.js';
import { loadDemo } from './jobs/demo.js';
import { DatabaseRefused } from './storage/postgres.js';
import { FolderRefused } from './storage/folder.js';
import { FolderInUse } from './storage/lock.js';
import { logged } from './storage/logged.js';
import { linkReel, startSimulatedReel, type ReelLink } from './reel.js';
import { shopAddress, ShopRefused, type ShopAddress } from './shop.js';
import { startWorkerThread } from './work.js';

const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' }, pino.destination(2));
/** Sign-in events are logged whatever the log level. */
const signInLog = pino({ name: 'sign-in' }, pino.destination(2));
const root = resolve(import.meta.dirname, '..');
const folder = resolve(process.env.OPEN_TRENCH_DATA ?? join(root, 'data'));
const port = Number(process.env.PORT ?? 4870);
/**
 * How long an idle connection is kept, ms: longer than a pause in typing, so that no request meets one being closed
 * (Node's default of 5 s caused occasional resets).
 */
const idle_ms = 65_000;
/** Public address of the customer pages; without it nothing listens there. */
const customerPort = process.env.OPEN_TRENCH_CUSTOMER_PORT;
/** A hash of the core's sources, set by the build: the pages have the same one. */
const program = process.env.OPEN_TRENCH_PROGRAM ?? 'unbuilt';
const built = (name: string) => join(root, 'dist', name);

const logError = (error: unknown): void => {
  log.error(logged(error));
};

/** Ends the program with advice on what to do. */
function endWith(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

async function main(): Promise<void> {
  // Files are readable only by the user who runs this.
  process.umask(0o077);
  const shop = shopAddress(process.env);
  const worker = startWorkerThread(built('worker.mjs'));
  const parts = await assemble({
    folder,
    databaseUrl: process.env.DATABASE_URL,
    migrations: join(root, 'server', 'migrations'),
    databaseThread: built('database.mjs'),
    pages: built('web'),
    digestOf: (job, firm) => worker.run((work) => work.digestOf(job, firm)),
    viewOf: (job, firm) => worker.run((work) => work.cachedViewOf(job, firm, program)),
    offerOf: (job, firm, today) => worker.run((work) => work.offerOf(job, firm, today)),
    program,
    customersAt: process.env.OPEN_TRENCH_CUSTOMER_URL,
    note: (event) => {
      signInLog.info(event);
    },
    reel: () => reelOf(process.env.OPEN_TRENCH_REEL),
    log: logError,
    dead: endWith,
  });
  if (process.env.OPEN_TRENCH_DEMO !== 'none') await loadDemo(join(root, 'demo'), parts.store, parts.photos);

  const stopDaily = daily(parts);
  const serverOptions = { keepAliveTimeout: idle_ms };
  const own = { fetch: parts.app.fetch, hostname: '127.0.0.1', port, serverOptions };
  const server = serve(own, ({ port: open }) => {
    process.stdout.write(`Open Trench is at http://127.0.0.1:${open}\n`);
    void workOutAll(parts).catch(logError);
  });
  server.on('error', sayTaken(port, 'PORT'));
  const customers = customerPort === undefined ? undefined : serveCustomers(parts, Number(customerPort));
  const forShop = shop && (await serveShop(parts, shop));

  const stop = () => {
    stopDaily();
    server.close();
    customers?.close();
    forShop?.close();
    if (forShop && 'closeAllConnections' in forShop) forShop.closeAllConnections();
    parts.reel?.close();
    if ('closeAllConnections' in server) server.closeAllConnections();
    void worker.close();
    void parts.close().finally(() => process.exit(0));
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

/** Derived data missing after an update or a shutdown: the list first. */
async function workOutAll({ digests, views }: Awaited<ReturnType<typeof assemble>>): Promise<void> {
  await digests.recompute();
  await views.recompute();
}

const look_ms = 3_600_000;
const day_ms = 24 * 3_600_000;

/**
 * Makes a backup once the last is a day old, then permanently deletes what was deleted too long ago. Returns what stops
 * it.
 */
function daily({ backups, store }: Awaited<ReturnType<typeof assemble>>): () => void {
  const look = async () => {
    const [newest] = await backups.list();
    if (newest && Date.now() - new Date(newest.at).getTime() < day_ms) return;
    await backups.make();
    await store.clear();
  };
  const timer = setInterval(() => void look().catch(logError), look_ms);
  timer.unref();
  // Not while the pages of a first start are loading.
  const soon = setTimeout(() => void look().catch(logError), 60_000);
  soon.unref();
  return () => {
    clearInterval(timer);
    clearTimeout(soon);
  };
}

/** Serves only the customers' pages, to the outside. */
function serveCustomers({ customers }: Awaited<ReturnType<typeof assemble>>, at: number) {
  const hostname = process.env.OPEN_TRENCH_CUSTOMER_HOST ?? '0.0.0.0';
  const server = serve({ fetch: customers.fetch, hostname, port: at });
  server.on('error', sayTaken(at, 'OPEN_TRENCH_CUSTOMER_PORT'));
  return server;
}

/** Serves the shop's people, who sign in, from other machines. */
async function serveShop(parts: Awaited<ReturnType<typeof assemble>>, shop: ShopAddress) {
  const { hostname, port: at, publicAddress, tls } = shop;
  const { fetch } = parts.shopApp(publicAddress);
  const serverOptions = { keepAliveTimeout: idle_ms, ...tls };
  const server = serve({ fetch, hostname, port: at, serverOptions, ...(tls && { createServer }) }, () => {
    process.stdout.write(`The shop signs in at https://${publicAddress.hosts.at(-1) ?? hostname}\n`);
  });
  server.on('error', sayTaken(at, 'OPEN_TRENCH_SHOP_PORT'));
  if ((await parts.people.list()).length === 0)
    process.stdout.write(
      `Nobody can sign in yet: add people at http://127.0.0.1:${port}/firm on this machine\n`,
    );
  return server;
}

/** Ends the program with advice where a port cannot be opened. */
const sayTaken = (taken: number, variable: string) => (error: NodeJS.ErrnoException) => {
  endWith(
    error.code === 'EADDRINUSE'
      ? `Port ${taken} is taken. Give another one: ${variable}=${taken + 1} npm start`
      : error.message,
  );
};

/** The reel at its address, none, or the simulated one. */
async function reelOf(address: string | undefined): Promise<ReelLink | undefined> {
  if (address === 'none') return undefined;
  if (address !== undefined && address !== '') return linkReel(address);
  const { link, child } = await startSimulatedReel(join(root, 'dist', 'reel.mjs'));
  child.unref();
  child.channel?.unref();
  return link;
}

main().catch((error: unknown) => {
  const plain = [FolderInUse, FolderRefused, DatabaseRefused, ShopRefused].some(
    (plainly) => error instanceof plainly,
  );
  const { message, stack } = error instanceof Error ? error : new Error(String(error));
  endWith(plain ? message : (stack ?? message));
});
