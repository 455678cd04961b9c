import { tolerance } from '../units.js';
import type { Fault } from '../job/faults.js';
import type { Line } from '../job/schema.js';
import { lineModel, resolveStretch, type LineModel } from '../line/model.js';
import type { Interval } from '../line/intervals.js';
import { survey } from '../survey/survey.js';

/** Whether a run not tied to the datum is a fault already, or may be tied later. */
export type Untied = 'refuse' | 'keep';

/** Faults that need stations: runs not tied, stretches backwards or past the end of the line. */
export function placeFaults(line: Line, at: string, untied: Untied): Fault[] {
  const loose = untied === 'refuse' ? untiedFaults(line, at) : [];
  if (loose.length > 0) return loose;
  const stretches = [
    ...(['surfaces', 'owners', 'noDig', 'pins'] as const).flatMap((field) =>
      (line[field] ?? []).map((stretch, i) => ({ stretch, path: `${at}.${field}[${i}]` })),
    ),
    ...(line.cleanings ?? []).map((stretch, i) => ({ stretch, path: `${at}.cleanings[${i}]` })),
  ];
  // Every edit passes through here, so a line that holds nothing by station is not surveyed.
  if (stretches.length === 0) return [];
  const model = lineModel(line);
  return stretches.flatMap(({ stretch, path }) =>
    stretchFaults(resolveStretch(stretch, model.survey, line.end), path, model, untied),
  );
}

const untiedFaults = (line: Line, at: string): Fault[] =>
  (['scope', 'earlier', 'after-repair'] as const).flatMap((frame) =>
    survey(line, frame).untied.map(({ run, wouldTie }) => ({
      path: `${at}.runs[${line.runs.indexOf(run)}]`,
      message: `run-not-tied: ${wouldTie}`,
    })),
  );

/** A stretch may extend this far past the line, on top of the ± of its end, ft. */
const slack_ft = 1;
const backwards_ft = tolerance.exact;

function stretchFaults(
  { from_ft, to_ft }: Interval,
  path: string,
  model: LineModel,
  untied: Untied,
): Fault[] {
  if (Number.isNaN(from_ft) || Number.isNaN(to_ft)) {
    return untied === 'refuse' ? [{ path, message: 'held by a thing that has no station yet' }] : [];
  }
  const { extent } = model;
  const slack = slack_ft + (model.survey.point(model.line.end)?.plusMinus_ft ?? 0);
  const between = (a: number, b: number) => `${a.toFixed(2)} to ${b.toFixed(2)} ft`;
  const faults: Fault[] = [];
  if (from_ft > to_ft + backwards_ft) {
    faults.push({ path, message: `stations run backwards: from ${between(from_ft, to_ft)}` });
  }
  if (model.endReached && (to_ft > extent.to_ft + slack || from_ft < extent.from_ft - slack)) {
    const line = between(extent.from_ft, extent.to_ft);
    faults.push({ path, message: `beyond the line, which runs from ${line}: ${between(from_ft, to_ft)}` });
  }
  return faults;
}
