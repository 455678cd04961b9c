import { createHash } from 'node:crypto';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { openDatabase } from '../storage/database.js';

/** Tests and benches run from the project's own folder; a bench is bundled into one file elsewhere. */
const root = resolve();
export const migrations = join(root, 'server', 'migrations');
/** The database's thread as in the server: `npm test` builds it first. */
export const thread = join(root, 'dist', 'database.mjs');

/** A failed test leaves its database open over a folder that is then removed: not worth reporting. */
export const dead = (message: string): void => {
  if (!message.includes('taken')) throw new Error(message);
};

/** A fingerprint of everything a new database is made from. */
function madeFrom(): string {
  const hash = createHash('sha256').update(readFileSync(join(root, 'package-lock.json')));
  for (const name of readdirSync(migrations).sort())
    if (name.endsWith('.sql')) hash.update(readFileSync(join(migrations, name)));
  return hash.digest('hex').slice(0, 16);
}

/**
 * A data folder with a new database in it, copied from one made once: creating one takes many seconds on two cores. The
 * caller removes it.
 */
export async function newDataFolder(): Promise<string> {
  const made = join(root, 'test-results', `new-database-${madeFrom()}`);
  const folder = mkdtempSync(join(tmpdir(), 'open-trench-test-'));
  if (!existsSync(made)) {
    mkdirSync(join(root, 'test-results'), { recursive: true });
    const aside = mkdtempSync(join(root, 'test-results', 'new-database-'));
    await (await openDatabase({ folder: aside, migrations, dead })).close();
    try {
      renameSync(aside, made);
    } catch {
      // Another worker made it first.
      rmSync(aside, { recursive: true, force: true });
    }
  }
  cpSync(made, folder, { recursive: true });
  return folder;
}
