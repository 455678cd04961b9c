import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { constants, setPriority, tmpdir } from 'node:os';
import { join } from 'node:path';
import { platform } from 'node:process';
import { setTimeout as wait } from 'node:timers/promises';
import { pathToFileURL } from 'node:url';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { startServer } from '../e2e/support/server.js';
import { postgresPrograms, startPostgres } from '../server/test/postgres.js';
import { seedJob, seedJobs } from './seed-jobs.js';

/**
 * Ten people on thousands of jobs, on both engines: each reads the list, opens jobs and types into them, over HTTP on
 * the real server. Prints each kind of request relative to an empty one of the same run, PostgreSQL beside PGlite, the
 * longest time the server's event loop was blocked, and the longest wait of an empty request meanwhile. SEED_JOBS sets
 * the number of jobs, 5000 by default; nothing is asserted.
 */
const many = Number(process.env.SEED_JOBS ?? 5000);
const people = 10;
const rounds = Number(process.env.ROUNDS ?? 40);
const pause_ms = 150;
const probeEvery_ms = 20;
const print = (text: string) => process.stdout.write(`${text}\n`);

type Kind = 'empty' | 'list' | 'open' | 'edit';
type Took = Record<Kind, number[]>;

const at = (all: readonly number[], share: number) =>
  [...all].sort((a, b) => a - b)[Math.min(all.length - 1, Math.floor(all.length * share))] ?? 0;

async function timed(took: number[], work: () => Promise<Response>): Promise<unknown> {
  const start = performance.now();
  const answer = await work();
  const body: unknown = await answer.json();
  if (!answer.ok) throw new Error(`${answer.url}: ${answer.status} ${JSON.stringify(body)}`);
  took.push(performance.now() - start);
  return body;
}

/** One person: now and then the list, then one job for a while, and lines typed into it. */
async function work(url: string, who: number, took: Took): Promise<void> {
  for (let round = 0; round < rounds; round++) {
    const number = 1 + ((who * 977 + round * 131) % many);
    const id = `seed-${number}`;
    if (round % 8 === 0) await timed(took.list, () => fetch(`${url}/api/jobs`));
    await timed(took.open, () => fetch(`${url}/api/jobs/${id}`));
    const [line] = seedJob(number).lines;
    for (let n = 0; n < 3; n++) {
      const entry = `typed-${who}-${round}-${n}`;
      const edit = {
        ...{ kind: 'entry', line: line?.id, run: line?.runs[0]?.id, entry },
        set: { id: entry, kind: 'note', note: `line ${n}` },
      };
      await timed(took.edit, () =>
        fetch(`${url}/api/jobs/${id}/edits`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ sent: `${entry}-${Date.now()}`, edits: [edit] }),
        }),
      );
      await wait(pause_ms * (0.5 + (number % 10) / 10));
    }
  }
}

/** The longest time the server's event loop was blocked, and its own processor time in it, where the system reports it. */
interface Held {
  readonly longest_ms: number;
  readonly worked_ms: number;
}

async function measure(databaseUrl?: string): Promise<Took & { held: Held }> {
  const folder = mkdtempSync(join(tmpdir(), 'open-trench-shop-'));
  await seedJobs(folder, many, databaseUrl);
  const loop = join(folder, 'loop.json');
  const server = await startServer('none', folder, {
    ...(databaseUrl === undefined ? {} : { DATABASE_URL: databaseUrl }),
    NODE_OPTIONS: `--import ${pathToFileURL(join('bench', 'watch-loop.mjs')).href}`,
    LOOP: loop,
  });
  const probe = startThread<number[]>('probe', server.url);
  const shop = startThread<Took>('people', server.url);
  const took = await shop.answer;
  probe.stop();
  const empty = await probe.answer;
  await server.end();
  const held = JSON.parse(readFileSync(loop, 'utf8')) as Held;
  rmSync(folder, { recursive: true, force: true });
  return { ...took, empty, held };
}

type Part = 'people' | 'probe';

/** The ten and the probe run in threads of their own, so that parsing their answers does not slow the probe. */
function startThread<T>(part: Part, url: string) {
  const thread = new Worker(new URL(import.meta.url), { workerData: { part, url } });
  return {
    answer: new Promise<T>((told, failed) => {
      thread.once('message', told);
      thread.once('error', failed);
    }),
    stop() {
      thread.postMessage('enough');
    },
  };
}

async function tenPeople(url: string): Promise<void> {
  // In a shop each sits at a separate machine; on Linux this applies to the current thread only.
  if (platform === 'linux') setPriority(constants.priority.PRIORITY_LOW);
  const took: Took = { empty: [], list: [], open: [], edit: [] };
  await Promise.all(Array.from({ length: people }, (_, who) => work(url, who, took)));
  parentPort?.postMessage(took);
}

/** Sends empty requests all the time; returns how long each took once stopped. */
async function probe(url: string): Promise<void> {
  const took: number[] = [];
  const enough = new AbortController();
  parentPort?.once('message', () => {
    enough.abort();
  });
  while (!enough.signal.aborted) {
    await timed(took, () => fetch(`${url}/api/me`));
    await wait(probeEvery_ms);
  }
  parentPort?.postMessage(took);
}

function say(name: string, took: Took & { held: Held }): void {
  const empty = at(took.empty, 0.5);
  const times = (kind: Kind, share: number) => (at(took[kind], share) / empty).toFixed(1);
  print(`${name}: ${people} people, ${many} jobs, beside an empty request of the same run`);
  for (const kind of ['list', 'open', 'edit'] as const)
    print(`  ${kind}: ${times(kind, 0.5)} times as long, 1 in 20 over ${times(kind, 0.95)}`);
  print(
    `  the event loop was held ${took.held.longest_ms.toFixed(0)} ms at the longest, ${took.held.worked_ms.toFixed(0)} ms of work of its own`,
  );
  print(
    `  an empty request: 1 in 100 waited ${(at(took.empty, 0.99) - empty).toFixed(0)} ms, the longest ${(at(took.empty, 1) - empty).toFixed(0)} ms`,
  );
}

async function compare(): Promise<void> {
  const own = await measure();
  say('PGlite', own);
  const bin = postgresPrograms();
  if (bin === undefined) print('PostgreSQL: this machine has no server');
  else {
    const postgres = await startPostgres(bin);
    const shared = await measure(postgres.database());
    say('PostgreSQL', shared);
    for (const kind of ['list', 'open', 'edit'] as const)
      print(
        `${kind}: PostgreSQL takes ${(at(shared[kind], 0.5) / at(own[kind], 0.5)).toFixed(2)} times as long as PGlite`,
      );
    await postgres.remove();
  }
}

if (isMainThread) await compare();
else {
  const { part, url } = workerData as { part: Part; url: string };
  await (part === 'probe' ? probe(url) : tenPeople(url));
}
