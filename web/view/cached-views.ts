import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { del, entries, get, keys, set } from 'idb-keyval';
import type { CachedView } from '../../core/views/cached-view.js';
import { api, bodyOf } from '../api/client.js';
import { viewStore as store } from '../api/stores.js';

/** The program's version mark, set by the build: the server stores views under the same one. */
export const program = (import.meta.env.VITE_PROGRAM as string | undefined) ?? 'unbuilt';

/** The last view this browser computed. */
interface OwnView extends CachedView {
  /** When, ms since 1970. */
  readonly at: number;
}

const mostKept = 60;
const keptAfterClearing = 40;
/** A slower server is not waited for: the view is computed here. */
const patience_ms = 1500;

/** Views are large and their parts are compared by identity, so structural sharing is off. */
const asItIs = { staleTime: Infinity, structuralSharing: false } as const;

const ownKey = (id: string) => ['view kept here', id] as const;
const servedKey = (id: string) => ['view kept there', id] as const;
const ours = (kept: CachedView | null | undefined) => (kept && kept.program === program ? kept : null);

/** Reads the view this browser computed last. */
export const ownViewQuery = (id: string) => ({
  queryKey: ownKey(id),
  queryFn: async () => ours(await get<OwnView>(id, store).catch(() => undefined)),
  ...asItIs,
});

/** Fetches the view the server computed last. */
export const servedViewQuery = (id: string) => ({
  queryKey: servedKey(id),
  queryFn: () => servedView(id),
  gcTime: 60_000,
  retry: false,
  ...asItIs,
});

/**
 * The cached view of a job, from this browser or the server; `settled` once both were asked. Views computed by another
 * version are never used. Requests nothing unless `wanted`.
 */
export function useCachedViews(
  id: string,
  wanted: boolean,
): { readonly views: readonly CachedView[]; readonly settled: boolean } {
  const own = useQuery({ ...ownViewQuery(id), enabled: wanted });
  const served = useQuery({ ...servedViewQuery(id), enabled: wanted });
  return {
    views: [own.data, served.data].filter((kept) => kept !== null && kept !== undefined),
    settled: !own.isPending && !served.isPending,
  };
}

async function servedView(id: string): Promise<CachedView | null> {
  const asked = api.jobs[':id'].view.$get(
    { param: { id: encodeURIComponent(id) } },
    { init: { signal: AbortSignal.timeout(patience_ms) } },
  );
  // None cached, or the server is away: it is computed here either way.
  return ours(await asked.then((answer) => bodyOf<CachedView | undefined>(answer)).catch(() => null));
}

/** Caches a view for the next time its job is opened in this browser. */
export function useCacheView(id: string): (kept: CachedView) => void {
  const client = useQueryClient();
  return (kept) => {
    keepView(client, id, kept);
  };
}

function keepView(client: QueryClient, id: string, kept: CachedView): void {
  client.setQueryData<CachedView | null>(ownKey(id), kept);
  const own: OwnView = { ...kept, at: Date.now() };
  // Where nothing can be stored (a private window) it is computed each time.
  void set(id, own, store)
    .then(clear)
    .catch(() => undefined);
}

/** Drops the oldest ones once there are many. */
async function clear(): Promise<void> {
  if ((await keys(store)).length <= mostKept) return;
  const all = await entries<string, OwnView>(store);
  const oldest = all.sort(([, a], [, b]) => b.at - a.at).slice(keptAfterClearing);
  await Promise.all(oldest.map(([id]) => del(id, store)));
}
