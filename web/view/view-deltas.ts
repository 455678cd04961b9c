import { proxy, type Remote } from 'comlink';
import type { Job } from '../../core/job/schema.js';
import type { JobView } from '../../core/views/job-view.js';
import { applyDelta, type Delta } from '../../core/views/delta.js';
import type { ScopeWorker } from './view.worker';

/** What one step of a computation changed against the step before, whichever job that was of. */
export interface ViewDelta {
  readonly lines: Delta | undefined;
  /** Undefined while there is no scope; the former one stays what the next is a change of. */
  readonly scope: { readonly delta: Delta | undefined } | undefined;
}

interface Request {
  readonly number: number;
  readonly show: (view: JobView) => void;
}

/** A worker's views: computed step by step, against the last one that both ends have. */
export interface Views {
  /** Computes a job's view and shows each step; the newest request wins. */
  readonly workOut: (job: Job, show: Request['show']) => Promise<void>;
  /** A view from elsewhere is on the screen: the next stage is sent as a change to it. */
  readonly startFrom: (view: JobView) => void;
}

/**
 * Only what changed crosses from the worker, so what did not change stays the same object from one step, and from one job,
 * to the next, and is not rendered again.
 */
export function viewsFrom(worker: Remote<ScopeWorker>): Views {
  let last: JobView = { lines: [], scope: undefined };
  // Steps told against another view than the last one started from are dropped.
  let start = 0;
  let newest: Request | undefined;
  let listening: Promise<void> | undefined;
  const take = (number: number, from: number, { lines, scope }: ViewDelta) => {
    if (from !== start) return;
    last = {
      lines: applyDelta(last.lines, lines),
      scope: scope ? applyDelta(last.scope, scope.delta) : last.scope,
    };
    if (newest?.number === number) newest.show({ lines: last.lines, scope: scope && last.scope });
  };
  return {
    workOut: async (job, show) => {
      const request = { number: (newest?.number ?? 0) + 1, show };
      newest = request;
      // One port for all steps, which keeps them in order.
      await (listening ??= worker.onStep(proxy(take)));
      await worker.workOut(request.number, job);
    },
    startFrom: (view) => {
      if (view.lines === last.lines && view.scope === last.scope) return;
      last = view;
      void worker.startFrom(++start, view);
    },
  };
}
