import { defaultRules } from './rules.js';

// The default house rules, each with the number that calculations.md gives for it, and where it stands there. They are
// common practice; a company that never opens its rules page works by them.
test('the default house rules are those that are published', () => {
  expect(defaultRules).toMatchObject({
    // §1 depth ± 10 %; §14 depth that nobody located; a line that nobody followed to its end
    ...{ depthMargin_percent: 10, assumedDepth_ft: 4, assumedRest_ft: 40 },
    // §2 a cleaning has a reach; what hides the wall behind it
    ...{ cleaningReach_ft: 200, hidesOver_percent: 25, mostCable_ft: 400 },
    // §4 the rule on gaps, and crowding
    ...{ leastGap_ft: 5, crowdCount: 3, crowdWithin_ft: 12 },
    // §4 a spot repair is at most 10 ft; a liner of over 10 ft is no sectional one
    ...{ spotMost_ft: 10, leastLongLiner_ft: 10 },
    // §5 interest and the chances to fail within the horizon
    ...{ horizon_years: 10, interest: 0.04, chanceWatchFails: 0.1, chanceFixFails: 0.4 },
    // §8 ovality of the host pipe
    ovality_percent: 2,
    // §12 cleaning while roots remain, the first time after bad ones, and looks
    ...{ cleanEvery_months: [8, 12], cleanFirst_months: [3, 6], lookRoots_months: 12, look_months: 24 },
    // §14 least lengths, and excavations
    ...{ leastNewPipe_ft: 3, leastLiner_ft: 2, toJoints: true, holesApart_ft: 2, handDugReach_ft: 3 },
  });
});
