import { tolerance } from '../job/units.js';
import { overlaps } from '../line/intervals.js';
import { methodBit, methodsInOrder } from '../methods/index.js';
import { hasWay } from '../solve/cheapest.js';
import type { Restriction } from '../solve/restrictions.js';
import type { LineWay, Way } from '../solve/way.js';
import { stationOf } from '../track/track.js';
import type { Warning } from '../warning.js';
import { refusalOn } from './refusals.js';

/** For every line that has no way: the smallest set of pins that collide, or the places that nothing may cure. */
export function noWayWarnings(way: Way): Warning[] {
  return way.lines.filter(({ chosen }) => !chosen).flatMap(noWay);
}

function noWay({ line, prepared }: LineWay): Warning[] {
  const id = line.model.line.id;
  const { track } = prepared.possible;
  const feasible = (pins: readonly Restriction[]) => hasWay(prepared, pins);
  if (feasible([])) {
    const colliding = [...line.restrictions].reduce<readonly Restriction[]>(
      (kept, pin) =>
        feasible(kept.filter((each) => each !== pin)) ? kept : kept.filter((each) => each !== pin),
      line.restrictions,
    );
    const places = colliding.map((pin) => {
      const forced = methodsInOrder().filter((method) => pin.allowed & methodBit(method));
      const [only] = forced;
      const others = line.restrictions.filter((each) => each !== pin);
      const refusal = forced.length === 1 && only ? refusalOn(track, only, pin, others) : undefined;
      const where = pin.says ?? `${pin.from_ft.toFixed(1)} to ${pin.to_ft.toFixed(1)} ft`;
      return refusal ? `${only ?? ''} at ${where} (${refusal.rule}: ${refusal.why})` : where;
    });
    const duty = track.obligations.cured.find(({ place }) => colliding.some((pin) => overlaps(pin, place)));
    return [
      {
        rule: 'no-way',
        line: id,
        at_ft: colliding[0]?.from_ft ?? 0,
        message: `These pins collide: ${places.join('; ')}${duty ? `, with: ${duty.why}` : ''}. Lift one of them`,
      },
    ];
  }
  const stuck = track.obligations.cured.filter(
    ({ place }) =>
      !prepared.possible.candidatesFrom.some((candidates, from) =>
        candidates.some(
          ({ to }) =>
            stationOf(track, from) <= place.from_ft + tolerance.ft &&
            stationOf(track, to) >= Math.min(place.to_ft, place.from_ft + 1) - tolerance.ft,
        ),
      ),
  );
  const named = stuck.length > 0 ? stuck : track.obligations.cured;
  if (named.length === 0) {
    return [{ rule: 'no-way', line: id, message: 'no scope satisfies the house rules on this line' }];
  }
  return named.map(({ place, why, methods }) => ({
    rule: 'no-way',
    line: id,
    at_ft: place.from_ft,
    message: `${why}, but ${methods
      .map((method) => {
        const refusal = refusalOn(track, method, place, []);
        return `${method} is refused${refusal ? ` (${refusal.rule}: ${refusal.why})` : ' by what lies beside it'}`;
      })
      .join('; ')}`,
  }));
}
