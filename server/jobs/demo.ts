import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Photos } from '../storage/photos.js';
import type { Store } from './store.js';

/** Puts the invented jobs and their photos into an empty store, so that there is something to look at. */
export async function loadDemo(demo: string, store: Store, photos: Photos): Promise<void> {
  if ((await store.count()) > 0) return;
  const jobs = join(demo, 'jobs');
  const names = readdirSync(jobs).filter((each) => each.endsWith('.json'));
  for (const name of names.sort().reverse()) {
    const job: unknown = JSON.parse(readFileSync(join(jobs, name), 'utf8'));
    const written = await store.add(`demo-${name.replace('.json', '')}`, job, 'demo');
    if ('faults' in written) throw new Error(`demo ${name}: ${JSON.stringify(written.faults)}`);
  }
  const pictures = join(demo, 'photos');
  for (const name of readdirSync(pictures)) await photos.keep(readFileSync(join(pictures, name)));
}
