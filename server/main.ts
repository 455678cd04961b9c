import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { serve } from '@hono/node-server';
import pino from 'pino';
import { appOn, type Parts } from './app.js';
import { openDatabase } from './database.js';
import { digestsOn } from './digests.js';
import { firmOn } from './firm.js';
import { FolderTaken } from './lock.js';
import { customersApp } from './offers.js';
import { photosIn, type Photos } from './photos.js';
import { linkReel, startSimulatedReel, type ReelLink } from './reel.js';
import { sharesOn } from './shares.js';
import { storeOn, type Store } from './store.js';
import { startBench } from './work.js';

const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' }, pino.destination(2));
const root = resolve(import.meta.dirname, '..');
const folder = resolve(process.env.OPEN_TRENCH_DATA ?? join(root, 'data'));
const port = Number(process.env.PORT ?? 4870);
/** Where customers read their offers from outside; nobody listens without it. */
const customerPort =
  process.env.OPEN_TRENCH_CUSTOMER_PORT === undefined
    ? undefined
    : Number(process.env.OPEN_TRENCH_CUSTOMER_PORT);

async function main(): Promise<void> {
  mkdirSync(folder, { recursive: true });
  const opened = await openDatabase(folder, join(root, 'server', 'migrations'));
  const store = storeOn(opened.db);
  const photos = photosIn(join(folder, 'photos'));
  const [reel] = await Promise.all([
    reelOf(process.env.OPEN_TRENCH_REEL),
    process.env.OPEN_TRENCH_DEMO === 'none' ? undefined : loadDemo(store, photos),
  ]);
  const firm = firmOn(opened.db);
  const workerPath = join(root, 'dist', 'worker.mjs');
  const bench = startBench(workerPath);
  const logError = (error: unknown) => {
    log.error(error);
  };
  const digests = digestsOn({
    db: opened.db,
    store,
    firm,
    digestOf: (job, under) => bench.work.digestOf(job, under),
    program: createHash('sha256').update(readFileSync(workerPath)).digest('hex').slice(0, 12),
    log: logError,
  });
  const pages = join(root, 'dist', 'web');
  const forCustomers = {
    shares: sharesOn(opened.db),
    offerOf: (...asked: Parameters<Parts['offerOf']>) => bench.work.offerOf(...asked),
    photos,
  };
  const customersAt = process.env.OPEN_TRENCH_CUSTOMER_URL;
  const app = appOn({ ...forCustomers, store, firm, digests, reel, customersAt }, { log: logError, pages });
  const server = serve({ fetch: app.fetch, hostname: '127.0.0.1', port }, ({ port: open }) => {
    process.stdout.write(`Open Trench is at http://127.0.0.1:${open}\n`);
    digests.wake().catch(logError);
  });
  const fail = (taken: number, variable: string) => (error: NodeJS.ErrnoException) => {
    process.stderr.write(
      error.code === 'EADDRINUSE'
        ? `Port ${taken} is taken. Give another one: ${variable}=${taken + 1} npm start\n`
        : `${error.message}\n`,
    );
    process.exit(1);
  };
  server.on('error', fail(port, 'PORT'));
  const customers =
    customerPort === undefined
      ? undefined
      : serve({
          fetch: customersApp(forCustomers, pages, logError).fetch,
          hostname: process.env.OPEN_TRENCH_CUSTOMER_HOST ?? '0.0.0.0',
          port: customerPort,
        });
  customers?.on('error', fail(customerPort ?? 0, 'OPEN_TRENCH_CUSTOMER_PORT'));
  const stop = () => {
    server.close();
    customers?.close();
    reel?.close();
    if ('closeAllConnections' in server) server.closeAllConnections();
    void bench.close();
    void opened.close().finally(() => process.exit(0));
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

/** The reel named by its address, none at all, or the simulated one. */
async function reelOf(address: string | undefined): Promise<ReelLink | undefined> {
  if (address === 'none') return undefined;
  if (address !== undefined && address !== '') return linkReel(address);
  const { link, child } = await startSimulatedReel(join(root, 'dist', 'reel.mjs'));
  child.unref();
  child.channel?.unref();
  return link;
}

/** An empty folder starts with the invented jobs, so that there is something to look at. */
async function loadDemo(store: Store, photos: Photos): Promise<void> {
  if ((await store.count()) > 0) return;
  const jobs = join(root, 'demo', 'jobs');
  for (const name of readdirSync(jobs)
    .filter((each) => each.endsWith('.json'))
    .sort()
    .reverse()) {
    const written = await store.add(
      `demo-${name.replace('.json', '')}`,
      JSON.parse(readFileSync(join(jobs, name), 'utf8')),
      'demo',
    );
    if ('faults' in written) throw new Error(`demo ${name}: ${JSON.stringify(written.faults)}`);
  }
  const pictures = join(root, 'demo', 'photos');
  for (const name of readdirSync(pictures)) await photos.keep(readFileSync(join(pictures, name)));
}

main().catch((error: unknown) => {
  process.stderr.write(
    error instanceof FolderTaken
      ? `${error.message}\n`
      : `${String(error instanceof Error ? error.stack : error)}\n`,
  );
  process.exit(1);
});
