import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { and, desc, eq, gt, isNull } from 'drizzle-orm';
import type { Day } from '../../core/days.js';
import type { Firm } from '../../core/job/firm.js';
import type { Job } from '../../core/job/schema.js';
import type { Database } from '../storage/database.js';
import { jobs, shares } from '../storage/tables.js';

/** What a customer's link shows: the job and the company as they were when the link was made. */
export interface SharedOffer {
  readonly on: Day;
  readonly job: Job;
  readonly firm: Firm;
}

/** A link: when it was made, and whether it is closed. The secret is shown once; only its hash is stored. */
export interface Share {
  readonly id: string;
  readonly madeAt: string;
  /** Its expiry. */
  readonly openTo: string;
  readonly closedAt: string | undefined;
}

export interface Shares {
  /** Makes a link to the current offer; the secret is returned only here. */
  make(job: string, said: SharedOffer): Promise<{ readonly share: Share; readonly secret: string }>;
  list(job: string): Promise<Share[]>;
  /** Closes a link for good; false where no open one exists. */
  close(job: string, id: string): Promise<boolean>;
  /** What an open link shows; undefined for a wrong secret, a closed or expired link, or a deleted job. */
  open(secret: string, now?: Date): Promise<{ readonly id: string; readonly said: SharedOffer } | undefined>;
}

const secretBytes = 32;
/** Lifetime of a link: longer than any offer holds. */
const openFor_ms = 90 * 24 * 3_600_000;
const hashOf = (secret: string) => createHash('sha256').update(secret).digest('hex');
const shareOf = (row: typeof shares.$inferSelect): Share => ({
  id: row.id,
  madeAt: row.madeAt.toISOString(),
  openTo: new Date(row.madeAt.getTime() + openFor_ms).toISOString(),
  closedAt: row.closedAt?.toISOString(),
});

/** Links for a customer to read an offer, without changing or seeing anything else. */
export function sharesOn(db: Database): Shares {
  return {
    async make(job, said) {
      const secret = randomBytes(secretBytes).toString('base64url');
      const [row] = await db
        .insert(shares)
        .values({ id: randomUUID(), job, secretHash: hashOf(secret), madeAt: new Date(), said })
        .returning();
      if (!row) throw new Error('the link was not written');
      return { share: shareOf(row), secret };
    },
    async list(job) {
      const rows = await db.select().from(shares).where(eq(shares.job, job)).orderBy(desc(shares.madeAt));
      return rows.map(shareOf);
    },
    async close(job, id) {
      const closed = await db
        .update(shares)
        .set({ closedAt: new Date() })
        .where(and(eq(shares.job, job), eq(shares.id, id), isNull(shares.closedAt)))
        .returning({ id: shares.id });
      return closed.length > 0;
    },
    async open(secret, now = new Date()) {
      const since = new Date(now.getTime() - openFor_ms);
      const [row] = await db
        .select({ id: shares.id, said: shares.said })
        .from(shares)
        .innerJoin(jobs, eq(jobs.id, shares.job))
        .where(
          and(
            eq(shares.secretHash, hashOf(secret)),
            isNull(shares.closedAt),
            gt(shares.madeAt, since),
            isNull(jobs.deletedAt),
          ),
        );
      return row;
    },
  };
}
