import { condition } from '../condition/condition.js';
import { rulesInForce, type Rules } from '../job/rules.js';
import type { Job, Line, PlainJob } from '../job/schema.js';
import type { Method, Grade } from '../job/vocabulary.js';
import { covers, overlap, overlaps, union, type Interval } from '../line/intervals.js';
import { lineModel, sightOf, type LineModel } from '../line/model.js';
import { sayWhat } from '../speech/say.js';
import type { GradedFinding } from '../condition/graded-finding.js';
import { workOf } from '../methods/index.js';
import type { Action } from '../methods/method.js';
import { readyJob } from '../solve/ready.js';
import { solutionOf, type LineSolution } from '../solve/solution.js';

/** The post-repair inspection of one line compared with the planned work. */
export interface RepairCheck {
  readonly line: string;
  readonly lineName: string;
  /** Whether there was a post-repair inspection. */
  readonly looked: boolean;
  readonly actions: readonly CheckedAction[];
  /** Stretches that were to be cleaned. */
  readonly cleaned: readonly (Interval & { readonly done: Done; readonly left: readonly LeftAfter[] })[];
  /** New cleanouts that were to be installed; one that no reading mentions is not confirmed. */
  readonly cleanouts: readonly { readonly station_ft: number; readonly found_ft: number | undefined }[];
  /** Grade 3 and 4 findings of the post-repair inspection outside the planned work. */
  readonly elsewhere: readonly LeftAfter[];
}

export type Done = 'done' | 'not-done' | 'not-seen';

export interface CheckedAction extends Interval {
  readonly id: string;
  readonly method: Method;
  readonly done: Done;
  /** Why it counts as done or not done. */
  readonly why: string;
  readonly ends: readonly CheckedEnd[];
  /** Grade 3 and 4 findings remaining in it. */
  readonly left: readonly LeftAfter[];
}

export interface CheckedEnd {
  readonly end: 'from' | 'to';
  readonly planned_ft: number;
  /** Where the inspection found it; undefined where nothing marks it, such as at the end of the line. */
  readonly found_ft: number | undefined;
  readonly plusMinus_ft: number;
  /** Undefined where it was not found. */
  readonly within: boolean | undefined;
}

export interface LeftAfter {
  readonly id: string;
  readonly what: string;
  readonly at_ft: number;
  readonly grade: Grade;
}

const failing: Grade = 3;
/** A material change farther than this from the planned end belongs to something else, ft. */
const sameEnd_ft = 6;
/** A cleanout reading this close to a planned one is that cleanout, beyond its ±, ft. */
const sameCleanout_ft = 2;
/** An action counts as done where this fraction of it shows the new wall. */
const doneShare = 0.5;

/**
 * Compares the post-repair inspection with the accepted scope (or the current scope if none was accepted): each action
 * done or not, its ends where planned, and no grade 3 or 4 left in it. Stations and ± in ft.
 */
export function checkRepair(job: Job, inForce: PlainJob): RepairCheck[] {
  const planned = job.accepted?.job ?? inForce;
  const ready = readyJob(planned);
  const solution = solutionOf({ ...ready, school: ready.rules.school });
  return solution.lines.flatMap((lineSolution) => {
    const line = job.lines.find(({ id }) => id === lineSolution.line.model.line.id);
    return line ? [checkLine(lineSolution, line, rulesInForce(planned.rules))] : [];
  });
}

/**
 * Whether the post-repair inspection found all the work done with ends within ± and nothing left to fix, only part of
 * it, or was never made.
 */
export function repairState(checks: readonly RepairCheck[]): 'whole' | 'part' | 'not-looked' {
  if (!checks.some(({ looked }) => looked)) return 'not-looked';
  const whole = checks.every(
    ({ actions, cleaned }) =>
      actions.every(
        ({ done, ends, left }) =>
          done === 'done' && left.length === 0 && ends.every(({ within }) => within !== false),
      ) && cleaned.every(({ done }) => done === 'done'),
  );
  return whole ? 'whole' : 'part';
}

