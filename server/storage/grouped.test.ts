import { setTimeout as wait } from 'node:timers/promises';
import fc from 'fast-check';
import type { Database, Transaction } from './database.js';
import { grouped } from './grouped.js';

/**
 * A database of a single list with PostgreSQL's rules: a failed transaction or savepoint rolls back, and nothing is on
 * disk before the commit, which takes a while and may itself fail.
 */
function listDatabase(commitFails: (count: number) => boolean) {
  const disk: string[] = [];
  let commits = 0;
  const within = (rows: string[]) => ({
    write: (row: string) => rows.push(row),
    async transaction<T>(work: (tx: unknown) => Promise<T>): Promise<T> {
      const own: string[] = [];
      const result = await work(within(own));
      rows.push(...own);
      return result;
    },
  });
  const db = {
    async transaction<T>(work: (tx: unknown) => Promise<T>): Promise<T> {
      const rows: string[] = [];
      const result = await work(within(rows));
      await wait(1);
      if (commitFails(++commits)) throw new Error('the disk is full');
      disk.push(...rows);
      return result;
    },
  };
  return { db: db as unknown as Pick<Database, 'transaction'>, disk, commits: () => commits };
}

const add = (row: string, fails: boolean) => async (tx: Transaction) => {
  (tx as unknown as { write(row: string): void }).write(row);
  await Promise.resolve();
  if (fails) throw new Error(`${row} is refused`);
  return row;
};

test('writes go in together: each whole or not at all, in order, and none is answered before it is on the disk', async () => {
  let shared = 0;
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.record({ fails: fc.boolean(), pause: fc.boolean() }), { minLength: 1, maxLength: 120 }),
      fc.nat({ max: 6 }),
      async (all, failing) => {
        const { db, disk, commits } = listDatabase((count) => count === failing);
        const write = grouped(db);
        const early: string[] = [];
        const answers: Promise<string>[] = [];
        for (const [i, { fails, pause }] of all.entries()) {
          const row = `row ${i}`;
          answers.push(
            write(add(row, fails)).then(
              (said) => {
                if (!disk.includes(said)) early.push(said);
                return said;
              },
              (error: unknown) => String(error),
            ),
          );
          if (pause) await wait(1);
        }
        const said = await Promise.all(answers);
        expect(early).toEqual([]);
        const taken = said.filter((each) => each.startsWith('row'));
        expect(disk).toEqual(taken);
        for (const [i, { fails }] of all.entries())
          if (fails) expect(said[i]).toMatch(new RegExp(`row ${i} is refused|the disk is full`));
        if (commits() < all.length) shared++;
      },
    ),
    { numRuns: 40 },
  );
  expect(shared).toBeGreaterThan(10);
});
