import type { QueryClient } from '@tanstack/react-query';
import type { Job } from '../../core/job/schema.js';
import type { StoredJob } from '../../server/jobs/store.js';

export const listKey = ['jobs'] as const;
export const jobKey = (id: string) => ['jobs', id] as const;
export const historyKey = (id: string) => ['jobs', id, 'history'] as const;

/** A job the server does not have yet. */
export const newJobOf = (id: string, job: Job): StoredJob => ({
  id,
  version: 0,
  changedAt: new Date().toISOString(),
  job,
});

/** The server accepted something: the page shows it at once; a version older than the known one is ignored. */
export function takeStored(client: QueryClient, stored: StoredJob): void {
  client.setQueryData<StoredJob>(jobKey(stored.id), (old) =>
    old && old.version > stored.version ? old : stored,
  );
  void client.invalidateQueries({ queryKey: historyKey(stored.id) });
  if (stored.version === 1) void client.invalidateQueries({ queryKey: listKey, exact: true });
}
