import { expose } from 'comlink';
import type { Job, Pin } from '../../core/job/schema.js';
import type { Interval } from '../../core/line/intervals.js';
import { accept, sinceAccepted } from '../../core/offer/accept.js';
import { offerOf } from '../../core/offer/offer.js';
import { afterOf } from '../../core/compare/after.js';
import { upkeepOf } from '../../core/upkeep/upkeep.js';
import { practiceResult } from '../../core/practice/practice.js';
import { deltaOf } from '../../core/views/delta.js';
import { viewSteps, type JobView } from '../../core/views/job-view.js';
import { trialBaseOf, trialOf, type TrialBase } from '../../core/views/trial.js';
import { breakEvens } from '../../core/explain/break-even.js';
import { readyJob } from '../../core/solve/ready.js';
import type { ViewDelta } from './view-deltas';

/** The job that pins are tried on, sent to the worker once and not with every pointer move. */
let current: { readonly key: string; readonly bench: TrialBase } | undefined;

/** Number of the newest view requested: work on an older one is abandoned. */
let newest = 0;

/** The last view told or started from, which the page has too, and the number of that start. */
let told: JobView = { lines: [], scope: undefined };
let start = 0;
let tell: ((number: number, from: number, step: ViewDelta) => unknown) | undefined;

function tellStep(number: number, { lines, scope }: JobView): void {
  const step = {
    lines: deltaOf(told.lines, lines),
    scope: scope && { delta: deltaOf(told.scope, scope) },
  };
  told = { lines, scope: scope ?? told.scope };
  void tell?.(number, start, step);
}

/** Lets messages sent to this worker in the meantime come in. */
const otherMessages = () =>
  new Promise<void>((heard) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      heard();
    };
    port2.postMessage(undefined);
  });

/** Computes the view of a job in stages and sends each; ends early where another one is requested. */
async function workOut(number: number, job: Job): Promise<void> {
  newest = number;
  const steps = viewSteps(job);
  for (let next = steps.next(); number === newest; next = steps.next()) {
    if (next.value) tellStep(number, next.value);
    if (next.done) return;
    await otherMessages();
  }
}

/** The lines laid out and graded, without a scope. */
const linesOf = (job: Job): JobView['lines'] => viewSteps(job).next().value?.lines ?? [];

const worker = {
  onStep: (listener: NonNullable<typeof tell>) => {
    tell = listener;
  },
  startFrom: (from: number, view: JobView) => {
    start = from;
    told = view;
  },
  workOut,
  linesOf,
  offerOf,
  accept,
  sinceAccepted,
  afterOf,
  upkeepOf,
  practiceResult,
  breakEvens: (job: Job, line: string, station_ft: number) => breakEvens(readyJob(job), line, station_ft),
  startTrials: (key: string, job: Job) => {
    current = { key, bench: trialBaseOf(job) };
  },
  /** Undefined where another job has replaced it by now. */
  tryPins: (key: string, line: string, pins: readonly Pin[], around: Interval) =>
    current?.key === key ? trialOf(current.bench, line, pins, around) : undefined,
};
export type ScopeWorker = typeof worker;

expose(worker);
