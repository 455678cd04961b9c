import { methods } from '../job/vocabulary.js';
import { overlaps } from '../line/intervals.js';
import type { Warning } from '../warning.js';
import { hasWay } from './cheapest.js';
import { methodBit } from './edges.js';
import { refusalOn } from './refusals.js';
import type { Restriction } from './search.js';
import type { LineWay, Way } from './way.js';

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
      const forced = methods.filter((method) => pin.allowed & methodBit(method));
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
      !prepared.possible.edgesFrom.some((edges, from) => {
        const at = (b: number) => track.breaks[track.boundaries[b] ?? 0] ?? 0;
        return edges.some(
          (edge) =>
            at(from) <= place.from_ft + 1e-6 &&
            at(edge.to) >= Math.min(place.to_ft, place.from_ft + 1) - 1e-6,
        );
      }),
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
