import { exit } from 'node:process';
import { parentPort } from 'node:worker_threads';
import { PGlite, types, type Results } from '@electric-sql/pglite';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { DurableFS, durableStart } from './durable-fs.js';

/** The result, or PostgreSQL's refusal as data, since an Error would lose its code between threads. */
export type Answer<T> = { readonly done: T } | { readonly refused: { readonly message: string } };

const answered = async <T>(work: () => Promise<T>): Promise<Answer<T>> => {
  try {
    return { done: await work() };
  } catch (error) {
    const { message } = error instanceof Error ? error : new Error(String(error));
    return { refused: { ...(JSON.parse(JSON.stringify(error)) as object), message } };
  }
};

/** Drizzle parses these from PostgreSQL's own text, and its parsers cannot be passed to a thread. */
const asText = Object.fromEntries(
  // The last five are arrays: of numeric, timestamp, timestamptz, interval and date.
  [types.TIMESTAMP, types.TIMESTAMPTZ, types.INTERVAL, types.DATE, 1231, 1115, 1185, 1187, 1182].map(
    (type) => [type, (value: string) => value],
  ),
);

let client: PGlite | undefined;
const opened = () => {
  if (!client) throw new Error('the database is not open');
  return client;
};

const database = {
  /** If PostgreSQL gives up, this thread ends, and with it the server. */
  open: (dataDir: string) =>
    answered(async () => {
      const fs = new DurableFS(dataDir, () => exit(1));
      client = await PGlite.create({ fs, startParams: durableStart });
    }),
  query: (text: string, values: readonly unknown[] | undefined, rowMode: 'array' | 'object' | undefined) =>
    answered<Results>(() =>
      opened().query(text, values ? [...values] : undefined, {
        rowMode: rowMode ?? 'object',
        parsers: asText,
      }),
    ),
  exec: (text: string) =>
    answered(async () => {
      await opened().exec(text);
    }),
  close: () => answered(() => opened().close()),
};
export type DatabaseThread = typeof database;

if (!parentPort) throw new Error('this runs as a worker only');
expose(database, nodeEndpoint(parentPort));
