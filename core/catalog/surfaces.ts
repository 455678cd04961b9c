import { idsOf, registryOf } from '../registry.js';

/** What lies on top of the line, and what that means for a hole, a liner and a price. */
export interface SurfaceRow {
  readonly id: string;
  /** Default rate to restore it, money per ft²; `by-others`: another trade does, priced at nothing. Invented, plausible. */
  readonly restore_per_ft2: number | 'by-others';
  /** Hard surface: sides are shored rather than sloped, and 1 ft more each side is restored. */
  readonly pavement?: true;
  /** Wheels run on it: live load on a liner. */
  readonly driven?: true;
  /** No hole is opened here: a building, or pipe that hangs free in a crawl space. */
  readonly closedTo?: 'building' | 'crawl-space';
  /** What an exclusion calls restoring it, where its name does not say enough. */
  readonly finish?: string;
  /** Theme token it is drawn in. */
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
export const isPavement = (surface: SurfaceKind): boolean => surfaceRow(surface).pavement ?? false;

/** Taken where nobody said what the surface is, with a warning. */
export const assumedSurface: SurfaceKind = 'lawn';
