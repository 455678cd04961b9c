import { underFirm, type Firm } from '../job/firm.js';
import { markOf } from '../job/mark.js';
import type { Job } from '../job/schema.js';
import { jobView, type ScopedView } from './job-view.js';

/** A view computed earlier, with the mark of its input. */
export interface CachedView {
  readonly mark: string;
  /** The version of the program that computed it: another may not be able to show it. */
  readonly program: string;
  readonly view: ScopedView;
}

/** Computes a job's view for keeping. */
export function cachedViewOf(job: Job, firm: Firm, program: string): CachedView {
  const inForce = underFirm(job, firm);
  return { mark: markOf(inForce), program, view: jobView(inForce) };
}
