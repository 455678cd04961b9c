import { and, asc, desc, eq, getTableColumns, gt, isNull, lt, notInArray, sql } from 'drizzle-orm';
import {
  applyEdit,
  inverseOf,
  jobHead,
  lineHead,
  rowOf,
  runHead,
  type Edit,
  type StoredRow,
} from '../../core/edits/index.js';
import { readJob } from '../../core/files/read.js';
import type { Fault } from '../../core/job/faults.js';
import type { Job } from '../../core/job/schema.js';
import { settle, type Conflict } from './conflicts.js';
import type { Database, OpenedDatabase, Transaction } from '../storage/database.js';
import { deletionOn, type Deletion } from './deletion.js';
import { changes, entries, jobs, lines, people, runs } from '../storage/tables.js';

/** A job with its version. */
export interface StoredJob {
  readonly id: string;
  readonly version: number;
  readonly changedAt: string;
  readonly job: Job;
}

export type Written =
  | { readonly stored: StoredJob }
  | { readonly faults: readonly Fault[] }
  | { readonly conflicts: readonly Conflict[]; readonly version: number }
  | { readonly missing: true };

/** A set of edits from one sender. */
export interface EditSet {
  /** The sender's own id of the set, so that sending it twice applies it once. */
  readonly sent: string;
  readonly edits: readonly Edit[];
  /** The version of the job the edits were based on; without it nothing is compared. */
  readonly base?: number | undefined;
  /** Sets of this sender accepted since `base`: its own changes are not conflicts. */
  readonly own?: readonly string[] | undefined;
  /** The set this one reverts. */
  readonly undoes?: string | undefined;
}

/** One accepted edit, as the history keeps it; `person` is the name of who made it. */
export type JobChange = typeof changes.$inferSelect;

export interface Store extends Deletion {
  /** Number of jobs, including deleted ones that can be restored. */
  count: () => Promise<number>;
  read: (id: string) => Promise<StoredJob | undefined>;
  version: (id: string) => Promise<number | undefined>;
  /** An existing job stays as it is. `person`: the author's id, where people sign in. */
  add: (id: string, value: unknown, device: string, person?: string) => Promise<Written>;
  edit: (id: string, set: EditSet, device: string, person?: string) => Promise<Written>;
  /** The newest accepted edits before a given order, newest first. */
  history: (id: string, most: number, before?: number) => Promise<JobChange[]>;
  /** Calls back with the job and its new version after every accepted set of any job; returns what stops it. */
  listenToAll: (changed: (job: string, version: number) => void) => () => void;
  /** Calls back with the new version after every accepted set; returns what stops it. */
  listen: (id: string, changed: (version: number) => void) => () => void;
}

/** Reads and writes jobs. A write resolves only when it is on disk; a set of edits is applied whole or not at all. */
export function storeOn({ db, write, news }: Pick<OpenedDatabase, 'db' | 'write' | 'news'>): Store {
  const read: Store['read'] = (id) => assemble(db, id);
  return {
    count: () => db.$count(jobs),
    read,
    async version(id) {
      const [head] = await db.select({ version: jobs.version }).from(jobs).where(standing(id));
      return head?.version;
    },
    async add(id, value, device, person) {
      const said = readJob(value, 'keep');
      if (said.faults) return { faults: said.faults };
      await write((tx) => writeNew(tx, id, said.job, { device, person }));
      const stored = await read(id);
      return stored ? { stored } : { missing: true };
    },
    async edit(id, set, device, person) {
      const written = await write(async (tx) => {
        const done = await writeSet(tx, id, set, { device, person });
        if ('stored' in done) await news.within(tx, id, done.stored.version);
        return done;
      });
      if ('stored' in written) news.after(id, written.stored.version);
      return written;
    },
    ...deletionOn({ db, news }),
    history: (id, most, before) =>
      db
        .select({ ...getTableColumns(changes), person: people.name })
        .from(changes)
        .leftJoin(people, eq(people.id, changes.person))
        .where(and(eq(changes.job, id), before === undefined ? undefined : lt(changes.order, before)))
        .orderBy(desc(changes.order))
        .limit(most),
    listen(id, call) {
      return news.listen((job, version) => {
        if (job === id) call(version);
      });
    },
    listenToAll: news.listen,
  };
}

