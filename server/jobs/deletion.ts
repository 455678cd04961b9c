import { and, desc, eq, isNotNull, isNull, lt, sql, type SQL } from 'drizzle-orm';
import type { OpenedDatabase } from '../storage/database.js';
import { jobs } from '../storage/tables.js';

export interface DeletedJob {
  readonly id: string;
  readonly title: string;
  readonly deletedAt: string;
}

export interface Deletion {
  /** Marks a job as deleted; false where there is none. */
  remove: (id: string) => Promise<boolean>;
  /** Deleted jobs that can be restored, last deleted first. */
  deleted: () => Promise<DeletedJob[]>;
  /** Restores a deleted job; false where it is permanently deleted. */
  bringBack: (id: string) => Promise<boolean>;
  /** Permanently deletes jobs that were deleted too long ago to be restored. */
  clear: (now?: Date) => Promise<void>;
}

/** How long a deleted job can be restored, days. */
const broughtBack_days = 30;

/** Deletes and restores jobs; whoever has one open is notified as of any new version. */
export function deletionOn({ db, news }: Pick<OpenedDatabase, 'db' | 'news'>): Deletion {
  const setDeleted = async (id: string, deletedAt: Date | null, where: SQL): Promise<boolean> => {
    const row = await db.transaction(async (tx) => {
      const [set] = await tx
        .update(jobs)
        .set({ deletedAt, version: sql`${jobs.version} + 1` })
        .where(and(eq(jobs.id, id), where))
        .returning({ version: jobs.version });
      if (set) await news.within(tx, id, set.version);
      return set;
    });
    if (row) news.after(id, row.version);
    return row !== undefined;
  };
  return {
    remove: (id) => setDeleted(id, new Date(), isNull(jobs.deletedAt)),
    async deleted() {
      const rows = await db
        .select({ id: jobs.id, title: sql<string>`${jobs.said}->>'title'`, deletedAt: jobs.deletedAt })
        .from(jobs)
        .where(isNotNull(jobs.deletedAt))
        .orderBy(desc(jobs.deletedAt));
      return rows.map(({ deletedAt, ...row }) => ({ ...row, deletedAt: deletedAt?.toISOString() ?? '' }));
    },
    bringBack: (id) => setDeleted(id, null, isNotNull(jobs.deletedAt)),
    async clear(now = new Date()) {
      const since = new Date(now.getTime() - broughtBack_days * 24 * 3_600_000);
      await db.delete(jobs).where(lt(jobs.deletedAt, since));
    },
  };
}
