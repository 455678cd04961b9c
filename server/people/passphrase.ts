import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';

/**
 * Passphrases are stored as scrypt (RFC 7914) hashes. Cost N = 2^17, r = 8, p = 1 takes 128 MB and a few tenths of a
 * second: the OWASP password storage cheat sheet's figure, from memory.
 */
const cost = { N: 2 ** 17, r: 8, p: 1 } as const;
const maxmem = 256 * cost.N * cost.r;
const saltBytes = 16;
const hashBytes = 32;
export const leastPassphrase = 12;
const mostPassphrase = 200;

const derive = promisify<string, Buffer, number, object, Buffer>(scrypt);

/** One at a time: each takes 128 MB, and many sign-ins at once must not exhaust the machine. */
let before: Promise<unknown> = Promise.resolve();
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = before.then(work);
  before = mine.catch(() => undefined);
  return mine;
}

/** Normalized, so that different keyboards give the same passphrase. */
const normal = (passphrase: string) => passphrase.normalize('NFKC');

/** The hash to store, with its cost and salt: `scrypt$17$8$1$salt$hash`. `N`: a lower cost, for tests of other things. */
export async function hashPassphrase(passphrase: string, N: number = cost.N): Promise<string> {
  const salt = randomBytes(saltBytes);
  const hash = await inTurn(() => derive(normal(passphrase), salt, hashBytes, { ...cost, N, maxmem }));
  return [
    'scrypt',
    Math.log2(N),
    cost.r,
    cost.p,
    salt.toString('base64url'),
    hash.toString('base64url'),
  ].join('$');
}

/** Whether a passphrase matches the stored one; without one stored it takes as long and never matches. */
export async function isPassphrase(passphrase: string, stored: string | undefined): Promise<boolean> {
  const [, logN = 17, r = cost.r, p = cost.p, salt = '', hash = ''] = stored?.split('$') ?? [];
  const asked = { N: 2 ** Number(logN), r: Number(r), p: Number(p), maxmem };
  const known = Buffer.from(hash, 'base64url');
  const tried = await inTurn(() =>
    derive(normal(passphrase), Buffer.from(salt, 'base64url'), hashBytes, asked),
  );
  return known.length === hashBytes && timingSafeEqual(tried, known);
}

/** What is wrong with a new passphrase; undefined where it is acceptable. */
export function passphraseFault(passphrase: string, name: string): string | undefined {
  const chosen = normal(passphrase);
  if (chosen.length < leastPassphrase)
    return `must have at least ${leastPassphrase} characters: four or five unrelated words`;
  if (chosen.length > mostPassphrase) return `must have at most ${mostPassphrase} characters`;
  if (new Set(chosen).size < 5) return 'must not repeat a few characters';
  if (name.trim() !== '' && chosen.toLowerCase().includes(name.trim().toLowerCase()))
    return 'must not contain the name';
  return undefined;
}
