import { surfaceRows } from '../catalog/surfaces.js';
import { oncePer } from '../once-per.js';
import { layOver } from '../lay-over.js';
import type { PricesOverride } from './prices-schema.js';
import { tolerance } from '../units.js';

export type MadeThickness = keyof NonNullable<PricesOverride['liner_per_ft']>;
export type Prices = Required<PricesOverride> & {
  readonly liner_per_ft: Readonly<Record<MadeThickness, Record<string, number>>>;
};

/** Invented but plausible default rates, which a company replaces with its own. */
export const defaultPrices: Prices = {
  currency: 'USD',
  dated: '2026-01-05',
  mobilisation: {
    clean: 285,
    spot: 950,
    line: 1850,
    'short-line': 1150,
    'open-cut': 1400,
    burst: 2600,
    regrade: 1400,
  },
  cleaning_per_ft: 3.5,
  descaling_per_ft: 11,
  digTo5_per_yd3: 240,
  digBelow5_per_yd3: 390,
  support_per_ft2: 14,
  shield_per_ft2: 11,
  backfill_per_yd3: 115,
  restore_per_ft2: Object.fromEntries(surfaceRows.map(({ id, restore_per_ft2 }) => [id, restore_per_ft2])),
  handDug_per_ft: 380,
  permit_per_hole: 980,
  pipe_per_ft: {
    abs: { '3': 24, '4': 29, '6': 46 },
    'pvc-sch40': { '3': 23, '4': 28, '6': 45, '8': 68 },
    'pvc-sdr35': { '4': 24, '6': 38, '8': 57 },
    hdpe: { '4': 31, '6': 49, '8': 74 },
  },
  coupling_each: { '3': 68, '4': 82, '6': 128, '8': 190 },
  liner_per_ft: {
    '0.118': { '3': 78, '4': 86, '6': 112, '8': 148 },
    '0.177': { '3': 94, '4': 104, '6': 135, '8': 178 },
    '0.236': { '3': 112, '4': 124, '6': 160, '8': 212 },
  },
  fitting_each: { wye: 96, bend: 58, drop: 210, cleanout: 118, valve: 690, trap: 165, reducer: 74 },
  reconnection_each: 260,
  stopWater_each: 0,
  liner_each: 890,
  shortLiner_each: 640,
  reinstatement_each: 340,
  transition_each: 460,
  burst_per_ft: { '3': 96, '4': 108, '6': 138, '8': 182 },
  rehang_per_ft: 44,
  cutBack_each: 310,
  cleanout_each: { new: 640, exposed: 180, raised: 260, recapped: 75, rebuilt: 780 },
  yearlyCleaning: 185,
  look: 165,
  markup: 0,
  tax: 0,
};

/** The price book in force: the defaults with the job's own rates laid over them, tables merged key by key. */
export const pricesInForce = (override: PricesOverride | undefined): Prices =>
  layOver(defaultPrices, override) as Prices;

/** The bores (in) of a table in rising order, with their rates. */
const ratesIn = oncePer((table: Record<string, number>) =>
  Object.entries(table)
    .map(([bore, rate]) => [Number(bore), rate] as const)
    .sort(([one], [other]) => one - other),
);

/** Rate for a bore (in): the listed one, else the next larger listed, else the largest. Undefined for an empty table. */
export function rateForBore(table: Record<string, number> | undefined, bore_in: number): number | undefined {
  if (!table) return undefined;
  const rates = ratesIn(table);
  for (const [bore, rate] of rates) if (bore >= bore_in - tolerance.exact) return rate;
  return rates.at(-1)?.[1];
}