function checkLine(lineSolution: LineSolution, line: Line, rules: Rules): RepairCheck {
  const after = lineModel(line, rules, 'after-repair');
  const looked = after.entries.length > 0;
  const seen = union(line.runs.flatMap((run) => sightOf(run, after)));
  const bad = condition(after, rules).findings.filter(({ grade, possible }) => grade >= failing && !possible);
  const actions = lineSolution.chosen?.layout.actions ?? [];
  const leftIn = (stretch: Interval) => bad.filter((each) => overlaps(each.place, stretch)).map(leftOf);
  const cleaned = stretchesCleaned(lineSolution);
  return {
    line: line.id,
    lineName: line.name ?? line.id,
    looked,
    actions: actions.map((action) => {
      const left = leftIn(inside(action));
      const { done, why } = wasDone(action, after, seen, rules);
      return {
        id: action.id,
        method: action.method,
        from_ft: action.from_ft,
        to_ft: action.to_ft,
        done,
        why,
        ends: done === 'done' ? endsOf(action, lineSolution, after) : [],
        left,
      };
    }),
    cleaned: cleaned.map((stretch) => {
      const left = leftIn(stretch);
      const done = left.length > 0 ? 'not-done' : covers(seen, stretch) ? 'done' : 'not-seen';
      return { ...stretch, done, left };
    }),
    cleanouts: (lineSolution.chosen?.cleanouts ?? [])
      .filter(({ status }) => status === 'new')
      .map(({ station_ft }) => ({ station_ft, found_ft: cleanoutNear(station_ft, after) })),
    elsewhere: bad
      .filter(({ place }) => ![...actions.map(inside), ...cleaned].some((each) => overlaps(each, place)))
      .map(leftOf),
  };
}

/** Station of a cleanout reading near a planned one. */
function cleanoutNear(station_ft: number, after: LineModel): number | undefined {
  const called = new Set(after.entries.flatMap(({ entry }) => (entry.kind === 'point' ? [entry.point] : [])));
  return after.points.find(
    ({ point, at }) =>
      point.kind === 'cleanout' &&
      called.has(point.id) &&
      Math.abs(at.station_ft - station_ft) <= sameCleanout_ft + at.plusMinus_ft,
  )?.at.station_ft;
}

/** A finding at the very end of an action belongs to the old pipe next to it. */
const inside = ({ from_ft, to_ft }: Interval): Interval => {
  const margin = Math.min(0.5, (to_ft - from_ft) / 4);
  return { from_ft: from_ft + margin, to_ft: to_ft - margin };
};

const leftOf = ({ id, placed, grade }: GradedFinding): LeftAfter => ({
  id,
  what: sayWhat(placed.entry),
  at_ft: placed.from_ft,
  grade,
});

function stretchesCleaned({ prepared, chosen }: LineSolution): Interval[] {
  return union(prepared.possible.track.cells.filter((_, i) => chosen?.layout.cells[i]?.method === 'clean'));
}

const isLiner = (method: Method) => workOf(method).kind === 'liner';

/** Wall material expected after an action: a liner, or the new pipe. */
function shows(method: Method, rules: Rules, pipe: LineModel['pipes'][number]): boolean {
  if (isLiner(method)) return pipe.lined === true;
  return pipe.lined !== true && pipe.material === workOf(method).newPipe?.material(rules);
}

function wasDone(
  action: Action,
  after: LineModel,
  seen: readonly Interval[],
  rules: Rules,
): { done: Done; why: string } {
  const length = action.to_ft - action.from_ft;
  const seenOf = seen.reduce((sum, each) => sum + overlap(each, action), 0);
  const shown = after.pipes
    .filter((pipe) => shows(action.method, rules, pipe))
    .reduce((sum, pipe) => sum + overlap(pipe, action), 0);
  const what = isLiner(action.method) ? 'a liner' : 'new pipe';
  if (seenOf < doneShare * length) {
    return {
      done: 'not-seen',
      why: `the post-repair inspection saw ${seenOf.toFixed(1)} of its ${length.toFixed(1)} ft`,
    };
  }
  const why = `the post-repair inspection found ${what} over ${shown.toFixed(1)} of its ${length.toFixed(1)} ft`;
  return { done: shown >= doneShare * length ? 'done' : 'not-done', why };
}

/** Where the post-repair inspection found each end; the ± of both surveys add up. */
function endsOf(action: Action, { prepared }: LineSolution, after: LineModel): CheckedEnd[] {
  const { plusMinus } = prepared.possible.track;
  return (['from', 'to'] as const).map((end) => {
    const planned_ft = end === 'from' ? action.from_ft : action.to_ft;
    const planned = plusMinus[end][end === 'from' ? action.fromBreak : action.toBreak] ?? 0;
    const near = after.changes
      .map(({ at }) => at)
      .filter(({ station_ft }) => Math.abs(station_ft - planned_ft) <= sameEnd_ft)
      .sort((a, b) => Math.abs(a.station_ft - planned_ft) - Math.abs(b.station_ft - planned_ft))[0];
    const plusMinus_ft = planned + (near?.plusMinus_ft ?? 0);
    return {
      end,
      planned_ft,
      found_ft: near?.station_ft,
      plusMinus_ft,
      within: near && Math.abs(near.station_ft - planned_ft) <= plusMinus_ft,
    };
  });
}
