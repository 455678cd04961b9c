import { sayThing } from '../speech/say.js';
import type { Line } from '../job/schema.js';
import type { Survey } from '../survey/survey.js';
import type { Warning } from '../warning.js';

/** A position on the ground, ft: the first mark is the origin, x runs toward the second mark, y to its left. */
export interface GroundPlace {
  readonly x_ft: number;
  readonly y_ft: number;
}

/** A place on the ground that lies on the line. */
interface LocatedPlace extends GroundPlace {
  readonly id: string;
  readonly station_ft: number;
}

export interface Course {
  readonly marks: ReadonlyMap<string, GroundPlace>;
  /** Points and entries of the line that were taped from marks, from upstream. */
  readonly located: readonly LocatedPlace[];
  /** Position of a station on the ground; undefined with fewer than two located things. */
  place(station_ft: number): GroundPlace | undefined;
  readonly warnings: readonly Warning[];
}

/**
 * Position from tapes to two marks: x = (r₁² − r₂² + c²)/(2c) along the marks, y = √(r₁² − x²) off them, to the left of
 * the direction from the first to the second. Circles that miss by no more than `slack_ft` are treated as touching;
 * beyond that, `miss_ft` is the gap. Lengths in ft. Plane trigonometry.
 */
export function fromTwoTapes(
  first: GroundPlace,
  second: GroundPlace,
  tapes: readonly [number, number],
  side: 'left' | 'right',
  slack_ft = 0.5,
): { readonly place: GroundPlace } | { readonly miss_ft: number } {
  const [dx, dy] = [second.x_ft - first.x_ft, second.y_ft - first.y_ft];
  const apart = Math.hypot(dx, dy);
  const [one, other] = tapes;
  const miss_ft = Math.max(apart - one - other, Math.abs(one - other) - apart, 0);
  if (apart === 0 || miss_ft > slack_ft) return { miss_ft };
  const along = (one * one - other * other + apart * apart) / (2 * apart);
  const off = Math.sqrt(Math.max(0, one * one - along * along)) * (side === 'left' ? 1 : -1);
  return {
    place: {
      x_ft: first.x_ft + (along * dx - off * dy) / apart,
      y_ft: first.y_ft + (along * dy + off * dx) / apart,
    },
  };
}

/** Distance from a mark, ft: what the crew reads on the tape. */
export const tapeTo = (mark: GroundPlace, place: GroundPlace): number =>
  Math.hypot(place.x_ft - mark.x_ft, place.y_ft - mark.y_ft);

/** The first two marks whose distance was taped: the origin, and the one that x runs toward. */
function firstMarks({ markDistances }: Line): Map<string, GroundPlace> {
  const [base] = markDistances ?? [];
  if (!base || base.from === base.to) return new Map();
  return new Map([
    [base.from, { x_ft: 0, y_ft: 0 }],
    [base.to, { x_ft: base.distance_ft, y_ft: 0 }],
  ]);
}

const nameIn = (line: Line, id: string): string =>
  line.marks?.find((mark) => mark.id === id)?.name ?? sayThing(line, id);

/** Two places farther apart on the ground than along the pipe, by more than the slack of both, ft. */
const tooFarBy = (solved: Survey, before: LocatedPlace, each: LocatedPlace): number | undefined => {
  const over = tapeTo(before, each) - (each.station_ft - before.station_ft);
  const slack = 1 + (solved.point(each.id)?.plusMinus_ft ?? 0) + (solved.point(before.id)?.plusMinus_ft ?? 0);
  return over > slack ? over : undefined;
};

/** Positions of the marks and of everything taped from them, and the line's course through what was located. */
export function courseOf(line: Line, solved: Survey): Course {
  const warnings: Warning[] = [];
  const warn = (rule: string, message: string, at_ft?: number) =>
    warnings.push({ rule, line: line.id, message, ...(at_ft === undefined ? {} : { at_ft }) });
  const marks = firstMarks(line);
  const nameOf = (id: string) => nameIn(line, id);
  const things = new Map<string, GroundPlace>();
  const markIds = new Set(line.marks?.map(({ id }) => id));
  let waiting = [...(line.places ?? [])];
  for (let moved = true; moved;) {
    moved = false;
    const still: typeof waiting = [];
    for (const each of waiting) {
      const [first, second] = each.tapes.map(({ mark }) => marks.get(mark));
      if (!first || !second) {
        still.push(each);
        continue;
      }
      moved = true;
      const found = fromTwoTapes(
        first,
        second,
        [each.tapes[0].distance_ft, each.tapes[1].distance_ft],
        each.side,
      );
      if ('place' in found) (markIds.has(each.of) ? marks : things).set(each.of, found.place);
      else
        warn(
          'tapes-miss',
          `the two tapes to ${nameOf(each.of)} miss each other by ${found.miss_ft.toFixed(1)} ft`,
        );
    }
    waiting = still;
  }
  for (const { of } of waiting) {
    warn('mark-not-located', `${nameOf(of)} is taped from marks whose distance apart was not measured`);
  }
  const located = [...things]
    .flatMap(([id, place]) => {
      const station_ft = (solved.point(id) ?? solved.endsOf(id)?.from)?.station_ft;
      return station_ft === undefined ? [] : [{ id, station_ft, ...place }];
    })
    .sort((a, b) => a.station_ft - b.station_ft);
  located.slice(1).forEach((each, i) => {
    const before = located[i];
    if (!before) return;
    const over = tooFarBy(solved, before, each);
    if (over !== undefined) {
      warn(
        'course-longer-than-pipe',
        `${nameOf(before.id)} and ${nameOf(each.id)} lie ${over.toFixed(1)} ft further apart on the ground than along the pipe`,
        each.station_ft,
      );
    }
  });
  return { marks, located, place: (station_ft) => along(located, station_ft), warnings };
}

/** Straight between located things, and straight on beyond the last ones at one foot per foot of pipe. */
function along(located: Course['located'], station_ft: number): GroundPlace | undefined {
  if (located.length < 2) return undefined;
  const after = located.findIndex((each) => each.station_ft >= station_ft);
  const next = after < 0 ? located.length - 1 : Math.max(1, after);
  const [from, to] = [located[next - 1], located[next]];
  if (!from || !to) return undefined;
  const span = to.station_ft - from.station_ft;
  const inside = station_ft >= from.station_ft && station_ft <= to.station_ft;
  const ground = tapeTo(from, to);
  if (ground === 0 || span === 0) return { x_ft: to.x_ft, y_ft: to.y_ft };
  // Between two located things the ground distance is interpolated; beyond them a foot of pipe is a foot of ground.
  const share = inside
    ? (station_ft - from.station_ft) / span
    : station_ft > to.station_ft
      ? 1 + (station_ft - to.station_ft) / ground
      : (station_ft - from.station_ft) / ground;
  return {
    x_ft: from.x_ft + (to.x_ft - from.x_ft) * share,
    y_ft: from.y_ft + (to.y_ft - from.y_ft) * share,
  };
}
