import { methodsFor } from '../methods/index.js';
import type { GradedFinding } from '../condition/graded-finding.js';
import { roundFeet } from '../units.js';
import type { LinerOrder } from '../liner/liner.js';
import type { WorkingTime } from '../liner/working-time.js';
import type { ActionScope, LineScope, Scope } from '../scope/scope.js';
import type { ReadiedJob } from '../solve/ready.js';
import type { ScopedLine } from '../solve/solution.js';

/** The scope as the open file `open-trench-scope`, version 1: feet to 0.01, money to the cent, same job same bytes. */
export function scopeFile(ready: ReadiedJob, scope: Scope) {
  return {
    format: 'open-trench-scope' as const,
    version: 1 as const,
    verdict: scope.verdict,
    lines: ready.lines.flatMap((line, i) => {
      const own = scope.lines[i];
      return own ? [lineFile(line, own)] : [];
    }),
    buy: buyFile(scope),
    price: {
      scope: scope.prices.scope,
      cleanouts: scope.prices.cleanouts,
      total: scope.prices.total,
      carried: scope.prices.carried,
      lines: scope.prices.lines.map(({ line, action, what, quantity, unit, rate, amount }) => ({
        line,
        action,
        what,
        quantity: roundFeet(quantity),
        unit,
        rate,
        amount,
      })),
    },
    ways: scope.ways.map(({ school, feasible, scope: price, cleanouts, total, carried }) => ({
      school,
      feasible,
      scope: price,
      cleanouts,
      total,
      carried,
    })),
    firstStep: scope.firstStep && {
      ...scope.firstStep,
      from_ft: roundFeet(scope.firstStep.from_ft),
      to_ft: roundFeet(scope.firstStep.to_ft),
    },
    ifUnseenIs: scope.ifUnseenIs,
    warnings: scope.warnings.map(({ rule, line, at_ft, message }) => ({
      rule,
      ...(line === undefined ? {} : { line }),
      ...(at_ft === undefined ? {} : { at_ft: roundFeet(at_ft) }),
      message,
    })),
  };
}

function buyFile({ buy }: Scope) {
  const couplings = new Map<string, { item: string; count: number; measure: boolean; at_ft: number[] }>();
  for (const { sides, measure, at_ft } of buy.couplings) {
    const names = sides.map(
      ({ material, diameter_in, outside_in }) =>
        `${material} ${diameter_in} in${outside_in === null ? '' : ` (${outside_in.toFixed(3)})`}`,
    );
    const item = names.join(' to ');
    const known = couplings.get(item) ?? { item, count: 0, measure, at_ft: [] };
    couplings.set(item, { ...known, count: known.count + 1, at_ft: [...known.at_ft, roundFeet(at_ft)] });
  }
  return {
    sticks: buy.sticks.map(({ item, length_ft, cuts, leftover_ft }) => ({
      item,
      length_ft,
      count: 1,
      cuts_ft: cuts.map((cut) => roundFeet(cut.length_ft)),
      leftover_ft: roundFeet(leftover_ft),
    })),
    couplings: [...couplings.values()],
    fittings: fittingsFile(buy.fittings),
  };
}

/** Identical fittings, counted. */
function fittingsFile(all: Scope['buy']['fittings']) {
  const alike = new Map<string, { item: string; count: number; measure: boolean; at_ft: number[] }>();
  for (const { item, measure, at_ft } of all) {
    const known = alike.get(item) ?? { item, count: 0, measure: false, at_ft: [] };
    alike.set(item, {
      item,
      count: known.count + 1,
      measure: known.measure || measure,
      at_ft: [...known.at_ft, roundFeet(at_ft)],
    });
  }
  return [...alike.values()];
}

export type ScopeFile = ReturnType<typeof scopeFile>;

