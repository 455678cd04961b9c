import { createReadStream, existsSync, readFileSync } from 'node:fs';
import {
  chmod,
  cp,
  mkdir,
  mkdtemp,
  open,
  readdir,
  rename,
  rm,
  stat,
  symlink,
  writeFile,
} from 'node:fs/promises';
import { dirname, join, resolve } from 'node:path';
import { createInterface } from 'node:readline';
import { sql } from 'drizzle-orm';
import * as tar from 'tar';
import * as z from 'zod';
import { openDatabase, type Database } from './database.js';
import { syncFolder, syncPath, syncTree } from './durable-fs.js';
import { FolderRefused } from './folder.js';
import { openPostgres } from './postgres.js';

/**
 * A backup is one archive (tar, gzip): `manifest.json`, one file of JSON lines per table, and the photos. It has rows
 * rather than database files, so that any machine and any later version can read it: its rows are put into a database
 * of the same schema version, which is then migrated like any other.
 */
const manifestSchema = z.strictObject({
  format: z.literal('open-trench-backup'),
  version: z.literal(1),
  /** Number of migrations the database had. */
  migrations: z.number().int().min(1),
  at: z.iso.datetime(),
});

/** In an order that satisfies foreign keys. Digests are computed again. */
const tables = ['people', 'jobs', 'lines', 'runs', 'entries', 'changes', 'firm', 'shares'] as const;
/** Rows read at once: a large shop's history does not fit into memory. */
const rowsAtOnce = 500;
const nameShape = /^backup-\d{4}-\d{2}-\d{2}(-\d+)?\.tar\.gz$/;
export const keptFor_days = 14;

interface Journal {
  readonly entries: readonly unknown[];
}
const journalOf = (migrations: string): Journal =>
  JSON.parse(readFileSync(join(migrations, 'meta', '_journal.json'), 'utf8')) as Journal;

export interface BackupFrom {
  readonly db: Database;
  /** The data folder. */
  readonly folder: string;
  readonly migrations: string;
}

/** Writes an archive; it gets its name only when all of it is on disk. */
export async function writeBackup({ db, folder, migrations }: BackupFrom, to: string): Promise<void> {
  await mkdir(dirname(to), { recursive: true, mode: 0o700 });
  const aside = await mkdtemp(`${to}.part-`);
  try {
    await mkdir(join(aside, 'tables'));
    // One snapshot of all tables, whatever is written meanwhile.
    await db.transaction(
      async (tx) => {
        for (const table of tables) await writeTable(tx, table, join(aside, 'tables', `${table}.jsonl`));
      },
      { isolationLevel: 'repeatable read', accessMode: 'read only' },
    );
    const manifest: z.infer<typeof manifestSchema> = {
      format: 'open-trench-backup',
      version: 1,
      migrations: journalOf(migrations).entries.length,
      at: new Date().toISOString(),
    };
    await writeFile(join(aside, 'manifest.json'), JSON.stringify(manifest, null, 2));
    const photos = join(folder, 'photos');
    if (existsSync(photos)) await symlink(resolve(photos), join(aside, 'photos'));
    const made = join(aside, 'made.tar.gz');
    const inside = ['manifest.json', 'tables', ...(existsSync(photos) ? ['photos'] : [])];
    await tar.create({ gzip: true, cwd: aside, file: made, follow: true, portable: true }, inside);
    await chmod(made, 0o600);
    await syncPath(made);
    await rename(made, to);
    await syncFolder(dirname(to));
  } finally {
    await rm(aside, { recursive: true, force: true });
  }
}

type Reader = Pick<Database, 'execute'>;

async function writeTable(db: Reader, table: string, path: string): Promise<void> {
  const file = await open(path, 'w', 0o600);
  try {
    for (let from = 0; ; from += rowsAtOnce) {
      const { rows } = await db.execute<{ row: string }>(
        sql`select to_jsonb(t)::text as row from ${sql.identifier(table)} t order by ctid limit ${rowsAtOnce} offset ${from}`,
      );
      if (rows.length > 0) await file.write(rows.map(({ row }) => `${row}\n`).join(''));
      if (rows.length < rowsAtOnce) return;
    }
  } finally {
    await file.close();
  }
}

/** A backup beside the data. */
export interface KeptBackup {
  readonly name: string;
  readonly at: string;
  readonly bytes: number;
}

export const backupsOf = (folder: string): string => join(folder, 'backups');

/** Backups beside the data, newest first. */
export async function keptBackups(folder: string): Promise<KeptBackup[]> {
  const names = await readdir(backupsOf(folder)).catch(() => [] as string[]);
  const all = await Promise.all(
    names
      .filter((name) => nameShape.test(name))
      .map(async (name) => {
        const { mtime, size } = await stat(join(backupsOf(folder), name));
        return { name, at: mtime.toISOString(), bytes: size };
      }),
  );
  return all.sort((one, other) => (one.at < other.at ? 1 : -1));
}

