import { randomUUID } from 'node:crypto';
import { and, asc, eq, isNull, ne, sql } from 'drizzle-orm';
import type { Fault } from '../../core/job/faults.js';
import type { Database, Transaction } from '../storage/database.js';
import { people, sessions } from '../storage/tables.js';
import { hashPassphrase, passphraseFault } from './passphrase.js';
import type { Role } from './roles.js';

/** Somebody who may sign in. */
export interface Person {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
}

/** A person as an owner sees them. */
export interface ListedPerson extends Person {
  readonly madeAt: string;
  /** Too many wrong passphrases: the name is locked until then. */
  readonly lockedUntil: string | undefined;
}

export type PersonWritten =
  { readonly person: Person } | { readonly faults: readonly Fault[] } | { readonly missing: true };

export interface People {
  list(): Promise<ListedPerson[]>;
  add(said: { name: string; role: Role; passphrase: string }): Promise<PersonWritten>;
  /** A new role or passphrase; either ends all sessions of that name. */
  change(
    id: string,
    said: { role?: Role | undefined; passphrase?: string | undefined },
  ): Promise<PersonWritten>;
  /** Removes a person's access; the history keeps the name. */
  remove(id: string): Promise<PersonWritten>;
}

export const personOf = ({ id, name, role }: Person): Person => ({ id, name, role });
export const notRemoved = isNull(people.removedAt);

const standing = async (db: Transaction, id: string) => {
  const [row] = await db
    .select()
    .from(people)
    .where(and(eq(people.id, id), notRemoved));
  return row;
};

const signedOut = (db: Transaction, id: string) => db.delete(sessions).where(eq(sessions.person, id));

/** Serialized: two owners who remove each other at once would leave none. */
const inTurn = <T>(db: Database, work: (tx: Transaction) => Promise<T>): Promise<T> =>
  db.transaction(async (tx) => {
    await tx.select({ id: people.id }).from(people).where(eq(people.role, 'owner')).for('update');
    return work(tx);
  });

/** The last owner stays an owner: otherwise nobody could admit anybody from outside this machine. */
const isLastOwner = async (db: Transaction, { id, role }: Person) =>
  role === 'owner' &&
  (await db.$count(people, and(eq(people.role, 'owner'), notRemoved, ne(people.id, id)))) === 0;
const lastOwner = {
  faults: [{ path: 'role', message: 'the last owner cannot be removed: make somebody else an owner first' }],
};

/** The shop's people. `N`: scrypt cost of a new passphrase, where it is not the usual one. */
export function peopleOn(db: Database, N?: number): People {
  return {
    async list() {
      const rows = await db
        .select()
        .from(people)
        .where(notRemoved)
        .orderBy(asc(sql`lower(${people.name})`));
      return rows.map((row) => ({
        ...personOf(row),
        madeAt: row.madeAt.toISOString(),
        lockedUntil:
          row.lockedUntil && row.lockedUntil > new Date() ? row.lockedUntil.toISOString() : undefined,
      }));
    },
    async add({ name, role, passphrase }) {
      const fault = passphraseFault(passphrase, name);
      if (fault !== undefined) return { faults: [{ path: 'passphrase', message: fault }] };
      const passphraseHash = await hashPassphrase(passphrase, N);
      const person = { id: randomUUID(), name: name.trim(), role };
      const [made] = await db
        .insert(people)
        .values({ ...person, passphraseHash, madeAt: new Date() })
        .onConflictDoNothing()
        .returning({ id: people.id });
      return made
        ? { person }
        : { faults: [{ path: 'name', message: 'somebody signs in under this name already' }] };
    },
    async change(id, { role, passphrase }) {
      // Hashing takes a few tenths of a second, during which nobody else waits.
      const passphraseHash = passphrase === undefined ? undefined : await hashPassphrase(passphrase, N);
      return inTurn(db, (tx) => change(tx, id, { role, passphrase, passphraseHash }));
    },
    remove: (id) => inTurn(db, (tx) => remove(tx, id)),
  };
}

async function remove(db: Transaction, id: string): Promise<PersonWritten> {
  const before = await standing(db, id);
  if (!before) return { missing: true };
  if (await isLastOwner(db, before)) return lastOwner;
  await db.update(people).set({ removedAt: new Date() }).where(eq(people.id, id));
  await signedOut(db, id);
  return { person: personOf(before) };
}

interface Change {
  readonly role: Role | undefined;
  readonly passphrase: string | undefined;
  readonly passphraseHash: string | undefined;
}

async function change(
  db: Transaction,
  id: string,
  { role, passphrase, passphraseHash }: Change,
): Promise<PersonWritten> {
  const before = await standing(db, id);
  if (!before) return { missing: true };
  if (role !== undefined && role !== 'owner' && (await isLastOwner(db, before))) return lastOwner;
  const fault = passphrase === undefined ? undefined : passphraseFault(passphrase, before.name);
  if (fault !== undefined) return { faults: [{ path: 'passphrase', message: fault }] };
  const set = {
    role: role ?? before.role,
    ...(passphraseHash === undefined ? {} : { passphraseHash, failures: 0, lockedUntil: null }),
  };
  await db.update(people).set(set).where(eq(people.id, id));
  await signedOut(db, id);
  return { person: personOf({ ...before, ...set }) };
}
