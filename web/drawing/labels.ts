/** A label to be centered at x, px. */
export interface LabelToPlace {
  readonly key: string;
  readonly x: number;
  readonly text: string;
  /** Labels of higher weight win when there is no room for all. */
  readonly weight?: number;
}

export interface PlacedLabel extends LabelToPlace {
  /** Row from the top, 0 first. */
  readonly row: number;
  readonly left: number;
}

const gap_px = 8;

/** Approximate width of a text in the body face, px: good enough to keep labels apart. */
export const textWidth = (text: string, size_px: number): number => text.length * size_px * 0.5;

/**
 * Places labels without overlap: the highest weight first, each in the first row with room, shifted by at most half its
 * width. One with no room is left out; its thing can still be pointed at.
 */
export function placeLabels(
  wanted: readonly LabelToPlace[],
  options: { readonly size_px: number; readonly rows: number; readonly from: number; readonly to: number },
): PlacedLabel[] {
  const taken: [number, number][][] = Array.from({ length: options.rows }, () => []);
  const stood: PlacedLabel[] = [];
  for (const label of [...wanted].sort((a, b) => (b.weight ?? 0) - (a.weight ?? 0) || a.x - b.x)) {
    const width = textWidth(label.text, options.size_px);
    const centred = Math.min(Math.max(label.x - width / 2, options.from), options.to - width);
    const nudges = [0, -0.25, 0.25, -0.5, 0.5].map((share) => centred + share * width);
    place: for (let row = 0; row < options.rows; row++) {
      for (const left of nudges) {
        if (left < options.from - 1 || left + width > options.to + 1) continue;
        if (taken[row]?.some(([a, b]) => left < b + gap_px && left + width > a - gap_px)) continue;
        taken[row]?.push([left, left + width]);
        stood.push({ ...label, row, left });
        break place;
      }
    }
  }
  return stood;
}
