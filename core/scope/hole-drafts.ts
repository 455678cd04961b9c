import { plain, type Step } from '../figure.js';
import type { Prices } from '../job/prices-schema.js';
import {
  boreAtBreak,
  closingPipe_ft,
  couplingRate,
  cubicFeetPerYard,
  pipeRate,
  type HoleQuantities,
} from './hole-costs.js';
import type { Hole } from './layout.js';
import { drafter, type Draft } from './draft.js';
import type { Track } from './track.js';

/** What it takes to dig a hole, hold it, and put the ground back. */
export function excavationDrafts(
  quantities: HoleQuantities,
  prices: Prices,
  action: string | null,
  where: string,
): Draft[] {
  const draft = drafter(action, where);
  const { earthTo5_yd3, earthBelow5_yd3, earth_ft3 } = quantities;
  const earth = earthTo5_yd3 + earthBelow5_yd3;
  const yards = ({ along, ends }: { along: number; ends: number }): Step[] => [
    {
      label: 'Each cell by its own depth, width and slope',
      expression: `Σ (W d + s d²) × length = ${plain(along)} ft³`,
      source: 'L W d + s (L + W) d² + 4/3 s² d³ at even depth',
    },
    {
      label: 'Its ends, sloped back',
      expression: `Σ (s W d² ÷ 2 + ⅔ s² d³) = ${plain(ends)} ft³`,
    },
    {
      label: 'In yards',
      expression: `${plain(along + ends)} ÷ ${cubicFeetPerYard} = ${plain((along + ends) / cubicFeetPerYard, 4)} yd³`,
    },
  ];
  return [
    draft(
      'Dig where it is up to 5 ft deep',
      earthTo5_yd3,
      'yd³',
      prices.digTo5_per_yd3,
      'digTo5_per_yd3',
      yards(earth_ft3.to5),
    ),
    draft(
      'Dig where it is over 5 ft deep',
      earthBelow5_yd3,
      'yd³',
      prices.digBelow5_per_yd3,
      'digBelow5_per_yd3',
      yards(earth_ft3.below5),
    ),
    draft('Shore the sides', quantities.support_ft2, 'ft²', prices.support_per_ft2, 'support_per_ft2', [
      {
        label: 'Walls that are shored',
        expression: `Σ 2 d × length + W d at each end = ${plain(quantities.support_ft2)} ft²`,
        source: 'common practice',
      },
    ]),
    draft('Haul and backfill', earth, 'yd³', prices.backfill_per_yd3, 'backfill_per_yd3', [
      {
        label: 'Earth in the ground',
        expression: `${plain(earthTo5_yd3, 4)} + ${plain(earthBelow5_yd3, 4)} = ${plain(earth, 4)} yd³`,
      },
    ]),
    ...[...quantities.restore_ft2].map(([surface, area]) => {
      const rate = prices.restore_per_ft2[surface as keyof Prices['restore_per_ft2']] ?? 0;
      const steps: Step[] = [
        {
          label: `Top of the opening in ${surface}, 1 ft more each side in pavement`,
          expression: `Σ (W + 2 s d) × length, and its ends = ${plain(area)} ft²`,
          source: 'common practice',
        },
      ];
      return rate === 'by-others'
        ? draft(
            `Put back the ${surface}: by others, not in this price`,
            area,
            'ft²',
            0,
            `restore_per_ft2.${surface}`,
            steps,
          )
        : draft(`Put back the ${surface}`, area, 'ft²', rate, `restore_per_ft2.${surface}`, steps);
    }),
    draft(
      'Permit and traffic control',
      quantities.public_ft > 1e-6 ? 1 : 0,
      'hole',
      prices.permit_per_hole,
      'permit_per_hole',
      [
        {
          label: 'Hole in public ground',
          expression: `${plain(quantities.public_ft)} ft of it is public: one permit`,
          source: 'common practice',
        },
      ],
    ),
  ];
}

/** Everything that is paid for one hole: digging, holding and closing it, and the pipe let in at a launch pit. */
export function holeDrafts(track: Track, hole: Hole): Draft[] {
  const { prices } = track;
  const action = hole.serves[0] ?? null;
  const where = `hole ${hole.id}`;
  const draft = drafter(action, where);
  return [
    ...excavationDrafts(hole.quantities, prices, action, where),
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
