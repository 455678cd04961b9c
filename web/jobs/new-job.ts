import type { Job, Line } from '../../core/job/schema.js';
import type { Material } from '../../core/job/vocabulary.js';

/** Fields of the new-job form; everything else is entered later. */
export interface NewJob {
  readonly title: string;
  readonly customer: string;
  readonly reason: NonNullable<Job['reason']>;
  readonly zero: 'cap' | 'pipe' | 'unknown';
  readonly riser_ft: number | undefined;
  readonly material: Material;
  readonly diameter_in: number;
  readonly soil: NonNullable<Line['soil']>;
}

/** A job with one line and one run into it, claiming nothing that was not entered. */
export function newJob(said: NewJob, today: string): Job {
  return {
    format: 'open-trench-job',
    version: 1,
    title: said.title,
    inspectedOn: today,
    reason: said.reason,
    site: { address: said.title, ...(said.customer ? { customer: said.customer } : {}) },
    lines: [
      {
        id: 'house',
        name: 'House line',
        datum: 'CO1',
        end: 'MAIN',
        pipe: { material: said.material, diameter_in: said.diameter_in },
        points: [
          {
            id: 'CO1',
            kind: 'cleanout',
            name: 'cleanout 1',
            ways: 2,
            diameter_in: said.diameter_in,
            ...(said.riser_ft === undefined ? {} : { riser_ft: said.riser_ft }),
          },
          { id: 'MAIN', kind: 'main', name: 'main' },
        ],
        soil: said.soil,
        runs: [
          {
            id: 'R1',
            access: 'CO1',
            direction: 'downstream',
            zero: said.zero,
            stage: 'current',
            on: today,
            entries: [],
          },
        ],
      },
    ],
  };
}
