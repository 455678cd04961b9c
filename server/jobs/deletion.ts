import { and, desc, eq, isNotNull, isNull, lt, sql, type SQL } from 'drizzle-orm';
import type { OpenedDatabase } from '../storage/database.js';
import { jobs } from '../storage/tables.js';

export interface DeletedJob {
  readonly id: string;
  readonly title: string;
  readonly deletedAt: string;
}

export interface Deletion {
  /** Takes a job out of sight; false where there is none. */
  remove: (id: string) => Promise<boolean>;
  /** Jobs that were deleted and can be brought back, last deleted first. */
  deleted: () => Promise<DeletedJob[]>;
  /** Brings a deleted job back as it was; false where it is gone for good. */
  bringBack: (id: string) => Promise<boolean>;
  /** Deletes for good what was deleted too long ago to be brought back. */
  clear: (now?: Date) => Promise<void>;
}

/** How long a deleted job can be brought back, days. */
const broughtBack_days = 30;

/** Deletes jobs and brings them back; whoever has one open is notified as of any new version. */
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
