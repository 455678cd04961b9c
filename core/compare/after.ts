import { underFirm, type Firm } from '../job/firm.js';
import { rulesInForce } from '../job/rules.js';
import type { Job } from '../job/schema.js';
import { timelineOf, type Moment } from '../upkeep/timeline.js';
import { upkeepOf, type Due } from '../upkeep/upkeep.js';
import { compareInspections, type Compared } from './inspections.js';
import { checkRepair, type RepairCheck } from './repair.js';

/** Follow-up on a finished job: the repair checked, inspections compared, and what is due next. */
export interface After {
  readonly repairs: readonly RepairCheck[];
  readonly looks: readonly {
    readonly line: string;
    readonly name: string;
    readonly things: readonly Compared[];
  }[];
  readonly dues: readonly Due[];
  readonly timeline: readonly Moment[];
}

export function afterOf(job: Job, firm: Firm): After {
  const { accepted: _accepted, ...inForce } = underFirm(job, firm);
  const rules = rulesInForce(inForce.rules);
  const dues = upkeepOf(job, firm);
  return {
    repairs: checkRepair(job, inForce),
    looks: job.lines.map((line) => ({
      line: line.id,
      name: line.name ?? line.id,
      things: compareInspections(line, rules),
    })),
    dues,
    timeline: timelineOf(job, dues),
  };
}
