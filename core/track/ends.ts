import { isOld } from '../catalog/materials.js';
import type { Condition } from '../condition/condition.js';
import type { Judged } from '../condition/judged.js';
import type { Rules } from '../job/rules-schema.js';
import { sameStation_ft, tolerance } from '../job/units.js';
import type { LineModel } from '../line/model.js';
import type { Cell, Obligations, Track } from './track.js';
import { isOfThePipe } from './breaks.js';

type Thing = NonNullable<ReturnType<LineModel['survey']['point']>>;

/** An end this near to a finding it covers is there for it, ft; one further off is described by what it stands on. */
const endsFor_ft = 2;
/** With nothing to stand on, an end is still there for a finding this far inside, ft. */
const endsForAtMost_ft = 5;

/**
 * The thing that an action's end at each break is measured from, and its ±: the finding that the end is there to cover
 * (that finding's own end); else the point it stands on; else the nearest thing of the pipe.
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
  const told = (side: 'from' | 'to') =>
    breaks.map((x) => {
      const finding = nearestInside(covered, x, side);
      const own = finding?.finding.placed[side];
      if (own && finding.away_ft <= endsFor_ft + tolerance.ft) return own;
      const nearest = nearestThing(things, x);
      const stands = nearest && Math.abs(nearest.station_ft - x) <= sameStation_ft;
      return own && !stands ? own : nearest;
    });
  const [from, to] = [told('from'), told('to')];
  const plusMinus = (all: readonly (Thing | undefined)[]) =>
    Float64Array.from(all, (thing) => thing?.plusMinus_ft ?? 0);
  const keys = (all: readonly (Thing | undefined)[]) => all.map((thing) => thing?.key ?? '');
  return {
    plusMinus: { from: plusMinus(from), to: plusMinus(to) },
    nearest: { from: keys(from), to: keys(to) },
  };
}

/** The first finding that lies whole inside an action that starts, or ends, here, if it is near. */
function nearestInside(
  findings: readonly Judged[],
  x: number,
  side: 'from' | 'to',
): { finding: Judged; away_ft: number } | undefined {
  let best: { finding: Judged; away_ft: number } | undefined;
  for (const finding of findings) {
    const away_ft = side === 'from' ? finding.place.from_ft - x : x - finding.place.to_ft;
    if (away_ft < -sameStation_ft || away_ft > endsForAtMost_ft) continue;
    if (!best || away_ft < best.away_ft) best = { finding, away_ft };
  }
  return best;
}

/** Everything of the pipe whose station is known: what else stands on the ground says nothing of where the pipe's things lie. */
function thingsOfThePipe({ points, entries }: LineModel, condition: Condition): Thing[] {
  const told = entries.filter(({ entry }) => ['change', 'joint', 'locate', 'hidden'].includes(entry.kind));
  const all = [
    ...points.filter(({ point }) => isOfThePipe(point)).map(({ at }) => at),
    ...[...told, ...condition.findings.map(({ placed }) => placed)].flatMap(({ from, to }) => [from, to]),
  ];
  return [...new Map(all.map((thing) => [thing.key, thing])).values()];
}

/** The nearest thing, the less sure one of two as near. */
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
 * Where old pipe may be cut: anywhere but within a piece whose joints are known, for what would be left of it is a stub.
 * Where the piece runs on into ground that nobody may dig, it is cut all the same.
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
