import { tolerance } from '../units.js';
import { num } from '../search/columns.js';
import { barredFor } from '../track/barred.js';
import { over } from '../track/sums.js';
import type { Track } from '../track/track.js';
import { lineJoins, linerOffers, linerWork } from './liner.js';
import type { MethodRow } from './method.js';

/** A cured-in-place liner, inserted from one of its ends. */
export const line: MethodRow = {
  id: 'line',
  words: { name: 'Liner', setUp: 'line', asked: { name: 'Line', key: 'l', does: 'line it' } },
  drawing: { fill: 'liner', ink: 'on-liner' },
  cures: ['liner'],
  standsFor: 'liner',
  work: {
    ...linerWork({ each: 'liner_each', name: 'Liner', set: 'Set one liner' }),
    offered: (length, where) => `${length} ft lined, ${where}`,
    offers: (track: Track) => {
      const barred = barredFor(track, 'line');
      const { breaks, rules } = track;
      const isLong = (start: number, end: number) =>
        num(breaks, end) - num(breaks, start) >= rules.leastLongLiner_ft - tolerance.exact;
      return linerOffers(track, {
        setting: track.prices.liner_each,
        traitsOf: (start, end) => (over(barred, start, end) === 0 && isLong(start, end) ? 0 : undefined),
      });
    },
    joins: lineJoins,
  },
};
