import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { markOf } from '../../core/job/mark.js';
import type { Job } from '../../core/job/schema.js';
import type { ScopedView } from '../../core/views/job-view.js';
import type { StoredJob } from '../../server/jobs/store.js';
import { api, bodyOf } from '../api/client';
import { startedWorker, type Shown } from './view';

interface CrewView {
  readonly version: number;
  readonly view: ScopedView;
}

/**
 * A job's view for crew, who get no prices and so cannot compute the scope here: the lines are computed in the worker,
 * the work comes from the server. Requests nothing without a job.
 */
export function useCrewView(id: string, stored: StoredJob | undefined, job: Job | undefined): Shown {
  const mark = job && markOf(job);
  const lines = useQuery({
    queryKey: ['crew lines', id, mark],
    queryFn: async () => (job ? (await startedWorker()).worker.linesOf(job) : []),
    enabled: job !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
    structuralSharing: false,
  });
  const served = useQuery({
    queryKey: ['crew view', id, stored?.version],
    queryFn: async () =>
      bodyOf<CrewView>(await api.jobs[':id']['crew-view'].$get({ param: { id: encodeURIComponent(id) } })),
    enabled: job !== undefined && stored !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    structuralSharing: false,
  });
  const { data } = served;
  const own = lines.data ?? data?.view.lines;
  const caughtUp = data !== undefined && data.version === stored?.version && !lines.isPlaceholderData;
  return {
    lines: own,
    view: data && own && { lines: own, scope: data.view.scope },
    error: served.error ?? lines.error,
    caughtUp,
    complete: caughtUp,
  };
}
