import type { Condition } from '../condition/condition.js';
import type { Prices } from '../job/prices-schema.js';
import type { Rules } from '../job/rules-schema.js';
import type { Pin } from '../job/schema.js';
import { roundCents } from '../job/units.js';
import { methods, type Method, type School } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import { resolveStretch, type LineModel } from '../line/model.js';
import { cleanoutWork, type CleanoutWork } from './cleanout-work.js';
import { carriedOn, creditOf } from './carried.js';
import { cheapest, hasWay } from './cheapest.js';
import { methodBit, possibleOn } from './edges.js';
import { layOut, type Layout } from './layout.js';
import { mobilisationLines, priceLines, totalOf, type PriceLine } from './price-lines.js';
import { prepare, type Plan, type Prepared, type Restriction } from './search.js';
import { trackOf } from './track.js';

/** One line as the search sees it: laid out, graded, with its pins as restrictions. */
export interface ScopedLine {
  readonly model: LineModel;
  readonly condition: Condition;
  readonly restrictions: readonly Restriction[];
}

export interface LineWay {
  readonly line: ScopedLine;
  readonly prepared: Prepared;
  /** Undefined where nothing satisfies the rules and pins. */
  readonly chosen:
    | {
        plan: Plan;
        layout: Layout;
        prices: readonly PriceLine[];
        cleanouts: readonly CleanoutWork[];
        carried: number;
      }
    | undefined;
}

/** The cheapest scope of a job under one school. */
export interface Way {
  readonly school: School;
  readonly feasible: boolean;
  readonly lines: readonly LineWay[];
  /** Lines of the scope; those of new and mended cleanouts come after them. */
  readonly priceLines: readonly PriceLine[];
  readonly cleanoutLines: readonly PriceLine[];
  readonly scope: number;
  readonly cleanouts: number;
  readonly carried: number;
}

export interface WayInput {
  readonly lines: readonly ScopedLine[];
  readonly rules: Rules;
  readonly prices: Prices;
  readonly school: School;
  /** Findings that must be cured on top, by line id. */
  readonly extra?: ReadonlyMap<string, readonly string[]>;
  /** Further restrictions, by line id. */
  readonly forbid?: ReadonlyMap<string, readonly Restriction[]>;
}

/** Overlaps only the cell beside a pin's end, ft. */
const beside_ft = 0.02;
const families: readonly (readonly Method[])[] = [
  ['spot', 'open-cut', 'regrade'],
  ['line', 'short-line'],
  ['burst'],
];

/**
 * Pins as restrictions: a pin with a method forces it, one with `never` forbids those, one with `split` lets no action
 * run past. Where a pinned action ends, the cell beside it takes no method of its kind, or the two would be one.
 */
export function restrictionsOf(pins: readonly Pin[] | undefined, model: LineModel): Restriction[] {
  const every = (1 << methods.length) - 1;
  const without = (these: readonly Method[]) =>
    these.reduce((mask, method) => mask & ~methodBit(method), every);
  return (pins ?? []).flatMap((pin): Restriction[] => {
    const at = withinLine(resolveStretch(pin, model.survey, model.line.end), model);
    if (pin.split)
      return [{ ...at, allowed: every, split: true, says: `the split at ${at.from_ft.toFixed(1)} ft` }];
    const { method } = pin;
    if (method === undefined) return [{ ...at, allowed: without(pin.never ?? []) }];
    const like = families.find((family) => family.includes(method)) ?? [];
    const ends = (pin.endsHere ?? []).map((end) =>
      end === 'from'
        ? {
            from_ft: at.from_ft - beside_ft,
            to_ft: at.from_ft,
            says: `the pinned end at ${at.from_ft.toFixed(1)} ft`,
          }
        : {
            from_ft: at.to_ft,
            to_ft: at.to_ft + beside_ft,
            says: `the pinned end at ${at.to_ft.toFixed(1)} ft`,
          },
    );
    return [
      { ...at, allowed: methodBit(method) },
      ...ends.map((end) => ({ ...end, allowed: without(like) })),
    ];
  });
}

const withinLine = ({ from_ft, to_ft }: Interval, { extent }: LineModel): Interval => ({
  from_ft: Math.min(from_ft, extent.to_ft),
  to_ft: Math.min(to_ft, extent.to_ft),
});

/** Readies every line for searching under a school: breaks, actions, holes and what leaving would carry. */
export function prepareLines(input: WayInput): Prepared[] {
  return input.lines.map(({ model, condition }) => {
    const possible = possibleOn(
      trackOf({
        model,
        condition,
        rules: input.rules,
        prices: input.prices,
        school: input.school,
        extra: [...(model.line.alsoCure ?? []), ...(input.extra?.get(model.line.id) ?? [])],
      }),
    );
    return prepare(possible, carriedOn(possible));
  });
}

/** Finds the cheapest scope under a school; a line with no way at all does not hold up the others. */
export function wayOf(input: WayInput, prepared: readonly Prepared[] = prepareLines(input)): Way {
  const restrictions = input.lines.map(({ model, restrictions: pins }) => [
    ...pins,
    ...(input.forbid?.get(model.line.id) ?? []),
  ]);
  const open = prepared.map((each, i) => hasWay(each, restrictions[i] ?? []));
  const within = <T>(all: readonly T[]) => all.filter((_, i) => open[i]);
  const best = cheapest(within(prepared), within(restrictions));
  const plans = [...(best?.plans ?? [])];
  const lines = input.lines.map((line, i): LineWay => {
    const own = prepared[i];
    if (!own) throw new Error('a line was not prepared');
    const plan = open[i] ? plans.shift() : undefined;
    if (!plan) return { line, prepared: own, chosen: undefined };
    const layout = layOut(own.possible, plan);
    return {
      line,
      prepared: own,
      chosen: {
        plan,
        layout,
        prices: priceLines(own.possible, layout),
        cleanouts: cleanoutWork(own.possible, layout),
        carried: carriedAfter(own, plan, layout),
      },
    };
  });
  const used = new Map<Method, string>();
  for (const { line, chosen } of lines) {
    for (const method of methods) {
      if (chosen && chosen.plan.used & methodBit(method) && !used.has(method))
        used.set(method, line.model.line.id);
    }
  }
  const all = [
    ...mobilisationLines(used, input.prices),
    ...lines.flatMap(({ chosen }) => chosen?.prices ?? []),
  ];
  const cleanoutLines = lines.flatMap(
    ({ chosen }) => chosen?.cleanouts.flatMap(({ prices }) => prices) ?? [],
  );
  return {
    school: input.school,
    feasible: open.every(Boolean),
    lines,
    priceLines: all,
    cleanoutLines,
    scope: totalOf(all),
    cleanouts: totalOf(cleanoutLines),
    carried: roundCents(lines.reduce((sum, { chosen }) => sum + (chosen?.carried ?? 0), 0)),
  };
}

/** Present value of upkeep and likely failures left by a plan. */
function carriedAfter({ possible, carried }: Prepared, plan: Plan, layout: Layout): number {
  const { track } = possible;
  const rootsLeft = track.cells.some((cell, i) => cell.rootJoint && layout.cells[i]?.action === null);
  const credit = plan.steps.reduce((sum, { edge }) => sum + (edge ? creditOf(track, carried, edge) : 0), 0);
  return roundCents(
    carried.looks +
      (rootsLeft ? carried.yearlyCleaning : 0) +
      carried.findings.reduce((sum, { sum: each }) => sum + each, 0) -
      credit,
  );
}
