import { cpSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { JobRow } from '../../server/jobs/digests.js';
import { firstStarts, startServer, type Holding } from './server.js';

/**
 * Starts the server once on a new folder, and once with the demo jobs on a copy of that, and stops it cleanly once the list
 * and the views are computed. Creating a database takes many seconds on two cores: the tests start from a copy.
 */
export default async function makeFirstStarts(): Promise<void> {
  rmSync(firstStarts, { recursive: true, force: true });
  const [empty, demo] = [join(firstStarts, 'none'), join(firstStarts, 'demo')];
  await startOnce('none', empty);
  cpSync(empty, demo, { recursive: true });
  await startOnce('demo', demo);
}

async function startOnce(holding: Holding, folder: string): Promise<void> {
  const server = await startServer(holding, folder);
  await workedOut(server.url);
  await server.end();
}

async function workedOut(url: string): Promise<void> {
  for (;;) {
    const rows = (await (await fetch(`${url}/api/jobs`)).json()) as JobRow[];
    const views = await Promise.all(rows.map(({ id }) => fetch(`${url}/api/jobs/${id}/view`)));
    if (rows.every(({ fresh }) => fresh) && views.every(({ status }) => status === 200)) return;
    await new Promise((again) => setTimeout(again, 200));
  }
}
