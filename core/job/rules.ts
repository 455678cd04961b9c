import type { RulesOverride } from './rules-schema.js';

/** The house rules of a job, each with a value. */
export type Rules = Required<Omit<RulesOverride, 'earthquakeOn'>> & Pick<RulesOverride, 'earthquakeOn'>;

export const defaultRules: Rules = {
  school: 'repair',
  findings: {},
  publicPart: 'ours',
  leastGap_ft: 5,
  leastNewPipe_ft: 3,
  leastLiner_ft: 2,
  leastLongLiner_ft: 10,
  toJoints: true,
  holesApart_ft: 2,
  depthMargin_percent: 10,
  cleaningReach_ft: 200,
  mostCable_ft: 400,
  crowdCount: 3,
  crowdWithin_ft: 12,
  flushLowersBelly: true,
  hidesOver_percent: 25,
  transitionLiner: false,
  burstAsbestosCement: false,
  spotMost_ft: 10,
  handDugReach_ft: 3,
  cleanoutFamily: 'A',
  addCleanout: 'where-none',
  slopeFamily: 'A',
  localSlope_in_per_ft: 0.25,
  assumedDepth_ft: 4,
  assumedRest_ft: 40,
  ovality_percent: 2,
  potLife: [
    { at_F: 50, min: 130 },
    { at_F: 60, min: 88 },
    { at_F: 70, min: 60 },
    { at_F: 80, min: 41 },
    { at_F: 90, min: 28 },
    { at_F: 100, min: 19 },
  ],
  wetOut_min_per_ft: 0.25,
  insertion_min_per_ft: 0.2,
  setting_min: 8,
  newPipe: 'pvc-sch40',
  horizon_years: 10,
  interest: 0.04,
  chanceWatchFails: 0.1,
  chanceFixFails: 0.4,
  cleanEvery_months: [8, 12],
  cleanFirst_months: [3, 6],
  lookRoots_months: 12,
  look_months: 24,
};

/** House rules in force for a job: the defaults with the job's own laid over them. */
export function rulesInForce(override: RulesOverride | undefined): Rules {
  return { ...defaultRules, ...override };
}
