import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex } from '@noble/hashes/utils';
import stringify from 'safe-stable-stringify';
import type { Job } from './schema.js';

/**
 * Names what a job says, whoever asks and in whatever order its fields stand: the first half of its SHA-256, in hex. Its
 * days are left out: no scope hangs on when it is done.
 */
export function markOf({ plan: _days, ...job }: Job): string {
  return bytesToHex(sha256(stringify(job))).slice(0, 32);
}
