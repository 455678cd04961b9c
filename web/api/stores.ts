import { createStore, type UseStore } from 'idb-keyval';

/** What this browser stores: parcels for the server, those it accepted, jobs as last seen, views as last computed. */
export const outboxStore = createStore('open-trench', 'outbox');
export const sentStore = createStore('open-trench-sent', 'sent');
export const jobStore = createStore('open-trench-jobs', 'cache');
export const viewStore = createStore('open-trench-views', 'views');

/** Opens what every page of a job reads before it is drawn: that takes the browser as long as loading a script. */
export function openStores(): void {
  const open = async (store: UseStore): Promise<void> => {
    await store('readonly', () => undefined);
  };
  // Where nothing may be stored, as in some private windows, whoever reads finds out.
  for (const each of [outboxStore, sentStore, jobStore, viewStore]) open(each).catch(() => undefined);
}
