import { curedBy } from '../condition/grade-table.js';
import type { Judged } from '../condition/condition.js';
import type { Rules } from '../job/rules-schema.js';
import { findingWords } from '../logline/say.js';
import { gradeWords, methods, type Material, type Method, type School } from '../job/vocabulary.js';
import { overlaps, subtract, type Interval } from '../line/intervals.js';
import type { LineModel } from '../line/model.js';

/** What a school will not leave as it is. */
export interface Obligation {
  readonly place: Interval;
  /** Methods that satisfy it; an open cut that must cure a belly is also held to the least slope. */
  readonly methods: readonly Method[];
  /** The whole place lies in one action. */
  readonly whole: boolean;
  readonly laidToGrade: boolean;
  readonly why: string;
  readonly findings: readonly string[];
}

export interface Obligations {
  readonly cured: readonly Obligation[];
  /** Places of roots and deposits that are at least cleaned. */
  readonly cleaned: readonly Interval[];
}

/** A finding longer than this may be shared between actions, ft. House rule. */
const sharedOver_ft = 10;

const oldMaterials: readonly Material[] = ['clay', 'concrete', 'cast-iron', 'fibre', 'asbestos-cement'];
export const isOld = (material: Material): boolean => oldMaterials.includes(material);

export const isRootOrDeposit = (finding: Judged): boolean =>
  finding.placed.entry.finding === 'roots' || finding.placed.entry.finding === 'deposit';

/** A finding that a dig, a liner, a replacement or a regrade would cure. */
export const isCurable = (finding: Judged): boolean => finding.cures.some((cure) => cure !== 'clean');

/** What must be cured and what must be cleaned under a school. `extra` findings must be cured on top. */
export function obligations(
  model: LineModel,
  findings: readonly Judged[],
  school: School,
  rules: Rules,
  extra: readonly string[] = [],
): Obligations {
  const binding = findings.filter((finding) => !finding.possible && !finding.settled);
  const least = school === 'maintain' ? 4 : 3;
  const cured = binding
    .filter(
      (finding) =>
        finding.endOfLife ||
        extra.includes(finding.id) ||
        (finding.grade >= least && isCurable(finding) && !isRootOrDeposit(finding)),
    )
    .map((finding) => curing([finding], finding.place, school));
  if (school === 'repair') cured.push(...crowds(binding, rules));
  if (school === 'renew') cured.push(...oldRuns(model, binding));
  const ours = (place: Interval) => oursOf(place, model, rules);
  return {
    cured: cured.flatMap((obligation) => ours(obligation.place).map((place) => ({ ...obligation, place }))),
    cleaned: binding
      .filter((finding) => isRootOrDeposit(finding) && finding.grade >= least)
      .flatMap((finding) => ours(finding.place)),
  };
}

/** The part of a place that is ours to act on. */
function oursOf(place: Interval, model: LineModel, rules: Rules): Interval[] {
  return rules.publicPart === 'ours' ? [place] : subtract([place], publicPart(model));
}

export const publicPart = (model: LineModel): Interval[] =>
  model.owners.filter(({ owner }) => owner === 'public');

/** "Fix: offset at 41.4 ft". */
export function sayJudged({ placed, grade, possible, settled }: Judged): string {
  const { from_ft, to_ft, entry } = placed;
  const at = to_ft - from_ft > 0.05 ? `${from_ft.toFixed(1)} to ${to_ft.toFixed(1)}` : from_ft.toFixed(1);
  const what = `${possible ? 'possible ' : ''}${findingWords[entry.finding].toLowerCase()}`;
  return `${gradeWords[grade]}: ${what} at ${at} ft${settled ? ', cleaned since' : ''}`;
}

function curing(all: readonly Judged[], place: Interval, school: School): Obligation {
  const longest = Math.max(...all.map(({ placed }) => placed.to_ft - placed.from_ft));
  const belly = all.some(({ cures }) => cures.includes('regrade'));
  const [only] = all;
  return {
    place,
    methods: methods.filter((method) => all.every(({ cures }) => curedBy(cures, method, true))),
    whole: all.length > 1 || belly || longest <= sharedOver_ft,
    laidToGrade: belly,
    why:
      all.length === 1 && only
        ? `${sayJudged(only)}${only.endOfLife ? ', at the end of its life' : ''}: cured under ${school}`
        : `${all.length} places to watch or worse within ${(place.to_ft - place.from_ft).toFixed(1)} ft are one repair`,
    findings: all.map(({ id }) => id),
  };
}

/** Places that crowd together are one repair from the first to the last; roots and deposits are cleaned, not repaired. */
function crowds(binding: readonly Judged[], rules: Rules): Obligation[] {
  const places = binding
    .filter(
      (finding) =>
        finding.grade >= 2 && !isRootOrDeposit(finding) && curedBy(finding.cures, 'open-cut', false),
    )
    .sort((a, b) => a.place.from_ft - b.place.from_ft);
  return places.flatMap((first, index) => {
    const crowd = places.slice(index, index + rules.crowdCount);
    const to_ft = Math.max(...crowd.map(({ place }) => place.to_ft));
    if (crowd.length < rules.crowdCount || to_ft - first.place.from_ft > rules.crowdWithin_ft + 1e-9)
      return [];
    return [curing(crowd, { from_ft: first.place.from_ft, to_ft }, 'repair')];
  });
}

/** Every longest stretch of old pipe that holds anything to watch or worse is renewed, foot by foot. */
function oldRuns(model: LineModel, binding: readonly Judged[]): Obligation[] {
  const runs: { from_ft: number; to_ft: number }[] = [];
  for (const { from_ft, to_ft, material } of model.pipes) {
    if (!isOld(material)) continue;
    const last = runs.at(-1);
    if (last && from_ft - last.to_ft < 1e-9) last.to_ft = to_ft;
    else runs.push({ from_ft, to_ft });
  }
  return runs.flatMap((place) => {
    const inside = binding.filter((finding) => finding.grade >= 2 && overlaps(finding.place, place));
    if (inside.length === 0) return [];
    return [
      {
        place,
        methods: ['line', 'short-line', 'open-cut', 'burst'] as const,
        whole: false,
        laidToGrade: false,
        why: `old pipe from ${place.from_ft.toFixed(1)} to ${place.to_ft.toFixed(1)} ft is renewed whole`,
        findings: inside.map(({ id }) => id),
      },
    ];
  });
}
