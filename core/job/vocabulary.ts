/** The closed word lists of the job file, one word per thing, shared by code, tables, routes and screens. */

export { materials, type Material } from '../catalog/materials.js';

/** Listed in the order that settles ties between scopes of equal cost. */
export const methods = [
  'leave',
  'clean',
  'spot',
  'line',
  'short-line',
  'open-cut',
  'burst',
  'regrade',
] as const;
export type Method = (typeof methods)[number];
export type ActionMethod = Exclude<Method, 'leave' | 'clean'>;

export { schools, type School } from './school-words.js';

export { surfaceKinds, type SurfaceKind } from '../catalog/surfaces.js';

export const ownerKinds = ['private', 'public', 'neighbour', 'unknown'] as const;
export type OwnerKind = (typeof ownerKinds)[number];

export const soils = ['A', 'B', 'C', 'rock', 'unknown'] as const;
export type Soil = (typeof soils)[number];

export const pointKinds = [
  'cleanout',
  'main',
  'manhole',
  'septic-tank',
  'access',
  'building',
  'tie-in',
  'bend',
  'drop',
  'valve',
  'trap',
  'fixture',
  'property-line',
  'tree',
  'pit',
  'other',
] as const;
export type PointKind = (typeof pointKinds)[number];

/** What an access point is when it is neither a cleanout nor a manhole. */
export const accessWays = ['pulled-toilet', 'roof-vent', 'valve-lid', 'other'] as const;
export type AccessWay = (typeof accessWays)[number];

/** Purpose of a fitting in new pipe. */
export const fittingKinds = ['wye', 'bend', 'drop', 'cleanout', 'valve', 'trap', 'reducer'] as const;
export type FittingKind = (typeof fittingKinds)[number];

export const stages = ['before-cleaning', 'current', 'earlier', 'after-repair'] as const;
export type Stage = (typeof stages)[number];

export { findingKinds, type FindingKind } from '../findings/kinds.js';
export { sizes, type Size } from '../findings/measure.js';
export { gradeWords, type Grade } from '../findings/row.js';

/** Kinds of task that a repair is planned from, in their usual order. */
export const taskKinds = [
  'locate',
  'permit',
  'clean',
  'cut-back',
  'inspect',
  'dig',
  'hand-dig',
  'protect',
  'reach',
  'lay',
  'connect',
  'burst',
  'dry-run',
  'insert',
  'cure',
  'reinstate',
  'test',
  'backfill',
  'restore-soft',
  'restore-hard',
] as const;
export type TaskKind = (typeof taskKinds)[number];

export const machines = ['excavator', 'jetter', 'camera', 'liner-rig', 'bursting-rig'] as const;
export type Machine = (typeof machines)[number];
