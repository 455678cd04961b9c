import { Worker } from 'node:worker_threads';
import { wrap, type Remote } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import type { Work } from './worker.js';

/** What the server works out beside its own thread, so that no request waits for it. */
export interface Bench {
  readonly work: Remote<Work>;
  close(): Promise<unknown>;
}

/** Starts a thread on the built worker at `path`. */
export function startBench(path: string): Bench {
  const worker = new Worker(path);
  worker.unref();
  return { work: wrap<Work>(nodeEndpoint(worker)), close: () => worker.terminate() };
}
