import { plain, type Figure } from '../figure.js';
import type { Rules } from '../job/rules-schema.js';
import type { FindingEntry } from '../job/schema.js';
import { gradeWords, type Grade } from '../job/vocabulary.js';
import { usualOutsideDiameter } from '../catalog/outside-diameters.js';
import { covers, overlap, overlaps, type Interval } from '../line/intervals.js';
import { boreAt, placeOf, sightOf, type LineModel, type PlacedEntry } from '../line/model.js';
import { sayWhat } from '../logline/say.js';
import { turnClock, type ClockRange } from '../survey/clock.js';
import type { Warning } from '../warning.js';
import { gradeByBounds, gradeRow, type Cure, type GradeRow } from './grade-table.js';
import { measureOf, type Measured } from './measure.js';

/** A finding judged by the house rules, where it lies and what it asks for. */
export interface Judged {
  readonly id: string;
  readonly placed: PlacedEntry<FindingEntry>;
  readonly place: Interval;
  /** Seen looking downstream. */
  readonly clock: ClockRange | undefined;
  /** The grade that counts: the overruling one, else the table's. */
  readonly grade: Grade;
  readonly tableGrade: Grade;
  readonly why: Figure;
  readonly cures: readonly Cure[];
  readonly structural: boolean;
  /** Graded and marked, but never stops or forces a method. */
  readonly possible: boolean;
  /** Cleaned since and seen again: no longer hides, stops or obliges, but its joint lets roots in. */
  readonly settled: boolean;
  /** Why a liner may not cover it; undefined where one may. */
  readonly stopsLiner: string | undefined;
  /** Fibre pipe past a tenth out of round: cured in every school. */
  readonly endOfLife: boolean;
  /** Fraction of the diameter out of round, percent, for the liner's thickness. */
  readonly ovality_percent: number | undefined;
}

export interface Condition {
  readonly findings: readonly Judged[];
  /** What another owner must act on. */
  readonly referrals: readonly { what: string; at_ft: number; to: string }[];
  readonly warnings: readonly Warning[];
}

/** Grades every finding of a line by the house rules. */
export function condition(model: LineModel, rules: Rules): Condition {
  const warnings: Warning[] = [];
  const referrals: Condition['referrals'][number][] = [];
  const first = distinct(model.findings).flatMap((placed) => {
    if (placed.entry.finding === 'main-backed-up') {
      referrals.push({
        what: 'Water stands because the main is backed up; the neighbours may be at risk',
        at_ft: placed.from_ft,
        to: 'owner of the main',
      });
      return [];
    }
    if (placed.entry.ofConnection) {
      referrals.push({
        what: `${sayWhat(placed.entry)}: the connection itself belongs to the main`,
        at_ft: placed.from_ft,
        to: 'owner of the main',
      });
      return [];
    }
    const judged = judge(placed, gradeRow(placed.entry.finding, rules), model, rules);
    if (judged.unmeasured) {
      warnings.push({
        rule: 'not-measured',
        line: model.line.id,
        at_ft: placed.from_ft,
        message: `${placed.entry.id}, ${judged.noun} at ${plain(placed.from_ft, 1)} ft, has no size: it is taken as one to watch`,
      });
    }
    return [judged.finding];
  });
  return { findings: first.map((each) => shiftingCracks(each, first)), referrals, warnings };
}

/** One finding a thing: readings joined by `sameAs` are one finding, told by the first with the others' words laid over. */
function distinct(findings: LineModel['findings']): PlacedEntry<FindingEntry>[] {
  const kept = new Map<string, PlacedEntry<FindingEntry>>();
  for (const each of findings) {
    const key = `${each.entry.finding} ${each.from.key} ${each.entry.stage ?? each.run.stage ?? 'current'}`;
    const known = kept.get(key);
    if (!known) {
      kept.set(key, each);
      continue;
    }
    // The later call corrects the first, but keeps its id and its longer extent.
    const wider = each.to_ft - each.from_ft > known.to_ft - known.from_ft ? each : known;
    kept.set(key, {
      ...wider,
      run: known.run,
      entry: { ...known.entry, ...withoutPlace(each.entry), id: known.entry.id } as FindingEntry,
    });
  }
  return [...kept.values()];
}

function withoutPlace(entry: FindingEntry): Partial<FindingEntry> {
  const placeFields = new Set([
    'reading_ft',
    'to_ft',
    'pass',
    'about',
    'sameAs',
    'use',
    'video_s',
    'clip',
    'clock',
    'waterClock',
  ]);
  const sized = 'percent' in entry || 'inches' in entry || entry.size !== undefined;
  return Object.fromEntries(
    Object.entries(entry).filter(
      ([field]) => !placeFields.has(field) && (sized || !['percent', 'inches', 'size'].includes(field)),
    ),
  );
}

