import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { wrap } from 'comlink';
import type { JobView } from '../../core/views/job-view.js';
import type { Job } from '../../core/job/schema.js';
import type { ScopeDepth } from '../../core/scope/scope.js';
import type { ScopeWorker } from './view.worker';

/** The one door to what is worked out beside the page: all work heavier than a frame goes through it. */
const workerNamed = (name: string) =>
  wrap<ScopeWorker>(new Worker(new URL('./view.worker.ts', import.meta.url), { type: 'module', name }));
export const worker = workerNamed('scope');
/** Pins under a finger do not wait for runners-up: they are tried in a worker of their own, made when it is needed. */
let bench: ReturnType<typeof workerNamed> | undefined;
export const benchWorker = () => (bench ??= workerNamed('bench'));

/**
 * What the screens show of a job, worked out beside the page. The scope comes first; the runners-up, which take
 * several more solves, follow and take its place.
 */
export function useView(
  id: string,
  job: Job | undefined,
  { alternatives }: ScopeDepth = { alternatives: true },
): {
  view: JobView | undefined;
  error: Error | null;
  /** Runners-up and options are there too. */
  complete: boolean;
  /** What is shown is of this very job, not of the one before. */
  caughtUp: boolean;
} {
  const quick = useQuery({
    queryKey: ['view', id, job, false],
    queryFn: () => worker.jobView(job as Job, { alternatives: false }),
    enabled: job !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
  });
  const full = useQuery({
    queryKey: ['view', id, job, true],
    queryFn: () => worker.jobView(job as Job, { alternatives: true }),
    enabled: alternatives && job !== undefined && quick.isSuccess && !quick.isPlaceholderData,
    staleTime: Infinity,
    gcTime: 60_000,
  });
  return {
    view: full.data ?? quick.data,
    error: quick.error ?? full.error,
    complete: full.data !== undefined,
    caughtUp: quick.isSuccess && !quick.isPlaceholderData,
  };
}

/** What would flip the choice at a station, worked out beside the page when it is asked for. */
export const useBreakEvens = (job: Job, line: string, station_ft: number, asked: boolean) =>
  useQuery({
    queryKey: ['break-even', job, line, station_ft],
    queryFn: () => worker.breakEvens(job, line, station_ft),
    enabled: asked,
    staleTime: Infinity,
    gcTime: 60_000,
  });
