import { idsOf, registryOf } from '../registry.js';

/** Ground surfaces, and what each means for an excavation, a liner and the price. */
export interface SurfaceRow {
  readonly id: string;
  /**
   * Default restoration rate, money per ft²; `by-others` means another trade restores it at no price here. Invented,
   * plausible.
   */
  readonly restore_per_ft2: number | 'by-others';
  /** Hard surface: sides are shored rather than sloped, and restoration extends 1 ft past each edge. */
  readonly pavement?: true;
  /** Carries traffic: live load on a liner. */
  readonly driven?: true;
  /** No excavation can be opened here: a building, or exposed pipe in a crawl space. */
  readonly closedTo?: 'building' | 'crawl-space';
  /** Wording for the exclusion when another trade restores it, where the name alone is not clear enough. */
  readonly finish?: string;
  /** Theme color token. */
  readonly fill: string;
}

export const surfaceRows = [
  { id: 'lawn', restore_per_ft2: 5, fill: 'grass' },
  { id: 'planting', restore_per_ft2: 9, fill: 'planting' },
  { id: 'gravel', restore_per_ft2: 4.5, driven: true, fill: 'stone' },
  { id: 'concrete', restore_per_ft2: 24, pavement: true, driven: true, fill: 'paving' },
  { id: 'asphalt', restore_per_ft2: 21, pavement: true, driven: true, fill: 'road' },
  { id: 'pavers', restore_per_ft2: 29, pavement: true, driven: true, fill: 'paving' },
  { id: 'tile', restore_per_ft2: 'by-others', pavement: true, fill: 'paving' },
  { id: 'sidewalk', restore_per_ft2: 28, pavement: true, fill: 'paving' },
  { id: 'street', restore_per_ft2: 46, pavement: true, driven: true, fill: 'road' },
  {
    id: 'building',
    restore_per_ft2: 'by-others',
    closedTo: 'building',
    finish: 'floor and finishes inside the building',
    fill: 'ink',
  },
  { id: 'crawl-space', restore_per_ft2: 0, closedTo: 'crawl-space', fill: 'keep' },
] as const satisfies readonly SurfaceRow[];

export const surfaceKinds = idsOf(surfaceRows);
export type SurfaceKind = (typeof surfaceKinds)[number];

export const surfaceRegistry = registryOf<SurfaceRow & { readonly id: SurfaceKind }>('surface', surfaceRows);
export const surfaceRow = (surface: SurfaceKind): SurfaceRow => surfaceRegistry.row(surface);
/** Name of a surface for display. */
export const surfaceWords = (surface: SurfaceKind): string => surface.replaceAll('-', ' ');
export const isPavement = (surface: SurfaceKind): boolean => surfaceRow(surface).pavement ?? false;

/** Assumed, with a warning, where no surface was given. */
export const assumedSurface: SurfaceKind = 'lawn';
