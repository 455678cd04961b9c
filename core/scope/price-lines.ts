import { plain, type Step } from '../figure.js';
import { rateForBore, type MadeThickness, type Prices } from '../job/prices-schema.js';
import { roundCents, sameStation_ft, sumCents } from '../job/units.js';
import { methods, type Method } from '../job/vocabulary.js';
import { madeThickness } from '../liner/thickness.js';
import { union } from '../line/intervals.js';
import { drafter, type Draft } from './draft.js';
import { couplingRate, pipeRate } from './hole-costs.js';
import { holeDrafts } from './hole-drafts.js';
import { isCutBack, type Possible } from './edges.js';
import type { Action, Layout } from './layout.js';
import type { Cell } from './track.js';

/** One priced line: quantity × rate × (1 + markup) × (1 + tax), to the cent. */
export interface PriceLine {
  readonly line: string;
  readonly action: string | null;
  readonly what: string;
  readonly quantity: number;
  readonly unit: string;
  readonly rate: number;
  readonly amount: number;
  /** The path of the rate in the price book. */
  readonly from: string;
  /** How the quantity came out, and then the amount. */
  readonly working: readonly Step[];
}

const methodNames: Record<Exclude<Method, 'leave'>, string> = {
  clean: 'clean',
  spot: 'dig spots',
  line: 'line',
  'short-line': 'put in short liners',
  'open-cut': 'open cut',
  burst: 'burst',
  regrade: 'regrade',
};

/** Mobilisation of every method used in the job, once. */
export function mobilisationLines(used: ReadonlyMap<Method, string>, prices: Prices): PriceLine[] {
  return methods.flatMap((method) => {
    const line = used.get(method);
    if (method === 'leave' || line === undefined) return [];
    return amounts(line, prices, [
      {
        action: null,
        what: `Set up to ${methodNames[method]}`,
        quantity: 1,
        unit: 'job',
        rate: prices.mobilisation[method] ?? 0,
        from: `mobilisation.${method}`,
      },
    ]);
  });
}

/** Every priced line of one line's scope, without mobilisation. Quantities stay unrounded until they are shown. */
export function priceLines(possible: Possible, layout: Layout): PriceLine[] {
  const { track } = possible;
  const drafts = [
    ...layout.actions.flatMap((action) => [
      ...actionLines(possible, action),
      ...layout.holes
        .filter(({ serves }) => serves[0] === action.id)
        .flatMap((hole) => holeDrafts(possible.track, hole)),
    ]),
    ...cleaningLines(possible, layout),
  ];
  return amounts(track.model.line.id, track.prices, drafts);
}

export const totalOf = (lines: readonly PriceLine[]): number => sumCents(lines.map(({ amount }) => amount));

/** Drafts as priced lines of a line; quantities of nothing are left out. */
export function amounts(line: string, prices: Prices, drafts: readonly Draft[]): PriceLine[] {
  const factor = (1 + prices.markup) * (1 + prices.tax);
  const more = [
    ['markup', prices.markup],
    ['tax', prices.tax],
  ] as const;
  return drafts
    .filter(({ quantity }) => quantity > 1e-9)
    .map(({ steps = [], ...draft }) => {
      const amount = roundCents(draft.quantity * draft.rate * factor);
      const factors = more.flatMap(([, each]) => (each > 0 ? [` × ${plain(1 + each, 4)}`] : []));
      const named = more.flatMap(([name, each]) => (each > 0 ? [name] : []));
      const working: Step[] = [
        ...steps,
        {
          label: ['Quantity × rate', ...named].join(' × '),
          expression: `${plain(draft.quantity, 4)} ${draft.unit} × ${draft.rate}${factors.join('')} = ${amount.toFixed(2)}`,
          source: `price book, ${draft.from}`,
        },
      ];
      return { line, ...draft, amount, working };
    });
}

/** Feet of cells, added up from the stretches they make. */
function lengthSteps(cells: readonly Cell[], label: string): Step[] {
  return union(cells).map(({ from_ft, to_ft }) => ({
    label,
    expression: `${plain(to_ft)} − ${plain(from_ft)} = ${plain(to_ft - from_ft)} ft`,
    source: 'the scope',
  }));
}

