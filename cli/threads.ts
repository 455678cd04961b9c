import { on } from 'node:events';
import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import type { Answer, Answers } from './scope.js';

/** A thread takes about as long to start as this many jobs. */
const worthAThread = 8;

/** How many threads answer so many files soonest. */
export const threadsFor = (files: number): number =>
  Math.max(1, Math.min(availableParallelism(), Math.floor(files / worthAThread)));

/**
 * Answers files in threads of this process, each running the program at `url`, which answers each path it is sent. Answers
 * come in the order of the files. A thread that dies ends them with its error.
 */
export const inThreads = (url: URL, count: number): Answers =>
  async function* (paths) {
    const threads = Array.from({ length: count }, () => new Worker(url));
    try {
      const answers = threads.map((thread) => on(thread, 'message') as AsyncIterator<[Answer]>);
      for (const [i, path] of paths.entries()) threads[i % count]?.postMessage(path);
      for (const i of paths.keys()) {
        const next = await answers[i % count]?.next();
        if (next && !next.done) yield next.value[0];
      }
    } finally {
      await Promise.all(threads.map((thread) => thread.terminate()));
    }
  };
