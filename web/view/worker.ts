import { wrap } from 'comlink';
import { viewsFrom } from './view-deltas';
import type { ScopeWorker } from './view.worker';

/** The single entry point for work done outside the page's thread: everything longer than a frame goes through it. */
const workerNamed = (name: string) =>
  wrap<ScopeWorker>(new Worker(new URL('./view.worker.ts', import.meta.url), { type: 'module', name }));
export const worker = workerNamed('scope');
export const views = viewsFrom(worker);
/** Pins being dragged do not wait for runners-up: they are tried in a second worker, started when needed. */
let trialThread: ReturnType<typeof workerNamed> | undefined;
export const trialWorker = () => (trialThread ??= workerNamed('bench'));
