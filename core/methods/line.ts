import { barredFor } from '../track/barred.js';
import { over } from '../track/sums.js';
import type { Track } from '../track/track.js';
import { Arrives, Departs } from '../track/joins.js';
import { linerCandidates, linerWork } from './liner.js';
import type { MethodRow } from './method.js';

/** A liner cured in place, inserted from one of its ends. */
export const line: MethodRow = {
  id: 'line',
  words: { name: 'Line', setUp: 'line', asked: { name: 'Line', key: 'l', does: 'line it' } },
  drawing: { fill: 'liner', ink: 'on-liner' },
  cures: ['liner'],
  standsFor: 'liner',
  work: {
    ...linerWork({ each: 'liner_each', name: 'Liner', set: 'Set one liner' }),
    offered: (length, where) => `${length} ft lined, ${where}`,
    candidates: (track: Track) => {
      const barred = barredFor(track, 'line');
      return linerCandidates(track, ({ from, to, start, end, cost }) =>
        over(barred, start, end) === 0
          ? {
              from,
              to,
              method: 'line',
              cost: cost + track.prices.liner_each,
              exposed: false,
              viaAccess: false,
            }
          : undefined,
      );
    },
    joins: () => insertedFromEitherEnd,
  },
};

export const insertedFromEitherEnd = [
  [Departs.LinerInserted, Arrives.Liner],
  [Departs.LinerOwing, Arrives.LinerInserted],
] as const;
