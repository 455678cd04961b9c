import type { Line, Pipe } from '../job/schema.js';
import type { Material } from '../job/vocabulary.js';
import { sameStation_ft } from '../units.js';
import type { Placed, Survey } from '../survey/survey.js';
import type { Warning } from '../warning.js';
import type { Interval } from './intervals.js';

/** A longest stretch of uniform pipe. `diameter_in` is the nominal bore. */
export interface PipeStretch extends Interval {
  readonly material: Material;
  readonly diameter_in: number;
  readonly piece_ft?: number | undefined;
  /** Already lined; material and bore are those of the host pipe. */
  readonly lined?: true;
}

/** A place where the pipe changes. */
export interface Change {
  readonly entryId: string;
  readonly at: Placed;
  readonly upstream?: Pipe | undefined;
  readonly downstream?: Pipe | undefined;
}

const usualBore_in = 4;

/** The changes in force, from upstream; several readings of one change count once. */
export function changesOf(line: Line, solved: Survey): Change[] {
  const byThing = new Map<string, Change>();
  for (const run of line.runs) {
    for (const entry of run.entries) {
      if (entry.kind !== 'change') continue;
      const at = solved.endsOf(entry.id)?.from;
      if (!at) continue;
      const known = byThing.get(at.key);
      byThing.set(at.key, {
        entryId: known?.entryId ?? entry.id,
        at,
        upstream: { ...known?.upstream, ...entry.upstream },
        downstream: { ...known?.downstream, ...entry.downstream },
      });
    }
  }
  return [...byThing.values()].sort((a, b) => a.at.station_ft - b.at.station_ft);
}

/**
 * Which pipe is where: the line's default pipe unless a change says otherwise. Where two neighboring changes contradict
 * each other, the stretch between them is of unknown material, with a warning.
 */
export function pipeStretches(
  line: Line,
  changes: readonly Change[],
  extent: Interval,
): { stretches: PipeStretch[]; warnings: Warning[] } {
  const warnings: Warning[] = [];
  const base: Required<Pick<Pipe, 'material' | 'diameter_in'>> & Pipe = {
    material: 'unknown',
    diameter_in: usualBore_in,
    ...line.pipe,
  };
  const stretches: PipeStretch[] = [];
  let from_ft = extent.from_ft;
  for (let index = 0; index <= changes.length; index++) {
    const [before, after] = [changes[index - 1], changes[index]];
    const to_ft = Math.min(Math.max(after ? after.at.station_ft : extent.to_ft, from_ft), extent.to_ft);
    const stated = { ...after?.upstream, ...before?.downstream };
    const contradict =
      before &&
      after &&
      (['material', 'diameter_in'] as const).find((field) => {
        const [one, other] = [before.downstream?.[field], after.upstream?.[field]];
        return one !== undefined && other !== undefined && one !== other;
      });
    if (contradict) {
      warnings.push({
        rule: 'changes-contradict',
        line: line.id,
        at_ft: from_ft,
        message: `${before.entryId} says ${String(before.downstream?.[contradict])} goes on downstream, ${after.entryId} says ${String(after.upstream?.[contradict])} comes from upstream: the stretch between is unknown`,
      });
    }
    const pipe = {
      material: contradict ? ('unknown' as const) : (stated.material ?? base.material),
      diameter_in: contradict === 'diameter_in' ? base.diameter_in : (stated.diameter_in ?? base.diameter_in),
      piece_ft:
        stated.piece_ft ??
        (stated.material === undefined || stated.material === base.material ? base.piece_ft : undefined),
      ...((stated.lined ?? base.lined) ? { lined: true as const } : {}),
    };
    const last = stretches.at(-1);
    if (to_ft - from_ft > sameStation_ft) {
      if (
        last &&
        last.material === pipe.material &&
        last.diameter_in === pipe.diameter_in &&
        last.lined === pipe.lined
      ) {
        stretches[stretches.length - 1] = { ...last, to_ft };
      } else stretches.push({ from_ft, to_ft, ...pipe });
      from_ft = to_ft;
    }
  }
  const last = stretches.at(-1);
  if (last && last.to_ft < extent.to_ft) stretches[stretches.length - 1] = { ...last, to_ft: extent.to_ft };
  return { stretches, warnings };
}