function judge(placed: PlacedEntry<FindingEntry>, row: GradeRow, model: LineModel, rules: Rules) {
  const { entry, from_ft, to_ft } = placed;
  const place = placeOf(placed, model.extent);
  const bore_in = boreAt(model.pipes, (from_ft + to_ft) / 2);
  const measured = measureOf(entry, row.measure, bore_in);
  const graded = gradeOf(placed, row, measured, bore_in, model, rules);
  const possible = entry.possible ?? false;
  const settled = isSettled(placed, place, bore_in, model);
  const grade = entry.judged?.grade ?? graded.grade;
  const material = model.pipes.filter((pipe) => overlaps(pipe, place)).map((pipe) => pipe.material);
  const steps = [{ label: row.noun, expression: graded.because, source: 'house rules, common practice' }];
  if (entry.judged) {
    steps.push({
      label: 'Overruled',
      expression: `${gradeWords[entry.judged.grade]}: ${entry.judged.why}`,
      source: 'who looked',
    });
  }
  const finding: Judged = {
    id: entry.id,
    placed,
    place,
    clock:
      entry.clock === undefined ? undefined : turnClock(entry.clock, entry.waterClock, placed.run.direction),
    grade,
    tableGrade: graded.grade,
    why: { value: grade, unit: 'grade', steps },
    cures: row.cures,
    structural: row.structural ?? false,
    possible,
    settled,
    stopsLiner: possible || settled ? undefined : stopsLiner(entry, row, measured, to_ft - from_ft),
    endOfLife:
      entry.finding === 'deformation' &&
      measured.known !== 'not-measured' &&
      measured.value > 10 &&
      material.includes('fibre') &&
      !possible,
    ovality_percent:
      entry.finding === 'deformation' && measured.known !== 'not-measured' ? measured.value : undefined,
  };
  return { finding, unmeasured: graded.unmeasured, noun: row.noun };
}

function gradeOf(
  placed: PlacedEntry<FindingEntry>,
  row: GradeRow,
  measured: Measured,
  bore_in: number,
  model: LineModel,
  rules: Rules,
): { grade: Grade; because: string; unmeasured: boolean } {
  const { entry } = placed;
  const say = (grade: Grade, because: string) => ({ grade, because, unmeasured: false });
  if (row.always !== undefined) return say(row.always, `always ${gradeWords[row.always]}`);
  if (row.forms) {
    const form = 'form' in entry ? entry.form : undefined;
    if (form === undefined) {
      const bySize = entry.size && ({ small: 1, moderate: 2, large: 3 } as const)[entry.size];
      return bySize
        ? say(bySize, `called ${entry.size ?? ''}`)
        : { grade: 2, because: 'form not said: watch', unmeasured: true };
    }
    if (entry.finding === 'crack' && form === 'around' && entry.shifting) {
      return say(4, 'around, and the pipe has begun to shift: failed');
    }
    const grade = row.forms[form] ?? 2;
    return say(grade, `${form}: ${gradeWords[grade]}`);
  }
  if (entry.finding === 'belly' && (entry.cause === 'blockage' || entry.cause === 'valve')) {
    return say(0, `water held by a ${entry.cause}: no grade until it is clean and seen again`);
  }
  if (measured.known === 'not-measured')
    return { grade: 2, because: 'not measured: watch', unmeasured: true };
  if (entry.finding === 'offset') {
    const normal = normalStep(placed, measured, bore_in, model);
    if (normal !== undefined) return say(0, normal);
  }
  if (measured.known === 'size' && measured.value > 0) {
    const grade = ({ small: 1, moderate: 2, large: 3 } as const)[entry.size ?? 'moderate'];
    return say(grade, `called ${entry.size ?? ''}: ${gradeWords[grade]}`);
  }
  const bounds = row.bounds ?? [];
  const grade = gradeByBounds(measured.value, bounds);
  const unit = row.measure === 'inches' ? 'in' : row.measure === 'of-bore' ? '% of the bore' : '%';
  const because = `${plain(measured.value)} ${unit} against ${bounds.join(' / ')}: ${gradeWords[grade]}`;
  if (
    entry.finding === 'belly' &&
    rules.flushLowersBelly &&
    (grade === 1 || grade === 2) &&
    flushRanPast(placed, model)
  ) {
    return say((grade - 1) as Grade, `${because}; a flush ran past it, one lower`);
  }
  return say(grade, because);
}

