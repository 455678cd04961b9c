import { randomUUID } from 'node:crypto';
import { readFileSync, readlinkSync, rmSync, statSync } from 'node:fs';
import { open, readFile } from 'node:fs/promises';
import { createServer, type Server } from 'node:net';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { setTimeout as after } from 'node:timers/promises';
import { Worker } from 'node:worker_threads';

export class FolderInUse extends Error {
  constructor(folder: string) {
    super(
      `another Open Trench is already running on ${folder}: use that one, stop it, or give this one another folder with OPEN_TRENCH_DATA`,
    );
  }
}

/** Called once where another process has taken the folder over. */
export type OnLockLost = () => void;

/** Contents of the lock file. */
interface Held {
  /** Random id of the holder, new at each start. */
  readonly token: string;
  /** The network of the holder's own socket, where it has one: see `claimName`. */
  readonly network: string | undefined;
  /** Advances as long as the holder lives. */
  readonly beat: number;
}

const beatEvery_ms = 1000;
/** A holder silent for this long is gone. Observed rather than read from clocks: two machines' clocks may differ. */
const silentFor_ms = 6 * beatEvery_ms;

/**
 * Locks a data folder for one process by a file in it whose holder keeps advancing a counter, so that the lock works
 * across containers, mounts and machines that share the folder. Where an old holder's socket name is free in the very
 * network it lived in, that holder is known to be dead and there is no wait. @throws FolderTaken
 */
export async function holdFolder(
  folder: string,
  lost: OnLockLost = () => undefined,
): Promise<() => Promise<void>> {
  const path = join(folder, 'lock.json');
  const name = await claimName(folder);
  const token = randomUUID();
  const mine: Held = { token, network: name?.network, beat: 0 };
  try {
    while (!(await putDown(path, mine))) {
      const theirs = await readHeld(path);
      const dead = theirs?.network !== undefined && theirs.network === name?.network;
      if (!dead && (await beats(path, theirs))) throw new FolderInUse(folder);
      // Another process may have been faster: only the lock seen to be silent is removed.
      if ((await readHeld(path))?.token === theirs?.token) rmSync(path, { force: true });
    }
  } catch (error) {
    name?.free();
    throw error;
  }
  const heart = beatOn(path, mine, lost);
  return async () => {
    await heart.stop();
    if ((await readHeld(path))?.token === token) rmSync(path, { force: true });
    name?.free();
  };
}

/** Writes the lock file where there is none. */
async function putDown(path: string, held: Held): Promise<boolean> {
  const file = await open(path, 'wx', 0o600).catch((error: unknown) => {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return undefined;
    throw error;
  });
  if (!file) return false;
  await file.writeFile(JSON.stringify(held));
  await file.close();
  return true;
}

async function readHeld(path: string): Promise<Held | undefined> {
  try {
    return JSON.parse(await readFile(path, 'utf8')) as Held;
  } catch {
    // Missing, or half written by a process that died: silent either way.
    return undefined;
  }
}

/** Whether the lock file changes within the time a living holder would need. */
async function beats(path: string, before: Held | undefined): Promise<boolean> {
  for (let waited_ms = 0; waited_ms < silentFor_ms; waited_ms += beatEvery_ms / 2) {
    await after(beatEvery_ms / 2);
    const now = await readHeld(path);
    if (now && (now.token !== before?.token || now.beat !== before.beat)) return true;
  }
  return false;
}

/** Beats in a thread of its own, so that a busy server is not taken for a dead one. */
function beatOn(path: string, held: Held, lost: OnLockLost): { stop: () => Promise<unknown> } {
  const worker = new Worker(heart, {
    eval: true,
    workerData: { path, held, every_ms: beatEvery_ms },
  });
  worker.once('message', lost);
  worker.unref();
  return { stop: () => worker.terminate() };
}

const heart = `
  const { readFileSync, writeFileSync } = require('node:fs');
  const { parentPort, workerData } = require('node:worker_threads');
  const { path, held, every_ms } = workerData;
  let beat = held.beat;
  const timer = setInterval(() => {
    let found;
    try { found = JSON.parse(readFileSync(path, 'utf8')); } catch (error) { found = error.code === 'ENOENT' ? {} : held; }
    if (found.token !== held.token) {
      clearInterval(timer);
      parentPort.postMessage('lost');
    } else try { writeFileSync(path, JSON.stringify({ ...held, beat: ++beat })); } catch { /* A full disk: the next beat tries again. */ }
  }, every_ms);
`;

interface ClaimedName {
  readonly network: string;
  free(): void;
}

/**
 * On Linux an abstract socket named by the folder's device and inode: the kernel frees it however the process ends, and
 * two mounts of one folder share it. It is visible only within one network namespace, whose name is recorded with it.
 * Elsewhere there is none. @throws FolderTaken where a process of this network has the name.
 */
async function claimName(folder: string): Promise<ClaimedName | undefined> {
  if (process.platform !== 'linux') return undefined;
  const { dev, ino } = statSync(folder, { bigint: true });
  const server = createServer((socket) => socket.end());
  await listen(server, `\0open-trench-${dev}-${ino}`).catch((error: unknown) => {
    if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') throw new FolderInUse(folder);
    throw error;
  });
  server.unref();
  return { network: `${bootOf()} ${readlinkSync('/proc/self/ns/net')}`, free: () => void server.close() };
}

/** Identifies this boot of the machine: namespaces are renumbered after the next. */
function bootOf(): string {
  try {
    return readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim();
  } catch {
    return hostname();
  }
}

function listen(server: Server, path: string): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen({ path, exclusive: true }, () => {
      resolve();
    });
  });
}
