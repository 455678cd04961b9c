import { expose } from 'comlink';
import type { Job } from '../../core/job/schema.js';
import { breakEvens } from '../../core/scope/break-even.js';
import { jobView } from '../../core/scope/job-view.js';
import { readyJob } from '../../core/scope/scope.js';

const worker = {
  jobView,
  breakEvens: (job: Job, line: string, station_ft: number) => breakEvens(readyJob(job), line, station_ft),
};
export type ScopeWorker = typeof worker;

expose(worker);
