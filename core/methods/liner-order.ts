import { plain } from '../figure.js';
import type { Hole } from '../excavation/hole.js';
import { rateForBore, type MadeThickness, type Prices } from '../job/prices.js';
import { sameStation_ft, tolerance } from '../units.js';
import type { Point } from '../job/schema.js';
import type { LineModel, PlacedPoint } from '../line/model.js';
import { linerOrder, type LinerInput } from '../liner/liner.js';
import { madeThickness, thicknessSteps } from '../liner/thickness.js';
import { drafter, type Draft } from '../price/price-line.js';
import { feetByBore, type Track } from '../track/track.js';
import { feetOfBore } from '../track/feet-steps.js';
import { insertionPointAt } from './entry.js';
import { isReopened, runsIn } from '../track/liner-passes.js';
import type { Action, Order } from './method.js';

/** Price lines of a liner: by the foot, setting it, and reinstating what it covers. */
export function linerDrafts(
  track: Track,
  action: Action,
  setting: { readonly each: keyof Prices & `${string}_each`; readonly name: string; readonly set: string },
): Draft[] {
  const { prices } = track;
  const cells = track.cells.slice(action.fromBreak, action.toBreak);
  const draft = drafter(action.id);
  const thickness = Math.max(...cells.map((cell) => madeThickness(cell.thickness.needed_in) ?? 0));
  const steps = cells
    .slice(1)
    .filter((cell, i) => cell.pipe.diameter_in !== cells[i]?.pipe.diameter_in).length;
  return [
    ...[...feetByBore(cells)].map(([bore, length]) =>
      draft(
        `${setting.name}, ${bore} in, ${thickness} in thick`,
        length,
        'ft',
        rateForBore(prices.liner_per_ft[String(thickness) as MadeThickness], bore) ?? 0,
        `liner_per_ft.${thickness}.${bore}`,
        feetOfBore(cells, bore),
      ),
    ),
    draft(setting.set, 1, 'each', prices[setting.each] as number, setting.each),
    ...reopeningDrafts(track, action),
    draft('Change of diameter in the liner', steps, 'each', prices.transition_each, 'transition_each'),
  ];
}

/** Reinstated openings in a liner, and stopping running water before it. */
function reopeningDrafts({ model, prices, condition }: Track, { id, from_ft, to_ft }: Action): Draft[] {
  const draft = drafter(id);
  const reopened = model.points.filter(
    (placed) =>
      isReopened(placed) &&
      placed.at.station_ft > from_ft + sameStation_ft &&
      placed.at.station_ft < to_ft - sameStation_ft,
  );
  const cut = (kind: Point['kind'], name: string) => {
    const at = reopened
      .filter(({ point }) => point.kind === kind)
      .map((each) => each.at.station_ft.toFixed(1));
    const what = `Cut the ${name} open again at ${at.join(', ')} ft`;
    return draft(what, at.length, 'each', prices.reinstatement_each, 'reinstatement_each');
  };
  const water = condition.findings.filter(
    (finding) => runsIn(finding) && finding.placed.from_ft >= from_ft && finding.placed.from_ft < to_ft,
  );
  return [
    cut('tie-in', 'branch'),
    cut('cleanout', 'cleanout'),
    draft(
      'Stop running water first',
      prices.stopWater_each > 0 ? water.length : 0,
      'each',
      prices.stopWater_each,
      'stopWater_each',
    ),
  ];
}

/** What to cut and mix for an action's liner. */
export function linerOrderOf(track: Track, action: Action, holes: readonly Hole[]): Order {
  const { model } = track;
  const cells = track.cells.slice(action.fromBreak, action.toBreak);
  const host_in = Math.max(...cells.map(({ pipe }) => pipe.diameter_in));
  const thickest = cells.reduce((most, cell) =>
    cell.thickness.needed_in > most.thickness.needed_in ? cell : most,
  );
  const endsAtMain = model.points.some(
    ({ point, at }) =>
      point.kind === 'main' &&
      [action.from_ft, action.to_ft].some((end) => Math.abs(end - at.station_ft) <= sameStation_ft),
  );
  return {
    liner: linerOrder({
      from_ft: action.from_ft,
      to_ft: action.to_ft,
      plusMinus_ft: model.survey.lengthPlusMinus(
        track.nearest.from[action.fromBreak] ?? '',
        track.nearest.to[action.toBreak] ?? '',
      ),
      endsAtMain,
      entry: insertionOf(model, action, holes, host_in),
      host_in,
      thickness_in: madeThickness(thickest.thickness.needed_in) ?? 0.236,
      governs: thickest.thickness.governs,
      thicknessSteps: thicknessSteps(thickest.loads).map((step) => ({
        ...step,
        expression: `at ${plain((thickest.from_ft + thickest.to_ft) / 2, 1)} ft: ${step.expression}`,
      })),
    }),
  };
}

/** How the liner is inserted: from an open excavation, else a cleanout or manhole, else a pit. */
function insertionOf(
  model: LineModel,
  action: Action,
  holes: readonly Hole[],
  bore_in: number,
): LinerInput['entry'] {
  const entry_ft = action.entry_ft ?? action.from_ft;
  const pushed = model.points.find(({ point }) => point.id === action.pushedFrom);
  if (pushed) return enteredBy(pushed, model);
  const inHole = holes.some(
    ({ from_ft, to_ft }) => from_ft <= entry_ft + tolerance.ft && entry_ft <= to_ft + tolerance.ft,
  );
  const goes = Math.abs(entry_ft - action.from_ft) < tolerance.ft ? 'downstream' : 'upstream';
  const by = inHole ? undefined : insertionPointAt(model, entry_ft, goes, bore_in);
  if (!by) return { by: 'pit' };
  return enteredBy(by, model);
}

/** Length an access point adds to the launch: a cleanout's riser, a manhole's depth. */
function enteredBy({ point, at }: PlacedPoint, { profile }: LineModel): LinerInput['entry'] {
  const depth_ft = profile.depth(at.station_ft);
  return point.kind === 'cleanout' || point.kind === 'access'
    ? { by: 'cleanout', riser_ft: point.riser_ft ?? depth_ft }
    : { by: 'manhole', depth_ft };
}
