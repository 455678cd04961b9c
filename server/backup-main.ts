import { join, resolve } from 'node:path';
import { backupsOf, backUp, restore, writeBackup } from './storage/backup.js';
import { openDatabase } from './storage/database.js';
import { FolderRefused } from './storage/folder.js';
import { FolderInUse } from './storage/lock.js';
import { DatabaseRefused, openPostgres } from './storage/postgres.js';

const root = resolve(import.meta.dirname, '..');
const folder = resolve(process.env.OPEN_TRENCH_DATA ?? join(root, 'data'));
const migrations = join(root, 'server', 'migrations');
const databaseUrl = process.env.DATABASE_URL;
const port = Number(process.env.PORT ?? 4870);

const usage = `npm run backup [file]     makes a backup, beside the data or as the file
npm run restore <file>    makes a data folder from a backup (OPEN_TRENCH_DATA: where)`;

function endWith(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

async function backup(to: string | undefined): Promise<string> {
  try {
    const { db, close } =
      databaseUrl === undefined
        ? await openDatabase({ folder, migrations, dead: endWith })
        : await openPostgres({ url: databaseUrl, migrations, log: () => undefined });
    const from = { db, folder, migrations };
    const made = to === undefined ? join(backupsOf(folder), (await backUp(from)).name) : resolve(to);
    if (to !== undefined) await writeBackup(from, made);
    await close();
    return made;
  } catch (error) {
    if (!(error instanceof FolderInUse) || to !== undefined) throw error;
    // The server using the folder makes it.
    const answer = await fetch(`http://127.0.0.1:${port}/api/backups`, { method: 'POST' });
    if (!answer.ok) throw error;
    return join(backupsOf(folder), ((await answer.json()) as { name: string }).name);
  }
}

const [what, file] = process.argv.slice(2);
try {
  if (what === 'backup') process.stdout.write(`${await backup(file)}\n`);
  else if (what === 'restore' && file !== undefined) {
    await restore(resolve(file), { folder, migrations, dead: endWith, databaseUrl });
    process.stdout.write(
      `${databaseUrl === undefined ? folder : 'The database'} holds what the backup held\n`,
    );
  } else endWith(usage);
  process.exit(0);
} catch (error) {
  const plain = [FolderRefused, FolderInUse, DatabaseRefused].some((plainly) => error instanceof plainly);
  const { message, stack } = error instanceof Error ? error : new Error(String(error));
  endWith(plain ? message : (stack ?? message));
}
