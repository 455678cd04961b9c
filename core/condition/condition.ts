import { materialRegistry } from '../catalog/materials.js';
import { plain } from '../figure.js';
import { gradingInForce } from '../findings/grades.js';
import { kindOf } from '../findings/kinds.js';
import { measureOf, type Measured } from '../findings/measure.js';
import { gradeWords, type FindingRow, type Grading } from '../findings/row.js';
import type { Rules } from '../job/rules.js';
import type { FindingEntry } from '../job/schema.js';
import { overlap, overlaps } from '../line/intervals.js';
import { boreAt, placeOf, type LineModel, type PlacedEntry } from '../line/model.js';
import { sayWhat } from '../speech/say.js';
import { turnClock } from '../survey/clock.js';
import type { Warning } from '../warning.js';
import { distinct } from './distinct.js';
import { heldBackBy, tableGrade } from './grade.js';
import { kindOfGraded, type GradedFinding } from './graded-finding.js';
import { isSettled } from './settled.js';

export interface Condition {
  readonly findings: readonly GradedFinding[];
  /** Referred: another owner's responsibility. */
  readonly referrals: readonly { what: string; at_ft: number; to: string }[];
  readonly warnings: readonly Warning[];
}

/** Grades every finding of a line by the house rules; what is another owner's responsibility is referred instead. */
export function condition(model: LineModel, rules: Rules): Condition {
  const warnings: Warning[] = [];
  const referrals: Condition['referrals'][number][] = [];
  const findings: GradedFinding[] = [];
  for (const placed of distinct(model.findings)) {
    const referral = referralOf(placed);
    const grading = gradingInForce(placed.entry.finding, rules.findings[placed.entry.finding]);
    if (referral) referrals.push({ what: referral.what, at_ft: placed.from_ft, to: referral.to });
    const { refers, byOthers } = kindOf(placed.entry.finding);
    if (!grading || (referral && !refers)) continue;
    // Also when it is only possible.
    if (byOthers)
      warnings.push({
        rule: 'danger',
        line: model.line.id,
        at_ft: placed.from_ft,
        message: byOthers.danger,
      });
    const { finding, unmeasured } = judge(placed, grading, model, rules);
    findings.push(finding);
    if (unmeasured) {
      warnings.push({
        rule: 'not-measured',
        line: model.line.id,
        at_ft: placed.from_ft,
        message: `${kindOfGraded(finding).noun} at ${plain(placed.from_ft, 1)} ft has no size: grade watch is assumed`,
      });
    }
  }
  return { findings: findings.map((each) => shifting(each, findings)), referrals, warnings };
}

function referralOf({ entry }: PlacedEntry<FindingEntry>): { what: string; to: string } | undefined {
  const { refers, refersFor } = kindOf(entry.finding);
  if (refers) return refers;
  const cause = 'cause' in entry ? entry.cause : undefined;
  if (refersFor && cause === refersFor.cause) return refersFor;
  return entry.ofConnection
    ? { what: `${sayWhat(entry)}: the connection itself belongs to the main`, to: 'owner of the main' }
    : undefined;
}

function judge(
  placed: PlacedEntry<FindingEntry>,
  grading: Grading,
  model: LineModel,
  rules: Rules,
): { finding: GradedFinding; unmeasured: boolean } {
  const { entry, from_ft, to_ft } = placed;
  const kind = kindOf(entry.finding);
  const place = placeOf(placed, model.extent);
  const bore_in = boreAt(model.pipes, (from_ft + to_ft) / 2);
  const measured = measureOf(entry, grading.measure, bore_in);
  const table = tableGrade({ placed, kind, grading, measured, bore_in, model, rules });
  const possible = entry.possible ?? false;
  const settled = isSettled(placed, place, bore_in, model);
  const grade = entry.judged?.grade ?? table.grade;
  const steps = [{ label: kind.noun, expression: table.because, source: 'house rules, common practice' }];
  if (entry.judged) {
    steps.push({
      label: 'Overruled',
      expression: `${gradeWords[entry.judged.grade]}: ${entry.judged.why}`,
      source: 'who looked',
    });
  }
  const oval_percent = kind.outOfRound && measured.known !== 'not-measured' ? measured.value : undefined;
  const softens = model.pipes.some(
    (pipe) => overlaps(pipe, place) && materialRegistry.row(pipe.material).softens,
  );
  const finding: GradedFinding = {
    id: entry.id,
    placed,
    place,
    clock:
      entry.clock === undefined ? undefined : turnClock(entry.clock, entry.waterClock, placed.run.direction),
    grade,
    tableGrade: table.grade,
    measured: !table.unmeasured || entry.judged !== undefined,
    why: { value: grade, unit: 'grade', steps },
    cures: grading.cures,
    structural: grading.structural ?? false,
    possible,
    settled,
    stopsLiner: possible || settled ? undefined : stopsLiner(entry, kind, grading, measured, to_ft - from_ft),
    endOfLife:
      oval_percent !== undefined &&
      oval_percent > (kind.outOfRound?.endOfLifeOver_percent ?? Infinity) &&
      softens &&
      !possible,
    ovality_percent: oval_percent,
  };
  return { finding, unmeasured: table.unmeasured };
}

function stopsLiner(
  entry: FindingEntry,
  kind: FindingRow,
  grading: Grading,
  measured: Measured,
  length_ft: number,
): string | undefined {
  const { stopsLiner: always, stopsLinerAt, stopsAt } = grading;
  if (always) return length_ft > (always.over_ft ?? -Infinity) ? always.why : undefined;
  if (stopsLinerAt === undefined) return undefined;
  if (heldBackBy(entry, kind)) return 'whatever holds the water must be cleared and re-inspected first';
  const stops = stopsAt ? measured.value >= stopsLinerAt : measured.value > stopsLinerAt;
  if (!stops) return undefined;
  const unit = grading.measure === 'inches' ? 'in' : '%';
  const amount =
    measured.known === 'measured'
      ? `${plain(measured.value)} ${unit}`
      : `${measured.known === 'size' ? (entry.size ?? '') : 'no measured'} ${kind.noun}`;
  return `${kind.noun}: ${amount}, a liner takes ${stopsAt ? 'less than' : 'up to'} ${plain(stopsLinerAt)} ${unit}`;
}

/** A circumferential crack with an offset at the same place has begun to shift: failed. */
function shifting(each: GradedFinding, all: readonly GradedFinding[]): GradedFinding {
  const { entry } = each.placed;
  const kind = kindOfGraded(each);
  const form = 'form' in entry ? entry.form : undefined;
  if (!kind.failsShifting || form !== kind.failsShifting.form || each.tableGrade === 4) return each;
  const { beside } = kind.failsShifting;
  const offset = all.find(
    (other) =>
      other.placed.entry.finding === beside &&
      !other.possible &&
      other.tableGrade > 0 &&
      overlap(other.place, each.place) > 0,
  );
  if (!offset) return each;
  const grade = entry.judged?.grade ?? 4;
  const step = {
    label: kind.noun,
    expression: `${form}, with an ${beside} at its place: failed`,
    source: 'house rules, common practice',
  };
  return {
    ...each,
    tableGrade: 4,
    grade,
    why: { ...each.why, value: grade, steps: [step, ...each.why.steps.slice(1)] },
  };
}
