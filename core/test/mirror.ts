import type { Interval } from '../line/intervals.js';
import type { LineModel } from '../line/model.js';
import type { Placed } from '../survey/survey.js';
import type { ScopedLine } from '../solve/solution.js';

/** A line read from its other end: every station s becomes from + to − s, and every direction is reversed. */
export function mirrored({ model, condition, restrictions }: ScopedLine): ScopedLine {
  const sum = model.extent.from_ft + model.extent.to_ft;
  const flip = (x: number) => sum - x;
  const at = <T extends { readonly station_ft: number }>(each: T): T => ({
    ...each,
    station_ft: flip(each.station_ft),
  });
  const stretch = <T extends Interval>(each: T): T => ({
    ...each,
    from_ft: flip(each.to_ft),
    to_ft: flip(each.from_ft),
  });
  const all = <T extends Interval>(each: readonly T[]) => each.map(stretch).reverse();
  const placed = (each: Placed): Placed => ({ ...each, station_ft: flip(each.station_ft) });
  const entry = <T extends Interval & { readonly from: Placed; readonly to: Placed }>(each: T): T => ({
    ...stretch(each),
    from: placed(each.to),
    to: placed(each.from),
  });
  const other = { upstream: 'downstream', downstream: 'upstream' } as const;
  const turned: LineModel = {
    ...model,
    survey: {
      ...model.survey,
      placed: new Map([...model.survey.placed].map(([key, each]) => [key, placed(each)])),
    },
    points: model.points.map(({ point, at }) => ({
      point: { ...point, ...(point.faces ? { faces: other[point.faces] } : {}) },
      at: placed(at),
    })),
    line: { ...model.line, ground: [] },
    crossings: model.crossings.map(at),
    entries: model.entries.map(entry),
    pipes: all(model.pipes),
    surfaces: model.surfaces.map(stretch),
    owners: model.owners.map(stretch),
    noDig: model.noDig.map(stretch),
    seen: all(model.seen),
    joints: model.joints.map(flip),
    profile: {
      ...model.profile,
      depth: (x) => model.profile.depth(flip(x)),
      ground: (x) => model.profile.ground(flip(x)),
      // A slope keeps its direction.
      invert: (x) => -model.profile.invert(flip(x)),
      located: model.profile.located.map(at).reverse(),
    },
  };
  return {
    model: turned,
    condition: {
      ...condition,
      findings: condition.findings.map((finding) => ({
        ...finding,
        place: stretch(finding.place),
        placed: entry(finding.placed),
      })),
    },
    restrictions: restrictions.map(stretch),
  };
}
