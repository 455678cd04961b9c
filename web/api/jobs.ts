import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { applyEdit, inverseOf, type Edit } from '../../core/job/edit.js';
import type { Job } from '../../core/job/schema.js';
import type { StoredJob } from '../../server/store.js';
import { api, bodyOf } from './client';

const listKey = ['jobs'] as const;
const jobKey = (id: string) => ['jobs', id] as const;

export const useJobs = () =>
  useQuery({ queryKey: listKey, queryFn: async () => bodyOf<StoredJob[]>(await api.jobs.$get()) });

export const useJob = (id: string) =>
  useQuery({
    queryKey: jobKey(id),
    queryFn: async () =>
      bodyOf<StoredJob>(await api.jobs[':id'].$get({ param: { id: encodeURIComponent(id) } })),
  });

export function useAddJob() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (job: unknown) =>
      bodyOf<StoredJob>(
        await fetch('/api/jobs', {
          method: 'POST',
          body: JSON.stringify(job),
          headers: { 'content-type': 'application/json' },
        }),
      ),
    onSuccess: (stored) => {
      client.setQueryData(jobKey(stored.id), stored);
      return client.invalidateQueries({ queryKey: listKey, exact: true });
    },
  });
}

export function useRemoveJob() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (id: string) =>
      bodyOf<undefined>(await api.jobs[':id'].$delete({ param: { id: encodeURIComponent(id) } })),
    onSuccess: () => client.invalidateQueries({ queryKey: listKey, exact: true }),
  });
}

/** Edits that took, with what takes them back, newest last; kept while the page is open. */
const undoStacks = new Map<string, Edit[][]>();

/** Changes a job: shown at once, called saved only when the server has it on its disk. */
export function useEdit(id: string) {
  const client = useQueryClient();
  const mutation = useMutation({
    scope: { id: `edit ${id}` },
    mutationFn: async ({ edits, sent }: { edits: Edit[]; sent: string }) =>
      bodyOf<StoredJob>(
        await fetch(`/api/jobs/${encodeURIComponent(id)}/edits`, {
          method: 'POST',
          body: JSON.stringify({ sent, edits }),
          headers: { 'content-type': 'application/json' },
        }),
      ),
    onMutate: async ({ edits }) => {
      await client.cancelQueries({ queryKey: jobKey(id) });
      const before = client.getQueryData<StoredJob>(jobKey(id));
      if (before) {
        const job = edits.reduce<Job>((each, edit) => applyEdit(each, edit), before.job);
        client.setQueryData(jobKey(id), { ...before, job });
      }
      return { before };
    },
    onSuccess: (stored) => {
      client.setQueryData(jobKey(id), stored);
    },
    onError: (_error, _sent, context) => {
      if (context?.before) client.setQueryData(jobKey(id), context.before);
    },
  });
  const send = (edits: Edit[]) => mutation.mutateAsync({ edits, sent: crypto.randomUUID() });
  return {
    saving: mutation.isPending,
    error: mutation.error,
    reset: mutation.reset,
    /** Sends edits and remembers how to take them back. */
    async edit(edits: Edit[]): Promise<StoredJob> {
      const before = client.getQueryData<StoredJob>(jobKey(id))?.job;
      const stored = await send(edits);
      if (before) {
        const inverses: Edit[] = [];
        edits.reduce<Job>((job, edit) => {
          inverses.unshift(inverseOf(job, edit));
          return applyEdit(job, edit);
        }, before);
        undoStacks.set(id, [...(undoStacks.get(id) ?? []), inverses]);
      }
      return stored;
    },
    /** Takes the last edits back; false when there is nothing left to take back. */
    async undo(): Promise<boolean> {
      const stack = undoStacks.get(id) ?? [];
      const last = stack.at(-1);
      if (!last) return false;
      undoStacks.set(id, stack.slice(0, -1));
      await send(last);
      return true;
    },
  };
}
