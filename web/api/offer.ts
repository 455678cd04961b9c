import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Firm } from '../../core/job/firm.js';
import type { Acceptance, Job } from '../../core/job/schema.js';
import type { Offer } from '../../core/offer/offer.js';
import type { Share } from '../../server/jobs/shares.js';
import { api, bodyOf, write } from './client';
import { worker } from '../view/worker';

const workedOut = { staleTime: Infinity, gcTime: 60_000 } as const;

/** The current offer of a job, computed in the worker. */
export const useOffer = (job: Job, firm: Firm, today: string) =>
  useQuery({
    queryKey: ['offer', job, firm, today],
    queryFn: () => worker.offerOf(job, firm, today),
    placeholderData: keepPreviousData,
    ...workedOut,
  });

/** The accepted option as agreed, computed from what was frozen with it. */
export const useAgreed = (accepted: Acceptance | undefined, firm: Firm) =>
  useQuery({
    queryKey: ['agreed', accepted, firm],
    queryFn: () => {
      if (!accepted) throw new Error('nothing was accepted');
      const { job, school, on } = accepted;
      return worker.offerOf({ ...job, offer: { ...job.offer, ways: [school] } }, firm, on);
    },
    enabled: accepted !== undefined,
    ...workedOut,
  });

/** What changed since an offer was accepted. */
export const useSinceAccepted = (job: Job, firm: Firm) =>
  useQuery({
    queryKey: ['since', job, firm],
    queryFn: () => {
      if (!job.accepted) throw new Error('nothing was accepted');
      return worker.sinceAccepted(job, firm, job.accepted);
    },
    enabled: job.accepted !== undefined,
    placeholderData: keepPreviousData,
    ...workedOut,
  });

/** The follow-up of a finished job. */
export const useAfter = (job: Job, firm: Firm) =>
  useQuery({
    queryKey: ['after', job, firm],
    queryFn: () => worker.afterOf(job, firm),
    placeholderData: keepPreviousData,
    ...workedOut,
  });

const sharesKey = (job: string) => ['shares', job] as const;

/** Links for the customer to read this job's offer: existing ones, making one, closing one. */
export function useShares(job: string) {
  const client = useQueryClient();
  const again = () => client.invalidateQueries({ queryKey: sharesKey(job) });
  const param = { id: encodeURIComponent(job) };
  return {
    shares: useQuery({
      queryKey: sharesKey(job),
      queryFn: async () => bodyOf<Share[]>(await api.jobs[':id'].shares.$get({ param })),
      staleTime: 0,
    }),
    make: useMutation({
      mutationFn: () =>
        write<{ share: Share; secret: string; base?: string }>(
          'POST',
          `/api/jobs/${encodeURIComponent(job)}/shares`,
          {},
        ),
      onSuccess: again,
    }),
    close: useMutation({
      mutationFn: async (share: string) =>
        bodyOf<undefined>(await api.jobs[':id'].shares[':share'].$delete({ param: { ...param, share } })),
      onSuccess: again,
    }),
  };
}

/** The offer behind a secret link. */
export const useSharedOffer = (secret: string) =>
  useQuery({
    queryKey: ['shared', secret],
    queryFn: async () =>
      bodyOf<Offer>(await api.offers[':secret'].$get({ param: { secret: encodeURIComponent(secret) } })),
    retry: false,
    staleTime: Infinity,
  });
