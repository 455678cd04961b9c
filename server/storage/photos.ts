import { createHash, randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, open, readFile, rename } from 'node:fs/promises';
import { join } from 'node:path';
import { fileTypeFromBuffer } from 'file-type';
import { syncFolder } from './durable-fs.js';

const mostPhoto_bytes = 12 * 1024 * 1024;
const kinds: Readonly<Record<string, string>> = {
  jpg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
};
const nameShape = /^[0-9a-f]{64}\.(jpg|png|webp)$/;

/**
 * Photos as files beside the database, named by a hash of their content, so that storing one twice makes one file.
 */
export interface Photos {
  keep(bytes: Uint8Array): Promise<{ readonly name: string } | { readonly refused: string }>;
  read(name: string): Promise<{ readonly bytes: Uint8Array<ArrayBuffer>; readonly type: string } | undefined>;
}

/** The type is detected from the content, never from a name; a photo counts as stored when it is on disk. */
export function photosIn(folder: string): Photos {
  return {
    async keep(bytes) {
      if (bytes.length > mostPhoto_bytes)
        return { refused: `a photo is at most ${mostPhoto_bytes / 1024 / 1024} MB` };
      const found = await fileTypeFromBuffer(bytes);
      if (!found || !(found.ext in kinds)) {
        return {
          refused: `a JPEG, PNG or WebP picture is taken; this is ${found?.mime ?? 'of no known kind'}`,
        };
      }
      const name = `${createHash('sha256').update(bytes).digest('hex')}.${found.ext}`;
      const path = join(folder, name);
      if (existsSync(path)) return { name };
      await mkdir(folder, { recursive: true });
      await writeWhole(path, bytes);
      await syncFolder(folder);
      return { name };
    },
    async read(name) {
      const type = kinds[nameShape.exec(name)?.[1] ?? ''];
      const path = join(folder, name);
      if (type === undefined || !existsSync(path)) return undefined;
      return { bytes: new Uint8Array(await readFile(path)), type };
    },
  };
}

/** Written aside, synced and moved into place, so that a half-written file never has a photo's name. */
async function writeWhole(path: string, bytes: Uint8Array): Promise<void> {
  // A unique name: the same photo may arrive twice at once.
  const aside = `${path}.${randomUUID()}.part`;
  const file = await open(aside, 'w');
  try {
    await file.writeFile(bytes);
    await file.sync();
  } finally {
    await file.close();
  }
  await rename(aside, path);
}
