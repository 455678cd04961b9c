import { tolerance } from '../units.js';
import { plain, type Step } from '../figure.js';
import type { Prices } from '../job/prices.js';
import { drafter, type Draft } from '../price/price-line.js';
import type { HolePiece } from './hole-costs.js';
import { cubicFeetPerYard } from './parts.js';
import type { HoleQuantities } from './quantities.js';

/** Price lines for digging an excavation, protecting it and restoring the ground. */
export function excavationDrafts(
  quantities: HoleQuantities,
  prices: Prices,
  action: string | null,
  where: string,
): Draft[] {
  const draft = drafter(action, where);
  const { earthTo5_yd3, earthBelow5_yd3, earth_ft3 } = quantities;
  const earth = earthTo5_yd3 + earthBelow5_yd3;
  return [
    draft(
      'Dig where it is up to 5 ft deep',
      earthTo5_yd3,
      'yd³',
      prices.digTo5_per_yd3,
      'digTo5_per_yd3',
      earthSteps(earth_ft3.to5),
    ),
    draft(
      'Dig where it is over 5 ft deep',
      earthBelow5_yd3,
      'yd³',
      prices.digBelow5_per_yd3,
      'digBelow5_per_yd3',
      earthSteps(earth_ft3.below5),
    ),
    draft(
      'Shore the sides',
      quantities.shored_ft2,
      'ft²',
      prices.support_per_ft2,
      'support_per_ft2',
      wallSteps('shored', quantities.shored_ft2),
    ),
    draft(
      'Trench shield',
      quantities.shielded_ft2,
      'ft²',
      prices.shield_per_ft2,
      'shield_per_ft2',
      wallSteps('shielded', quantities.shielded_ft2),
    ),
    draft('Haul and backfill', earth, 'yd³', prices.backfill_per_yd3, 'backfill_per_yd3', [
      {
        label: 'Excavated volume',
        expression: `${plain(earthTo5_yd3, 4)} + ${plain(earthBelow5_yd3, 4)} = ${plain(earth, 4)} yd³`,
      },
    ]),
    ...[...quantities.restore_ft2].map(([surface, area]) => restoreDraft(surface, area, prices, draft)),
    permitDraft(quantities.public_ft, prices, draft),
  ];
}

const wallSteps = (how: string, area: number): Step[] => [
  {
    label: `Walls that are ${how}`,
    expression: `Σ 2 d × length + W d at each end = ${plain(area)} ft²`,
    source: 'common practice',
  },
];

const earthSteps = ({ along, ends }: { along: number; ends: number }): Step[] => [
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

type Drafting = ReturnType<typeof drafter>;

function restoreDraft(surface: string, area: number, prices: Prices, draft: Drafting): Draft {
  const rate = prices.restore_per_ft2[surface as keyof Prices['restore_per_ft2']] ?? 0;
  const byOthers = rate === 'by-others';
  const what = `Restore the ${surface}${byOthers ? ': by others, not in this price' : ''}`;
  return draft(what, area, 'ft²', byOthers ? 0 : rate, `restore_per_ft2.${surface}`, [
    {
      label: `Top of the opening in ${surface}, 1 ft more each side in pavement`,
      expression: `Σ (W + 2 s d) × length, and its ends = ${plain(area)} ft²`,
      source: 'common practice',
    },
  ]);
}

function permitDraft(public_ft: number, prices: Prices, draft: Drafting): Draft {
  const isPublic = public_ft > leastPublic_ft;
  return draft(
    'Permit and traffic control',
    isPublic ? 1 : 0,
    'hole',
    prices.permit_per_hole,
    'permit_per_hole',
    [
      {
        label: 'Excavation in public ground',
        expression: `${plain(public_ft)} ft of it is public: one permit`,
        source: 'common practice',
      },
    ],
  );
}

/** An excavation with less public ground than this needs no permit, ft. */
export const leastPublic_ft = tolerance.ft;

/** Cost of a separate excavation, with its permit, raw. */
export const withPermit = ({ cost, public_ft }: HolePiece, { permit_per_hole }: Prices): number =>
  cost + (public_ft > leastPublic_ft ? permit_per_hole : 0);
