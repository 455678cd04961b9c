import { overlaps } from '../line/intervals.js';
import { holeLetter, type Hole } from '../excavation/hole.js';
import { excavationDrafts } from '../excavation/hole-drafts.js';
import { sayPoint } from '../job/point-words.js';
import type { Prices } from '../job/prices.js';
import type { Method } from '../job/vocabulary.js';
import { cleaningDrafts } from '../methods/clean.js';
import { closingPipe_ft } from '../methods/entry.js';
import { methodRegistry, workOf } from '../methods/index.js';
import { couplingRate, pipeRate } from '../pipe/rates.js';
import { drafter, priced, type Draft, type PriceLine } from '../price/price-line.js';
import { boreAtBreak, type Track } from '../track/track.js';
import type { Layout } from './layout.js';

/** Mobilization of every method used in the job, once. */
export const mobilisationLines = (used: ReadonlyMap<Method, string>, prices: Prices): PriceLine[] =>
  methodRegistry.rows.flatMap(({ id, words }) => {
    const line = used.get(id);
    if (id === 'leave' || line === undefined) return [];
    return priced(line, prices, [
      {
        action: null,
        what: `Set up to ${words.setUp}`,
        quantity: 1,
        unit: 'job',
        rate: prices.mobilisation[id] ?? 0,
        from: `mobilisation.${id}`,
      },
    ]);
  });

/** Every price line of one line's scope, without mobilization. Quantities stay unrounded until shown. */
export function priceLines(track: Track, layout: Layout): PriceLine[] {
  const drafts = [
    ...layout.actions.flatMap((action) => [
      ...workOf(action.method).drafts(track, action),
      ...layout.holes
        .filter(({ serves }) => serves[0] === action.id)
        .flatMap((hole) => holeDrafts(track, hole)),
    ]),
    ...visitDrafts(track, layout),
  ];
  return priced(track.model.line.id, track.prices, drafts);
}

/** The cleaning visit, from the tool's insertion point. */
function visitDrafts(track: Track, { cells, visit }: Layout): Draft[] {
  if (!visit) return [];
  const passed = track.cells.filter((cell) => overlaps(cell, visit));
  const point = track.model.points.find((each) => each.point.id === visit.access);
  const from = point && `${sayPoint(point.point)} at ${point.at.station_ft.toFixed(1)} ft`;
  return cleaningDrafts(
    track,
    passed,
    track.cells.filter((_, i) => cells[i]?.method === 'clean'),
    from,
  );
}

/** Everything paid for one excavation: digging, protecting and closing it, and the new pipe in a launch pit. */
function holeDrafts(track: Track, hole: Hole): Draft[] {
  const action = hole.serves[0] ?? null;
  const where = `excavation ${holeLetter(hole.id)}`;
  const draft = drafter(action, where);
  return [
    ...excavationDrafts(hole.quantities, track.prices, action, where),
    ...hole.closings.flatMap((fine) => {
      const bore = boreAtBreak(track, fine);
      return [
        draft(
          `Close the pipe again, ${bore} in`,
          closingPipe_ft,
          'ft',
          pipeRate(track, bore),
          `pipe_per_ft.${track.rules.newPipe}.${bore}`,
        ),
        draft(`Banded coupling, ${bore} in`, 2, 'each', couplingRate(track, bore), `coupling_each.${bore}`),
      ];
    }),
  ];
}
