import { createHash, randomBytes } from 'node:crypto';
import { and, eq, gt, isNull, lt, or, sql } from 'drizzle-orm';
import type { Database } from '../storage/database.js';
import { people, sessions } from '../storage/tables.js';
import { isPassphrase } from './passphrase.js';
import { notRemoved, personOf, type Person } from './people.js';

export type SignedIn =
  | { readonly person: Person; readonly token: string }
  /** Wrong, without telling whether the name or the passphrase is. */
  | { readonly wrong: true }
  | { readonly lockedUntil: Date };

export interface Sessions {
  signIn(name: string, passphrase: string, now?: Date): Promise<SignedIn>;
  signOut(token: string): Promise<void>;
  /** Who a browser is signed in as; undefined where it is not, or no longer. */
  who(token: string, now?: Date): Promise<Person | undefined>;
}

const tokenBytes = 32;
/** Wrong passphrases in a row that lock a name, and for how long. */
const mostFailures = 5;
const lockedFor_ms = 15 * 60_000;
/** Lifetime of a session, unused and in total. */
const unusedFor_ms = 7 * 24 * 3_600_000;
const signedInFor_ms = 30 * 24 * 3_600_000;
/** Minimum interval between updates of a session's last use. */
const usedEvery_ms = 60_000;

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');
const notLocked = (now: Date) => or(isNull(people.lockedUntil), lt(people.lockedUntil, now));
const named = (name: string) => and(sql`lower(${people.name}) = lower(${name.trim()})`, notRemoved);

/** Which browsers are signed in, and as whom. */
export function sessionsOn(db: Database): Sessions {
  return {
    async signIn(name, passphrase, now = new Date()) {
      const [row] = await db.select().from(people).where(named(name));
      if (row?.lockedUntil && row.lockedUntil > now) return { lockedUntil: row.lockedUntil };
      const isRight = await isPassphrase(passphrase, row?.passphraseHash);
      if (!row) return { wrong: true };
      if (!isRight) return failed(db, row.id, now);
      // Many attempts may have read the name before the lock: a correct passphrase after it does not sign in either.
      const [open] = await db
        .update(people)
        .set({ failures: 0, lockedUntil: null })
        .where(and(eq(people.id, row.id), notRemoved, notLocked(now)))
        .returning({ id: people.id });
      if (!open) return { lockedUntil: new Date(now.getTime() + lockedFor_ms) };
      await db.delete(sessions).where(lt(sessions.usedAt, new Date(now.getTime() - unusedFor_ms)));
      const token = randomBytes(tokenBytes).toString('base64url');
      await db
        .insert(sessions)
        .values({ tokenHash: hashOf(token), person: row.id, madeAt: now, usedAt: now });
      return { person: personOf(row), token };
    },
    async signOut(token) {
      await db.delete(sessions).where(eq(sessions.tokenHash, hashOf(token)));
    },
    async who(token, now = new Date()) {
      const tokenHash = hashOf(token);
      const [row] = await db
        .select({ id: people.id, name: people.name, role: people.role, usedAt: sessions.usedAt })
        .from(sessions)
        .innerJoin(people, eq(people.id, sessions.person))
        .where(
          and(
            eq(sessions.tokenHash, tokenHash),
            gt(sessions.usedAt, new Date(now.getTime() - unusedFor_ms)),
            gt(sessions.madeAt, new Date(now.getTime() - signedInFor_ms)),
            notRemoved,
          ),
        );
      if (!row) return undefined;
      if (now.getTime() - row.usedAt.getTime() > usedEvery_ms)
        await db.update(sessions).set({ usedAt: now }).where(eq(sessions.tokenHash, tokenHash));
      return personOf(row);
    },
  };
}

/** One more wrong passphrase: enough of them in a row lock the name. Counted in the database, across all callers. */
async function failed(db: Database, id: string, now: Date): Promise<SignedIn> {
  const [row] = await db
    .update(people)
    .set({ failures: sql`${people.failures} + 1` })
    .where(and(eq(people.id, id), notLocked(now)))
    .returning({ failures: people.failures });
  if (!row || row.failures < mostFailures) return { wrong: true };
  const lockedUntil = new Date(now.getTime() + lockedFor_ms);
  await db.update(people).set({ failures: 0, lockedUntil }).where(eq(people.id, id));
  return { lockedUntil };
}
