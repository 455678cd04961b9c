import type { Stage } from '../job/vocabulary.js';

/** Which runs are solved together: those for the scope, an older inspection, or the post-repair inspection. */
export type Frame = 'scope' | 'earlier' | 'after-repair';

export const frameOf = (stage: Stage | undefined): Frame =>
  stage === 'earlier' || stage === 'after-repair' ? stage : 'scope';
