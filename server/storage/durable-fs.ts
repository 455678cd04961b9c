import fs from 'node:fs';
import { open, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { NodeFS } from '@electric-sql/pglite/nodefs';

type Options = Awaited<ReturnType<NodeFS['init']>>['emscriptenOpts'];
type Module = Parameters<NonNullable<Options['preRun']>[number]>[0];

/** Emscripten's record of an open file: `nfd` is the descriptor of the real file. */
interface OpenFile {
  readonly nfd: number;
}
interface NodeFileSystem {
  readonly stream_ops: { fsync?: (file: OpenFile) => number };
  /** Runs a call on the real file system and converts its error for PostgreSQL. */
  readonly tryFSOperation: <T>(call: () => T) => T;
}

/**
 * PGlite's file system with a real fsync. Its own has none, so PostgreSQL's calls never reach the disk: with this one,
 * and with `durableStart`, the write-ahead log is on disk when COMMIT answers, and data files and `pg_control` before a
 * checkpoint allows the log to be reused.
 */
export class DurableFS extends NodeFS {
  /**
   * `died` is called where PostgreSQL gives up, as on a full log disk: PGlite itself would continue with wrong answers.
   */
  constructor(
    dataDir: string,
    private readonly died: () => void,
  ) {
    super(dataDir);
  }

  override async init(pg: PGlite, options: Options): Promise<{ emscriptenOpts: Options }> {
    const { emscriptenOpts } = await super.init(pg, options);
    const preRun = [...(emscriptenOpts.preRun ?? []), giveFsync];
    return { emscriptenOpts: { ...emscriptenOpts, preRun, onAbort: this.died } };
  }
}

function giveFsync(module: Module): void {
  const files = module.NODEFS as unknown as NodeFileSystem;
  files.stream_ops.fsync = ({ nfd }) =>
    files.tryFSOperation(() => {
      try {
        fs.fsyncSync(nfd);
      } catch (error) {
        // Windows cannot sync a folder.
        if (process.platform !== 'win32' || (error as NodeJS.ErrnoException).code !== 'EPERM') throw error;
      }
      return 0;
    });
}

/** PGlite's own start parameters without `-F`, which turns fsync off. */
export const durableStart = [
  ...PGlite.defaultStartParams.filter((each) => each !== '-F'),
  ...['-c', 'wal_sync_method=fsync'],
];

/** Syncs a folder and everything in it to disk. */
export async function syncTree(folder: string): Promise<void> {
  for (const entry of await readdir(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) await syncTree(path);
    else if (entry.isFile()) await syncPath(path);
  }
  await syncFolder(folder);
}

/** Syncs a folder's own entries to disk. Windows has no way to do that. */
export async function syncFolder(folder: string): Promise<void> {
  if (process.platform !== 'win32') await syncPath(folder);
}

/** Syncs one file to disk. */
export async function syncPath(path: string): Promise<void> {
  const file = await open(path, 'r');
  try {
    await file.sync();
  } finally {
    await file.close();
  }
}
