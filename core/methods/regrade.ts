import { isSag } from '../condition/graded-finding.js';
import { overlaps, type Interval } from '../line/intervals.js';
import type { Cell, Refusal, Track } from '../track/track.js';
import { digCellRefusal, digWork, fallsOver, firstRefusal } from './dig.js';
import type { MethodRow } from './method.js';

/** Relay to a new grade over a whole sag; exposed pipe is rehung on straps. */
export const regrade: MethodRow = {
  id: 'regrade',
  words: { name: 'Regrade', setUp: 'regrade', asked: { name: 'Regrade', key: 'r', does: 'regrade it' } },
  drawing: { fill: 'signal', ink: 'on-signal' },
  cures: ['spot', 'replacement'],
  curesToGrade: ['regrade'],
  standsFor: 'regrade',
  work: {
    ...digWork({
      method: 'regrade',
      accepts: ({ laidToGrade }) => laidToGrade(),
      onlySags: true,
      rehangs: true,
    }),
    offered: (length, where, { exposed }) =>
      `${length} ft of pipe ${exposed ? 'rehung' : 'relaid'} to grade, ${where}`,
    refusal: regradeRefusal,
  },
};

function regradeRefusal(track: Track, stretch: Interval, cells: readonly Cell[]): Refusal | undefined {
  const refused = firstRefusal(cells, digCellRefusal);
  if (refused) return refused;
  const sags = track.condition.findings.filter((each) => isSag(each) && overlaps(each.place, stretch));
  if (sags.length === 0)
    return { rule: 'no-sag', why: 'there is no belly here to remove', lift: 'a belly found here' };
  return fallsOver(track, stretch.from_ft, stretch.to_ft, sags)
    ? undefined
    : {
        rule: 'not-enough-fall',
        why: 'between these ends the pipe would lie flatter than the least slope',
        lift: 'a longer stretch relaid, or a lower place to end it',
      };
}
