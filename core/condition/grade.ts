import { usualOutsideDiameter } from '../catalog/materials.js';
import { plain } from '../figure.js';
import { gradeByBounds } from '../findings/grades.js';
import { gradeOfSize, type Measured } from '../findings/measure.js';
import { gradeWords, type FindingRow, type Grade, type Grading } from '../findings/row.js';
import type { Rules } from '../job/rules.js';
import type { FindingEntry } from '../job/schema.js';
import { tolerance } from '../units.js';
import { placeOf, type LineModel, type PlacedEntry } from '../line/model.js';

/** The grade table's answer for a finding: its grade, the reason, and whether its size was unknown. */
export interface TableGrade {
  readonly grade: Grade;
  readonly because: string;
  readonly unmeasured: boolean;
}

/** Inputs to a grade. `bore_in` is the bore at the finding. */
export interface GradeInput {
  readonly placed: PlacedEntry<FindingEntry>;
  readonly kind: FindingRow;
  readonly grading: Grading;
  readonly measured: Measured;
  readonly bore_in: number;
  readonly model: LineModel;
  readonly rules: Rules;
}

const say = (grade: Grade, because: string): TableGrade => ({ grade, because, unmeasured: false });

/** Grade of a finding by the house's table. */
export function tableGrade(asked: GradeInput): TableGrade {
  const { grading, kind, measured } = asked;
  const { entry } = asked.placed;
  if (grading.always !== undefined) return say(grading.always, `always ${gradeWords[grading.always]}`);
  if (grading.forms) return gradeByForm(entry, kind, grading.forms);
  const holder = heldBackBy(entry, kind);
  if (holder) return say(0, `water held by a ${holder}: no grade until it is cleaned and re-inspected`);
  if (measured.known === 'not-measured')
    return { grade: 2, because: 'not measured: watch', unmeasured: true };
  const normal = kind.normalAtChange ? normalOffset(asked) : undefined;
  if (normal !== undefined) return say(0, normal);
  if (measured.known === 'size' && measured.value > 0) {
    const grade = gradeOfSize[entry.size ?? 'moderate'];
    return say(grade, `called ${entry.size ?? ''}: ${gradeWords[grade]}`);
  }
  return gradeByMeasure(asked);
}

/** Standing water held back by something else is not a belly: it gets no grade until the cause is cleared. */
export function heldBackBy(entry: FindingEntry, kind: FindingRow): string | undefined {
  const cause = 'cause' in entry ? entry.cause : undefined;
  return cause !== undefined && kind.heldBy?.includes(cause) ? cause : undefined;
}

function gradeByForm(
  entry: FindingEntry,
  { failsShifting }: FindingRow,
  forms: Readonly<Record<string, Grade>>,
): TableGrade {
  const form = 'form' in entry ? entry.form : undefined;
  if (form === undefined) {
    return entry.size
      ? say(gradeOfSize[entry.size], `called ${entry.size}`)
      : { grade: 2, because: 'form not given: watch', unmeasured: true };
  }
  if (form === failsShifting?.form && 'shifting' in entry && entry.shifting) {
    return say(4, `${form}, and the pipe has begun to shift: failed`);
  }
  const grade = forms[form] ?? 2;
  // A small crack ranks one column lower, whatever its form.
  if (entry.size === 'small' && grade > 1) {
    const lower = (grade - 1) as Grade;
    return say(lower, `${form}, small: ${gradeWords[lower]}`);
  }
  return say(grade, `${form}: ${gradeWords[grade]}`);
}

function gradeByMeasure({ grading, kind, measured, placed, model, rules }: GradeInput): TableGrade {
  const bounds = grading.bounds ?? [];
  const grade = gradeByBounds(measured.value, bounds);
  const unit =
    grading.measure === 'inches' ? 'in' : grading.measure === 'of-bore' ? '% of the diameter' : '%';
  const because = `${plain(measured.value)} ${unit} against ${bounds.join(' / ')}: ${gradeWords[grade]}`;
  const lowered = kind.loweredByFlush && rules.flushLowersBelly && flushRanPast(placed, model);
  if (lowered && grade === 1) return say(0, `${because}; a flush ran through, one lower`);
  if (lowered && grade === 2) return say(1, `${because}; a flush ran through, one lower`);
  return say(grade, because);
}

/**
 * An offset no larger than half the difference between the two pipes' usual outside diameters is normal at a material
 * change.
 */
function normalOffset({ placed, measured, bore_in, model }: GradeInput): string | undefined {
  const place = placeOf(placed, model.extent);
  const index = model.pipes.findIndex(
    (pipe, at) =>
      at > 0 &&
      pipe.from_ft >= place.from_ft - tolerance.exact &&
      pipe.from_ft <= place.to_ft + tolerance.exact,
  );
  const [above, below] = [model.pipes[index - 1], model.pipes[index]];
  if (index < 1 || !above || !below || above.material === below.material) return undefined;
  const one = usualOutsideDiameter(above.material, above.diameter_in);
  const other = usualOutsideDiameter(below.material, below.diameter_in);
  if (one === undefined || other === undefined) return undefined;
  const half = Math.abs(one - other) / 2;
  const offset_in = (measured.value / 100) * bore_in;
  return offset_in <= half + tolerance.exact
    ? `${plain(offset_in)} in where two pipes meet, no more than half of ${plain(Math.max(one, other))} − ${plain(Math.min(one, other))}: normal`
    : undefined;
}

function flushRanPast(placed: PlacedEntry<FindingEntry>, model: LineModel): boolean {
  return model.entries.some(
    ({ entry, from_ft }) =>
      entry.kind === 'test' &&
      /flush/i.test(entry.what) &&
      entry.runsAway === true &&
      from_ft >= placed.to_ft - tolerance.exact,
  );
}
