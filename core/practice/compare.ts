import { capital } from '../capital.js';
import { materialWords } from '../catalog/materials.js';
import { plain, type Figure } from '../figure.js';
import type { Entry } from '../job/schema.js';
import { intersect, subtract, totalLength, type Interval } from '../line/intervals.js';
import { sayWhat } from '../speech/say.js';
import type { ClockRange } from '../survey/clock.js';
import { hoursApart } from '../units.js';
import type { LineView } from '../views/line-view.js';

/** One thing of a line, true or as logged. */
interface Thing extends Interval {
  readonly key: string;
  readonly kind: string;
  readonly says: string;
  readonly plusMinus_ft: number;
  readonly clock?: ClockRange | undefined;
  readonly size?: number | string | undefined;
}

/** One thing of the log compared with the truth. */
export interface Compared {
  readonly key: string;
  readonly is: 'found' | 'missed' | 'invented' | 'not-to-be-seen';
  readonly says: string;
  /** True station, ft; the logged one for something that is not there. */
  readonly at_ft: number;
  /** For what was found: error of the end that is farther off, ft; + is too far downstream. */
  readonly off_ft?: number;
  readonly plusMinus_ft?: number;
  readonly within?: boolean;
  /** Error of the clock position, h; null where it should have been given and was not. */
  readonly clockOff_h?: number | null;
  /** Logged − true, in its own measure; words where the form is wrong; null where it was not given. */
  readonly sizeOff?: number | string | null;
  readonly trueSize?: number | string;
}

export interface Comparison {
  readonly things: readonly Compared[];
  /** Feet of the true line, feet logged in the right material, and feet the log counts as seen. */
  readonly length_ft: number;
  readonly rightMaterial_ft: number;
  readonly seen_ft: number;
  /** Feet the camera could see. */
  readonly couldSee_ft: number;
  /** Feet counted as seen that were under water. */
  readonly claimed_ft: number;
  /** 0 to 100, with its working. */
  readonly score: Figure;
}

/** Anything logged farther off than this is a different thing, ft. */
const reach_ft = 6;
/** Tolerances: clock position, h; size, as a fraction. */
const clockGood_h = 1;
const sizeGood = 0.34;
const changePlusMinus_ft = 1;

/** Compares a log with the true pipe, both laid out on the line. `hidden` is what the camera could not see, ft. */
export function compareLogs(truth: LineView, log: LineView, hidden: readonly Interval[]): Comparison {
  const [real, said] = [thingsOf(truth), thingsOf(log)];
  const pairs = paired(real, said);
  const matched = new Set(pairs.values());
  const isHidden = (thing: Thing) =>
    hidden.some((each) => thing.from_ft >= each.from_ft && thing.to_ft <= each.to_ft);
  const things = [
    ...real.map((thing): Compared => {
      const own = pairs.get(thing);
      const base = { key: thing.key, says: thing.says, at_ft: thing.from_ft };
      if (!own) return { ...base, is: isHidden(thing) ? 'not-to-be-seen' : 'missed' };
      return { ...base, is: 'found', ...errorsOf(thing, own) };
    }),
    ...said
      .filter((each) => !matched.has(each))
      .map((each): Compared => ({
        key: `own ${each.key}`,
        says: each.says,
        at_ft: each.from_ft,
        is: 'invented',
      })),
  ].sort((a, b) => a.at_ft - b.at_ft);
  const extent = { from_ft: truth.from_ft, to_ft: truth.to_ft };
  const seen = intersect([extent], subtract([{ from_ft: log.from_ft, to_ft: log.to_ft }], log.unseen));
  const length_ft = extent.to_ft - extent.from_ft;
  const part = {
    things,
    length_ft,
    rightMaterial_ft: rightMaterial(truth, log),
    seen_ft: totalLength(seen),
    couldSee_ft: totalLength(subtract([extent], hidden)),
    claimed_ft: totalLength(intersect(seen, hidden)),
  };
  return { ...part, score: scoreOf(part) };
}

/** Its size in its own measure; the middle of a range. */
function sizeOf(entry: Entry): number | string | undefined {
  if (entry.kind !== 'finding') return undefined;
  const said =
    'percent' in entry && entry.percent !== undefined
      ? entry.percent
      : 'inches' in entry
        ? entry.inches
        : undefined;
  if (said !== undefined) return typeof said === 'number' ? said : (said[0] + said[1]) / 2;
  return 'form' in entry ? entry.form : undefined;
}

const pointKinds: Readonly<Record<string, string>> = {
  'tie-in': 'Branch connection',
  bend: 'Bend',
  main: 'Main',
};

function thingsOf(view: LineView): Thing[] {
  return [
    ...view.findings.map(({ id, kind, entry, from_ft, to_ft, plusMinus_ft, clock }): Thing => ({
      key: id,
      kind,
      says: sayWhat(entry),
      from_ft,
      to_ft,
      plusMinus_ft,
      clock,
      size: sizeOf(entry),
    })),
    ...view.points
      .filter(({ kind }) => kind in pointKinds)
      .map(({ id, kind, station }): Thing => ({
        key: id,
        kind,
        says: pointKinds[kind] ?? kind,
        from_ft: station.value,
        to_ft: station.value,
        plusMinus_ft: station.plusMinus ?? 0,
      })),
    ...view.pipes.flatMap((pipe, i): Thing[] => {
      const next = view.pipes[i + 1];
      if (!next || next.material === pipe.material) return [];
      return [
        {
          key: `change ${i}`,
          kind: 'change',
          says: capital(`${materialWords(pipe.material)} changes to ${materialWords(next.material)}`),
          size: `${materialWords(pipe.material)} to ${materialWords(next.material)}`,
          from_ft: next.from_ft,
          to_ft: next.from_ft,
          plusMinus_ft: changePlusMinus_ft,
        },
      ];
    }),
  ];
}

