import { capital } from '../capital.js';
import type { PricesOverride } from '../job/prices-schema.js';
import type { RulesOverride } from '../job/rules-schema.js';
import { schoolWords } from '../job/school-words.js';
import { schools, type FittingKind, type Method } from '../job/vocabulary.js';
import { methodName } from '../methods/index.js';
import { fittingNames } from '../pipe/fittings.js';
import { measureOfField, type Measure } from '../speech/typed-number.js';

/** A rule as a form field: a number with its unit, or one of a few words. */
export type RuleField =
  | { readonly key: keyof RulesOverride; readonly label: string; readonly unit: string }
  | {
      readonly key: keyof RulesOverride;
      readonly label: string;
      readonly words: readonly (readonly [string, string])[];
    };

const yesNo = [
  ['true', 'yes'],
  ['false', 'no'],
] as const;

/** House rules in the order people come across them. */
export const ruleFields: readonly { readonly title: string; readonly fields: readonly RuleField[] }[] = [
  {
    title: 'What must be done',
    fields: [
      {
        key: 'school',
        label: 'Repair approach',
        words: schools.map((school) => [school, schoolWords[school].name.toLowerCase()] as const),
      },
      {
        key: 'publicPart',
        label: 'The public part is',
        words: [
          ['ours', 'ours, with a permit for each excavation'],
          ['owner', 'its owner’s to act on'],
        ],
      },
      { key: 'leastGap_ft', label: 'Least old pipe left between two repairs', unit: 'ft' },
      { key: 'crowdCount', label: 'Clustered places that become one repair', unit: 'places' },
      { key: 'crowdWithin_ft', label: '… within', unit: 'ft' },
      { key: 'hidesOver_percent', label: 'Roots and deposits hide the wall over', unit: '% of the diameter' },
      { key: 'flushLowersBelly', label: 'A flush that ran through lowers a slight belly', words: yesNo },
    ],
  },
  {
    title: 'What may be done',
    fields: [
      { key: 'spotMost_ft', label: 'A spot repair is at most', unit: 'ft' },
      { key: 'leastNewPipe_ft', label: 'New pipe is at least', unit: 'ft' },
      {
        key: 'toJoints',
        label: 'New pipe runs to the joints, where the piece length is known',
        words: yesNo,
      },
      { key: 'leastLiner_ft', label: 'A liner is at least', unit: 'ft' },
      { key: 'leastLongLiner_ft', label: 'A liner is sectional under', unit: 'ft' },
      { key: 'holesApart_ft', label: 'Excavations are dug as one when closer than', unit: 'ft' },
      { key: 'cleaningReach_ft', label: 'A cleaning tool reaches', unit: 'ft' },
      { key: 'handDugReach_ft', label: 'Dug by hand under a building, at most', unit: 'ft' },
      { key: 'transitionLiner', label: 'A liner may run over a change of diameter', words: yesNo },
      { key: 'burstAsbestosCement', label: 'Asbestos cement may be burst', words: yesNo },
      {
        key: 'newPipe',
        label: 'New pipe is',
        words: [
          ['pvc-sch40', 'white PVC'],
          ['pvc-sdr35', 'green PVC'],
          ['abs', 'ABS'],
          ['hdpe', 'HDPE'],
        ],
      },
      { key: 'ovality_percent', label: 'Liners are made for an oval of', unit: '%' },
      { key: 'wetOut_min_per_ft', label: 'Wetting out a liner takes', unit: 'min a foot' },
      { key: 'insertion_min_per_ft', label: 'Inserting it takes', unit: 'min a foot' },
      { key: 'setting_min', label: 'Setting it takes, whatever its length', unit: 'min' },
    ],
  },
  {
    title: 'Cleanouts and fall',
    fields: [
      {
        key: 'cleanoutFamily',
        label: 'Cleanouts by model code',
        words: [
          ['A', 'family A'],
          ['B', 'family B'],
          ['local', 'local spacing only'],
        ],
      },
      {
        key: 'addCleanout',
        label: 'Add a cleanout',
        words: [
          ['where-none', 'where there is none'],
          ['every-job', 'on every job'],
        ],
      },
      {
        key: 'slopeFamily',
        label: 'Least slope by model code',
        words: [
          ['A', 'family A'],
          ['B', 'family B'],
          ['B-approved', 'B, flatter approved'],
          ['local', 'the local figure'],
        ],
      },
      { key: 'localSlope_in_per_ft', label: 'Local least slope', unit: 'in/ft' },
    ],
  },
  {
    title: 'Camera and depths',
    fields: [
      { key: 'mostCable_ft', label: 'The longest cable is', unit: 'ft' },
      { key: 'assumedRest_ft', label: 'Length assumed past where the camera stopped', unit: 'ft' },
      { key: 'depthMargin_percent', label: 'A located depth may be off by', unit: '%' },
      { key: 'assumedDepth_ft', label: 'Depth assumed where none was located', unit: 'ft' },
    ],
  },
  {
    title: 'What leaving it costs later',
    fields: [
      { key: 'horizon_years', label: 'Years counted', unit: 'years' },
      { key: 'interest', label: 'Interest', unit: '% a year' },
      { key: 'chanceWatchFails', label: 'Chance that a place to watch fails', unit: '%' },
      { key: 'chanceFixFails', label: 'Chance that a place to fix fails', unit: '%' },
    ],
  },
];

