import { Worker } from 'node:worker_threads';
import { wrap, type Remote } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import type { Work } from './worker.js';

/** Runs work in a worker thread, so that no request waits for it and no job takes the server down. */
export interface WorkerThread {
  /** One call after another; throws the work's own error, or NotWorkedOut. */
  run<T>(work: (work: Remote<Work>) => Promise<T>): Promise<T>;
  close(): Promise<unknown>;
}

/** The work took more time or memory than any job may. */
export class WorkFailed extends Error {
  constructor(why: string) {
    super(`this cannot be calculated: ${why}`);
  }
}

export interface WorkLimits {
  readonly most_ms: number;
  readonly most_MB: number;
}
/**
 * At its limit Node gives a thread 16 MB more to end in. What is young moves to the old heap at once: as much again as
 * that, which is usual, ended the whole process instead. A third of this holds what is young.
 */
const young_MB = 24;
const usual: WorkLimits = { most_ms: 30_000, most_MB: 1024 };

/**
 * Runs work in a thread from the built worker at `path`. A thread that takes too long or too much memory is ended, and
 * a new one started.
 */
export function startWorkerThread(path: string, limits: WorkLimits = usual): WorkerThread {
  let running: ReturnType<typeof startWorker> | undefined;
  let before: Promise<unknown> = Promise.resolve();
  const dismiss = async () => {
    const gone = running;
    running = undefined;
    await gone?.worker.terminate();
  };
  const inTime = async <T>(work: (work: Remote<Work>) => Promise<T>): Promise<T> => {
    const { remote, died } = (running ??= startWorker(path, limits));
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<never>((_, fail) => {
      timer = setTimeout(() => {
        fail(new WorkFailed(`it takes over ${limits.most_ms / 1000} s`));
      }, limits.most_ms);
    });
    try {
      return await Promise.race([work(remote), died, late]);
    } catch (error) {
      if (error instanceof WorkFailed) await dismiss();
      throw error;
    } finally {
      clearTimeout(timer);
    }
  };
  return {
    run(work) {
      const mine = before.then(() => inTime(work));
      before = mine.catch(() => undefined);
      return mine;
    },
    close: dismiss,
  };
}

function startWorker(path: string, { most_MB }: WorkLimits) {
  const worker = new Worker(path, {
    resourceLimits: { maxOldGenerationSizeMb: most_MB, maxYoungGenerationSizeMb: young_MB },
  });
  worker.unref();
  const died = new Promise<never>((_, fail) => {
    worker.once('error', (error: NodeJS.ErrnoException) => {
      fail(
        new WorkFailed(
          error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? `it takes over ${most_MB} MB` : error.message,
        ),
      );
    });
    worker.once('exit', () => {
      fail(new WorkFailed('the work ended by itself'));
    });
  });
  // It may die while nobody is waiting.
  died.catch(() => undefined);
  return { worker, remote: wrap<Work>(nodeEndpoint(worker)), died };
}