/** Each true thing paired with the nearest logged one of its kind, nearest pair first. */
function paired(real: readonly Thing[], said: readonly Thing[]): Map<Thing, Thing> {
  const all = real.flatMap((thing) =>
    said
      .filter(({ kind }) => kind === thing.kind)
      .map((own) => ({ thing, own, off_ft: Math.abs(furthest(thing, own)) }))
      .filter(({ off_ft }) => off_ft <= reach_ft),
  );
  const pairs = new Map<Thing, Thing>();
  const taken = new Set<Thing>();
  for (const { thing, own } of all.sort((a, b) => a.off_ft - b.off_ft)) {
    if (pairs.has(thing) || taken.has(own)) continue;
    pairs.set(thing, own);
    taken.add(own);
  }
  return pairs;
}

/** Error of the end that is farther off. */
function furthest(thing: Interval, own: Interval): number {
  const [start, end] = [own.from_ft - thing.from_ft, own.to_ft - thing.to_ft];
  return Math.abs(end) > Math.abs(start) ? end : start;
}

function errorsOf(thing: Thing, own: Thing): Omit<Compared, 'key' | 'is' | 'says' | 'at_ft'> {
  const off_ft = furthest(thing, own);
  return {
    off_ft,
    plusMinus_ft: own.plusMinus_ft,
    within: Math.abs(off_ft) <= own.plusMinus_ft,
    ...(thing.clock === undefined
      ? {}
      : {
          clockOff_h: own.clock === undefined ? null : hoursApart(middleOf(thing.clock), middleOf(own.clock)),
        }),
    ...(thing.size === undefined ? {} : { sizeOff: sizeOff(thing.size, own.size), trueSize: thing.size }),
  };
}

function sizeOff(real: number | string, own: number | string | undefined): number | string | null {
  if (own === undefined) return null;
  if (typeof real === 'number' && typeof own === 'number') return own - real;
  return real === own ? 0 : String(own);
}

const middleOf = (clock: ClockRange): number => {
  if (typeof clock === 'number') return clock;
  const [from, to] = clock;
  return from + (to > from ? to - from : to + 12 - from) / 2;
};

function rightMaterial(truth: LineView, log: LineView): number {
  return truth.pipes.reduce((sum, pipe) => {
    const right = log.pipes.filter(({ material }) => material === pipe.material);
    return sum + totalLength(intersect([pipe], right));
  }, 0);
}

/** Whether a size is close enough: within a third, or the exact form. */
const isNear = (off: number | string | null, real: number | string | undefined): boolean =>
  off === 0 || (typeof off === 'number' && typeof real === 'number' && Math.abs(off) <= real * sizeGood);

/**
 * Points for each part of a good log: 40 for what was found, 25 for where, 15 for its description, 10 and 10 for the
 * pipe.
 */
const worth = { found: 40, where: 25, said: 15, material: 10, seen: 10 } as const;

type ScorePart = readonly [label: string, points: number, share: number, how: string];

function partsOf({
  things,
  length_ft,
  rightMaterial_ft,
  seen_ft,
  couldSee_ft,
  claimed_ft,
}: Omit<Comparison, 'score'>): readonly ScorePart[] {
  const count = (is: Compared['is']) => things.filter((each) => each.is === is).length;
  const [found, missed, invented] = [count('found'), count('missed'), count('invented')];
  const good = things.filter(({ is }) => is === 'found');
  const where = good.filter(({ within }) => within).length;
  const said = good.flatMap(({ clockOff_h, sizeOff: size, trueSize }) => [
    ...(clockOff_h === undefined ? [] : [clockOff_h !== null && clockOff_h <= clockGood_h]),
    ...(size === undefined ? [] : [isNear(size, trueSize)]),
  ]);
  const share = (part: number, whole: number) => (whole > 0 ? part / whole : 1);
  const honest = Math.max(0, seen_ft - claimed_ft);
  return [
    [
      'Found',
      worth.found,
      share(found, found + missed + invented),
      `${found} of ${found + missed}, ${invented} invented`,
    ],
    [
      'Where',
      worth.where,
      found > 0 ? share(where, good.length) : 0,
      `${where} of ${good.length} inside their own ±`,
    ],
    [
      'How it was said',
      worth.said,
      found > 0 ? share(said.filter(Boolean).length, said.length) : 0,
      `${said.filter(Boolean).length} of ${said.length} clock positions and sizes`,
    ],
    [
      'Material',
      worth.material,
      Math.min(1, share(rightMaterial_ft, length_ft)),
      `${plain(rightMaterial_ft, 1)} of ${plain(length_ft, 1)} ft`,
    ],
    [
      'Seen',
      worth.seen,
      share(Math.max(0, honest - claimed_ft), couldSee_ft),
      `${plain(honest, 1)} ft seen of ${plain(couldSee_ft, 1)} that could be${claimed_ft > 0 ? `, and ${plain(claimed_ft, 1)} ft under water counted as seen` : ''}`,
    ],
  ];
}

function scoreOf(compared: Omit<Comparison, 'score'>): Figure {
  const parts = partsOf(compared);
  const value = Math.round(parts.reduce((sum, [, points, of]) => sum + points * of, 0));
  return {
    value,
    unit: 'of 100',
    steps: parts.map(([label, points, of, how]) => ({
      label,
      expression: `${how}: ${points} × ${plain(of)} = ${plain(points * of, 1)}`,
      source: 'the rules of this practice',
    })),
  };
}
