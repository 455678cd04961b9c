/** The closed word lists of the job file: one word a thing, used alike in code, tables, routes and screens. */

export const materials = [
  'abs',
  'pvc-sch40',
  'pvc-sdr35',
  'clay',
  'concrete',
  'cast-iron',
  'fibre',
  'asbestos-cement',
  'hdpe',
  'unknown',
] as const;
export type Material = (typeof materials)[number];

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

export const schools = ['maintain', 'repair', 'renew'] as const;
export type School = (typeof schools)[number];

export const surfaceKinds = [
  'lawn',
  'planting',
  'gravel',
  'concrete',
  'asphalt',
  'pavers',
  'tile',
  'sidewalk',
  'street',
  'building',
  'crawl-space',
] as const;
export type SurfaceKind = (typeof surfaceKinds)[number];

export const ownerKinds = ['private', 'public', 'neighbour', 'unknown'] as const;
export type OwnerKind = (typeof ownerKinds)[number];

export const soils = ['A', 'B', 'C', 'rock', 'unknown'] as const;
export type Soil = (typeof soils)[number];

export const pointKinds = [
  'cleanout',
  'main',
  'manhole',
  'building',
  'tie-in',
  'bend',
  'drop',
  'valve',
  'fixture',
  'property-line',
  'tree',
  'pit',
  'other',
] as const;
export type PointKind = (typeof pointKinds)[number];

export const stages = ['before-cleaning', 'current', 'earlier', 'after-repair'] as const;
export type Stage = (typeof stages)[number];

export const findingKinds = [
  'crack',
  'broken',
  'hole',
  'bottom-gone',
  'collapse',
  'offset',
  'separation',
  'roots',
  'deposit',
  'belly',
  'deformation',
  'blister',
  'intrusion',
  'lip',
  'worn-bottom',
  'infiltration',
  'main-backed-up',
] as const;
export type FindingKind = (typeof findingKinds)[number];

export const sizes = ['small', 'moderate', 'large'] as const;
export type Size = (typeof sizes)[number];

export type Grade = 0 | 1 | 2 | 3 | 4;
/** The word a screen shows for each grade. */
export const gradeWords: readonly [string, string, string, string, string] = [
  'sound',
  'note',
  'watch',
  'fix',
  'failed',
];
