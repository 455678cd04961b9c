import type { Day } from '../days.js';
import type { Job } from '../job/schema.js';
import type { Due } from './upkeep.js';

/** A dated event of a job. */
export interface Moment {
  readonly on: Day;
  readonly kind: 'look' | 'clean' | 'repair' | 'agreed' | 'due';
  readonly what: string;
  /** The last day of what is due; the same day for what was done. */
  readonly to: Day;
}

const stageWords = {
  earlier: 'An older inspection',
  'before-cleaning': 'Inspected before cleaning',
  current: 'Inspected',
  'after-repair': 'Post-repair inspection',
} as const;

/** Everything dated in a job, oldest first, and what is due next. Runs of one day, stage and line are one event. */
export function timelineOf(job: Job, dues: readonly Due[]): Moment[] {
  const several = job.lines.length > 1;
  const moments = job.lines.flatMap((line): Moment[] => {
    const of = several ? `, ${line.name ?? line.id}` : '';
    const looks = line.runs.flatMap(({ on, stage = 'current' }): Moment[] =>
      on === undefined
        ? []
        : [
            {
              on,
              to: on,
              kind: stage === 'after-repair' ? 'repair' : 'look',
              what: `${stageWords[stage]}${of}`,
            },
          ],
    );
    const cleanings = (line.cleanings ?? []).flatMap(({ on, tool }): Moment[] =>
      on === undefined ? [] : [{ on, to: on, kind: 'clean', what: `Cleaned${tool ? `, ${tool}` : ''}${of}` }],
    );
    return [...looks, ...cleanings];
  });
  const agreed: Moment[] = job.accepted
    ? [{ on: job.accepted.on, to: job.accepted.on, kind: 'agreed', what: 'Offer accepted' }]
    : [];
  const next = dues.map((due): Moment => ({
    on: due.from,
    to: due.to,
    kind: 'due',
    what: `${due.what === 'clean' ? 'To clean' : 'To inspect'}${several ? `, ${due.lineName}` : ''}`,
  }));
  const all = [...moments, ...agreed, ...next];
  const distinct = new Map(all.map((each) => [`${each.on} ${each.what}`, each]));
  return [...distinct.values()].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
