/** Repair approaches, from the least done to the most. */
export const schools = ['maintain', 'repair', 'renew'] as const;
export type School = (typeof schools)[number];

/** Name and meaning of each repair approach, for every screen and document. */
export const schoolWords: Readonly<Record<School, { readonly name: string; readonly means: string }>> = {
  maintain: { name: 'Keep it clean', means: 'dig only what has failed' },
  repair: { name: 'Fix what failed', means: 'and watch the rest' },
  renew: { name: 'Renew it whole', means: 'every stretch of old pipe that holds trouble' },
};
