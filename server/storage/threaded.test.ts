import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { eq, sql } from 'drizzle-orm';
import { dead, migrations, newDataFolder, thread } from '../test/new-folder.js';
import { openDatabase, type OpenedDatabase } from './database.js';
import { people } from './tables.js';

const said: string[] = [];
let folder: string;
let opened: OpenedDatabase;

beforeAll(async () => {
  folder = await newDataFolder();
  opened = await openDatabase({ folder, migrations, thread, dead: (message) => said.push(message) });
}, 60_000);
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
});

test('the thread reads and refuses as PGlite does in this one', async () => {
  const other = await newDataFolder();
  const here = await openDatabase({ folder: other, migrations, dead });
  // Types of PostgreSQL by https://www.postgresql.org/docs/current/datatype.html
  const values = sql`select 1::int as i, 9007199254740993::bigint as big, 1.50::numeric as n, 'a ''b'' ü'::text as t,
    true as yes, null as nothing, '{"a":[1,{"b":null}]}'::jsonb as j, '2026-11-27 10:00+00'::timestamptz as at,
    '2026-11-27'::date as day, array[1,2]::int[] as ints, array['2026-11-27']::date[] as days, '\\x0102'::bytea as bytes`;
  const [mine, theirs] = await Promise.all([opened, here].map(({ db }) => db.execute(values)));
  expect(mine?.rows).toEqual(theirs?.rows);
  const failures = await Promise.all(
    [opened, here].map(({ db }) => db.execute(sql`select 1 / 0`).catch((error: unknown) => error)),
  );
  // 22012: division_by_zero, https://www.postgresql.org/docs/current/errcodes-appendix.html
  for (const failure of failures)
    expect(failure).toMatchObject({ cause: { message: 'division by zero', code: '22012' } });
  await here.close();
  rmSync(other, { recursive: true, force: true });
}, 60_000);

test('a transaction goes in whole or not at all, and nobody else is let into it', async () => {
  const { db } = opened;
  const person = (id: string) => ({
    id,
    name: id,
    role: 'crew' as const,
    passphraseHash: 'x',
    madeAt: new Date(),
  });
  const within = db.transaction(async (tx) => {
    await tx.insert(people).values(person('one'));
    await tx.transaction((inner) => inner.insert(people).values(person('two')));
    throw new Error('thought better of it');
  });
  // Requested while the other is under way: it is answered after it.
  const outside = db.select().from(people);
  await expect(within).rejects.toThrow('thought better of it');
  expect(await outside).toEqual([]);
  await db.transaction((tx) => tx.insert(people).values(person('three')));
  expect(await db.select({ id: people.id }).from(people).where(eq(people.id, 'three'))).toHaveLength(1);
});

test('where the database gives up its thread ends: what was asked fails, and it is said what to do', async () => {
  const { db } = opened;
  await db.execute(sql`create table lost (i int)`);
  // As when somebody cleans up the folder under a running server: a log that cannot continue in a new file is a
  // PANIC.
  rmSync(join(folder, 'postgres', 'pg_wal'), { recursive: true });
  const writeOn = async () => {
    for (const said of [
      'insert into lost values (1)',
      'select pg_switch_wal()',
      'insert into lost values (2)',
    ])
      await db.execute(sql.raw(said));
  };
  await expect(writeOn()).rejects.toThrow();
  await expect(db.execute(sql`select 1`)).rejects.toThrow();
  expect(said.join()).toContain('could not write and has stopped');
}, 60_000);

test('a thread that is not there is said at once', async () => {
  const at = await newDataFolder();
  await expect(openDatabase({ folder: at, migrations, thread: join(at, 'none.mjs'), dead })).rejects.toThrow(
    /does not open.*none\.mjs/,
  );
  rmSync(at, { recursive: true, force: true });
});
