import { heldBackBy } from '../condition/grade.js';
import {
  isCleaned,
  isLeftToItsOwner,
  isSag,
  kindOfGraded,
  type GradedFinding,
} from '../condition/graded-finding.js';
import type { Prices } from '../job/prices.js';
import type { Rules } from '../job/rules.js';
import { roundCents } from '../units.js';
import type { FindingEntry } from '../job/schema.js';
import { covers, overlaps, summedLength, union, type Interval } from '../line/intervals.js';
import { notSeen } from '../line/model.js';
import { pointKey } from '../survey/things.js';
import type { ScopedLine } from '../solve/solution.js';
import { isStoppedByPipe, nothingSeen, ranShort } from './verdict.js';

/** The first of two steps for a line that could not be inspected. */
export interface FirstStep extends Interval {
  readonly what: string;
  readonly why: string;
  readonly price: number;
}

/** Stretches that are unseen, hidden or not clean, and why each must be re-inspected. */
export function toReinspect({ model, condition }: ScopedLine): { stretches: Interval[]; why: string[] } {
  const unseen = notSeen(model);
  const unclean = condition.findings.filter(
    (finding) => isCleaned(finding) && finding.stopsLiner !== undefined,
  );
  const hides = unclean.filter(({ place }) => unseen.some((each) => overlaps(each, place)));
  const bars = unclean.filter((finding) => !hides.includes(finding));
  const held = condition.findings.filter(
    (finding) => heldBackBy(finding.placed.entry, kindOfGraded(finding)) !== undefined,
  );
  const possible = condition.findings.filter((finding) => finding.possible);
  const feet = summedLength(unseen);
  const at = (all: readonly GradedFinding[]) => all.map(({ placed }) => placed.from_ft.toFixed(1)).join(', ');
  return {
    stretches: union([...unseen, ...[...unclean, ...held, ...possible].map(({ place }) => place)]),
    why: [
      ...(unseen.length > 0 ? [`${feet.toFixed(1)} ft not seen`] : []),
      ...(model.endReached
        ? []
        : [`nobody reached its end: it goes on past ${model.known.to_ft.toFixed(1)} ft`]),
      ...(hides.length > 0 ? [`roots or deposit at ${at(hides)} ft hide the wall`] : []),
      ...(bars.length > 0 ? [`roots or deposit at ${at(bars)} ft bar a liner`] : []),
      ...(held.length > 0 ? [`water held back at ${at(held)} ft`] : []),
      ...(possible.length > 0 ? [`only possible at ${at(possible)} ft`] : []),
    ],
  };
}

/** Bellies of unknown fall: their price is provisional until the depth at both ends is located. */
export function toLocate({ model, condition }: ScopedLine): GradedFinding[] {
  if (model.profile.graded) return [];
  const exposed = (place: Interval) =>
    model.surfaces.some((each) => each.kind === 'crawl-space' && covers([each], place));
  return condition.findings.filter(
    (finding) => isSag(finding) && finding.grade >= 2 && !finding.possible && !exposed(finding.place),
  );
}

/** Whether a line has nothing left to inspect, reach or locate. */
export const isKnown = (line: ScopedLine): boolean =>
  line.model.endReached && toReinspect(line).stretches.length === 0 && toLocate(line).length === 0;

/**
 * The line if everything not seen clean proved sound, or proved failed. What was seen stays as it is; possible findings
 * drop out, or are among the failed; and past an end that nobody reached the line continues as far as the house rule
 * assumes.
 */
export function assuming(line: ScopedLine, proves: 'sound' | 'failed', rules: Rules): ScopedLine {
  if (isKnown(line)) return line;
  const again = toReinspect(line).stretches;
  const { model, condition } = line;
  const depthUnknown = toLocate(line).length > 0;
  const failed = proves === 'failed';
  // The depth of the belly is unknown: it may be half or twice the assumed depth.
  const deeper = depthUnknown ? (failed ? 2 : 0.5) : 1;
  const { profile } = model;
  const rest_ft = failed && !model.endReached ? rules.assumedRest_ft : 0;
  const extent = { ...model.extent, to_ft: Math.max(model.extent.to_ft, model.known.to_ft + rest_ft) };
  const last = model.pipes.at(-1);
  const stretches =
    rest_ft > 0 ? union([...again, { from_ft: model.known.to_ft, to_ft: extent.to_ft }]) : again;
  const seen = condition.findings
    .filter(({ possible }) => !possible)
    // Once cleaned, it no longer blocks a liner.
    .map((finding) => (isCleaned(finding) ? { ...finding, stopsLiner: undefined } : finding));
  return {
    ...line,
    model: {
      ...model,
      extent,
      // All of it is supposed known.
      known: rest_ft > 0 ? extent : model.known,
      profile: { ...profile, depth: (x: number) => deeper * profile.depth(x) },
      seen: [extent],
      pipes: last ? [...model.pipes.slice(0, -1), { ...last, to_ft: extent.to_ft }] : model.pipes,
    },
    condition: {
      ...condition,
      findings: [...seen, ...(failed ? stretches.map((stretch, i) => failedStretch(line, stretch, i)) : [])],
    },
  };
}

