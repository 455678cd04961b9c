import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex } from '@noble/hashes/utils';
import stringify from 'fast-json-stable-stringify';
import { oncePer } from '../once-per.js';
import type { Job } from './schema.js';

/**
 * A content hash of a job, whatever the order of its fields: the first half of its SHA-256, in hex. The schedule is
 * left out, since no scope depends on it.
 */
export const markOf = oncePer(({ plan: _days, ...scoped }: Job) =>
  bytesToHex(sha256(stringify(scoped))).slice(0, 32),
);
