import type { JobView } from '../../core/views/job-view.js';

/** Whether nobody has seen any line of a job yet. */
export const nothingSeen = ({ lines }: Pick<JobView, 'lines'>): boolean =>
  lines.every((line) => line.nothingSeen);
