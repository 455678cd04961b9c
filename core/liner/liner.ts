import { plain, type Figure, type Step } from '../figure.js';
import { tolerance } from '../units.js';
import type { Criterion } from './thickness.js';

/** Lengths for ordering a liner. All in ft unless the name says otherwise. */
export interface LinerInput {
  readonly from_ft: number;
  readonly to_ft: number;
  /** ± of the host length, ft. */
  readonly plusMinus_ft: number;
  readonly endsAtMain: boolean;
  readonly entry:
    | { readonly by: 'pit' }
    | { readonly by: 'cleanout'; readonly riser_ft: number }
    | { readonly by: 'manhole'; readonly depth_ft: number };
  readonly host_in: number;
  readonly thickness_in: number;
  readonly governs: Criterion;
  /** Required thickness by each criterion. */
  readonly thicknessSteps?: readonly Step[];
}

export interface LinerOrder {
  readonly host: Figure;
  readonly installed: Figure;
  readonly cut: Figure;
  readonly bladder: Figure;
  readonly layFlat: Figure;
  readonly resin: Figure;
  readonly thickness: Figure;
  readonly governs: Criterion;
}

const shortOfMain_ft = 0.25;
const launchFromPit_ft = 2;
const closingTail_ft = 1;
const leastPlusMinus_ft = 0.5;
const cutStep_ft = 0.5;
const galPerIn3 = 1 / 231;
/** Resin as a fraction of the liner's wall, and the extra mixed. Common practice. */
const resinShare = 0.87;
const resinSurplus = 1.1;

/** What to cut and mix for one liner. Common practice; each length opens into its sum. */
export function linerOrder(input: LinerInput): LinerOrder {
  const host_ft = Math.abs(input.to_ft - input.from_ft);
  const host: Figure = {
    value: host_ft,
    unit: 'ft',
    plusMinus: input.plusMinus_ft,
    steps: [
      {
        label: 'Old pipe',
        expression: `${plain(input.to_ft)} − ${plain(input.from_ft)} = ${plain(host_ft)}`,
      },
    ],
  };
  const installed: Figure = {
    value: input.endsAtMain ? host_ft - shortOfMain_ft : host_ft,
    unit: 'ft',
    steps: [
      ...host.steps,
      ...(input.endsAtMain
        ? [{ label: 'Stops short of the main', expression: `− ${shortOfMain_ft}`, source: 'common practice' }]
        : []),
    ],
  };
  const cut = cutLength(input, installed);
  return {
    host,
    installed,
    cut,
    bladder: {
      value: cut.value,
      unit: 'ft',
      steps: [
        { label: 'As long as the liner is cut', expression: plain(cut.value), source: 'common practice' },
      ],
    },
    layFlat: {
      value: (Math.PI * input.host_in) / 2,
      unit: 'in',
      steps: [{ label: 'Half the way round', expression: `π × ${plain(input.host_in)} ÷ 2` }],
    },
    resin: resinFor(input, cut.value),
    thickness: {
      value: input.thickness_in,
      unit: 'in',
      steps: [
        ...(input.thicknessSteps ?? []),
        { label: 'Next made thickness', expression: `${input.thickness_in} in`, source: 'common practice' },
      ],
    },
    governs: input.governs,
  };
}

/** Installed length, launch, closing tail and the ± of the host length, rounded up. */
function cutLength({ entry, plusMinus_ft }: LinerInput, installed: Figure): Figure {
  const plusMinus = Math.max(leastPlusMinus_ft, plusMinus_ft);
  const further = entry.by === 'cleanout' ? entry.riser_ft : entry.by === 'manhole' ? entry.depth_ft : 0;
  const launch_ft = launchFromPit_ft + further;
  const total_ft = installed.value + launch_ft + closingTail_ft + plusMinus;
  const cut_ft = Math.ceil((total_ft - tolerance.ft) / cutStep_ft) * cutStep_ft;
  return {
    value: cut_ft,
    unit: 'ft',
    steps: [
      ...installed.steps,
      {
        label: entry.by === 'pit' ? 'Insert from the excavation' : `Launch from the ${entry.by}`,
        expression: further > 0 ? `+ ${launchFromPit_ft} + ${plain(further)}` : `+ ${launchFromPit_ft}`,
        source: 'common practice',
      },
      { label: 'Closing tail', expression: `+ ${closingTail_ft}`, source: 'common practice' },
      {
        label: '± of the old pipe’s length',
        expression: `+ ${plain(plusMinus)}`,
        source: plusMinus_ft < leastPlusMinus_ft ? 'never under 0.5' : 'weighted least squares',
      },
      { label: 'Rounded up', expression: `${plain(total_ft)} → ${plain(cut_ft)}` },
    ],
  };
}

/** Resin for a liner of this cut length in feet, gal. */
function resinFor({ host_in, thickness_in: wall_in }: LinerInput, cut_ft: number): Figure {
  const gal = Math.PI * (host_in - wall_in) * wall_in * 12 * cut_ft * resinShare * resinSurplus * galPerIn3;
  return {
    value: gal,
    unit: 'gal',
    steps: [
      {
        label: 'Wall of the liner, wetted',
        expression: `π × (${plain(host_in, 3)} − ${wall_in}) × ${wall_in} × 12 × ${plain(cut_ft)} × ${resinShare} × ${resinSurplus} ÷ 231 = ${plain(gal)}`,
        source: 'common practice',
      },
    ],
  };
}
