import type { FindingKind, Grade, Method } from '../job/vocabulary.js';
import type { Rules } from '../job/rules-schema.js';
import type { Measure } from './measure.js';

/** What puts a finding right: clean, spot dig, liner, replacement, regrade. */
export type Cure = 'clean' | 'spot' | 'liner' | 'replacement' | 'regrade';

/**
 * One row of the grade table. With three bounds: below the first is 1, below the second 2, up to and with the third
 * 3, over it 4. With two: 1, 2, and 3 from the second on.
 */
export interface GradeRow {
  readonly measure: Measure;
  readonly bounds?: readonly number[];
  readonly forms?: Readonly<Record<string, Grade>>;
  readonly always?: Grade;
  readonly cures: readonly Cure[];
  /** The measure that stops a liner: over it, or at it already when `stopsAt`. */
  readonly stopsLinerAt?: number;
  readonly stopsAt?: boolean;
  readonly structural?: boolean;
  /** What is wrong with more of the same measure, for the sentence on the screen. */
  readonly noun: string;
}

const wall: readonly Cure[] = ['spot', 'liner', 'replacement'];

/** The default house rules. Common practice; every number can be changed by the firm or for one job. */
export const defaultGradeTable: Readonly<Record<Exclude<FindingKind, 'main-backed-up'>, GradeRow>> = {
  crack: {
    noun: 'crack',
    measure: 'form',
    forms: { hairline: 1, along: 2, around: 3, several: 3 },
    cures: wall,
    structural: true,
  },
  broken: { noun: 'broken pipe', measure: 'always', always: 4, cures: wall, structural: true },
  hole: { noun: 'hole', measure: 'always', always: 4, cures: wall, structural: true },
  'bottom-gone': { noun: 'bottom gone', measure: 'always', always: 4, cures: wall, structural: true },
  collapse: {
    noun: 'collapse',
    measure: 'always',
    always: 4,
    cures: ['spot', 'replacement'],
    structural: true,
  },
  offset: {
    noun: 'offset',
    measure: 'of-bore',
    bounds: [5, 15, 30],
    cures: wall,
    stopsLinerAt: 25,
    structural: true,
  },
  separation: {
    noun: 'open joint',
    measure: 'inches',
    bounds: [0.5, 1, 2],
    cures: wall,
    stopsLinerAt: 4,
    structural: true,
  },
  roots: { noun: 'roots', measure: 'percent', bounds: [10, 25, 50], cures: ['clean'], stopsLinerAt: 10 },
  deposit: { noun: 'deposit', measure: 'percent', bounds: [10, 25, 50], cures: ['clean'], stopsLinerAt: 10 },
  belly: {
    noun: 'standing water',
    measure: 'of-bore',
    bounds: [10, 25, 50],
    cures: ['regrade'],
    stopsLinerAt: 25,
    stopsAt: true,
  },
  deformation: {
    noun: 'deformation',
    measure: 'percent',
    bounds: [5, 10, 25],
    cures: ['spot', 'replacement'],
    stopsLinerAt: 10,
    structural: true,
  },
  blister: {
    noun: 'blister',
    measure: 'percent',
    bounds: [5, 15],
    cures: ['spot', 'replacement'],
    stopsLinerAt: 10,
    structural: true,
  },
  intrusion: {
    noun: 'intrusion',
    measure: 'percent',
    bounds: [10, 25],
    cures: ['clean', 'spot'],
    stopsLinerAt: 10,
  },
  lip: { noun: 'lip', measure: 'inches', bounds: [0.25, 1], cures: ['spot'], stopsLinerAt: 1, stopsAt: true },
  'worn-bottom': { noun: 'worn bottom', measure: 'always', always: 3, cures: wall, structural: true },
  infiltration: {
    noun: 'water coming in',
    measure: 'form',
    forms: { weeping: 2, running: 3 },
    cures: wall,
  },
};

/** Findings that have a grade, in the order of the table. */
export const gradeTableKinds = Object.keys(defaultGradeTable) as Exclude<FindingKind, 'main-backed-up'>[];

/** The row in force: the default with the house's own limits laid over it. */
export function gradeRow(finding: Exclude<FindingKind, 'main-backed-up'>, rules: Rules): GradeRow {
  const row = defaultGradeTable[finding];
  const own = rules.findings[finding];
  return {
    ...row,
    ...(own?.bounds && row.bounds?.length === own.bounds.length ? { bounds: own.bounds } : {}),
    ...(own?.stopsLinerAt !== undefined ? { stopsLinerAt: own.stopsLinerAt } : {}),
  };
}

/** Grade of a number by a row's bounds; a measure of nothing is grade 0. */
export function gradeByBounds(value: number, bounds: readonly number[]): Grade {
  if (value <= 0) return 0;
  const [first = 0, second = 0, third] = bounds;
  if (value < first) return 1;
  if (value < second) return 2;
  if (third === undefined || value <= third) return 3;
  return 4;
}

/** The methods that a cure names, in the job file's order. */
export function methodsOf(cures: readonly Cure[]): Method[] {
  const named: Record<Cure, readonly Method[]> = {
    clean: ['clean'],
    spot: ['spot'],
    liner: ['line', 'short-line'],
    replacement: ['open-cut', 'burst'],
    regrade: ['regrade'],
  };
  return cures.flatMap((cure) => named[cure]);
}

/**
 * Whether an action by this method puts such a finding right. Any dig lays new pipe, so it cures what a spot dig or
 * a replacement cures; a burst only what a replacement does. An open cut cures a belly only where it is laid to
 * grade, which is judged where its ends are known.
 */
export function curedBy(cures: readonly Cure[], method: Method, laidToGrade: boolean): boolean {
  switch (method) {
    case 'leave':
      return false;
    case 'clean':
      return cures.includes('clean');
    case 'line':
    case 'short-line':
      return cures.includes('liner');
    case 'burst':
      return cures.includes('replacement');
    case 'spot':
      return cures.includes('spot') || cures.includes('replacement');
    case 'open-cut':
    case 'regrade':
      return (
        cures.includes('spot') || cures.includes('replacement') || (cures.includes('regrade') && laidToGrade)
      );
  }
}