/** Rates that are a single number. */
export const rateFields: readonly {
  readonly key: keyof PricesOverride;
  readonly label: string;
  readonly unit: string;
}[] = [
  { key: 'cleaning_per_ft', label: 'Cleaning', unit: 'a foot' },
  { key: 'descaling_per_ft', label: 'Descaling iron pipe', unit: 'a foot' },
  { key: 'cutBack_each', label: 'Cutting back protrusions', unit: 'each' },
  { key: 'digTo5_per_yd3', label: 'Excavation to 5 ft', unit: 'a yd³' },
  { key: 'digBelow5_per_yd3', label: 'Excavation below 5 ft', unit: 'a yd³' },
  { key: 'support_per_ft2', label: 'Shoring', unit: 'a ft² of wall' },
  { key: 'shield_per_ft2', label: 'Trench shield', unit: 'a ft² of wall' },
  { key: 'backfill_per_yd3', label: 'Haul and backfill', unit: 'a yd³' },
  { key: 'handDug_per_ft', label: 'Dug by hand under a building', unit: 'a foot' },
  { key: 'permit_per_hole', label: 'Permit in public ground', unit: 'an excavation' },
  { key: 'liner_each', label: 'Wet-out and cure of a liner', unit: 'each' },
  { key: 'shortLiner_each', label: 'Setting a sectional liner', unit: 'each' },
  { key: 'stopWater_each', label: 'Stopping running water before lining', unit: 'each' },
  { key: 'reinstatement_each', label: 'Reopening a branch connection', unit: 'each' },
  { key: 'reconnection_each', label: 'Reconnecting a branch to new pipe', unit: 'each' },
  { key: 'transition_each', label: 'Liner over a change of diameter', unit: 'each' },
  { key: 'rehang_per_ft', label: 'Rehanging exposed pipe', unit: 'a foot' },
  { key: 'yearlyCleaning', label: 'Yearly cleaning', unit: 'a visit' },
  { key: 'look', label: 'An inspection by camera', unit: 'a visit' },
  { key: 'markup', label: 'Markup', unit: '% of the rate' },
  { key: 'tax', label: 'Tax', unit: '% of the amount' },
];

/** A rate of a small table, as its heading does not already say it. */
const rateNames: Readonly<Record<string, (key: string) => string>> = {
  mobilisation: (key) => methodName(key as Method),
  fitting_each: (key) => fittingNames[key as FittingKind],
};
export const rateName = (table: string, key: string): string =>
  rateNames[table]?.(key) ?? key.replaceAll('-', ' ');

/** Rates that are a small table. */
export const tableFields = [
  { key: 'mobilisation', label: 'Setting up, by method' },
  { key: 'restore_per_ft2', label: 'Restoration, a ft², by surface' },
  { key: 'coupling_each', label: 'Banded coupling, by diameter in inches' },
  { key: 'burst_per_ft', label: 'Pipe bursting, a foot, by diameter in inches' },
  { key: 'fitting_each', label: 'Fittings in new pipe' },
  { key: 'cleanout_each', label: 'Cleanouts' },
] as const satisfies readonly { key: keyof PricesOverride; label: string }[];

const labels: ReadonlyMap<string, string> = new Map(
  [...ruleFields.flatMap(({ fields }) => fields), ...rateFields, ...tableFields].map(({ key, label }) => [
    key,
    label,
  ]),
);
/** A rule or rate as its form names it; the name of the field in words where it has a form of its own. */
export const labelOf = (key: string): string =>
  labels.get(key) ??
  capital(
    key
      .replaceAll('_', ' ')
      .replaceAll(/([a-z0-9])([A-Z])/g, '$1 $2')
      .toLowerCase(),
  );

/** Stored as a fraction, entered in percent. */
const shares: readonly string[] = ['interest', 'chanceWatchFails', 'chanceFixFails', 'markup', 'tax'];
export const measureOf = (key: string): Measure => (shares.includes(key) ? 'share' : measureOfField(key));

/** A rule or rate formatted for its field. */
export const plainWord = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? String(value) : '';
