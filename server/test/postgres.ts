import { execFileSync, spawn } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from './free-port.js';

const debian = '/usr/lib/postgresql';

/** Location of a PostgreSQL server's programs; undefined where this machine has none. */
export function postgresPrograms(): string | undefined {
  const versions = existsSync(debian) ? readdirSync(debian).sort((a, b) => Number(b) - Number(a)) : [];
  return versions.map((each) => join(debian, each, 'bin')).find((bin) => existsSync(join(bin, 'initdb')));
}

/** PostgreSQL refuses to run as root: it runs as the user its package creates. */
function user(): { uid: number; gid: number } | undefined {
  if (process.getuid?.() !== 0) return undefined;
  const id = (flag: string) => Number(execFileSync('id', [flag, 'postgres']).toString());
  return { uid: id('-u'), gid: id('-g') };
}

export interface RunningPostgres {
  /** The address of a new, empty database on it. */
  database(): string;
  /** Stops it abruptly, or starts it again. */
  stop(): Promise<void>;
  start(): void;
  remove(): Promise<void>;
}

/** A private PostgreSQL server in a temporary folder, reachable from this machine only. */
export async function startPostgres(bin: string): Promise<RunningPostgres> {
  const as = user();
  const folder = mkdtempSync(join(tmpdir(), 'open-trench-postgres-'));
  if (as) chownSync(folder, as.uid, as.gid);
  const data = join(folder, 'data');
  const run = (program: string, args: readonly string[]) =>
    execFileSync(join(bin, program), args, { ...as, cwd: folder, stdio: ['ignore', 'pipe', 'pipe'] });
  run('initdb', ['-D', data, '-U', 'postgres', '-A', 'trust', '--no-sync', '-E', 'UTF8', '--locale=C']);
  const port = await freePort();
  let child: ReturnType<typeof spawn> | undefined;
  let made = 0;
  const start = () => {
    child = spawn(
      join(bin, 'postgres'),
      ['-D', data, '-p', String(port), '-h', '127.0.0.1', '-k', folder, '-c', 'fsync=off'],
      { ...as, cwd: folder, stdio: 'ignore' },
    );
    for (;;) {
      try {
        run('pg_isready', ['-h', '127.0.0.1', '-p', String(port), '-U', 'postgres', '-t', '5']);
        return;
      } catch {
        if (child.exitCode !== null) throw new Error(`postgres ended with ${child.exitCode}`);
      }
    }
  };
  const stop = async () => {
    const dying = child;
    child = undefined;
    if (!dying || dying.exitCode !== null) return;
    const gone = new Promise((done) => dying.once('exit', done));
    // SIGINT: a fast shutdown, which drops every connection.
    dying.kill('SIGINT');
    await gone;
  };
  start();
  return {
    database() {
      const name = `shop${++made}`;
      run('createdb', ['-h', '127.0.0.1', '-p', String(port), '-U', 'postgres', name]);
      return `postgres://postgres@127.0.0.1:${port}/${name}`;
    },
    stop,
    start,
    async remove() {
      await stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
