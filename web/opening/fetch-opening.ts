import type { QueryClient } from '@tanstack/react-query';
import { outboxRead } from '../api/outbox';
import { jobListFetch, jobFetch } from '../early';

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
    .then(() => Promise.all([outboxRead, fetchAt(client, pathname)]))
    // Whatever shows it asks again, and says what is wrong.
    .catch(() => undefined);
  await Promise.race([fetched, new Promise((late) => setTimeout(late, patience_ms))]);
}

async function fetchAt(client: QueryClient, pathname: string): Promise<void> {
  const [, first, id] = pathname.split('/').map(decodeURIComponent);
  if (first === 'jobs' && id) await (await jobFetch())(client, id);
  else if (first === '') await (await jobListFetch())(client);
}
