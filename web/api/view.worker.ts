import { expose } from 'comlink';
import type { Job, Pin } from '../../core/job/schema.js';
import type { Interval } from '../../core/line/intervals.js';
import { accept, sinceAccepted } from '../../core/offer/accept.js';
import { offerOf } from '../../core/offer/offer.js';
import { afterOf } from '../../core/compare/after.js';
import { upkeepOf } from '../../core/upkeep/upkeep.js';
import { jobView } from '../../core/views/job-view.js';
import { benchOf, trialOf, type Bench } from '../../core/views/trial.js';
import { breakEvens } from '../../core/explain/break-even.js';
import { readyJob } from '../../core/solve/ready.js';

/** The job that pins are tried on, so that it crosses to the worker once and not with every move of a finger. */
let onBench: { readonly key: string; readonly bench: Bench } | undefined;

const worker = {
  jobView,
  offerOf,
  accept,
  sinceAccepted,
  afterOf,
  upkeepOf,
  breakEvens: (job: Job, line: string, station_ft: number) => breakEvens(readyJob(job), line, station_ft),
  putOnBench: (key: string, job: Job) => {
    onBench = { key, bench: benchOf(job) };
  },
  /** Undefined where another job lies on the bench by now. */
  tryPins: (key: string, line: string, pins: readonly Pin[], around: Interval) =>
    onBench?.key === key ? trialOf(onBench.bench, line, pins, around) : undefined,
};
export type ScopeWorker = typeof worker;

expose(worker);
