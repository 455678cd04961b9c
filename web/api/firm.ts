import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { emptyFirm, type Firm } from '../../core/job/firm.js';
import { api, asError, bodyOf } from './client';
import { unlessOpenedWith } from '../opening/opened-with';
import { forget, sendFirm, useFirmOutbox } from './outbox';

const firmKey = ['firm'] as const;

/**
 * The server accepted a change of the company: the page shows it at once, and an answer requested earlier is dropped.
 */
export async function takeFirm(client: QueryClient, firm: Firm): Promise<void> {
  await client.cancelQueries({ queryKey: firmKey });
  client.setQueryData(firmKey, firm);
}

/** Fetches the company. */
export const firmQuery = {
  queryKey: firmKey,
  queryFn: async () => bodyOf<Firm>(await api.firm.$get()),
  staleTime: unlessOpenedWith,
};

/** The company with changes that are still waiting here; undefined until it is known. */
export function useFirm() {
  const query = useQuery(firmQuery);
  const client = useQueryClient();
  const outbox = useFirmOutbox();
  const waiting = outbox.filter(({ state }) => state === 'waiting');
  const refused = outbox.find(({ state }) => state !== 'waiting');
  // Without a server and nothing cached, the defaults are better than nothing.
  const known = query.data ?? (query.isError ? emptyFirm : undefined);
  const firm = waiting.at(-1)?.firm.set ?? known;
  const unknown = query.data ? undefined : query.error ? asError(query.error) : undefined;
  return {
    firm,
    waiting: waiting.length > 0,
    error: refused ? new Error(refused.message) : unknown,
    forgetError: () => {
      if (refused) forget(refused.key);
      void client.invalidateQueries({ queryKey: firmKey });
    },
    change: (set: Firm) => {
      void sendFirm(firm ?? emptyFirm, set);
    },
  };
}
