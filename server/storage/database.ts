import { existsSync } from 'node:fs';
import { chmod, mkdir, readdir, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { DurableFS, durableStart, syncFolder, syncTree } from './durable-fs.js';
import { FolderRefused, madeFolder } from './folder.js';
import { holdFolder } from './lock.js';
import { grouped } from './grouped.js';
import { localNotifications, type JobNotifications } from './notifications.js';
import * as tables from './tables.js';
import { openThreaded, type Client } from './threaded.js';

export type Database = ReturnType<typeof connect>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

/** Runs work in a transaction, whole or not at all; resolves when it is on disk. */
export type Write = <T>(work: (tx: Transaction) => Promise<T>) => Promise<T>;

export interface OpenedDatabase {
  readonly db: Database;
  readonly write: Write;
  readonly news: JobNotifications;
  close: () => Promise<void>;
}

export interface DatabaseOptions {
  readonly folder: string;
  readonly migrations: string;
  /** The built thread to run the database in; otherwise it runs in this one, which then waits for the disk. */
  readonly thread?: string | undefined;
  /** Called with a message where reading or writing must stop: the process must end. */
  readonly dead: (message: string) => void;
}

const connect = (client: Client) => drizzle(client as PGlite, { schema: tables });

/** PGlite has no background workers: without these the log grows forever and dead rows stay. */
const checkpointEvery_ms = 5 * 60_000;
const vacuumEvery_ms = 6 * 60 * 60_000;

/**
 * Opens the database of a data folder exclusively: migrated, synced to disk, with maintenance scheduled. @throws
 * FolderTaken where another process uses the folder, FolderRefused where it cannot be used as it is.
 */
export async function openDatabase({
  folder,
  migrations,
  thread,
  dead,
}: DatabaseOptions): Promise<OpenedDatabase> {
  await madeFolder(folder);
  const release = await holdFolder(folder, () => {
    dead(`Another Open Trench has taken ${folder} over, and this one has stopped. Run only one on a folder.`);
  });
  let stopUpkeep = () => {};
  const died = () => {
    // It stopped in the middle of a commit: a checkpoint would wait for that one forever, and its thread with it.
    stopUpkeep();
    dead(
      `The database in ${folder} could not write and has stopped: the disk is full or failing. Everything that was ` +
        'answered as saved is on the disk. Make room or repair the disk, then start again.',
    );
  };
  try {
    const client = await openAlone(join(folder, 'postgres'), thread, died);
    const db = connect(client);
    await migrate(db, { migrationsFolder: migrations });
    stopUpkeep = keepUp(client);
    return {
      db,
      write: grouped(db),
      news: localNotifications(),
      async close() {
        stopUpkeep();
        await client.close();
        await release();
      },
    };
  } catch (error) {
    await release();
    throw error;
  }
}

/** Checkpoints and vacuums periodically; returns what stops it. */
function keepUp(client: Client): () => void {
  const timers = [
    setInterval(() => void client.exec('CHECKPOINT').catch(() => undefined), checkpointEvery_ms),
    setInterval(() => void client.exec('VACUUM').catch(() => undefined), vacuumEvery_ms),
  ];
  timers.forEach((timer) => timer.unref());
  return () => {
    timers.forEach((timer) => {
      clearInterval(timer);
    });
  };
}

async function openAlone(dataDir: string, thread: string | undefined, died: () => void): Promise<Client> {
  if (!existsSync(dataDir) || (await readdir(dataDir)).length === 0) await makeDatabase(dataDir, died);
  if (!existsSync(join(dataDir, 'PG_VERSION'))) {
    throw new FolderRefused(
      dataDir,
      'it has files but no PG_VERSION, so it is not a whole database, and none is made over it',
      'put the missing file back from a backup, or move the folder away and restore a backup (npm run restore)',
    );
  }
  await chmod(dataDir, 0o700);
  // The folder is locked by us, so its last writer is gone, and PostgreSQL refuses to start over a pid file left
  // empty by a crash.
  await rm(join(dataDir, 'postmaster.pid'), { force: true });
  try {
    return await (thread === undefined ? openHere(dataDir, died) : openThreaded(thread, dataDir, died));
  } catch (error) {
    throw new FolderRefused(
      dataDir,
      `the database in it does not open (${error instanceof Error ? error.message : String(error)})`,
      'keep a copy of the folder as it is, then restore a backup (npm run restore)',
    );
  }
}

const openHere = (dataDir: string, died: () => void): Promise<Client> =>
  PGlite.create({ fs: new DurableFS(dataDir, died), startParams: durableStart });

/** Makes a new database aside and moves it into place once all of it is on disk: it exists whole or not at all. */
async function makeDatabase(dataDir: string, died: () => void): Promise<void> {
  const aside = `${dataDir}.part`;
  await rm(aside, { recursive: true, force: true });
  await mkdir(aside, { mode: 0o700 });
  await (await openHere(aside, died)).close();
  await syncTree(aside);
  await rm(dataDir, { recursive: true, force: true });
  await rename(aside, dataDir);
  await syncFolder(join(dataDir, '..'));
}
