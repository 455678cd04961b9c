import { sayDay } from '../days.js';
import { editKind } from './kind.js';

/** Accepting an offer, or withdrawing the acceptance. */
export const acceptedEdit = editKind({
  kind: 'accepted',
  schema: ({ z, acceptanceSchema }) =>
    z.strictObject({ kind: z.literal('accepted'), set: acceptanceSchema.nullable() }),
  read: (job) => job.accepted ?? null,
  write: (job, { set }) => {
    const { accepted: _accepted, ...rest } = job;
    return set ? { ...rest, accepted: set } : rest;
  },
  things: () => ['accepted'],
  whole: true,
  row: () => ({ of: 'job' }),
  say: ({ set }) => (set ? `Offer accepted on ${sayDay(set.on)}` : 'Acceptance of the offer withdrawn'),
});
