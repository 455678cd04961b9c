import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { Job } from '../../core/job/schema.js';
import type { DeletedJob } from '../../server/jobs/deletion.js';
import type { JobRow } from '../../server/jobs/digests.js';
import type { StoredJob } from '../../server/jobs/store.js';
import { api, bodyOf } from './client';
import { unlessOpenedWith } from '../opening/opened-with';
import { sendNewJob } from './outbox';

const listKey = ['jobs'] as const;
export const jobKey = (id: string) => ['jobs', id] as const;
export const historyKey = (id: string) => ['jobs', id, 'history'] as const;

/** A job the server does not have yet. */
export const newJobOf = (id: string, job: Job): StoredJob => ({
  id,
  version: 0,
  changedAt: new Date().toISOString(),
  job,
});

/** How often the list is fetched again while some rows are being computed: rarely when there are many, ms. */
const askAgain_ms = (pending: number) => (pending === 0 ? false : pending > 100 ? 15_000 : 1200);

/** A cached list is shown at once but always refetched. */
const jobsQuery = {
  queryKey: listKey,
  queryFn: async () => bodyOf<JobRow[]>(await api.jobs.$get()),
  staleTime: unlessOpenedWith,
};

export const fetchJobList = (client: QueryClient): Promise<unknown> => client.query(jobsQuery);

/** The rows of the list; derived columns as far as the server has them. */
export const useJobs = () =>
  useQuery({
    ...jobsQuery,
    refetchInterval: ({ state }) => askAgain_ms(state.data?.filter(({ fresh }) => !fresh).length ?? 0),
  });

/** The server accepted something: the page shows it at once; a version older than the known one is ignored. */
export function takeStored(client: QueryClient, stored: StoredJob): void {
  client.setQueryData<StoredJob>(jobKey(stored.id), (old) =>
    old && old.version > stored.version ? old : stored,
  );
  void client.invalidateQueries({ queryKey: historyKey(stored.id) });
  if (stored.version === 1) void client.invalidateQueries({ queryKey: listKey, exact: true });
}

/** Makes a job, with or without the server; returns its id. */
export function useAddJob() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (job: Job) => {
      const id = crypto.randomUUID();
      await sendNewJob(id, job);
      // The server's answer is newer.
      client.setQueryData<StoredJob>(jobKey(id), (known) => known ?? newJobOf(id, job));
      return id;
    },
  });
}

const deletedKey = ['deleted jobs'] as const;

/** Deleted jobs that can be restored, last deleted first. */
export const useDeletedJobs = () =>
  useQuery({
    queryKey: deletedKey,
    queryFn: async () => bodyOf<DeletedJob[]>(await api.deleted.$get()),
    staleTime: 0,
  });

/** Deletes a job, and restores a deleted one. */
export function useDeleting() {
  const client = useQueryClient();
  const onSuccess = () =>
    Promise.all([
      client.invalidateQueries({ queryKey: listKey, exact: true }),
      client.invalidateQueries({ queryKey: deletedKey }),
    ]);
  return {
    remove: useMutation({
      mutationFn: async (id: string) =>
        bodyOf<undefined>(await api.jobs[':id'].$delete({ param: { id: encodeURIComponent(id) } })),
      onSuccess,
    }),
    bringBack: useMutation({
      mutationFn: async (id: string) =>
        bodyOf<undefined>(await api.deleted[':id'].$post({ param: { id: encodeURIComponent(id) } })),
      onSuccess,
    }),
  };
}
