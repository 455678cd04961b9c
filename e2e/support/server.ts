import { expect, test as base, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { freePort } from '../../server/test/free-port.js';

/** Tests and benches run from the project's own folder; a bench is bundled into one file elsewhere. */
const root = resolve();
/** Data folders as the server left them after a first start: made once per run, by first-starts.ts. */
export const firstStarts = join(root, 'test-results', 'first-starts');

/** Contents of a data folder after its first start: the demo jobs or none. */
export type Holding = 'demo' | 'none';

export interface RunningServer {
  readonly url: string;
  readonly folder: string;
  /** Kills the process, like a dead battery. */
  kill(): Promise<void>;
  /** Starts again on the same folder and port. */
  start(): Promise<void>;
}

/** A new, empty data folder, removed together with its server. */
export const newFolder = (): string => mkdtempSync(join(tmpdir(), 'open-trench-e2e-'));

export function copyOfFirstStart(holding: Holding): string {
  const folder = newFolder();
  cpSync(join(firstStarts, holding), folder, { recursive: true });
  return folder;
}

/** The real server, as `npm start` runs it, on a data folder of its own: a copy of one after a first start. */
export async function startServer(
  holding: Holding,
  folder = copyOfFirstStart(holding),
  env: Readonly<Record<string, string>> = {},
): Promise<RunningServer & { end(): Promise<void>; stop(): Promise<void> }> {
  const port = await freePort();
  let child: ChildProcess | undefined;
  const start = async () => {
    child = await launch(folder, port, holding, env);
  };
  const signal = async (name: 'SIGKILL' | 'SIGTERM') => {
    const dying = child;
    child = undefined;
    if (!dying || dying.exitCode !== null) return;
    const gone = new Promise((done) => dying.once('exit', done));
    dying.kill(name);
    await gone;
  };
  const kill = () => signal('SIGKILL');
  await start();
  return {
    url: `http://127.0.0.1:${port}`,
    folder,
    start,
    kill,
    end: () => signal('SIGTERM'),
    async stop() {
      await kill();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** A test's server lives for seconds: optimizing PGlite's code costs half a second of a core and never pays. */
const brief = process.env.TEST_WORKER_INDEX === undefined ? [] : ['--liftoff-only'];

function launch(
  folder: string,
  port: number,
  holding: Holding,
  more: Readonly<Record<string, string>>,
): Promise<ChildProcess> {
  const child = spawn(process.execPath, [...brief, join(root, 'dist', 'server.mjs')], {
    env: {
      ...process.env,
      OPEN_TRENCH_DATA: folder,
      PORT: String(port),
      OPEN_TRENCH_DEMO: holding,
      ...more,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  return new Promise((ready, failed) => {
    let said = '';
    const listen = (chunk: Buffer) => {
      said += chunk.toString();
      if (said.includes('Open Trench is at')) ready(child);
    };
    child.stdout.on('data', listen);
    child.stderr.on('data', listen);
    child.once('exit', (code) => {
      failed(new Error(`the server ended with ${code}: ${said}`));
    });
  });
}

/** A service worker takes over a page once it has cached every file: a reload no longer needs the server. */
export const keptPages = (page: Page) =>
  expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);

/** Tests share one server per worker; each makes its own jobs. */
export const test = base.extend<object, { server: RunningServer }>({
  server: [
    // oxlint-disable-next-line no-empty-pattern -- Playwright asks for a destructured first argument.
    async ({}, use) => {
      const server = await startServer('demo');
      await use(server);
      await server.stop();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
});
export { expect };
