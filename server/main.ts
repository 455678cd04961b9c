import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { serve } from '@hono/node-server';
import pino from 'pino';
import { assemble } from './assemble.js';
import { loadDemo } from './demo.js';
import { FolderTaken } from './lock.js';
import { linkReel, startSimulatedReel, type ReelLink } from './reel.js';
import { startBench } from './work.js';

const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' }, pino.destination(2));
const root = resolve(import.meta.dirname, '..');
const folder = resolve(process.env.OPEN_TRENCH_DATA ?? join(root, 'data'));
const port = Number(process.env.PORT ?? 4870);
/**
 * How long an idle connection is kept, ms: longer than a pause in typing, so that no request meets one that is just being
 * closed (Node's own 5 s gave a reset now and then).
 */
const idle_ms = 65_000;
/** Where customers read their offers from outside; without it nothing listens there. */
const customerPort = process.env.OPEN_TRENCH_CUSTOMER_PORT;
const workerPath = join(root, 'dist', 'worker.mjs');

const logError = (error: unknown): void => {
  log.error(error);
};

async function main(): Promise<void> {
  mkdirSync(folder, { recursive: true });
  const bench = startBench(workerPath);
  const parts = await assemble({
    folder,
    migrations: join(root, 'server', 'migrations'),
    pages: join(root, 'dist', 'web'),
    digestOf: (job, firm) => bench.work.digestOf(job, firm),
    offerOf: (job, firm, today) => bench.work.offerOf(job, firm, today),
    program: createHash('sha256').update(readFileSync(workerPath)).digest('hex').slice(0, 12),
    customersAt: process.env.OPEN_TRENCH_CUSTOMER_URL,
    reel: () => reelOf(process.env.OPEN_TRENCH_REEL),
    log: logError,
  });
  if (process.env.OPEN_TRENCH_DEMO !== 'none') await loadDemo(join(root, 'demo'), parts.store, parts.photos);

  const serverOptions = { keepAliveTimeout: idle_ms };
  const own = { fetch: parts.app.fetch, hostname: '127.0.0.1', port, serverOptions };
  const server = serve(own, ({ port: open }) => {
    process.stdout.write(`Open Trench is at http://127.0.0.1:${open}\n`);
    parts.digests.wake().catch(logError);
  });
  server.on('error', sayTaken(port, 'PORT'));
  const customers = customerPort === undefined ? undefined : serveCustomers(parts, Number(customerPort));

  const stop = () => {
    server.close();
    customers?.close();
    parts.reel?.close();
    if ('closeAllConnections' in server) server.closeAllConnections();
    void bench.close();
    void parts.close().finally(() => process.exit(0));
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

/** Serves the customers' pages alone, to the outside. */
function serveCustomers({ customers }: Awaited<ReturnType<typeof assemble>>, at: number) {
  const hostname = process.env.OPEN_TRENCH_CUSTOMER_HOST ?? '0.0.0.0';
  const server = serve({ fetch: customers.fetch, hostname, port: at });
  server.on('error', sayTaken(at, 'OPEN_TRENCH_CUSTOMER_PORT'));
  return server;
}

/** Ends the program with what to do where a port cannot be opened. */
const sayTaken = (taken: number, variable: string) => (error: NodeJS.ErrnoException) => {
  process.stderr.write(
    error.code === 'EADDRINUSE'
      ? `Port ${taken} is taken. Give another one: ${variable}=${taken + 1} npm start\n`
      : `${error.message}\n`,
  );
  process.exit(1);
};

/** The reel named by its address, none at all, or the simulated one. */
async function reelOf(address: string | undefined): Promise<ReelLink | undefined> {
  if (address === 'none') return undefined;
  if (address !== undefined && address !== '') return linkReel(address);
  const { link, child } = await startSimulatedReel(join(root, 'dist', 'reel.mjs'));
  child.unref();
  child.channel?.unref();
  return link;
}

main().catch((error: unknown) => {
  process.stderr.write(
    error instanceof FolderTaken
      ? `${error.message}\n`
      : `${String(error instanceof Error ? error.stack : error)}\n`,
  );
  process.exit(1);
});
