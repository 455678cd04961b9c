import type { Condition } from '../condition/condition.js';
import { condition } from '../condition/condition.js';
import { plain } from '../figure.js';
import { capacity, type Capacity } from '../grade/capacity.js';
import { pricesInForce, type Prices } from '../job/prices-schema.js';
import { rulesInForce, type Rules } from '../job/rules-schema.js';
import type { Job } from '../job/schema.js';
import { roundCents, sumCents } from '../job/units.js';
import { schools, type Method, type School, type SurfaceKind } from '../job/vocabulary.js';
import { overlap, overlaps, subtract, type Interval } from '../line/intervals.js';
import { lineModel, type LineModel } from '../line/model.js';
import { linerOrder, type LinerOrder } from '../liner/liner.js';
import { madeThickness, thicknessSteps } from '../liner/thickness.js';
import { wayInAt } from '../methods/line.js';
import { laidLength, type LaidPipe } from '../pipe/laid.js';
import { holeFigures, type HoleFigures } from '../trench/hole.js';
import type { Warning } from '../warning.js';
import { findingWords } from '../logline/say.js';
import { buyOf, type Buy } from './buy.js';
import type { CleanoutWork } from './cleanout-work.js';
import { sectionOf } from './hole-costs.js';
import type { Action, Hole } from './layout.js';
import { isCurable, isRootOrDeposit } from './obligations.js';
import type { PriceLine } from './price-lines.js';
import { totalOf } from './price-lines.js';
import { forbidding, segmentsOf, type Segment } from './segments.js';
import { lookAgain, supposing } from './unseen.js';
import { verdictOf, type Verdict } from './verdict.js';
import {
  prepareLines,
  restrictionsOf,
  wayOf,
  type LineWay,
  type ScopedLine,
  type Way,
  type WayInput,
} from './way.js';
import { noWayWarnings } from './no-way.js';

/** The scope of a job: plain data with figures that open. Everything on a screen or in a file comes from here. */
export interface Scope {
  readonly verdict: readonly Verdict[];
  readonly school: School;
  readonly feasible: boolean;
  readonly lines: readonly LineScope[];
  readonly buy: Buy;
  readonly prices: {
    readonly currency: string;
    readonly scope: number;
    readonly cleanouts: number;
    readonly total: number;
    readonly carried: number;
    readonly lines: readonly PriceLine[];
  };
  readonly ways: readonly WaySummary[];
  readonly firstStep: { what: string; from_ft: number; to_ft: number; why: string; price: number } | null;
  readonly ifUnseenIs: { sound: number; failed: number };
  readonly warnings: readonly Warning[];
}

export interface WaySummary {
  readonly school: School;
  readonly feasible: boolean;
  readonly scope: number;
  readonly cleanouts: number;
  readonly total: number;
  readonly carried: number;
  /** What is done where, for a thin bar on the sheet, by line id. */
  readonly bars: Readonly<Record<string, readonly (Interval & { method: Method })[]>>;
}

export interface LineScope {
  readonly id: string;
  readonly feasible: boolean;
  readonly segments: readonly (Segment & { runnerUp: RunnerUp | null })[];
  readonly actions: readonly ActionScope[];
  readonly pits: readonly (Hole & { figures: HoleFigures; surface: string })[];
  readonly cleanouts: readonly CleanoutWork[];
  readonly options: readonly { what: string; adds: number }[];
  readonly referrals: Condition['referrals'];
}

export interface RunnerUp {
  readonly method: Method;
  readonly costsMore: number;
}

export interface ActionScope extends Action {
  readonly cost: number;
  readonly liner?: LinerOrder;
  readonly pipe?: LaidPipe;
  /** Where the fall is known. */
  readonly capacity?: Capacity;
}

/** A job laid out and graded once, ready to be scoped under any school or pins. */
export interface ReadiedJob {
  readonly job: Job;
  readonly rules: Rules;
  readonly prices: Prices;
  readonly lines: readonly ScopedLine[];
}

export function readyJob(job: Job): ReadiedJob {
  const rules = rulesInForce(job.rules);
  return {
    job,
    rules,
    prices: pricesInForce(job.prices),
    lines: job.lines.map((line) => {
      const model = lineModel(line, job.rules);
      return { model, condition: condition(model, rules), restrictions: restrictionsOf(line.pins, model) };
    }),
  };
}

export interface ScopeDepth {
  /** Solve again for the runner-up of every segment and for what curing each watched place would add. */
  readonly alternatives: boolean;
}

