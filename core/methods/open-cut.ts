import { digRefusal, digWork } from './dig.js';
import type { MethodRow } from './method.js';

/** Replace in an open cut longer than a spot repair. It cures a belly only where it is laid to grade. */
export const openCut: MethodRow = {
  id: 'open-cut',
  words: { name: 'Replace', setUp: 'open cut' },
  drawing: { fill: 'signal', ink: 'on-signal' },
  cures: ['spot', 'replacement'],
  curesToGrade: ['regrade'],
  standsFor: 'replacement',
  work: {
    ...digWork({
      method: 'open-cut',
      lengths: ({ spotMost_ft }) => ({ over_ft: spotMost_ft }),
      accepts: ({ owesGrade, laidToGrade }) => !owesGrade || laidToGrade(),
    }),
    renews: true,
    offered: (length, where) => `${length} ft of pipe replaced in an open cut, ${where}`,
    refusal: digRefusal,
  },
};
