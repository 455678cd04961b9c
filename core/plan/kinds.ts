import { registryOf } from '../registry.js';
import type { Machine, TaskKind } from '../job/vocabulary.js';

/** Properties of one kind of task; how fast it goes is in the rates. */
export interface TaskKindRow {
  readonly id: TaskKind;
  /** Name, as on the crew sheet. */
  readonly words: string;
  /** Unit of its amount; none where there is only setup time. */
  readonly unit?: string;
  readonly machine?: Machine;
  /** Done from the office: takes nobody off the site. */
  readonly office?: true;
  /** No water may run down the line meanwhile. */
  readonly waterOff?: true;
  /** Once started, it is finished the same day. */
  readonly oneGo?: true;
  /** Wording of its amount in the rates. */
  readonly rateWords: string;
}

const rows = [
  {
    id: 'locate',
    words: 'Call for the utility locate',
    office: true,
    rateWords: 'Calling for the utility locate',
  },
  { id: 'permit', words: 'Apply for the permits', office: true, rateWords: 'Applying for permits' },
  {
    id: 'clean',
    words: 'Clean the line',
    unit: 'ft',
    machine: 'jetter',
    waterOff: true,
    oneGo: true,
    rateWords: 'Cleaning',
  },
  {
    id: 'cut-back',
    words: 'Cut back protrusions',
    unit: 'each',
    waterOff: true,
    oneGo: true,
    rateWords: 'Cutting back protrusions',
  },
  {
    id: 'inspect',
    words: 'Inspect by camera',
    unit: 'ft',
    machine: 'camera',
    waterOff: true,
    oneGo: true,
    rateWords: 'Camera inspection',
  },
  { id: 'dig', words: 'Dig', unit: 'yd³', machine: 'excavator', rateWords: 'Digging by machine' },
  { id: 'hand-dig', words: 'Dig by hand', unit: 'yd³', rateWords: 'Digging by hand' },
  { id: 'protect', words: 'Set the protection', unit: 'ft²', rateWords: 'Shoring or shield' },
  {
    id: 'reach',
    words: 'Dig by hand under the building',
    unit: 'ft',
    rateWords: 'Digging by hand under a building',
  },
  { id: 'lay', words: 'Lay pipe', unit: 'ft', waterOff: true, oneGo: true, rateWords: 'Laying pipe' },
  {
    id: 'connect',
    words: 'Set fittings and cleanouts',
    unit: 'each',
    waterOff: true,
    oneGo: true,
    rateWords: 'Fittings and cleanouts',
  },
  {
    id: 'burst',
    words: 'Burst and pull in pipe',
    unit: 'ft',
    machine: 'bursting-rig',
    waterOff: true,
    oneGo: true,
    rateWords: 'Pipe bursting',
  },
  {
    id: 'dry-run',
    words: 'Cut the liner and dry-run it',
    unit: 'ft',
    rateWords: 'Cutting and dry-running a liner',
  },
  {
    id: 'insert',
    words: 'Wet out and insert the liner',
    unit: 'ft',
    machine: 'liner-rig',
    waterOff: true,
    oneGo: true,
    rateWords: 'Wetting out and inserting',
  },
  { id: 'cure', words: 'Cure the liner', waterOff: true, oneGo: true, rateWords: 'Curing' },
  {
    id: 'reinstate',
    words: 'Cut branch connections open',
    unit: 'each',
    waterOff: true,
    oneGo: true,
    rateWords: 'Cutting branch connections open',
  },
  { id: 'test', words: 'Water test', waterOff: true, oneGo: true, rateWords: 'Water test' },
  { id: 'backfill', words: 'Backfill', unit: 'yd³', machine: 'excavator', rateWords: 'Backfilling' },
  { id: 'restore-soft', words: 'Restore', unit: 'ft²', rateWords: 'Restoring lawn, planting, gravel' },
  { id: 'restore-hard', words: 'Restore', unit: 'ft²', rateWords: 'Restoring pavement' },
] as const satisfies readonly TaskKindRow[];

export const taskKindRows: readonly TaskKindRow[] = rows;
const registry = registryOf<TaskKindRow>('task kind', rows);
export const taskKindRow = (kind: TaskKind): TaskKindRow => registry.row(kind);

export const machineWords: Readonly<Record<Machine, string>> = {
  excavator: 'excavator',
  jetter: 'jetter',
  camera: 'camera',
  'liner-rig': 'liner inserting gear',
  'bursting-rig': 'bursting gear',
};