/** The cheapest scope of a readied job under its school, the other two ways beside it, and what is not known. */
export function scopeOf(ready: ReadiedJob, depth: ScopeDepth = { alternatives: true }): Scope {
  const { rules, prices, lines } = ready;
  const input = (school: School): WayInput => ({ lines, rules, prices, school });
  const prepared = new Map(schools.map((school) => [school, prepareLines(input(school))]));
  const ways = schools.map((school) => wayOf(input(school), prepared.get(school)));
  const way = ways.find(({ school }) => school === rules.school);
  if (!way) throw new Error(`no way under ${rules.school}`);

  const again = lines.map(lookAgain);
  const allSeen = again.every(({ stretches }) => stretches.length === 0);
  const totalOfWay = ({ scope, cleanouts }: Way) => sumCents([scope, cleanouts]);
  const supposed = (proves: 'sound' | 'failed') =>
    totalOfWay(
      allSeen ? way : wayOf({ ...input(rules.school), lines: lines.map((line) => supposing(line, proves)) }),
    );
  return {
    verdict: verdictOf(lines, way),
    school: rules.school,
    feasible: way.feasible,
    lines: way.lines.map((lineWay) =>
      lineScope(lineWay, way, input(rules.school), prepared.get(rules.school), depth),
    ),
    buy: buyOf(way.lines, rules),
    prices: {
      currency: prices.currency,
      scope: way.scope,
      cleanouts: way.cleanouts,
      total: sumCents([way.scope, way.cleanouts]),
      carried: way.carried,
      lines: [...way.priceLines, ...way.cleanoutLines],
    },
    ways: ways.map((each) => ({
      school: each.school,
      feasible: each.feasible,
      scope: each.scope,
      cleanouts: each.cleanouts,
      total: sumCents([each.scope, each.cleanouts]),
      carried: each.carried,
      bars: Object.fromEntries(each.lines.map((lineWay) => [lineWay.line.model.line.id, barsOf(lineWay)])),
    })),
    firstStep: firstStep(lines, prices),
    ifUnseenIs: { sound: supposed('sound'), failed: supposed('failed') },
    warnings: [
      ...lines.flatMap((line) => lineWarnings(line)),
      ...way.lines.flatMap(planWarnings),
      ...noWayWarnings(way),
    ],
  };
}

function barsOf({ prepared, chosen }: LineWay): (Interval & { method: Method })[] {
  const bars: { from_ft: number; to_ft: number; method: Method; action: string | null }[] = [];
  prepared.possible.track.cells.forEach((cell, i) => {
    const own = chosen?.layout.cells[i];
    if (!own) return;
    const last = bars.at(-1);
    if (last?.method === own.method && last.action === own.action) last.to_ft = cell.to_ft;
    else bars.push({ from_ft: cell.from_ft, to_ft: cell.to_ft, ...own });
  });
  return bars.map(({ from_ft, to_ft, method }) => ({ from_ft, to_ft, method }));
}

function lineScope(
  lineWay: LineWay,
  way: Way,
  input: WayInput,
  prepared: ReturnType<typeof prepareLines> | undefined,
  depth: ScopeDepth,
): LineScope {
  const { line, chosen, prepared: own } = lineWay;
  const { track } = own.possible;
  const id = line.model.line.id;
  if (!chosen) {
    return {
      id,
      feasible: false,
      segments: [],
      actions: [],
      pits: [],
      cleanouts: [],
      options: [],
      referrals: line.condition.referrals,
    };
  }
  const totalCost = costOf(way);
  const segments = segmentsOf(track, chosen.layout, line.restrictions).map((segment) => ({
    ...segment,
    runnerUp: depth.alternatives ? runnerUp(segment, id, input, prepared, totalCost) : null,
  }));
  const amountOf = (action: string) => chosen.prices.filter((price) => price.action === action);
  return {
    id,
    feasible: true,
    segments,
    actions: chosen.layout.actions.map((action) => ({
      ...action,
      cost: totalOf(amountOf(action.id)),
      ...actionOrder(lineWay, action, chosen.layout.holes),
      ...capacityOf(lineWay, action),
    })),
    pits: chosen.layout.holes.map((hole) => {
      const cells = track.cells.filter((cell) => overlaps(cell, hole) && !cell.closedTo);
      const kindAt = (cell: Interval) => hole.widened.find((wide) => overlaps(wide, cell))?.kind ?? hole.kind;
      return {
        ...hole,
        surface: [...new Set<SurfaceKind>(cells.map(({ surface }) => surface))].join(', '),
        figures: holeFigures(
          hole,
          cells.map((cell) => ({ ...cell, section: sectionOf(cell, kindAt(cell)) })),
          hole.quantities,
          line.model.line.soil ?? 'unknown',
        ),
      };
    }),
    cleanouts: chosen.cleanouts,
    options: depth.alternatives ? whileHere(lineWay, way, input) : [],
    referrals: line.condition.referrals,
  };
}

