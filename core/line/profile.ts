import { rulesInForce } from '../job/rules.js';
import type { Line } from '../job/schema.js';
import type { RulesOverride } from '../job/rules-schema.js';
import { straightBetween } from '../straight-between.js';
import type { Survey } from '../survey/survey.js';
import type { Warning } from '../warning.js';

/** Depth and grade along a line. Elevations and depths in ft; depths are of the invert below the ground. */
export interface Profile {
  depth(station_ft: number): number;
  ground(station_ft: number): number;
  /** Invert elevation; meaningless unless `graded`. */
  invert(station_ft: number): number;
  /** At least two depths were located, so the fall between them is known. */
  readonly graded: boolean;
  readonly located: readonly { station_ft: number; depth_ft: number }[];
  warnings(start_ft: number, end_ft: number): Warning[];
}

/** Two located depths closer than this are one place: the later one wins, ft. */
const sameDepth_ft = 0.5;

/**
 * Invert elevations interpolated between located depths, level beyond the last; without ground elevations the ground is
 * assumed level, so depths are interpolated directly.
 */
export function profileOf(line: Line, solved: Survey, override?: RulesOverride): Profile {
  const located = locatedDepths(line, solved);
  const groundPoints = (line.ground ?? [])
    .map((each): [number, number] => [each.station_ft, each.elevation_ft])
    .sort((a, b) => a[0] - b[0]);
  const ground = (x: number) => (groundPoints.length === 0 ? 0 : straightBetween(groundPoints, x));
  const inverts = located.map((each): [number, number] => [
    each.station_ft,
    ground(each.station_ft) - each.depth_ft,
  ]);
  const assumed_ft = rulesInForce(override).assumedDepth_ft;
  const invert = (x: number) => (inverts.length === 0 ? ground(x) - assumed_ft : straightBetween(inverts, x));
  return {
    ground,
    invert,
    depth: (x) => Math.max(0, ground(x) - invert(x)),
    graded: located.length >= 2,
    located,
    warnings(start_ft, end_ft) {
      const [first, last] = [located[0], located.at(-1)];
      if (!first || !last) {
        return end_ft - start_ft < 0.01
          ? []
          : [
              {
                rule: 'depth-not-located',
                line: line.id,
                message: `no depth was located: ${assumed_ft} ft is assumed until one is`,
              },
            ];
      }
      const beyond = Math.max(first.station_ft - start_ft, end_ft - last.station_ft);
      return beyond <= 1
        ? []
        : [
            {
              rule: 'depth-beyond-located',
              line: line.id,
              at_ft: first.station_ft - start_ft > 1 ? first.station_ft : last.station_ft,
              message: 'beyond the last located depth the pipe is assumed level',
            },
          ];
    },
  };
}

function locatedDepths(line: Line, solved: Survey): { station_ft: number; depth_ft: number }[] {
  const given = (line.depths ?? []).map((each) => ({
    station_ft: each.station_ft,
    depth_ft: each.invert_ft,
    on: each.on,
  }));
  const sonde = line.runs.flatMap((run) =>
    run.entries.flatMap((entry) => {
      const at =
        entry.kind === 'locate' && entry.depth_ft !== undefined ? solved.endsOf(entry.id) : undefined;
      return at && entry.kind === 'locate' && entry.depth_ft !== undefined
        ? [{ station_ft: at.from.station_ft, depth_ft: entry.depth_ft, on: run.on }]
        : [];
    }),
  );
  const kept: typeof given = [];
  for (const next of [...given, ...sonde]) {
    const twin = kept.findIndex((each) => Math.abs(each.station_ft - next.station_ft) <= sameDepth_ft);
    const old = kept[twin];
    if (!old) kept.push(next);
    else if (!(old.on && next.on && old.on > next.on)) kept[twin] = next;
  }
  return kept
    .sort((a, b) => a.station_ft - b.station_ft)
    .map(({ station_ft, depth_ft }) => ({ station_ft, depth_ft }));
}
