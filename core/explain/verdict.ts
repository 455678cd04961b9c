import { isCleaned } from '../condition/graded-finding.js';
import { covers } from '../line/intervals.js';
import type { ScopedLine, Solution } from '../solve/solution.js';

export const verdicts = ['blocked', 'urgent', 'repair', 'clean', 'serviceable', 'incomplete'] as const;
export type Verdict = (typeof verdicts)[number];

/** Reasons for stopping that are not obstacles: the head had arrived. */
const arrived = /^\s*(main|end|manhole|tie-?in|house|building|cleanout|reached|far enough)/i;

/** Reasons that lie with the camera, not with the pipe. */
const tooShort =
  /\b(?:out of|no more|end of (?:the|my)) (?:cable|rod|hose|reel)\b|\b(?:cable|rod|reel) (?:was |is )?too short\b/i;

/** Whether the cable ended before the line did: nothing shows that the pipe is obstructed. */
export const ranShort = ({ model }: ScopedLine): boolean => {
  const stops = model.entries.filter(({ entry }) => entry.kind === 'stop');
  return (
    stops.length > 0 && stops.every(({ entry }) => entry.kind === 'stop' && tooShort.test(entry.why ?? ''))
  );
};

/** A finding this close to where the camera stopped is what stopped it, ft. */
const atStop_ft = 2;

/** Whether what stopped the camera is the pipe itself, which no cleaning gets it past. */
export const isStoppedByPipe = ({ model, condition }: ScopedLine): boolean =>
  model.entries.some(({ entry, from_ft: stop_ft }) => {
    if (entry.kind !== 'stop') return false;
    const near = condition.findings.filter(
      ({ placed, possible }) => !possible && Math.abs(placed.to_ft - stop_ft) <= atStop_ft,
    );
    return near.some(({ structural, grade }) => structural && grade >= 3) && !near.some(isCleaned);
  });

/** Everything that is true of a job, worst first. */
export function verdictOf(lines: readonly ScopedLine[], solution: Solution): Verdict[] {
  if (nothingSeen(lines)) return ['incomplete'];
  const cells = solution.lines.flatMap(({ chosen }) => chosen?.layout.cells ?? []);
  const worst = {
    blocked: lines.some(isBlocked),
    urgent: lines.some(({ condition }) =>
      condition.findings.some((each) => each.structural && each.grade === 4 && !each.possible),
    ),
    repair: !solution.feasible || cells.some(({ action, uncured }) => action !== null || uncured),
    clean: cells.some(({ method }) => method === 'clean'),
  };
  const named = (['blocked', 'urgent', 'repair', 'clean'] as const).filter((verdict) => worst[verdict]);
  const incomplete = lines.some(({ model }) => !model.endReached || !covers(model.seen, model.extent));
  return [
    ...(named.length > 0 ? named : (['serviceable'] as const)),
    ...(incomplete ? (['incomplete'] as const) : []),
  ];
}

/** No run has shown a foot of any line. */
export const nothingSeen = (lines: readonly ScopedLine[]): boolean =>
  lines.every(
    ({ model }) =>
      model.seen.every(({ from_ft, to_ft }) => to_ft - from_ft <= 0) && model.findings.length === 0,
  );

/** Water or the camera does not get through: a test that did not drain, or a stop that no later inspection passed. */
function isBlocked({ model, condition }: ScopedLine): boolean {
  const backedUp = condition.referrals.some(({ to }) => to === 'owner of the main');
  return model.entries.some(({ entry, run, from_ft }) => {
    if ((entry.stage ?? run.stage ?? 'current') !== 'current') return false;
    // Water that does not arrive drains elsewhere, which says nothing about this pipe.
    if (entry.kind === 'test') return !backedUp && entry.runsAway === false;
    if (entry.kind !== 'stop' || arrived.test(entry.why ?? 'main') || tooShort.test(entry.why ?? ''))
      return false;
    const beyond = {
      from_ft: Math.max(model.extent.from_ft, from_ft - 0.5),
      to_ft: Math.min(model.extent.to_ft, from_ft + 0.5),
    };
    return !covers(model.seen, beyond) || !model.endReached;
  });
}
