import { plain } from '../figure.js';
import { materialWords } from '../catalog/materials.js';
import type { Scope } from '../scope/scope.js';

/** One thing to buy or make for a job. */
export interface ShoppingItem {
  readonly what: string;
  readonly count: number;
  readonly unit: 'each' | 'gal';
  /** What has to be measured before it is bought. */
  readonly measure: string | undefined;
}

/**
 * Everything to buy for a job, counted over all its lines: sticks, couplings, fittings, liners cut to length, resin,
 * cleanout fittings.
 */
export function shoppingList(scope: Pick<Scope, 'buy' | 'lines'>): ShoppingItem[] {
  const items = new Map<string, ShoppingItem>();
  const add = (what: string, count: number, unit: ShoppingItem['unit'] = 'each', measure?: string) => {
    const known = items.get(what);
    items.set(what, { what, count: (known?.count ?? 0) + count, unit, measure: known?.measure ?? measure });
  };
  for (const { material, diameter_in, length_ft } of scope.buy.sticks) {
    add(`${diameter_in} in ${materialWords(material)}, ${length_ft} ft stick`, 1);
  }
  for (const { sides, measure } of scope.buy.couplings) {
    const side = ({ material, diameter_in, outside_in }: (typeof sides)[number]) =>
      `${diameter_in} in ${materialWords(material)}${outside_in === null ? '' : ` (${outside_in.toFixed(3)} in outside)`}`;
    const unknown = sides.filter(({ outside_in }) => outside_in === null);
    add(
      `Banded coupling, ${sides.map(side).join(' to ')}`,
      1,
      'each',
      measure
        ? `the outside of the ${unknown.map(({ material, diameter_in }) => `${diameter_in} in ${materialWords(material)}`).join(' and ')}`
        : undefined,
    );
  }
  for (const { item, measure, kind } of scope.buy.fittings) {
    add(item, 1, 'each', measure ? 'the degrees of the turn' : undefined);
    // It is entered from above.
    if (kind === 'valve') add('Box and cover over the valve', 1);
  }
  for (const { actions, cleanouts } of scope.lines) {
    for (const { liner } of actions) {
      if (!liner) continue;
      const flat = `${plain(liner.layFlat.value)} in lay-flat, ${liner.thickness.value} in thick`;
      add(`Liner ${flat}, cut at ${plain(liner.cut.value, 1)} ft`, 1);
      add(`Bladder, ${plain(liner.bladder.value, 1)} ft`, 1);
      add('Resin', liner.resin.value, 'gal');
    }
    for (const { status, riser_ft } of cleanouts) {
      if (status === 'new') add(`Cleanout: two-way fitting, riser of ${plain(riser_ft, 1)} ft, cap`, 1);
    }
  }
  return [...items.values()];
}
