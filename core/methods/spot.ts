import { digRefusal, digWork } from './dig.js';
import type { MethodRow } from './method.js';

/** Spot repair: new pipe in an open cut of a few feet. */
export const spot: MethodRow = {
  id: 'spot',
  words: {
    name: 'Spot repair',
    setUp: 'dig for spot repairs',
    asked: { name: 'Spot repair', key: 's', does: 'spot repair' },
  },
  drawing: { fill: 'signal', ink: 'on-signal' },
  cures: ['spot', 'replacement'],
  standsFor: 'spot',
  work: {
    ...digWork({
      method: 'spot',
      lengths: ({ spotMost_ft }) => ({ most_ft: spotMost_ft }),
    }),
    offered: (length, where) => `Spot repair: ${length} ft of new pipe, ${where}`,
    refusal: digRefusal,
  },
};
