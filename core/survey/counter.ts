import type { Line, Point, Run } from '../job/schema.js';

/** Prior for a run's counter: zero `z` and scale `s`, with standard deviations. */
export interface CounterPrior {
  readonly zero_ft: number;
  readonly zeroSd_ft: number;
  readonly why: string;
  readonly warning?: 'riser-not-measured' | 'zero-unknown';
}

/** The scale of every counter is 1 ± this (1 sd). */
export const scaleSd = 0.01;

/** Distance from where the head goes in to the level pipe, where nobody measured it. Common practice. */
function usualRiser(access: Point | undefined): { riser_ft: number; sd_ft: number; what: string } {
  if (access?.through === 'roof-vent') return { riser_ft: 16, sd_ft: 4, what: 'top of the vent' };
  if (access?.through === 'pulled-toilet') return { riser_ft: 1.5, sd_ft: 0.5, what: 'flange' };
  if (access?.through === 'valve-lid') return { riser_ft: 1.5, sd_ft: 0.5, what: 'lid' };
  return { riser_ft: 4, sd_ft: 1, what: 'cap' };
}

/** Zero of a run's counter at the level pipe of its access point. Common practice; every number is a default. */
export function counterPrior(line: Line, run: Run): CounterPrior {
  const access = line.points.find((point) => point.id === run.access);
  const riser = access?.riser_ft;
  const usual = usualRiser(access);
  switch (run.zero) {
    case 'cap':
      return riser === undefined
        ? {
            zero_ft: usual.riser_ft,
            zeroSd_ft: usual.sd_ft,
            why: `zeroed at the ${usual.what} of an unmeasured riser, assumed to be ${usual.riser_ft.toFixed(1)} ft`,
            warning: 'riser-not-measured',
          }
        : { zero_ft: riser, zeroSd_ft: 0.5, why: `zeroed at the cap, riser ${riser} ft` };
    case 'pipe':
      return { zero_ft: 0, zeroSd_ft: 0.25, why: 'zeroed in the level pipe' };
    case 'reading':
      return {
        zero_ft: run.zeroReading_ft ?? 0,
        zeroSd_ft: 0.5,
        why: `the counter showed ${run.zeroReading_ft ?? 0} at the access point`,
      };
    case 'unknown':
      return {
        zero_ft: riser === undefined ? 2 : riser / 2,
        zeroSd_ft: riser === undefined ? 2 : Math.max(riser / 2, 0.5),
        why: 'where it was zeroed is unknown, assumed halfway up the riser',
        warning: 'zero-unknown',
      };
  }
}

/** Standard deviation of one reading, ft: "about" is the loosest, whatever the pass. */
export function readingSd(pass: 'out' | 'back' | undefined, about: boolean | undefined): number {
  if (about) return 1.5;
  return pass === 'out' ? 1 : 0.5;
}
