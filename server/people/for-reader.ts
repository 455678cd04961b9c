import { setImmediate } from 'node:timers/promises';
import { firmForCrew, jobForCrew } from '../../core/views/for-crew.js';
import type { Firm } from '../../core/job/firm.js';
import type { JobRow } from '../jobs/digests.js';
import type { JobChange, StoredJob } from '../jobs/store.js';
import type { Person } from './people.js';
import { mayEdit, seesPrices } from './roles.js';

/** The reader; whoever sits at this machine has no name. */
export type Reader = Person | undefined;
const readsPrices = (reader: Reader) => reader === undefined || seesPrices(reader.role);

/** Whether a reader may make an edit of a kind, or read one in the history. */
export const mayMake = (reader: Reader, kind: string): boolean =>
  reader === undefined || mayEdit(reader.role, kind);

/** A job as its reader may see it. */
export const jobFor = (reader: Reader, stored: StoredJob): StoredJob =>
  readsPrices(reader) ? stored : { ...stored, job: jobForCrew(stored.job) };

/** The firm as its reader may see it. */
export const firmFor = (reader: Reader, firm: Firm): Firm => (readsPrices(reader) ? firm : firmForCrew(firm));

/** A list already serialized, for those who see prices and those who do not. */
const written = new WeakMap<readonly JobRow[], Map<boolean, Promise<Uint8Array<ArrayBuffer>>>>();

/**
 * The list as its reader may see it, as JSON: callers sharing a reading also share its text, which takes a while to
 * write.
 */
export function listFor(reader: Reader, rows: readonly JobRow[]): Promise<Uint8Array<ArrayBuffer>> {
  const texts = written.get(rows) ?? new Map<boolean, Promise<Uint8Array<ArrayBuffer>>>();
  written.set(rows, texts);
  const priced = readsPrices(reader);
  const text = texts.get(priced) ?? writtenList(rowsFor(reader, rows));
  texts.set(priced, text);
  return text;
}

/** Rows serialized before yielding: about a millisecond's work. */
const rowsAtOnce = 500;

async function writtenList(rows: readonly JobRow[]): Promise<Uint8Array<ArrayBuffer>> {
  const parts: string[] = [];
  for (let from = 0; from < rows.length; from += rowsAtOnce) {
    parts.push(JSON.stringify(rows.slice(from, from + rowsAtOnce)).slice(1, -1));
    await setImmediate();
  }
  return new TextEncoder().encode(`[${parts.join(',')}]`);
}

/** Without prices they are nought, and not shown. */
const rowsFor = (reader: Reader, rows: readonly JobRow[]): readonly JobRow[] =>
  readsPrices(reader)
    ? rows
    : rows.map(({ digest, ...row }) => ({
        ...row,
        digest: digest && {
          ...digest,
          total: 0,
          accepted: digest.accepted && { ...digest.accepted, total: 0 },
        },
      }));

/** The history as its reader may see it. */
export const historyFor = (reader: Reader, changes: readonly JobChange[]): readonly JobChange[] =>
  changes.filter(({ edit }) => mayMake(reader, edit.kind));
