import { tolerance } from '../units.js';
import { plain, type Figure } from '../figure.js';
import type { Interval } from '../line/intervals.js';
import { tapeTo, type Course, type GroundPlace } from '../line/course.js';
import type { LineModel } from '../line/model.js';
import { topOut, type Protection, type Section } from './section.js';

/** Hand-dig this near a utility, ft. Common practice. */
const handDigWithin_ft = 2;

/** What a crew needs besides the figures: utilities in the way, the surface to restore, and how to find the place. */
export interface HoleSheet {
  /** Horizontal run of the sloped sides, ft; 0 where the sides are vertical. */
  readonly topOut_ft: number;
  /** Opening at ground level, ft: length along the line, and width. */
  readonly opening_ft: readonly [number, number];
  /** The alternative protection, where there is one: sloped instead of shored, or the reverse. */
  readonly otherwise: { readonly how: string; readonly opening_ft: readonly [number, number] } | undefined;
  /** Invert below the ground at its two ends, ft. */
  readonly inverts_ft: readonly [number, number];
  readonly crossings: readonly {
    readonly utility: string;
    readonly station_ft: number;
    readonly depth_ft: number | undefined;
  }[];
  readonly restore: readonly { readonly surface: string; readonly area: Figure }[];
  /** Corners of the bottom with two taped distances each; empty where the line has no ground positions. */
  readonly corners: readonly HoleCorner[];
  readonly isPublic: boolean;
}

export interface HoleCorner {
  readonly name: string;
  readonly place: GroundPlace;
  readonly tapes: readonly { readonly mark: string; readonly distance: Figure }[];
}

/** Whether a utility crossing at a station conflicts with an excavation. */
export const isInTheWay = (station_ft: number, hole: Interval): boolean =>
  station_ft > hole.from_ft - handDigWithin_ft && station_ft < hole.to_ft + handDigWithin_ft;

/** Lays out one excavation for the crew. */
export function holeSheet(
  hole: Interval,
  deepest: Section | undefined,
  held: Protection,
  quantities: { readonly restore_ft2: ReadonlyMap<string, number>; readonly public_ft: number },
  model: LineModel,
): HoleSheet {
  const length_ft = hole.to_ft - hole.from_ft;
  const width_ft = deepest?.width_ft ?? 0;
  const opened = (out_ft: number): [number, number] => [length_ft + 2 * out_ft, width_ft + 2 * out_ft];
  const topOut_ft = deepest ? topOut(deepest, held) : 0;
  return {
    topOut_ft,
    opening_ft: opened(topOut_ft),
    otherwise: deepest && otherWay(deepest, held, opened),
    inverts_ft: [model.profile.depth(hole.from_ft), model.profile.depth(hole.to_ft)],
    crossings: model.crossings
      .filter(({ station_ft }) => isInTheWay(station_ft, hole))
      .map(({ utility, station_ft, depth_ft }) => ({ utility, station_ft, depth_ft })),
    restore: [...quantities.restore_ft2]
      .filter(([, area]) => area > tolerance.ft)
      .map(([surface, area]) => ({
        surface,
        area: {
          value: area,
          unit: 'ft²',
          steps: [
            {
              label: 'Top of the opening, 1 ft more each side in pavement',
              expression: `Σ (W + 2 s d) × length, and its ends = ${plain(area)} ft²`,
              source: 'common practice',
            },
          ],
        },
      })),
    corners: cornersOf(hole, width_ft, model.course, model),
    isPublic: quantities.public_ft > tolerance.ft,
  };
}

function otherWay(
  section: Section,
  held: Protection,
  opened: (out_ft: number) => [number, number],
): HoleSheet['otherwise'] {
  if (held === 'none') return undefined;
  return held === 'slope'
    ? { how: 'shored or in a shield', opening_ft: opened(0) }
    : {
        how: `sloped ${section.slope} : 1, where the ground allows`,
        opening_ft: opened(topOut(section, 'slope')),
      };
}

/** Corners of the bottom, half its width either side of the line's course, each taped from its two nearest marks. */
function cornersOf(hole: Interval, width_ft: number, course: Course, model: LineModel): HoleCorner[] {
  const [start, stop] = [course.place(hole.from_ft), course.place(hole.to_ft)];
  if (!start || !stop) return [];
  const along = tapeTo(start, stop) || 1;
  // Left as seen looking downstream.
  const left = { x_ft: -(stop.y_ft - start.y_ft) / along, y_ft: (stop.x_ft - start.x_ft) / along };
  const names = new Map(model.line.marks?.map(({ id, name }) => [id, name]));
  const corner = (at: GroundPlace, side: 1 | -1, name: string): HoleCorner => {
    const place = {
      x_ft: at.x_ft + (side * left.x_ft * width_ft) / 2,
      y_ft: at.y_ft + (side * left.y_ft * width_ft) / 2,
    };
    const tapes = [...course.marks]
      .map(([id, mark]) => ({ id, mark, distance_ft: tapeTo(mark, place) }))
      .sort((a, b) => a.distance_ft - b.distance_ft)
      .slice(0, 2)
      .map(({ id, mark, distance_ft }) => ({
        mark: names.get(id) ?? id,
        distance: {
          value: distance_ft,
          unit: 'ft',
          steps: [
            {
              label: `From ${names.get(id) ?? id}`,
              expression: `√((${plain(place.x_ft)} − ${plain(mark.x_ft)})² + (${plain(place.y_ft)} − ${plain(mark.y_ft)})²) = ${plain(distance_ft)} ft`,
              source: 'plane trigonometry',
            },
          ],
        },
      }));
    return { name, place, tapes };
  };
  return [
    corner(start, 1, 'upstream left'),
    corner(start, -1, 'upstream right'),
    corner(stop, 1, 'downstream left'),
    corner(stop, -1, 'downstream right'),
  ];
}
