import { z } from 'zod';
import { idsOf, registryOf } from '../registry.js';
import { inches, percent } from './fields.js';
import { findingRow, type Cure, type FindingRow, type Grading } from './row.js';

const wall: readonly Cure[] = ['spot', 'liner', 'replacement'];
const failed = { measure: 'always', always: 4, cures: wall, structural: true } as const;

/** Every kind of finding, in the order of the grade table. To add one, add its row: nothing else names it. */
export const findingRows = [
  findingRow({
    id: 'crack',
    name: 'Crack',
    noun: 'crack',
    fields: {
      form: z.enum(['hairline', 'along', 'around', 'several']).optional(),
      shifting: z.boolean().optional(),
    },
    formNames: {
      hairline: 'Hairline crack',
      along: 'Crack along the pipe',
      around: 'Crack all the way round',
      several: 'Several cracks',
    },
    spoken: ['crack', ['cracks', { form: 'several' }], ['hairline crack', { form: 'hairline' }]],
    says: [
      ['hairline', { form: 'hairline' }],
      ['along', { form: 'along' }],
      ['lengthwise', { form: 'along' }],
      ['around', { form: 'around' }],
      ['all round', { form: 'around' }],
      ['all around', { form: 'around' }],
      ['several', { form: 'several' }],
      ['shifting', { shifting: true }],
      ['shifted', { shifting: true }],
    ],
    grading: {
      measure: 'form',
      forms: { hairline: 1, along: 2, around: 3, several: 3 },
      cures: wall,
      structural: true,
    },
    failsShifting: { form: 'around', beside: 'offset' },
  }),
  findingRow({
    id: 'broken',
    name: 'Broken pipe',
    noun: 'broken pipe',
    fields: {},
    spoken: ['broken', 'break', 'broken pipe'],
    grading: failed,
  }),
  findingRow({ id: 'hole', name: 'Hole', noun: 'hole', fields: {}, spoken: ['hole'], grading: failed }),
  findingRow({
    id: 'bottom-gone',
    name: 'Bottom gone',
    noun: 'bottom gone',
    fields: {},
    spoken: ['bottom gone', 'bottom-gone', 'no bottom'],
    grading: { ...failed, stopsLiner: { why: 'the bottom is gone over more than 1 ft', over_ft: 1 } },
  }),
  findingRow({
    id: 'collapse',
    name: 'Collapse',
    noun: 'collapse',
    fields: {},
    spoken: ['collapse', 'collapsed'],
    grading: {
      ...failed,
      cures: ['spot', 'replacement'],
      stopsLiner: { why: 'a collapsed place must be dug before anything goes through' },
    },
    stopsBurstFrom: 0,
  }),
  findingRow({
    id: 'offset',
    name: 'Offset',
    noun: 'offset',
    fields: { inches },
    spoken: ['offset', 'step'],
    grading: {
      measure: 'of-bore',
      bounds: [5, 15, 30],
      cures: wall,
      stopsLinerAt: 25,
      structural: true,
    },
    normalAtChange: true,
  }),
  findingRow({
    id: 'separation',
    name: 'Joint open',
    noun: 'open joint',
    fields: { inches },
    spoken: ['gap', 'separation', 'separated', ['open joint', { atJoint: true }]],
    grading: { measure: 'inches', bounds: [0.5, 1, 2], cures: wall, stopsLinerAt: 4, structural: true },
  }),
  findingRow({
    id: 'roots',
    name: 'Roots',
    noun: 'roots',
    fields: { percent },
    spoken: ['root', 'roots'],
    grading: { measure: 'percent', bounds: [10, 25, 50], cures: ['clean'], stopsLinerAt: 10 },
    cleaned: true,
    regrows: true,
  }),
  findingRow({
    id: 'deposit',
    name: 'Deposit',
    noun: 'deposit',
    fields: { percent, inches, of: z.enum(['grease', 'wipes', 'sludge', 'scale']).optional() },
    spoken: [
      'deposit',
      ['grease', { of: 'grease' }],
      ['wipes', { of: 'wipes' }],
      ['sludge', { of: 'sludge' }],
      ['scale', { of: 'scale' }],
    ],
    grading: { measure: 'percent', bounds: [10, 25, 50], cures: ['clean'], stopsLinerAt: 10 },
    cleaned: true,
  }),
  findingRow({
    id: 'belly',
    name: 'Standing water',
    noun: 'standing water',
    fields: { inches, cause: z.enum(['sag', 'blockage', 'valve', 'unknown']).optional() },
    spoken: ['belly', ['sag', { cause: 'sag' }], 'low spot', 'standing water', 'water standing'],
    says: [
      ['cause sag', { cause: 'sag' }],
      ['cause unknown', { cause: 'unknown' }],
      ['blockage', { cause: 'blockage' }],
      ['behind a blockage', { cause: 'blockage' }],
      ['behind a valve', { cause: 'valve' }],
    ],
    grading: {
      measure: 'of-bore',
      bounds: [10, 25, 50],
      cures: ['regrade'],
      stopsLinerAt: 25,
      stopsAt: true,
    },
    sags: true,
    stopsBurstFrom: 3,
    heldBy: ['blockage', 'valve'],
    loweredByFlush: true,
  }),
  findingRow({
    id: 'deformation',
    name: 'Out of round',
    noun: 'deformation',
    fields: { percent },
    spoken: ['deformed', 'deformation', 'oval', 'out of round'],
    grading: {
      measure: 'percent',
      bounds: [5, 10, 25],
      cures: ['spot', 'replacement'],
      stopsLinerAt: 10,
      structural: true,
    },
    outOfRound: { endOfLifeOver_percent: 10 },
  }),
  findingRow({
    id: 'blister',
    name: 'Blister',
    noun: 'blister',
    fields: { percent },
    spoken: ['blister', 'blisters', 'blistered'],
    grading: {
      measure: 'percent',
      bounds: [5, 15],
      cures: ['spot', 'replacement'],
      stopsLinerAt: 10,
      structural: true,
    },
  }),
  findingRow({
    id: 'intrusion',
    name: 'Something sticks in',
    noun: 'intrusion',
    fields: { percent },
    spoken: ['intrusion', 'sticks in'],
    grading: { measure: 'percent', bounds: [10, 25], cures: ['clean', 'spot'], stopsLinerAt: 10 },
  }),
  findingRow({
    id: 'lip',
    name: 'Lip',
    noun: 'lip',
    fields: { inches },
    spoken: ['lip'],
    grading: { measure: 'inches', bounds: [0.25, 1], cures: ['spot'], stopsLinerAt: 1, stopsAt: true },
  }),
  findingRow({
    id: 'worn-bottom',
    name: 'Worn bottom',
    noun: 'worn bottom',
    fields: {},
    spoken: ['worn bottom', 'worn-bottom', 'channelled'],
    grading: { measure: 'always', always: 3, cures: wall, structural: true },
  }),
  findingRow({
    id: 'infiltration',
    name: 'Water coming in',
    noun: 'water coming in',
    fields: { form: z.enum(['weeping', 'running']).optional() },
    formNames: { weeping: 'Water weeping in', running: 'Water running in' },
    spoken: ['infiltration', ['weeping', { form: 'weeping' }], ['water running in', { form: 'running' }]],
    says: [['running', { form: 'running' }]],
    grading: { measure: 'form', forms: { weeping: 2, running: 3 }, cures: wall },
  }),
  findingRow({
    id: 'main-backed-up',
    name: 'Main backed up',
    noun: 'backed-up main',
    fields: {},
    spoken: ['main backed up', 'main-backed-up'],
    refers: {
      what: 'Water stands because the main is backed up; the neighbours may be at risk',
      to: 'owner of the main',
    },
  }),
] as const;

export const findingKinds = idsOf(findingRows);
export type FindingKind = (typeof findingKinds)[number];

export const findingRegistry = registryOf<FindingRow<FindingKind>>('finding', findingRows);
/** The row of a kind of finding. */
export const kindOf = (finding: FindingKind): FindingRow<FindingKind> => findingRegistry.row(finding);
/** Kinds that have a grade on this line. */
export const gradedKinds = (): { readonly id: FindingKind; readonly grading: Grading }[] =>
  findingRegistry.rows.flatMap(({ id, grading }) => (grading ? [{ id, grading }] : []));
/** Its name, as a heading says it. */
export const findingName = (finding: FindingKind): string => kindOf(finding).name;