function failedStretch({ model }: ScopedLine, place: Interval, index: number): GradedFinding {
  const entry: FindingEntry = {
    id: `not seen ${index + 1}`,
    kind: 'finding',
    finding: 'broken',
    after: model.line.datum,
  };
  // With no run on the line, the cases are computed as if one had started at its datum.
  const run = model.line.runs[0] ?? {
    id: 'supposed',
    access: model.line.datum,
    direction: 'downstream' as const,
    zero: 'unknown' as const,
    entries: [],
  };
  const datum = model.survey.placed.get(pointKey(model.line.datum));
  if (!datum) throw new Error(`line ${model.line.id} has no datum to suppose about`);
  return {
    id: entry.id,
    placed: { ...place, entry, run, from: datum, to: datum },
    place,
    clock: undefined,
    grade: 4,
    tableGrade: 4,
    measured: true,
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

/**
 * The first of two steps, priced: run the camera where nothing was seen yet, else clean and re-inspect what is unseen,
 * hidden or not clean, as far as the line may go; and locate the ends of a belly of unknown fall. Null when nothing is
 * missing.
 */
export function firstStep(lines: readonly ScopedLine[], prices: Prices, rules: Rules): FirstStep | null {
  const raw = (amount: number) => roundCents(amount * (1 + prices.markup) * (1 + prices.tax));
  if (nothingSeen(lines)) {
    const [first] = lines;
    return {
      what: 'run the camera',
      from_ft: first?.model.extent.from_ft ?? 0,
      to_ft: restOf(first, rules),
      why: 'nothing seen yet',
      price: raw(prices.look * lines.length),
    };
  }
  const needed = lines
    .filter((line) => !isKnown(line))
    .map((line) => ({ line, again: toReinspect(line), locate: toLocate(line) }));
  if (needed.length === 0) return null;
  const ends = needed.map(({ line, again, locate }) => {
    const all = [...again.stretches, ...locate.map(({ place }) => place)];
    const { known, endReached } = line.model;
    const repairFirst = isStoppedByPipe(line);
    return {
      from_ft: Math.min(known.to_ft, ...all.map(({ from_ft }) => from_ft)),
      to_ft: endReached ? Math.max(...all.map(({ to_ft }) => to_ft)) : restOf(line, rules),
      cleans: again.stretches.length > 0 || (!endReached && !ranShort(line) && !repairFirst),
      goesOn: !endReached,
      repairFirst,
    };
  });
  const cleans = ends.some((each) => each.cleans);
  const locates = needed.flatMap(({ locate }) => locate);
  const feet = ends.reduce((sum, { from_ft, to_ft, cleans: own }) => sum + (own ? to_ft - from_ft : 0), 0);
  const cleaning = cleans ? (prices.mobilisation.clean ?? 0) + feet * prices.cleaning_per_ft : 0;
  const places = locates
    .map(({ placed }) => `${placed.from_ft.toFixed(1)} to ${placed.to_ft.toFixed(1)} ft`)
    .join(', ');
  return {
    what: [
      ...(lines.some(({ condition }) => condition.findings.some(isLeftToItsOwner))
        ? ['have the owner of the utility in the pipe come']
        : []),
      ...(cleans ? ['clean and re-inspect'] : []),
      ...pastTheStop(ends, cleans),
      ...(locates.length > 0 ? ['locate the depth at both ends of the standing water'] : []),
    ].join('; '),
    from_ft: Math.min(...ends.map(({ from_ft }) => from_ft)),
    to_ft: Math.max(...ends.map(({ to_ft }) => to_ft)),
    why: [
      ...needed.flatMap(({ again }) => again.why),
      ...(locates.length > 0
        ? [
            `fewer than two depths were located: the fall over ${places} is not known, and its price is provisional`,
          ]
        : []),
    ].join('; '),
    price: raw(cleaning + prices.look),
  };
}

/** How the rest is seen past where the camera stopped, unless cleaning gets it there. */
function pastTheStop(
  ends: readonly { readonly goesOn: boolean; readonly repairFirst: boolean }[],
  cleans: boolean,
): string[] {
  const open = ends.filter(({ goesOn }) => goesOn);
  if (open.some(({ repairFirst }) => repairFirst))
    return ['inspect the rest once the repair lets the camera past, or from the other end'];
  return cleans || open.length === 0 ? [] : ['inspect the rest with a longer cable, or from the other end'];
}

/** How far a line may go: to its end, or past what is known by as much as the house rule assumes. */
const restOf = (line: ScopedLine | undefined, { assumedRest_ft }: Rules): number =>
  (line?.model.known.to_ft ?? 0) + (line?.model.endReached ? 0 : assumedRest_ft);
