import { desc, eq, isNull, sql } from 'drizzle-orm';
import type { Firm } from '../../core/job/firm.js';
import type { Job } from '../../core/job/schema.js';
import type { Database } from '../storage/database.js';
import type { Store } from './store.js';
import { jobs, type digests, type views } from '../storage/tables.js';

export interface WorkedOutParts<Said> {
  readonly db: Database;
  readonly store: Pick<Store, 'read'>;
  readonly firm: { read: () => Promise<Firm>; stamp: () => Promise<string> };
  /** Where it is kept, a row a job. */
  readonly table: typeof digests | typeof views;
  readonly work: (job: Job, firm: Firm) => Promise<Said>;
  /** A mark of the program that works it out: another one works it out again. */
  readonly program: string;
  /** How long nothing may have changed before it is worked out, ms: not for every word that is typed. */
  readonly quiet_ms: number;
  /** Only so many of the jobs changed last; all without it. */
  readonly newest?: number;
  readonly log: (error: unknown) => void;
}

export interface WorkedOut {
  /** Something changed: works out, one after another, what is not of its job's version; resolves when all are. */
  wake: () => Promise<void>;
  /** The same once nothing has changed for a moment. */
  wakeSoon: () => void;
  /** What a row would be of, after its job's version. */
  under: () => Promise<string>;
}

/** Keeps something worked out of each job, the newest first, beside the requests. */
export function workedOutOn<Said>(parts: WorkedOutParts<Said>): WorkedOut {
  const { firm, program, quiet_ms, log } = parts;
  const under = async () => `${await firm.stamp()} ${program}`;
  const wake = oneAtATime(async () => {
    const next = async () => newestStale(parts, await under());
    for (let all = await next(); all.length > 0; all = await next())
      for (const job of all) await workOut(parts, job);
  });
  let timer: ReturnType<typeof setTimeout> | undefined;
  return {
    wake,
    under,
    wakeSoon() {
      clearTimeout(timer);
      timer = setTimeout(() => {
        wake().catch(log);
      }, quiet_ms);
      timer.unref();
    },
  };
}

/** Runs work again for every call made while it ran, never twice at once. */
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
  /** The version of the job, of the firm and of the program that it would be of. */
  readonly of: string;
}

/** So many are looked for at once: it goes through all jobs, and one that has just changed waits for no more than these. */
const aBatch = 10;

/** The newest jobs for which what is kept is of something older. */
async function newestStale<Said>(
  { db, table, newest }: WorkedOutParts<Said>,
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

/** Works one job out and keeps what it comes to, or that it cannot be: one bad job holds up no other. */
async function workOut<Said>(
  { db, store, firm, table, work, log }: WorkedOutParts<Said>,
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
  // A job deleted meanwhile takes none.
  await db
    .insert(table)
    .select(
      sql`select ${jobs.id}, ${of}, ${said && JSON.stringify(said)}::jsonb from ${jobs} where ${jobs.id} = ${id}`,
    )
    .onConflictDoUpdate({ target: table.job, set: { of, said } as never });
}