/** The sender: a browser, and the person where people sign in. */
interface By {
  readonly device: string;
  readonly person?: string | undefined;
}

/** Writes a new job; an existing one stays as it is. */
async function writeNew(tx: Transaction, id: string, job: Job, by: By): Promise<void> {
  const { accepted = null } = job;
  const now = new Date();
  const [made] = await tx
    .insert(jobs)
    .values({ id, said: jobHead(job), accepted, version: 1, changedAt: now })
    .onConflictDoNothing()
    .returning({ id: jobs.id });
  if (!made) return;
  for (const row of rowsOfJob(job)) await writeRow(tx, id, row, job);
  await tx.insert(changes).values({
    ...{ job: id, sent: `add ${id}`, at: now, ...by, version: 1 },
    edit: { kind: 'job', set: jobHead(job) },
    inverse: { kind: 'job', set: jobHead(job) },
  });
}

async function writeSet(
  tx: Transaction,
  id: string,
  { sent, edits, base, own = [], undoes }: EditSet,
  by: By,
): Promise<Written> {
  // Sets of one job are serialized, also between processes.
  await tx.select({ id: jobs.id }).from(jobs).where(standing(id)).for('update');
  const before = await assemble(tx, id);
  if (!before) return { missing: true };
  const known = await tx
    .select({ order: changes.order })
    .from(changes)
    .where(and(eq(changes.job, id), eq(changes.sent, sent)))
    .limit(1);
  if (known.length > 0) return { stored: before };
  const since =
    base === undefined || base >= before.version
      ? []
      : await tx
          .select({ ...getTableColumns(changes), person: people.name })
          .from(changes)
          .leftJoin(people, eq(people.id, changes.person))
          .where(
            and(
              eq(changes.job, id),
              gt(changes.version, base),
              own.length > 0 ? notInArray(changes.sent, [...own]) : undefined,
            ),
          )
          .orderBy(asc(changes.order));
  let { job } = before;
  const done: { edit: Edit; inverse: Edit }[] = [];
  const conflicts: Conflict[] = [];
  for (const asked of edits) {
    const settled = settle(job, asked, since);
    if ('conflict' in settled) {
      conflicts.push(settled.conflict);
      continue;
    }
    done.push({ edit: settled.edit, inverse: inverseOf(job, settled.edit) });
    job = applyEdit(job, settled.edit);
  }
  if (conflicts.length > 0) return { conflicts, version: before.version };
  const read = readJob(job, 'keep');
  if (read.faults) return { faults: read.faults };
  const now = new Date();
  const version = before.version + 1;
  for (const { edit } of done) await writeRow(tx, id, rowOf(edit), job);
  await tx.update(jobs).set({ version, changedAt: now }).where(eq(jobs.id, id));
  await tx
    .insert(changes)
    .values(
      done.map((each) => ({ job: id, sent, at: now, ...by, version, undoes: undoes ?? null, ...each })),
    );
  return { stored: { id, version, changedAt: now.toISOString(), job } };
}

/** Every row of a new job, in the order things were entered. */
const rowsOfJob = (job: Job): StoredRow[] =>
  job.lines.flatMap((line): StoredRow[] => [
    { of: 'line', line: line.id },
    ...line.runs.flatMap((run): StoredRow[] => [
      { of: 'run', line: line.id, run: run.id },
      ...run.entries.map((entry): StoredRow => ({
        of: 'entry',
        line: line.id,
        run: run.id,
        entry: entry.id,
      })),
    ]),
  ]);

/** A job that is not deleted. */
const standing = (id: string) => and(eq(jobs.id, id), isNull(jobs.deletedAt));

/** The rows of a job in one table, in the order they were entered. */
const rowsIn = <Row extends typeof lines | typeof runs | typeof entries>(table: Row, job: string) =>
  sql<Row['$inferSelect'][]>`(
    select coalesce(jsonb_agg(to_jsonb(each_row) order by each_row.position), '[]'::jsonb)
    from ${table} each_row where each_row.job = ${job})`;

