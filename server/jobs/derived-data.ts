import { desc, eq, isNull, sql } from 'drizzle-orm';
import type { Firm } from '../../core/job/firm.js';
import type { Job } from '../../core/job/schema.js';
import type { Database } from '../storage/database.js';
import type { Store } from './store.js';
import { jobs, type digests, type views } from '../storage/tables.js';

export interface DerivedDataParts<Said> {
  readonly db: Database;
  readonly store: Pick<Store, 'read'>;
  readonly firm: { read: () => Promise<Firm>; stamp: () => Promise<string> };
  /** Table of the results, one row per job. */
  readonly table: typeof digests | typeof views;
  readonly work: (job: Job, firm: Firm) => Promise<Said>;
  /** Version mark of the program: another version computes it again. */
  readonly program: string;
  /** Delay after the last change before it is computed, ms, so that typing does not trigger it word by word. */
  readonly quiet_ms: number;
  /** Only this many of the jobs changed last; all when missing. */
  readonly newest?: number;
  readonly log: (error: unknown) => void;
}

export interface DerivedData {
  /**
   * Something changed: computes, one after another, whatever does not match its job's version; resolves when all do.
   */
  recompute: () => Promise<void>;
  /** The same after a pause in changes. */
  recomputeSoon: () => void;
  /** What a row depends on besides its job's version. */
  under: () => Promise<string>;
}

/** Maintains a derived result per job, newest first, in the background. */
export function derivedDataOn<Said>(parts: DerivedDataParts<Said>): DerivedData {
  const { firm, program, quiet_ms, log } = parts;
  const under = async () => `${await firm.stamp()} ${program}`;
  const recompute = oneAtATime(async () => {
    const next = async () => newestStale(parts, await under());
    for (let all = await next(); all.length > 0; all = await next())
      for (const job of all) await workOut(parts, job);
  });
  let timer: ReturnType<typeof setTimeout> | undefined;
  return {
    recompute,
    under,
    recomputeSoon() {
      clearTimeout(timer);
      timer = setTimeout(() => {
        recompute().catch(log);
      }, quiet_ms);
      timer.unref();
    },
  };
}

/** Runs the work again for calls made while it was running, never twice at once. */
function oneAtATime(work: () => Promise<void>): () => Promise<void> {
  let running: Promise<void> | undefined;
  let again = false;
  return () => {
    again = true;
    running ??= (async () => {
      while (again) {
        again = false;
        await work();
      }
    })().finally(() => {
      running = undefined;
    });
    return running;
  };
}

interface Stale {
  readonly id: string;
  /** The version of job, company and program the result would have. */
  readonly of: string;
}

/** Batch size: a run covers all jobs, and one that has just changed waits for at most this many. */
const aBatch = 10;

/** The newest jobs whose result is out of date. */
async function newestStale<Said>(
  { db, table, newest }: DerivedDataParts<Said>,
  under: string,
): Promise<Stale[]> {
  const recent = db
    .select({ id: jobs.id, version: jobs.version, changedAt: jobs.changedAt })
    .from(jobs)
    .where(isNull(jobs.deletedAt))
    .orderBy(desc(jobs.changedAt));
  const among = (newest === undefined ? recent : recent.limit(newest)).as('recent');
  const stale = await db
    .select({ id: among.id, version: among.version })
    .from(among)
    .leftJoin(table, eq(table.job, among.id))
    .where(sql`${table.of} is distinct from (${among.version}::text || ' ' || ${under}::text)`)
    .orderBy(desc(among.changedAt))
    .limit(aBatch);
  return stale.map(({ id, version }) => ({ id, of: `${version} ${under}` }));
}

/** Computes one job and stores its result, or that it cannot be computed: one bad job does not hold up others. */
async function workOut<Said>(
  { db, store, firm, table, work, log }: DerivedDataParts<Said>,
  { id, of }: Stale,
): Promise<void> {
  const stored = await store.read(id);
  if (!stored) return;
  let said: Said | null = null;
  try {
    said = await work(stored.job, await firm.read());
  } catch (error) {
    log(error);
  }
  // A job deleted meanwhile gets none.
  await db
    .insert(table)
    .select(
      sql`select ${jobs.id}, ${of}, ${said && JSON.stringify(said)}::jsonb from ${jobs} where ${jobs.id} = ${id}`,
    )
    .onConflictDoUpdate({ target: table.job, set: { of, said } as never });
}
