import { tolerance } from '../units.js';
import type { Job, Pin } from '../job/schema.js';
import { overlap, type Interval } from '../line/intervals.js';
import { resolveStretch } from '../line/model.js';
import { chosenScope, runnersUpOn, type ChosenScope } from '../scope/scope.js';
import { refusalOn } from '../explain/refusals.js';
import { readyJob, type ReadiedJob } from '../solve/ready.js';
import type { Prepared } from '../prepare/prepare.js';
import { prepareLines, solutionOf, type LineSolution } from '../solve/solution.js';
import { restrictionsOf } from '../solve/restrictions.js';

/** A job laid out, graded and priced once, so that pins can be tried on it many times a second. */
export interface TrialBase {
  readonly ready: ReadiedJob;
  readonly prepared: readonly Prepared[];
}

export function trialBaseOf(job: Job): TrialBase {
  const ready = readyJob(job);
  const { lines, rules, prices } = ready;
  return { ready, prepared: prepareLines({ lines, rules, prices, school: rules.school }) };
}

/** The result of trial pins, and what refuses them where there is no feasible scope. */
export interface TrialResult extends ChosenScope {
  readonly cannot?: string;
}

/**
 * The scope of a job with other pins on one of its lines: what `scopeOf` would find for the edited job, without the
 * other options. Pins move nothing and add no breaks, so nothing is laid out or priced again. Runners-up are computed
 * for the stretch `around` only.
 */
export function trialOf(
  { ready, prepared }: TrialBase,
  line: string,
  pins: readonly Pin[],
  around: Interval,
): TrialResult {
  const lines = ready.lines.map((each) =>
    each.model.line.id === line ? { ...each, restrictions: restrictionsOf(pins, each.model) } : each,
  );
  const tried: ReadiedJob = { ...ready, lines };
  const { rules, prices } = ready;
  const input = { lines, rules, prices, school: rules.school };
  const solution = solutionOf(input, prepared);
  const bare = chosenScope(tried, solution);
  const chosen = {
    ...bare,
    lines: runnersUpOn(bare.lines, { line, ...around }, { solution, input, prepared }),
  };
  const own = solution.lines.find((each) => each.line.model.line.id === line);
  return own && !own.chosen ? { ...chosen, cannot: whyNot(own, pins, around) } : chosen;
}

/**
 * Why the pins on a stretch are not possible: the rule that refuses what they require there, or what they leave undone.
 */
function whyNot({ line, prepared }: LineSolution, pins: readonly Pin[], around: Interval): string {
  const { track } = prepared.possible;
  const { model } = line;
  const feet = (x: number) => x.toFixed(1);
  for (const pin of pins) {
    const at = resolveStretch(pin, model.survey, model.line.end);
    if (pin.method === undefined || overlap(at, around) <= tolerance.ft) continue;
    const refusal = refusalOn(track, pin.method, at, []);
    if (refusal) {
      return `${pin.method} from ${feet(at.from_ft)} to ${feet(at.to_ft)} ft: ${refusal.why}. Lifted by: ${refusal.lift}`;
    }
  }
  const left = track.obligations.cured.find(
    ({ place }) => overlap(place, { from_ft: around.from_ft - 1, to_ft: around.to_ft + 1 }) > 0,
  );
  return left
    ? `with the pins nothing puts this right: ${left.why}`
    : 'no scope satisfies these pins and the house rules together';
}
