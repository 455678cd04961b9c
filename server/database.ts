import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { DurableFS } from './durable-fs.js';
import { holdFolder } from './lock.js';
import * as tables from './tables.js';

export type Database = ReturnType<typeof connect>;

export interface OpenedDatabase {
  readonly db: Database;
  close: () => Promise<void>;
}

const connect = (client: PGlite) => drizzle(client, { schema: tables });

/** PGlite has no background workers: without these the log grows for ever and dead rows stay. */
const checkpointEvery_ms = 5 * 60_000;
const vacuumEvery_ms = 6 * 60 * 60_000;

/** Opens the database of a data folder, alone: migrated, synced to disk, with its upkeep scheduled. */
export async function openDatabase(folder: string, migrationsFolder: string): Promise<OpenedDatabase> {
  mkdirSync(folder, { recursive: true });
  const release = await holdFolder(folder);
  const dataDir = join(folder, 'postgres');
  mkdirSync(dataDir, { recursive: true });
  const client = await PGlite.create({ fs: new DurableFS(dataDir) });
  const db = connect(client);
  await migrate(db, { migrationsFolder });
  const upkeep = [
    setInterval(() => void client.exec('CHECKPOINT').catch(() => undefined), checkpointEvery_ms),
    setInterval(() => void client.exec('VACUUM').catch(() => undefined), vacuumEvery_ms),
  ];
  upkeep.forEach((timer) => timer.unref());
  return {
    db,
    async close() {
      upkeep.forEach((timer) => {
        clearInterval(timer);
      });
      await client.close();
      await release();
    },
  };
}
