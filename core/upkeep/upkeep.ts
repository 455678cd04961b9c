import { addMonths, latest, type Day } from '../job/days.js';
import { underFirm, type Firm } from '../job/firm.js';
import type { Job, Line } from '../job/schema.js';
import type { Rules } from '../job/rules-schema.js';
import { condition, type Judged } from '../condition/condition.js';
import { lineModel } from '../line/model.js';
import { leftUndone } from '../scope/left.js';
import { readyJob, type ReadiedJob } from '../scope/scope.js';
import { prepareLines, wayOf, type LineWay, type WayInput } from '../scope/way.js';

/** Something to do again on a line: not before `from`, not after `to`. */
export interface Due {
  readonly line: string;
  readonly lineName: string;
  readonly what: 'clean' | 'look';
  readonly from: Day;
  readonly to: Day;
  readonly why: string;
}

const halfTheBore_percent = 50;

/**
 * When each line of a job is to be cleaned and looked at again, by the school it was accepted or is scoped under and by
 * what that leaves: cleaning while roots remain, looks always, and a look after a strong earthquake. Intervals are house
 * rules, common practice. `until` lists every date up to that day; without it only the next of each kind. A line of
 * which no day is known has none.
 */
export const upkeepOf = (job: Job, firm: Firm, until?: Day): Due[] =>
  duesOf(job, readyJob(underFirm(job, firm)), until);

/** The same of a job that is readied already. */
export function duesOf(job: Job, ready: ReadiedJob, until?: Day): Due[] {
  const school = job.accepted?.school ?? ready.rules.school;
  const input: WayInput = { ...ready, rules: { ...ready.rules, school }, school };
  return wayOf(input, prepareLines(input)).lines.flatMap((lineWay) =>
    lineDues(lineWay, ready.rules, school !== 'renew', job.accepted?.on, until),
  );
}

function lineDues(
  lineWay: LineWay,
  rules: Rules,
  cleansYearly: boolean,
  acceptedOn: Day | undefined,
  until: Day | undefined,
): Due[] {
  const { line } = lineWay.line.model;
  const lookedOn = latest(line.runs.map(({ on }) => on));
  const cleanedOn = [...new Set((line.cleanings ?? []).flatMap(({ on }) => on ?? []))].sort();
  const repairedOn = latest([
    acceptedOn,
    ...line.runs.filter(({ stage }) => stage === 'after-repair').map(({ on }) => on),
  ]);
  const roots = rootsRemain(lineWay, line, rules);
  const base = { line: line.id, lineName: line.name ?? line.id };
  const dues: Due[] = [];

  const lastCleaned = latest([
    cleanedOn.at(-1),
    cleanedOn.length === 0 ? (repairedOn ?? lookedOn) : undefined,
  ]);
  if (roots && cleansYearly && lastCleaned) {
    const first = hadBadRoots(lineWay.line.condition.findings) && cleanedOn.length <= 1;
    const [soonest, last] = first ? rules.cleanFirst_months : rules.cleanEvery_months;
    const due = {
      ...base,
      what: 'clean' as const,
      from: addMonths(lastCleaned, soonest),
      to: addMonths(lastCleaned, last),
    };
    const why = first
      ? `roots past half the bore were cut on ${lastCleaned}: the first cleaning after ${soonest} to ${last} months`
      : `roots remain: every ${soonest} to ${last} months, last on ${lastCleaned}`;
    dues.push({ ...due, why });
    const [again, latestAgain] = rules.cleanEvery_months;
    for (
      let to = due.to;
      until !== undefined && addMonths(to, again) <= until;
      to = addMonths(to, latestAgain)
    ) {
      dues.push({
        ...base,
        what: 'clean',
        from: addMonths(to, again),
        to: addMonths(to, latestAgain),
        why: `roots remain: every ${again} to ${latestAgain} months`,
      });
    }
  }

  const lastLook = latest([lookedOn, repairedOn]);
  if (lastLook) {
    const months = roots ? rules.lookRoots_months : rules.look_months;
    const shaken =
      rules.earthquakeOn !== undefined && rules.earthquakeOn > lastLook ? rules.earthquakeOn : undefined;
    const every = roots ? `roots remain: a look every ${months} months` : `a look every ${months} months`;
    let day = shaken ?? addMonths(lastLook, months);
    dues.push({
      ...base,
      what: 'look',
      from: day,
      to: day,
      why: shaken
        ? `a strong earthquake on ${shaken}, and no look since ${lastLook}`
        : `${every}, last on ${lastLook}`,
    });
    for (day = addMonths(day, months); until !== undefined && day <= until; day = addMonths(day, months)) {
      dues.push({ ...base, what: 'look', from: day, to: day, why: every });
    }
  }
  return dues.sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : a.what < b.what ? -1 : 1));
}

/** Roots stay where the way leaves their joints, and where the look after the repair still found some. */
function rootsRemain(lineWay: LineWay, line: Line, rules: Rules): boolean {
  const after = condition(lineModel(line, rules, 'after-repair'), rules).findings.some(
    ({ placed, grade, possible }) => placed.entry.finding === 'roots' && grade >= 1 && !possible,
  );
  return after || (leftUndone(lineWay)?.rootsLeft ?? false);
}

const hadBadRoots = (findings: readonly Judged[]): boolean =>
  findings.some(({ placed: { entry }, possible }) => {
    if (entry.finding !== 'roots' || possible || entry.percent === undefined) return false;
    return (typeof entry.percent === 'number' ? entry.percent : entry.percent[1]) > halfTheBore_percent;
  });
