import { useMemo, useState } from 'react';
import { jobHead } from '../../core/edits/index.js';
import type { JobPlan, PlanRules } from '../../core/job/plan-schema.js';
import { planOf, sayMoment, type Plan } from '../../core/plan/plan.js';
import type { Moment } from '../../core/plan/calendar.js';
import { planOptions } from './plan-options';
import { useJobContext } from '../shell/job-layout';
import { withoutEmpty } from '../controls/without-empty';

const written = ({ day, time }: Moment): string => `${day}T${time}`;

export interface PlanEditing {
  readonly rules: PlanRules;
  /** The plan with the starts that were set; where those conflict, the plan without them. */
  readonly plan: Plan | undefined;
  /** Why there is no plan, or why the starts that were set are not kept. */
  readonly refused: string | undefined;
  /** Why the last move was refused. */
  readonly said: string | undefined;
  /** Sets the start of a task, unless the others cannot follow. */
  readonly move: (task: string, to: Moment | undefined) => void;
  readonly set: (patch: Partial<JobPlan>) => void;
  readonly forget: () => void;
}

/** The plan of the open job, and the actions on it; undefined until the scope is ready. */
export function usePlan(): PlanEditing | undefined {
  const { job, firm, view, change } = useJobContext();
  const [said, setSaid] = useState<string>();
  const scope = view?.scope;
  const options = useMemo(() => scope && planOptions(job, firm, scope), [job, firm, scope]);
  const answer = useMemo(() => options && planOf(options), [options]);
  const free = useMemo(
    () => (options && answer && 'refused' in answer ? planOf({ ...options, starts: {} }) : answer),
    [options, answer],
  );
  if (!options || !answer || !free) return undefined;
  const set = (patch: Partial<JobPlan>) => {
    setSaid(undefined);
    void change.say([
      { kind: 'job', set: withoutEmpty({ ...jobHead(job), plan: withoutEmpty({ ...job.plan, ...patch }) }) },
    ]);
  };
  const move = (task: string, to: Moment | undefined) => {
    const others = Object.fromEntries(
      Object.entries(job.plan?.starts ?? {}).filter(([each]) => each !== task),
    );
    const starts = to ? { [task]: written(to), ...others } : others;
    const tried = planOf({ ...options, starts });
    if (to && 'refused' in tried) {
      setSaid(tried.refused);
      return;
    }
    set({ starts });
  };
  return {
    rules: options.rules,
    plan: 'plan' in free ? free.plan : undefined,
    refused: 'refused' in answer ? answer.refused : undefined,
    said,
    move,
    set,
    forget: () => {
      setSaid(undefined);
    },
  };
}

/** Start and end of a task, in words. */
export const sayWhen = (task: { readonly starts: Moment; readonly ends: Moment }): string =>
  `${sayMoment(task.starts)} to ${task.ends.day === task.starts.day ? sayMoment(task.ends).replace(/^.*, /, '') : sayMoment(task.ends)}`;
