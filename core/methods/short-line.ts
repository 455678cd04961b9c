import { tolerance } from '../units.js';
import { num } from '../search/columns.js';
import { barredFor } from '../track/barred.js';
import { countCells, over } from '../track/sums.js';
import type { Track } from '../track/track.js';
import { Trait } from './candidates.js';
import { isPushedTo, pushedFrom, type PushedFrom } from './entry.js';
import { linerCellRefusal, linerOffers, linerWork, shortJoins } from './liner.js';
import type { MethodRow, Work } from './method.js';

/** The longest sectional liner, ft. Common practice. */
const most_ft = 10;
/** Sound pipe each end seals on, ft. */
const soundEnd_ft = 1;

/** A sectional liner of a few feet, pushed from a cleanout or manhole within reach, or from a pit at one end. */
export const shortLine: MethodRow = {
  id: 'short-line',
  words: {
    name: 'Sectional liner',
    setUp: 'set sectional liners',
    asked: { name: 'Sectional', key: 'h', does: 'sectional liner' },
  },
  drawing: { fill: 'liner', ink: 'on-liner' },
  cures: ['liner'],
  standsFor: 'liner',
  work: {
    ...linerWork({ each: 'shortLiner_each', name: 'Sectional liner', set: 'Set one sectional liner' }),
    offered: (length, where) => `A sectional liner of ${length} ft, ${where}`,
    offers: shortOffers,
    joins: shortJoins,
  },
};

function shortOffers(track: Track): ReturnType<Work['offers']> {
  const { breaks, prices } = track;
  const barred = barredFor(track, 'short-line');
  const bad = countCells(track, ({ findings }) =>
    findings.some(({ grade, possible }) => grade >= 3 && !possible),
  );
  const accesses = accessesByBore(track);
  return linerOffers(track, {
    setting: prices.shortLiner_each,
    most_ft,
    traitsOf: (start, end) => {
      if (over(barred, start, end) > 0 || !endsOnSoundPipe(breaks, bad, start, end)) return undefined;
      const near = accesses(track.cells[start]?.pipe.diameter_in ?? 4);
      return near.length > 0 && isPushedTo(near, num(breaks, start), num(breaks, end)) ? Trait.viaAccess : 0;
    },
  });
}

/** Access points for pushing a sectional liner, by bore. */
export function accessesByBore(track: Track): (bore_in: number) => readonly PushedFrom[] {
  const known = new Map<number, readonly PushedFrom[]>();
  return (bore_in) => {
    const found =
      known.get(bore_in) ?? pushedFrom(track, bore_in, (cell) => linerCellRefusal(cell) === undefined);
    known.set(bore_in, found);
    return found;
  };
}

/** Nothing to fix within the first and the last foot. */
function endsOnSoundPipe(breaks: Float64Array, bad: Float64Array, start: number, end: number): boolean {
  const [a, b] = [num(breaks, start), num(breaks, end)];
  if (over(bad, start, end) === 0) return true;
  for (let i = start; i < end; i++) {
    const atEnd =
      num(breaks, i) < a + soundEnd_ft - tolerance.ft || num(breaks, i + 1) > b - soundEnd_ft + tolerance.ft;
    if (atEnd && over(bad, i, i + 1) > 0) return false;
  }
  return true;
}
