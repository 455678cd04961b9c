import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import * as tar from 'tar';
import { emptyFirm } from '../../core/job/firm.js';
import { randomJob } from '../../core/test/random-job.js';
import { backUp, backupsOf, keptBackups, restore, writeBackup } from './backup.js';
import { openDatabase } from './database.js';
import { firmOn } from '../jobs/firm.js';
import { storeOn } from '../jobs/store.js';
import { dead, migrations, newDataFolder } from '../test/new-folder.js';

const temporary = mkdtempSync(join(tmpdir(), 'open-trench-backup-'));
const folders = [temporary];
afterAll(() => {
  for (const each of folders) rmSync(each, { recursive: true, force: true });
});
const newFolder = async () => {
  const made = await newDataFolder();
  folders.push(made);
  return made;
};
const jointEdit = (entry: string) => ({
  sent: `set of ${entry}`,
  edits: [
    {
      kind: 'entry' as const,
      line: 'line1',
      run: 'R1',
      entry,
      set: { id: entry, kind: 'joint' as const, reading_ft: 4, pass: 'back' as const },
    },
  ],
});
/** A random job, with the ids that `jointEdit` speaks of. */
function job(seed: number) {
  const made = randomJob(seed, { length_ft: [10, 20], findings: 3 });
  const [line] = made.lines;
  const [run] = line?.runs ?? [];
  if (!line || !run) throw new Error('a random job has a run');
  return { ...made, lines: [{ ...line, id: 'line1', runs: [{ ...run, id: 'R1' }] }] };
}

test('what a backup held is there after a restore: jobs, history, firm, photos; and it goes on from there', async () => {
  const folder = await newFolder();
  const opened = await openDatabase({ folder, migrations, dead });
  const store = storeOn(opened);
  for (let seed = 1; seed <= 6; seed++) await store.add(`job${seed}`, job(seed), 'test');
  await store.edit('job3', jointEdit('k1'), 'truck');
  await firmOn(opened.db).write(emptyFirm, { ...emptyFirm, name: 'Hollow Lane Drains' });
  mkdirSync(join(folder, 'photos'));
  writeFileSync(join(folder, 'photos', 'one.jpg'), 'a picture');
  const from = { db: opened.db, folder, migrations };
  const kept = await backUp(from);
  // A second one of the same day is kept beside the first.
  expect(
    [kept.name, (await backUp(from)).name].every((name) => existsSync(join(backupsOf(folder), name))),
  ).toBe(true);
  const before = await Promise.all([1, 2, 3, 4, 5, 6].map((seed) => store.read(`job${seed}`)));
  const history = await store.history('job3', 10);
  await opened.close();
  // RFC 1952: it is a gzip file that any program reads.
  const bytes = gunzipSync(readFileSync(join(backupsOf(folder), kept.name)));
  expect(bytes.toString('latin1')).toContain('manifest.json');

  const to = join(temporary, 'restored');
  await restore(join(backupsOf(folder), kept.name), { folder: to, migrations, dead });
  expect(readFileSync(join(to, 'photos', 'one.jpg'), 'utf8')).toBe('a picture');
  expect(readdirSync(to).filter((name) => name.startsWith('restore-'))).toEqual([]);
  const again = await openDatabase({ folder: to, migrations, dead });
  const restored = storeOn(again);
  expect(await Promise.all([1, 2, 3, 4, 5, 6].map((seed) => restored.read(`job${seed}`)))).toEqual(before);
  expect(await restored.history('job3', 10)).toEqual(history);
  expect((await firmOn(again.db).read()).name).toBe('Hollow Lane Drains');
  expect(await restored.edit('job3', jointEdit('k2'), 'truck')).toMatchObject({ stored: { version: 3 } });
  await again.close();
  // A restore never overwrites a database.
  await expect(restore(join(backupsOf(folder), kept.name), { folder: to, migrations, dead })).rejects.toThrow(
    /a restore never overwrites/,
  );
}, 120_000);

/** The same archive as from a version with this many more migrations. */
async function madeBy(archive: string, more: number): Promise<string> {
  const at = mkdtempSync(join(temporary, 'other-'));
  await tar.extract({ file: archive, cwd: at });
  const path = join(at, 'manifest.json');
  const manifest = JSON.parse(readFileSync(path, 'utf8')) as { migrations: number };
  writeFileSync(path, JSON.stringify({ ...manifest, migrations: manifest.migrations + more }));
  const made = `${at}.tar.gz`;
  await tar.create({ gzip: true, cwd: at, file: made }, readdirSync(at));
  return made;
}

test('a backup of an older version is brought up to date; one of a newer, and what is none, are refused', async () => {
  const folder = await newFolder();
  const opened = await openDatabase({ folder, migrations, dead });
  await storeOn(opened).add('old', job(9), 'test');
  const archive = join(temporary, 'now.tar.gz');
  await writeBackup({ db: opened.db, folder, migrations }, archive);
  await opened.close();
  const to = join(temporary, 'updated');
  // The last migration did not change a table that a backup contains.
  await restore(await madeBy(archive, -1), { folder: to, migrations, dead });
  const now = await openDatabase({ folder: to, migrations, dead });
  expect((await storeOn(now).read('old'))?.job.title).toBe(job(9).title);
  await now.close();
  const refused = (file: string) => restore(file, { folder: join(temporary, 'empty'), migrations, dead });
  await expect(refused(await madeBy(archive, 1))).rejects.toThrow(/newer Open Trench/);
  await expect(refused(join(temporary, 'nobody'))).rejects.toThrow(/no such file/);
}, 120_000);

test('backups are kept for fourteen days', async () => {
  const folder = await newFolder();
  const opened = await openDatabase({ folder, migrations, dead });
  const from = { db: opened.db, folder, migrations };
  const now = new Date('2026-05-20T12:00:00Z');
  mkdirSync(backupsOf(folder));
  for (const [day, age] of [
    ['2026-05-19', 1],
    ['2026-05-07', 13],
    ['2026-05-05', 15],
  ] as const) {
    const path = join(backupsOf(folder), `backup-${day}.tar.gz`);
    writeFileSync(path, '');
    const at = new Date(now.getTime() - age * 86_400_000);
    utimesSync(path, at, at);
  }
  await backUp(from, now);
  expect((await keptBackups(folder)).map(({ name }) => name)).toEqual([
    'backup-2026-05-20.tar.gz',
    'backup-2026-05-19.tar.gz',
    'backup-2026-05-07.tar.gz',
  ]);
  await opened.close();
}, 60_000);
