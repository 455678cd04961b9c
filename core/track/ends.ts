import { isOld } from '../catalog/materials.js';
import type { Condition } from '../condition/condition.js';
import type { GradedFinding } from '../condition/graded-finding.js';
import type { Rules } from '../job/rules.js';
import { sameStation_ft, tolerance } from '../units.js';
import type { LineModel } from '../line/model.js';
import type { Cell, Obligations, Track } from './track.js';
import { isOfThePipe } from './breaks.js';

type Thing = NonNullable<ReturnType<LineModel['survey']['point']>>;

/**
 * An end this close to a finding it covers is placed for it, ft; one farther off is described by the thing it is
 * on.
 */
const endsFor_ft = 2;
/** With nothing at its place, an end is still placed for a finding this far inside, ft. */
const endsForAtMost_ft = 5;

/**
 * The thing from which an action's end at each break is measured, and its ±: the finding it is placed to cover (that
 * finding's own end); else the point at its place; else the nearest thing of the pipe.
 */
export function endsOf(
  model: LineModel,
  condition: Condition,
  duties: Obligations,
  breaks: readonly number[],
): Pick<Track, 'plusMinus' | 'nearest'> {
  const things = thingsOfThePipe(model, condition);
  const must = new Set(duties.cured.flatMap(({ findings }) => findings));
  const covered = condition.findings.filter(
    ({ id, grade, possible }) => must.has(id) || (grade >= 2 && !possible),
  );
  const locatedBy = (side: 'from' | 'to') =>
    breaks.map((x) => {
      const finding = nearestInside(covered, x, side);
      const own = finding?.finding.placed[side];
      if (own && finding.away_ft <= endsFor_ft + tolerance.ft) return own;
      const nearest = nearestThing(things, x);
      const stands = nearest && Math.abs(nearest.station_ft - x) <= sameStation_ft;
      return own && !stands ? own : nearest;
    });
  const [from, to] = [locatedBy('from'), locatedBy('to')];
  const plusMinus = (all: readonly (Thing | undefined)[]) =>
    Float64Array.from(all, (thing) => thing?.plusMinus_ft ?? 0);
  const keys = (all: readonly (Thing | undefined)[]) => all.map((thing) => thing?.key ?? '');
  return {
    plusMinus: { from: plusMinus(from), to: plusMinus(to) },
    nearest: { from: keys(from), to: keys(to) },
  };
}

/**
 * The first finding completely inside an action that starts, or ends, here, if it is close; of two equally near, the
 * less certain.
 */
function nearestInside(
  findings: readonly GradedFinding[],
  x: number,
  side: 'from' | 'to',
): { finding: GradedFinding; away_ft: number } | undefined {
  let best: { finding: GradedFinding; away_ft: number } | undefined;
  for (const finding of findings) {
    const away_ft = side === 'from' ? finding.place.from_ft - x : x - finding.place.to_ft;
    if (away_ft < -sameStation_ft || away_ft > endsForAtMost_ft) continue;
    const nearer = best ? best.away_ft - away_ft : Infinity;
    const isLessCertain = best && finding.placed[side].plusMinus_ft > best.finding.placed[side].plusMinus_ft;
    if (nearer > tolerance.exact || (nearer > -tolerance.exact && isLessCertain)) best = { finding, away_ft };
  }
  return best;
}

/** Everything of the pipe with a known station: other things on the ground do not locate the pipe. */
function thingsOfThePipe({ points, entries }: LineModel, condition: Condition): Thing[] {
  const locating = entries.filter(({ entry }) =>
    ['change', 'joint', 'locate', 'hidden'].includes(entry.kind),
  );
  const all = [
    ...points.filter(({ point }) => isOfThePipe(point)).map(({ at }) => at),
    ...[...locating, ...condition.findings.map(({ placed }) => placed)].flatMap(({ from, to }) => [from, to]),
  ];
  return [...new Map(all.map((thing) => [thing.key, thing])).values()];
}

/** The nearest thing; of two equally near, the less certain. */
function nearestThing(things: readonly Thing[], x: number): Thing | undefined {
  let best: Thing | undefined;
  for (const thing of things) {
    if (!best) {
      best = thing;
      continue;
    }
    const nearer = Math.abs(best.station_ft - x) - Math.abs(thing.station_ft - x);
    if (nearer > tolerance.exact || (nearer > -tolerance.exact && thing.plusMinus_ft > best.plusMinus_ft))
      best = thing;
  }
  return best;
}

/**
 * Where old pipe may be cut: anywhere except within a piece with known joints, since a stub would remain. Where the
 * piece continues into no-dig ground, it may be cut anyway.
 */
export function cutsOf(cells: readonly Cell[], model: LineModel, rules: Rules): Track['cutAt'] {
  const may = (at: number, left: Cell | undefined): number => {
    if (!rules.toJoints || !left) return 1;
    const { pipe } = left;
    if (!isOld(pipe.material) || pipe.piece_ft === undefined) return 1;
    if (left.closedTo !== undefined || !left.ours) return 1;
    const x = cells[at]?.from_ft ?? cells[at - 1]?.to_ft ?? 0;
    const onJoint = [...model.joints, pipe.from_ft, pipe.to_ft].some(
      (joint) => Math.abs(joint - x) <= sameStation_ft,
    );
    return onJoint ? 1 : 0;
  };
  const ends = cells.length + 1;
  return {
    from: Uint8Array.from({ length: ends }, (_, at) => may(at, cells[at - 1])),
    to: Uint8Array.from({ length: ends }, (_, at) => may(at, cells[at])),
  };
}
