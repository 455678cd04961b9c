import { addMonths, latest, sayDay, type Day } from '../days.js';
import { underFirm, type Firm } from '../job/firm.js';
import type { Job, Line } from '../job/schema.js';
import type { Rules } from '../job/rules.js';
import { condition } from '../condition/condition.js';
import { lineModel } from '../line/model.js';
import type { GradedFinding } from '../condition/graded-finding.js';
import { leftUndone } from '../explain/left.js';
import { readyJob, type ReadiedJob } from '../solve/ready.js';
import { prepareLines, solutionOf, type LineSolution, type SolveInput } from '../solve/solution.js';

/** Something due on a line: not before `from`, not after `to`. */
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
 * When each line of a job is due for cleaning and inspection, by the repair approach it was accepted or is scoped under
 * and by what that leaves: cleaning while roots remain, inspections always, and one after a strong earthquake.
 * Intervals are house rules, common practice. `until` lists every date up to that day; without it only the next of each
 * kind. A line without any known date has none.
 */
export const upkeepOf = (job: Job, firm: Firm, until?: Day): Due[] =>
  duesOf(job, readyJob(underFirm(job, firm)), until);

/** The same for a job that is already prepared. */
export function duesOf(job: Job, ready: ReadiedJob, until?: Day): Due[] {
  const school = job.accepted?.school ?? ready.rules.school;
  const input: SolveInput = { ...ready, rules: { ...ready.rules, school }, school };
  return solutionOf(input, prepareLines(input)).lines.flatMap((lineSolution) =>
    lineDues(lineSolution, ready.rules, school !== 'renew', job.accepted?.on, until),
  );
}

/** A line's history, from which its next dates are counted. */
interface Past {
  readonly line: Pick<Due, 'line' | 'lineName'>;
  readonly rules: Rules;
  readonly roots: boolean;
  readonly until: Day | undefined;
}

function lineDues(
  lineSolution: LineSolution,
  rules: Rules,
  cleansYearly: boolean,
  acceptedOn: Day | undefined,
  until: Day | undefined,
): Due[] {
  const { line } = lineSolution.line.model;
  const lookedOn = latest(line.runs.map(({ on }) => on));
  const cleanedOn = [...new Set((line.cleanings ?? []).flatMap(({ on }) => on ?? []))].sort();
  const lookedAfterOn = latest(line.runs.filter(({ stage }) => stage === 'after-repair').map(({ on }) => on));
  const repairedOn = latest([acceptedOn, lookedAfterOn]);
  const past: Past = {
    line: { line: line.id, lineName: line.name ?? line.id },
    rules,
    roots: rootsRemain(lineSolution, line, rules),
    until,
  };
  // Counted from actual work: an inspection or an agreement cuts no roots.
  const lastCleaned = cleanedOn.at(-1) ?? lookedAfterOn;
  const first = cleanedOn.length <= 1 && hadBadRoots(lineSolution.line.condition.findings);
  const lastLook = latest([lookedOn, repairedOn]);
  return [
    ...(past.roots && cleansYearly ? cleansDue(past, lastCleaned, lookedOn, first) : []),
    ...(lastLook ? lookDues(past, lastLook) : []),
  ].sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : a.what < b.what ? -1 : 1));
}

/** Overdue cleanings: now, where roots were seen and no cleaning is recorded. */
function cleansDue(past: Past, cleanedOn: Day | undefined, seenOn: Day | undefined, first: boolean): Due[] {
  if (cleanedOn) return cleanDues(past, cleanedOn, first);
  const why = `roots were seen${seenOn === undefined ? '' : ` on ${sayDay(seenOn)}`} and no cleaning is recorded: due now`;
  return seenOn ? [{ ...past.line, what: 'clean', from: seenOn, to: seenOn, why }] : [];
}

/** The next cleaning and those after it, each counted from the last day of the one before. */
function cleanDues({ line, rules, until }: Past, lastCleaned: Day, first: boolean): Due[] {
  const due = (since: Day, [soonest, last]: readonly [number, number], why: string): Due => ({
    ...line,
    what: 'clean',
    from: addMonths(since, soonest),
    to: addMonths(since, last),
    why,
  });
  const [soonest, last] = first ? rules.cleanFirst_months : rules.cleanEvery_months;
  const next = due(
    lastCleaned,
    [soonest, last],
    first
      ? `roots past half the diameter were cut on ${sayDay(lastCleaned)}: the first cleaning after ${soonest} to ${last} months`
      : `roots remain: every ${soonest} to ${last} months, last on ${sayDay(lastCleaned)}`,
  );
  const again = rules.cleanEvery_months;
  const why = `roots remain: every ${again[0]} to ${again[1]} months`;
  const dues = [next];
  for (
    let { to } = next;
    until !== undefined && addMonths(to, again[0]) <= until;
    to = addMonths(to, again[1])
  ) {
    dues.push(due(to, again, why));
  }
  return dues;
}

/** The next inspection, immediately where there was an earthquake since the last, and those after it. */
function lookDues({ line, rules, roots, until }: Past, lastLook: Day): Due[] {
  const months = roots ? rules.lookRoots_months : rules.look_months;
  const { earthquakeOn } = rules;
  const shaken = earthquakeOn !== undefined && earthquakeOn > lastLook ? earthquakeOn : undefined;
  const every = `${roots ? 'roots remain: ' : ''}an inspection every ${months} months`;
  const due = (day: Day, why: string): Due => ({ ...line, what: 'look', from: day, to: day, why });
  const next = shaken
    ? due(shaken, `a strong earthquake on ${sayDay(shaken)}, and no inspection since ${sayDay(lastLook)}`)
    : due(addMonths(lastLook, months), `${every}, last on ${sayDay(lastLook)}`);
  const dues = [next];
  for (
    let day = addMonths(next.from, months);
    until !== undefined && day <= until;
    day = addMonths(day, months)
  ) {
    dues.push(due(day, every));
  }
  return dues;
}

/** Roots remain where the scope leaves their joints, and where the post-repair inspection still found some. */
function rootsRemain(lineSolution: LineSolution, line: Line, rules: Rules): boolean {
  const after = condition(lineModel(line, rules, 'after-repair'), rules).findings.some(
    ({ placed, grade, possible }) => placed.entry.finding === 'roots' && grade >= 1 && !possible,
  );
  return after || (leftUndone(lineSolution)?.rootsLeft ?? false);
}

const hadBadRoots = (findings: readonly GradedFinding[]): boolean =>
  findings.some(({ placed: { entry }, possible }) => {
    if (entry.finding !== 'roots' || possible || entry.percent === undefined) return false;
    return (typeof entry.percent === 'number' ? entry.percent : entry.percent[1]) > halfTheBore_percent;
  });
