import { Worker } from 'node:worker_threads';
import { Mutex, type PGlite, type QueryOptions, type Results, type Transaction } from '@electric-sql/pglite';
import { wrap } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import type { Answer, DatabaseThread } from './database-worker.js';

/** The methods of PGlite that we and Drizzle use. */
export type Client = Pick<PGlite, 'query' | 'exec' | 'transaction' | 'close'>;

/**
 * PGlite in a thread of its own, since its calls are synchronous and a sync to disk would block everybody. `path` is
 * the built thread; `died` is called where it ends by itself, and pending calls fail. @throws the error that kept the
 * database in `dataDir` from opening.
 */
export async function openThreaded(path: string, dataDir: string, died: () => void): Promise<Client> {
  const thread = startThread(path, died);
  await thread.open(dataDir);
  const { query, exec } = thread;
  const turn = new Mutex();
  return {
    query: <T>(...said: Parameters<typeof query>) => turn.runExclusive(() => query<T>(...said)),
    exec: (text) =>
      turn.runExclusive(async () => {
        await exec(text);
        return [];
      }),
    transaction: (work) =>
      turn.runExclusive(async () => {
        await exec('begin');
        try {
          const done = await work({ query } as Transaction);
          await exec('commit');
          return done;
        } catch (error) {
          // If the rollback fails too, the database has stopped, which the first error says.
          await exec('rollback').catch(() => undefined);
          throw error;
        }
      }),
    close: () => turn.runExclusive(thread.close),
  };
}

function startThread(path: string, died: () => void) {
  const worker = new Worker(path);
  const remote = wrap<DatabaseThread>(nodeEndpoint(worker));
  const asked = new Set<(error: Error) => void>();
  let isOpen = false;
  let gone: Error | undefined;
  worker.once('error', (error) => {
    gone = error;
  });
  worker.once('exit', () => {
    gone = new Error(['the database has stopped', gone?.message].filter(Boolean).join(': '));
    for (const fail of asked) fail(gone);
    if (isOpen) died();
  });
  const answerOf = async <T>(ask: () => Promise<Answer<T>>): Promise<T> => {
    const answer = await new Promise<Answer<T>>((done, failed) => {
      // A thread that is gone answers nothing.
      if (gone) throw gone;
      asked.add(failed);
      void ask()
        .then(done, failed)
        .finally(() => asked.delete(failed));
    });
    if ('refused' in answer) throw Object.assign(new Error(answer.refused.message), answer.refused);
    return answer.done;
  };
  const end = async () => {
    isOpen = false;
    await worker.terminate();
  };
  return {
    async open(dataDir: string) {
      try {
        await answerOf(() => remote.open(dataDir));
        isOpen = true;
      } catch (error) {
        await end();
        throw error;
      }
    },
    query: <T>(text: string, values?: unknown[], options?: QueryOptions) =>
      answerOf(() => remote.query(text, values, options?.rowMode) as Promise<Answer<Results<T>>>),
    exec: (text: string) => answerOf(() => remote.exec(text)),
    close: async () => {
      await answerOf(() => remote.close());
      await end();
    },
  };
}
