import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import type { Firm } from '../../core/job/firm.js';
import { emptyFirm } from '../../core/job/firm.js';
import { api, asError, bodyOf, Refused } from './client';

const firmKey = ['firm'] as const;
const storageKey = 'open-trench-firm-unsent';
const retry_ms = 4000;

/** What was typed and is not on the server's disk yet, and what it was typed over. */
interface Unsent {
  readonly was: Firm;
  readonly set: Firm;
}

const listeners = new Set<() => void>();
let state: { readonly unsent: Unsent | undefined; readonly refused?: Error | undefined } = {
  unsent: readUnsent(),
};
let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;

function readUnsent(): Unsent | undefined {
  try {
    const kept = localStorage.getItem(storageKey);
    return kept === null ? undefined : (JSON.parse(kept) as Unsent);
  } catch {
    return undefined;
  }
}

/** Kept in the browser's storage first; where storage is barred, as long as the page is open. */
function keep(next: Unsent | undefined, refused?: Error): void {
  state = { unsent: next, refused };
  try {
    if (next) localStorage.setItem(storageKey, JSON.stringify(next));
    else localStorage.removeItem(storageKey);
  } catch {
    // Nothing to keep it in.
  }
  listeners.forEach((tell) => {
    tell();
  });
}

async function flush(client: QueryClient): Promise<void> {
  const sent = state.unsent;
  if (sending || !sent) return;
  sending = true;
  clearTimeout(timer);
  try {
    const firm = await bodyOf<Firm>(
      await fetch('/api/firm', {
        method: 'PUT',
        body: JSON.stringify(sent),
        headers: { 'content-type': 'application/json' },
      }),
    );
    // One asked for before this went in would come back without it.
    await client.cancelQueries({ queryKey: firmKey });
    client.setQueryData(firmKey, firm);
    // What was typed while this was on its way goes next, over what the server has now.
    keep(state.unsent === sent || !state.unsent ? undefined : { was: sent.set, set: state.unsent.set });
  } catch (error) {
    if (error instanceof Refused && error.status < 500) {
      keep(undefined, error);
      await client.invalidateQueries({ queryKey: firmKey });
    } else timer = setTimeout(() => void flush(client), retry_ms);
  } finally {
    sending = false;
  }
  if (state.unsent && state.unsent !== sent) await flush(client);
}

/** The firm as it stands with what still waits here; undefined until it is known. */
export function useFirm() {
  const client = useQueryClient();
  const query = useQuery({
    queryKey: firmKey,
    queryFn: async () => bodyOf<Firm>(await api.firm.$get()),
    staleTime: 0,
  });
  const { unsent, refused } = useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => state,
  );
  useEffect(() => {
    const again = () => void flush(client);
    again();
    window.addEventListener('online', again);
    return () => {
      window.removeEventListener('online', again);
    };
  }, [client]);
  // Without a server and with nothing kept of it, the defaults are better than nothing at all.
  const known = query.data ?? (query.isError ? emptyFirm : undefined);
  return {
    firm: unsent?.set ?? known,
    waiting: unsent !== undefined,
    error: refused ?? (query.data ? undefined : query.error ? asError(query.error) : undefined),
    forgetError: () => {
      keep(unsent);
    },
    change: (set: Firm) => {
      keep({ was: unsent?.was ?? known ?? emptyFirm, set });
      void flush(client);
    },
  };
}
