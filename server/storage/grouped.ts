import type { Database, Transaction, Write } from './database.js';

/** Limit on the writes that share one transaction. */
const mostTogether = 50;

interface Waiting {
  readonly work: (tx: Transaction) => Promise<unknown>;
  readonly done: (result: unknown) => void;
  readonly failed: (error: unknown) => void;
}

/**
 * Group commit: writes arriving while a transaction is synced to disk share the next one, and one sync. Each runs in a
 * savepoint, so a failing one affects no other; each is answered once all are on disk. For a database used by one
 * process only: groups of two processes could deadlock on each other's jobs.
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
