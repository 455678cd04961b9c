import type { Prices } from '../job/prices.js';
import type { Point } from '../job/schema.js';
import type { FittingKind } from '../job/vocabulary.js';

/** A fitting in new pipe: bought, and its lay length deducted from the cut pipe. */
export interface Fitting {
  readonly kind: FittingKind;
  readonly at_ft: number;
  readonly diameter_in: number;
  readonly degrees?: number | undefined;
  /** It has to be measured before it is bought, since the bend was not. */
  readonly measure: boolean;
}

/** The fitting that replaces a point in new pipe; undefined where none does. */
export function fittingFor({ kind, state }: Point): FittingKind | undefined {
  switch (kind) {
    case 'tie-in':
      return 'wye';
    case 'cleanout':
      return state === 'none-here' ? undefined : 'cleanout';
    case 'bend':
    case 'drop':
    case 'valve':
    case 'trap':
      return kind;
    default:
      return undefined;
  }
}

/** Lay length per inch of bore, in: common practice, to be measured on the fitting before cutting. */
const layByBore: Readonly<Record<FittingKind, number>> = {
  wye: 2.5,
  bend: 1.2,
  drop: 3,
  cleanout: 3,
  valve: 4,
  trap: 4.5,
  reducer: 1,
};

/** Length of a run of pipe taken up by the fitting itself, ft. */
export const layLength = ({ kind, diameter_in }: Pick<Fitting, 'kind' | 'diameter_in'>): number =>
  (layByBore[kind] * diameter_in) / 12;

export const fittingNames: Readonly<Record<FittingKind, string>> = {
  wye: 'Wye',
  bend: 'Bend',
  drop: 'Drop fittings',
  cleanout: 'Cleanout fitting',
  valve: 'Backwater valve, with access to it',
  trap: 'House trap with its cleanouts, where the local code keeps one',
  reducer: 'Reducer',
};

/** A fitting in a sentence: "wye, 4 in, at 40.0 ft". */
export const sayFitting = ({ kind, diameter_in, degrees, at_ft, measure }: Fitting): string =>
  [
    `${fittingNames[kind]}, ${diameter_in} in`,
    degrees === undefined ? '' : `${degrees}°`,
    `at ${at_ft.toFixed(1)} ft`,
    measure ? 'measure the turn first' : '',
  ]
    .filter(Boolean)
    .join(', ');

/** Cost of a fitting, and of reconnecting a wye's branch; money, raw. */
export const fittingCost = ({ fitting_each, reconnection_each }: Prices, kind: FittingKind): number =>
  (fitting_each[kind] ?? 0) + (kind === 'wye' ? reconnection_each : 0);
