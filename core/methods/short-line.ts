import { tolerance } from '../job/units.js';
import { num } from '../search/columns.js';
import { barredFor } from '../track/barred.js';
import { countCells, over } from '../track/sums.js';
import type { Track } from '../track/track.js';
import { accessWithin } from './entry.js';
import { Arrives, Departs } from '../track/joins.js';
import { insertedFromEitherEnd } from './line.js';
import { linerCandidates, linerWork, type Covered } from './liner.js';
import type { Candidate, MethodRow } from './method.js';

/** Length of a sectional liner, ft. Common practice. */
const least_ft = 2;
const most_ft = 10;
/** Its ends seal on so much sound pipe, ft. */
const soundEnd_ft = 1;

/** A sectional liner of a few feet, pushed from a cleanout or manhole within reach, or from a pit at its end. */
export const shortLine: MethodRow = {
  id: 'short-line',
  words: {
    name: 'Short liner',
    setUp: 'put in short liners',
    asked: { name: 'Short liner', key: 'h', does: 'short liner' },
  },
  drawing: { fill: 'liner', ink: 'on-liner' },
  cures: ['liner'],
  standsFor: 'liner',
  work: {
    ...linerWork({ each: 'shortLiner_each', name: 'Short liner', set: 'Set one short liner' }),
    offered: (length, where) => `A short liner of ${length} ft, ${where}`,
    candidates: shortCandidates,
    joins: ({ viaAccess }) => (viaAccess ? insertedFromAccess : insertedFromEitherEnd),
  },
};

const insertedFromAccess = [[Departs.LinerFromAccess, Arrives.Liner]] as const;

function shortCandidates(track: Track): (from: number) => Candidate[] {
  const { breaks, prices } = track;
  const barred = barredFor(track, 'short-line');
  const bad = countCells(track, ({ findings }) =>
    findings.some(({ grade, possible }) => grade >= 3 && !possible),
  );
  const take = ({ from, to, start, end, cost }: Covered): Candidate | undefined => {
    const [a, b] = [num(breaks, start), num(breaks, end)];
    const tooShort = b - a < least_ft - tolerance.exact;
    if (tooShort || over(barred, start, end) > 0 || !endsOnSoundPipe(breaks, bad, start, end))
      return undefined;
    const viaAccess = accessWithin(track, a, b, track.cells[start]?.pipe.diameter_in ?? 4);
    return { from, to, method: 'short-line', cost: cost + prices.shortLiner_each, exposed: false, viaAccess };
  };
  return linerCandidates(track, take, most_ft);
}

/** The first and the last foot hold nothing to fix. */
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
