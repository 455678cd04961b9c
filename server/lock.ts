import { createHash } from 'node:crypto';
import { realpathSync, rmSync } from 'node:fs';
import { connect, createServer, type Server } from 'node:net';
import { join } from 'node:path';

export class FolderTaken extends Error {
  constructor(folder: string) {
    super(
      `another Open Trench is already running on ${folder}: use that one, stop it, or give this one another folder with OPEN_TRENCH_DATA`,
    );
  }
}

/**
 * Holds a data folder for one process. On Linux an abstract socket: the kernel frees it when the process ends,
 * however it ends, and a blocked event loop does not lose it. Windows has named pipes, which behave alike. Elsewhere
 * a socket file in the folder: taken if somebody answers on it, else left over from a crash and replaced.
 */
export async function holdFolder(folder: string): Promise<() => Promise<void>> {
  const real = realpathSync(folder);
  const name = `open-trench-${createHash('sha256').update(real).digest('hex').slice(0, 24)}`;
  const path =
    process.platform === 'linux'
      ? `\0${name}`
      : process.platform === 'win32'
        ? `\\\\.\\pipe\\${name}`
        : join(real, 'lock.sock');
  const server = createServer((socket) => socket.end());
  if (path.startsWith('/')) {
    if (await answers(path)) throw new FolderTaken(folder);
    rmSync(path, { force: true });
  }
  await listen(server, path).catch((error: unknown) => {
    if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') throw new FolderTaken(folder);
    throw error;
  });
  server.unref();
  return () =>
    new Promise((resolve) =>
      server.close(() => {
        resolve();
      }),
    );
}

function listen(server: Server, path: string): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen({ path, exclusive: true }, () => {
      resolve();
    });
  });
}

function answers(path: string): Promise<boolean> {
  return new Promise((resolve) => {
    const socket = connect(path);
    socket.once('connect', () => {
      socket.destroy();
      resolve(true);
    });
    socket.once('error', () => {
      resolve(false);
    });
  });
}