/**
 * Reads a job in one query: each costs milliseconds, and an edit between two of them would produce a job that never
 * existed.
 */
async function assemble(db: Database | Transaction, id: string): Promise<StoredJob | undefined> {
  const [head] = await db
    .select({
      ...getTableColumns(jobs),
      lineRows: rowsIn(lines, id),
      runRows: rowsIn(runs, id),
      entryRows: rowsIn(entries, id),
    })
    .from(jobs)
    .where(standing(id));
  if (!head) return undefined;
  const { lineRows, runRows, entryRows } = head;
  return {
    id,
    version: head.version,
    changedAt: head.changedAt.toISOString(),
    job: {
      ...head.said,
      ...(head.accepted ? { accepted: head.accepted } : {}),
      format: 'open-trench-job',
      version: 1,
      lines: lineRows.map((line) => ({
        ...line.said,
        runs: runRows
          .filter((run) => run.line === line.id)
          .map((run) => ({
            ...run.said,
            entries: entryRows
              .filter((entry) => entry.line === line.id && entry.run === run.id)
              .map(({ said }) => said),
          })),
      })),
    },
  };
}

/**
 * Writes or deletes a stored row so that it matches the job. Positions keep the order in which things were entered.
 */
async function writeRow(tx: Transaction, job: string, row: StoredRow, now: Job): Promise<void> {
  if (row.of === 'job') {
    const { accepted = null } = now;
    await tx
      .update(jobs)
      .set({ said: jobHead(now), accepted })
      .where(eq(jobs.id, job));
    return;
  }
  const line = now.lines.find(({ id }) => id === row.line);
  if (row.of === 'line') {
    if (!line) await removeLine(tx, job, row.line);
    else {
      const said = lineHead(line);
      await tx
        .insert(lines)
        .values({ job, id: row.line, position: nextPosition(lines, job), said })
        .onConflictDoUpdate({ target: [lines.job, lines.id], set: { said } });
    }
    return;
  }
  const run = line?.runs.find(({ id }) => id === row.run);
  if (row.of === 'run') {
    if (!run) await removeRun(tx, job, row.line, row.run);
    else {
      const said = runHead(run);
      await tx
        .insert(runs)
        .values({ job, line: row.line, id: row.run, position: nextPosition(runs, job), said })
        .onConflictDoUpdate({ target: [runs.job, runs.line, runs.id], set: { said } });
    }
    return;
  }
  const said = run?.entries.find(({ id }) => id === row.entry);
  if (!said) await tx.delete(entries).where(entryAt(job, row.line, row.entry));
  else {
    await tx
      .insert(entries)
      .values({
        job,
        line: row.line,
        run: row.run,
        id: row.entry,
        position: nextPosition(entries, job),
        said,
      })
      .onConflictDoUpdate({ target: [entries.job, entries.line, entries.id], set: { said } });
  }
}

const entryAt = (job: string, line: string, id: string) =>
  and(eq(entries.job, job), eq(entries.line, line), eq(entries.id, id));

const nextPosition = (table: typeof lines | typeof runs | typeof entries, job: string) =>
  sql`(select coalesce(max(${table.position}), 0) + 1 from ${table} where ${table.job} = ${job})`;

async function removeLine(tx: Transaction, job: string, line: string): Promise<void> {
  await tx.delete(entries).where(and(eq(entries.job, job), eq(entries.line, line)));
  await tx.delete(runs).where(and(eq(runs.job, job), eq(runs.line, line)));
  await tx.delete(lines).where(and(eq(lines.job, job), eq(lines.id, line)));
}

async function removeRun(tx: Transaction, job: string, line: string, run: string): Promise<void> {
  const own = and(eq(entries.job, job), eq(entries.line, line), eq(entries.run, run));
  await tx.delete(entries).where(own);
  await tx.delete(runs).where(and(eq(runs.job, job), eq(runs.line, line), eq(runs.id, run)));
}
