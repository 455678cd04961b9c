import { cpSync, existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type nodeFs from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { openDatabase } from './database.js';
import { holdFolder } from './lock.js';
import { dead, migrations, newDataFolder } from '../test/new-folder.js';

// The real file system under a real PGlite folder; its calls are only watched, or made to fail like a bad disk.
const fs = createRequire(import.meta.url)('fs') as typeof nodeFs;
const folders: string[] = [];
const folder = async () => {
  const made = await newDataFolder();
  folders.push(made);
  return made;
};
afterAll(() => {
  for (const each of folders) rmSync(each, { recursive: true, force: true });
});

/** Replaces file-system calls until the returned function is called. */
function instead(calls: Partial<Pick<typeof fs, 'writeSync' | 'fsyncSync' | 'openSync'>>): () => void {
  const own = { writeSync: fs.writeSync, fsyncSync: fs.fsyncSync, openSync: fs.openSync };
  Object.assign(fs, calls);
  return () => {
    Object.assign(fs, own);
  };
}

test('what is answered as written has been written to the log and synced before, each time and in that order', async () => {
  const at = await folder();
  const paths = new Map<number, string>();
  const [open, write, sync] = [fs.openSync, fs.writeSync, fs.fsyncSync];
  const unsynced = new Set<string>();
  let synced = 0;
  const stop = instead({
    openSync: (path, ...rest) => {
      const descriptor = open(path, ...rest);
      paths.set(descriptor, String(path));
      return descriptor;
    },
    writeSync: (descriptor: number, ...rest: []) => {
      const path = paths.get(descriptor) ?? '';
      if (path.includes('pg_wal')) unsynced.add(path);
      return (write as (descriptor: number, ...rest: []) => number)(descriptor, ...rest);
    },
    fsyncSync: (descriptor) => {
      unsynced.delete(paths.get(descriptor) ?? '');
      synced++;
      sync(descriptor);
    },
  });
  try {
    const { db, close } = await openDatabase({ folder: at, migrations, dead });
    await db.execute(sql`create table watched (i int)`);
    for (let i = 0; i < 30; i++) {
      const before = synced;
      await db.transaction((tx) => tx.execute(sql`insert into watched values (${i})`));
      expect([...unsynced]).toEqual([]);
      expect(synced).toBeGreaterThan(before);
    }
    // A checkpoint allows the log to be reused: everything it covers is synced first, including the control file.
    const files = new Set<string>();
    fs.fsyncSync = (descriptor) => {
      files.add(paths.get(descriptor) ?? '');
      sync(descriptor);
    };
    await db.execute(sql`checkpoint`);
    expect([...files].some((path) => path.endsWith('pg_control'))).toBe(true);
    expect([...files].some((path) => path.includes('/base/'))).toBe(true);
    await close();
  } finally {
    stop();
  }
}, 60_000);

/** Counts the timers of a minute and more that begin from now on, and those of them still running at the end. */
function watchedTimers(): { readonly end: () => { begun: number; running: number } } {
  const { setInterval: set, clearInterval: clear } = globalThis;
  const running = new Set<unknown>();
  let begun = 0;
  globalThis.setInterval = ((call: () => void, every_ms: number) => {
    const timer = set(call, every_ms);
    if (every_ms >= 60_000) {
      begun++;
      running.add(timer);
    }
    return timer;
  }) as typeof set;
  globalThis.clearInterval = (timer) => {
    running.delete(timer);
    clear(timer);
  };
  return {
    end() {
      Object.assign(globalThis, { setInterval: set, clearInterval: clear });
      return { begun, running: running.size };
    },
  };
}

test('a log that the disk takes no more ends the process with what to do, and answers nothing', async () => {
  const at = await folder();
  const said: string[] = [];
  const timers = watchedTimers();
  const { db } = await openDatabase({ folder: at, migrations, dead: (message) => said.push(message) });
  await db.execute(sql`create table watched (i int)`);
  const stop = instead({
    fsyncSync: () => {
      throw Object.assign(new Error('input/output error'), { code: 'EIO' });
    },
  });
  try {
    await expect(db.execute(sql`insert into watched values (1)`)).rejects.toThrow();
  } finally {
    stop();
  }
  expect(said.join()).toContain('could not write and has stopped: the disk is full or failing');
  // Its checkpoints stop with it: one after a commit that was cut short waits for it forever, and holds its thread.
  expect(timers.end()).toMatchObject({ begun: 2, running: 0 });
}, 60_000);

test('a folder that was left in a bad moment opens; one that is no database is never made over', async () => {
  const at = await folder();
  const postgres = join(at, 'postgres');
  const again = async () => (await openDatabase({ folder: at, migrations, dead })).close();
  // As a crash leaves it, within 30 s of a start: https://www.postgresql.org/docs/current/storage-file-layout.html
  writeFileSync(join(postgres, 'postmaster.pid'), '');
  await again();
  // An interrupted first start leaves its work aside.
  mkdirSync(`${postgres}.part`);
  writeFileSync(join(`${postgres}.part`, 'PG_VERSION'), 'half');
  cpSync(postgres, join(at, 'kept'), { recursive: true });
  rmSync(join(postgres, 'PG_VERSION'));
  await expect(again()).rejects.toThrow(/no PG_VERSION.*restore a backup/);
  expect(existsSync(join(postgres, 'base'))).toBe(true);
  rmSync(postgres, { recursive: true });
  cpSync(join(at, 'kept'), postgres, { recursive: true });
  await again();
  const file = join(at, 'a-file');
  writeFileSync(file, '');
  await expect(openDatabase({ folder: file, migrations, dead })).rejects.toThrow(
    /there is a file where the data folder should be.*OPEN_TRENCH_DATA/,
  );
}, 60_000);

test('a folder is held against a holder in another container for as long as that one lives', async () => {
  const at = mkdtempSync(join(tmpdir(), 'open-trench-lock-'));
  folders.push(at);
  const lock = join(at, 'lock.json');
  const elsewhere = { token: 'theirs', network: 'another machine' };
  // A holder whose counter advances is alive, whatever its clock says.
  let count = 0;
  const beat = () => {
    writeFileSync(lock, JSON.stringify({ ...elsewhere, beat: count++ }));
  };
  beat();
  const heart = setInterval(beat, 200);
  await expect(holdFolder(at)).rejects.toThrow(/already running on/);
  clearInterval(heart);
  // A silent holder is gone; and one whose folder is taken over is notified.
  let lost = 0;
  const release = await holdFolder(at, () => lost++);
  writeFileSync(lock, JSON.stringify({ ...elsewhere, beat: 0 }));
  const until = Date.now() + 20_000;
  while (lost === 0 && Date.now() < until) await new Promise((go) => setTimeout(go, 50));
  expect(lost).toBe(1);
  await release();
  expect(existsSync(lock)).toBe(true);
}, 60_000);
