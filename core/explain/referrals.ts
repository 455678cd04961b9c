import type { Condition } from '../condition/condition.js';
import { isCurable, sayJudged } from '../condition/graded-finding.js';
import type { Rules } from '../job/rules.js';
import { overlaps } from '../line/intervals.js';
import { publicPart } from '../prepare/obligations.js';
import type { ScopedLine } from '../solve/solution.js';

export type Referral = Condition['referrals'][number];

/** Findings for another owner: defects of the main itself, and findings in a public part left to its owner. */
export function referralsOf({ model, condition }: ScopedLine, rules: Rules): Referral[] {
  const left = rules.publicPart === 'owner' ? publicPart(model) : [];
  const failed = condition.findings.filter(
    (finding) =>
      finding.grade >= 3 &&
      !finding.possible &&
      !finding.settled &&
      isCurable(finding) &&
      left.some((part) => overlaps(part, finding.place)),
  );
  return [
    ...condition.referrals,
    ...failed.map((finding) => ({
      what: `${sayJudged(finding)}, in the public part`,
      at_ft: finding.placed.from_ft,
      to: 'owner of the public part',
    })),
  ].sort((a, b) => a.at_ft - b.at_ft);
}
