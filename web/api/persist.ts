import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import type { Query } from '@tanstack/react-query';
import { del, get, set } from 'idb-keyval';
import { jobStore as store } from './stores';

/** How long an unopened job is cached, ms; browser timers overflow at 24.8 days and would drop it at once. */
export const keptFor_ms = 20 * 24 * 3600 * 1000;

/** Caches recently seen jobs in the browser's storage, so that a page opened without the server still shows them. */
export const persistOptions = {
  persister: createAsyncStoragePersister({
    storage: {
      getItem: (key: string) => get<string>(key, store).then((value) => value ?? null),
      setItem: (key: string, value: string) => set(key, value, store),
      removeItem: (key: string) => del(key, store),
    },
    throttleTime: 500,
  }),
  maxAge: keptFor_ms,
  buster: '2',
  dehydrateOptions: {
    shouldDehydrateQuery: ({ queryKey, state }: Query) =>
      (queryKey[0] === 'jobs' || queryKey[0] === 'firm') &&
      !queryKey.includes('history') &&
      // A failed refetch does not invalidate what was last seen.
      state.data !== undefined,
  },
};