/** What the search minimises, in money: mobilisation and all lines' plans. */
const costOf = (way: Way): number => way.scope + way.carried;

function runnerUp(
  segment: Segment,
  lineId: string,
  input: WayInput,
  prepared: ReturnType<typeof prepareLines> | undefined,
  totalCost: number,
): RunnerUp | null {
  const other = wayOf(
    { ...input, forbid: new Map([[lineId, [forbidding(segment.method, segment)]]]) },
    prepared,
  );
  const mine = other.lines.find(({ line }) => line.model.line.id === lineId);
  if (!other.feasible || !mine?.chosen) return null;
  const feet = new Map<Method, number>();
  mine.prepared.possible.track.cells.forEach((cell, i) => {
    const method = mine.chosen?.layout.cells[i]?.method;
    if (method) feet.set(method, (feet.get(method) ?? 0) + overlap(cell, segment));
  });
  const [most] = [...feet].sort((a, b) => b[1] - a[1]);
  return most ? { method: most[0], costsMore: roundCents(Math.max(0, costOf(other) - totalCost)) } : null;
}

/** What curing each watched place that is left would add to this scope's price. */
function whileHere(lineWay: LineWay, way: Way, input: WayInput): { what: string; adds: number }[] {
  const { line, chosen, prepared } = lineWay;
  const id = line.model.line.id;
  const { cells } = prepared.possible.track;
  const watched = line.condition.findings.filter(
    (finding) =>
      finding.grade === 2 &&
      isCurable(finding) &&
      !isRootOrDeposit(finding) &&
      !finding.possible &&
      cells.some((cell, i) => overlaps(cell, finding.place) && chosen?.layout.cells[i]?.action === null),
  );
  return watched.flatMap((finding) => {
    const other = wayOf({ ...input, extra: new Map([[id, [finding.id]]]) });
    const mine = other.lines.find((each) => each.line.model.line.id === id);
    const track = mine?.prepared.possible.track;
    const at = track?.cells.findIndex((cell) => overlaps(cell, finding.place)) ?? -1;
    const method = mine?.chosen?.layout.cells[at]?.method;
    if (!other.feasible || !method) return [];
    return [
      {
        what: `${method} at ${finding.placed.from_ft.toFixed(1)} ft: ${findingWords[finding.placed.entry.finding].toLowerCase()} to watch`,
        adds: roundCents(other.scope - way.scope),
      },
    ];
  });
}

/** Lengths to order for an action: a liner's, or the new pipe's. */
function actionOrder(
  lineWay: LineWay,
  action: Action,
  holes: readonly Hole[],
): { liner?: LinerOrder; pipe?: LaidPipe } {
  const { track } = lineWay.prepared.possible;
  const { model } = lineWay.line;
  const cells = track.cells.slice(action.fromBreak, action.toBreak);
  const bore_in = Math.max(...cells.map(({ pipe }) => pipe.diameter_in));
  if (action.entry_ft === null) {
    return {
      pipe: laidLength({
        method: action.method,
        from_ft: action.from_ft,
        to_ft: action.to_ft,
        material: action.method === 'burst' ? 'hdpe' : track.rules.newPipe,
        diameter_in: bore_in,
        pits:
          action.method === 'burst'
            ? holes.filter(({ kind, serves }) => kind !== 'dig' && serves.includes(action.id)).length
            : 0,
      }),
    };
  }
  const thickest = cells.reduce((most, cell) =>
    cell.thickness.needed_in > most.thickness.needed_in ? cell : most,
  );
  const atMain = model.points.some(
    ({ point, at }) =>
      point.kind === 'main' &&
      [action.from_ft, action.to_ft].some((end) => Math.abs(end - at.station_ft) <= 0.01),
  );
  return {
    liner: linerOrder({
      from_ft: action.from_ft,
      to_ft: action.to_ft,
      plusMinus_ft: model.survey.lengthPlusMinus(
        track.nearest[action.fromBreak] ?? '',
        track.nearest[action.toBreak] ?? '',
      ),
      endsAtMain: atMain,
      entry: linerEntry(model, action, holes, bore_in),
      host_in: bore_in,
      thickness_in: madeThickness(thickest.thickness.needed_in) ?? 0.236,
      governs: thickest.thickness.governs,
      thicknessSteps: thicknessSteps(thickest.loads).map((step) => ({
        ...step,
        expression: `at ${plain((thickest.from_ft + thickest.to_ft) / 2, 1)} ft: ${step.expression}`,
      })),
    }),
  };
}

