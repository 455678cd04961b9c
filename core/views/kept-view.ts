import { underFirm, type Firm } from '../job/firm.js';
import { markOf } from '../job/mark.js';
import type { Job } from '../job/schema.js';
import { jobView, type ScopedView } from './job-view.js';

/** A view that was worked out before, with the mark of what it was worked out from. */
export interface KeptView {
  readonly mark: string;
  /** The program that worked it out: another one may not even be able to show it. */
  readonly program: string;
  readonly view: ScopedView;
}

/** Works a job's view out to be kept. */
export function keptViewOf(job: Job, firm: Firm, program: string): KeptView {
  const inForce = underFirm(job, firm);
  return { mark: markOf(inForce), program, view: jobView(inForce) };
}
