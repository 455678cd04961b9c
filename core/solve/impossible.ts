import { intersect, overlaps, subtract, union, type Interval } from '../line/intervals.js';
import { oncePer } from '../once-per.js';
import { trackUnder } from '../prepare/track-of.js';
import { prepareOn, type Prepared } from '../prepare/prepare.js';
import type { Obligation, Obligations } from '../track/track.js';
import { uncurable } from './cheapest.js';

/**
 * A line without the obligations that nothing could meet if each were the only one, pins aside: a belly that no slope
 * takes out binds nothing, so that the broken pipe inside it is still repaired.
 */
export const withoutImpossible = oncePer((line: Prepared): Prepared => {
  const { track } = line.possible;
  const { cured, cleaned, impossible } = track.obligations;
  const uncured = uncurableOn(line);
  const split = cured.map((duty) => {
    const isUnmet = uncured.some((each) => overlaps(each, duty.place));
    // Nothing of ours goes across what is another's.
    const isOurs = duty.methods.length > 0;
    return { duty, never: isUnmet && isOurs ? impossiblePart(line, duty) : [] };
  });
  const set = split.flatMap(({ duty, never }) => never.map((place) => ({ ...duty, place })));
  if (set.length === 0) return line;
  const left = split.flatMap(({ duty, never }) =>
    subtract([duty.place], never).map((place) => ({ ...duty, place })),
  );
  return preparedUnder(line, { cured: left, cleaned, impossible: [...impossible, ...set] });
});

/** Where an obligation cannot be met although nothing else is required: all of it where it must be met in one piece. */
function impossiblePart(line: Prepared, duty: Obligation): Interval[] {
  const { cleaned } = line.possible.track.obligations;
  const alone = preparedUnder(line, { cured: [duty], cleaned, impossible: [] });
  const unmet = uncurableOn(alone);
  return duty.whole && unmet.length > 0 ? [duty.place] : intersect(unmet, [duty.place]);
}

const preparedUnder = ({ possible }: Prepared, duties: Obligations): Prepared =>
  prepareOn(trackUnder(possible.track, duties), possible);

/** Stretches that must be cured and that no plan cures. */
function uncurableOn(line: Prepared): Interval[] {
  const left = uncurable(line);
  return union(line.possible.track.cells.filter((_, i) => left[i] === 1));
}
