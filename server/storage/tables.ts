import { sql } from 'drizzle-orm';
import {
  bigserial,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import type { Edit } from '../../core/edits/index.js';
import type { Firm } from '../../core/job/firm.js';
import type { Digest } from '../../core/views/digest.js';
import type { CachedView } from '../../core/views/cached-view.js';
import type { Role } from '../people/roles.js';
import type { SharedOffer } from '../jobs/shares.js';
import type { Acceptance, Entry, JobHead, LineHead, RunHead } from '../../core/job/schema.js';

/** People who may sign in. The row of a removed one stays, since the history names them. */
export const people = pgTable(
  'people',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    role: text('role').$type<Role>().notNull(),
    passphraseHash: text('passphrase_hash').notNull(),
    madeAt: timestamp('made_at', { withTimezone: true }).notNull(),
    /** Wrong passphrases in a row. */
    failures: integer('failures').notNull().default(0),
    lockedUntil: timestamp('locked_until', { withTimezone: true }),
    removedAt: timestamp('removed_at', { withTimezone: true }),
  },
  (table) => [
    uniqueIndex('people_name')
      .on(sql`lower(${table.name})`)
      .where(sql`${table.removedAt} is null`),
  ],
);

/** Signed-in browsers. */
export const sessions = pgTable('sessions', {
  /** SHA-256 of the cookie; only the hash is stored. */
  tokenHash: text('token_hash').primaryKey(),
  person: text('person')
    .notNull()
    .references(() => people.id, { onDelete: 'cascade' }),
  madeAt: timestamp('made_at', { withTimezone: true }).notNull(),
  usedAt: timestamp('used_at', { withTimezone: true }).notNull(),
});

/** What people entered, one row per thing, as in the job file. Nothing derived is stored here. */
export const jobs = pgTable('jobs', {
  id: text('id').primaryKey(),
  said: jsonb('said').$type<JobHead>().notNull(),
  accepted: jsonb('accepted').$type<Acceptance>(),
  /** Incremented by every accepted set of edits. */
  version: integer('version').notNull(),
  changedAt: timestamp('changed_at', { withTimezone: true }).notNull(),
  /** A deleted job is kept for a while and can be restored. */
  deletedAt: timestamp('deleted_at', { withTimezone: true }),
});

export const lines = pgTable(
  'lines',
  {
    job: text('job')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    position: integer('position').notNull(),
    said: jsonb('said').$type<LineHead>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.job, table.id] })],
);

export const runs = pgTable(
  'runs',
  {
    job: text('job')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    line: text('line').notNull(),
    id: text('id').notNull(),
    position: integer('position').notNull(),
    said: jsonb('said').$type<RunHead>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.job, table.line, table.id] })],
);

export const entries = pgTable(
  'entries',
  {
    job: text('job')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    line: text('line').notNull(),
    run: text('run').notNull(),
    id: text('id').notNull(),
    position: integer('position').notNull(),
    said: jsonb('said').$type<Entry>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.job, table.line, table.id] })],
);

/** Every accepted edit with its inverse: when, from which device, in order. */
export const changes = pgTable(
  'changes',
  {
    order: bigserial('order', { mode: 'number' }).primaryKey(),
    job: text('job')
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    /** The sender's id of a set of edits, so that sending it twice applies it once. */
    sent: text('sent').notNull(),
    at: timestamp('at', { withTimezone: true }).notNull(),
    device: text('device').notNull(),
    /** Who made it, where people sign in; none on this machine itself. */
    person: text('person').references(() => people.id),
    /** Version of the job after the set. */
    version: integer('version').notNull().default(0),
    /** The set this one reverts. */
    undoes: text('undoes'),
    edit: jsonb('edit').$type<Edit>().notNull(),
    inverse: jsonb('inverse').$type<Edit>().notNull(),
  },
  (table) => [
    index('changes_job_version').on(table.job, table.version),
    index('changes_job_sent').on(table.job, table.sent),
  ],
);

/** The company of this server: one row. */
export const firms = pgTable('firm', {
  id: integer('id').primaryKey(),
  said: jsonb('said').$type<Firm>().notNull(),
  changedAt: timestamp('changed_at', { withTimezone: true }).notNull(),
});

/** Derived data, computed once per version of a job, one row each: losing it loses nothing. */
const workedOut = <Said>() => ({
  job: text('job')
    .primaryKey()
    .references(() => jobs.id, { onDelete: 'cascade' }),
  /** The version of job, company and program it was computed from. */
  of: text('of').notNull(),
  /** Null where that version cannot be computed: it is not tried again until the job changes. */
  said: jsonb('said').$type<Said>(),
});

/** What the list shows. */
export const digests = pgTable('digests', workedOut<Digest>());

/** What the sheet and the other views show. */
export const views = pgTable('views', workedOut<CachedView>());

/** Offers a customer may read by a secret link, as they were when the link was made. */
export const shares = pgTable('shares', {
  id: text('id').primaryKey(),
  job: text('job')
    .notNull()
    .references(() => jobs.id, { onDelete: 'cascade' }),
  /** SHA-256 of the secret; only the hash is stored. */
  secretHash: text('secret_hash').notNull().unique(),
  madeAt: timestamp('made_at', { withTimezone: true }).notNull(),
  closedAt: timestamp('closed_at', { withTimezone: true }),
  said: jsonb('said').$type<SharedOffer>().notNull(),
});