/** Makes a backup beside the data and removes those past their retention. */
export async function backUp(from: BackupFrom, now = new Date()): Promise<KeptBackup> {
  const day = now.toISOString().slice(0, 10);
  const taken = new Set((await keptBackups(from.folder)).map(({ name }) => name));
  let name = `backup-${day}.tar.gz`;
  for (let next = 2; taken.has(name); next++) name = `backup-${day}-${next}.tar.gz`;
  await writeBackup(from, join(backupsOf(from.folder), name));
  for (const each of await keptBackups(from.folder)) {
    const age_days = (now.getTime() - new Date(each.at).getTime()) / 86_400_000;
    if (age_days > keptFor_days) await rm(join(backupsOf(from.folder), each.name));
  }
  const made = (await keptBackups(from.folder)).find((each) => each.name === name);
  if (!made) throw new Error(`${name} was written and is not there`);
  return made;
}

export interface RestoreTo {
  /** The data folder to create: it must not have a database yet. */
  readonly folder: string;
  readonly migrations: string;
  readonly dead: (message: string) => void;
  /** The database to fill; the folder then takes the photos. */
  readonly databaseUrl?: string | undefined;
}

/**
 * Restores a backup into a new data folder, whole or not at all; or into an empty database of a PostgreSQL server.
 * @throws FolderRefused where either has jobs, or the archive is not a backup this version can read.
 */
export async function restore(archive: string, to: RestoreTo): Promise<void> {
  const { folder, migrations, databaseUrl } = to;
  if (databaseUrl === undefined && existsSync(join(folder, 'postgres'))) {
    throw new FolderRefused(
      folder,
      'it already has a database, which a restore never overwrites',
      'move the folder away, or give an empty one with OPEN_TRENCH_DATA',
    );
  }
  if (!existsSync(archive))
    throw new FolderRefused(archive, 'there is no such file', 'give the path of a backup');
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const aside = await mkdtemp(join(folder, 'restore-'));
  try {
    const unpacked = join(aside, 'archive');
    await mkdir(unpacked);
    await tar.extract({ file: archive, cwd: unpacked, strict: true });
    const manifest = readManifest(archive, unpacked);
    if (manifest.migrations > journalOf(migrations).entries.length) {
      throw new FolderRefused(
        archive,
        'it was made by a newer Open Trench',
        'bring this one up to date first',
      );
    }
    const old = await migrationsUpTo(migrations, manifest.migrations, join(aside, 'migrations'));
    const made = join(aside, 'data');
    const opened = await openFor({ ...to, folder: made, migrations: old });
    try {
      await fill(opened.db, join(unpacked, 'tables'));
    } finally {
      await opened.close();
    }
    if (existsSync(join(unpacked, 'photos')))
      await cp(join(unpacked, 'photos'), join(folder, 'photos'), { recursive: true });
    if (databaseUrl === undefined) {
      await syncTree(made);
      await rename(join(made, 'postgres'), join(folder, 'postgres'));
    }
    await syncFolder(folder);
  } finally {
    await rm(aside, { recursive: true, force: true });
  }
  // Migrated now, so that it is known to open.
  await (await openFor(to)).close();
}

const openFor = ({ folder, migrations, dead, databaseUrl }: RestoreTo) =>
  databaseUrl === undefined
    ? openDatabase({ folder, migrations, dead })
    : openPostgres({ url: databaseUrl, migrations, log: () => undefined });

/** Puts the rows of a backup into an empty database, all of them or none. */
const fill = (db: Database, from: string): Promise<void> =>
  db.transaction(async (tx) => {
    const { rows } = await tx.execute<{ count: string }>(sql`select count(*)::text as count from jobs`);
    if (rows[0]?.count !== '0') {
      throw new FolderRefused(
        'The database',
        'it already has jobs, which a restore never overwrites',
        'give the address of an empty one with DATABASE_URL',
      );
    }
    for (const table of tables) await readTable(tx, table, join(from, `${table}.jsonl`));
    await tx.execute(
      sql`select setval(pg_get_serial_sequence('changes', 'order'), (select coalesce(max("order"), 0) + 1 from changes), false)`,
    );
  });

function readManifest(archive: string, unpacked: string): z.infer<typeof manifestSchema> {
  const path = join(unpacked, 'manifest.json');
  const read = manifestSchema.safeParse(
    existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : undefined,
  );
  if (!read.success) {
    throw new FolderRefused(archive, 'it is not an Open Trench backup', 'give the path of a backup-….tar.gz');
  }
  return read.data;
}

/** The first n migrations in a folder of their own. */
async function migrationsUpTo(migrations: string, count: number, to: string): Promise<string> {
  await cp(migrations, to, { recursive: true });
  const journal = journalOf(migrations);
  await writeFile(
    join(to, 'meta', '_journal.json'),
    JSON.stringify({ ...journal, entries: journal.entries.slice(0, count) }),
  );
  return to;
}

async function readTable(db: Reader, table: string, path: string): Promise<void> {
  if (!existsSync(path)) return;
  const put = (rows: readonly string[]) =>
    db.execute(
      sql`insert into ${sql.identifier(table)} select * from jsonb_populate_recordset(null::${sql.identifier(table)}, ${`[${rows.join(',')}]`}::jsonb)`,
    );
  let rows: string[] = [];
  for await (const row of createInterface({ input: createReadStream(path), crlfDelay: Infinity })) {
    if (row !== '') rows.push(row);
    if (rows.length === rowsAtOnce) {
      await put(rows);
      rows = [];
    }
  }
  if (rows.length > 0) await put(rows);
}
