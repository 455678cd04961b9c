import { digRefusal, digWork } from './dig.js';
import { tolerance } from '../job/units.js';
import type { MethodRow } from './method.js';

/** Spot repair: new pipe in an open cut of a few feet. */
export const spot: MethodRow = {
  id: 'spot',
  words: { name: 'Spot dig', setUp: 'dig spots', asked: { name: 'Dig', key: 's', does: 'dig it' } },
  drawing: { fill: 'signal', ink: 'on-signal' },
  cures: ['spot', 'replacement'],
  standsFor: 'spot',
  work: {
    ...digWork({
      method: 'spot',
      accepts: ({ length_ft }, { rules }) => length_ft <= rules.spotMost_ft + tolerance.exact,
    }),
    offered: (length, where) => `${length} ft of new pipe, ${where}`,
    refusal: digRefusal,
  },
};
