import { isOld } from '../catalog/materials.js';
import {
  isCleaned,
  isCurable,
  isLeftToItsOwner,
  isSag,
  kindOfGraded,
  sayJudged,
  type GradedFinding,
} from '../condition/graded-finding.js';
import type { Rules } from '../job/rules.js';
import { tolerance } from '../units.js';
import { schoolWords } from '../job/school-words.js';
import type { School } from '../job/vocabulary.js';
import { overlaps, subtract, type Interval } from '../line/intervals.js';
import type { LineModel } from '../line/model.js';
import { isCleanedOut } from '../methods/clean.js';
import { methodRegistry, methodRow, methodsInOrder } from '../methods/index.js';
import { cures } from '../methods/method.js';
import type { Obligation, Obligations } from '../track/track.js';

/** Roots and deposits of this grade or worse are cleaned now under every repair approach. */
const cleanedFrom = 3;
/** A finding longer than this may be shared between actions, ft. House rule. */
const sharedOver_ft = 10;

/** What must be cured and what must be cleaned under a repair approach. `extra` findings must be cured as well. */
export function obligations(
  model: LineModel,
  findings: readonly GradedFinding[],
  school: School,
  rules: Rules,
  extra: readonly string[] = [],
): Obligations {
  const binding = findings.filter((finding) => !finding.possible && !finding.settled);
  const least = school === 'maintain' ? 4 : 3;
  // No tool enters a line with someone else's utility through it, even where that is only possible.
  const noTool = findings.some(isLeftToItsOwner);
  const cured = binding
    .filter(
      (finding) =>
        finding.endOfLife ||
        extra.includes(finding.id) ||
        (finding.grade >= least && isCurable(finding) && !isCleaned(finding)),
    )
    .filter((finding) => !(noTool && isCleanedOut(finding)))
    .map((finding) => curing([finding], finding.place, school));
  // A stricter approach requires everything a looser one does.
  if (school !== 'maintain') cured.push(...crowds(binding, school, rules));
  if (school === 'renew') cured.push(...oldRuns(model, binding));
  const ours = (place: Interval) => oursOf(place, model, rules);
  return {
    cured: cured.flatMap((obligation) => ours(obligation.place).map((place) => ({ ...obligation, place }))),
    impossible: [],
    cleaned: noTool
      ? []
      : binding
          .filter((finding) => isCleaned(finding) && finding.grade >= cleanedFrom)
          .flatMap((finding) => ours(finding.place)),
  };
}

/** The part of a place that is ours to work on. */
function oursOf(place: Interval, model: LineModel, rules: Rules): Interval[] {
  return rules.publicPart === 'ours' ? [place] : subtract([place], publicPart(model));
}

export const publicPart = (model: LineModel): Interval[] =>
  model.owners.filter(({ owner }) => owner === 'public');

function curing(all: readonly GradedFinding[], place: Interval, school: School): Obligation {
  const longest = Math.max(...all.map(({ placed }) => placed.to_ft - placed.from_ft));
  const belly = all.some(isSag);
  const only = all.length === 1 ? all[0] : undefined;
  const byOthers = only && kindOfGraded(only).byOthers;
  return {
    place,
    methods: methodsInOrder().filter((method) =>
      all.every((finding) => cures(methodRow(method), finding, true)),
    ),
    whole: all.length > 1 || belly || longest <= sharedOver_ft,
    laidToGrade: belly,
    ...(byOthers ? { lift: byOthers.lift } : {}),
    why: whyCured(all, place, school),
    ...(only ? { finding: only.id } : {}),
    findings: all.map(({ id }) => id),
  };
}

function whyCured(all: readonly GradedFinding[], place: Interval, school: School): string {
  const [only] = all;
  if (!only || all.length > 1)
    return `${all.length} places to watch or worse within ${(place.to_ft - place.from_ft).toFixed(1)} ft are one repair`;
  if (isLeftToItsOwner(only)) return `${sayJudged(only)}: left to its owner`;
  const end = only.endOfLife ? ', at the end of its life' : '';
  return `${sayJudged(only)}${end}: cured under “${schoolWords[school].name}”`;
}

/**
 * Clustered places become one repair, from the first to the last: every longest stretch of at most this many feet that
 * contains this many whole places. A long place that extends past it does not hide a cluster next to it.
 */
function crowds(binding: readonly GradedFinding[], school: School, rules: Rules): Obligation[] {
  const counted = binding
    .filter(
      (finding) =>
        finding.grade >= 2 &&
        finding.measured &&
        !isCleaned(finding) &&
        cures(methodRow('spot'), finding, false),
    )
    .sort((a, b) => a.place.from_ft - b.place.from_ft);
  let reached_ft = -Infinity;
  return counted.flatMap((first, index) => {
    const { from_ft } = first.place;
    const most_ft = from_ft + rules.crowdWithin_ft + tolerance.exact;
    const crowd = counted.slice(index).filter(({ place }) => place.to_ft <= most_ft);
    const to_ft = Math.max(...crowd.map(({ place }) => place.to_ft));
    if (crowd.length < rules.crowdCount || to_ft <= reached_ft) return [];
    reached_ft = to_ft;
    return [curing(crowd, { from_ft, to_ft }, school)];
  });
}

/** Every longest stretch of old pipe with anything of grade watch or worse is renewed, foot by foot. */
function oldRuns(model: LineModel, binding: readonly GradedFinding[]): Obligation[] {
  const runs: { from_ft: number; to_ft: number }[] = [];
  for (const { material, ...pipe } of model.pipes) {
    // Pipe that nobody knows is not renewed with the rest.
    const { from_ft, to_ft } = { ...pipe, to_ft: Math.min(pipe.to_ft, model.known.to_ft) };
    if (!isOld(material) || to_ft <= from_ft) continue;
    const last = runs.at(-1);
    if (last && from_ft - last.to_ft < tolerance.exact) last.to_ft = to_ft;
    else runs.push({ from_ft, to_ft });
  }
  return runs.flatMap((place) => {
    const inside = binding.filter(
      (finding) => finding.grade >= 2 && finding.measured && overlaps(finding.place, place),
    );
    if (inside.length === 0) return [];
    return [
      {
        place,
        methods: methodRegistry.rows.flatMap(({ id, work }) => (work?.renews ? [id] : [])),
        whole: false,
        laidToGrade: false,
        why: `old pipe from ${place.from_ft.toFixed(1)} to ${place.to_ft.toFixed(1)} ft is renewed whole`,
        findings: inside.map(({ id }) => id),
      },
    ];
  });
}
