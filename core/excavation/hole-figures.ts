import { plain, type Figure } from '../figure.js';
import type { Soil, SurfaceKind } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import { bedding_ft, deepestOf, type Protection, type Section } from './section.js';

/** Figures of one excavation that a crew needs before digging. */
export interface HoleFigures {
  readonly depth: Figure;
  /** Length and width of the bottom, ft. */
  readonly bottom_ft: readonly [number, number];
  readonly protection: string;
  readonly bank: Figure;
  readonly loose: Figure;
  readonly cautions: readonly string[];
}

const looseness = 1.25;

/** Depth, bottom, protection and volume of an excavation from the cells it crosses. */
export function holeFigures(
  hole: Interval,
  cells: readonly (Interval & { section: Section; surface: SurfaceKind })[],
  earth: { earthTo5_yd3: number; earthBelow5_yd3: number },
  held: Protection,
  soil: Soil,
): HoleFigures {
  const sections = cells.map(({ section }) => section);
  const deepest = deepestOf(sections);
  const depth_ft = deepest?.depth_ft ?? 0;
  const bank = earth.earthTo5_yd3 + earth.earthBelow5_yd3;
  return {
    depth: {
      value: depth_ft,
      unit: 'ft',
      steps: [
        {
          label: 'Deepest invert and its bedding',
          expression: `${plain(depth_ft - bedding_ft)} + ${plain(bedding_ft)} = ${plain(depth_ft)}`,
          source: 'common practice',
        },
      ],
    },
    bottom_ft: [hole.to_ft - hole.from_ft, Math.max(0, ...sections.map(({ width_ft }) => width_ft))],
    protection: sayProtection(held, deepest, soil),
    bank: {
      value: bank,
      unit: 'yd³',
      steps: [
        {
          label: 'Each cell by its own depth, width and slope',
          expression: `${plain(earth.earthTo5_yd3)} up to 5 ft deep + ${plain(earth.earthBelow5_yd3)} deeper = ${plain(bank)}`,
          source: 'L W d + s (L + W) d² + 4/3 s² d³ at even depth',
        },
      ],
    },
    loose: {
      value: bank * looseness,
      unit: 'yd³',
      steps: [
        {
          label: 'Loosened by digging',
          expression: `${plain(bank)} × ${looseness}`,
          source: 'common practice',
        },
      ],
    },
    cautions: cautionsOf(sections),
  };
}

const slopeWords: Record<string, string> = { '0.75': '¾ : 1', '1': '1 : 1', '1.5': '1½ : 1' };

function sayProtection(held: Protection, section: Section | undefined, soil: Soil): string {
  if (!section) return 'none';
  if (section.engineered) return 'designed by an engineer';
  if (held === 'shore') return 'shoring';
  if (held === 'shield') return 'shield';
  if (held === 'slope') return `slope ${slopeWords[String(section.slope)] ?? `${section.slope} : 1`}`;
  return soil === 'rock' && section.deep ? 'none, stable rock' : 'none';
}

/** From this depth a means of egress is required and bad air is more likely, ft. */
const airFrom_ft = 4;

/** Standard cautions that apply to this excavation. 29 CFR 1926.651–652, from memory. */
function cautionsOf(sections: readonly Section[]): string[] {
  if (sections.length === 0) return ['Sewer air: test before going in under the floor.'];
  return [
    sections.some(({ protect }) => protect)
      ? '5 ft and over: nobody in without shoring, a shield or a slope. The competent person decides, here, today.'
      : 'Under 5 ft: the competent person looks for signs of cave-in before anyone goes in.',
    ...(sections.some(({ depth_ft }) => depth_ft >= airFrom_ft)
      ? ['A ladder or ramp within 25 ft of everyone in it. Test the air where it may be bad.']
      : []),
    'Spoil 2 ft back from the edge. Call for the utility locate first.',
  ];
}
