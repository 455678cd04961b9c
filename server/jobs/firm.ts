import { and, eq, isNull, sql } from 'drizzle-orm';
import { emptyFirm, type Firm } from '../../core/job/firm.js';
import { mergeThree } from '../../core/edits/merge.js';
import type { Spent } from '../../core/job/plan-schema.js';
import type { Fault } from '../../core/job/faults.js';
import { readFirm } from '../../core/files/read-firm.js';
import type { Database } from '../storage/database.js';
import { firms, jobs } from '../storage/tables.js';

export type FirmWritten =
  | { readonly firm: Firm }
  | { readonly faults: readonly Fault[] }
  /** Fields somebody else changed to something else in the meantime. */
  | { readonly clash: readonly string[] };

export interface JobSpent {
  readonly id: string;
  readonly title: string;
  readonly spent: readonly Spent[];
}

export interface FirmStore {
  read(): Promise<Firm>;
  /** Differs after every change. */
  stamp(): Promise<string>;
  /** Time actually spent on its jobs, over all that are not deleted, oldest job first. */
  spent(): Promise<JobSpent[]>;
  /** Applies the change from `was` to `set` to the current values; resolves when it is on disk. */
  write(was: unknown, set: unknown): Promise<FirmWritten>;
}

const onlyRow = 1;
/** Key of the advisory lock for changes of the company; any number nobody else uses. */
const firmLock = 20261128;

/** Stores the company's settings. */
export function firmOn(db: Database): FirmStore {
  const read = async (from: Pick<Database, 'select'>): Promise<Firm> => {
    const [row] = await from.select().from(firms).where(eq(firms.id, onlyRow));
    return row?.said ?? emptyFirm;
  };
  return {
    read: () => read(db),
    async stamp() {
      const [row] = await db.select({ changedAt: firms.changedAt }).from(firms).where(eq(firms.id, onlyRow));
      return row?.changedAt.toISOString() ?? '-';
    },
    spent: () =>
      db
        .select({
          id: jobs.id,
          title: sql<string>`${jobs.said}->>'title'`,
          spent: sql<Spent[]>`${jobs.said}->'plan'->'spent'`,
        })
        .from(jobs)
        .where(and(isNull(jobs.deletedAt), sql`${jobs.said}->'plan'->'spent' is not null`))
        .orderBy(jobs.changedAt),
    write: (was, set) =>
      db.transaction(async (tx): Promise<FirmWritten> => {
        // Serialized, also between processes and including the very first change.
        await tx.execute(sql`select pg_advisory_xact_lock(${firmLock})`);
        const [before, after] = [readFirm(was), readFirm(set)];
        if (after.faults) return after;
        if (before.faults) return before;
        const merged = mergeThree<Firm>(before.firm, await read(tx), after.firm);
        if ('clash' in merged) return merged;
        // Two changes valid on their own may not be valid together.
        const whole = readFirm(merged.merged);
        if (whole.faults) return whole;
        const row = { said: whole.firm, changedAt: new Date() };
        await tx
          .insert(firms)
          .values({ id: onlyRow, ...row })
          .onConflictDoUpdate({ target: firms.id, set: row });
        return { firm: whole.firm };
      }),
  };
}