function actionLines({ track }: Possible, action: Action): Draft[] {
  const { prices } = track;
  const cells = track.cells.slice(action.fromBreak, action.toBreak);
  const draft = drafter(action.id);
  const feetOf = (bore: number) =>
    lengthSteps(
      cells.filter(({ pipe }) => pipe.diameter_in === bore),
      `Along the pipe, ${plain(bore)} in`,
    );
  const byBore = new Map<number, number>();
  for (const cell of cells) {
    byBore.set(cell.pipe.diameter_in, (byBore.get(cell.pipe.diameter_in) ?? 0) + cell.to_ft - cell.from_ft);
  }
  const couplings = [cells[0], cells.at(-1)].map((cell) => {
    const bore = cell?.pipe.diameter_in ?? 4;
    return draft(
      `Banded coupling, ${bore} in`,
      1,
      'each',
      couplingRate(track, bore),
      `coupling_each.${bore}`,
    );
  });
  const feetUnder = (ground: 'building' | 'crawl-space') =>
    cells
      .filter(({ closedTo }) => closedTo === ground)
      .reduce((sum, cell) => sum + cell.to_ft - cell.from_ft, 0);
  switch (action.method) {
    case 'spot':
    case 'open-cut':
    case 'regrade': {
      const rehung = action.method === 'regrade' ? feetUnder('crawl-space') : 0;
      const pipe = [...byBore].map(([bore, length], index) =>
        draft(
          `New ${bore} in pipe`,
          // Rehung pipe is not bought; it comes off the first bore, for a crawl space holds one.
          length - (index === 0 ? rehung : 0),
          'ft',
          pipeRate(track, bore),
          `pipe_per_ft.${track.rules.newPipe}.${bore}`,
          [
            ...feetOf(bore),
            ...(index === 0 && rehung > 0
              ? [{ label: 'Rehung, not bought', expression: `− ${plain(rehung)} ft`, source: 'the scope' }]
              : []),
          ],
        ),
      );
      return [
        ...pipe,
        ...couplings,
        draft(
          'Dug by hand under the building',
          feetUnder('building'),
          'ft',
          prices.handDug_per_ft,
          'handDug_per_ft',
        ),
        draft('Rehung to grade on straps', rehung, 'ft', prices.rehang_per_ft, 'rehang_per_ft'),
      ];
    }
    case 'burst':
      return [
        ...[...byBore].map(([bore, length]) =>
          draft(
            `Burst and draw in ${bore} in pipe`,
            length,
            'ft',
            rateForBore(prices.burst_per_ft, bore) ?? 0,
            `burst_per_ft.${bore}`,
            feetOf(bore),
          ),
        ),
        ...couplings,
      ];
    case 'line':
    case 'short-line': {
      const thickness = Math.max(...cells.map((cell) => madeThickness(cell.thickness.needed_in) ?? 0));
      const tieIns = track.model.points.filter(
        ({ point, at }) =>
          point.kind === 'tie-in' &&
          at.station_ft > action.from_ft + sameStation_ft &&
          at.station_ft < action.to_ft - sameStation_ft,
      ).length;
      const steps = cells
        .slice(1)
        .filter((cell, i) => cell.pipe.diameter_in !== cells[i]?.pipe.diameter_in).length;
      const short = action.method === 'short-line';
      return [
        ...[...byBore].map(([bore, length]) =>
          draft(
            `${short ? 'Short liner' : 'Liner'}, ${bore} in, ${thickness} in thick`,
            length,
            'ft',
            rateForBore(prices.liner_per_ft[String(thickness) as MadeThickness], bore) ?? 0,
            `liner_per_ft.${thickness}.${bore}`,
            feetOf(bore),
          ),
        ),
        short
          ? draft('Set one short liner', 1, 'each', prices.shortLiner_each, 'shortLiner_each')
          : draft('Set one liner', 1, 'each', prices.liner_each, 'liner_each'),
        draft('Cut a tie-in open again', tieIns, 'each', prices.reinstatement_each, 'reinstatement_each'),
        draft('Change of bore in the liner', steps, 'each', prices.transition_each, 'transition_each'),
      ];
    }
  }
}

function cleaningLines({ track }: Possible, layout: Layout): Draft[] {
  const cleaned = track.cells.filter((_, i) => layout.cells[i]?.method === 'clean');
  const length = cleaned.reduce((sum, cell) => sum + cell.to_ft - cell.from_ft, 0);
  const cut = track.condition.findings.filter(
    ({ id, place }) =>
      isCutBack(track, id) &&
      cleaned.some((cell) => cell.from_ft < place.to_ft - 1e-6 && cell.to_ft > place.from_ft + 1e-6),
  );
  return [
    {
      action: null,
      what: 'Clean',
      quantity: length,
      unit: 'ft',
      rate: track.prices.cleaning_per_ft,
      from: 'cleaning_per_ft',
      steps: lengthSteps(cleaned, 'Cleaned'),
    },
    {
      action: null,
      what: 'Cut back what sticks in',
      quantity: cut.length,
      unit: 'each',
      rate: track.prices.cutBack_each,
      from: 'cutBack_each',
    },
  ];
}
