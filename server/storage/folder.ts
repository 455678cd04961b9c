import { constants } from 'node:fs';
import { access, mkdir, stat } from 'node:fs/promises';
import { dirname } from 'node:path';
import { syncFolder } from './durable-fs.js';

/** A data folder that cannot be used as it is: which, why, and what would help. */
export class FolderRefused extends Error {
  constructor(folder: string, why: string, cure: string) {
    super(`${folder} cannot be used: ${why}. What helps: ${cure}.`);
  }
}

const another = 'give another folder with OPEN_TRENCH_DATA';

/**
 * Creates the data folder if missing, private to its owner, and checks that it can be written. @throws FolderRefused
 * with what would help.
 */
export async function madeFolder(folder: string): Promise<void> {
  const found = await stat(folder).catch(() => undefined);
  if (found && !found.isDirectory()) {
    throw new FolderRefused(
      folder,
      'there is a file where the data folder should be',
      `move it away, or ${another}`,
    );
  }
  if (!found) {
    try {
      await mkdir(folder, { recursive: true, mode: 0o700 });
      await syncFolder(dirname(folder));
    } catch (error) {
      const { code = String(error) } = error as NodeJS.ErrnoException;
      throw new FolderRefused(folder, `it cannot be made (${code})`, `make it by hand, or ${another}`);
    }
  }
  await access(folder, constants.W_OK | constants.X_OK).catch(() => {
    throw new FolderRefused(
      folder,
      'this user may not write in it, or the disk is read-only',
      `let this user write in it, or ${another}`,
    );
  });
}
