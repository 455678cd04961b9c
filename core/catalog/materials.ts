import { idsOf, registryOf } from '../registry.js';

/** Trade data for one pipe material. Diameters are by nominal bore, in. */
export interface MaterialRow {
  readonly id: string;
  /** Name as used inside a sentence. */
  readonly words: string;
  /** Words the log line recognizes for it. */
  readonly spoken: readonly string[];
  /**
   * Counts as old pipe: what the "renew" approach replaces, and what a short gap between repairs may not consist of.
   */
  readonly old?: true;
  /**
   * Outside diameter of pipe made to a standard (ASTM D1785, D2661, D3034, F714, quoted from memory): fit for ordering.
   */
  readonly outside_in?: Readonly<Record<number, number>>;
  /**
   * Usual outside diameter where makers differ: good enough to recognize a normal offset at a material change, never
   * for ordering.
   */
  readonly usualOutside_in?: Readonly<Record<number, number>>;
  /** Manning's n is 0.010 instead of 0.013. Handbook values. */
  readonly smooth?: true;
  /**
   * Stock lengths, ft. Common practice; a supplier's list replaces them. Only materials with stock lengths can be laid
   * new.
   */
  readonly sticks_ft?: readonly number[];
  /** Softens: no cutting blade or high pressure, and past 10 % out of round it has reached the end of its life. */
  readonly softens?: true;
  /** Cutting it makes hazardous dust: cut wet, and burst only where a house rule allows it. */
  readonly hazardousDust?: true;
}

const ironPipeSizes = { 3: 3.5, 4: 4.5, 6: 6.625, 8: 8.625 };

export const materialRows = [
  {
    id: 'abs',
    words: 'ABS',
    spoken: ['abs', 'black abs', 'black plastic', 'abs plastic'],
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
        'pvc plastic',
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
      'green sewer plastic',
      'green sewer pipe',
      'sdr35 pvc',
      'sdr26',
      'pvc sdr26',
      'sdr26 pvc',
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
    // CISPI 301, from memory. Older iron is mostly hub-and-spigot, so this is never used for ordering.
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
      'black fiber',
      'black fiber pipe',
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
  {
    id: 'unknown',
    words: 'unknown pipe',
    spoken: [
      'unknown',
      'galvanized',
      'galvanized steel',
      'steel',
      'steel pipe',
      'lead pipe',
      'ductile',
      'ductile iron',
    ],
  },
] as const satisfies readonly MaterialRow[];

export const materials = idsOf(materialRows);
export type Material = (typeof materials)[number];

export const materialRegistry = registryOf<MaterialRow & { readonly id: Material }>('material', materialRows);
const row = (material: Material): MaterialRow => materialRegistry.row(material);

export const materialWords = (material: Material): string => row(material).words;
export const isOld = (material: Material): boolean => row(material).old ?? false;
export const newPipeMaterials = materialRows.flatMap((each) => ('sticks_ft' in each ? [each.id] : []));

/** Outside diameter for ordering a coupling, in; undefined where it has to be measured first. */
export const exactOutsideDiameter = (material: Material, diameter_in: number): number | undefined =>
  row(material).outside_in?.[diameter_in];

/** Outside diameter for recognizing a normal offset at a material change, in; undefined where unknown. */
export const usualOutsideDiameter = (material: Material, diameter_in: number): number | undefined =>
  (row(material).outside_in ?? row(material).usualOutside_in)?.[diameter_in];

/** Outside diameter of new pipe, in; bore plus half an inch where the catalog has none. */
export const newPipeOutside = (material: Material, bore_in: number): number =>
  exactOutsideDiameter(material, bore_in) ?? bore_in + 0.5;

/** Materials that can be pulled in by bursting. */
export const pulledPipe = 'hdpe' satisfies Material;
