import { plain } from '../figure.js';
import { condition } from '../condition/condition.js';
import { kindOfGraded, type GradedFinding } from '../condition/graded-finding.js';
import { measureOf } from '../findings/measure.js';
import type { Rules } from '../job/rules.js';
import type { Line } from '../job/schema.js';
import { gradeWords, type Grade } from '../job/vocabulary.js';
import { overlaps } from '../line/intervals.js';
import { boreAt, lineModel, sightOf, type LineModel } from '../line/model.js';
import { sayWhat } from '../speech/say.js';

export const changesFound = ['new', 'same', 'worse', 'better', 'gone', 'not-seen-again'] as const;

/** One finding or feature compared between two inspections of a line. */
export interface Compared {
  /** `new` where only the newer inspection has it; `not-seen-again` where the newer one did not cover that place. */
  readonly is: (typeof changesFound)[number];
  readonly what: string;
  readonly then: { readonly id: string; readonly at_ft: number; readonly grade: Grade } | undefined;
  readonly now: { readonly id: string; readonly at_ft: number; readonly grade: Grade } | undefined;
  /** How it was matched and what differs, in words. */
  readonly why: string;
}

/** Differences below this are measurement noise, in the measure's own unit: percent, or sixteenths of an inch. */
const alike = { percent: 5, inches: 1 / 8, 'of-bore': 3 } as const;

/**
 * Compares an older inspection of a line with the newer one. Items are matched by kind, nearest first, where their ±
 * ranges overlap; a stretch is placed by its ends. Empty where there is no older inspection.
 */
export function compareInspections(line: Line, rules: Rules): Compared[] {
  const [older, newer] = [lineModel(line, rules, 'earlier'), lineModel(line, rules, 'scope')];
  if (older.entries.length === 0) return [];
  const [then, now] = [older, newer].map((model) => worstAtEachPlace(condition(model, rules).findings));
  return compareFindings(then ?? [], now ?? [], older, newer);
}

const stageOf = ({ placed: { entry, run } }: GradedFinding) => entry.stage ?? run.stage ?? 'current';

/** A finding seen before and after cleaning is one finding, reported as it was first found: the worse of the two. */
function worstAtEachPlace(findings: readonly GradedFinding[]): GradedFinding[] {
  const worstFirst = [...findings].sort((a, b) => b.grade - a.grade);
  return worstFirst.filter(
    (each, i) =>
      !worstFirst
        .slice(0, i)
        .some(
          (worse) =>
            findingOf(worse) === findingOf(each) &&
            stageOf(worse) !== stageOf(each) &&
            apartOf(worse, each) <= reachOf(worse) + reachOf(each),
        ),
  );
}

function compareFindings(
  then: readonly GradedFinding[],
  now: readonly GradedFinding[],
  older: LineModel,
  newer: LineModel,
): Compared[] {
  const pairs = then
    .flatMap((old) => now.map((own) => ({ old, own, apart: apartOf(old, own) })))
    .filter(
      ({ old, own, apart }) => findingOf(old) === findingOf(own) && apart <= reachOf(old) + reachOf(own),
    )
    .sort((a, b) => a.apart - b.apart);
  const matched = new Map<GradedFinding, GradedFinding>();
  for (const { old, own } of pairs) {
    if (!matched.has(old) && ![...matched.values()].includes(own)) matched.set(old, own);
  }
  const taken = new Set(matched.values());
  const seenNow = newer.line.runs.flatMap((run) => sightOf(run, newer));
  const compared = [
    ...then.map((old): Compared => {
      const own = matched.get(old);
      if (own)
        return {
          ...sides(old, own),
          ...judge(old, own, older, newer),
          what: sayWhat(own.placed.entry),
        };
      const seen = seenNow.some((each) => overlaps(each, old.place));
      return {
        ...sides(old, undefined),
        is: seen ? 'gone' : 'not-seen-again',
        what: sayWhat(old.placed.entry),
        why: seen
          ? 'the newer inspection passed here and did not find it'
          : 'the newer inspection did not see this place',
      };
    }),
    ...now
      .filter((own) => !taken.has(own))
      .map((own): Compared => {
        const sawThen = older.line.runs.some((run) =>
          sightOf(run, older).some((each) => overlaps(each, own.place)),
        );
        return {
          ...sides(undefined, own),
          is: 'new',
          what: sayWhat(own.placed.entry),
          why: sawThen
            ? 'the older inspection passed here and did not find it'
            : 'the older inspection did not see this place',
        };
      }),
  ];
  const at = ({ then: old, now: own }: Compared) => own?.at_ft ?? old?.at_ft ?? 0;
  return compared.sort((a, b) => at(a) - at(b));
}

const findingOf = ({ placed }: GradedFinding) => placed.entry.finding;
const reachOf = ({ placed }: GradedFinding) => Math.max(placed.from.plusMinus_ft, placed.to.plusMinus_ft);

/** Distance between two items, ft; 0 where they overlap. */
const apartOf = ({ placed: a }: GradedFinding, { placed: b }: GradedFinding): number =>
  Math.max(0, a.from_ft - b.to_ft, b.from_ft - a.to_ft);

const sides = (
  old: GradedFinding | undefined,
  own: GradedFinding | undefined,
): Pick<Compared, 'then' | 'now'> => ({
  then: old && { id: old.id, at_ft: old.placed.from_ft, grade: old.grade },
  now: own && { id: own.id, at_ft: own.placed.from_ft, grade: own.grade },
});

/** Worse or better by grade; within one grade by the measure, where both were measured. */
function judge(
  old: GradedFinding,
  own: GradedFinding,
  older: LineModel,
  newer: LineModel,
): Pick<Compared, 'is' | 'why'> {
  const apart = apartOf(old, own);
  const matched =
    apart < 0.05
      ? 'at one place'
      : `${apart.toFixed(1)} ft apart, within ${(reachOf(old) + reachOf(own)).toFixed(1)} ft`;
  if (old.grade !== own.grade) {
    return {
      is: own.grade > old.grade ? 'worse' : 'better',
      why: `${gradeWords[old.grade]} then, ${gradeWords[own.grade]} now; ${matched}`,
    };
  }
  const measure = kindOfGraded(own).grading?.measure ?? 'always';
  const value = (each: GradedFinding, model: LineModel) => {
    const measured = measureOf(each.placed.entry, measure, boreAt(model.pipes, each.placed.from_ft));
    return measured.known === 'measured' ? measured.value : undefined;
  };
  const [was, is] = [value(old, older), value(own, newer)];
  const unit = measure === 'inches' ? ' in' : ' %';
  const tolerance = measure in alike ? alike[measure as keyof typeof alike] : undefined;
  if (was !== undefined && is !== undefined && tolerance !== undefined && Math.abs(is - was) > tolerance) {
    return {
      is: is > was ? 'worse' : 'better',
      why: `${plain(was, 1)}${unit} then, ${plain(is, 1)}${unit} now; ${matched}`,
    };
  }
  return { is: 'same', why: matched };
}
