import { join, resolve } from 'node:path';
import { source } from '../core/source.js';
import { randomJob } from '../core/test/random-job.js';
import type { Job } from '../core/job/schema.js';
import { openDatabase } from '../server/storage/database.js';
import { openPostgres } from '../server/storage/postgres.js';
import { storeOn } from '../server/jobs/store.js';

const streets = ['Alder', 'Brook', 'Copse', 'Dell', 'Elm', 'Fern', 'Grove', 'Hollow', 'Ivy', 'Juniper'];
const ways = ['Lane', 'Row', 'Close', 'Walk', 'Terrace', 'Rise'];
const people = ['Adeyemi', 'Bianchi', 'Castillo', 'Dahl', 'Egerton', 'Fujimoto', 'Grieg', 'Haddad', 'Ivanko'];
const reasons = ['backup', 'purchase', 'follow-up', 'planned'] as const;

/** A typical invented job: a house, a customer, a date, a line of 14 to 34 ft. */
export function seedJob(number: number): Job {
  const from = source(number);
  const job = randomJob(number);
  const address = `${1 + from.count(180)} ${from.pick(streets)} ${from.pick(ways)}`;
  const on = `202${from.count(6)}-${String(1 + from.count(11)).padStart(2, '0')}-${String(1 + from.count(27)).padStart(2, '0')}`;
  return {
    ...job,
    title: `${address}, ${number}`,
    number: `J-${String(number).padStart(5, '0')}`,
    inspectedOn: on,
    reason: from.pick(reasons),
    site: { address, customer: `${from.pick('ABCDEFGHJKLM'.split(''))}. ${from.pick(people)}` },
    lines: job.lines.map((line) => ({ ...line, runs: line.runs.map((run) => ({ ...run, on })) })),
  };
}

/** Writes this many invented jobs into a data folder that no server is using, or into a PostgreSQL database. */
export async function seedJobs(folder: string, count: number, databaseUrl?: string): Promise<void> {
  const migrations = join(resolve(import.meta.dirname, '..'), 'server', 'migrations');
  const dead = (message: string) => {
    throw new Error(message);
  };
  const opened = await (databaseUrl === undefined
    ? openDatabase({ folder, migrations, dead })
    : openPostgres({ url: databaseUrl, migrations, log: dead as (error: unknown) => void }));
  try {
    const store = storeOn(opened);
    for (let number = 1; number <= count; number++) {
      const written = await store.add(`seed-${number}`, seedJob(number), 'seed');
      if (!('stored' in written)) throw new Error(`seed ${number}: ${JSON.stringify(written)}`);
    }
  } finally {
    await opened.close();
  }
}