/** Flow before and after an action, at the mean fall between its ends. */
function capacityOf({ line: { model }, prepared }: LineWay, action: Action): { capacity?: Capacity } {
  const { track } = prepared.possible;
  const cells = track.cells.slice(action.fromBreak, action.toBreak);
  const [first] = cells;
  if (!model.profile.graded || !first) return {};
  const fall_ft = model.profile.invert(action.from_ft) - model.profile.invert(action.to_ft);
  const wall_in = Math.max(...cells.map(({ thickness }) => madeThickness(thickness.needed_in) ?? 0));
  const lined = action.entry_ft !== null;
  const found = capacity({
    slope: fall_ft / (action.to_ft - action.from_ft),
    bore_in: first.pipe.diameter_in,
    material: first.pipe.material,
    after_in: first.pipe.diameter_in - (lined ? 2 * wall_in : 0),
    lined,
  });
  return found ? { capacity: found } : {};
}

function linerEntry(
  model: LineModel,
  action: Action,
  holes: readonly Hole[],
  bore_in: number,
): Parameters<typeof linerOrder>[0]['entry'] {
  const entry_ft = action.entry_ft ?? action.from_ft;
  const inHole = holes.some(({ from_ft, to_ft }) => from_ft <= entry_ft + 1e-6 && entry_ft <= to_ft + 1e-6);
  const goes = Math.abs(entry_ft - action.from_ft) < 1e-6 ? 'downstream' : 'upstream';
  const way = inHole ? undefined : wayInAt(model, entry_ft, goes, bore_in);
  if (!way) return { by: 'pit' };
  return way.point.kind === 'cleanout'
    ? { by: 'cleanout', riser_ft: way.point.riser_ft ?? model.profile.depth(entry_ft) }
    : { by: 'manhole', depth_ft: model.profile.depth(entry_ft) };
}

function firstStep(lines: readonly ScopedLine[], prices: Prices): Scope['firstStep'] {
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

function lineWarnings({ model, condition: judged }: ScopedLine): Warning[] {
  const bare = subtract([model.extent], model.surfaces);
  return [
    ...model.warnings,
    ...judged.warnings,
    ...(bare.length > 0
      ? [
          {
            rule: 'surface-unknown',
            line: model.line.id,
            at_ft: bare[0]?.from_ft ?? 0,
            message: 'nobody said what lies on top of some of this line: it is priced as lawn',
          },
        ]
      : []),
  ];
}

/** What the crew must know about a chosen plan. */
function planWarnings({ line, prepared, chosen }: LineWay): Warning[] {
  if (!chosen) return [];
  const { track } = prepared.possible;
  const id = line.model.line.id;
  const first = (flag: (cell: (typeof track.cells)[number], method: Method) => boolean) =>
    track.cells.find((cell, i) => flag(cell, chosen.layout.cells[i]?.method ?? 'leave'))?.from_ft;
  const warnings: [string, string, number | undefined][] = [
    [
      'soft-pipe',
      'fibre pipe is cleaned here: no cutting blade, no high pressure',
      first((cell, method) => method === 'clean' && cell.pipe.material === 'fibre'),
    ],
    [
      'dug-unseen',
      'pipe that nobody saw is replaced here: what is found may change the ends',
      first((cell, method) => !cell.seen && method !== 'leave' && method !== 'clean'),
    ],
    [
      'asbestos-cement-dust',
      'asbestos cement is cut here: wet, no saw, licensed handling of the pieces',
      first(
        (cell, method) =>
          cell.pipe.material === 'asbestos-cement' && method !== 'leave' && method !== 'clean',
      ),
    ],
    [
      'left-unseen',
      'left as it is without having been seen',
      first((cell, method) => !cell.seen && (method === 'leave' || method === 'clean')),
    ],
  ];
  return warnings.flatMap(([rule, message, at_ft]) =>
    at_ft === undefined ? [] : [{ rule, line: id, at_ft, message }],
  );
}
