import { intersect, overlaps, subtract, union, type Interval } from '../line/intervals.js';
import { oncePer } from '../once-per.js';
import { trackUnder } from '../prepare/track-of.js';
import { prepareOn, type Prepared } from '../prepare/prepare.js';
import type { Obligation, Obligations } from '../track/track.js';
import { atMost } from './cheapest.js';

/**
 * A line without the obligations that nothing could meet if each were the only one, pins aside: a belly that no slope
 * takes out binds nothing, so that the broken pipe inside it is still repaired. Then, what is wanted of a whole stretch
 * gives way where a place is left uncured that could be cured without it.
 */
export const withoutImpossible = oncePer((line: Prepared): Prepared => {
  const uncured = uncurableOn(line);
  if (uncured.length === 0) return line;
  const { cured } = line.possible.track.obligations;
  const suspects = new Set(
    suspectsAmong(
      line,
      cured.filter((duty) => !isLeftToOthers(duty) && meets(duty, uncured)),
    ),
  );
  const possible = setAside(line, (duty) => (suspects.has(duty) ? impossiblePart(line, duty) : []));
  const about = toCure(possible, uncurableOn(possible));
  return setAside(possible, (duty) => {
    if (!isOfStretch(duty) || !meets(duty, about)) return [];
    return duty.whole ? [duty.place] : intersect([duty.place], about);
  });
});

/** What it takes to cure the places left uncured, each by itself: room around them, and wherever else it needs work. */
function toCure(line: Prepared, uncured: readonly Interval[]): Interval[] {
  const { obligations, rules } = line.possible.track;
  const places = obligations.cured.filter((duty) => !isOfStretch(duty) && meets(duty, uncured));
  if (places.length === 0) return [];
  const around = uncured
    .filter((each) => places.some(({ place }) => overlaps(place, each)))
    .map(({ from_ft, to_ft }) => ({
      from_ft: from_ft - rules.leastNewPipe_ft,
      to_ft: to_ft + rules.leastNewPipe_ft,
    }));
  const ours = places.filter((duty) => !isLeftToOthers(duty));
  return union([...around, ...atMost(preparedFor(line, ours)).work]);
}

/** Wanted of a stretch with several findings: one repair, or new pipe throughout. */
const isOfStretch = ({ finding }: Obligation): boolean => finding === undefined;

const meets = ({ place }: Obligation, all: readonly Interval[]): boolean =>
  all.some((each) => overlaps(each, place));

/** A line with the given parts of its obligations set aside; the same line where there are none. */
function setAside(line: Prepared, partOf: (duty: Obligation) => readonly Interval[]): Prepared {
  const { cured, cleaned, impossible } = line.possible.track.obligations;
  const split = cured.map((duty) => ({ duty, never: partOf(duty) }));
  if (split.every(({ never }) => never.length === 0)) return line;
  const parts = (duty: Obligation, places: readonly Interval[]) =>
    places.map((place) => ({ ...duty, place }));
  return preparedUnder(line, {
    cured: split.flatMap(({ duty, never }) => parts(duty, subtract([duty.place], never))),
    cleaned,
    // Places that cannot be one repair are each cured by themselves, or named by themselves.
    impossible: [
      ...impossible,
      ...split.flatMap(({ duty, never }) => (isOfStretch(duty) && duty.whole ? [] : parts(duty, never))),
    ],
  });
}

/**
 * Obligations that may be impossible. Those that do not overlap are tried together: what is met among others could be met
 * alone.
 */
function suspectsAmong(line: Prepared, duties: readonly Obligation[]): Obligation[] {
  const batches: Obligation[][] = [];
  for (const duty of duties) {
    const batch = batches.find((each) => each.every(({ place }) => !overlaps(place, duty.place)));
    if (batch) batch.push(duty);
    else batches.push([duty]);
  }
  return batches.flatMap((batch) => {
    if (batch.length === 1) return batch;
    const left = uncurableOn(preparedFor(line, batch));
    return batch.filter((duty) => meets(duty, left));
  });
}

/** Where an obligation cannot be met although nothing else is required: all of it where it must be met in one piece. */
function impossiblePart(line: Prepared, duty: Obligation): Interval[] {
  const unmet = intersect(uncurableOn(preparedFor(line, [duty])), [duty.place]);
  if (unmet.length === 0) return [];
  if (duty.whole) return [duty.place];
  // What is left of old pipe between two such places is no longer worth renewing.
  const { leastGap_ft } = line.possible.track.rules;
  const left = isOfStretch(duty) ? subtract([duty.place], unmet) : [];
  return union([...unmet, ...left.filter(({ from_ft, to_ft }) => to_ft - from_ft < leastGap_ft)]);
}

/** Nothing of ours goes across what is another's, whatever else is set aside. */
const isLeftToOthers = ({ methods }: Obligation): boolean => methods.length === 0;

const preparedUnder = ({ possible }: Prepared, duties: Obligations): Prepared =>
  prepareOn(trackUnder(possible.track, duties), possible);

/** The line if these were the only obligations, beside what is left to others. */
function preparedFor(line: Prepared, duties: readonly Obligation[]): Prepared {
  const { cured, cleaned } = line.possible.track.obligations;
  return preparedUnder(line, {
    cured: [...duties, ...cured.filter(isLeftToOthers)],
    cleaned,
    impossible: [],
  });
}

/** Stretches that must be cured and that no plan cures. */
function uncurableOn(line: Prepared): Interval[] {
  const { uncured } = atMost(line);
  return union(line.possible.track.cells.filter((_, i) => uncured[i] === 1));
}
