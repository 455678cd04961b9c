import { desc, eq, sql } from 'drizzle-orm';
import type { Firm } from '../core/job/firm.js';
import type { Due } from '../core/upkeep/upkeep.js';
import type { Digest } from '../core/views/digest.js';
import type { Job } from '../core/job/schema.js';
import type { Database } from './database.js';
import type { Store } from './store.js';
import { digests, jobs } from './tables.js';

/** A job as the list shows it; what is worked out may be of the version before, or not there yet. */
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
  /** What is worked out is of this very version. */
  readonly fresh: boolean;
}

export interface Digests {
  /** Every job, last changed first. */
  list: () => Promise<JobRow[]>;
  /** Something changed: works out, one after another, what is not of its job's version; resolves when all are. */
  wake: () => Promise<void>;
  /** The same once nothing has changed for a moment: a job that is being typed is not worked out for every word. */
  wakeSoon: () => void;
}

const quiet_ms = 1000;

export interface DigestsParts {
  readonly db: Database;
  readonly store: Pick<Store, 'read'>;
  readonly firm: { read: () => Promise<Firm>; stamp: () => Promise<string> };
  /** What works a digest out, with a mark of the program that does. */
  readonly digestOf: (job: Job, firm: Firm) => Promise<Digest>;
  readonly program: string;
  readonly log: (error: unknown) => void;
}

/** Keeps what the list shows of each job worked out, the newest first, beside the requests. */
export function digestsOn(parts: DigestsParts): Digests {
  const { db, firm, program, log } = parts;
  /** Jobs that could not be worked out, by what they were worked out from. */
  const failed = new Map<string, string>();
  const under = async () => `${await firm.stamp()} ${program}`;
  const wake = oneAtATime(async () => {
    const next = async () => nextStale(db, await under(), failed);
    for (let job = await next(); job; job = await next()) await workOut(parts, job, failed);
  });
  let timer: ReturnType<typeof setTimeout> | undefined;
  return {
    wake,
    wakeSoon() {
      clearTimeout(timer);
      timer = setTimeout(() => {
        wake().catch(log);
      }, quiet_ms);
      timer.unref();
    },
    list: async () => listed(db, await under(), failed),
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
  /** The version of the job, of the firm and of the program that a digest would be of. */
  readonly of: string;
}

/** The newest job whose digest is of something older, passing over those that cannot be worked out. */
async function nextStale(
  db: Database,
  under: string,
  failed: ReadonlyMap<string, string>,
): Promise<Stale | undefined> {
  const stale = await db
    .select({ id: jobs.id, version: jobs.version })
    .from(jobs)
    .leftJoin(digests, eq(digests.job, jobs.id))
    .where(sql`${digests.of} is distinct from (${jobs.version}::text || ' ' || ${under}::text)`)
    .orderBy(desc(jobs.changedAt))
    .limit(failed.size + 1);
  return stale
    .map(({ id, version }) => ({ id, of: `${version} ${under}` }))
    .find(({ id, of }) => failed.get(id) !== of);
}

async function workOut(
  { db, store, firm, digestOf, log }: DigestsParts,
  { id, of }: Stale,
  failed: Map<string, string>,
): Promise<void> {
  const stored = await store.read(id);
  if (!stored) return;
  try {
    const said = await digestOf(stored.job, await firm.read());
    // A job deleted meanwhile takes no digest.
    await db
      .insert(digests)
      .select(
        sql`select ${jobs.id}, ${of}, ${JSON.stringify(said)}::jsonb from ${jobs} where ${jobs.id} = ${id}`,
      )
      .onConflictDoUpdate({ target: digests.job, set: { of, said } });
  } catch (error) {
    failed.set(id, of);
    log(error);
  }
}

async function listed(db: Database, under: string, failed: ReadonlyMap<string, string>): Promise<JobRow[]> {
  const rows = await db
    .select({
      id: jobs.id,
      version: jobs.version,
      changedAt: jobs.changedAt,
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
    .orderBy(desc(jobs.changedAt));
  return rows.map(({ of, digest, changedAt, number, address, customer, reason, ...row }) => ({
    ...row,
    number: number ?? undefined,
    address: address ?? undefined,
    customer: customer ?? undefined,
    reason: reason ?? undefined,
    changedAt: changedAt.toISOString(),
    digest: digest ? { ...digest, due: digest.due.map(({ why: _why, ...due }) => due) } : undefined,
    fresh: [of, failed.get(row.id)].includes(`${row.version} ${under}`),
  }));
}
