import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { Job } from '../../core/job/schema.js';
import type { DeletedJob } from '../../server/jobs/deletion.js';
import type { JobRow } from '../../server/jobs/digests.js';
import type { StoredJob } from '../../server/jobs/store.js';
import { unlessOpenedWith } from '../opening/opened-with';
import { api, bodyOf } from './client';
import { jobKey, listKey, newJobOf } from './jobs';
import { sendNewJob } from './outbox';

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
