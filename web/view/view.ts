import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { markOf } from '../../core/job/mark.js';
import type { Job } from '../../core/job/schema.js';
import type { JobView, ScopedView } from '../../core/views/job-view.js';
import type { CachedView } from '../../core/views/cached-view.js';
import { asError } from '../api/client';
import { program, useCacheView, useCachedViews } from './cached-views.js';

/** The worker, started with the first work for it: a job that is opened with its cached view is shown without. */
export const startedWorker = () => import('./worker');
const workOut = async (job: Job, show: (view: JobView) => void) =>
  (await startedWorker()).views.workOut(job, show);
const startFrom = async (view: JobView) => {
  (await startedWorker()).views.startFrom(view);
};

/** A cached view crosses to the worker once the page that was opened with it is idle, ms. */
const afterOpening_ms = 1000;

/** The current view of a job. */
export interface Shown {
  /** The lines laid out and graded; undefined until anything is known. */
  readonly lines: JobView['lines'] | undefined;
  /** The same with the scope, which may be that of the job before the last change. */
  readonly view: ScopedView | undefined;
  readonly error: Error | null;
  /** The scope belongs to the current job, not to the one before. */
  readonly caughtUp: boolean;
  /** Its runners-up and optional cures are included too. */
  readonly complete: boolean;
}

/** The last result, and its input. */
interface WorkedOut {
  readonly id: string;
  readonly mark: string;
  readonly lines: JobView['lines'];
  readonly scope: ScopedView['scope'] | undefined;
  /** The job of the shown scope: until the new one is ready, that of the job before stays. */
  readonly scopeMark: string | undefined;
}

/**
 * The view of a job. A cached view of exactly this job is used as it is. Otherwise it is computed in steps in the
 * worker, and what was cached or shown last stays until the first step that shows as much. Requests nothing unless it
 * is `open` to the reader.
 */
export function useView(id: string, job: Job | undefined, open: boolean): Shown {
  const mark = job && markOf(job);
  const { views: keptViews, settled } = useCachedViews(id, open);
  const known = keptViews.find((kept) => kept.mark === mark);
  const [worked, setWorked] = useState<WorkedOut>();
  const [failed, setFailed] = useState<{ readonly mark: string; readonly error: Error }>();
  const keep = useCacheView(id);
  const last = worked?.id === id ? worked : undefined;
  const before = keptViews[0];
  const toDo = job !== undefined && mark !== undefined && settled && !known;
  useEffect(() => {
    if (!toDo) return undefined;
    let wanted = true;
    const show = ({ lines, scope }: JobView) => {
      if (!wanted) return;
      setWorked((was) => {
        const older = was?.id === id ? was : before && { scope: before.view.scope, scopeMark: before.mark };
        return scope
          ? { id, mark, lines, scope, scopeMark: mark }
          : { id, mark, lines, scope: older?.scope, scopeMark: older?.scopeMark };
      });
      if (scope?.complete) keep({ mark, program, view: { lines, scope } });
    };
    workOut(job, show).catch((error: unknown) => {
      if (wanted) setFailed({ mark, error: asError(error) });
    });
    return () => {
      wanted = false;
    };
    // The mark stands for the whole content of the job.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [id, mark, toDo]);
  useEffect(() => {
    // What is shown now stays until the next change is computed.
    if (!known) return undefined;
    setWorked({ id, mark: known.mark, ...known.view, scopeMark: known.mark });
    const idle = setTimeout(() => {
      startFrom(known.view).catch(() => undefined);
    }, afterOpening_ms);
    return () => {
      clearTimeout(idle);
    };
  }, [id, known]);
  const error = failed && failed.mark === mark ? failed.error : null;
  if (known) return { ...shownOf(known), error, caughtUp: true, complete: true };
  if (last) {
    const { lines, scope } = last;
    const caughtUp = last.scopeMark === mark;
    return {
      lines,
      view: scope && { lines, scope },
      error,
      caughtUp,
      complete: caughtUp && (scope?.complete ?? false),
    };
  }
  return { ...shownOf(before), error, caughtUp: false, complete: false };
}

const shownOf = (kept: CachedView | undefined): Pick<Shown, 'lines' | 'view'> => ({
  lines: kept?.view.lines,
  view: kept?.view,
});

/** Break-evens of the choice at a station, computed in the worker on request. */
export const useBreakEvens = (job: Job, line: string, station_ft: number, asked: boolean) => {
  const mark = markOf(job);
  return useQuery({
    queryKey: ['break-even', mark, line, station_ft],
    queryFn: async () => (await startedWorker()).worker.breakEvens(job, line, station_ft),
    enabled: asked,
    staleTime: Infinity,
    gcTime: 60_000,
  });
};
