import type { Day } from '../days.js';
import { underFirm, type Firm } from '../job/firm.js';
import type { Job } from '../job/schema.js';
import { methods, type Method } from '../job/vocabulary.js';
import { summedLength } from '../line/intervals.js';
import { notSeen } from '../line/model.js';
import { materialWords } from '../catalog/materials.js';
import { findingName } from '../findings/kinds.js';
import { toRead } from '../logprint/to-read.js';
import { checkRepair, repairState } from '../compare/repair.js';
import { duesOf, type Due } from '../upkeep/upkeep.js';
import { sumCents } from '../units.js';
import { readyJob } from '../solve/ready.js';
import { nothingSeen, verdictOf, type Verdict } from '../explain/verdict.js';
import { solutionOf } from '../solve/solution.js';

/** What a list of jobs shows and searches per job; recomputed when the job or its company changes. */
export interface Digest {
  readonly verdict: readonly Verdict[];
  readonly feasible: boolean;
  readonly total: number;
  readonly currency: string;
  /** What the scope does. */
  readonly methods: readonly Method[];
  /** Findings and materials in plain words, for searching. */
  readonly words: string;
  readonly unseen_ft: number;
  /** No run has shown a foot of any line. */
  readonly nothingSeen: boolean;
  readonly endReached: boolean;
  /** Entries whose size or form still has to be read from the video. */
  readonly toRead: number;
  readonly depthKnown: boolean;
  readonly accepted: { readonly on: Day; readonly total: number } | undefined;
  /** The post-repair inspection compared with what was accepted; undefined where nothing was. */
  readonly repair: ReturnType<typeof repairState> | undefined;
  /** The next due date of each kind, earliest first. */
  readonly due: readonly Due[];
}

export function digestOf(job: Job, firm: Firm): Digest {
  const ready = readyJob(underFirm(job, firm));
  const { rules, prices, lines } = ready;
  const solution = solutionOf({ lines, rules, prices, school: rules.school });
  const runs = job.lines.flatMap((line) => line.runs);
  const entries = runs.flatMap((run) => run.entries);
  const done = new Set(
    solution.lines.flatMap(({ chosen }) => chosen?.layout.cells.map(({ method }) => method) ?? []),
  );
  const words = [
    ...entries.flatMap((entry) =>
      entry.kind === 'finding' ? [entry.finding, findingName(entry.finding)] : [],
    ),
    ...lines.flatMap(({ model }) =>
      model.pipes.flatMap(({ material }) => [material, materialWords(material)]),
    ),
  ];
  return {
    verdict: verdictOf(lines, solution),
    feasible: solution.feasible,
    total: sumCents([solution.scope, solution.cleanouts]),
    currency: prices.currency,
    methods: methods.filter((method) => method !== 'leave' && done.has(method)),
    words: [...new Set(words)].join(' ').toLowerCase(),
    unseen_ft: summedLength(lines.flatMap(({ model }) => notSeen(model))),
    nothingSeen: nothingSeen(lines),
    endReached: lines.every(({ model }) => model.endReached),
    toRead: job.lines.flatMap(toRead).length,
    depthKnown: lines.every(({ model }) => model.profile.located.length > 0),
    accepted: job.accepted && { on: job.accepted.on, total: job.accepted.total },
    repair: job.accepted && repairState(checkRepair(job, job.accepted.job)),
    due: duesOf(job, ready),
  };
}