function lineFile({ model, condition }: ScopedLine, own: LineScope) {
  return {
    id: own.id,
    feasible: own.feasible,
    start_ft: roundFeet(model.extent.from_ft),
    length_ft: roundFeet(model.extent.to_ft - model.extent.from_ft),
    points: model.points.map(({ point, at }) => ({
      id: point.id,
      station_ft: roundFeet(at.station_ft),
      plusMinus_ft: roundFeet(at.plusMinus_ft),
    })),
    findings: condition.findings.map(findingFile),
    segments: own.segments.map((segment) => ({
      ...segment,
      from_ft: roundFeet(segment.from_ft),
      to_ft: roundFeet(segment.to_ft),
    })),
    actions: own.actions.map(actionFile),
    pits: own.pits.map((pit) => ({
      id: pit.id,
      from_ft: roundFeet(pit.from_ft),
      to_ft: roundFeet(pit.to_ft),
      serves: pit.serves,
      depth_ft: roundFeet(pit.figures.depth.value),
      bottom_ft: pit.figures.bottom_ft.map(roundFeet),
      protection: pit.protection,
      cautions: pit.figures.cautions,
      bank_yd3: roundFeet(pit.figures.bank.value),
      surface: pit.surface,
    })),
    cleanouts: own.cleanouts.map(({ station_ft, status, why, place, in: hole }) => ({
      station_ft: roundFeet(station_ft),
      status,
      why,
      place,
      in: hole,
    })),
    notPossible: own.notPossible.map((place) => ({
      ...place,
      from_ft: roundFeet(place.from_ft),
      to_ft: roundFeet(place.to_ft),
    })),
    options: own.options,
    referrals: own.referrals.map((referral) => ({ ...referral, at_ft: roundFeet(referral.at_ft) })),
  };
}

const findingFile = (finding: GradedFinding) => ({
  id: finding.id,
  finding: finding.placed.entry.finding,
  station_ft: roundFeet(finding.placed.from_ft),
  ...(finding.placed.to === finding.placed.from ? {} : { to_ft: roundFeet(finding.placed.to_ft) }),
  plusMinus_ft: roundFeet(finding.placed.from.plusMinus_ft),
  clock: clockFile(finding.clock),
  grade: finding.grade,
  tableGrade: finding.tableGrade,
  judged: finding.placed.entry.judged ?? null,
  cures: methodsFor(finding.cures),
  possible: finding.possible,
  settled: finding.settled,
});

const actionFile = ({
  id,
  method,
  from_ft,
  to_ft,
  entry_ft,
  cost,
  liner,
  working,
  pipe,
  fittings,
}: ActionScope) => ({
  id,
  method,
  from_ft: roundFeet(from_ft),
  to_ft: roundFeet(to_ft),
  ...(entry_ft === null ? {} : { entry_ft: roundFeet(entry_ft) }),
  cost,
  ...(liner ? { liner: linerFile(liner, working) } : {}),
  ...(pipe
    ? {
        pipe: {
          material: pipe.material,
          diameter_in: pipe.diameter_in,
          laid_ft: roundFeet(pipe.laid.value),
          ...(fittings.length > 0
            ? {
                fittings: fittings.map(({ kind, at_ft, diameter_in, degrees, measure }) => ({
                  kind,
                  at_ft: roundFeet(at_ft),
                  diameter_in,
                  ...(degrees === undefined ? {} : { degrees }),
                  measure,
                })),
              }
            : {}),
        },
      }
    : {}),
});

const linerFile = (liner: LinerOrder, working: WorkingTime | undefined) => ({
  host_ft: roundFeet(liner.host.value),
  hostPlusMinus_ft: roundFeet(liner.host.plusMinus ?? 0),
  installed_ft: roundFeet(liner.installed.value),
  cut_ft: roundFeet(liner.cut.value),
  bladder_ft: roundFeet(liner.bladder.value),
  thickness_in: liner.thickness.value,
  governs: liner.governs,
  layFlat_in: roundFeet(liner.layFlat.value),
  resin_gal: roundFeet(liner.resin.value),
  ...(working
    ? { potLife_min: roundFeet(working.potLife.value), workingTime_min: roundFeet(working.needed.value) }
    : {}),
});

const clockFile = (clock: number | readonly [number, number] | undefined) =>
  clock === undefined ? null : typeof clock === 'number' ? roundFeet(clock) : clock.map(roundFeet);
