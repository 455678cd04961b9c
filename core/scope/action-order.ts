import { plain } from '../figure.js';
import { capacity, type Capacity } from '../grade/capacity.js';
import type { LineModel } from '../line/model.js';
import { linerOrder, type LinerOrder } from '../liner/liner.js';
import { madeThickness, thicknessSteps } from '../liner/thickness.js';
import { wayInAt } from '../methods/line.js';
import { laidLength, type LaidPipe } from '../pipe/laid.js';
import type { Action, Hole } from './layout.js';
import type { LineWay } from './way.js';

/** Lengths to order for an action: a liner's, or the new pipe's. */
export function actionOrder(
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
export function capacityOf({ line: { model }, prepared }: LineWay, action: Action): { capacity?: Capacity } {
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
