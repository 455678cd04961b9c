import { useQuery } from '@tanstack/react-query';
import { proxy, wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { markOf } from '../../core/job/mark.js';
import type { Job } from '../../core/job/schema.js';
import type { JobView, ScopedView } from '../../core/views/job-view.js';
import type { KeptView } from '../../core/views/kept-view.js';
import { asError } from './client';
import { program, useKeepView, useKeptViews } from './kept-views';
import type { ScopeWorker } from './view.worker';

/** The one door to what is worked out beside the page: all work heavier than a frame goes through it. */
const workerNamed = (name: string) =>
  wrap<ScopeWorker>(new Worker(new URL('./view.worker.ts', import.meta.url), { type: 'module', name }));
export const worker = workerNamed('scope');
/** Pins under a finger do not wait for runners-up: they are tried in a worker of their own, made when it is needed. */
let bench: ReturnType<typeof workerNamed> | undefined;
export const benchWorker = () => (bench ??= workerNamed('bench'));

/** What is shown of a job now. */
export interface Shown {
  /** Where everything lies and how it is graded; undefined until anything is known. */
  readonly lines: JobView['lines'] | undefined;
  /** The same with the scope; the scope may be of the job before the last change. */
  readonly view: ScopedView | undefined;
  readonly error: Error | null;
  /** The scope is of this very job, not of the one before. */
  readonly caughtUp: boolean;
  /** And its runners-up and options are there too. */
  readonly complete: boolean;
}

/** What was worked out last, and of what. */
interface WorkedOut {
  readonly id: string;
  readonly mark: string;
  readonly lines: JobView['lines'];
  readonly scope: ScopedView['scope'] | undefined;
  /** Of which job the scope is: until the new one is there, that of the job before stands. */
  readonly scopeMark: string | undefined;
}

/**
 * What the screens show of a job. What is kept of this very job is taken as it is. Otherwise it is worked out beside the
 * page in steps, and what is kept or was shown last stands until the first of them that shows as much. Nothing is asked for
 * where it is not `open` to who reads.
 */
export function useView(id: string, job: Job | undefined, open: boolean): Shown {
  const mark = useMemo(() => job && markOf(job), [job]);
  const { views, settled } = useKeptViews(id, open);
  const known = views.find((kept) => kept.mark === mark);
  const [worked, setWorked] = useState<WorkedOut>();
  const [failed, setFailed] = useState<{ readonly mark: string; readonly error: Error }>();
  const keep = useKeepView(id);
  const last = worked?.id === id ? worked : undefined;
  const before = views[0];
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
    worker.workOut(job, proxy(show)).catch((error: unknown) => {
      if (wanted) setFailed({ mark, error: asError(error) });
    });
    return () => {
      wanted = false;
    };
    // The mark stands for all that the job says.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id, mark, toDo]);
  useEffect(() => {
    // What is shown now is what stands until the next change is worked out.
    if (known) setWorked({ id, mark: known.mark, ...known.view, scopeMark: known.mark });
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

const shownOf = (kept: KeptView | undefined): Pick<Shown, 'lines' | 'view'> => ({
  lines: kept?.view.lines,
  view: kept?.view,
});

/** What would flip the choice at a station, worked out beside the page when it is asked for. */
export const useBreakEvens = (job: Job, line: string, station_ft: number, asked: boolean) => {
  const mark = useMemo(() => markOf(job), [job]);
  return useQuery({
    queryKey: ['break-even', mark, line, station_ft],
    queryFn: () => worker.breakEvens(job, line, station_ft),
    enabled: asked,
    staleTime: Infinity,
    gcTime: 60_000,
  });
};
