import { overlaps } from '../line/intervals.js';
import { methodBit, methodsInOrder } from '../methods/index.js';
import { isSolvable } from '../solve/cheapest.js';
import type { Restriction } from '../solve/restrictions.js';
import type { LineSolution, Solution } from '../solve/solution.js';
import type { Warning } from '../warning.js';
import { refusalOn } from './refusals.js';

/** For every line with no feasible scope: the smallest set of pins that conflict. */
export function unsolvedWarnings(solution: Solution): Warning[] {
  return solution.lines.filter(({ chosen }) => !chosen).flatMap(noWay);
}

function noWay({ line, prepared }: LineSolution): Warning[] {
  const id = line.model.line.id;
  const { track } = prepared.possible;
  const feasible = (pins: readonly Restriction[]) => isSolvable(prepared, pins);
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
  return [{ rule: 'no-way', line: id, message: 'no scope satisfies the house rules on this line' }];
}
