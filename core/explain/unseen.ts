import { heldBy } from '../condition/grade.js';
import { isCleaned, kindOfJudged, type Judged } from '../condition/judged.js';
import type { Prices } from '../job/prices-schema.js';
import { roundCents } from '../job/units.js';
import type { FindingEntry } from '../job/schema.js';
import { covers, subtract, union, type Interval } from '../line/intervals.js';
import { pointKey } from '../survey/things.js';
import type { ScopedLine } from '../solve/way.js';

/** The first of two steps for a line that could not be seen. */
export interface FirstStep extends Interval {
  readonly what: string;
  readonly why: string;
  readonly price: number;
}

/** Stretches that are unseen, hidden or not clean, and in plain words why each must be looked at again. */
export function lookAgain({ model, condition }: ScopedLine): { stretches: Interval[]; why: string[] } {
  const unseen = subtract([model.extent], model.seen);
  const unclean = condition.findings.filter(
    (finding) => isCleaned(finding) && finding.stopsLiner !== undefined,
  );
  const held = condition.findings.filter(
    (finding) => heldBy(finding.placed.entry, kindOfJudged(finding)) !== undefined,
  );
  const possible = condition.findings.filter((finding) => finding.possible);
  const feet = unseen.reduce((sum, { from_ft, to_ft }) => sum + to_ft - from_ft, 0);
  const at = (all: readonly Judged[]) => all.map(({ placed }) => placed.from_ft.toFixed(1)).join(', ');
  return {
    stretches: union([...unseen, ...[...unclean, ...held, ...possible].map(({ place }) => place)]),
    why: [
      ...(unseen.length > 0 ? [`${feet.toFixed(1)} ft not seen`] : []),
      ...(unclean.length > 0 ? [`roots or deposit at ${at(unclean)} ft hide the wall`] : []),
      ...(held.length > 0 ? [`water held back at ${at(held)} ft`] : []),
      ...(possible.length > 0 ? [`only possible at ${at(possible)} ft`] : []),
    ],
  };
}

/** The line as it would be if everything not seen clean proved sound, or proved failed. */
export function supposing(line: ScopedLine, proves: 'sound' | 'failed'): ScopedLine {
  const { stretches } = lookAgain(line);
  if (stretches.length === 0) return line;
  const { model, condition } = line;
  const known = condition.findings.filter(({ place }) => !covers(stretches, place));
  const failed = proves === 'failed' ? stretches.map((stretch, i) => failedStretch(line, stretch, i)) : [];
  return {
    ...line,
    model: { ...model, seen: [model.extent] },
    condition: { ...condition, findings: [...known, ...failed] },
  };
}

function failedStretch({ model }: ScopedLine, place: Interval, index: number): Judged {
  const entry: FindingEntry = {
    id: `not seen ${index + 1}`,
    kind: 'finding',
    finding: 'broken',
    after: model.line.datum,
  };
  const [run] = model.line.runs;
  const datum = model.survey.placed.get(pointKey(model.line.datum));
  if (!run || !datum) throw new Error('a line without runs has nothing unseen to suppose about');
  return {
    id: entry.id,
    placed: { ...place, entry, run, from: datum, to: datum },
    place,
    clock: undefined,
    grade: 4,
    tableGrade: 4,
    why: { value: 4, unit: 'grade', steps: [] },
    cures: ['spot', 'liner', 'replacement'],
    structural: true,
    possible: false,
    settled: false,
    stopsLiner: undefined,
    endOfLife: false,
    ovality_percent: undefined,
  };
}

/** Clean and look again: over what is unseen, hidden or not clean, priced; null when nothing stands in the way. */
export function firstStep(lines: readonly ScopedLine[], prices: Prices): FirstStep | null {
  const needed = lines.map(lookAgain).filter(({ stretches }) => stretches.length > 0);
  if (needed.length === 0) return null;
  const ends = needed.map(({ stretches }) => ({
    from_ft: Math.min(...stretches.map(({ from_ft }) => from_ft)),
    to_ft: Math.max(...stretches.map(({ to_ft }) => to_ft)),
  }));
  const feet = ends.reduce((sum, { from_ft, to_ft }) => sum + to_ft - from_ft, 0);
  const raw = (prices.mobilisation.clean ?? 0) + feet * prices.cleaning_per_ft + prices.look;
  return {
    what: 'clean and look again',
    from_ft: Math.min(...ends.map(({ from_ft }) => from_ft)),
    to_ft: Math.max(...ends.map(({ to_ft }) => to_ft)),
    why: needed.flatMap(({ why }) => why).join('; '),
    price: roundCents(raw * (1 + prices.markup) * (1 + prices.tax)),
  };
}
