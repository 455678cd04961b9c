import type { QueryClient } from '@tanstack/react-query';
import { outboxRead } from '../api/outbox';
import { jobFetch, jobListFetch } from '../early';
import { isOpening } from './opened-with';

/** Data that takes longer is not waited for: the page is drawn without it, ms. */
const patience_ms = 300;

/**
 * Fetches what an address shows, so that the first drawing has it and nothing is drawn twice. Comes after the browser's
 * storage is `restored`, which is older than what is fetched. Never rejects.
 */
export async function fetchOpening(
  client: QueryClient,
  pathname: string,
  restored: Promise<unknown>,
): Promise<void> {
  const fetched = restored
    .catch(() => undefined)
    .then(() => fetchesAt(pathname))
    // Drawn in the meantime, the page asks by itself.
    .then((fetches) => Promise.all([outboxRead, isOpening() ? fetches?.(client) : undefined]))
    // Whatever shows it asks again, and says what is wrong.
    .catch(() => undefined);
  await Promise.race([fetched, new Promise((late) => setTimeout(late, patience_ms))]);
}

/** What fetches an address's data; undefined where it has none of its own. */
async function fetchesAt(pathname: string): Promise<((client: QueryClient) => Promise<unknown>) | undefined> {
  const [, first, id] = pathname.split('/').map(decodeURIComponent);
  if (first === '') return jobListFetch();
  if (first !== 'jobs' || !id) return undefined;
  const fetchJob = await jobFetch();
  return (client) => fetchJob(client, id);
}
