import { idsOf, registryOf } from '../registry.js';

/** What the trade knows of a pipe material. Diameters by nominal bore, in. */
export interface MaterialRow {
  readonly id: string;
  /** As a sentence says it. */
  readonly words: string;
  /** As the log line hears it. */
  readonly spoken: readonly string[];
  /** Counts as old pipe: what "renew" renews, and what may not stay in a short gap between repairs. */
  readonly old?: true;
  /**
   * Outside diameter of pipe made to a standard (ASTM D1785, D2661, D3034, F714, quoted from memory): fit for ordering.
   */
  readonly outside_in?: Readonly<Record<number, number>>;
  /** The usual outside diameter where it varies by maker: tells a normal offset at a change, never for ordering. */
  readonly usualOutside_in?: Readonly<Record<number, number>>;
  /** Manning's n is 0.010 rather than 0.013. Handbook values. */
  readonly smooth?: true;
  /** Stock lengths it is sold in, ft. Common practice; a supplier's list replaces them. A row with them is laid new. */
  readonly sticks_ft?: readonly number[];
  /** Softens: no cutting blade and no high pressure, and past a tenth out of round it is at the end of its life. */
  readonly softens?: true;
  /** Its dust is hazardous: cut wet, and burst only where a house rule allows it. */
  readonly hazardousDust?: true;
}

const ironPipeSizes = { 3: 3.5, 4: 4.5, 6: 6.625, 8: 8.625 };

export const materialRows = [
  {
    id: 'abs',
    words: 'ABS',
    spoken: ['abs', 'black abs', 'black plastic'],
    outside_in: ironPipeSizes,
    smooth: true,
    sticks_ft: [10, 20],
  },
  {
    id: 'pvc-sch40',
    words: 'white PVC',
    spoken: [
      ...[
        'pvc',
        'plastic',
        'white pvc',
        'pvc-sch40',
        'white plastic',
        'schedule 40',
        'schedule 40 pvc',
        'sch 40',
        'pvc sch 40',
        'pvc sch40',
        'pvc schedule 40',
      ],
      ...['sch40', 'sch-40', 'sch 40 pvc', 'new plastic'],
    ],
    outside_in: ironPipeSizes,
    smooth: true,
    sticks_ft: [10, 20],
  },
  {
    id: 'pvc-sdr35',
    words: 'green PVC',
    spoken: [
      'green pvc',
      'pvc sdr35',
      'pvc sdr',
      'pvc-sdr35',
      'sdr35',
      'sdr',
      'green pipe',
      'green plastic',
      'sdr35 pvc',
    ],
    outside_in: { 4: 4.215, 6: 6.275, 8: 8.4 },
    smooth: true,
    sticks_ft: [10, 14, 20],
  },
  {
    id: 'clay',
    words: 'clay',
    spoken: ['clay', 'vcp', 'terracotta', 'terra cotta', 'vitrified clay', 'clay tile'],
    old: true,
    usualOutside_in: { 4: 5.1, 6: 7.4, 8: 9.8 },
  },
  {
    id: 'concrete',
    words: 'concrete',
    spoken: ['concrete', 'concrete pipe', 'cement pipe'],
    old: true,
    usualOutside_in: { 4: 5.3, 6: 7.4 },
  },
  {
    id: 'cast-iron',
    words: 'cast iron',
    spoken: ['iron', 'cast iron', 'cast-iron', 'cast', 'ci', 'cip', 'cast iron pipe'],
    old: true,
    // CISPI 301, from memory. Older iron is mostly hubbed, so it is never ordered by this.
    usualOutside_in: { 3: 3.35, 4: 4.38, 6: 6.3 },
  },
  {
    id: 'fibre',
    words: 'bituminous fiber',
    spoken: [
      'fibre',
      'fiber',
      'tar paper',
      'tarpaper',
      'bituminous fiber',
      'fiber pipe',
      'bituminous fiber pipe',
      'tar pipe',
    ],
    old: true,
    usualOutside_in: { 4: 4.6, 6: 6.8 },
    softens: true,
  },
  {
    id: 'asbestos-cement',
    words: 'asbestos cement',
    spoken: ['asbestos cement', 'asbestos-cement', 'asbestos', 'ac pipe'],
    old: true,
    usualOutside_in: { 4: 4.8, 6: 6.9 },
    hazardousDust: true,
  },
  {
    id: 'hdpe',
    words: 'HDPE',
    spoken: ['hdpe', 'poly', 'polyethylene', 'poly pipe'],
    outside_in: { 4: 4.5, 6: 6.625, 8: 8.625 },
    smooth: true,
    sticks_ft: [20],
  },
  { id: 'unknown', words: 'unknown pipe', spoken: ['unknown'] },
] as const satisfies readonly MaterialRow[];

export const materials = idsOf(materialRows);
export type Material = (typeof materials)[number];

export const materialRegistry = registryOf<MaterialRow & { readonly id: Material }>('material', materialRows);
const row = (material: Material): MaterialRow => materialRegistry.row(material);

export const materialWords = (material: Material): string => row(material).words;
export const isOld = (material: Material): boolean => row(material).old ?? false;
export const newPipeMaterials = materialRows.flatMap((each) => ('sticks_ft' in each ? [each.id] : []));

/** Outside diameter by which a coupling may be ordered, in; undefined where it must be measured first. */
export const exactOutsideDiameter = (material: Material, diameter_in: number): number | undefined =>
  row(material).outside_in?.[diameter_in];

/** Outside diameter for telling a normal offset at a change, in; undefined where nothing is known. */
export const usualOutsideDiameter = (material: Material, diameter_in: number): number | undefined =>
  (row(material).outside_in ?? row(material).usualOutside_in)?.[diameter_in];

/** Outside diameter of new pipe, in; half an inch over the bore where the catalog has none. */
export const newPipeOutside = (material: Material, bore_in: number): number =>
  exactOutsideDiameter(material, bore_in) ?? bore_in + 0.5;

/** What pulls or draws new pipe through an old one uses. */
export const pulledPipe = 'hdpe' satisfies Material;
