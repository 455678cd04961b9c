import type { Database, Transaction, Write } from './database.js';

/** Writes that wait while one is brought to the disk, at most so many, go in together. */
const mostTogether = 50;

interface Waiting {
  readonly work: (tx: Transaction) => Promise<unknown>;
  readonly done: (result: unknown) => void;
  readonly failed: (error: unknown) => void;
}

/**
 * Writes in groups: what comes in while a transaction is synced to the disk shares the next one, and one sync. Each is
 * whole in a savepoint of its own, so one that fails takes nothing with it; each is answered once all are on the disk.
 * For a database that one process has alone: groups of two processes could wait for each other's jobs.
 */
export function grouped(db: Pick<Database, 'transaction'>): Write {
  let waiting: Waiting[] = [];
  let isRunning = false;
  const run = async () => {
    isRunning = true;
    while (waiting.length > 0) {
      const group = waiting.slice(0, mostTogether);
      waiting = waiting.slice(mostTogether);
      await together(db, group);
    }
    isRunning = false;
  };
  return <T>(work: (tx: Transaction) => Promise<T>) =>
    new Promise<T>((done, failed) => {
      waiting.push({ work, done: done as (result: unknown) => void, failed });
      if (!isRunning) void run();
    });
}

async function together(db: Pick<Database, 'transaction'>, group: readonly Waiting[]): Promise<void> {
  const [alone, ...others] = group;
  if (alone && others.length === 0) return db.transaction(alone.work).then(alone.done, alone.failed);
  const answers: (() => void)[] = [];
  try {
    await db.transaction(async (tx) => {
      for (const { work, done, failed } of group) {
        await tx.transaction(work).then(
          (result) =>
            answers.push(() => {
              done(result);
            }),
          (error: unknown) =>
            answers.push(() => {
              failed(error);
            }),
        );
      }
    });
  } catch (error) {
    for (const { failed } of group) failed(error);
    return;
  }
  for (const answer of answers) answer();
}
