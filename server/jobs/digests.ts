import { setImmediate } from 'node:timers/promises';
import { asc, eq, gt, sql } from 'drizzle-orm';
import type { Due } from '../../core/upkeep/upkeep.js';
import type { Digest } from '../../core/views/digest.js';
import type { Database } from '../storage/database.js';
import { digests, jobs } from '../storage/tables.js';
import { derivedDataOn, type DerivedData, type DerivedDataParts } from './derived-data.js';

/** A job as the list shows it; its derived columns may be of the version before, or missing. */
export interface JobRow {
  readonly id: string;
  readonly version: number;
  readonly changedAt: string;
  readonly title: string;
  readonly number: string | undefined;
  readonly address: string | undefined;
  readonly customer: string | undefined;
  readonly reason: string | undefined;
  readonly digest: (Omit<Digest, 'due'> & { readonly due: readonly Omit<Due, 'why'>[] }) | undefined;
  /** The derived columns are of this version. */
  readonly fresh: boolean;
}

export interface Digests extends Pick<DerivedData, 'recompute' | 'recomputeSoon'> {
  /** Every job, last changed first. */
  list: () => Promise<JobRow[]>;
}

const quiet_ms = 1000;

/** Maintains the derived columns of the list. The list is read in pages of this many jobs. */
export function digestsOn(
  parts: Omit<DerivedDataParts<Digest>, 'table' | 'quiet_ms' | 'newest'>,
  aPage = usualPage,
): Digests {
  const kept = derivedDataOn({ ...parts, table: digests, quiet_ms });
  return { ...kept, list: shared(async () => listed(parts.db, await kept.under(), aPage)) };
}

/** Callers during a reading share the one that begins after it: ten concurrent calls cost two readings, not ten. */
function shared<T>(read: () => Promise<T>): () => Promise<T> {
  let now: Promise<T> | undefined;
  let next: Promise<T> | undefined;
  const begin = () => {
    next = undefined;
    const mine = read().finally(() => {
      if (now === mine) now = undefined;
    });
    now = mine;
    return mine;
  };
  return () => (now ? (next ??= now.then(begin, begin)) : begin());
}

/** A list of thousands in one query would block everybody else for a tenth of a second. */
const usualPage = 100;

/** Pages by id, which no change moves: a job changed meanwhile is in the list once, in its old or new state. */
async function listed(db: Database, under: string, aPage: number): Promise<JobRow[]> {
  const rows: JobRow[] = [];
  for (let after: string | undefined = ''; after !== undefined;) {
    const page = await pageAfter(db, after, aPage);
    rows.push(...page.filter(({ deletedAt }) => deletedAt === null).map((row) => jobRow(row, under)));
    after = page.length < aPage ? undefined : page.at(-1)?.id;
  }
  await setImmediate();
  return rows.sort((a, b) => (a.changedAt < b.changedAt ? 1 : a.changedAt > b.changedAt ? -1 : 0));
}

/**
 * Deleted jobs included: with a condition on them, PGlite, which never updates its statistics, expects nearly all rows
 * to be deleted, and sorts everything that follows for each page.
 */
const pageAfter = (db: Database, after: string, aPage: number) =>
  db
    .select({
      id: jobs.id,
      version: jobs.version,
      changedAt: jobs.changedAt,
      deletedAt: jobs.deletedAt,
      title: sql<string>`${jobs.said}->>'title'`,
      number: sql<string | null>`${jobs.said}->>'number'`,
      address: sql<string | null>`${jobs.said}->'site'->>'address'`,
      customer: sql<string | null>`${jobs.said}->'site'->>'customer'`,
      reason: sql<string | null>`${jobs.said}->>'reason'`,
      of: digests.of,
      digest: digests.said,
    })
    .from(jobs)
    .leftJoin(digests, eq(digests.job, jobs.id))
    .where(gt(jobs.id, after))
    .orderBy(asc(jobs.id))
    .limit(aPage);

const jobRow = (
  {
    of,
    digest,
    changedAt,
    deletedAt: _deletedAt,
    number,
    address,
    customer,
    reason,
    ...row
  }: Awaited<ReturnType<typeof pageAfter>>[number],
  under: string,
): JobRow => ({
  ...row,
  number: number ?? undefined,
  address: address ?? undefined,
  customer: customer ?? undefined,
  reason: reason ?? undefined,
  changedAt: changedAt.toISOString(),
  digest: digest ? { ...digest, due: digest.due.map(({ why: _why, ...due }) => due) } : undefined,
  fresh: of === `${row.version} ${under}`,
});
