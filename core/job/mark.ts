import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex } from '@noble/hashes/utils';
import stringify from 'safe-stable-stringify';
import type { Job } from './schema.js';

/** Marks of jobs that were asked for before: a job is never changed in place. */
const marks = new WeakMap<Job, string>();

/**
 * A content hash of a job, whatever the order of its fields: the first half of its SHA-256, in hex. The schedule is
 * left out, since no scope depends on it.
 */
export function markOf(job: Job): string {
  const known = marks.get(job);
  if (known !== undefined) return known;
  const { plan: _days, ...scoped } = job;
  const mark = bytesToHex(sha256(stringify(scoped))).slice(0, 32);
  marks.set(job, mark);
  return mark;
}