/** A step no larger than half the difference of the two pipes' usual outside diameters comes with the change itself. */
function normalStep(
  placed: PlacedEntry<FindingEntry>,
  measured: Measured,
  bore_in: number,
  model: LineModel,
): string | undefined {
  const place = placeOf(placed, model.extent);
  const index = model.pipes.findIndex(
    (pipe, at) => at > 0 && pipe.from_ft >= place.from_ft - 1e-9 && pipe.from_ft <= place.to_ft + 1e-9,
  );
  const [above, below] = [model.pipes[index - 1], model.pipes[index]];
  if (index < 1 || !above || !below || above.material === below.material) return undefined;
  const one = usualOutsideDiameter(above.material, above.diameter_in);
  const other = usualOutsideDiameter(below.material, below.diameter_in);
  if (one === undefined || other === undefined) return undefined;
  const half = Math.abs(one - other) / 2;
  const step_in = (measured.value / 100) * bore_in;
  return step_in <= half + 1e-9
    ? `${plain(step_in)} in where two pipes meet, no more than half of ${plain(Math.max(one, other))} − ${plain(Math.min(one, other))}: normal`
    : undefined;
}

function flushRanPast(placed: PlacedEntry<FindingEntry>, model: LineModel): boolean {
  return model.entries.some(
    ({ entry, from_ft }) =>
      entry.kind === 'test' &&
      /flush/i.test(entry.what) &&
      entry.runsAway === true &&
      from_ft >= placed.to_ft - 1e-9,
  );
}

function stopsLiner(
  entry: FindingEntry,
  row: GradeRow,
  measured: Measured,
  length_ft: number,
): string | undefined {
  if (entry.finding === 'collapse') return 'a collapsed place must be dug before anything goes through';
  if (entry.finding === 'bottom-gone')
    return length_ft > 1 ? 'the bottom is gone over more than 1 ft' : undefined;
  if (row.stopsLinerAt === undefined) return undefined;
  if (entry.finding === 'belly' && (entry.cause === 'blockage' || entry.cause === 'valve')) {
    return 'what holds the water must be cleared and seen again first';
  }
  const stops = row.stopsAt ? measured.value >= row.stopsLinerAt : measured.value > row.stopsLinerAt;
  if (!stops) return undefined;
  const unit = row.measure === 'inches' ? 'in' : '%';
  const amount =
    measured.known === 'measured'
      ? `${plain(measured.value)} ${unit}`
      : `${measured.known === 'size' ? (entry.size ?? '') : 'no measured'} ${row.noun}`;
  return `${row.noun}: ${amount}, a liner takes ${row.stopsAt ? 'less than' : 'up to'} ${plain(row.stopsLinerAt)} ${unit}`;
}

/**
 * A before-cleaning root or deposit is settled when a full cleaning, no later than a current run, reached all its
 * place and that run saw it.
 */
function isSettled(
  placed: PlacedEntry<FindingEntry>,
  place: Interval,
  bore_in: number,
  model: LineModel,
): boolean {
  const { entry, run } = placed;
  if ((entry.stage ?? run.stage) !== 'before-cleaning') return false;
  if (entry.finding !== 'roots' && entry.finding !== 'deposit') return false;
  return (model.line.cleanings ?? []).some(
    (cleaning) =>
      (cleaning.cleared ?? 'all') === 'all' &&
      (cleaning.blade_in ?? bore_in) >= bore_in - 1e-9 &&
      covers([cleaning], place) &&
      model.line.runs.some(
        (look) =>
          (look.stage ?? 'current') === 'current' &&
          !(cleaning.on && look.on && cleaning.on > look.on) &&
          covers(sightOf(look, model), place),
      ),
  );
}

/** A crack all the way round with a step at its place has begun to shift: failed. */
function shiftingCracks(each: Judged, all: readonly Judged[]): Judged {
  const { entry } = each.placed;
  if (entry.finding !== 'crack' || entry.form !== 'around' || each.tableGrade === 4) return each;
  const step = all.find(
    (other) =>
      other.placed.entry.finding === 'offset' &&
      !other.possible &&
      other.tableGrade > 0 &&
      overlap(other.place, each.place) > 0,
  );
  if (!step) return each;
  return {
    ...each,
    tableGrade: 4,
    grade: entry.judged?.grade ?? 4,
    why: {
      ...each.why,
      value: entry.judged?.grade ?? 4,
      steps: [
        {
          label: 'crack',
          expression: `around, with the offset ${step.id} at its place: failed`,
          source: 'house rules, common practice',
        },
        ...each.why.steps.slice(1),
      ],
    },
  };
}
