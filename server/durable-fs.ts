import { open, readdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { NodeFS } from '@electric-sql/pglite/nodefs';

/**
 * PGlite's file system never reaches the disk by itself: its fsync is a stub. After every statement PGlite calls
 * `syncToFs` and waits for it before it answers, so syncing the write-ahead log here means that an entry is on the
 * disk before anybody hears that it is saved. Data files need no sync between checkpoints: the log rebuilds them.
 */
export class DurableFS extends NodeFS {
  private readonly synced = new Map<string, string>();
  private readonly wal: string;

  constructor(dataDir: string) {
    super(dataDir);
    this.wal = join(dataDir, 'pg_wal');
  }

  override async syncToFs(): Promise<void> {
    const names = await readdir(this.wal).catch(() => [] as string[]);
    let grew = false;
    for (const name of names) {
      const path = join(this.wal, name);
      const { mtimeMs, size, isFile } = await stat(path).then((each) => ({
        mtimeMs: each.mtimeMs,
        size: each.size,
        isFile: each.isFile(),
      }));
      const mark = `${mtimeMs} ${size}`;
      if (!isFile || this.synced.get(name) === mark) continue;
      grew ||= !this.synced.has(name);
      await syncPath(path);
      this.synced.set(name, mark);
    }
    if (grew) await syncPath(this.wal);
  }
}

async function syncPath(path: string): Promise<void> {
  const file = await open(path, 'r');
  try {
    await file.datasync();
  } finally {
    await file.close();
  }
}
