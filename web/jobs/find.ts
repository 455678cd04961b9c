import { oncePer } from '../../core/once-per.js';
import type { Method } from '../../core/job/vocabulary.js';
import type { JobRow } from '../../server/jobs/digests.js';

/** Criteria for the list: words that must all occur, a method used, and conditions. */
export interface JobFilter {
  readonly text: string;
  readonly method: Method | undefined;
  readonly holding: readonly JobCondition[];
}

/** Conditions of a job: something is missing, agreed, or due. */
export const jobConditions = {
  unseen: 'Not all seen',
  'to-read': 'To read from the video',
  'no-depth': 'No depth located',
  accepted: 'Accepted',
  'no-look': 'No post-repair inspection',
  due: 'Due',
} as const;
export type JobCondition = keyof typeof jobConditions;

const tests: Record<JobCondition, (row: NonNullable<JobRow['digest']>, today: string) => boolean> = {
  unseen: ({ unseen_ft, endReached }) => unseen_ft > leastUnseen_ft || !endReached,
  'to-read': ({ toRead }) => toRead > 0,
  'no-depth': ({ depthKnown }) => !depthKnown,
  accepted: ({ accepted }) => accepted !== undefined,
  'no-look': ({ repair }) => repair === 'not-looked',
  due: ({ due }, today) => due.some(({ from }) => from <= today),
};

const leastUnseen_ft = 0.05;

/** Search text of a row, built once per row and not per key typed. */
const searchText = oncePer(({ title, number, address, customer, reason, digest }: JobRow) =>
  [title, number, address, customer, reason, digest?.words].filter(Boolean).join(' ').toLowerCase(),
);

/** The rows that match all criteria, in order. `today` is a date such as 2026-03-04. */
export function findJobs(rows: readonly JobRow[], sought: JobFilter, today: string): JobRow[] {
  const words = sought.text.toLowerCase().split(/\s+/).filter(Boolean);
  const { method, holding } = sought;
  return rows.filter((row) => {
    const { digest } = row;
    if (method !== undefined && !digest?.methods.includes(method)) return false;
    if (holding.some((each) => !digest || !tests[each](digest, today))) return false;
    if (words.length === 0) return true;
    const text = searchText(row);
    return words.every((word) => text.includes(word));
  });
}

/** What a job is missing, in a few words. */
export function missingOf({
  unseen_ft,
  nothingSeen,
  endReached,
  toRead,
}: NonNullable<JobRow['digest']>): string {
  if (nothingSeen) return 'nothing seen yet';
  const missing = [
    unseen_ft > leastUnseen_ft ? `${unseen_ft.toFixed(1)} ft not seen` : '',
    endReached ? '' : 'end not reached',
    toRead > 0 ? `${toRead} to read` : '',
  ].filter(Boolean);
  return missing.length > 0 ? missing.join(', ') : 'all seen';
}
